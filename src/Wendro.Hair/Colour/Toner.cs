using Wendro.Hair;
using Wendro.Units;

namespace Wendro.Colour;

/// <summary>The way a toner turns hair.</summary>
public enum Reflect
{
    Natural,
    Ash,
    Matte,
    Violet,
    Pearl,
    Beige,
    Gold,
    Copper,
    Red,
}

/// <summary>How wet the hair is when the toner goes on.</summary>
public enum Dryness
{
    Soaked,
    Damp,
    Dry,
}

/// <summary>A toner on hair.</summary>
/// <param name="Level">The hair's level, 1..10.</param>
/// <param name="Undertone">Level whose undertone the hair shows, 1..10; null for that of its own.</param>
/// <param name="Depth">The toner's level, 1..10.</param>
/// <param name="Reflect">Its reflect.</param>
/// <param name="Porosity">How readily the hair takes it up.</param>
/// <param name="Dryness">How wet the hair is.</param>
/// <param name="Minutes">How long it stays, minutes.</param>
/// <param name="Lifted">How far the hair was lifted: 0 as it grew .. 1 all of lifted hair's colour.</param>
public sealed record ToneCase(
    double Level,
    double? Undertone,
    double Depth,
    Reflect Reflect,
    Porosity Porosity,
    Dryness Dryness,
    double Minutes,
    double Lifted = 1
);

/// <summary>One shade of a toner's bowl.</summary>
/// <param name="Depth">Its level, 1..10.</param>
/// <param name="Reflect">Its reflect.</param>
/// <param name="Parts">How many parts of it, above 0.</param>
public readonly record struct TonerShade(double Depth, Reflect Reflect, double Parts = 1);

/// <summary>What comes of a toner.</summary>
/// <param name="Neutralised">Share of the undertone's chroma taken away; negative where warmth was added.</param>
/// <param name="Remaining">What is left, in a word.</param>
/// <param name="Hex">The colour, #rrggbb.</param>
/// <param name="Colour">The colour by how light, how strong and which.</param>
/// <param name="Level">How light it is then, as a level of lifted hair.</param>
/// <param name="Before">The colour before it, #rrggbb.</param>
public sealed record Toned(double Neutralised, string Remaining, string Hex, Oklch Colour, double Level, string Before);

/// <summary>
/// Toning as absorbance on linear light: R = R₀ · 10^(−dose · uptake · a), R₀ the colour of hair lifted and not toned
/// yet, dose = 0.55 · 2^((8 − depth)/2),
/// uptake = (1 − e^(−t/8 min)) · porosity · dryness. Model assumption throughout.
/// </summary>
public static class Toner
{
    /// <summary>Time in which hair takes up all but a third, minutes. Model assumption.</summary>
    public const double UptakeMinutes = 8;

    /// <summary>Share of chroma left below which hair counts as neutral.</summary>
    internal const double NeutralBelow = 0.025;

    /// <summary>Absorbance a toner's reflect adds to red, green and blue light. Model assumption.</summary>
    public static (double R, double G, double B) Absorbance(Reflect reflect) =>
        reflect switch
        {
            Reflect.Ash => (.50, .36, .02),
            Reflect.Matte => (.58, .22, .16),
            Reflect.Violet => (.42, .40, .00),
            Reflect.Pearl => (.38, .34, .08),
            Reflect.Beige => (.40, .36, .16),
            Reflect.Gold => (.08, .22, .60),
            Reflect.Copper => (.06, .42, .70),
            Reflect.Red => (.05, .62, .60),
            Reflect.Natural => (.30, .30, .30),
        };

    /// <summary>How strong a toner of a depth is. Model assumption.</summary>
    public static double Dose(double depth) => 0.55 * Math.Pow(2, (8 - depth) / 2);

