using System.Numerics;
using Wendro.Units;

namespace Wendro.Fall;

/// <summary>
/// How hair on its way down passes the shoulder, and stays outside the body. All values: model assumption.
/// </summary>
internal sealed partial class StrandSimulator
{
    /// <summary>Depth that parts hair before the shoulder from hair behind it, and how locks differ, cm.</summary>
    private const float PartsAtZ = -5.5f,
        PartsApartCm = 0.8f;

    /// <summary>Depth at which hair brought forward comes down on the top of the shoulder, cm.</summary>
    private const float TopOfShoulderZ = -4.6f;

    /// <summary>How far before and behind that depth hair still lies on it, cm: before it thins out slowly.</summary>
    private const float LiesOnBeforeCm = 4.5f,
        LiesOnBehindCm = 1.8f;

    /// <summary>
    /// Depth at which hair hangs before the shoulder and behind it, and how locks differ, cm; what lies on it hangs
    /// that much nearer its ridge.
    /// </summary>
    private const float BeforeZ = -3.2f,
        BeforeApartCm = 1.6f,
        NearerTheRidgeCm = 1.3f,
        BehindZ = -6.2f,
        BehindApartCm = 1.2f;

    /// <summary>
    /// How strongly hair is carried out, per cm that is missing, by how much more it is held back beyond, and between
    /// which heights that sets in, cm below the skull's origin.
    /// </summary>
    private const float CarriedPerCm = 0.08f,
        HeldBack = 1.5f,
        ShoulderFromY = 8,
        ShoulderToY = 11;

    /// <summary>How far out the shoulder carries what lies on it, and to where from the middle, cm.</summary>
    private const float CarriedOutCm = 6.5f,
        CarriedAtMostX = 14;

    /// <summary>
    /// Hair that ends so soon, cm along it from where it turns to the shoulder, only grazes it, and from here on it
    /// lies there: shoulder-length hair does not fan out.
    /// </summary>
    private const float GrazesCm = 11,
        LiesCm = 22;

    /// <summary>
    /// Worn, hair comes down so much further before it turns to the front or the back than where it is combed, cm.
    /// </summary>
    private const float ComesDownCm = 1.5f;

    /// <summary>
    /// What comes down on the top of the shoulder stays there, on its way out, until it slips over the edge: from how
    /// much it lies on it, 0..1; from and up to how much is left of it, cm: the weight of long hair draws it off;
    /// where the edge is, cm below the skull's origin, and over how many cm it slips.
    /// </summary>
    private const float RidesFrom = 0.15f,
        RidesWhole = 0.55f,
        RidesFromCm = 6,
        RidesWholeCm = 12,
        DrawnOffFromCm = 23,
        DrawnOffCm = 31,
        EdgeFromY = 17,
        EdgeToY = 21;

    /// <summary>
    /// What rides there goes so much less far out, cm, and only from so far before the shoulder's top, cm: what comes
    /// down behind it joins what hangs there, or it would hang there alone.
    /// </summary>
    private const float RidesNearerCm = 1,
        StaysBehindCm = -0.2f,
        GoesOutCm = 1.2f;

    /// <summary>
    /// Hair by the neck, this far from the middle, stays there, and from here on all of it is carried, cm: so the
    /// curtain in front widens and keeps its inner edge.
    /// </summary>
    private const float ByTheNeckX = 6,
        OutsideX = 8.5f;

    /// <summary>
    /// Behind, hair spreads by this share of what lies so far out, cm from the middle, and to where, cm.
    /// </summary>
    private const float SpreadsBehind = 0.25f,
        SpreadsFromX = 3,
        SpreadsAtMostX = 10.5f;

    /// <summary>Depth of the shoulder's ridge, cm.</summary>
    private const float BeforeTheRidgeZ = -4.8f;

    /// <summary>How much less hair that slides off the shoulder behind is drawn in to the neck, a step.</summary>
    private const float StaysOut = 0.7f;

    /// <summary>Which way each lock passes the shoulder: worked out once a lock, by its guide.</summary>
    private Shoulder?[]? shoulders;

    private Shoulder?[] ShouldersOfLocks => LazyInitializer.EnsureInitialized(ref shoulders, Shoulders);

    /// <summary>Lets a strand fall combed straight down, before the shoulder or behind it: so it is cut.</summary>
    /// <param name="strand">Which strand.</param>
    /// <param name="length">Length to stop at, cm.</param>
    /// <param name="lowest">Height to stop at, cm.</param>
    /// <param name="path">Room for <see cref="Most"/> points.</param>
    /// <param name="reached">Length of the path, cm.</param>
    /// <param name="carried">From where the shoulder carries it once it is worn; null where it does not.</param>
    public int Comb(int strand, float length, float lowest, Span<Vector3> path, out float reached, out Carried? carried)
    {
        var (at, dir) = Leaving(strand);
        var going = new StrandState(at, dir, 0) { Field = head.Grid.At(at) };
        path[0] = at;
        return GoOn(strand, ref going, 1, length, lowest, path, out reached, Passing.Combed, out carried);
    }

