using Wendro.Core.Apply;
using Wendro.Core.Blend;
using Wendro.Core.Hair;
using Wendro.Core.Head;
using Wendro.Core.Lift;
using Wendro.Core.Paint;
using Wendro.Core.Plans;
using Wendro.Core.Units;

namespace Wendro.Core.Review;

/// <summary>Why something came out otherwise.</summary>
public enum CauseKind
{
    RinsedSoon,
    RinsedLate,
    MixedWeaker,
    MixedStronger,
    Dried,
    ThinCoat,
    StartLower,
    StartHigher,
    LessPorous,
    MorePorous,
    FineHairline,
    SlowerHair,
    QuickerHair,
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
public static class Causes
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

    private sealed record Read(Zone Zone, Depth Depth, double Natural, double Planned, double CameOut)
    {
        public double Difference => CameOut - Planned;
    }

    /// <summary>The causes for a zone, the likeliest first; none where it came out as planned.</summary>
    /// <param name="planned">The head as planned.</param>
    /// <param name="service">What happened at the chair.</param>
    /// <param name="depths">How it is read.</param>
    /// <param name="readings">All that was read.</param>
    /// <param name="zone">The zone.</param>
    /// <param name="weighed">The mixtures as weighed; null as planned.</param>
    public static IReadOnlyList<Cause> Of(
        PlannedHead planned,
        ServiceInHand service,
        Depths depths,
        IReadOnlyCollection<ZoneReading> readings,
        Zone zone,
        AsLaid? weighed = null
    )
    {
        ArgumentNullException.ThrowIfNull(planned);
        ArgumentNullException.ThrowIfNull(service);
        ArgumentNullException.ThrowIfNull(depths);
        ArgumentNullException.ThrowIfNull(readings);
        var before = StrandLevels.Before(planned.Hair, planned.Map, planned.Looks.OnHead.Lengths).Levels;
        var read = readings
            .Where(r => depths.Zones.Contains(r.Zone))
            .Select(r => new Read(
                r.Zone,
                r.Depth,
                depths.At(before, r.Zone, r.Depth),
                depths.At(planned.Levels, r.Zone, r.Depth),
                r.Level
            ))
            .ToArray();
        var coats = read.Select(r => r.Zone)
            .Distinct()
            .Select(z => UsualOf(planned, service, z, weighed ?? planned.Laid))
            .OfType<Lightened>()
            .ToDictionary(l => l.Zone);
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
            .Concat(Hypotheses.Possible(here))
            .Select(h => (Of: h, Log: Math.Log(h.Prior) + LogLikelihood(h, read, coats, zone, depths, planned)))
            .Append(
                (
                    Of: Hypotheses.Unknown,
                    Log: Math.Log(Hypotheses.Unknown.Prior)
                        + LogUnknown(read, zone)
                        + LogLooks(Hypotheses.Unknown, here)
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
                var makes = of.Kind == CauseKind.Unexplained ? 0 : Predicted(of, worst, coats, depths, planned);
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

    private static double LogLikelihood(
        Hypothesis h,
        Read[] read,
        Dictionary<Zone, Lightened> coats,
        Zone zone,
        Depths depths,
        PlannedHead planned
    ) =>
        LogLooks(h, coats[zone])
        + read.Sum(r =>
        {
            if (r.Zone == zone)
            {
                var makes = Predicted(h, r, coats, depths, planned);
                return LogNormal(r.Difference - makes, double.Hypot(Spread, Amplitude * makes));
            }

            return LogOther(r.Difference - (h.EverywhereAlike ? Predicted(h, r, coats, depths, planned) : 0));
        });

    /// <summary>Another zone, which may have a cause of its own.</summary>
    private static double LogOther(double off) =>
        Math.Log(
            (1 - OwnCause) * Math.Exp(LogNormal(off, Spread)) + OwnCause * Math.Exp(LogNormal(off, OwnCauseSpread))
        );

    /// <summary>Looks while it worked: what dried stood still, what was thin was slow from the beginning.</summary>
    private static double LogLooks(Hypothesis h, Lightened here)
    {
        var lifting = h.Lifts(here);
        return here.Looks.Sum(l => LogNormal(l.Level - lifting.After(new(l.Minutes)).Value, Spread));
    }

    private static double LogUnknown(Read[] read, Zone zone) =>
        read.Sum(r => r.Zone == zone ? LogNormal(r.Difference, UnknownSpread) : LogOther(r.Difference));

    private static double LogNormal(double off, double spread) =>
        -0.5 * off * off / (spread * spread) - Math.Log(spread);

    /// <summary>The difference a cause makes where something was read.</summary>
    private static double Predicted(
        Hypothesis h,
        Read r,
        Dictionary<Zone, Lightened> coats,
        Depths depths,
        PlannedHead planned
    )
    {
        if (!coats.TryGetValue(r.Zone, out var coat))
        {
            return 0;
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

    /// <summary>The zone's coat in the middle of its working order; null where nothing there is lightened.</summary>
    private static Lightened? UsualOf(PlannedHead planned, ServiceInHand service, Zone zone, AsLaid weighed)
    {
        var panels = planned
            .Panels.Where(p => p.Panel.Key.Zone == zone && p.Coats.Any(c => c.Formula.Light is not null))
            .ToArray();
        if (panels.Length == 0)
        {
            return null;
        }

        var panel = panels[panels.Length / 2];
        var at = panel.Coats.ToList().FindIndex(c => c.Formula.Light is not null);
        var coat = panel.Coats[at];
        var state = HairState.Of(planned.Hair.In(zone))[0];
        var real = weighed.Coat(panel.Panel.Key, at, coat.Painted, coat.Formula) with
        {
            Step = coat.Step,
            Damp = coat.Damp,
        };
        var worked = panels
            .Select(p => AsHappened.Of(service, planned, p, p.Coats.First(c => c.Formula.Light is not null)))
            .OfType<Worked>()
            .ToArray();
        return new(
            zone,
            coat,
            coat.LiftingOf(planned.Hair, zone, state)!,
            real.LiftingOf(planned.Hair, zone, state)!,
            coat.Formula.Minutes.Value,
            worked.Length == 0 ? null : new(worked.Average(w => w.Minutes), worked.Average(w => w.Alike)),
            service
                .Looks.Where(l => l.Look.Panel.Zone == zone && l.Step == coat.Step && l.Stood.PaintedAt is not null)
                .Select(l => ((l.At - l.Stood.PaintedAt!.Value).TotalMinutes, l.Look.Level.Value))
                .Where(l => l.TotalMinutes is > 0 and < Minutes.Longest)
                .Select(l => (l.TotalMinutes, l.Value))
                .ToArray()
        );
    }
}
