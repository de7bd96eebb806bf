using Wendro.Paint;
using Wendro.Section;
using Wendro.Units;

namespace Wendro.Plans;

/// <summary>Includes a region again.</summary>
[Kind("takeIn")]
public sealed record IncludeRegion(Region Region) : PlanEdit
{
    /// <inheritdoc/>
    public override Sentence Label() => $"Included the {LeftOut.Words(Region)}";

    internal override void Check(EditChecks on)
    {
        on.Known(Region, "region");
        if (Enum.IsDefined(Region) && on.Plan.Regions.All(r => r.Region != Region))
        {
            on.Say("region", $"The {LeftOut.Words(Region)} is not left out.");
        }
    }

    internal override Edited Make(Plan plan, Cutting cutting) =>
        PaintHandover.To(plan, plan with { LeftOut = plan.Regions.Where(r => r.Region != Region).ToArray() }, cutting);
}
