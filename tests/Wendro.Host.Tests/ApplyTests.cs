using System.Text.Json.Nodes;

namespace Wendro.Host.Tests;

/// <summary>A service through the real pipeline: facts, clocks as instants, two hands at once, a restart.</summary>
public sealed class ApplyTests
{
    private static async Task<(HttpClient Http, string Visit)> PaintedAsync(
        Server server,
        string zone = "nape",
        string? more = null
    )
    {
        var http = server.CreateClient();
        var visit = await http.NewVisitAsync("At the chair");
        var edits = $$$"""
            {"kind":"together","edits":[{"kind":"cutZone","zone":"{{{zone}}}","parting":"horizontal","thicknessMm":22,"widthCm":4,"leaveOutMm":8,"bricklay":false},
            {"kind":"paintZone","zone":"{{{zone}}}","paint":{"shape":"v","startCm":8,"dropCm":6,"blurCm":4}}{{{more}}}]}
            """;
        var (status, body) = await http.EditAsync(visit, 1, edits);
        Assert.True(status == 200, body?.ToJsonString());
        return (http, visit);
    }

    private static async Task<(int Status, JsonNode? Body)> TellAsync(
        HttpClient http,
        string visit,
        int after,
        string fact,
        Guid? id = null
    ) =>
        await http.PostAsync(
            $"/api/visits/{visit}/apply/facts",
            $$"""{"after":{{after}},"id":"{{id ?? Guid.NewGuid()}}","fact":{{fact}}}"""
        );

    private static async Task<JsonNode> SaidAsync(HttpClient http, string visit, string fact)
    {
        var now = await http.ReadAsync($"/api/visits/{visit}/apply");
        var (status, body) = await TellAsync(http, visit, (int)now["facts"]!, fact);
        Assert.True(status == 200, $"{fact}: {body?.ToJsonString()}");
        return body!;
    }

    private static string Painted(string panel) => $$"""{"kind":"painted","panel":"{{panel}}"}""";

    private static string[] Waiting(JsonNode view) => view["waiting"]!.AsArray().Select(p => (string)p!).ToArray();

    [Fact]
    public async Task Seating_pins_the_plan_and_a_change_is_offered_never_slipped_in()
    {
        using var server = new Server();
        var (http, visit) = await PaintedAsync(server);
        var before = await http.ReadAsync($"/api/visits/{visit}/apply");
        Assert.Null(before["seatedAt"]);
        Assert.NotEmpty(before["waves"]!.AsArray());
        var seated = await SaidAsync(http, visit, """{"kind":"seated"}""");
        Assert.Equal(2, (int)seated["revision"]!);
        var panels = Waiting(seated);

        await http.EditAsync(visit, 2, """{"kind":"clearZone","zone":"nape"}""");
        var after = await http.ReadAsync($"/api/visits/{visit}/apply");
        Assert.Equal(2, (int)after["revision"]!);
        Assert.Equal(3, (int)after["newerRevision"]!);
        Assert.Equal(panels, Waiting(after));
        Assert.NotNull(after["next"]!["panel"]!["strip"]);

        var (stale, _) = await TellAsync(http, visit, 1, """{"kind":"planTaken","revision":2}""");
        Assert.Equal(400, stale);
        var taken = await SaidAsync(http, visit, """{"kind":"planTaken","revision":3}""");
        Assert.Equal(3, (int)taken["revision"]!);
        Assert.Empty(Waiting(taken));
        // The plan itself got no fact.
        Assert.Equal(3, (int)(await http.ReadAsync($"/api/visits/{visit}/plan"))["revision"]!);
    }

