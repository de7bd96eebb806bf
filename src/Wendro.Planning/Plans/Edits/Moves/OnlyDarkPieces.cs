using Wendro.Hair;
using Wendro.Units;

namespace Wendro.Plans;

/// <summary>Leaves painted only the dark pieces marked on the map: what is light already stays out of it.</summary>
/// <param name="Mirrored">Whether they are taken on the other side of the head.</param>
[Kind("onlyDarkPieces")]
public sealed record OnlyDarkPieces(bool Mirrored = false) : PlanEdit
{
    /// <inheritdoc/>
    public override Sentence Label() => "Painted only the dark pieces";

    internal override void Check(EditChecks on) => OldPieces.Check(on, MarkKind.OldDark);

    internal override Edited Make(Plan plan, Cutting cutting) =>
        OldPieces.Only(plan, cutting, MarkKind.OldDark, Mirrored);
}
