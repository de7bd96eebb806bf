using Wendro.Head;
using Wendro.Paint;
using Wendro.Units;

namespace Wendro.Plans;

/// <summary>Paints all panels of a zone alike, and makes that its usual.</summary>
[Kind("paintZone")]
public sealed record PaintZone(Zone Zone, PanelPaint Paint) : PlanEdit
{
    /// <inheritdoc/>
    public override Sentence Label() => $"Painted {Say.The(Zone)}";

    internal override void Check(EditChecks on)
    {
        on.Known(Zone, "zone");
        on.Paint(Paint);
    }

    internal override Edited Make(Plan plan, Cutting cutting) =>
        plan.With(
            Zone,
            z =>
                z.TakenIn() with
                {
                    Usual = Paint,
                    Paint = z
                        .Paint.Clear()
                        .AddRange(cutting.Cut(plan, Zone).Panels.Select(p => KeyValuePair.Create(p.Key, Paint))),
                }
        );
}
