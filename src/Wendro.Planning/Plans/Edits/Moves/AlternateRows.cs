using Wendro.Head;
using Wendro.Paint;
using Wendro.Units;

namespace Wendro.Plans;

/// <summary>Lets the rows of a zone start high and low by turns, the lowest row high.</summary>
[Kind("alternateRows")]
public sealed record AlternateRows(
    Zone Zone,
    [property: Within(0, PanelPaint.MostStartCm, "cm")] double HighCm,
    [property: Within(0, PanelPaint.MostStartCm, "cm")] double LowCm
) : PlanEdit
{
    /// <inheritdoc/>
    public override Sentence Label() => $"Alternated the rows of {Say.The(Zone)}";

    internal override void Check(EditChecks on)
    {
        on.Known(Zone, "zone");
        on.Within(this);
    }

    internal override Edited Make(Plan plan, Cutting cutting) =>
        plan.With(
            Zone,
            zone =>
            {
                var paint = zone.Paint.ToBuilder();
                foreach (var panel in cutting.Cut(plan, Zone).Panels)
                {
                    var key = panel.Key;
                    if (paint.TryGetValue(key, out var now))
                    {
                        paint[key] = now with { StartCm = panel.Key.Row % 2 == 0 ? HighCm : LowCm, StartShare = null };
                    }
                }

                return zone with
                {
                    Paint = paint.ToImmutable(),
                };
            }
        );
}
