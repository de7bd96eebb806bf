using System.Text.Json.Nodes;
using Wendro.Colour;

namespace Wendro.Host.Tests;

public sealed class ConsultTests(Server server) : IClassFixture<Server>
{
    private const string PaintBack = """{"kind":"paintZone","zone":"upperBack","paint":{"shape":"full","startCm":2}}""";
    private readonly HttpClient http = server.CreateClient();

    private Task<JsonNode> ReadAsync(string visit) => http.ReadAsync($"/api/visits/{visit}/consult");

    private Task<(int Status, JsonNode? Body)> PutAsync(string visit, Action<JsonNode> change) =>
        http.PutConsultAsync(visit, change);

    [Fact]
    public async Task A_fresh_visit_asks_everything_and_has_a_verdict()
    {
        var view = await ReadAsync(await http.NewVisitAsync());
        Assert.Equal(0, (int)view["version"]!);
        Assert.NotEmpty((string)view["verdict"]!["title"]!);
        Assert.Contains(
            view["safety"]!.AsArray(),
            s => (string)s!["question"]! == "patch" && (string)s["standing"]! == "caution"
        );
        Assert.Equal(31, view["curve"]!["levels"]!.AsArray().Count);
    }

    [Fact]
    public async Task Bands_are_kept_and_seen_before_anything_is_painted()
    {
        var visit = await http.NewVisitAsync();
        var levels = new Uri($"/api/visits/{visit}/plan/levels?moment=before", UriKind.Relative);
        Assert.Single((await http.GetByteArrayAsync(levels)).Distinct());
        var (status, view) = await PutAsync(
            visit,
            b =>
                b["hair"]!["history"] = JsonNode.Parse(
                    """[{"fromCm":0,"toCm":4,"state":"natural","level":5},{"fromCm":4,"toCm":34,"state":"lightened","level":8,"share":0.4}]"""
                )
        );
        Assert.Equal((200, 1), (status, (int)view!["version"]!));
        Assert.Equal(2, (await http.GetByteArrayAsync(levels)).Distinct().Count(b => b is 113 or 198));
        Assert.StartsWith("Correction", (string)view["verdict"]!["advised"]!["technique"]!, StringComparison.Ordinal);
    }

    [Fact]
    public async Task Readings_bend_the_forecast_and_the_plan()
    {
        var visit = await http.NewVisitAsync();
        await http.EditAsync(visit, 1, PaintBack);
        async Task<(double Mean, double Spread)> BackAsync()
        {
            var panels = (await http.ReadAsync($"/api/visits/{visit}/plan/panels"))
                .AsArray()
                .Where(p => (string)p!["zone"]! == "upperBack")
                .ToArray();
            return (panels.Average(p => (double)p!["meanLevel"]!), panels.Average(p => (double)p!["levelSpread"]!));
        }

        var before = await BackAsync();
        var (status, view) = await PutAsync(
            visit,
            b =>
                b["consultation"]!["strand"] = JsonNode.Parse(
                    """{"lightener":"clay","volume":30,"covering":"open","readings":[{"minutes":10,"level":5.2},{"minutes":20,"level":5.5},{"minutes":35,"level":5.9}]}"""
                )
        );
        Assert.Equal(200, status);
        Assert.True((double)view!["curve"]!["own"]!["speed"]! < 0.8);
        var after = await BackAsync();
        Assert.True(after.Mean < before.Mean - 0.2);
        Assert.True(after.Spread < before.Spread);
    }

