using System.Globalization;
using System.Text.Json.Nodes;

namespace Wendro.Host.Tests;

/// <summary>The desk's sums about bowls, toners and rinsing.</summary>
public sealed class DeskMixTests(Server server) : IClassFixture<Server>
{
    private readonly HttpClient http = server.CreateClient();

    private async Task<JsonNode> AskAsync(string path, string json)
    {
        var (status, answer) = await http.PostAsync($"/api/desk/{path}", json);
        Assert.True(status == 200, $"{path}: {status} {answer?.ToJsonString()}");
        return answer!;
    }

    [Fact]
    public async Task A_developer_in_between_is_blended()
    {
        var answer = await AskAsync("developer", """{"wantedVolume":25,"grams":60,"available":[20,40]}""");
        Assert.Equal(
            [(20, 45), (40, 15)],
            answer["parts"]!.AsArray().Select(p => ((double)p!["volume"]!, (double)p["grams"]!))
        );
        Assert.Equal(25, (double)answer["volume"]!, 1e-9);
    }

    [Fact]
    public async Task Scoops_are_grams_and_by_volume_is_not_by_weight()
    {
        var two = await AskAsync("scoops", """{"gramsPerScoop":12,"scoops":2,"developerParts":1}""");
        Assert.Equal((24, 60), ((double)two["grams"]!, (double)two["developerGrams"]!));
        Assert.Equal(2.5, (double)two["ratioByWeight"]!, 1e-9);
        var back = await AskAsync("scoops", """{"gramsPerScoop":12,"grams":30}""");
        Assert.Equal(2.5, (double)back["scoops"]!, 1e-9);
        Assert.Null(back["developerGrams"]);
        foreach (
            var wrong in new[]
            {
                """{"gramsPerScoop":0,"grams":30}""",
                """{"gramsPerScoop":12}""",
                """{"gramsPerScoop":12,"grams":30,"scoops":2}""",
                """{"gramsPerScoop":12,"grams":-1}""",
            }
        )
        {
            Assert.Equal(400, (await http.PostAsync("/api/desk/scoops", wrong)).Status);
        }
    }

    [Fact]
    public async Task A_batch_and_a_rescue_hold_their_ratio()
    {
        var batch = await AskAsync("batch", """{"grams":90,"lightenerParts":1,"developerParts":2}""");
        Assert.Equal((30, 60), ((double)batch["lightenerGrams"]!, (double)batch["developerGrams"]!));
        var rescue = await AskAsync(
            "rescue",
            """{"lightenerParts":1,"developerParts":1.5,"lightenerGrams":40,"developerGrams":70,"bowlGrams":116}"""
        );
        Assert.Equal(6.6666667, (double)rescue["addLightenerGrams"]!, 1e-6);
        Assert.Equal(0, (double)rescue["addDeveloperGrams"]!);
        Assert.False((bool)rescue["fits"]!);
        Assert.Equal(1.75, (double)rescue["ratioNow"]!, 1e-12);
    }

    [Fact]
    public async Task A_bowl_of_shades_is_suggested_for_a_colour_and_does_what_is_told()
    {
        var hair = """ "level":9,"porosity":"normal","dryness":"damp","minutes":15 """;
        var mixed = await AskAsync(
            "tone",
            $$"""{{{hair}},"shades":[{"depth":9,"reflect":"violet","parts":2},{"depth":8,"reflect":"beige","parts":1}]}"""
        );
        var wanted =
            $$"""{"lightness":{{(double)mixed["lightness"]!:R}},"chroma":{{(double)mixed["chroma"]!:R}},"hue":{{(double)mixed["hue"]!:R}}}""";
        var found = await AskAsync(
            "suggest",
            $$"""{{{hair}},"wanted":{{wanted}},"most":2,"shades":[{"depth":8,"reflect":"beige"},{"depth":9,"reflect":"violet"},{"depth":9,"reflect":"gold"},{"depth":10,"reflect":"ash"}]}"""
        );
        Assert.Equal(0, (double)found["deltaE"]!, 1e-6);
        Assert.Equal(["violet 2", "beige 1"], found["parts"]!.AsArray().Select(p => $"{p!["reflect"]} {p["parts"]}"));
        Assert.Equal((string)mixed["hex"]!, (string)found["hex"]!);
        Assert.NotEmpty(found["instead"]!.AsArray());
    }

