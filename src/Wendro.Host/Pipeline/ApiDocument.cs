using System.Globalization;
using System.Reflection;
using System.Text.Json;
using System.Text.Json.Nodes;
using System.Text.Json.Serialization.Metadata;
using Microsoft.AspNetCore.OpenApi;
using Microsoft.OpenApi;
using Wendro.Blend;
using Wendro.Fall;
using Wendro.Formats;
using Wendro.Head;
using Wendro.Lift;
using Wendro.Paint;
using Wendro.Plans;
using Wendro.Section;
using Wendro.Units;

namespace Wendro.Host.Pipeline;

/// <summary>What the API's own description says beyond its types.</summary>
internal static class ApiDocument
{
    /// <summary>Types that are written as another is.</summary>
    private static readonly Dictionary<Type, Type> AsSent = new()
    {
        [typeof(Formula)] = typeof(FormulaAsSent),
        [typeof(PanelPaint)] = typeof(PaintAsSent),
    };

    /// <summary>Types that are written as one value, and what that may be.</summary>
    private static readonly Dictionary<Type, Action<OpenApiSchema>> Values = new()
    {
        [typeof(Sentence)] = s => s.Type = JsonSchemaType.String,
        [typeof(Level)] = s => Number(s, Level.Bounds),
        [typeof(Volume)] = s => Number(s, Volume.Bounds),
        [typeof(Minutes)] = s => Number(s, Minutes.Bounds),
        [typeof(PanelKey)] = s => s.Type = JsonSchemaType.String,
        [typeof(FindingKind)] = s =>
        {
            s.Type = JsonSchemaType.String;
            s.Enum = [.. FindingKinds.All.Select(k => (JsonNode)JsonNamingPolicy.CamelCase.ConvertName(k.Name))];
        },
        [typeof(FormulaId)] = s =>
        {
            s.Type = JsonSchemaType.String;
            s.Enum = [.. FormulaId.All.Select(f => (JsonNode)f.ToString())];
        },
    };

    /// <summary>
    /// The bounds a record gives one of its numbers; what is written as another type is has those of that it stands
    /// for.
    /// </summary>
    private static WithinAttribute? BoundsOf(JsonPropertyInfo? property)
    {
        if (property?.AttributeProvider is not PropertyInfo own)
        {
            return null;
        }

        var meant = AsSent.FirstOrDefault(s => s.Value == own.DeclaringType).Key?.GetProperty(own.Name);
        return own.GetCustomAttribute<WithinAttribute>() ?? meant?.GetCustomAttribute<WithinAttribute>();
    }

    private static bool IsOurs(Type type) => Values.ContainsKey(type) || AsSent.ContainsKey(type);

    private static void Number(OpenApiSchema schema, WithinAttribute bounds)
    {
        schema.Type = JsonSchemaType.Number;
        Bound(schema, bounds);
    }

    private static void Bound(OpenApiSchema schema, WithinAttribute bounds)
    {
        schema.Minimum = bounds.Low.ToString(CultureInfo.InvariantCulture);
        schema.Maximum = bounds.High.ToString(CultureInfo.InvariantCulture);
    }

    /// <summary>Describes a type as another is described, which it is written as.</summary>
    private static void Take(OpenApiSchema schema, OpenApiSchema other)
    {
        schema.Type = other.Type;
        schema.Properties = other.Properties;
        schema.Required = other.Required;
    }

    public static void Configure(OpenApiOptions options)
    {
        options.AddSchemaTransformer(
            async (schema, context, cancellationToken) =>
            {
                var type = context.JsonTypeInfo.Type;
                if (BoundsOf(context.JsonPropertyInfo) is { } bounds)
                {
                    Bound(schema, bounds);
                }

                if (AsSent.TryGetValue(type, out var sent))
                {
                    Take(schema, await context.GetOrCreateSchemaAsync(sent, null, cancellationToken));
                }
                else if (Values.TryGetValue(Nullable.GetUnderlyingType(type) ?? type, out var value))
                {
                    value(schema);
                    if (Nullable.GetUnderlyingType(type) is not null)
                    {
                        schema.Type |= JsonSchemaType.Null;
                    }
                }
                else if (context.JsonTypeInfo.ElementType is { } element && IsOurs(element))
                {
                    // The generator goes on into what stands here; by its title it is found and named afterwards.
                    if (context.JsonTypeInfo.Kind == JsonTypeInfoKind.Dictionary)
                    {
                        schema.AdditionalProperties = new OpenApiSchema { Title = element.Name };
                    }
                    else
                    {
                        schema.Items = new OpenApiSchema { Title = element.Name };
                    }
                }
            }
        );
        options.AddDocumentTransformer(
            (document, _, _) =>
            {
                document.Info.Title = "Wendro";
                document.Info.Version = "1";
                document.Info.Description =
                    "Plans hand-painted lightening. Units stand in the names. Problems are RFC 9457; values that "
                    + "can't be taken answer 400 with errors by field. "
                    + Wendro.Care.Cautions.LeafletFirst;
                document.Servers?.Clear();
                SayListsInFull(document);
                NameOurs(document);
                SayWhatIsAlwaysSent(document);
                NameEnumsWithoutNull(document);
                NameVisits(document);
                return Task.CompletedTask;
            }
        );
    }

