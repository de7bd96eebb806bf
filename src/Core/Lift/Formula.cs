using Wendro.Core.Tone;

namespace Wendro.Core.Lift;

/// <summary>How a mixture holds: right keeps a soft peak.</summary>
public enum Consistency
{
    Right,
    Runny,
    Stiff,
}

/// <summary>A second lightener in the same bowl.</summary>
/// <param name="Lightener">What it is.</param>
/// <param name="Share">Its share of all lightener, 0.05..0.95.</param>
/// <param name="Product">Which product of the shelf, by name; null for any.</param>
/// <param name="Figures">What its leaflet and the studio say of it; null as the tables have its kind.</param>
public sealed record SecondLightener(
    Lightener Lightener,
    double Share,
    string? Product = null,
    LightenerFigures? Figures = null
);

/// <summary>An additive that guards the hair's bonds, and slows.</summary>
/// <param name="GramsPerGram">How much of it to a gram of lightener, g, above 0..1.</param>
/// <param name="Slows">Share of the speed it takes at this dose, 0..0.1. Model assumption.</param>
/// <param name="Product">Which product of the shelf, by name; null for any.</param>
public sealed record Additive(double GramsPerGram, double Slows, string? Product = null);

/// <summary>One shade of a deposit.</summary>
/// <param name="Name">Which product of the shelf, by name.</param>
/// <param name="Depth">Its level, 1..10.</param>
/// <param name="Reflect">Its reflect.</param>
/// <param name="Parts">Its parts among the shades, above 0..100.</param>
public sealed record Shade(string Name, double Depth, Reflect Reflect, double Parts);

/// <summary>Shades in parts.</summary>
/// <param name="Shades">One to four.</param>
public sealed record ShadeMix(IReadOnlyList<Shade> Shades)
{
    /// <summary>Most shades in one bowl.</summary>
    public const int Most = 4;

    /// <summary>The level they colour to together: the mean by parts.</summary>
    public double Level => Shades.Sum(s => s.Depth * s.Parts) / Shades.Sum(s => s.Parts);

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

/// <summary>
/// What is mixed for some of the panels, and how long it works: a lightener, or a deposit where a level to colour to
/// is given.
/// </summary>
/// <param name="Id">A letter, A to E.</param>
/// <param name="Lightener">What lightens; says nothing for a deposit.</param>
/// <param name="Volume">Developer, volume, 5..40; one in between is blended from two at hand.</param>
/// <param name="Minutes">Minutes until it is rinsed, 1..120.</param>
/// <param name="DepositLevel">The level it colours to, 1..10: a lowlight or root stretch; null for a lightener.</param>
/// <param name="Consistency">How it holds.</param>
/// <param name="LightenerParts">Parts of lightener, or of colour, by mass, 0.1..10.</param>
/// <param name="DeveloperParts">Parts of developer by mass, 0.1..10.</param>
/// <param name="Product">Which lightener of the shelf, by name; null for any of its kind.</param>
/// <param name="Figures">What its leaflet and the studio say of it; null as the tables have its kind.</param>
/// <param name="Second">A second lightener in the same bowl; null for none.</param>
/// <param name="Additive">A bond additive; null for none.</param>
/// <param name="Shades">What a deposit is made of; null where only its level is known.</param>
/// <param name="LowHeat">Low heat on it.</param>
/// <param name="HeatConfirmed">That its leaflet allows heat was read and confirmed.</param>
public sealed record Formula(
    string Id,
    Lightener Lightener,
    double Volume,
    double Minutes,
    double? DepositLevel = null,
    Consistency Consistency = Consistency.Right,
    double LightenerParts = 1,
    double DeveloperParts = 1.5,
    string? Product = null,
    LightenerFigures? Figures = null,
    SecondLightener? Second = null,
    Additive? Additive = null,
    ShadeMix? Shades = null,
    bool LowHeat = false,
    bool HeatConfirmed = false
)
{
    /// <summary>The usual start: clay, 30 vol, 40 minutes.</summary>
    public static Formula Usual { get; } = new("A", Lightener.Clay, 30, 40);

    /// <summary>Whether it colours instead of lightening.</summary>
    public bool IsDeposit => DepositLevel is not null;

    /// <summary>Whether it swells while it works.</summary>
    public bool Swells => !IsDeposit && FiguresOf().Swells;

    /// <summary>The same with the level its shades make, where it has shades.</summary>
    public Formula Told() =>
        Shades is { } shades && IsDeposit ? this with { DepositLevel = Math.Round(shades.Level, 2) } : this;

    /// <summary>The same holding as its ratio makes it hold.</summary>
    public Formula HeldByRatio() => this with { Consistency = Mixing.ConsistencyOf(DeveloperPerLightener) };

    /// <summary>The same put in the place of another: where only the ratio changed, how it holds follows.</summary>
    public Formula After(Formula? before) =>
        before is not null && before.DeveloperPerLightener != DeveloperPerLightener && before.Consistency == Consistency
            ? HeldByRatio()
            : this;

    /// <summary>Parts of developer to one of lightener.</summary>
    public double DeveloperPerLightener => DeveloperParts / LightenerParts;

    /// <summary>How long a bowl of it can be painted from once it is mixed, minutes.</summary>
    public double WindowMinutes => IsDeposit ? LiftTables.BowlWindowMinutes : FiguresOf().WindowMinutes;

    /// <summary>Longest its leaflet allows, minutes; null for a deposit, whose leaflet is not known.</summary>
    public double? LimitMinutes => IsDeposit ? null : FiguresOf().LimitMinutes;

    /// <summary>Whether it stays off the scalp: too strong for it, or a lightener not made for it.</summary>
    public bool KeepsOffScalp => Volume > LiftTables.ScalpVolume || (!IsDeposit && !FiguresOf().ScalpSafe);

    /// <summary>What is lightened with, both lighteners by share.</summary>
    public LightenerFigures FiguresOf()
    {
        var first = Figures ?? LiftTables.Of(Lightener);
        return Second is null
            ? first
            : first.With(
                Second.Figures ?? LiftTables.Of(Second.Lightener),
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

    /// <summary>In plain words: "clay, 30 vol".</summary>
    public string Words =>
        DepositLevel is { } level
            ? $"deposit level {level:0.#}, {Volume:0.#} vol"
            : $"{LightenerWords}, {Volume:0.#} vol";

    private string LightenerWords =>
        Second is { } second
            ? $"{1 - second.Share:P0} {Remedies.Words(Lightener)}, {second.Share:P0} {Remedies.Words(second.Lightener)}"
            : Remedies.Words(Lightener);
}
