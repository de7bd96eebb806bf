using System.Text.Json.Nodes;

namespace Wendro.Host.Tests;

public sealed class SectionTests(Server server) : IClassFixture<Server>
{
    private readonly HttpClient http = server.CreateClient();

    private async Task<int> RevisionAsync(string visit) =>
        (int)(await http.ReadAsync($"/api/visits/{visit}/plan"))["revision"]!;

    private async Task<(int Status, JsonNode? Body)> PutAsync(string path, JsonNode body)
    {
        using var content = new StringContent(body.ToJsonString(), System.Text.Encoding.UTF8, "application/json");
        var answer = await http.PutAsync(new Uri(path, UriKind.Relative), content);
        return ((int)answer.StatusCode, JsonNode.Parse(await answer.Content.ReadAsStringAsync()));
    }

    [Fact]
    public async Task Zones_stand_in_working_order_with_counts_grams_and_minutes()
    {
        var visit = await http.NewVisitAsync();
        await http.EditAsync(visit, 1, """{"kind":"paintZone","zone":"nape","paint":{}}""");
        await http.EditAsync(visit, 2, """{"kind":"paintZone","zone":"crown","paint":{}}""");
        var (status, _) = await http.EditAsync(visit, 3, """{"kind":"setFrame","frame":"quadrants"}""");
        Assert.Equal(200, status);
        var section = await http.ReadAsync($"/api/visits/{visit}/section");
        var order = section["order"]!.AsArray();
        Assert.Equal(12, order.Count);
        Assert.Equal("nape", (string)order[0]!["zone"]!);
        Assert.True((double)order[0]!["minutes"]! > 1);

        // Mixing is counted where the bowls count it, and the paint pass goes where the bowls go.
        var mix = await http.ReadAsync($"/api/visits/{visit}/mix");
        var bowls = mix["bowls"]!.AsArray();
        Assert.Equal((double)bowls[0]!["readyAtMinute"]!, (double)order[0]!["startsAtMinute"]!, 1e-6);
        Assert.True((double)bowls[0]!["readyAtMinute"]! > 0);
        Assert.Equal((double)bowls[^1]!["paintedUntilMinute"]!, (double)section["minutes"]!, 1e-6);
        Assert.Equal(
            (double)section["minutes"]!,
            (double)(await http.ReadAsync($"/api/visits/{visit}/glance"))["minutes"]!,
            1e-6
        );
        var plan = await http.ReadAsync($"/api/visits/{visit}/plan");
        Assert.Equal(section["panels"]!.ToJsonString(), plan["working"]!.ToJsonString());
        var painted = bowls.SelectMany(b => b!["panels"]!.AsArray()).Select(p => (string)p!).ToHashSet();
        Assert.Equal(
            bowls.SelectMany(b => b!["panels"]!.AsArray()).Select(p => (string)p!),
            plan["working"]!.AsArray().Select(p => (string)p!).Where(painted.Contains)
        );
        Assert.InRange(order.Sum(z => (double)z!["grams"]!), 120, 260);
        Assert.Equal(order.Sum(z => (int)z!["panels"]!), section["panels"]!.AsArray().Count);
        Assert.Null(section["heavier"]!["side"]);
    }

    [Fact]
    public async Task A_part_to_one_side_makes_the_other_heavier_and_offers_more_there()
    {
        var visit = await http.NewVisitAsync();
        await http.EditAsync(visit, 1, """{"kind":"movePart","frontCm":3.5,"backCm":1}""");
        var heavier = (await http.ReadAsync($"/api/visits/{visit}/section"))["heavier"]!;
        Assert.Equal("right", (string)heavier["side"]!);
        Assert.True((double)heavier["rightGrams"]! > (double)heavier["leftGrams"]!);
        var (status, change) = await http.EditAsync(visit, 2, heavier["edit"]!.ToJsonString());
        Assert.Equal(200, status);
        Assert.True((bool)change!["recut"]!);
        Assert.Null((await http.ReadAsync($"/api/visits/{visit}/section"))["heavier"]!["edit"]);
    }

