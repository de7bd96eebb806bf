using System.Text.Json;
using System.Text.Json.Serialization;
using Wendro.Blend;
using Wendro.Plans;
using Wendro.Section;
using Wendro.Units;

namespace Wendro.Formats;

/// <summary>A value that can be read as JSON but can't be so; its message is for people.</summary>
public sealed class UnreadableException : JsonException
{
    /// <summary>What can't be so.</summary>
    /// <param name="message">What is wrong and what would do.</param>
    /// <param name="within">Where below its own path, e.g. ".second.share"; empty for the value itself.</param>
    /// <param name="isForPeople">Whether the message may be shown as it is.</param>
    public UnreadableException(string message, string within = "", bool isForPeople = true)
        : base(message)
    {
        Within = within;
        IsForPeople = isForPeople;
    }

    /// <summary>Where below its own path.</summary>
    public string Within { get; }

    /// <summary>Whether the message may be shown as it is.</summary>
    public bool IsForPeople { get; }

    /// <summary>
    /// The same fault seen from the object it lies in: a converter that reads another object knows the way inwards,
    /// the reader around it adds the way there.
    /// </summary>
    public static UnreadableException From(JsonException inner)
    {
        ArgumentNullException.ThrowIfNull(inner);
        var path = (inner.Path ?? "$").TrimStart('$');
        return inner is UnreadableException own
            ? new(own.Message, path + own.Within, own.IsForPeople)
            : new(inner.Message, path, isForPeople: false);
    }
}

/// <summary>Numbers that carry a unit are written as the number alone.</summary>
internal sealed class NumberJson<T>(WithinAttribute bounds, Func<double, T> make, Func<T, double> number)
    : JsonConverter<T>
    where T : struct
{
    public override T Read(ref Utf8JsonReader reader, Type typeToConvert, JsonSerializerOptions options)
    {
        if (reader.TokenType != JsonTokenType.Number)
        {
            throw new JsonException();
        }

        var value = reader.GetDouble();
        return bounds.Holds(value) ? make(value) : throw new UnreadableException(bounds.Of(string.Empty).Message);
    }

    public override void Write(Utf8JsonWriter writer, T value, JsonSerializerOptions options) =>
        writer.WriteNumberValue(number(value));
}

/// <summary>Names are written as words, as values and as keys.</summary>
internal sealed class NameJson<T>(Func<string?, T?> read, string otherwise) : JsonConverter<T>
    where T : struct
{
    public override T Read(ref Utf8JsonReader reader, Type typeToConvert, JsonSerializerOptions options) =>
        reader.TokenType != JsonTokenType.String ? throw new JsonException() : Named(reader.GetString());

    public override T ReadAsPropertyName(
        ref Utf8JsonReader reader,
        Type typeToConvert,
        JsonSerializerOptions options
    ) => Named(reader.GetString());

    public override void Write(Utf8JsonWriter writer, T value, JsonSerializerOptions options) =>
        writer.WriteStringValue(value.ToString());

    public override void WriteAsPropertyName(Utf8JsonWriter writer, T value, JsonSerializerOptions options) =>
        writer.WritePropertyName(value.ToString()!);

    private T Named(string? text) => read(text) ?? throw new UnreadableException(otherwise);
}

/// <summary>
/// What is written as something flatter: it is read as that first, and a fault in it is told at its full path.
/// </summary>
internal sealed class AsSentJson<T, TSent>(Func<T, TSent> flat, Func<TSent, T> made) : JsonConverter<T>
    where T : class
    where TSent : class
{
    public override T? Read(ref Utf8JsonReader reader, Type typeToConvert, JsonSerializerOptions options)
    {
        try
        {
            return JsonSerializer.Deserialize<TSent>(ref reader, options) is { } sent ? made(sent) : null;
        }
        catch (JsonException inner)
        {
            throw UnreadableException.From(inner);
        }
    }

    public override void Write(Utf8JsonWriter writer, T value, JsonSerializerOptions options) =>
        JsonSerializer.Serialize(writer, flat(value), options);
}

/// <summary>Kinds of findings are written by their name.</summary>
internal sealed class KindJson : JsonConverter<FindingKind>
{
    public override FindingKind? Read(ref Utf8JsonReader reader, Type typeToConvert, JsonSerializerOptions options)
    {
        var name = reader.GetString();
        return FindingKinds.All.FirstOrDefault(k => JsonNamingPolicy.CamelCase.ConvertName(k.Name) == name)
            ?? throw new UnreadableException("There is no such kind of finding.");
    }

    public override void Write(Utf8JsonWriter writer, FindingKind value, JsonSerializerOptions options) =>
        writer.WriteStringValue(JsonNamingPolicy.CamelCase.ConvertName(value.Name));
}

/// <summary>How Core's small types are written.</summary>
internal static class ValueJson
{
    public static IEnumerable<JsonConverter> All { get; } =
    [
        new NumberJson<Level>(Level.Bounds, v => new(v), l => l.Value),
        new NumberJson<Volume>(Volume.Bounds, v => new(v), v => v.Value),
        new NumberJson<Minutes>(Minutes.Bounds, v => new(v), m => m.Value),
        new NameJson<PanelKey>(PanelKey.Parse, PanelKey.Called),
        new NameJson<FormulaId>(FormulaId.Parse, FormulaId.Called),
        new KindJson(),
    ];
}
