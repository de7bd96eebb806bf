using Wendro.Blend;
using Wendro.Colour;
using Wendro.Consult;
using Wendro.Fall;
using Wendro.Formats;
using Wendro.Host.Pipeline;
using Wendro.Host.Work;
using Wendro.Record;
using Wendro.Review;
using Wendro.Store;
using Wendro.Units;

namespace Wendro.Host.Record;

/// <summary>What was said when a visit was put away, as it stands.</summary>
/// <param name="Words">The sentence the artist added; null for none.</param>
/// <param name="Styled">How it was styled; null where nobody said.</param>
/// <param name="Care">After-care in own words; null as written.</param>
/// <param name="CareGivenAt">When after-care was given; null while it wasn't.</param>
/// <param name="PutAwayAt">When the visit was put away; null while it wasn't.</param>
internal sealed record KeptView(
    string? Words,
    string? Styled,
    string? Care,
    DateTimeOffset? CareGivenAt,
    DateTimeOffset? PutAwayAt
);

/// <summary>A visit's record and what is done at its end.</summary>
/// <param name="Facts">How many facts were said when it was put away.</param>
/// <param name="ClientId">Whose.</param>
/// <param name="Client">Her name.</param>
/// <param name="StartsAt">When the visit started.</param>
/// <param name="Record">The record, written by the facts.</param>
/// <param name="Kept">What was said when it was put away.</param>
/// <param name="Next">When each service is due again, the soonest first.</param>
/// <param name="WeeksBetween">How often she comes, weeks.</param>
/// <param name="Care">After-care as written here, line by line.</param>
/// <param name="NextVisit">Her next visit where there is one already: its id and when.</param>
/// <param name="LastVisit">The visit before; null where there is none.</param>
internal sealed record RecordView(
    int Facts,
    Guid ClientId,
    string Client,
    DateTimeOffset StartsAt,
    VisitRecord Record,
    KeptView Kept,
    IReadOnlyList<ServiceInterval> Next,
    double WeeksBetween,
    IReadOnlyList<Sentence> Care,
    IReadOnlyList<NextVisitView> NextVisit,
    Guid? LastVisit
)
{
    public static RecordView Of(VisitContext at, RecordContext keep, IReadOnlyList<NextVisitView> next, Guid? last) =>
        new(
            keep.Facts,
            at.Visit.ClientId,
            at.Visit.Client,
            at.Visit.StartsAt,
            keep.Record,
            new(keep.Kept.Words, keep.Kept.Styled, keep.Kept.Care, keep.Kept.CareGivenAt, keep.Kept.PutAwayAt),
            keep.Next,
            at.Visit.Consultation.WeeksBetween,
            keep.Care,
            next,
            last
        );
}

/// <summary>A visit that is booked.</summary>
internal sealed record NextVisitView(Guid VisitId, DateTimeOffset StartsAt);

/// <summary>Something said when a visit is put away.</summary>
/// <param name="Id">Given by who says it, so that said twice it counts once.</param>
/// <param name="Fact">What.</param>
internal sealed record RecordSaid(Guid Id, RecordFact Fact);

