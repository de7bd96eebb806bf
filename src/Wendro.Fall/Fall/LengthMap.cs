using Wendro.Head;

namespace Wendro.Fall;

/// <summary>Length of the hair by place on the crown map, as the cut left it.</summary>
internal sealed class LengthMap
{
    private const double CellCm = 1.2;
    private const int Side = 48;
    private readonly double[] mean = new double[Side * Side];

    public LengthMap(Strands strands, float[] lengths, bool symmetric)
    {
        var count = new double[Side * Side];
        for (var i = 0; i < lengths.Length; i++)
        {
            if (HairOnHead.IsFlyaway(i))
            {
                continue;
            }

            var m = strands.Scalp[i].Map;
            Add(m, lengths[i], count);
            if (symmetric)
            {
                // Strands are sown irregularly on purpose; a part in the middle still makes two equal sides.
                Add(m with { X = -m.X }, lengths[i], count);
            }
        }

        for (var i = 0; i < mean.Length; i++)
        {
            mean[i] = count[i] > 0 ? mean[i] / count[i] : double.NaN;
        }

        for (var pass = 0; pass < Side && mean.Any(double.IsNaN); pass++)
        {
            Spread();
        }
    }

    public double At(MapPoint p)
    {
        var x = Math.Clamp(p.X / CellCm + Side / 2 - 0.5, 0, Side - 1.001);
        var y = Math.Clamp(p.Y / CellCm + Side / 2 - 0.5, 0, Side - 1.001);
        var (i, j) = ((int)x, (int)y);
        var (fx, fy) = (x - i, y - j);
        var a = mean[j * Side + i] * (1 - fx) + mean[j * Side + i + 1] * fx;
        var b = mean[(j + 1) * Side + i] * (1 - fx) + mean[(j + 1) * Side + i + 1] * fx;
        return a * (1 - fy) + b * fy;
    }

    private void Add(MapPoint p, double length, double[] count)
    {
        var i =
            Math.Clamp((int)Math.Floor(p.Y / CellCm + Side / 2), 0, Side - 1) * Side
            + Math.Clamp((int)Math.Floor(p.X / CellCm + Side / 2), 0, Side - 1);
        mean[i] += length;
        count[i]++;
    }

    /// <summary>Cells nobody is rooted in take the mean of their neighbours.</summary>
    private void Spread()
    {
        var before = (double[])mean.Clone();
        for (var i = 0; i < before.Length; i++)
        {
            if (!double.IsNaN(before[i]))
            {
                continue;
            }

            var (x, y) = (i % Side, i / Side);
            var near = new List<double>(4);
            foreach (var (nx, ny) in new[] { (x - 1, y), (x + 1, y), (x, y - 1), (x, y + 1) })
            {
                if (nx is >= 0 and < Side && ny is >= 0 and < Side && !double.IsNaN(before[ny * Side + nx]))
                {
                    near.Add(before[ny * Side + nx]);
                }
            }

            if (near.Count > 0)
            {
                mean[i] = near.Average();
            }
        }
    }
}
