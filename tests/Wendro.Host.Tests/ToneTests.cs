using System.Text.Json.Nodes;

namespace Wendro.Host.Tests;

/// <summary>Toning through the real pipeline: what is chosen and what happens are facts.</summary>
public sealed class ToneTests
{
    private static async Task<(HttpClient Http, string Visit)> PaintedAsync(Server server)
    {
        var http = server.CreateClient();
        foreach (var (name, depth, reflect) in new[] { ("Gloss 8 pearl", 8, "pearl"), ("Gloss 7 beige", 7, "beige") })
        {
            var (made, said) = await http.PostAsync(
                "/api/shelf",
                $$"""
                {"baseVersion":0,"product":{"kind":"shade","name":"{{name}}","stock":{"unit":"gram"},"depth":{{depth}},
                "reflect":"{{reflect}}","base":"acidGloss","developerParts":1,"developerVolume":5,"minutes":20} }
                """
            );
            Assert.True(made == 201, said?.ToJsonString());
        }

        var visit = await http.NewVisitAsync("At the basin");
        var (status, body) = await http.EditAsync(
            visit,
            1,
            """{"kind":"paintZone","zone":"lowerBack","paint":{"shape":"v","startCm":3,"dropCm":2,"blurCm":4}}"""
        );
        Assert.True(status == 200, body?.ToJsonString());
        return (http, visit);
    }

    private static async Task<(int Status, JsonNode? Body)> SayAsync(
        HttpClient http,
        string visit,
        int after,
        string fact,
        Guid? id = null
    ) =>
        await http.PostAsync(
            $"/api/visits/{visit}/tone/facts",
            $$"""{"after":{{after}},"id":"{{id ?? Guid.NewGuid()}}","fact":{{fact}}}"""
        );

    private static async Task<JsonNode> SaidAsync(HttpClient http, string visit, int after, string fact)
    {
        var (status, body) = await SayAsync(http, visit, after, fact);
        Assert.True(status == 200, $"{fact}: {body?.ToJsonString()}");
        return body!;
    }

    private static string Planned(JsonNode plan) => $$"""{"kind":"planned","plan":{{plan.ToJsonString()}}}""";

    [Fact]
    public async Task A_head_is_toned_from_the_first_choice_to_the_rinse_and_all_is_there_after_a_restart()
    {
        using var server = new Server();
        var (http, visit) = await PaintedAsync(server);
        var view = await http.ReadAsync($"/api/visits/{visit}/tone");
        Assert.Equal("Nothing is chosen yet.", (string)view["verdict"]!);
        Assert.Empty(view["areas"]!.AsArray());
        var raw = await http.GetByteArrayAsync($"/api/visits/{visit}/review/hair?which=cameOut");
        Assert.Equal(raw, await http.GetByteArrayAsync($"/api/visits/{visit}/tone/hair"));

        var start = view["starts"]!.AsArray().Single(s => (string)s!["words"]! == "Middle and ends")!["plan"]!;
        view = await SaidAsync(http, visit, 0, Planned(start));
        Assert.Empty(view["starts"]!.AsArray());
        Assert.Equal(2, view["areas"]!.AsArray().Count);
        foreach (var area in view["areas"]!.AsArray())
        {
            var grams = area!["ingredients"]!.AsArray().Sum(i => (double)i!["grams"]!);
            Assert.Equal((double)area["grams"]!, grams, 1e-6);
            Assert.True(grams is > 2 and < 120, $"{grams} g");
            Assert.Equal(46, area["forecast"]![0]!["byMinute"]!.AsArray().Count);
        }

        var toned = await http.GetByteArrayAsync($"/api/visits/{visit}/tone/hair");
        Assert.Equal(raw.Length, toned.Length);
        Assert.NotEqual(raw, toned);
        Assert.Equal(raw, await http.GetByteArrayAsync($"/api/visits/{visit}/tone/hair?minutes=0"));
        var early = await http.GetByteArrayAsync($"/api/visits/{visit}/tone/hair?minutes=3");
        Assert.NotEqual(early, toned);

        var id = (int)view["areas"]![0]!["area"]!["id"]!;
        var offers = (await http.ReadAsync($"/api/visits/{visit}/tone/offers?area={id}")).AsArray();
        Assert.True(offers.Count >= 2);
        Assert.True((double)offers[0]!["deltaE"]! <= (double)offers[1]!["deltaE"]!);

        var facts = (int)view["facts"]!;
        foreach (var area in view["areas"]!.AsArray().Select(a => (int)a!["area"]!["id"]!).ToArray())
        {
            view = await SaidAsync(http, visit, facts++, $$"""{"kind":"putOn","area":{{area}}}""");
            Assert.Contains(view["areas"]!.AsArray(), a => (int)a!["area"]!["id"]! == area && a["dueAt"] is not null);
            view = await SaidAsync(http, visit, facts++, $$"""{"kind":"wiped","area":{{area}},"looks":"there"}""");
            view = await SaidAsync(http, visit, facts++, $$"""{"kind":"takenOff","area":{{area}}}""");
        }

        Assert.True((bool)view["isDone"]!);
        Assert.Contains(
            "tone",
            (await http.ReadAsync($"/api/visits/{visit}/glance"))["done"]!.AsArray().Select(s => (string)s!)
        );
        using var again = server.Again();
        var then = await again.CreateClient().ReadAsync($"/api/visits/{visit}/tone");
        view["now"] = then["now"] = null;
        Assert.Equal(view.ToJsonString(), then.ToJsonString());
    }