/// <summary>Record: the record writes itself, the artist adds a sentence, the client gets her after-care.</summary>
internal static class RecordEndpoints
{
    public static void MapRecord(this IEndpointRouteBuilder app)
    {
        // The stage was once called Keep: whoever was written for it finds the record.
        app.Map(
                "/api/visits/{visit:guid}/keep/{**rest}",
                (Guid visit, string? rest, HttpRequest request) =>
                    Results.Redirect(
                        $"/api/visits/{visit}/record{(rest is null ? "" : $"/{rest}")}{request.QueryString}",
                        permanent: true,
                        preserveMethod: true
                    )
            )
            .ExcludeFromDescription();
        var record = app.MapVisit("/record", "Record");

        record
            .MapGet(
                "",
                async (VisitContext at, RecordContexts keeps, Visits visits, CancellationToken cancellationToken) =>
                    Results.Ok(await ViewAsync(at, keeps, visits, cancellationToken))
            )
            .Produces<RecordView>()
            .WithName("GetRecord")
            .WithSummary("What was done and what came out, after-care, and when each service is due again");

        record
            .MapPost(
                "/facts",
                async (
                    VisitContext at,
                    HttpRequest request,
                    RecordContexts keeps,
                    RecordFacts keepings,
                    Visits visits,
                    CancellationToken cancellationToken
                ) =>
                {
                    var body = await JsonBody.ReadAsync<RecordSaid>(request);
                    var sum = body.Fact is VisitClosed { Is: true }
                        ? SumOf(at, await keeps.OfAsync(at, cancellationToken))
                        : null;
                    var problems = await keepings.AddAsync(at.Visit.Id, body.Id, body.Fact, sum, cancellationToken);
                    if (problems.Count > 0)
                    {
                        throw new BadInputException(problems);
                    }

                    return Results.Ok(await ViewAsync(at, keeps, visits, cancellationToken));
                }
            )
            .Accepts<RecordSaid>("application/json")
            .Produces<RecordView>()
            .ProducesValidationProblem()
            .WithName("PostKeepFact")
            .WithSummary("Adds a sentence, after-care in own words, that it was given, that the visit is put away");

        record
            .MapGet(
                "/hair",
                async (VisitContext at, double? weeks, ToneContexts tones, CancellationToken cancellationToken) =>
                    weeks is not null && !(weeks is >= 0 and <= MostWeeks)
                        ? throw new BadInputException([new("weeks", $"Between 0 and {MostWeeks} weeks.")])
                        : Results.Bytes(
                            (await tones.OfAsync(at, cancellationToken)).HairIn(weeks ?? 0).ByTurns(),
                            "application/octet-stream"
                        )
            )
            .Produces<byte[]>(contentType: "application/octet-stream")
            .ProducesValidationProblem()
            .WithName("GetKeptHair")
            .WithSummary("Level byte and tint byte by turns of the head as it left, so many weeks later");

        record
            .MapGet(
                "/picture",
                async (VisitContext at, int? width, ToneContexts tones, CancellationToken cancellationToken) =>
                {
                    if (width is < LeastWidth or > View.Width)
                    {
                        throw new BadInputException([new("width", $"Between {LeastWidth} and {View.Width} pixels.")]);
                    }

                    var left = await tones.OfAsync(at, cancellationToken);
                    var seen = left.Review.Planned.Looks.Seen(Wear.Down, ThreeQuarter);
                    return Results.Bytes(
                        PictureFile.Png(Picture.Colour(seen, left.HairIn(0), Palette.Raw), width ?? View.Width),
                        "image/png"
                    );
                }
            )
            .Produces<byte[]>(contentType: "image/png")
            .ProducesValidationProblem()
            .WithName("GetKeptPicture")
            .WithSummary("The head as it left, from three quarters, as a PNG picture");
    }

    private const int LeastWidth = 16,
        ThreeQuarter = 30;

    private const double MostWeeks = 52;

    private static async Task<RecordView> ViewAsync(
        VisitContext at,
        RecordContexts keeps,
        Visits visits,
        CancellationToken cancellationToken
    )
    {
        var next = await visits.NextAfterAsync(at.Visit.ClientId, at.Visit.StartsAt, cancellationToken);
        return RecordView.Of(
            at,
            await keeps.OfAsync(at, cancellationToken),
            next is { } there ? [new(there.Id, there.StartsAt)] : [],
            await visits.LastBeforeAsync(at.Visit.ClientId, at.Visit.StartsAt, cancellationToken)
        );
    }

    /// <summary>How far the forecast was off is told by the minutes that really were.</summary>
    private static VisitSum SumOf(VisitContext at, RecordContext keep)
    {
        var review = keep.Tone.Review;
        return VisitSum.Of(
            keep.Record,
            review
                .Review.Readings.Values.Select(r => r.Level - review.Depths.At(review.Happened.Levels, r.Zone, r.Depth))
                .ToArray(),
            Safety.Stops(at.Visit.Consultation, at.Visit.Hair, at.Visit.StartsAt).Count > 0
        );
    }
}
