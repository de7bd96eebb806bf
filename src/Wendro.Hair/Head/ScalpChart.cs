using System.Numerics;

namespace Wendro.Head;

/// <summary>
/// The scalp in polar coordinates round a point near the top of the head, and the equal-area crown map made from them:
/// the angle is kept, the radius R follows from R² = 2 ∫ (area per radian) dp, so areas are true everywhere.
/// One half is tabled (1° × 1°) and mirrored, so left and right are exactly alike.
/// </summary>
public sealed class ScalpChart
{
    /// <summary>
    /// How far behind the vertical the top of the map lies, degrees: it makes rings round it run level at the back.
    /// Model assumption.
    /// </summary>
    public const double TiltDegrees = 16;

    private const int Angles = 181;
    private const int Steps = 151;
    private static readonly Vector3 Pole = Direction3(0, -TiltDegrees);
    private static readonly Vector3 Ahead = Direction3(0, 90 - TiltDegrees);
    private readonly Node[] nodes = new Node[Angles * Steps];
    private readonly OverTop overTop = new();

    internal ScalpChart()
    {
        Parallel.For(0, Angles, FillMeridian);
        FillEqualArea();
        FillHairline();
        Outline = TraceOutline();
    }

    /// <summary>The hairline on the crown map, closed, counter-clockwise, cm.</summary>
    public IReadOnlyList<MapPoint> Outline { get; }

    /// <summary>
    /// Places on the map a step apart, the same on both sides of its middle; some lie outside the hairline.
    /// </summary>
    /// <param name="stepCm">How far apart, cm.</param>
    public IEnumerable<ScalpPoint> Places(double stepCm)
    {
        var (aside, low, high) = (Outline.Max(p => p.X), Outline.Min(p => p.Y), Outline.Max(p => p.Y));
        for (var y = low; y <= high; y += stepCm)
        {
            for (var x = stepCm / 2 - Math.Ceiling(aside / stepCm) * stepCm; x <= aside; x += stepCm)
            {
                yield return At(new MapPoint(x, y));
            }
        }
    }

    /// <summary>The place on the scalp below a point of the crown map.</summary>
    public ScalpPoint At(MapPoint map)
    {
        var radius = Math.Sqrt(map.X * map.X + map.Y * map.Y);
        var around = Math.Atan2(map.X, map.Y) * (180 / Math.PI);
        return At(around, Depth(Math.Abs(around), radius), map);
    }

    /// <summary>The place on the scalp nearest to a point in space, along the ray from the skull's centre.</summary>
    public ScalpPoint At(Vector3 position)
    {
        var d = Vector3.Normalize(position - Form.SkullCentre);
        var up = Math.Clamp(Vector3.Dot(d, Pole), -1f, 1f);
        var around = Math.Atan2(d.X, Vector3.Dot(d, Ahead)) * (180 / Math.PI);
        var p = Math.Acos(up) * (180 / Math.PI);
        var map = MapOf(around, p);
        return At(around, p, map);
    }

    /// <summary>Area of a closed outline on the map, cm², by the shoelace rule.</summary>
    public static double AreaOf(IReadOnlyList<MapPoint> outline)
    {
        ArgumentNullException.ThrowIfNull(outline);
        var sum = 0.0;
        for (var i = 0; i < outline.Count; i++)
        {
            var a = outline[i];
            var b = outline[(i + 1) % outline.Count];
            sum += a.X * b.Y - b.X * a.Y;
        }

        return Math.Abs(sum) / 2;
    }

    /// <summary>
    /// Distance over the head from the top of the map to where its side stands upright, cm, by angle.
    /// </summary>
    public double UprightCm(double around)
    {
        var a = Math.Abs(around);
        for (var p = 40; p < Steps - 1; p++)
        {
            var here = PositionOf(a, p);
            var next = PositionOf(a, p + 1);
            if (
                Math.Abs(next.X) * Math.Abs(here.X) + next.Z * here.Z >= 0
                && next.X * next.X + (next.Z + 1.2) * (next.Z + 1.2)
                    <= here.X * here.X + (here.Z + 1.2) * (here.Z + 1.2)
            )
            {
                return Read(a, p).Along;
            }
        }

        return Read(a, Steps - 1).Along;
    }

    internal Vector3 PositionOf(double around, double p)
    {
        var r = Read(Math.Abs(around), p).Radius;
        return Form.SkullCentre + DirectionOf(around, p) * (float)r;
    }

    private static Vector3 Direction3(double azimuth, double fromTop)
    {
        var a = azimuth * Math.PI / 180;
        var p = fromTop * Math.PI / 180;
        return new((float)(Math.Sin(p) * Math.Sin(a)), (float)Math.Cos(p), (float)(Math.Sin(p) * Math.Cos(a)));
    }

    private static Vector3 DirectionOf(double around, double p)
    {
        var a = around * Math.PI / 180;
        var q = p * Math.PI / 180;
        var side = (float)(Math.Sin(q) * Math.Sin(a));
        return Pole * (float)Math.Cos(q) + Ahead * (float)(Math.Sin(q) * Math.Cos(a)) + new Vector3(side, 0, 0);
    }

    private ScalpPoint At(double around, double p, MapPoint map)
    {
        var n = Read(Math.Abs(around), p);
        var position = Form.SkullCentre + DirectionOf(around, p) * (float)n.Radius;
        var azimuth = Math.Atan2(position.X, position.Z - Form.SkullCentre.Z) * (180 / Math.PI);
        return new(map, n.Along, around, n.Hairline, overTop.At(position), position, azimuth);
    }

    private MapPoint MapOf(double around, double p)
    {
        var r = Read(Math.Abs(around), p).MapRadius;
        var a = around * Math.PI / 180;
        return new(r * Math.Sin(a), r * Math.Cos(a));
    }

