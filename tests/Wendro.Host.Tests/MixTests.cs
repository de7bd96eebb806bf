using System.Text.Json.Nodes;

namespace Wendro.Host.Tests;

/// <summary>
/// Mix through the real pipeline: bowls from the plan, weighed as rows, over-poured, kept, lost and found again.
/// </summary>
public sealed class MixTests : IDisposable
{
    private const string Painted =
        """{"kind":"together","edits":[{"kind":"setFormula","formula":{"id":"A","lightener":"clay","volume":25,"minutes":40,"product":"Lantern clay"}},{"kind":"paintZone","zone":"upperBack","paint":{"shape":"v","startCm":8}},{"kind":"paintZone","zone":"lowerBack","paint":{"shape":"v","startCm":8}}]}""";
    private readonly Server server = new();
    private readonly HttpClient http;

    public MixTests() => http = server.CreateClient();

    public void Dispose() => server.Dispose();

    private async Task<string> MixedAsync()
    {
        await http.PostAsync(
            "/api/shelf/file",
            "kind,name,unit,price,onHand,lowAt,lot,type,ratedLevels,dryingMinutes,workingMinutes,limitMinutes,windowMinutes,ratios,volume\n"
                + "lightener,Lantern clay,gram,0.1,200,20,L7,clay,7,40,26,50,25,1.5,\n"
                + "developer,Ebb 20,millilitre,0.02,500,,,,,,,,,,20\ndeveloper,Ebb 40,millilitre,0.02,500,,,,,,,,,,40\n",
            "text/csv"
        );
        var visit = await http.NewVisitAsync();
        Assert.Equal(200, (await http.EditAsync(visit, 1, Painted)).Status);
        return visit;
    }

    private Task<JsonNode> MixAsync(string visit) => http.ReadAsync($"/api/visits/{visit}/mix");

    private async Task<JsonNode> BeginAsync(string visit, int ordinal = 1)
    {
        var revision = (int)(await MixAsync(visit))["revision"]!;
        var (status, body) = await http.PostAsync(
            $"/api/visits/{visit}/mix/bowls",
            $$"""{"baseRevision":{{revision}},"formula":"A","ordinal":{{ordinal}}}"""
        );
        Assert.True(status == 200, body?.ToJsonString());
        return body!;
    }

    private Task<(int Status, JsonNode? Body)> HappenAsync(string visit, JsonNode mix, string happened, int bowl = 0)
    {
        var begun = mix["bowls"]![bowl]!["begun"]!;
        return http.PostAsync(
            $"/api/visits/{visit}/mix/bowls/{(string)begun["id"]!}/events",
            $$"""{"after":{{(int)begun["events"]!}},"event":{{happened}}}"""
        );
    }

    private async Task<double> OnHandAsync(string name) =>
        (double)
            (await http.ReadAsync("/api/shelf")).AsArray().Single(p => (string)p!["product"]!["name"]! == name)![
                "product"
            ]!["stock"]!["onHand"]!;

    [Fact]
    public async Task A_coarser_cut_is_offered_where_the_first_are_over_and_taken_by_its_own_edit()
    {
        var visit = await MixedAsync();
        var address = $"/api/visits/{visit}/mix/coarser";
        Assert.Null((await http.ReadAsync(address))["cut"]);
        const string fine =
            """{"kind":"together","edits":[{"kind":"setFormula","formula":{"id":"A","lightener":"clay","volume":25,"minutes":12}},{"kind":"cutZone","zone":"upperBack","parting":"horizontal","thicknessMm":8,"widthCm":2,"leaveOutMm":3,"bricklay":true}]}""";
        Assert.Equal(200, (await http.EditAsync(visit, 2, fine)).Status);
        var isInTime = (await MixAsync(visit))["waves"]!.AsArray().Count > 1;
        Assert.NotEqual(isInTime, (await http.ReadAsync(address))["cut"] is not null);
        Assert.Equal(200, (await http.EditAsync(visit, 3, """{"kind":"setRinse","rinse":"once"}""")).Status);
        var cut = (await http.ReadAsync(address))["cut"]!;
        Assert.True((int)cut["panels"]! < (int)cut["panelsBefore"]!);
        Assert.Equal(200, (await http.EditAsync(visit, 4, cut["edit"]!.ToJsonString())).Status);
        var over = (await MixAsync(visit))["findings"]!.AsArray().Any(f => (string)f!["kind"]! == "firstOver");
        Assert.NotEqual((bool)cut["mends"]!, over);
    }

