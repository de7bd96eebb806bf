using Wendro.Fall;
using Wendro.Hair;
using Wendro.Head;
using Wendro.Paint;
using Wendro.Section;

namespace Wendro.Blend;

/// <summary>What a second pair of eyes would say of a planned head.</summary>
/// <param name="Hair">Her hair.</param>
/// <param name="Goal">What she wants.</param>
/// <param name="Limits">What counts as wrong.</param>
/// <param name="Panels">All panels.</param>
/// <param name="Measures">The measures.</param>
/// <param name="Down">What is seen worn down.</param>
/// <param name="Tied">What is seen tied back; null if she never ties it.</param>
/// <param name="Hairline">What her hairline shows tied back; null if she never ties it.</param>
/// <param name="TiedAs">How she ties it.</param>
/// <param name="Part">Her part.</param>
/// <param name="Regions">Regions left out.</param>
/// <param name="LeftOut">Zones left out.</param>
/// <param name="Areas">What is laid over whole areas, in the order it is.</param>
/// <param name="AsSheIs">What is seen worn down before anything is done.</param>
public sealed record FindingContext(
    HairProfile Hair,
    Goal Goal,
    FindingLimits Limits,
    IReadOnlyList<PlannedPanel> Panels,
    Measures Measures,
    Tally Down,
    Tally? Tied,
    TiedHairline? Hairline,
    Wear TiedAs,
    PartLine Part,
    IReadOnlyList<LeftOut> Regions,
    IReadOnlySet<Zone> LeftOut,
    IReadOnlyList<AreaCoat> Areas,
    Func<Tally> AsSheIs
)
{
    /// <summary>Panels that anything is painted on.</summary>
    public IReadOnlyList<PlannedPanel> Painted { get; } = Panels.Where(p => p.Coats.Count > 0).ToArray();

    /// <summary>Natural level of a zone.</summary>
    public double Natural(Zone zone) => Hair.In(zone).NaturalLevel;
}

/// <summary>
/// Finds what is wrong with a blend, worst first: one rule a line, in the folder of what they look at.
/// </summary>
public static class Findings
{
    private static readonly Func<FindingContext, IEnumerable<Finding>>[] Rules =
    [
        EdgeFindings.HardLines,
        EdgeFindings.Stripes,
        EdgeFindings.SolidBlock,
        BrightnessFindings.FrontNotBrighter,
        BrightnessFindings.NothingDarkLeft,
        BrightnessFindings.DarkBehindHairline,
        BrightnessFindings.DarkNape,
        BrightnessFindings.WeakSide,
        PlacementFindings.PartMismatch,
        PlacementFindings.CrownTooHigh,
        PlacementFindings.LowlightOnTop,
        PlacementFindings.BabyHair,
        BleedFindings.BleedThrough,
        SkinFindings.ScalpContact,
        SkinFindings.HotRoot,
        ReachFindings.DriesFirst,
        ReachFindings.OutOfReach,
        OldHairFindings.Overlap,
        OldHairFindings.BreakingHair,
        SkinFindings.SkinAtRisk,
        HandsFindings.MoreThanHands,
        ColourFindings.FlatOrGreen,
        ColourFindings.WarmRoot,
    ];

    /// <summary>All findings of a planned head.</summary>
    public static IReadOnlyList<Finding> Of(FindingContext head)
    {
        ArgumentNullException.ThrowIfNull(head);
        return head.Painted.Count == 0 && head.Areas.Count == 0
            ? []
            : Rules.SelectMany(rule => rule(head)).OrderBy(f => f.Severity).ThenBy(f => f.Kind.Order).ToArray();
    }

    internal static PanelKey[] Keys(IEnumerable<PlannedPanel> panels) => panels.Select(p => p.Panel.Key).ToArray();

    internal static Zone[] Zones(IEnumerable<PlannedPanel> panels) =>
        panels.Select(p => p.Panel.Key.Zone).Distinct().ToArray();

    /// <summary>Zones in plain words: the first three, and how many more.</summary>
    internal static string Where(IEnumerable<PlannedPanel> panels)
    {
        var zones = Zones(panels).Select(ZoneFacts.Words).ToArray();
        return zones.Length <= 3
            ? string.Join(", ", zones)
            : $"{string.Join(", ", zones[..3])} and {zones.Length - 3} more zones";
    }

    internal static string Panels(int n) => n == 1 ? "One panel" : $"{Count(n)} panels";

    internal static string Count(int n) =>
        n switch
        {
            1 => "One",
            2 => "Two",
            3 => "Three",
            4 => "Four",
            5 => "Five",
            6 => "Six",
            7 => "Seven",
            8 => "Eight",
            9 => "Nine",
            _ => n.ToString(),
        };
}
