using Microsoft.AspNetCore.Mvc;
using Wendro.Formats.Archive;
using Wendro.Host.Pipeline;
using Wendro.Host.Work;
using Wendro.Store;
using Wendro.Units;

namespace Wendro.Host.Record;

/// <summary>The whole of the data as it is, saved and put back while the program runs.</summary>
internal static class BackupEndpoints
{
    /// <summary>Largest backup taken, bytes.</summary>
    private const long MostBytes = 4L * 1024 * 1024 * 1024;

    public static void MapBackup(this IEndpointRouteBuilder app)
    {
        var backup = app.MapGroup("/api").WithTags("Record");

        backup
            .MapGet(
                "/backup",
                async (Backups backups, TimeProvider clock, CancellationToken cancellationToken) =>
                {
                    // Written and read back whole before it is sent.
                    var file = TemporaryFile.New();
                    await backups.WriteAsync(file, cancellationToken);
                    file.Position = 0;
                    var stamp = clock
                        .GetLocalNow()
                        .ToString("yyyy-MM-dd-HHmm", System.Globalization.CultureInfo.InvariantCulture);
                    return Results.Stream(file, ArchiveFile.MediaType, $"wendro-backup-{stamp}.zip");
                }
            )
            .Produces<byte[]>(contentType: ArchiveFile.MediaType)
            .WithName("GetBackup")
            .WithSummary("All of the data as it is, health and revisions with it; read back before it is sent");

        backup
            .MapPost(
                "/restore",
                async (HttpRequest request, Backups backups, HeadCache heads, CancellationToken cancellationToken) =>
                {
                    await using var file = await TemporaryFile.ReceivedAsync(request, cancellationToken);
                    try
                    {
                        var restored = await backups.RestoreAsync(file, cancellationToken);
                        heads.ForgetPlans();
                        return Results.Ok(restored);
                    }
                    catch (Exception refused) when (refused is BackupRefusedException or NewerDataException)
                    {
                        throw new BadInputException([new Problem("backup", refused.Message)]);
                    }
                }
            )
            .WithMetadata(new RequestSizeLimitAttribute(MostBytes))
            .Accepts<byte[]>(ArchiveFile.MediaType)
            .Produces<BackupManifest>()
            .ProducesValidationProblem()
            .ProducesProblem(StatusCodes.Status413PayloadTooLarge)
            .ProducesProblem(StatusCodes.Status415UnsupportedMediaType)
            .WithName("PostRestore")
            .WithSummary("Puts a backup in the data's place, all of it or nothing; what was there is kept as a copy");
    }
}