    /// <summary>
    /// Edits can hold edits. Where a description comes round to itself, the generator points into the middle of
    /// another schema for
    /// lists it has met before, which no reader of the document can follow: these lists are written out.
    /// </summary>
    private static void SayListsInFull(OpenApiDocument document)
    {
        foreach (
            var (_, schema) in (document.Components?.Schemas ?? new Dictionary<string, IOpenApiSchema>()).Where(s =>
                s.Key.StartsWith(nameof(PlanEdit), StringComparison.Ordinal)
            )
        )
        {
            foreach (var (name, property) in schema.Properties?.ToArray() ?? [])
            {
                if (
                    property is OpenApiSchemaReference { Reference.Id: { } id }
                    && id.Contains('/', StringComparison.Ordinal)
                )
                {
                    schema.Properties![name] = new OpenApiSchema
                    {
                        Type = JsonSchemaType.Array,
                        Items = name switch
                        {
                            "wears" => new OpenApiSchemaReference(nameof(Wear), document),
                            "zones" => new OpenApiSchemaReference(nameof(Zone), document),
                            _ => new OpenApiSchema { Type = JsonSchemaType.String },
                        },
                    };
                }
            }
        }
    }

    /// <summary>
    /// Our types are described once, under their own name: not as what they are written as, and not again in every list
    /// of them.
    /// </summary>
    private static void NameOurs(OpenApiDocument document)
    {
        if (document.Components?.Schemas is not { } schemas)
        {
            return;
        }

        var ours = Values.Keys.Concat(AsSent.Keys).Select(t => t.Name).ToHashSet();
        IOpenApiSchema Named(IOpenApiSchema schema) =>
            schema is OpenApiSchema { Title: { } title } && ours.Contains(title)
                ? new OpenApiSchemaReference(title, document)
            : schema is OpenApiSchemaReference r
            && AsSent.FirstOrDefault(s => s.Value.Name == r.Reference.Id).Key is { } own
                ? new OpenApiSchemaReference(own.Name, document)
            : schema;
        foreach (var sent in AsSent.Values)
        {
            schemas.Remove(sent.Name);
        }

        foreach (var property in schemas.Values.SelectMany(s => s.Properties?.Values ?? []).OfType<OpenApiSchema>())
        {
            property.Items = property.Items is { } items ? Named(items) : null;
            property.AdditionalProperties = property.AdditionalProperties is { } each ? Named(each) : null;
            property.OneOf = property.OneOf?.Select(Named).ToList();
        }
    }

    /// <summary>What has a usual value may be left away when it is read, but is always written.</summary>
    private static void SayWhatIsAlwaysSent(OpenApiDocument document)
    {
        foreach (var (schema, property) in new[] { (nameof(Goal), "endsLevel"), (nameof(PanelPaint), "formula") })
        {
            if (document.Components?.Schemas?[schema] is OpenApiSchema described)
            {
                described.Required ??= new HashSet<string>();
                described.Required.Add(property);
            }
        }
    }

    /// <summary>A visit that a handler gets opened is still named in its address.</summary>
    private static void NameVisits(OpenApiDocument document)
    {
        foreach (
            var operation in document
                .Paths.Where(p => p.Key.Contains("{visit}", StringComparison.Ordinal))
                .SelectMany(p => p.Value.Operations ?? [])
                .Select(o => o.Value)
        )
        {
            operation.Parameters ??= [];
            if (operation.Parameters.All(p => p.Name != "visit"))
            {
                operation.Parameters.Insert(
                    0,
                    new OpenApiParameter
                    {
                        Name = "visit",
                        In = ParameterLocation.Path,
                        Required = true,
                        Schema = new OpenApiSchema { Type = JsonSchemaType.String, Format = "uuid" },
                    }
                );
            }
        }
    }

    /// <summary>
    /// An enum met first where it may be missing is described with a null in it; where it may be missing is said at
    /// that place anyway.
    /// </summary>
    private static void NameEnumsWithoutNull(OpenApiDocument document)
    {
        foreach (var schema in (document.Components?.Schemas ?? new Dictionary<string, IOpenApiSchema>()).Values)
        {
            if (schema.Enum is { } values)
            {
                // Our words are letters; the generator's stand-in for null is not.
                foreach (
                    var missing in values
                        .Where(v => v is null || v.ToString().Any(c => !char.IsLetterOrDigit(c)))
                        .ToArray()
                )
                {
                    values.Remove(missing);
                }
            }
        }
    }
}
