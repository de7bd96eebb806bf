using System.Net.Http.Headers;
using Wendro.Formats.Archive;
using Wendro.Host.Pipeline;
using Wendro.Store;

namespace Wendro.Host.Start;

/// <summary>What the program does instead of serving: --backup FILE, --restore FILE.</summary>
internal static class Commands
{
    /// <summary>Does it, where one is asked for.</summary>
    /// <param name="services">The program's services.</param>
    /// <param name="configuration">What was asked for.</param>
    /// <returns>How it ended; null where the program is to serve.</returns>
    public static async Task<int?> RunAsync(IServiceProvider services, IConfiguration configuration)
    {
        var (backup, restore) = (configuration["backup"], configuration["restore"]);
        if (backup is null && restore is null)
        {
            return null;
        }

        var settings = services.GetRequiredService<Settings>();
        var backups = services.GetRequiredService<Backups>();
        try
        {
            if (backup is not null)
            {
                if (!File.Exists(settings.DataFile))
                {
                    throw new BackupRefusedException($"There is no data in {settings.DataFolder}.");
                }

                Say(await backups.WriteAsync(Path.GetFullPath(backup), default), $"saved in {backup}, read back");
                return 0;
            }

            if (!File.Exists(restore))
            {
                throw new BackupRefusedException($"There is no file {restore}.");
            }

            await using var file = File.OpenRead(restore);
            var restored =
                await ThroughServerAsync(settings, file) ?? await backups.RestoreAsync(file, CancellationToken.None);
            Say(restored, $"restored into {settings.DataFolder}; what was there is kept in its folder copies");
            return 0;
        }
        catch (Exception problem)
            when (problem is BackupRefusedException or NewerDataException or IOException or UnauthorizedAccessException)
        {
            await Console.Error.WriteLineAsync($"wendro: {problem.Message}");
            return 1;
        }
    }

    /// <summary>
    /// A server that is at work on the data restores it itself, for it holds plans in its memory; null where none is.
    /// </summary>
    private static async Task<BackupManifest?> ThroughServerAsync(Settings settings, Stream file)
    {
        if (ServerLock.AddressIn(settings.DataFolder) is not { } address)
        {
            return null;
        }

        using var http = new HttpClient { BaseAddress = new(address), Timeout = Timeout.InfiniteTimeSpan };
        using var content = new StreamContent(file);
        content.Headers.ContentType = new MediaTypeHeaderValue(ArchiveFile.MediaType);
        using var answer = await http.PostAsync(new Uri("/api/restore", UriKind.Relative), content);
        if (!answer.IsSuccessStatusCode)
        {
            throw new BackupRefusedException(
                $"The server at work refused it: {await answer.Content.ReadAsStringAsync()}"
            );
        }

        return await answer.Content.ReadFromJsonAsync<BackupManifest>(Formats.WendroJson.Options);
    }

    private static void Say(BackupManifest backup, string how) =>
        Console.WriteLine(
            $"{backup.Clients} clients, {backup.Visits} visits and {backup.Photographs} photographs {how}."
        );
}
