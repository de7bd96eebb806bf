using System.Numerics;

namespace Wendro.Core.Fall;

/// <summary>Where the head is looked at from: an angle round it, a little from above, without perspective.</summary>
public readonly record struct View
{
    /// <summary>How far above eye height the viewer stands, degrees. Model assumption.</summary>
    public const double FromAboveDegrees = 9;

    /// <summary>Width of a picture, pixels.</summary>
    public const int Width = 520;

    /// <summary>Height of a picture, pixels.</summary>
    public const int Height = 640;

    /// <summary>Samples across a pixel: the anti-aliasing that pays for hanging hair.</summary>
    public const int Across = 2;

    /// <param name="angle">Degrees round the head: 0 front, 90 from her left, 180 back, 270 from her right.</param>
    /// <param name="pixelsPerCm">Scale.</param>
    /// <param name="topCm">Height at the upper edge of the picture, cm.</param>
    public View(int angle, float pixelsPerCm, float topCm)
    {
        Angle = ((angle % 360) + 360) % 360;
        PixelsPerCm = pixelsPerCm;
        TopCm = topCm;
        var a = Angle * MathF.PI / 180;
        var p = (float)(FromAboveDegrees * Math.PI / 180);
        Eye = new(MathF.Sin(a) * MathF.Cos(p), MathF.Sin(p), MathF.Cos(a) * MathF.Cos(p));
        Right = new(MathF.Cos(a), 0, -MathF.Sin(a));
        Up = Vector3.Cross(Eye, Right);
    }

    /// <summary>Degrees round the head, 0..359.</summary>
    public int Angle { get; }

    /// <summary>Scale.</summary>
    public float PixelsPerCm { get; }

    /// <summary>Height at the upper edge of the picture, cm.</summary>
    public float TopCm { get; }

    /// <summary>Towards the viewer.</summary>
    public Vector3 Eye { get; }

    /// <summary>To the right of the picture.</summary>
    public Vector3 Right { get; }

    /// <summary>Up in the picture.</summary>
    public Vector3 Up { get; }

    /// <summary>The angles the measures are taken from: front, her left, back, her right.</summary>
    public static IReadOnlyList<int> Measured { get; } = [0, 90, 180, 270];

    /// <summary>The frame that holds a head with this hair: the same for all angles and wears, wider for long hair.</summary>
    /// <param name="angle">Degrees round the head.</param>
    /// <param name="hemHeight">Height of the hem, cm.</param>
    public static View Of(int angle, float hemHeight)
    {
        const float top = 15.6f;
        var bottom = MathF.Min(-33f, hemHeight - 9f);
        return new View(angle, Height / (top - bottom), top);
    }

    /// <summary>Sample column, pixel row and depth (cm, smaller is nearer) of a point.</summary>
    public Vector3 Project(Vector3 p) => new(
        (Vector3.Dot(p, Right) * PixelsPerCm + Width / 2f) * Across,
        (TopCm - Vector3.Dot(p, Up)) * PixelsPerCm,
        -Vector3.Dot(p, Eye));

    /// <summary>The point of space behind a sample.</summary>
    public Vector3 Unproject(float column, float row, float depth) =>
        Right * ((column / Across - Width / 2f) / PixelsPerCm) + Up * (TopCm - row / PixelsPerCm) - Eye * depth;
}
