namespace Wendro.Blend;

/// <summary>What can be wrong with a blend.</summary>
public static class BlendFault
{
    /// <summary>Light begins on one line.</summary>
    public static FindingKind HardLine { get; } = new(nameof(HardLine), 0);

    /// <summary>The face is no brighter than the rest.</summary>
    public static FindingKind FrontNotBrighter { get; } = new(nameof(FrontNotBrighter), 1);

    /// <summary>Heights and edges run side by side.</summary>
    public static FindingKind Stripes { get; } = new(nameof(Stripes), 2);

    /// <summary>A film is dry before its level is reached.</summary>
    public static FindingKind DriesFirst { get; } = new(nameof(DriesFirst), 3);

    /// <summary>Tied back, dark hair stands behind a light hairline.</summary>
    public static FindingKind DarkBehindHairline { get; } = new(nameof(DarkBehindHairline), 4);

    /// <summary>Paint comes through the section.</summary>
    public static FindingKind BleedThrough { get; } = new(nameof(BleedThrough), 5);

    /// <summary>Paint touches the scalp.</summary>
    public static FindingKind ScalpContact { get; } = new(nameof(ScalpContact), 6);

    /// <summary>Warmth of the scalp lifts the root faster.</summary>
    public static FindingKind HotRoot { get; } = new(nameof(HotRoot), 7);

    /// <summary>No dark is left between panels.</summary>
    public static FindingKind SolidBlock { get; } = new(nameof(SolidBlock), 8);

    /// <summary>No dark is left on the head.</summary>
    public static FindingKind NothingDarkLeft { get; } = new(nameof(NothingDarkLeft), 9);

    /// <summary>Tied up, the nape is dark.</summary>
    public static FindingKind DarkNape { get; } = new(nameof(DarkNape), 10);

    /// <summary>Both sides of the part begin at different heights.</summary>
    public static FindingKind PartMismatch { get; } = new(nameof(PartMismatch), 11);

    /// <summary>One side is lighter than the other.</summary>
    public static FindingKind WeakSide { get; } = new(nameof(WeakSide), 12);

    /// <summary>The crown begins higher than what lies beside it.</summary>
    public static FindingKind CrownTooHigh { get; } = new(nameof(CrownTooHigh), 13);

    /// <summary>The level lies beyond what the mixture lifts.</summary>
    public static FindingKind OutOfReach { get; } = new(nameof(OutOfReach), 14);

    /// <summary>Lightener lies on hair that is light already.</summary>
    public static FindingKind Overlap { get; } = new(nameof(Overlap), 15);

    /// <summary>New short hair is painted.</summary>
    public static FindingKind BabyHairPainted { get; } = new(nameof(BabyHairPainted), 16);

    /// <summary>Hair that breaks is painted.</summary>
    public static FindingKind BreakingHairPainted { get; } = new(nameof(BreakingHairPainted), 17, keepsSafe: true);

    /// <summary>Panels at the face can touch skin.</summary>
    public static FindingKind SkinAtRisk { get; } = new(nameof(SkinAtRisk), 18);

    /// <summary>A lowlight at the root grows out on top.</summary>
    public static FindingKind LowlightOnTop { get; } = new(nameof(LowlightOnTop), 19);

    /// <summary>Work that nobody sees.</summary>
    public static FindingKind HiddenWork { get; } = new(nameof(HiddenWork), 20);

    /// <summary>More panels or minutes than a person paints.</summary>
    public static FindingKind MoreThanHands { get; } = new(nameof(MoreThanHands), 21);

    /// <summary>Colour much darker than light hair comes out flat or green.</summary>
    public static FindingKind FlatOrGreen { get; } = new(nameof(FlatOrGreen), 22);

    /// <summary>A permanent colour lifts natural hair, warmly.</summary>
    public static FindingKind WarmRoot { get; } = new(nameof(WarmRoot), 23);

    /// <summary>
    /// Those that hair itself shows, whatever led to it: what came out is judged by them as a plan is.
    /// </summary>
    public static IReadOnlyList<FindingKind> OfTheLook { get; } =
    [HardLine, FrontNotBrighter, DarkBehindHairline, SolidBlock, NothingDarkLeft, DarkNape, WeakSide];

    /// <summary>All of them.</summary>
    public static IReadOnlyList<FindingKind> All { get; } = FindingKind.Of(typeof(BlendFault));
}
