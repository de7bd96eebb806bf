using System.Numerics;
using Wendro.Core.Units;

namespace Wendro.Core.Fall;

/// <summary>
/// How hair on its way down passes the shoulder, and stays outside the body. All values: model assumption.
/// </summary>
internal sealed partial class March
{
    /// <summary>Which way each lock passes the shoulder: worked out once a lock, by its guide.</summary>
    private Shoulder?[]? shoulders;

    private Shoulder?[] ShouldersOfLocks => LazyInitializer.EnsureInitialized(ref shoulders, Shoulders);

    /// <summary>One lock goes one way, well before it touches: in front of the shoulder or behind it.</summary>
    /// <param name="own">The strand.</param>
    /// <param name="chosen">What its lock has chosen; null where it ends before the shoulder.</param>
    /// <param name="going">The strand on its way.</param>
    /// <param name="left">How much of it is left, cm.</param>
    private static void PassShoulder(in OwnWay own, Shoulder? chosen, ref Going going, float left)
    {
        var at = going.At;
        if (chosen is not { } way || at.Y > -way.Height)
        {
            return;
        }

        if (float.IsNaN(going.Target))
        {
            // Hair that ends on the neck decides nothing: a bob keeps its corners.
            going.Target =
                at.Y - left > -13 ? float.PositiveInfinity
                : way.InFront ? MathF.Max(at.Z, -3.2f + 1.6f * way.Aside)
                : MathF.Min(at.Z, -6.2f + 1.2f * way.Aside);
        }

        if (float.IsInfinity(going.Target))
        {
            return;
        }

        // Below the shoulder, hair by the neck hangs where it likes.
        if (MathF.Abs(at.X) > 4 || at.Y > -12)
        {
            going.Dir.Z +=
                0.05f * (going.Target - at.Z) * going.Step * Curve.Smooth(way.Height, way.Height + 2.5f, -at.Y);
        }

        if (!way.InFront)
        {
            going.Dir.X -= MathF.Sign(at.X) * MathF.Max(MathF.Abs(at.X) - 7, 0) * 0.04f * going.Step;
        }
    }

    /// <summary>How a lock passes the shoulder.</summary>
    /// <param name="InFront">In front of its ridge; else behind.</param>
    /// <param name="Height">How far down it turns that way, cm below the skull's origin.</param>
    /// <param name="Aside">Its own place among others, −1..1.</param>
    private readonly record struct Shoulder(bool InFront, float Height, float Aside);

    /// <summary>Depth that parts hair before the shoulder from hair behind it, cm.</summary>
    private const float PartsAtZ = -6.4f;

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
                    var count = Run(strands.LockStart[l], 200, -height, path, out _, hanging: true);
                    var front = !sweptBack && path[count - 1].Z + 1.2f * Hash.Signed(l, 6) > PartsAtZ;
                    chosen[l] = new(front, height, Hash.Signed(l, 5));
                }
            }
        );
        return chosen;
    }

    /// <summary>Nothing lies in the head or the body: it slides outwards until it lies on them.</summary>
    private void StayOutside(ref Going going, float standoff)
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
            going.At += OverShoulder(outwards, going.Target) * into;
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

    private static Vector3 OverShoulder(Vector3 n, float target)
    {
        n.X *= 0.3f;
        n.Z += target > -4.8f ? 0.4f : -0.4f;
        return Vector3.Normalize(n);
    }
}
