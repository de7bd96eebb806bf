using System.Net.Http.Json;
using System.Text.Json.Nodes;

namespace Wendro.Host.Tests;

public sealed class DayTests : IDisposable
{
    private readonly Server server = new();
    private readonly HttpClient http;

    public DayTests() => http = server.CreateClient();

    public void Dispose() => server.Dispose();

    [Fact]
    public async Task A_new_client_is_one_name_and_stands_in_the_day()
    {
        var visit = await http.NewVisitAsync("Odd name: Zoë <b>\"'; DROP TABLE");
        var day = (await http.ReadAsync("/api/day")).AsArray();
        Assert.Equal(visit, (string)day.Single()!["visitId"]!);
        Assert.Equal("Odd name: Zoë <b>\"'; DROP TABLE", (string)day.Single()!["client"]!);
        Assert.Equal(
            "Nothing painted yet",
            (string)(await http.ReadAsync($"/api/visits/{visit}/glance"))["missing"]!.AsArray()[^1]!
        );

        server.Clock.Advance(TimeSpan.FromDays(1));
        Assert.Empty((await http.ReadAsync("/api/day")).AsArray());
        Assert.Single((await http.ReadAsync("/api/clients")).AsArray());
    }

    [Fact]
    public async Task Who_sits_in_the_chair_past_midnight_stays_on_the_day()
    {
        // Booked for the morning, or for today: when the client sat down is what counts.
        var visit = await http.NewVisitAsync("In the chair");
        server.Clock.Advance(TimeSpan.FromHours(14));
        await http.NewVisitAsync("Only booked");
        var (status, body) = await http.PostAsync(
            $"/api/visits/{visit}/apply/facts",
            $$$"""{"after":0,"id":"{{{Guid.NewGuid()}}}","fact":{"kind":"seated"}}"""
        );
        Assert.True(status == 200, body?.ToJsonString());
        server.Clock.Advance(TimeSpan.FromMinutes(45));
        Assert.Equal(visit, (string)(await http.ReadAsync("/api/day")).AsArray().Single()!["visitId"]!);
        server.Clock.Advance(TimeSpan.FromHours(9));
        Assert.Empty((await http.ReadAsync("/api/day")).AsArray());
    }

    [Theory]
    [InlineData("""{"name":""}""", "name")]
    [InlineData("""{"name":"   "}""", "name")]
    [InlineData("""{}""", "name")]
    [InlineData(
        """{"name":"A","hair":{"naturalLevel":11,"diameter":"fine","density":"low","porosity":"low","coloured":false,"cut":{"hemCm":30}}}""",
        "hair.naturalLevel"
    )]
    [InlineData(
        """{"name":"A","hair":{"naturalLevel":5,"diameter":"fine","density":"low","porosity":"low","coloured":false,"cut":{"hemCm":3}}}""",
        "hair.cut.hemCm"
    )]
    public async Task Bad_clients_are_refused_by_field(string body, string field)
    {
        var (status, problem) = await http.PostAsync("/api/clients", body);
        Assert.Equal(400, status);
        Assert.Contains(field, problem!["errors"]!.AsObject().Select(e => e.Key));
        Assert.Empty((await http.ReadAsync("/api/clients")).AsArray());
    }

    [Fact]
    public async Task Minutes_in_the_chair_are_told_where_they_are_asked_and_are_those_of_the_mix()
    {
        var visit = await http.NewVisitAsync();
        await http.EditAsync(
            visit,
            1,
            """{"kind":"paintZone","zone":"nape","paint":{"shape":"v","startCm":8,"dropCm":6,"blurCm":4}}"""
        );
        Assert.Null((await http.ReadAsync($"/api/visits/{visit}/glance"))["chairMinutes"]);
        var asked = await http.ReadAsync($"/api/visits/{visit}/glance?chair=true");
        var mix = await http.ReadAsync($"/api/visits/{visit}/mix");
        Assert.Equal((double)mix["chairMinutes"]!, (double)asked["chairMinutes"]!, 1e-9);
        // Longer than the hands' work, and no shorter than its last wave.
        Assert.True((double)asked["chairMinutes"]! > (double)asked["minutes"]!);
        Assert.True((double)asked["chairMinutes"]! > (double)mix["waves"]!.AsArray()[^1]!["toMinute"]!);
    }

