using Wendro.Host.Pipeline;
using Wendro.Host.Work;
using Wendro.Store;
using Wendro.Toning;
using Wendro.Units;

namespace Wendro.Host.Tone;

/// <summary>Something chosen, or that happened, at toning.</summary>
/// <param name="After">How many facts had been seen when it was said: of two about one thing the second is asked
/// again.</param>
/// <param name="Id">Given by who says it, so that said twice it counts once.</param>
/// <param name="Fact">What.</param>
internal sealed record ToneSaid(int After, Guid Id, ToneFact Fact);

/// <summary>A way of toning to be kept as the studio's own.</summary>
/// <param name="VisitId">The visit whose toning it is.</param>
/// <param name="Name">What it is called; one of the same name is replaced.</param>
internal sealed record NewToner(Guid VisitId, string Name);

/// <summary>A way of toning that was kept.</summary>
internal sealed record KeptToner(Guid Id, string Name);

/// <summary>Tone: what finishes the colour, on what came out.</summary>
internal static class ToneEndpoints
{
    public static void MapTone(this IEndpointRouteBuilder app)
    {
        var tone = app.MapVisit("/tone", "Tone");

        tone.MapGet(
                "",
                async (
                    VisitContext at,
                    ToneContexts working,
                    TimeProvider clock,
                    CancellationToken cancellationToken
                ) => Results.Ok(ToneView.Of(await working.OfAsync(at, cancellationToken), clock.GetUtcNow()))
            )
            .Produces<ToneView>()
            .WithName("GetTone")
            .WithSummary(
                "How the head is toned area by area: recipes, forecasts on what came out, what to mind, clocks"
            );

        tone.MapPost(
                "/facts",
                async (
                    VisitContext at,
                    HttpRequest request,
                    ToneContexts working,
                    Tonings tonings,
                    TimeProvider clock,
                    CancellationToken cancellationToken
                ) =>
                {
                    var body = await JsonBody.ReadAsync<ToneSaid>(request);
                    if (body.Fact.LaysProduct && VisitSafety.Stops(at) is { Count: > 0 } stops)
                    {
                        throw new StoppedException(stops);
                    }

                    var recipes = body.Fact is BowlWeighed ? await working.OfAsync(at, cancellationToken) : null;
                    var told = await tonings.AddAsync(
                        at.Visit.Id,
                        body.After,
                        body.Id,
                        body.Fact,
                        area =>
                            recipes?.Toning.Plan.AreaOf(area) is { } of
                                ? recipes.RecipeOf(of, recipes.Hair.HairOf(of).HairGrams)
                                : null,
                        cancellationToken
                    );
                    if (told.Clash is { } clash)
                    {
                        return TypedResults.Problem(
                            statusCode: StatusCodes.Status409Conflict,
                            title: "Someone else changed this.",
                            detail: "Look again, then say it once more where it still holds.",
                            extensions: new Dictionary<string, object?> { ["facts"] = clash.Number }
                        );
                    }

                    return told.Problems.Count > 0
                        ? throw new BadInputException(told.Problems)
                        : Results.Ok(ToneView.Of(await working.OfAsync(at, cancellationToken), clock.GetUtcNow()));
                }
            )
            .Accepts<ToneSaid>("application/json")
            .Produces<ToneView>()
            .ProducesValidationProblem()
            .ProducesProblem(StatusCodes.Status409Conflict)
            .WithName("PostToneFact")
            .WithSummary("Adds what was chosen, or what happened, at toning; the server says when");

        tone.MapGet(
                "/offers",
                async (VisitContext at, int area, ToneContexts working, CancellationToken cancellationToken) =>
                {
                    var now = await working.OfAsync(at, cancellationToken);
                    if (now.Toning.Plan.AreaOf(area) is not { } chosen)
                    {
                        throw new BadInputException([new("area", "There is no such area.")]);
                    }

                    return Results.Ok(
                        AreaForecast.Of(now.Hair, chosen) is { } forecast ? ToneSuggested.Of(forecast, now.Shelf) : []
                    );
                }
            )
            .Produces<IReadOnlyList<ToneOffer>>()
            .ProducesValidationProblem()
            .WithName("GetToneOffers")
            .WithSummary("Bowls from the shelf that bring an area nearest to what is wanted, the nearest first");

        tone.MapGet(
                "/hair",
                async (VisitContext at, double? minutes, ToneContexts working, CancellationToken cancellationToken) =>
                {
                    if (minutes is { } m && !Minutes.IsValid(m))
                    {
                        throw new BadInputException([Minutes.Bounds.Of("minutes")]);
                    }

                    var now = await working.OfAsync(at, cancellationToken);
                    var toned = now.Hair.Toned(
                        now.Toning.Plan,
                        area =>
                            Math.Min(
                                minutes ?? double.MaxValue,
                                now.Toning.StandOf(area.Id).WasOnMinutes ?? area.Minutes.Value
                            )
                    );
                    return Results.Bytes(now.Review.Planned.Reached.Draw(toned).ByTurns(), "application/octet-stream");
                }
            )
            .Produces<byte[]>(contentType: "application/octet-stream")
            .ProducesValidationProblem()
            .WithName("GetToneHair")
            .WithSummary(
                "Level byte and tint byte by turns, as in the plan's hair: what came out, toned so many minutes"
            );

        var own = app.MapGroup("/api/toners").WithTags("Tone");
        own.MapPost(
                "",
                async (
                    HttpRequest request,
                    OpenPlans plans,
                    ToneContexts working,
                    Studio studio,
                    CancellationToken cancellationToken
                ) =>
                {
                    var body = await JsonBody.ReadAsync<NewToner>(request);
                    var problems = new List<Problem>();
                    Problem.Text(problems, "name", body.Name, 60);
                    if (problems.Count > 0)
                    {
                        throw new BadInputException(problems);
                    }

                    if (await plans.OpenAsync(body.VisitId, cancellationToken) is not { } at)
                    {
                        return ProblemAnswers.NotFound("visit");
                    }

                    var plan = (await working.OfAsync(at, cancellationToken)).Toning.Plan;
                    if (plan.Areas.Count == 0)
                    {
                        throw new BadInputException([new("visitId", "Nothing is chosen at that visit yet.")]);
                    }

                    var kept = await studio.KeepTonerAsync(body.Name.Trim(), plan, cancellationToken);
                    return Results.Created($"/api/toners/{kept.Id}", new KeptToner(kept.Id, kept.Name));
                }
            )
            .Accepts<NewToner>("application/json")
            .Produces<KeptToner>(StatusCodes.Status201Created)
            .ProducesValidationProblem()
            .ProducesProblem(StatusCodes.Status404NotFound)
            .WithName("PostToner")
            .WithSummary("Keeps a visit's way of toning as the studio's own");

        own.MapDelete(
                "/{toner:guid}",
                async (Guid toner, Studio studio, CancellationToken cancellationToken) =>
                    await studio.ForgetTonerAsync(toner, cancellationToken)
                        ? Results.NoContent()
                        : ProblemAnswers.NotFound("way of toning")
            )
            .Produces(StatusCodes.Status204NoContent)
            .ProducesProblem(StatusCodes.Status404NotFound)
            .WithName("DeleteToner")
            .WithSummary("Forgets a way of toning of the studio's own");
    }
}
