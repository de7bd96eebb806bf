using System.Numerics;
using Wendro.Units;

namespace Wendro.Fall;

/// <summary>
/// Which way each point of the hair faces and how open to the light it lies: the part of shading that no view
/// changes.
/// </summary>
internal sealed class Surface
{
    private readonly int each;
    private readonly uint[] normals;
    private readonly byte[] open;

    public Surface(FallenHair hair)
    {
        var strands = hair.Strands;
        each = hair.Each;
        normals = new uint[hair.Points.Length];
        open = new byte[hair.Points.Length];
        Parallel.For(
            0,
            16,
            chunk =>
            {
                Span<Vector3> centre = stackalloc Vector3[each];
                for (var l = chunk * strands.LockCount / 16; l < (chunk + 1) * strands.LockCount / 16; l++)
                {
                    CentreOf(hair, l, centre);
                    for (var i = strands.LockStart[l]; i < strands.LockStart[l + 1]; i++)
                    {
                        Strand(hair, i, centre);
                    }
                }
            }
        );
    }

    /// <summary>Outward normal at a point.</summary>
    public Vector3 NormalAt(int point)
    {
        // Ten bits a direction: far finer than light shows.
        var n = normals[point];
        return new Vector3((n & 1023) / 511f - 1, (n >> 10 & 1023) / 511f - 1, (n >> 20) / 511f - 1);
    }

    /// <summary>Openness to light at a point, 0.14..1.</summary>
    public float OpenAt(int point) => open[point] / 255f;

    private static uint Packed(Vector3 n)
    {
        static uint Ten(float v) => (uint)Math.Clamp((int)((v + 1) * 511 + 0.5f), 0, 1022);
        return Ten(n.X) | Ten(n.Y) << 10 | Ten(n.Z) << 20;
    }

    private void CentreOf(FallenHair hair, int l, Span<Vector3> centre)
    {
        var (from, to) = (hair.Strands.LockStart[l], hair.Strands.LockStart[l + 1]);
        centre.Clear();
        for (var i = from; i < to; i++)
        {
            for (var k = 0; k < each; k++)
            {
                centre[k] += hair.Points[i * each + k] / (to - from);
            }
        }
    }

    /// <summary>Half the width of a lock that hangs flat, cm.</summary>
    private const float FlatHalfCm = 0.5f;

    private void Strand(FallenHair hair, int i, ReadOnlySpan<Vector3> centre)
    {
        var texture = hair.Texture;
        var half = texture.HalfTurn(hair.Lengths[i]);
        var reach = half > 0 ? texture.SwingCm : FlatHalfCm;
        Span<float> shade = stackalloc float[each];
        for (var k = 0; k < each; k++)
        {
            var p = hair.Points[i * each + k];
            var field = hair.Head.Grid.At(p);
            var n = Vector3.Normalize(new Vector3(field.X, field.Y, field.Z));
            if (hair.Knot is { } knot && knot.Holds[i] && field.W > 1.2f)
            {
                n = Vector3.Lerp(n, FromTail(p, knot), Curve.Smooth(1.2f, 2.6f, field.W));
            }

            // What lies on the inner side of its lock is in its lock's shade; the middle of a coil is its axis.
            var aside = p - (half > 0 ? Axis(hair, i, k, half) : centre[k]);
            var outer = Vector3.Dot(aside, n);
            shade[k] = 1 - texture.Under * (1 - Curve.Smooth(-0.3f, 1f, outer / reach));
            n += aside * (texture.Rounded / MathF.Max(aside.Length(), 0.6f));
            normals[i * each + k] = Packed(Vector3.Normalize(n));
        }

        Span<float> around = stackalloc float[each];

        // Every second point is enough for something that changes over centimetres.
        for (var k = 0; k < each; k += 2)
        {
            var n = NormalAt(i * each + k);
            var p = hair.Points[i * each + k];
            var sum = hair.Density.At(p + n * 0.9f) + hair.Density.At(p + n * 2f) + hair.Density.At(p + n * 3.3f);
            around[k] = 0.14f + 0.86f * MathF.Exp(-0.009f * sum);
        }

        for (var k = 0; k < each; k++)
        {
            var here =
                k % 2 == 0 ? around[k]
                : k + 1 < each ? (around[k - 1] + around[k + 1]) / 2
                : around[k - 1];
            open[i * each + k] = (byte)(255 * here * shade[k] + 0.5f);
        }
    }

    /// <summary>The axis a coil goes round: the mean of a turn of it.</summary>
    private static Vector3 Axis(FallenHair hair, int i, int k, int half)
    {
        var (from, to) = (Math.Max(k - half, 0), Math.Min(k + half, hair.Each - 1));
        var sum = Vector3.Zero;
        for (var j = from; j <= to; j++)
        {
            sum += hair.Points[i * hair.Each + j];
        }

        return sum / (to - from + 1);
    }

    /// <summary>The tail faces away from its own middle, not from the head.</summary>
    private static Vector3 FromTail(Vector3 p, TieKnot knot)
    {
        var nearest = knot.Tail[0];
        var best = float.MaxValue;
        foreach (var q in knot.Tail)
        {
            var d = (q - p).LengthSquared();
            if (d < best)
            {
                best = d;
                nearest = q;
            }
        }

        return best < 1e-4f ? -Vector3.UnitZ : (p - nearest) / MathF.Sqrt(best);
    }
}
