using System.Numerics;
using Wendro.Head;

namespace Wendro.Fall;

/// <summary>
/// Lays the hair's own texture over its middle lines: waves, or coils that go round. Hair lies straight first, then
/// turns: to the tie, to the ear, or as far down as hanging hair lies on the head. Model assumption.
/// </summary>
internal static class Curls
{
    private const int P = Places.Points;

    /// <summary>How near the head a turn may come, cm.</summary>
    public const float Clear = 0.06f;

    /// <summary>Strands with their texture, <see cref="Texture.Points"/> points each.</summary>
    /// <param name="strands">The strands.</param>
    /// <param name="middle">Middle lines, 32 points a strand.</param>
    /// <param name="lies">How far from its root each strand lies straight, cm.</param>
    /// <param name="lengths">Lengths of the strands, cm.</param>
    /// <param name="head">The head.</param>
    /// <param name="texture">The texture.</param>
    public static Vector3[] Lay(
        Strands strands,
        Vector3[] middle,
        float[] lies,
        float[] lengths,
        HeadForm head,
        Texture texture
    )
    {
        var points = new Vector3[strands.Count * texture.Points];
        Parallel.For(
            0,
            16,
            chunk =>
            {
                for (var i = chunk * strands.Count / 16; i < (chunk + 1) * strands.Count / 16; i++)
                {
                    var line = middle.AsSpan(i * P, P);
                    var into = points.AsSpan(i * texture.Points, texture.Points);
                    var of = new Strand(strands, i, lies[i], lengths[i], head, texture);
                    var turns = !HairOnHead.IsFlyaway(i);
                    if (turns && texture is { Coils: true, Upright: false })
                    {
                        Coils.Sway(of, line);
                    }

                    Upsample(line, of, into);
                    if (turns && texture.Coils)
                    {
                        Coils.Coil(of, into);
                    }
                    else if (turns)
                    {
                        Waves.Wave(of, into);
                        Waves.TurnIn(of, into);
                    }
                }
            }
        );
        return points;
    }

    /// <summary>A strand that gets its texture.</summary>
    /// <param name="Strands">All strands.</param>
    /// <param name="Number">Which.</param>
    /// <param name="Lies">How far from its root it lies straight, cm.</param>
    /// <param name="Length">Its length, cm.</param>
    /// <param name="Head">The head.</param>
    /// <param name="Texture">The texture.</param>
    public readonly record struct Strand(
        Strands Strands,
        int Number,
        float Lies,
        float Length,
        HeadForm Head,
        Texture Texture
    )
    {
        /// <summary>Its lock.</summary>
        public int Lock => Strands.Lock[Number];

        /// <summary>How far from its root a point lies, cm along the strand.</summary>
        public float At(int point) => Texture.ShareAt(point) * Length;

        /// <summary>How far along its middle line a distance along it lies, cm.</summary>
        public float MiddleAt(float s) => s <= Lies ? s : Lies + (s - Lies) * Texture.CentreLine;
    }

    /// <summary>
    /// How far from its root hanging hair lies straight, cm: down to the height its texture begins at.
    /// </summary>
    /// <param name="path">The strand as it falls.</param>
    /// <param name="texture">Its texture.</param>
    public static float LiesStraight(ReadOnlySpan<Vector3> path, Texture texture)
    {
        if (texture.Coils)
        {
            return 0;
        }

        var along = 0f;
        for (var k = 1; k < path.Length; k++)
        {
            var step = (path[k] - path[k - 1]).Length();
            if (path[k].Y < texture.LiesToY)
            {
                var (above, below) = (path[k - 1].Y - texture.LiesToY, path[k - 1].Y - path[k].Y);
                return along + (above > 0 && below > 1e-4f ? step * MathF.Min(above / below, 1) : 0);
            }

            along += step;
        }

        return along;
    }

    /// <summary>
    /// How long the middle line of a strand is: what lies straight, and the rest as its texture draws it up.
    /// </summary>
    public static float MiddleLength(float length, float lies, Texture texture)
    {
        var straight = MathF.Min(lies, length);
        return straight + (length - straight) * texture.CentreLine;
    }

    private static void Upsample(ReadOnlySpan<Vector3> middle, in Strand of, Span<Vector3> into)
    {
        if (into.Length == P && of.Texture.CentreLine >= 1)
        {
            middle.CopyTo(into);
            return;
        }

        var whole = MiddleLength(of.Length, of.Lies, of.Texture);
        for (var k = 0; k < into.Length; k++)
        {
            into[k] = Rounded(middle, Places.NumberOf(of.MiddleAt(of.At(k)) / whole) * (P - 1));
        }
    }

    /// <summary>Between points a line goes on without corners.</summary>
    private static Vector3 Rounded(ReadOnlySpan<Vector3> p, float at)
    {
        var k = Math.Clamp((int)at, 0, P - 2);
        var t = Math.Clamp(at - k, 0, 1);
        var (a, b, c, d) = (p[Math.Max(k - 1, 0)], p[k], p[k + 1], p[Math.Min(k + 2, P - 1)]);
        return 0.5f
            * (2 * b + (c - a) * t + (2 * a - 5 * b + 4 * c - d) * (t * t) + (3 * b - a - 3 * c + d) * (t * t * t));
    }
}
