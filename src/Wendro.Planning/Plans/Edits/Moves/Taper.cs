using Wendro.Paint;
using Wendro.Section;
using Wendro.Units;

namespace Wendro.Plans;

/// <summary>Lets painted panels start from one height at the front to another at the back.</summary>
[Kind("taper")]
public sealed record Taper(
    [property: Within(0, PanelPaint.MostStartCm, "cm")] double FrontCm,
    [property: Within(0, PanelPaint.MostStartCm, "cm")] double BackCm
) : PlanEdit
{
    /// <inheritdoc/>
    public override Sentence Label() =>
        $"Tapered from {Quantity.Cm(FrontCm)} at the front to {Quantity.Cm(BackCm)} at the back";

    internal override void Check(EditChecks on)
    {
        on.Within(this);
    }

    internal override Edited Make(Plan plan, Cutting cutting)
    {
        var painted = Painted.In(plan, cutting, _ => true).ToArray();
        if (painted.Length == 0)
        {
            return plan;
        }

        var (front, back) = (painted.Max(p => p.Panel.Centre.Map.Y), painted.Min(p => p.Panel.Centre.Map.Y));
        return Painted.Each(
            plan,
            painted,
            (panel, paint) =>
                paint.StartingAt(
                    FrontCm + (BackCm - FrontCm) * (front - panel.Centre.Map.Y) / Math.Max(front - back, 1)
                )
        );
    }
}
