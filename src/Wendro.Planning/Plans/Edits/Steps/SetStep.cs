using Wendro.Units;

namespace Wendro.Plans;

/// <summary>Changes a step of the visit.</summary>
/// <param name="Number">Which, from 0.</param>
/// <param name="Step">What it becomes.</param>
[Kind("setStep")]
public sealed record SetStep(int Number, Step Step) : PlanEdit
{
    /// <inheritdoc/>
    public override Sentence Label() => $"Changed step {Number + 1}: {Step?.Words}";

    internal override void Check(EditChecks on)
    {
        on.Add("step", StepChecks.Of(Step, on.Plan));
        var steps = on.Plan.StepsOf();
        on.HasStep(Number, "number");
        if (Step is not null && Number >= 0 && Number < steps.Count)
        {
            on.Add(string.Empty, StepChecks.Of(Placed(steps)));
        }
    }

    internal override Edited Make(Plan plan, Cutting cutting) => plan.With(Placed(plan.StepsOf()));

    private Step[] Placed(IReadOnlyList<Step> steps) => steps.Select((s, i) => i == Number ? Step : s).ToArray();
}
