using System.Numerics;
using System.Runtime.CompilerServices;
using Wendro.Hair;
using Wendro.Head;
using Wendro.Units;

namespace Wendro.Fall;

/// <summary>
/// Which way hair is combed on the head: away from the part on top, round the crown behind it, or all of it back.
/// Swirls turn it. Model assumption.
/// </summary>
internal readonly struct Flow
{
    /// <summary>How strongly a cowlick turns the hair about it, and drives it apart.</summary>
    private const float CowlickTurns = 0.9f,
        CowlickParts = 0.8f;

    /// <summary>Beyond this far from the scalp the length falls as the rest does, cm.</summary>
    private const float CowlickEndsCm = 6;

    private readonly PartLine part;
    private readonly bool sweptBack;
    private readonly (Vector3 At, float Reach, float Hand)[] cowlicks;

    public Flow(PartLine part, bool sweptBack, HeadForm head, IEnumerable<Mark> marks)
    {
        this.part = part;
        this.sweptBack = sweptBack;
        cowlicks = marks
            .Where(m => m.Kind == MarkKind.Cowlick)
            .Select(m => (head.Chart.At(m.Map).Position, (float)m.RadiusCm, m.Clockwise ? 1f : -1f))
            .ToArray();
    }

    /// <summary>Combed direction, tangent to the form.</summary>
    /// <param name="at">On or near the head, cm.</param>
    /// <param name="normal">Outward unit normal there.</param>
    /// <param name="side">+1 left of the part, −1 right.</param>
    /// <param name="s">Distance from the scalp, cm: a cowlick turns the roots, not the lengths.</param>
    [MethodImpl(MethodImplOptions.AggressiveInlining)]
    public Vector3 At(Vector3 at, Vector3 normal, float side, float s)
    {
        var flow = sweptBack ? Swept(at, side) : Parted(at, normal, side);
        foreach (var cowlick in cowlicks)
        {
            var away = at - cowlick.At;
            away -= normal * Vector3.Dot(away, normal);
            var r = away.Length();
            if (r < 2 * cowlick.Reach && s < CowlickEndsCm)
            {
                var radial = away / MathF.Max(r, 0.05f);
                var near =
                    Curve.Smooth(0.2f, 1.2f, r)
                    * (1 - Curve.Smooth(0.4f * cowlick.Reach, 2 * cowlick.Reach, r))
                    * (1 - Curve.Smooth(0.4f * CowlickEndsCm, CowlickEndsCm, s));
                flow += (radial * CowlickParts + Vector3.Cross(radial, normal) * (CowlickTurns * cowlick.Hand)) * near;
            }
        }

        flow -= normal * Vector3.Dot(flow, normal);
        return Vector3.Normalize(flow);
    }

    /// <summary>
    /// Back, and a little apart on top where it lies beside the middle, or a notch would open there; behind, both
    /// sides close over the middle.
    /// </summary>
    private static Vector3 Swept(Vector3 at, float side)
    {
        var beside = Curve.Smooth(1f, 5f, MathF.Abs(at.X));
        var apart = 0.06f * beside - 0.24f * Curve.Smooth(1f, 7f, -at.Z);
        return Vector3.Normalize(new Vector3(side * apart, -0.15f - 0.5f * Curve.Smooth(4f, 9f, -at.Z), -1));
    }

    private Vector3 Parted(Vector3 at, Vector3 normal, float side)
    {
        var lateral = MathF.Abs(at.X - (float)part.OffsetAt(at.Z));
        var top = new Vector3(
            side,
            -0.85f * Curve.Smooth(1.5f, 6.5f, lateral),
            -(0.42f - 0.16f * Math.Clamp((lateral - 2) / 5, 0, 1))
        );
        top = Vector3.Normalize(top);

        var away = at - Landmarks.Crown;
        away -= normal * Vector3.Dot(away, normal);
        var r = away.Length();
        var radial = away / MathF.Max(r, 0.05f);
        if (radial.Z > 0 && at.Z > Landmarks.Crown.Z)
        {
            // In front of the crown hair turns sideways, or a tuft stands up where part and whorl meet.
            radial = Vector3.Normalize(new Vector3(radial.X + side * radial.Z, radial.Y, 0.001f));
        }

        var turn = 1 + 0.1f * r * r;
        var back =
            radial
            + Vector3.Cross(normal, radial) * (0.55f / (turn * turn))
            - Vector3.UnitY * (0.55f * Curve.Smooth(2f, 8f, r));
        back = Vector3.Normalize(back);

        return Vector3.Lerp(top, back, Curve.Smooth(2.5f, 7f, -at.Z));
    }
}