    [Fact]
    public async Task A_safety_stop_stops_the_bowl_too()
    {
        var visit = await MixedAsync();
        var view = await http.ReadAsync($"/api/visits/{visit}/consult");
        var body = new JsonObject
        {
            ["baseVersion"] = view["version"]!.DeepClone(),
            ["hair"] = view["hair"]!.DeepClone(),
            ["consultation"] = view["consultation"]!.DeepClone(),
        };
        body["consultation"]!["salts"] = "yes";
        using var content = new StringContent(body.ToJsonString(), System.Text.Encoding.UTF8, "application/json");
        Assert.True(
            (
                await http.PutAsync(new Uri($"/api/visits/{visit}/consult", UriKind.Relative), content)
            ).IsSuccessStatusCode
        );
        var revision = (int)(await MixAsync(visit))["revision"]!;
        var (status, refused) = await http.PostAsync(
            $"/api/visits/{visit}/mix/bowls",
            $$"""{"baseRevision":{{revision}},"formula":"A","ordinal":1}"""
        );
        Assert.Equal(409, status);
        Assert.NotEmpty(refused!["stops"]!.AsArray());
    }

    private static double Target(JsonNode mix, int step, int bowl = 0) =>
        (double)mix["bowls"]![bowl]!["steps"]![step]!["targetGrams"]!;

    private static string Pour(int ingredient, double grams, string how = "scale") =>
        FormattableString.Invariant(
            $$"""{"kind":"poured","ingredient":{{ingredient}},"grams":{{grams}},"how":"{{how}}"}"""
        );

    [Fact]
    public async Task The_bowls_sum_to_the_plan_and_every_part_has_its_share()
    {
        var mix = await MixAsync(await MixedAsync());
        var bowls = mix["bowls"]!.AsArray();
        Assert.Equal((double)mix["grams"]!, bowls.Sum(b => (double)b!["grams"]! - (double)b["extraGrams"]!), 0.1);
        foreach (var bowl in bowls)
        {
            var steps = bowl!["steps"]!.AsArray();
            Assert.Equal(
                ["Lantern clay", "Ebb 20", "Ebb 40"],
                steps.Select(s => (string?)s!["ingredient"]!["product"])
            );
            var grams = steps.Select(s => (double)s!["targetGrams"]!).ToArray();
            Assert.Equal((double)bowl["grams"]!, grams.Sum(), 0.01);
            Assert.Equal(1.5, (grams[1] + grams[2]) / grams[0], 1e-6);
            Assert.Equal(25, (20 * grams[1] + 40 * grams[2]) / (grams[1] + grams[2]), 1e-6);
            Assert.True((double)bowl["paintedUntilMinute"]! <= (double)bowl["livesUntilMinute"]!);
        }

        Assert.True((double)mix["cost"]! > 0);
        Assert.NotEmpty(mix["tray"]!.AsArray());
        Assert.NotEmpty(mix["cautions"]!.AsArray());
    }

    [Fact]
    public async Task A_bowl_is_weighed_as_rows_and_leaves_the_stock()
    {
        var visit = await MixedAsync();
        var mix = await BeginAsync(visit);
        (_, mix) = await HappenAsync(visit, mix, """{"kind":"tared","grossGrams":212.4}""");
        for (var i = 0; i < 3; i++)
        {
            var before = mix!;
            (var status, mix) = await HappenAsync(visit, before, Pour(i, Math.Round(Target(before, i), 1)));
            Assert.Equal(200, status);
            Assert.Equal(409, (await HappenAsync(visit, before, Pour(i, 1))).Status);
        }

        var begun = mix!["bowls"]![0]!["begun"]!;
        Assert.True((bool)begun["isDone"]!);
        Assert.Equal(
            212.4 + Enumerable.Range(0, 3).Sum(i => Math.Round(Target(mix, i), 1)),
            (double)begun["grossGrams"]!,
            0.01
        );
        Assert.Equal(200 - Math.Round(Target(mix, 0), 1), await OnHandAsync("Lantern clay"), 0.01);

        (_, mix) = await HappenAsync(visit, mix, """{"kind":"takenBack"}""");
        Assert.Equal(2, (int)mix!["bowls"]![0]!["begun"]!["next"]!);
        Assert.Equal(500, await OnHandAsync("Ebb 40"), 0.01);

        // A new server on the same file knows all of it.
        using var again = server.Again();
        var found = await again.CreateClient().ReadAsync($"/api/visits/{visit}/mix");
        Assert.Equal((await MixAsync(visit))["bowls"]!.ToJsonString(), found["bowls"]!.ToJsonString());
        Assert.Equal(5, (int)found["bowls"]![0]!["begun"]!["events"]!);
    }

