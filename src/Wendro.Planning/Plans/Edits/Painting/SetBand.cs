using Wendro.Paint;
using Wendro.Section;
using Wendro.Units;

namespace Wendro.Plans;

/// <summary>Changes where paint ends, cm below its start; null lets it go to the ends.</summary>
[Kind("setBand")]
public sealed record SetBand(
    IReadOnlyList<PanelKey> Panels,
    [property: Within(0.5, 75, "cm")] double? BandCm,
    int Coat = 0
) : PlanEdit
{
    /// <inheritdoc/>
    public override Sentence Label() => $"Changed where paint ends on {Say.Count(Panels)}";

    internal override void Check(EditChecks on)
    {
        on.Panels(Panels, Coat);
        on.Within(this);
    }

    internal override Edited Make(Plan plan, Cutting cutting) =>
        Panelwise.Coat(plan, Panels, Coat, p => p with { BandCm = BandCm });
}
