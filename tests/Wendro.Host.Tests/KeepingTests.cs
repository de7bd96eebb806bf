using System.Net.Http.Json;
using System.Text.Json.Nodes;

namespace Wendro.Host.Tests;

/// <summary>The record, and the next visit that begins with it, through the real pipeline.</summary>
public sealed class KeepingTests
{
    private static readonly string[] Back = ["nape", "lowerBack", "upperBack"];

    private static async Task<JsonNode> OkAsync(Task<(int Status, JsonNode? Body)> answer)
    {
        var (status, body) = await answer;
        Assert.True(status is 200 or 201, body?.ToJsonString());
        return body!;
    }

    private static async Task<JsonNode> ChairAsync(HttpClient http, string visit, string fact)
    {
        var now = await http.ReadAsync($"/api/visits/{visit}/apply");
        return await OkAsync(
            http.PostAsync(
                $"/api/visits/{visit}/apply/facts",
                $$"""{"after":{{(int)now["facts"]!}},"id":"{{Guid.NewGuid()}}","fact":{{fact}} }"""
            )
        );
    }

    private static Task<JsonNode> SaidAsync(HttpClient http, string visit, string stage, string fact) =>
        OkAsync(
            http.PostAsync($"/api/visits/{visit}/{stage}/facts", $$"""{"id":"{{Guid.NewGuid()}}","fact":{{fact}} }""")
        );

    /// <summary>A visit planned, painted at the chair, rinsed and read half a level short.</summary>
    private static async Task<string> ServedAsync(Server server, HttpClient http)
    {
        var visit = await http.NewVisitAsync("Kept of the test");
        var zones = string.Join(
            ",",
            Back.Select(z =>
                $$"""{"kind":"paintZone","zone":"{{z}}","paint":{"shape":"v","startCm":8,"dropCm":6,"blurCm":4} }"""
            )
        );
        await OkAsync(http.EditAsync(visit, 1, $$"""{"kind":"together","edits":[{{zones}}]}"""));
        await ServeAsync(server, http, visit);
        return visit;
    }

    private static async Task ServeAsync(Server server, HttpClient http, string visit)
    {
        var seated = await ChairAsync(http, visit, """{"kind":"seated"}""");
        var panels = seated["waiting"]!.AsArray().Select(p => (string)p!).ToArray();
        server.Clock.Advance(TimeSpan.FromMinutes(25));
        await ChairAsync(http, visit, $$"""{"kind":"paintedUpTo","panel":"{{panels[^1]}}"}""");
        server.Clock.Advance(TimeSpan.FromMinutes(30));
        var all = string.Join(",", panels.Select(p => $"\"{p}\""));
        await ChairAsync(http, visit, $$"""{"kind":"waveBegun","panels":[{{all}}]}""");
        server.Clock.Advance(TimeSpan.FromMinutes(60));
        await ChairAsync(http, visit, """{"kind":"waveEnded"}""");
        await ChairAsync(http, visit, """{"kind":"washed"}""");
        await SaidAsync(http, visit, "review", """{"kind":"state","wetness":"dry","washed":true,"light":"studio"}""");
        var view = await http.ReadAsync($"/api/visits/{visit}/review");
        foreach (var zone in Back)
        {
            var ends = view["zones"]!.AsArray().Single(z => (string)z!["zone"]! == zone)!["depths"]![2]!;
            var level = ((double)ends["forecast"]! - 0.5).ToString(
                "0.0",
                System.Globalization.CultureInfo.InvariantCulture
            );
            await SaidAsync(
                http,
                visit,
                "review",
                $$"""{"kind":"read","zone":"{{zone}}","depth":"ends","level":{{level}} }"""
            );
        }
    }

    private static async Task<string> ClientOfAsync(HttpClient http, string visit) =>
        (string)(await http.ReadAsync($"/api/visits/{visit}/record"))["clientId"]!;

    private static async Task<string> NextAsync(HttpClient http, string visit, int days)
    {
        var keep = await http.ReadAsync($"/api/visits/{visit}/record");
        var at = ((DateTimeOffset)keep["startsAt"]!).AddDays(days).ToString("O");
        return (string)
            (
                await OkAsync(
                    http.PostAsync($"/api/clients/{(string)keep["clientId"]!}/visits", $$"""{"startsAt":"{{at}}"}""")
                )
            )["visitId"]!;
    }

