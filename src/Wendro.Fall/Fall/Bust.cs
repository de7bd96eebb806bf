using System.Numerics;
using Wendro.Head;
using Wendro.Units;

namespace Wendro.Fall;

/// <summary>
/// The neutral grey bust without a face that hair is shown on: a mesh made once from the form, and ears for wears
/// that show them.
/// </summary>
internal sealed class Bust
{
    private const int Around = 96;
    private static readonly float[] Heights = RingHeights();

    // Made at first use: a type's own initialiser must not wait for other threads that need the type.
    private static readonly Lazy<Bust> LazyBody = new(Body);
    private static readonly Lazy<Bust> LazyEars = new(TwoEars);

    private Bust(Vector3[] points, Vector3[] normals, int[] triangles)
    {
        Points = points;
        Normals = normals;
        Triangles = triangles;
    }

    public static Bust WithoutEars => LazyBody.Value;

    public static Bust Ears => LazyEars.Value;

    public Vector3[] Points { get; }

    public Vector3[] Normals { get; }

    /// <summary>Corner numbers, three a triangle.</summary>
    public int[] Triangles { get; }

    /// <summary>
    /// Grey light at each corner, 0..1: two soft lights from the viewer's upper left and right, and the shadow of the
    /// hair.
    /// </summary>
    public float[] Lit(View view, HairDensity hair)
    {
        var key = Vector3.Normalize(view.Right * -0.45f + view.Up * 0.85f + view.Eye * 0.62f);
        var fill = Vector3.Normalize(view.Right * 0.8f + view.Up * 0.25f + view.Eye * 0.55f);
        var lit = new float[Points.Length];
        for (var i = 0; i < lit.Length; i++)
        {
            var n = Normals[i];
            var facing = Vector3.Dot(n, view.Eye);
            if (facing < -0.3f)
            {
                continue;
            }

            var k = MathF.Max((Vector3.Dot(n, key) + 0.35f) / 1.35f, 0);
            var f = MathF.Max((Vector3.Dot(n, fill) + 0.4f) / 1.4f, 0);
            var p = Points[i] + n * 0.5f;
            var shade = (Shadow(hair, p, key + view.Right * 0.35f) + Shadow(hair, p, key - view.Right * 0.35f)) / 2;
            var close = hair.At(Points[i] + n * 0.9f);
            var open = 0.50f + 0.50f * MathF.Exp(-0.012f * shade);
            var near = 0.55f + 0.45f * MathF.Exp(-0.016f * close);
            lit[i] = (0.39f + 0.31f * k * open + 0.12f * f) * near;
        }

        return lit;
    }

    /// <summary>Hair between a point and a lamp: two lamps side by side cast no streaks.</summary>
    private static float Shadow(HairDensity hair, Vector3 p, Vector3 lamp)
    {
        var to = Vector3.Normalize(lamp);
        return hair.At(p + to * 1f) + hair.At(p + to * 2.2f) + hair.At(p + to * 3.6f);
    }

    private static float[] RingHeights()
    {
        var heights = new List<float>();
        for (var k = 1; k <= 26; k++)
        {
            // Evenly round the crown of the head, so that the top is as smooth as the side.
            heights.Add(2.6f + 8.995f * MathF.Cos(k * MathF.PI / 52));
        }

        for (
            var y = 2.2f;
            y > -84;
            y -=
                    y > -24 ? 0.4f
                    : y > -36 ? 1.2f
                    : 4f
        )
        {
            heights.Add(y);
        }

        return [.. heights];
    }

    private static Bust Body()
    {
        var rings = Heights.Length;
        var points = new Vector3[rings * Around];
        var normals = new Vector3[rings * Around];
        Parallel.For(
            0,
            rings,
            r =>
            {
                var y = Heights[r];
                var axis = new Vector3(0, y, y > -6 ? -1.2f : -1.2f - 3f * Curve.Smooth(6f, 14f, -y));
                for (var k = 0; k < Around; k++)
                {
                    var a = k * 2 * MathF.PI / Around;
                    var d = new Vector3(MathF.Sin(a), 0, MathF.Cos(a));
                    points[r * Around + k] = Outermost(axis, d);
                    normals[r * Around + k] = Form.Normal(points[r * Around + k]);
                }
            }
        );
        // The uppermost ring is closed by its middle.
        var middle = points.Take(Around).Aggregate(Vector3.Zero, (sum, p) => sum + p / Around);
        var top = Enumerable.Range(0, Around).SelectMany(k => new[] { rings * Around, k, (k + 1) % Around });
        return new Bust([.. points, middle], [.. normals, Vector3.UnitY], [.. Quads(rings), .. top]);
    }

    private static Vector3 Outermost(Vector3 axis, Vector3 direction)
    {
        var t = 30f;
        for (var k = 0; k < 200 && t > 0.02f; k++)
        {
            var d = Form.Distance(axis + direction * t);
            if (d < 0.004f)
            {
                break;
            }

            t -= MathF.Max(d * 0.8f, 0.003f);
        }

        return axis + direction * MathF.Max(t, 0.02f);
    }

    private static int[] Quads(int rings)
    {
        var triangles = new List<int>();
        for (var r = 0; r + 1 < rings; r++)
        {
            for (var k = 0; k < Around; k++)
            {
                var a = r * Around + k;
                var b = r * Around + (k + 1) % Around;
                triangles.AddRange([a, b, a + Around, b, b + Around, a + Around]);
            }
        }

        return [.. triangles];
    }

    private static Bust TwoEars()
    {
        const int rings = 17;
        var points = new List<Vector3>();
        var normals = new List<Vector3>();
        var triangles = new List<int>();
        foreach (var side in new[] { 1, -1 })
        {
            var start = points.Count;
            for (var r = 0; r < rings; r++)
            {
                for (var k = 0; k < Around; k++)
                {
                    var p = MathF.PI * (r + 0.001f) / (rings - 0.998f);
                    var a = k * 2 * MathF.PI / Around;
                    var unit = new Vector3(MathF.Sin(p) * MathF.Sin(a), MathF.Cos(p), MathF.Sin(p) * MathF.Cos(a));

                    // Broader above than at the lobe, leaning back a little.
                    var broad = 1 + 0.22f * unit.Y;
                    var at = new Vector3(0.75f * unit.X, 2.9f * unit.Y, 1.55f * broad * unit.Z - 0.22f * 2.9f * unit.Y);
                    var n = Vector3.Normalize(new Vector3(unit.X / 0.75f, unit.Y / 2.9f, unit.Z / 1.55f));
                    points.Add(new Vector3(side * (7.25f + at.X), -1.2f + at.Y, -1.7f + at.Z));
                    normals.Add(n with { X = side * n.X });
                }
            }

            triangles.AddRange(Quads(rings).Select(i => i + start));
        }

        return new Bust([.. points], [.. normals], [.. triangles]);
    }
}
