using Microsoft.AspNetCore.OpenApi;

namespace Wendro.Host.Frame;

/// <summary>What the API's own description says beyond its types.</summary>
internal static class ApiDocument
{
    public static void Configure(OpenApiOptions options)
    {
        options.AddDocumentTransformer((document, _, _) =>
        {
            document.Info.Title = "Wendro";
            document.Info.Version = "1";
            document.Info.Description =
                "Plans hand-painted lightening. Units stand in the names. Problems are RFC 9457; values that can't be taken answer 400 with errors by field. "
                + Core.Care.Cautions.LeafletFirst;
            document.Servers?.Clear();
            return Task.CompletedTask;
        });
    }
}
