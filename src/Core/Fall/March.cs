using System.Numerics;
using Wendro.Core.Hair;
using Wendro.Core.Head;
using Wendro.Core.Units;

namespace Wendro.Core.Fall;

/// <summary>
/// One strand falling: it leaves the scalp along the combed flow, bends to gravity, slides on the head, keeps the
/// face free,
/// decides before the shoulder to hang in front of it or behind, and never enters the body. All values: model
/// assumption.
/// </summary>
/// <param name="head">The head.</param>
/// <param name="strands">The strands.</param>
/// <param name="part">Where it is parted in this wear.</param>
/// <param name="sides">+1 left of that part, −1 right of it, by strand.</param>
/// <param name="hair">Her hair.</param>
/// <param name="texture">How it hangs; lengths are cut on straight hair.</param>
/// <param name="sweptBack">Whether it is combed back from the face.</param>
internal sealed class March(
    HeadForm head,
    Strands strands,
    PartLine part,
    sbyte[] sides,
    HairProfile hair,
    Texture texture,
    bool sweptBack = false
)
{
    /// <summary>Most points a march can take.</summary>
    public const int Most = 96;

    private const float ShoulderRidgeZ = -4.6f;
    private readonly Flow flow = new(part, sweptBack, head, hair.Marks);
    private readonly float volume = Bulk(hair) * texture.Volume;
    private readonly bool swirls = hair.Marks.Any(m => m.Kind == MarkKind.Swirl);
    private readonly float stiffness = hair.Diameter switch
    {
        Diameter.Fine => 0.85f,
        Diameter.Coarse => 1.25f,
        _ => 1f,
    };

    /// <summary>How much room hair takes, from density and diameter; 1 for medium.</summary>
    public static float Bulk(HairProfile hair)
    {
        var d = HairFibre.DiameterCm(hair.Diameter) / HairFibre.DiameterCm(Diameter.Medium);
        return (float)Math.Pow(HairFibre.PerSquareCm(hair.Density) / 180 * d * d, 0.3);
    }

    /// <summary>Step length at a distance from the scalp, cm: short where hair bends.</summary>
    public static float Step(float s) =>
        s < 3 ? 0.5f
        : s < 8 ? 0.9f
        : s < 22 ? 1.35f
        : 1.8f;

    /// <summary>Lets a strand fall until it is long enough or low enough; returns the number of points.</summary>
    /// <param name="strand">Which strand.</param>
    /// <param name="length">Length to stop at, cm.</param>
    /// <param name="lowest">Height to stop at, cm.</param>
    /// <param name="path">Room for <see cref="Most"/> points.</param>
    /// <param name="reached">Length of the path, cm.</param>
    public int Run(int strand, float length, float lowest, Span<Vector3> path, out float reached)
    {
        var l = strands.Lock[strand];
        var h = strands.Above[strand];
        var n = strands.Normal[strand];
        var at = strands.Scalp[strand].Position + n * 0.03f;
        var lift = (0.16f + 0.06f * Hash.Unit(l, 4)) * Curve.Smooth(0f, 0.25f, h);
        var fromCrown = (at - Landmarks.Crown).Length();
        lift *= 0.35f + 0.65f * Curve.Smooth(0.5f, 3f, fromCrown);
        lift *= sweptBack ? 1.5f : 1;
        var combed = Fringe.Has(hair.Cut, strands.Scalp[strand])
            ? Fringe.Forward(at, n)
            : flow.At(at, n, sides[strand], 0);

        // Tight curls stand off the scalp, each lock its own way, so that no gap opens along the part.
        var astray = new Vector3(Hash.Signed(l, 16), Hash.Signed(l, 17), Hash.Signed(l, 18));
        var dir = texture.Upright ? n + combed * 0.1f + astray * 0.22f : combed + n * lift;
        return Run(strand, at, Vector3.Normalize(dir), 0, length, lowest, path, out reached);
    }

    /// <summary>Lets a strand fall on from somewhere on its way.</summary>
    /// <param name="strand">Which strand.</param>
    /// <param name="at">Where it is let go.</param>
    /// <param name="dir">Which way it points there.</param>
    /// <param name="gone">How far from its root that is, cm.</param>
    /// <param name="length">Length to stop at, cm.</param>
    /// <param name="lowest">Height to stop at, cm.</param>
    /// <param name="path">Room for <see cref="Most"/> points.</param>
    /// <param name="reached">Length of the path, cm from the root.</param>
    public int Run(
        int strand,
        Vector3 at,
        Vector3 dir,
        float gone,
        float length,
        float lowest,
        Span<Vector3> path,
        out float reached
    )
    {
        var l = strands.Lock[strand];
        var h = strands.Above[strand];
        var side = (float)sides[strand];
        var isFringe = Fringe.Has(hair.Cut, strands.Scalp[strand]);
        var lockHash = Hash.Unit(l, 1);
        var own = Hash.Unit(strand, 2);
        var body = 1.75f * MathF.Pow(h, 0.75f);
        var gravity = texture.Gravity / (stiffness * (1 + 0.15f * Hash.Signed(l, 3)));
        Vector3 n;
        var target = float.NaN;
        path[0] = at;
        var count = 1;
        var s = gone;
        while (count < Most)
        {
            var step = MathF.Min(Step(s), length - s);
            if (step <= 1e-3f || at.Y <= lowest)
            {
                break;
            }

            var field = head.Grid.At(at);
            n = Vector3.Normalize(new Vector3(field.X, field.Y, field.Z));
            // Locks part in depth only on their way down, so that the top of the head stays one smooth line.
            var apart = Curve.Smooth(1f, 9f, s);
            var off =
                volume
                    * (
                        0.12f
                        + body * (1 + 0.28f * (lockHash - 0.5f) * apart)
                        + 0.25f * (0.5f + (lockHash - 0.5f) * apart)
                    )
                + 0.03f * own;
            off *= isFringe ? 0.6f : 1;
            var want = texture.Upright
                ? 0.05f
                : off * (0.62f * Curve.Smooth(-1f, 6f, s) + 0.38f * Curve.Smooth(4f, 14f, s));

            if (!texture.Upright && field.W < want + 1.3f && at.Y > -3)
            {
                var comb = 0.55f * step * (1 - Curve.Smooth(9f, 15f, s));
                if (comb > 0)
                {
                    var combed = isFringe ? Fringe.Forward(at, n) : flow.At(at, n, side, s);
                    if (Vector3.Dot(dir, combed) < -0.3f)
                    {
                        // Hair that grows against the comb goes round, it does not stand up.
                        combed = Vector3.Normalize(combed + Vector3.Cross(n, dir) * (1.2f * side));
                    }

                    dir = Vector3.Normalize(Vector3.Lerp(dir, combed, MathF.Min(comb, 1)));
                }
            }

            if (swirls && s < 12 && at.Y > -1 && field.W > want + 0.6f)
            {
                // What a swirl drives off the head comes back to it.
                dir -= n * MathF.Min(0.5f * step * (field.W - want - 0.6f), 1);
            }

            dir.Y -= gravity * step * Math.Clamp(s / 6, 0.1f, 1f);
            if (!isFringe)
            {
                KeepFaceFree(ref at, ref dir, side, s, step);
            }

            DrawIn(at, ref dir, step);
            Choose(l, at, ref dir, ref target, step);
            dir = Vector3.Normalize(dir);
            at += dir * step;

            field = head.Grid.At(at);
            if (field.W < want)
            {
                n = Vector3.Normalize(new Vector3(field.X, field.Y, field.Z));
                if (at.Y < -10.5f || (at.Z < -5 && at.Y < -4))
                {
                    n = OverShoulder(n, target);
                }

                at += n * (want - field.W);
                var inward = Vector3.Dot(dir, n);
                if (inward < 0)
                {
                    dir = Vector3.Normalize(dir - n * inward);
                }
            }

            s += (at - path[count - 1]).Length();
            path[count++] = at;
        }

        reached = s;
        return count;
    }

    private static void KeepFaceFree(ref Vector3 at, ref Vector3 dir, float side, float s, float step)
    {
        if (at.Z < 0.5f || at.Y > 8.5f)
        {
            return;
        }

        // Half the width to keep clear: 5.4 at the eyes, 4.3 at the chin, 2.5 on the chest.
        var clear =
            at.Y > -2 ? 5.4f
            : at.Y > -9.5f ? 5.4f + (at.Y + 2) / 7.5f * 1.1f
            : MathF.Max(2.5f, 4.3f + (at.Y + 9.5f) * 0.14f);
        var missing = clear - side * at.X;
        if (missing <= 0)
        {
            return;
        }

        var push = missing * Curve.Smooth(0.5f, 5f, s) * Curve.Smooth(0.5f, 2f, at.Z) * Curve.Smooth(8.5f, 6f, at.Y);
        at.X += side * MathF.Min(push * 0.3f, 0.4f) * step;
        dir.X += side * MathF.Min(push * 0.12f, 0.3f) * step;
    }

    private static void DrawIn(Vector3 at, ref Vector3 dir, float step)
    {
        if (at.Y > -3.5f)
        {
            return;
        }

        var x = at.X;
        var z = at.Z + 3.4f;
        var r = MathF.Sqrt(x * x + z * z);
        var over = MathF.Max(r - 6, 0) * 0.011f + (at.Y > -13 ? MathF.Max(MathF.Abs(x) - 9, 0) * 0.03f : 0);
        if (over > 0)
        {
            dir.X -= x / r * over * step;
            dir.Z -= z / r * over * step;
        }
    }

    private static void Choose(int l, Vector3 at, ref Vector3 dir, ref float target, float step)
    {
        // Locks part at different heights, or they would open in one clean line.
        var height = 6 + 2 * Hash.Unit(l, 17);
        if (at.Y > -height)
        {
            return;
        }

        if (float.IsNaN(target))
        {
            // One lock goes one way, well before it touches: in front of the shoulder's ridge or behind it.
            var spread = 3f * Hash.Signed(l, 5);
            target = at.Z + 1.8f * Hash.Signed(l, 6) > ShoulderRidgeZ ? 0.3f + spread * 0.8f : -9.6f + spread * 0.6f;
        }

        // Below the shoulder, hair by the neck hangs where it likes.
        if (MathF.Abs(at.X) > 4 || at.Y > -12)
        {
            dir.Z += 0.026f * (target - at.Z) * step * Curve.Smooth(height, height + 2.5f, -at.Y);
        }
    }

    private static Vector3 OverShoulder(Vector3 n, float target)
    {
        n.X *= 0.2f;
        n.Z += target > ShoulderRidgeZ ? 0.6f : -0.6f;
        return Vector3.Normalize(n);
    }
}
