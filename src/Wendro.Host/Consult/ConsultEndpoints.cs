using System.Text.Json.Serialization;
using Wendro.Blend;
using Wendro.Consult;
using Wendro.Hair;
using Wendro.Host.Pipeline;
using Wendro.Host.Work;
using Wendro.Lift;
using Wendro.Patterns;
using Wendro.Plans;
using Wendro.Store;
using Wendro.Timing;
using Wendro.Units;

namespace Wendro.Host.Consult;

/// <summary>Hair and answers as changed, and the version they were changed from.</summary>
/// <param name="BaseVersion">The version they were read at.</param>
/// <param name="Hair">What was read off her hair; its own lift is worked out from the strand test.</param>
/// <param name="Consultation">What was asked and answered.</param>
internal sealed record ConsultBody(int BaseVersion, HairProfile Hair, Consultation Consultation);

/// <summary>How many weeks have gone by, 0..520.</summary>
internal sealed record GrownBody(double Weeks);

/// <summary>A goal to be looked at.</summary>
internal sealed record LookBody([property: JsonPropertyName("wish")] Goal Goal);

/// <summary>The strand test as a curve.</summary>
/// <param name="Minutes">Minutes.</param>
/// <param name="Levels">Likeliest level at each.</param>
/// <param name="Low">Lower end of the band.</param>
/// <param name="High">Upper end of the band.</param>
/// <param name="Own">Her own lift against the tables; null without a reading.</param>
internal sealed record StrandCurve(
    IReadOnlyList<double> Minutes,
    IReadOnlyList<double> Levels,
    IReadOnlyList<double> Low,
    IReadOnlyList<double> High,
    OwnLift? Own
);

/// <summary>
/// The consultation as it stands, with what follows from it, how much lower mids lie where a goal says nothing of
/// them, levels, and how much hair grows in a month, cm.
/// </summary>
internal sealed record ConsultView(
    int Version,
    HairProfile Hair,
    Consultation Consultation,
    IReadOnlyList<SafetyPoint> Safety,
    Verdict Verdict,
    StrandCurve Curve,
    double MidsBelow,
    double GrowthCmPerMonth,
    IReadOnlyList<AdvisedPattern> Patterns
);

/// <summary>A pattern that lays out what is advised and suits her hair: by name, nothing fitted yet.</summary>
/// <param name="Id">Its short name.</param>
/// <param name="Name">What the studio calls it.</param>
/// <param name="For">What it is for.</param>
internal sealed record AdvisedPattern(string Id, string Name, string For)
{
    private const int Most = 3;

    public static IReadOnlyList<AdvisedPattern> Of(Advice advice, HairProfile hair) =>
        advice
            .Patterns.Select(StartingPatterns.Of)
            .OfType<Pattern>()
            .Where(p => p.Against(hair) is null)
            .Take(Most)
            .Select(p => new AdvisedPattern(p.Id, p.Name, p.For))
            .ToArray();
}

/// <summary>Consult: her hair, the answers, whether it can be done.</summary>
internal static class ConsultEndpoints
{
    private const double CurveMinutes = 60;
    private const double CurveStep = 2;
    private static readonly StrandTest UsualTest = new(Lightener.Clay, new(30), Wendro.Paint.Covering.Open, []);

