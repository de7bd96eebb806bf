using Wendro.Blend;
using Wendro.Colour;
using Wendro.Fall;
using Wendro.Hair;
using Wendro.Head;
using Wendro.Plans;
using Wendro.Section;
using Wendro.Units;

namespace Wendro.Record;

/// <summary>
/// What a visit leaves for the next one: the hair as it came out, piece by piece, each told in bands. A toner is left
/// away: it washes out before she comes again.
/// </summary>
public static class ResultingHair
{
    /// <summary>
    /// How far hair must lie from what it was to count as lightened or darkened, levels. Model assumption.
    /// </summary>
    internal const double Counts = 0.4;

    /// <summary>How far from its line an outline's corner may be left out, cm.</summary>
    private const double CornerCm = 0.08;

    /// <summary>Her hair as the visit leaves it.</summary>
    /// <param name="head">The head the visit went by.</param>
    /// <param name="left">Its strands as they came out, unmixed, before any toner.</param>
    public static HairProfile Of(PlannedHead head, StrandSamples left)
    {
        ArgumentNullException.ThrowIfNull(head);
        ArgumentNullException.ThrowIfNull(left);
        var before = head.Hair.Pieces;
        var between = before?.Between ?? head.Hair.Bands;
        var made = new List<Piece>();
        for (var p = 0; p < head.Panels.Count; p++)
        {
            var panel = head.Panels[p].Panel;
            var bands = HairBands.Of(head, left, head.Map.StrandsOf[p], between, HairBands.OfAPiece);
            if (bands.Any(b => b.State != BandState.Natural) && !IsAsBetween(bands, between))
            {
                var side = SideOf(head, left, p);
                made.AddRange(panel.Outlines.Select(o => PieceOf(head, panel, o, bands, side)).OfType<Piece>());
            }
        }

        // What lies between this visit's panels is as it was.
        Piece[] all = [.. made.Concat(before?.All ?? []).Take(Pieces.Most)];
        var strands = Enumerable.Range(0, head.Looks.OnHead.Lengths.Length).ToArray();
        return head.Hair with
        {
            Pieces = all.Length == 0 && before is null ? null : new(between, all),
            History =
                all.Length == 0 ? head.Hair.History : HairBands.Of(head, left, strands, between, HairBands.OfAHead),
        };
    }

    private static bool IsAsBetween(IReadOnlyList<Band> bands, IReadOnlyList<Band> between) =>
        bands.All(b => b.State == BandState.Natural || between.Contains(b));

    /// <summary>Which edge of a section was painted.</summary>
    private enum Side
    {
        Strewn,
        Upper,
        Lower,
    }

    /// <summary>The edge that the strands lie at that were reached.</summary>
    private static Side SideOf(PlannedHead head, StrandSamples left, int panel)
    {
        var (reached, not) = ((Count: 0, Sum: 0.0), (Count: 0, Sum: 0.0));
        foreach (var i in head.Map.StrandsOf[panel])
        {
            var natural = head.Hair.In((Zone)head.Map.Zone[i]).NaturalLevel.Value;
            var level = Level.FromByte(left.Levels[i * Places.Count + LooksAt]);
            if (Math.Abs(level - natural) >= Counts)
            {
                reached = (reached.Count + 1, reached.Sum + head.Map.W[i]);
            }
            else
            {
                not = (not.Count + 1, not.Sum + head.Map.W[i]);
            }
        }

        if (reached.Count == 0 || not.Count == 0)
        {
            return Side.Strewn;
        }

        var apart = reached.Sum / reached.Count - not.Sum / not.Count;
        return apart < -Strewn ? Side.Upper
            : apart > Strewn ? Side.Lower
            : Side.Strewn;
    }

    /// <summary>The place of a strand by which it counts as reached: well down, where paint is solid.</summary>
    private const int LooksAt = Places.Count * 3 / 4;

    /// <summary>
    /// Where reached and unreached strands lie nearer to each other on average than this share of the section, they
    /// are strewn. Model assumption.
    /// </summary>
    private const double Strewn = 0.2;

    /// <summary>How far towards the middle of its panel a corner is looked at, to be within it.</summary>
    private const double Inwards = 0.04;

    private static Piece? PieceOf(PlannedHead head, Panel panel, Outline outline, IReadOnlyList<Band> bands, Side side)
    {
        var corners = Thinned(outline);
        if (corners.Count < 3)
        {
            return null;
        }

        if (side == Side.Strewn)
        {
            return new(corners, bands);
        }

        var middle = new MapPoint(corners.Average(c => c.X), corners.Average(c => c.Y));
        var depths = corners
            .Select(c => new MapPoint(c.X + (middle.X - c.X) * Inwards, c.Y + (middle.Y - c.Y) * Inwards))
            .Select(c => head.Cut[panel.Key.Zone].At(head.Looks.Head.Chart.At(c))?.W)
            .ToArray();
        // A corner that lies in no panel by a hair's breadth is as its neighbour is.
        var told = depths
            .Select((d, i) => d ?? depths.Skip(i).Concat(depths).FirstOrDefault(n => n is not null))
            .Select(d => Math.Round(side == Side.Upper ? d ?? 0 : 1 - (d ?? 0), 1))
            .ToArray();
        return new(corners, bands, told);
    }

    /// <summary>An outline's corners, those left out that lie on the line between others, to a millimetre.</summary>
    private static IReadOnlyList<MapPoint> Thinned(Outline outline)
    {
        var corners = outline.Corners.Select(c => c.Map).ToArray();
        var kept = new List<MapPoint>();
        for (var i = 0; i < corners.Length; i++)
        {
            var (a, b) = (kept.Count > 0 ? kept[^1] : corners[^1], corners[(i + 1) % corners.Length]);
            if (FromLine(corners[i], a, b) > CornerCm || Apart(a, corners[i]) > LongestEdgeCm)
            {
                kept.Add(corners[i]);
            }
        }

        var every = Math.Max(1, (int)Math.Ceiling(kept.Count / (double)Piece.MostCorners));
        return kept.Where((_, i) => i % every == 0)
            .Select(c => new MapPoint(Math.Round(c.X, 2), Math.Round(c.Y, 2)))
            .ToArray();
    }

    private const double LongestEdgeCm = 2.5;

    private static double Apart(MapPoint a, MapPoint b) => double.Hypot(a.X - b.X, a.Y - b.Y);

    private static double FromLine(MapPoint p, MapPoint a, MapPoint b)
    {
        var (dx, dy) = (b.X - a.X, b.Y - a.Y);
        var length = double.Hypot(dx, dy);
        return length < 1e-9 ? Apart(p, a) : Math.Abs(dx * (p.Y - a.Y) - dy * (p.X - a.X)) / length;
    }
}
