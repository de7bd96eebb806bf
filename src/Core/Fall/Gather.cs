using System.Numerics;
using Wendro.Core.Head;
using Wendro.Core.Units;

namespace Wendro.Core.Fall;

/// <summary>
/// Strands drawn to the guide of their lock: across only, never in depth, so that whole locks lie over or under one another
/// and paint reads as ribbons. The hair's own wave is laid on top. Model assumption.
/// </summary>
internal static class Gather
{
    private const int P = Places.Points;

    public static Vector3[] Locks(Strands strands, Vector3[] loose, float[] lengths, HeadForm head, Texture texture)
    {
        var gathered = new Vector3[loose.Length];
        Parallel.For(0, 16, chunk =>
        {
            for (var l = chunk * strands.LockCount / 16; l < (chunk + 1) * strands.LockCount / 16; l++)
            {
                var guide = strands.LockStart[l];
                for (var i = guide; i < strands.LockStart[l + 1]; i++)
                {
                    Strand(strands, loose, lengths, head, texture, guide, i, gathered);
                }
            }
        });
        return gathered;
    }

    private static void Strand(Strands strands, Vector3[] loose, float[] lengths, HeadForm head, Texture texture, int guide, int i, Vector3[] into)
    {
        var from = i * P;
        if (HairOnHead.IsFlyaway(i))
        {
            Array.Copy(loose, from, into, from, P);
            return;
        }

        var pull = 0.62f * (0.75f + 0.5f * Hash.Unit(i, 20));
        var over = 3.2f * (strands.Above[i] - strands.Above[guide]);
        over = Math.Clamp(over, -0.22f, 0.25f);
        var wavelength = texture.ShortestCm + texture.SpreadCm * Hash.Unit(strands.Lock[i], 21);
        var root = strands.Scalp[guide].Position;
        var phase = 0.35f * root.X + 0.5f * root.Z + 0.2f * root.Y + 1.6f * Hash.Unit(strands.Lock[i], 22);
        for (var k = 0; k < P; k++)
        {
            var t = (float)Places.ShareAt(k / (P - 1.0));
            var s = t * lengths[i];
            var p = texture.CentreLine < 1 ? At(loose, from, lengths[i], s * texture.CentreLine) : loose[from + k];
            var field = head.Grid.At(p);
            var n = Vector3.Normalize(new Vector3(field.X, field.Y, field.Z));
            var g = At(loose, guide * P, lengths[guide], s * texture.CentreLine);
            var d = g - p;
            var d2 = d.LengthSquared();
            var c = pull * Curve.Smooth(0.06f, 0.75f, t) / (1 + d2 / 9);
            d -= n * (Vector3.Dot(d, n) * 0.85f);
            var q = p + d * c + n * (over * Curve.Smooth(0f, 4f, s));

            var turn = s / wavelength * 2 * MathF.PI + phase;
            var swing = texture.SwingCm * Curve.Smooth(texture.FromCm, texture.ToCm, s);
            var across = Vector3.Cross(n, Vector3.UnitY);
            var length = across.Length();
            if (length > 0.2f)
            {
                q += across / length * (swing * MathF.Sin(turn));
            }

            if (texture.Depth > 0)
            {
                // In and out as well, but never into the head.
                q += n * MathF.Max(swing * texture.Depth * MathF.Cos(turn), 0.05f - MathF.Max(field.W, 0.05f));
            }

            into[from + k] = q;
        }
    }

    /// <summary>The guide's point at a distance from its root; beyond its end it goes on as it ended.</summary>
    private static Vector3 At(Vector3[] points, int from, float length, float s)
    {
        var at = Places.NumberOf(s / length) * (P - 1);
        var k = Math.Clamp((int)at, 0, P - 2);
        return Vector3.Lerp(points[from + k], points[from + k + 1], MathF.Min(at - k, 3));
    }
}
