using Wendro.Hair;
using Wendro.Paint;
using Wendro.Section;

namespace Wendro.Plans;

/// <summary>Hair that was lightened before, and paint that begins above it.</summary>
internal static class OldLight
{
    /// <summary>
    /// How far above old light pieces a touch-up begins, as a share of what has grown. Model assumption.
    /// </summary>
    private const double BeginsAbove = 0.25;

    /// <summary>Where hair is light already, from the scalp; null where none is.</summary>
    public static Band? Of(HairProfile hair) => In(hair.Bands);

    /// <summary>The same of some bands.</summary>
    public static Band? In(IReadOnlyList<Band> bands) => bands.FirstOrDefault(b => b.State == BandState.Lightened);

    /// <summary>The same of the hair a panel is cut from.</summary>
    public static Band? Under(Panel panel, HairProfile hair) => Of(hair.At(panel.Key.Zone, panel.Centre.Map));

    /// <summary>Notes where there is nothing to follow.</summary>
    public static void Check(EditChecks on)
    {
        if (Of(on.Cutting.Hair) is null)
        {
            on.Say(
                "edit",
                "No band of the hair is noted as lightened: there is nothing to follow. Note it in Consult."
            );
        }
    }

    /// <summary>Paint that begins a little above where old light begins.</summary>
    public static PanelPaint Above(PanelPaint paint, Band old) => Above(paint, old.FromCm);

    /// <summary>Paint that begins a little above a distance from the scalp, cm.</summary>
    public static PanelPaint Above(PanelPaint paint, double fromCm)
    {
        var start = fromCm * BeginsAbove;
        return paint.StartingAt(start) with { SpreadCm = Math.Min(paint.SpreadCm, start) };
    }
}
