using Wendro.Head;
using Wendro.Paint;
using Wendro.Section;

namespace Wendro.Plans;

/// <summary>The painted panels of a plan, for moves over the whole head.</summary>
internal static class Painted
{
    /// <summary>Painted panels of some zones.</summary>
    public static IEnumerable<(Panel Panel, PanelPaint Paint)> In(Plan plan, Cutting cutting, Func<Zone, bool> which) =>
        ZoneFacts
            .All.Where(which)
            .SelectMany(z => cutting.Cut(plan, z).Panels)
            .Select(p => (p, plan.Zones[p.Key.Zone].Of(p.Key)!))
            .Where(p => p.Item2 is not null);

    /// <summary>Changes each of them; null leaves it natural.</summary>
    public static Plan Each(
        Plan plan,
        IEnumerable<(Panel Panel, PanelPaint Paint)> painted,
        Func<Panel, PanelPaint, PanelPaint?> change
    ) => painted.Aggregate(plan, (p, x) => Panelwise.Each(p, [x.Panel.Key], _ => change(x.Panel, x.Paint)));

    /// <summary>
    /// Starts the painted panels of some zones further from the scalp, or nearer where that is negative, cm.
    /// </summary>
    public static Plan Lower(Plan plan, Cutting cutting, Func<Zone, bool> which, double byCm) =>
        Each(plan, In(plan, cutting, which), (panel, paint) => paint.Lowered(byCm, panel.LengthCm));
}
