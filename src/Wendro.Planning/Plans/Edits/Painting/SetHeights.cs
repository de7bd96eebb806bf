using Wendro.Paint;
using Wendro.Section;
using Wendro.Units;

namespace Wendro.Plans;

/// <summary>
/// Changes where paint starts, cm from the scalp or as a share of the length, and how much lower its lowest point,
/// its back corner or its middle peak lies. What is null stays.
/// </summary>
[Kind("setHeights")]
public sealed record SetHeights(
    IReadOnlyList<PanelKey> Panels,
    [property: Within(0, PanelPaint.MostStartCm, "cm")] double? StartCm = null,
    [property: Within(0, 1, "of the length")] double? StartShare = null,
    [property: Within(0, Shape.MostDropCm, "cm")] double? DropCm = null,
    [property: Within(-20, 20, "cm")] double? SlopeCm = null,
    [property: Within(0, 40, "cm")] double? CentreCm = null,
    int Coat = 0
) : PlanEdit
{
    /// <inheritdoc/>
    public override Sentence Label() =>
        StartCm is { } start
            ? (Sentence)$"Started {Say.Count(Panels)} at {Quantity.Cm(start)}"
            : (Sentence)$"Changed the heights of {Say.Count(Panels)}";

    internal override void Check(EditChecks on)
    {
        on.Panels(Panels, Coat);
        on.Within(this);
        if (StartCm is not null && StartShare is not null)
        {
            on.Say("startShare", "Give the start in cm or as a share, not both.");
        }

        if (this is { StartCm: null, StartShare: null, DropCm: null, SlopeCm: null, CentreCm: null })
        {
            on.Say("startCm", "Give a start, a drop, a slope or a middle.");
        }
    }

    internal override Edited Make(Plan plan, Cutting cutting) => Panelwise.Coat(plan, Panels, Coat, On);

    /// <summary>A start set by hand stands: it is not spread any further.</summary>
    private PanelPaint On(PanelPaint p) =>
        p with
        {
            StartCm = StartCm ?? p.StartCm,
            StartShare = StartCm is not null ? null : StartShare ?? p.StartShare,
            SpreadCm = StartCm is null && StartShare is null ? p.SpreadCm : 0,
            SlopeCm = SlopeCm ?? p.SlopeCm,
            Shape = p.Shape with { DropCm = DropCm ?? p.Shape.DropCm, PeakCm = CentreCm ?? p.Shape.PeakCm },
        };
}
