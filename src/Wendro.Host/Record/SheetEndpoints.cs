using System.Globalization;
using Wendro.Blend;
using Wendro.Colour;
using Wendro.Fall;
using Wendro.Formats;
using Wendro.Formats.Pages;
using Wendro.Host.Pipeline;
using Wendro.Host.Work;
using Wendro.Store;

namespace Wendro.Host.Record;

/// <summary>What is printed, given away or taken elsewhere: sheets, chart, tables.</summary>
internal static class SheetEndpoints
{
    public static void MapSheets(this IEndpointRouteBuilder app)
    {
        var record = app.MapVisit("/record", "Record");

        record
            .MapGet(
                "/care.pdf",
                async (
                    VisitContext at,
                    RecordContexts keeps,
                    TimeProvider clock,
                    CancellationToken cancellationToken
                ) =>
                {
                    var kept = await keeps.OfAsync(at, cancellationToken);
                    var lines = kept.Kept.Care?.Split('\n') ?? kept.Care.Select(c => c.ToString());
                    return Pdf(at, Sheets.AfterCare(Of(at, clock), lines), "after-care");
                }
            )
            .Produces<byte[]>(contentType: Sheets.MediaType)
            .WithName("GetCareSheet")
            .WithSummary("After-care in a large face, as PDF");

        record
            .MapGet(
                "/record.pdf",
                async (
                    VisitContext at,
                    RecordContexts keeps,
                    TimeProvider clock,
                    CancellationToken cancellationToken
                ) =>
                {
                    var kept = await keeps.OfAsync(at, cancellationToken);
                    return Pdf(at, Sheets.RecipeCard(Of(at, clock), kept.Record, CameOut(kept.Tone)), "record");
                }
            )
            .Produces<byte[]>(contentType: Sheets.MediaType)
            .WithName("GetRecordSheet")
            .WithSummary("The recipe card: steps, bowls as weighed, what came out, as PDF");

        record
            .MapGet(
                "/note.pdf",
                async (
                    VisitContext at,
                    RecordContexts keeps,
                    TimeProvider clock,
                    CancellationToken cancellationToken
                ) =>
                    Pdf(
                        at,
                        Sheets.ClientNote(Of(at, clock), (await keeps.OfAsync(at, cancellationToken)).Record.Promised),
                        "note"
                    )
            )
            .Produces<byte[]>(contentType: Sheets.MediaType)
            .WithName("GetNoteSheet")
            .WithSummary("What was said to the client, in the words used, as PDF");

        record
            .MapGet(
                "/chart.pdf",
                async (
                    VisitContext at,
                    ServiceContexts services,
                    TimeProvider clock,
                    CancellationToken cancellationToken
                ) =>
                    Pdf(
                        at,
                        Sheets.Chart(Of(at, clock), (await services.OfAsync(at, cancellationToken)).Mix.Head),
                        "chart"
                    )
            )
            .Produces<byte[]>(contentType: Sheets.MediaType)
            .WithName("GetChartSheet")
            .WithSummary("The panels numbered as they are painted, and with what, as PDF");

        record
            .MapGet(
                "/chart.svg",
                async (VisitContext at, ServiceContexts services, CancellationToken cancellationToken) =>
                    Results.Text(
                        new PanelChart((await services.OfAsync(at, cancellationToken)).Mix.Head).ToSvg(),
                        "image/svg+xml"
                    )
            )
            .Produces<string>(contentType: "image/svg+xml")
            .WithName("GetChart")
            .WithSummary("The panels numbered as they are painted, as SVG");

        record
            .MapGet(
                "/facts.csv",
                async (
                    VisitContext at,
                    Services services,
                    Reviews reviews,
                    Tonings tonings,
                    RecordFacts keepings,
                    CancellationToken cancellationToken
                ) =>
                {
                    var visit = at.Visit.Id;
                    var facts = ((await services.OfAsync(visit, cancellationToken))?.Facts ?? [])
                        .Select(f => new FactRowOut("apply", f.Number, f.At, f.Fact))
                        .Concat(
                            (await reviews.FactsOfAsync(visit, cancellationToken)).Select(f => new FactRowOut(
                                "review",
                                f.Number,
                                f.At,
                                f.Fact
                            ))
                        )
                        .Concat(
                            (await tonings.FactsOfAsync(visit, cancellationToken)).Select(f => new FactRowOut(
                                "tone",
                                f.Number,
                                f.At,
                                f.Fact
                            ))
                        )
                        .Concat(
                            (await keepings.FactsOfAsync(visit, cancellationToken)).Select(f => new FactRowOut(
                                "keep",
                                f.Number,
                                f.At,
                                f.Fact
                            ))
                        );
                    return Csv(at, FactsFile.Facts(facts), "facts");
                }
            )
            .Produces<string>(contentType: FactsFile.MediaType)
            .WithName("GetFactsFile")
            .WithSummary("All that happened at the visit, fact by fact, as CSV");

        record
            .MapGet(
                "/readings.csv",
                async (VisitContext at, ReviewContexts reviews, CancellationToken cancellationToken) =>
                {
                    var found = (await reviews.OfAsync(at, cancellationToken)).Found;
                    return Csv(
                        at,
                        ReadingsFile.Write(found.Read.OrderBy(r => r.Zone).ThenBy(r => r.Depth)),
                        "readings"
                    );
                }
            )
            .Produces<string>(contentType: FactsFile.MediaType)
            .WithName("GetReadingsFile")
            .WithSummary("What was read against what was planned, as CSV");
    }

    /// <summary>The head as it left, from three quarters and from behind.</summary>
    private static byte[] CameOut(ToneContext tone)
    {
        var hair = tone.HairIn(0);
        return PictureFile.Png(
            [.. Angles.Select(a => Picture.Colour(tone.Review.Planned.Looks.Seen(Wear.Down, a), hair, Palette.Raw))],
            View.Width
        );
    }

    private static readonly int[] Angles = [30, 180];

    private static SheetOf Of(VisitContext at, TimeProvider clock) =>
        new(at.Visit.Client, TimeZoneInfo.ConvertTime(at.Visit.StartsAt, clock.LocalTimeZone));

    private static IResult Pdf(VisitContext at, byte[] pdf, string what) =>
        Results.Bytes(pdf, Sheets.MediaType, Named(at, what, "pdf"));

    private static IResult Csv(VisitContext at, string csv, string what) =>
        Results.File(System.Text.Encoding.UTF8.GetBytes(csv), FactsFile.MediaType, Named(at, what, "csv"));

    private static string Named(VisitContext at, string what, string kind) =>
        $"{what}-{at.Visit.StartsAt.UtcDateTime.ToString("yyyy-MM-dd", CultureInfo.InvariantCulture)}.{kind}";
}