    [Fact]
    public async Task Too_much_is_restored_or_kept_and_then_forecast_with()
    {
        var visit = await MixedAsync();
        var mix = await BeginAsync(visit);
        var wanted = Target(mix, 0);
        (_, mix) = await HappenAsync(visit, mix, Pour(0, wanted * 1.2, "typed"));
        var begun = mix!["bowls"]![0]!["begun"]!;
        Assert.Equal(0, (int)begun["over"]!);
        var rescue = begun["rescue"]!["rescue"]!;
        Assert.Equal((double)mix["bowls"]![0]!["grams"]! * 1.2, (double)rescue["totalGrams"]!, 0.1);
        Assert.True((bool)rescue["fits"]!);
        Assert.Equal(400, (await HappenAsync(visit, mix, Pour(1, 5))).Status);

        var (_, restored) = await HappenAsync(visit, mix, """{"kind":"restored"}""");
        Assert.Equal(wanted * 1.2, Target(restored!, 0), 0.01);
        Assert.Equal(1, (int)restored!["bowls"]![0]!["begun"]!["next"]!);

        (_, mix) = await HappenAsync(visit, restored, """{"kind":"takenBack"}""");
        (_, mix) = await HappenAsync(visit, mix!, """{"kind":"kept"}""");
        for (var i = 1; i < 3; i++)
        {
            (_, mix) = await HappenAsync(visit, mix!, Pour(i, Target(mix!, i)));
        }

        Assert.True((bool)mix!["bowls"]![0]!["begun"]!["isDone"]!);
        Assert.Contains(mix["findings"]!.AsArray(), f => (string)f!["kind"]! == "unevenRecipe");
        var forecast = mix["forecast"]!;
        Assert.NotEqual((double)forecast["meanLevelPlanned"]!, (double)forecast["meanLevel"]!);
    }

    [Fact]
    public async Task What_can_not_be_is_refused_and_nothing_is_lost()
    {
        var visit = await MixedAsync();
        var mix = await BeginAsync(visit);
        Assert.Equal(400, (await HappenAsync(visit, mix, Pour(9, 5))).Status);
        Assert.Equal(400, (await HappenAsync(visit, mix, Pour(0, -5))).Status);
        Assert.Equal(400, (await HappenAsync(visit, mix, """{"kind":"restored"}""")).Status);
        Assert.Equal(400, (await HappenAsync(visit, mix, """{"kind":"spilt"}""")).Status);
        Assert.Equal(0, (int)(await MixAsync(visit))["bowls"]![0]!["begun"]!["events"]!);
        Assert.Equal(
            409,
            (
                await http.PostAsync(
                    $"/api/visits/{visit}/mix/bowls",
                    """{"baseRevision":1,"formula":"A","ordinal":1}"""
                )
            ).Status
        );
        var revision = (int)(await MixAsync(visit))["revision"]!;
        Assert.Equal(
            400,
            (
                await http.PostAsync(
                    $"/api/visits/{visit}/mix/bowls",
                    $$"""{"baseRevision":{{revision}},"formula":"B","ordinal":1}"""
                )
            ).Status
        );
        Assert.Equal(
            404,
            (
                await http.PostAsync(
                    $"/api/visits/{visit}/mix/bowls/{Guid.NewGuid()}/events",
                    """{"after":0,"event":{"kind":"kept"}}"""
                )
            ).Status
        );
        Assert.Equal(
            404,
            (
                await http.PostAsync($"/api/visits/{Guid.NewGuid()}/mix/tray", """{"item":"gloves","isThere":true}""")
            ).Status
        );
    }

