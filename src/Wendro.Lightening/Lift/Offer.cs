using Wendro.Hair;
using Wendro.Paint;
using Wendro.Units;

namespace Wendro.Lift;

/// <summary>A way to lighten: what with, how strong, under what.</summary>
/// <param name="Figures">The lightener's figures.</param>
/// <param name="Volume">Developer.</param>
/// <param name="Covering">What covers it.</param>
/// <param name="LowHeat">Low heat on it.</param>
public readonly record struct Way(LightenerFigures Figures, Volume Volume, Covering Covering, bool LowHeat = false)
{
    /// <summary>The way a case is lightened.</summary>
    public static Way Of(LiftCase of)
    {
        ArgumentNullException.ThrowIfNull(of);
        return new(of.FiguresOf(), of.Volume, of.Covering, of.LowHeat);
    }

    /// <summary>
    /// How hard it is on the hair; of two ways that reach, the one with less is offered. Strength counts most, then
    /// what
    /// keeps it working, then how fast the product is. Model assumption.
    /// </summary>
    public double Harshness =>
        Volume.Value / 10
        + Covering switch
        {
            Covering.Open => 0,
            Covering.Mesh => 0.3,
            Covering.Film => 0.5,
            Covering.Foil => 1.2,
        }
        + (LowHeat ? 1 : 0)
        + Quickest / Figures.WorkingMinutes;

    /// <summary>Equivalent minutes: what a product's speed is held against.</summary>
    private const double Quickest = 16;
}

/// <summary>
/// What may be offered on a head of hair without being asked: verdicts, remedies, fixes, patterns and proposals keep to
/// it. By hand more may be chosen, with the caution beside it. Source: the trade's care; figures model assumption.
/// </summary>
/// <param name="Tested">Whether a strand test was read.</param>
/// <param name="Delicate">Whether the hair is dry, breaking or porous.</param>
public readonly record struct Offer(bool Tested, bool Delicate)
{
    /// <summary>Most with heat, in foil before and after a strand test, and on dry or porous hair, volume.</summary>
    private const double WithHeat = 30,
        FoilUntested = 20,
        FoilTested = 30,
        OnDelicate = 20;

    /// <summary>
    /// Most that is promised without a strand test: open or under mesh, and under film or in foil, levels.
    /// </summary>
    private const double OpenLevels = 4,
        CoveredLevels = 5;

    /// <summary>What may be offered on this hair.</summary>
    public static Offer On(HairProfile hair)
    {
        ArgumentNullException.ThrowIfNull(hair);
        return new(
            hair.Own is not null,
            hair.Condition != Condition.Sound
                || HairState.Of(hair).Any(s => s.Porosity == Porosity.High)
                || hair.ByZone?.Values.Any(z => z.Porosity == Porosity.High) == true
        );
    }

    /// <summary>What may be offered for one case.</summary>
    public static Offer On(LiftCase of)
    {
        ArgumentNullException.ThrowIfNull(of);
        return new(of.Own is not null, of.Porosity == Porosity.High);
    }

    /// <summary>Whether a way may be offered.</summary>
    public bool Allows(Way way) =>
        !(way.Covering == Covering.Foil && way.Figures.ExcludesFoil)
        && !(way.LowHeat && way.Figures.ExcludesHeat)
        && way.Volume.Value <= Most(way.Covering, way.LowHeat);

    /// <summary>Whether a formula may be offered under a covering; a deposit lifts nothing.</summary>
    public bool Allows(Formula formula, Covering covering)
    {
        ArgumentNullException.ThrowIfNull(formula);
        return formula.Light is not { } light
            || Allows(new Way(light.FiguresOf(), formula.Volume, covering, formula.LowHeat));
    }

    /// <summary>A formula no stronger than is offered under a covering, without heat where that is excluded.</summary>
    public Formula Within(Formula formula, Covering covering)
    {
        ArgumentNullException.ThrowIfNull(formula);
        if (formula.Light is not { } light)
        {
            return formula;
        }

        var heat = formula.LowHeat && !light.FiguresOf().ExcludesHeat;
        return formula with { Volume = new(Math.Min(formula.Volume.Value, Most(covering, heat))), LowHeat = heat };
    }

    /// <summary>Strongest developer that is offered under a covering, volume.</summary>
    /// <param name="covering">The covering.</param>
    /// <param name="lowHeat">Low heat on it.</param>
    public double Most(Covering covering, bool lowHeat = false) =>
        new[]
        {
            Delicate ? OnDelicate : Volume.Strongest,
            lowHeat ? WithHeat : Volume.Strongest,
            covering != Covering.Foil ? Volume.Strongest
            : Tested ? FoilTested
            : FoilUntested,
        }.Min();

    /// <summary>Most levels that are promised under a covering; no bound once a strand was tested.</summary>
    public double LevelsPromised(Covering covering) =>
        Tested ? double.PositiveInfinity
        : covering is Covering.Film or Covering.Foil ? CoveredLevels
        : OpenLevels;

    /// <summary>
    /// What may be promised of a forecast: without a strand test its lower edge and no more than a visit is good for;
    /// with one, what it shows.
    /// </summary>
    /// <param name="from">Level it starts from.</param>
    /// <param name="forecast">What is expected.</param>
    /// <param name="covering">What covers it.</param>
    public double Promised(double from, Forecast forecast, Covering covering)
    {
        ArgumentNullException.ThrowIfNull(forecast);
        return Tested ? forecast.Level : Math.Max(from, Math.Min(forecast.Low, from + LevelsPromised(covering)));
    }
}
