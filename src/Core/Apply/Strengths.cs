using Wendro.Core.Blend;
using Wendro.Core.Chair;
using Wendro.Core.Hair;
using Wendro.Core.Head;
using Wendro.Core.Lift;
using Wendro.Core.Mix;
using Wendro.Core.Paint;
using Wendro.Core.Plans;
using Wendro.Core.Section;
using Wendro.Core.Units;

namespace Wendro.Core.Apply;

/// <summary>
/// Developers by zone: which of those owned still reach what was planned, how long they take, and how they are mixed
/// so that what is painted first and what is painted last end together. Nothing stronger than planned, unless it is asked
/// for as an offer.
/// </summary>
internal sealed class Strengths
{
    /// <summary>Most developers that are mixed side by side. Model assumption: what a bench keeps apart.</summary>
    private const int MostVolumes = 3;

    /// <summary>A wave at the end is thought of this much later at most, minutes, and in which steps.</summary>
    private const int WaitsAtMost = 40,
        WaitsBy = 2;

    private readonly PlannedMix mix;
    private readonly IReadOnlyList<Zoned> zones;

    private Strengths(PlannedMix mix, IReadOnlyList<Zoned> zones) => (this.mix, this.zones) = (mix, zones);

    /// <summary>A lightened panel: when it is painted, and its window under each developer that reaches.</summary>
    private sealed record Lightened(PlannedPanel Panel, int Coat, double PaintedAt);

    /// <summary>The lightened panels of a zone, and the windows each developer gives them.</summary>
    private sealed record Zoned(
        Zone Zone,
        IReadOnlyList<Lightened> Panels,
        IReadOnlyDictionary<double, (double From, double To, double Meant)[]> Windows
    );

    /// <summary>The strengths that may be mixed for a step of a plan, zone by zone in the order it is painted.</summary>
    /// <param name="visit">The plan on the clock.</param>
    /// <param name="step">The step.</param>
    /// <param name="stronger">Whether what is stronger than planned counts, where it may be offered.</param>
    public static Strengths Of(VisitOnClock visit, StepOfVisit step, bool stronger = false)
    {
        var mix = visit.Mix;
        var owned = mix.Shelf.OfType<DeveloperProduct>().Select(d => d.Volume.Value).Distinct().Order().ToArray();
        var heads = mix.Head.Panels.ToDictionary(p => p.Panel.Key);
        var zones = step
            .Panels.Select(p => (On: heads[p.Panel], p.PaintedAt))
            .Select(p => (p.On, p.PaintedAt, Coat: IndexOfLight(p.On, step.Number)))
            .Where(p => p.Coat >= 0)
            .GroupBy(p => p.On.Panel.Key.Zone)
            .Select(zone =>
            {
                var panels = zone.Select(p => new Lightened(p.On, p.Coat, p.PaintedAt)).ToArray();
                return new Zoned(
                    zone.Key,
                    panels,
                    owned
                        .Union(panels.Select(p => p.Panel.Coats[p.Coat].Formula.Volume.Value))
                        .Select(v => (Volume: v, Windows: WindowsOf(panels, mix.Head.Hair, v, stronger)))
                        .Where(w => w.Windows is not null)
                        .ToDictionary(w => w.Volume, w => w.Windows!)
                );
            })
            .ToArray();
        return new(mix, zones);
    }

    /// <summary>
    /// Weaker where it is painted first: of all ways to let strength rise from zone to zone, the one in which a wave
    /// at the end finds fewest panels outside their windows, then soonest, then with fewest developers. Null where no
    /// weaker developer reaches what was planned.
    /// </summary>
    public PlanEdit? WeakerFirst()
    {
        (int Outside, double Start, int Volumes, double[] By)? best = null;
        foreach (var by in zones.Count == 0 ? [] : Rising(0, []))
        {
            var (outside, start) = AtEnd(by);
            var found = (outside, start, by.Distinct().Count(), by);
            if (
                best is not { } b
                || (found.outside, found.start, found.Item3).CompareTo((b.Outside, b.Start, b.Volumes)) < 0
            )
            {
                best = found;
            }
        }

        return best is { Volumes: > 1 } rising ? Mixed(rising.By) : null;
    }

    /// <summary>One strength for all, the mildest that reaches what was planned everywhere; null where all have
    /// it.</summary>
    public PlanEdit? OneStrength()
    {
        var volumes = zones.SelectMany(z => z.Panels.Select(Planned)).Distinct().ToArray();
        return volumes.Length < 2
            ? null
            : zones
                .SelectMany(z => z.Windows.Keys)
                .Distinct()
                .Order()
                .Where(v => zones.All(z => z.Windows.ContainsKey(v)))
                .Select(v => Mixed([.. zones.Select(_ => v)]))
                .FirstOrDefault();
    }

    private static int IndexOfLight(PlannedPanel panel, int step)
    {
        for (var i = 0; i < panel.Coats.Count; i++)
        {
            if (panel.Coats[i].Step == step && !panel.Coats[i].Formula.IsDeposit)
            {
                return i;
            }
        }

        return -1;
    }

