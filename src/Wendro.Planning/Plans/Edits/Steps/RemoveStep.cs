using Wendro.Units;

namespace Wendro.Plans;

/// <summary>Takes a step out of the visit; what is painted on panels stays.</summary>
/// <param name="Number">Which, from 0.</param>
[Kind("removeStep")]
public sealed record RemoveStep(int Number) : PlanEdit
{
    /// <inheritdoc/>
    public override Sentence Label() => $"Removed step {Number + 1}";

    internal override void Check(EditChecks on)
    {
        on.HasStep(Number, "number");
        var steps = on.Plan.StepsOf();
        if (Number >= 0 && Number < steps.Count && steps[Number].IsMain)
        {
            on.Say("number", "The panels are painted in this step. Clear the panels instead.");
        }
    }

    internal override Edited Make(Plan plan, Cutting cutting) =>
        plan.With(plan.StepsOf().Where((_, i) => i != Number).ToArray());
}
