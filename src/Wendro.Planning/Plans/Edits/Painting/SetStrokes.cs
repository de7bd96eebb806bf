using Wendro.Paint;
using Wendro.Section;
using Wendro.Units;

namespace Wendro.Plans;

/// <summary>
/// Changes the strokes: how many, how wide where they begin, how far below the start they meet, where the middle
/// lies. What is null stays.
/// </summary>
[Kind("setStrokes")]
public sealed record SetStrokes(
    IReadOnlyList<PanelKey> Panels,
    [property: Within(1, Shape.MostCount)] int? Strokes = null,
    [property: Within(0.05, 1, "of its room")] double? StrokeShare = null,
    [property: Within(0, 60, "cm")] double? MergeCm = null,
    [property: Within(0.1, 0.9, "across the panel")] double? CentreU = null,
    int Coat = 0
) : PlanEdit
{
    /// <inheritdoc/>
    public override Sentence Label() => $"Changed the strokes of {Say.Count(Panels)}";

    internal override void Check(EditChecks on)
    {
        on.Panels(Panels, Coat);
        on.Within(this);
        if (this is { Strokes: null, StrokeShare: null, MergeCm: null, CentreU: null })
        {
            on.Say("strokes", "Give strokes, their width, where they meet, or where the middle lies.");
        }
    }

    internal override Edited Make(Plan plan, Cutting cutting) =>
        Panelwise.Coat(plan, Panels, Coat, p => p with { Shape = On(p.Shape) });

    private Shape On(Shape shape)
    {
        var counted = Strokes is { } count ? shape.Counting(count) : shape;
        return counted with
        {
            MiddleU = CentreU ?? counted.MiddleU,
            Stroked = counted.Stroked is { } stroke
                ? new(StrokeShare ?? stroke.Width, MergeCm ?? stroke.MergeCm)
                : null,
        };
    }
}
