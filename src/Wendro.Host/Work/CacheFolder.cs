using System.IO.Compression;
using System.Security.Cryptography;
using System.Text;
using System.Threading.Channels;
using Wendro.Fall;

namespace Wendro.Host.Work;

/// <summary>
/// A folder beside the data where fallen and drawn hair is put away, so that a restart starts warm. Safe to delete,
/// never backed up, checked when read; written by the way, one after another. What another version of the program
/// made is thrown away.
/// </summary>
internal sealed class CacheFolder : IBlobCache, IHostedService, IDisposable
{
    /// <summary>Room it may take, bytes; the oldest goes first.</summary>
    public const long UsualBytes = 400L << 20;

    /// <summary>What waits to be written, each a few megabytes; more is not put away.</summary>
    private const int MostWaiting = 16;

    private const int HashBytes = 32;

    private readonly string root;
    private readonly long mostBytes;
    private long sinceTidy;
    private readonly string folder;
    private readonly Channel<(string Key, byte[] Bytes)> waiting = Channel.CreateBounded<(string, byte[])>(
        new BoundedChannelOptions(MostWaiting) { FullMode = BoundedChannelFullMode.DropWrite, SingleReader = true }
    );
    private Task writing = Task.CompletedTask;

    /// <param name="root">The folder; made where it is not there.</param>
    /// <param name="mostBytes">Room it may take, bytes, a quarter more at most between tidying.</param>
    public CacheFolder(string root, long mostBytes = UsualBytes)
    {
        this.mostBytes = mostBytes;
        // Another build of Core may let hair fall otherwise.
        var version = typeof(FallenHair).Module.ModuleVersionId.ToString("N");
        this.root = root;
        folder = Path.Combine(root, version);
    }

    /// <inheritdoc/>
    public byte[]? Find(string key)
    {
        try
        {
            var path = PathOf(key);
            if (!File.Exists(path))
            {
                return null;
            }

            var kept = File.ReadAllBytes(path);
            var hash = kept.AsSpan(0, Math.Min(HashBytes, kept.Length));
            if (kept.Length <= HashBytes || !SHA256.HashData(kept.AsSpan(HashBytes)).AsSpan().SequenceEqual(hash))
            {
                File.Delete(path);
                return null;
            }

            using var inflate = new DeflateStream(
                new MemoryStream(kept, HashBytes, kept.Length - HashBytes),
                CompressionMode.Decompress
            );
            using var into = new MemoryStream(kept.Length * 3);
            inflate.CopyTo(into);
            return into.ToArray();
        }
        catch (Exception unreadable)
            when (unreadable is IOException or UnauthorizedAccessException or InvalidDataException)
        {
            return null;
        }
    }

    /// <inheritdoc/>
    public void Put(string key, byte[] bytes) => waiting.Writer.TryWrite((key, bytes));

    /// <inheritdoc/>
    public Task StartAsync(CancellationToken cancellationToken)
    {
        writing = Task.Run(WriteAsync, CancellationToken.None);
        return Task.CompletedTask;
    }

    /// <inheritdoc/>
    public Task StopAsync(CancellationToken cancellationToken)
    {
        waiting.Writer.TryComplete();
        return writing.WaitAsync(cancellationToken);
    }

    /// <inheritdoc/>
    public void Dispose() => waiting.Writer.TryComplete();

    private async Task WriteAsync()
    {
        Tidy();
        await foreach (var (key, bytes) in waiting.Reader.ReadAllAsync())
        {
            try
            {
                Write(PathOf(key), bytes);
            }
            catch (Exception full) when (full is IOException or UnauthorizedAccessException)
            {
                // What can't be put away is made anew.
            }
        }
    }

    private void Write(string path, byte[] bytes)
    {
        Directory.CreateDirectory(folder);
        using var packed = new MemoryStream();
        packed.Write(new byte[HashBytes]);
        using (var deflate = new DeflateStream(packed, CompressionLevel.Fastest, leaveOpen: true))
        {
            deflate.Write(bytes);
        }

        var whole = packed.GetBuffer().AsSpan(0, (int)packed.Length);
        SHA256.HashData(whole[HashBytes..], whole);

        // Whole or not at all.
        var beside = path + ".new";
        using (var file = File.Create(beside))
        {
            file.Write(whole);
        }

        File.Move(beside, path, overwrite: true);
        sinceTidy += whole.Length;
        if (sinceTidy > mostBytes / 4)
        {
            Tidy();
        }
    }

    /// <summary>Throws away what other versions made, and the oldest of what takes too much room.</summary>
    private void Tidy()
    {
        sinceTidy = 0;
        try
        {
            if (!Directory.Exists(root))
            {
                return;
            }

            foreach (var other in Directory.GetDirectories(root).Where(d => d != folder))
            {
                Directory.Delete(other, recursive: true);
            }

            var room = mostBytes;
            foreach (
                var file in new DirectoryInfo(root)
                    .GetFiles("*", SearchOption.AllDirectories)
                    .OrderByDescending(f => f.LastWriteTimeUtc)
            )
            {
                room -= file.Length;
                if (room < 0)
                {
                    file.Delete();
                }
            }
        }
        catch (Exception busy) when (busy is IOException or UnauthorizedAccessException)
        {
            // It is only a cache: next time.
        }
    }

    private string PathOf(string key) =>
        Path.Combine(folder, Convert.ToHexStringLower(SHA256.HashData(Encoding.UTF8.GetBytes(key)))[..40]);
}
