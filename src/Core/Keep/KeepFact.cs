using System.Text.Json.Serialization;

namespace Wendro.Core.Keep;

/// <summary>What is said when a visit is put away; only ever added.</summary>
[JsonPolymorphic(TypeDiscriminatorPropertyName = "kind")]
[JsonDerivedType(typeof(WordsSaid), "words")]
[JsonDerivedType(typeof(StyledSaid), "styled")]
[JsonDerivedType(typeof(CareWorded), "care")]
[JsonDerivedType(typeof(CareGiven), "given")]
[JsonDerivedType(typeof(PutAway), "putAway")]
public abstract record KeepFact
{
    /// <summary>Most letters of what the artist adds, and of after-care.</summary>
    public const int Longest = 1000,
        LongestCare = 4000;
}

/// <summary>The sentence the artist adds; the last one counts.</summary>
/// <param name="Words">Up to <see cref="KeepFact.Longest"/> letters; empty takes it back.</param>
public sealed record WordsSaid(string Words) : KeepFact;

/// <summary>How it was styled for the photographs: curl hides edges.</summary>
/// <param name="Words">Up to <see cref="KeepFact.Longest"/> letters; empty takes it back.</param>
public sealed record StyledSaid(string Words) : KeepFact;

/// <summary>After-care in the artist's own words; the last one counts.</summary>
/// <param name="Words">Up to <see cref="KeepFact.LongestCare"/> letters; null leaves it as written here.</param>
public sealed record CareWorded(string? Words) : KeepFact;

/// <summary>After-care was given to the client, or not after all.</summary>
/// <param name="Is">Whether it was.</param>
public sealed record CareGiven(bool Is = true) : KeepFact;

/// <summary>The visit is over and its record complete, or not after all.</summary>
/// <param name="Is">Whether it is.</param>
public sealed record PutAway(bool Is = true) : KeepFact;
