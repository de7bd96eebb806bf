using System.Numerics;
using Wendro.Hair;
using Wendro.Head;
using Wendro.Units;

namespace Wendro.Fall;

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
internal sealed partial class StrandSimulator(
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

    /// <summary>Roots so near the part begin beside it, so that the part is a line.</summary>
    private const float OffPartCm = 0.11f;
    private readonly Flow flow = new(part, sweptBack, head, hair.Marks);
    private readonly float volume = Bulk(hair) * texture.Volume;
    private readonly bool cowlicks = hair.Marks.Any(m => m.Kind == MarkKind.Cowlick);
    private readonly float stiffness = hair.Diameter switch
    {
        Diameter.Fine => 0.85f,
        Diameter.Coarse => 1.25f,
        Diameter.Medium => 1f,
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
    /// <param name="passing">How it passes the shoulder.</param>
    public int Run(
        int strand,
        float length,
        float lowest,
        Span<Vector3> path,
        out float reached,
        Passing passing = Passing.Worn
    )
    {
        var (at, dir) = Leaving(strand);
        return Run(strand, at, dir, 0, length, lowest, path, out reached, passing);
    }

    /// <summary>Where a strand leaves the scalp, and which way.</summary>
    private (Vector3 At, Vector3 Dir) Leaving(int strand)
    {
        var l = strands.Lock[strand];
        var h = strands.Above[strand];
        var n = strands.Normal[strand];
        var at = OffPart(strand) + n * 0.03f;
        var lift = (0.16f + 0.06f * Hash.Unit(l, 4)) * Curve.Smooth(0f, 0.25f, h);
        var fromCrown = (at - Landmarks.Crown).Length();
        lift *= 0.35f + 0.65f * Curve.Smooth(0.5f, 3f, fromCrown);
        lift *= sweptBack ? 1.5f : 1;
        var combed = Fringe.Has(hair.Cut, strands.Scalp[strand])
            ? Fringe.Forward(at, n)
            : flow.At(at, n, sides[strand], 0);

        // Tight curls stand off the scalp, each lock its own way, so that no gap opens along the part.
        var astray = new Vector3(Hash.Signed(l, 16), Hash.Signed(l, 17), Hash.Signed(l, 18)) * 0.22f;
        var dir = texture.Upright
            ? n + combed * Leans(strand, combed) + astray + SinksAtTheEdge(strand)
            : combed + n * lift;
        return (at, Vector3.Normalize(dir));
    }

    /// <summary>
    /// How far tight curls lean the way they are combed: little, but more before the ears, where they soften the
    /// outline.
    /// </summary>
    private float Leans(int strand, Vector3 combed)
    {
        var root = strands.Scalp[strand];
        return 0.1f
            + 0.5f
                * (1 - Curve.Smooth(0f, 5f, (float)root.FromHairlineCm))
                * Curve.Smooth(0.2f, 0.8f, -combed.Y)
                * Curve.Smooth(-8f, -3f, root.Position.Z);
    }

    /// <summary>
    /// Tight curls by the front hairline sink, each by its own: their outline is round, no peak stands out over
    /// the face.
    /// </summary>
    private Vector3 SinksAtTheEdge(int strand)
    {
        var root = strands.Scalp[strand];
        var near = 1 - Curve.Smooth(0f, 4f, (float)root.FromHairlineCm);
        return new(0, -0.4f * near * Hash.Unit(strands.Lock[strand], 32) * Curve.Smooth(0f, 5f, root.Position.Z), 0);
    }

    /// <summary>Where a strand begins: at its root, or beside the part where it is rooted in it.</summary>
    public Vector3 OffPart(int strand)
    {
        var root = strands.Scalp[strand];
        var front = Curve.Smooth(-5.5f, -2f, root.Position.Z);
        if (sweptBack || front <= 0 || texture.Upright)
        {
            return root.Position;
        }

        float side = sides[strand];
        var from = DrawnPart.From(part, root);
        var off = OffPartCm * DrawnPart.Open(root.Position.Z, side);
        return MathF.Abs(from) >= off ? root.Position : root.Position + new Vector3((side * off - from) * front, 0, 0);
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
    /// <param name="passing">How it passes the shoulder.</param>
    public int Run(
        int strand,
        Vector3 at,
        Vector3 dir,
        float gone,
        float length,
        float lowest,
        Span<Vector3> path,
        out float reached,
        Passing passing = Passing.Worn
    )
    {
        var going = new StrandState(at, dir, gone) { Field = head.Grid.At(at) };
        path[0] = at;
        return GoOn(strand, ref going, 1, length, lowest, path, out reached, passing, out _);
    }

    /// <summary>Lets a strand go on its way from where it is.</summary>
    private int GoOn(
        int strand,
        ref StrandState going,
        int count,
        float length,
        float lowest,
        Span<Vector3> path,
        out float reached,
        Passing passing,
        out Carried? carried
    )
    {
        var own = new OwnWay(strands, sides, hair, strand);
        var gravity = texture.Gravity / (stiffness * (1 + 0.15f * Hash.Signed(own.Lock, 3)));
        var shoulder = passing == Passing.Freely ? null : ShouldersOfLocks;
        carried = null;
        while (count < Most)
        {
            if (passing == Passing.Combed && carried is null && IsAtShoulder(shoulder![own.Lock], going))
            {
                carried = new(going, count);
            }

            going.Step = MathF.Min(Step(going.FromRoot), length - going.FromRoot);
            if (going.Step <= 1e-3f || going.At.Y <= lowest)
            {
                break;
            }

            var standoff = Standoff(own, going);
            FollowComb(own, ref going, standoff);
            ComeBack(ref going, standoff);
            Sink(ref going, gravity);
            if (!own.IsFringe)
            {
                KeepFaceFree(own, ref going);
            }

            DrawIn(ref going);
            if (shoulder is not null)
            {
                PassShoulder(
                    own,
                    shoulder[own.Lock],
                    ref going,
                    MathF.Min(length - going.FromRoot, going.At.Y - lowest),
                    passing
                );
            }

            going.Dir = Vector3.Normalize(going.Dir);
            going.At += going.Dir * going.Step;
            StayOutside(ref going, standoff, passing);
            going.FromRoot += (going.At - path[count - 1]).Length();
            path[count++] = going.At;
        }

        reached = going.FromRoot;
        return count;
    }

    /// <summary>How far from skin and cloth it lies, cm: more where much hair lies beneath.</summary>
    private float Standoff(in OwnWay own, in StrandState going)
    {
        if (texture.Upright)
        {
            return 0.05f;
        }

        // Locks part in depth only on their way down, so that the top of the head stays one smooth line.
        var apart = Curve.Smooth(1f, 9f, going.FromRoot);
        var off =
            volume
                * (
                    0.12f
                    + own.Body * (1 + 0.28f * (own.LockHash - 0.5f) * apart)
                    + 0.25f * (0.5f + (own.LockHash - 0.5f) * apart)
                )
            + 0.03f * own.OwnHash;
        off *= own.IsFringe ? 0.6f : 1;
        return off * (0.62f * Curve.Smooth(-1f, 6f, going.FromRoot) + 0.38f * Curve.Smooth(4f, 14f, going.FromRoot));
    }

    /// <summary>Near the head it turns to the way it is combed.</summary>
    private void FollowComb(in OwnWay own, ref StrandState going, float standoff)
    {
        if (texture.Upright || going.Field.W >= standoff + 1.3f || going.At.Y <= -3)
        {
            return;
        }

        var comb = 0.55f * going.Step * (1 - Curve.Smooth(9f, 15f, going.FromRoot));
        if (comb <= 0)
        {
            return;
        }

        var outwards = going.Outwards;
        var combed = own.IsFringe
            ? Fringe.Forward(going.At, outwards)
            : flow.At(going.At, outwards, own.Side, going.FromRoot);
        if (Vector3.Dot(going.Dir, combed) < -0.3f)
        {
            // Hair that grows against the comb goes round, it does not stand up.
            combed = Vector3.Normalize(combed + Vector3.Cross(outwards, going.Dir) * (1.2f * own.Side));
        }

        going.Dir = Vector3.Normalize(Vector3.Lerp(going.Dir, combed, MathF.Min(comb, 1)));
    }

    /// <summary>What a cowlick drives off the head comes back to it.</summary>
    private void ComeBack(ref StrandState going, float standoff)
    {
        var off = going.Field.W;
        if (cowlicks && going.FromRoot < 12 && going.At.Y > -1 && off > standoff + 0.6f)
        {
            going.Dir -= going.Outwards * MathF.Min(0.5f * going.Step * (off - standoff - 0.6f), 1);
        }
    }

    private static void Sink(ref StrandState going, float gravity) =>
        going.Dir.Y -= gravity * going.Step * Math.Clamp(going.FromRoot / 6, 0.1f, 1f);

    private static void KeepFaceFree(in OwnWay own, ref StrandState going)
    {
        ref var at = ref going.At;
        if (at.Z < 0.5f || at.Y > 8.5f)
        {
            return;
        }

        // Half the width to keep clear: 5.4 at the eyes, 4.3 at the chin, 2.5 on the chest.
        var clear =
            at.Y > -2 ? 5.4f
            : at.Y > -9.5f ? 5.4f + (at.Y + 2) / 7.5f * 1.1f
            : MathF.Max(2.5f, 4.3f + (at.Y + 9.5f) * 0.14f);
        var missing = clear - own.Side * at.X;
        if (missing <= 0)
        {
            return;
        }

        var push =
            missing
            * Curve.Smooth(0.5f, 5f, going.FromRoot)
            * Curve.Smooth(0.5f, 2f, at.Z)
            * Curve.Smooth(8.5f, 6f, at.Y);
        at.X += own.Side * MathF.Min(push * 0.3f, 0.4f) * going.Step;
        going.Dir.X += own.Side * MathF.Min(push * 0.12f, 0.3f) * going.Step;
    }

    /// <summary>Below the jaw hair draws in towards the neck.</summary>
    private static void DrawIn(ref StrandState going)
    {
        var at = going.At;
        if (at.Y > -3.5f)
        {
            return;
        }

        var x = at.X;
        var z = at.Z + 3.4f;
        var r = MathF.Sqrt(x * x + z * z);
        var over =
            MathF.Max(r - 6, 0) * 0.007f * (1 - Curve.Smooth(10f, 18f, -at.Y))
            + (at.Y > -13 ? MathF.Max(MathF.Abs(x) - 9, 0) * 0.03f : 0);
        if (over > 0)
        {
            going.Dir.X -= x / r * over * going.Step;
            going.Dir.Z -= z / r * over * going.Step;
        }
    }
}
