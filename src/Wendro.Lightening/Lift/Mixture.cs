using Wendro.Colour;
using Wendro.Units;

namespace Wendro.Lift;

/// <summary>A second lightener in the same bowl.</summary>
/// <param name="Lightener">What it is.</param>
/// <param name="Share">Its share of all lightener, 0.05..0.95.</param>
/// <param name="Product">Which product of the shelf, by name; null for any.</param>
/// <param name="Figures">What its leaflet and the studio say of it; null as the tables have its kind.</param>
public sealed record SecondLightener(
    Lightener Lightener,
    [property: Within(0.05, 0.95, "of the lightener")] double Share,
    string? Product = null,
    LightenerFigures? Figures = null
);

/// <summary>An additive that guards the hair's bonds, and slows.</summary>
/// <param name="GramsPerGram">How much of it to a gram of lightener, g, above 0..1.</param>
/// <param name="Slows">Share of the speed it takes at this dose, 0..0.1. Model assumption.</param>
/// <param name="Product">Which product of the shelf, by name; null for any.</param>
public sealed record Additive(
    [property: Within(0.001, 1, "g per g of lightener")] double GramsPerGram,
    [property: Within(0, Additive.SlowsMost, "of the speed")] double Slows,
    string? Product = null
)
{
    /// <summary>Most of the speed that an additive takes at any dose, share. Model assumption.</summary>
    public const double SlowsMost = 0.1;
}

/// <summary>One shade of a deposit.</summary>
/// <param name="Name">Which product of the shelf, by name.</param>
/// <param name="Depth">Its level.</param>
/// <param name="Reflect">Its reflect.</param>
/// <param name="Parts">Its parts among the shades, above 0..100.</param>
public sealed record Shade(
    string Name,
    Level Depth,
    Reflect Reflect,
    [property: Within(0.01, 100, "parts")] double Parts
);

/// <summary>Shades in parts.</summary>
/// <param name="Shades">One to four.</param>
public sealed record ShadeMix(IReadOnlyList<Shade> Shades)
{
    /// <summary>Most shades in one bowl.</summary>
    public const int Most = 4;

    /// <summary>The level they colour to together: the mean by parts.</summary>
    public Level Level => Units.Level.Clamp(Shades.Sum(s => s.Depth * s.Parts) / Shades.Sum(s => s.Parts));

    /// <summary>Whether a reflect is warm: puts gold, copper or red on the hair.</summary>
    public static bool IsWarm(Reflect reflect) => reflect is Reflect.Gold or Reflect.Copper or Reflect.Red;

    /// <summary>Whether enough of the shades is warm for the bowl to bring warmth of its own. Trade.</summary>
    public bool BringsWarmth() => Shades.Where(s => IsWarm(s.Reflect)).Sum(ShareOf) >= WarmShare;

    private const double WarmShare = 0.3;

    /// <summary>Share of one shade among them, 0..1.</summary>
    public double ShareOf(Shade shade)
    {
        ArgumentNullException.ThrowIfNull(shade);
        return shade.Parts / Shades.Sum(s => s.Parts);
    }

    /// <inheritdoc/>
    public bool Equals(ShadeMix? other) => other is not null && Shades.SequenceEqual(other.Shades);

    /// <inheritdoc/>
    public override int GetHashCode() => Shades.Aggregate(0, HashCode.Combine);
}

/// <summary>What a formula is made of beside its developer: a lightener's, or a deposit's.</summary>
public abstract record Mixture
{
    private protected Mixture() { }

    /// <summary>In plain words, developer aside.</summary>
    public abstract string Words { get; }
}

/// <summary>What lightens.</summary>
/// <param name="Lightener">What it is.</param>
/// <param name="Product">Which lightener of the shelf, by name; null for any of its kind.</param>
/// <param name="Figures">What its leaflet and the studio say of it; null as the tables have its kind.</param>
/// <param name="Second">A second lightener in the same bowl; null for none.</param>
/// <param name="Additive">A bond additive; null for none.</param>
public sealed record LightenerMixture(
    Lightener Lightener,
    string? Product = null,
    LightenerFigures? Figures = null,
    SecondLightener? Second = null,
    Additive? Additive = null
) : Mixture
{
    /// <summary>What is lightened with, both lighteners by share.</summary>
    public LightenerFigures FiguresOf()
    {
        // Clay dries on its outside, whoever made it: foil is excluded by what it is.
        static LightenerFigures Told(LightenerFigures? own, Lightener kind) =>
            own is null ? LiftTables.Of(kind)
            : own.ExcludesFoil || !LiftTables.Of(kind).ExcludesFoil ? own
            : own with { ExcludesFoil = true };
        var first = Told(Figures, Lightener);
        return Second is null
            ? first
            : first.With(
                Told(Second.Figures, Second.Lightener),
                Second.Share,
                (Lightener, Second.Lightener)
                    is
                        (Lightener.Clay, Lightener.Powder)
                        or
                        (Lightener.Powder, Lightener.Clay)
            );
    }

    /// <summary>The same where they are not those of its kind; null as tabled.</summary>
    public LightenerFigures? OwnFigures() => Figures is null && Second is null ? null : FiguresOf();

    /// <inheritdoc/>
    public override string Words =>
        Second is { } second
            ? $"{1 - second.Share:P0} {Remedies.Words(Lightener)}, {second.Share:P0} {Remedies.Words(second.Lightener)}"
            : Remedies.Words(Lightener);
}

/// <summary>What a colour is based on.</summary>
public enum ColourBase
{
    /// <summary>Lies between gloss and permanent: draws lighter hair to its level, lifts nothing.</summary>
    Demi,

    /// <summary>Acid and sheer: a veil of its reflect, costing a little depth.</summary>
    Gloss,

    /// <summary>Covers, and with 20 vol or more lifts natural hair up to two levels.</summary>
    Permanent,
}

/// <summary>What colours: a lowlight, a root base or stretch, a gloss.</summary>
/// <param name="Level">The level it colours to.</param>
/// <param name="Shades">What it is made of; null where only its level and reflect are known.</param>
/// <param name="Base">What it is based on.</param>
/// <param name="Reflect">Its reflect where no shades are told.</param>
public sealed record DepositMixture(
    Level Level,
    ShadeMix? Shades = null,
    ColourBase Base = ColourBase.Demi,
    Reflect Reflect = Reflect.Natural
) : Mixture
{
    /// <summary>The same with the level its shades make, where it has shades.</summary>
    public DepositMixture Told() =>
        Shades is { } shades ? this with { Level = new(Math.Round(shades.Level, 2)) } : this;

    /// <inheritdoc/>
    public override string Words =>
        (
            Base switch
            {
                ColourBase.Gloss => "gloss",
                ColourBase.Permanent => "permanent colour",
                ColourBase.Demi => "deposit",
            }
        )
        + $" level {Level.Value:0.#}"
        + (Shades is null && Reflect != Reflect.Natural ? $" {Reflect.ToString().ToLowerInvariant()}" : string.Empty);
}
