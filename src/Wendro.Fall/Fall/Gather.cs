using System.Numerics;
using Wendro.Head;
using Wendro.Units;

namespace Wendro.Fall;

/// <summary>
/// Middle lines drawn to the guide of their lock: across only, never in depth, so that whole locks lie over or under
/// one another
/// and paint reads as ribbons. Model assumption.
/// </summary>
internal static class Gather
{
    private const int P = Places.Points;

    /// <summary>
    /// How far each point is drawn to the guide: not at the scalp, and less towards the tips, which stay blunt.
    /// </summary>
    private static readonly float[] Draws =
    [
        .. Enumerable
            .Range(0, P)
            .Select(Places.ShareOfPoint)
            .Select(t => Curve.Smooth(0.06f, 0.75f, t) * (1 - 0.65f * Curve.Smooth(0.6f, 1f, t))),
    ];

    /// <summary>Gathers middle lines.</summary>
    /// <param name="strands">The strands.</param>
    /// <param name="loose">Middle lines as they fell, 32 points a strand.</param>
    /// <param name="lengths">Lengths of the middle lines, cm.</param>
    /// <param name="sides">Which side of the part each falls to: nothing is drawn across.</param>
    /// <param name="head">The head.</param>
    /// <param name="texture">How strongly its locks keep together.</param>
    public static Vector3[] Locks(
        Strands strands,
        Vector3[] loose,
        float[] lengths,
        sbyte[] sides,
        HeadForm head,
        Texture texture
    )
    {
        var gathered = new Vector3[loose.Length];
        Parallel.For(
            0,
            16,
            chunk =>
            {
                for (var l = chunk * strands.LockCount / 16; l < (chunk + 1) * strands.LockCount / 16; l++)
                {
                    var guide = strands.LockStart[l];
                    for (var i = guide; i < strands.LockStart[l + 1]; i++)
                    {
                        if (HairOnHead.IsFlyaway(i) || sides[i] != sides[guide])
                        {
                            Array.Copy(loose, i * P, gathered, i * P, P);
                        }
                        else
                        {
                            Strand(strands, loose, lengths, head, texture, guide, i, gathered);
                        }
                    }
                }
            }
        );
        return gathered;
    }

    private static void Strand(
        Strands strands,
        Vector3[] loose,
        float[] lengths,
        HeadForm head,
        Texture texture,
        int guide,
        int i,
        Vector3[] into
    )
    {
        var from = i * P;
        var pull = texture.Pull * (0.75f + 0.5f * Hash.Unit(i, 20));
        var over = 3.2f * (strands.Above[i] - strands.Above[guide]);
        over = Math.Clamp(over, -0.22f, 0.25f);
        var across = texture.Coils ? 0f : 0.85f;
        for (var k = 0; k < P; k++)
        {
            var s = Places.ShareOfPoint(k) * lengths[i];
            var p = loose[from + k];
            var field = head.Grid.At(p);
            var n = Vector3.Normalize(new Vector3(field.X, field.Y, field.Z));
            var d = At(loose, guide * P, lengths[guide], s) - p;
            var c = pull * Draws[k] / (1 + d.LengthSquared() / 9);
            d -= n * (Vector3.Dot(d, n) * across);
            into[from + k] = p + d * c + n * (over * Curve.Smooth(0f, 4f, s));
        }
    }

    /// <summary>A middle line's point at a distance from its root; beyond its end it goes on as it ended.</summary>
    public static Vector3 At(ReadOnlySpan<Vector3> points, int from, float length, float s)
    {
        var at = Places.NumberOf(s / length) * (P - 1);
        var k = Math.Clamp((int)at, 0, P - 2);
        return Vector3.Lerp(points[from + k], points[from + k + 1], MathF.Min(at - k, 3));
    }
}
