using Wendro.Units;

namespace Wendro.Plans;

/// <summary>Moves a step of the visit to another place in the order.</summary>
/// <param name="Number">Which, from 0.</param>
/// <param name="To">Where it is then, from 0.</param>
[Kind("moveStep")]
public sealed record MoveStep(int Number, int To) : PlanEdit
{
    /// <inheritdoc/>
    public override Sentence Label() => $"Moved step {Number + 1} to {To + 1}";

    internal override void Check(EditChecks on)
    {
        on.HasStep(Number, "number");
        on.HasStep(To, "to");
    }

    internal override Edited Make(Plan plan, Cutting cutting)
    {
        List<Step> steps = [.. plan.StepsOf()];
        var step = steps[Number];
        steps.RemoveAt(Number);
        steps.Insert(To, step);
        return plan.With(steps);
    }
}