    [Theory]
    [InlineData(
        "hair",
        "history",
        """[{"fromCm":0,"toCm":4,"state":"natural","level":5},{"fromCm":6,"toCm":34,"state":"natural","level":5}]""",
        "hair.history[1].fromCm"
    )]
    [InlineData("hair", "history", """[{"fromCm":0,"toCm":60,"state":"natural","level":5}]""", "hair.history[0].toCm")]
    [InlineData(
        "hair",
        "history",
        """[{"fromCm":0,"toCm":34,"state":"natural","level":11}]""",
        "hair.history[0].level"
    )]
    [InlineData("hair", "naturalLevel", "0", "hair.naturalLevel")]
    [InlineData("hair", "curl", "\"spiral\"", "hair.curl")]
    [InlineData(
        "consultation",
        "patch",
        """{"at":"2031-05-07T09:00:00Z","result":"waiting"}""",
        "consultation.patch.at"
    )]
    [InlineData("consultation", "minutesToday", "1", "consultation.minutesToday")]
    [InlineData(
        "consultation",
        "overrides",
        """[{"question":"patch","reason":" ","at":"2031-05-06T09:00:00Z"}]""",
        "consultation.overrides[0].reason"
    )]
    public async Task What_cannot_be_so_is_named_in_place_and_nothing_is_lost(
        string part,
        string field,
        string value,
        string named
    )
    {
        var visit = await http.NewVisitAsync();
        var before = (await ReadAsync(visit)).ToJsonString();
        var (status, problem) = await PutAsync(visit, b => b[part]![field] = JsonNode.Parse(value));
        Assert.Equal(400, status);
        Assert.Contains(named, problem!["errors"]!.AsObject().Select(e => e.Key));
        Assert.Equal(before, (await ReadAsync(visit)).ToJsonString());
    }

    [Fact]
    public async Task A_stale_version_is_refused_and_nothing_is_lost()
    {
        var visit = await http.NewVisitAsync();
        await PutAsync(visit, b => b["hair"]!["naturalLevel"] = 4);
        var (status, problem) = await PutAsync(
            visit,
            b =>
            {
                b["baseVersion"] = 0;
                b["hair"]!["naturalLevel"] = 9;
            }
        );
        Assert.Equal((409, 1), (status, (int)problem!["currentRevision"]!));
        Assert.Equal(4, (double)(await ReadAsync(visit))["hair"]!["naturalLevel"]!);
    }

    [Fact]
    public async Task A_stop_really_stops_painting_until_it_is_gone()
    {
        var visit = await http.NewVisitAsync();
        await PutAsync(visit, b => b["consultation"]!["salts"] = "yes");
        Assert.Equal("Not today.", (string)(await ReadAsync(visit))["verdict"]!["title"]!);
        var (stopped, problem) = await http.EditAsync(visit, 1, PaintBack);
        Assert.Equal(409, stopped);
        Assert.Contains("henna", (string)problem!["stops"]![0]!, StringComparison.Ordinal);
        Assert.Single((await http.ReadAsync($"/api/visits/{visit}/plan"))["stops"]!.AsArray());
        Assert.Contains(
            "Stop.",
            (string)(await http.ReadAsync($"/api/visits/{visit}/glance"))["missing"]![0]!,
            StringComparison.Ordinal
        );

        // What lays no product stays free.
        Assert.Equal(
            200,
            (await http.EditAsync(visit, 1, """{"kind":"excludeZone","zone":"nape","reason":"undercut"}""")).Status
        );
        await PutAsync(visit, b => b["consultation"]!["salts"] = "none");
        Assert.Equal(200, (await http.EditAsync(visit, 2, PaintBack)).Status);
    }

    [Fact]
    public async Task No_door_leads_round_a_stop()
    {
        var visit = await http.NewVisitAsync();
        await http.EditAsync(visit, 1, PaintBack);
        var file = (await http.ReadAsync($"/api/visits/{visit}/plan/file")).ToJsonString();
        await http.EditAsync(visit, 2, """{"kind":"setReach","reach":"half"}""");
        await PutAsync(visit, b => b["consultation"]!["salts"] = "yes");

        string Plan(string door) => $"/api/visits/{visit}/plan/{door}";
        async Task StoppedAsync((int Status, JsonNode? Body) answer)
        {
            Assert.Equal(409, answer.Status);
            Assert.NotEmpty(answer.Body!["stops"]!.AsArray());
            Assert.Equal(3, (int)(await http.ReadAsync($"/api/visits/{visit}/plan"))["revision"]!);
        }

        await StoppedAsync(await http.EditAsync(visit, 3, """{"kind":"includeZone","zone":"upperBack"}"""));
        await StoppedAsync(await http.EditAsync(visit, 3, """{"kind":"setReach","reach":"full"}"""));
        await StoppedAsync(await http.PostAsync(Plan("undo"), """{"baseRevision":3}"""));
        await StoppedAsync(await http.PostAsync(Plan("file?baseRevision=3"), file));
        var pattern = (await http.ReadAsync($"/api/visits/{visit}/patterns"))[0]!["edit"]!.ToJsonString();
        await StoppedAsync(await http.EditAsync(visit, 3, pattern));

        // What can't be applied at all is told as such, and what takes away stays free.
        Assert.Equal(
            400,
            (await http.EditAsync(visit, 3, """{"kind":"paintZone","zone":"crown","paint":{"startCm":-1}}""")).Status
        );
        Assert.Equal(200, (await http.EditAsync(visit, 3, """{"kind":"setReach","reach":"hairline"}""")).Status);
        await PutAsync(visit, b => b["consultation"]!["salts"] = "none");
        Assert.Equal(200, (await http.EditAsync(visit, 4, """{"kind":"includeZone","zone":"upperBack"}""")).Status);
    }

