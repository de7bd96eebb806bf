using Wendro.Hair;
using Wendro.Paint;
using Wendro.Units;

namespace Wendro.Lift;

/// <summary>Everything lift depends on but time.</summary>
/// <param name="From">Level to start from.</param>
/// <param name="Diameter">Strand diameter.</param>
/// <param name="Porosity">Porosity.</param>
/// <param name="Coloured">Whether the hair carries artificial colour.</param>
/// <param name="Lightener">What lightens.</param>
/// <param name="Volume">Developer.</param>
/// <param name="Covering">What covers it.</param>
/// <param name="LowHeat">Low heat on it.</param>
/// <param name="Coverage">Share of the coat the work takes, 0..1: slows the lift.</param>
/// <param name="Hairline">Hair of the front hairline, which goes faster.</param>
/// <param name="Own">How this client's hair lifts against the tables; null as tabled.</param>
/// <param name="Figures">The product's own figures; null as the tables have its kind.</param>
/// <param name="Mixture">Factor on the speed by what is mixed with it: ratio and additive.</param>
public sealed record LiftCase(
    Level From,
    Diameter Diameter,
    Porosity Porosity,
    bool Coloured,
    Lightener Lightener,
    Volume Volume,
    Covering Covering,
    bool LowHeat = false,
    double Coverage = 1,
    bool Hairline = false,
    OwnLift? Own = null,
    LightenerFigures? Figures = null,
    double Mixture = 1
)
{
    /// <summary>The lightener's figures.</summary>
    public LightenerFigures FiguresOf() => Figures ?? LiftTables.Of(Lightener);
}

/// <summary>
/// How light hair becomes. A film that dries works while it is moist: exposure X(t) = Q·τd·(1 − e^(−t/τd)), Q =
/// 2^((T−25)/10);
/// lift ΔL(t) = cap·(1 − e^(−X·k/τ)). Forwards and backwards in closed form. Model assumption throughout.
/// </summary>
public sealed class Lifting
{
    private readonly double warmth;
    private readonly double drying;
    private readonly double rate;

    /// <summary>Prepares a case.</summary>
    public Lifting(LiftCase of)
    {
        ArgumentNullException.ThrowIfNull(of);
        Case = of;
        var figures = of.FiguresOf();
        var (stays, degrees) = LiftTables.Under(of.Covering, of.LowHeat);
        warmth = WarmthAt(degrees);
        drying = figures.DryingMinutes * stays;
        Cap = Math.Max(
            0,
            Math.Min(
                figures.RatedLevels * LiftTables.ShareOfRated(of.Volume) * LiftTables.Darkness(of.From)
                    + (of.Own?.CapLevels ?? 0),
                Level.Lightest - of.From.Value
            ) - (of.Coloured ? LiftTables.ColouredCapLoss : 0)
        );
        Speed =
            LiftTables.DeveloperSpeed(of.Volume)
            * LiftTables.HairSpeed(of.Diameter, of.Porosity)
            * (of.Coloured ? LiftTables.ColouredSpeed : 1)
            * (of.Hairline ? LiftTables.HairlineSpeed : 1)
            * (of.Own?.Speed ?? 1)
            * of.Mixture
            * Math.Clamp(of.Coverage, 0, 1);
        rate = Speed / figures.WorkingMinutes;
    }

    /// <summary>What was asked.</summary>
    public LiftCase Case { get; }

    /// <summary>Most this can lift, levels.</summary>
    public double Cap { get; }

    /// <summary>Speed factor k.</summary>
    public double Speed { get; }

    /// <summary>Most it lifts before its film is dry for good, levels.</summary>
    public double MostGain => Cap * (1 - Math.Exp(-warmth * drying * rate));

    /// <summary>Exposure after some minutes, equivalent minutes at 25 °C.</summary>
    public double Exposure(double minutes) => warmth * drying * (1 - Math.Exp(-minutes / drying));

    /// <summary>How much faster it works at some degrees than at 25 °C.</summary>
    internal static double WarmthAt(double degrees) => Math.Pow(2, (degrees - 25) / 10);

    /// <summary>Levels gained after some minutes ≥ 0.</summary>
    public double Gain(double minutes) => GainAt(Exposure(minutes));

    /// <summary>Levels gained by an exposure, equivalent minutes at 25 °C.</summary>
    internal double GainAt(double exposure) => Cap * (1 - Math.Exp(-exposure * rate));

    /// <summary>The exposure that gains some levels; null where none does.</summary>
    public double? ExposureFor(double gain) => gain >= Cap || rate <= 0 ? null : -Math.Log(1 - gain / Cap) / rate;

    /// <summary>
    /// Levels gained after some minutes with another coverage 0..1 than the case's: coverage touches the speed only.
    /// </summary>
    public double GainAtCoverage(double minutes, double coverage) =>
        Cap * (1 - Math.Exp(-Exposure(minutes) * rate * coverage));

    /// <summary>The sum behind a level, step by step, to be checked by hand.</summary>
    public string Sum(double minutes)
    {
        var tau = Speed / rate;
        return string.Create(
            System.Globalization.CultureInfo.InvariantCulture,
            $"It lifts {Gain(minutes):0.0} of the {Cap:0.0} levels this mixture can give here, in {minutes:0.#} min: "
                + $"cap {Cap:0.00}; X = {warmth:0.000} · {drying:0.0} · (1 − e^(−{minutes:0.#}/{drying:0.0})) = "
                + $"{Exposure(minutes):0.0}; k = {Speed:0.000}, τ = {tau:0.#}; "
                + $"lift = {Cap:0.00} · (1 − e^(−{Exposure(minutes):0.0} · {Speed:0.000} / {tau:0.#})) = "
                + $"{Gain(minutes):0.00}"
        );
    }

    /// <summary>Level after some minutes.</summary>
    public Level After(Minutes minutes) => Level.Clamp(Case.From.Value + Gain(minutes.Value));

    /// <summary>The minute at which too little moisture is left to work: 1.2 times the film's time constant.</summary>
    public double DriesAtMinutes() => -drying * Math.Log(LiftTables.DryMoisture);

    /// <summary>
    /// The minute after which the gain falls below 0.02 level a minute, dry or not; 0 if it never reaches that.
    /// </summary>
    public double FinishedAtMinutes()
    {
        // The gain a minute only ever falls, so its crossing is found by halving.
        double GainPerMinute(double t) => Cap * rate * Math.Exp(-Exposure(t) * rate) * warmth * Math.Exp(-t / drying);
        if (GainPerMinute(0) <= LiftTables.FinishedGainPerMinute)
        {
            return 0;
        }

        double low = 0,
            high = 1;
        while (GainPerMinute(high) > LiftTables.FinishedGainPerMinute)
        {
            high *= 2;
        }

        for (var i = 0; i < 80; i++)
        {
            var mid = (low + high) / 2;
            (low, high) = GainPerMinute(mid) > LiftTables.FinishedGainPerMinute ? (mid, high) : (low, mid);
        }

        return high;
    }

    /// <summary>Minutes to a level, in closed form; 0 if already there, null if it is never reached.</summary>
    public double? MinutesTo(Level target)
    {
        var gain = target.Value - Case.From.Value;
        if (gain <= 0)
        {
            return 0;
        }

        var share = ExposureFor(gain) / (warmth * drying);
        return share is { } s and < 1 ? -drying * Math.Log(1 - s) : null;
    }

    /// <summary>
    /// Why a level is not reached: true when the film dries first, false when it lies beyond the cap.
    /// </summary>
    public bool DriesBefore(Level target) => target.Value - Case.From.Value < Cap;
}
