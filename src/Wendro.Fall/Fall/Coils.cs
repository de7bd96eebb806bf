using System.Numerics;
using Wendro.Units;

namespace Wendro.Fall;

/// <summary>
/// Coils go round an axis that itself wanders; they turn away from the face, one in four the other way. Model
/// assumption.
/// </summary>
internal static class Coils
{
    private const float SwayCm = 0.7f;

    /// <summary>Lets the axis of a lock wander, so that no two hang dead parallel.</summary>
    public static void Sway(in Curls.Strand of, Span<Vector3> middle)
    {
        var l = of.Lock;
        var pace = 0.85f + 0.45f * Hash.Unit(l, 44);
        var phase = 2 * MathF.PI * Hash.Unit(l, 45);
        var whole = Curls.MiddleLength(of.Length, of.Lies, of.Texture);
        for (var k = 1; k < middle.Length; k++)
        {
            var m = Places.ShareOfPoint(k) * whole - of.Lies;
            var sway = SwayCm * Curve.Smooth(0.5f, 6f, m);
            if (sway <= 0)
            {
                continue;
            }

            var n = new Vector3(middle[k].X, 0, middle[k].Z + 2.5f);
            n /= MathF.Max(n.Length(), 1e-3f);
            var turn = m * pace + phase;
            middle[k] +=
                new Vector3(-n.Z, 0, n.X) * (sway * MathF.Sin(turn)) + n * (0.8f * sway * (1 + MathF.Cos(turn)));
        }
    }

    /// <summary>Lays a coil round a strand.</summary>
    public static void Coil(in Curls.Strand of, Span<Vector3> into)
    {
        var (strands, texture, l, i) = (of.Strands, of.Texture, of.Lock, of.Number);
        var size = Hash.Unit(l, 21);
        var hand = strands.Side[strands.LockStart[l]] * (Hash.Unit(l, 23) < 0.25f ? -1f : 1f);
        var pitch = (texture.TurnCm + texture.TurnSpreadCm * size) * (1 + 0.012f * Hash.Signed(i, 25));
        var phase = texture.Astray.Lock * Hash.Signed(l, 22) + texture.Astray.Strand * Hash.Signed(i, 24);
        var own = 0.75f + 0.3f * Hash.Unit(i, 27);
        var wide = texture.Upright
            ? 1 + 0.2f * Hash.Signed(l, 26) + 0.1f * Hash.Signed(i, 27)
            : (0.5f + 0.9f * size) * own;

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
            var s = of.At(k);
            var radius = wide * texture.SwingCm * Curve.Smooth(0, texture.ToCm, s - of.Lies);
            radius *= texture.Upright ? 0.6f + 0.6f * texture.ShareAt(k) : 1;
            if (!(radius > 1e-3f))
            {
                continue;
            }

            var angle = hand * 2 * MathF.PI * of.MiddleAt(s) / pitch + phase;
            var q = here + (u * MathF.Cos(angle) + Vector3.Cross(t, u) * MathF.Sin(angle)) * radius;
            var field = of.Head.Grid.At(q);
            if (field.W < Curls.Clear)
            {
                q += Vector3.Normalize(new Vector3(field.X, field.Y, field.Z)) * (Curls.Clear - field.W);
            }

            into[k] = q;
        }
    }
}
