namespace Wendro.Colour;

/// <summary>A bowl of shades and how near it comes.</summary>
/// <param name="Shades">The shades in whole parts, the most first.</param>
/// <param name="DeltaE">How far the colour lies from the wanted one, OKLab × 100: under 1 not seen, under 3
/// hardly.</param>
/// <param name="Toned">What comes of it.</param>
public sealed record SuggestedToner(IReadOnlyList<TonerShade> Shades, double DeltaE, Toned Toned);

/// <summary>
/// Finds the bowl that brings hair nearest to a wanted colour: every set of up to three shades in every ratio of whole
/// parts up to ten in all is held against it, so that none is nearer.
/// </summary>
public static class TonerSuggestion
{
    /// <summary>Most parts in a bowl: finer can't be weighed on a small bowl. Model assumption.</summary>
    public const int MostParts = 10;

    /// <summary>Most shades in a bowl. Trade.</summary>
    public const int MostShades = 3;

    /// <summary>Most shades to choose from.</summary>
    public const int MostOnShelf = 60;

    /// <summary>Of bowls that are alike to so many digits the one with fewer shades is taken.</summary>
    private const int AlikeDigits = 6;

    private static readonly (int A, int B, int C)[] Ratios =
    [
        .. from a in Enumerable.Range(1, MostParts)
        from b in Enumerable.Range(0, MostParts)
        from c in Enumerable.Range(0, MostParts)
        where a + b + c <= MostParts && (c == 0 || b > 0) && Divisor(Divisor(a, b), c) == 1
        select (a, b, c),
    ];

    /// <summary>The nearest bowl, and others that come near.</summary>
    /// <param name="hair">The hair and the minutes; its own depth and reflect count for nothing.</param>
    /// <param name="wanted">The wanted colour.</param>
    /// <param name="shelf">The shades there are; their parts count for nothing.</param>
    /// <param name="most">Most shades in a bowl, 1 to 3.</param>
    /// <param name="others">How many others are told.</param>
    public static IReadOnlyList<SuggestedToner> Of(
        ToneCase hair,
        Oklch wanted,
        IReadOnlyList<TonerShade> shelf,
        int most = MostShades,
        int others = 3
    )
    {
        ArgumentNullException.ThrowIfNull(hair);
        ArgumentNullException.ThrowIfNull(shelf);
        var shades = shelf.Select(s => s with { Parts = 1 }).Distinct().ToArray();
        var uptake = Toner.Uptake(hair.Minutes, hair.Porosity, hair.Dryness);
        var alone = shades.Select(s => Toner.Taken(hair.Level, [s]) * uptake).ToArray();
        var bare = Toner.Bare(hair);
        var goal = Lab.Of(wanted);
        double Off(Absorbance taken) =>
            Lab.Of(
                    bare.R * Math.Pow(10, -taken.Red),
                    bare.G * Math.Pow(10, -taken.Green),
                    bare.B * Math.Pow(10, -taken.Blue)
                )
                .From(goal);
        var found = new List<(int[] Of, int[] Parts, double Off)>();
        for (var i = 0; i < shades.Length; i++)
        {
            found.Add(([i], [1], Off(alone[i])));
        }

        for (var i = 0; i < shades.Length && most >= 2; i++)
        {
            for (var j = i + 1; j < shades.Length; j++)
            {
                Best([i, j], 2);
                for (var k = j + 1; k < shades.Length && most >= MostShades; k++)
                {
                    Best([i, j, k], 3);
                }
            }
        }

        void Best(int[] of, int count)
        {
            (int[] Parts, double Off) best = ([], double.PositiveInfinity);
            foreach (var (a, b, c) in Ratios)
            {
                if (
                    (
                        c > 0 ? 3
                        : b > 0 ? 2
                        : 1
                    ) != count
                )
                {
                    continue;
                }

                var all = (double)(a + b + c);
                var taken = alone[of[0]] * (a / all) + alone[of[1]] * (b / all);
                var off = Off(count == 3 ? taken + alone[of[2]] * (c / all) : taken);
                if (off < best.Off)
                {
                    best = ([a, b, c], off);
                }
            }

            found.Add((of, best.Parts, best.Off));
        }

        return found
            .OrderBy(f => Math.Round(f.Off, AlikeDigits))
            .ThenBy(f => f.Of.Length)
            .Take(1 + others)
            .Select(f =>
            {
                var parts = f
                    .Of.Select((s, n) => shades[s] with { Parts = f.Parts[n] })
                    .OrderByDescending(s => s.Parts)
                    .ToArray();
                return new SuggestedToner(parts, f.Off, Toner.Of(hair, parts));
            })
            .ToArray();
    }

    private static int Divisor(int a, int b) => b == 0 ? a : Divisor(b, a % b);

    /// <summary>OKLab, for distances.</summary>
    private readonly record struct Lab(double L, double A, double B)
    {
        public static Lab Of(Oklch c) =>
            new(c.Lightness, c.Chroma * Math.Cos(c.Hue * Math.PI / 180), c.Chroma * Math.Sin(c.Hue * Math.PI / 180));

        public static Lab Of(double r, double g, double b) => Of(Oklch.Of(r, g, b));

        public double From(Lab other) =>
            100
            * Math.Sqrt((L - other.L) * (L - other.L) + (A - other.A) * (A - other.A) + (B - other.B) * (B - other.B));
    }
}
