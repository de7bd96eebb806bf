using System.Numerics;
using Wendro.Core.Units;

namespace Wendro.Core.Fall;

/// <summary>Which way each point of the hair faces and how open to the light it lies: the part of shading that no view changes.</summary>
internal sealed class Surface
{
    private const int P = Places.Points;

    public Surface(FallenHair hair)
    {
        var strands = hair.Strands;
        Normals = new Vector3[hair.Points.Length];
        Open = new float[hair.Points.Length];
        Parallel.For(0, 16, chunk =>
        {
            Span<Vector3> centre = stackalloc Vector3[P];
            for (var l = chunk * strands.LockCount / 16; l < (chunk + 1) * strands.LockCount / 16; l++)
            {
                CentreOf(hair, l, centre);
                for (var i = strands.LockStart[l]; i < strands.LockStart[l + 1]; i++)
                {
                    Strand(hair, i, centre);
                }
            }
        });
    }

    /// <summary>Outward normals, one a point.</summary>
    public Vector3[] Normals { get; }

    /// <summary>Openness to light, one a point, 0.14..1.</summary>
    public float[] Open { get; }

    private static void CentreOf(FallenHair hair, int l, Span<Vector3> centre)
    {
        var (from, to) = (hair.Strands.LockStart[l], hair.Strands.LockStart[l + 1]);
        centre.Clear();
        for (var i = from; i < to; i++)
        {
            for (var k = 0; k < P; k++)
            {
                centre[k] += hair.Points[i * P + k] / (to - from);
            }
        }
    }

    private void Strand(FallenHair hair, int i, ReadOnlySpan<Vector3> centre)
    {
        for (var k = 0; k < P; k++)
        {
            var p = hair.Points[i * P + k];
            var field = hair.Head.Grid.At(p);
            var n = Vector3.Normalize(new Vector3(field.X, field.Y, field.Z));
            if (hair.Knot is { } knot && field.W > 1.2f)
            {
                n = Vector3.Lerp(n, FromTail(p, knot), Curve.Smooth(1.2f, 2.6f, field.W));
            }

            var aside = p - centre[k];
            var far = aside.Length();
            n += aside * (0.75f / MathF.Max(far, 0.6f));
            Normals[i * P + k] = Vector3.Normalize(n);
        }

        // Every second point is enough for something that changes over centimetres.
        for (var k = 0; k < P; k += 2)
        {
            var n = Normals[i * P + k];
            var p = hair.Points[i * P + k];
            var sum = hair.Density.At(p + n * 0.9f) + hair.Density.At(p + n * 2f) + hair.Density.At(p + n * 3.3f);
            Open[i * P + k] = 0.14f + 0.86f * MathF.Exp(-0.009f * sum);
        }

        for (var k = 1; k < P; k += 2)
        {
            Open[i * P + k] = k + 1 < P ? (Open[i * P + k - 1] + Open[i * P + k + 1]) / 2 : Open[i * P + k - 1];
        }
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
