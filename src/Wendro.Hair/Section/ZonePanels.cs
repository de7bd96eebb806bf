using Wendro.Hair;
using Wendro.Head;

namespace Wendro.Section;

/// <summary>How a zone is to be cut.</summary>
/// <param name="Part">Her part.</param>
/// <param name="Zone">Which zone.</param>
/// <param name="Sections">Thickness, width, leave-out and direction.</param>
/// <param name="SplitMiddle">Whether the middle of the head is an edge of panels: quadrants.</param>
/// <param name="LeftOut">Regions left out; null or empty for none.</param>
public sealed record ZoneCut(
    PartLine Part,
    Zone Zone,
    Sections Sections,
    bool SplitMiddle = false,
    IReadOnlyList<LeftOut>? LeftOut = null
)
{
    /// <summary>Regions left out.</summary>
    public IReadOnlyList<LeftOut> Regions => LeftOut ?? [];

    /// <summary>Equal when everything is, the regions one by one.</summary>
    public bool Equals(ZoneCut? other) =>
        other is not null
        && Part == other.Part
        && Zone == other.Zone
        && Sections == other.Sections
        && SplitMiddle == other.SplitMiddle
        && Regions.SequenceEqual(other.Regions);

    /// <inheritdoc/>
    public override int GetHashCode() => HashCode.Combine(Part, Zone, Sections, SplitMiddle, Regions.Count);
}

/// <summary>One zone cut into panels: what lies where, and what stays out between.</summary>
public sealed class ZonePanels
{
    private readonly Partings partings;
    private readonly IReadOnlyList<Func<ScalpPoint, double>> outside;
    private readonly List<Row> rows;

    private ZonePanels(
        ZoneCut how,
        Partings partings,
        IReadOnlyList<Func<ScalpPoint, double>> outside,
        List<Row> rows,
        List<Panel> panels
    )
    {
        How = how;
        this.partings = partings;
        this.outside = outside;
        this.rows = rows;
        Panels = panels;
    }

    /// <summary>How it was cut.</summary>
    public ZoneCut How { get; }

    /// <summary>Its panels, row by row from the low edge.</summary>
    public IReadOnlyList<Panel> Panels { get; }

    /// <summary>Cuts a zone.</summary>
    /// <param name="head">The head.</param>
    /// <param name="how">What is to be cut, and how.</param>
    /// <param name="hair">Density and diameter, for grams; marks, for what is left out and where cowlicks part
    /// panels.</param>
    /// <param name="lengthAt">Length of the hair rooted at a place, cm.</param>
    public static ZonePanels Cut(HeadForm head, ZoneCut how, HairProfile hair, Func<ScalpPoint, double> lengthAt)
    {
        ArgumentNullException.ThrowIfNull(head);
        ArgumentNullException.ThrowIfNull(how);
        ArgumentNullException.ThrowIfNull(hair);
        ArgumentNullException.ThrowIfNull(lengthAt);
        var (zone, sections) = (how.Zone, how.Sections);
        var alike = how.Part.IsCentral && hair.Marks.Count == 0;
        if (alike && !ZoneFacts.IsAcross(zone) && !ZoneFacts.IsLeft(zone))
        {
            // A part in the middle makes two equal sides, to the last bit.
            return Cut(head, how with { Zone = ZoneFacts.Other(zone) }, hair, lengthAt).Mirrored(hair);
        }

        var outlines = head.ZonesFor(how.Part).OutlinesOf(zone);
        var partings = Partings.Of(zone, sections.Parting, how.Part, outlines);
        var knife = new PanelCutter(head, how, partings, hair.In(zone), lengthAt);
        var outside = how
            .Regions.Select(r => r.Outside(zone, how.Part))
            .OfType<Func<ScalpPoint, double>>()
            .Concat(LeftOut.OfMarks(hair))
            .ToArray();
        var middles = how
            .Regions.Select(r => r.Middle)
            .OfType<MapPoint>()
            .Concat(hair.Marks.Select(m => m.Map))
            .ToArray();
        var left = knife.Without(outlines, outside, middles);
        var rows = new List<Row>();
        var panels = new List<Panel>();
        if (left.Count > 0)
        {
            var heights = Heights(outlines, partings, sections).ToArray();
            var whole = left.Sum(o => o.AreaCm2);

            // A parting that only just touches a corner can lose a piece or take it twice: then all lie a hair aside.
            for (var attempt = 0; attempt < Attempts; attempt++)
            {
                rows.Clear();
                panels.Clear();
                for (var r = 0; r < heights.Length; r++)
                {
                    // Rows that go outwards from the middle are laid from there on both sides.
                    var step =
                        !partings.BothWays ? r
                        : r < heights.Length / 2 ? heights.Length / 2 - 1 - r
                        : r - heights.Length / 2;
                    var (low, high) = heights[r];
                    var aside = attempt * AsideCm;
                    rows.Add(knife.CutRow(left, (r, step), (low + aside, high + aside), panels));
                }

                var cut = panels.Sum(p => p.AreaCm2);
                if (cut <= whole * 1.01 + 0.05 && (LeavesOut(sections) || cut >= whole * 0.98 - 0.05))
                {
                    break;
                }
            }
        }

        if (alike && ZoneFacts.IsAcross(zone))
        {
            MakeEqual(rows, partings.BothWays, sections.Woven, panels);
        }

        return new ZonePanels(how, partings, outside, rows, panels);
    }

