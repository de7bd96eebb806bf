using System.Text.Json.Nodes;

namespace Wendro.Host.Tests;

/// <summary>A review through the real pipeline: readings are facts, and all else follows from them.</summary>
public sealed class ReviewTests
{
    private static async Task<(HttpClient Http, string Visit)> PaintedAsync(Server server)
    {
        var http = server.CreateClient();
        var visit = await http.NewVisitAsync("At the basin");
        var (status, body) = await http.EditAsync(
            visit,
            1,
            """
            {"kind":"together","edits":[
            {"kind":"paintZone","zone":"nape","paint":{"shape":"v","startCm":8,"dropCm":6,"blurCm":4}},
            {"kind":"paintZone","zone":"upperBack","paint":{"shape":"v","startCm":8,"dropCm":6,"blurCm":4}},
            {"kind":"paintZone","zone":"lowerBack","paint":{"shape":"v","startCm":8,"dropCm":6,"blurCm":4}}]}
            """
        );
        Assert.True(status == 200, body?.ToJsonString());
        return (http, visit);
    }

    private static async Task<(int Status, JsonNode? Body)> SayAsync(
        HttpClient http,
        string visit,
        string fact,
        Guid? id = null
    ) =>
        await http.PostAsync(
            $"/api/visits/{visit}/review/facts",
            $$"""{"id":"{{id ?? Guid.NewGuid()}}","fact":{{fact}}}"""
        );

    private static async Task<JsonNode> SaidAsync(HttpClient http, string visit, string fact)
    {
        var (status, body) = await SayAsync(http, visit, fact);
        Assert.True(status == 200, $"{fact}: {body?.ToJsonString()}");
        return body!;
    }

    private static JsonNode Zone(JsonNode view, string zone) =>
        view["zones"]!.AsArray().Single(z => (string)z!["zone"]! == zone)!;

    private static string Read(string zone, string depth, double level) =>
        string.Create(
            System.Globalization.CultureInfo.InvariantCulture,
            $$"""{"kind":"read","zone":"{{zone}}","depth":"{{depth}}","level":{{level:0.##}}}"""
        );

    [Fact]
    public async Task What_is_read_is_held_against_the_plan_explained_decided_and_there_after_a_restart()
    {
        using var server = new Server();
        var (http, visit) = await PaintedAsync(server);
        var view = await http.ReadAsync($"/api/visits/{visit}/review");
        Assert.Equal("Nothing is read yet.", (string)view["verdict"]!);
        Assert.Empty(view["choices"]!.AsArray());
        var planned = (double)Zone(view, "lowerBack")["depths"]![2]!["planned"]!;

        await SaidAsync(http, visit, """{"kind":"state","wetness":"wet","washed":true,"light":"daylight"}""");
        view = await SaidAsync(http, visit, Read("lowerBack", "ends", Math.Round(planned - 1.4, 1)));
        var ends = Zone(view, "lowerBack")["depths"]![2]!;
        Assert.Equal(Math.Round(planned - 1.4, 1) + 0.4, (double)ends["cameOut"]!, 1e-9);
        Assert.StartsWith("As planned but for one: lower back", (string)view["verdict"]!, StringComparison.Ordinal);
        var causes = Zone(view, "lowerBack")["causes"]!.AsArray();
        Assert.Equal(1, causes.Sum(c => (double)c!["share"]!), 1e-6);
        Assert.Empty(Zone(view, "nape")["causes"]!.AsArray());
        Assert.Equal("correctFirst", (string)view["choices"]!.AsArray().Single(c => (bool)c!["isAdvised"]!)!["what"]!);

        // Only hair that springs back is lifted again.
        var (refused, why) = await SayAsync(http, visit, """{"kind":"decided","what":"correctFirst"}""");
        Assert.Equal(400, refused);
        Assert.Contains("wet strand", why!["errors"]!.ToJsonString(), StringComparison.Ordinal);
        await SaidAsync(http, visit, """{"kind":"stretched","how":"springsBack"}""");
        view = await SaidAsync(http, visit, """{"kind":"decided","what":"correctFirst"}""");
        Assert.Equal("correctFirst", (string)view["decision"]!);
        var done = (await http.ReadAsync($"/api/visits/{visit}/glance"))["done"]!.AsArray().Select(s => (string)s!);
        Assert.Contains("review", done);
        // The plan itself got no fact.
        Assert.Equal(2, (int)(await http.ReadAsync($"/api/visits/{visit}/plan"))["revision"]!);

        using var again = server.Again();
        Assert.Equal(
            view.ToJsonString(),
            (await again.CreateClient().ReadAsync($"/api/visits/{visit}/review")).ToJsonString()
        );
    }

