using Wendro.Fall;
using Wendro.Lift;
using Wendro.Units;

namespace Wendro.Consult;

/// <summary>Result of a patch test.</summary>
public enum PatchResult
{
    Waiting,
    Clear,
    Reacted,
}

/// <summary>How the scalp looks today.</summary>
public enum Scalp
{
    Calm,
    Irritated,
    Broken,
}

/// <summary>Whether metallic salts or henna are in the hair.</summary>
public enum Salts
{
    None,
    NotSure,
    Yes,
}

/// <summary>A patch test behind the ear or in the elbow.</summary>
/// <param name="At">When it was put on.</param>
/// <param name="Result">Result of it.</param>
/// <param name="Product">Which product was put on, up to 60 characters; null where nobody noted it.</param>
/// <param name="Lot">Its lot, up to 40 characters; null where nobody noted it.</param>
public sealed record PatchTest(DateTimeOffset At, PatchResult Result, string? Product = null, string? Lot = null);

/// <summary>Somebody went on in spite of a caution, and said why. Kept with the visit.</summary>
/// <param name="Question">Which question: patch, scalp, salts, condition or age.</param>
/// <param name="Reason">Why, in her own words.</param>
/// <param name="At">When.</param>
public sealed record Override(string Question, string Reason, DateTimeOffset At);

/// <summary>How sure her part is.</summary>
public enum PartHabit
{
    AlwaysHere,
    SometimesMoves,
    Anywhere,
}

/// <summary>How often she wears her hair a way.</summary>
public enum Often
{
    Seldom,
    Often,
    MostDays,
}

/// <summary>What was asked and answered at the chair. Null where it was not asked yet.</summary>
/// <param name="Patch">Patch test.</param>
/// <param name="Reacted">Whether she ever reacted to colour or lightener.</param>
/// <param name="Scalp">How the scalp looks.</param>
/// <param name="Salts">Metallic salts or henna.</param>
/// <param name="Adult">Whether she is of age.</param>
/// <param name="AtHome">Whether somebody does it at home.</param>
/// <param name="Strand">Strand test with its readings.</param>
/// <param name="MinutesToday">How long she can stay, minutes, 30..600.</param>
/// <param name="WeeksBetween">How many weeks between her visits, 2..52.</param>
/// <param name="Overrides">Cautions gone past, with reasons.</param>
/// <param name="Words">Words for the client, as edited; null leaves them as written here.</param>
/// <param name="Part">How sure her part is.</param>
/// <param name="Wears">How often she wears her hair each way she uses.</param>
/// <param name="Patches">Patch tests of colours, each its own, up to 6.</param>
/// <param name="AskAgain">Whether this came without its answers about health: until they are asked again nothing is
/// painted.</param>
public sealed record Consultation(
    PatchTest? Patch = null,
    bool? Reacted = null,
    Scalp? Scalp = null,
    Salts? Salts = null,
    bool? Adult = null,
    bool AtHome = false,
    StrandTest? Strand = null,
    [property: Within(30, 600, "min")] double MinutesToday = 180,
    [property: Within(2, 52, "weeks")] double WeeksBetween = 8,
    IReadOnlyList<Override>? Overrides = null,
    string? Words = null,
    PartHabit? Part = null,
    IReadOnlyDictionary<Wear, Often>? Wears = null,
    IReadOnlyList<PatchTest>? Patches = null,
    bool AskAgain = false
)
{
    /// <summary>Nothing asked yet.</summary>
    public static Consultation Fresh { get; } = new();

    /// <summary>Patch tests of colours; none where none was put on.</summary>
    internal IReadOnlyList<PatchTest> OfColours => Patches ?? [];

    /// <summary>Cautions gone past; none when nobody did.</summary>
    public IReadOnlyList<Override> GonePast => Overrides ?? [];

    /// <summary>Whether it holds answers about health.</summary>
    public bool TellsOfHealth =>
        Patch is not null
        || Reacted is not null
        || Scalp is not null
        || Salts is not null
        || Patches is { Count: > 0 }
        || Overrides is { Count: > 0 };

    /// <summary>The same without its answers about health: who reads it is to ask again.</summary>
    public Consultation WithoutHealth() =>
        this with
        {
            Patch = null,
            Reacted = null,
            Scalp = null,
            Salts = null,
            Overrides = null,
            Patches = null,
            AskAgain = AskAgain || TellsOfHealth,
        };

    /// <summary>
    /// What is known before anybody asks at the next visit: habits, what never passes, and patch tests with their
    /// dates; all that is of the day is asked anew.
    /// </summary>
    public Consultation ForNextVisit() =>
        new(
            Patch,
            Reacted == true ? true : null,
            Salts: Salts == Consult.Salts.Yes ? Salts : null,
            Adult: Adult,
            AtHome: AtHome,
            MinutesToday: MinutesToday,
            WeeksBetween: WeeksBetween,
            Part: Part,
            Wears: Wears,
            Patches: Patches,
            AskAgain: AskAgain
        );

    /// <summary>The same with another's answers about health.</summary>
    public Consultation WithHealthOf(Consultation other)
    {
        ArgumentNullException.ThrowIfNull(other);
        return this with
        {
            Patch = other.Patch,
            Reacted = other.Reacted,
            Scalp = other.Scalp,
            Salts = other.Salts,
            Overrides = other.Overrides,
            Patches = other.Patches,
            AskAgain = other.AskAgain,
        };
    }
}