    [Theory]
    [InlineData("", "")]
    [InlineData("/hair?weeks=6", "/hair?weeks=6")]
    [InlineData("/facts", "/facts")]
    public async Task The_stages_old_address_answers_308_to_the_record(string was, string now)
    {
        using var server = new Server();
        using var http = server.CreateClient(new() { AllowAutoRedirect = false });
        var visit = await http.NewVisitAsync();
        using var answer = await http.GetAsync(new Uri($"/api/visits/{visit}/keep{was}", UriKind.Relative));
        Assert.Equal(308, (int)answer.StatusCode);
        Assert.Equal($"/api/visits/{visit}/record{now}", answer.Headers.Location!.ToString());
    }

    [Fact]
    public async Task The_record_writes_itself_and_is_there_after_a_restart()
    {
        using var server = new Server();
        var http = server.CreateClient();
        var visit = await ServedAsync(server, http);
        await SaidAsync(http, visit, "review", """{"kind":"note","words":"Depth only underneath."}""");
        await SaidAsync(http, visit, "record", """{"kind":"words","words":"She loved the ends."}""");
        await SaidAsync(http, visit, "record", """{"kind":"care","words":"Nothing but water."}""");
        await SaidAsync(http, visit, "record", """{"kind":"given"}""");
        var view = await SaidAsync(http, visit, "record", """{"kind":"putAway"}""");
        var record = view["record"]!;
        var step = record["steps"]!.AsArray().Single()!;
        Assert.True((int)step["panels"]! > 10);
        Assert.InRange((double)step["longest"]!, 30, 115);
        Assert.InRange((double)record["chairMinutes"]!, 55, 120);
        Assert.Equal(3, record["readings"]!.AsArray().Count);
        Assert.Equal("One pair of hands.", (string)record["hands"]!);
        Assert.NotEqual("Nothing is read yet.", (string)record["outcome"]!);
        Assert.Equal("Depth only underneath.", (string)record["toChange"]!.AsArray().Single()!);
        Assert.NotEmpty((string)record["promised"]!);
        Assert.Contains(view["next"]!.AsArray(), n => (string)n!["kind"]! == "light");
        Assert.DoesNotContain(view["next"]!.AsArray(), n => (string)n!["kind"]! == "gloss");
        Assert.Equal("She loved the ends.", (string)view["kept"]!["words"]!);
        Assert.NotNull(view["kept"]!["careGivenAt"]);
        var done = (await http.ReadAsync($"/api/visits/{visit}/glance"))["done"]!.AsArray().Select(s => (string)s!);
        Assert.Contains("record", done);

        using var again = server.Again();
        Assert.Equal(
            view.ToJsonString(),
            (await again.CreateClient().ReadAsync($"/api/visits/{visit}/record")).ToJsonString()
        );

        // A year is added up from what was put away; taken out again it does not count.
        var month = (await http.ReadAsync("/api/year"))["months"]!.AsArray().Single()!;
        Assert.Equal((2031, 5, 1), ((int)month["year"]!, (int)month["month"]!, (int)month["visits"]!));
        Assert.Equal(0.5, (double)month["forecastError"]!, 0.06);
        await SaidAsync(http, visit, "record", """{"kind":"putAway","is":false}""");
        Assert.Empty((await http.ReadAsync("/api/year"))["months"]!.AsArray());
    }

    [Fact]
    public async Task The_next_visit_begins_with_what_came_out_and_is_brought_back()
    {
        using var server = new Server();
        var http = server.CreateClient();
        var visit = await ServedAsync(server, http);
        await http.PutConsultAsync(visit, c => c["consultation"]!["weeksBetween"] = 12);
        var next = await NextAsync(http, visit, 84);
        var hair = (await http.ReadAsync($"/api/visits/{next}/consult"))["hair"]!;
        var was = (await http.ReadAsync($"/api/visits/{visit}/consult"))["hair"]!;
        Assert.Equal((double)was["cut"]!["hemCm"]! + 3.5, (double)hair["cut"]!["hemCm"]!, 0.2);
        Assert.NotEmpty(hair["pieces"]!["all"]!.AsArray());
        Assert.NotNull(hair["own"]);
        var answers = (await http.ReadAsync($"/api/visits/{next}/consult"))["consultation"]!;
        Assert.Equal(12, (double)answers["weeksBetween"]!);

        // Her plan is cut as last time, nothing is painted; the hair already shows light.
        var plan = await http.ReadAsync($"/api/visits/{next}/plan");
        Assert.All(plan["panels"]!.AsArray(), p => Assert.Null(p!["paint"]));
        Assert.True((double)(await http.ReadAsync($"/api/visits/{next}/plan/measures"))["lightShare"]! > 0.02);

        var last = (await http.ReadAsync($"/api/visits/{next}/last-time")).AsArray().Single()!;
        Assert.Equal(visit, (string)last["visitId"]!);
        Assert.Equal(12, (double)last["weeks"]!, 0.01);
        Assert.True((bool)last["isTaken"]!);
        Assert.Empty((await http.ReadAsync($"/api/visits/{visit}/last-time")).AsArray());

        await OkAsync(
            http.EditAsync(
                next,
                1,
                """{"kind":"setWish","wish":{"faceFrameLift":0,"lightShareLow":0.9,"lightShareHigh":1,"rootSoftness":3,"endsLevel":7}}"""
            )
        );
        var back = (await http.ReadAsync($"/api/visits/{next}/bring-back"))["found"]!;
        var edit = back["edits"]![0]!.ToJsonString();
        await OkAsync(http.EditAsync(next, 2, edit));
        var painted = (await http.ReadAsync($"/api/visits/{next}/plan"))["panels"]!
            .AsArray()
            .Where(p => p!["paint"] is not null)
            .Select(p => (string)p!["key"]!);
        Assert.Equal(back["panels"]!.AsArray().Select(p => (string)p!).Order(), painted.Order());
    }

