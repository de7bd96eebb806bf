using System.Globalization;
using System.Text.Json.Nodes;

namespace Wendro.Host.Tests;

/// <summary>What came out short is lifted again at the same visit: planned, taken by the service, painted, read anew.</summary>
public sealed class CorrectionTests
{
    private static async Task<JsonNode> SaidAsync(HttpClient http, string visit, string stage, string fact)
    {
        var now = await http.ReadAsync($"/api/visits/{visit}/{stage}");
        var (status, body) = await http.PostAsync(
            $"/api/visits/{visit}/{stage}/facts",
            $$"""{"after":{{(int)now["facts"]!}},"id":"{{Guid.NewGuid()}}","fact":{{fact}}}"""
        );
        if (status == 400 && stage == "review")
        {
            (status, body) = await http.PostAsync(
                $"/api/visits/{visit}/{stage}/facts",
                $$"""{"id":"{{Guid.NewGuid()}}","fact":{{fact}}}"""
            );
        }

        Assert.True(status == 200, $"{fact}: {body?.ToJsonString()}");
        return body!;
    }

    private static async Task<JsonNode> ServedAsync(Server server, HttpClient http, string visit)
    {
        var view = await http.ReadAsync($"/api/visits/{visit}/apply");
        foreach (var panel in view["waiting"]!.AsArray().Select(p => (string)p!).ToArray())
        {
            server.Clock.Advance(TimeSpan.FromSeconds(40));
            view = await SaidAsync(http, visit, "apply", $$"""{"kind":"painted","panel":"{{panel}}"}""");
        }

        while (view["waves"]!.AsArray() is { Count: > 0 } rinses)
        {
            var start = (DateTimeOffset)rinses[0]!["startsAt"]!;
            server.Clock.SetUtcNow(start > server.Clock.GetUtcNow() ? start : server.Clock.GetUtcNow());
            var panels = rinses[0]!["panels"]!.ToJsonString();
            view = await SaidAsync(http, visit, "apply", $$"""{"kind":"waveBegun","panels":{{panels}}}""");
            server.Clock.Advance(TimeSpan.FromMinutes(10));
            view = await SaidAsync(http, visit, "apply", """{"kind":"waveEnded"}""");
        }

        server.Clock.Advance(TimeSpan.FromMinutes(15));
        return await SaidAsync(http, visit, "apply", """{"kind":"washed"}""");
    }

    private static string Read(string depth, double level) =>
        string.Create(
            CultureInfo.InvariantCulture,
            $$"""{"kind":"read","zone":"lowerBack","depth":"{{depth}}","level":{{level:0.0}}}"""
        );

    private static JsonNode Ends(JsonNode review) =>
        review["zones"]!.AsArray().Single(z => (string)z!["zone"]! == "lowerBack")!["depths"]![2]!;

    [Fact]
    public async Task A_zone_that_came_out_short_is_lifted_again_from_what_was_read_and_read_anew()
    {
        using var server = new Server();
        var http = server.CreateClient();
        var visit = await http.NewVisitAsync("Twice");
        await http.EditAsync(
            visit,
            1,
            """{"kind":"paintZone","zone":"lowerBack","paint":{"shape":"v","startCm":8,"dropCm":6,"blurCm":4}}"""
        );
        await SaidAsync(http, visit, "apply", """{"kind":"seated"}""");
        await ServedAsync(server, http, visit);
        var review = await http.ReadAsync($"/api/visits/{visit}/review");
        var planned = (double)Ends(review)["planned"]!;
        await SaidAsync(http, visit, "review", """{"kind":"state","wetness":"dry","washed":true,"light":"daylight"}""");
        review = await SaidAsync(http, visit, "review", Read("ends", planned - 1.1));
        Assert.Empty(review["correction"]!.AsArray());
        review = await SaidAsync(http, visit, "review", """{"kind":"stretched","how":"springsBack"}""");
        var edit = Assert.Single(review["correction"]!.AsArray())!;
        review = await SaidAsync(http, visit, "review", """{"kind":"decided","what":"correctFirst"}""");

        // Planned as one edit by the plan's own door, taken by the service: its next step.
        var (status, changed) = await http.EditAsync(visit, 2, edit.ToJsonString());
        Assert.True(status == 200, changed?.ToJsonString());
        var chair = await SaidAsync(http, visit, "apply", """{"kind":"planTaken","revision":3}""");
        Assert.False((bool)chair["isDone"]!);
        var waiting = chair["waiting"]!.AsArray().Count;
        Assert.True(waiting > 0);
        review = await http.ReadAsync($"/api/visits/{visit}/review");
        Assert.True((bool)review["isCorrecting"]!);
        Assert.Empty(review["correction"]!.AsArray());
        // It is mixed like any other.
        var mix = await http.ReadAsync($"/api/visits/{visit}/mix");
        Assert.Equal(2, mix["bowls"]!.AsArray().Select(b => (string)b!["formula"]!).Distinct().Count());
        // It goes on from what was read: planned is still what was planned, within an eye's step.
        Assert.Equal(planned, (double)Ends(review)["planned"]!, 0.35);

        // Rinsed when the clock says; what was read before it tells no longer of hair that was lifted since.
        await ServedAsync(server, http, visit);
        review = await http.ReadAsync($"/api/visits/{visit}/review");
        Assert.False((bool)review["isCorrecting"]!);
        Assert.Null(Ends(review)["cameOut"]);
        Assert.Equal("Nothing is read yet.", (string)review["verdict"]!);
        Assert.Equal(planned, (double)Ends(review)["forecast"]!, 0.45);
        review = await SaidAsync(http, visit, "review", Read("ends", planned));
        Assert.StartsWith("As planned", (string)review["verdict"]!, StringComparison.Ordinal);

        using var again = server.Again();
        Assert.Equal(
            review.ToJsonString(),
            (await again.CreateClient().ReadAsync($"/api/visits/{visit}/review")).ToJsonString()
        );
    }
}
