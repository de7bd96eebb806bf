using System.Numerics;
using Wendro.Head;
using Wendro.Units;

namespace Wendro.Fall;

/// <summary>
/// The strands the hair is told by: evenly sown over the scalp, gathered into locks, numbered lock by lock.
/// Each stands for several hairs. Depends on the head and the part, never on paint.
/// </summary>
public sealed class Strands
{
    private Strands(int count, int locks)
    {
        Scalp = new ScalpPoint[count];
        Normal = new Vector3[count];
        Above = new float[count];
        Side = new sbyte[count];
        Lock = new int[count];
        LockStart = new int[locks + 1];
    }

    /// <summary>Number of strands.</summary>
    public int Count => Scalp.Length;

    /// <summary>Number of locks.</summary>
    public int LockCount => LockStart.Length - 1;

    /// <summary>Where each strand is rooted.</summary>
    public ScalpPoint[] Scalp { get; }

    /// <summary>Outward normal at each root.</summary>
    public Vector3[] Normal { get; }

    /// <summary>Height above the hairline over the height of the top, 0..1.</summary>
    public float[] Above { get; }

    /// <summary>+1 left of the part, −1 right of it.</summary>
    public sbyte[] Side { get; }

    /// <summary>The lock each strand belongs to.</summary>
    public int[] Lock { get; }

    /// <summary>First strand of each lock, and one past the last; the first strand of a lock is its guide.</summary>
    public int[] LockStart { get; }

    /// <summary>Sows strands over the hair-bearing scalp.</summary>
    /// <param name="head">The head.</param>
    /// <param name="part">Where the hair is parted.</param>
    /// <param name="count">How many strands, 100..60,000.</param>
    /// <param name="locks">How many locks they gather in.</param>
    public static Strands Sow(HeadForm head, PartLine part, int count, int locks)
    {
        ArgumentNullException.ThrowIfNull(head);
        ArgumentOutOfRangeException.ThrowIfLessThan(count, 100);
        ArgumentOutOfRangeException.ThrowIfGreaterThan(count, 60_000);
        var roots = Roots(head, count);
        var guides = Math.Min(locks, count / 4);
        var belongs = NearestGuides(roots, guides, part);
        var order = Numbered(roots, belongs, guides);
        var strands = new Strands(count, guides);
        for (var l = 0; l < guides; l++)
        {
            strands.LockStart[l + 1] = strands.LockStart[l] + order[l].Count;
        }

        Parallel.For(
            0,
            guides,
            l =>
            {
                for (var n = 0; n < order[l].Count; n++)
                {
                    strands.Place(strands.LockStart[l] + n, roots[order[l][n]], l, part);
                }
            }
        );
        return strands;
    }

    /// <summary>Which side of a part every strand falls to: +1 left, −1 right.</summary>
    public sbyte[] SidesOf(PartLine part)
    {
        ArgumentNullException.ThrowIfNull(part);
        return Scalp.Select(p => (sbyte)(IsLeftOf(part, p) ? 1 : -1)).ToArray();
    }

    private static bool IsLeftOf(PartLine part, in ScalpPoint p) => p.OverTopCm >= part.FallsAt(p.Position.Z);

    private static ScalpPoint[] Roots(HeadForm head, int count)
    {
        // A quasi-random sequence over the equal-area map is even over the scalp.
        const double g1 = 0.7548776662466927;
        const double g2 = 0.5698402909980532;
        var roots = new ScalpPoint[count];
        var found = 0;
        var (x0, x1) = (head.Chart.Outline.Min(p => p.X), head.Chart.Outline.Max(p => p.X));
        var (y0, y1) = (head.Chart.Outline.Min(p => p.Y), head.Chart.Outline.Max(p => p.Y));
        for (var i = 1; found < count; i++)
        {
            var map = new MapPoint(x0 + (x1 - x0) * (i * g1 % 1), y0 + (y1 - y0) * (i * g2 % 1));
            var p = head.Chart.At(map);
            // The lowest 7 mm thin out.
            if (p.FromHairlineCm <= 0 || Hash.Unit(i, 11) > 0.35 + p.FromHairlineCm / 0.7 * 0.65)
            {
                continue;
            }

            roots[found++] = p;
        }

        return roots;
    }