    [Fact]
    public async Task A_visit_booked_before_is_begun_with_what_came_out_once_it_is_known()
    {
        using var server = new Server();
        var http = server.CreateClient();
        var first = await http.NewVisitAsync("Booked ahead");
        var next = await NextAsync(http, first, 60);
        var before = (await http.ReadAsync($"/api/visits/{first}/consult"))["hair"]!;
        Assert.Null(before["pieces"]);
        await OkAsync(
            http.EditAsync(
                first,
                1,
                """{"kind":"together","edits":[{"kind":"paintZone","zone":"nape","paint":{"shape":"v","startCm":8,"dropCm":6,"blurCm":4}},{"kind":"paintZone","zone":"lowerBack","paint":{"shape":"v","startCm":8,"dropCm":6,"blurCm":4}},{"kind":"paintZone","zone":"upperBack","paint":{"shape":"v","startCm":8,"dropCm":6,"blurCm":4}}]}"""
            )
        );
        await ServeAsync(server, http, first);
        var offered = (await http.ReadAsync($"/api/visits/{next}/last-time")).AsArray().Single()!;
        Assert.False((bool)offered["isTaken"]!);
        Assert.True((int)offered["pieces"]! > 10);

        var version = (int)(await http.ReadAsync($"/api/visits/{next}/consult"))["version"]!;
        var (stale, _) = await http.PostAsync($"/api/visits/{next}/last-time", $$"""{"baseVersion":{{version - 1}}}""");
        Assert.Equal(409, stale);
        var (silly, _) = await http.PostAsync(
            $"/api/visits/{next}/last-time",
            $$"""{"baseVersion":{{version}},"trimmedCm":-3}"""
        );
        Assert.Equal(400, silly);
        var taken = await OkAsync(
            http.PostAsync($"/api/visits/{next}/last-time", $$"""{"baseVersion":{{version}},"trimmedCm":5}""")
        );
        Assert.True((bool)taken.AsArray().Single()!["isTaken"]!);
        var hair = (await http.ReadAsync($"/api/visits/{next}/consult"))["hair"]!;
        Assert.Equal((double)before["cut"]!["hemCm"]! + 2.5 - 5, (double)hair["cut"]!["hemCm"]!, 0.2);

        // Told anew in the consultation the pieces stay.
        Assert.Equal(200, (await http.PutConsultAsync(next, _ => { })).Status);
        Assert.NotEmpty((await http.ReadAsync($"/api/visits/{next}/consult"))["hair"]!["pieces"]!["all"]!.AsArray());
    }

