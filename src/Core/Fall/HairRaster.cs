using System.Buffers;
using System.Numerics;
using Wendro.Core.Units;

namespace Wendro.Core.Fall;

/// <summary>
/// Draws fallen hair strand by strand, nearest first, dropping pieces that lie well behind what is drawn; only what survives is shaded.
/// Bands of rows are drawn side by side on all cores.
/// </summary>
internal static class HairRaster
{
    private const int P = Places.Points;
    private const int Bands = 6;
    private const float HiddenBehindCm = 0.3f;

    /// <summary>Width of a drawn strand, pixels, for 14,000 of them.</summary>
    private const float WidthPixels = 1.5f;

    public static void Draw(Canvas canvas, FallenHair hair, View view)
    {
        var n = hair.Strands.Count;
        var projected = ArrayPool<Vector3>.Shared.Rent(n * P);
        try
        {
            Draw(canvas, hair, view, n, projected);
        }
        finally
        {
            ArrayPool<Vector3>.Shared.Return(projected);
        }
    }

    private static void Draw(Canvas canvas, FallenHair hair, View view, int n, Vector3[] projected)
    {
        var nearest = new float[n];
        var rows = new (float From, float To)[n];
        Parallel.For(0, 8, chunk =>
        {
            for (var i = chunk * n / 8; i < (chunk + 1) * n / 8; i++)
            {
                var sum = 0f;
                var (from, to) = (float.MaxValue, float.MinValue);
                for (var k = 0; k < P; k++)
                {
                    var q = view.Project(hair.Points[i * P + k]);
                    projected[i * P + k] = q;
                    sum += q.Z;
                    from = MathF.Min(from, q.Y);
                    to = MathF.Max(to, q.Y);
                }

                nearest[i] = sum / P;
                rows[i] = (from, to);
            }
        });
        var order = NearestFirst(nearest);
        var width = WidthPixels * MathF.Sqrt(14_000f / n) * (view.PixelsPerCm / 13.2f);
        var edges = BandEdges(projected, order);
        Parallel.For(0, Bands, b => Band(canvas, hair, view, projected, rows, order, width, (edges[b], edges[b + 1])));
    }

    private static int[] NearestFirst(float[] depth)
    {
        // Sorted into buckets of a millimetre or so: exact order is not needed, only that near comes before far.
        const int buckets = 512;
        var (low, high) = (float.MaxValue, float.MinValue);
        foreach (var d in depth)
        {
            low = MathF.Min(low, d);
            high = MathF.Max(high, d);
        }

        var scale = (buckets - 1) / MathF.Max(high - low, 1e-3f);
        var starts = new int[buckets + 1];
        foreach (var d in depth)
        {
            starts[(int)((d - low) * scale) + 1]++;
        }

        for (var i = 0; i < buckets; i++)
        {
            starts[i + 1] += starts[i];
        }

        var order = new int[depth.Length];
        for (var i = 0; i < depth.Length; i++)
        {
            order[starts[(int)((depth[i] - low) * scale)]++] = i;
        }

        return order;
    }

    /// <summary>Rows at which the bands part, so that each has about the same number of points.</summary>
    private static int[] BandEdges(Vector3[] projected, int[] order)
    {
        var histogram = new int[Canvas.Rows];
        for (var i = 0; i < order.Length; i += 16)
        {
            for (var k = 0; k < P; k++)
            {
                histogram[Math.Clamp((int)projected[order[i] * P + k].Y, 0, Canvas.Rows - 1)]++;
            }
        }

        var total = histogram.Sum();
        var edges = new int[Bands + 1];
        var sum = 0;
        var band = 1;
        for (var y = 0; y < Canvas.Rows && band < Bands; y++)
        {
            sum += histogram[y];
            if (sum >= total * band / Bands)
            {
                edges[band++] = y + 1;
            }
        }

        for (; band <= Bands; band++)
        {
            edges[band] = Canvas.Rows;
        }

        return edges;
    }

    private static void Band(
        Canvas canvas, FallenHair hair, View view, Vector3[] projected, (float From, float To)[] rows, int[] order, float width, (int From, int To) band)
    {
        var light = new Light(view);
        Span<float> shade = stackalloc float[P];
        Span<float> shine = stackalloc float[P];
        Span<bool> lit = stackalloc bool[P];
        foreach (var i in order)
        {
            if (rows[i].To < band.From - 1 || rows[i].From > band.To + 1)
            {
                continue;
            }

            lit.Clear();
            var own = OwnWidth(hair, i, width);
            var points = projected.AsSpan(i * P, P);
            for (var k = 0; k + 1 < P; k++)
            {
                var (a, b) = (points[k], points[k + 1]);
                if (MathF.Max(a.Y, b.Y) < band.From - 1 || MathF.Min(a.Y, b.Y) > band.To + 1
                    || (Hidden(canvas, a) && Hidden(canvas, b) && Hidden(canvas, (a + b) * 0.5f)))
                {
                    continue;
                }

                for (var j = k; j <= k + 1; j++)
                {
                    if (!lit[j])
                    {
                        lit[j] = true;
                        (shade[j], shine[j]) = Shade(hair, light, i, j);
                    }
                }

                const float placesPerPoint = (Places.Count - 1f) / (P - 1);
                canvas.Line(
                    a,
                    b,
                    (Width(hair, i, k, own), Width(hair, i, k + 1, own)),
                    (k * placesPerPoint, (k + 1) * placesPerPoint),
                    (shade[k], shade[k + 1]),
                    (shine[k], shine[k + 1]),
                    i,
                    band);
            }
        }
    }

    private static bool Hidden(Canvas canvas, Vector3 p)
    {
        var (x, y) = ((int)p.X, (int)p.Y);
        if ((uint)x >= Canvas.Columns || (uint)y >= Canvas.Rows)
        {
            return true;
        }

        return Canvas.DepthOf(canvas.Samples[y * Canvas.Columns + x]) < p.Z - HiddenBehindCm;
    }

    private static (float Shade, float Shine) Shade(FallenHair hair, in Light light, int i, int k)
    {
        var from = i * P;
        var tangent = hair.Points[from + Math.Min(k + 1, P - 1)] - hair.Points[from + Math.Max(k - 1, 0)];
        tangent = Vector3.Normalize(tangent);
        return light.On(tangent, hair.Surface.NormalAt(from + k), hair.Surface.OpenAt(from + k), i, hair.Strands.Lock[i]);
    }

    private static float OwnWidth(FallenHair hair, int i, float width) =>
        width * (1 + 0.25f * Hash.Signed(i, 43)) * (HairOnHead.IsFlyaway(i) ? 0.5f : 1);

    private static float Width(FallenHair hair, int i, int k, float own)
    {
        var t = k / (P - 1f);
        var w = own;

        // Hair thins towards its tip, and baby hair is thin where it starts.
        w *= 1 - 0.75f * Curve.Smooth(0.8f, 1f, t);
        var atHairline = (float)hair.Strands.Scalp[i].FromHairlineCm;
        w *= 1 - 0.6f * (1 - Curve.Smooth(0.2f, 1.2f, atHairline)) * (1 - Curve.Smooth(0f, 0.2f, t));
        return w;
    }
}