    /// <summary>The panel a place of this zone belongs to; null where it is left out.</summary>
    public PanelPosition? At(in ScalpPoint p)
    {
        var height = partings.Across(p);
        foreach (var row in rows)
        {
            if (height < row.Low)
            {
                return null;
            }

            if (height <= row.High)
            {
                foreach (var field in outside)
                {
                    if (field(p) < 0)
                    {
                        return null;
                    }
                }

                return row.At(height, partings.Along(p));
            }
        }

        return null;
    }

    /// <summary>Whether rows run across the middle of the head; else each lies on one side of it.</summary>
    public bool RunsAcross => ZoneFacts.IsAcross(How.Zone) && !partings.BothWays;

    /// <summary>
    /// Where a panel can be taken hold of on the map: from its middle to its upper edge, and along its section to its
    /// end, cm on the map.
    /// </summary>
    public DragHandle GripOf(Panel panel, ScalpChart chart)
    {
        ArgumentNullException.ThrowIfNull(panel);
        ArgumentNullException.ThrowIfNull(chart);
        const double step = 0.1;
        double At(double x, double y) =>
            partings.Across(chart.At(new MapPoint(panel.Centre.Map.X + x, panel.Centre.Map.Y + y)));
        var (gx, gy) = ((At(step, 0) - At(-step, 0)) / (2 * step), (At(0, step) - At(0, -step)) / (2 * step));
        var slope = Math.Sqrt(gx * gx + gy * gy);
        var steep = Math.Max(slope, 0.2);

        // Where a zigzag turns the numbers hardly rise: which way they do still says where up is.
        var (nx, ny) = slope > 1e-9 ? (gx / slope, gy / slope) : (0, 1);
        var up = panel.ThicknessMm / 20 / steep;

        // The map keeps areas: what it narrows across, it widens along.
        var aside = panel.WidthCm / 2 * steep;
        return new DragHandle(panel.Centre.Map, new(nx * up, ny * up), new(ny * aside, -nx * aside));
    }

    /// <summary>
    /// The panel at the same place on her other side, in a zone across the middle; itself where it lies across the
    /// middle.
    /// </summary>
    public PanelKey Opposite(PanelKey key)
    {
        var row = partings.BothWays ? rows.Count - 1 - key.Row : key.Row;
        var last = Panels.Where(p => p.Key.Row == row).Select(p => p.Key.Column).DefaultIfEmpty(0).Max();
        return key with
        {
            Row = row,
            Column = partings.BothWays ? key.Column : Turned(key.Column, last, How.Sections.Woven),
        };
    }

