using Wendro.Core.Review;
using Wendro.Host.Pipeline;
using Wendro.Host.Work;
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
                async (AtWork at, ReviewsAtWork working, CancellationToken stop) =>
                    Results.Ok(ReviewView.Of(await working.OfAsync(at, stop)))
            )
            .Produces<ReviewView>()
            .WithName("GetReview")
            .WithSummary("What came out against what was planned, zone by zone; why, and what can be done now");

        review
            .MapPost(
                "/facts",
                async (
                    AtWork at,
                    HttpRequest request,
                    ReviewsAtWork working,
                    Reviews reviews,
                    Learnt learnt,
                    Album album,
                    CancellationToken stop
                ) =>
                {
                    var body = await Body.ReadAsync<ReviewSaid>(request);
                    if (
                        body.Fact is LevelRead { Photograph: { } name }
                        && (await album.OfAsync(at.Visit.Id, stop)).All(p => p.Name != name)
                    )
                    {
                        throw new BadInputException([new("fact.photograph", "The visit has no such photograph.")]);
                    }

                    if (body.Fact is PlaceMarked { Panel: var place } && at.Head.PanelOf(place) is null)
                    {
                        throw new BadInputException([new("fact.panel", "The head has no such panel.")]);
                    }

                    var problems = await reviews.AddAsync(at.Visit.Id, body.Id, body.Fact, stop);
                    if (problems.Count > 0)
                    {
                        throw new BadInputException(problems);
                    }

                    var now = ReviewView.Of(await working.OfAsync(at, stop));
                    await learnt.TeachAsync(at.Visit.Id, now.Own, stop);
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
                async (AtWork at, string? which, ReviewsAtWork working, CancellationToken stop) =>
                {
                    var now = await working.OfAsync(at, stop);
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
