using System.Numerics;
using Wendro.Units;

namespace Wendro.Fall;

/// <summary>
/// Draws fallen hair strand by strand, nearest first, dropping pieces that lie well behind what is drawn; only what
/// survives is shaded.
/// Bands of columns are drawn side by side on all cores: hair hangs, so that most strands lie within one band.
/// </summary>
internal static class HairRaster
{
    private const int Bands = 4;

    /// <summary>How far a strand's own width may reach beyond its line, samples.</summary>
    private const float Margin = 8;

    private const float HiddenBehindCm = 0.3f;

    /// <summary>Width of a drawn strand, pixels, for 14,000 of them.</summary>
    private const float WidthPixels = 1.5f;

    public static void Draw(Canvas canvas, FallenHair hair, View view)
    {
        var n = hair.Strands.Count;
        Draw(canvas, hair, view, n, canvas.PointsFor(n * hair.Each));
    }

    private static void Draw(Canvas canvas, FallenHair hair, View view, int n, Vector3[] projected)
    {
        var each = hair.Each;
        var nearest = new float[n];
        var columns = new (float From, float To)[n];
        Parallel.For(
            0,
            8,
            chunk =>
            {
                for (var i = chunk * n / 8; i < (chunk + 1) * n / 8; i++)
                {
                    var sum = 0f;
                    var (from, to) = (float.MaxValue, float.MinValue);
                    for (var k = 0; k < each; k++)
                    {
                        var q = view.Project(hair.Points[i * each + k]);
                        projected[i * each + k] = q;
                        sum += q.Z;
                        from = MathF.Min(from, q.X);
                        to = MathF.Max(to, q.X);
                    }

                    nearest[i] = sum / each;
                    columns[i] = (from, to);
                }
            }
        );
        var order = NearestFirst(nearest);
        var width = WidthPixels * MathF.Sqrt(14_000f / n) * (view.PixelsPerCm / 13.2f);
        var along = Along.Of(hair);
        var edges = BandEdges(projected, order, each);
        Parallel.For(
            0,
            Bands,
            b => Band(canvas, hair, along, view, projected, columns, order, width, (edges[b], edges[b + 1]))
        );
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

    /// <summary>Columns at which the bands part, so that each has about the same number of points.</summary>
    private static int[] BandEdges(Vector3[] projected, int[] order, int each)
    {
        var histogram = new int[Canvas.Columns];
        for (var i = 0; i < order.Length; i += 16)
        {
            for (var k = 0; k < each; k++)
            {
                // Closely looked at, much of the hair lies outside the picture: no band has to draw it.
                var x = (int)projected[order[i] * each + k].X;
                if ((uint)x < Canvas.Columns)
                {
                    histogram[x]++;
                }
            }
        }

        var total = histogram.Sum();
        var edges = new int[Bands + 1];
        var sum = 0;
        var band = 1;
        for (var x = 0; x < Canvas.Columns && band < Bands; x++)
        {
            sum += histogram[x];
            if (sum >= total * band / Bands)
            {
                edges[band++] = x + 1;
            }
        }

        for (; band <= Bands; band++)
        {
            edges[band] = Canvas.Columns;
        }

        return edges;
    }

    private static void Band(
        Canvas canvas,
        FallenHair hair,
        Along along,
        View view,
        Vector3[] projected,
        (float From, float To)[] columns,
        int[] order,
        float width,
        (int From, int To) band
    )
    {
        if (band.To <= band.From)
        {
            return;
        }

        var light = new Light(view);
        var each = hair.Each;
        Span<float> shade = stackalloc float[each];
        Span<float> shine = stackalloc float[each];
        Span<bool> lit = stackalloc bool[each];
        foreach (var i in order)
        {
            if (columns[i].To < band.From - Margin || columns[i].From > band.To + Margin)
            {
                continue;
            }

            lit.Clear();
            var own = OwnWidth(hair, i, width);
            var root = RootWidth(hair, i);
            var points = projected.AsSpan(i * each, each);
            bool? hidden = null;
            for (var k = 0; k + 1 < each; k++)
            {
                var (a, b) = (points[k], points[k + 1]);
                if (MathF.Max(a.X, b.X) < band.From - Margin || MathF.Min(a.X, b.X) > band.To + Margin)
                {
                    hidden = null;
                    continue;
                }

                var from = hidden ?? Hidden(canvas, a, band);
                var to = Hidden(canvas, b, band);
                hidden = to;
                if (from && to && Hidden(canvas, (a + b) * 0.5f, band))
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

                canvas.Line(
                    a,
                    b,
                    (along.Width(own, root, k), along.Width(own, root, k + 1)),
                    (along.Place[k], along.Place[k + 1]),
                    (shade[k], shade[k + 1]),
                    (shine[k], shine[k + 1]),
                    i,
                    band
                );
            }
        }
    }

    /// <summary>
    /// Whether a point lies well behind what is drawn. Only the own band is looked at: its neighbours are being drawn
    /// meanwhile,
    /// and a picture must come out the same every time.
    /// </summary>
    private static bool Hidden(Canvas canvas, Vector3 p, (int From, int To) band)
    {
        var (x, y) = ((int)p.X, (int)p.Y);
        if ((uint)x >= Canvas.Columns || (uint)y >= Canvas.Rows)
        {
            return true;
        }

        return Canvas.DepthOf(canvas.Samples[y * Canvas.Columns + Math.Clamp(x, band.From, band.To - 1)])
            < p.Z - HiddenBehindCm;
    }

    /// <summary>Wet hair is darker (a factor on the coded shade) and shines. Model assumption.</summary>
    private const float WetShade = 0.8f,
        WetShine = 2.4f;

    private static (float Shade, float Shine) Shade(FallenHair hair, in Light light, int i, int k)
    {
        var from = i * hair.Each;
        var tangent = hair.Points[from + Math.Min(k + 1, hair.Each - 1)] - hair.Points[from + Math.Max(k - 1, 0)];
        tangent = Vector3.Normalize(tangent);
        var lit = light.On(
            tangent,
            hair.Surface.NormalAt(from + k),
            hair.Surface.OpenAt(from + k),
            i,
            hair.Strands.Lock[i]
        );
        return hair.Wear == Wear.Wet ? (lit.Shade * WetShade, MathF.Min(lit.Shine * WetShine, 255)) : lit;
    }

    private static float OwnWidth(FallenHair hair, int i, float width) =>
        width * (1 + 0.25f * Hash.Signed(i, 43)) * (HairOnHead.IsFlyaway(i) ? 0.5f : 1);

    /// <summary>Baby hair is thin where it starts: its width there, as a share.</summary>
    private static float RootWidth(FallenHair hair, int i) =>
        0.4f + 0.6f * Curve.Smooth(0.2f, 1.2f, (float)hair.Strands.Scalp[i].FromHairlineCm);

    /// <summary>What depends only on where along a strand a point lies.</summary>
    /// <param name="Place">Place along the strand, 0..63.</param>
    /// <param name="Tapers">Hair thins towards its tip.</param>
    /// <param name="AwayFromRoot">0 at the root, 1 from the first fifth on.</param>
    private sealed record Along(float[] Place, float[] Tapers, float[] AwayFromRoot)
    {
        public static Along Of(FallenHair hair)
        {
            var number = hair.Shares.Select(Places.NumberOf).ToArray();
            return new(
                number.Select(q => q * (Places.Count - 1)).ToArray(),
                number.Select(q => 1 - 0.5f * Curve.Smooth(0.93f, 1f, q)).ToArray(),
                number.Select(q => Curve.Smooth(0f, 0.2f, q)).ToArray()
            );
        }

        public float Width(float own, float root, int k) => own * Tapers[k] * (root + (1 - root) * AwayFromRoot[k]);
    }
}
