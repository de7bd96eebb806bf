using Wendro.Head;
using Wendro.Paint;
using Wendro.Section;
using Wendro.Units;

namespace Wendro.Plans;

/// <summary>
/// Includes or leaves out whole zones: full head, half head, or the hairline only. A zone left out for a reason of
/// its own stays out.
/// </summary>
[Kind("setReach")]
public sealed record SetReach(Reach Reach) : PlanEdit
{
    /// <inheritdoc/>
    public override Sentence Label() => $"Set the reach: {Frames.Words(Reach)}";

    internal override void Check(EditChecks on) => on.Known(Reach, "reach");

    internal override Edited Make(Plan plan, Cutting cutting) =>
        ZoneFacts.All.Aggregate(plan, (p, zone) => p.With(zone, z => Reached(z, zone)));

    /// <summary>A zone as the reach has it; what was left out for another reason stays out.</summary>
    private ZonePlan Reached(ZonePlan planned, Zone zone) =>
        planned.Excluded is not null && planned.ExcludedBy != LeftOutBy.Reach ? planned
        : Frames.Has(Reach, zone) ? planned.TakenIn()
        : planned with { Excluded = Frames.Words(Reach), ExcludedBy = LeftOutBy.Reach };
}
