using Microsoft.Data.Sqlite;

namespace Wendro.Store;

/// <summary>
/// Copies of the data file from before it was changed as a whole: brought up to date by a newer program, or restored
/// from a backup. The latest three stay.
/// </summary>
/// <param name="folder">Where; made when first needed.</param>
/// <param name="clock">Names them by their moment.</param>
public sealed class SafetyCopies(string folder, TimeProvider clock)
{
    /// <summary>Most that are kept.</summary>
    public const int Most = 3;

    /// <summary>The copies, the latest first.</summary>
    public IReadOnlyList<string> All =>
        Directory.Exists(folder)
            ? Directory.GetFiles(folder, "*.db").OrderDescending(StringComparer.Ordinal).ToArray()
            : [];

    /// <summary>Keeps a copy of a data file as it stands.</summary>
    /// <param name="file">The data file.</param>
    /// <param name="why">In a word, for its name.</param>
    public string Keep(string file, string why)
    {
        Directory.CreateDirectory(folder);
        var stamp = clock
            .GetUtcNow()
            .ToString("yyyyMMdd'T'HHmmss'Z'", System.Globalization.CultureInfo.InvariantCulture);
        var path = Path.Combine(folder, $"{stamp}-{why}.db");
        var half = $"{path}.half";
        File.Delete(half);
        using (var from = SqliteFiles.Open(file))
        using (var to = SqliteFiles.Open(half))
        {
            from.BackupDatabase(to);
        }

        File.Move(half, path, overwrite: true);
        foreach (var old in All.Skip(Most))
        {
            File.Delete(old);
        }

        return path;
    }

    /// <summary>Takes all of them away: they hold whoever was deleted since.</summary>
    /// <returns>How many there were.</returns>
    public int Purge()
    {
        var all = All;
        foreach (var copy in all)
        {
            using (var file = new FileStream(copy, FileMode.Open, FileAccess.Write))
            {
                file.Write(new byte[file.Length]);
                file.Flush(flushToDisk: true);
            }

            File.Delete(copy);
        }

        return all.Count;
    }
}

/// <summary>Data files beside the one at work.</summary>
internal static class SqliteFiles
{
    /// <summary>Opens a file by itself: closed, it is let go of.</summary>
    public static SqliteConnection Open(string file)
    {
        var connection = new SqliteConnection($"Data Source={file};Pooling=False;Default Timeout=15");
        connection.Open();
        return connection;
    }

    /// <summary>What is wrong with a file; null where all of it can be read.</summary>
    public static string? Wrong(SqliteConnection file)
    {
        using var command = file.CreateCommand();
        command.CommandText = "PRAGMA integrity_check(1)";
        return command.ExecuteScalar() as string is var said && said == "ok" ? null : said ?? "nothing can be read";
    }
}
