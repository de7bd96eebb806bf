using System.Text.Json.Nodes;

namespace Wendro.Host.Tests;

/// <summary>Paint in full, through the real pipeline.</summary>
public sealed class PaintTests(Server server) : IClassFixture<Server>
{
    private const string Soft =
        """{"shape":"v","startCm":7,"dropCm":6,"blurCm":5,"midsMm":5,"endsMm":8,"spreadCm":1.5}""";
    private readonly HttpClient http = server.CreateClient();

    private async Task<int> TakeAsync(string visit, int revision, params string[] edits)
    {
        foreach (var edit in edits)
        {
            var (status, body) = await http.EditAsync(visit, revision, edit);
            Assert.True(status == 200, $"{edit}: {status} {body?.ToJsonString()}");
            revision = (int)body!["revision"]!;
        }

        return revision;
    }

    [Fact]
    public async Task Several_products_on_one_panel_are_told_in_order_with_their_edges()
    {
        var visit = await http.NewVisitAsync();
        await TakeAsync(
            visit,
            1,
            """{"kind":"setFormula","formula":{"id":"B","lightener":"clay","volume":10,"minutes":25,"depositLevel":4}}""",
            $$"""{"kind":"paintZone","zone":"upperBack","paint":{{Soft}}}""",
            """{"kind":"addCoat","panels":["upperBack/1/1"],"paint":{"shape":"reverse","startCm":0,"formula":"B","bandCm":6,"midsMm":20,"endsMm":20}}""",
            """{"kind":"setHandling","panels":["upperBack/1/1"],"teasing":"light","coat":0}"""
        );
        var panel = (await http.ReadAsync($"/api/visits/{visit}/plan/panels"))
            .AsArray()
            .Single(p => (string)p!["key"]! == "upperBack/1/1")!;
        Assert.Equal(2, panel["coats"]!.AsArray().Count);
        Assert.Equal("deposit level 4, 10 vol", (string)panel["coats"]![1]!["words"]!);
        Assert.Equal(33, panel["coats"]![0]!["edge"]!.AsArray().Count);
        var strip = await http.ReadAsync($"/api/visits/{visit}/plan/panels/upperBack/1/1/strip");
        var section = Convert.FromBase64String((string)strip["section"]!);
        Assert.Equal((int)strip["rows"]! * (int)strip["layers"]!, section.Length);
        Assert.True(section[0] < section[^((int)strip["layers"]!)], "dark at the root, light at the ends");

        // It comes back from its file as it was.
        var file = await http.GetStringAsync(new Uri($"/api/visits/{visit}/plan/file", UriKind.Relative));
        var other = await http.NewVisitAsync();
        Assert.Equal(200, (await http.PostAsync($"/api/visits/{other}/plan/file?baseRevision=1", file)).Status);
        Assert.Equal(file, await http.GetStringAsync(new Uri($"/api/visits/{other}/plan/file", UriKind.Relative)));
    }

    [Fact]
    public async Task A_head_with_nothing_but_deposit_is_read_like_any_other()
    {
        var visit = await http.NewVisitAsync();
        await TakeAsync(
            visit,
            1,
            """{"kind":"setFormula","formula":{"id":"B","lightener":"clay","volume":10,"minutes":25,"depositLevel":3}}""",
            """{"kind":"paintZone","zone":"upperBack","paint":{"shape":"reverse","formula":"B","bandCm":12,"face":"both"}}"""
        );
        foreach (
            var path in new[]
            {
                "plan",
                "plan/findings",
                "plan/card",
                "plan/panels",
                "section",
                "consult",
                "glance",
                "plan/panels/upperBack/0/0/strip",
            }
        )
        {
            Assert.NotNull(await http.ReadAsync($"/api/visits/{visit}/{path}"));
        }
    }

