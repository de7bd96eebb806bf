using MathNet.Numerics.LinearAlgebra;
using MathNet.Numerics.Optimization;
using Wendro.Hair;
using Wendro.Paint;
using Wendro.Units;

namespace Wendro.Lift;

/// <summary>A look at a test strand.</summary>
/// <param name="Minutes">When, minutes after painting, above 0 up to 120.</param>
/// <param name="Level">Level seen, 1..10.</param>
public sealed record Reading(Minutes Minutes, Level Level);

/// <summary>A strand painted before the visit, to see how this client's hair lifts.</summary>
/// <param name="Lightener">What lightens it.</param>
/// <param name="Volume">Developer.</param>
/// <param name="Covering">What covers it.</param>
/// <param name="Readings">What was seen, in any order.</param>
public sealed record StrandTest(Lightener Lightener, Volume Volume, Covering Covering, IReadOnlyList<Reading> Readings)
{
    /// <summary>
    /// How far an eye's reading lies from the truth, standard deviation, levels: a practised eye is within a quarter
    /// level,
    /// mostly well within. Model assumption.
    /// </summary>
    public const double ReadingSpread = 0.17;

    private const int MostSteps = 2000;
    private const int MostSimplexes = 8;
    private const double Tolerance = 1e-9;
    private const double Nudge = 1e-4;

    /// <summary>Nothing is known surer, or more bound together, than this.</summary>
    private const double Surest = 0.01,
        MostTogether = 0.999;

    /// <summary>
    /// What the test tells of her hair on the day of the visit; what was known where it has no reading. The strand is
    /// taken from hair no band touched.
    /// </summary>
    /// <param name="hair">Her hair.</param>
    /// <param name="known">What earlier visits taught of it; null for nothing.</param>
    public OwnLift? OwnOf(HairProfile hair, OwnLift? known = null)
    {
        if (Readings.Count == 0)
        {
            return known;
        }

        var of = CaseOf(hair);
        return Fit(Readings.Select(r => (of, r)).ToArray(), known).Later();
    }

    /// <summary>The case the strand was painted under, as tabled.</summary>
    public LiftCase CaseOf(HairProfile hair)
    {
        var state = HairState.Of(hair)[0];
        return new LiftCase(
            Units.Level.Clamp(state.Level),
            hair.Diameter,
            state.Porosity,
            state.Coloured,
            Lightener,
            new Units.Volume(Volume),
            Covering
        );
    }

