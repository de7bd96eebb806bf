using System.Globalization;
using System.Text;
using CsvHelper;
using CsvHelper.Configuration;
using Wendro.Units;

namespace Wendro.Formats;

/// <summary>
/// A table that comes as CSV, looked through whole before anything is said: UTF-8, one header, any line ending,
/// semicolons where a spreadsheet of that country writes them.
/// </summary>
/// <param name="Columns">The columns there are.</param>
/// <param name="Needed">Those that have to be there.</param>
/// <param name="One">What a row is, in a word.</param>
/// <param name="Many">What rows are.</param>
/// <param name="MostRows">Most rows taken at once.</param>
internal sealed record CsvTable(
    IReadOnlyList<string> Columns,
    IReadOnlyList<string> Needed,
    string One,
    string Many,
    int MostRows
)
{
    /// <summary>Most problems told at once.</summary>
    private const int MostProblems = 100;

    private static readonly CsvConfiguration Writing = new(CultureInfo.InvariantCulture)
    {
        NewLine = "\r\n",
        InjectionOptions = InjectionOptions.Escape,
    };

    /// <summary>A table as text.</summary>
    public static string Written(string[] header, IEnumerable<string[]> rows)
    {
        using var text = new StringWriter(CultureInfo.InvariantCulture);
        using (var csv = new CsvWriter(text, Writing))
        {
            foreach (var row in rows.Prepend(header))
            {
                foreach (var cell in row)
                {
                    csv.WriteField(cell);
                }

                csv.NextRecord();
            }
        }

        return text.ToString();
    }

    /// <summary>Reads a table.</summary>
    /// <param name="bytes">The file.</param>
    /// <param name="take">Takes a row: its number in the file, its cells by column, and what is wrong with it.</param>
    /// <returns>What can't be taken, by row and column; where there is something, nothing is.</returns>
    /// <exception cref="FileRefusedException">Not UTF-8 text, no such table, too many rows, or none.</exception>
    public IReadOnlyList<Problem> Read(
        byte[] bytes,
        Action<int, IReadOnlyDictionary<string, string>, List<Problem>> take
    )
    {
        ArgumentNullException.ThrowIfNull(bytes);
        var text = TextOf(bytes);
        using var csv = new CsvReader(new StringReader(text), Reading(text));
        try
        {
            return Read(csv, take);
        }
        catch (CsvHelperException problem)
        {
            throw new FileRefusedException(
                $"The file can't be read as CSV near row {problem.Context?.Parser?.RawRow ?? 0}."
            );
        }
    }

    private List<Problem> Read(CsvReader csv, Action<int, IReadOnlyDictionary<string, string>, List<Problem>> take)
    {
        if (!csv.Read() || !csv.ReadHeader() || csv.HeaderRecord is not { } header)
        {
            throw new FileRefusedException("The file is empty: a header with column names is needed.");
        }

        var problems = OfHeader(header);
        if (problems.Count > 0)
        {
            return problems;
        }

        var rows = 0;
        while (csv.Read() && problems.Count < MostProblems)
        {
            var row = csv.Parser.RawRow;
            if (++rows > MostRows)
            {
                throw new FileRefusedException($"At most {MostRows:N0} {Many} at once.");
            }

            if (csv.Parser.Count > header.Length)
            {
                problems.Add(
                    new(
                        $"row {row}",
                        $"{csv.Parser.Count} cells, and there are {header.Length} columns: a comma too many, or "
                            + $"a quotation mark too few."
                    )
                );
                continue;
            }

            var cells = header
                .Select((column, i) => (column, Text: i < csv.Parser.Count ? csv.Parser[i] : string.Empty))
                .ToDictionary(c => c.column, c => c.Text);
            var found = new List<Problem>();
            take(row, cells, found);
            problems.AddRange(found.Select(p => p with { Field = $"row {row}, {p.Field}" }));
        }

        return problems.Count == 0 && rows == 0
            ? throw new FileRefusedException($"There is no {One} in the file.")
            : problems;
    }

    private List<Problem> OfHeader(string[] header)
    {
        var problems = new List<Problem>();
        foreach (var column in header.Where(c => !Columns.Contains(c)))
        {
            problems.Add(
                new("row 1", $"There is no column \"{Short(column)}\". Columns: {string.Join(", ", Columns)}.")
            );
        }

        foreach (var twice in header.GroupBy(c => c).Where(g => g.Count() > 1))
        {
            problems.Add(new("row 1", $"The column \"{Short(twice.Key)}\" is there twice."));
        }

        foreach (var needed in Needed.Except(header))
        {
            problems.Add(new("row 1", $"The column \"{needed}\" is needed."));
        }

        return problems;
    }

    private static CsvConfiguration Reading(string text) =>
        new(CultureInfo.InvariantCulture)
        {
            Delimiter =
                text.Split('\n')[0] is var header
                && header.Contains(';', StringComparison.Ordinal)
                && !header.Contains(',', StringComparison.Ordinal)
                    ? ";"
                    : ",",
            TrimOptions = TrimOptions.None,
            BadDataFound = null,
            MissingFieldFound = null,
            DetectColumnCountChanges = false,
        };

    private static string TextOf(byte[] bytes)
    {
        if (bytes is [0xFF, 0xFE, ..] or [0xFE, 0xFF, ..])
        {
            throw new FileRefusedException("The file is UTF-16. Save it as CSV in UTF-8.");
        }

        try
        {
            var text = new UTF8Encoding(false, true).GetString(bytes).TrimStart('\uFEFF');
            return text.Contains('\0', StringComparison.Ordinal)
                ? throw new FileRefusedException("This is not a text file.")
                : text;
        }
        catch (DecoderFallbackException problem)
        {
            var line = 1 + bytes.AsSpan(0, Math.Clamp(problem.Index, 0, bytes.Length)).Count((byte)'\n');
            throw new FileRefusedException(
                $"Row {line} is not UTF-8: another encoding was used. Save it as CSV in UTF-8."
            );
        }
    }

    private static string Short(string text) => text.Length <= 40 ? text : text[..40] + "…";
}
