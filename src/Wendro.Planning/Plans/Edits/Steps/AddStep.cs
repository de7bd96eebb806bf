using Wendro.Units;

namespace Wendro.Plans;

/// <summary>Adds a step to the visit.</summary>
/// <param name="Step">The step.</param>
/// <param name="At">Before which it comes, from 0; null after all others.</param>
[Kind("addStep")]
public sealed record AddStep(Step Step, int? At = null) : PlanEdit
{
    /// <inheritdoc/>
    public override Sentence Label() => $"Added a step: {Step?.Words}";

    internal override void Check(EditChecks on)
    {
        on.Add("step", StepChecks.Of(Step, on.Plan));
        var steps = on.Plan.StepsOf();
        if (At is < 0 || At > steps.Count)
        {
            on.Say("at", $"Between 0 and {steps.Count}.");
        }
        else if (Step is not null)
        {
            on.Add(string.Empty, StepChecks.Of(Placed(steps)));
        }
    }

    internal override Edited Make(Plan plan, Cutting cutting) => plan.With(Placed(plan.StepsOf()));

    private List<Step> Placed(IReadOnlyList<Step> steps)
    {
        List<Step> all = [.. steps];
        all.Insert(At ?? all.Count, Step);
        return all;
    }
}
