using Microsoft.AspNetCore.OpenApi;
using Microsoft.OpenApi;
using Wendro.Core.Fall;
using Wendro.Core.Head;
using Wendro.Core.Plans;
using Wendro.Core.Units;

namespace Wendro.Host.Pipeline;

/// <summary>What the API's own description says beyond its types.</summary>
internal static class ApiDocument
{
    public static void Configure(OpenApiOptions options)
    {
        options.AddSchemaTransformer(
            (schema, context, _) =>
            {
                if (context.JsonTypeInfo.Type == typeof(Sentence))
                {
                    schema.Type = JsonSchemaType.String;
                }

                return Task.CompletedTask;
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
                    + Core.Care.Cautions.LeafletFirst;
                document.Servers?.Clear();
                SayListsInFull(document);
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