    [Fact]
    public async Task Clocks_are_instants_of_the_server_and_keep_through_a_restart()
    {
        using var server = new Server();
        var (http, visit) = await PaintedAsync(server);
        var view = await SaidAsync(http, visit, """{"kind":"seated"}""");
        server.Clock.Advance(TimeSpan.FromMinutes(2));
        view = await SaidAsync(http, visit, Painted(Waiting(view)[0]));
        server.Clock.Advance(TimeSpan.FromSeconds(61));
        view = await SaidAsync(http, visit, Painted(Waiting(view)[0]));
        var first = view["panels"]![0]!;
        Assert.Equal(new DateTimeOffset(2031, 5, 6, 9, 32, 0, TimeSpan.Zero), (DateTimeOffset)first["paintedAt"]!);
        var look = view["due"]!.AsArray().Single(d => (string)d!["kind"]! == "look")!;
        Assert.Equal(new DateTimeOffset(2031, 5, 6, 9, 42, 0, TimeSpan.Zero), (DateTimeOffset)look["at"]!);

        using var again = server.Again();
        again.Clock.SetUtcNow(server.Clock.GetUtcNow());
        var restarted = await again.CreateClient().ReadAsync($"/api/visits/{visit}/apply");
        foreach (var what in new[] { "panels", "due", "waves", "facts", "waiting", "seatedAt", "doneAt" })
        {
            Assert.Equal(view[what]?.ToJsonString(), restarted[what]?.ToJsonString());
        }
    }

    [Fact]
    public async Task Two_hands_on_two_panels_never_clash_and_on_one_the_second_is_asked_again()
    {
        using var server = new Server();
        var (http, visit) = await PaintedAsync(server);
        var view = await SaidAsync(http, visit, """{"kind":"seated"}""");
        var panels = Waiting(view);
        var seen = (int)view["facts"]!;
        var said = await Task.WhenAll(
            panels.Take(4).Select(p => Task.Run(() => TellAsync(http, visit, seen, Painted(p))))
        );
        Assert.All(said, s => Assert.Equal(200, s.Status));
        // Neither had seen the other.
        var (clash, body) = await TellAsync(http, visit, seen, Painted(panels[0]));
        Assert.Equal(409, clash);
        Assert.Contains("painted", (string)body!["detail"]!, StringComparison.Ordinal);
        var now = await http.ReadAsync($"/api/visits/{visit}/apply");
        Assert.Equal(5, (int)now["facts"]!);
        // Having seen it, it can't be.
        var (twice, told) = await TellAsync(http, visit, 5, Painted(panels[0]));
        Assert.Equal(400, twice);
        Assert.NotNull(told!["errors"]!["fact.panel"]);
    }

    [Fact]
    public async Task What_is_said_twice_counts_once()
    {
        using var server = new Server();
        var (http, visit) = await PaintedAsync(server);
        var view = await SaidAsync(http, visit, """{"kind":"seated"}""");
        var (id, panel) = (Guid.NewGuid(), Waiting(view)[0]);
        var said = await Task.WhenAll(
            Enumerable.Range(0, 6).Select(_ => Task.Run(() => TellAsync(http, visit, 1, Painted(panel), id)))
        );
        Assert.All(said, s => Assert.Equal(200, s.Status));
        Assert.Equal(2, (int)(await http.ReadAsync($"/api/visits/{visit}/apply"))["facts"]!);
    }

    [Fact]
    public async Task A_hundred_and_twenty_facts_from_two_hands_are_each_there_once()
    {
        using var server = new Server();
        var (http, visit) = await PaintedAsync(server);
        var view = await SaidAsync(http, visit, """{"kind":"seated"}""");
        var panel = Waiting(view)[0];
        view = await SaidAsync(http, visit, Painted(panel));
        async Task<List<string>> HandAsync(string hand)
        {
            var kept = new List<string>();
            for (var i = 0; i < 60; i++)
            {
                var note = $"{hand}{i}";
                var (status, _) = await TellAsync(
                    http,
                    visit,
                    2,
                    $$"""{"kind":"marked","panel":"{{panel}}","what":"spot","note":"{{note}}"}"""
                );
                Assert.Equal(200, status);
                kept.Add(note);
            }

            return kept;
        }

        var said = (
            await Task.WhenAll(Task.Run(() => HandAsync("left")), Task.Run(() => HandAsync("right")))
        ).SelectMany(n => n);
        await using var db = new Store.StudioContext(Store.StudioContext.OptionsFor(server.DataFile));
        var facts = db.ServiceFacts.OrderBy(f => f.Number).ToList();
        Assert.Equal(Enumerable.Range(1, 122), facts.Select(f => f.Number));
        Assert.Equal(
            said.Order(),
            facts.Select(f => f.Fact).OfType<Wendro.Apply.Marked>().Select(m => m.Note!).Order()
        );
    }