    [Fact]
    public async Task A_toner_neutralises_in_oklch()
    {
        var violet = await AskAsync(
            "tone",
            """{"level":9,"depth":9,"reflect":"violet","porosity":"normal","dryness":"damp","minutes":20}"""
        );
        Assert.True((double)violet["neutralised"]! > 0.1);
        Assert.InRange((double)violet["lightness"]!, 0.3, 0.9);
        var gold = await AskAsync(
            "tone",
            """{"level":9,"undertone":"light yellow","depth":9,"reflect":"gold","porosity":"high","dryness":"dry","minutes":20}"""
        );
        Assert.True((double)gold["neutralised"]! < 0);
        Assert.Matches("^#[0-9a-f]{6}$", (string)gold["hex"]!);
    }

    [Fact]
    public async Task Groups_and_rinses_are_scheduled_with_their_panels_from_nought()
    {
        var answer = await AskAsync(
            "schedule",
            """{"groups":[{"id":"back","panels":3,"minutesEach":2,"fromMinutes":10,"toMinutes":30},{"id":"front","panels":2,"minutesEach":1,"fromMinutes":4,"toMinutes":9,"after":["back"]}]}"""
        );
        Assert.True((bool)answer["feasible"]! && (bool)answer["proven"]!);
        Assert.Equal(["back", "front"], answer["order"]!.AsArray().Select(g => (string)g!));
        // All is painted at 8; the last of the back may be rinsed at 16, and five panels take 4 + 4 × 0.5 minutes.
        Assert.Equal(16, (double)answer["endsAt"]!, 1e-9);
        Assert.Equal(16, (double)answer["lowerBound"]!, 1e-9);
        var rinse = Assert.Single(answer["waves"]!.AsArray())!;
        Assert.Equal(5, rinse["panels"]!.AsArray().Count);
        var first = rinse["panels"]![0]!;
        Assert.Equal((double)rinse["startsAt"]! + 4, (double)first["rinsedAt"]!, 1e-9);
        Assert.Equal(0, (int)first["index"]!);

        var not = await AskAsync(
            "schedule",
            """{"groups":[{"id":"long","panels":30,"minutesEach":1,"fromMinutes":5,"toMinutes":10}],"order":"given"}"""
        );
        Assert.False((bool)not["feasible"]!);
        Assert.Null(not["endsAt"]);
        Assert.Equal("long", (string)Assert.Single(not["conflicts"]!.AsArray())!["groups"]![0]!);

        var none = await AskAsync("schedule", """{"groups":[]}""");
        Assert.True((bool)none["feasible"]!);
        Assert.Empty(none["waves"]!.AsArray());
    }

    [Fact]
    public async Task Ten_thousand_windows_are_rinsed_in_as_few_rinses_as_can_be()
    {
        Assert.Empty((await AskAsync("rinse", """{"windows":[]}"""))["waves"]!.AsArray());
        var windows = string.Join(
            ',',
            Enumerable
                .Range(0, 10_000)
                .Select(i => string.Create(CultureInfo.InvariantCulture, $"{{\"from\":{i},\"to\":{i + 9.5}}}"))
        );
        var rinses = (await AskAsync("rinse", $"{{\"windows\":[{windows}]}}"))["waves"]!.AsArray();
        Assert.Equal(1000, rinses.Count);
        Assert.Equal(9.5, (double)rinses[0]!);
    }