    [Fact]
    public async Task Every_pattern_is_laid_in_one_step_and_taken_back_in_one()
    {
        var visit = await http.NewVisitAsync();
        var patterns = (await http.ReadAsync($"/api/visits/{visit}/patterns")).AsArray();
        Assert.Equal(6, patterns.Count(p => (string?)p!["family"] == "wholeHead"));
        Assert.Equal(21, patterns.Count(p => p!["family"] is not null));
        Each.Of(patterns, p => Assert.NotEmpty(p!["why"]!.AsArray()));

        // Those that suit her come first.
        var against = patterns.Select(p => p!["against"] is not null).ToArray();
        Assert.Equal(against.Order(), against);
        foreach (var id in new[] { "zigzag-quadrants", "woven-bob", "oval-out" })
        {
            var pattern = patterns.Single(p => (string)p!["id"]! == id)!;
            var revision = await RevisionAsync(visit);
            var (status, change) = await http.EditAsync(visit, revision, pattern["edit"]!.ToJsonString());
            Assert.Equal(200, status);
            Assert.Equal(revision + 1, (int)change!["revision"]!);
            var (undone, back) = await http.PostAsync(
                $"/api/visits/{visit}/plan/undo",
                $"{{\"baseRevision\":{revision + 1}}}"
            );
            Assert.Equal(200, undone);
            Each.Of(back!["panels"]!.AsArray(), p => Assert.Null(p!["paint"]));
        }
    }

    [Fact]
    public async Task A_pattern_is_seen_with_what_it_takes_before_it_is_used_and_nothing_is_stored()
    {
        var visit = await http.NewVisitAsync();
        var patterns = (await http.ReadAsync($"/api/visits/{visit}/patterns")).AsArray();
        var pattern = patterns.Single(p => (string)p!["id"]! == "wide-narrow")!;
        Task<JsonNode> Tried(string id) => http.ReadAsync($"/api/visits/{visit}/patterns/{id}/tried");
        var figures = await Tried("wide-narrow");
        var seen = Convert.FromBase64String((string)figures["picture"]!);
        Assert.Equal("PNG"u8.ToArray(), seen[1..4]);
        Assert.NotEqual((string)(await Tried("heavy-front"))["picture"]!, (string)figures["picture"]!);
        Assert.Equal(1, await RevisionAsync(visit));

        var (status, laid) = await http.EditAsync(visit, 1, pattern["edit"]!.ToJsonString());
        Assert.Equal(200, status);
        var mix = await http.ReadAsync($"/api/visits/{visit}/mix");
        Assert.Equal((double)mix["grams"]!, (double)figures["grams"]!, 1e-6);
        var section = await http.ReadAsync($"/api/visits/{visit}/section");
        Assert.Equal((double)section["minutes"]!, (double)figures["minutes"]!, 1e-6);
        Assert.Equal(laid!["panels"]!.AsArray().Count(p => p!["paint"] is not null), (int)figures["panels"]!);
        Assert.Equal(
            System.Net.HttpStatusCode.NotFound,
            (await http.GetAsync(new Uri($"/api/visits/{visit}/patterns/none/tried", UriKind.Relative))).StatusCode
        );
    }

    [Fact]
    public async Task What_a_pattern_takes_follows_the_hair_though_the_plan_is_the_same()
    {
        var visit = await http.NewVisitAsync();
        var before = await http.ReadAsync($"/api/visits/{visit}/patterns/wide-narrow/tried");
        var consult = await http.ReadAsync($"/api/visits/{visit}/consult");
        var hair = consult["hair"]!.DeepClone();
        hair["density"] = "high";
        var body = new JsonObject
        {
            ["baseVersion"] = (int)consult["version"]!,
            ["hair"] = hair,
            ["consultation"] = consult["consultation"]!.DeepClone(),
        };
        using var sent = new StringContent(body.ToJsonString(), System.Text.Encoding.UTF8, "application/json");
        var put = await http.PutAsync(new Uri($"/api/visits/{visit}/consult", UriKind.Relative), sent);
        Assert.True(put.IsSuccessStatusCode);
        var after = await http.ReadAsync($"/api/visits/{visit}/patterns/wide-narrow/tried");
        Assert.True((double)after["grams"]! > (double)before["grams"]!);
    }

