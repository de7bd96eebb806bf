using System.Numerics;

namespace Wendro.Head;

/// <summary>Fixed points of the head that zones and wears are told by. Centimetres; model assumption.</summary>
public static class Landmarks
{
    /// <summary>The whorl from which hair turns away.</summary>
    public static readonly Vector3 Crown = new(0, 10.6f, -5.6f);

    /// <summary>
    /// The ear to ear line at a height, leaning back towards the crown: front of it, sides and top; behind it, crown
    /// and back.
    /// </summary>
    public static double EarLineZ(double y) => -2.2 - 0.16 * Math.Max(0, y);

    /// <summary>Parietal ridge: distance over the top from the middle of the head, cm.</summary>
    public const double RidgeCm = 6.3;

    /// <summary>Depth of the hairline band that frames the face, cm.</summary>
    public const double FaceFrameCm = 2.0;

    /// <summary>How far behind the hairline the fringe reaches, cm.</summary>
    public const double FringeCm = 5.0;

    /// <summary>Half width of the fringe between the recessions, cm.</summary>
    public const double FringeHalfWidthCm = 3.8;

    /// <summary>Azimuth above the ear where the face frame ends, degrees from the face.</summary>
    public const double AboveEarDegrees = 88;

    /// <summary>Lower edge of the crown, cm from the top of the head.</summary>
    public const double CrownEdgeCm = 7.5;

    /// <summary>The occipital bone, cm from the top of the head down the back.</summary>
    public const double OccipitalCm = 13.0;

    /// <summary>Upper edge of the nape, cm from the top of the head down the back.</summary>
    public const double NapeEdgeCm = 18.0;
}
