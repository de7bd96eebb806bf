using System.Globalization;
using System.Text;
using CsvHelper;
using CsvHelper.Configuration;
using Wendro.Mix;
using Wendro.Units;

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

    private static readonly CsvTable Table = new(ShelfColumns.Names, ["kind", "name"], "product", "products", MostRows);

    // Its cells write an apostrophe where one is needed themselves.
    private static readonly CsvConfiguration Writing = new(CultureInfo.InvariantCulture) { NewLine = "\r\n" };

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
        var products = new List<Product>();
        var rows = new Dictionary<string, int>();
        var problems = Table.Read(
            bytes,
            (row, cells, found) =>
            {
                if (ShelfColumns.ProductOf(cells, found) is not { } product)
                {
                    return;
                }

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
        );
        return problems.Count > 0 ? new([], problems) : new(products, []);
    }
}
