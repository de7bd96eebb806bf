namespace Wendro.Head;

/// <summary>A closed outline on the crown map, counter-clockwise, whose corners know their place on the head.</summary>
public sealed class Outline
{
    internal Outline(IReadOnlyList<ScalpPoint> corners)
    {
        Corners = corners;
        AreaCm2 = SignedArea(corners);
    }

    /// <summary>Where a line can't be followed, it is cut a hair's breadth beside it.</summary>
    private static readonly double[] Nudges = [0, 0.013, -0.017, 0.031, -0.037, 0.06, -0.07];

    /// <summary>The corners, in order; the last joins the first.</summary>
    public IReadOnlyList<ScalpPoint> Corners { get; }

    /// <summary>Area on the head, cm².</summary>
    public double AreaCm2 { get; }

    /// <summary>
    /// Keeps what lies on one side of a level line of a field over the scalp: none, one or several outlines.
    /// The new edges follow the line itself, the same points for both sides, so that the parts fit without gap or
    /// overlap.
    /// </summary>
    public IReadOnlyList<Outline> Cut(ScalpChart chart, Func<ScalpPoint, double> field, double level, bool keepBelow)
    {
        ArgumentNullException.ThrowIfNull(field);
        foreach (var nudge in Nudges)
        {
            // Decided on both sides at once, so that both are cut along the same line.
            var parts = Side(chart, field, level + nudge, keepBelow, out var followed, out var lines);
            if (
                lines == 0
                || (followed && Fits(parts, Side(chart, field, level + nudge, !keepBelow, out var back, out _)) && back)
            )
            {
                return parts;
            }
        }

        return Straight(new LevelLine(chart, field, level), field, level, keepBelow);
    }

    /// <summary>
    /// One side with straight edges in place of a line that can be followed nowhere near. What lies below keeps the
    /// middle; what lies above is
    /// each stretch of the border closed by itself: together they are what was there.
    /// </summary>
    private IReadOnlyList<Outline> Straight(
        LevelLine line,
        Func<ScalpPoint, double> field,
        double level,
        bool keepBelow
    )
    {
        var runs = RunsOf(Corners.Select(c => field(c) < level == keepBelow).ToArray(), line)
            .Select(r => r.Points)
            .ToArray();
        IEnumerable<List<ScalpPoint>> loops = keepBelow ? [runs.SelectMany(p => p).ToList()] : runs;
        return loops.Where(l => l.Count > 2).Select(l => new Outline(l)).ToArray();
    }

    /// <summary>
    /// Whether both sides of a cut are all there is: a line that was followed wrongly gives itself away.
    /// </summary>
    private bool Fits(IReadOnlyList<Outline> one, IReadOnlyList<Outline> other)
    {
        var parts = one.Concat(other).ToArray();
        return parts.All(o => o.AreaCm2 >= -1e-9 && o.AreaCm2 <= AreaCm2 * 1.001 + 1e-9)
            && Math.Abs(parts.Sum(o => o.AreaCm2) - AreaCm2) <= 0.002 * AreaCm2 + 0.002;
    }

    private IReadOnlyList<Outline> Side(
        ScalpChart chart,
        Func<ScalpPoint, double> field,
        double level,
        bool keepBelow,
        out bool followed,
        out int lines
    )
    {
        var line = new LevelLine(chart, field, level);
        var kept = new bool[Corners.Count];
        var any = false;
        var all = true;
        for (var i = 0; i < kept.Length; i++)
        {
            kept[i] = field(Corners[i]) < level == keepBelow;
            any |= kept[i];
            all &= kept[i];
        }

        (followed, lines) = (true, 0);
        if (all || !any)
        {
            return all ? [this] : [];
        }

        var runs = RunsOf(kept, line);
        lines = runs.Count;
        return Join(runs, line, keepBelow, out followed);
    }

    /// <summary>The same outline on her other side.</summary>
    internal Outline Mirrored() => new(Corners.Reverse().Select(Mirror).ToArray());

    /// <summary>A place on her other side.</summary>
    internal static ScalpPoint Mirror(ScalpPoint p) =>
        p with
        {
            Map = p.Map with { X = -p.Map.X },
            Around = -p.Around,
            OverTopCm = -p.OverTopCm,
            Position = p.Position with { X = -p.Position.X },
            Azimuth = -p.Azimuth,
        };

    /// <summary>Smallest and largest value of a field over the corners.</summary>
    internal (double Low, double High) RangeOf(Func<ScalpPoint, double> field)
    {
        var low = double.MaxValue;
        var high = double.MinValue;
        foreach (var c in Corners)
        {
            var v = field(c);
            low = Math.Min(low, v);
            high = Math.Max(high, v);
        }

        return (low, high);
    }