    private static double Planned(Lightened panel) => panel.Panel.Coats[panel.Coat].Formula.Volume.Value;

    /// <summary>Windows under a developer no stronger than planned; null where it does not reach on some
    /// panel.</summary>
    private static (double From, double To, double Meant)[]? WindowsOf(
        IReadOnlyList<Lightened> panels,
        HairProfile hair,
        double volume,
        bool stronger
    )
    {
        var windows = new (double, double, double)[panels.Count];
        for (var i = 0; i < panels.Count; i++)
        {
            var (panel, c, _) = panels[i];
            var coat = panel.Coats[c];
            if (volume > coat.Formula.Volume.Value && !stronger)
            {
                return null;
            }

            var state = HairState.Of(hair.In(panel.Panel.Key.Zone))[0];
            var meant = coat.LiftingOf(hair, panel.Panel.Key.Zone, state)!;
            var target = meant.After(coat.Formula.Minutes).Value;
            var weaker = new Lifting(meant.Case with { Volume = new(volume) });
            var end = Math.Min(weaker.DriesAtMinutes(), coat.Formula.LimitMinutes ?? double.PositiveInfinity);
            if (weaker.MinutesTo(Level.Clamp(target - PanelWindow.Tolerance)) is not { } from || from > end)
            {
                return null;
            }

            var over = weaker.MinutesTo(Level.Clamp(target + PanelWindow.Tolerance)) ?? double.PositiveInfinity;
            var there = weaker.MinutesTo(Level.Clamp(target)) ?? end;
            windows[i] = (from, Math.Min(end, over), Math.Min(there, end));
        }

        return windows;
    }

    /// <summary>All ways to let strength stay or rise from zone to zone, with few developers.</summary>
    private IEnumerable<double[]> Rising(int zone, double[] so)
    {
        if (zone == zones.Count)
        {
            return [so];
        }

        return zones[zone]
            .Windows.Keys.Where(v => so.Length == 0 || v >= so[^1])
            .Where(v => so.Append(v).Distinct().Count() <= MostVolumes)
            .Order()
            .SelectMany(v => Rising(zone + 1, [.. so, v]));
    }

    /// <summary>Panels outside their windows in one wave at the end, and when it would start.</summary>
    private (int Outside, double Start) AtEnd(double[] by)
    {
        var panels = zones
            .SelectMany(
                (z, i) => z.Panels.Zip(z.Windows[by[i]], (p, w) => (From: p.PaintedAt + w.From, To: p.PaintedAt + w.To))
            )
            .OrderBy(p => p.To)
            .ToArray();
        var last = zones.SelectMany(z => z.Panels).Max(p => p.PaintedAt);
        return Enumerable
            .Range(0, WaitsAtMost / WaitsBy + 1)
            .Select(i => last + i * WaitsBy)
            .Select(start =>
                (
                    Outside: panels
                        .Where((p, j) => start + ChairProblem.UsualSlot(j) is var r && (r < p.From || r > p.To))
                        .Count(),
                    Start: start
                )
            )
            .MinBy(w => w.Outside);
    }

    /// <summary>
    /// The change that mixes so: a formula all of whose panels take one developer is changed, others get a formula
    /// beside them. Null where there are no letters left, or nothing changes.
    /// </summary>
    private Together? Mixed(double[] by)
    {
        var wanted = zones
            .SelectMany(
                (z, i) =>
                    z.Panels.Select(
                        (p, k) =>
                            (
                                p.Panel.Panel.Key,
                                p.Coat,
                                p.Panel.Coats[p.Coat].Formula,
                                Volume: by[i],
                                z.Windows[by[i]][k].Meant
                            )
                    )
            )
            .ToArray();
        var free = new Queue<FormulaId>(FormulaId.All.Except(mix.Head.Plan.Formulas.Select(f => f.Id)));
        var edits = new List<PlanEdit>();
        foreach (var of in wanted.GroupBy(w => w.Formula))
        {
            var parts = of.GroupBy(w => w.Volume).OrderBy(g => g.Key).ToArray();
            foreach (var part in parts.Where(p => p.Key != of.Key.Volume.Value))
            {
                var minutes = part.Select(w => w.Meant).Order().ElementAt(part.Count() / 2);
                var weaker = of.Key with { Volume = new(part.Key), Minutes = new(Math.Max(1, Math.Round(minutes))) };
                if (parts.Length == 1)
                {
                    edits.Add(new SetFormula(weaker));
                    continue;
                }

                if (!free.TryDequeue(out var id))
                {
                    return null;
                }

                edits.Add(new SetFormula(weaker with { Id = id }));
                edits.AddRange(
                    part.GroupBy(w => w.Coat).Select(c => new UseFormula(c.Select(w => w.Key).ToArray(), id, c.Key))
                );
            }
        }

        return edits.Count == 0 ? null : new(edits);
    }
}
