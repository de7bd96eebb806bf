using System.Globalization;
using System.Xml.Linq;
using CsvHelper;
using PdfSharp.Pdf.IO;

namespace Wendro.Host.Tests;

/// <summary>Sheets, chart and tables of a visit, read back by what reads such files.</summary>
public sealed class SheetsTests
{
    private static async Task<(HttpClient Http, string Visit)> PaintedAsync(Server server)
    {
        var http = server.CreateClient();
        var visit = await http.NewVisitAsync("Ødegård of the sheets");
        var (status, body) = await http.EditAsync(
            visit,
            1,
            """
            {"kind":"together","edits":[
            {"kind":"paintZone","zone":"nape","paint":{"shape":"v","startCm":8,"dropCm":6,"blurCm":4}},
            {"kind":"paintZone","zone":"upperBack","paint":{"shape":"full","startCm":6,"blurCm":4}}]}
            """
        );
        Assert.True(status == 200, body?.ToJsonString());
        foreach (
            var fact in new[]
            {
                """{"kind":"state","wetness":"dry","washed":true,"light":"studio"}""",
                """{"kind":"read","zone":"nape","depth":"ends","level":6.5,"undertone":"orange"}""",
                """{"kind":"note","words":"=cmd, \"quoted\"\nand broken"}""",
            }
        )
        {
            var (said, answer) = await http.PostAsync(
                $"/api/visits/{visit}/review/facts",
                $$"""{"id":"{{Guid.NewGuid()}}","fact":{{fact}} }"""
            );
            Assert.True(said == 200, answer?.ToJsonString());
        }

        return (http, visit);
    }

    private static async Task<byte[]> GetAsync(HttpClient http, string visit, string file, string type)
    {
        using var answer = await http.GetAsync(new Uri($"/api/visits/{visit}/record/{file}", UriKind.Relative));
        Assert.True(answer.IsSuccessStatusCode, $"{file}: {answer.StatusCode}");
        Assert.Equal(type, answer.Content.Headers.ContentType!.MediaType);
        return await answer.Content.ReadAsByteArrayAsync();
    }

    private static int PagesOf(byte[] pdf, string title)
    {
        using var read = PdfReader.Open(new MemoryStream(pdf), PdfDocumentOpenMode.Import);
        Assert.StartsWith(title, read.Info.Title, StringComparison.Ordinal);
        return read.PageCount;
    }

    [Fact]
    public async Task Sheets_are_PDFs_that_open_and_go_on_over_as_many_pages_as_they_need()
    {
        using var server = new Server();
        var (http, visit) = await PaintedAsync(server);
        foreach (
            var (file, title) in new[]
            {
                ("care.pdf", "After-care for Ødegård"),
                ("record.pdf", "Recipe card of Ødegård"),
                ("note.pdf", "Note for Ødegård"),
                ("chart.pdf", "Chart of Ødegård"),
            }
        )
        {
            Assert.InRange(PagesOf(await GetAsync(http, visit, file, "application/pdf"), title), 1, 2);
        }

        var words = string.Join("\\n", Enumerable.Repeat("Wash it seldom and with " + new string('w', 200), 15));
        var (status, body) = await http.PostAsync(
            $"/api/visits/{visit}/record/facts",
            $$"""{"id":"{{Guid.NewGuid()}}","fact":{"kind":"care","words":"{{words}}"} }"""
        );
        Assert.True(status == 200, body?.ToJsonString());
        Assert.InRange(PagesOf(await GetAsync(http, visit, "care.pdf", "application/pdf"), "After-care"), 2, 6);
    }