    [Fact]
    public async Task A_service_of_two_steps_is_painted_looked_at_rinsed_in_rinses_and_read()
    {
        using var server = new Server();
        var (http, visit) = await PaintedAsync(
            server,
            "nape",
            """,{"kind":"setFormula","formula":{"id":"B","lightener":"clay","volume":10,"minutes":15,"depositLevel":8}},{"kind":"addStep","step":{"kind":"gloss","area":{},"formula":"B"}}"""
        );
        var view = await SaidAsync(http, visit, """{"kind":"seated"}""");
        Assert.Equal(2, view["steps"]!.AsArray().Count);
        view = await SaidAsync(http, visit, """{"kind":"mixed","formula":"A","ordinal":1}""");
        foreach (var panel in Waiting(view))
        {
            server.Clock.Advance(TimeSpan.FromSeconds(50));
            view = await SaidAsync(http, visit, Painted(panel));
        }

        // A mis-tap is undone, and said again.
        var last = (int)view["lastFact"]!;
        view = await SaidAsync(http, visit, $$"""{"kind":"takenBack","number":{{last}}}""");
        Assert.Single(Waiting(view));
        view = await SaidAsync(http, visit, Painted(Waiting(view)[0]));

        server.Clock.Advance(TimeSpan.FromMinutes(15));
        var rinse = (DateTimeOffset)view["waves"]![0]!["startsAt"]!;
        var looked = (string)view["panels"]![0]!["panel"]!;
        view = await SaidAsync(
            http,
            visit,
            $$"""{"kind":"looked","panel":"{{looked}}","level":8.5,"even":true,"state":"working"}"""
        );
        Assert.True(
            (DateTimeOffset)view["waves"]![0]!["startsAt"]! <= rinse,
            "it lifts more than expected: rinsed no later"
        );
        Assert.Single(view["looks"]!.AsArray());

        while (view["waves"]!.AsArray().Count > 0)
        {
            var next = view["waves"]![0]!;
            var start = (DateTimeOffset)next["startsAt"]!;
            if (start > server.Clock.GetUtcNow())
            {
                server.Clock.SetUtcNow(start);
            }

            view = await SaidAsync(
                http,
                visit,
                $$"""{"kind":"waveBegun","panels":{{next["panels"]!.ToJsonString()}}}"""
            );
            Assert.NotNull(view["waveEndsAt"]);
            server.Clock.Advance(TimeSpan.FromMinutes(12));
            view = await SaidAsync(http, visit, """{"kind":"waveEnded"}""");
        }

        Assert.All(view["panels"]!.AsArray(), p => Assert.Equal("rinsed", (string)p!["state"]!));
        view = await SaidAsync(http, visit, """{"kind":"washed"}""");
        Assert.True((bool)view["areaWaits"]!);
        view = await SaidAsync(http, visit, """{"kind":"laid"}""");
        Assert.True((bool)view["areaIsOn"]!);
        server.Clock.Advance(TimeSpan.FromMinutes(15));
        view = await SaidAsync(http, visit, """{"kind":"waveBegun","panels":[]}""");
        view = await SaidAsync(http, visit, """{"kind":"waveEnded"}""");
        view = await SaidAsync(http, visit, """{"kind":"washed"}""");
        var glance = await http.ReadAsync($"/api/visits/{visit}/glance");
        Assert.Contains("apply", glance["done"]!.AsArray().Select(s => (string)s!));
        Assert.Null(glance["chair"]);
    }

