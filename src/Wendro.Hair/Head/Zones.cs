namespace Wendro.Head;

/// <summary>
/// The zones of a head as one tree of boundaries: each boundary is a number over the scalp, below zero on one side.
/// A point walks the tree; an outline is cut along it. So every place lies in exactly one zone, and the outlines tile
/// the scalp.
/// Order of claim: face frame, fringe, then the others.
/// </summary>
public sealed class Zones
{
    private readonly Branch root;
    private readonly Dictionary<Zone, IReadOnlyList<Outline>> outlines;

    internal Zones(ScalpChart chart, PartLine part)
    {
        Part = part;
        root = Tree(part);
        outlines = ZoneFacts.All.ToDictionary(z => z, _ => (IReadOnlyList<Outline>)[]);
        var whole = new Outline(chart.Outline.Select(chart.At).ToArray());
        Fill(root, whole, chart);
        PartOnMap = Trace(chart, part);
        if (part.IsCentral)
        {
            // A part in the middle makes two equal sides; let no rounding say otherwise.
            foreach (var left in ZoneFacts.All.Where(ZoneFacts.IsLeft))
            {
                outlines[ZoneFacts.Other(left)] = outlines[left].Select(o => o.Mirrored()).ToArray();
            }
        }
    }

    /// <summary>The part these zones go by.</summary>
    public PartLine Part { get; }

    /// <summary>The part as a line on the crown map, from the hairline to the crown.</summary>
    public IReadOnlyList<MapPoint> PartOnMap { get; }

    /// <summary>The zone a place of the scalp lies in.</summary>
    public Zone At(in ScalpPoint point)
    {
        var branch = root;
        while (branch.Zone is null)
        {
            branch = branch.Boundary!(point) < 0 ? branch.Below! : branch.Above!;
        }

        return branch.Zone.Value;
    }

    /// <summary>The zone's outlines on the crown map; none when the part leaves nothing of it.</summary>
    public IReadOnlyList<Outline> OutlinesOf(Zone zone) => outlines[zone];

    /// <summary>The zone's area on the head, cm².</summary>
    public double AreaOf(Zone zone) => outlines[zone].Sum(o => o.AreaCm2);

    /// <summary>Distance from the part, cm, + her left of it.</summary>
    public static double FromPart(in ScalpPoint p, PartLine part)
    {
        ArgumentNullException.ThrowIfNull(part);
        return p.OverTopCm - part.OffsetAt(p.Position.Z);
    }

    private static List<MapPoint> Trace(ScalpChart chart, PartLine part)
    {
        var line = new List<MapPoint>();
        for (var y = 14.0; y > -2.6; y -= 0.5)
        {
            double right = -9,
                left = 9;
            for (var k = 0; k < 30; k++)
            {
                var x = (left + right) / 2;
                (right, left) = FromPart(chart.At(new MapPoint(x, y)), part) < 0 ? (x, left) : (right, x);
            }

            var at = chart.At(new MapPoint((left + right) / 2, y));
            if (at.FromHairlineCm >= 0)
            {
                line.Add(at.Map);
            }
        }

        return line;
    }

    private static Branch Tree(PartLine part)
    {
        Branch ByPart(Zone left, Zone right) => new(p => FromPart(p, part), new(right), new(left));
        Branch ByMiddle(Zone left, Zone right) => new(p => p.Map.X, new(right), new(left));

        var back = new Branch(
            p => p.FromTopCm - Landmarks.CrownEdgeCm,
            new(Zone.Crown),
            new(
                p => p.FromTopCm - Landmarks.OccipitalCm,
                new(Zone.UpperBack),
                new(p => p.FromTopCm - Landmarks.NapeEdgeCm, new(Zone.LowerBack), new(Zone.Nape))
            )
        );

        var front = new Branch(
            p => Math.Abs(p.OverTopCm) - Landmarks.RidgeCm,
            ByPart(Zone.TopLeft, Zone.TopRight),
            ByMiddle(Zone.SideLeft, Zone.SideRight)
        );

        var rest = new Branch(p => p.Position.Z - Landmarks.EarLineZ(p.Position.Y), back, front);

        var fringe = new Branch(
            p =>
                Math.Max(
                    Math.Max(
                        p.FromHairlineCm - Landmarks.FringeCm,
                        Math.Abs(p.OverTopCm) - Landmarks.FringeHalfWidthCm
                    ),
                    -p.Position.Z
                ),
            ByPart(Zone.FringeLeft, Zone.FringeRight),
            rest
        );

        return new Branch(
            p =>
                Math.Max(
                    p.FromHairlineCm - Landmarks.FaceFrameCm,
                    (Math.Abs(p.Azimuth) - Landmarks.AboveEarDegrees) * 0.13
                ),
            ByPart(Zone.FaceFrameLeft, Zone.FaceFrameRight),
            fringe
        );
    }

    private void Fill(Branch branch, Outline outline, ScalpChart chart)
    {
        if (outline.AreaCm2 < 0.02)
        {
            return;
        }

        if (branch.Zone is { } zone)
        {
            outlines[zone] = [.. outlines[zone], outline];
            return;
        }

        foreach (var below in outline.Cut(chart, branch.Boundary!, 0, keepBelow: true))
        {
            Fill(branch.Below!, below, chart);
        }

        foreach (var above in outline.Cut(chart, branch.Boundary!, 0, keepBelow: false))
        {
            Fill(branch.Above!, above, chart);
        }
    }

    private sealed class Branch
    {
        public Branch(Zone zone) => Zone = zone;

        public Branch(Func<ScalpPoint, double> boundary, Branch below, Branch above)
        {
            Boundary = boundary;
            Below = below;
            Above = above;
        }

        public Zone? Zone { get; }

        public Func<ScalpPoint, double>? Boundary { get; }

        public Branch? Below { get; }

        public Branch? Above { get; }
    }
}
