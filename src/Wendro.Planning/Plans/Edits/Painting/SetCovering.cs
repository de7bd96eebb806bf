using Wendro.Lift;
using Wendro.Paint;
using Wendro.Section;
using Wendro.Units;

namespace Wendro.Plans;

/// <summary>Changes what covers the paint.</summary>
[Kind("setCovering")]
public sealed record SetCovering(IReadOnlyList<PanelKey> Panels, Covering Covering, int Coat = 0) : PlanEdit
{
    /// <inheritdoc/>
    public override Sentence Label() => $"Covered {Say.Count(Panels)}: {Remedies.Words(Covering)}";

    internal override void Check(EditChecks on)
    {
        on.Panels(Panels, Coat);
        on.Known(Covering, "covering");
    }

    internal override Edited Make(Plan plan, Cutting cutting) =>
        Panelwise.Coat(plan, Panels, Coat, p => p with { Covering = Covering });
}
