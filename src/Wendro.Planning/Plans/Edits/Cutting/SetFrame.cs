using Wendro.Section;
using Wendro.Units;

namespace Wendro.Plans;

/// <summary>Divides the head another way; the order of work follows.</summary>
[Kind("setFrame")]
public sealed record SetFrame(Frame Frame) : PlanEdit
{
    /// <inheritdoc/>
    public override Sentence Label() => "Divided the head another way";

    internal override void Check(EditChecks on) => on.Known(Frame, "frame");

    internal override Edited Make(Plan plan, Cutting cutting) =>
        PaintHandover.To(plan, plan with { Frame = Frame, Order = null }, cutting);
}
