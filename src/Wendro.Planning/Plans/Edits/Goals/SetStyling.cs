using Wendro.Fall;
using Wendro.Hair;
using Wendro.Units;

namespace Wendro.Plans;

/// <summary>Changes how she wears her hair's texture: what is seen follows, lengths and panels stay.</summary>
[Kind("setStyling")]
public sealed record SetStyling(Styling Styling) : PlanEdit
{
    /// <inheritdoc/>
    public override Sentence Label() => "Changed the styling";

    internal override void Check(EditChecks on) => on.Known(Styling, "styling");

    internal override Edited Make(Plan plan, Cutting cutting) => plan with { Styled = Styling };
}
