using Wendro.Apply;
using Wendro.Blend;
using Wendro.Hair;
using Wendro.Head;
using Wendro.Lift;
using Wendro.Paint;
using Wendro.Plans;
using Wendro.Units;

namespace Wendro.Review;

/// <summary>Why something came out otherwise.</summary>
public enum CauseKind
{
    RinsedSoon,
    RinsedLate,
    MixedWeaker,
    MixedStronger,
    Dried,
    ThinCoat,
    Slack,
    Lump,
    Tangle,
    CameThrough,
    StartLower,
    StartHigher,
    LessPorous,
    MorePorous,
    FineHairline,
    SlowerHair,
    QuickerHair,
    LowerCap,
    Cooler,
    Warmer,

    /// <summary>None that the model knows.</summary>
    Unexplained,
}

/// <summary>A cause of a difference, run through the model.</summary>
/// <param name="Kind">Which.</param>
/// <param name="Words">In a few words.</param>
/// <param name="Evidence">What of what happened speaks for it.</param>
/// <param name="Share">How likely among all that are known, 0..1.</param>
/// <param name="Makes">The difference it makes where the zone differs most, levels.</param>
/// <param name="Left">What it leaves unexplained there, levels.</param>
public sealed record Cause(CauseKind Kind, Sentence Words, Sentence Evidence, double Share, double Makes, double Left);

/// <summary>
/// Causes of what came out otherwise in a zone, ranked. Each is run through the lift's own model on top of what is
/// known to have happened; how well it makes the readings, of this zone and, where it would touch all hair, of the
/// others, against how common it is, gives its share. Model assumption throughout.
/// </summary>
public sealed class Causes
{
    /// <summary>How far a reading lies from the truth with all that the model doesn't know, levels.</summary>
    public const double Spread = 0.22;

    /// <summary>How much more or less than run through the model a cause may do, share of it.</summary>
    public const double Amplitude = 0.2;

    /// <summary>How often another zone has a cause of its own, and how far off it is then, levels.</summary>
    private const double OwnCause = 0.15,
        OwnCauseSpread = 0.9;

    /// <summary>What nothing explains lies so far off, levels.</summary>
    private const double UnknownSpread = 0.7;

    private sealed record Read(
        Zone Zone,
        Depth Depth,
        double Natural,
        double Planned,
        double CameOut,
        double? OwnSpread,
        Evenness Evenness
    )
    {
        public double Difference => CameOut - Planned;

        /// <summary>How far it may lie from the truth: one read from a photograph often further than by eye.</summary>
        public double Spread => Math.Max(Causes.Spread, OwnSpread ?? 0);
    }

    private readonly PlannedHead planned;
    private readonly Depths depths;
    private readonly IReadOnlyList<ReviewMark> marks;
    private readonly Read[] read;
    private readonly Dictionary<Zone, Lightened> coats;

    /// <summary>Prepares what every zone is judged by.</summary>
    /// <param name="planned">The head as planned.</param>
    /// <param name="service">What happened at the chair.</param>
    /// <param name="depths">How it is read.</param>
    /// <param name="readings">All that was read.</param>
    /// <param name="weighed">The mixtures as weighed; null as planned.</param>
    /// <param name="marks">What is wrong at its places; null for nothing.</param>
    public Causes(
        PlannedHead planned,
        ServiceInHand service,
        Depths depths,
        IReadOnlyCollection<ZoneReading> readings,
        ActualApplication? weighed = null,
        IReadOnlyList<ReviewMark>? marks = null
    )
    {
        ArgumentNullException.ThrowIfNull(planned);
        ArgumentNullException.ThrowIfNull(service);
        ArgumentNullException.ThrowIfNull(depths);
        ArgumentNullException.ThrowIfNull(readings);
        (this.planned, this.depths, this.marks) = (planned, depths, marks ?? []);
        read = readings
            .Where(r => depths.Zones.Contains(r.Zone))
            .Select(r => new Read(
                r.Zone,
                r.Depth,
                depths.Natural(r.Zone, r.Depth),
                depths.Planned(r.Zone, r.Depth),
                r.Level,
                r.Spread,
                r.Evenness
            ))
            .ToArray();
        coats = read.Select(r => r.Zone)
            .Distinct()
            .Select(z => Lightened.In(planned, service, z, weighed))
            .OfType<Lightened>()
            .ToDictionary(l => l.Zone);
    }

