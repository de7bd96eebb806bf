using Wendro.Consult;
using Wendro.Hair;
using Wendro.Head;
using Wendro.Host.Pipeline;
using Wendro.Host.Work;
using Wendro.Placement;
using Wendro.Plans;
using Wendro.Record;
using Wendro.Review;
using Wendro.Section;
using Wendro.Store;
using Wendro.Units;

namespace Wendro.Host.Record;

/// <summary>Something last time taught, for this visit's plan.</summary>
/// <param name="Words">What to do.</param>
/// <param name="Edits">The one edit of this plan that does it; none where it is one of hands, or nothing is painted
/// there.</param>
internal sealed record LessonView(Sentence Words, IReadOnlyList<PlanEdit> Edits);

/// <summary>The client's last visit, seen from this one.</summary>
/// <param name="VisitId">Which visit.</param>
/// <param name="StartsAt">When it was.</param>
/// <param name="Weeks">Weeks since.</param>
/// <param name="GrownCm">What has grown since, cm.</param>
/// <param name="Pieces">How many pieces it left.</param>
/// <param name="IsTaken">Whether this visit's hair begins with what it left.</param>
/// <param name="Outcome">What came out then.</param>
/// <param name="Promised">What was said to her then, in the words used.</param>
/// <param name="Said">What the artist added; null for nothing.</param>
/// <param name="ToChange">What it taught, in words.</param>
internal sealed record LastTimeView(
    Guid VisitId,
    DateTimeOffset StartsAt,
    double Weeks,
    double GrownCm,
    int Pieces,
    bool IsTaken,
    string Outcome,
    string Promised,
    string? Said,
    IReadOnlyList<Sentence> ToChange
);

/// <summary>What brings the goal back, and what last time taught for the plan as it stands.</summary>
/// <param name="Found">The fewest panels.</param>
/// <param name="Lessons">What it taught.</param>
internal sealed record RefreshPlanView(RefreshPlan Found, IReadOnlyList<LessonView> Lessons);

/// <summary>Takes over what the last visit left.</summary>
/// <param name="BaseVersion">The consultation's version it is taken over into.</param>
/// <param name="TrimmedCm">What was cut off the hem meanwhile, cm.</param>
internal sealed record TakeLastTime(
    int BaseVersion,
    [property: Within(0, RegrownHair.MostTrimmedCm, "cm")] double TrimmedCm = 0
);

