using Wendro.Apply;
using Wendro.Host.Pipeline;
using Wendro.Host.Work;
using Wendro.Plans;
using Wendro.Store;
using Wendro.Units;

namespace Wendro.Host.Apply;

/// <summary>Something that happened at the chair.</summary>
/// <param name="After">
/// How many facts had been seen when it was said: of two about one thing the second is asked again.
/// </param>
/// <param name="Id">Given by who says it, so that said twice it counts once.</param>
/// <param name="Fact">What happened.</param>
internal sealed record ServiceHappened(int After, Guid Id, ServiceFact Fact);

/// <summary>Apply: the plan against the clock, and what happens at the chair.</summary>
internal static class ApplyEndpoints
{
    public static void MapApply(this IEndpointRouteBuilder app)
    {
        var apply = app.MapVisit("/apply", "Apply");

        apply
            .MapGet(
                "",
                async (
                    VisitContext at,
                    ServiceContexts services,
                    TimeProvider clock,
                    CancellationToken cancellationToken
                ) => Results.Ok(ApplyView.Of(await services.OfAsync(at, cancellationToken), clock.GetUtcNow()))
            )
            .Produces<ApplyView>()
            .WithName("GetApply")
            .WithSummary("The service as it stands: what is next, what is due, every clock as instants, waves to come");

        apply
            .MapGet(
                "/ways",
                (MixContext at, HeadCache heads, CancellationToken cancellationToken) =>
                    Results.Ok(
                        ServiceOptionsView.Of(
                            ServiceOptions.Of(at.Mix, heads.FreshCuttingFor(at.Work.Visit.Hair), cancellationToken),
                            at.Work.Stored.History.Revision
                        )
                    )
            )
            .Produces<ServiceOptionsView>()
            .WithName("GetWays")
            .WithSummary(
                "The ways through the visit side by side, each tried on the plan: as planned, by order, by rinse, by "
                    + "developer, both; and what frees panels that can't be rinsed in time"
            );

        apply
            .MapPost(
                "/facts",
                async (
                    VisitContext at,
                    HttpRequest request,
                    ServiceContexts working,
                    Services services,
                    TimeProvider clock,
                    CancellationToken cancellationToken
                ) =>
                {
                    var body = await JsonBody.ReadAsync<ServiceHappened>(request);
                    var before = await working.OfAsync(at, cancellationToken);
                    if (body.Fact.LaysProduct && VisitSafety.Stops(at) is { Count: > 0 } stops)
                    {
                        throw new StoppedException(stops);
                    }

                    var steps = ServiceClock.StepsOf(before.Mix);
                    var told = await services.AddAsync(
                        at.Visit.Id,
                        before.Revision,
                        body.After,
                        body.Id,
                        body.Fact,
                        facts =>
                            [
                                .. Against(body.Fact, facts, before),
                                .. ServiceInHand.Of(steps, facts).Against(body.Fact),
                            ],
                        cancellationToken
                    );
                    if (told.Clash is { } clash)
                    {
                        return TypedResults.Problem(
                            statusCode: StatusCodes.Status409Conflict,
                            title: "Someone else said something of this just now.",
                            detail: $"{Sentence.Capital(ServiceWords.Of(clash.Fact))}. Look again, then say it "
                                + "once more where it still holds.",
                            extensions: new Dictionary<string, object?> { ["facts"] = before.Facts.Count }
                        );
                    }

                    if (told.Problems.Count > 0)
                    {
                        throw new BadInputException(told.Problems);
                    }

                    return Results.Ok(ApplyView.Of(await working.OfAsync(at, cancellationToken), clock.GetUtcNow()));
                }
            )
            .Accepts<ServiceHappened>("application/json")
            .Produces<ApplyView>()
            .ProducesValidationProblem()
            .ProducesProblem(StatusCodes.Status409Conflict)
            .WithName("PostServiceFact")
            .WithSummary("Adds what happened at the chair; the server says when. The first, seated, pins the plan");
    }

    /// <summary>What the plan and the other facts say against it.</summary>
    private static IEnumerable<Problem> Against(
        ServiceFact fact,
        IReadOnlyList<RecordedFact<ServiceFact>> facts,
        ServiceContext before
    )
    {
        var at = before.Work;
        switch (fact)
        {
            case Added added when !AddedPanels.CanBe(before.Mix.Head, added.Panel):
                yield return new("fact.panel", "It is no panel that is left natural, or nothing is painted to go by.");
                break;
            case TakenBack back
                when back.Number >= 1
                    && back.Number <= facts.Count
                    && facts[back.Number - 1].Fact is Added added
                    && before.Service.StandOf(added.Panel).PaintedAt is not null:
                yield return new("fact.number", "It is painted: take that back first.");
                break;
            case TakenBack back when facts.All(f => f.Number != back.Number):
                yield return new("fact.number", "There is no such fact.");
                break;
            case TakenBack back when facts.Any(f => f.Fact is TakenBack b && b.Number == back.Number):
                yield return new("fact.number", "It was taken back already.");
                break;
            case TakenBack back
                when facts[back.Number - 1].Fact is Seated or TakenBack or Washed or WentOn or PlanTaken:
                yield return new("fact.number", "This can't be taken back.");
                break;
            case Heated { On: true } when at.Stored.Plan.Formulas.All(f => !f.LowHeat):
                yield return new("fact.on", "The plan reckons without heat: plan it in the formula first.");
                break;
            case PlanTaken plan when plan.Revision != at.Stored.History.Revision:
                yield return new("fact.revision", "Only the plan as it is now can be taken.");
                break;
        }
    }
}
