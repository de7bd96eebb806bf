using System.Numerics;
using Wendro.Blend;
using Wendro.Plans;
using Wendro.Section;

namespace Wendro.Apply;

/// <summary>Panels that are painted at the chair though the plan leaves them natural.</summary>
public static class AddedPanels
{
    /// <summary>
    /// The plan with some more panels painted, each as the nearest planned one is: of its zone first, and there the
    /// one whose middle is nearest. What is no panel of the frame, or painted anyway, changes nothing.
    /// </summary>
    /// <param name="head">The head as planned.</param>
    /// <param name="added">The panels, in order.</param>
    /// <param name="cutting">Cuts zones into panels.</param>
    public static Plan Into(PlannedHead head, IReadOnlyList<PanelKey> added, Cutting cutting)
    {
        ArgumentNullException.ThrowIfNull(head);
        ArgumentNullException.ThrowIfNull(added);
        ArgumentNullException.ThrowIfNull(cutting);
        var plan = head.Plan;
        foreach (var key in added)
        {
            if (Nearest(head, key) is { } like && plan.Apply(Like(like, key), cutting) is { Succeeded: true } applied)
            {
                plan = applied.Plan;
            }
        }

        return plan;
    }

    /// <summary>Whether a panel can be painted too: the frame has it, and something is painted to go by.</summary>
    public static bool CanBe(PlannedHead head, PanelKey key)
    {
        ArgumentNullException.ThrowIfNull(head);
        return Nearest(head, key) is not null;
    }

    private static PaintPanels Like(PlannedPanel like, PanelKey key) =>
        new([key], Paint.PanelPaint.Of([.. like.Coats.Select(c => c.Painted.Paint with { Next = null })])!);

    private static PlannedPanel? Nearest(PlannedHead head, PanelKey key) =>
        head.PanelOf(key) is { Coats.Count: 0 } here
            ? head
                .Panels.Where(p => p.Coats.Count > 0)
                .OrderBy(p => p.Panel.Key.Zone == key.Zone ? 0 : 1)
                .ThenBy(p => Vector3.Distance(p.Panel.Centre.Position, here.Panel.Centre.Position))
                .FirstOrDefault()
            : null;
}
