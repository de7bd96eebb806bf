using MathNet.Numerics.Interpolation;
using Wendro.Hair;
using Wendro.Paint;
using Wendro.Units;

namespace Wendro.Lift;

/// <summary>What lightens: clay, powder, cream, or half clay and half powder.</summary>
public enum Lightener
{
    Clay,
    Powder,
    Cream,
    Half,
}

/// <summary>Constants of one lightener. Model assumption, to be corrected by leaflet and strand test.</summary>
/// <param name="RatedLevels">Most it lifts at full strength, levels.</param>
/// <param name="DryingMinutes">Time constant of its film drying in open air, minutes.</param>
/// <param name="WorkingMinutes">Time constant of its lift, equivalent minutes at 25 °C.</param>
/// <param name="ScalpSafe">Whether a leaflet may allow it on the scalp; off unless it says so.</param>
/// <param name="ExcludesHeat">Whether its leaflet excludes heat, as many do.</param>
/// <param name="Swells">Whether it swells while it works.</param>
/// <param name="LimitMinutes">Longest its leaflet allows, minutes; the leaflet rules. Trade.</param>
/// <param name="WindowMinutes">How long a mixed bowl of it can be painted from, covered, minutes; the leaflet rules.
/// Model assumption.</param>
/// <param name="ExcludesFoil">Whether its leaflet excludes foil: clay dries on the outside, and needs that.</param>
public sealed record LightenerFigures(
    [property: Within(1, 10, "levels")] double RatedLevels,
    [property: Within(2, 200, "min")] double DryingMinutes,
    [property: Within(4, 100, "min")] double WorkingMinutes,
    bool ScalpSafe,
    bool ExcludesHeat,
    bool Swells = false,
    [property: Within(5, 120, "min")] double LimitMinutes = LiftTables.LeafletLimitMinutes,
    [property: Within(1, 120, "min")] double WindowMinutes = LiftTables.BowlWindowMinutes,
    bool ExcludesFoil = false
)
{
    /// <summary>
    /// Where clay meets powder half and half, the mixture dries this much slower than the mean, minutes, and lifts this
    /// much less, levels. Model assumption.
    /// </summary>
    private const double HoldMinutes = 1,
        HoldLevels = 0.25;

    /// <summary>
    /// Two lighteners in one bowl: figures by share; whatever one of them forbids is forbidden, the shorter limit
    /// holds.
    /// </summary>
    /// <param name="other">The other.</param>
    /// <param name="share">Its share of the lightener, 0..1.</param>
    /// <param name="holds">Whether it is clay with powder: the clay holds the powder's moisture.</param>
    public LightenerFigures With(LightenerFigures other, double share, bool holds)
    {
        ArgumentNullException.ThrowIfNull(other);
        double Mean(double a, double b) => a + (b - a) * share;
        var held = holds ? 4 * share * (1 - share) : 0;
        return new(
            Mean(RatedLevels, other.RatedLevels) - HoldLevels * held,
            Mean(DryingMinutes, other.DryingMinutes) + HoldMinutes * held,
            Mean(WorkingMinutes, other.WorkingMinutes),
            ScalpSafe && other.ScalpSafe,
            ExcludesHeat || other.ExcludesHeat,
            Swells || other.Swells,
            Math.Min(LimitMinutes, other.LimitMinutes),
            Math.Min(WindowMinutes, other.WindowMinutes),
            ExcludesFoil || other.ExcludesFoil
        );
    }

    /// <summary>What can't be taken, by field.</summary>
    public IEnumerable<Problem> Problems()
    {
        return WithinAttribute.Outside(this).ToArray();
    }
}

/// <summary>All constants of lifting, in one place.</summary>
public static class LiftTables
{
    /// <summary>Longest processing leaflets usually allow, minutes; the leaflet rules. Trade.</summary>
    public const double LeafletLimitMinutes = 50;

    /// <summary>
    /// How long a mixed bowl of powder is painted from, covered, minutes; the leaflet rules. Model assumption.
    /// </summary>
    public const double BowlWindowMinutes = 25;

    /// <summary>The same of cream and of clay, minutes. Model assumption.</summary>
    public const double CreamWindowMinutes = 35,
        ClayWindowMinutes = 40;

    /// <summary>The film counts as dry when this share of its moisture is left. Model assumption.</summary>
    public const double DryMoisture = 0.3;

