using Wendro.Paint;
using Wendro.Section;
using Wendro.Units;

namespace Wendro.Plans;

/// <summary>Lays one more product on some panels, after those they have.</summary>
[Kind("addCoat")]
public sealed record AddCoat(IReadOnlyList<PanelKey> Panels, PanelPaint Paint) : PlanEdit
{
    /// <inheritdoc/>
    public override Sentence Label() => $"Added a product on {Say.Count(Panels)}";

    internal override void Check(EditChecks on)
    {
        on.Panels(Panels);
        on.Paint(Paint);
        on.MostCoats(Panels, 1 + (Paint?.Next is null ? 0 : PanelPaint.MostCoats));
    }

    internal override Edited Make(Plan plan, Cutting cutting) =>
        Panelwise.Each(plan, Panels, p => PanelPaint.Of([.. p.Coats(), Paint with { Next = null }]));
}