/// <summary>What a next visit takes from the last one.</summary>
internal static class LastTimeEndpoints
{
    public static void MapLastTime(this IEndpointRouteBuilder app)
    {
        var visit = app.MapVisit("", "Record");

        visit
            .MapGet(
                "/last-time",
                async (VisitContext at, LastTimes lasts, RecordFacts keepings, CancellationToken cancellationToken) =>
                    Results.Ok(
                        await ViewAsync(
                            at,
                            await lasts.BeforeAsync(at.Visit.ClientId, at.Visit.StartsAt, cancellationToken),
                            keepings,
                            cancellationToken
                        )
                    )
            )
            .Produces<IReadOnlyList<LastTimeView>>()
            .WithName("GetLastTime")
            .WithSummary("The client's last visit and what it left and taught; none where this is the first");

        visit
            .MapPost(
                "/last-time",
                async (
                    VisitContext at,
                    HttpRequest request,
                    LastTimes lasts,
                    Visits visits,
                    OpenPlans plans,
                    LearntLifts learnt,
                    RecordFacts keepings,
                    CancellationToken cancellationToken
                ) =>
                {
                    var body = await JsonBody.ReadAsync<TakeLastTime>(request);
                    if (WithinAttribute.Outside(body).ToArray() is { Length: > 0 } outside)
                    {
                        throw new BadInputException(outside);
                    }

                    if (
                        await lasts.BeforeAsync(at.Visit.ClientId, at.Visit.StartsAt, cancellationToken) is not { } last
                    )
                    {
                        return ProblemAnswers.NotFound("earlier visit");
                    }

                    var hair = last.HairAt(at.Visit.StartsAt, body.TrimmedCm) with
                    {
                        Own = await learnt.BeforeAsync(at.Visit.ClientId, at.Visit.StartsAt, cancellationToken),
                    };
                    var answers = at.Visit.Consultation;
                    // What was answered already today stays.
                    var known = answers == Consultation.Fresh ? last.Known : answers;
                    await visits.SetConsultAsync(at.Visit.Id, body.BaseVersion, hair, known, cancellationToken);
                    var now = (await plans.OpenAsync(at.Visit.Id, cancellationToken))!;
                    if (!IsPainted(now.Stored.Plan) && now.Stored.History.Revision == 1)
                    {
                        await plans.TakeAsync(now, now.Stored.History.Revision, last.NextPlan, cancellationToken);
                        now = (await plans.OpenAsync(at.Visit.Id, cancellationToken))!;
                    }

                    return Results.Ok(await ViewAsync(now, last, keepings, cancellationToken));
                }
            )
            .Accepts<TakeLastTime>("application/json")
            .Produces<IReadOnlyList<LastTimeView>>()
            .ProducesValidationProblem()
            .ProducesProblem(StatusCodes.Status409Conflict)
            .WithName("PostLastTime")
            .WithSummary(
                "Begins this visit with what the last one left, grown and trimmed; a plan not begun is cut and wished "
                    + "for as last time"
            );

        visit
            .MapGet(
                "/bring-back",
                async (VisitContext at, LastTimes lasts, HeadCache heads, CancellationToken cancellationToken) =>
                    await lasts.BeforeAsync(at.Visit.ClientId, at.Visit.StartsAt, cancellationToken) is { } last
                        ? Results.Ok(
                            new RefreshPlanView(
                                RefreshPlan.Of(at.Head, last.Review.Planned.Plan, heads.CuttingFor(at.Visit.Hair)),
                                Lessons(at, last)
                            )
                        )
                        : ProblemAnswers.NotFound("earlier visit")
            )
            .Produces<RefreshPlanView>()
            .ProducesProblem(StatusCodes.Status404NotFound)
            .WithName("GetBringBack")
            .WithSummary("The fewest panels that bring the wish back, as one edit; stores nothing");
    }

    private static bool IsPainted(Plan plan) => plan.Zones.Values.Any(z => z.Paint.Count > 0 || z.Usual is not null);

    private static async Task<IReadOnlyList<LastTimeView>> ViewAsync(
        VisitContext at,
        LastTime? last,
        RecordFacts keepings,
        CancellationToken cancellationToken
    )
    {
        if (last is null)
        {
            return [];
        }

        var weeks = last.WeeksTo(at.Visit.StartsAt);
        return
        [
            new(
                last.At.Visit.Id,
                last.At.Visit.StartsAt,
                weeks,
                StrandHistory.GrowthCm(weeks),
                last.Left.Pieces?.All.Count ?? 0,
                RegrownHair.IsBegunWith(at.Visit.Hair, last.Left, weeks),
                last.Review.Found.Words.ToString(),
                RecordContexts.Promised(last.At, last.Review),
                RecordInHand.Of(await keepings.FactsOfAsync(last.At.Visit.Id, cancellationToken)).Words,
                RecordContexts.ToChange(last.Review)
            ),
        ];
    }

    /// <summary>What last time taught, as edits of the plan as it stands: none where nothing is painted.</summary>
    private static LessonView[] Lessons(VisitContext at, LastTime last) =>
        NextTime
            .Of(at.Head, NoCauses, last.Review.Review.Lessons)
            .Select(n => new LessonView(n.Words, n.Edit is { } edit ? [edit] : []))
            .ToArray();

    private static readonly Dictionary<Zone, IReadOnlyList<Cause>> NoCauses = [];
}
