using Wendro.Head;
using Wendro.Paint;
using Wendro.Section;
using Wendro.Units;

namespace Wendro.Plans;

/// <summary>Leaves a zone untouched, with a reason; its paint is kept for when it is included again.</summary>
[Kind("excludeZone")]
public sealed record ExcludeZone(Zone Zone, string Reason, LeftOutBy By = LeftOutBy.Hand) : PlanEdit
{
    /// <inheritdoc/>
    public override Sentence Label() => $"Left out {Say.The(Zone)}";

    internal override void Check(EditChecks on)
    {
        on.Known(Zone, "zone");
        on.Text(Reason, 200, "reason");
        on.Known(By, "by");
    }

    internal override Edited Make(Plan plan, Cutting cutting) =>
        plan.With(Zone, z => z with { Excluded = Reason.Trim(), ExcludedBy = By });
}
