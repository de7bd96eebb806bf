using Wendro.Core.Hair;
using Wendro.Core.Plans;
using Wendro.Core.Units;
using Wendro.Host.Frame;
using Wendro.Host.Paint;
using Wendro.Store;

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
/// <param name="Panels">Panels in the plan.</param>
/// <param name="Painted">Panels painted.</param>
/// <param name="Missing">What is still missing, in words.</param>
internal sealed record DayVisit(
    Guid VisitId,
    Guid ClientId,
    string Client,
    string About,
    DateTimeOffset StartsAt,
    HairProfile Hair,
    int Revision,
    int Panels,
    int Painted,
    IReadOnlyList<string> Missing);

/// <summary>A new client: a name is enough.</summary>
internal sealed record NewClient(string Name, string? About = null, HairProfile? Hair = null, DateTimeOffset? StartsAt = null);

/// <summary>A new visit.</summary>
internal sealed record NewVisit(HairProfile? Hair = null, DateTimeOffset? StartsAt = null);

/// <summary>A client or visit that was made.</summary>
internal sealed record Made(Guid ClientId, Guid VisitId);

/// <summary>The day's list, clients and visits.</summary>
internal static class DayEndpoints
{
    public static void MapDay(this IEndpointRouteBuilder app)
    {
        var api = app.MapGroup("/api").WithTags("Day");

        api.MapGet("/day", async (Visits visits, PlanDesk desk, TimeProvider clock, CancellationToken stop) =>
            {
                var now = clock.GetLocalNow();
                var from = new DateTimeOffset(now.Date, now.Offset);
                var list = new List<DayVisit>();
                foreach (var visit in await visits.BetweenAsync(from, from.AddDays(1), stop))
                {
                    if (await desk.OpenAsync(visit.Id, stop) is { } at)
                    {
                        list.Add(Of(at));
                    }
                }

                return list;
            })
            .WithName("GetDay").WithSummary("Today's visits in time order");

        api.MapGet("/clients", async (Visits visits, CancellationToken stop) =>
                (await visits.ClientsAsync(stop)).Select(c => new ClientView(c.Id, c.Name, c.About)).ToArray())
            .WithName("GetClients").WithSummary("All clients by name");

        api.MapPost("/clients", async (HttpRequest request, Visits visits, TimeProvider clock, CancellationToken stop) =>
            {
                var body = await Body.ReadAsync<NewClient>(request);
                var problems = HairChecks.Of(body.Hair);
                if (string.IsNullOrWhiteSpace(body.Name) || body.Name.Length > 100)
                {
                    problems.Add(new("name", "Between 1 and 100 characters."));
                }

                if (body.About?.Length > 400)
                {
                    problems.Add(new("about", "At most 400 characters."));
                }

                if (problems.Count > 0)
                {
                    throw new BadInputException(problems);
                }

                var visit = await visits.AddClientAsync(
                    body.Name.Trim(), body.About?.Trim() ?? string.Empty, body.StartsAt ?? clock.GetLocalNow(), body.Hair ?? HairProfile.Usual, Plan.Fresh(), stop);
                return Results.Created($"/api/visits/{visit.Id}/plan", new Made(visit.ClientId, visit.Id));
            })
            .Accepts<NewClient>("application/json").Produces<Made>(StatusCodes.Status201Created).ProducesValidationProblem()
            .WithName("PostClient").WithSummary("A new client with a visit today and a plan not begun");

        api.MapPost("/clients/{client:guid}/visits", async (Guid client, HttpRequest request, Visits visits, TimeProvider clock, CancellationToken stop) =>
            {
                var body = await Body.ReadAsync<NewVisit>(request);
                var problems = HairChecks.Of(body.Hair);
                if (problems.Count > 0)
                {
                    throw new BadInputException(problems);
                }

                return await visits.AddVisitAsync(client, body.StartsAt ?? clock.GetLocalNow(), body.Hair ?? HairProfile.Usual, Plan.Fresh(), stop) is { } visit
                    ? Results.Created($"/api/visits/{visit.Id}/plan", new Made(visit.ClientId, visit.Id))
                    : Answers.NotFound("client");
            })
            .Accepts<NewVisit>("application/json").Produces<Made>(StatusCodes.Status201Created).ProducesValidationProblem()
            .ProducesProblem(StatusCodes.Status404NotFound)
            .WithName("PostVisit").WithSummary("Another visit of a client");

        api.MapPut("/visits/{visit:guid}/hair", async (Guid visit, HttpRequest request, Visits visits, CancellationToken stop) =>
            {
                var hair = await Body.ReadAsync<HairProfile>(request);
                var problems = HairChecks.Of(hair).Select(p => p with { Field = p.Field.Replace("hair.", string.Empty, StringComparison.Ordinal) }).ToArray();
                if (problems.Length > 0)
                {
                    throw new BadInputException(problems);
                }

                return await visits.SetHairAsync(visit, hair, stop) ? Results.NoContent() : Answers.NotFound("visit");
            })
            .Accepts<HairProfile>("application/json").Produces(StatusCodes.Status204NoContent).ProducesValidationProblem()
            .ProducesProblem(StatusCodes.Status404NotFound)
            .WithName("PutHair").WithSummary("What was read off her hair at this visit");
    }

    private static DayVisit Of(AtWork at)
    {
        var painted = at.Head.Panels.Count(p => p.Painted is not null);
        var missing = new List<string>();
        if (painted == 0)
        {
            missing.Add("Nothing painted yet");
        }
        else if (at.Head.Findings.Count > 0)
        {
            var n = at.Head.Findings.Count;
            missing.Add(n == 1 ? $"One thing to look at: {at.Head.Findings[0].Title}" : $"{n} things to look at, first: {at.Head.Findings[0].Title}");
        }

        return new DayVisit(
            at.Visit.Id, at.Visit.ClientId, at.Visit.Client, at.Visit.About, at.Visit.StartsAt, at.Visit.Hair, at.Stored.History.Revision, at.Head.Panels.Count, painted, missing);
    }
}

/// <summary>Checks what was read off the hair.</summary>
internal static class HairChecks
{
    public static List<Problem> Of(HairProfile? hair)
    {
        var problems = new List<Problem>();
        if (hair is null)
        {
            return problems;
        }

        void Range(double value, double low, double high, string field, string unit)
        {
            if (!(value >= low && value <= high))
            {
                problems.Add(new(field, $"Between {low:0.##} and {high:0.##} {unit}".TrimEnd() + "."));
            }
        }

        Range(hair.NaturalLevel, Level.Darkest, Level.Lightest, "hair.naturalLevel", string.Empty);
        Range(hair.Cut.HemCm, 16, 75, "hair.cut.hemCm", "cm");
        Range(hair.Cut.LayersCm, 0, 30, "hair.cut.layersCm", "cm");
        Range(hair.Cut.FaceLayersCm, 0, 30, "hair.cut.faceLayersCm", "cm");
        return problems;
    }
}
