using Wendro.Core.Fall;
using Wendro.Core.Head;
using Wendro.Core.Paint;

namespace Wendro.Core.Blend;

/// <summary>What can be wrong with a blend.</summary>
public enum FindingKind
{
    HardLine,
    FrontNotBrighter,
    Stripes,
    DriesFirst,
    DarkBehindHairline,
    BleedThrough,
    ScalpContact,
    HotRoot,
    SolidBlock,
    NothingDarkLeft,
    DarkNape,
    PartMismatch,
    WeakSide,
    CrownTooHigh,
    OutOfReach,
    Overlap,
    BabyHairPainted,
    BreakingHairPainted,
    SkinAtRisk,
    LowlightOnTop,
    HiddenWork,
    RegrowthShows,
    TestsMissing,
    BowlOutlives,
    UnevenRecipe,
    RunnyForDepth,
    StrengthOverScalp,
    HeatAgainstLeaflet,
    PastLeaflet,
    AdditiveLowersLift,
    NoSuchDeveloper,
    NotEnoughStock,
    RunsLow,
}

/// <summary>How much it matters: alarm will be seen by anybody, caution by a colourist, note is good to know.</summary>
public enum Severity
{
    Alarm,
    Caution,
    Note,
}

/// <summary>A figure a finding rests on.</summary>
/// <param name="Name">What it is.</param>
/// <param name="Value">How much.</param>
/// <param name="Unit">Of what.</param>
public sealed record Figure(string Name, double Value, string Unit);

/// <summary>Where along the hair the evidence lies, cm from the scalp.</summary>
public sealed record Stretch(double FromCm, double ToCm);

/// <summary>Something wrong with the blend: what, where, why.</summary>
/// <param name="Kind">What.</param>
/// <param name="Severity">How much it matters.</param>
/// <param name="Title">In a few words.</param>
/// <param name="Text">One sentence of evidence with figures.</param>
/// <param name="Why">How it was judged: inputs, formula, threshold.</param>
/// <param name="Zones">Where, by zone.</param>
/// <param name="Panels">Where, by panel.</param>
/// <param name="Wear">The wear it shows in.</param>
/// <param name="Evidence">The figures; the first is the one that decides.</param>
/// <param name="Along">Where along the hair; null for all of it.</param>
/// <param name="Of">Which of its kind, where there can be several: a zone, a mixture; null where there is one.</param>
public sealed record Finding(
    FindingKind Kind,
    Severity Severity,
    string Title,
    string Text,
    string Why,
    IReadOnlyList<Zone> Zones,
    IReadOnlyList<PanelKey> Panels,
    Wear Wear,
    IReadOnlyList<Figure> Evidence,
    Stretch? Along = null,
    string? Of = null
)
{
    /// <summary>The same finding keeps its name from edit to edit, however far it spreads.</summary>
    public string Id => Of is null ? Kind.ToString() : $"{Kind}:{Of}";

    /// <summary>Whether a finding keeps people safe, so that it can't be set aside.</summary>
    public static bool StaysSaid(string id) =>
        id?.Split(':')[0]
            is nameof(FindingKind.TestsMissing)
                or nameof(FindingKind.BreakingHairPainted)
                or nameof(FindingKind.HeatAgainstLeaflet)
                or nameof(FindingKind.PastLeaflet);
}