    [Fact]
    public async Task A_base_is_laid_beneath_what_still_works_and_all_of_it_is_rinsed()
    {
        using var server = new Server();
        var (http, visit) = await PaintedAsync(
            server,
            "nape",
            """,{"kind":"setFormula","formula":{"id":"B","lightener":"clay","volume":10,"minutes":20,"depositLevel":5}},{"kind":"addStep","step":{"kind":"base","area":{"toCm":4},"formula":"B"}},{"kind":"setStep","number":0,"step":{"kind":"lighten","rinse":false}}"""
        );
        var view = await SaidAsync(http, visit, """{"kind":"seated"}""");
        view = await SaidAsync(http, visit, """{"kind":"mixed","formula":"A","ordinal":1}""");
        var panels = Waiting(view);
        var (early, _) = await TellAsync(http, visit, 2, """{"kind":"wentOn"}""");
        Assert.Equal(400, early);
        foreach (var panel in panels)
        {
            server.Clock.Advance(TimeSpan.FromSeconds(40));
            view = await SaidAsync(http, visit, Painted(panel));
        }

        Assert.True((bool)view["goesOn"]!);
        var painted = view["panels"]!.AsArray().Select(p => (string)p!["paintedAt"]!).ToArray();
        view = await SaidAsync(http, visit, """{"kind":"wentOn"}""");
        Assert.True((bool)view["areaWaits"]!);
        Assert.Equal(painted, view["panels"]!.AsArray().Select(p => (string)p!["paintedAt"]!));
        Each.Of(view["panels"]!.AsArray(), p => Assert.Equal("on", (string)p!["state"]!));
        view = await SaidAsync(http, visit, """{"kind":"laid"}""");

        while (view["waves"]!.AsArray() is { Count: > 0 } rinses)
        {
            server.Clock.Advance(TimeSpan.FromMinutes(15));
            view = await SaidAsync(
                http,
                visit,
                $$"""{"kind":"waveBegun","panels":{{rinses[0]!["panels"]!.ToJsonString()}}}"""
            );
            view = await SaidAsync(http, visit, """{"kind":"waveEnded"}""");
        }

        var (on, _) = await TellAsync(http, visit, (int)view["facts"]!, """{"kind":"washed"}""");
        Assert.Equal(400, on);
        view = await SaidAsync(http, visit, """{"kind":"waveBegun","panels":[]}""");
        view = await SaidAsync(http, visit, """{"kind":"waveEnded"}""");
        view = await SaidAsync(http, visit, """{"kind":"washed"}""");
        Assert.True((bool)view["isDone"]!);
    }

    [Fact]
    public async Task The_ways_through_a_visit_are_told_and_one_is_taken_like_any_edit()
    {
        using var server = new Server();
        var (http, visit) = await PaintedAsync(
            server,
            "nape",
            """,{"kind":"setFormula","formula":{"id":"A","lightener":"powder","volume":20,"minutes":30}},{"kind":"cutZone","zone":"upperBack","parting":"horizontal","thicknessMm":8,"widthCm":2,"leaveOutMm":4,"bricklay":false},{"kind":"paintZone","zone":"upperBack","paint":{"shape":"v","startCm":8,"dropCm":6,"blurCm":4}}"""
        );
        var ways = await http.ReadAsync($"/api/visits/{visit}/apply/ways");
        var planned = ways["ways"]![0]!;
        Assert.Equal("asPlanned", (string)planned["kind"]!);
        Assert.Empty(planned["edits"]!.AsArray());
        Assert.Equal(
            (await http.ReadAsync($"/api/visits/{visit}/apply"))["waiting"]!.AsArray().Count,
            planned["zones"]!.AsArray().Sum(z => (int)z!["panels"]!)
        );
        Assert.Single(ways["ways"]!.AsArray(), w => (bool)w!["isBest"]!);

        // Quick product on many small panels can't be in time: what frees it was tried, and keeps its word.
        Assert.True((int)planned["outside"]! > 0);
        Assert.NotNull(ways["conflict"]);
        var freed = ways["freedBy"]!.AsArray().First(f => f!["edits"]!.AsArray().Count == 1)!;
        var (status, _) = await http.EditAsync(visit, (int)ways["revision"]!, freed["edits"]![0]!.ToJsonString());
        Assert.Equal(200, status);
        var after = (await http.ReadAsync($"/api/visits/{visit}/apply/ways"))["ways"]![0]!;
        Assert.Equal((int)freed["outside"]!, (int)after["outside"]!);
        Assert.Equal((double)freed["minutes"]!, (double)after["minutes"]!, 0.01);
    }

