using System.Globalization;
using System.Runtime.CompilerServices;

namespace Wendro.Units;

/// <summary>A figure in words: how much of what, and how it is written in metric units.</summary>
/// <param name="Value">How much.</param>
/// <param name="Unit">Of what: cm, mm, g, or level/cm.</param>
/// <param name="Format">How the number is written.</param>
public readonly record struct Quantity(double Value, string Unit, string Format)
{
    /// <summary>Centimetres.</summary>
    public static Quantity Cm(double value, string format = "0.#") => new(value, "cm", format);

    /// <summary>Millimetres.</summary>
    public static Quantity Mm(double value, string format = "0.#") => new(value, "mm", format);

    /// <summary>Grams.</summary>
    public static Quantity Grams(double value, string format = "0.#") => new(value, "g", format);

    /// <summary>A rise along the hair, levels a centimetre.</summary>
    public static Quantity Rise(double value) => new(value, "level/cm", "0.0");

    /// <summary>As written in metric units.</summary>
    public override string ToString()
    {
        var number = Value.ToString(Format, CultureInfo.InvariantCulture);
        return Unit == "level/cm" ? $"{number} levels a cm" : $"{number} {Unit}";
    }
}

/// <summary>A piece of a sentence: words, or a quantity.</summary>
/// <param name="Text">As written in metric units.</param>
/// <param name="Quantity">What it says, where it is a quantity.</param>
public readonly record struct SentencePart(string Text, Quantity? Quantity = null);

/// <summary>
/// A sentence for people that still knows its quantities, so that whoever shows it can write them in other units.
/// Written like a string:
/// <c>Sentence text = $"starts {Quantity.Cm(3)} from the scalp";</c>
/// </summary>
[InterpolatedStringHandler]
public sealed class Sentence : IEquatable<Sentence>
{
    private readonly List<SentencePart> parts = [];

    /// <summary>An empty sentence; the compiler says how long it will be, which does not matter.</summary>
    /// <param name="literalLength">Letters.</param>
    /// <param name="formattedCount">Values.</param>
    public Sentence(int literalLength, int formattedCount)
    {
        _ = (literalLength, formattedCount);
    }

    /// <summary>Its pieces in order.</summary>
    public IReadOnlyList<SentencePart> Parts => parts;

    /// <summary>Words without quantities.</summary>
    public static implicit operator Sentence(string words)
    {
        var said = new Sentence(0, 0);
        said.AppendLiteral(words);
        return said;
    }

    /// <summary>Several sentences as one.</summary>
    public static Sentence Join(string between, IEnumerable<Sentence> all)
    {
        ArgumentNullException.ThrowIfNull(all);
        var joined = new Sentence(0, 0);
        foreach (var (said, i) in all.Select((said, i) => (said, i)))
        {
            if (i > 0)
            {
                joined.AppendLiteral(between);
            }

            joined.AppendFormatted(said);
        }

        return joined;
    }

    /// <summary>Words that begin a line.</summary>
    public static string Capital(string words)
    {
        ArgumentNullException.ThrowIfNull(words);
        return words.Length == 0 ? words : char.ToUpperInvariant(words[0]) + words[1..];
    }

    /// <summary>Adds words.</summary>
    public void AppendLiteral(string value) => Say(value);

    /// <summary>Adds a quantity.</summary>
    public void AppendFormatted(Quantity value) => parts.Add(new(value.ToString(), value));

    /// <summary>Adds another sentence.</summary>
    public void AppendFormatted(Sentence? value) => parts.AddRange(value?.Parts ?? []);

    /// <summary>Adds a value without a unit.</summary>
    public void AppendFormatted<T>(T value, string? format = null) =>
        Say(value is IFormattable number ? number.ToString(format, CultureInfo.InvariantCulture) : value?.ToString());

    /// <summary>In metric units.</summary>
    public override string ToString() => string.Concat(Parts.Select(p => p.Text));

    /// <inheritdoc/>
    public bool Equals(Sentence? other) => other is not null && ToString() == other.ToString();

    /// <inheritdoc/>
    public override bool Equals(object? obj) => Equals(obj as Sentence);

    /// <inheritdoc/>
    public override int GetHashCode() => ToString().GetHashCode(StringComparison.Ordinal);

    /// <summary>
    /// Adds words to those before them. Nothing is left to be put together on reading: one sentence is read by many
    /// at once.
    /// </summary>
    private void Say(string? words)
    {
        if (string.IsNullOrEmpty(words))
        {
            return;
        }

        if (parts is [.., { Quantity: null } said])
        {
            parts[^1] = new(said.Text + words);
        }
        else
        {
            parts.Add(new(words));
        }
    }
}
