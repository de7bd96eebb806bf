using System.Numerics;
using System.Runtime.CompilerServices;

namespace Wendro.Head;

/// <summary>
/// The bust as a signed distance: skull, face, jaw, neck, shoulders, arms, chest, melted into one another.
/// Axes: +x her left, +y up, +z her face; centimetres; origin at eye height. Values: model assumption.
/// </summary>
public static class Form
{
    /// <summary>Centre of the skull, from which directions on the head are taken.</summary>
    public static readonly Vector3 SkullCentre = new(0, 2.6f, -1.2f);

    /// <summary>Half axes of the skull, cm.</summary>
    public static readonly Vector3 SkullRadii = new(7.6f, 9.0f, 9.6f);

    /// <summary>Signed distance to head, neck and bust, cm; negative inside.</summary>
    public static float Distance(Vector3 p)
    {
        // Left and right are one computation, so the form is exactly symmetric.
        var q = new Vector3(MathF.Abs(p.X), p.Y, p.Z);
        var head = Skull(q);
        head = Melt(head, Ellipsoid(q, new(0, -2.4f, 2.3f), new(5.8f, 7.4f, 5.8f)), 3f);
        head = Melt(head, Cone(q, new(0, -8.5f, 5.6f), 1.55f, new(4.1f, -4.6f, 0.4f), 1.5f), 2.4f);
        head = Melt(head, Ellipsoid(q, new(0, -1.8f, 7.75f), new(1.2f, 3f, 1.3f)), 3f);
        head = Melt(head, Cone(q, new(0, -4, -2.6f), 5f, new(0, -18, -4.4f), 5.3f), 2.5f);

        var torso = Cone(q, new(0, -13.2f, -4.9f), 3.8f, new(12.4f, -18.9f, -4.6f), 3.5f);
        torso = Melt(torso, Cone(q, new(13.9f, -21.6f, -4.4f), 3.9f, new(16.2f, -90, -4), 3.6f), 4f);
        // Below its widest the chest goes straight down, so that long hair has a back to lie on.
        var chest = q with
        {
            Y = MathF.Max(q.Y, -32),
        };
        torso = Melt(torso, Ellipsoid(chest, new(0, -32, -3.6f), new(14, 15.5f, 8.8f)), 5f);
        return Melt(head, torso, 4.5f);
    }

    /// <summary>Outward unit normal by central differences.</summary>
    public static Vector3 Normal(Vector3 p)
    {
        const float e = 0.05f;
        var g = new Vector3(
            Distance(p + new Vector3(e, 0, 0)) - Distance(p - new Vector3(e, 0, 0)),
            Distance(p + new Vector3(0, e, 0)) - Distance(p - new Vector3(0, e, 0)),
            Distance(p + new Vector3(0, 0, e)) - Distance(p - new Vector3(0, 0, e))
        );
        return Vector3.Normalize(g);
    }

    /// <summary>Where a ray from the skull's centre leaves the form. The scalp is star-shaped from there.</summary>
    public static float Radius(Vector3 direction)
    {
        // From inside outwards: the distance of an ellipsoid is exact enough to step by.
        var t = 5f;
        for (var i = 0; i < 60; i++)
        {
            var d = Distance(SkullCentre + direction * t);
            if (MathF.Abs(d) < 1e-5f)
            {
                break;
            }

            t -= d * 0.9f;
        }

        return t;
    }

    private static float Skull(Vector3 p) => Ellipsoid(p, SkullCentre, SkullRadii);

    [MethodImpl(MethodImplOptions.AggressiveInlining)]
    private static float Ellipsoid(Vector3 p, Vector3 centre, Vector3 r)
    {
        var q = p - centre;
        var k0 = (q / r).Length();
        var k1 = (q / (r * r)).Length();
        return k1 < 1e-9f ? -MathF.Min(r.X, MathF.Min(r.Y, r.Z)) : k0 * (k0 - 1) / k1;
    }

    [MethodImpl(MethodImplOptions.AggressiveInlining)]
    private static float Cone(Vector3 p, Vector3 a, float ra, Vector3 b, float rb)
    {
        var ab = b - a;
        var t = Math.Clamp(Vector3.Dot(p - a, ab) / ab.LengthSquared(), 0f, 1f);
        return (p - a - ab * t).Length() - (ra + (rb - ra) * t);
    }

    [MethodImpl(MethodImplOptions.AggressiveInlining)]
    private static float Melt(float a, float b, float k)
    {
        var h = MathF.Max(k - MathF.Abs(a - b), 0) / k;
        return MathF.Min(a, b) - h * h * k * 0.25f;
    }
}
