using Wendro.Hair;
using Wendro.Head;

namespace Wendro.Section;

/// <summary>Cuts the rows of a zone, and rows into panels.</summary>
internal sealed class PanelCutter(
    HeadForm head,
    ZoneCut how,
    Partings partings,
    HairProfile hair,
    Func<ScalpPoint, double> lengthAt
)
{
    private const int AreaSteps = 24;
    private const double LeastAreaCm2 = 0.05;

    /// <summary>Width of one tooth of a weave, cm. Model assumption.</summary>
    private const double ToothCm = 0.8;

    /// <summary>Share of a triangle's width its edges lean by: a comb draws no needle's point.</summary>
    private const double Lean = 0.86;

    private readonly ScalpChart chart = head.Chart;
    private readonly ScalpPoint[] cowlicks = hair
        .Marks.Where(m => m.Kind == MarkKind.Cowlick)
        .Select(m => head.Chart.At(m.Map))
        .ToArray();
    private readonly double[] reaches = hair
        .Marks.Where(m => m.Kind == MarkKind.Cowlick)
        .Select(m => m.RadiusCm)
        .ToArray();

    /// <summary>Takes what is left out off a zone's outlines.</summary>
    /// <param name="outlines">The zone.</param>
    /// <param name="outside">What is left out: negative inside.</param>
    /// <param name="middles">Middles of what is left out that could lie wholly within the zone.</param>
    public List<Outline> Without(
        IReadOnlyList<Outline> outlines,
        IReadOnlyList<Func<ScalpPoint, double>> outside,
        IReadOnlyList<MapPoint> middles
    )
    {
        var kept = outlines.ToList();
        foreach (var middle in middles)
        {
            // A line is followed from edge to edge: what no edge crosses is cut through its middle first, so that two
            // pieces have it on theirs.
            var field = outside.FirstOrDefault(f => f(chart.At(middle)) < 0);
            if (field is not null && kept.All(o => o.Corners.All(c => field(c) > 0)))
            {
                kept =
                [
                    .. Between(kept, p => p.Map.X - middle.X, double.MinValue, 0),
                    .. Between(kept, p => p.Map.X - middle.X, 0, double.MaxValue),
                ];
            }
        }

        foreach (var field in outside)
        {
            kept = Between(kept, field, 0, double.MaxValue);
        }

        return kept;
    }

    /// <summary>Cuts one row; its panels are added to the zone's.</summary>
    /// <param name="zoneOutlines">The zone, without what is left out.</param>
    /// <param name="row">Its number, and which step it is for bricklay.</param>
    /// <param name="heights">Its edges.</param>
    /// <param name="panels">The zone's panels so far.</param>
    public Row CutRow(
        IReadOnlyList<Outline> zoneOutlines,
        (int Number, int Step) row,
        (double Low, double High) heights,
        List<Panel> panels
    )
    {
        var (low, high) = heights;
        var turned = partings.BothWays && low + high > 0;
        var band = Between(zoneOutlines, partings.Across, low, high);
        var area = band.Sum(o => o.AreaCm2);
        if (area < LeastAreaCm2)
        {
            return new Row(low, high, turned, []);
        }

        var edges = Edges(band, row.Step, heights, area / (high - low));
        var columns = new List<Column>();
        for (var c = 0; c + 1 < edges.Length; c++)
        {
            CutPanels(band, new PanelKey(how.Zone, row.Number, 0), heights, (edges, c), columns, panels);
        }

        return new Row(low, high, turned, columns);
    }

    private void CutPanels(
        List<Outline> band,
        PanelKey row,
        (double Low, double High) heights,
        (Edge[] All, int From) edges,
        List<Column> columns,
        List<Panel> panels
    )
    {
        var (left, right) = (edges.All[edges.From], edges.All[edges.From + 1]);
        var open = (First: edges.From == 0, Last: edges.From + 2 == edges.All.Length);
        var outlines = Between(band, heights, left, right, open);
        var area = outlines.Sum(o => o.AreaCm2);
        if (area < LeastAreaCm2)
        {
            return;
        }

        var number = columns.Select(c => c.Panel).Distinct().Count();
        var teeth = how.Sections.Woven
            ? 2 * Math.Max(1, (int)Math.Round(area / (heights.High - heights.Low) / (2 * ToothCm)))
            : 1;
        if (teeth == 1)
        {
            columns.Add(new Column(left, right, panels.Count, left, right));
            panels.Add(PanelOf(row with { Column = number }, outlines, heights));
            return;
        }

        // Every other tooth makes one panel, those between the next. A panel need not fill all the room between its
        // edges.
        var (begins, ends) = (left, right);
        if (left.Slant == 0 && right.Slant == 0)
        {
            begins = new(outlines.Min(o => o.RangeOf(partings.Along).Low));
            ends = new(outlines.Max(o => o.RangeOf(partings.Along).High));
        }

        var woven = new[] { new List<Outline>(), new List<Outline>() };
        for (var t = 0; t < teeth; t++)
        {
            Edge At(double share) =>
                new(begins.At + (ends.At - begins.At) * share, begins.Slant + (ends.Slant - begins.Slant) * share);
            var (from, to) = (At((double)t / teeth), At((t + 1.0) / teeth));
            woven[t % 2].AddRange(Between(outlines, heights, from, to, (t == 0, t + 1 == teeth)));
            columns.Add(new Column(from, to, panels.Count + t % 2, left, right));
        }

        for (var g = 0; g < 2; g++)
        {
            panels.Add(PanelOf(row with { Column = number + g }, woven[g].Count > 0 ? woven[g] : outlines, heights));
        }
    }

    private List<Outline> Between(
        IReadOnlyList<Outline> outlines,
        (double Low, double High) heights,
        Edge left,
        Edge right,
        (bool First, bool Last) open
    )
    {
        Func<ScalpPoint, double> Leaning(Edge edge) =>
            edge.Slant == 0
                ? partings.Along
                : p =>
                    partings.Along(p)
                    - edge.Slant * ((partings.Across(p) - heights.Low) / (heights.High - heights.Low) - 0.5);
        if (left.Slant == 0 && right.Slant == 0)
        {
            return Between(
                outlines,
                partings.Along,
                open.First ? double.MinValue : left.At,
                open.Last ? double.MaxValue : right.At
            );
        }

        var after = open.First ? outlines : Between(outlines, Leaning(left), left.At, double.MaxValue);
        return open.Last ? after.ToList() : Between(after, Leaning(right), double.MinValue, right.At);
    }

    private List<Outline> Between(
        IReadOnlyList<Outline> outlines,
        Func<ScalpPoint, double> field,
        double low,
        double high
    )
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

            IReadOnlyList<Outline> above =
                low <= least + hair ? [outline] : outline.Cut(chart, field, low, keepBelow: false);
            foreach (var o in above)
            {
                result.AddRange(high >= most - hair ? [o] : o.Cut(chart, field, high, keepBelow: true));
            }
        }

        return result.Where(o => o.AreaCm2 > 1e-4).ToList();
    }

    /// <summary>
    /// Where the columns of a row meet: equal areas, so that every panel is equally wide on the head.
    /// </summary>
    private Edge[] Edges(List<Outline> band, int row, (double Low, double High) heights, double lengthCm)
    {
        var from = band.Min(o => o.RangeOf(partings.Along).Low);
        var to = band.Max(o => o.RangeOf(partings.Along).High);
        var triangles = how.Sections.Parting == Parting.Triangles;
        var across = ZoneFacts.IsAcross(how.Zone) && !partings.BothWays;
        var count = Math.Max(1, (int)Math.Round(lengthCm / how.Sections.WidthCm));
        var moved = how.Sections.Bricklay && !triangles && row % 2 == 1 && count > 1;
        if (across && (triangles || (how.SplitMiddle && moved)))
        {
            // An odd number has one that both sides share, or, moved by half a panel, an edge in the middle.
            count |= 1;
        }
        else if (across && how.SplitMiddle)
        {
            count += count & 1;
        }

        var shares = new List<double> { 0 };
        for (var c = 1; c < count || (moved && c <= count); c++)
        {
            shares.Add((moved ? c - 0.5 : c) / count);
        }

        shares.Add(1);
        var edges = shares.Count == 2 ? [from, to] : Places(band, shares, from, to);
        if (across)
        {
            // Both sides of the head alike, to the last bit.
            edges = edges.Select((e, i) => (e + 360 - edges[edges.Length - 1 - i]) / 2).ToArray();
        }

        return triangles ? Slanted(edges, row) : PartedAtCowlicks(edges, heights).Select(e => new Edge(e)).ToArray();
    }

    private Edge[] Slanted(double[] edges, int row)
    {
        var way = how.Sections.Bricklay && row % 2 == 1 ? -1 : 1;
        return edges
            .Select(
                (e, i) =>
                {
                    if (i == 0 || i + 1 == edges.Length)
                    {
                        return new Edge(e);
                    }

                    var room = Math.Min(e - edges[i - 1], edges[i + 1] - e);
                    return new Edge(e, (i % 2 == 0 ? 1 : -1) * way * Lean * room);
                }
            )
            .ToArray();
    }

    /// <summary>A cowlick that reaches into the row parts it there: hair goes to each side.</summary>
    private double[] PartedAtCowlicks(double[] edges, (double Low, double High) heights)
    {
        for (var i = 0; i < cowlicks.Length; i++)
        {
            var (height, place) = (partings.Across(cowlicks[i]), partings.Along(cowlicks[i]));
            if (
                height < heights.Low - reaches[i]
                || height > heights.High + reaches[i]
                || place <= edges[0]
                || place >= edges[^1]
            )
            {
                continue;
            }

            var nearest = Enumerable.Range(0, edges.Length).MinBy(k => Math.Abs(edges[k] - place));
            var panel = (edges[^1] - edges[0]) / (edges.Length - 1);
            edges =
                nearest > 0 && nearest < edges.Length - 1 && Math.Abs(edges[nearest] - place) < 0.3 * panel
                    ? edges.Select((e, k) => k == nearest ? place : e).ToArray()
                    : edges.Append(place).Order().ToArray();
        }

        return edges;
    }

    private double[] Places(List<Outline> band, List<double> shares, double from, double to)
    {
        var areas = new double[AreaSteps + 1];
        var levels = new double[AreaSteps - 1];
        for (var k = 0; k < levels.Length; k++)
        {
            levels[k] = from + (to - from) * (k + 1) / AreaSteps;
        }

        foreach (var outline in band)
        {
            outline.AddAreasBelow(partings.Along, levels, areas.AsSpan(1, levels.Length));
        }

        areas[AreaSteps] = band.Sum(o => o.AreaCm2);
        return shares.Select(s => from + (to - from) * Inverse(areas, s * areas[AreaSteps]) / AreaSteps).ToArray();
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

    private Panel PanelOf(PanelKey key, List<Outline> outlines, (double Low, double High) heights)
    {
        var thicknessCm = heights.High - heights.Low;
        var area = outlines.Sum(o => o.AreaCm2);
        var largest = outlines.MaxBy(o => o.AreaCm2)!;
        var mean = new MapPoint(largest.Corners.Average(c => c.Map.X), largest.Corners.Average(c => c.Map.Y));

        // A section bends round the head: its middle lies half-way up it, not at the mean of its corners.
        var centre = new LevelLine(chart, partings.Across, (heights.Low + heights.High) / 2).Nearest(mean);
        var length = largest.Corners.Append(centre).Average(c => lengthAt(c));
        return new Panel(
            key,
            outlines,
            area,
            thicknessCm * 10,
            area / thicknessCm,
            length,
            HairFibre.Grams(hair, area, length),
            centre
        );
    }
}
