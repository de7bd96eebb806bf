using Wendro.Consult;
using Wendro.Hair;
using Wendro.Host.Pipeline;
using Wendro.Record;
using Wendro.Store;

namespace Wendro.Host.Record;

/// <summary>A visit on the client's page.</summary>
/// <param name="VisitId">Which.</param>
/// <param name="StartsAt">When.</param>
/// <param name="Sum">It in a few figures; null while it wasn't put away.</param>
/// <param name="Promised">What was said to her: as kept when it was put away, before that where it was worded by
/// hand.</param>
/// <param name="Taught">How her hair lifts by all that was known after it.</param>
internal sealed record ClientVisit(
    Guid VisitId,
    DateTimeOffset StartsAt,
    VisitSum? Sum,
    string? Promised,
    OwnLift? Taught
);

/// <summary>A product that touched her skin, and how that went.</summary>
internal sealed record OnSkin(string? Product, string? Lot, DateTimeOffset At, PatchResult Result);

/// <summary>Something to remember, and from which visit.</summary>
internal sealed record StandingNote(Guid VisitId, DateTimeOffset At, string Words);

/// <summary>A client's page.</summary>
/// <param name="Id">Which client.</param>
/// <param name="Name">Her name.</param>
/// <param name="About">A line about her.</param>
/// <param name="Visits">Her visits, the earliest first.</param>
/// <param name="Notes">What is to be remembered, the latest first.</param>
/// <param name="Skin">Products that touched her skin, the latest first.</param>
/// <param name="Reacted">Whether she ever said that she reacted to colour or lightener.</param>
/// <param name="PatchDueAt">When the last clear patch test runs out; null where there is none.</param>
internal sealed record ClientPage(
    Guid Id,
    string Name,
    string About,
    IReadOnlyList<ClientVisit> Visits,
    IReadOnlyList<StandingNote> Notes,
    IReadOnlyList<OnSkin> Skin,
    bool Reacted,
    DateTimeOffset? PatchDueAt
);

/// <summary>What a client is called.</summary>
internal sealed record ClientNamed(string Name, string? About = null);

/// <summary>Clients: found as one types, and each on a page.</summary>
internal static class ClientEndpoints
{
    public static void MapClients(this IEndpointRouteBuilder app)
    {
        var clients = app.MapGroup("/api").WithTags("Record");

        clients
            .MapGet(
                "/find",
                async (string? words, Register register, CancellationToken cancellationToken) =>
                    Results.Ok(await register.FindAsync(words ?? string.Empty, cancellationToken))
            )
            .Produces<IReadOnlyList<FoundClient>>()
            .WithName("FindClients")
            .WithSummary("Clients whose name or line has every word; without a word those who came last");

        clients
            .MapGet(
                "/clients/{client:guid}",
                async (Guid client, Register register, CancellationToken cancellationToken) =>
                    await PageAsync(client, register, cancellationToken) is { } page
                        ? Results.Ok(page)
                        : ProblemAnswers.NotFound("client")
            )
            .Produces<ClientPage>()
            .ProducesProblem(StatusCodes.Status404NotFound)
            .WithName("GetClient")
            .WithSummary("A client: visits, what was learnt of the hair, standing notes, what touched the skin");

        clients
            .MapPut(
                "/clients/{client:guid}",
                async (Guid client, HttpRequest request, Register register, CancellationToken cancellationToken) =>
                {
                    var body = await JsonBody.ReadAsync<ClientNamed>(request);
                    if (ClientChecks.Of(body.Name, body.About) is { Count: > 0 } problems)
                    {
                        throw new BadInputException(problems);
                    }

                    return await register.NameAsync(
                        client,
                        body.Name.Trim(),
                        body.About?.Trim() ?? "",
                        cancellationToken
                    )
                        ? Results.Ok(await PageAsync(client, register, cancellationToken))
                        : ProblemAnswers.NotFound("client");
                }
            )
            .Accepts<ClientNamed>("application/json")
            .Produces<ClientPage>()
            .ProducesValidationProblem()
            .ProducesProblem(StatusCodes.Status404NotFound)
            .WithName("PutClient")
            .WithSummary("What a client is called, and the line beneath the name");
    }

    private static async Task<ClientPage?> PageAsync(
        Guid client,
        Register register,
        CancellationToken cancellationToken
    )
    {
        if (await register.ClientAsync(client, cancellationToken) is not { } row)
        {
            return null;
        }

        var visits = await register.OfClientAsync(client, cancellationToken);
        var when = visits.ToDictionary(v => v.Id, v => v.StartsAt);
        var patches = visits
            .SelectMany(v => (v.Consultation.Patches ?? []).Prepend(v.Consultation.Patch))
            .OfType<PatchTest>()
            .Distinct()
            .OrderByDescending(p => p.At)
            .ToArray();
        var clear = patches.FirstOrDefault(p => p.Result == PatchResult.Clear);
        return new(
            row.Id,
            row.Name,
            row.About,
            visits
                .Select(v => new ClientVisit(
                    v.Id,
                    v.StartsAt,
                    v.Sum,
                    v.Sum?.Promised ?? v.Consultation.Words,
                    v.Taught
                ))
                .ToArray(),
            (await register.NotesAsync(client, cancellationToken))
                .Select(n => new StandingNote(n.Visit, when[n.Visit], n.Words))
                .OrderByDescending(n => n.At)
                .ToArray(),
            patches.Select(p => new OnSkin(p.Product, p.Lot, p.At, p.Result)).ToArray(),
            visits.Any(v => v.Consultation.Reacted == true) || patches.Any(p => p.Result == PatchResult.Reacted),
            clear?.At.AddDays(Safety.PatchDays)
        );
    }
}
