using System.Numerics;
using Wendro.Hair;
using Wendro.Head;

namespace Wendro.Fall;

/// <summary>A cut fringe: the hair between the recessions, combed over the forehead. Model assumption.</summary>
internal static class Fringe
{
    private const float DeepCm = 4.2f;

    /// <summary>Whether hair rooted at a place is cut to the fringe.</summary>
    public static bool Has(Cut cut, in ScalpPoint root) =>
        cut.FringeCm is not null
        && root.Position.Z > 0
        && Math.Abs(root.OverTopCm) < Landmarks.FringeHalfWidthCm
        && root.FromHairlineCm < DeepCm;

    /// <summary>Combed forwards, a little apart.</summary>
    public static Vector3 Forward(Vector3 at, Vector3 normal)
    {
        // Straight ahead without drawing together: within the plane its root lies in.
        var flow = Vector3.Normalize(Vector3.Cross(Vector3.UnitX, normal)) + new Vector3(at.X * 0.03f, 0, 0);
        return Vector3.Normalize(flow - normal * Vector3.Dot(flow, normal));
    }
}