    /// <summary>Woven panels come in pairs: the pairs turn round, first stays first.</summary>
    private static int Turned(int column, int last, bool woven) =>
        woven && last % 2 == 1 ? last - 1 - column + 2 * (column % 2) : last - column;

    /// <summary>
    /// A part in the middle makes the two halves of a zone equal, too: her right takes the panels of her left.
    /// </summary>
    private static void MakeEqual(List<Row> rows, bool bothWays, bool woven, List<Panel> panels)
    {
        if (bothWays)
        {
            for (var r = 0; r < rows.Count / 2; r++)
            {
                var (left, right) = (rows[^(r + 1)], rows[r]);
                foreach (
                    var (from, to) in left
                        .Columns.Select(c => c.Panel)
                        .Distinct()
                        .Zip(right.Columns.Select(c => c.Panel).Distinct())
                )
                {
                    panels[to] = Turned(panels[from], panels[to].Key);
                }
            }

            return;
        }

        foreach (var row in rows)
        {
            var own = row.Columns.Select(c => c.Panel).Distinct().ToArray();
            for (var c = 0; c < own.Length; c++)
            {
                var other = Turned(c, own.Length - 1, woven);
                if (c < other)
                {
                    panels[own[other]] = Turned(panels[own[c]], panels[own[other]].Key);
                }
            }
        }
    }

    private static Panel Turned(Panel panel, PanelKey key) =>
        panel with
        {
            Key = key,
            Outlines = panel.Outlines.Select(o => o.Mirrored()).ToArray(),
            Centre = Outline.Mirror(panel.Centre),
        };

    private ZonePanels Mirrored(HairProfile hair)
    {
        var other = ZoneFacts.Other(How.Zone);
        var there = hair.In(other);
        var panels = Panels
            .Select(p => Turned(p, p.Key with { Zone = other }))
            .Select(p => p with { HairGrams = HairFibre.Grams(there, p.AreaCm2, p.LengthCm) });
        ScalpPoint Mirror(ScalpPoint p) => Outline.Mirror(p);
        var turned = new Partings(p => partings.Across(Mirror(p)), p => partings.Along(Mirror(p)), partings.BothWays);
        var left = outside.Select(field => (Func<ScalpPoint, double>)(p => field(Mirror(p)))).ToArray();
        return new ZonePanels(How with { Zone = other }, turned, left, rows, panels.ToList());
    }

    /// <summary>
    /// Lower and upper edge of every row, from the low edge up; what remains at the top is a thinner last row, or
    /// left out.
    /// </summary>
    private static IEnumerable<(double Low, double High)> Heights(
        IReadOnlyList<Outline> outlines,
        Partings partings,
        Sections sections
    )
    {
        var low = outlines.Min(o => o.RangeOf(partings.Across).Low);
        var high = outlines.Max(o => o.RangeOf(partings.Across).High);
        if (!partings.BothWays)
        {
            return Stacked(low, high, sections);
        }

        // Outwards from the middle, to both sides alike.
        var half = Stacked(0, Math.Max(high, -low), sections).ToArray();
        return half.Reverse().Select(h => (-h.High, -h.Low)).Concat(half);
    }

    /// <summary>How often partings are laid anew, and how far aside each time, cm.</summary>
    private const int Attempts = 4;
    private const double AsideCm = 0.006;

    /// <summary>Less than this is no hair left out, mm.</summary>
    private const double NothingMm = 0.2;

    private static bool LeavesOut(Sections sections) => sections.LeaveOutMm >= NothingMm;

    private static IEnumerable<(double Low, double High)> Stacked(double low, double high, Sections sections)
    {
        var thickness = sections.ThicknessMm / 10;
        var leave = LeavesOut(sections) ? sections.LeaveOutMm / 10 : 0;
        while (low < high)
        {
            var top = low + thickness;
            if (leave <= 0 && high - top < thickness / 3)
            {
                // Too little would remain for a section of its own, and nothing is to be left out: this one takes it.
                top = high;
            }

            if (leave <= 0 || Math.Min(top, high) - low >= thickness / 3)
            {
                yield return (low, Math.Min(top, high));
            }

            low = top + leave;
        }
    }
}
