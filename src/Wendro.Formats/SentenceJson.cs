using System.Text.Json;
using System.Text.Json.Serialization;
using System.Text.Json.Serialization.Metadata;
using Wendro.Units;

namespace Wendro.Formats;

/// <summary>
/// A piece of a sentence as it is sent: its words in metric units, and what they say where that is a quantity.
/// </summary>
/// <param name="Text">As written in metric units.</param>
/// <param name="Value">How much; null for words.</param>
/// <param name="Unit">Of what: cm, mm, g or level/cm; null for words.</param>
public sealed record SentencePiece(string Text, double? Value, string? Unit);

/// <summary>
/// A sentence is written as its words. Beside it, under the same name with Parts, stand its pieces, so that a reader
/// can write the
/// quantities in other units without looking for them in the words.
/// </summary>
internal sealed class SentenceJson : JsonConverter<Sentence>
{
    public override Sentence? Read(ref Utf8JsonReader reader, Type typeToConvert, JsonSerializerOptions options) =>
        reader.GetString() is { } words ? (Sentence)words : null;

    public override void Write(Utf8JsonWriter writer, Sentence value, JsonSerializerOptions options) =>
        writer.WriteStringValue(value.ToString());

    /// <summary>Adds the pieces beside every sentence of a type.</summary>
    public static void WithParts(JsonTypeInfo type)
    {
        if (type.Kind != JsonTypeInfoKind.Object)
        {
            return;
        }

        foreach (
            var said in type.Properties.Where(p => p.PropertyType == typeof(Sentence) && p.Get is not null).ToArray()
        )
        {
            var parts = type.CreateJsonPropertyInfo(typeof(IReadOnlyList<SentencePiece>), $"{said.Name}Parts");
            parts.Get = of =>
                ((Sentence?)said.Get!(of))
                    ?.Parts.Select(p => new SentencePiece(p.Text, p.Quantity?.Value, p.Quantity?.Unit))
                    .ToArray();
            type.Properties.Add(parts);
        }
    }
}
