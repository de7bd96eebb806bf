using Wendro.Core.Lift;
using Wendro.Core.Units;

namespace Wendro.Core.Plans;

/// <summary>Adds or changes a formula.</summary>
[Kind("setFormula")]
public sealed record SetFormula(Formula Formula) : PlanEdit
{
    /// <inheritdoc/>
    public override Sentence Label() => $"Changed formula {Formula?.Id}: {Formula?.Words}";

    internal override void Check(EditChecks on)
    {
        if (Formula is null)
        {
            on.Say("formula", "A formula is needed.");
            return;
        }

        on.Add("formula", FormulaChecks.Of(Formula));
    }

    internal override Edited Make(Plan plan, Cutting cutting)
    {
        var told = Formula.After(plan.FormulaOf(Formula.Id)).Told();
        return plan with
        {
            Formulas = [.. plan.Formulas.Where(f => f.Id != Formula.Id).Append(told).OrderBy(f => f.Id)],
        };
    }
}
