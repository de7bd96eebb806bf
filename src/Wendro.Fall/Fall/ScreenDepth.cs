namespace Wendro.Fall;

/// <summary>
/// Mean depth round every place of a picture: what lies behind its surroundings is darker, what stands before them a
/// little brighter.
/// </summary>
internal sealed class ScreenDepth
{
    private const int Block = 4;
    private const int W = Canvas.Columns / (Block * View.Across);
    private const int H = Canvas.Rows / Block;
    private readonly float[] mean = new float[W * H];
    private readonly float[] weight = new float[W * H];

    public ScreenDepth(Canvas canvas)
    {
        Parallel.For(
            0,
            H,
            y =>
            {
                for (var x = 0; x < W; x++)
                {
                    var sum = 0f;
                    var count = 0;
                    for (var r = y * Block; r < (y + 1) * Block; r++)
                    {
                        var row = canvas.Samples.AsSpan(
                            r * Canvas.Columns + x * Block * View.Across,
                            Block * View.Across
                        );
                        foreach (var s in row)
                        {
                            if (!Canvas.IsEmpty(s) && Canvas.StrandOf(s) != Canvas.NoStrand)
                            {
                                sum += Canvas.DepthOf(s);
                                count++;
                            }
                        }
                    }

                    mean[y * W + x] = sum;
                    weight[y * W + x] = count;
                }
            }
        );
        for (var pass = 0; pass < 2; pass++)
        {
            Box(mean);
            Box(weight);
        }

        for (var i = 0; i < mean.Length; i++)
        {
            mean[i] = weight[i] > 0.01f ? mean[i] / weight[i] : 0;
        }
    }

    /// <summary>Factor on shade at a sample of hair, 0.3..1.16.</summary>
    public float Factor(int column, int row, float depth)
    {
        var i = Math.Min(row / Block, H - 1) * W + Math.Min(column / (Block * View.Across), W - 1);
        if (weight[i] <= 0.01f)
        {
            return 1;
        }

        var d = depth - mean[i];
        return d > 0 ? MathF.Max(1 / (1 + 0.42f * d + 0.1f * d * d), 0.3f) : MathF.Min(1 - 0.16f * d, 1.16f);
    }

    private static void Box(float[] f)
    {
        // A 3 × 3 box, one direction after the other.
        for (var y = 0; y < H; y++)
        {
            var before = f[y * W];
            for (var x = 1; x + 1 < W; x++)
            {
                var here = f[y * W + x];
                f[y * W + x] = (before + here + f[y * W + x + 1]) / 3;
                before = here;
            }
        }

        for (var x = 0; x < W; x++)
        {
            var before = f[x];
            for (var y = 1; y + 1 < H; y++)
            {
                var here = f[y * W + x];
                f[y * W + x] = (before + here + f[(y + 1) * W + x]) / 3;
                before = here;
            }
        }
    }
}
