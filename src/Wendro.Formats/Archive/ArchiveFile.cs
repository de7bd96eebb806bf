using System.IO.Compression;
using System.Security.Cryptography;
using System.Text.Json;

namespace Wendro.Formats.Archive;

/// <summary>
/// A studio as one file: a zip of JSON and photographs. The same studio always gives the same bytes. Layout in
/// docs/formats/archive.md.
/// </summary>
public static class ArchiveFile
{
    /// <summary>What the format is called.</summary>
    public const string Name = "wendro-archive";

    /// <summary>The newest layout read and written.</summary>
    public const int Version = 1;

    /// <summary>The media type.</summary>
    public const string MediaType = "application/zip";

    internal const string Manifest = "manifest.json",
        Clients = "clients.json",
        Studio = "studio.json",
        VisitFolder = "visits/",
        PhotographFolder = "photographs/";

    /// <summary>How everything in it is written.</summary>
    internal static JsonSerializerOptions Options { get; } = Make();

    /// <summary>Whether a content is what its name says.</summary>
    public static bool IsNamedFor(byte[] content, string name) =>
        Convert.ToHexStringLower(SHA256.HashData(content)) == name;

    /// <summary>A part of an archive as text: two are the same where this is.</summary>
    public static string TextOf<T>(T part) => JsonSerializer.Serialize(part, Options);

    private static JsonSerializerOptions Make()
    {
        var options = new JsonSerializerOptions(WendroJson.Options);
        options.Converters.Insert(0, new DocJson());
        return options;
    }
}

/// <summary>Writes an archive part by part.</summary>
public sealed class ArchiveWriter : IDisposable
{
    private readonly ZipArchive zip;

    /// <summary>No file of it says when it was written: the same studio gives the same bytes.</summary>
    private static readonly DateTimeOffset Always = new(2000, 1, 1, 0, 0, 0, TimeSpan.Zero);

    /// <summary>Begins an archive.</summary>
    /// <param name="to">Where to; left open.</param>
    public ArchiveWriter(Stream to) => zip = new(to, ZipArchiveMode.Create, leaveOpen: true);

    /// <summary>What it is.</summary>
    public void Add(ArchiveManifest manifest) => Json(ArchiveFile.Manifest, manifest);

    /// <summary>All clients.</summary>
    public void Add(IReadOnlyList<ArchivedClient> clients) => Json(ArchiveFile.Clients, clients);

    /// <summary>What the studio keeps for itself.</summary>
    public void Add(ArchivedStudio studio) => Json(ArchiveFile.Studio, studio);

    /// <summary>A visit.</summary>
    public void Add(ArchivedVisit visit)
    {
        ArgumentNullException.ThrowIfNull(visit);
        Json($"{ArchiveFile.VisitFolder}{visit.Id:D}.json", visit);
    }

    /// <summary>A photograph's content.</summary>
    public void Add(string name, byte[] jpeg)
    {
        ArgumentNullException.ThrowIfNull(jpeg);
        var entry = zip.CreateEntry($"{ArchiveFile.PhotographFolder}{name}.jpg", CompressionLevel.NoCompression);
        entry.LastWriteTime = Always;
        using var stream = entry.Open();
        stream.Write(jpeg);
    }

    /// <inheritdoc/>
    public void Dispose() => zip.Dispose();

    private void Json<T>(string name, T part)
    {
        var entry = zip.CreateEntry(name, CompressionLevel.Optimal);
        entry.LastWriteTime = Always;
        using var stream = entry.Open();
        JsonSerializer.Serialize(stream, part, ArchiveFile.Options);
    }
}
