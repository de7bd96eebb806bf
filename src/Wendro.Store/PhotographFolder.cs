using System.Security.Cryptography;

namespace Wendro.Store;

/// <summary>
/// Photographs as files beside the data, each named by its content: what is kept twice lies there once.
/// </summary>
/// <param name="folder">Where; made when first needed.</param>
public sealed class PhotographFolder(string folder)
{
    /// <summary>The name of a content: its SHA-256 in small letters.</summary>
    public static string NameOf(byte[] jpeg) => Convert.ToHexStringLower(SHA256.HashData(jpeg));

    /// <summary>
    /// Keeps a photograph: written to the disk under another name and flushed before it gets its own, so that a power
    /// cut leaves all of it or nothing.
    /// </summary>
    /// <returns>Its name.</returns>
    public async Task<string> KeepAsync(byte[] jpeg, CancellationToken cancellationToken)
    {
        var name = NameOf(jpeg);
        var path = PathOf(name);
        if (File.Exists(path))
        {
            return name;
        }

        Directory.CreateDirectory(Path.GetDirectoryName(path)!);
        var half = $"{path}.{Guid.NewGuid():N}.half";
        await using (var file = new FileStream(half, FileMode.CreateNew, FileAccess.Write))
        {
            await file.WriteAsync(jpeg, cancellationToken);
            file.Flush(flushToDisk: true);
        }

        File.Move(half, path, overwrite: true);
        return name;
    }

    /// <summary>Whether there is a photograph of a name.</summary>
    public bool Has(string name) => File.Exists(PathOf(name));

    /// <summary>A photograph; null where there is none, or what lies there is not what it was.</summary>
    public async Task<byte[]?> FindAsync(string name, CancellationToken cancellationToken)
    {
        var path = PathOf(name);
        if (!File.Exists(path))
        {
            return null;
        }

        var jpeg = await File.ReadAllBytesAsync(path, cancellationToken);
        return NameOf(jpeg) == name ? jpeg : null;
    }

    /// <summary>Takes one away: overwritten first, so that nothing is left to be found.</summary>
    public void Remove(string name)
    {
        var path = PathOf(name);
        if (!File.Exists(path))
        {
            return;
        }

        using (var file = new FileStream(path, FileMode.Open, FileAccess.Write))
        {
            file.Write(new byte[file.Length]);
            file.Flush(flushToDisk: true);
        }

        File.Delete(path);
    }

    private string PathOf(string name) => Path.Combine(folder, name[..2], $"{name}.jpg");
}
