using System.Text.Json.Serialization;
using Wendro.Colour;
using Wendro.Hair;
using Wendro.Lift;
using Wendro.Paint;
using Wendro.Scheduling;
using Wendro.Timing;
using Wendro.Units;

namespace Wendro.Desk;

/// <summary>How light hair is after some minutes?</summary>
/// <param name="Level">Level to start from, 1..10.</param>
/// <param name="Diameter">Strand diameter.</param>
/// <param name="Porosity">Porosity.</param>
/// <param name="Lightener">What lightens.</param>
/// <param name="Volume">Developer, 5..40 vol.</param>
/// <param name="Covering">What covers it.</param>
/// <param name="Minutes">How long, 0..600.</param>
/// <param name="Coloured">Whether the hair carries artificial colour.</param>
/// <param name="LowHeat">Low heat on it.</param>
/// <param name="Coat">Share of the coat the work takes, 0..1.</param>
public sealed record LiftQuestion(
    [property: Within(Units.Level.Darkest, Units.Level.Lightest)] double Level,
    Diameter Diameter,
    Porosity Porosity,
    Lightener Lightener,
    [property: Within(Units.Volume.Weakest, Units.Volume.Strongest, "vol")] double Volume,
    Covering Covering,
    [property: Within(0, Minutes.Longest, "minutes")] double Minutes,
    bool Coloured = false,
    bool LowHeat = false,
    [property: Within(0, 1)] double Coat = 1
);

/// <summary>How light it is then, and how that came about.</summary>
public sealed record LiftAnswer(
    double Level,
    double Gain,
    double Cap,
    string Undertone,
    double DriesAtMinutes,
    double FinishedAtMinutes,
    IReadOnlyList<string> Cautions,
    Sentence Why
);

/// <summary>How long to a level?</summary>
public sealed record TimeQuestion(
    [property: Within(Units.Level.Darkest, Units.Level.Lightest)] double Level,
    Diameter Diameter,
    Porosity Porosity,
    Lightener Lightener,
    [property: Within(Units.Volume.Weakest, Units.Volume.Strongest, "vol")] double Volume,
    Covering Covering,
    [property: Within(Level.Darkest, Level.Lightest)] double TargetLevel,
    bool Coloured = false,
    bool LowHeat = false,
    [property: Within(0, 1)] double Coat = 1
);

/// <summary>How long, or why never and what would help.</summary>
public sealed record TimeAnswer(
    bool Reachable,
    double? Minutes,
    bool WithinLimit,
    string Because,
    IReadOnlyList<Remedy> Remedies,
    Sentence Why
);

/// <summary>How much of which developers makes one in between?</summary>
/// <param name="WantedVolume">Strength wanted, 5..40 vol.</param>
/// <param name="Grams">How much of it, g, above 0.</param>
/// <param name="Available">Strengths at hand, 5..40 vol.</param>
public sealed record DeveloperQuestion(
    [property: Within(Units.Volume.Weakest, Units.Volume.Strongest, "vol")] double WantedVolume,
    double Grams,
    IReadOnlyList<double> Available
);

/// <summary>So much of one developer.</summary>
public sealed record DeveloperPour(double Volume, double Grams);

/// <summary>The parts, and the strength they make.</summary>
public sealed record DeveloperAnswer(IReadOnlyList<DeveloperPour> Parts, double Volume, Sentence Why);

/// <summary>How much lightener and developer make so many grams?</summary>
public sealed record BatchQuestion(double Grams, double LightenerParts, double DeveloperParts);

/// <summary>So much of each.</summary>
public sealed record BatchAnswer(double LightenerGrams, double DeveloperGrams, Sentence Why);

/// <summary>How many scoops, or how many grams are these?</summary>
/// <param name="GramsPerScoop">What one level scoop of it holds, g, above 0.</param>
/// <param name="Scoops">So many scoops; null where grams are told.</param>
/// <param name="Grams">So many grams; null where scoops are told.</param>
/// <param name="DeveloperParts">Parts of developer to one of it by volume; null where only it is asked for.</param>
public sealed record ScoopsQuestion(
    double GramsPerScoop,
    double? Scoops = null,
    double? Grams = null,
    double? DeveloperParts = null
);

/// <summary>Both.</summary>
/// <param name="Scoops">Level scoops.</param>
/// <param name="Grams">Grams.</param>
/// <param name="DeveloperGrams">Developer that makes so many scoops by volume, g; null where it was not asked.</param>
/// <param name="RatioByWeight">Parts of developer to one by weight, where that is asked.</param>
/// <param name="Why">How it was reckoned.</param>
public sealed record ScoopsAnswer(
    double Scoops,
    double Grams,
    double? DeveloperGrams,
    double? RatioByWeight,
    Sentence Why
);

