using Wendro.Head;
using Wendro.Section;

namespace Wendro.Plans;

/// <summary>In which order a plan's panels are worked.</summary>
public static class WorkingOrder
{
    /// <summary>Whether two plans work the same panels in the same order.</summary>
    public static bool IsAlike(Plan one, Plan other)
    {
        ArgumentNullException.ThrowIfNull(one);
        ArgumentNullException.ThrowIfNull(other);
        return one.Working.SequenceEqual(other.Working)
            && ZoneFacts.All.All(z => one.Zones[z].Sections.Order == other.Zones[z].Sections.Order);
    }

    /// <summary>Panels in the order they are worked: zone by zone, each row by row.</summary>
    public static IReadOnlyList<PanelKey> Of(Plan plan, IEnumerable<PanelKey> panels)
    {
        ArgumentNullException.ThrowIfNull(plan);
        var byZone = panels.ToLookup(p => p.Zone);
        return plan
            .Working.SelectMany(zone =>
            {
                var rows = byZone[zone].OrderBy(p => p.Row).ThenBy(p => p.Column);
                return plan.Zones[zone].Sections.Order == RowOrder.HighFirst
                    ? rows.OrderByDescending(p => p.Row).ThenBy(p => p.Column)
                    : rows;
            })
            .ToArray();
    }
}
