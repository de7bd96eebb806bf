using Wendro.Host.Pipeline;
using Wendro.Host.Work;
using Wendro.Review;
using Wendro.Store;

namespace Wendro.Host.Review;

/// <summary>Something seen or said at the review.</summary>
/// <param name="Id">Given by who says it, so that said twice it counts once.</param>
/// <param name="Fact">What.</param>
internal sealed record ReviewSaid(Guid Id, ReviewFact Fact);

/// <summary>Review: rinsed and before any toner, did it come out as planned.</summary>
internal static class ReviewEndpoints
{
    public static void MapReview(this IEndpointRouteBuilder app)
    {
        var review = app.MapVisit("/review", "Review");

        review
            .MapGet(
                "",
                async (VisitContext at, ReviewContexts working, CancellationToken cancellationToken) =>
                    Results.Ok(ReviewView.Of(await working.OfAsync(at, cancellationToken)))
            )
            .Produces<ReviewView>()
            .WithName("GetReview")
            .WithSummary("What came out against what was planned, zone by zone; why, and what can be done now");

        review
            .MapPost(
                "/facts",
                async (
                    VisitContext at,
                    HttpRequest request,
                    ReviewContexts working,
                    Reviews reviews,
                    LearntLifts learnt,
                    PhotographStore album,
                    CancellationToken cancellationToken
                ) =>
                {
                    var body = await JsonBody.ReadAsync<ReviewSaid>(request);
                    if (
                        body.Fact is LevelRead { Photograph: { } name }
                        && (await album.OfAsync(at.Visit.Id, cancellationToken)).All(p => p.Name != name)
                    )
                    {
                        throw new BadInputException([new("fact.photograph", "The visit has no such photograph.")]);
                    }

                    if (body.Fact is PlaceMarked { Panel: var place } && at.Head.PanelOf(place) is null)
                    {
                        throw new BadInputException([new("fact.panel", "The head has no such panel.")]);
                    }

                    var problems = await reviews.AddAsync(at.Visit.Id, body.Id, body.Fact, cancellationToken);
                    if (problems.Count > 0)
                    {
                        throw new BadInputException(problems);
                    }

                    var now = ReviewView.Of(await working.OfAsync(at, cancellationToken));
                    await learnt.TeachAsync(at.Visit.Id, now.Own, cancellationToken);
                    return Results.Ok(now);
                }
            )
            .Accepts<ReviewSaid>("application/json")
            .Produces<ReviewView>()
            .ProducesValidationProblem()
            .WithName("PostReviewFact")
            .WithSummary("Adds what was seen or said at the review; the server says when");

        review
            .MapGet(
                "/hair",
                async (VisitContext at, string? which, ReviewContexts working, CancellationToken cancellationToken) =>
                {
                    var now = await working.OfAsync(at, cancellationToken);
                    var hair = which switch
                    {
                        "planned" => now.Planned.Drawn,
                        "cameOut" => now.Planned.Reached.Draw(now.CameOut),
                        _ => throw new BadInputException([new("which", "planned or cameOut.")]),
                    };
                    return Results.Bytes(hair.ByTurns(), "application/octet-stream");
                }
            )
            .Produces<byte[]>(contentType: "application/octet-stream")
            .ProducesValidationProblem()
            .WithName("GetReviewHair")
            .WithSummary("Level byte and tint byte by turns, as in the plan's hair: as planned, or as it came out");
    }
}