    [Fact]
    public async Task A_bowl_is_weighed_off_the_shelf_and_two_who_pour_at_once_pour_once()
    {
        using var server = new Server();
        var (http, visit) = await PaintedAsync(server);
        var (made, said) = await http.PostAsync(
            "/api/shelf",
            """
            {"baseVersion":0,"product":{"kind":"shade","name":"Gloss 9 violet","stock":{"unit":"gram","onHand":80},
            "depth":9,"reflect":"violet","base":"acidGloss","developerParts":1,"developerVolume":5,"minutes":20} }
            """
        );
        Assert.True(made == 201, said?.ToJsonString());
        var view = await http.ReadAsync($"/api/visits/{visit}/tone");
        var plan = view["starts"]!.AsArray().Single(s => (string)s!["words"]! == "Middle and ends")!["plan"]!;
        var shade = view["shelf"]!.AsArray().Single(b => b!["shades"]!.ToJsonString().Contains("violet"))!;
        plan["areas"]![0]!["bowl"] = shade.DeepClone();
        view = await SaidAsync(http, visit, 0, Planned(plan));
        var area = (int)view["areas"]![0]!["area"]!["id"]!;
        string Pour(int ingredient, double grams)
        {
            var what = new JsonObject
            {
                ["kind"] = "poured",
                ["ingredient"] = ingredient,
                ["grams"] = grams,
                ["how"] = "typed",
            };
            return new JsonObject
            {
                ["kind"] = "weighed",
                ["area"] = area,
                ["what"] = what,
            }.ToJsonString();
        }

        var (bad, why) = await SayAsync(http, visit, 1, Pour(7, 3));
        Assert.Equal(400, bad);
        Assert.Contains("fact.what.ingredient", why!["errors"]!.ToJsonString(), StringComparison.Ordinal);
        var target = (double)view["areas"]![0]!["inBowl"]!["steps"]![0]!["targetGrams"]!;
        var poured = await Task.WhenAll(
            Enumerable.Range(0, 3).Select(_ => SayAsync(http, visit, 1, Pour(0, target + 4)))
        );
        Assert.Equal([200, 409, 409], poured.Select(p => p.Status).Order());
        async Task<double> LeftAsync() =>
            (double)
                (await http.ReadAsync("/api/shelf"))
                    .AsArray()
                    .Single(p => (string)p!["product"]!["name"]! == "Gloss 9 violet")!["product"]!["stock"]!["onHand"]!;
        Assert.Equal(80 - target - 4, await LeftAsync(), 0.01);
        // Too much: restored, the developer's part grows with it.
        view = await SaidAsync(http, visit, 2, $$"""{"kind":"weighed","area":{{area}},"what":{"kind":"restored"} }""");
        var developer = view["areas"]![0]!["inBowl"]!["steps"]![1]!;
        Assert.Equal(target + 4, (double)developer["targetGrams"]!, 0.5);
        view = await SaidAsync(http, visit, 3, Pour(1, (double)developer["toGoGrams"]!));
        Assert.True((bool)view["areas"]![0]!["inBowl"]!["begun"]!["isDone"]!);
        using var again = server.Again();
        var then = await again.CreateClient().ReadAsync($"/api/visits/{visit}/tone");
        Assert.True((bool)then["areas"]![0]!["inBowl"]!["begun"]!["isDone"]!);
        Assert.Null(then["lastFact"]);
    }