    [Fact]
    public async Task A_stage_is_done_when_its_own_work_is()
    {
        var visit = await http.NewVisitAsync();
        async Task<string> DoneAsync() =>
            string.Join(
                ' ',
                (await http.ReadAsync($"/api/visits/{visit}/glance"))["done"]!.AsArray().Select(s => (string)s!)
            );
        Assert.Empty(await DoneAsync());

        // One painted panel is no consultation, no division, and no finished painting.
        await http.EditAsync(visit, 1, """{"kind":"paintPanels","panels":["crown/0/0"],"paint":{}}""");
        Assert.Empty(await DoneAsync());

        await http.EditAsync(visit, 2, """{"kind":"setFrame","frame":"quadrants"}""");
        Assert.Equal("section", await DoneAsync());

        var consult = await http.ReadAsync($"/api/visits/{visit}/consult");
        var answers = consult["consultation"]!.AsObject();
        answers["patch"] = new JsonObject { ["at"] = "2031-05-01T09:00:00Z", ["result"] = "clear" };
        answers["reacted"] = false;
        answers["scalp"] = "calm";
        answers["salts"] = "none";
        answers["adult"] = true;
        using var content = new StringContent(
            new JsonObject
            {
                ["baseVersion"] = 0,
                ["hair"] = consult["hair"]!.DeepClone(),
                ["consultation"] = answers.DeepClone(),
            }.ToJsonString(),
            System.Text.Encoding.UTF8,
            "application/json"
        );
        var put = await http.PutAsync(new Uri($"/api/visits/{visit}/consult", UriKind.Relative), content);
        Assert.True(put.IsSuccessStatusCode, await put.Content.ReadAsStringAsync());
        Assert.Equal("consult section", await DoneAsync());
    }

    [Fact]
    public async Task Another_visit_and_other_hair()
    {
        var (_, made) = await http.PostAsync("/api/clients", """{"name":"Returning"}""");
        var (status, second) = await http.PostAsync(
            $"/api/clients/{made!["clientId"]}/visits",
            """{"startsAt":"2031-05-06T15:00:00Z"}"""
        );
        Assert.Equal(201, status);
        var visit = (string)second!["visitId"]!;
        var put = await http.PutAsJsonAsync(
            new Uri($"/api/visits/{visit}/hair", UriKind.Relative),
            JsonNode.Parse(
                """{"naturalLevel":3,"diameter":"coarse","density":"high","porosity":"low","coloured":true,"cut":{"hemCm":45,"layersCm":5,"faceLayersCm":4}}"""
            )
        );
        Assert.Equal(204, (int)put.StatusCode);
        Assert.Equal(3, (double)(await http.ReadAsync($"/api/visits/{visit}/plan"))["hair"]!["naturalLevel"]!);
    }

    [Fact]
    public async Task Health_document_and_guards()
    {
        Assert.Equal("ok", (string)(await http.ReadAsync("/api/health"))["status"]!);
        Assert.NotNull((await http.ReadAsync("/openapi/v1.json"))["paths"]!["/api/visits/{visit}/plan/edits"]);

        var answer = await http.GetAsync(new Uri("/api/health", UriKind.Relative));
        Assert.Contains(
            "default-src 'self'",
            answer.Headers.GetValues("Content-Security-Policy").Single(),
            StringComparison.Ordinal
        );

        using var foreign = new HttpRequestMessage(HttpMethod.Post, "/api/clients")
        {
            Content = JsonContent.Create(new { name = "X" }),
        };
        foreign.Headers.Add("Origin", "http://elsewhere.example");
        Assert.Equal(403, (int)(await http.SendAsync(foreign)).StatusCode);

        // Nor may another page listen to the scale.
        using var listening = new HttpRequestMessage(HttpMethod.Get, "/hubs/scale");
        listening.Headers.Add("Origin", "http://elsewhere.example");
        listening.Headers.Add("Upgrade", "websocket");
        Assert.Equal(403, (int)(await http.SendAsync(listening)).StatusCode);

        using var otherHost = new HttpRequestMessage(HttpMethod.Get, "/api/health");
        otherHost.Headers.Host = "elsewhere.example";
        Assert.Equal(400, (int)(await http.SendAsync(otherHost)).StatusCode);
    }
}
