using Wendro.Units;

namespace Wendro.Colour;

/// <summary>
/// The colour of hair by level and tint: raw, as it is; or as wished, its lifted hair toned. Natural, white and
/// coloured hair look the same in both.
/// </summary>
public sealed class Palette
{
    /// <summary>Wished tones whose colours are kept: a day's clients have few.</summary>
    private static readonly LruCache<double, Palette> Goal = new(8);

    private readonly double? tone;
    private readonly ushort[]?[] even = new ushort[Tint.Count][];

    private Palette(double? tone) => this.tone = tone;

    /// <summary>As it is: lifted hair shows its raw warmth.</summary>
    public static Palette Raw { get; } = new(null);

    /// <summary>As wished: lifted hair in a wished tone at its level.</summary>
    /// <param name="tone">−1 cool .. 1 warm.</param>
    public static Palette AsToned(double tone) => Goal.GetOrMake(tone, () => new(tone));

    /// <summary>Linear sRGB in even light, 0..1 each.</summary>
    /// <param name="level">1..10; outside, the nearest end.</param>
    /// <param name="tint">What colours it.</param>
    public (double R, double G, double B) Colour(double level, Tint tint)
    {
        var means = tint.Meaning;
        if (means.White)
        {
            return means.Reflect is { } over
                ? Absorbance.Of(over, means.Strength).Of(LevelColours.WhiteHair)
                : LevelColours.WhiteAmong(means.WhiteShare);
        }

        return means.Reflect is { } reflect
            ? Coloured(level, means.Lifted, Absorbance.Of(reflect, means.Strength), InTables)
            : Bare(level, means.Lifted);
    }

    /// <summary>
    /// Linear sRGB of raw hair with colour on it, in even light, 0..1 each: exact, where a tint is told in steps.
    /// </summary>
    /// <param name="level">How light it is, 1..10.</param>
    /// <param name="lifted">How far it was lifted: 0 as it grew .. 1.</param>
    /// <param name="absorbed">What the colour on it takes of the light.</param>
    public static (double R, double G, double B) ColourOf(double level, double lifted, Absorbance absorbed) =>
        absorbed == default ? Raw.Bare(level, lifted) : Coloured(level, lifted, absorbed, Exact);

    /// <summary>
    /// Linear light by level byte and shade, 0..65535 for red, green and blue: 256 × 128 × 3, of one tint.
    /// </summary>
    public ushort[] Table(Tint tint) => LevelColours.Shaded(l => Colour(Level.FromByte((byte)l), tint));

    /// <summary>
    /// Colours of all tints in even light, 0..65535 for red, green and blue: tints × 256 × 3. What a client shades.
    /// </summary>
    public ushort[] All() => Enumerable.Range(0, Tint.Count).SelectMany(t => Even(new Tint((byte)t))).ToArray();

    /// <summary>
    /// Colours of one tint in even light by level byte, 0..65535 for red, green and blue: 256 × 3. Made when first
    /// asked for; not to be changed.
    /// </summary>
    public ushort[] Even(Tint tint) => even[tint.Index] ??= Made(tint);

    private ushort[] Made(Tint tint)
    {
        // A wished tone changes lifted hair alone: the rest is told once for all.
        if (tone is not null && tint.Meaning is ({ White: true } or { Reflect: not null }))
        {
            return Raw.Even(tint);
        }

        var colours = new ushort[256 * 3];
        for (var l = 0; l < 256; l++)
        {
            var (r, g, b) = Colour(Level.FromByte((byte)l), tint);
            (colours[l * 3], colours[l * 3 + 1], colours[l * 3 + 2]) = (Word(r), Word(g), Word(b));
        }

        return colours;
    }

    /// <summary>
    /// How often the range is halved in which hair's level before its colour is looked for: for tables, of which there
    /// are many, and where a figure is told.
    /// </summary>
    private const int InTables = 12,
        Exact = 20;

    private static ushort Word(double light) => (ushort)Math.Round(Math.Clamp(light, 0, 1) * 65535);

    /// <summary>Hair without colour on it: as it grew, lifted, or between the two by how far it was lifted.</summary>
    private (double R, double G, double B) Bare(double level, double lifted)
    {
        var grown = LevelColours.Linear(level);
        return lifted <= 0
            ? grown
            : Between(grown, tone is { } goal ? LevelColours.Linear(level, goal) : LevelColours.Lifted(level), lifted);
    }

    /// <summary>
    /// Hair with colour on it, as light as its level: what it was before is found by what the colour takes of it.
    /// </summary>
    private static (double R, double G, double B) Coloured(
        double level,
        double lifted,
        Absorbance absorbed,
        int halvings
    )
    {
        static double Light((double R, double G, double B) c) => 0.2126 * c.R + 0.7152 * c.G + 0.0722 * c.B;
        (double R, double G, double B) Raw(double at) =>
            Between(LevelColours.Linear(at), LevelColours.Lifted(at), lifted);
        var wanted = Light(Raw(level));
        var (low, high) = (level, Level.Lightest);
        for (var k = 0; k < halvings; k++)
        {
            var middle = (low + high) / 2;
            (low, high) = Light(absorbed.Of(Raw(middle))) < wanted ? (middle, high) : (low, middle);
        }

        var (r, g, b) = absorbed.Of(Raw(high));
        var scale = wanted / Math.Max(1e-6, Light((r, g, b)));
        return (Math.Min(1, r * scale), Math.Min(1, g * scale), Math.Min(1, b * scale));
    }

    private static (double R, double G, double B) Between(
        (double R, double G, double B) a,
        (double R, double G, double B) b,
        double t
    ) => (a.R + (b.R - a.R) * t, a.G + (b.G - a.G) * t, a.B + (b.B - a.B) * t);
}
