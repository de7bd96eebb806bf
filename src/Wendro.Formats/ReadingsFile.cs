using System.Globalization;
using System.Text.Json;
using Wendro.Head;
using Wendro.Lift;
using Wendro.Review;
using Wendro.Units;

namespace Wendro.Formats;

/// <summary>Readings read from a file, or what can't be taken of it, by row and column; never both.</summary>
public sealed record ReadingsRead(IReadOnlyList<DryReading> Readings, IReadOnlyList<Problem> Problems);

/// <summary>What was read of zones as CSV, out and in: levels as they are dry, one row a zone and depth.</summary>
public static class ReadingsFile
{
    private static readonly string[] Columns = ["zone", "depth", "planned", "read", "evenness", "undertone"];

    /// <summary>Every zone at every depth, and no place twice: no table is longer.</summary>
    private static readonly int MostRows = Enum.GetValues<Zone>().Length * Enum.GetValues<Depth>().Length;

    private static readonly CsvTable Table = new(Columns, ["zone", "depth", "read"], "reading", "readings", MostRows);

    /// <summary>Writes readings beside what was planned there.</summary>
    public static string Write(IEnumerable<PlaceDifference> readings)
    {
        ArgumentNullException.ThrowIfNull(readings);
        return CsvTable.Written(
            Columns,
            readings.Select(r =>
                new[]
                {
                    Name(r.Zone),
                    Name(r.Depth),
                    r.Planned.ToString(CultureInfo.InvariantCulture),
                    r.CameOut.ToString(CultureInfo.InvariantCulture),
                    Name(r.Evenness),
                    r.Undertone ?? string.Empty,
                }
            )
        );
    }

    /// <summary>Reads readings; what was planned there is not looked at.</summary>
    /// <exception cref="FileRefusedException">Not UTF-8 text, or no such table.</exception>
    public static ReadingsRead Read(byte[] bytes)
    {
        var readings = new List<DryReading>();
        var rows = new Dictionary<(Zone, Depth), int>();
        var problems = Table.Read(
            bytes,
            (row, cells, found) =>
            {
                var at = new CsvRow(cells, found);
                var reading = new DryReading(
                    at.Word<Zone>("zone"),
                    at.Word<Depth>("depth"),
                    at.Level("read"),
                    at.Word<Evenness>("evenness", Evenness.Even),
                    at.Text("undertone")
                );
                found.AddRange(at.Unfit);
                if (reading.Undertone is { } seen && Undertone.LevelOf(seen) is null)
                {
                    found.Add(new("undertone", $"One of {string.Join(", ", Undertone.All)}."));
                }

                if (found.Count == 0 && !rows.TryAdd((reading.Zone, reading.Depth), row))
                {
                    found.Add(new("zone", $"It is read there in row {rows[(reading.Zone, reading.Depth)]} already."));
                }

                readings.Add(reading);
            }
        );
        return problems.Count > 0 ? new([], problems) : new(readings, []);
    }

    private static string Name<T>(T value)
        where T : struct, Enum => JsonNamingPolicy.CamelCase.ConvertName(value.ToString());
}
