using System.Numerics;
using Wendro.Head;
using Wendro.Units;

namespace Wendro.Fall;

/// <summary>How much closer a head is looked at, and where in the whole picture.</summary>
/// <param name="Steps">0 the whole head, 1..3 closer.</param>
/// <param name="Across">Middle of what is looked at, in 24ths of the picture's width from its left, 0..24.</param>
/// <param name="Down">The same from its upper edge, in 24ths of its height.</param>
public readonly record struct Magnification(byte Steps, byte Across, byte Down)
{
    /// <summary>Most steps closer.</summary>
    public const int Most = 3;

    /// <summary>Places of the middle, across and down.</summary>
    public const int Places = 24;

    /// <summary>How many times as large it is drawn.</summary>
    public float Times =>
        Steps switch
        {
            0 => 1,
            1 => 1.5f,
            2 => 2,
            _ => 3,
        };

    /// <summary>
    /// How far its middle lies right of the whole picture's, cm; what is looked at stays within that.
    /// </summary>
    internal float AsideCm(float widthCm) => Steps == 0 ? 0 : (Within(Across) - 0.5f) * widthCm;

    /// <summary>How far its upper edge lies below the whole picture's, cm.</summary>
    internal float DownCm(float heightCm) => Steps == 0 ? 0 : (Within(Down) - 0.5f / Times) * heightCm;

    private float Within(byte place)
    {
        var half = 0.5f / Times;
        return Math.Clamp(place / (float)Places, half, 1 - half);
    }
}

/// <summary>
/// Where the head is looked at from: an angle round it, usually a little from above, without perspective.
/// </summary>
public readonly record struct View
{
    /// <summary>How far above eye height the viewer usually stands, degrees. Model assumption.</summary>
    public const int UsualTilt = 9;

    /// <summary>Least and most a view can be tilted, degrees above eye height.</summary>
    public const int LeastTilt = -30,
        MostTilt = 85;

    /// <summary>Width of a picture, pixels.</summary>
    public const int Width = 520;

    /// <summary>Height of a picture, pixels.</summary>
    public const int Height = 640;

    /// <summary>Samples across a pixel: the anti-aliasing that pays for hanging hair.</summary>
    public const int Across = 2;

    /// <param name="angle">Degrees round the head: 0 front, 90 from her left, 180 back, 270 from her right.</param>
    /// <param name="pixelsPerCm">Scale.</param>
    /// <param name="topCm">Height at the upper edge of the picture, cm.</param>
    /// <param name="tilt">Degrees above eye height.</param>
    /// <param name="closer">How much closer it is looked at, and where.</param>
    public View(int angle, float pixelsPerCm, float topCm, int tilt = UsualTilt, Magnification closer = default)
    {
        Closer = closer;
        AsideCm = closer.AsideCm(Width / pixelsPerCm);
        TopCm = topCm - closer.DownCm(Height / pixelsPerCm);
        whole = (topCm, pixelsPerCm);
        PixelsPerCm = pixelsPerCm * closer.Times;
        Tilt = tilt;
        Angle = ((angle % 360) + 360) % 360;
        var a = Angle * MathF.PI / 180;
        var p = tilt * MathF.PI / 180;
        Eye = new(MathF.Sin(a) * MathF.Cos(p), MathF.Sin(p), MathF.Cos(a) * MathF.Cos(p));
        Right = new(MathF.Cos(a), 0, -MathF.Sin(a));
        Up = Vector3.Cross(Eye, Right);
    }

    /// <summary>
    /// From where some zones are seen best, degrees round the head: three-quarter left where they are several.
    /// </summary>
    public static int AngleFor(IReadOnlyList<Zone> zones)
    {
        ArgumentNullException.ThrowIfNull(zones);
        return zones is not [var zone] ? 30
            : zone is Zone.Nape or Zone.LowerBack or Zone.UpperBack or Zone.Crown ? 180
            : ZoneFacts.IsAcross(zone) ? 0
            : ZoneFacts.IsLeft(zone) ? 60
            : 300;
    }

    /// <summary>Degrees round the head, 0..359.</summary>
    public int Angle { get; }

    /// <summary>Degrees above eye height it is looked at from.</summary>
    public int Tilt { get; }

    private readonly (float TopCm, float PixelsPerCm) whole;

    /// <summary>How much closer it is looked at, and where.</summary>
    public Magnification Closer { get; }

    /// <summary>The row of the whole picture that a row of this one shows.</summary>
    public float RowOfWhole(float row) => (whole.TopCm - TopCm + row / PixelsPerCm) * whole.PixelsPerCm;

    /// <summary>How far to the right of the head's middle the picture's middle lies, cm.</summary>
    public float AsideCm { get; }

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

    /// <summary>
    /// The frame that holds a head with this hair: the same for all angles and wears, wider for long hair.
    /// </summary>
    /// <param name="angle">Degrees round the head.</param>
    /// <param name="hemHeight">Height of the lowest hair, cm.</param>
    /// <param name="tilt">Degrees above eye height; the more from above, the more the head itself comes to the
    /// middle.</param>
    /// <param name="standsUpCm">How far hair stands off the top of the head, cm.</param>
    /// <param name="closer">How much closer it is looked at, and where.</param>
    public static View Of(
        int angle,
        float hemHeight,
        int tilt = UsualTilt,
        float standsUpCm = 0,
        Magnification closer = default
    )
    {
        var top = 15.6f + MathF.Max(standsUpCm - 0.5f, 0);
        var bottom = MathF.Min(-33f, hemHeight - 9f);
        var scale = Height / (top - bottom);
        var middle = Vector3.Dot(Form.SkullCentre, new View(angle, scale, top, tilt).Up);
        var usual = Vector3.Dot(Form.SkullCentre, new View(angle, scale, top).Up);
        var above = Curve.Smooth(UsualTilt, 75f, (float)tilt);
        return new View(
            angle,
            scale,
            middle + (top - usual) * (1 - above) + (top - bottom) * 0.45f * above,
            tilt,
            closer
        );
    }

    /// <summary>Sample column, pixel row and depth (cm, smaller is nearer) of a point.</summary>
    public Vector3 Project(Vector3 p) =>
        new(
            ((Vector3.Dot(p, Right) - AsideCm) * PixelsPerCm + Width / 2f) * Across,
            (TopCm - Vector3.Dot(p, Up)) * PixelsPerCm,
            -Vector3.Dot(p, Eye)
        );

    /// <summary>The point of space behind a sample.</summary>
    public Vector3 Unproject(float column, float row, float depth) =>
        Right * ((column / Across - Width / 2f) / PixelsPerCm + AsideCm)
        + Up * (TopCm - row / PixelsPerCm)
        - Eye * depth;
}
