using Wendro.Apply;
using Wendro.Head;
using Wendro.Host.Pipeline;
using Wendro.Host.Work;
using Wendro.Paint;
using Wendro.Patterns;
using Wendro.Plans;
using Wendro.Section;
using Wendro.Store;
using Wendro.Timing;
using Wendro.Units;

namespace Wendro.Host.Section;

/// <summary>One zone in the order of work.</summary>
/// <param name="Zone">Which.</param>
/// <param name="Panels">Panels it is cut into.</param>
/// <param name="Grams">Their hair, g.</param>
/// <param name="StartsAtMinute">Minutes into the work when its first panel is begun, mixing included; where nothing
/// of it is painted, when it would be.</param>
/// <param name="Minutes">Minutes its paint takes.</param>
/// <param name="HiddenMinutes">Of these, on panels that hardly show.</param>
/// <param name="Excluded">Why it is not touched; null where it is.</param>
internal sealed record ZoneWork(
    Zone Zone,
    int Panels,
    double Grams,
    double StartsAtMinute,
    double Minutes,
    double HiddenMinutes,
    string? Excluded
);

/// <summary>Hair on each side of the part.</summary>
/// <param name="Side">The side with more; null where the part is about the middle.</param>
/// <param name="LeftGrams">In front of the crown on her left, g.</param>
/// <param name="RightGrams">On her right, g.</param>
/// <param name="Edit">Gives the heavier side more pieces; null where it has them.</param>
internal sealed record HeavierView(Side? Side, double LeftGrams, double RightGrams, PlanEdit? Edit);

/// <summary>The head divided: order of work, the heavier side, and how much of the head is worked.</summary>
internal sealed record SectionView(
    IReadOnlyList<ZoneWork> Order,
    IReadOnlyList<PanelKey> Panels,
    HeavierView Heavier,
    double Minutes,
    Reach? Reach
);

/// <summary>A pattern fitted to a client.</summary>
/// <param name="Id">Short name, or the id of one of the studio's own.</param>
/// <param name="Name">What it is called.</param>
/// <param name="For">What it is for.</param>
/// <param name="Family">Which of the trade's families of work; null for the studio's own.</param>
/// <param name="Against">What speaks against it for her; null where nothing does.</param>
/// <param name="Why">Its steps in words.</param>
/// <param name="Edit">All its edits as one, to be sent as it is.</param>
internal sealed record PatternView(
    string Id,
    string Name,
    string For,
    PatternFamily? Family,
    string? Against,
    IReadOnlyList<string> Why,
    PlanEdit Edit
);

/// <summary>House rules as changed, and the version they were changed from.</summary>
internal sealed record RulesBody(int BaseVersion, HouseRules Rules);

/// <summary>A plan to be kept as a pattern.</summary>
internal sealed record NewPattern(string Name, string Why, Guid VisitId);

/// <summary>A pattern that was kept.</summary>
internal sealed record KeptPattern(Guid Id, string Name);