    [Fact]
    public async Task A_caution_stays_in_sight_until_it_is_gone_past_with_a_reason()
    {
        var visit = await http.NewVisitAsync();
        await http.EditAsync(visit, 1, PaintBack);
        async Task<bool> InSightAsync() =>
            (await http.ReadAsync($"/api/visits/{visit}/plan"))["cautions"]!
                .AsArray()
                .Any(c => ((string)c!).StartsWith("Patch test", StringComparison.Ordinal));
        Assert.True(await InSightAsync());
        await PutAsync(
            visit,
            b =>
                b["consultation"]!["overrides"] = JsonNode.Parse(
                    """[{"question":"patch","reason":"Cleared here in March, same product","at":"2031-05-06T09:00:00Z"}]"""
                )
        );
        Assert.False(await InSightAsync());
        Assert.Contains(
            (await ReadAsync(visit))["safety"]!.AsArray(),
            s => (string?)s!["reason"] == "Cleared here in March, same product"
        );
    }

    [Fact]
    public async Task Marks_and_zones_that_differ_are_kept_and_count()
    {
        var visit = await http.NewVisitAsync();
        var (status, view) = await PutAsync(
            visit,
            b =>
            {
                b["hair"]!["marked"] = JsonNode.Parse(
                    """[{"kind":"undercut","x":0,"y":-16,"radiusCm":6},{"kind":"swirl","x":2,"y":6,"radiusCm":2,"clockwise":false}]"""
                );
                b["hair"]!["byZone"] = JsonNode.Parse("""{"crown":{"naturalLevel":3,"greyShare":0.5}}""");
            }
        );
        Assert.Equal(200, status);
        Assert.False((bool)view!["hair"]!["marked"]![1]!["clockwise"]!);
        var panels = (await http.ReadAsync($"/api/visits/{visit}/plan/panels")).AsArray();
        double Area(string zone) => panels.Where(p => (string)p!["zone"]! == zone).Sum(p => (double)p!["areaCm2"]!);
        Assert.True(Area("nape") < Area("lowerBack"));
        Each.Of(
            panels.Where(p => (string)p!["zone"]! == "crown"),
            p => Assert.Equal(3, (double)p!["meanLevel"]!, 1e-6)
        );
        var hair = await http.GetByteArrayAsync(
            new Uri($"/api/visits/{visit}/plan/hair?moment=before", UriKind.Relative)
        );
        Assert.Contains(hair.Where((_, i) => i % 2 == 1), t => new Tint(t).Meaning.White);
    }

    [Theory]
    [InlineData("marked", """[{"kind":"swirl","x":0,"y":0,"radiusCm":40}]""", "hair.marked[0].radiusCm")]
    [InlineData("byZone", """{"crown":{"naturalLevel":11}}""", "hair.byZone.crown.naturalLevel")]
    [InlineData("marked", """[null]""", "hair.marked[0]")]
    [InlineData("history", """[null]""", "hair.history[0]")]
    [InlineData("byZone", """{"crown":null}""", "hair.byZone.crown")]
    [InlineData("cut", """{"hemCm":34,"fringeCm":1}""", "hair.cut.fringeCm")]
    [InlineData("cut", """{"hemCm":34,"evenCm":90}""", "hair.cut.evenCm")]
    [InlineData(
        "history",
        """[{"fromCm":0,"toCm":34,"state":"natural","level":5,"warmth":3}]""",
        "hair.history[0].warmth"
    )]
    public async Task What_can_not_be_is_named_by_field_and_nothing_is_lost(string field, string value, string error)
    {
        var visit = await http.NewVisitAsync();
        var (status, body) = await PutAsync(visit, b => b["hair"]![field] = JsonNode.Parse(value));
        Assert.Equal(400, status);
        Assert.NotNull(body!["errors"]![error]);
        Assert.Equal(0, (int)(await ReadAsync(visit))["version"]!);
    }

