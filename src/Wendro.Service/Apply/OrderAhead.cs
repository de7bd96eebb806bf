using System.Globalization;
using Wendro.Head;
using Wendro.Plans;
using Wendro.Scheduling;

namespace Wendro.Apply;

/// <summary>
/// Orders of zones that may end sooner: low before high and the fragile hairline last, unless the plan has it
/// otherwise.
/// </summary>
internal static class OrderAhead
{
    /// <summary>What lies lower, and what is painted after it.</summary>
    private static readonly (Zone First, Zone Then)[] Usual =
    [
        (Zone.Nape, Zone.LowerBack),
        (Zone.LowerBack, Zone.UpperBack),
        (Zone.UpperBack, Zone.Crown),
        (Zone.SideLeft, Zone.TopLeft),
        (Zone.SideRight, Zone.TopRight),
        .. from hairline in ZoneFacts.All
        where ZoneFacts.IsHairline(hairline)
        from zone in ZoneFacts.All
        where !ZoneFacts.IsHairline(zone)
        select (zone, hairline),
    ];

    /// <summary>
    /// Orders worth trying: by the chair's sum, which knows neither where bowls will be mixed nor what waits for a
    /// rinse, once with the time of both as it is in the plan and once without. None where the step is too large to be
    /// searched.
    /// </summary>
    /// <param name="visit">The visit as planned.</param>
    public static IReadOnlyList<SetOrder> Of(VisitOnClock visit)
    {
        var plan = visit.Mix.Head.Plan;
        var steps = visit.Steps.Where(s => s.Panels.Count > 0).ToArray();
        if (steps is not [var step] || step.Panels.Count > SchedulePlanner.MostPanels)
        {
            return [];
        }

        var zones = step.Panels.Select(p => p.Panel.Zone).Distinct().ToArray();
        if (zones.Length is < 2 or > SchedulePlanner.MostGroups)
        {
            return [];
        }

        var since = step
            .Panels.Zip(
                step.Panels.Select(p => p.PaintedAt).Prepend(step.From),
                (p, before) => (p.Panel, Minutes: p.PaintedAt - before)
            )
            .ToDictionary(t => t.Panel, t => t.Minutes);
        var freeing = CoverRemoval.Of(visit.Mix.Head);
        Func<PanelAhead, double>[] takes = [p => since[p.Panel], p => p.PaintedAt - p.BegunAt];
        return takes
            .Select(t => SchedulePlanner.Of(Problem(step, zones, freeing, t)))
            .Where(found => found.Feasible)
            .Select(found => found.Order.Select(id => (Zone)int.Parse(id, CultureInfo.InvariantCulture)))
            .Select(order => order.Concat(plan.Working.Except(zones)).ToArray())
            .Where(order => !order.SequenceEqual(plan.Working))
            .DistinctBy(order => string.Join(' ', order))
            .Select(order => new SetOrder(order))
            .ToArray();
    }

    private static ScheduleProblem Problem(
        StepOfVisit step,
        Zone[] zones,
        CoverRemoval freeing,
        Func<PanelAhead, double> takes
    ) =>
        new(
            zones
                .Select(z => new PanelGroup(
                    Id(z),
                    step.Panels.Where(p => p.Panel.Zone == z)
                        .Select(p => new ScheduledPanel(
                            takes(p),
                            (p.FromAt ?? p.PaintedAt) - p.PaintedAt,
                            (p.ToAt ?? p.PaintedAt + Units.Minutes.Longest) - p.PaintedAt,
                            freeing.Minutes(p.Panel)
                        ))
                        .ToArray(),
                    Usual
                        .Where(o => o.Then == z && zones.Contains(o.First))
                        // What the plan does otherwise was chosen.
                        .Where(o => Array.IndexOf(zones, o.First) < Array.IndexOf(zones, z))
                        .Select(o => Id(o.First))
                        .ToArray()
                ))
                .ToArray()
        );

    private static string Id(Zone zone) => ((int)zone).ToString(CultureInfo.InvariantCulture);
}