/// <summary>Too much of one part was poured: what restores the ratio?</summary>
/// <param name="LightenerParts">Parts of lightener, above 0.</param>
/// <param name="DeveloperParts">Parts of developer, above 0.</param>
/// <param name="LightenerGrams">Lightener in the bowl, g, above 0.</param>
/// <param name="DeveloperGrams">Developer in the bowl, g, above 0.</param>
/// <param name="BowlGrams">What the bowl holds in all, g; null where nobody minds.</param>
public sealed record RescueQuestion(
    double LightenerParts,
    double DeveloperParts,
    double LightenerGrams,
    double DeveloperGrams,
    double? BowlGrams = null
);

/// <summary>What to add, what that makes, whether it fits, and the ratio as it is now.</summary>
public sealed record RescueAnswer(
    double AddLightenerGrams,
    double AddDeveloperGrams,
    double TotalGrams,
    bool Fits,
    double RatioNow,
    Sentence Why
);

/// <summary>What comes of a toner, of one shade or of several in one bowl?</summary>
/// <param name="Level">The hair's level, 1..10.</param>
/// <param name="Porosity">How readily the hair takes it up.</param>
/// <param name="Dryness">How wet the hair is.</param>
/// <param name="Minutes">How long it stays, 0..600.</param>
/// <param name="Depth">The toner's level, 1..10, where it is one shade.</param>
/// <param name="Reflect">Its reflect, where it is one shade.</param>
/// <param name="Undertone">The undertone the hair shows, in a word; that of its level where it is left out.</param>
/// <param name="Shades">The shades where there are several, instead of depth and reflect.</param>
public sealed record ToneQuestion(
    [property: Within(Level.Darkest, Level.Lightest)] double Level,
    Porosity Porosity,
    Dryness Dryness,
    [property: Within(0, Minutes.Longest, "min")] double Minutes,
    [property: Within(Level.Darkest, Level.Lightest)] double? Depth = null,
    Reflect? Reflect = null,
    string? Undertone = null,
    IReadOnlyList<TonerShade>? Shades = null
);

/// <summary>A wanted colour.</summary>
/// <param name="Lightness">OKLCH lightness, 0..1.</param>
/// <param name="Chroma">OKLCH chroma, 0..0.4.</param>
/// <param name="Hue">OKLCH hue, degrees, 0..360.</param>
public sealed record WantedColour(
    [property: Within(0, 1)] double Lightness,
    [property: Within(0, 0.4)] double Chroma,
    [property: Within(0, 360, "°")] double Hue
);

/// <summary>A shade that stands on the shelf.</summary>
/// <param name="Depth">Its level, 1..10.</param>
/// <param name="Reflect">Its reflect.</param>
public sealed record ShelfShade([property: Within(Level.Darkest, Level.Lightest)] double Depth, Reflect Reflect);

/// <summary>Which shades in which parts bring hair nearest to a wanted colour?</summary>
/// <param name="Level">The hair's level, 1..10.</param>
/// <param name="Porosity">How readily the hair takes it up.</param>
/// <param name="Dryness">How wet the hair is.</param>
/// <param name="Minutes">How long it stays, 0..600.</param>
/// <param name="Wanted">The wanted colour.</param>
/// <param name="Shades">The shades there are, 1 to 60.</param>
/// <param name="Most">Most shades in the bowl, 1 to 3.</param>
/// <param name="Undertone">The undertone the hair shows, in a word; that of its level where it is left out.</param>
public sealed record SuggestQuestion(
    [property: Within(Level.Darkest, Level.Lightest)] double Level,
    Porosity Porosity,
    Dryness Dryness,
    [property: Within(0, Minutes.Longest, "min")] double Minutes,
    WantedColour Wanted,
    IReadOnlyList<ShelfShade> Shades,
    [property: Within(1, TonerSuggestion.MostShades)] int Most = TonerSuggestion.MostShades,
    string? Undertone = null
);

/// <summary>A bowl of shades.</summary>
/// <param name="Parts">The shades in whole parts, the most first.</param>
/// <param name="DeltaE">How far from the wanted colour, OKLab × 100.</param>
/// <param name="Hex">What it becomes, #rrggbb.</param>
public sealed record SuggestedBowl(IReadOnlyList<TonerShade> Parts, double DeltaE, string Hex);

/// <summary>The nearest bowl, and what else comes near.</summary>
/// <param name="Parts">The shades in whole parts, the most first.</param>
/// <param name="DeltaE">How far from the wanted colour, OKLab × 100.</param>
/// <param name="Hex">What it becomes, #rrggbb.</param>
/// <param name="Instead">Other bowls, the nearest first.</param>
/// <param name="Why">In words.</param>
public sealed record SuggestAnswer(
    IReadOnlyList<TonerShade> Parts,
    double DeltaE,
    string Hex,
    IReadOnlyList<SuggestedBowl> Instead,
    Sentence Why
);

