using System.Numerics;
using Wendro.Hair;
using Wendro.Head;
using Wendro.Units;

namespace Wendro.Fall;

/// <summary>What a strand is, and where it is, on its way down.</summary>
internal sealed partial class StrandSimulator
{
    /// <summary>What is a strand's own on its way down.</summary>
    private readonly struct OwnWay(Strands strands, sbyte[] sides, HairProfile hair, int strand)
    {
        public int Lock { get; } = strands.Lock[strand];
        public float Side { get; } = sides[strand];
        public bool IsFringe { get; } = Fringe.Has(hair.Cut, strands.Scalp[strand]);
        public float LockHash { get; } = Hash.Unit(strands.Lock[strand], 1);
        public float OwnHash { get; } = Hash.Unit(strand, 2);

        /// <summary>
        /// How far the hair beneath lifts it: most where it is rooted high, not at all at the nape's edge.
        /// </summary>
        public float Body { get; } = 1.75f * MathF.Pow(strands.Above[strand], 0.75f);
    }

    /// <summary>A strand on its way.</summary>
    internal struct StrandState(Vector3 at, Vector3 dir, float fromRoot)
    {
        public Vector3 At = at;
        public Vector3 Dir = dir;

        /// <summary>How far from its root it is, cm along it.</summary>
        public float FromRoot = fromRoot;

        /// <summary>How far it goes next, cm.</summary>
        public float Step;

        /// <summary>Which way leads off head and body where it is (x, y, z), and how far off it is, cm (w).</summary>
        public Vector4 Field;

        /// <summary>Straight off the head and the body where it is.</summary>
        public readonly Vector3 Outwards => Vector3.Normalize(new Vector3(Field.X, Field.Y, Field.Z));

        /// <summary>
        /// The depth at which its lock means to pass the shoulder, cm; not a number until it has chosen.
        /// </summary>
        public float Target = float.NaN;

        /// <summary>Whether its lock has chosen yet.</summary>
        public readonly bool HasChosen => !float.IsNaN(Target);

        /// <summary>
        /// Whether it means to hang before the shoulder's ridge; what has not chosen hangs behind it.
        /// </summary>
        public readonly bool IsBefore => Target > BeforeTheRidgeZ;

        /// <summary>How far out it is carried on the shoulder, cm from the middle.</summary>
        public float OutTo;

        /// <summary>How much it stays on the top of the shoulder, 0..1.</summary>
        public float RidesOn;

        /// <summary>How much it stays there where it is, 0..1: over the edge it hangs.</summary>
        public readonly float Rides => RidesOn * (1 - Curve.Smooth(EdgeFromY, EdgeToY, -At.Y));
    }
}
