using System.IO.Compression;
using System.Text.Json;
using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore;

namespace Wendro.Store;

/// <summary>A file is no backup, or not all of one; nothing was changed.</summary>
public sealed class BackupRefusedException(string why) : Exception($"{why} Nothing was changed.");

/// <summary>What a backup holds.</summary>
/// <param name="Format">Always <see cref="Backups.Name"/>.</param>
/// <param name="Version">Version of the layout.</param>
/// <param name="At">When it was written.</param>
/// <param name="Clients">How many clients.</param>
/// <param name="Visits">How many visits.</param>
/// <param name="Photographs">How many photographs.</param>
public sealed record BackupManifest(
    string Format,
    int Version,
    DateTimeOffset At,
    int Clients,
    int Visits,
    int Photographs
);

/// <summary>
/// The whole of the data in one file, as it is: with health, revisions and all. Written and restored while the program
/// runs; read back and looked through before it counts.
/// </summary>
/// <param name="data">The data folder.</param>
/// <param name="photographs">Its photographs.</param>
/// <param name="copies">Where the data is kept that a restore replaces.</param>
/// <param name="clock">Says when a backup was written.</param>
public sealed class Backups(string data, PhotographFolder photographs, SafetyCopies copies, TimeProvider clock)
{
    /// <summary>What the format is called.</summary>
    public const string Name = "wendro-backup";

    private const int Version = 1;
    private const string Manifest = "manifest.json",
        Data = "wendro.db",
        PhotographsIn = "photographs/";

    private string DataFile => Path.Combine(data, Data);

    /// <summary>Writes a backup, reads it back, and only then gives it its name.</summary>
    /// <param name="file">Where to; one that is there is replaced.</param>
    /// <param name="cancellationToken">Cancels.</param>
    /// <exception cref="BackupRefusedException">What was written can't be read back.</exception>
    public async Task<BackupManifest> WriteAsync(string file, CancellationToken cancellationToken)
    {
        var half = $"{file}.half";
        try
        {
            BackupManifest written;
            await using (var to = new FileStream(half, FileMode.Create, FileAccess.ReadWrite))
            {
                written = await WriteAsync(to, cancellationToken);
                to.Flush(flushToDisk: true);
            }

            File.Move(half, file, overwrite: true);
            return written;
        }
        finally
        {
            File.Delete(half);
        }
    }

    /// <summary>Writes a backup and reads it back.</summary>
    /// <param name="to">Where to, from its beginning; can be gone back in, and is left open.</param>
    /// <param name="cancellationToken">Cancels.</param>
    /// <exception cref="BackupRefusedException">What was written can't be read back.</exception>
    public async Task<BackupManifest> WriteAsync(Stream to, CancellationToken cancellationToken)
    {
        using (var work = new WorkFolder(data))
        {
            var copy = work.PathOf(Data);
            using (var from = SqliteFiles.Open(DataFile))
            using (var into = SqliteFiles.Open(copy))
            {
                from.BackupDatabase(into);
            }

            await using var zip = new ZipArchive(to, ZipArchiveMode.Create, leaveOpen: true);
            await ZipAsync(zip, copy, cancellationToken);
        }

        using var opened = await OpenAsync(to, cancellationToken);
        return opened.Manifest;
    }

    private async Task ZipAsync(ZipArchive zip, string copy, CancellationToken cancellationToken)
    {
        var (manifest, names) = Look(copy);
        await zip.CreateEntryFromFileAsync(copy, Data, CompressionLevel.Optimal, cancellationToken);
        var count = 0;
        foreach (var name in names)
        {
            if (await photographs.FindAsync(name, cancellationToken) is { } jpeg)
            {
                var entry = zip.CreateEntry($"{PhotographsIn}{name}.jpg", CompressionLevel.NoCompression);
                await using var into = await entry.OpenAsync(cancellationToken);
                await into.WriteAsync(jpeg, cancellationToken);
                count++;
            }
        }

        await using var said = await zip.CreateEntry(Manifest).OpenAsync(cancellationToken);
        await JsonSerializer.SerializeAsync(
            said,
            manifest with
            {
                Photographs = count,
            },
            Formats.WendroJson.Options,
            cancellationToken
        );
    }

    /// <summary>
    /// Puts a backup in the data's place, all of it or nothing: what was there is kept as a copy first. One of an older
    /// program is brought up to date before.
    /// </summary>
    /// <param name="backup">The backup; can be gone back in, and is left open.</param>
    /// <param name="cancellationToken">Cancels until the data is replaced.</param>
    /// <exception cref="BackupRefusedException">It is none, or not all of one.</exception>
    /// <exception cref="NewerDataException">A newer program wrote it.</exception>
    public async Task<BackupManifest> RestoreAsync(Stream backup, CancellationToken cancellationToken)
    {
        using var opened = await OpenAsync(backup, cancellationToken);
        new Visits(StudioContext.OptionsFor(opened.DataFile), clock).Migrate();
        // Contents first: a row never names what isn't there. One that nothing names harms nobody.
        foreach (var name in opened.Photographs)
        {
            await photographs.KeepAsync(opened.Photograph(name), cancellationToken);
        }

        if (File.Exists(DataFile))
        {
            copies.Keep(DataFile, "before-restore");
        }

        // One transaction of the data file: whoever is killed in it leaves what was there.
        using var from = SqliteFiles.Open(opened.DataFile);
        using var to = SqliteFiles.Open(DataFile);
        for (var t = 0; ; t++)
        {
            try
            {
                from.BackupDatabase(to);
                break;
            }
            catch (SqliteException busy) when (busy.SqliteErrorCode is 5 or 6 && t < Tries)
            {
                // Somebody is writing: their turn first.
                await Task.Delay(Between, CancellationToken.None);
            }
        }

        return opened.Manifest;
    }