    /// <summary>
    /// Lets a strand that was combed down be worn: it goes the same way until the shoulder carries it.
    /// </summary>
    /// <param name="strand">Which strand.</param>
    /// <param name="carried">From where the shoulder carries it.</param>
    /// <param name="length">Length to stop at, cm.</param>
    /// <param name="path">Its way combed down, on which it goes on.</param>
    public int Wear(int strand, in Carried carried, float length, Span<Vector3> path)
    {
        if (!carried.IsOnTheWayOf(length))
        {
            return Run(strand, length, float.MinValue, path, out _);
        }

        var going = carried.From;
        return GoOn(strand, ref going, carried.Points, length, float.MinValue, path, out _, Passing.Worn, out _);
    }

    /// <summary>A strand on its way down where it is about to choose how it passes the shoulder.</summary>
    /// <param name="From">As it is there.</param>
    /// <param name="Points">How many points of its path lie before.</param>
    internal readonly record struct Carried(StrandState From, int Points)
    {
        /// <summary>Whether a strand so long comes by there: it has chosen nothing yet.</summary>
        public bool IsOnTheWayOf(float length) => length > From.FromRoot;
    }

    /// <summary>Whether a strand so high, with so much of it left, ends on the neck, cm.</summary>
    private static bool EndsOnNeck(float y, float left) => y - left > -13;

    private static bool IsAtShoulder(Shoulder? chosen, in StrandState going) =>
        chosen is { Carries: true } way && going.At.Y <= -way.Height;

    /// <summary>One lock goes one way, well before it touches: in front of the shoulder or behind it.</summary>
    /// <param name="own">The strand.</param>
    /// <param name="chosen">What its lock has chosen; null where it ends before the shoulder.</param>
    /// <param name="going">The strand on its way.</param>
    /// <param name="left">How much of it is left, cm.</param>
    /// <param name="passing">Whether it is carried out there.</param>
    private static void PassShoulder(
        in OwnWay own,
        Shoulder? chosen,
        ref StrandState going,
        float left,
        Passing passing
    )
    {
        var at = going.At;
        if (chosen is not { } way || at.Y > -way.Height)
        {
            return;
        }

        if (!going.HasChosen)
        {
            // Hair that ends on the neck decides nothing: a bob keeps its corners.
            going.Target = EndsOnNeck(at.Y, left) ? float.PositiveInfinity : way.Depth(at.Z);
            going.RidesOn = passing == Passing.Worn ? way.RidesOn(left) : 0;
            going.OutTo = way.OutTo(MathF.Abs(at.X), left, going.RidesOn);
        }

        if (float.IsInfinity(going.Target))
        {
            return;
        }

        // Below the shoulder, hair by the neck hangs where it likes.
        if (MathF.Abs(at.X) > 4 || at.Y > -12)
        {
            var from = way.Height + (passing == Passing.Worn ? ComesDownCm : 0);
            going.Dir.Z +=
                0.05f * (going.Target - at.Z) * going.Step * Curve.Smooth(from, from + 2.5f, -at.Y) * (1 - going.Rides);
        }

        if (way.Carries && passing == Passing.Worn)
        {
            BeCarriedOut(ref going);
        }
    }

    /// <summary>
    /// What lies on the shoulder slides out along its slope, and what hangs behind spreads: from the side no bare
    /// shoulder stands between them up to the neck.
    /// </summary>
    private static void BeCarriedOut(ref StrandState going)
    {
        var missing = going.OutTo - MathF.Abs(going.At.X);
        going.Dir.X +=
            MathF.Sign(going.At.X)
            * CarriedPerCm
            * (missing > 0 ? missing : HeldBack * missing)
            * Curve.Smooth(ShoulderFromY, ShoulderToY, -going.At.Y)
            * going.Step;
    }