    [Fact]
    public async Task A_way_of_toning_is_kept_as_ours_begun_with_at_another_visit_and_forgotten()
    {
        using var server = new Server();
        var (http, visit) = await PaintedAsync(server);
        string New(string name, string at) => $$"""{"visitId":"{{at}}","name":"{{name}}"}""";
        Assert.Equal(400, (await http.PostAsync("/api/toners", New("Quick", visit))).Status);
        var view = await http.ReadAsync($"/api/visits/{visit}/tone");
        await SaidAsync(http, visit, 0, Planned(view["starts"]![0]!["plan"]!));
        Assert.Equal(400, (await http.PostAsync("/api/toners", New("  ", visit))).Status);
        Assert.Equal(404, (await http.PostAsync("/api/toners", New("Quick", Guid.NewGuid().ToString()))).Status);
        var (made, kept) = await http.PostAsync("/api/toners", New("Quick at the basin", visit));
        Assert.True(made == 201, kept?.ToJsonString());
        // Kept again under its name it is replaced, not doubled.
        Assert.Equal(201, (await http.PostAsync("/api/toners", New("Quick at the basin", visit))).Status);

        var other = await http.NewVisitAsync("Another");
        var ours = (await http.ReadAsync($"/api/visits/{other}/tone"))["ours"]!.AsArray().Single()!;
        Assert.Equal("Quick at the basin", (string)ours["name"]!);
        view = await SaidAsync(http, other, 0, Planned(ours["plan"]!));
        Assert.NotEmpty(view["areas"]!.AsArray());
        var gone = new Uri($"/api/toners/{(string)ours["id"]!}", UriKind.Relative);
        Assert.Equal(204, (int)(await http.DeleteAsync(gone)).StatusCode);
        Assert.Equal(404, (int)(await http.DeleteAsync(gone)).StatusCode);
    }

    [Fact]
    public async Task What_can_not_be_is_told_by_field_and_nothing_is_kept()
    {
        using var server = new Server();
        var (http, visit) = await PaintedAsync(server);
        var start = (await http.ReadAsync($"/api/visits/{visit}/tone"))["starts"]![0]!["plan"]!.DeepClone();
        start["areas"]![0]!["bowl"]!["volume"] = 40;
        var (status, body) = await SayAsync(http, visit, 0, Planned(start));
        Assert.Equal(400, status);
        Assert.NotNull(body!["errors"]!["fact.plan.areas[0].bowl.volume"]);
        Assert.Equal(400, (await SayAsync(http, visit, 0, """{"kind":"putOn","area":1}""")).Status);
        Assert.Equal(400, (await SayAsync(http, visit, 0, """{"kind":"nonsense"}""")).Status);
        Assert.Equal(400, (await SayAsync(http, visit, 0, """{"kind":"planned"}""")).Status);
        Assert.Equal(400, (await SayAsync(http, visit, 0, """{"kind":"planned","plan":{"areas":[null]}}""")).Status);
        Assert.Equal(0, (int)(await http.ReadAsync($"/api/visits/{visit}/tone"))["facts"]!);
        using var none = await http.GetAsync($"/api/visits/{visit}/tone/offers?area=7");
        Assert.Equal(400, (int)none.StatusCode);
        using var long_ = await http.GetAsync($"/api/visits/{visit}/tone/hair?minutes=-3");
        Assert.Equal(400, (int)long_.StatusCode);
        using var nobody = await http.GetAsync($"/api/visits/{Guid.NewGuid()}/tone");
        Assert.Equal(404, (int)nobody.StatusCode);
    }

    [Fact]
    public async Task Of_two_who_choose_at_once_the_second_is_asked_again_and_said_twice_counts_once()
    {
        using var server = new Server();
        var (http, visit) = await PaintedAsync(server);
        var starts = (await http.ReadAsync($"/api/visits/{visit}/tone"))["starts"]!.AsArray();
        var id = Guid.NewGuid();
        Assert.Equal(200, (await SayAsync(http, visit, 0, Planned(starts[0]!["plan"]!), id)).Status);
        Assert.Equal(200, (await SayAsync(http, visit, 0, Planned(starts[0]!["plan"]!), id)).Status);
        Assert.Equal(409, (await SayAsync(http, visit, 0, Planned(starts[1]!["plan"]!))).Status);
        var view = await http.ReadAsync($"/api/visits/{visit}/tone");
        Assert.Equal(1, (int)view["facts"]!);
        Assert.Equal(starts[0]!["plan"]!.ToJsonString(), view["plan"]!.ToJsonString());
        // Having looked again, it is taken.
        Assert.Equal(200, (await SayAsync(http, visit, 1, Planned(starts[1]!["plan"]!))).Status);
    }
}
