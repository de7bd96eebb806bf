using Wendro.Blend;

namespace Wendro.Mix;

/// <summary>What can be wrong with bowls.</summary>
public static class MixFault
{
    /// <summary>A bowl expires before it is used.</summary>
    public static FindingKind BowlOutlives { get; } = new(nameof(BowlOutlives), 200);

    /// <summary>A bowl came out otherwise than planned.</summary>
    public static FindingKind UnevenRecipe { get; } = new(nameof(UnevenRecipe), 201);

    /// <summary>Too loose for how deep it goes.</summary>
    public static FindingKind RunnyForDepth { get; } = new(nameof(RunnyForDepth), 202);

    /// <summary>Too strong for the scalp, or not made for it.</summary>
    public static FindingKind StrengthOverScalp { get; } = new(nameof(StrengthOverScalp), 203);

    /// <summary>Heat that its leaflet excludes.</summary>
    public static FindingKind HeatAgainstLeaflet { get; } = new(nameof(HeatAgainstLeaflet), 204, keepsSafe: true);

    /// <summary>Longer than its leaflet allows.</summary>
    public static FindingKind PastLeaflet { get; } = new(nameof(PastLeaflet), 205, keepsSafe: true);

    /// <summary>An additive takes some lift.</summary>
    public static FindingKind AdditiveLowersLift { get; } = new(nameof(AdditiveLowersLift), 206);

    /// <summary>Nothing on the shelf makes this developer.</summary>
    public static FindingKind NoSuchDeveloper { get; } = new(nameof(NoSuchDeveloper), 207);

    /// <summary>More than is on the shelf.</summary>
    public static FindingKind NotEnoughStock { get; } = new(nameof(NotEnoughStock), 208);

    /// <summary>Little is left afterwards.</summary>
    public static FindingKind RunsLow { get; } = new(nameof(RunsLow), 209);

    /// <summary>What was painted first is done before the last is painted.</summary>
    public static FindingKind FirstOver { get; } = new(nameof(FirstOver), 210);

    /// <summary>All of them.</summary>
    public static IReadOnlyList<FindingKind> All { get; } = FindingKind.Of(typeof(MixFault));
}
