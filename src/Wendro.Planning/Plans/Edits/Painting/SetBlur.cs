using Wendro.Paint;
using Wendro.Section;
using Wendro.Units;

namespace Wendro.Plans;

/// <summary>Changes how softly paint fades in, cm.</summary>
[Kind("setBlur")]
public sealed record SetBlur(
    IReadOnlyList<PanelKey> Panels,
    [property: Within(0, 12, "cm")] double BlurCm,
    int Coat = 0
) : PlanEdit
{
    /// <inheritdoc/>
    public override Sentence Label() => $"Blurred {Say.Count(Panels)} over {Quantity.Cm(BlurCm)}";

    internal override void Check(EditChecks on)
    {
        on.Panels(Panels, Coat);
        on.Within(this);
    }

    internal override Edited Make(Plan plan, Cutting cutting) =>
        Panelwise.Coat(plan, Panels, Coat, p => p with { BlurCm = BlurCm });
}
