using Wendro.Blend;
using Wendro.Colour;
using Wendro.Fall;
using Wendro.Hair;
using Wendro.Head;
using Wendro.Photographs;
using Wendro.Units;

namespace Wendro.Fixtures;

/// <summary>A patch of hair as a camera took it, and the level it truly has.</summary>
public sealed record MadeUpPatch(double Level, PatchLight Hair, PatchLight Card, bool IsRendered);

/// <summary>
/// Photographs made of known levels: the app's own pictures and plain patches, under three lights, over- and
/// underexposed, with a camera's noise and its eight bits, a grey card beside.
/// </summary>
public static class MadeUpPhotographs
{
    /// <summary>Daylight, a warm lamp, a cool tube: gains of red, green and blue.</summary>
    public static (double R, double G, double B)[] Lights { get; } = [(1, 1, 1), (1.22, 1, 0.66), (0.9, 1, 1.16)];

    private const double CardReflects = 0.18;
    private const int Side = 22;

    /// <summary>How readings lie to the truth.</summary>
    /// <param name="MedianError">Half of them are nearer, levels.</param>
    /// <param name="Within">Share whose truth lies in the stated band.</param>
    /// <param name="Band">Mean width of it, levels.</param>
    public sealed record Found(double MedianError, double Within, double Band);

    /// <summary>Many patches of levels 3 to 10, half of them of the app's own pictures.</summary>
    /// <param name="seen">What is seen of a head.</param>
    /// <param name="strands">How many strands it has.</param>
    /// <param name="each">How many of each kind and level.</param>
    /// <param name="seed">Draws them.</param>
    public static IReadOnlyList<MadeUpPatch> Many(Seen seen, int strands, int each, int seed)
    {
        var random = new Random(seed);
        return Enumerable
            .Range(6, 15)
            .Select(h => h / 2.0)
            .SelectMany(level =>
                Rendered(seen, strands, level, each, random).Concat(Plain(level, each, random)).ToArray()
            )
            .Where(p => !p.Hair.IsBurnt && !p.Hair.IsDark && !p.Card.IsBurnt)
            .ToArray();
    }

    /// <summary>How they are read with a reference.</summary>
    public static Found Read(IEnumerable<MadeUpPatch> patches, Reference reference)
    {
        var read = patches.Select(p => (p.Level, Read: PhotoReading.Of(p.Hair, reference, p.Card))).ToArray();
        var errors = read.Select(r => Math.Abs(r.Read.Level - r.Level)).Order().ToArray();
        return new(
            errors[errors.Length / 2],
            read.Count(r => r.Level >= r.Read.From && r.Level <= r.Read.To) / (double)read.Length,
            read.Average(r => r.Read.To - r.Read.From)
        );
    }

    /// <summary>Prints the figures.</summary>
    public static void Print()
    {
        var kept = ViewCache.For(2, 4);
        var looks = new HairViews(HeadForm.Usual, HairProfile.Usual, PartLine.Central, kept);
        var patches = Many(looks.Seen(Wear.Down, 0), looks.OnHead.Lengths.Length, 40, 7);
        Console.WriteLine($"levels read from {patches.Count} patches: median error, truth in the band, its width");
        foreach (var reference in Enum.GetValues<Reference>())
        {
            foreach (var (words, of) in new[] { ("renders", true), ("patches", false) })
            {
                var found = Read(patches.Where(p => p.IsRendered == of), reference);
                Console.WriteLine(
                    $"{reference, -9} {words}  {found.MedianError:0.00}  {found.Within:P0}  {found.Band:0.0}"
                );
            }
        }
    }

    /// <summary>Patches of a head's hair, all of one level, lifted and raw.</summary>
    /// <param name="seen">What is seen of it.</param>
    /// <param name="strands">How many strands it has.</param>
    /// <param name="level">The level.</param>
    /// <param name="count">How many patches.</param>
    /// <param name="random">Draws where, the exposure and the noise.</param>
    public static IEnumerable<MadeUpPatch> Rendered(Seen seen, int strands, double level, int count, Random random)
    {
        var hair = StrandSamples.For(strands);
        Array.Fill(hair.Levels, Level.ToByte(level));
        Array.Fill(hair.Tints, Tint.Lifted(1).Index);
        var rgb = Picture.Colour(seen, hair);
        while (count > 0)
        {
            var (x, y) = (random.Next(View.Width - Side), random.Next(View.Height - Side));
            var inside = Enumerable
                .Range(0, Side * Side)
                .Select(i => (y + i / Side) * View.Width + x + i % Side)
                .ToArray();
            if (inside.Any(i => seen.Counts[i] == 0))
            {
                continue;
            }

            count--;
            var (light, exposure) = (Lights[random.Next(Lights.Length)], Math.Exp(0.25 * Normal(random)));
            yield return new(
                level,
                Taken(
                    inside.Select(i =>
                        (
                            LevelColours.Decode(rgb[i * 3]),
                            LevelColours.Decode(rgb[i * 3 + 1]),
                            LevelColours.Decode(rgb[i * 3 + 2])
                        )
                    ),
                    light,
                    exposure,
                    random
                ),
                Taken(Enumerable.Repeat((CardReflects, CardReflects, CardReflects), 200), light, exposure, random),
                true
            );
        }
    }

    /// <summary>Plain patches: hair of a level in shades and shine, lying in some more or less shadow.</summary>
    public static IEnumerable<MadeUpPatch> Plain(double level, int count, Random random)
    {
        var (r, g, b) = LevelColours.Lifted(level);
        for (; count > 0; count--)
        {
            var (light, exposure) = (Lights[random.Next(Lights.Length)], Math.Exp(0.25 * Normal(random)));
            var shadow = -0.5 + 0.35 * Normal(random);
            var pixels = Enumerable
                .Range(0, Side * Side)
                .Select(_ =>
                {
                    var shade = Math.Exp(shadow + 0.35 * Normal(random));
                    var shine = random.NextDouble() < 0.1 ? 0.15 * random.NextDouble() : 0;
                    return (r * shade + shine, g * shade + shine, b * shade + shine);
                })
                .ToArray();
            yield return new(
                level,
                Taken(pixels, light, exposure, random),
                Taken(Enumerable.Repeat((CardReflects, CardReflects, CardReflects), 200), light, exposure, random),
                false
            );
        }
    }

    /// <summary>What a camera makes of light: noise, and eight bits.</summary>
    private static PatchLight Taken(
        IEnumerable<(double R, double G, double B)> pixels,
        (double R, double G, double B) light,
        double exposure,
        Random random
    )
    {
        double Noisy(double linear) => linear + (0.002 + 0.02 * Math.Sqrt(Math.Max(0, linear)) * 0.5) * Normal(random);
        var srgb = pixels
            .SelectMany(p =>
                new[]
                {
                    LevelColours.Encode(Noisy(p.R * light.R * exposure)),
                    LevelColours.Encode(Noisy(p.G * light.G * exposure)),
                    LevelColours.Encode(Noisy(p.B * light.B * exposure)),
                }
            )
            .ToArray();
        return PatchLight.Of(srgb);
    }

    private static double Normal(Random random) =>
        Math.Sqrt(-2 * Math.Log(1 - random.NextDouble())) * Math.Cos(2 * Math.PI * random.NextDouble());
}