    [Fact]
    public async Task A_panel_more_is_painted_as_its_neighbour_and_the_plan_keeps_what_was_agreed()
    {
        using var server = new Server();
        var (http, visit) = await PaintedAsync(server);
        var seated = await SaidAsync(http, visit, """{"kind":"seated"}""");
        var planned = Waiting(seated);
        var added = await SaidAsync(http, visit, """{"kind":"added","panel":"lowerBack/0/0"}""");
        Assert.Equal("lowerBack/0/0", (string)added["next"]!["panel"]!["key"]!);
        Assert.NotNull(added["next"]!["panel"]!["strip"]);
        Assert.Equal(planned.Length + 1, Waiting(added).Length);
        foreach (var wrong in new[] { "lowerBack/0/0", planned[0], "lowerBack/77/0" })
        {
            var (status, _) = await TellAsync(http, visit, 2, $$"""{"kind":"added","panel":"{{wrong}}"}""");
            Assert.Equal(400, status);
        }

        server.Clock.Advance(TimeSpan.FromMinutes(1));
        var painted = await SaidAsync(http, visit, Painted("lowerBack/0/0"));
        Assert.Contains(
            painted["panels"]!.AsArray(),
            p => (string)p!["panel"]! == "lowerBack/0/0" && (string)p["state"]! == "on" && p["fromAt"] is not null
        );
        // What is painted isn't unsaid by unsaying that it was added.
        var (kept, _) = await TellAsync(http, visit, 3, """{"kind":"takenBack","number":2}""");
        Assert.Equal(400, kept);
        await SaidAsync(http, visit, """{"kind":"takenBack","number":3}""");
        var back = await SaidAsync(http, visit, """{"kind":"takenBack","number":2}""");
        Assert.Equal(planned, Waiting(back));
        Assert.Equal(2, (int)(await http.ReadAsync($"/api/visits/{visit}/plan"))["revision"]!);
    }

    [Fact]
    public async Task A_bowl_that_is_gone_is_asked_for_again_with_what_is_left_to_paint()
    {
        using var server = new Server();
        var (http, visit) = await PaintedAsync(server);
        var view = await SaidAsync(http, visit, """{"kind":"seated"}""");
        var whole = (double)view["bowls"]![0]!["grams"]!;
        await SaidAsync(http, visit, """{"kind":"mixed","formula":"A","ordinal":1}""");
        foreach (var panel in Waiting(view).Take(3))
        {
            server.Clock.Advance(TimeSpan.FromMinutes(1));
            await SaidAsync(http, visit, Painted(panel));
        }

        var gone = await SaidAsync(http, visit, """{"kind":"bowlGone","formula":"A","ordinal":1}""");
        var bowl = gone["bowls"]![0]!;
        Assert.Null(bowl["mixedAt"]);
        Assert.InRange((double)bowl["grams"]!, (double)bowl["leftGrams"]!, whole - 0.1);
        Assert.Contains(gone["due"]!.AsArray(), d => (string)d!["kind"]! == "mix");
        var (twice, _) = await TellAsync(http, visit, 6, """{"kind":"bowlGone","formula":"A","ordinal":1}""");
        Assert.Equal(400, twice);
    }

    [Fact]
    public async Task Somebody_who_rinses_lets_painting_go_on_through_a_rinse()
    {
        using var server = new Server();
        var (http, visit) = await PaintedAsync(server);
        var view = await SaidAsync(http, visit, """{"kind":"seated"}""");
        var panels = Waiting(view);
        await SaidAsync(http, visit, """{"kind":"hands","pairs":2,"does":"rinses"}""");
        server.Clock.Advance(TimeSpan.FromMinutes(1));
        await SaidAsync(http, visit, Painted(panels[0]));
        var rinse = await SaidAsync(http, visit, $$"""{"kind":"waveBegun","panels":["{{panels[0]}}"]}""");
        Assert.Equal("rinses", (string)rinse["help"]!);
        Assert.Equal(panels[1], (string)rinse["next"]!["panel"]!["key"]!);
        var next = rinse["panels"]!.AsArray().Single(p => (string)p!["panel"]! == panels[1])!;
        Assert.True((DateTimeOffset)next["begunAt"]! < (DateTimeOffset)rinse["waveEndsAt"]!, "it waits for the wave");
    }

