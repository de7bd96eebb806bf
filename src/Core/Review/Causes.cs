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

    /// <summary>A fact that makes less than this tells nothing, levels.</summary>
    private const double HardlyTold = 0.12;

    private sealed record Read(Zone Zone, Depth Depth, double Natural, double Planned, double CameOut)
    {
        public double Difference => CameOut - Planned;
    }

    /// <summary>One thing that may be so: what of the lift it changes, and how common it is.</summary>
    private sealed record Hypothesis(
        CauseKind Kind,
        double Prior,
        bool EverywhereAlike,
        Func<Lightened, Lifting> Lifts,
        Func<Lightened, Sentence> Evidence
    )
    {
        public double ShiftCm { get; init; }
    }

    /// <summary>The usual lightened coat of a zone, and what is known of it.</summary>
    private sealed record Lightened(
        Zone Zone,
        Coat Coat,
        Lifting Planned,
        Lifting Really,
        double PlannedMinutes,
        Worked? Worked,
        IReadOnlyList<(double Minutes, double Level)> Looks
    )
    {
        public double Alike => Worked?.Alike ?? PlannedMinutes;

        /// <summary>What a lift gains by the minutes it worked, against what was planned.</summary>
        public double RatioOf(Lifting lifting) => lifting.Gain(Alike) / Math.Max(0.01, Planned.Gain(PlannedMinutes));

        /// <summary>Its lift with another case.</summary>
        public Lifting With(Func<LiftCase, LiftCase> change) => new(change(Really.Case));
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

        var weighted = Known(here)
            .Concat(Possible(here))
            .Select(h => (Of: h, Log: Math.Log(h.Prior) + LogLikelihood(h, read, coats, zone, depths, planned)))
            .Append((Of: Unknown, Log: Math.Log(Unknown.Prior) + LogUnknown(read, zone) + LogLooks(Unknown, here)))
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

    private static Hypothesis Unknown { get; } =
        new(CauseKind.Unexplained, 0.06, false, l => l.Really, _ => "Nothing the model knows makes it.");

    /// <summary>What is known to have happened: it alone explains it, or part of it.</summary>
    private static IEnumerable<Hypothesis> Known(Lightened here)
    {
        var lift = here.Planned.Gain(here.PlannedMinutes);
        var byTime = here.Planned.Gain(here.Alike) - lift;
        var byMix = here.Really.Gain(here.PlannedMinutes) - lift;
        if (Math.Abs(byTime) >= HardlyTold)
        {
            yield return new(
                byTime < 0 ? CauseKind.RinsedSoon : CauseKind.RinsedLate,
                0.6,
                false,
                l => l.Really,
                l =>
                    l.Worked is { } w
                        ? (Sentence)$"It worked {w.Minutes:0} min, planned were {l.PlannedMinutes:0}."
                        : "The chair tells nothing of it."
            );
        }

        if (Math.Abs(byMix) >= HardlyTold)
        {
            yield return new(
                byMix < 0 ? CauseKind.MixedWeaker : CauseKind.MixedStronger,
                0.6,
                false,
                l => l.Really,
                _ => "The bowl was weighed otherwise than the recipe."
            );
        }
    }

    /// <summary>What may be so besides.</summary>
    private static IEnumerable<Hypothesis> Possible(Lightened here)
    {
        var open = here.Coat.Painted.Paint.Covering == Covering.Open;
        var dries = here.Planned.DriesAtMinutes();
        var late = here.Alike > 0.7 * dries;
        foreach (var share in new[] { 0.6, 0.4, 0.25 })
        {
            yield return new(
                CauseKind.Dried,
                (open ? (late ? 0.2 : 0.1) : 0.02) / 3,
                false,
                l =>
                    l.With(c =>
                        c with
                        {
                            Figures = c.FiguresOf() with { DryingMinutes = c.FiguresOf().DryingMinutes * share },
                        }
                    ),
                l =>
                    open
                        ? (Sentence)
                            $"Nothing was laid over it; open it is dry at {l.Planned.DriesAtMinutes():0} min, in a "
                            + $"draught at {l.Planned.DriesAtMinutes() * share:0}."
                        : "It was covered: it hardly dries."
            );
        }

        foreach (var share in new[] { 0.8, 0.65, 0.5 })
        {
            yield return new(
                CauseKind.ThinCoat,
                0.12 / 3,
                false,
                l => l.With(c => c with { Coverage = c.Coverage * share }),
                _ => $"A coat that takes {share * 100:0} % of what it should makes it."
            );
        }

        foreach (var (kind, porosity) in Porosities(here.Really.Case.Porosity))
        {
            yield return new(
                kind,
                0.07,
                false,
                l => l.With(c => c with { Porosity = porosity }),
                _ => $"Hair of {porosity.ToString().ToLowerInvariant()} porosity there would make it."
            );
        }

        if (ZoneFacts.IsHairline(here.Zone))
        {
            yield return new(
                CauseKind.FineHairline,
                0.12,
                false,
                l => l.With(c => c with { Diameter = Diameter.Fine, Coverage = 1, Mixture = c.Mixture * 1.15 }),
                _ => "Hair at the hairline is finer than the rest."
            );
        }

        foreach (
            var (kind, shift) in new[]
            {
                (CauseKind.StartLower, 2.5),
                (CauseKind.StartLower, 4.5),
                (CauseKind.StartHigher, -2.5),
                (CauseKind.StartHigher, -4.5),
            }
        )
        {
            yield return new(
                kind,
                0.03,
                false,
                l => l.Really,
                _ =>
                    $"Begun {Quantity.Cm(Math.Abs(shift), "0")} {(shift > 0 ? "lower" : "higher")}, only the upper part differs so."
            )
            {
                ShiftCm = shift,
            };
        }

        foreach (
            var (kind, speed) in new[]
            {
                (CauseKind.SlowerHair, 0.82),
                (CauseKind.SlowerHair, 0.65),
                (CauseKind.QuickerHair, 1.25),
                (CauseKind.QuickerHair, 1.6),
            }
        )
        {
            yield return new(
                kind,
                0.06,
                true,
                l =>
                    l.With(c =>
                        c with
                        {
                            Own = (c.Own ?? OwnLift.Unread) with { Speed = (c.Own?.Speed ?? 1) * speed },
                        }
                    ),
                _ =>
                    $"Everywhere {(speed < 1 ? "less" : "more")} than planned, as hair that lifts at {speed * 100:0} % would."
            );
        }

        foreach (var (kind, by) in new[] { (CauseKind.Cooler, 0.75), (CauseKind.Warmer, 1.3) })
        {
            yield return new(
                kind,
                0.03,
                true,
                l => l.With(c => c with { Mixture = c.Mixture * by }),
                _ =>
                    $"A room {(by < 1 ? "four degrees cooler" : "four degrees warmer")} makes all of it {(by < 1 ? "slower" : "quicker")}."
            );
        }
    }

    private static IEnumerable<(CauseKind, Porosity)> Porosities(Porosity now)
    {
        if (now > Porosity.Low)
        {
            yield return (CauseKind.LessPorous, now - 1);
        }

        if (now < Porosity.High)
        {
            yield return (CauseKind.MorePorous, now + 1);
        }
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
