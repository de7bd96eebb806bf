using Wendro.Core.Head;
using Wendro.Core.Units;

namespace Wendro.Core.Plans;

/// <summary>
/// Moves the part; zones and panels follow, paint is handed on. Without a zigzag it stays as straight or zigzag as it
/// is.
/// </summary>
[Kind("movePart")]
public sealed record MovePart(double FrontCm, double BackCm, double? ZigzagMm = null) : PlanEdit
{
    /// <inheritdoc/>
    public override Sentence Label() => "Moved the part";

    internal override void Check(EditChecks on)
    {
        on.Range(FrontCm, -5, 5, "frontCm", "cm");
        on.Range(BackCm, -3, 3, "backCm", "cm");
        on.Range(ZigzagMm ?? 0, 0, 15, "zigzagMm", "mm");
    }

    internal override Edited Make(Plan plan, Cutting cutting) =>
        HandOver.To(plan, plan with { Part = new PartLine(FrontCm, BackCm, ZigzagMm ?? plan.Part.ZigzagMm) }, cutting);
}
