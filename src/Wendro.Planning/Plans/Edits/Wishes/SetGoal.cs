using Wendro.Blend;
using Wendro.Units;

namespace Wendro.Plans;

/// <summary>Changes what she wants.</summary>
[Kind("setWish")]
public sealed record SetGoal(Goal Wish) : PlanEdit
{
    /// <inheritdoc/>
    public override Sentence Label() => "Changed the wish";

    internal override void Check(EditChecks on)
    {
        if (Wish is null)
        {
            on.Say("wish", "A wish is needed.");
            return;
        }

        on.Add("wish", Wish.Problems());
    }

    internal override Edited Make(Plan plan, Cutting cutting) => plan with { Wish = Wish };
}