    [Fact]
    public async Task The_chart_shows_every_panel_and_numbers_those_that_are_painted()
    {
        using var server = new Server();
        var (http, visit) = await PaintedAsync(server);
        var svg = XDocument.Parse(
            System.Text.Encoding.UTF8.GetString(await GetAsync(http, visit, "chart.svg", "image/svg+xml"))
        );
        XNamespace ns = "http://www.w3.org/2000/svg";
        var panels = (await http.ReadAsync($"/api/visits/{visit}/plan"))["panels"]!.AsArray();
        var groups = svg.Descendants(ns + "g").ToArray();
        Assert.Equal(
            panels.Select(p => (string)p!["key"]!).Order(),
            groups.Select(g => (string)g.Attribute("data-panel")!).Order()
        );
        var painted = panels.Where(p => p!["paint"] is not null).Select(p => (string)p!["key"]!).ToArray();
        var numbered = groups.Where(g => g.Element(ns + "text") is not null).ToArray();
        Assert.Equal(painted.Order(), numbered.Select(g => (string)g.Attribute("data-panel")!).Order());
        Assert.Equal(
            Enumerable.Range(1, painted.Length),
            numbered.Select(g => int.Parse(g.Element(ns + "text")!.Value, CultureInfo.InvariantCulture)).Order()
        );
    }

    [Fact]
    public async Task The_record_shows_the_head_as_it_left_and_a_panel_hangs_flat_as_a_drawing()
    {
        using var server = new Server();
        var (http, visit) = await PaintedAsync(server);
        using var record = PdfReader.Open(
            new MemoryStream(await GetAsync(http, visit, "record.pdf", "application/pdf")),
            PdfDocumentOpenMode.Import
        );
        var images = record
            .Pages.Cast<PdfSharp.Pdf.PdfPage>()
            .Select(p => p.Elements.GetDictionary("/Resources")?.Elements.GetDictionary("/XObject"))
            .Where(x => x is not null)
            .SelectMany(x => x!.Elements.Keys.Select(k => x.Elements.GetDictionary(k)!))
            .ToArray();
        Assert.Contains(images, i => i.Elements.GetInteger("/Width") == 1040);

        XNamespace ns = "http://www.w3.org/2000/svg";
        async Task<string[]> ColoursAsync(string panel, string part) =>
            [
                .. XDocument
                    .Parse(await http.GetStringAsync(At(panel)))
                    .Descendants(ns + "g")
                    .Single(g => (string)g.Attribute("data-part")! == part)
                    .Elements(ns + "rect")
                    .Select(r => (string)r.Attribute("fill")!),
            ];

        Uri At(string panel) => new($"/api/visits/{visit}/plan/panels/{panel}/strip.svg", UriKind.Relative);
        // Painted it lightens along the hair; beside it the section stays dry at its underside; natural is one colour.
        var painted = await ColoursAsync("nape/0/0", "strip");
        Assert.NotEqual(painted[0], painted[^1]);
        Assert.True((await ColoursAsync("nape/0/0", "section")).Distinct().Count() > 2);
        Assert.Single((await ColoursAsync("crown/0/0", "strip")).Distinct());
        using var none = await http.GetAsync(At("nape/90/0"));
        Assert.Equal(404, (int)none.StatusCode);
    }

    [Fact]
    public async Task Facts_and_readings_are_tables_that_a_spreadsheet_reads_and_does_not_run()
    {
        using var server = new Server();
        var (http, visit) = await PaintedAsync(server);
        async Task<List<string[]>> RowsAsync(string file)
        {
            var bytes = await GetAsync(http, visit, file, "text/csv");
            using var csv = new CsvReader(
                new StringReader(System.Text.Encoding.UTF8.GetString(bytes)),
                CultureInfo.InvariantCulture
            );
            var rows = new List<string[]>();
            while (await csv.ReadAsync())
            {
                rows.Add(csv.Parser.Record!);
            }

            return rows;
        }

        var facts = await RowsAsync("facts.csv");
        Assert.Equal(["stage", "number", "at", "kind", "details"], facts[0]);
        Assert.Equal(["state", "read", "note"], facts.Skip(1).Select(f => f[3]));
        Assert.All(facts, f => Assert.DoesNotContain(f, c => c.StartsWith('=')));
        var reading = (await RowsAsync("readings.csv"))[1];
        Assert.Equal(("nape", "ends", "6.5", "orange"), (reading[0], reading[1], reading[3], reading[5]));
    }
}
