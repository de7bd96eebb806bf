using Wendro.Blend;
using Wendro.Hair;
using Wendro.Lift;
using Wendro.Plans;
using Wendro.Units;

namespace Wendro.Apply;

/// <summary>
/// Developers by zone: which of those owned still reach what was planned, how long they take, and how they are mixed
/// so that what is painted first and what is painted last end together. Nothing stronger than planned, unless it is
/// asked for as an offer.
/// </summary>
internal sealed class Strengths
{
    /// <summary>Most developers that are mixed side by side. Model assumption: what a bench keeps apart.</summary>
    private const int MostVolumes = 3;

    private readonly PlannedMix mix;
    private readonly IReadOnlyList<Zoned> zones;

    private Strengths(PlannedMix mix, IReadOnlyList<Zoned> zones) => (this.mix, this.zones) = (mix, zones);

    /// <summary>A lightened panel: when it is painted, and its window under each developer that reaches.</summary>
    private sealed record Lightened(PlannedPanel Panel, int Coat, double PaintedAt);

    /// <summary>The lightened panels of a zone, and the windows each developer gives them.</summary>
    private sealed record Zoned(
        IReadOnlyList<Lightened> Panels,
        IReadOnlyDictionary<double, IReadOnlyList<(PanelWindow Window, double Meant)>> Windows
    );

    /// <summary>
    /// The strengths that may be mixed for a step of a plan, zone by zone in the order it is painted.
    /// </summary>
    /// <param name="visit">The plan on the clock, rinsed at once: no rinse comes between.</param>
    /// <param name="step">The step.</param>
    /// <param name="stronger">Whether what is stronger than planned counts, where it may be offered.</param>
    public static Strengths Of(VisitOnClock visit, StepOfVisit step, bool stronger = false)
    {
        var mix = visit.Mix;
        var zones = step
            .Panels.Select(p => (On: mix.Head.PanelOf(p.Panel)!, p.PaintedAt))
            .Select(p => (p.On, p.PaintedAt, Coat: IndexOfLight(p.On, step.Number)))
            .Where(p => p.Coat >= 0)
            .GroupBy(p => p.On.Panel.Key.Zone)
            .Select(zone =>
            {
                var panels = zone.Select(p => new Lightened(p.On, p.Coat, p.PaintedAt)).ToArray();
                return new Zoned(
                    panels,
                    mix.VolumesOwned.Union(panels.Select(p => p.Panel.Coats[p.Coat].Formula.Volume.Value))
                        .Select(v => (Volume: v, Windows: WindowsOf(panels, mix.Head.Hair, v, stronger)))
                        .Where(w => w.Windows is not null)
                        .ToDictionary(w => w.Volume, w => w.Windows!)
                );
            })
            .ToArray();
        return new(mix, zones);
    }

    /// <summary>
    /// Weaker where it is painted first: of all ways to let strength rise from zone to zone, the one in which a rinse
    /// at the end finds fewest panels outside their windows, then soonest, then with fewest developers. Null where no
    /// weaker developer reaches what was planned.
    /// </summary>
    public PlanEdit? WeakerFirst()
    {
        if (zones.Count == 0 || Rising(0, []).ToArray() is not { Length: > 0 } rising)
        {
            return null;
        }

        var best = rising
            .Select(by => (By: by, End: AtEnd(by), Volumes: by.Distinct().Count()))
            .MinBy(w => (w.End.Outside, w.End.Start, w.Volumes));
        return best.Volumes > 1 ? Mixed(best.By) : null;
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

    /// <summary>
    /// Windows under a developer, and when each panel is what was planned; null where it does not get there on some
    /// panel, or is stronger than planned and that does not count.
    /// </summary>
    private static IReadOnlyList<(PanelWindow Window, double Meant)>? WindowsOf(
        IReadOnlyList<Lightened> panels,
        HairProfile hair,
        double volume,
        bool stronger
    )
    {
        var windows = new List<(PanelWindow Window, double Meant)>();
        foreach (var panel in panels)
        {
            var coat = panel.Panel.Coats[panel.Coat];
            var zone = panel.Panel.Panel.Key.Zone;
            var meant = coat.LiftingOf(hair, zone, HairState.Of(hair.In(zone))[0])!;
            var lifting = new Lifting(meant.Case with { Volume = new(volume) });
            var target = meant.After(coat.Formula.Minutes).Value;
            var window = PanelWindow.Of(lifting, target, coat.Formula.LimitMinutes);
            if ((volume > Planned(panel) && !stronger) || window.Reaches < target - PanelWindow.Tolerance - LeastTold)
            {
                return null;
            }

            var there = lifting.MinutesTo(Level.Clamp(target)) ?? window.To;
            windows.Add((window, Math.Min(there, window.To)));
        }

        return windows;
    }

    /// <summary>What no eye tells, levels.</summary>
    private const double LeastTold = 1e-6;

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

    /// <summary>Panels outside their windows in one rinse at the end, and when it would start.</summary>
    private (double Start, int Outside) AtEnd(double[] by) =>
        SingleRinse.Of(
            zones
                .SelectMany(
                    (z, i) =>
                        z.Panels.Zip(
                            z.Windows[by[i]],
                            (p, w) => (From: p.PaintedAt + w.Window.From, To: p.PaintedAt + w.Window.To)
                        )
                )
                .OrderBy(p => p.To)
                .ToArray(),
            zones.SelectMany(z => z.Panels).Max(p => p.PaintedAt)
        );

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
