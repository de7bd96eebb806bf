using Wendro.Units;

namespace Wendro.Plans;

/// <summary>Copies one side's sections and paint to the other.</summary>
[Kind("mirrorSide")]
public sealed record MirrorSide(Side From) : PlanEdit
{
    /// <inheritdoc/>
    public override Sentence Label() => $"Mirrored the {Say.Side(From)} side";

    internal override void Check(EditChecks on) => on.Known(From, "from");

    internal override Edited Make(Plan plan, Cutting cutting) => Mirroring.From(plan, From, cutting);
}