    [Theory]
    [InlineData("""{"kind":"addCoat","panels":["crown/0/0"],"paint":{"strokes":44}}""", "edit.paint.strokes")]
    [InlineData("""{"kind":"setStrokes","panels":["crown/0/0"],"centreU":2}""", "edit.centreU")]
    [InlineData("""{"kind":"setStrokes","panels":["crown/0/0"]}""", "edit.strokes")]
    [InlineData("""{"kind":"setBand","panels":["crown/0/0"],"bandCm":-3}""", "edit.bandCm")]
    [InlineData("""{"kind":"setBlur","panels":["crown/0/0"],"blurCm":3,"coat":1}""", "edit.coat")]
    [InlineData("""{"kind":"swapCoats","panels":["crown/0/0"],"coat":-1}""", "edit.coat")]
    [InlineData("""{"kind":"setHandling","panels":["crown/0/0"],"tension":"loose"}""", "edit.tension")]
    [InlineData("""{"kind":"taper","frontCm":-1,"backCm":5}""", "edit.frontCm")]
    [InlineData("""{"kind":"raiseFaceFrame","byCm":0}""", "edit.byCm")]
    [InlineData("""{"kind":"touchUpRegrowth"}""", "edit.edit")]
    [InlineData("""{"kind":"dismiss","finding":"TestsMissing","at":"alarm","reason":"no time"}""", "edit.finding")]
    [InlineData("""{"kind":"dismiss","finding":"WeakSide","at":"caution","reason":" "}""", "edit.reason")]
    [InlineData("""{"kind":"setLimits","limits":{"stripeRun":0}}""", "edit.limits.stripeRun")]
    [InlineData(
        """{"kind":"setFormula","formula":{"id":"A","lightener":"clay","volume":20,"minutes":30,"depositLevel":14}}""",
        "edit.formula.depositLevel"
    )]
    [InlineData(
        """{"kind":"paintZone","zone":"crown","paint":{"next":{"next":{"next":{}}}}}""",
        "edit.paint.next.next.next"
    )]
    public async Task Bad_values_answer_400_by_field(string edit, string field)
    {
        var visit = await http.NewVisitAsync();
        await TakeAsync(visit, 1, $$"""{"kind":"paintZone","zone":"crown","paint":{{Soft}}}""");
        var (status, problem) = await http.EditAsync(visit, 2, edit);
        Assert.True(status == 400, problem?.ToJsonString());
        Assert.Contains(field, problem!["errors"]!.AsObject().Select(e => e.Key));
        Assert.Equal(2, (int)(await http.ReadAsync($"/api/visits/{visit}/plan"))["revision"]!);
    }

    [Fact]
    public async Task The_head_is_seen_weeks_later_and_as_an_earlier_revision_had_it()
    {
        var visit = await http.NewVisitAsync();
        await TakeAsync(visit, 1, $$"""{"kind":"paintZone","zone":"upperBack","paint":{{Soft}}}""");
        async Task<byte[]> Levels(string query) =>
            await http.GetByteArrayAsync(new Uri($"/api/visits/{visit}/plan/levels?{query}", UriKind.Relative));
        var rinsed = await Levels("moment=rinsed");
        var grown = await Levels("moment=12w");
        Assert.Equal(rinsed.Length, grown.Length);
        Assert.True(grown.Sum(b => (long)b) < rinsed.Sum(b => (long)b), "light has grown outwards");
        Assert.Equal(await Levels("moment=before"), await Levels("revision=1"));
        Assert.Equal(rinsed, await Levels("revision=2"));
        Assert.Equal(
            404,
            (int)
                (
                    await http.GetAsync(new Uri($"/api/visits/{visit}/plan/levels?revision=9", UriKind.Relative))
                ).StatusCode
        );
        Assert.Equal(
            400,
            (int)
                (
                    await http.GetAsync(new Uri($"/api/visits/{visit}/plan/levels?moment=99w", UriKind.Relative))
                ).StatusCode
        );
        await TakeAsync(visit, 2, """{"kind":"movePart","frontCm":2,"backCm":0}""");
        Assert.Equal(
            400,
            (int)
                (
                    await http.GetAsync(new Uri($"/api/visits/{visit}/plan/levels?revision=2", UriKind.Relative))
                ).StatusCode
        );
    }

    [Fact]
    public async Task Findings_come_with_fixes_and_what_is_set_aside_comes_last_with_its_reason()
    {
        var visit = await http.NewVisitAsync();
        var revision = await TakeAsync(
            visit,
            1,
            """{"kind":"paintZone","zone":"topLeft","paint":{"shape":"full","startCm":6,"blurCm":0,"midsMm":30,"endsMm":30}}"""
        );
        var findings = (await http.ReadAsync($"/api/visits/{visit}/plan/findings")).AsArray();
        Assert.Contains(findings, f => (string)f!["kind"]! == "testsMissing" && !(bool)f["canDismiss"]!);
        var line = findings.First(f => (string)f!["kind"]! == "hardLine")!;
        Assert.NotNull(line["fix"]!["edit"]);
        Assert.True((double)line["fix"]!["now"]!["value"]! > 0.6);
        Assert.NotNull(line["along"]);
        revision = await TakeAsync(
            visit,
            revision,
            $$"""{"kind":"dismiss","finding":"{{line["id"]}}","at":"{{line["severity"]}}","reason":"she wants a line"}"""
        );
        Assert.DoesNotContain(
            (await http.ReadAsync($"/api/visits/{visit}/plan"))["findings"]!.AsArray(),
            f => (string)f!["id"]! == (string)line["id"]!
        );
        var after = (await http.ReadAsync($"/api/visits/{visit}/plan/findings")).AsArray();
        Assert.Equal(
            "she wants a line",
            (string)after.Single(f => (string)f!["id"]! == (string)line["id"]!)!["setAside"]!
        );
        await TakeAsync(visit, revision, $$"""{"kind":"heed","finding":"{{line["id"]}}"}""");
        Assert.Contains(
            (await http.ReadAsync($"/api/visits/{visit}/plan"))["findings"]!.AsArray(),
            f => (string)f!["id"]! == (string)line["id"]!
        );
    }

