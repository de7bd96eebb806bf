using System.Text.Json.Nodes;

namespace Wendro.Host.Tests;

public sealed class DeskTests(Server server) : IClassFixture<Server>
{
    private readonly HttpClient http = server.CreateClient();

    private static JsonObject Question(params (string Name, JsonNode? Value)[] changes)
    {
        var q = JsonNode
            .Parse(
                """{"level":5,"diameter":"medium","porosity":"normal","coloured":false,"lightener":"clay","volume":30,"covering":"open","lowHeat":false,"coat":1}"""
            )!
            .AsObject();
        foreach (var (name, value) in changes)
        {
            q[name] = value;
        }

        return q;
    }

    [Fact]
    public async Task Lift_answers_unrounded_with_cautions()
    {
        var (status, answer) = await http.PostAsync("/api/desk/lift", Question(("minutes", 30)).ToJsonString());
        Assert.Equal(200, status);
        Assert.Equal(7.956254903, (double)answer!["level"]!, 1e-8);
        Assert.Equal(4.875, (double)answer["cap"]!, 1e-12);
        Assert.Equal("yellow", (string)answer["undertone"]!);
        Assert.Equal(48.1589122, (double)answer["driesAtMinutes"]!, 1e-6);
        Assert.InRange((double)answer["finishedAtMinutes"]!, 40, 60);
        Assert.NotEmpty(answer["cautions"]!.AsArray());
    }

    [Fact]
    public async Task Low_heat_on_clay_is_computed_and_said()
    {
        var (status, answer) = await http.PostAsync(
            "/api/desk/lift",
            Question(("minutes", 45), ("level", 3), ("volume", 40), ("covering", "film"), ("lowHeat", true))
                .ToJsonString()
        );
        Assert.Equal(200, status);
        Assert.InRange((double)answer!["level"]!, 7.65, 7.95);
        Assert.Contains(answer["cautions"]!.AsArray(), c => ((string)c!).Contains("heat", StringComparison.Ordinal));
    }

    [Fact]
    public async Task Time_answers_minutes_or_why_never()
    {
        var (_, reached) = await http.PostAsync("/api/desk/time", Question(("targetLevel", 8)).ToJsonString());
        Assert.True((bool)reached!["reachable"]! && (bool)reached["withinLimit"]!);
        Assert.InRange((double)reached["minutes"]!, 31, 31.2);

        var (status, never) = await http.PostAsync(
            "/api/desk/time",
            Question(("level", 2), ("lightener", "powder"), ("volume", 10), ("targetLevel", 9)).ToJsonString()
        );
        Assert.Equal(200, status);
        Assert.False((bool)never!["reachable"]!);
        Assert.Null(never["minutes"]);
        Assert.NotEmpty(never["remedies"]!.AsArray());

        var (_, there) = await http.PostAsync("/api/desk/time", Question(("targetLevel", 4)).ToJsonString());
        Assert.Equal(0, (double)there!["minutes"]!);
    }

    public static TheoryData<string, string> Bad() =>
        new()
        {
            { """{"level":0}""", "level" },
            { """{"level":10.5}""", "level" },
            { """{"level":"five"}""", "level" },
            { """{"volume":4.9}""", "volume" },
            { """{"volume":41}""", "volume" },
            { """{"coat":1.2}""", "coat" },
            { """{"minutes":-1}""", "minutes" },
            { """{"minutes":601}""", "minutes" },
            { """{"lightener":"bleach"}""", "lightener" },
            { """{"diameter":1}""", "diameter" },
            { """{"covering":null}""", "covering" },
        };

    [Theory]
    [MemberData(nameof(Bad))]
    public async Task Bad_values_answer_400_by_field(string changes, string field)
    {
        var q = Question(("minutes", 30));
        foreach (var (name, value) in JsonNode.Parse(changes)!.AsObject())
        {
            q[name] = value?.DeepClone();
        }

        var (status, problem) = await http.PostAsync("/api/desk/lift", q.ToJsonString());
        Assert.Equal(400, status);
        Assert.Contains(field, problem!["errors"]!.AsObject().Select(e => e.Key));
    }

    [Fact]
    public async Task What_is_missing_is_named()
    {
        var (status, problem) = await http.PostAsync("/api/desk/time", """{"level":5}""");
        Assert.Equal(400, status);
        Assert.Contains("targetLevel", problem!["errors"]!.AsObject().Select(e => e.Key));
    }
}