    [Fact]
    public async Task A_client_has_a_page_is_found_as_one_types_and_renamed()
    {
        using var server = new Server();
        var http = server.CreateClient();
        var visit = await ServedAsync(server, http);
        await SaidAsync(http, visit, "review", """{"kind":"note","words":"Film at the nape."}""");
        await http.NewVisitAsync("Élodie Ångstrand");
        var client = await ClientOfAsync(http, visit);
        await NextAsync(http, visit, 50);
        var page = await http.ReadAsync($"/api/clients/{client}");
        Assert.Equal(2, page["visits"]!.AsArray().Count);
        Assert.NotNull(page["visits"]![0]!["taught"]);
        Assert.Equal("Film at the nape.", (string)page["notes"]!.AsArray().Single()!["words"]!);

        async Task<string[]> FoundAsync(string words) =>
            (await http.ReadAsync($"/api/find?words={Uri.EscapeDataString(words)}"))
                .AsArray()
                .Select(c => (string)c!["name"]!)
                .ToArray();
        Assert.Equal(["Élodie Ångstrand"], await FoundAsync("elodie ang"));
        Assert.Equal(["Kept of the test"], await FoundAsync("TEST kept"));
        Assert.Empty(await FoundAsync("nobody"));
        Assert.Equal("Kept of the test", (await FoundAsync(""))[0]);

        using var renamed = await http.PutAsync(
            new Uri($"/api/clients/{client}", UriKind.Relative),
            new StringContent("""{"name":"Kept anew"}""", System.Text.Encoding.UTF8, "application/json")
        );
        Assert.Equal(200, (int)renamed.StatusCode);
        Assert.Equal(["Kept anew"], await FoundAsync("anew"));
        using var nameless = await http.PutAsync(
            new Uri($"/api/clients/{client}", UriKind.Relative),
            new StringContent("""{"name":" "}""", System.Text.Encoding.UTF8, "application/json")
        );
        Assert.Equal(400, (int)nameless.StatusCode);
    }

    [Fact]
    public async Task The_calendar_seats_each_visit_in_a_chair_that_is_free()
    {
        using var server = new Server();
        var http = server.CreateClient();
        var visit = await http.NewVisitAsync("First");
        await http.NewVisitAsync("Second");
        await NextAsync(http, visit, 7);
        var week = (await http.ReadAsync("/api/calendar?from=2031-05-05T00:00:00Z&to=2031-05-12T00:00:00Z")).AsArray();
        Assert.Equal([1, 2], week.Select(v => (int)v!["chair"]!).Order());
        foreach (var wrong in new[] { "", "?from=2031-05-05T00:00:00Z&to=2031-05-04T00:00:00Z", "?from=x&to=y" })
        {
            using var refused = await http.GetAsync(new Uri($"/api/calendar{wrong}", UriKind.Relative));
            Assert.Equal(400, (int)refused.StatusCode);
        }
    }

    [Fact]
    public async Task Two_clients_painted_at_once_need_hands_twice_and_a_later_start_is_named()
    {
        using var server = new Server();
        var http = server.CreateClient();
        foreach (var name in new[] { "First", "Second" })
        {
            var visit = await http.NewVisitAsync(name);
            var (status, said) = await http.EditAsync(
                visit,
                1,
                """{"kind":"paintZone","zone":"lowerBack","paint":{"shape":"v","startCm":8,"dropCm":6,"blurCm":4}}"""
            );
            Assert.True(status == 200, said?.ToJsonString());
        }

        await http.NewVisitAsync("Not planned");
        var start = (DateTimeOffset)(await http.ReadAsync("/api/day"))[0]!["startsAt"]!;
        var asked =
            $"/api/calendar/hands?from={start.AddHours(-1).UtcDateTime:O}&to={start.AddHours(20).UtcDateTime:O}";
        var hands = await http.ReadAsync(asked);
        var visits = hands["visits"]!.AsArray();
        Assert.Equal([1, 2, 3], visits.Select(v => (int)v!["chair"]!).Order());
        Assert.Equal(2, visits.Count(v => v!["hands"]!.AsArray().Count > 0));
        Each.Of(visits, v => Assert.True((double)v!["minutes"]! > 0));
        Assert.NotEmpty(hands["clashes"]!.AsArray());
        var later = Assert.Single(hands["later"]!.AsArray());
        Assert.True((double)later!["minutes"]! > 0);
        var two = await http.ReadAsync($"{asked}&pairs=2");
        Each.Of(two["clashes"]!.AsArray(), c => Assert.Equal("basins", (string)c!["lacks"]!));
        Assert.Empty((await http.ReadAsync($"{asked}&pairs=2&basins=2"))["clashes"]!.AsArray());

        // What the house has is taken where nothing else is asked.
        var rules = await http.ReadAsync("/api/house-rules");
        rules["rules"]!["floor"] = JsonNode.Parse("""{"pairs":2,"basins":2}""");
        using var put = await http.PutAsJsonAsync(
            "/api/house-rules",
            new { baseVersion = (int)rules["version"]!, rules = rules["rules"] }
        );
        Assert.Equal(200, (int)put.StatusCode);
        var house = await http.ReadAsync(asked);
        Assert.Empty(house["clashes"]!.AsArray());
        Assert.Equal((2, 2), ((int)house["floor"]!["pairs"]!, (int)house["floor"]!["basins"]!));
        foreach (
            var wrong in new[]
            {
                "",
                "?from=2031-05-05T00:00:00Z&to=2031-05-12T00:00:00Z",
                "?from=2031-05-05T00:00:00Z&to=2031-05-06T00:00:00Z&pairs=0",
                "?from=2031-05-05T00:00:00Z&to=2031-05-06T00:00:00Z&basins=10",
            }
        )
        {
            using var refused = await http.GetAsync(new Uri($"/api/calendar/hands{wrong}", UriKind.Relative));
            Assert.Equal(400, (int)refused.StatusCode);
        }
    }

