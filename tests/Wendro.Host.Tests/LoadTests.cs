using System.Text.Json.Nodes;

namespace Wendro.Host.Tests;

/// <summary>Many requests at once, and more heads than are kept.</summary>
public sealed class LoadTests(Server server) : IClassFixture<Server>
{
    private readonly HttpClient http = server.CreateClient();

    [Fact]
    public async Task Of_many_previews_the_newest_is_answered_and_none_is_stored()
    {
        var visit = await http.NewVisitAsync();
        var before = (await http.ReadAsync($"/api/visits/{visit}/plan")).ToJsonString();
        var answers = await Task.WhenAll(
            Enumerable
                .Range(1, 24)
                .Select(i =>
                    http.PostAsync(
                        $"/api/visits/{visit}/plan/previews",
                        $$$"""{"baseRevision":1,"sequence":{{{i}}},"edit":{"kind":"paintZone","zone":"crown","paint":{"shape":"full","startCm":{{{i % 9 + 1}}} } } }"""
                    )
                )
        );
        Each.Of(answers, a => Assert.Contains(a.Status, new[] { 200, 204 }));
        Assert.Equal(200, answers[^1].Status);
        Assert.Equal(24 % 9 + 1, (double)answers[^1].Body!["panels"]![0]!["startCm"]!);
        Assert.Equal(before, (await http.ReadAsync($"/api/visits/{visit}/plan")).ToJsonString());
    }

    [Fact]
    public async Task A_preview_of_an_older_revision_is_refused()
    {
        var visit = await http.NewVisitAsync();
        await http.EditAsync(visit, 1, """{"kind":"paintZone","zone":"crown","paint":{"shape":"v"}}""");
        var (status, problem) = await http.PostAsync(
            $"/api/visits/{visit}/plan/previews",
            """{"baseRevision":1,"sequence":1,"edit":{"kind":"includeZone","zone":"crown"}}"""
        );
        Assert.Equal((409, 2), (status, (int)problem!["currentRevision"]!));
    }

    [Fact]
    public async Task Two_windows_that_repeat_what_was_refused_lose_nothing()
    {
        var visit = await http.NewVisitAsync();
        async Task Window(string zone)
        {
            for (var i = 0; i < 10; )
            {
                var revision = (int)(await http.ReadAsync($"/api/visits/{visit}/plan"))["revision"]!;
                var (status, _) = await http.EditAsync(
                    visit,
                    revision,
                    $$"""{"kind":"setHeights","panels":["{{zone}}/0/{{i % 2}}"],"startCm":{{i + 1}}}"""
                );
                Assert.Contains(status, new[] { 200, 409 });
                i += status == 200 ? 1 : 0;
            }
        }

        await Task.WhenAll(Window("crown"), Window("lowerBack"));
        var plan = await http.ReadAsync($"/api/visits/{visit}/plan");
        Assert.Equal(21, (int)plan["revision"]!);
        foreach (var zone in new[] { "crown", "lowerBack" })
        {
            Assert.Equal((9, 10), ((double)Paint(plan, zone, 0)["startCm"]!, (double)Paint(plan, zone, 1)["startCm"]!));
        }
    }

    [Fact]
    public async Task A_head_given_up_for_others_comes_back_the_same()
    {
        var first = await http.NewVisitAsync();
        await http.EditAsync(
            first,
            1,
            """{"kind":"paintZone","zone":"sideLeft","paint":{"shape":"slant","startCm":5}}"""
        );
        var levels = new Uri($"/api/visits/{first}/plan/levels", UriKind.Relative);
        var seen = new Uri($"/api/visits/{first}/seen?wear=down&angle=90", UriKind.Relative);
        var (levelsBefore, seenBefore) = (await http.GetByteArrayAsync(levels), await http.GetByteArrayAsync(seen));
        for (var hem = 20; hem < 60; hem += 10)
        {
            var (_, made) = await http.PostAsync(
                "/api/clients",
                $$$"""{"name":"Hem {{{hem}}}","hair":{"naturalLevel":4,"diameter":"medium","density":"medium","porosity":"normal","coloured":false,"cut":{"hemCm":{{{hem}}} } } }"""
            );
            await http.ReadAsync($"/api/visits/{made!["visitId"]}/plan/measures");
        }

        Assert.Equal(levelsBefore, await http.GetByteArrayAsync(levels));
        Assert.Equal(seenBefore, await http.GetByteArrayAsync(seen));
    }

    [Fact]
    public async Task Other_hair_is_another_head_for_the_same_plan()
    {
        var visit = await http.NewVisitAsync();
        await http.EditAsync(visit, 1, """{"kind":"paintZone","zone":"upperBack","paint":{"shape":"v"}}""");
        var before = await http.ReadAsync($"/api/visits/{visit}/plan");
        using var hair = new StringContent(
            """{"naturalLevel":7,"diameter":"fine","density":"low","porosity":"high","coloured":false,"cut":{"hemCm":34}}""",
            System.Text.Encoding.UTF8,
            "application/json"
        );
        Assert.True(
            (await http.PutAsync(new Uri($"/api/visits/{visit}/hair", UriKind.Relative), hair)).IsSuccessStatusCode
        );
        var after = await http.ReadAsync($"/api/visits/{visit}/plan");
        Assert.Equal(before["plan"]!.ToJsonString(), after["plan"]!.ToJsonString());
        Each.Of(after["panels"]!.AsArray(), p => Assert.True((double)p!["meanLevel"]! >= 7));
    }

    private static JsonNode Paint(JsonNode plan, string zone, int column) =>
        plan["plan"]!["zones"]![zone]!["paint"]![$"{zone}/0/{column}"]!;
}
