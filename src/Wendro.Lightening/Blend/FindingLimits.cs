using Wendro.Units;

namespace Wendro.Blend;

/// <summary>
/// What counts as wrong: the thresholds of the findings, house rules that a plan can depart from. Model assumptions
/// unless said otherwise.
/// </summary>
/// <param name="LineSoftness">A rise this steep reads as a line, levels a cm, 0.3..5.</param>
/// <param name="StripeCm">Neighbours whose starts lie this close read as stripes, cm, 0..5. Trade.</param>
/// <param name="StripeRun">How many such neighbours make stripes, 2..12. Trade.</param>
/// <param name="DarkBand">A hairline less than this above natural counts as dark, levels, 0.1..3.</param>
/// <param name="LightBehind">Hair behind it at least this much lighter shows it up, levels, 0.1..3.</param>
/// <param name="BleedShare">Paint that reaches this share of a section may come through, 0.5..1.</param>
/// <param name="ScalpCm">Off-scalp products keep this far from the scalp, cm, 0..3. Trade.</param>
/// <param name="BlockLevels">Light hair of a zone that differs by less than this reads as one block, levels,
/// 0..2.</param>
/// <param name="PartCm">Heights either side of the part differ by no more than this, cm, 0.2..6.</param>
/// <param name="SideLevels">Sides differ by no more than this, levels, 0.05..2.</param>
/// <param name="CrownCm">The crown starts no more than this higher than what it covers, cm, 0..6.</param>
/// <param name="OverlapCm">Lightener reaches no further than this onto light hair, cm, 0..10.</param>
/// <param name="BabyHairCm">Hair this close behind the hairline is baby hair where some is noted, cm, 0.1..2.</param>
/// <param name="HiddenMinutes">Work hardly seen may take this long, minutes, 0..60.</param>
/// <param name="RegrowthWeeks">Regrowth may begin to show this much before she comes again, weeks, 0..26.</param>
public sealed record FindingLimits(
    [property: Within(0.3, 5, "levels a cm")] double LineSoftness = 1.5,
    [property: Within(0, 5, "cm")] double StripeCm = 1,
    [property: Within(2, 12, "panels")] int StripeRun = 3,
    [property: Within(0.1, 3, "levels")] double DarkBand = 0.5,
    [property: Within(0.1, 3, "levels")] double LightBehind = 0.5,
    [property: Within(0.5, 1, "of the section")] double BleedShare = 0.92,
    [property: Within(0, 3, "cm")] double ScalpCm = 0.5,
    [property: Within(0, 2, "levels")] double BlockLevels = 0.45,
    [property: Within(0.2, 6, "cm")] double PartCm = 1.5,
    [property: Within(0.05, 2, "levels")] double SideLevels = 0.25,
    [property: Within(0, 6, "cm")] double CrownCm = 0.5,
    [property: Within(0, 10, "cm")] double OverlapCm = 1,
    [property: Within(0.1, 2, "cm")] double BabyHairCm = 0.5,
    [property: Within(0, 60, "min")] double HiddenMinutes = 8,
    [property: Within(0, 26, "weeks")] double RegrowthWeeks = 1
)
{
    /// <summary>How much higher a crown may start that is meant to be the highest, cm.</summary>
    public const double CrownAnywhereCm = 6;

    /// <summary>The usual ones.</summary>
    public static FindingLimits Usual { get; } = new();

    /// <summary>What can't be taken, by field.</summary>
    public IReadOnlyList<Problem> Problems()
    {
        return WithinAttribute.Outside(this).ToArray();
    }
}
