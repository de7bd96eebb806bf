using Wendro.Paint;
using Wendro.Section;
using Wendro.Units;

namespace Wendro.Plans;

/// <summary>Changes how deep paint goes, mm.</summary>
[Kind("setDepth")]
public sealed record SetDepth(
    IReadOnlyList<PanelKey> Panels,
    [property: Within(0, 40, "mm")] double MidsMm,
    [property: Within(0, 40, "mm")] double EndsMm,
    int Coat = 0
) : PlanEdit
{
    /// <inheritdoc/>
    public override Sentence Label() => $"Changed the depth of {Say.Count(Panels)}";

    internal override void Check(EditChecks on)
    {
        on.Panels(Panels, Coat);
        on.Within(this);
    }

    internal override Edited Make(Plan plan, Cutting cutting) =>
        Panelwise.Coat(plan, Panels, Coat, p => p with { MidsMm = MidsMm, EndsMm = EndsMm });
}
