namespace Wendro.Section;

/// <summary>Which way partings run.</summary>
public enum Parting
{
    /// <summary>Level round the head.</summary>
    Horizontal,

    /// <summary>From high at the face to low at the back.</summary>
    DiagonalBack,

    /// <summary>From low at the face to high at the back.</summary>
    DiagonalForward,

    /// <summary>Up and down in peaks, so that no parting shows as a line.</summary>
    Zigzag,

    /// <summary>
    /// Upright: from the part or crown down; on top across from the part, at the back outwards from the middle.
    /// </summary>
    Vertical,

    /// <summary>Like slices of a cake, from a point at the crown; their thickness is that of their middle.</summary>
    Pivot,

    /// <summary>Level bands cut by a zigzag into triangles, point up and point down by turns.</summary>
    Triangles,
}

/// <summary>Which row of a zone is worked first.</summary>
public enum RowOrder
{
    /// <summary>From the low edge up; upright rows from the back forwards.</summary>
    LowFirst,

    /// <summary>From the part or crown down; upright rows from the face backwards.</summary>
    HighFirst,
}

/// <summary>
/// How one zone is cut into sections and panels. Thickness, width and leave-out are measured on the head.
/// </summary>
/// <param name="Parting">Direction of the partings.</param>
/// <param name="ThicknessMm">Thickness of a section, mm, 4..40.</param>
/// <param name="WidthCm">Width of a panel along its section, cm, 1..10; a row is shared out evenly.</param>
/// <param name="LeaveOutMm">Hair left natural between sections, mm, 0..20.</param>
/// <param name="Bricklay">Every other row is moved by half a panel; every other row of triangles is turned
/// over.</param>
/// <param name="Woven">Every panel is woven into two: every other tooth of the comb makes one panel, those between
/// the next.</param>
/// <param name="Order">Which row is worked first.</param>
public sealed record Sections(
    Parting Parting,
    double ThicknessMm,
    double WidthCm,
    double LeaveOutMm,
    bool Bricklay,
    bool Woven = false,
    RowOrder Order = RowOrder.LowFirst
)
{
    /// <summary>Thinnest and thickest section, mm.</summary>
    public const double ThinnestMm = 4,
        ThickestMm = 40;

    /// <summary>Narrowest and widest panel, cm.</summary>
    public const double NarrowestCm = 1,
        WidestCm = 10;

    /// <summary>Most that is left out between sections, mm.</summary>
    public const double MostLeaveOutMm = 20;

    /// <summary>
    /// The usual start above the ridge: horizontal, about a centimetre and a half thick, a leave-out between.
    /// </summary>
    public static Sections Usual { get; } = new(Parting.Horizontal, 16, 4, 6, true);

    /// <summary>Finest at the face.</summary>
    public static Sections UsualFaceFrame { get; } = new(Parting.Horizontal, 9, 4, 2, false);
}