    [Fact]
    public async Task The_strand_grows_and_what_passes_the_ends_is_cut()
    {
        var visit = await http.NewVisitAsync();
        await PutAsync(
            visit,
            b =>
                b["hair"]!["history"] = JsonNode.Parse(
                    """[{"fromCm":0,"toCm":30,"state":"lightened","level":8},{"fromCm":30,"toCm":34,"state":"coloured","level":6}]"""
                )
        );
        var (status, grown) = await http.PostAsync($"/api/visits/{visit}/consult/grown", """{"weeks":26}""");
        Assert.Equal(200, status);
        var bands = grown!.AsArray();
        Assert.Equal(("natural", 7.5), ((string)bands[0]!["state"]!, (double)bands[0]!["toCm"]!));
        Assert.Equal(34, (double)bands[^1]!["toCm"]!);
        Assert.Equal(2, bands.Count);
        Assert.Equal(400, (await http.PostAsync($"/api/visits/{visit}/consult/grown", """{"weeks":-1}""")).Status);
    }

    [Fact]
    public async Task The_look_she_wants_has_the_light_she_wants_and_stores_nothing()
    {
        var visit = await http.NewVisitAsync();
        async Task<byte[]> LookAsync(string goal)
        {
            using var content = new StringContent(
                $"{{\"wish\":{goal}}}",
                System.Text.Encoding.UTF8,
                "application/json"
            );
            var answer = await http.PostAsync(new Uri($"/api/visits/{visit}/consult/look", UriKind.Relative), content);
            Assert.Equal(200, (int)answer.StatusCode);
            return await answer.Content.ReadAsByteArrayAsync();
        }

        double Light(byte[] levels) => levels.Count(l => l > 156) / (double)levels.Length;
        var little = await LookAsync("""{"endsLevel":9,"faceFrameLift":0,"lightShareLow":0.1,"lightShareHigh":0.2}""");
        var much = await LookAsync("""{"endsLevel":9,"faceFrameLift":0,"lightShareLow":0.6,"lightShareHigh":0.8}""");
        Assert.True(Light(much) > 2 * Light(little));
        Assert.Equal(1, (int)(await http.ReadAsync($"/api/visits/{visit}/plan"))["revision"]!);
        Assert.Equal(
            400,
            (await http.PostAsync($"/api/visits/{visit}/consult/look", """{"wish":{"endsLevel":12}}""")).Status
        );
        Assert.Equal(400, (await http.PostAsync($"/api/visits/{visit}/consult/look", """{"wish":null}""")).Status);
    }

    [Fact]
    public async Task Why_shows_a_sum_that_can_be_done_by_hand()
    {
        var view = await ReadAsync(await http.NewVisitAsync());
        var ground = view["verdict"]!["grounds"]!.AsArray().Single(g => (string)g!["what"]! == "Visit 1")!;
        var text = (string)ground["value"]!;
        double After(string mark) =>
            double.Parse(
                System.Text.RegularExpressions.Regex.Match(text, mark + @"([\d.]+)").Groups[1].Value,
                System.Globalization.CultureInfo.InvariantCulture
            );
        var (cap, x, k, tau, lift) = (
            After("cap "),
            After(@"\) = "),
            After("; k = "),
            After("τ = "),
            After("lift = .*= ")
        );
        Assert.Equal(lift, cap * (1 - Math.Exp(-x * k / tau)), 0.02);
        var from = double.Parse(
            text[..text.IndexOf(' ', StringComparison.Ordinal)],
            System.Globalization.CultureInfo.InvariantCulture
        );
        Assert.Contains($"{from + lift:0.0} ±", text, StringComparison.Ordinal);
    }
}