/// <summary>Section: how the head is divided, house rules, patterns to start from.</summary>
internal static class SectionEndpoints
{
    public static void MapSection(this IEndpointRouteBuilder app)
    {
        var visit = app.MapVisit("", "Section");
        visit
            .MapGet("/section", (MixContext at) => Results.Ok(Of(at)))
            .Produces<SectionView>()
            .WithName("GetSection")
            .WithSummary("Zones in working order with counts, grams and minutes; the heavier side of the part");

        visit
            .MapGet(
                "/patterns",
                async (VisitContext at, HeadCache heads, Studio studio, CancellationToken cancellationToken) =>
                    Results.Ok(
                        Patterns(
                            at,
                            heads.FreshCuttingFor(at.Visit.Hair),
                            await studio.PatternsAsync(cancellationToken),
                            (await studio.RulesAsync(cancellationToken)).Rules
                        )
                    )
            )
            .Produces<IReadOnlyList<PatternView>>()
            .WithName("GetPatterns")
            .WithSummary("Patterns to start from, fitted to this client; the edit goes to plan/edits");

        visit
            .MapGet(
                "/patterns/{pattern}/tried",
                async (
                    MixContext at,
                    string pattern,
                    HeadCache heads,
                    Studio studio,
                    CancellationToken cancellationToken
                ) =>
                    PatternOnClient.Of(at, pattern, await studio.PatternsAsync(cancellationToken), heads) is { } tried
                        ? Results.Ok(tried)
                        : ProblemAnswers.NotFound("pattern")
            )
            .Produces<PatternOnClient>()
            .ProducesProblem(StatusCodes.Status404NotFound)
            .WithName("GetPatternTried")
            .WithSummary("A pattern on this client: panels, minutes, grams, a small PNG; stores nothing");

        var studio = app.MapGroup("/api").WithTags("Section");
        studio
            .MapGet(
                "/house-rules",
                (Studio kept, CancellationToken cancellationToken) => kept.RulesAsync(cancellationToken)
            )
            .Produces<StoredRules>()
            .WithName("GetHouseRules")
            .WithSummary("How this studio usually works");

        studio
            .MapPut(
                "/house-rules",
                async (HttpRequest request, Studio kept, CancellationToken cancellationToken) =>
                {
                    var body = await JsonBody.ReadAsync<RulesBody>(request);
                    var problems = body.Rules.Problems();
                    return problems.Count > 0
                        ? throw new BadInputException(
                            problems.Select(p => p with { Field = $"rules.{p.Field}" }).ToArray()
                        )
                        : Results.Ok(
                            await kept.SetRulesAsync(
                                body.BaseVersion,
                                body.Rules with
                                {
                                    Formula = body.Rules.Formula.HeldByRatio(),
                                },
                                cancellationToken
                            )
                        );
                }
            )
            .Accepts<RulesBody>("application/json")
            .Produces<StoredRules>()
            .ProducesValidationProblem()
            .ProducesProblem(StatusCodes.Status409Conflict)
            .WithName("PutHouseRules")
            .WithSummary("Changes how this studio usually works; plans already begun stay as they are");

        studio
            .MapPost(
                "/patterns",
                async (
                    HttpRequest request,
                    Studio kept,
                    OpenPlans plans,
                    HeadCache heads,
                    CancellationToken cancellationToken
                ) =>
                {
                    var body = await JsonBody.ReadAsync<NewPattern>(request);
                    var problems = new List<Problem>();
                    Problem.Text(problems, "name", body.Name, 60);
                    Problem.Text(problems, "why", body.Why, 200);
                    if (problems.Count > 0)
                    {
                        throw new BadInputException(problems);
                    }

                    if (await plans.OpenAsync(body.VisitId, cancellationToken) is not { } at)
                    {
                        return ProblemAnswers.NotFound("visit");
                    }

                    var row = await kept.KeepPatternAsync(
                        body.Name.Trim(),
                        body.Why.Trim(),
                        OwnPattern.From(at.Stored.Plan, heads.CuttingFor(at.Visit.Hair)),
                        cancellationToken
                    );
                    return Results.Created($"/api/patterns/{row.Id}", new KeptPattern(row.Id, row.Name));
                }
            )
            .Accepts<NewPattern>("application/json")
            .Produces<KeptPattern>(StatusCodes.Status201Created)
            .ProducesValidationProblem()
            .ProducesProblem(StatusCodes.Status404NotFound)
            .WithName("PostPattern")
            .WithSummary("Keeps a visit's plan as a pattern of the studio's own");

        studio
            .MapDelete(
                "/patterns/{pattern:guid}",
                async (Guid pattern, Studio kept, CancellationToken cancellationToken) =>
                    await kept.ForgetPatternAsync(pattern, cancellationToken)
                        ? Results.NoContent()
                        : ProblemAnswers.NotFound("pattern")
            )
            .Produces(StatusCodes.Status204NoContent)
            .ProducesProblem(StatusCodes.Status404NotFound)
            .WithName("DeletePattern")
            .WithSummary("Forgets a pattern of the studio's own");
    }

    private static SectionView Of(MixContext at)
    {
        var (head, plan) = (at.Work.Head, at.Work.Stored.Plan);
        var visit = at.Visit;
        var minutes = new List<ZoneWork>();
        var clock = 0.0;
        foreach (var zone in plan.Working)
        {
            var panels = head
                .Panels.Select((p, i) => (Panel: p, Hidden: head.HardlySeen[i]))
                .Where(p => p.Panel.Panel.Key.Zone == zone)
                .ToArray();
            double Of(bool onlyHidden) =>
                panels
                    .Where(p => p.Panel.Painted is not null && (!onlyHidden || p.Hidden))
                    .Sum(p => PlannedHead.MinutesOf(p.Panel));
            minutes.Add(
                new ZoneWork(
                    zone,
                    panels.Length,
                    panels.Sum(p => p.Panel.Panel.HairGrams),
                    visit.BegunAt(zone) ?? clock,
                    Of(false),
                    Of(true),
                    plan.Zones[zone].Excluded
                )
            );
            clock = visit.PaintedBy(zone) ?? clock;
        }

        var (left, right) = Heavier.Grams(head.Panels.Select(p => p.Panel));
        var edits = Heavier.Edits(plan);
        return new SectionView(
            minutes,
            head.Working,
            new HeavierView(Heavier.SideOf(plan.Part), left, right, edits.Count > 0 ? new Together(edits) : null),
            at.Mix.Timeline.Minutes,
            plan.ReachOf()
        );
    }

    private static PatternView[] Patterns(
        VisitContext at,
        Cutting cutting,
        IReadOnlyList<PatternRow> own,
        HouseRules house
    )
    {
        static PatternView View(
            string id,
            string name,
            string what,
            PatternFamily? family,
            string? against,
            IReadOnlyList<PatternStep> steps
        ) =>
            new(
                id,
                name,
                what,
                family,
                against,
                steps.Skip(1).Select(s => s.Why).ToArray(),
                new Together(steps.SelectMany(s => s.Edits).ToArray())
            );

        var plan = at.Stored.Plan;
        var mine = own.Select(p =>
            View(p.Id.ToString(), p.Name, p.Why, null, null, OwnPattern.StepsFor(p.Why, p.Edits, plan, cutting, house))
        );
        var starting = StartingPatterns
            .All.AsParallel()
            .AsOrdered()
            .Select(p =>
                View(p.Id, p.Name, p.For, p.Family, p.Against(at.Visit.Hair), p.StepsFor(plan, cutting, house))
            );
        return [.. mine, .. starting.OrderBy(p => p.Against is not null)];
    }
}
