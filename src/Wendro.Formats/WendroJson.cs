using System.Reflection;
using System.Text.Json;
using System.Text.Json.Serialization;
using System.Text.Json.Serialization.Metadata;
using Wendro.Apply;
using Wendro.Fall;
using Wendro.Hair;
using Wendro.Lift;
using Wendro.Paint;
using Wendro.Plans;
using Wendro.Scheduling;
using Wendro.Units;

namespace Wendro.Formats;

/// <summary>
/// How everything is written as JSON: camel case, enums as words, no numbers in quotes, nothing twice.
/// </summary>
public static class WendroJson
{
    /// <summary>For what is sent and stored.</summary>
    public static JsonSerializerOptions Options { get; } = Make();

    /// <summary>For what comes in: as above, and what can't be is refused even where it would be left away.</summary>
    public static JsonSerializerOptions Received { get; } = Make(p => p.Received());

    /// <summary>For files: an unknown field is refused rather than lost.</summary>
    public static JsonSerializerOptions Strict { get; } =
        new(Make()) { UnmappedMemberHandling = JsonUnmappedMemberHandling.Disallow, WriteIndented = true };

    /// <summary>Applies the same rules to somebody else's options.</summary>
    /// <param name="options">The options.</param>
    /// <param name="paint">How paint is made of what was sent; null as it stands.</param>
    public static void Configure(JsonSerializerOptions options, Func<PaintAsSent, PanelPaint>? paint = null)
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
        options.TypeInfoResolverChain.Insert(
            0,
            new DefaultJsonTypeInfoResolver { Modifiers = { WithKinds, WithoutDerived, SentenceJson.WithParts } }
        );
        options.Converters.Add(new SentenceJson());
        options.Converters.Add(new AsSentJson<Formula, FormulaAsSent>(FormulaAsSent.Of, f => f.ToFormula()));
        options.Converters.Add(new AsSentJson<PanelPaint, PaintAsSent>(PaintAsSent.Of, paint ?? (p => p.ToPaint())));
        foreach (var converter in ValueJson.All)
        {
            options.Converters.Add(converter);
        }

        options.Converters.Add(new JsonStringEnumConverter(JsonNamingPolicy.CamelCase, allowIntegerValues: false));
    }

    /// <summary>Edits are told apart by their kind; their project says which there are.</summary>
    private static void WithKinds(JsonTypeInfo type)
    {
        if (type.Type != typeof(PlanEdit))
        {
            return;
        }

        type.PolymorphismOptions = new JsonPolymorphismOptions { TypeDiscriminatorPropertyName = "kind" };
        foreach (var (edit, name) in KindAttribute.OfEdits)
        {
            type.PolymorphismOptions.DerivedTypes.Add(new JsonDerivedType(edit, name));
        }
    }

    /// <summary>The projects whose records are documents: all that Service stands on, and itself.</summary>
    private static readonly HashSet<Assembly> Domain =
    [
        typeof(Level).Assembly,
        typeof(Schedule).Assembly,
        typeof(HairProfile).Assembly,
        typeof(Seen).Assembly,
        typeof(Formula).Assembly,
        typeof(Plan).Assembly,
        typeof(ServiceFact).Assembly,
    ];

    /// <summary>
    /// What a domain record works out from its own values is not written: it is not part of the document.
    /// </summary>
    private static void WithoutDerived(JsonTypeInfo type)
    {
        if (type.Kind != JsonTypeInfoKind.Object || !Domain.Contains(type.Type.Assembly))
        {
            return;
        }

        for (var i = type.Properties.Count - 1; i >= 0; i--)
        {
            var property = type.Properties[i];
            if (
                property.Set is null
                && property.AssociatedParameter is null
                && !property.IsExtensionData
                && property.AttributeProvider is System.Reflection.PropertyInfo { CanWrite: false }
            )
            {
                type.Properties.RemoveAt(i);
            }
        }
    }

    private static JsonSerializerOptions Make(Func<PaintAsSent, PanelPaint>? paint = null)
    {
        var options = new JsonSerializerOptions(JsonSerializerDefaults.Web);
        Configure(options, paint);
        return options;
    }
}