    /// <summary>
    /// The work is finished when the gain falls below this, levels a minute, dry or not. Model assumption.
    /// </summary>
    public const double FinishedGainPerMinute = 0.02;

    /// <summary>Coloured hair lifts at this share of the speed. Model assumption.</summary>
    public const double ColouredSpeed = 0.6;

    /// <summary>Coloured hair reaches this much less, levels. Model assumption.</summary>
    public const double ColouredCapLoss = 1;

    /// <summary>Hair at the front hairline lifts faster by this factor. Model assumption.</summary>
    public const double HairlineSpeed = 1.15;

    /// <summary>Low heat warms by this much, °C. Model assumption.</summary>
    public const double LowHeatDegrees = 7;

    /// <summary>Developer above this stays off the scalp, volume. Trade.</summary>
    public const double ScalpVolume = 20;

    /// <summary>Lifting more than this on compromised hair is spread over several visits, levels. Trade.</summary>
    public const double LevelsAVisit = 4;

    private static readonly double[] Volumes = [5, 10, 20, 30, 40];
    private static readonly CubicSpline Shares = CubicSpline.InterpolatePchipSorted(Volumes, [.20, .35, .55, .75, .90]);
    private static readonly CubicSpline Speeds = CubicSpline.InterpolatePchipSorted(
        Volumes,
        [.45, .65, .85, 1.0, 1.15]
    );

    private static readonly LightenerFigures Clay = new(
        6.5,
        40,
        26,
        false,
        ExcludesHeat: true,
        WindowMinutes: ClayWindowMinutes,
        ExcludesFoil: true
    );
    private static readonly LightenerFigures Powder = new(8, 14, 16, false, false, Swells: true);
    private static readonly LightenerFigures Cream = new(7, 28, 20, true, false, WindowMinutes: CreamWindowMinutes);
    private static readonly LightenerFigures Half = new(7, 28, 21, false, ExcludesHeat: true, ExcludesFoil: true);

    /// <summary>The lightener's constants.</summary>
    public static LightenerFigures Of(Lightener lightener) =>
        lightener switch
        {
            Lightener.Clay => Clay,
            Lightener.Powder => Powder,
            Lightener.Cream => Cream,
            Lightener.Half => Half,
        };

    /// <summary>
    /// Share of the rated lift that dark hair gives: its red and orange stages hold longest. .85 up to level 3, .92
    /// at 4,
    /// 1 from 5 on, linear between. Model assumption.
    /// </summary>
    public static double Darkness(Level from) =>
        from.Value switch
        {
            <= 3 => DarkShare,
            < 4 => DarkShare + (AtFourShare - DarkShare) * (from.Value - 3),
            < 5 => AtFourShare + (1 - AtFourShare) * (from.Value - 4),
            _ => 1,
        };

    private const double DarkShare = 0.85,
        AtFourShare = 0.92;

    /// <summary>
    /// Share of the rated lift a developer gives, .2 to .9; smooth and monotone between 5 and 40 vol.
    /// </summary>
    public static double ShareOfRated(Volume volume) => Shares.Interpolate(volume.Value);

    /// <summary>Speed a developer gives, .45..1.15; smooth and monotone between 5 and 40 vol.</summary>
    public static double DeveloperSpeed(Volume volume) => Speeds.Interpolate(volume.Value);

    /// <summary>Speed of the hair itself: diameter and porosity.</summary>
    public static double HairSpeed(Diameter diameter, Porosity porosity) =>
        diameter switch
        {
            Diameter.Fine => 1.2,
            Diameter.Coarse => 0.8,
            Diameter.Medium => 1.0,
        }
        * porosity switch
        {
            Porosity.Low => 0.85,
            Porosity.High => 1.2,
            Porosity.Normal => 1.0,
        };

    /// <summary>How much longer the film stays moist, and how warm it is, °C.</summary>
    public static (double Drying, double Degrees) Under(Covering covering, bool lowHeat)
    {
        var (drying, degrees) = covering switch
        {
            Covering.Mesh => (2.0, 28.0),
            Covering.Film => (3.0, 29.0),
            Covering.Foil => (6.0, 31.0),
            Covering.Open => (1.0, 27.0),
        };
        return lowHeat
            ? (drying * (covering == Covering.Open ? 0.7 : 0.9), degrees + LowHeatDegrees)
            : (drying, degrees);
    }
}