    /// <summary>
    /// Area below each of some levels of a field, cm², with straight edges in place of the level lines: enough to
    /// find where
    /// columns meet, at a fraction of the price of a cut.
    /// </summary>
    internal void AddAreasBelow(Func<ScalpPoint, double> field, ReadOnlySpan<double> levels, Span<double> areas)
    {
        var n = Corners.Count;
        var values = new double[n];
        for (var i = 0; i < n; i++)
        {
            values[i] = field(Corners[i]);
        }

        for (var k = 0; k < levels.Length; k++)
        {
            areas[k] += AreaBelow(values, levels[k]);
        }
    }

    private double AreaBelow(double[] values, double level)
    {
        var sum = 0.0;
        MapPoint? first = null;
        MapPoint last = default;
        void To(MapPoint p)
        {
            sum += first is null ? 0 : last.X * p.Y - p.X * last.Y;
            first ??= p;
            last = p;
        }

        for (var i = 0; i < values.Length; i++)
        {
            var j = i + 1 == values.Length ? 0 : i + 1;
            var (a, b) = (Corners[i].Map, Corners[j].Map);
            if (values[i] < level)
            {
                To(a);
            }

            if (values[i] < level != values[j] < level)
            {
                var t = (level - values[i]) / (values[j] - values[i]);
                To(new MapPoint(a.X + (b.X - a.X) * t, a.Y + (b.Y - a.Y) * t));
            }
        }

        if (first is { } start)
        {
            To(start);
        }

        return sum / 2;
    }

    private static double SignedArea(IReadOnlyList<ScalpPoint> c)
    {
        var sum = 0.0;
        for (var i = 0; i < c.Count; i++)
        {
            var a = c[i].Map;
            var b = c[i + 1 == c.Count ? 0 : i + 1].Map;
            sum += a.X * b.Y - b.X * a.Y;
        }

        return sum / 2;
    }

    /// <summary>The stretches of the border that are kept, each from where it comes in to where it goes out.</summary>
    private List<Run> RunsOf(bool[] kept, LevelLine line)
    {
        var n = kept.Length;
        var start = 0;
        while (kept[start] || !kept[(start + 1) % n])
        {
            start++;
        }

        var runs = new List<Run>();
        var points = new List<ScalpPoint>();
        for (var k = 0; k < n; k++)
        {
            var i = (start + k) % n;
            var j = (i + 1) % n;
            if (kept[i])
            {
                points.Add(Corners[i]);
            }

            if (kept[i] == kept[j])
            {
                continue;
            }

            points.Add(line.Between(Corners[i], Corners[j]));
            if (kept[i])
            {
                runs.Add(new Run(points));
                points = [];
            }
        }

        return runs;
    }

    private static List<Outline> Join(List<Run> runs, LevelLine line, bool keepBelow, out bool followed)
    {
        followed = true;
        var next = new int[runs.Count];
        var edges = new List<ScalpPoint>[runs.Count];
        for (var i = 0; i < runs.Count; i++)
        {
            next[i] = -1;
        }

        // Lines are always walked with the lower side on the left, whichever side is kept; where a line can't be
        // followed
        // from its start, a fold of the field lies there, and it is followed back from its end.
        var starts = runs.Select(r => keepBelow ? r.Out : r.In).ToArray();
        var ends = runs.Select(r => keepBelow ? r.In : r.Out).ToArray();
        var walks = starts.Select(from => line.Walk(from, ends, forwards: true)).ToArray();
        for (var e = 0; e < ends.Length; e++)
        {
            if (
                walks.All(w => w.Reached != e)
                && line.Walk(ends[e], starts, forwards: false) is { Reached: >= 0 } back
                && walks[back.Reached].Reached < 0
            )
            {
                back.Points.Reverse();
                walks[back.Reached] = (e, back.Points);
            }
        }

        for (var i = 0; i < runs.Count; i++)
        {
            var (reached, points) = walks[i];
            if (reached < 0)
            {
                followed = false;

                // Not followed from either end: the nearest end that is left, straight across, to be tried a hair
                // beside it.
                reached = Enumerable
                    .Range(0, runs.Count)
                    .Where(e => walks.All(w => w.Reached != e))
                    .MinBy(e => Math.Abs(ends[e].Map.X - starts[i].Map.X) + Math.Abs(ends[e].Map.Y - starts[i].Map.Y));
                walks[i] = (reached, points = []);
            }

            if (keepBelow)
            {
                next[i] = reached;
                edges[i] = points;
            }
            else
            {
                next[reached] = i;
                edges[reached] = Enumerable.Reverse(points).ToList();
            }
        }

        var result = new List<Outline>();
        var used = new bool[runs.Count];
        for (var i = 0; i < runs.Count; i++)
        {
            var loop = new List<ScalpPoint>();
            for (var k = i; k >= 0 && !used[k]; k = next[k])
            {
                used[k] = true;
                loop.AddRange(runs[k].Points);
                loop.AddRange(edges[k] ?? []);
            }

            if (loop.Count > 2)
            {
                result.Add(new Outline(loop));
            }
        }

        return result;
    }

    private sealed record Run(List<ScalpPoint> Points)
    {
        public ScalpPoint In => Points[0];

        public ScalpPoint Out => Points[^1];
    }
}
