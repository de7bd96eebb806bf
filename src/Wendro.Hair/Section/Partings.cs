using Wendro.Head;
using Wendro.Units;

namespace Wendro.Section;

/// <summary>
/// The two numbers a zone is cut by: how high a place lies across the sections (cm on the head, low edge to part or
/// crown),
/// and how far along a section (from her face backwards; at the back from her left to her right; upright sections
/// from the top down).
/// </summary>
/// <param name="Across">Rows lie between equal values of it.</param>
/// <param name="Along">Columns lie between equal values of it.</param>
/// <param name="BothWays">Rows go outwards from the middle of the head to both sides; 0 is the middle, her left above
/// it.</param>
internal sealed record Partings(Func<ScalpPoint, double> Across, Func<ScalpPoint, double> Along, bool BothWays)
{
    private const double DiagonalDegrees = 35;
    private const double ZigzagCm = 0.35;
    private const double ZigzagPeriodCm = 2.4;
    private const double PeakRound = 0.95;

    /// <summary>The front of the crown, on the map, cm: where its slices meet.</summary>
    private const double CrownPivotY = 1.2;

    /// <summary>How a zone is cut.</summary>
    public static Partings Of(Zone zone, Parting parting, PartLine part, IReadOnlyList<Outline> outlines) =>
        parting switch
        {
            Parting.Vertical => new(Upright(zone), Down(zone, part), ZoneFacts.IsAcross(zone)),
            Parting.Pivot => new(
                Slices(zone, outlines),
                p => Math.Sqrt(Squared(p, PivotY(zone))),
                ZoneFacts.IsAcross(zone)
            ),
            Parting.Horizontal
            or Parting.DiagonalBack
            or Parting.DiagonalForward
            or Parting.Zigzag
            or Parting.Triangles => new(Level(zone, parting, part), Round(zone), false),
        };

    private static Func<ScalpPoint, double> Level(Zone zone, Parting parting, PartLine part)
    {
        var height = Height(zone, part);
        if (parting is Parting.Horizontal or Parting.Triangles)
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
    private static double Peaks(double turns) =>
        Math.Asin(PeakRound * Math.Sin(2 * Math.PI * turns)) / Math.Asin(PeakRound);

    /// <summary>Place along a level section.</summary>
    private static Func<ScalpPoint, double> Round(Zone zone) =>
        zone switch
        {
            Zone.TopLeft or Zone.TopRight or Zone.FringeLeft or Zone.FringeRight => p => -p.Position.Z,
            Zone.FaceFrameLeft or Zone.FaceFrameRight => p => Math.Abs(p.Azimuth),
            Zone.SideLeft or Zone.SideRight => p => Math.Abs(p.Around),
            Zone.Nape or Zone.LowerBack or Zone.UpperBack or Zone.Crown => FromHerLeft,
        };

    private static Func<ScalpPoint, double> Height(Zone zone, PartLine part) =>
        zone switch
        {
            Zone.TopLeft or Zone.TopRight or Zone.FringeLeft or Zone.FringeRight => p =>
                -Math.Abs(Zones.FromPart(p, part)),
            Zone.FaceFrameLeft or Zone.FaceFrameRight => p => p.FromHairlineCm,
            Zone.Nape or Zone.LowerBack or Zone.UpperBack or Zone.Crown or Zone.SideLeft or Zone.SideRight => p =>
                -p.FromTopCm,
        };

    /// <summary>
    /// Centimetres towards the face, for upright sections; at the back round from the middle to her left.
    /// </summary>
    private static Func<ScalpPoint, double> Upright(Zone zone)
    {
        if (ZoneFacts.IsAcross(zone))
        {
            return p =>
            {
                var (x, z) = ((double)p.Position.X, -(p.Position.Z + 1.2));
                return Math.Atan2(x, z) * Math.Sqrt(x * x + z * z);
            };
        }

        return ZoneFacts.IsFaceFrame(zone) ? TowardsFace(zone) : p => p.Position.Z;
    }

    private static Func<ScalpPoint, double> Down(Zone zone, PartLine part)
    {
        var height = Height(zone, part);
        return p => -height(p);
    }

    /// <summary>Slices round the pivot, in centimetres at the middle of the zone.</summary>
    private static Func<ScalpPoint, double> Slices(Zone zone, IReadOnlyList<Outline> outlines)
    {
        var y = PivotY(zone);
        var corners = outlines.SelectMany(o => o.Corners).ToArray();
        var reach = corners.Length == 0 ? 1 : corners.Average(c => Math.Sqrt(Squared(c, y)));
        if (ZoneFacts.IsAcross(zone))
        {
            return p => Math.Atan2(p.Map.X, y - p.Map.Y) * reach;
        }

        // High towards the face, as upright sections are.
        var side = ZoneFacts.IsLeft(zone) ? 1 : -1;
        return p => -Math.Atan2(side * p.Map.X, p.Map.Y - y) * reach;
    }

    private static double PivotY(Zone zone) => zone == Zone.Crown ? CrownPivotY : 0;

    private static double Squared(in ScalpPoint p, double y) => p.Map.X * p.Map.X + (p.Map.Y - y) * (p.Map.Y - y);

    /// <summary>Centimetres towards the face, roughly, for slanting a parting.</summary>
    private static Func<ScalpPoint, double> TowardsFace(Zone zone) =>
        zone switch
        {
            Zone.TopLeft or Zone.TopRight or Zone.FringeLeft or Zone.FringeRight => p => p.Position.Z,
            Zone.FaceFrameLeft or Zone.FaceFrameRight => p => -Math.Abs(p.Azimuth) * 0.14,
            Zone.SideLeft or Zone.SideRight => p => -Math.Abs(p.Around) * 0.145,

            // Rounded where both sides meet at the back: nobody parts a sharp V.
            Zone.Nape or Zone.LowerBack or Zone.UpperBack or Zone.Crown => p =>
                Math.Sqrt(Math.Pow((FromHerLeft(p) - 180) * 0.145, 2) + 0.5),
        };

    private static double FromHerLeft(ScalpPoint p) => p.Around >= 0 ? p.Around : p.Around + 360;
}
