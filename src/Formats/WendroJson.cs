using System.Text.Json;
using System.Text.Json.Serialization;

namespace Wendro.Formats;

/// <summary>How everything is written as JSON: camel case, enums as words, no numbers in quotes, nothing twice.</summary>
public static class WendroJson
{
    /// <summary>For what is sent and stored.</summary>
    public static JsonSerializerOptions Options { get; } = Make();

    /// <summary>For files: an unknown field is refused rather than lost.</summary>
    public static JsonSerializerOptions Strict { get; } = new(Make())
    {
        UnmappedMemberHandling = JsonUnmappedMemberHandling.Disallow,
        WriteIndented = true,
    };

    /// <summary>Applies the same rules to somebody else's options.</summary>
    public static void Configure(JsonSerializerOptions options)
    {
        ArgumentNullException.ThrowIfNull(options);
        options.PropertyNamingPolicy = JsonNamingPolicy.CamelCase;
        options.DictionaryKeyPolicy = null;
        options.PropertyNameCaseInsensitive = false;
        options.NumberHandling = JsonNumberHandling.Strict;
        options.AllowDuplicateProperties = false;
        options.RespectNullableAnnotations = true;
        options.RespectRequiredConstructorParameters = true;
        options.AllowOutOfOrderMetadataProperties = true;
        options.Converters.Add(new JsonStringEnumConverter(JsonNamingPolicy.CamelCase, allowIntegerValues: false));
    }

    private static JsonSerializerOptions Make()
    {
        var options = new JsonSerializerOptions(JsonSerializerDefaults.Web);
        Configure(options);
        return options;
    }
}
