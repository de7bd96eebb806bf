using System.Globalization;
using System.Text;
using CsvHelper;
using CsvHelper.Configuration;
using Wendro.Core.Mix;
using Wendro.Core.Units;

namespace Wendro.Formats;

/// <summary>Products read from a file, or what can't be taken of it, by row and column; never both.</summary>
public sealed record ShelfRead(IReadOnlyList<Product> Products, IReadOnlyList<Problem> Problems);

/// <summary>
/// The shelf as CSV: UTF-8, commas, one row a product, one header; cells that a kind of product does not have stay
/// empty. Figures are written
/// to the last digit, with a point. Text that a spreadsheet would run as a formula is written with an apostrophe
/// before it, which reading takes off.
/// </summary>
public static class ShelfFile
{
    /// <summary>Most rows taken at once.</summary>
    public const int MostRows = 20_000;

    private static readonly string[] Needed = ["kind", "name"];

    /// <summary>Most problems told at once.</summary>
    private const int MostProblems = 100;

    private static readonly CsvConfiguration Writing = new(CultureInfo.InvariantCulture) { NewLine = "\r\n" };

    /// <summary>
    /// As tables come: any line ending, and semicolons where a spreadsheet of that country writes them.
    /// </summary>
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

    /// <summary>Writes products.</summary>
    public static byte[] Write(IEnumerable<Product> products)
    {
        ArgumentNullException.ThrowIfNull(products);
        using var memory = new MemoryStream();
        using (var text = new StreamWriter(memory, new UTF8Encoding(true)))
        using (var csv = new CsvWriter(text, Writing))
        {
            foreach (var column in ShelfColumns.Names)
            {
                csv.WriteField(column);
            }

            csv.NextRecord();
            foreach (var product in products)
            {
                var cells = ShelfColumns.CellsOf(product);
                foreach (var column in ShelfColumns.Names)
                {
                    csv.WriteField(cells.GetValueOrDefault(column, string.Empty));
                }

                csv.NextRecord();
            }
        }

        return memory.ToArray();
    }

    /// <summary>Columns in which two products differ.</summary>
    public static IReadOnlyList<string> Differences(Product before, Product after)
    {
        var (a, b) = (ShelfColumns.CellsOf(before), ShelfColumns.CellsOf(after));
        return ShelfColumns
            .Names.Where(c => a.GetValueOrDefault(c, string.Empty) != b.GetValueOrDefault(c, string.Empty))
            .ToArray();
    }

    /// <summary>Reads products; the file is looked through whole before anything is said.</summary>
    /// <exception cref="FileRefusedException">Not UTF-8 text, or no such table.</exception>
    public static ShelfRead Read(byte[] bytes)
    {
        ArgumentNullException.ThrowIfNull(bytes);
        var text = TextOf(bytes);
        using var csv = new CsvReader(new StringReader(text), Reading(text));
        try
        {
            return Read(csv);
        }
        catch (CsvHelperException problem)
        {
            throw new FileRefusedException(
                $"The file can't be read as CSV near row {problem.Context?.Parser?.RawRow ?? 0}."
            );
        }
    }

    private static ShelfRead Read(CsvReader csv)
    {
        if (!csv.Read() || !csv.ReadHeader() || csv.HeaderRecord is not { } header)
        {
            throw new FileRefusedException("The file is empty: a header with column names is needed.");
        }

        var problems = new List<Problem>();
        foreach (var column in header.Where(c => !ShelfColumns.Names.Contains(c)))
        {
            problems.Add(
                new(
                    "row 1",
                    $"There is no column \"{Short(column)}\". Columns: {string.Join(", ", ShelfColumns.Names)}."
                )
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

        if (problems.Count > 0)
        {
            return new([], problems);
        }

        var products = new List<Product>();
        var rows = new Dictionary<string, int>();
        while (csv.Read() && problems.Count < MostProblems)
        {
            var row = csv.Parser.RawRow;
            if (products.Count == MostRows)
            {
                throw new FileRefusedException($"At most {MostRows:N0} products at once.");
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
            if (ShelfColumns.ProductOf(cells, found) is { } product)
            {
                found.AddRange(
                    ProductChecks.Of(product).Select(p => p with { Field = ShelfColumns.ColumnOf(p.Field) })
                );
                if (!rows.TryAdd(product.Name.ToLowerInvariant(), row))
                {
                    found.Add(
                        new("name", $"\"{product.Name}\" is in row {rows[product.Name.ToLowerInvariant()]} already.")
                    );
                }

                products.Add(product);
            }

            problems.AddRange(found.Select(p => p with { Field = $"row {row}, {p.Field}" }));
        }

        if (problems.Count == 0 && products.Count == 0)
        {
            throw new FileRefusedException("There is no product in the file.");
        }

        return problems.Count > 0 ? new([], problems) : new(products, []);
    }

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