    [Theory]
    [InlineData("PlanEditSetBlur", "blurCm", 12)]
    [InlineData("PanelPaint", "dropCm", 40)]
    [InlineData("PanelPaint", "strokes", 9)]
    [InlineData("Cut", "hemCm", 75)]
    [InlineData("LiftQuestion", "coat", 1)]
    [InlineData("PanelPaint", "startCm", 75)]
    [InlineData("FindingLimits", "lineSoftness", 5)]
    [InlineData("HouseRules", "thicknessMm", 40)]
    public async Task The_api_says_the_bounds_that_are_checked(string schema, string property, double most)
    {
        var schemas = (await http.ReadAsync("/openapi/v1.json"))["components"]!["schemas"]!;
        Assert.Equal(most, (double)schemas[schema]!["properties"]![property]!["maximum"]!);
        Assert.Equal(10, (double)schemas["Level"]!["maximum"]!);
    }

    [Theory]
    [InlineData("12", 200)]
    [InlineData("12.1", 400)]
    public async Task A_value_at_its_bound_is_taken_and_one_beyond_it_is_not(string blur, int expected)
    {
        var visit = await http.NewVisitAsync();
        await http.EditAsync(visit, 1, """{"kind":"paintZone","zone":"crown","paint":{"shape":"v"}}""");
        var (status, _) = await http.EditAsync(
            visit,
            2,
            $$"""{"kind":"setBlur","panels":["crown/0/0"],"blurCm":{{blur}}}"""
        );
        Assert.Equal(expected, status);
    }

    [Fact]
    public async Task A_pattern_of_the_studios_own_is_kept_laid_on_another_head_and_forgotten()
    {
        var visit = await http.NewVisitAsync();
        await http.EditAsync(
            visit,
            1,
            """{"kind":"cutZone","zone":"crown","parting":"pivot","thicknessMm":14,"widthCm":3,"leaveOutMm":2,"bricklay":false}"""
        );
        await http.EditAsync(visit, 2, """{"kind":"paintZone","zone":"crown","paint":{"shape":"full","startCm":10}}""");
        await http.EditAsync(visit, 3, """{"kind":"leaveOut","region":"veil","sizeCm":1,"reason":"falls over"}""");
        var (made, kept) = await http.PostAsync(
            "/api/patterns",
            $$"""{"name":"Ferry","why":"how we like it","visitId":"{{visit}}"}"""
        );
        Assert.Equal(201, made);

        var (_, other) = await http.PostAsync(
            "/api/clients",
            """{"name":"Short","hair":{"naturalLevel":6,"diameter":"fine","density":"low","porosity":"normal","coloured":false,"cut":{"hemCm":20}}}"""
        );
        var visitId = (string)other!["visitId"]!;
        var mine = (await http.ReadAsync($"/api/visits/{visitId}/patterns")).AsArray()[0]!;
        Assert.Equal("Ferry", (string)mine["name"]!);
        Assert.Null(mine["family"]);
        var (status, _) = await http.EditAsync(visitId, 1, mine["edit"]!.ToJsonString());
        Assert.Equal(200, status);
        var plan = (await http.ReadAsync($"/api/visits/{visitId}/plan"))["plan"]!;
        Assert.Equal("pivot", (string)plan["zones"]!["crown"]!["sections"]!["parting"]!);
        Assert.Equal("veil", (string)plan["leftOut"]![0]!["region"]!);

        // Heights are shares of the length: lower on long hair, higher on short.
        Assert.Equal(10 / 34.0, (double)plan["zones"]!["crown"]!["usual"]!["startShare"]!, 1e-6);
        var path = new Uri($"/api/patterns/{kept!["id"]}", UriKind.Relative);
        Assert.Equal(204, (int)(await http.DeleteAsync(path)).StatusCode);
        Assert.Equal(404, (int)(await http.DeleteAsync(path)).StatusCode);
    }

