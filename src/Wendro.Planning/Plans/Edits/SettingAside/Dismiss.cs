using Wendro.Blend;
using Wendro.Units;

namespace Wendro.Plans;

/// <summary>Sets a finding aside with a reason; it stays away until it is worse than it was.</summary>
/// <param name="Finding">Its id.</param>
/// <param name="At">How much it mattered.</param>
/// <param name="Reason">Why.</param>
[Kind("dismiss")]
public sealed record Dismiss(string Finding, Severity At, string Reason) : PlanEdit
{
    /// <inheritdoc/>
    public override Sentence Label() => "Set a finding aside";

    internal override void Check(EditChecks on)
    {
        on.Text(Finding, 80, "finding");
        on.Known(At, "at");
        on.Text(Reason, 200, "reason");
        if (Finding is { } id && FindingKinds.KeepsSafe(id))
        {
            on.Say("finding", "This one keeps people safe: it stays until it is fixed.");
        }
    }

    internal override Edited Make(Plan plan, Cutting cutting) =>
        plan with
        {
            Dismissed = [.. plan.SetAside.Where(d => d.Finding != Finding), new Dismissed(Finding, At, Reason.Trim())],
        };
}
