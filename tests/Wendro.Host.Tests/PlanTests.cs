using System.Text.Json.Nodes;

namespace Wendro.Host.Tests;

public sealed class PlanTests(Server server) : IClassFixture<Server>
{
    private const string PaintBack =
        """{"kind":"paintZone","zone":"upperBack","paint":{"shape":"v","startCm":6,"dropCm":6}}""";
    private readonly HttpClient http = server.CreateClient();

    [Fact]
    public async Task A_whole_session_sections_paints_and_reads()
    {
        var visit = await http.NewVisitAsync();
        var plan = await http.ReadAsync($"/api/visits/{visit}/plan");
        Assert.Equal(1, (int)plan["revision"]!);
        Assert.True(plan["panels"]!.AsArray().Count > 50);
        Assert.Empty(plan["findings"]!.AsArray());

        var (cut, recut) = await http.EditAsync(
            visit,
            1,
            """{"kind":"cutZone","zone":"upperBack","parting":"diagonalBack","thicknessMm":9,"widthCm":4,"leaveOutMm":3,"bricklay":true}"""
        );
        Assert.Equal(200, cut);
        Assert.True((bool)recut!["recut"]!);

        var (painted, change) = await http.EditAsync(visit, 2, PaintBack);
        Assert.Equal(200, painted);
        Assert.Equal(3, (int)change!["revision"]!);
        Each.Of(change["panels"]!.AsArray(), p => Assert.Equal("upperBack", (string)p!["zone"]!));
        Assert.True(Convert.FromBase64String((string)change["strands"]!["levels"]!).Length > 1000);

        var panels = (await http.ReadAsync($"/api/visits/{visit}/plan/panels")).AsArray();
        Each.Of(
            panels.Where(p => (string)p!["zone"]! == "upperBack"),
            p => Assert.True((double)p!["meanLevel"]! > 5.2)
        );
        Each.Of(panels.Where(p => (string)p!["zone"]! != "upperBack"), p => Assert.Equal(5, (double)p!["meanLevel"]!));
        Assert.True((double)(await http.ReadAsync($"/api/visits/{visit}/plan/measures"))["lightShare"]! > 0.02);

        var findings = (await http.ReadAsync($"/api/visits/{visit}/plan/findings")).AsArray();
        var front = findings.Single(f => (string)f!["kind"]! == "frontNotBrighter")!;
        var (mended, after) = await http.EditAsync(visit, 3, front["fix"]!["edit"]!.ToJsonString());
        Assert.Equal(200, mended);
        Assert.DoesNotContain(after!["findings"]!.AsArray(), f => (string)f!["kind"]! == "frontNotBrighter");
    }

    [Fact]
    public async Task Undo_and_redo_append_revisions_that_show_earlier_plans()
    {
        var visit = await http.NewVisitAsync();
        var bare = (await http.ReadAsync($"/api/visits/{visit}/plan"))["plan"]!.ToJsonString();
        await http.EditAsync(visit, 1, PaintBack);
        var painted = (await http.ReadAsync($"/api/visits/{visit}/plan"))["plan"]!.ToJsonString();

        var (_, undone) = await http.PostAsync($"/api/visits/{visit}/plan/undo", """{"baseRevision":2}""");
        Assert.Equal((3, false, true), ((int)undone!["revision"]!, (bool)undone["canUndo"]!, (bool)undone["canRedo"]!));
        Assert.Equal(bare, undone["plan"]!.ToJsonString());

        var (_, redone) = await http.PostAsync($"/api/visits/{visit}/plan/redo", """{"baseRevision":3}""");
        Assert.Equal((4, painted), ((int)redone!["revision"]!, redone["plan"]!.ToJsonString()));

        var (_, nothing) = await http.PostAsync($"/api/visits/{visit}/plan/redo", """{"baseRevision":4}""");
        Assert.Equal(4, (int)nothing!["revision"]!);
    }

