using Wendro.Paint;
using Wendro.Section;
using Wendro.Units;

namespace Wendro.Plans;

/// <summary>Leaves some panels natural.</summary>
[Kind("clearPanels")]
public sealed record ClearPanels(IReadOnlyList<PanelKey> Panels) : PlanEdit
{
    /// <inheritdoc/>
    public override Sentence Label() => $"Left {Say.Count(Panels)} natural";

    internal override void Check(EditChecks on) => on.Panels(Panels);

    internal override Edited Make(Plan plan, Cutting cutting) => Panelwise.Each(plan, Panels, _ => null);
}