    [Fact]
    public async Task The_tray_is_ticked_and_unticked()
    {
        var visit = await MixedAsync();
        async Task<bool> Tick(bool there) =>
            (bool)
                (
                    await http.PostAsync(
                        $"/api/visits/{visit}/mix/tray",
                        $$"""{"item":"gloves","isThere":{{(there ? "true" : "false")}}}"""
                    )
                ).Body!["tray"]!
                    .AsArray()
                    .Single(t => (string)t!["id"]! == "gloves")!["isThere"]!;
        Assert.True(await Tick(true));
        Assert.True(await Tick(true));
        Assert.False(await Tick(false));
        Assert.Equal(
            400,
            (await http.PostAsync($"/api/visits/{visit}/mix/tray", """{"item":"umbrella","isThere":true}""")).Status
        );
    }

    [Theory]
    [InlineData("\"developerParts\":0", "edit.formula.developerParts")]
    [InlineData("\"lightenerParts\":-1", "edit.formula.lightenerParts")]
    [InlineData("\"second\":{\"lightener\":\"powder\",\"share\":1.2}", "edit.formula.second.share")]
    [InlineData("\"additive\":{\"gramsPerGram\":0,\"slows\":0.5}", "edit.formula.additive.gramsPerGram")]
    [InlineData("\"shades\":{\"shades\":[]}", "edit.formula.shades")]
    [InlineData(
        "\"depositLevel\":6,\"shades\":{\"shades\":[{\"name\":\"x\",\"depth\":11,\"reflect\":\"ash\",\"parts\":1}]}",
        "edit.formula.shades.shades[0].depth"
    )]
    [InlineData(
        "\"figures\":{\"ratedLevels\":99,\"dryingMinutes\":40,\"workingMinutes\":26,\"scalpSafe\":false,\"excludesHeat\":true}",
        "edit.formula.figures.ratedLevels"
    )]
    public async Task A_formula_that_can_not_be_mixed_is_refused(string part, string field)
    {
        var visit = await http.NewVisitAsync();
        var (status, body) = await http.EditAsync(
            visit,
            1,
            $$$"""{"kind":"setFormula","formula":{"id":"A","lightener":"clay","volume":30,"minutes":40,{{{part}}}}}"""
        );
        Assert.Equal(400, status);
        Assert.Contains(field, body!["errors"]!.AsObject().Select(e => e.Key));
    }

    [Fact]
    public async Task Another_ratio_changes_how_it_holds_and_the_bench_changes_the_grams()
    {
        var visit = await MixedAsync();
        var before = await MixAsync(visit);
        await http.EditAsync(
            visit,
            (int)before["revision"]!,
            """{"kind":"setFormula","formula":{"id":"A","lightener":"clay","volume":25,"minutes":40,"product":"Lantern clay","developerParts":3.5}}"""
        );
        var loose = (await MixAsync(visit))["formulas"]![0]!;
        Assert.Equal("runny", (string)loose["formula"]!["consistency"]!);
        Assert.True((double)loose["strength"]! < 1);
        Assert.True((double)loose["runsFurther"]! > 0);

        var rules = await http.ReadAsync("/api/house-rules");
        var changed = rules["rules"]!.DeepClone();
        changed["bench"]!["waste"] = 0;
        using var content = new StringContent(
            new JsonObject { ["baseVersion"] = rules["version"]!.DeepClone(), ["rules"] = changed }.ToJsonString(),
            System.Text.Encoding.UTF8,
            "application/json"
        );
        Assert.True((await http.PutAsync(new Uri("/api/house-rules", UriKind.Relative), content)).IsSuccessStatusCode);
        Assert.Equal((double)before["grams"]! / 1.15, (double)(await MixAsync(visit))["grams"]!, 0.01);
    }

    [Fact]
    public async Task Nothing_painted_is_nothing_to_mix()
    {
        var mix = await MixAsync(await http.NewVisitAsync());
        Assert.Empty(mix["bowls"]!.AsArray());
        Assert.Empty(mix["tray"]!.AsArray());
        Assert.Equal(0, (double)mix["grams"]!);
    }
}
