using Wendro.Colour;
using Wendro.Fall;
using Wendro.Head;
using Wendro.Lift;
using Wendro.Mix;
using Wendro.Units;

namespace Wendro.Toning;

/// <summary>Which hair of its stretch an area takes.</summary>
public enum Takes
{
    /// <summary>All of it.</summary>
    All,

    /// <summary>Only pieces that were lightened.</summary>
    Lightened,

    /// <summary>Only what lies between them: depth beside a piece.</summary>
    Between,

    /// <summary>Every other section, the lowest of them first.</summary>
    Odd,

    /// <summary>The sections that lie between those.</summary>
    Even,
}

/// <summary>A stretch of the hair, from the scalp to the ends.</summary>
/// <param name="From">Where it begins: cm, or a share of the length.</param>
/// <param name="To">Where it ends; null to the ends.</param>
/// <param name="InShares">Whether it is told in shares of the length, and not in cm.</param>
/// <param name="EdgeCm">Over how much its edges fade, cm: drawn into the next while damp.</param>
public sealed record ToneStretch(
    double From = 0,
    double? To = null,
    bool InShares = false,
    [property: Within(0.5, 12, "cm")] double EdgeCm = ToneStretch.UsualEdgeCm
)
{
    /// <summary>Over how much edges usually fade, cm. Model assumption.</summary>
    public const double UsualEdgeCm = 3;

    /// <summary>Furthest from the scalp, cm.</summary>
    public const double MostCm = 75;

    /// <summary>All of it.</summary>
    public static ToneStretch Whole { get; } = new();

    /// <summary>How much of it lies at a distance from the scalp, 0..1.</summary>
    /// <param name="s">Distance from the scalp, cm.</param>
    /// <param name="length">Length of the hair, cm.</param>
    /// <param name="strayCm">How much lower one strand's edges lie, cm.</param>
    public double CoverageAlong(double s, double length, double strayCm = 0)
    {
        var by = InShares ? length : 1;
        var (from, to) = (From * by, To is { } end ? end * by : length);
        var begun = from <= 0 ? 1 : Edge(from + strayCm, s);
        return To is null || to >= length ? begun : begun * (1 - Edge(to + strayCm, s));
    }

    /// <summary>In plain words: "root to 4 cm", "all lengths".</summary>
    public Sentence Words =>
        (From, To) switch
        {
            (<= 0, null) => "all lengths",
            (<= 0, { } to) => (Sentence)$"root to {Told(to)}",
            (_, null) => (Sentence)$"from {Told(From)} to the ends",
            (_, { } to) => (Sentence)$"{Told(From)} to {Told(to)}",
        };

    private double Edge(double at, double s) => Curve.Smooth(at - EdgeCm / 2, at + EdgeCm / 2, s);

    private Sentence Told(double at) => InShares ? $"{at:P0} of the length" : $"{Quantity.Cm(at)}";
}

/// <summary>What is mixed for an area.</summary>
/// <param name="Shades">Its shades in parts.</param>
/// <param name="Base">What they are based on.</param>
/// <param name="Volume">Developer.</param>
/// <param name="DeveloperParts">Parts of developer to one of colour.</param>
public sealed record ToneBowl(
    ShadeMix Shades,
    ColourBase Base,
    Volume Volume,
    [property: Within(0.1, 10, "parts")] double DeveloperParts
)
{
    /// <summary>
    /// One shade of the shelf, mixed as its leaflet says; with a milder developer where that lifts, for a toner
    /// finishes.
    /// </summary>
    public static ToneBowl Of(ShadeProduct shade)
    {
        ArgumentNullException.ThrowIfNull(shade);
        return new(
            new([new(shade.Name, shade.Depth, shade.Reflect, 1)]),
            shade.Base switch
            {
                ShadeBase.AcidGloss => ColourBase.Gloss,
                ShadeBase.Demi => ColourBase.Demi,
                ShadeBase.Permanent => ColourBase.Permanent,
            },
            new(Math.Min(shade.DeveloperVolume, ToneChecks.StrongestVolume)),
            shade.DeveloperParts
        );
    }

    /// <summary>As a formula, to weigh it and to tell what it does.</summary>
    /// <param name="minutes">How long it works.</param>
    public Formula For(Minutes minutes) =>
        new(
            FormulaId.A,
            new DepositMixture(Shades.Level, Shades, Base),
            Volume,
            minutes,
            DeveloperParts: DeveloperParts
        );

    /// <summary>Its shades as the tables of colour take them.</summary>
    public IReadOnlyList<TonerShade> AsShades() =>
        Shades.Shades.Select(s => new TonerShade(s.Depth, s.Reflect, s.Parts)).ToArray();
}

