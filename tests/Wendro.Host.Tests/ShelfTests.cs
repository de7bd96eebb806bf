using System.Text;
using System.Text.Json;
using System.Text.Json.Nodes;
using CsCheck;
using Wendro.Formats;
using Wendro.Mix;

namespace Wendro.Host.Tests;

/// <summary>The shelf: products kept, corrected, and as CSV in and out.</summary>
public sealed class ShelfTests : IDisposable
{
    private const string Developer =
        """{"product":{"kind":"developer","name":"Ebb 20","stock":{"unit":"millilitre","price":0.02,"onHand":900},"volume":20}}""";
    private readonly Server server = new();
    private readonly HttpClient http;

    public ShelfTests() => http = server.CreateClient();

    public void Dispose() => server.Dispose();

    private Task<(int Status, JsonNode? Body)> SendAsync(string path, string csv) =>
        http.PostAsync(path, csv, "text/csv");

    private async Task<int> CountAsync() => (await http.ReadAsync("/api/shelf")).AsArray().Count;

    [Fact]
    public async Task A_product_is_put_there_corrected_and_taken_off()
    {
        var (status, made) = await http.PostAsync("/api/shelf", Developer);
        Assert.Equal(201, status);
        var id = (string)made!["id"]!;
        var changed = Developer.Replace("900", "880", StringComparison.Ordinal).Insert(1, "\"baseVersion\":1,");
        Assert.Equal(200, await PutAsync(id, changed));
        Assert.Equal(409, await PutAsync(id, changed));
        Assert.Equal(404, await PutAsync(Guid.NewGuid().ToString(), changed));
        Assert.Equal(880, (double)(await http.ReadAsync("/api/shelf"))[0]!["product"]!["stock"]!["onHand"]!);
        Assert.Equal(204, (int)(await http.DeleteAsync(new Uri($"/api/shelf/{id}", UriKind.Relative))).StatusCode);
        Assert.Equal(0, await CountAsync());
    }

    private async Task<int> PutAsync(string id, string json)
    {
        using var content = new StringContent(json, Encoding.UTF8, "application/json");
        return (int)(await http.PutAsync(new Uri($"/api/shelf/{id}", UriKind.Relative), content)).StatusCode;
    }

    [Fact]
    public async Task No_two_have_one_name_and_bad_values_are_named_by_field()
    {
        await http.PostAsync("/api/shelf", Developer);
        var (status, twice) = await http.PostAsync(
            "/api/shelf",
            Developer.Replace("Ebb", "ebb", StringComparison.Ordinal)
        );
        Assert.Equal(400, status);
        Assert.Contains("already", (string)twice!["errors"]!["product.name"]![0]!);
        var (bad, problems) = await http.PostAsync(
            "/api/shelf",
            """{"product":{"kind":"developer","name":" ","stock":{"price":-1},"volume":40}}"""
        );
        Assert.Equal(400, bad);
        Assert.Equal(
            ["product.name", "product.stock.price"],
            problems!["errors"]!.AsObject().Select(e => e.Key).Order()
        );
        var (strong, said) = await http.PostAsync(
            "/api/shelf",
            Developer.Replace("\"volume\":20", "\"volume\":60", StringComparison.Ordinal)
        );
        Assert.Equal(400, strong);
        Assert.Equal("Between 5 and 40 vol.", (string)said!["errors"]!["product.volume"]![0]!);
        Assert.Equal(
            400,
            (await http.PostAsync("/api/shelf", """{"product":{"kind":"potion","name":"x","stock":{}}}""")).Status
        );
        Assert.Equal(1, await CountAsync());
    }

    [Fact]
    public async Task The_whole_shelf_comes_back_from_its_own_file()
    {
        var csv = Encoding.UTF8.GetString(ShelfFile.Write(GenericProducts.All));
        var (_, preview) = await SendAsync("/api/shelf/file/preview", csv);
        Assert.Equal(GenericProducts.All.Count, preview!["added"]!.AsArray().Count);
        Assert.Equal(0, await CountAsync());
        Assert.Equal(200, (await SendAsync("/api/shelf/file", csv)).Status);
        var file = await http.GetByteArrayAsync(new Uri("/api/shelf/file", UriKind.Relative));
        var (_, again) = await SendAsync("/api/shelf/file/preview", Encoding.UTF8.GetString(file));
        Assert.Equal(
            (0, 0, GenericProducts.All.Count),
            (again!["added"]!.AsArray().Count, again["changed"]!.AsArray().Count, (int)again["unchanged"]!)
        );
        Assert.Equal(
            GenericProducts.All.Select(p => JsonSerializer.Serialize(p, WendroJson.Options)).Order(),
            ShelfFile.Read(file).Products.Select(p => JsonSerializer.Serialize(p, WendroJson.Options)).Order()
        );

        var dearer = Encoding
            .UTF8.GetString(file)
            .Replace("Developer 20 vol,millilitre,,", "Developer 20 vol,millilitre,0.5,", StringComparison.Ordinal);
        var (_, changed) = await SendAsync("/api/shelf/file", dearer);
        Assert.Equal("price", (string)changed!["changed"]![0]!["columns"]![0]!);
    }

