using Wendro.Hair;
using Wendro.Paint;
using Wendro.Units;

namespace Wendro.Lift;

/// <summary>How a mixture holds: right keeps a soft peak.</summary>
public enum Consistency
{
    Right,
    Runny,
    Stiff,
}

/// <summary>What is mixed for some of the panels, and how long it works.</summary>
/// <param name="Id">Which.</param>
/// <param name="Mixture">What it is made of: a lightener's, or a deposit's.</param>
/// <param name="Volume">Developer; one in between is blended from two at hand.</param>
/// <param name="Minutes">How long until it is rinsed, 1..120.</param>
/// <param name="Consistency">How it holds.</param>
/// <param name="Parts">Parts of lightener, or of colour, by mass, 0.1..10.</param>
/// <param name="DeveloperParts">Parts of developer by mass, 0.1..10.</param>
/// <param name="LowHeat">Low heat on it.</param>
/// <param name="HeatConfirmed">That its leaflet allows heat was read and confirmed.</param>
public sealed record Formula(
    FormulaId Id,
    Mixture Mixture,
    Volume Volume,
    Minutes Minutes,
    Consistency Consistency = Consistency.Right,
    double Parts = 1,
    double DeveloperParts = 1.5,
    bool LowHeat = false,
    bool HeatConfirmed = false
)
{
    /// <summary>The usual start: clay, 30 vol, 40 minutes.</summary>
    public static Formula Usual { get; } = Lightening(FormulaId.A, Lightener.Clay, 30, 40);

    /// <summary>One that lightens.</summary>
    /// <param name="id">Which.</param>
    /// <param name="lightener">With what.</param>
    /// <param name="volume">Developer, volume.</param>
    /// <param name="minutes">Until it is rinsed, minutes.</param>
    public static Formula Lightening(FormulaId id, Lightener lightener, double volume, double minutes) =>
        new(id, new LightenerMixture(lightener), new(volume), new(minutes), DeveloperParts: Mixing.PeakOf(lightener));

    /// <summary>One that colours.</summary>
    /// <param name="id">Which.</param>
    /// <param name="level">To which level.</param>
    /// <param name="volume">Developer, volume.</param>
    /// <param name="minutes">Until it is rinsed, minutes.</param>
    /// <param name="shades">What it is made of; null where only its level is known.</param>
    public static Formula Colouring(
        FormulaId id,
        double level,
        double volume,
        double minutes,
        ShadeMix? shades = null
    ) => new(id, new DepositMixture(new(level), shades), new(volume), new(minutes));

    /// <summary>What lightens; null where it colours.</summary>
    public LightenerMixture? Light => Mixture as LightenerMixture;

    /// <summary>What colours; null where it lightens.</summary>
    public DepositMixture? Deposit => Mixture as DepositMixture;

    /// <summary>Whether it colours instead of lightening.</summary>
    public bool IsDeposit => Mixture is DepositMixture;

    /// <summary>Whether it swells while it works.</summary>
    public bool Swells => Light?.FiguresOf().Swells == true;

    /// <summary>The same with what lightens changed; one that colours stays as it is.</summary>
    public Formula Lightened(Func<LightenerMixture, LightenerMixture> change)
    {
        ArgumentNullException.ThrowIfNull(change);
        return Light is { } light ? this with { Mixture = change(light) } : this;
    }

    /// <summary>The same with what colours changed; one that lightens stays as it is.</summary>
    public Formula Coloured(Func<DepositMixture, DepositMixture> change)
    {
        ArgumentNullException.ThrowIfNull(change);
        return Deposit is { } deposit ? this with { Mixture = change(deposit) } : this;
    }

    /// <summary>The same with the level its shades make, where it has shades.</summary>
    public Formula Told() => Coloured(d => d.Told());

    /// <summary>The same holding as its ratio makes it hold.</summary>
    public Formula HeldByRatio() => this with { Consistency = Mixing.ConsistencyOf(DeveloperPerPart, PeakParts) };

    /// <summary>The same put in the place of another: where only the ratio changed, how it holds follows.</summary>
    public Formula After(Formula? before) =>
        before is not null && before.DeveloperPerPart != DeveloperPerPart && before.Consistency == Consistency
            ? HeldByRatio()
            : this;

    /// <summary>Parts of developer to one of lightener or colour.</summary>
    public double DeveloperPerPart => DeveloperParts / Parts;

    /// <summary>Parts of developer to one at which it holds a soft peak; both lighteners by share.</summary>
    public double PeakParts =>
        Light is not { } light ? Mixing.UsualPeak
        : light.Second is not { } second ? Mixing.PeakOf(light.Lightener)
        : Mixing.PeakOf(light.Lightener) * (1 - second.Share) + Mixing.PeakOf(second.Lightener) * second.Share;

    /// <summary>The case of its lift on hair; null where it colours.</summary>
    /// <param name="hair">The hair, of one zone.</param>
    /// <param name="state">What state it is in where it is laid.</param>
    /// <param name="covering">What covers it.</param>
    /// <param name="hairline">Whether it is hair of the front hairline.</param>
    public LiftCase? CaseOn(HairProfile hair, HairState state, Covering covering, bool hairline = false)
    {
        ArgumentNullException.ThrowIfNull(hair);
        return Light is not { } light
            ? null
            : new LiftCase(
                Level.Clamp(state.Level),
                hair.Diameter,
                state.Porosity,
                state.Coloured,
                light.Lightener,
                Volume,
                covering,
                LowHeat,
                Hairline: hairline,
                Own: hair.Own,
                Figures: light.OwnFigures(),
                Mixture: Mixing.SpeedOf(this)
            );
    }

    /// <summary>How long a bowl of it can be painted from once it is mixed, minutes.</summary>
    public double WindowMinutes => Light?.FiguresOf().WindowMinutes ?? LiftTables.BowlWindowMinutes;

    /// <summary>Longest its leaflet allows, minutes; null for a deposit, whose leaflet is not known.</summary>
    public double? LimitMinutes => Light?.FiguresOf().LimitMinutes;

    /// <summary>Whether it stays off the scalp: too strong for it, or a lightener not made for it.</summary>
    public bool KeepsOffScalp => Volume > LiftTables.ScalpVolume || Light?.FiguresOf().ScalpSafe == false;

    /// <summary>In plain words: "clay, 30 vol".</summary>
    public string Words => $"{Mixture.Words}, {Volume.Value:0.#} vol";
}