    [Fact]
    public async Task A_stale_edit_is_refused_and_nothing_is_lost()
    {
        var visit = await http.NewVisitAsync();
        await http.EditAsync(visit, 1, PaintBack);
        var before = (await http.ReadAsync($"/api/visits/{visit}/plan")).ToJsonString();
        var (status, problem) = await http.EditAsync(visit, 1, """{"kind":"clearPanels","panels":["upperBack/0/0"]}""");
        Assert.Equal(409, status);
        Assert.Equal(2, (int)problem!["currentRevision"]!);
        Assert.Equal(before, (await http.ReadAsync($"/api/visits/{visit}/plan")).ToJsonString());
    }

    [Fact]
    public async Task Edits_from_two_windows_at_once_conflict_cleanly()
    {
        var visit = await http.NewVisitAsync();
        var tries = Enumerable
            .Range(0, 8)
            .Select(i =>
                http.EditAsync(visit, 1, $$"""{"kind":"setShape","panels":["crown/0/{{i % 2}}"],"shape":"full"}""")
            )
            .ToArray();
        var statuses = (await Task.WhenAll(tries)).Select(t => t.Status).Order().ToArray();
        Assert.Equal([200, 409, 409, 409, 409, 409, 409, 409], statuses);
        Assert.Equal(2, (int)(await http.ReadAsync($"/api/visits/{visit}/plan"))["revision"]!);
    }

    [Fact]
    public async Task A_preview_computes_and_stores_nothing()
    {
        var visit = await http.NewVisitAsync();
        var before = (await http.ReadAsync($"/api/visits/{visit}/plan")).ToJsonString();
        var (status, preview) = await http.PostAsync(
            $"/api/visits/{visit}/plan/previews",
            $$"""{"baseRevision":1,"sequence":7,"edit":{{PaintBack}}}"""
        );
        Assert.Equal(200, status);
        Assert.True((double)preview!["measures"]!["lightShare"]! > 0);
        Assert.Equal(before, (await http.ReadAsync($"/api/visits/{visit}/plan")).ToJsonString());

        var (dropped, _) = await http.PostAsync(
            $"/api/visits/{visit}/plan/previews",
            $$"""{"baseRevision":1,"sequence":3,"edit":{{PaintBack}}}"""
        );
        Assert.Equal(204, dropped);
    }

    [Fact]
    public async Task A_plan_is_exported_and_imported_again_equal()
    {
        var visit = await http.NewVisitAsync();
        await http.EditAsync(visit, 1, PaintBack);
        await http.EditAsync(visit, 2, """{"kind":"movePart","frontCm":1.5,"backCm":0.5}""");
        await http.EditAsync(visit, 3, """{"kind":"excludeZone","zone":"nape","reason":"undercut"}""");
        var file = await http.GetStringAsync(new Uri($"/api/visits/{visit}/plan/file", UriKind.Relative));

        var other = await http.NewVisitAsync("Another of the test");
        var (status, _) = await http.PostAsync($"/api/visits/{other}/plan/file?baseRevision=1", file);
        Assert.Equal(200, status);
        Assert.Equal(file, await http.GetStringAsync(new Uri($"/api/visits/{other}/plan/file", UriKind.Relative)));

        var (refused, problem) = await http.PostAsync(
            $"/api/visits/{other}/plan/file?baseRevision=2",
            file.Replace("\"startCm\": 6", "\"startCm\": -6", StringComparison.Ordinal)
        );
        Assert.Equal(400, refused);
        Assert.Contains("startCm", problem!["errors"]!.ToJsonString(), StringComparison.Ordinal);
        Assert.Equal(2, (int)(await http.ReadAsync($"/api/visits/{other}/plan"))["revision"]!);
    }