    [Fact]
    public async Task Places_are_marked_lessons_kept_and_both_are_there_after_a_restart()
    {
        using var server = new Server();
        var (http, visit) = await PaintedAsync(server);
        await SaidAsync(http, visit, """{"kind":"state","wetness":"dry","washed":true,"light":"studio"}""");
        var panel = (string)(await http.ReadAsync($"/api/visits/{visit}/plan"))["panels"]![0]!["key"]!;
        await SaidAsync(http, visit, $$"""{"kind":"place","panel":"{{panel}}","what":"lump"}""");
        await SaidAsync(http, visit, """{"kind":"lesson","cause":"dried","zone":"lowerBack"}""");
        await SaidAsync(http, visit, """{"kind":"note","words":"Depth only underneath."}""");
        await SaidAsync(
            http,
            visit,
            """{"kind":"read","zone":"lowerBack","depth":"ends","level":7,"undertone":"red-orange"}"""
        );
        foreach (
            var (fact, field) in new[]
            {
                ("""{"kind":"place","panel":"crown/90/90","what":"lump"}""", "panel"),
                ("""{"kind":"note","words":"  "}""", "words"),
                ("""{"kind":"read","zone":"nape","depth":"ends","level":6,"undertone":"mauve"}""", "undertone"),
            }
        )
        {
            var (status, body) = await SayAsync(http, visit, fact);
            Assert.Equal(400, status);
            Assert.Contains(field, body!["errors"]!.ToJsonString(), StringComparison.Ordinal);
        }

        using var again = server.Again();
        var view = await again.CreateClient().ReadAsync($"/api/visits/{visit}/review");
        var mark = view["marks"]!.AsArray().Single(m => (string)m!["by"]! == "eye")!;
        Assert.Equal(("lump", panel), ((string)mark["what"]!, (string)mark["panel"]!));
        Assert.Equal("Depth only underneath.", (string)view["notes"]!.AsArray().Single()!["words"]!);
        Assert.Equal("red-orange", (string)Zone(view, "lowerBack")["depths"]![2]!["undertone"]!);
        // Card beside card, by the measures a plan is judged by.
        var ends = view["card"]!.AsArray().Single(l => (string)l!["measure"]! == "ends")!;
        Assert.True((double)ends["cameOut"]! < (double)ends["planned"]!);
        // A face that stayed as it was while the back lifted is found by the rule that a plan is judged by.
        Assert.Contains(view["findings"]!.AsArray(), f => (string)f!["kind"]! == "frontNotBrighter");
    }

    [Fact]
    public async Task What_a_visit_taught_is_what_the_next_one_is_forecast_by()
    {
        using var server = new Server();
        var (http, visit) = await PaintedAsync(server);
        async Task<JsonNode?> OwnAsync(string of) =>
            (await http.ReadAsync($"/api/visits/{of}/consult"))["hair"]!["own"];
        var day = (await http.ReadAsync("/api/day")).AsArray();
        var here = day.Single(v => (string)v!["visitId"]! == visit)!;
        var client = (string)here["clientId"]!;
        async Task<string> NextAsync(int days)
        {
            var startsAt = ((DateTimeOffset)here["startsAt"]!).AddDays(days).ToString("O");
            var (status, made) = await http.PostAsync(
                $"/api/clients/{client}/visits",
                $$"""{"startsAt":"{{startsAt}}"}"""
            );
            Assert.Equal(201, status);
            return (string)made!["visitId"]!;
        }

        // Booked before the first is read; nothing is known yet.
        var booked = await NextAsync(50);
        Assert.Null(await OwnAsync(booked));
        await SaidAsync(http, visit, """{"kind":"state","wetness":"dry","washed":true,"light":"studio"}""");
        var view = await http.ReadAsync($"/api/visits/{visit}/review");
        foreach (var zone in new[] { "nape", "lowerBack", "upperBack" })
        {
            var planned = (double)Zone(view, zone)["depths"]![2]!["planned"]!;
            await SaidAsync(http, visit, Read(zone, "ends", planned - 0.8));
        }

        view = await http.ReadAsync($"/api/visits/{visit}/review");
        var taught = (double)view["own"]!["speed"]!;
        Assert.True(taught < 0.97, $"{taught}");
        Assert.Equal(taught, (double)(await OwnAsync(booked))!["speed"]!, 1e-9);
        Assert.Equal(taught, (double)(await OwnAsync(await NextAsync(60)))!["speed"]!, 1e-9);
        // The visit itself is forecast by what was known before it, and so is one before it.
        Assert.Null(await OwnAsync(visit));
        Assert.Null(await OwnAsync(await NextAsync(-50)));
        // Told anew at the next consultation it is not lost.
        var (kept, said) = await http.PutConsultAsync(booked, _ => { });
        Assert.True(kept == 200, said?.ToJsonString());
        Assert.Equal(taught, (double)(await OwnAsync(booked))!["speed"]!, 1e-9);
    }

