using Wendro.Head;
using Wendro.Paint;
using Wendro.Section;

namespace Wendro.Plans;

/// <summary>Changes the paint of panels one by one.</summary>
public static class Panelwise
{
    /// <summary>Changes one of the products of each panel.</summary>
    public static Plan Coat(Plan plan, IReadOnlyList<PanelKey> panels, int coat, Func<PanelPaint, PanelPaint> change) =>
        Each(plan, panels, p => p.With(coat, change));

    /// <summary>
    /// Changes all of each panel's paint; null leaves it natural. One that has none is painted as usual first.
    /// </summary>
    public static Plan Each(Plan plan, IReadOnlyList<PanelKey> panels, Func<PanelPaint, PanelPaint?> change)
    {
        foreach (var group in panels.Distinct().GroupBy(p => p.Zone))
        {
            plan = plan.With(
                group.Key,
                zone =>
                {
                    var paint = zone.Paint.ToBuilder();
                    foreach (var key in group)
                    {
                        var now = paint.GetValueOrDefault(key) ?? zone.Usual ?? Usual(plan, group.Key);
                        if (change(now) is { } next)
                        {
                            paint[key] = next;
                        }
                        else
                        {
                            paint.Remove(key);
                        }
                    }

                    return zone with
                    {
                        Paint = paint.ToImmutable(),
                    };
                }
            );
        }

        return plan;
    }

    /// <summary>What a panel is painted with when only one thing about it was said.</summary>
    private static PanelPaint Usual(Plan plan, Zone zone)
    {
        var formula = plan.FirstLight().Id;

        // Other layers come to lie on what is painted low on the head.
        var covering = plan.LowerFilm && zone is Zone.Nape or Zone.LowerBack ? Covering.Film : Covering.Open;
        return ZoneFacts.IsFaceFrame(zone)
            ? new PanelPaint(new Shape.Full(), 2.5, 5, 12, 20) { Formula = formula }
            : PanelPaint.Usual with
            {
                Formula = formula,
                Covering = covering,
            };
    }
}
