using Wendro.Formats;
using Wendro.Head;
using Wendro.Host.Pipeline;
using Wendro.Host.Work;
using Wendro.Review;
using Wendro.Store;

namespace Wendro.Host.Review;

/// <summary>A reading that a file brings.</summary>
/// <param name="Zone">Where on the head.</param>
/// <param name="Depth">Where along the hair.</param>
/// <param name="Was">The level that stood, dry; null where nobody had read.</param>
/// <param name="Becomes">The level the file says, dry.</param>
internal sealed record ReadingBrought(Zone Zone, Depth Depth, double? Was, double Becomes);

/// <summary>What a file of readings would do to a review.</summary>
/// <param name="Added">Places nobody had read.</param>
/// <param name="Changed">Places read otherwise.</param>
/// <param name="Unchanged">How many it leaves as they are.</param>
internal sealed record ReadingsPreview(
    IReadOnlyList<ReadingBrought> Added,
    IReadOnlyList<ReadingBrought> Changed,
    int Unchanged
)
{
    public static ReadingsPreview Of(ReadingsImport readings)
    {
        var brought = readings
            .Told.Select(t => new ReadingBrought(t.Becomes.Zone, t.Becomes.Depth, t.Was, t.Becomes.Level.Value))
            .ToLookup(r => r.Was is null);
        return new([.. brought[true]], [.. brought[false]], readings.Same);
    }
}

/// <summary>Readings that were written down elsewhere, taken in from CSV.</summary>
internal static class ReadingsEndpoints
{
    private const string Csv = FactsFile.MediaType;

    public static void MapReadings(this IEndpointRouteBuilder app)
    {
        var readings = app.MapVisit("/review/readings", "Review");

        readings
            .MapPost(
                "/preview",
                async (
                    VisitContext at,
                    HttpRequest request,
                    ReviewContexts working,
                    CancellationToken cancellationToken
                ) =>
                    Results.Ok(
                        ReadingsPreview.Of(await ReadAsync(request, await working.OfAsync(at, cancellationToken)))
                    )
            )
            .Accepts<string>(Csv)
            .Produces<ReadingsPreview>()
            .ProducesValidationProblem()
            .WithName("PostReadingsPreview")
            .WithSummary("What a CSV file of readings would change; stores nothing");

        readings
            .MapPost(
                "",
                async (
                    VisitContext at,
                    HttpRequest request,
                    ReviewContexts working,
                    Reviews reviews,
                    LearntLifts learnt,
                    CancellationToken cancellationToken
                ) =>
                {
                    var read = await ReadAsync(request, await working.OfAsync(at, cancellationToken));
                    var facts = read.Told.Select(t => t.Says).ToArray();
                    var problems = await reviews.AddTogetherAsync(at.Visit.Id, facts, cancellationToken);
                    if (problems.Count > 0)
                    {
                        throw new BadInputException(problems);
                    }

                    var now = ReviewView.Of(await working.OfAsync(at, cancellationToken));
                    await learnt.TeachAsync(at.Visit.Id, now.Own, cancellationToken);
                    return Results.Ok(ReadingsPreview.Of(read));
                }
            )
            .Accepts<string>(Csv)
            .Produces<ReadingsPreview>()
            .ProducesValidationProblem()
            .WithName("PostReadings")
            .WithSummary(
                "Takes readings in from a CSV file, all of them or none; what stands so already is not said again"
            );
    }

    private static async Task<ReadingsImport> ReadAsync(HttpRequest request, ReviewContext review)
    {
        var read = ReadingsFile.Read(await JsonBody.BytesAsync(request, Csv));
        if (read.Problems.Count > 0)
        {
            throw new BadInputException(read.Problems);
        }

        var readings = ReadingsImport.Of(review.Review, read.Readings);
        var problems = readings.Told.SelectMany(t => review.Review.Against(t.Says, review.Facts)).Take(1).ToArray();
        return problems.Length > 0 ? throw new BadInputException(problems) : readings;
    }
}
