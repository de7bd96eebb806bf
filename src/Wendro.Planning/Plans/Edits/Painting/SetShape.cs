using Wendro.Paint;
using Wendro.Section;
using Wendro.Units;

namespace Wendro.Plans;

/// <summary>
/// Changes the shape of some panels; one not painted yet is painted as usual. What the new shape is made of gets
/// sensible values.
/// </summary>
/// <param name="Panels">Which panels.</param>
/// <param name="Shape">The shape.</param>
/// <param name="Flip">Whether a slant runs the other way; null as it was.</param>
/// <param name="Coat">Which of the products on it, from 0.</param>
[Kind("setShape")]
public sealed record SetShape(IReadOnlyList<PanelKey> Panels, ShapeKind Shape, bool? Flip = null, int Coat = 0)
    : PlanEdit
{
    /// <inheritdoc/>
    public override Sentence Label() => $"Changed the shape of {Say.Count(Panels)}";

    internal override void Check(EditChecks on)
    {
        on.Panels(Panels, Coat);
        on.Known(Shape, "shape");
    }

    internal override Edited Make(Plan plan, Cutting cutting) => Panelwise.Coat(plan, Panels, Coat, On);

    private PanelPaint On(PanelPaint p)
    {
        var next = p.In(Shape);
        return next.Shape is Shape.Slant slant
            ? next with
            {
                Shape = slant with { Flip = Flip ?? (p.Shape as Shape.Slant)?.Flip ?? false },
            }
            : next;
    }
}
