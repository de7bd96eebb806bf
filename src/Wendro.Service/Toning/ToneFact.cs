using System.Text.Json.Serialization;
using Wendro.Mix;

namespace Wendro.Toning;

/// <summary>What an area looks like where a little was wiped away.</summary>
public enum WipeResult
{
    NotYet,
    There,
    TooFar,
}

/// <summary>What was chosen, and what happened, at toning; only ever added.</summary>
[JsonPolymorphic(TypeDiscriminatorPropertyName = "kind")]
[JsonDerivedType(typeof(TonePlanned), "planned")]
[JsonDerivedType(typeof(BowlWeighed), "weighed")]
[JsonDerivedType(typeof(PutOn), "putOn")]
[JsonDerivedType(typeof(WipedClean), "wiped")]
[JsonDerivedType(typeof(TakenOff), "takenOff")]
[JsonDerivedType(typeof(ToneUnsaid), "unsaid")]
public abstract record ToneFact
{
    /// <summary>What it is about: of two about one thing the second is asked again; empty for what never
    /// clashes.</summary>
    [JsonIgnore]
    public abstract string Concerns { get; }

    /// <summary>Whether hair gets product by it: a safety stop refuses it.</summary>
    [JsonIgnore]
    public abstract bool LaysProduct { get; }
}

/// <summary>How the head is to be toned, all of it.</summary>
public sealed record TonePlanned(TonePlan Plan) : ToneFact
{
    /// <inheritdoc/>
    public override string Concerns => "plan";

    /// <inheritdoc/>
    public override bool LaysProduct => false;
}

/// <summary>Something happened to an area's bowl on the scale.</summary>
/// <param name="Area">The area's number.</param>
/// <param name="What">What happened.</param>
public sealed record BowlWeighed(int Area, BowlEvent What) : ToneFact
{
    /// <inheritdoc/>
    public override string Concerns => $"bowl {Area}";

    /// <inheritdoc/>
    public override bool LaysProduct => false;
}

/// <summary>An area's toner is on.</summary>
/// <param name="Area">Its number.</param>
public sealed record PutOn(int Area) : ToneFact
{
    /// <inheritdoc/>
    public override string Concerns => $"area {Area}";

    /// <inheritdoc/>
    public override bool LaysProduct => true;
}

/// <summary>A little was wiped away and looked at.</summary>
/// <param name="Area">Its number.</param>
/// <param name="Looks">What it looks like.</param>
public sealed record WipedClean(int Area, WipeResult Looks) : ToneFact
{
    /// <inheritdoc/>
    public override string Concerns => string.Empty;

    /// <inheritdoc/>
    public override bool LaysProduct => false;
}

/// <summary>An area's toner is rinsed.</summary>
/// <param name="Area">Its number.</param>
public sealed record TakenOff(int Area) : ToneFact
{
    /// <inheritdoc/>
    public override string Concerns => $"area {Area}";

    /// <inheritdoc/>
    public override bool LaysProduct => false;
}

/// <summary>What was said was wrong.</summary>
/// <param name="Number">The fact's number.</param>
public sealed record ToneUnsaid(int Number) : ToneFact
{
    /// <inheritdoc/>
    public override string Concerns => "last";

    /// <inheritdoc/>
    public override bool LaysProduct => false;
}
