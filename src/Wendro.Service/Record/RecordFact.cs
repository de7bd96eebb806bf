using System.Text.Json.Serialization;

namespace Wendro.Record;

/// <summary>What is said when a visit is put away; only ever added.</summary>
[JsonPolymorphic(TypeDiscriminatorPropertyName = "kind")]
[JsonDerivedType(typeof(WordsSaid), "words")]
[JsonDerivedType(typeof(StyledSaid), "styled")]
[JsonDerivedType(typeof(CareWorded), "care")]
[JsonDerivedType(typeof(CareGiven), "given")]
[JsonDerivedType(typeof(VisitClosed), "putAway")]
public abstract record RecordFact
{
    /// <summary>Most letters of what the artist adds, and of after-care.</summary>
    public const int Longest = 1000,
        LongestCare = 4000;
}

/// <summary>The sentence the artist adds; the last one counts.</summary>
/// <param name="Words">Up to <see cref="RecordFact.Longest"/> letters; empty takes it back.</param>
public sealed record WordsSaid(string Words) : RecordFact;

/// <summary>How it was styled for the photographs: curl hides edges.</summary>
/// <param name="Words">Up to <see cref="RecordFact.Longest"/> letters; empty takes it back.</param>
public sealed record StyledSaid(string Words) : RecordFact;

/// <summary>After-care in the artist's own words; the last one counts.</summary>
/// <param name="Words">Up to <see cref="RecordFact.LongestCare"/> letters; null leaves it as written here.</param>
public sealed record CareWorded(string? Words) : RecordFact;

/// <summary>After-care was given to the client, or not after all.</summary>
/// <param name="Is">Whether it was.</param>
public sealed record CareGiven(bool Is = true) : RecordFact;

/// <summary>The visit is over and its record complete, or not after all.</summary>
/// <param name="Is">Whether it is.</param>
public sealed record VisitClosed(bool Is = true) : RecordFact;
