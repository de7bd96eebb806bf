using Wendro.Apply;
using Wendro.Consult;
using Wendro.Hair;
using Wendro.Host.Apply;
using Wendro.Host.Pipeline;
using Wendro.Host.Work;
using Wendro.Plans;
using Wendro.Record;
using Wendro.Review;
using Wendro.Store;
using Wendro.Toning;
using Wendro.Units;

namespace Wendro.Host.Day;

/// <summary>A client.</summary>
internal sealed record ClientView(Guid Id, string Name, string About);

/// <summary>A visit in the day's list.</summary>
/// <param name="VisitId">Which visit.</param>
/// <param name="ClientId">Whose.</param>
/// <param name="Client">Her name.</param>
/// <param name="About">A line about her.</param>
/// <param name="StartsAt">When it starts.</param>
/// <param name="Hair">Her hair.</param>
/// <param name="Revision">Revision of the plan.</param>
/// <param name="Painted">Panels painted.</param>
internal sealed record DayVisit(
    Guid VisitId,
    Guid ClientId,
    string Client,
    string About,
    DateTimeOffset StartsAt,
    HairProfile Hair,
    int Revision,
    int Painted
);

/// <summary>A plan at a glance: what is still missing, in words.</summary>
/// <param name="Minutes">Mixing and painting, minutes.</param>
/// <param name="ChairMinutes">In the chair, from the first bowl to the last reading, minutes; null where it was not
/// asked: it takes the whole schedule, and the stages only ask what is done.</param>
internal sealed record Glance(
    int Panels,
    int Painted,
    IReadOnlyList<string> Missing,
    double Minutes,
    double? ChairMinutes,
    IReadOnlyList<Stage> Done,
    AtChair? Chair
);

/// <summary>A new client: a name is enough.</summary>
internal sealed record NewClient(
    string Name,
    string? About = null,
    HairProfile? Hair = null,
    DateTimeOffset? StartsAt = null
);

/// <summary>A new visit.</summary>
internal sealed record NewVisit(HairProfile? Hair = null, DateTimeOffset? StartsAt = null);

/// <summary>A client or visit that was made.</summary>
internal sealed record Made(Guid ClientId, Guid VisitId);

/// <summary>The day's list, clients and visits.</summary>
internal static class DayEndpoints
{
    /// <summary>A service that something happened in so lately is still going on. Model assumption.</summary>
    private static readonly TimeSpan StillInChair = TimeSpan.FromHours(8);

    /// <summary>No service began longer ago than this and still goes on. Model assumption.</summary>
    private static readonly TimeSpan LongestService = TimeSpan.FromDays(1);

