namespace Wendro.Host.Pipeline;

/// <summary>Files that are too large for memory while they are sent or received: gone when they are closed.</summary>
internal static class TemporaryFile
{
    /// <summary>An empty one.</summary>
    public static FileStream New() =>
        new(
            Path.Combine(Path.GetTempPath(), $"wendro-{Guid.NewGuid():N}.zip"),
            FileMode.CreateNew,
            FileAccess.ReadWrite,
            FileShare.None,
            1 << 16,
            FileOptions.DeleteOnClose | FileOptions.Asynchronous
        );

    /// <summary>What was sent, from its beginning.</summary>
    public static async Task<FileStream> ReceivedAsync(HttpRequest request, CancellationToken cancellationToken)
    {
        var file = New();
        try
        {
            await request.Body.CopyToAsync(file, cancellationToken);
            file.Position = 0;
            return file;
        }
        catch
        {
            await file.DisposeAsync();
            throw;
        }
    }
}