    [Fact]
    public async Task The_head_that_came_out_differs_from_the_plan_only_where_it_was_read()
    {
        using var server = new Server();
        var (http, visit) = await PaintedAsync(server);
        async Task<byte[]> HairAsync(string which) =>
            await http.GetByteArrayAsync(new Uri($"/api/visits/{visit}/review/hair?which={which}", UriKind.Relative));
        var planned = await HairAsync("planned");
        Assert.Equal(planned, await HairAsync("cameOut"));
        await SaidAsync(http, visit, """{"kind":"state","wetness":"dry","washed":true,"light":"studio"}""");
        await SaidAsync(http, visit, Read("lowerBack", "ends", 5.5));
        var after = await HairAsync("cameOut");
        Assert.Equal(planned.Length, after.Length);
        Assert.Equal(planned, await HairAsync("planned"));
        var differ = Enumerable.Range(0, planned.Length).Count(i => planned[i] != after[i]);
        Assert.InRange(differ, 1, planned.Length / 4);
        var wrong = await http.GetAsync(new Uri($"/api/visits/{visit}/review/hair?which=x", UriKind.Relative));
        Assert.Equal(400, (int)wrong.StatusCode);
    }

    [Fact]
    public async Task What_is_said_twice_counts_once_and_what_two_say_at_once_is_all_there()
    {
        using var server = new Server();
        var (http, visit) = await PaintedAsync(server);
        await SaidAsync(http, visit, """{"kind":"state","wetness":"dry","washed":true,"light":"studio"}""");
        var id = Guid.NewGuid();
        await Task.WhenAll(Enumerable.Range(0, 4).Select(_ => SayAsync(http, visit, Read("nape", "ends", 6), id)));
        var said = await Task.WhenAll(
            new[] { "nape", "lowerBack", "upperBack", "crown" }.SelectMany(z =>
                new[] { "root", "middle" }.Select(d => SayAsync(http, visit, Read(z, d, 5)))
            )
        );
        Assert.All(said, s => Assert.Equal(200, s.Status));
        var view = await http.ReadAsync($"/api/visits/{visit}/review");
        Assert.Equal(10, (int)view["facts"]!);
        await SaidAsync(http, visit, """{"kind":"unsaid","number":2}""");
        Assert.Null(Zone(await http.ReadAsync($"/api/visits/{visit}/review"), "nape")["depths"]![2]!["cameOut"]);
    }

    [Theory]
    [InlineData("""{"kind":"read","zone":"nape","depth":"ends","level":6}""")]
    [InlineData("""{"kind":"read","zone":"nape","depth":"ends","level":12}""")]
    [InlineData("""{"kind":"read","zone":"chin","depth":"ends","level":6}""")]
    [InlineData("""{"kind":"read","zone":"nape","depth":"tips","level":6}""")]
    [InlineData("""{"kind":"unsaid","number":9}""")]
    [InlineData("""{"kind":"dreamt"}""")]
    [InlineData("""{}""")]
    [InlineData("null")]
    public async Task What_can_t_be_is_refused_and_changes_nothing(string fact)
    {
        using var server = new Server();
        var (http, visit) = await PaintedAsync(server);
        var (status, _) = await SayAsync(http, visit, fact);
        Assert.Equal(400, status);
        Assert.Equal(0, (int)(await http.ReadAsync($"/api/visits/{visit}/review"))["facts"]!);
    }

    [Fact]
    public async Task There_is_no_review_without_a_visit()
    {
        using var server = new Server();
        var http = server.CreateClient();
        var answer = await http.GetAsync(new Uri($"/api/visits/{Guid.NewGuid()}/review", UriKind.Relative));
        Assert.Equal(404, (int)answer.StatusCode);
    }
}
