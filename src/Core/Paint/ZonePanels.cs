using Wendro.Core.Hair;
using Wendro.Core.Head;

namespace Wendro.Core.Paint;

/// <summary>One zone cut into panels: what lies where, and what stays out between.</summary>
public sealed class ZonePanels
{
    private const int AreaSteps = 24;
    private const double LeastAreaCm2 = 0.05;
    private readonly Func<ScalpPoint, double> across;
    private readonly Func<ScalpPoint, double> along;
    private readonly List<Row> rows;

    private ZonePanels(
        Zone zone, Sections sections, Func<ScalpPoint, double> across, Func<ScalpPoint, double> along, List<Row> rows, List<Panel> panels)
    {
        Zone = zone;
        Sections = sections;
        this.across = across;
        this.along = along;
        this.rows = rows;
        Panels = panels;
    }

    /// <summary>The zone.</summary>
    public Zone Zone { get; }

    /// <summary>How it was cut.</summary>
    public Sections Sections { get; }

    /// <summary>Its panels, row by row from the low edge.</summary>
    public IReadOnlyList<Panel> Panels { get; }

    /// <summary>Cuts a zone.</summary>
    /// <param name="head">The head.</param>
    /// <param name="part">Her part.</param>
    /// <param name="zone">Which zone.</param>
    /// <param name="sections">Thickness, width, leave-out and direction.</param>
    /// <param name="hair">Density and diameter, for grams.</param>
    /// <param name="lengthAt">Length of the hair rooted at a place, cm.</param>
    public static ZonePanels Cut(
        HeadForm head, PartLine part, Zone zone, Sections sections, HairProfile hair, Func<ScalpPoint, double> lengthAt)
    {
        ArgumentNullException.ThrowIfNull(head);
        ArgumentNullException.ThrowIfNull(sections);
        ArgumentNullException.ThrowIfNull(lengthAt);
        if (part.IsCentral && !ZoneFacts.IsAcross(zone) && !ZoneFacts.IsLeft(zone))
        {
            // A part in the middle makes two equal sides, to the last bit.
            return Cut(head, part, ZoneFacts.Other(zone), sections, hair, lengthAt).Mirrored();
        }

        var outlines = head.ZonesFor(part).OutlinesOf(zone);
        var across = Partings.Across(zone, sections.Parting, part);
        var along = Partings.Along(zone);
        var knife = new Knife(head.Chart, zone, sections, across, along, hair, lengthAt);
        var rows = new List<Row>();
        var panels = new List<Panel>();
        if (outlines.Count > 0)
        {
            foreach (var (low, high) in Heights(outlines, across, sections))
            {
                rows.Add(knife.CutRow(outlines, rows.Count, low, high, panels));
            }
        }

        if (part.IsCentral && ZoneFacts.IsAcross(zone))
        {
            foreach (var row in rows)
            {
                MakeEqual(row.Columns, panels);
            }
        }

        return new ZonePanels(zone, sections, across, along, rows, panels);
    }

    /// <summary>A part in the middle makes the two halves of a row equal, too: her right takes the panels of her left.</summary>
    private static void MakeEqual(IReadOnlyList<Column> row, List<Panel> panels)
    {
        for (var c = 0; c < row.Count / 2; c++)
        {
            var (left, right) = (row[c].Panel, row[^(c + 1)].Panel);
            panels[right] = Turned(panels[left], panels[right].Key);
        }
    }

    private static Panel Turned(Panel panel, PanelKey key) => panel with
    {
        Key = key,
        Outlines = panel.Outlines.Select(o => o.Mirrored()).ToArray(),
        Centre = Outline.Mirror(panel.Centre),
    };

    private ZonePanels Mirrored()
    {
        var other = ZoneFacts.Other(Zone);
        var panels = Panels.Select(p => Turned(p, p.Key with { Zone = other }));
        return new ZonePanels(other, Sections, across, along, rows, panels.ToList());
    }

    /// <summary>The panel a place of this zone belongs to; null where it is left out.</summary>
    public InPanel? At(in ScalpPoint p)
    {
        var height = across(p);
        foreach (var row in rows)
        {
            if (height < row.Low)
            {
                return null;
            }

            if (height <= row.High)
            {
                var place = along(p);
                for (var c = 0; c < row.Columns.Count; c++)
                {
                    var column = row.Columns[c];
                    if ((place >= column.From || c == 0) && (place <= column.To || c == row.Columns.Count - 1))
                    {
                        var u = Math.Clamp((place - column.From) / (column.To - column.From), 0, 1);
                        return new InPanel(column.Panel, u, Math.Clamp((row.High - height) / (row.High - row.Low), 0, 1));
                    }
                }

                return null;
            }
        }

        return null;
    }

