using Wendro.Paint;
using Wendro.Section;
using Wendro.Units;

namespace Wendro.Plans;

/// <summary>Lets heights vary from panel to panel, hashed from seed and key.</summary>
[Kind("spreadHeights")]
public sealed record SpreadHeights(IReadOnlyList<PanelKey> Panels, [property: Within(0, 6, "cm")] double SpreadCm)
    : PlanEdit
{
    /// <inheritdoc/>
    public override Sentence Label() => $"Spread the heights of {Say.Count(Panels)} by {Quantity.Cm(SpreadCm)}";

    internal override void Check(EditChecks on)
    {
        on.Panels(Panels);
        on.Within(this);
    }

    internal override Edited Make(Plan plan, Cutting cutting) =>
        Panelwise.Each(plan, Panels, p => p with { SpreadCm = SpreadCm });
}