    /// <summary>Takes away what a backup or restore that was killed left lying about.</summary>
    public void Sweep()
    {
        if (!Directory.Exists(data))
        {
            return;
        }

        foreach (var left in Directory.GetDirectories(data, $"{WorkFolder.Prefix}*"))
        {
            Directory.Delete(left, recursive: true);
        }
    }

    private const int Tries = 100;
    private static readonly TimeSpan Between = TimeSpan.FromMilliseconds(50);

    private (BackupManifest Manifest, IReadOnlyList<string> Photographs) Look(string file)
    {
        using var db = new StudioContext(StudioContext.OptionsFor(file));
        var names = db.Photographs.Select(p => p.Name).Distinct().OrderBy(n => n).ToArray();
        var manifest = new BackupManifest(
            Name,
            Version,
            clock.GetUtcNow(),
            db.Clients.Count(),
            db.Visits.Count(),
            names.Length
        );
        SqliteConnection.ClearPool((SqliteConnection)db.Database.GetDbConnection());
        return (manifest, names);
    }

    private async Task<Opened> OpenAsync(Stream backup, CancellationToken cancellationToken)
    {
        var work = new WorkFolder(data);
        try
        {
            var zip = Zip(backup);
            var manifest = await ManifestAsync(zip, cancellationToken);
            var entry = zip.GetEntry(Data) ?? throw new BackupRefusedException("The backup has no data file.");
            await entry.ExtractToFileAsync(work.PathOf(Data), cancellationToken);
            using (var copy = SqliteFiles.Open(work.PathOf(Data)))
            {
                if (SqliteFiles.Wrong(copy) is { } wrong)
                {
                    throw new BackupRefusedException($"The backup's data file is damaged: {wrong}.");
                }
            }

            var opened = new Opened(work, zip, manifest);
            if (opened.Photographs.Count != manifest.Photographs)
            {
                throw new BackupRefusedException("The backup lacks photographs.");
            }

            foreach (var name in opened.Photographs)
            {
                if (PhotographFolder.NameOf(opened.Photograph(name)) != name)
                {
                    throw new BackupRefusedException($"The backup's photograph {name} is damaged.");
                }
            }

            return opened;
        }
        catch (Exception problem) when (problem is InvalidDataException or SqliteException or JsonException)
        {
            work.Dispose();
            throw new BackupRefusedException($"The backup is damaged: {problem.Message}.");
        }
        catch
        {
            work.Dispose();
            throw;
        }
    }

    private static ZipArchive Zip(Stream backup)
    {
        try
        {
            return new(backup, ZipArchiveMode.Read, leaveOpen: true);
        }
        catch (InvalidDataException)
        {
            throw new BackupRefusedException("This is not a zip file, or only a part of one.");
        }
    }

    private static async Task<BackupManifest> ManifestAsync(ZipArchive zip, CancellationToken cancellationToken)
    {
        if (zip.GetEntry(Manifest) is not { } entry)
        {
            throw new BackupRefusedException($"This is not a {Name}: it has no {Manifest}.");
        }

        await using var stream = await entry.OpenAsync(cancellationToken);
        var manifest = await JsonSerializer.DeserializeAsync<BackupManifest>(
            stream,
            Formats.WendroJson.Options,
            cancellationToken
        );
        return manifest switch
        {
            { Format: Name, Version: Version } => manifest,
            { Format: Name, Version: > Version } => throw new BackupRefusedException(
                "This backup was written by a newer Wendro. Update Wendro."
            ),
            _ => throw new BackupRefusedException($"This is not a {Name}: its {Manifest} does not say so."),
        };
    }

    /// <summary>A backup that was looked through, its data file laid out.</summary>
    private sealed class Opened(WorkFolder work, ZipArchive zip, BackupManifest manifest) : IDisposable
    {
        public BackupManifest Manifest => manifest;

        public string DataFile => work.PathOf(Data);

        public IReadOnlyList<string> Photographs { get; } =
            zip
                .Entries.Where(e => e.FullName.StartsWith(PhotographsIn, StringComparison.Ordinal))
                .Select(e => Path.GetFileNameWithoutExtension(e.Name))
                .ToArray();

        public byte[] Photograph(string name)
        {
            using var stream = zip.GetEntry($"{PhotographsIn}{name}.jpg")!.Open();
            using var memory = new MemoryStream();
            stream.CopyTo(memory);
            return memory.ToArray();
        }

        public void Dispose()
        {
            zip.Dispose();
            SqliteConnection.ClearAllPools();
            work.Dispose();
        }
    }

    /// <summary>A folder to work in, beside the data; gone when it is done with.</summary>
    private sealed class WorkFolder : IDisposable
    {
        /// <summary>How such a folder's name begins.</summary>
        public const string Prefix = "backup-";

        private readonly string folder;

        public WorkFolder(string data)
        {
            folder = Path.Combine(data, $"{Prefix}{Guid.NewGuid():N}");
            Directory.CreateDirectory(folder);
        }

        public string PathOf(string name) => Path.Combine(folder, name);

        public void Dispose() => Directory.Delete(folder, recursive: true);
    }
}
