using Wendro.Lift;
using Wendro.Units;

namespace Wendro.Plans;

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
        foreach (var step in on.Plan.StepsOf().Where(s => s.Formula == Formula.Id))
        {
            on.Add(
                "formula",
                StepChecks.Of(step, on.Plan.With(Formula)).Select(p => p with { Message = InStep(step, p) })
            );
        }
    }

    internal override Edited Make(Plan plan, Cutting cutting) =>
        plan.With(Formula.After(plan.FormulaOf(Formula.Id)).Told());

    private static string InStep(Step step, Problem problem) => $"The {step.Words} lays it. {problem.Message}";
}
