using System.Text.Json;
using System.Text.Json.Nodes;
using System.Text.Json.Serialization;

namespace Wendro.Formats.Archive;

/// <summary>A document is written with its version, and read of any version there ever was.</summary>
internal sealed class DocJson : JsonConverterFactory
{
    public override bool CanConvert(Type typeToConvert) =>
        typeToConvert.IsGenericType && typeToConvert.GetGenericTypeDefinition() == typeof(Doc<>);

    public override JsonConverter CreateConverter(Type typeToConvert, JsonSerializerOptions options) =>
        (JsonConverter)Activator.CreateInstance(typeof(Of<>).MakeGenericType(typeToConvert.GenericTypeArguments))!;

    private sealed class Of<T> : JsonConverter<Doc<T>>
    {
        public override Doc<T> Read(ref Utf8JsonReader reader, Type typeToConvert, JsonSerializerOptions options) =>
            new(Documents.Read<T>(JsonNode.Parse(ref reader)?.ToJsonString() ?? "null"));

        public override void Write(Utf8JsonWriter writer, Doc<T> value, JsonSerializerOptions options) =>
            writer.WriteRawValue(Documents.Write(value.Value));
    }
}
