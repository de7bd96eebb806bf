using System.Text.Json.Nodes;

namespace Wendro.Host.Tests;

/// <summary>Readings out of one visit and into another as a table.</summary>
public sealed class ReadingsTests
{
    private const string State = """{"kind":"state","wetness":"wet","washed":false,"light":"studio"}""";

    private static async Task<JsonNode> SaidAsync(HttpClient http, string visit, string fact)
    {
        var (status, body) = await http.PostAsync(
            $"/api/visits/{visit}/review/facts",
            $$"""{"id":"{{Guid.NewGuid()}}","fact":{{fact}}}"""
        );
        Assert.True(status == 200, $"{fact}: {body?.ToJsonString()}");
        return body!;
    }

    private static async Task<string> PaintedAsync(HttpClient http)
    {
        var visit = await http.NewVisitAsync("Read elsewhere");
        var (status, body) = await http.EditAsync(
            visit,
            1,
            """{"kind":"paintZone","zone":"nape","paint":{"shape":"v","startCm":8,"dropCm":6,"blurCm":4}}"""
        );
        Assert.True(status == 200, body?.ToJsonString());
        return visit;
    }

    private static Task<(int Status, JsonNode? Body)> SendAsync(
        HttpClient http,
        string visit,
        string csv,
        bool preview = false,
        string type = "text/csv"
    ) => http.PostAsync($"/api/visits/{visit}/review/readings{(preview ? "/preview" : "")}", csv, type);

    private static async Task<int> FactsAsync(HttpClient http, string visit) =>
        (int)(await http.ReadAsync($"/api/visits/{visit}/review"))["facts"]!;

    [Fact]
    public async Task A_table_of_readings_goes_out_of_one_visit_and_into_another_and_a_second_time_changes_nothing()
    {
        using var server = new Server();
        var http = server.CreateClient();
        var (one, other) = (await PaintedAsync(http), await PaintedAsync(http));
        await SaidAsync(http, one, State);
        await SaidAsync(
            http,
            one,
            """{"kind":"read","zone":"nape","depth":"ends","level":6.5,"evenness":"patchy","undertone":"orange"}"""
        );
        await SaidAsync(http, one, """{"kind":"read","zone":"nape","depth":"root","level":4}""");
        var table = await http.GetStringAsync(new Uri($"/api/visits/{one}/record/readings.csv", UriKind.Relative));

        // Its own visit has all of it; the other has to say first how wet the hair is.
        var (_, own) = await SendAsync(http, one, table);
        Assert.Equal((0, 0, 2), Counts(own!));
        var (early, asked) = await SendAsync(http, other, table, preview: true);
        Assert.Equal(400, early);
        Assert.Contains("wet, damp or dry", asked!.ToJsonString(), StringComparison.Ordinal);

        // Read dry there: the same hair, another look.
        await SaidAsync(http, other, State.Replace("wet\"", "dry\"", StringComparison.Ordinal));
        await SaidAsync(http, other, """{"kind":"read","zone":"nape","depth":"root","level":5}""");
        var (_, looked) = await SendAsync(http, other, table, preview: true);
        Assert.Equal((1, 1, 0), Counts(looked!));
        Assert.Equal((5, 4.4), ((double)looked!["changed"]![0]!["was"]!, (double)looked["changed"]![0]!["becomes"]!));
        Assert.Equal(2, await FactsAsync(http, other));
        var (taken, did) = await SendAsync(http, other, table);
        Assert.True(taken == 200, did?.ToJsonString());
        Assert.Equal(looked.ToJsonString(), did!.ToJsonString());
        Assert.Equal(4, await FactsAsync(http, other));
        Assert.Equal(
            table,
            await http.GetStringAsync(new Uri($"/api/visits/{other}/record/readings.csv", UriKind.Relative))
        );
        var (_, again) = await SendAsync(http, other, table);
        Assert.Equal((0, 0, 2), Counts(again!));
        Assert.Equal(4, await FactsAsync(http, other));
    }

    [Theory]
    [InlineData("zone,depth,read\nnape,ends,11", "row 2, read")]
    [InlineData("zone,depth,read\nnape,ends,\"7,5\"", "row 2, read")]
    [InlineData("zone,depth,read\nnape,ends,", "row 2, read")]
    [InlineData("zone,depth,read\nnape,ends,7\nelbow,ends,7", "row 3, zone")]
    [InlineData("zone,depth,read\nnape,ends,7\nnape,tips,7", "row 3, depth")]
    [InlineData("zone,depth,read\nnape,ends,7\nnape,ends,8", "row 3, zone")]
    [InlineData("zone,depth,read,undertone\nnape,ends,7,mauve", "row 2, undertone")]
    [InlineData("zone,depth,read,evenness\nnape,ends,7,odd", "row 2, evenness")]
    [InlineData("zone,depth\nnape,ends", "row 1")]
    [InlineData("zone,depth,read,colour\nnape,ends,7,red", "row 1")]
    [InlineData("zone,depth,read", "file")]
    [InlineData("", "file")]
    public async Task What_can_t_be_taken_is_told_by_row_and_column_and_nothing_is_kept(string csv, string field)
    {
        using var server = new Server();
        var http = server.CreateClient();
        var visit = await http.NewVisitAsync("Read wrongly");
        await SaidAsync(http, visit, State);
        foreach (var preview in new[] { true, false })
        {
            var (status, body) = await SendAsync(http, visit, csv, preview);
            Assert.Equal(400, status);
            Assert.Contains(field, body!["errors"]!.AsObject().Select(e => e.Key));
        }

        Assert.Equal(1, await FactsAsync(http, visit));
        Assert.Equal(415, (await SendAsync(http, visit, csv, type: "application/json")).Status);
    }

    [Fact]
    public async Task A_table_from_a_spreadsheet_with_semicolons_is_read_too()
    {
        using var server = new Server();
        var http = server.CreateClient();
        var visit = await PaintedAsync(http);
        await SaidAsync(http, visit, State);
        var (status, body) = await SendAsync(http, visit, "\uFEFFzone;depth;read\r\nnape;middle;7.5\r\n");
        Assert.True(status == 200, body?.ToJsonString());
        Assert.Equal((1, 0, 0), Counts(body!));
    }

    private static (int Added, int Changed, int Unchanged) Counts(JsonNode told) =>
        (told["added"]!.AsArray().Count, told["changed"]!.AsArray().Count, (int)told["unchanged"]!);
}