    [Fact]
    public async Task A_clock_that_is_set_back_is_told_and_the_order_keeps()
    {
        using var server = new Server();
        var (http, visit) = await PaintedAsync(server);
        var view = await SaidAsync(http, visit, """{"kind":"seated"}""");
        server.Clock.Advance(TimeSpan.FromMinutes(5));
        view = await SaidAsync(http, visit, Painted(Waiting(view)[0]));
        using var again = server.Again();
        // This one's clock begins five minutes before.
        var back = again.CreateClient();
        view = await SaidAsync(back, visit, Painted(Waiting(view)[0]));
        Assert.True((bool)view["clockWasSetBack"]!);
        var at = view["panels"]!.AsArray().Take(2).Select(p => (DateTimeOffset)p!["paintedAt"]!).ToArray();
        Assert.True(at[0] <= at[1]);
    }

    [Fact]
    public async Task A_standing_stop_lets_nothing_on_and_everything_off()
    {
        using var server = new Server();
        var (http, visit) = await PaintedAsync(server);
        var view = await SaidAsync(http, visit, """{"kind":"seated"}""");
        var panel = Waiting(view)[0];
        await SaidAsync(http, visit, Painted(panel));
        var consult = await http.ReadAsync($"/api/visits/{visit}/consult");
        var answers = consult["consultation"]!.DeepClone();
        answers["salts"] = "yes";
        using var content = new StringContent(
            new JsonObject
            {
                ["baseVersion"] = (int)consult["version"]!,
                ["hair"] = consult["hair"]!.DeepClone(),
                ["consultation"] = answers,
            }.ToJsonString(),
            System.Text.Encoding.UTF8,
            "application/json"
        );
        Assert.True(
            (
                await http.PutAsync(new Uri($"/api/visits/{visit}/consult", UriKind.Relative), content)
            ).IsSuccessStatusCode
        );
        var (status, told) = await TellAsync(http, visit, 2, Painted(Waiting(view)[1]));
        Assert.Equal(409, status);
        Assert.NotEmpty(told!["stops"]!.AsArray());
        // Looked at, it may be; painted again where it was wiped, it may not.
        (status, _) = await TellAsync(
            http,
            visit,
            2,
            $$"""{"kind":"looked","panel":"{{panel}}","level":6,"again":true}"""
        );
        Assert.Equal(409, status);
        await SaidAsync(http, visit, $$"""{"kind":"looked","panel":"{{panel}}","level":6,"again":false}""");
        await SaidAsync(http, visit, $$"""{"kind":"waveBegun","panels":["{{panel}}"]}""");
        await SaidAsync(http, visit, """{"kind":"waveEnded"}""");
    }

    [Theory]
    [InlineData("""{"kind":"nothing"}""", 400)]
    [InlineData("""{"kind":"painted","panel":"nowhere/0/0"}""", 400)]
    [InlineData("""{"kind":"looked","panel":"nape/0/0","level":14}""", 400)]
    [InlineData("""{"kind":"waveEnded"}""", 400)]
    [InlineData("""{"kind":"hands","pairs":9}""", 400)]
    [InlineData("""{"kind":"heat","on":true}""", 400)]
    [InlineData("""{"kind":"takenBack","number":77}""", 400)]
    [InlineData("""{"kind":"takenBack","number":1}""", 400)]
    [InlineData("""{"panel":"nape/0/0"}""", 400)]
    public async Task What_can_t_be_is_refused_and_changes_nothing(string fact, int expected)
    {
        using var server = new Server();
        var (http, visit) = await PaintedAsync(server);
        await SaidAsync(http, visit, """{"kind":"seated"}""");
        var (status, _) = await TellAsync(http, visit, 1, fact);
        Assert.Equal(expected, status);
        Assert.Equal(1, (int)(await http.ReadAsync($"/api/visits/{visit}/apply"))["facts"]!);
    }

    [Fact]
    public async Task There_is_no_service_without_a_visit()
    {
        using var server = new Server();
        var answer = await server
            .CreateClient()
            .GetAsync(new Uri($"/api/visits/{Guid.NewGuid()}/apply", UriKind.Relative));
        Assert.Equal(System.Net.HttpStatusCode.NotFound, answer.StatusCode);
    }
}
