using Wendro.Paint;
using Wendro.Section;
using Wendro.Units;

namespace Wendro.Plans;

/// <summary>Paints some panels.</summary>
[Kind("paintPanels")]
public sealed record PaintPanels(IReadOnlyList<PanelKey> Panels, PanelPaint Paint) : PlanEdit
{
    /// <inheritdoc/>
    public override Sentence Label() => $"Painted {Say.Count(Panels)}";

    internal override void Check(EditChecks on)
    {
        on.Panels(Panels);
        on.Paint(Paint);
    }

    internal override Edited Make(Plan plan, Cutting cutting) => Panelwise.Each(plan, Panels, _ => Paint);
}