    /// <summary>
    /// The guide nearest to each root on its side of the part, the first of those as near. Several guides are measured
    /// at once: there are hundreds of them to each of thousands of strands.
    /// </summary>
    private static int[] NearestGuides(ScalpPoint[] roots, int guides, PartLine part)
    {
        var belongs = new int[roots.Length];
        // Room beyond the last guide is endlessly far.
        var room = (guides + Vector<float>.Count - 1) / Vector<float>.Count * Vector<float>.Count;
        var (gx, gy) = (new float[room], new float[room]);
        var (isLeft, isRight) = (new float[room], new float[room]);
        Array.Fill(gx, float.PositiveInfinity);
        for (var k = 0; k < guides; k++)
        {
            (gx[k], gy[k]) = ((float)roots[k].Map.X, (float)roots[k].Map.Y);
            (isLeft[k], isRight[k]) = IsLeftOf(part, roots[k]) ? (1, 0) : (0, 1);
        }

        Parallel.For(
            0,
            8,
            chunk =>
            {
                for (var i = chunk * roots.Length / 8; i < (chunk + 1) * roots.Length / 8; i++)
                {
                    // Across the part counts as far, except low at the back, where there is no part.
                    var fine = roots[i].FromTopCm < 9 ? 40f : 0f;
                    var otherSide = IsLeftOf(part, roots[i]) ? isRight : isLeft;
                    belongs[i] = Nearest((float)roots[i].Map.X, (float)roots[i].Map.Y, gx, gy, otherSide, fine);
                }
            }
        );
        return belongs;
    }

    /// <summary>The first of the places nearest to (x, y); those that are dear count as so much further.</summary>
    private static int Nearest(float x, float y, float[] gx, float[] gy, float[] dear, float addedCm2)
    {
        var lanes = Vector<float>.Count;
        var (best, at) = (new Vector<float>(float.MaxValue), Vector<int>.Zero);
        var (here, next) = (Vector<int>.Indices, new Vector<int>(lanes));
        var (vx, vy, added) = (new Vector<float>(x), new Vector<float>(y), new Vector<float>(addedCm2));
        for (var k = 0; k < gx.Length; k += lanes, here += next)
        {
            var (dx, dy) = (new Vector<float>(gx, k) - vx, new Vector<float>(gy, k) - vy);
            var d = dx * dx + dy * dy + new Vector<float>(dear, k) * added;
            var nearer = Vector.LessThan(d, best);
            best = Vector.ConditionalSelect(nearer, d, best);
            at = Vector.ConditionalSelect(nearer, here, at);
        }

        var found = 0;
        for (var lane = 1; lane < lanes; lane++)
        {
            if (best[lane] < best[found] || (best[lane] == best[found] && at[lane] < at[found]))
            {
                found = lane;
            }
        }

        return at[found];
    }

    /// <summary>
    /// Locks along a space-filling curve, each with its strands, guide first: neighbours in memory are neighbours on
    /// the head.
    /// </summary>
    private static List<int>[] Numbered(ScalpPoint[] roots, int[] belongs, int guides)
    {
        var members = new List<int>[guides];
        for (var k = 0; k < guides; k++)
        {
            members[k] = [k];
        }

        for (var i = 0; i < belongs.Length; i++)
        {
            if (i >= guides)
            {
                members[belongs[i]].Add(i);
            }
        }

        return members.OrderBy(m => Morton(roots[m[0]].Map)).ToArray();
    }

    private static uint Morton(MapPoint p)
    {
        static uint Spread(uint v)
        {
            v = (v | v << 8) & 0x00FF00FF;
            v = (v | v << 4) & 0x0F0F0F0F;
            v = (v | v << 2) & 0x33333333;
            return (v | v << 1) & 0x55555555;
        }

        return Spread((uint)((p.X + 30) * 64)) | Spread((uint)((p.Y + 30) * 64)) << 1;
    }

    private void Place(int at, ScalpPoint root, int l, PartLine part)
    {
        Scalp[at] = root;
        Normal[at] = Form.Normal(root.Position);
        var foot = (float)Hairline.Height(root.Azimuth);
        Above[at] = Math.Clamp((root.Position.Y - foot) / (11.6f - foot), 0, 1);
        Side[at] = (sbyte)(IsLeftOf(part, root) ? 1 : -1);
        Lock[at] = l;
    }
}
