using System.Net.Http.Headers;
using System.Text.Json.Nodes;
using Microsoft.Extensions.DependencyInjection;
using Wendro.Store;

namespace Wendro.Host.Tests;

/// <summary>Visits put away long since keep what happened, and no longer every step of their plans.</summary>
public sealed class ThinningTests
{
    private static async Task OkAsync(Task<(int Status, JsonNode? Body)> answer)
    {
        var (status, body) = await answer;
        Assert.True(status == 200, body?.ToJsonString());
    }

    private static Task OkAsync(HttpClient http, string visit, string stage, int? after, string fact)
    {
        var seen = after is null ? string.Empty : $"\"after\":{after},";
        return OkAsync(
            http.PostAsync(
                $"/api/visits/{visit}/{stage}/facts",
                $$"""{ {{seen}}"id":"{{Guid.NewGuid()}}","fact":{{fact}} }"""
            )
        );
    }

    private static string Goal(double level) =>
        $$"""{"kind":"setWish","wish":{"endsLevel":{{level.ToString(System.Globalization.CultureInfo.InvariantCulture)}} } }""";

    /// <summary>Seated with its second plan, worked by its third; changed three times since, the last taken back.</summary>
    private static async Task<string> WorkedAsync(HttpClient http)
    {
        var visit = await http.NewVisitAsync("Kept of the month");
        await OkAsync(
            http.EditAsync(
                visit,
                1,
                """{"kind":"paintZone","zone":"lowerBack","paint":{"shape":"v","startCm":8,"dropCm":6,"blurCm":4}}"""
            )
        );
        await OkAsync(http, visit, "apply", 0, """{"kind":"seated"}""");
        await OkAsync(http.EditAsync(visit, 2, Goal(8.5)));
        await OkAsync(http, visit, "apply", 1, """{"kind":"planTaken","revision":3}""");
        await OkAsync(http.EditAsync(visit, 3, Goal(8)));
        await OkAsync(http.EditAsync(visit, 4, Goal(7.5)));
        await OkAsync(http.EditAsync(visit, 5, Goal(7)));
        await OkAsync(http.PostAsync($"/api/visits/{visit}/plan/undo", """{"baseRevision":6}"""));
        return visit;
    }

    private static async Task<IEnumerable<int>> StepsAsync(Server server, string visit) =>
        (await server.Services.GetRequiredService<Revisions>().HistoryAsync(Guid.Parse(visit), default)).Select(h =>
            h.Number
        );

    private static Task<byte[]> ArchiveAsync(HttpClient http) =>
        http.GetByteArrayAsync(new Uri("/api/archive?health=true", UriKind.Relative));

    [Fact]
    public async Task A_month_after_it_was_put_away_a_visit_keeps_the_plans_it_went_by()
    {
        using var server = new Server();
        var http = server.CreateClient();
        var visit = await WorkedAsync(http);
        var thinning = server.Services.GetRequiredService<Thinning>();
        server.Clock.Advance(TimeSpan.FromDays(40));
        Assert.Equal(0, await thinning.RunAsync(default));
        await OkAsync(http, visit, "record", null, """{"kind":"putAway"}""");
        server.Clock.Advance(TimeSpan.FromDays(29));
        Assert.Equal(0, await thinning.RunAsync(default));
        Assert.Equal([1, 2, 3, 4, 5, 6, 7], await StepsAsync(server, visit));
        var (shown, record) = (
            await http.ReadAsync($"/api/visits/{visit}/plan/file"),
            (await http.ReadAsync($"/api/visits/{visit}/record"))["record"]!
        );
        var archive = await ArchiveAsync(http);

        // The server does it by itself, once a day.
        server.Clock.Advance(TimeSpan.FromDays(2));
        using var pause = new PeriodicTimer(TimeSpan.FromMilliseconds(20));
        var tries = 0;
        while ((await StepsAsync(server, visit)).Count() > 5)
        {
            Assert.True(++tries < 1_000, "it does not settle");
            await pause.WaitForNextTickAsync();
        }

        // The first, those the chair went by, what the last one shows, and the last.
        Assert.Equal([1, 2, 3, 5, 7], await StepsAsync(server, visit));
        Assert.Equal(shown.ToJsonString(), (await http.ReadAsync($"/api/visits/{visit}/plan/file")).ToJsonString());
        Assert.Equal(
            record.ToJsonString(),
            (await http.ReadAsync($"/api/visits/{visit}/record"))["record"]!.ToJsonString()
        );
        Assert.Equal(2, (int)(await http.ReadAsync($"/api/visits/{visit}/apply"))["facts"]!);
        var plan = await http.ReadAsync($"/api/visits/{visit}/plan");
        Assert.False((bool)plan["canUndo"]! || (bool)plan["canRedo"]!);
        Assert.Equal(0, await thinning.RunAsync(default));

        // An archive from before then holds nothing else, nor does one from after.
        foreach (var known in new[] { archive, await ArchiveAsync(http) })
        {
            using var content = new ByteArrayContent(known);
            content.Headers.ContentType = new MediaTypeHeaderValue("application/zip");
            var told = JsonNode.Parse(
                await (
                    await http.PostAsync(new Uri("/api/archive", UriKind.Relative), content)
                ).Content.ReadAsStringAsync()
            )!;
            Assert.True((int)told["same"]! > 0, told.ToJsonString());
            Each.Of(["new", "changed", "newerHere", "refused"], what => Assert.Equal(0, (int)told[what]!));
        }
    }

    [Fact]
    public async Task A_plan_that_somebody_is_at_again_keeps_its_steps_for_another_month()
    {
        using var server = new Server();
        var http = server.CreateClient();
        var visit = await WorkedAsync(http);
        await OkAsync(http, visit, "record", null, """{"kind":"putAway"}""");
        server.Clock.Advance(TimeSpan.FromDays(20));
        await OkAsync(http.EditAsync(visit, 7, Goal(9)));
        var thinning = server.Services.GetRequiredService<Thinning>();
        server.Clock.Advance(TimeSpan.FromDays(20));
        Assert.Equal(0, await thinning.RunAsync(default));
        await OkAsync(http.PostAsync($"/api/visits/{visit}/plan/undo", """{"baseRevision":8}"""));

        // Taken out again it never settles.
        await OkAsync(http, visit, "record", null, """{"kind":"putAway","is":false}""");
        server.Clock.Advance(TimeSpan.FromDays(90));
        Assert.Equal(0, await thinning.RunAsync(default));
        Assert.Equal(9, (await StepsAsync(server, visit)).Count());
    }
}