    [Theory]
    [InlineData("", "why", "name")]
    [InlineData("Name", " ", "why")]
    public async Task A_pattern_needs_a_name_and_a_why(string name, string why, string field)
    {
        var visit = await http.NewVisitAsync();
        var (status, body) = await http.PostAsync(
            "/api/patterns",
            $$"""{"name":"{{name}}","why":"{{why}}","visitId":"{{visit}}"}"""
        );
        Assert.Equal(400, status);
        Assert.NotNull(body!["errors"]![field]);
        Assert.Equal(
            404,
            (
                await http.PostAsync("/api/patterns", $$"""{"name":"a","why":"b","visitId":"{{Guid.NewGuid()}}"}""")
            ).Status
        );
    }

    [Fact]
    public async Task House_rules_are_kept_and_a_new_plan_starts_from_them()
    {
        var own = new Server();
        try
        {
            using var there = own.CreateClient();
            var view = await there.ReadAsync("/api/house-rules");
            var rules = view["rules"]!.DeepClone();
            rules["thicknessMm"] = 9;
            rules["frame"] = "tiers";
            rules["babyHairCm"] = 0.5;
            var body = new JsonObject { ["baseVersion"] = view["version"]!.DeepClone(), ["rules"] = rules };
            using var content = new StringContent(body.ToJsonString(), System.Text.Encoding.UTF8, "application/json");
            Assert.Equal(
                200,
                (int)(await there.PutAsync(new Uri("/api/house-rules", UriKind.Relative), content)).StatusCode
            );
            using var again = new StringContent(body.ToJsonString(), System.Text.Encoding.UTF8, "application/json");
            Assert.Equal(
                409,
                (int)(await there.PutAsync(new Uri("/api/house-rules", UriKind.Relative), again)).StatusCode
            );
            var plan = (await there.ReadAsync($"/api/visits/{await there.NewVisitAsync()}/plan"))["plan"]!;
            Assert.Equal(9, (double)plan["zones"]!["crown"]!["sections"]!["thicknessMm"]!);
            Assert.Equal("tiers", (string)plan["frame"]!);
            Assert.Equal("babyHair", (string)plan["leftOut"]![0]!["region"]!);
        }
        finally
        {
            await own.DisposeAsync();
        }
    }

    [Fact]
    public async Task House_rules_that_can_not_be_are_refused_by_field()
    {
        var view = await http.ReadAsync("/api/house-rules");
        var rules = view["rules"]!.DeepClone();
        rules["thicknessMm"] = 99;
        var (status, body) = await PutAsync(
            "/api/house-rules",
            new JsonObject { ["baseVersion"] = 0, ["rules"] = rules }
        );
        Assert.Equal(400, status);
        Assert.NotNull(body!["errors"]!["rules.thicknessMm"]);
        Assert.Equal(16, (double)(await http.ReadAsync("/api/house-rules"))["rules"]!["thicknessMm"]!);
    }

    [Theory]
    [InlineData(
        """{"kind":"cutZone","zone":"crown","parting":"pivot","thicknessMm":12,"widthCm":4,"leaveOutMm":4,"bricklay":true,"order":"sideways"}"""
    )]
    [InlineData("""{"kind":"together","edits":[]}""")]
    [InlineData("""{"kind":"together","edits":[null]}""")]
    [InlineData("""{"kind":"together","edits":[{"kind":"together","edits":[{"kind":"setFrame","frame":"tiers"}]}]}""")]
    [InlineData("""{"kind":"setOrder","zones":["nape"]}""")]
    [InlineData("""{"kind":"setOrder","zones":null}""")]
    [InlineData("""{"kind":"leaveOut","region":"moon","sizeCm":1,"reason":"x"}""")]
    [InlineData("""{"kind":"leaveOut","region":"veil","sizeCm":1,"reason":""}""")]
    [InlineData("""{"kind":"takeIn","region":"veil"}""")]
    [InlineData("""{"kind":"movePart","frontCm":0,"backCm":0,"zigzagMm":99}""")]
    public async Task A_division_that_can_not_be_is_refused_and_changes_nothing(string edit)
    {
        var visit = await http.NewVisitAsync();
        var (status, body) = await http.EditAsync(visit, 1, edit);
        Assert.Equal(400, status);
        Assert.NotNull(body!["title"]);
        Assert.Equal(1, await RevisionAsync(visit));
    }

