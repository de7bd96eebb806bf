using Wendro.Head;
using Wendro.Units;

namespace Wendro.Plans;

/// <summary>Starts the painted face frame nearer to the scalp.</summary>
[Kind("raiseFaceFrame")]
public sealed record RaiseFaceFrame([property: Within(0.1, 20, "cm")] double ByCm) : PlanEdit
{
    /// <inheritdoc/>
    public override Sentence Label() => $"Raised the face frame {Quantity.Cm(ByCm)}";

    internal override void Check(EditChecks on) => on.Within(this);

    internal override Edited Make(Plan plan, Cutting cutting) =>
        Painted.Lower(plan, cutting, ZoneFacts.IsFaceFrame, -ByCm);
}
