using Wendro.Blend;
using Wendro.Units;

namespace Wendro.Plans;

/// <summary>Changes what counts as wrong.</summary>
[Kind("setLimits")]
public sealed record SetLimits(FindingLimits Limits) : PlanEdit
{
    /// <inheritdoc/>
    public override Sentence Label() => "Changed the limits";

    internal override void Check(EditChecks on)
    {
        if (Limits is null)
        {
            on.Say("limits", "Limits are needed.");
            return;
        }

        on.Add("limits", Limits.Problems());
    }

    internal override Edited Make(Plan plan, Cutting cutting) => plan with { Limits = Limits };
}
