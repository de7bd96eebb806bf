using Microsoft.AspNetCore.Mvc;
using Wendro.Core.Units;
using Wendro.Formats.Archive;
using Wendro.Host.Pipeline;
using Wendro.Host.Work;
using Wendro.Store;

namespace Wendro.Host.Keep;

/// <summary>The whole of the data as it is, saved and put back while the program runs.</summary>
internal static class BackupEndpoints
{
    /// <summary>Largest backup taken, bytes.</summary>
    private const long MostBytes = 4L * 1024 * 1024 * 1024;

    public static void MapBackup(this IEndpointRouteBuilder app)
    {
        var backup = app.MapGroup("/api").WithTags("Keep");

        backup
            .MapGet(
                "/backup",
                async (Backups backups, TimeProvider clock, CancellationToken stop) =>
                {
                    var path = Temporary();
                    await backups.WriteAsync(path, stop);
                    var stamp = clock
                        .GetLocalNow()
                        .ToString("yyyy-MM-dd-HHmm", System.Globalization.CultureInfo.InvariantCulture);
                    var file = new FileStream(
                        path,
                        FileMode.Open,
                        FileAccess.Read,
                        FileShare.None,
                        1 << 16,
                        FileOptions.DeleteOnClose | FileOptions.Asynchronous
                    );
                    return Results.Stream(file, ArchiveFile.MediaType, $"wendro-backup-{stamp}.zip");
                }
            )
            .Produces<byte[]>(contentType: ArchiveFile.MediaType)
            .WithName("GetBackup")
            .WithSummary("All of the data as it is, health and revisions with it; read back before it is sent");

        backup
            .MapPost(
                "/restore",
                async (HttpRequest request, Backups backups, Heads heads, CancellationToken stop) =>
                {
                    var path = Temporary();
                    try
                    {
                        await using (var file = new FileStream(path, FileMode.CreateNew, FileAccess.Write))
                        {
                            await request.Body.CopyToAsync(file, stop);
                        }

                        var restored = await backups.RestoreAsync(path, stop);
                        heads.ForgetPlans();
                        return Results.Ok(restored);
                    }
                    catch (Exception refused) when (refused is BackupRefusedException or NewerDataException)
                    {
                        throw new BadInputException([new Problem("backup", refused.Message)]);
                    }
                    finally
                    {
                        File.Delete(path);
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

    private static string Temporary() => Path.Combine(Path.GetTempPath(), $"wendro-{Guid.NewGuid():N}.zip");
}
