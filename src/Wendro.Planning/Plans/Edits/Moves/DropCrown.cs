using Wendro.Head;
using Wendro.Units;

namespace Wendro.Plans;

/// <summary>Starts the painted crown further from the scalp.</summary>
[Kind("dropCrown")]
public sealed record DropCrown([property: Within(0.1, 20, "cm")] double ByCm) : PlanEdit
{
    /// <inheritdoc/>
    public override Sentence Label() => $"Dropped the crown {Quantity.Cm(ByCm)}";

    internal override void Check(EditChecks on) => on.Within(this);

    internal override Edited Make(Plan plan, Cutting cutting) =>
        Painted.Lower(plan, cutting, z => z == Zone.Crown, ByCm);
}