    /// <summary>The causes for a zone, the likeliest first; none where it came out as planned.</summary>
    public IReadOnlyList<Cause> Of(Zone zone)
    {
        var worst = read.Where(r => r.Zone == zone).MaxBy(r => Math.Abs(r.Difference));
        if (
            worst is null
            || Math.Abs(worst.Difference) < Differences.AsPlannedWithin
            || !coats.TryGetValue(zone, out var here)
        )
        {
            return [];
        }

        var weighted = Hypotheses
            .Known(here)
            .Concat(Hypotheses.Possible(here, marks.Where(m => m.Panel.Zone == zone).ToArray()))
            .Select(h => (Of: h, Log: Math.Log(h.Prior) + LogLikelihood(h, zone)))
            .Append(
                (
                    Of: Hypotheses.Unknown,
                    Log: Math.Log(Hypotheses.Unknown.Prior)
                        + LogUnknown(zone)
                        + LogLooks(Hypotheses.Unknown, here)
                        + LogEvenness(CauseKind.Unexplained, zone)
                )
            )
            .ToArray();
        var most = weighted.Max(w => w.Log);
        var all = weighted.Sum(w => Math.Exp(w.Log - most));
        return weighted
            .GroupBy(w => CauseWords.ToldAs(w.Of.Kind))
            .Select(alike =>
            {
                // What nothing left behind can tell apart is told as one, by the likeliest of them.
                var (of, _) = alike.MaxBy(w => w.Log);
                var makes = of.Kind == CauseKind.Unexplained ? 0 : Predicted(of, worst);
                return new Cause(
                    alike.Key,
                    CauseWords.Of(alike.Key),
                    of.Evidence(here),
                    alike.Sum(w => Math.Exp(w.Log - most)) / all,
                    makes,
                    worst.Difference - makes
                );
            })
            .OrderByDescending(c => c.Share)
            .ToArray();
    }

    private double LogLikelihood(Hypothesis h, Zone zone) =>
        LogLooks(h, coats[zone])
        + LogEvenness(h.Kind, zone)
        + read.Sum(r =>
        {
            if (r.Zone == zone)
            {
                var makes = Predicted(h, r);
                return LogNormal(r.Difference - makes, double.Hypot(r.Spread, Amplitude * makes));
            }

            return LogOther(r.Difference - (h.EverywhereAlike ? Predicted(h, r) : 0), r.Spread);
        });

    /// <summary>How even the zone looks at its least even.</summary>
    private double LogEvenness(CauseKind kind, Zone zone) =>
        Math.Log(Hypotheses.ShareLooking(kind, read.Where(r => r.Zone == zone).Max(r => r.Evenness)));

    /// <summary>Another zone, which may have a cause of its own.</summary>
    private static double LogOther(double off, double spread) =>
        Math.Log(
            (1 - OwnCause) * Math.Exp(LogNormal(off, spread)) + OwnCause * Math.Exp(LogNormal(off, OwnCauseSpread))
        );

    /// <summary>Looks while it worked: what dried stood still, what was thin was slow from the beginning.</summary>
    private static double LogLooks(Hypothesis h, Lightened here)
    {
        var lifting = h.Lifts(here);
        return here.Looks.Sum(l => LogNormal(l.Level - lifting.After(new(l.Minutes)).Value, Spread));
    }

    private double LogUnknown(Zone zone) =>
        read.Sum(r => r.Zone == zone ? LogNormal(r.Difference, UnknownSpread) : LogOther(r.Difference, r.Spread));

    private static double LogNormal(double off, double spread) =>
        -0.5 * off * off / (spread * spread) - Math.Log(spread);

    /// <summary>The difference a cause makes where something was read.</summary>
    private double Predicted(Hypothesis h, Read r)
    {
        if (!coats.TryGetValue(r.Zone, out var coat))
        {
            return 0;
        }

        if (h.AddsLevels > 0)
        {
            return r.Depth == Depth.Root ? 0 : h.AddsLevels;
        }

        var lifted = Math.Max(0, r.Planned - r.Natural);
        if (h.ShiftCm == 0)
        {
            return lifted * (coat.RatioOf(h.Lifts(coat)) - 1);
        }

        var length = depths.LengthOf(r.Zone);
        var at = Math.Clamp(Depths.Middle(r.Depth) - h.ShiftCm / length, 0, 0.999);
        var curve = depths.Along(planned.Levels, r.Zone, CurvePlaces);
        return curve[(int)(at * CurvePlaces)] - r.Planned + lifted * (coat.RatioOf(h.Lifts(coat)) - 1);
    }

    private const int CurvePlaces = 40;
}
