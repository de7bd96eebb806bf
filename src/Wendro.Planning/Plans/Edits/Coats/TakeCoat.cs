using Wendro.Paint;
using Wendro.Section;
using Wendro.Units;

namespace Wendro.Plans;

/// <summary>Takes one of several products off some panels.</summary>
[Kind("takeCoat")]
public sealed record TakeCoat(IReadOnlyList<PanelKey> Panels, int Coat) : PlanEdit
{
    /// <inheritdoc/>
    public override Sentence Label() => $"Removed a product from {Say.Count(Panels)}";

    internal override void Check(EditChecks on) => on.Panels(Panels, Coat);

    internal override Edited Make(Plan plan, Cutting cutting) =>
        Panelwise.Each(plan, Panels, p => PanelPaint.Of([.. p.Coats().Where((_, i) => i != Coat)]));
}
