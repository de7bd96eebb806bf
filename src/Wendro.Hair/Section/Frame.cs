using Wendro.Head;

namespace Wendro.Section;

/// <summary>What the head is divided by before it is sectioned.</summary>
public enum Frame
{
    /// <summary>Front from back at the ear: the back from the nape up, then the front, the hairline last.</summary>
    EarToEar,

    /// <summary>
    /// Four quadrants: the middle of the back is an edge of panels; back, then her left front, then her right.
    /// </summary>
    Quadrants,

    /// <summary>Three tiers from the nape up: below the occipital bone, below the ridge, and the top.</summary>
    Tiers,
}

/// <summary>How much of the head is worked.</summary>
public enum Reach
{
    /// <summary>All of it.</summary>
    Full,

    /// <summary>Crown, top, sides and hairline; what lies under the occipital bone and the upper back stays.</summary>
    Half,

    /// <summary>Only the hairline: face frame and fringe.</summary>
    Hairline,
}

/// <summary>What follows from a frame or a reach.</summary>
public static class Frames
{
    private static readonly Zone[] Front =
    [
        Zone.SideLeft,
        Zone.SideRight,
        Zone.TopLeft,
        Zone.TopRight,
        Zone.FringeLeft,
        Zone.FringeRight,
        Zone.FaceFrameLeft,
        Zone.FaceFrameRight,
    ];

    private static readonly Zone[] Back = [Zone.Nape, Zone.LowerBack, Zone.UpperBack, Zone.Crown];

    /// <summary>The order zones are worked in.</summary>
    public static IReadOnlyList<Zone> OrderOf(Frame frame) =>
        frame switch
        {
            Frame.Quadrants => [.. Back, .. Front.Where(ZoneFacts.IsLeft), .. Front.Where(z => !ZoneFacts.IsLeft(z))],
            Frame.Tiers =>
            [
                Zone.Nape,
                Zone.LowerBack,
                Zone.UpperBack,
                Zone.SideLeft,
                Zone.SideRight,
                Zone.Crown,
                .. Front.Where(z => z is not (Zone.SideLeft or Zone.SideRight)),
            ],
            Frame.EarToEar => [.. Back, .. Front],
        };

    /// <summary>Parts the head is clipped away into: back, crown and two sides; four quadrants; three tiers.</summary>
    public static int PiecesOf(Frame frame) => frame == Frame.Tiers ? 3 : 4;

    /// <summary>Whether a reach takes a zone in.</summary>
    public static bool Has(Reach reach, Zone zone) =>
        reach switch
        {
            Reach.Half => zone is not (Zone.Nape or Zone.LowerBack or Zone.UpperBack),
            Reach.Hairline => ZoneFacts.IsHairline(zone),
            Reach.Full => true,
        };

    /// <summary>What a reach is called: the reason of zones it leaves out.</summary>
    public static string Words(Reach reach) =>
        reach switch
        {
            Reach.Half => "half head",
            Reach.Hairline => "hairline only",
            Reach.Full => "full head",
        };
}
