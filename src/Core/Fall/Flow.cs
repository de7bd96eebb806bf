using System.Numerics;
using System.Runtime.CompilerServices;
using Wendro.Core.Head;
using Wendro.Core.Units;

namespace Wendro.Core.Fall;

/// <summary>Which way hair is combed on the head: away from the part on top, round the crown behind it. Model assumption.</summary>
internal readonly struct Flow(PartLine part)
{
    /// <summary>Combed direction, tangent to the form.</summary>
    /// <param name="at">On or near the head, cm.</param>
    /// <param name="normal">Outward unit normal there.</param>
    /// <param name="side">+1 left of the part, −1 right.</param>
    [MethodImpl(MethodImplOptions.AggressiveInlining)]
    public Vector3 At(Vector3 at, Vector3 normal, float side)
    {
        var lateral = MathF.Abs(at.X - (float)part.OffsetAt(at.Z));
        var top = new Vector3(
            side,
            -0.85f * Curve.Smooth(1.5f, 6.5f, lateral),
            -(0.42f - 0.16f * Math.Clamp((lateral - 2) / 5, 0, 1)));
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
        var back = radial
            + Vector3.Cross(normal, radial) * (0.55f / (turn * turn))
            - Vector3.UnitY * (0.55f * Curve.Smooth(2f, 8f, r));
        back = Vector3.Normalize(back);

        var flow = Vector3.Lerp(top, back, Curve.Smooth(2.5f, 7f, -at.Z));
        flow -= normal * Vector3.Dot(flow, normal);
        return Vector3.Normalize(flow);
    }
}
