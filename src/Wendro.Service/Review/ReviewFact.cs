using System.Text.Json.Serialization;
using Wendro.Head;
using Wendro.Section;
using Wendro.Units;

namespace Wendro.Review;

/// <summary>How wet hair is when it is read.</summary>
public enum Wetness
{
    Wet,
    Damp,
    Dry,
}

/// <summary>The light it is read in.</summary>
public enum ReadingLight
{
    Daylight,
    Studio,
    Mixed,
}

/// <summary>A place that is looked at on the way round.</summary>
public enum Place
{
    /// <summary>The part, from above.</summary>
    Part,

    /// <summary>The hairline, tied back.</summary>
    Hairline,

    /// <summary>Underneath, sections lifted.</summary>
    Underneath,
    Nape,

    /// <summary>Both sides at once.</summary>
    BothSides,

    /// <summary>Face against back.</summary>
    FaceAgainstBack,

    /// <summary>Every wear she uses.</summary>
    EveryWear,

    /// <summary>As worn and picked through.</summary>
    PickedThrough,
}

/// <summary>Where along the hair.</summary>
public enum Depth
{
    Root,
    Middle,
    Ends,
}

/// <summary>How even it came out there.</summary>
public enum Evenness
{
    Even,
    Patchy,
    Spots,
}

/// <summary>What a wet strand does when it is stretched.</summary>
public enum StretchTest
{
    SpringsBack,
    StaysLong,
    Breaks,
}

/// <summary>What is done about it.</summary>
public enum Decision
{
    /// <summary>Toned as it is.</summary>
    Tone,

    /// <summary>Some of it is lifted again first.</summary>
    CorrectFirst,

    /// <summary>No more lightening today.</summary>
    AnotherDay,
}

/// <summary>What was seen and said at the review; only ever added.</summary>
[JsonPolymorphic(TypeDiscriminatorPropertyName = "kind")]
[JsonDerivedType(typeof(StateSaid), "state")]
[JsonDerivedType(typeof(Walked), "walked")]
[JsonDerivedType(typeof(LevelRead), "read")]
[JsonDerivedType(typeof(PlaceMarked), "place")]
[JsonDerivedType(typeof(Stretched), "stretched")]
[JsonDerivedType(typeof(Decided), "decided")]
[JsonDerivedType(typeof(LessonKept), "lesson")]
[JsonDerivedType(typeof(LessonSaid), "note")]
[JsonDerivedType(typeof(Unsaid), "unsaid")]
public abstract record ReviewFact;

/// <summary>How the hair is while it is read.</summary>
/// <param name="Wetness">How wet.</param>
/// <param name="Washed">Whether it is washed, and not only rinsed.</param>
/// <param name="Light">In which light.</param>
public sealed record StateSaid(Wetness Wetness, bool Washed, ReadingLight Light) : ReviewFact;

/// <summary>A place was looked at, or not after all.</summary>
public sealed record Walked(Place Place, bool Seen = true) : ReviewFact;

/// <summary>A reading: what the eye sees, wet or dry as the hair is.</summary>
/// <param name="Zone">Where on the head.</param>
/// <param name="Depth">Where along the hair.</param>
/// <param name="Level">Level as it looks, 1..10.</param>
/// <param name="Evenness">How even.</param>
/// <param name="Spread">How far it may lie from the truth, standard deviation, levels; null for an eye's.</param>
/// <param name="Photograph">The photograph it was read from, by its content's name; null for an eye's.</param>
/// <param name="Undertone">The warm pigment seen, in the trade's word; null where it is the level's own.</param>
public sealed record LevelRead(
    Zone Zone,
    Depth Depth,
    Level Level,
    Evenness Evenness = Evenness.Even,
    [property: Within(0.05, 4, "levels")] double? Spread = null,
    string? Photograph = null,
    string? Undertone = null
) : ReviewFact;

/// <summary>What is wrong at one place.</summary>
public enum Blemish
{
    /// <summary>A spot of light where none was meant.</summary>
    Spot,

    /// <summary>Product came through from the panel above.</summary>
    CameThrough,

    /// <summary>A lump of product lay there.</summary>
    Lump,

    /// <summary>Hair that was not combed through took up more.</summary>
    Tangle,

    /// <summary>A line across where the light begins.</summary>
    HardLine,

    /// <summary>The root is lighter, or warmer, than what follows it.</summary>
    HotRoot,

    /// <summary>Hair that stayed natural between what was painted.</summary>
    Gap,

    /// <summary>It stands at 6 to 7, the orange that is hardest to leave.</summary>
    Stuck,
}

/// <summary>A place is marked, or not after all.</summary>
/// <param name="Panel">Where.</param>
/// <param name="What">What is wrong there.</param>
/// <param name="Is">Whether it is so.</param>
public sealed record PlaceMarked(PanelKey Panel, Blemish What, bool Is = true) : ReviewFact;

/// <summary>A wet strand was stretched.</summary>
public sealed record Stretched(StretchTest How) : ReviewFact;

/// <summary>What is done about it.</summary>
public sealed record Decided(Decision What) : ReviewFact;

/// <summary>A change is kept for the next visit, or not after all.</summary>
/// <param name="Cause">What taught it.</param>
/// <param name="Zone">Where; null for all of it.</param>
/// <param name="Keeps">Whether it is kept.</param>
public sealed record LessonKept(CauseKind Cause, Zone? Zone, bool Keeps = true) : ReviewFact;

/// <summary>Something to remember at the next visit, in one's own words.</summary>
/// <param name="Words">1 to 200 letters.</param>
public sealed record LessonSaid(string Words) : ReviewFact
{
    /// <summary>Most letters.</summary>
    public const int Longest = 200;
}

/// <summary>What was said was wrong.</summary>
/// <param name="Number">The fact's number.</param>
public sealed record Unsaid(int Number) : ReviewFact;
