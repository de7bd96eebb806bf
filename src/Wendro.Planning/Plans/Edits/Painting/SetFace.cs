using Wendro.Paint;
using Wendro.Section;
using Wendro.Units;

namespace Wendro.Plans;

/// <summary>Changes the side painted.</summary>
[Kind("setFace")]
public sealed record SetFace(IReadOnlyList<PanelKey> Panels, Face Face, int Coat = 0) : PlanEdit
{
    /// <inheritdoc/>
    public override Sentence Label() => $"Changed the side painted on {Say.Count(Panels)}";

    internal override void Check(EditChecks on)
    {
        on.Panels(Panels, Coat);
        on.Known(Face, "face");
    }

    internal override Edited Make(Plan plan, Cutting cutting) =>
        Panelwise.Coat(plan, Panels, Coat, p => p with { Face = Face });
}
