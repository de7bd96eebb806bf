using Wendro.Core.Units;

namespace Wendro.Core.Plans;

/// <summary>
/// Leaves as many painted panels as there are old light pieces, and begins above where these begin. Needs a lightened
/// band.
/// </summary>
[Kind("followOldPieces")]
public sealed record FollowOldPieces : PlanEdit
{
    /// <inheritdoc/>
    public override Sentence Label() => "Followed the old pieces";

    internal override void Check(EditChecks on) => OldLight.Check(on);

    internal override Edited Make(Plan plan, Cutting cutting)
    {
        var old = OldLight.Of(cutting.Hair)!;
        var seen = 0;
        return Painted.Each(
            plan,
            Painted.In(plan, cutting, _ => true),
            (_, paint) =>
            {
                // As many as were light before, evenly among all.
                var keep = Math.Floor((seen + 1) * old.Share) > Math.Floor(seen * old.Share);
                seen++;
                return keep ? OldLight.Above(paint, old) : null;
            }
        );
    }
}