    public static void MapDay(this IEndpointRouteBuilder app)
    {
        var api = app.MapGroup("/api").WithTags("Day");

        api.MapGet("/usual-hair", () => Results.Ok(HairProfile.Usual))
            .Produces<HairProfile>()
            .WithName("GetUsualHair")
            .WithSummary("The hair that a client nobody has looked at yet starts with");

        api.MapGet(
                "/day",
                async (
                    Visits visits,
                    Revisions revisions,
                    Services services,
                    TimeProvider clock,
                    CancellationToken cancellationToken
                ) =>
                {
                    var now = clock.GetLocalNow();
                    var from = new DateTimeOffset(now.Date, now.Offset);
                    var list = new List<DayVisit>();
                    var booked = await visits.BetweenAsync(from, from.AddDays(1), cancellationToken);
                    var seated = await InChairAsync(booked, visits, services, now, cancellationToken);
                    foreach (var visit in booked.Concat(seated).OrderBy(v => v.StartsAt))
                    {
                        if (await revisions.PlanAsync(visit.Id, cancellationToken) is { } stored)
                        {
                            var painted = stored
                                .Plan.Zones.Values.Where(z => z.Excluded is null)
                                .Sum(z => z.Paint.Count);
                            list.Add(
                                new DayVisit(
                                    visit.Id,
                                    visit.ClientId,
                                    visit.Client,
                                    visit.About,
                                    visit.StartsAt,
                                    visit.Hair,
                                    stored.History.Revision,
                                    painted
                                )
                            );
                        }
                    }

                    return list;
                }
            )
            .WithName("GetDay")
            .WithSummary("Today's visits in time order");

        app.MapVisit("", "Day")
            .MapGet(
                "/glance",
                async (
                    MixContext at,
                    bool? chair,
                    ServiceContexts services,
                    Tonings tonings,
                    RecordFacts keepings,
                    TimeProvider clock,
                    CancellationToken cancellationToken
                ) =>
                    Results.Ok(
                        Of(
                            at,
                            await services.OfAsync(at.Work, cancellationToken),
                            ToningInHand.Of(await tonings.FactsOfAsync(at.Work.Visit.Id, cancellationToken)),
                            RecordInHand.Of(await keepings.FactsOfAsync(at.Work.Visit.Id, cancellationToken)),
                            clock.GetUtcNow()
                        ) with
                        {
                            ChairMinutes = chair == true ? at.Visit.Minutes : null,
                        }
                    )
            )
            .Produces<Glance>()
            .WithName("GetGlance")
            .WithSummary("A plan at a glance: what is still missing; with chair, minutes in the chair");

        api.MapGet(
                "/clients",
                async (Visits visits, CancellationToken cancellationToken) =>
                    (await visits.ClientsAsync(cancellationToken))
                        .Select(c => new ClientView(c.Id, c.Name, c.About))
                        .ToArray()
            )
            .WithName("GetClients")
            .WithSummary("All clients by name");

        api.MapPost(
                "/clients",
                async (
                    HttpRequest request,
                    Visits visits,
                    Studio studio,
                    TimeProvider clock,
                    CancellationToken cancellationToken
                ) =>
                {
                    var body = await JsonBody.ReadAsync<NewClient>(request);
                    var problems = HairProblems(body.Hair);
                    problems.AddRange(ClientChecks.Of(body.Name, body.About));
                    if (problems.Count > 0)
                    {
                        throw new BadInputException(problems);
                    }

                    var visit = await visits.AddClientAsync(
                        body.Name.Trim(),
                        body.About?.Trim() ?? string.Empty,
                        body.StartsAt ?? clock.GetLocalNow(),
                        body.Hair ?? HairProfile.Usual,
                        Plan.Fresh(rules: (await studio.RulesAsync(cancellationToken)).Rules),
                        cancellationToken
                    );
                    return Results.Created($"/api/visits/{visit.Id}/plan", new Made(visit.ClientId, visit.Id));
                }
            )
            .Accepts<NewClient>("application/json")
            .Produces<Made>(StatusCodes.Status201Created)
            .ProducesValidationProblem()
            .WithName("PostClient")
            .WithSummary("A new client with a visit today and a plan not begun");

        api.MapPost(
                "/clients/{client:guid}/visits",
                async (
                    Guid client,
                    HttpRequest request,
                    Visits visits,
                    LearntLifts learnt,
                    LastTimes lastTimes,
                    Studio studio,
                    TimeProvider clock,
                    CancellationToken cancellationToken
                ) =>
                {
                    var body = await JsonBody.ReadAsync<NewVisit>(request);
                    var problems = HairProblems(body.Hair);
                    if (problems.Count > 0)
                    {
                        throw new BadInputException(problems);
                    }

                    var startsAt = body.StartsAt ?? clock.GetLocalNow();
                    // It begins with what the last visit left, unless somebody has looked at the hair already.
                    var last = body.Hair is null
                        ? await lastTimes.BeforeAsync(client, startsAt, cancellationToken)
                        : null;
                    var hair = body.Hair ?? last?.HairAt(startsAt, 0) ?? HairProfile.Usual;
                    return
                        await visits.AddVisitAsync(
                            client,
                            startsAt,
                            hair with
                            {
                                Own =
                                    body.Hair?.Own
                                    ?? await learnt.BeforeAsync(client, startsAt, cancellationToken)
                                    ?? hair.Own,
                            },
                            last?.NextPlan ?? Plan.Fresh(rules: (await studio.RulesAsync(cancellationToken)).Rules),
                            cancellationToken,
                            last?.Known
                        )
                            is { } visit
                        ? Results.Created($"/api/visits/{visit.Id}/plan", new Made(visit.ClientId, visit.Id))
                        : ProblemAnswers.NotFound("client");
                }
            )
            .Accepts<NewVisit>("application/json")
            .Produces<Made>(StatusCodes.Status201Created)
            .ProducesValidationProblem()
            .ProducesProblem(StatusCodes.Status404NotFound)
            .WithName("PostVisit")
            .WithSummary("Another visit of a client: without hair given it begins with what the last one left");

        api.MapPut(
                "/visits/{visit:guid}/hair",
                async (Guid visit, HttpRequest request, Visits visits, CancellationToken cancellationToken) =>
                {
                    var hair = await JsonBody.ReadAsync<HairProfile>(request);
                    var problems = ConsultChecks.Of(hair);
                    if (problems.Count > 0)
                    {
                        throw new BadInputException(problems);
                    }

                    return await visits.SetHairAsync(visit, hair, cancellationToken)
                        ? Results.NoContent()
                        : ProblemAnswers.NotFound("visit");
                }
            )
            .Accepts<HairProfile>("application/json")
            .Produces(StatusCodes.Status204NoContent)
            .ProducesValidationProblem()
            .ProducesProblem(StatusCodes.Status404NotFound)
            .WithName("PutHair")
            .WithSummary("The hair as read at this visit");
    }

