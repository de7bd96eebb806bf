using Wendro.Head;
using Wendro.Units;

namespace Wendro.Plans;

/// <summary>
/// Moves the part; zones and panels follow, paint is handed on. Without a zigzag it stays as straight or zigzag as it
/// is.
/// </summary>
[Kind("movePart")]
public sealed record MovePart(
    [property: Within(-5, 5, "cm")] double FrontCm,
    [property: Within(-3, 3, "cm")] double BackCm,
    [property: Within(0, 15, "mm")] double? ZigzagMm = null
) : PlanEdit
{
    /// <inheritdoc/>
    public override Sentence Label() => "Moved the part";

    internal override void Check(EditChecks on)
    {
        on.Within(this);
    }

    internal override Edited Make(Plan plan, Cutting cutting) =>
        PaintHandover.To(
            plan,
            plan with
            {
                Part = new PartLine(FrontCm, BackCm, ZigzagMm ?? plan.Part.ZigzagMm),
            },
            cutting
        );
}