    [Theory]
    [InlineData("""{"kind":"setShape","panels":["nape/0/0"],"shape":"blob"}""", "edit.shape")]
    [InlineData(
        """{"kind":"cutZone","zone":"nape","parting":"horizontal","thicknessMm":10,"widthCm":-4,"leaveOutMm":0,"bricklay":true}""",
        "edit.widthCm"
    )]
    [InlineData(
        """{"kind":"cutZone","zone":"nape","parting":"horizontal","thicknessMm":"NaN","widthCm":4,"leaveOutMm":0,"bricklay":true}""",
        "edit.thicknessMm"
    )]
    [InlineData("""{"kind":"setBlur","panels":["nape/0/0"],"blurCm":1e400}""", "edit.blurCm")]
    [InlineData("""{"kind":"setBlur","panels":["nape/0/0"]}""", "edit.blurCm")]
    [InlineData("""{"kind":"setBlur","panels":["nape/77/0"],"blurCm":3}""", "edit.panels[0]")]
    [InlineData("""{"kind":"paintZone","zone":"nowhere","paint":{}}""", "edit.zone")]
    [InlineData("""{"kind":"paintZone","zone":"nape","paint":{"startCm":-1}}""", "edit.paint.startCm")]
    [InlineData("""{"kind":"paintZone","zone":"nape","paint":null}""", "edit.paint")]
    [InlineData("""{"kind":"invent"}""", "edit.kind")]
    [InlineData("""{}""", "edit.kind")]
    public async Task Bad_values_answer_400_by_field_and_change_nothing(string edit, string field)
    {
        var visit = await http.NewVisitAsync();
        var (status, problem) = await http.EditAsync(visit, 1, edit);
        Assert.Equal(400, status);
        Assert.Contains(field, problem!["errors"]!.AsObject().Select(e => e.Key));
        Assert.Equal(1, (int)(await http.ReadAsync($"/api/visits/{visit}/plan"))["revision"]!);
    }

    [Theory]
    [InlineData("{\"baseRevision\":1,", 400)]
    [InlineData("null", 400)]
    [InlineData("[]", 400)]
    [InlineData("\"text\"", 400)]
    [InlineData("", 400)]
    public async Task Malformed_json_answers_400(string body, int expected)
    {
        var visit = await http.NewVisitAsync();
        var (status, problem) = await http.PostAsync($"/api/visits/{visit}/plan/edits", body);
        Assert.Equal(expected, status);
        Assert.NotNull(problem!["title"]);
    }

    [Fact]
    public async Task Too_large_is_413_and_wrong_type_415()
    {
        var visit = await http.NewVisitAsync();
        Assert.Equal(
            413,
            (await http.PostAsync($"/api/visits/{visit}/plan/edits", new string(' ', 3_000_000) + "{}")).Status
        );
        Assert.Equal(415, (await http.PostAsync($"/api/visits/{visit}/plan/edits", "{}", "text/plain")).Status);
    }

    [Theory]
    [InlineData("/api/visits/00000000-0000-0000-0000-000000000001/plan")]
    [InlineData("/api/visits/00000000-0000-0000-0000-000000000001/plan/findings")]
    [InlineData("/api/visits/00000000-0000-0000-0000-000000000001/seen")]
    [InlineData("/api/nothing/here")]
    public async Task Unknown_is_404_with_problem_details(string path)
    {
        var answer = await http.GetAsync(new Uri(path, UriKind.Relative));
        Assert.Equal(404, (int)answer.StatusCode);
        Assert.Equal("application/problem+json", answer.Content.Headers.ContentType?.MediaType);
    }

    [Fact]
    public async Task Unknown_client_and_visit_are_404_when_written_to()
    {
        const string nobody = "00000000-0000-0000-0000-000000000001";
        Assert.Equal(404, (await http.EditAsync(nobody, 1, PaintBack)).Status);
        Assert.Equal(404, (await http.PostAsync($"/api/clients/{nobody}/visits", "{}")).Status);
    }

    [Fact]
    public async Task A_plan_file_with_nothing_where_a_region_should_be_is_refused_whole()
    {
        var visit = await http.NewVisitAsync();
        var file = JsonNode.Parse(
            await http.GetStringAsync(new Uri($"/api/visits/{visit}/plan/file", UriKind.Relative))
        )!;
        file["plan"]!["leftOut"] = new JsonArray(null, null);
        var (status, body) = await http.PostAsync($"/api/visits/{visit}/plan/file?baseRevision=1", file.ToJsonString());
        Assert.Equal(400, status);
        Assert.NotNull(body!["errors"]!["plan: leaveOut.sizeCm"]);
    }
}
