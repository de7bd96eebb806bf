using Wendro.Paint;
using Wendro.Section;
using Wendro.Units;

namespace Wendro.Plans;

/// <summary>Leaves a region out across zones; one that is left out already changes its size.</summary>
[Kind("leaveOut")]
public sealed record LeaveOut(
    Region Region,
    [property: Within(LeftOut.LeastCm, LeftOut.MostCm, "cm")] double SizeCm,
    string Reason,
    LeftOutBy By = LeftOutBy.Hand
) : PlanEdit
{
    /// <inheritdoc/>
    public override Sentence Label() => $"Left out the {LeftOut.Words(Region)}";

    internal override void Check(EditChecks on)
    {
        on.Known(Region, "region");
        on.Within(this);
        on.Text(Reason, 200, "reason");
        on.Known(By, "by");
    }

    internal override Edited Make(Plan plan, Cutting cutting)
    {
        LeftOut[] regions =
        [
            .. plan.Regions.Where(r => r.Region != Region),
            new LeftOut(Region, SizeCm, Reason.Trim(), By),
        ];
        return PaintHandover.To(plan, plan with { LeftOut = regions }, cutting);
    }
}