    /// <summary>Share of it taken up after some minutes; above 1 on porous, dry hair.</summary>
    public static double Uptake(double minutes, Porosity porosity, Dryness dryness) =>
        (1 - Math.Exp(-minutes / UptakeMinutes))
        * porosity switch
        {
            Porosity.Low => 0.8,
            Porosity.High => 1.3,
            Porosity.Normal => 1,
        }
        * dryness switch
        {
            Dryness.Soaked => 0.6,
            Dryness.Dry => 1.05,
            Dryness.Damp => 1,
        };

    /// <summary>Tones hair.</summary>
    public static Toned Of(ToneCase of)
    {
        ArgumentNullException.ThrowIfNull(of);
        return Of(of, [new(of.Depth, of.Reflect)]);
    }

    /// <summary>Tones hair with several shades in one bowl: each does its share of what it would do alone.</summary>
    /// <param name="of">The hair and the minutes; its own depth and reflect count for nothing.</param>
    /// <param name="shades">The shades, at least one.</param>
    public static Toned Of(ToneCase of, IReadOnlyList<TonerShade> shades)
    {
        ArgumentNullException.ThrowIfNull(of);
        ArgumentNullException.ThrowIfNull(shades);
        var (r, g, b) = Bare(of);
        var before = Oklch.Of(r, g, b);
        var raw = LevelColours.HexOf((r, g, b));
        var taken = Taken(of.Level, shades) * Uptake(of.Minutes, of.Porosity, of.Dryness);
        static double Toned(double light, double absorbs) => light * Math.Pow(10, -absorbs);
        (r, g, b) = (Toned(r, taken.Red), Toned(g, taken.Green), Toned(b, taken.Blue));
        var after = Oklch.Of(r, g, b);
        var neutralised = before.Chroma <= 0 ? 0 : 1 - after.Along(before.Hue) / before.Chroma;
        return new(
            neutralised,
            WordOf(after),
            LevelColours.HexOf((r, g, b)),
            after,
            Math.Min(of.Level, LevelColours.LevelOfLifted(LevelColours.LightnessOf(r, g, b))),
            raw
        );
    }

    /// <summary>What shades take of the light when all of them is taken up: each by its share of the parts.</summary>
    internal static Absorbance Taken(double level, IReadOnlyList<TonerShade> shades)
    {
        var all = shades.Sum(s => s.Parts);
        var (red, green, blue) = (0.0, 0.0, 0.0);
        foreach (var shade in shades)
        {
            var (r, g, b) = Absorbance(shade.Reflect);
            var strength = Dose(shade.Depth) * OnHair(level, shade.Depth) * shade.Parts / all;
            (red, green, blue) = (red + strength * r, green + strength * g, blue + strength * b);
        }

        return new(red, green, blue);
    }

    /// <summary>
    /// On hair a level darker than itself a toner does nothing; at its own level and on lighter hair all of it.
    /// </summary>
    public static double OnHair(double level, double depth) => Math.Clamp(1 - (depth - level), 0, 1);

    /// <summary>The hair's colour: as light as its level, as warm as its undertone.</summary>
    internal static (double R, double G, double B) Bare(ToneCase of)
    {
        if (of.Undertone is not { } undertone)
        {
            return Palette.ColourOf(of.Level, of.Lifted, default);
        }

        var own = LevelColours.Lifted(of.Level);

        var shown = LevelColours.Lifted(undertone);
        double Light((double R, double G, double B) c) => 0.2126 * c.R + 0.7152 * c.G + 0.0722 * c.B;
        var scale = Light(own) / Math.Max(1e-6, Light(shown));
        return (Math.Min(1, shown.R * scale), Math.Min(1, shown.G * scale), Math.Min(1, shown.B * scale));
    }

    public static string WordOf(Oklch colour) =>
        colour.Chroma < NeutralBelow
            ? "neutral"
            : colour.Hue switch
            {
                < 20 or >= 340 => "rose",
                < 45 => "red",
                < 60 => "copper",
                < 75 => "orange",
                < 88 => "gold",
                < 110 => "yellow",
                < 165 => "green",
                < 265 => "blue",
                _ => "violet",
            };
}
