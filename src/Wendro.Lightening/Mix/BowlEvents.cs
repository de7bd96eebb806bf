using System.Text.Json.Serialization;

namespace Wendro.Mix;

/// <summary>How a weight came about.</summary>
public enum Weighed
{
    Scale,
    Typed,
}

/// <summary>What happened to a bowl; only ever added.</summary>
[JsonPolymorphic(TypeDiscriminatorPropertyName = "kind")]
[JsonDerivedType(typeof(Tared), "tared")]
[JsonDerivedType(typeof(Poured), "poured")]
[JsonDerivedType(typeof(Restored), "restored")]
[JsonDerivedType(typeof(KeptAsIs), "kept")]
[JsonDerivedType(typeof(Adjusted), "adjusted")]
[JsonDerivedType(typeof(TakenBack), "takenBack")]
public abstract record BowlEvent;

/// <summary>The empty bowl stands on the scale, which shows so much, g.</summary>
public sealed record Tared(double GrossGrams) : BowlEvent;

/// <summary>So much of an ingredient went in.</summary>
/// <param name="Ingredient">Which, from 0.</param>
/// <param name="Grams">How much, g, above 0.</param>
/// <param name="How">Whether the scale or a hand says so.</param>
public sealed record Poured(int Ingredient, double Grams, Weighed How) : BowlEvent;

/// <summary>Too much went in: the others are to be filled up until the ratio is right again.</summary>
public sealed record Restored : BowlEvent;

/// <summary>Too much went in, and it stays so.</summary>
public sealed record KeptAsIs : BowlEvent;

/// <summary>By eye, then known: a little more of one thing went in to thicken or loosen what is mixed.</summary>
/// <param name="Ingredient">Which, from 0.</param>
/// <param name="Grams">How much, g, above 0.</param>
/// <param name="How">Whether the scale or a hand says so.</param>
public sealed record Adjusted(int Ingredient, double Grams, Weighed How) : BowlEvent;

/// <summary>What was said last was wrong.</summary>
public sealed record TakenBack : BowlEvent;
