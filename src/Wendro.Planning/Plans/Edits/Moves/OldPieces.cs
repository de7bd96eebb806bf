using Wendro.Hair;
using Wendro.Paint;
using Wendro.Section;

namespace Wendro.Plans;

/// <summary>Old light and dark pieces where they are marked on the map, and the panels that lie there.</summary>
internal static class OldPieces
{
    /// <summary>Whether any are marked.</summary>
    public static bool Any(HairProfile hair, MarkKind kind) => hair.Marks.Any(m => m.Kind == kind);

    /// <summary>Notes where none are marked.</summary>
    public static void Check(EditChecks on, MarkKind kind)
    {
        if (!Any(on.Cutting.Hair, kind))
        {
            on.Say("edit", $"No {Mark.Words(kind)} is marked on the map. Mark where they lie in Consult.");
        }
    }

    /// <summary>The marked piece that a panel lies on; null where it lies on none.</summary>
    public static Mark? Under(Panel panel, HairProfile hair, MarkKind kind, bool mirrored) =>
        hair
            .Marks.Where(m => m.Kind == kind)
            .Select(m => mirrored ? m.Mirrored() : m)
            .FirstOrDefault(m => m.Outside(panel.Centre) <= 0);

    /// <summary>Leaves only those painted panels that lie on marked pieces, begun above where these begin.</summary>
    public static Plan Only(Plan plan, Cutting cutting, MarkKind kind, bool mirrored) =>
        Painted.Each(
            plan,
            Painted.In(plan, cutting, _ => true),
            (panel, paint) =>
                Under(panel, cutting.Hair, kind, mirrored) is not { } piece ? null
                : piece.StartCm is { } begins ? OldLight.Above(paint, begins)
                : paint
        );
}
