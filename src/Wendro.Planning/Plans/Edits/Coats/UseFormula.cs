using Wendro.Lift;
using Wendro.Paint;
using Wendro.Section;
using Wendro.Units;

namespace Wendro.Plans;

/// <summary>Changes which formula some panels take.</summary>
[Kind("useFormula")]
public sealed record UseFormula(IReadOnlyList<PanelKey> Panels, FormulaId Formula, int Coat = 0) : PlanEdit
{
    /// <inheritdoc/>
    public override Sentence Label() => $"Used formula {Formula} on {Say.Count(Panels)}";

    internal override void Check(EditChecks on)
    {
        on.Panels(Panels, Coat);
        on.HasFormula(Formula, "formula");
    }

    internal override Edited Make(Plan plan, Cutting cutting) =>
        Panelwise.Coat(plan, Panels, Coat, p => p with { Formula = Formula });
}
