using Wendro.Blend;
using Wendro.Units;

namespace Wendro.Plans;

/// <summary>Restores a finding that was set aside.</summary>
[Kind("heed")]
public sealed record Reinstate(string Finding) : PlanEdit
{
    /// <inheritdoc/>
    public override Sentence Label() => "Restored a finding";

    internal override void Check(EditChecks on)
    {
        if (on.Plan.SetAside.All(d => d.Finding != Finding))
        {
            on.Say("finding", "No such finding was set aside.");
        }
    }

    internal override Edited Make(Plan plan, Cutting cutting) =>
        plan with
        {
            Dismissed = plan.SetAside.Where(d => d.Finding != Finding).ToArray(),
        };
}