    /// <summary>
    /// The client's own speed and cap: least squares over the readings with what is known of her, or else the spread
    /// of clients, as prior (speed in logarithms), so that one noisy reading moves it a little and five move it a lot.
    /// Found by a simplex search; the spread is that of the linearised problem there. Source: standard least squares;
    /// the spreads are model assumptions.
    /// </summary>
    /// <param name="readings">Readings with the case each was taken under; none gives what was known.</param>
    /// <param name="known">What is known of her hair already; null for <see cref="OwnLift.Unread"/>.</param>
    public static OwnLift Fit(IReadOnlyList<(LiftCase Case, Reading Reading)> readings, OwnLift? known = null)
    {
        ArgumentNullException.ThrowIfNull(readings);
        var prior = known ?? OwnLift.Unread;
        if (readings.Count == 0)
        {
            return prior;
        }

        var observed = Vector<double>.Build.Dense([
            0,
            0,
            .. readings.Select(r => r.Reading.Level.Value / ReadingSpread),
        ]);

        // Two observations stand for the prior: what is known of this client's speed and cap, each to its spread.
        var (speedSpread, capSpread) = (Math.Max(prior.SpeedSpread, Surest), Math.Max(prior.CapSpread, Surest));
        var together = Math.Clamp(prior.Together, -MostTogether, MostTogether);
        var middle = Vector<double>.Build.Dense([Math.Log(prior.Speed), prior.CapLevels]);
        Vector<double> Model(Vector<double> p)
        {
            var speed = (p[0] - middle[0]) / speedSpread;
            var cap = ((p[1] - middle[1]) / capSpread - together * speed) / Math.Sqrt(1 - together * together);
            return Vector<double>.Build.Dense([
                speed,
                cap,
                .. readings.Select(r => Predicted(r.Case, r.Reading.Minutes, p[0], p[1]) / ReadingSpread),
            ]);
        }

        // Where hair can get no lighter the model has a kink, at which a search by slopes stands still: a simplex does
        // not, and where it has folded up before it is there, a fresh one goes on.
        double Cost(Vector<double> p) => Math.Pow((Model(p) - observed).L2Norm(), 2);
        var at = middle;
        var spreads = Vector<double>.Build.Dense([speedSpread, capSpread]);
        for (var fresh = 0; fresh < MostSimplexes; fresh++)
        {
            var found = new NelderMeadSimplex(Tolerance, MostSteps)
                .FindMinimum(ObjectiveFunction.Value(Cost), at, spreads / (1 << fresh))
                .MinimizingPoint;
            var better = Cost(at) - Cost(found);
            at = better > 0 ? found : at;
            if (fresh > 1 && better < Tolerance)
            {
                break;
            }
        }

        var slopes = Matrix<double>.Build.Dense(observed.Count, 2);
        for (var c = 0; c < 2; c++)
        {
            var step = Vector<double>.Build.Dense(2);
            step[c] = Nudge;
            slopes.SetColumn(c, (Model(at + step) - Model(at - step)) / (2 * Nudge));
        }

        var covariance = slopes.TransposeThisAndMultiply(slopes).Inverse();
        var (bySpeed, byCap) = (Math.Sqrt(covariance[0, 0]), Math.Sqrt(covariance[1, 1]));
        return new OwnLift(Math.Exp(at[0]), at[1], bySpeed, byCap, covariance[0, 1] / (bySpeed * byCap));
    }

    private static double Predicted(LiftCase of, double minutes, double x, double c) =>
        new Lifting(of with { Own = new OwnLift(Math.Exp(x), c, 0, 0, 0) }).After(new(minutes)).Value;
}

/// <summary>A level as a band: predictions are not points.</summary>
/// <param name="Low">Lower end.</param>
/// <param name="Level">The likeliest.</param>
/// <param name="High">Upper end.</param>
public sealed record Forecast(double Low, double Level, double High)
{
    /// <summary>How often the band holds the truth: eight of ten. Model assumption.</summary>
    public const double Covers = 0.8;

    /// <summary>Half the width of the band, levels.</summary>
    public double HalfWidth => (High - Low) / 2;

    private const double Widths = 1.2816;
    private const double Nudge = 1e-3;

    /// <summary>The level after some minutes, with the band that what is known of the client leaves.</summary>
    public static Forecast Of(LiftCase of, double minutes)
    {
        ArgumentNullException.ThrowIfNull(of);
        var own = of.Own ?? OwnLift.Unread;
        double At(double speed, double cap) =>
            new Lifting(of with { Own = own with { Speed = speed, CapLevels = cap } }).After(new(minutes)).Value;
        var level = At(own.Speed, own.CapLevels);
        var bySpeed =
            (At(own.Speed * Math.Exp(Nudge), own.CapLevels) - At(own.Speed * Math.Exp(-Nudge), own.CapLevels))
            / (2 * Nudge)
            * own.SpeedSpread;
        var byCap =
            (At(own.Speed, own.CapLevels + Nudge) - At(own.Speed, own.CapLevels - Nudge)) / (2 * Nudge) * own.CapSpread;
        var spread =
            Widths * Math.Sqrt(Math.Max(bySpeed * bySpeed + byCap * byCap + 2 * own.Together * bySpeed * byCap, 0));
        return new Forecast(
            Math.Max(level - spread, of.From.Value),
            level,
            Math.Min(level + spread, Units.Level.Lightest)
        );
    }
}
