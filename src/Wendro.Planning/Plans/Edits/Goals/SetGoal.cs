using System.Text.Json.Serialization;
using Wendro.Blend;
using Wendro.Units;

namespace Wendro.Plans;

/// <summary>Changes what she wants.</summary>
[Kind("setWish")]
public sealed record SetGoal([property: JsonPropertyName("wish")] Goal Goal) : PlanEdit
{
    /// <inheritdoc/>
    public override Sentence Label() => "Changed the wish";

    internal override void Check(EditChecks on)
    {
        if (Goal is null)
        {
            on.Say("wish", "A wish is needed.");
            return;
        }

        on.Add("wish", Goal.Problems());
    }

    internal override Edited Make(Plan plan, Cutting cutting) => plan with { Goal = Goal };
}
