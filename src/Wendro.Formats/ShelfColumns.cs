using System.Globalization;
using System.Text.Json;
using Wendro.Mix;
using Wendro.Units;

namespace Wendro.Formats;

/// <summary>Which cell of the shelf's table holds what of a product.</summary>
internal static class ShelfColumns
{
    /// <summary>All columns in their order.</summary>
    public static IReadOnlyList<string> Names { get; } =
    [
        "kind",
        "name",
        "unit",
        "price",
        "onHand",
        "lowAt",
        "lot",
        "openedOn",
        "type",
        "ratedLevels",
        "ratedLevelsSource",
        "dryingMinutes",
        "dryingMinutesSource",
        "workingMinutes",
        "workingMinutesSource",
        "swells",
        "scalpSafe",
        "heatAllowed",
        "limitMinutes",
        "limitMinutesSource",
        "windowMinutes",
        "windowMinutesSource",
        "ratios",
        "scoopGrams",
        "volume",
        "depth",
        "reflect",
        "base",
        "developerParts",
        "developerVolume",
        "minutes",
        "gramsPerGram",
        "openAirGramsPerGram",
        "slows",
        "slowsSource",
        "covering",
        "sheetCm",
    ];

    /// <summary>The column of a field that was checked.</summary>
    public static string ColumnOf(string field) =>
        field.StartsWith("stock.", StringComparison.Ordinal) ? field[6..] : field;

    /// <summary>A product's cells.</summary>
    public static Dictionary<string, string> CellsOf(Product product)
    {
        ArgumentNullException.ThrowIfNull(product);
        var cells = new Dictionary<string, string>
        {
            ["name"] = Harmless(product.Name),
            ["unit"] = Word(product.Stock.Unit),
        };
        void Number(string column, double? value) =>
            cells[column] = value?.ToString("R", CultureInfo.InvariantCulture) ?? string.Empty;
        void Said(string column, Sourced said)
        {
            Number(column, said.Value);
            cells[$"{column}Source"] = Word(said.Source);
        }

        void Whether(string column, bool so) => cells[column] = so ? "yes" : "no";
        Number("price", product.Stock.Price);
        Number("onHand", product.Stock.OnHand);
        Number("lowAt", product.Stock.LowAt);
        cells["lot"] = Harmless(product.Stock.Lot ?? string.Empty);
        cells["openedOn"] =
            product.Stock.OpenedOn?.ToString("yyyy-MM-dd", CultureInfo.InvariantCulture) ?? string.Empty;
        switch (product)
        {
            case LightenerProduct p:
                cells["kind"] = "lightener";
                cells["type"] = Word(p.Type);
                Said("ratedLevels", p.RatedLevels);
                Said("dryingMinutes", p.DryingMinutes);
                Said("workingMinutes", p.WorkingMinutes);
                Said("limitMinutes", p.LimitMinutes);
                Said("windowMinutes", p.WindowMinutes);
                Whether("swells", p.Swells);
                Whether("scalpSafe", p.ScalpSafe);
                Whether("heatAllowed", p.HeatAllowed);
                cells["ratios"] = string.Join(';', p.Ratios.Select(r => r.ToString("R", CultureInfo.InvariantCulture)));
                Number("scoopGrams", p.ScoopGrams);
                break;
            case DeveloperProduct p:
                cells["kind"] = "developer";
                Number("volume", p.Volume);
                break;
            case ShadeProduct p:
                cells["kind"] = "shade";
                Number("depth", p.Depth);
                cells["reflect"] = Word(p.Reflect);
                cells["base"] = Word(p.Base);
                Number("developerParts", p.DeveloperParts);
                Number("developerVolume", p.DeveloperVolume);
                Number("minutes", p.Minutes);
                break;
            case AdditiveProduct p:
                cells["kind"] = "additive";
                Number("gramsPerGram", p.GramsPerGram);
                Number("openAirGramsPerGram", p.OpenAirGramsPerGram);
                Said("slows", p.Slows);
                break;
            case CoveringProduct p:
                cells["kind"] = "covering";
                cells["covering"] = Word(p.Covering);
                Number("sheetCm", p.SheetCm);
                break;
        }

        return cells;
    }

    /// <summary>The product of a row; null where something can't be read, which is then told.</summary>
    public static Product? ProductOf(IReadOnlyDictionary<string, string> cells, List<Problem> problems)
    {
        var row = new CsvRow(cells, problems);
        var stock = new Stock(
            row.Word<StockUnit>("unit", StockUnit.Gram),
            row.Number("price"),
            row.Number("onHand"),
            row.Number("lowAt"),
            row.Text("lot"),
            row.Date("openedOn")
        );
        var name = row.Text("name") ?? string.Empty;
        Product? product = cells["kind"].Trim() switch
        {
            "lightener" => new LightenerProduct(
                name,
                stock,
                row.Word<Wendro.Lift.Lightener>("type"),
                row.Sourced("ratedLevels"),
                row.Sourced("dryingMinutes"),
                row.Sourced("workingMinutes"),
                row.Whether("swells"),
                row.Whether("scalpSafe"),
                row.Whether("heatAllowed"),
                row.Sourced("limitMinutes"),
                row.Sourced("windowMinutes"),
                row.Numbers("ratios"),
                row.Number("scoopGrams")
            ),
            "developer" => new DeveloperProduct(name, stock, row.Volume("volume")),
            "shade" => new ShadeProduct(
                name,
                stock,
                row.Level("depth"),
                row.Word<Wendro.Colour.Reflect>("reflect"),
                row.Word<ShadeBase>("base"),
                row.Needed("developerParts"),
                row.Volume("developerVolume"),
                row.Minutes("minutes")
            ),
            "additive" => new AdditiveProduct(
                name,
                stock,
                row.Needed("gramsPerGram"),
                row.Needed("openAirGramsPerGram"),
                row.Sourced("slows")
            ),
            "covering" => new CoveringProduct(
                name,
                stock,
                row.Word<Wendro.Paint.Covering>("covering"),
                row.Needed("sheetCm")
            ),
            _ => null,
        };
        if (product is null)
        {
            problems.Add(new("kind", "One of lightener, developer, shade, additive, covering."));
            return null;
        }

        var has = CellsOf(product).Keys;
        problems.AddRange(
            cells
                .Where(c => c.Value.Trim().Length > 0 && !has.Contains(c.Key))
                .Select(c => new Problem(c.Key, $"A {cells["kind"].Trim()} has no such thing: leave the cell empty."))
        );

        var isRead = problems.Count == 0;
        problems.AddRange(row.Unfit);
        return isRead ? product : null;
    }

    private static string Word<T>(T value)
        where T : struct, Enum => JsonNamingPolicy.CamelCase.ConvertName(value.ToString());

    /// <summary>Text that no spreadsheet runs.</summary>
    private static string Harmless(string text) =>
        IsRun(text) || (text.StartsWith('\'') && IsRun(text[1..].TrimStart('\''))) ? "'" + text : text;

    /// <summary>Whether a spreadsheet would run a text as a formula.</summary>
    internal static bool IsRun(string text) => text.Length > 0 && text[0] is '=' or '+' or '-' or '@' or '\t' or '\r';
}