    /// <summary>Who sits in the chair though not booked today: past midnight, or called in from another day.</summary>
    private static async Task<IReadOnlyList<StoredVisit>> InChairAsync(
        IReadOnlyList<StoredVisit> booked,
        Visits visits,
        Services services,
        DateTimeOffset now,
        CancellationToken cancellationToken
    )
    {
        var seated = new List<StoredVisit>();
        var begun = await services.BegunSinceAsync(now - LongestService, cancellationToken);
        foreach (var id in begun.Except(booked.Select(v => v.Id)))
        {
            if (
                await services.FactsOfAsync(id, cancellationToken) is [.., var last]
                && last.At > now - StillInChair
                && await visits.FindAsync(id, cancellationToken) is { } visit
            )
            {
                seated.Add(visit);
            }
        }

        return seated;
    }

    private static Glance Of(
        MixContext mix,
        ServiceContext chair,
        ToningInHand toning,
        RecordInHand kept,
        DateTimeOffset now
    )
    {
        var (at, bowls) = (mix.Work, mix.Bowls);
        var painted = at.Head.Panels.Count(p => p.Painted is not null);
        var findings = at.Head.Findings;
        string[] seen = (painted, findings.Count) switch
        {
            (0, _) => ["Nothing painted yet"],
            (_, 0) => [],
            (_, 1) => [$"One thing to look at: {findings[0].Title}"],
            _ => [$"{findings.Count} things to look at, first: {findings[0].Title}"],
        };
        string[] unmixed = painted > 0 && !bowls.Any(b => b.InHand.IsDone) ? ["Not mixed"] : [];
        string[] missing = [.. VisitSafety.Missing(at), .. seen, .. unmixed];
        var done = StagesDone.Of(
            at.Visit.Consultation,
            at.Visit.Hair,
            mix.Mix,
            chair.Service,
            ReviewInHand.Of(chair.Review),
            toning,
            kept,
            mix.Rules,
            at.Now
        );
        return new Glance(
            at.Head.Panels.Count,
            painted,
            missing,
            mix.Mix.Timeline.Minutes,
            null,
            done,
            AtChair.Of(chair, now)
        );
    }

    private static List<Problem> HairProblems(HairProfile? hair) =>
        hair is null ? [] : ConsultChecks.Of(hair).Select(p => p with { Field = $"hair.{p.Field}" }).ToList();
}