    public static void MapConsult(this IEndpointRouteBuilder app)
    {
        var consult = app.MapVisit("/consult", "Consult");

        consult
            .MapGet("", (MixContext at) => Results.Ok(Of(at)))
            .Produces<ConsultView>()
            .WithName("GetConsult")
            .WithSummary("Hair, answers, safety, verdict and strand test");

        consult
            .MapPut(
                "",
                async (
                    Guid visit,
                    HttpRequest request,
                    OpenPlans plans,
                    MixContexts mixes,
                    Visits visits,
                    LearntLifts learnt,
                    TimeProvider clock,
                    CancellationToken cancellationToken
                ) =>
                {
                    var body = await JsonBody.ReadAsync<ConsultBody>(request);
                    body = body with { Hair = body.Hair.PiecesCut() };
                    var problems = ConsultChecks
                        .Of(body.Hair)
                        .Select(p => p with { Field = $"hair.{p.Field}" })
                        .Concat(
                            ConsultChecks
                                .Of(body.Consultation, clock.GetLocalNow())
                                .Select(p => p with { Field = $"consultation.{p.Field}" })
                        )
                        .ToArray();
                    if (problems.Length > 0)
                    {
                        throw new BadInputException(problems);
                    }

                    if (await visits.FindAsync(visit, cancellationToken) is not { } found)
                    {
                        return ProblemAnswers.NotFound("visit");
                    }

                    var known = await learnt.BeforeAsync(found.ClientId, found.StartsAt, cancellationToken);
                    var own = body.Consultation.Strand is { } test ? test.OwnOf(body.Hair, known) : known;
                    var hair = body.Hair with { Own = own };
                    // What came without its answers about health stays so until they are there: nobody says it away.
                    var consultation = body.Consultation with
                    {
                        AskAgain = found.Consultation.AskAgain,
                    };
                    return
                        await visits.SetConsultAsync(visit, body.BaseVersion, hair, consultation, cancellationToken)
                            is not null
                        && await plans.OpenAsync(visit, cancellationToken) is { } at
                        ? Results.Ok(Of(await mixes.OfAsync(at, cancellationToken)))
                        : ProblemAnswers.NotFound("visit");
                }
            )
            .Accepts<ConsultBody>("application/json")
            .Produces<ConsultView>()
            .ProducesValidationProblem()
            .ProducesProblem(StatusCodes.Status409Conflict)
            .WithName("PutConsult")
            .WithSummary("Takes hair and answers together; a stale version answers 409");

        consult
            .MapPost(
                "/grown",
                async (VisitContext at, HttpRequest request) =>
                {
                    var body = await JsonBody.ReadAsync<GrownBody>(request);
                    if (!(body.Weeks is >= 0 and <= StrandHistory.MostWeeks))
                    {
                        throw new BadInputException([Problem.Outside("weeks", 0, StrandHistory.MostWeeks, "weeks")]);
                    }

                    return Results.Ok(StrandHistory.Grown(at.Visit.Hair, body.Weeks));
                }
            )
            .Accepts<GrownBody>("application/json")
            .Produces<IReadOnlyList<Band>>()
            .ProducesValidationProblem()
            .WithName("PostGrown")
            .WithSummary(
                "The strand some weeks later: bands moved outwards, new hair at the scalp, cut where they reach "
                    + "the ends; stores nothing"
            );

        consult
            .MapPost(
                "/look",
                async (VisitContext at, HttpRequest request) =>
                {
                    var body = await JsonBody.ReadAsync<LookBody>(request);
                    return Results.Bytes(Look(at, body.Goal).Levels, "application/octet-stream");
                }
            )
            .Accepts<LookBody>("application/json")
            .Produces<byte[]>(contentType: "application/octet-stream")
            .ProducesValidationProblem()
            .WithName("PostLook")
            .WithSummary("Level bytes of the head as a wish would have it, strands × 64; stores nothing");

        consult
            .MapPost(
                "/look/hair",
                async (VisitContext at, HttpRequest request) =>
                {
                    var body = await JsonBody.ReadAsync<LookBody>(request);
                    return Results.Bytes(Look(at, body.Goal).ByTurns(), "application/octet-stream");
                }
            )
            .Accepts<LookBody>("application/json")
            .Produces<byte[]>(contentType: "application/octet-stream")
            .ProducesValidationProblem()
            .WithName("PostLookHair")
            .WithSummary(
                "Level byte and tint byte by turns of the head as a wish would have it, strands × 64 × 2; "
                    + "stores nothing"
            );
    }

    private static StrandSamples Look(VisitContext at, Goal? goal)
    {
        var problems = goal is null ? [new Problem("wish", "A wish is needed.")] : goal.Problems();
        return problems.Count > 0 ? throw new BadInputException(problems) : at.Head.DrawnToGoal(goal!);
    }

    private static ConsultView Of(MixContext mix)
    {
        var at = mix.Work;
        var (hair, consultation, now) = (at.Visit.Hair, at.Visit.Consultation, at.Now);
        var timeline = mix.Planned.Timeline;
        var minutes = timeline.Turns.Count == 0 ? PaintingTime.FullHeadMinutes : timeline.Minutes;
        var verdict = Verdict.Of(hair, at.Stored.Plan.Goal, consultation, minutes, now);
        return new ConsultView(
            at.Visit.ConsultVersion,
            hair,
            consultation,
            Safety.Of(consultation, hair, now),
            verdict,
            CurveOf(hair, consultation.Strand ?? UsualTest),
            Goal.MidsBelow,
            HairFibre.GrowthCmPerMonth,
            AdvisedPattern.Of(verdict.Advised, hair)
        );
    }

    private static StrandCurve CurveOf(HairProfile hair, StrandTest test)
    {
        var of = test.CaseOf(hair) with { Own = hair.Own ?? test.OwnOf(hair) };
        var minutes = Enumerable.Range(0, (int)(CurveMinutes / CurveStep) + 1).Select(i => i * CurveStep).ToArray();
        var forecasts = minutes.Select(m => Forecast.Of(of, m)).ToArray();
        return new StrandCurve(
            minutes,
            forecasts.Select(f => f.Level).ToArray(),
            forecasts.Select(f => f.Low).ToArray(),
            forecasts.Select(f => f.High).ToArray(),
            of.Own
        );
    }
}
