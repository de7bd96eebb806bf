using Wendro.Paint;
using Wendro.Section;
using Wendro.Units;

namespace Wendro.Plans;

/// <summary>Lays a product after the one that followed it: where both lie, the first holds its share.</summary>
[Kind("swapCoats")]
public sealed record SwapCoats(IReadOnlyList<PanelKey> Panels, [property: Within(0, PanelPaint.MostCoats - 2)] int Coat)
    : PlanEdit
{
    /// <inheritdoc/>
    public override Sentence Label() => $"Changed the order of products on {Say.Count(Panels)}";

    internal override void Check(EditChecks on)
    {
        on.Panels(Panels, Coat < PanelPaint.MostCoats ? Coat + 1 : Coat);
        on.Within(this);
    }

    internal override Edited Make(Plan plan, Cutting cutting) => Panelwise.Each(plan, Panels, Swapped);

    private PanelPaint Swapped(PanelPaint paint)
    {
        var coats = paint.Coats().ToList();
        (coats[Coat], coats[Coat + 1]) = (coats[Coat + 1], coats[Coat]);
        return PanelPaint.Of(coats)!;
    }
}
