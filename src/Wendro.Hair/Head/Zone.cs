namespace Wendro.Head;

/// <summary>The parts of the scalp work is planned by. Left and right are hers.</summary>
public enum Zone
{
    Nape,
    LowerBack,
    UpperBack,
    Crown,
    SideLeft,
    SideRight,
    TopLeft,
    TopRight,
    FringeLeft,
    FringeRight,
    FaceFrameLeft,
    FaceFrameRight,
}

/// <summary>What is always true of a zone, whatever the head.</summary>
public static class ZoneFacts
{
    /// <summary>All zones, low to high and back to front: the usual order of work.</summary>
    public static IReadOnlyList<Zone> All { get; } = Enum.GetValues<Zone>();

    /// <summary>The zone on her other side; a zone across the middle is its own.</summary>
    public static Zone Other(Zone zone) =>
        zone switch
        {
            Zone.SideLeft => Zone.SideRight,
            Zone.SideRight => Zone.SideLeft,
            Zone.TopLeft => Zone.TopRight,
            Zone.TopRight => Zone.TopLeft,
            Zone.FringeLeft => Zone.FringeRight,
            Zone.FringeRight => Zone.FringeLeft,
            Zone.FaceFrameLeft => Zone.FaceFrameRight,
            Zone.FaceFrameRight => Zone.FaceFrameLeft,
            Zone.Nape or Zone.LowerBack or Zone.UpperBack or Zone.Crown => zone,
        };

    /// <summary>Whether a zone lies across the middle of the head.</summary>
    public static bool IsAcross(Zone zone) => Other(zone) == zone;

    /// <summary>Whether a zone is on her left.</summary>
    public static bool IsLeft(Zone zone) =>
        zone is Zone.SideLeft or Zone.TopLeft or Zone.FringeLeft or Zone.FaceFrameLeft;

    /// <summary>Whether a zone frames the face.</summary>
    public static bool IsFaceFrame(Zone zone) => zone is Zone.FaceFrameLeft or Zone.FaceFrameRight;

    /// <summary>Whether a zone lies below the ridge, where hair is mostly covered by other hair.</summary>
    public static bool IsBelowRidge(Zone zone) =>
        zone is Zone.Nape or Zone.LowerBack or Zone.UpperBack or Zone.SideLeft or Zone.SideRight;

    /// <summary>Whether a zone borders on the part.</summary>
    public static bool IsTop(Zone zone) => zone is Zone.TopLeft or Zone.TopRight || IsHairline(zone);

    /// <summary>Zones whose hair falls over that of another: what is clipped up to work there.</summary>
    public static IReadOnlyList<Zone> Over(Zone zone) =>
        zone switch
        {
            Zone.Nape => [Zone.LowerBack, Zone.UpperBack, Zone.Crown, Zone.TopLeft, Zone.TopRight],
            Zone.LowerBack => [Zone.UpperBack, Zone.Crown, Zone.TopLeft, Zone.TopRight],
            Zone.UpperBack => [Zone.Crown, Zone.TopLeft, Zone.TopRight],
            Zone.SideLeft => [Zone.TopLeft, Zone.FringeLeft],
            Zone.SideRight => [Zone.TopRight, Zone.FringeRight],
            Zone.FaceFrameLeft => [Zone.FringeLeft],
            Zone.FaceFrameRight => [Zone.FringeRight],
            Zone.Crown or Zone.TopLeft or Zone.TopRight or Zone.FringeLeft or Zone.FringeRight => [],
        };

    /// <summary>Fine hair at the front hairline takes lightener faster.</summary>
    public static bool IsHairline(Zone zone) => IsFaceFrame(zone) || zone is Zone.FringeLeft or Zone.FringeRight;

    /// <summary>The zone's name in plain words.</summary>
    public static string Words(Zone zone) =>
        zone switch
        {
            Zone.Nape => "nape",
            Zone.LowerBack => "lower back",
            Zone.UpperBack => "upper back",
            Zone.Crown => "crown",
            Zone.SideLeft => "left side",
            Zone.SideRight => "right side",
            Zone.TopLeft => "top left",
            Zone.TopRight => "top right",
            Zone.FringeLeft => "fringe left",
            Zone.FringeRight => "fringe right",
            Zone.FaceFrameLeft => "face frame left",
            Zone.FaceFrameRight => "face frame right",
        };
}