    [Theory]
    [InlineData("""{"kind":"words"}""")]
    [InlineData("""{"kind":"sung","words":"x"}""")]
    [InlineData("null")]
    public async Task What_can_t_be_said_is_refused(string fact)
    {
        using var server = new Server();
        var http = server.CreateClient();
        var visit = await http.NewVisitAsync();
        var (status, _) = await http.PostAsync(
            $"/api/visits/{visit}/record/facts",
            $$"""{"id":"{{Guid.NewGuid()}}","fact":{{fact}} }"""
        );
        Assert.Equal(400, status);
    }

    [Fact]
    public async Task The_head_as_it_left_is_seen_in_weeks_and_as_a_picture()
    {
        using var server = new Server();
        var http = server.CreateClient();
        var visit = await ServedAsync(server, http);
        async Task<byte[]> HairAsync(string query) =>
            await http.GetByteArrayAsync(new Uri($"/api/visits/{visit}/record/hair{query}", UriKind.Relative));
        var left = await HairAsync("");
        var cameOut = await http.GetByteArrayAsync(
            new Uri($"/api/visits/{visit}/review/hair?which=cameOut", UriKind.Relative)
        );
        // Nothing was toned: it left as it came out.
        Assert.Equal(cameOut, left);
        var later = await HairAsync("?weeks=20");
        Assert.Equal(left.Length, later.Length);
        Assert.True(later.Where((_, i) => i % 2 == 0).Sum(l => l) < left.Where((_, i) => i % 2 == 0).Sum(l => l));
        using (var bitmap = SkiaSharp.SKBitmap.Decode(await PictureAsync("?width=150")))
        {
            Assert.Equal(150, bitmap.Width);
        }

        foreach (var wrong in new[] { "hair?weeks=-1", "hair?weeks=999", "picture?width=3" })
        {
            using var refused = await http.GetAsync(new Uri($"/api/visits/{visit}/record/{wrong}", UriKind.Relative));
            Assert.Equal(400, (int)refused.StatusCode);
        }

        Task<byte[]> PictureAsync(string query) =>
            http.GetByteArrayAsync(new Uri($"/api/visits/{visit}/record/picture{query}", UriKind.Relative));
    }

    [Fact]
    public async Task What_last_time_taught_is_an_edit_once_something_is_painted_there()
    {
        using var server = new Server();
        var http = server.CreateClient();
        var visit = await ServedAsync(server, http);
        await SaidAsync(http, visit, "review", """{"kind":"lesson","cause":"dried","zone":"lowerBack"}""");
        var next = await NextAsync(http, visit, 84);
        var last = (await http.ReadAsync($"/api/visits/{next}/last-time")).AsArray().Single()!;
        Assert.StartsWith("Film over", (string)last["toChange"]!.AsArray().Single()!, StringComparison.Ordinal);
        Assert.Empty((await http.ReadAsync($"/api/visits/{next}/bring-back"))["lessons"]!.AsArray());
        await OkAsync(
            http.EditAsync(
                next,
                1,
                """{"kind":"paintZone","zone":"lowerBack","paint":{"shape":"v","startCm":4,"dropCm":3,"blurCm":3}}"""
            )
        );
        var lesson = (await http.ReadAsync($"/api/visits/{next}/bring-back"))["lessons"]!.AsArray().Single()!;
        await OkAsync(http.EditAsync(next, 2, lesson["edits"]![0]!.ToJsonString()));
        var painted = (await http.ReadAsync($"/api/visits/{next}/plan"))["panels"]!
            .AsArray()
            .Where(p => p!["paint"] is not null)
            .ToArray();
        Each.Of(painted, p => Assert.Equal("film", (string)p!["paint"]!["covering"]!));
    }
}
