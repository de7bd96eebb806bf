using Wendro.Core.Head;
using Wendro.Core.Units;

namespace Wendro.Core.Paint;

/// <summary>
/// The two numbers a zone is cut by: how high a place lies across the sections (cm on the head, low edge to part or crown),
/// and how far along a section (from her face backwards; at the back from her left to her right).
/// </summary>
internal static class Partings
{
    private const double DiagonalDegrees = 35;
    private const double ZigzagCm = 0.35;
    private const double ZigzagPeriodCm = 2.4;
    private const double PeakRound = 0.95;

    /// <summary>Height across the sections: rows of a zone lie between equal values of it.</summary>
    public static Func<ScalpPoint, double> Across(Zone zone, Parting parting, PartLine part)
    {
        var height = Height(zone, part);
        if (parting == Parting.Horizontal)
        {
            return height;
        }

        var ahead = TowardsFace(zone);
        if (parting == Parting.Zigzag)
        {
            // Round the very top of the head all directions meet: there the peaks flatten.
            // Finer in the fringe, which is hardly deeper than a peak.
            var peak = zone is Zone.FringeLeft or Zone.FringeRight ? ZigzagCm / 2 : ZigzagCm;
            return p => height(p) + peak * Curve.Smooth(1.5, 6, p.FromTopCm) * Peaks(ahead(p) / ZigzagPeriodCm);
        }

        var cos = Math.Cos(DiagonalDegrees * Math.PI / 180);
        var sin = Math.Sin(DiagonalDegrees * Math.PI / 180) * (parting == Parting.DiagonalBack ? -1 : 1);
        return p => height(p) * cos + ahead(p) * sin;
    }

    /// <summary>Up and down between −1 and 1 once a turn; peaks a comb's tail can draw, a little rounded.</summary>
    private static double Peaks(double turns) => Math.Asin(PeakRound * Math.Sin(2 * Math.PI * turns)) / Math.Asin(PeakRound);

    /// <summary>Place along a section.</summary>
    public static Func<ScalpPoint, double> Along(Zone zone) => zone switch
    {
        Zone.TopLeft or Zone.TopRight or Zone.FringeLeft or Zone.FringeRight => p => -p.Position.Z,
        Zone.FaceFrameLeft or Zone.FaceFrameRight => p => Math.Abs(p.Azimuth),
        Zone.SideLeft or Zone.SideRight => p => Math.Abs(p.Around),
        _ => FromHerLeft,
    };

    private static Func<ScalpPoint, double> Height(Zone zone, PartLine part) => zone switch
    {
        Zone.TopLeft or Zone.TopRight or Zone.FringeLeft or Zone.FringeRight => p => -Math.Abs(Zones.FromPart(p, part)),
        Zone.FaceFrameLeft or Zone.FaceFrameRight => p => p.FromHairlineCm,
        _ => p => -p.FromTopCm,
    };

    /// <summary>Centimetres towards the face, roughly, for slanting a parting.</summary>
    private static Func<ScalpPoint, double> TowardsFace(Zone zone) => zone switch
    {
        Zone.TopLeft or Zone.TopRight or Zone.FringeLeft or Zone.FringeRight => p => p.Position.Z,
        Zone.FaceFrameLeft or Zone.FaceFrameRight => p => -Math.Abs(p.Azimuth) * 0.14,
        Zone.SideLeft or Zone.SideRight => p => -Math.Abs(p.Around) * 0.145,

        // Rounded where both sides meet at the back: nobody parts a sharp V.
        _ => p => Math.Sqrt(Math.Pow((FromHerLeft(p) - 180) * 0.145, 2) + 0.5),
    };

    private static double FromHerLeft(ScalpPoint p) => p.Around >= 0 ? p.Around : p.Around + 360;
}