    private Node Read(double a, double p)
    {
        a = Math.Clamp(a, 0, 180);
        p = Math.Clamp(p, 0, Steps - 1);
        var i = Math.Min((int)a, Angles - 2);
        var j = Math.Min((int)p, Steps - 2);
        var top = Node.Mix(nodes[i * Steps + j], nodes[i * Steps + j + 1], p - j);
        var other = Node.Mix(nodes[(i + 1) * Steps + j], nodes[(i + 1) * Steps + j + 1], p - j);
        return Node.Mix(top, other, a - i);
    }

    /// <summary>The polar angle at which the map's radius is reached: R grows with p on every meridian.</summary>
    private double Depth(double a, double radius)
    {
        a = Math.Clamp(a, 0, 180);
        var i = Math.Min((int)a, Angles - 2);
        var f = a - i;
        var low = 0;
        var high = Steps - 1;
        while (high - low > 1)
        {
            var mid = (low + high) / 2;
            if (RadiusAt(i, f, mid) <= radius)
            {
                low = mid;
            }
            else
            {
                high = mid;
            }
        }

        var r0 = RadiusAt(i, f, low);
        var r1 = RadiusAt(i, f, low + 1);
        return low + Math.Clamp((radius - r0) / (r1 - r0), 0, 1);
    }

    private double RadiusAt(int i, double f, int j) =>
        nodes[i * Steps + j].MapRadius * (1 - f) + nodes[(i + 1) * Steps + j].MapRadius * f;

    private void FillMeridian(int i)
    {
        var along = 0.0;
        var before = Vector3.Zero;
        for (var j = 0; j < Steps; j++)
        {
            var d = DirectionOf(i, j);
            var r = Form.Radius(d);
            var here = Form.SkullCentre + d * r;
            along += j == 0 ? 0 : (here - before).Length();
            before = here;
            nodes[i * Steps + j] = new Node(r, along, 0, 0);
        }
    }

    private void FillEqualArea()
    {
        const double degree = Math.PI / 180;
        for (var i = 0; i < Angles; i++)
        {
            var integral = 0.0;
            var before = 0.0;
            for (var j = 0; j < Steps; j++)
            {
                // The meridian beyond either end is its own mirror image: there only the sideways part counts.
                var across = i is 0 or 180
                    ? new Vector3(2 * PositionOf(i == 0 ? 0.5 : 179.5, j).X, 0, 0)
                    : PositionOf(i + 0.5, j) - PositionOf(i - 0.5, j);
                var down = PositionOf(i, Math.Min(j + 0.5, Steps - 1)) - PositionOf(i, Math.Max(j - 0.5, 0));
                var span = (j == 0 || j == Steps - 1 ? 0.5 : 1) * degree;
                var element = Vector3.Cross(across, down).Length() / (degree * span);
                integral += j == 0 ? 0 : (before + element) / 2 * degree;
                before = element;
                nodes[i * Steps + j] = nodes[i * Steps + j] with { MapRadius = Math.Sqrt(2 * integral) };
            }
        }
    }

    private void FillHairline()
    {
        var line = Enumerable.Range(0, 721).Select(k => OnHairline(k * 0.5 - 180)).ToArray();
        Parallel.For(
            0,
            Angles,
            i =>
            {
                for (var j = 0; j < Steps; j++)
                {
                    var p = PositionOf(i, j);
                    var azimuth = Math.Atan2(p.X, p.Z - Form.SkullCentre.Z) * (180 / Math.PI);
                    var nearest = float.MaxValue;
                    foreach (var q in line)
                    {
                        nearest = Math.Min(nearest, (q - p).LengthSquared());
                    }

                    var sign = p.Y >= Hairline.Height(azimuth) ? 1 : -1;
                    nodes[i * Steps + j] = nodes[i * Steps + j] with { Hairline = sign * Math.Sqrt(nearest) };
                }
            }
        );
    }

    /// <summary>The hairline's point at an azimuth: where the form's side stands at the hairline's height.</summary>
    private static Vector3 OnHairline(double azimuth)
    {
        var y = Hairline.Height(azimuth);
        double low = 20,
            high = 150;
        for (var k = 0; k < 40; k++)
        {
            var mid = (low + high) / 2;
            var d = Direction3(azimuth, mid);
            var p = Form.SkullCentre + d * Form.Radius(d);
            (low, high) = p.Y > y ? (mid, high) : (low, mid);
        }

        var end = Direction3(azimuth, low);
        return Form.SkullCentre + end * Form.Radius(end);
    }

    private List<MapPoint> TraceOutline()
    {
        var half = new List<MapPoint>();
        for (var k = 0; k <= 360; k++)
        {
            var p = OnHairline(k * 0.5);
            var at = At(p).Map;
            half.Add(k is 0 or 360 ? at with { X = 0 } : at);
        }

        // Counter-clockwise with her left at +X and the face at +Y: face, right, back, left.
        var all = new List<MapPoint>();
        all.AddRange(half.Select(m => m with { X = -m.X }));
        all.AddRange(half.Skip(1).Take(half.Count - 2).Reverse());
        return all;
    }

    /// <summary>
    /// What is tabled at an angle and a depth: radius from the skull's centre, distance along the meridian, radius on
    /// the map, distance from the hairline; cm.
    /// </summary>
    private readonly record struct Node(double Radius, double Along, double MapRadius, double Hairline)
    {
        public static Node Mix(in Node a, in Node b, double t) =>
            new(
                a.Radius + (b.Radius - a.Radius) * t,
                a.Along + (b.Along - a.Along) * t,
                a.MapRadius + (b.MapRadius - a.MapRadius) * t,
                a.Hairline + (b.Hairline - a.Hairline) * t
            );
    }
}
