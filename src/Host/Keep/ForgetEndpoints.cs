using Wendro.Host.Pipeline;
using Wendro.Store;

namespace Wendro.Host.Keep;

/// <summary>Deletes a person with everything.</summary>
internal static class ForgetEndpoints
{
    public static void MapForget(this IEndpointRouteBuilder app) =>
        app.MapDelete(
                "/api/clients/{client:guid}",
                async (Guid client, Forgetting forgetting, CancellationToken stop) =>
                    await forgetting.ForgetAsync(client, stop) is { } gone
                        ? Results.Ok(gone)
                        : Answers.NotFound("client")
            )
            .WithTags("Keep")
            .Produces<Forgotten>()
            .ProducesProblem(StatusCodes.Status404NotFound)
            .WithName("DeleteClient")
            .WithSummary(
                "Deletes a client with visits, revisions, what happened and photographs, and overwrites what that "
                    + "frees; archives saved elsewhere still hold the client"
            );
}