    /// <summary>How a lock passes the shoulder.</summary>
    /// <param name="InFront">In front of its ridge; else behind.</param>
    /// <param name="Height">How far down it turns that way, cm below the skull's origin.</param>
    /// <param name="Aside">Its own place among others, −1..1.</param>
    /// <param name="LiesOn">How far it comes down on the top of the shoulder, 0..1, and lies there.</param>
    /// <param name="Out">How far out it slides there, cm.</param>
    /// <param name="Behind">How far it comes down behind its top, 0..1.</param>
    private readonly record struct Shoulder(
        bool InFront,
        float Height,
        float Aside,
        float LiesOn,
        float Out,
        float Behind
    )
    {
        /// <summary>Whether it is carried out from where it comes down.</summary>
        public bool Carries => !InFront || LiesOn > 0;

        /// <summary>The depth it hangs at from here on, cm.</summary>
        public float Depth(float z) =>
            InFront
                ? MathF.Max(
                    MathF.Max(z, BeforeZ - NearerTheRidgeCm * LiesOn + BeforeApartCm * Aside * (1 - 0.6f * LiesOn)),
                    TopOfShoulderZ // or it would slip off behind
                )
                : MathF.Min(z, BehindZ + BehindApartCm * Aside);

        /// <summary>How much it stays on the top of the shoulder instead of slipping off, 0..1.</summary>
        /// <param name="left">How much of it is left, cm.</param>
        public float RidesOn(float left) =>
            Curve.Smooth(RidesFrom, RidesWhole, LiesOn)
            * Curve.Smooth(RidesFromCm, RidesWholeCm, left)
            * (1 - Curve.Smooth(DrawnOffFromCm, DrawnOffCm, left));

        /// <summary>How far from the middle it hangs then, cm.</summary>
        public float OutTo(float x, float left, float rides) =>
            InFront
                ? MathF.Min(
                    x + Out * Curve.Smooth(GrazesCm, LiesCm, left) * (1 - rides * Behind),
                    CarriedAtMostX - rides * RidesNearerCm
                )
                : MathF.Min(x + SpreadsBehind * MathF.Max(x - SpreadsFromX, 0), SpreadsAtMostX);
    }

    /// <summary>How far what comes down so much before the top of the shoulder lies on it, 0..1.</summary>
    private static float LiesOn(float before) =>
        1 - (before > 0 ? Curve.Smooth(0f, LiesOnBeforeCm, before) : Curve.Smooth(0f, LiesOnBehindCm, -before));

    private Shoulder?[] Shoulders()
    {
        var chosen = new Shoulder?[strands.LockCount];
        if (texture.Upright)
        {
            return chosen;
        }

        Parallel.For(
            0,
            16,
            chunk =>
            {
                Span<Vector3> path = stackalloc Vector3[Most];
                for (var l = chunk * strands.LockCount / 16; l < (chunk + 1) * strands.LockCount / 16; l++)
                {
                    // Locks part at different heights, or they would open in one clean line.
                    var height = 4 + 3 * Hash.Unit(l, 17);
                    var count = Run(strands.LockStart[l], 200, -height, path, out _, Passing.Freely);
                    var (x, z) = (MathF.Abs(path[count - 1].X), path[count - 1].Z);
                    var front = !sweptBack && z + PartsApartCm * Hash.Signed(l, 6) > PartsAtZ;
                    var liesOn = front ? LiesOn(z - TopOfShoulderZ) : 0;
                    var carried =
                        CarriedOutCm
                        * liesOn
                        * (0.75f + 0.25f * Hash.Unit(l, 23))
                        * Curve.Smooth(ByTheNeckX, OutsideX, x);
                    var behind = 1 - Curve.Smooth(StaysBehindCm, GoesOutCm, z - TopOfShoulderZ);
                    chosen[l] = new(front, height, Hash.Signed(l, 5), liesOn, carried, behind);
                }
            }
        );
        return chosen;
    }

    /// <summary>Nothing lies in the head or the body: it slides outwards until it lies on them.</summary>
    private void StayOutside(ref StrandState going, float standoff, Passing passing)
    {
        going.Field = head.Grid.At(going.At);
        var into = standoff - going.Field.W;
        if (into <= 0)
        {
            return;
        }

        var outwards = going.Outwards;
        if (going.At.Y < -10.5f || (going.At.Z < -5 && going.At.Y < -4))
        {
            // Hair that touches the shoulder is moved, not thrown: its direction stays.
            going.At += OverShoulder(outwards, going) * into;

            // While it slides off behind it goes on turning without getting on: it would leave the shoulder aslant.
            if (passing == Passing.Worn && going.HasChosen && going.Dir.X * going.At.X < 0)
            {
                going.Dir.X *= 1 - StaysOut * (1 - Curve.Smooth(BeforeTheRidgeZ - 1, BeforeTheRidgeZ + 1, going.At.Z));
            }
        }
        else
        {
            going.At += outwards * into;
            var inward = Vector3.Dot(going.Dir, outwards);
            if (inward < 0)
            {
                going.Dir = Vector3.Normalize(going.Dir - outwards * inward);
            }
        }

        going.Field = head.Grid.At(going.At);
    }

    private static Vector3 OverShoulder(Vector3 n, in StrandState going)
    {
        n.X *= 0.3f + 0.7f * going.Rides;
        n.Z += (going.IsBefore ? 0.4f : -0.4f) * (1 - going.Rides);
        return Vector3.Normalize(n);
    }
}

/// <summary>How hair passes the shoulder.</summary>
internal enum Passing
{
    /// <summary>As if there were none.</summary>
    Freely,

    /// <summary>Before it or behind it, combed straight down: so it is cut.</summary>
    Combed,

    /// <summary>As it is worn: what comes down on it slides out along its slope.</summary>
    Worn,
}