    [Theory]
    [InlineData("developer", """{"wantedVolume":15,"grams":60,"available":[20,40]}""", "wantedVolume")]
    [InlineData("developer", """{"wantedVolume":25,"grams":0,"available":[20,40]}""", "grams")]
    [InlineData("developer", """{"wantedVolume":25,"grams":60,"available":[20,400]}""", "available[1]")]
    [InlineData("developer", """{"wantedVolume":25,"grams":60,"available":[]}""", "wantedVolume")]
    [InlineData("batch", """{"grams":90,"lightenerParts":0,"developerParts":2}""", "lightenerParts")]
    [InlineData("batch", """{"grams":90,"lightenerParts":1,"developerParts":-2}""", "developerParts")]
    [InlineData(
        "rescue",
        """{"lightenerParts":1,"developerParts":1,"lightenerGrams":0,"developerGrams":7}""",
        "lightenerGrams"
    )]
    [InlineData(
        "rescue",
        """{"lightenerParts":1,"developerParts":1,"lightenerGrams":1,"developerGrams":7,"bowlGrams":-1}""",
        "bowlGrams"
    )]
    [InlineData(
        "tone",
        """{"level":12,"depth":9,"reflect":"violet","porosity":"normal","dryness":"damp","minutes":20}""",
        "level"
    )]
    [InlineData(
        "tone",
        """{"level":9,"depth":9,"reflect":"mauve","porosity":"normal","dryness":"damp","minutes":20}""",
        "reflect"
    )]
    [InlineData(
        "tone",
        """{"level":9,"depth":9,"reflect":"ash","porosity":"normal","dryness":"damp","minutes":20,"undertone":"purple"}""",
        "undertone"
    )]
    [InlineData("tone", """{"level":9,"porosity":"normal","dryness":"damp","minutes":20}""", "depth")]
    [InlineData(
        "tone",
        """{"level":9,"porosity":"normal","dryness":"damp","minutes":20,"shades":[{"depth":9,"reflect":"ash","parts":0}]}""",
        "shades[0].parts"
    )]
    [InlineData(
        "suggest",
        """{"level":9,"porosity":"normal","dryness":"damp","minutes":20,"wanted":{"lightness":0.7,"chroma":0.05,"hue":80},"shades":[]}""",
        "shades"
    )]
    [InlineData(
        "suggest",
        """{"level":9,"porosity":"normal","dryness":"damp","minutes":20,"wanted":{"lightness":0.7,"chroma":0.05,"hue":80},"shades":[{"depth":9,"reflect":"ash"}],"most":4}""",
        "most"
    )]
    [InlineData(
        "suggest",
        """{"level":9,"porosity":"normal","dryness":"damp","minutes":20,"wanted":{"lightness":1.7,"chroma":0.05,"hue":80},"shades":[{"depth":9,"reflect":"ash"}]}""",
        "wanted.lightness"
    )]
    [InlineData(
        "suggest",
        """{"level":9,"porosity":"normal","dryness":"damp","minutes":20,"shades":[{"depth":9,"reflect":"ash"}]}""",
        "wanted"
    )]
    [InlineData("rinse", """{"windows":[{"from":5,"to":4}]}""", "windows[0].to")]
    [InlineData("rinse", """{"windows":[{"from":-5,"to":4}]}""", "windows[0].from")]
    [InlineData("rinse", """{"windows":[null]}""", "windows[0]")]
    [InlineData("rinse", """{}""", "windows")]
    [InlineData("schedule", """{}""", "groups")]
    [InlineData("schedule", """{"groups":[null]}""", "groups[0]")]
    [InlineData(
        "schedule",
        """{"groups":[{"id":"a","panels":0,"minutesEach":1,"fromMinutes":1,"toMinutes":2}]}""",
        "groups[0].panels"
    )]
    [InlineData(
        "schedule",
        """{"groups":[{"id":"a","panels":201,"minutesEach":1,"fromMinutes":1,"toMinutes":2}]}""",
        "groups[0].panels"
    )]
    [InlineData(
        "schedule",
        """{"groups":[{"id":"a","panels":1,"minutesEach":0,"fromMinutes":1,"toMinutes":2}]}""",
        "groups[0].minutesEach"
    )]
    [InlineData(
        "schedule",
        """{"groups":[{"id":"a","panels":1,"minutesEach":1,"fromMinutes":3,"toMinutes":2}]}""",
        "groups[0].toMinutes"
    )]
    [InlineData(
        "schedule",
        """{"groups":[{"id":"","panels":1,"minutesEach":1,"fromMinutes":1,"toMinutes":2}]}""",
        "groups[0].id"
    )]
    [InlineData(
        "schedule",
        """{"groups":[{"id":"a","panels":1,"minutesEach":1,"fromMinutes":1,"toMinutes":2},{"id":"a","panels":1,"minutesEach":1,"fromMinutes":1,"toMinutes":2}]}""",
        "groups[1].id"
    )]
    [InlineData(
        "schedule",
        """{"groups":[{"id":"a","panels":1,"minutesEach":1,"fromMinutes":1,"toMinutes":2,"after":["b"]}]}""",
        "groups[0].after[0]"
    )]
    [InlineData(
        "schedule",
        """{"groups":[{"id":"a","panels":1,"minutesEach":1,"fromMinutes":1,"toMinutes":2,"after":["a"]}]}""",
        "groups[0].after"
    )]
    [InlineData(
        "schedule",
        """{"groups":[{"id":"a","panels":1,"minutesEach":1,"fromMinutes":1,"toMinutes":2,"after":["b"]},{"id":"b","panels":1,"minutesEach":1,"fromMinutes":1,"toMinutes":2}],"order":"given"}""",
        "groups[0].after[0]"
    )]
    [InlineData("schedule", """{"groups":[],"order":"any"}""", "order")]
    [InlineData("schedule", """{"groups":[],"waveStart":-1}""", "waveStart")]
    public async Task What_cannot_be_summed_answers_400_by_field(string path, string json, string field)
    {
        var (status, problem) = await http.PostAsync($"/api/desk/{path}", json);
        Assert.True(status == 400, problem?.ToJsonString());
        Assert.Contains(field, problem!["errors"]!.AsObject().Select(e => e.Key));
    }
}
