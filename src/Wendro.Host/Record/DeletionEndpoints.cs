using Wendro.Host.Pipeline;
using Wendro.Store;

namespace Wendro.Host.Record;

/// <summary>Deletes a person with everything.</summary>
internal static class DeletionEndpoints
{
    public static void MapForget(this IEndpointRouteBuilder app) =>
        app.MapDelete(
                "/api/clients/{client:guid}",
                async (Guid client, PersonDeletion forgetting, CancellationToken cancellationToken) =>
                    await forgetting.ForgetAsync(client, cancellationToken) is { } gone
                        ? Results.Ok(gone)
                        : ProblemAnswers.NotFound("client")
            )
            .WithTags("Record")
            .Produces<DeletedPerson>()
            .ProducesProblem(StatusCodes.Status404NotFound)
            .WithName("DeleteClient")
            .WithSummary(
                "Deletes a client with visits, revisions, what happened and photographs, and overwrites what that "
                    + "frees; archives saved elsewhere still hold the client"
            );
}
