using Wendro.Hair;
using Wendro.Head;
using Wendro.Units;

namespace Wendro.Plans;

/// <summary>
/// Leaves painted what follows the old light pieces: those marked on the map where they lie, each begun above where it
/// begins; or, where only a lightened band is known, as many panels as there are old pieces.
/// </summary>
/// <param name="Mirrored">Whether the marked pieces are followed on the other side of the head.</param>
[Kind("followOldPieces")]
public sealed record FollowOldPieces(bool Mirrored = false) : PlanEdit
{
    /// <inheritdoc/>
    public override Sentence Label() => Mirrored ? "Followed the old pieces, mirrored" : "Followed the old pieces";

    internal override void Check(EditChecks on)
    {
        if (!OldPieces.Any(on.Cutting.Hair, MarkKind.OldLight))
        {
            OldLight.Check(on);
        }
    }

    internal override Edited Make(Plan plan, Cutting cutting)
    {
        if (OldPieces.Any(cutting.Hair, MarkKind.OldLight))
        {
            return OldPieces.Only(plan, cutting, MarkKind.OldLight, Mirrored);
        }

        if (cutting.Hair.Pieces is { } pieces)
        {
            // Kept place by place from the visits before: followed where they are.
            return Painted.Each(
                plan,
                Painted.In(plan, cutting, _ => true),
                (panel, paint) =>
                    OldLight.In(pieces.BandsAt(Mirrored ? Across(panel.Centre.Map) : panel.Centre.Map)) is { } here
                        ? OldLight.Above(paint, here)
                        : null
            );
        }

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

    private static MapPoint Across(MapPoint place) => place with { X = -place.X };
}
