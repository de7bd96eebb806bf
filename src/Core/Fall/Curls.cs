using System.Numerics;
using Wendro.Core.Head;
using Wendro.Core.Units;

namespace Wendro.Core.Fall;

/// <summary>
/// Lays the hair's own texture over its middle lines: a slight swing, waves, or coils that go round. Hair that is
/// combed
/// tight to a tie lies straight that far. Model assumption.
/// </summary>
internal static class Curls
{
    private const int P = Places.Points;

    /// <summary>How near the head a turn may come, cm.</summary>
    private const float Clear = 0.06f;

    /// <summary>Strands with their texture, <see cref="Texture.Points"/> points each.</summary>
    /// <param name="strands">The strands.</param>
    /// <param name="middle">Middle lines, 32 points a strand.</param>
    /// <param name="combed">How far from its root each strand is combed straight, cm.</param>
    /// <param name="lengths">Lengths of the strands, cm.</param>
    /// <param name="head">The head.</param>
    /// <param name="texture">The texture.</param>
    public static Vector3[] Lay(
        Strands strands,
        Vector3[] middle,
        float[] combed,
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
                    var into = points.AsSpan(i * texture.Points, texture.Points);
                    Upsample(middle.AsSpan(i * P, P), combed[i], lengths[i], texture, into);
                    if (HairOnHead.IsFlyaway(i))
                    {
                        continue;
                    }

                    if (texture.Coils)
                    {
                        Coil(strands, i, combed[i], lengths[i], head, texture, into);
                    }
                    else
                    {
                        Wave(strands, i, combed[i], lengths[i], head, texture, into);
                    }
                }
            }
        );
        return points;
    }

    /// <summary>
    /// How long the middle line of a strand is: what is combed straight, and the rest as its texture draws it up.
    /// </summary>
    public static float MiddleLength(float length, float combed, Texture texture) =>
        combed + MathF.Max(length - combed, 0) * texture.CentreLine;

    private static float MiddleAt(float s, float combed, Texture texture) =>
        s <= combed ? s : combed + (s - combed) * texture.CentreLine;

    private static void Upsample(
        ReadOnlySpan<Vector3> middle,
        float combed,
        float length,
        Texture texture,
        Span<Vector3> into
    )
    {
        if (into.Length == P && texture.CentreLine >= 1)
        {
            middle.CopyTo(into);
            return;
        }

        var whole = MiddleLength(length, combed, texture);
        for (var k = 0; k < into.Length; k++)
        {
            into[k] = Rounded(
                middle,
                Places.NumberOf(MiddleAt(texture.ShareAt(k) * length, combed, texture) / whole) * (P - 1)
            );
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

    private static void Wave(
        Strands strands,
        int i,
        float combed,
        float length,
        HeadForm head,
        Texture texture,
        Span<Vector3> into
    )
    {
        var l = strands.Lock[i];
        var wavelength = texture.TurnCm + texture.TurnSpreadCm * Hash.Unit(l, 21);

        // Neighbouring locks swing nearly together: a wave runs through the hair. Chance alone looks like rope.
        var root = strands.Scalp[strands.LockStart[l]].Position;
        var phase = 0.35f * root.X + 0.5f * root.Z + 0.2f * root.Y + 1.6f * Hash.Unit(l, 22);
        for (var k = 0; k < into.Length; k++)
        {
            var s = texture.ShareAt(k) * length;
            var swing = texture.SwingCm * Curve.Smooth(texture.FromCm, texture.ToCm, s - combed);
            if (swing < 1e-3f)
            {
                continue;
            }

            var field = head.Grid.At(into[k]);
            var n = Vector3.Normalize(new Vector3(field.X, field.Y, field.Z));
            var turn = s / wavelength * 2 * MathF.PI + phase;
            var across = Vector3.Cross(n, Vector3.UnitY);
            var far = across.Length();
            if (far > 0.2f)
            {
                into[k] += across / far * (swing * MathF.Sin(turn));
            }

            if (texture.Depth > 0)
            {
                // In and out as well, but never into the head.
                into[k] += n * MathF.Max(swing * texture.Depth * MathF.Cos(turn), Clear - MathF.Max(field.W, Clear));
            }
        }
    }

    private static void Coil(
        Strands strands,
        int i,
        float combed,
        float length,
        HeadForm head,
        Texture texture,
        Span<Vector3> into
    )
    {
        var l = strands.Lock[i];
        var hand = Hash.Unit(l, 23) < 0.5f ? 1f : -1f;
        var pitch = (texture.TurnCm + texture.TurnSpreadCm * Hash.Unit(l, 21)) * (1 + 0.012f * Hash.Signed(i, 25));
        var phase = 2 * MathF.PI * Hash.Unit(l, 22) + 0.8f * Hash.Signed(i, 24);
        var wide = 1 + 0.2f * Hash.Signed(l, 26) + 0.1f * Hash.Signed(i, 27);

        // Frames are carried along the line, so that a coil does not twist where the line turns.
        var u = Vector3.Normalize(
            Vector3.Cross(strands.Normal[i], MathF.Abs(strands.Normal[i].Y) < 0.9f ? Vector3.UnitY : Vector3.UnitX)
        );
        var before = into[0];
        for (var k = 1; k < into.Length; k++)
        {
            var here = into[k];
            var ahead = k + 1 < into.Length ? into[k + 1] : here + (here - before);
            var t = Vector3.Normalize(ahead - before);
            before = here;
            u -= t * Vector3.Dot(u, t);
            u = Vector3.Normalize(u);
            var share = texture.ShareAt(k);
            var s = share * length;
            var radius =
                wide * texture.SwingCm * (0.6f + 0.6f * share) * Curve.Smooth(texture.FromCm, texture.ToCm, s - combed);
            if (!(radius > 1e-3f))
            {
                continue;
            }

            var angle = hand * 2 * MathF.PI * MiddleAt(s, combed, texture) / pitch + phase;
            var q = here + (u * MathF.Cos(angle) + Vector3.Cross(t, u) * MathF.Sin(angle)) * radius;
            var field = head.Grid.At(q);
            if (field.W < Clear)
            {
                q += Vector3.Normalize(new Vector3(field.X, field.Y, field.Z)) * (Clear - field.W);
            }

            into[k] = q;
        }
    }
}
