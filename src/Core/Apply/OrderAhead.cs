using System.Globalization;
using Wendro.Core.Chair;
using Wendro.Core.Head;
using Wendro.Core.Plans;

namespace Wendro.Core.Apply;

/// <summary>
/// The order of zones that ends soonest: low before high and the fragile hairline last, unless the plan has it
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

    /// <summary>The change of order; null where none ends a step sooner, or the step is too large to be
    /// searched.</summary>
    /// <param name="visit">The visit as planned.</param>
    public static PlanEdit? Of(VisitOnClock visit)
    {
        var plan = visit.Mix.Head.Plan;
        var steps = visit.Steps.Where(s => s.Panels.Count > 0).ToArray();
        if (steps is not [var step] || step.Panels.Count > ChairPlanner.MostPanels)
        {
            return null;
        }

        var zones = step.Panels.Select(p => p.Panel.Zone).Distinct().ToArray();
        if (zones.Length is < 2 or > ChairPlanner.MostGroups)
        {
            return null;
        }

        var problem = Problem(step, zones);
        var found = ChairPlanner.Of(problem);
        if (!found.Feasible)
        {
            return null;
        }

        var order = found
            .Order.Select(id => (Zone)int.Parse(id, CultureInfo.InvariantCulture))
            .Concat(plan.Working.Except(zones))
            .ToArray();
        return order.SequenceEqual(plan.Working) ? null : new SetOrder(order);
    }

    private static ChairProblem Problem(StepOfVisit step, Zone[] zones)
    {
        var at = step.From;
        var takes = new Dictionary<Section.PanelKey, double>();
        foreach (var panel in step.Panels)
        {
            takes[panel.Panel] = panel.PaintedAt - Math.Max(at, step.From);
            at = panel.PaintedAt;
        }

        return new(
            zones
                .Select(z => new ChairGroup(
                    Id(z),
                    step.Panels.Where(p => p.Panel.Zone == z)
                        .Select(p => new ChairPanel(
                            Math.Max(1e-3, takes[p.Panel]),
                            (p.FromAt ?? p.PaintedAt) - p.PaintedAt,
                            (p.ToAt ?? p.PaintedAt + Units.Minutes.Longest) - p.PaintedAt
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
    }

    private static string Id(Zone zone) => ((int)zone).ToString(CultureInfo.InvariantCulture);
}