/// <summary>What an area is to look like, where it is not what she wished for all of it.</summary>
/// <param name="Tone">−1 cool .. 1 warm.</param>
/// <param name="Level">How light; null as wished.</param>
public sealed record WantedTone([property: Within(-1, 1)] double Tone, Level? Level = null);

/// <summary>A place that is toned, with what, how long.</summary>
/// <param name="Id">Its number; it keeps it wherever it stands in the order.</param>
/// <param name="Name">What it is called.</param>
/// <param name="Along">Which stretch of the hair.</param>
/// <param name="Bowl">With what.</param>
/// <param name="Minutes">How long.</param>
/// <param name="Dryness">How wet the hair is when it goes on.</param>
/// <param name="Zones">Which zones; null for all that are worked.</param>
/// <param name="Takes">Which hair there.</param>
/// <param name="Wanted">What it is to look like; null as she wished.</param>
public sealed record ToneArea(
    int Id,
    string Name,
    ToneStretch Along,
    ToneBowl Bowl,
    Minutes Minutes,
    Dryness Dryness = Dryness.Damp,
    IReadOnlyList<Zone>? Zones = null,
    Takes Takes = Takes.All,
    WantedTone? Wanted = null
)
{
    /// <summary>Shortest and longest a toner stays, minutes.</summary>
    public const double LeastMinutes = 1,
        MostMinutes = 60;

    /// <summary>Whether another area is the same, its zones one by one.</summary>
    public bool Equals(ToneArea? other) =>
        other is not null
        && Id == other.Id
        && Name == other.Name
        && Along == other.Along
        && Bowl == other.Bowl
        && Minutes == other.Minutes
        && Dryness == other.Dryness
        && Takes == other.Takes
        && Wanted == other.Wanted
        && (Zones is null ? other.Zones is null : other.Zones is not null && Zones.SequenceEqual(other.Zones));

    /// <inheritdoc/>
    public override int GetHashCode() => HashCode.Combine(Id, Name, Along, Minutes);
}

/// <summary>What is done after the toner.</summary>
public enum After
{
    /// <summary>Toner, treatment, wash: what was toned is held.</summary>
    TreatThenWash,

    /// <summary>The hair was washed first; toner and treatment end it.</summary>
    WashedBefore,
}

/// <summary>How a head is toned: areas in the order they are put on.</summary>
/// <param name="Areas">The areas.</param>
/// <param name="After">What is done after it.</param>
public sealed record TonePlan(IReadOnlyList<ToneArea> Areas, After After = After.TreatThenWash)
{
    /// <summary>Most areas on one head.</summary>
    public const int Most = 8;

    /// <summary>Nothing is toned.</summary>
    public static TonePlan Nothing { get; } = new([]);

    /// <summary>An area by its number; null if there is none.</summary>
    public ToneArea? AreaOf(int id) => Areas.FirstOrDefault(a => a.Id == id);

    /// <summary>The same with one area changed.</summary>
    public TonePlan With(ToneArea area)
    {
        ArgumentNullException.ThrowIfNull(area);
        return this with { Areas = Areas.Select(a => a.Id == area.Id ? area : a).ToArray() };
    }

    /// <summary>Whether another is the same, area by area.</summary>
    public bool Equals(TonePlan? other) =>
        other is not null && After == other.After && Areas.SequenceEqual(other.Areas);

    /// <inheritdoc/>
    public override int GetHashCode() => Areas.Count;
}