    /// <summary>Lower and upper edge of every row, from the low edge up; what remains at the top is a thinner last row, or left out.</summary>
    private static IEnumerable<(double Low, double High)> Heights(
        IReadOnlyList<Outline> outlines, Func<ScalpPoint, double> across, Sections sections)
    {
        var low = outlines.Min(o => o.RangeOf(across).Low);
        var high = outlines.Max(o => o.RangeOf(across).High);
        var thickness = sections.ThicknessMm / 10;
        var leave = sections.LeaveOutMm / 10;
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

    private readonly record struct Column(double From, double To, int Panel);

    private sealed record Row(double Low, double High, IReadOnlyList<Column> Columns);

    private sealed class Knife(
        ScalpChart chart,
        Zone zone,
        Sections sections,
        Func<ScalpPoint, double> across,
        Func<ScalpPoint, double> along,
        HairProfile hair,
        Func<ScalpPoint, double> lengthAt)
    {
        public Row CutRow(IReadOnlyList<Outline> zoneOutlines, int row, double low, double high, List<Panel> panels)
        {
            var band = Between(zoneOutlines, across, low, high);
            var area = band.Sum(o => o.AreaCm2);
            if (area < LeastAreaCm2)
            {
                return new Row(low, high, []);
            }

            var edges = Edges(band, row, area / (high - low));
            var columns = new List<Column>();
            for (var c = 0; c + 1 < edges.Length; c++)
            {
                var outlines = Between(band, along, c == 0 ? double.MinValue : edges[c], c + 2 == edges.Length ? double.MaxValue : edges[c + 1]);
                if (outlines.Sum(o => o.AreaCm2) < LeastAreaCm2)
                {
                    continue;
                }

                columns.Add(new Column(edges[c], edges[c + 1], panels.Count));
                panels.Add(PanelOf(new PanelKey(zone, row, columns.Count - 1), outlines, low, high));
            }

            return new Row(low, high, columns);
        }

        private List<Outline> Between(IReadOnlyList<Outline> outlines, Func<ScalpPoint, double> field, double low, double high)
        {
            // A line that runs along the outline's own border, but for rounding, cuts nothing off.
            const double hair = 1e-3;
            var result = new List<Outline>();
            foreach (var outline in outlines)
            {
                var (least, most) = outline.RangeOf(field);
                if (low >= most - hair || high <= least + hair)
                {
                    continue;
                }

                IReadOnlyList<Outline> above = low <= least + hair ? [outline] : outline.Cut(chart, field, low, keepBelow: false);
                foreach (var o in above)
                {
                    result.AddRange(high >= most - hair ? [o] : o.Cut(chart, field, high, keepBelow: true));
                }
            }

            return result.Where(o => o.AreaCm2 > 1e-4).ToList();
        }

        /// <summary>Where the columns of a row meet: equal areas, so that every panel is equally wide on the head.</summary>
        private double[] Edges(List<Outline> band, int row, double lengthCm)
        {
            var from = band.Min(o => o.RangeOf(along).Low);
            var to = band.Max(o => o.RangeOf(along).High);
            var count = Math.Max(1, (int)Math.Round(lengthCm / sections.WidthCm));
            var moved = sections.Bricklay && row % 2 == 1 && count > 1;
            var shares = new List<double> { 0 };
            for (var c = 1; c < count || (moved && c <= count); c++)
            {
                shares.Add((moved ? c - 0.5 : c) / count);
            }

            shares.Add(1);
            if (shares.Count == 2)
            {
                return [from, to];
            }

            var areas = new double[AreaSteps + 1];
            var levels = new double[AreaSteps - 1];
            for (var k = 0; k < levels.Length; k++)
            {
                levels[k] = from + (to - from) * (k + 1) / AreaSteps;
            }

            foreach (var outline in band)
            {
                outline.AddAreasBelow(along, levels, areas.AsSpan(1, levels.Length));
            }

            areas[AreaSteps] = band.Sum(o => o.AreaCm2);
            var edges = shares.Select(s => from + (to - from) * Inverse(areas, s * areas[AreaSteps]) / AreaSteps).ToArray();
            if (ZoneFacts.IsAcross(zone))
            {
                // Both sides of the head alike, to the last bit.
                edges = edges.Select((e, i) => (e + 360 - edges[edges.Length - 1 - i]) / 2).ToArray();
            }

            return edges;
        }

        private static double Inverse(double[] rising, double value)
        {
            for (var k = 1; k < rising.Length; k++)
            {
                if (rising[k] >= value)
                {
                    var step = rising[k] - rising[k - 1];
                    return k - 1 + (step < 1e-12 ? 0 : (value - rising[k - 1]) / step);
                }
            }

            return rising.Length - 1;
        }

        private Panel PanelOf(PanelKey key, List<Outline> outlines, double low, double high)
        {
            var thicknessCm = high - low;
            var area = outlines.Sum(o => o.AreaCm2);
            var largest = outlines.MaxBy(o => o.AreaCm2)!;
            var mean = new MapPoint(largest.Corners.Average(c => c.Map.X), largest.Corners.Average(c => c.Map.Y));

            // A section bends round the head: its middle lies half-way up it, not at the mean of its corners.
            var centre = new LevelLine(chart, across, (low + high) / 2).Nearest(mean);
            var length = largest.Corners.Append(centre).Average(c => lengthAt(c));
            return new Panel(
                key, outlines, area, thicknessCm * 10, area / thicknessCm, length, HairFibre.Grams(hair, area, length), centre);
        }
    }
}