    [Fact]
    public async Task An_error_names_row_and_column_and_nothing_is_written()
    {
        var (status, body) = await SendAsync(
            "/api/shelf/file",
            "kind,name,volume,price\ndeveloper,Ebb 10,10,0.02\ndeveloper,Ebb 20,sixty,0.02\ndeveloper,Ebb 30,60,-1\ndeveloper,ebb 10,20,\npotion,Brew,,\n"
        );
        Assert.Equal(400, status);
        Assert.Equal(
            ["row 3, volume", "row 4, price", "row 4, volume", "row 5, name", "row 6, kind"],
            body!["errors"]!.AsObject().Select(e => e.Key).Order(StringComparer.Ordinal)
        );
        Assert.Equal(0, await CountAsync());
    }

    [Theory]
    [InlineData("", "file")]
    [InlineData("kind,name,colour\ndeveloper,a,1\n", "row 1")]
    [InlineData("name,volume\na,20\n", "row 1")]
    [InlineData("kind,name\n", "file")]
    [InlineData("kind,name,volume,volume\ndeveloper,a,20,20\n", "row 1")]
    [InlineData("kind,name,volume\ndeveloper,a,20,30\n", "row 2")]
    [InlineData("kind,name,volume,depth\ndeveloper,a,20,8\n", "row 2, depth")]
    [InlineData("kind,name,volume,openedOn\ndeveloper,a,20,yesterday\n", "row 2, openedOn")]
    public async Task A_table_that_is_none_is_refused(string csv, string field)
    {
        var (status, body) = await SendAsync("/api/shelf/file", csv);
        Assert.Equal(400, status);
        Assert.Contains(field, body!["errors"]!.AsObject().Select(e => e.Key));
        Assert.Equal(0, await CountAsync());
    }

    [Theory]
    [InlineData(new byte[] { 0xFF, 0xFE, 0x6B, 0 }, "UTF-16")]
    [InlineData(new byte[] { 0x6B, 0x0A, 0x6B, 0xE4, 0x6C }, "Row 2")]
    [InlineData(new byte[] { 0x6B, 0, 0x6C }, "not a text")]
    public async Task Another_encoding_is_said(byte[] bytes, string word)
    {
        using var content = new ByteArrayContent(bytes);
        content.Headers.ContentType = new("text/csv");
        var answer = await http.PostAsync(new Uri("/api/shelf/file", UriKind.Relative), content);
        Assert.Equal(400, (int)answer.StatusCode);
        Assert.Contains(word, await answer.Content.ReadAsStringAsync());
        Assert.Equal(415, (await http.PostAsync("/api/shelf/file", "{}")).Status);
    }

    [Fact]
    public async Task Ten_thousand_rows_are_taken_and_twenty_thousand_and_one_are_not()
    {
        static string Rows(int n) =>
            "kind,name,volume,unit,onHand\n"
            + string.Concat(
                Enumerable.Range(0, n).Select(i => $"developer,Ebb no {i},{5 + i % 36},millilitre,{i}.5\n")
            );
        var (status, body) = await SendAsync("/api/shelf/file", Rows(10_000));
        Assert.Equal(200, status);
        Assert.Equal(10_000, body!["added"]!.AsArray().Count);
        Assert.Equal(10_000, await CountAsync());
        Assert.Equal(400, (await SendAsync("/api/shelf/file", Rows(20_001))).Status);
    }

    [Fact]
    public void Text_a_spreadsheet_would_run_is_written_harmless_and_comes_back_as_it_was() =>
        Gen.OneOf(
                Gen.OneOfConst(
                    "=1+1",
                    "+cmd|' /C calc'!A0",
                    "-2",
                    "@SUM(A1)",
                    "'=1",
                    "''+1",
                    "plain, \"quoted\"",
                    "naïve ✓",
                    "'quoted'"
                ),
                Gen.String[Gen.Char[' ', '~'], 1, 40].Select(s => s.Trim()).Where(s => s.Length > 0)
            )
            .Sample(name =>
            {
                var product = new DeveloperProduct(name, new Stock(Lot: "=LOT()"), new(20));
                var bytes = ShelfFile.Write([product]);
                var read = ShelfFile.Read(bytes);
                Assert.Empty(read.Problems);
                Assert.Equal(product, Assert.Single(read.Products));
                using var cells = new CsvHelper.CsvParser(
                    new StringReader(Encoding.UTF8.GetString(bytes)),
                    System.Globalization.CultureInfo.InvariantCulture
                );
                Assert.True(cells.Read() && cells.Read());
                Assert.DoesNotContain(
                    cells.Record!,
                    c => c.Length > 0 && "=+-@".Contains(c[0], StringComparison.Ordinal)
                );
            });

    [Fact]
    public void Numbers_come_back_to_the_last_digit() =>
        Gen.Select(Gen.Double[0, 9999], Gen.Double[5, 40], Gen.Double[0, 99999])
            .Sample(
                (price, volume, left) =>
                {
                    var product = new DeveloperProduct(
                        "Ebb",
                        new Stock(StockUnit.Millilitre, price, left, left / 3, "L1", new DateOnly(2031, 5, 6)),
                        new(volume)
                    );
                    Assert.Equal(product, Assert.Single(ShelfFile.Read(ShelfFile.Write([product])).Products));
                }
            );
}