    [Fact]
    public async Task Undo_does_not_bring_paint_back_while_a_stop_stands()
    {
        var visit = await http.NewVisitAsync();
        await http.EditAsync(visit, 1, """{"kind":"paintZone","zone":"nape","paint":{}}""");
        await http.EditAsync(visit, 2, """{"kind":"clearZone","zone":"nape"}""");
        var consult = await http.ReadAsync($"/api/visits/{visit}/consult");
        consult["consultation"]!["salts"] = "yes";
        var (put, _) = await PutAsync(
            $"/api/visits/{visit}/consult",
            new JsonObject
            {
                ["baseVersion"] = 0,
                ["hair"] = consult["hair"]!.DeepClone(),
                ["consultation"] = consult["consultation"]!.DeepClone(),
            }
        );
        Assert.Equal(200, put);
        var (status, body) = await http.PostAsync($"/api/visits/{visit}/plan/undo", """{"baseRevision":3}""");
        Assert.Equal(409, status);
        Assert.NotEmpty(body!["stops"]!.AsArray());
        Assert.Equal(3, await RevisionAsync(visit));
    }

    [Theory]
    [InlineData("otherPart", 200)]
    [InlineData("tucked", 200)]
    [InlineData("sweptBack", 200)]
    [InlineData("upsideDown", 400)]
    [InlineData("2", 400)]
    public async Task She_is_seen_in_every_wear_and_from_above(string wear, int expected)
    {
        var visit = await http.NewVisitAsync();
        var answer = await http.GetAsync(
            new Uri($"/api/visits/{visit}/seen?wear={wear}&angle=30&tilt=75", UriKind.Relative)
        );
        Assert.Equal(expected, (int)answer.StatusCode);
        if (expected == 200)
        {
            var bytes = await answer.Content.ReadAsByteArrayAsync();
            Assert.Equal(75, bytes[15]);
        }
    }

    [Fact]
    public async Task A_tilt_beyond_the_zenith_is_refused() =>
        Assert.Equal(
            400,
            (int)
                (
                    await http.GetAsync(
                        new Uri($"/api/visits/{await http.NewVisitAsync()}/seen?tilt=120", UriKind.Relative)
                    )
                ).StatusCode
        );

    [Fact]
    public async Task Worn_straightened_her_curls_are_seen_straight_and_her_panels_stay()
    {
        var (_, made) = await http.PostAsync(
            "/api/clients",
            """{"name":"Curls","hair":{"naturalLevel":4,"diameter":"medium","density":"medium","porosity":"normal","coloured":false,"curl":"curly","cut":{"hemCm":34}}}"""
        );
        var visit = (string)made!["visitId"]!;
        var seen = new Uri($"/api/visits/{visit}/seen?wear=down&angle=0", UriKind.Relative);
        var curly = await http.GetByteArrayAsync(seen);
        var (status, change) = await http.EditAsync(visit, 1, """{"kind":"setStyling","styling":"straight"}""");
        Assert.Equal(200, status);
        Assert.Empty(change!["lost"]!.AsArray());
        Assert.NotEqual(curly, await http.GetByteArrayAsync(seen));
        await http.EditAsync(visit, 2, """{"kind":"setStyling","styling":"own"}""");
        Assert.Equal(curly, await http.GetByteArrayAsync(seen));
    }

    [Fact]
    public async Task A_plan_goes_out_as_a_file_and_comes_in_again_the_same()
    {
        var visit = await http.NewVisitAsync();
        var pattern = (await http.ReadAsync($"/api/visits/{visit}/patterns"))
            .AsArray()
            .Single(p => (string)p!["id"]! == "zigzag-quadrants")!;
        await http.EditAsync(visit, 1, pattern["edit"]!.ToJsonString());
        await http.EditAsync(visit, 2, """{"kind":"setReach","reach":"half"}""");
        var path = $"/api/visits/{visit}/plan/file";
        var file = await http.GetStringAsync(new Uri(path, UriKind.Relative));
        var other = await http.NewVisitAsync();
        Assert.Equal(200, (await http.PostAsync($"/api/visits/{other}/plan/file?baseRevision=1", file)).Status);
        Assert.Equal(file, await http.GetStringAsync(new Uri($"/api/visits/{other}/plan/file", UriKind.Relative)));
    }
}
