using System.IO.Compression;
using System.Text.Json;

namespace Wendro.Formats.Archive;

/// <summary>
/// Reads an archive; what it is, is looked at when it is opened, visits one by one when they are asked for.
/// </summary>
public sealed class ArchiveReader : IDisposable
{
    /// <summary>No part of it is larger than this when it is unpacked, bytes: a small file that grows without end is
    /// refused.</summary>
    private const long MostBytes = 256L * 1024 * 1024;

    private readonly ZipArchive zip;

    /// <summary>Opens an archive.</summary>
    /// <param name="from">A stream that can be gone back in; left open.</param>
    /// <exception cref="FileRefusedException">It is no archive, or newer than this program.</exception>
    public ArchiveReader(Stream from)
    {
        try
        {
            zip = new(from, ZipArchiveMode.Read, leaveOpen: true);
        }
        catch (InvalidDataException)
        {
            throw new FileRefusedException("This is not a zip file, or only a part of one.");
        }

        var manifest = Json<ArchiveManifest>(ArchiveFile.Manifest);
        if (manifest.Format != ArchiveFile.Name)
        {
            throw new FileRefusedException($"This is not a {ArchiveFile.Name}: it does not say so in manifest.json.");
        }

        if (manifest.Version > ArchiveFile.Version)
        {
            throw new FileRefusedException(
                $"This archive was written by a newer Wendro (version {manifest.Version}; this one reads up to "
                    + $"{ArchiveFile.Version}). Update Wendro; nothing was changed."
            );
        }

        if (manifest.Version < 1)
        {
            throw new FileRefusedException("The archive does not say its version.");
        }

        Manifest = manifest;
        Clients = Json<IReadOnlyList<ArchivedClient>>(ArchiveFile.Clients);
        Studio = Json<ArchivedStudio>(ArchiveFile.Studio);
        Visits = zip
            .Entries.Select(e => e.FullName)
            .Where(n =>
                n.StartsWith(ArchiveFile.VisitFolder, StringComparison.Ordinal)
                && n.EndsWith(".json", StringComparison.Ordinal)
            )
            .Order(StringComparer.Ordinal)
            .ToArray();
    }

    /// <summary>What it is.</summary>
    public ArchiveManifest Manifest { get; }

    /// <summary>All clients.</summary>
    public IReadOnlyList<ArchivedClient> Clients { get; }

    /// <summary>What the studio keeps for itself.</summary>
    public ArchivedStudio Studio { get; }

    /// <summary>Names of the visits' files, in order.</summary>
    public IReadOnlyList<string> Visits { get; }

    /// <summary>A visit.</summary>
    /// <param name="file">Its file.</param>
    /// <exception cref="FileRefusedException">It can't be read; says where.</exception>
    public ArchivedVisit Visit(string file) => Json<ArchivedVisit>(file);

    /// <summary>A photograph's content; null where it isn't there, or is not what its name says.</summary>
    public byte[]? Photograph(string name)
    {
        if (zip.GetEntry($"{ArchiveFile.PhotographFolder}{name}.jpg") is not { Length: <= MostBytes } entry)
        {
            return null;
        }

        using var stream = entry.Open();
        using var memory = new MemoryStream();
        stream.CopyTo(memory);
        var content = memory.ToArray();
        return ArchiveFile.IsNamedFor(content, name) ? content : null;
    }

    /// <inheritdoc/>
    public void Dispose() => zip.Dispose();

    private T Json<T>(string name)
    {
        var entry = zip.GetEntry(name) ?? throw new FileRefusedException($"The archive has no {name}.");
        if (entry.Length > MostBytes)
        {
            throw new FileRefusedException($"{name} is too large.");
        }

        try
        {
            using var stream = entry.Open();
            return JsonSerializer.Deserialize<T>(stream, ArchiveFile.Options)
                ?? throw new FileRefusedException($"{name} is empty.");
        }
        catch (NewerDocumentException newer)
        {
            throw new FileRefusedException($"{name}: {newer.Message}");
        }
        catch (Exception problem)
            when (problem is JsonException or InvalidDataException or ArgumentException or InvalidOperationException)
        {
            throw new FileRefusedException($"{name}: {problem.Message}");
        }
    }
}
