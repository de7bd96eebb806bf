using Microsoft.AspNetCore.Mvc;
using Wendro.Consult;
using Wendro.Formats;
using Wendro.Formats.Archive;
using Wendro.Host.Pipeline;
using Wendro.Host.Work;
using Wendro.Plans;
using Wendro.Store;
using Wendro.Units;

namespace Wendro.Host.Record;

/// <summary>What becomes, or became, of an archive.</summary>
/// <param name="Version">Version of its layout.</param>
/// <param name="Health">Whether answers about health are in it.</param>
/// <param name="New">How many things were not here.</param>
/// <param name="Changed">How many go on, or are other, than here.</param>
/// <param name="Same">How many are here just so.</param>
/// <param name="NewerHere">How many have gone on here since: they stay.</param>
/// <param name="Refused">How many can't be taken.</param>
/// <param name="Items">What is not just the same, what is refused first; up to 500.</param>
internal sealed record ArchiveView(
    int Version,
    bool Health,
    int New,
    int Changed,
    int Same,
    int NewerHere,
    int Refused,
    IReadOnlyList<ArchiveItem> Items
)
{
    private const int MostItems = 500;

    public static ArchiveView Of(ArchiveManifest manifest, IReadOnlyList<ArchiveItem> items)
    {
        int Count(Becomes becomes) => items.Count(i => i.Becomes == becomes);
        return new(
            manifest.Version,
            manifest.Health,
            Count(Becomes.New),
            Count(Becomes.Changed),
            Count(Becomes.Same),
            Count(Becomes.NewerHere),
            Count(Becomes.Refused),
            items
                .Where(i => i.Becomes != Becomes.Same)
                .OrderByDescending(i => i.Becomes == Becomes.Refused)
                .Take(MostItems)
                .ToArray()
        );
    }
}

/// <summary>The whole studio as one file, out and in.</summary>
internal static class ArchiveEndpoints
{
    /// <summary>Largest archive taken, bytes.</summary>
    private const long MostBytes = 2L * 1024 * 1024 * 1024;

    public static void MapArchive(this IEndpointRouteBuilder app)
    {
        var archive = app.MapGroup("/api/archive").WithTags("Record");

        archive
            .MapGet(
                "",
                async (bool? health, Archives archives, TimeProvider clock, CancellationToken cancellationToken) =>
                {
                    // Written whole before it is sent: what is cut off on the way is no archive.
                    var file = TemporaryFile.New();
                    await archives.WriteAsync(file, health == true, cancellationToken);
                    file.Position = 0;
                    var day = clock
                        .GetLocalNow()
                        .ToString("yyyy-MM-dd", System.Globalization.CultureInfo.InvariantCulture);
                    return Results.Stream(file, ArchiveFile.MediaType, $"wendro-{day}.zip");
                }
            )
            .Produces<byte[]>(contentType: ArchiveFile.MediaType)
            .WithName("GetArchive")
            .WithSummary("The whole studio as one file; answers about health only with health=true");

        Takes(
            archive.MapPost(
                "/preview",
                (
                    HttpRequest request,
                    Archives archives,
                    HeadCache heads,
                    TimeProvider clock,
                    CancellationToken cancellationToken
                ) => ReadAsync(request, heads, clock, archives.LookAsync, cancellationToken)
            ),
            "PostArchivePreview",
            "What would become of everything in an archive; changes nothing"
        );

        Takes(
            archive.MapPost(
                "",
                (
                    HttpRequest request,
                    Archives archives,
                    HeadCache heads,
                    TimeProvider clock,
                    CancellationToken cancellationToken
                ) => ReadAsync(request, heads, clock, archives.TakeAsync, cancellationToken)
            ),
            "PostArchive",
            "Takes what an archive has that is new or more than is here, all of it or nothing; twice changes nothing"
        );
    }

    private static async Task<IResult> ReadAsync(
        HttpRequest request,
        HeadCache heads,
        TimeProvider clock,
        Func<ArchiveReader, Func<ArchivedVisit, string?>, CancellationToken, Task<IReadOnlyList<ArchiveItem>>> reads,
        CancellationToken cancellationToken
    )
    {
        await using var file = await TemporaryFile.ReceivedAsync(request, cancellationToken);
        using var read = new ArchiveReader(file);
        var items = await reads(read, v => Wrong(v, heads, clock.GetLocalNow()), cancellationToken);
        return Results.Ok(ArchiveView.Of(read.Manifest, items));
    }

    private static void Takes(RouteHandlerBuilder route, string name, string summary) =>
        route
            .WithMetadata(new RequestSizeLimitAttribute(MostBytes))
            .Accepts<byte[]>(ArchiveFile.MediaType)
            .Produces<ArchiveView>()
            .ProducesValidationProblem()
            .ProducesProblem(StatusCodes.Status413PayloadTooLarge)
            .ProducesProblem(StatusCodes.Status415UnsupportedMediaType)
            .WithName(name)
            .WithSummary(summary);

    /// <summary>What is wrong with a visit beyond its form; null for nothing.</summary>
    private static string? Wrong(ArchivedVisit visit, HeadCache heads, DateTimeOffset now)
    {
        var (hair, consultation) = (visit.Hair.Value, visit.Consultation.Value);
        var problem = ConsultChecks.Of(hair).Concat(ConsultChecks.Of(consultation, now)).FirstOrDefault();
        if (problem is not null)
        {
            return $"{problem.Field}: {problem.Message}";
        }

        var shown = visit.Plan.Count == 0 ? null : visit.Plan.FirstOrDefault(r => r.Number == visit.Plan[^1].Shows);
        if (
            shown?.Plan is not { Value: var plan }
            || !IsRising(visit.Plan.Select(r => r.Number))
            || visit.Plan.Any(r => r.Plan is null && visit.Plan.All(s => s.Number != r.Shows || s.Plan is null))
        )
        {
            return "its plan has no revision to show.";
        }

        if (
            !IsCounted(visit.Review.Select(f => f.Number))
            || !IsCounted(visit.Toning.Select(f => f.Number))
            || !IsCounted(visit.Kept?.Select(f => f.Number) ?? [])
            || !IsCounted(visit.Service?.Facts.Select(f => f.Number) ?? [])
            || visit.Bowls.Any(b => !IsCounted(b.Events.Select(e => e.Number)))
            || (visit.Service is { } service && visit.Plan.All(r => r.Number != service.Revision))
        )
        {
            return "what happened is not numbered from 1 without gaps.";
        }

        _ = PlanEdits.Make(plan, heads.PlainCuttingFor(hair), out var problems);
        return problems.Count > 0 ? $"its plan: {problems[0].Field}: {problems[0].Message}" : null;
    }

    private static bool IsRising(IEnumerable<int> numbers) =>
        numbers.Aggregate((Last: 0, Rising: true), (a, n) => (n, a.Rising && n > a.Last)).Rising;

    private static bool IsCounted(IEnumerable<int> numbers) =>
        numbers.Select((n, i) => n == i + 1).All(isNext => isNext);
}