    [Fact]
    public async Task Limits_of_the_house_come_with_every_new_plan()
    {
        var rules = await http.ReadAsync("/api/house-rules");
        var changed = rules["rules"]!.DeepClone();
        changed["limits"] = new JsonObject { ["stripeRun"] = 5 };
        async Task<int> PutAsync(int version, JsonNode limits)
        {
            using var content = new StringContent(
                new JsonObject { ["baseVersion"] = version, ["rules"] = limits.DeepClone() }.ToJsonString(),
                System.Text.Encoding.UTF8,
                "application/json"
            );
            return (int)(await http.PutAsync(new Uri("/api/house-rules", UriKind.Relative), content)).StatusCode;
        }

        Assert.Equal(200, await PutAsync((int)rules["version"]!, changed));
        var visit = await http.NewVisitAsync();
        Assert.Equal(5, (int)(await http.ReadAsync($"/api/visits/{visit}/plan"))["plan"]!["limits"]!["stripeRun"]!);
        changed["limits"] = new JsonObject { ["stripeRun"] = 99 };
        Assert.Equal(400, await PutAsync((int)rules["version"]! + 1, changed));
        Assert.Equal(200, await PutAsync((int)rules["version"]! + 1, rules["rules"]!));
    }

    [Fact]
    public async Task Fifty_quick_edits_from_two_windows_lose_nothing_and_conflict_cleanly()
    {
        var visit = await http.NewVisitAsync();
        var taken = new List<string>();
        async Task WindowAsync(int window)
        {
            var revision = 1;
            for (var i = 0; i < 25; i++)
            {
                var key = $"upperBack/{window}/{i % 3}";
                var edit = $$"""{"kind":"setHeights","panels":["{{key}}"],"startCm":{{window * 10 + i * 0.1 + 1}}}""";
                var (status, body) = await http.EditAsync(visit, revision, edit);
                while (status == 409)
                {
                    revision = (int)body!["currentRevision"]!;
                    (status, body) = await http.EditAsync(visit, revision, edit);
                }

                Assert.Equal(200, status);
                revision = (int)body!["revision"]!;
                lock (taken)
                {
                    taken.Add(key);
                }
            }
        }

        await Task.WhenAll(WindowAsync(0), WindowAsync(1));
        var plan = await http.ReadAsync($"/api/visits/{visit}/plan");
        Assert.Equal(51, (int)plan["revision"]!);
        Assert.Equal(50, taken.Count);
        var paint = plan["plan"]!["zones"]!["upperBack"]!["paint"]!;
        Assert.Equal(3.4, (double)paint["upperBack/0/0"]!["startCm"]!, 1e-9);
        Assert.Equal(13.4, (double)paint["upperBack/1/0"]!["startCm"]!, 1e-9);
    }

    [Fact]
    public async Task A_search_tells_how_far_it_is_can_be_stopped_and_what_it_found_can_be_taken()
    {
        var visit = await http.NewVisitAsync();
        Assert.Equal("none", (string)(await http.ReadAsync($"/api/visits/{visit}/plan/proposals"))["state"]!);
        Assert.Equal(
            404,
            (int)(await http.DeleteAsync(new Uri($"/api/visits/{visit}/plan/proposals", UriKind.Relative))).StatusCode
        );
        var (status, begun) = await http.PostAsync($"/api/visits/{visit}/plan/proposals", "{}");
        Assert.Equal(202, status);
        Assert.Equal("searching", (string)begun!["state"]!);
        Assert.Equal(
            204,
            (int)(await http.DeleteAsync(new Uri($"/api/visits/{visit}/plan/proposals", UriKind.Relative))).StatusCode
        );
        var done = await DoneAsync(visit);
        Assert.Equal(3, done["found"]!.AsArray().Count);
        var levels = await http.GetByteArrayAsync(
            new Uri($"/api/visits/{visit}/plan/proposals/0/levels", UriKind.Relative)
        );
        Assert.Equal(
            (await http.GetByteArrayAsync(new Uri($"/api/visits/{visit}/plan/levels", UriKind.Relative))).Length,
            levels.Length
        );
        Assert.Equal(
            404,
            (int)
                (
                    await http.GetAsync(new Uri($"/api/visits/{visit}/plan/proposals/7/levels", UriKind.Relative))
                ).StatusCode
        );

        var (taken, change) = await http.EditAsync(visit, 1, done["found"]![0]!["edit"]!.ToJsonString());
        Assert.Equal(200, taken);
        Assert.Equal(
            (double)done["found"]![0]!["measures"]!["lightShare"]!,
            (double)change!["measures"]!["lightShare"]!,
            1e-9
        );
    }

    private async Task<JsonNode> DoneAsync(string visit)
    {
        var tries = 0;
        while (true)
        {
            var now = await http.ReadAsync($"/api/visits/{visit}/plan/proposals");
            if ((string)now["state"]! != "searching")
            {
                Assert.Equal("done", (string)now["state"]!);
                return now;
            }

            Assert.True(++tries < 2_000, "the search does not end");
            await Task.Yield();
            using var pause = new PeriodicTimer(TimeSpan.FromMilliseconds(50));
            await pause.WaitForNextTickAsync();
        }
    }
}