/// <summary>Share of the undertone's chroma taken away, what is left in a word, the colour.</summary>
public sealed record ToneAnswer(
    double Neutralised,
    string Remaining,
    string Hex,
    double Lightness,
    double Chroma,
    double Hue,
    double Level,
    string Before,
    Sentence Why
);

/// <summary>When may what be rinsed?</summary>
public sealed record RinseQuestion(IReadOnlyList<RinseWindow> Windows);

/// <summary>The fewest moments that meet every window.</summary>
public sealed record RinseAnswer([property: JsonPropertyName("waves")] IReadOnlyList<double> Rinses, Sentence Why);

/// <summary>Whether groups may be painted in any order or only as they are given.</summary>
public enum GroupOrder
{
    Free,
    Given,
}

/// <summary>Panels painted one after another, with the window each must be rinsed in.</summary>
/// <param name="Id">What it is called.</param>
/// <param name="Panels">How many panels, from 1.</param>
/// <param name="MinutesEach">What painting one takes, above 0.</param>
/// <param name="FromMinutes">Soonest a panel may be rinsed after it was painted.</param>
/// <param name="ToMinutes">Latest it must be.</param>
/// <param name="After">Groups painted before it, by id.</param>
public sealed record ScheduleGroup(
    string Id,
    int Panels,
    [property: Within(0, Minutes.Longest, "minutes")] double MinutesEach,
    [property: Within(0, Minutes.Longest, "minutes")] double FromMinutes,
    [property: Within(0, Minutes.Longest, "minutes")] double ToMinutes,
    IReadOnlyList<string>? After = null
);

/// <summary>When is what painted and rinsed, with one pair of hands?</summary>
/// <param name="Groups">Up to 12 groups, 200 panels in all, in their given order.</param>
/// <param name="Order">Whether that order is kept.</param>
/// <param name="RinseStart">Minutes from a rinse's start until its first panel is rinsed.</param>
/// <param name="RinseEach">Minutes from one panel of a rinse to the next.</param>
public sealed record ScheduleQuestion(
    IReadOnlyList<ScheduleGroup> Groups,
    GroupOrder Order = GroupOrder.Free,
    [property: JsonPropertyName("waveStart"), Within(0, Minutes.Longest, "minutes")]
        double RinseStart = ScheduleProblem.UsualStart,
    [property: JsonPropertyName("waveEach"), Within(0, Minutes.Longest, "minutes")]
        double RinseEach = ScheduleProblem.UsualEach
);

/// <summary>One strength in the other scale: give one of the two.</summary>
public sealed record StrengthQuestion(
    [property: Within(0, 100, "vol")] double? Volume = null,
    [property: Within(0, 30, "%")] double? Percent = null
);

/// <summary>Both.</summary>
public sealed record StrengthAnswer(double Volume, double Percent, Sentence Why);

/// <summary>One mass in the other unit: give one of the two.</summary>
public sealed record MassQuestion(
    [property: Within(0, 100_000, "g")] double? Grams = null,
    [property: Within(0, 4000, "oz")] double? Ounces = null
);

/// <summary>Both; and millilitres of developer, which weigh a gram each.</summary>
public sealed record MassAnswer(double Grams, double Ounces, double DeveloperMillilitres, Sentence Why);

/// <summary>Regrowth and months: give one of the two.</summary>
public sealed record RegrowthQuestion(
    [property: Within(0, 200, "cm")] double? Cm = null,
    [property: Within(0, 240, "months")] double? Months = null
);

/// <summary>Both.</summary>
public sealed record RegrowthAnswer(double Cm, double Months, Sentence Why);

/// <summary>How many visits to a level?</summary>
/// <param name="Level">Her ends today, 1..10.</param>
/// <param name="TargetLevel">Level wanted, 1..10.</param>
/// <param name="Diameter">Strand diameter.</param>
/// <param name="Porosity">Porosity.</param>
/// <param name="Coloured">Whether the hair carries artificial colour.</param>
/// <param name="WeeksBetween">Weeks between visits, 1..52.</param>
public sealed record VisitsQuestion(
    [property: Within(Level.Darkest, Level.Lightest)] double Level,
    [property: Within(Level.Darkest, Level.Lightest)] double TargetLevel,
    Diameter Diameter,
    Porosity Porosity,
    bool Coloured = false,
    [property: Within(1, 52, "weeks")] double WeeksBetween = 8
);

/// <summary>One visit: from, to, give or take, with what.</summary>
public sealed record VisitStep(int Number, double From, double Level, double HalfWidth, string With, double WeeksAfter);

/// <summary>The visits, whether the level is reached at all.</summary>
public sealed record VisitsAnswer(bool Reached, IReadOnlyList<VisitStep> Visits, Sentence Why);
