namespace Wendro.Head;

/// <summary>
/// The line on the crown map where a field over the scalp has a given value: a parting, or a border of a zone.
/// </summary>
internal sealed class LevelLine(ScalpChart chart, Func<ScalpPoint, double> field, double level)
{
    private const double StepCm = 0.25;
    private const double ProbeCm = 0.01;
    private const int MostSteps = 400;
    private const double OnLine = 1e-3;
    private const double SameCm = 0.05;
    private static readonly double[] Reaches = [1, 0.5, 1.6, 2.4, 0.25];

    /// <summary>
    /// Where the line passes between two places on its two sides; the same to the last bit in either order.
    /// </summary>
    public ScalpPoint Between(in ScalpPoint a, in ScalpPoint b)
    {
        var (low, high) = field(a) < field(b) ? (a.Map, b.Map) : (b.Map, a.Map);
        var from = 0.0;
        var to = 1.0;
        var p = chart.At(low);
        for (var k = 0; k < 40 && to - from > 1e-9; k++)
        {
            var t = (from + to) / 2;
            p = chart.At(new MapPoint(low.X + (high.X - low.X) * t, low.Y + (high.Y - low.Y) * t));
            (from, to) = field(p) < level ? (t, to) : (from, t);
        }

        return p;
    }

    /// <summary>Walks the line from a place to whichever of the ends comes first; −1 if none does.</summary>
    /// <param name="from">Where to start.</param>
    /// <param name="ends">Where it may end.</param>
    /// <param name="forwards">With the lower side on the left, or the other way.</param>
    public (int Reached, List<ScalpPoint> Points) Walk(in ScalpPoint from, ScalpPoint[] ends, bool forwards)
    {
        var points = new List<ScalpPoint>();
        var at = from.Map;
        for (var k = 0; k < MostSteps; k++)
        {
            // An end counts when it lies ahead and within a step.
            var (gx, gy, _) = SlopeAt(at);
            var (tx, ty) = forwards ? (-gy, gx) : (gy, -gx);
            var nearest = -1;
            var nearestAhead = StepCm * 1.25;
            for (var e = 0; e < ends.Length; e++)
            {
                var dx = ends[e].Map.X - at.X;
                var dy = ends[e].Map.Y - at.Y;
                var ahead = dx * tx + dy * ty;
                var distance = Math.Sqrt(dx * dx + dy * dy);
                if (ahead > -1e-6 && distance < nearestAhead && (k > 0 || distance > 1e-6))
                {
                    nearestAhead = distance;
                    nearest = e;
                }
            }

            if (nearest >= 0)
            {
                return (nearest, points);
            }

            if (Ahead(at, tx, ty) is not { } next || ComesBack(points, next))
            {
                break;
            }

            points.Add(next);
            at = next.Map;
        }

        return (-1, points);
    }

    /// <summary>
    /// Whether a walk has come back to where it was: it slipped to another line where two all but touch, and goes in
    /// circles.
    /// </summary>
    private static bool ComesBack(List<ScalpPoint> points, in ScalpPoint next)
    {
        for (var k = points.Count - 4; k >= 0; k--)
        {
            var (dx, dy) = (points[k].Map.X - next.Map.X, points[k].Map.Y - next.Map.Y);
            if (dx * dx + dy * dy < SameCm * SameCm)
            {
                return true;
            }
        }

        return false;
    }

    /// <summary>The place on the line nearest to a point, or as near as a few steps come.</summary>
    public ScalpPoint Nearest(MapPoint to) => OntoLine(to);

    /// <summary>
    /// The next place on the line, about a step ahead. At a kink of the field the way back onto the line may lead
    /// nowhere;
    /// then shorter and longer steps are tried, past the kink. Null when none gets ahead.
    /// </summary>
    private ScalpPoint? Ahead(MapPoint at, double tx, double ty)
    {
        foreach (var reach in Reaches)
        {
            var next = OntoLine(new MapPoint(at.X + tx * StepCm * reach, at.Y + ty * StepCm * reach));
            var ahead = (next.Map.X - at.X) * tx + (next.Map.Y - at.Y) * ty;
            if (ahead > StepCm * 0.1 && Math.Abs(field(next) - level) < OnLine)
            {
                return next;
            }
        }

        return null;
    }

    private ScalpPoint OntoLine(MapPoint start)
    {
        var p = start;
        for (var k = 0; k < 6; k++)
        {
            var (gx, gy, slope) = SlopeAt(p);
            var off = field(chart.At(p)) - level;
            if (Math.Abs(off) < 1e-6 || slope < 1e-6)
            {
                break;
            }

            var step = Math.Clamp(off / slope, -StepCm, StepCm);
            p = new MapPoint(p.X - gx * step, p.Y - gy * step);
        }

        return chart.At(p);
    }

    /// <summary>Direction in which the field rises, and how fast per cm of map.</summary>
    private (double X, double Y, double Slope) SlopeAt(MapPoint p)
    {
        var x = field(chart.At(p with { X = p.X + ProbeCm })) - field(chart.At(p with { X = p.X - ProbeCm }));
        var y = field(chart.At(p with { Y = p.Y + ProbeCm })) - field(chart.At(p with { Y = p.Y - ProbeCm }));
        var length = Math.Sqrt(x * x + y * y);
        return length < 1e-12 ? (1, 0, 0) : (x / length, y / length, length / (2 * ProbeCm));
    }
}
