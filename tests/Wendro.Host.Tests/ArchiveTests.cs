using System.IO.Compression;
using System.Net.Http.Headers;
using System.Text.Json.Nodes;
using Microsoft.Extensions.DependencyInjection;
using SkiaSharp;
using Wendro.Store;

namespace Wendro.Host.Tests;

/// <summary>A whole studio out and in again: nothing is lost, doubled, or taken by halves.</summary>
public sealed class ArchiveTests
{
    private static async Task<byte[]> ExportAsync(HttpClient http, bool health = false) =>
        await http.GetByteArrayAsync(new Uri($"/api/archive?health={(health ? "true" : "false")}", UriKind.Relative));

    private static async Task<(int Status, JsonNode Body)> SendAsync(
        HttpClient http,
        byte[] archive,
        bool preview = false,
        string type = "application/zip"
    )
    {
        using var content = new ByteArrayContent(archive);
        content.Headers.ContentType = new MediaTypeHeaderValue(type);
        var answer = await http.PostAsync(
            new Uri(preview ? "/api/archive/preview" : "/api/archive", UriKind.Relative),
            content
        );
        return ((int)answer.StatusCode, JsonNode.Parse(await answer.Content.ReadAsStringAsync())!);
    }

    private static (int New, int Changed, int Same, int Newer, int Refused) Counts(JsonNode view) =>
        ((int)view["new"]!, (int)view["changed"]!, (int)view["same"]!, (int)view["newerHere"]!, (int)view["refused"]!);

    /// <summary>A visit that was asked, planned, seated, reviewed and toned, with a photograph and a bowl.</summary>
    private static async Task<string> LivedAsync(HttpClient http)
    {
        var visit = await http.NewVisitAsync("Ada of the archive");
        var (asked, told) = await http.PutConsultAsync(
            visit,
            b =>
            {
                var answers = b["consultation"]!;
                (answers["reacted"], answers["scalp"], answers["salts"]) = (false, "calm", "none");
                answers["minutesToday"] = 200;
            }
        );
        Assert.True(asked == 200, told?.ToJsonString());
        var (status, said) = await http.EditAsync(
            visit,
            1,
            """{"kind":"paintZone","zone":"lowerBack","paint":{"shape":"v","startCm":8,"dropCm":6,"blurCm":4}}"""
        );
        Assert.True(status == 200, said?.ToJsonString());
        async Task SayAsync(string stage, string fact, int? after = null)
        {
            var seen = after is null ? string.Empty : $"\"after\":{after},";
            var (code, answer) = await http.PostAsync(
                $"/api/visits/{visit}/{stage}/facts",
                $$"""{ {{seen}}"id":"{{Guid.NewGuid()}}","fact":{{fact}} }"""
            );
            Assert.True(code == 200, $"{fact}: {answer?.ToJsonString()}");
        }

        await SayAsync("apply", """{"kind":"seated"}""", 0);
        await SayAsync("review", """{"kind":"state","wetness":"dry","washed":true,"light":"studio"}""");
        await SayAsync("review", """{"kind":"read","zone":"lowerBack","depth":"ends","level":6.5}""");
        await SayAsync("record", """{"kind":"words","words":"All of it is kept."}""");
        await SayAsync("record", """{"kind":"putAway"}""");
        using var picture = new ByteArrayContent(Png());
        picture.Headers.ContentType = new MediaTypeHeaderValue("image/png");
        var kept = await http.PostAsync(
            new Uri($"/api/visits/{visit}/photographs?moment=rinsed&from=back", UriKind.Relative),
            picture
        );
        Assert.True(kept.IsSuccessStatusCode, await kept.Content.ReadAsStringAsync());
        return visit;
    }

    [Fact]
    public async Task A_studio_goes_out_and_into_an_empty_one_and_out_again_the_same()
    {
        using var server = new Server();
        var http = server.CreateClient();
        var visit = await LivedAsync(http);
        foreach (var health in new[] { true, false })
        {
            var archive = await ExportAsync(http, health);
            Assert.Equal(archive, await ExportAsync(http, health));
            using var other = new Server();
            var there = other.CreateClient();
            var (looked, preview) = await SendAsync(there, archive, preview: true);
            Assert.True(looked == 200, preview.ToJsonString());
            Assert.Equal(health, (bool)preview["health"]!);
            Assert.Empty((await there.ReadAsync("/api/day")).AsArray());
            var (taken, did) = await SendAsync(there, archive);
            Assert.True(taken == 200, did.ToJsonString());
            Assert.Equal(Counts(preview), Counts(did));
            Assert.True(Counts(did) is { New: > 0, Changed: 0, Newer: 0, Refused: 0 });
            Assert.Equal(archive, await ExportAsync(there, health));
            // A second time it changes nothing.
            var (again, nothing) = await SendAsync(there, archive);
            Assert.Equal(200, again);
            Assert.True(Counts(nothing) is { New: 0, Changed: 0, Newer: 0, Refused: 0, Same: > 0 });
            Assert.Equal(archive, await ExportAsync(there, health));
            foreach (var path in new[] { "plan", "review", "photographs", "record" })
            {
                var (here, over) = (
                    await http.ReadAsync($"/api/visits/{visit}/{path}"),
                    await there.ReadAsync($"/api/visits/{visit}/{path}")
                );
                Assert.Equal(
                    health || path != "plan" ? here.ToJsonString() : Stopless(here),
                    health || path != "plan" ? over.ToJsonString() : Stopless(over)
                );
            }

            var name = (string)(await there.ReadAsync($"/api/visits/{visit}/photographs"))[0]!["name"]!;
            Assert.NotEmpty(await there.GetByteArrayAsync($"/api/visits/{visit}/photographs/{name}"));
        }

        static string Stopless(JsonNode plan)
        {
            plan["stops"] = null;
            return plan.ToJsonString();
        }
    }

    [Fact]
    public async Task Without_its_answers_about_health_a_visit_is_stopped_until_they_are_asked_again()
    {
        using var server = new Server();
        var visit = await LivedAsync(server.CreateClient());
        var archive = await ExportAsync(server.CreateClient());
        using (var zip = new ZipArchive(new MemoryStream(archive)))
        {
            using var reader = new StreamReader(zip.GetEntry($"visits/{visit}.json")!.Open());
            var stored = JsonNode.Parse(await reader.ReadToEndAsync())!["consultation"]!;
            Assert.Null(stored["reacted"]);
            Assert.Null(stored["scalp"]);
            Assert.True((bool)stored["askAgain"]!);
            Assert.Equal(200, (double)stored["minutesToday"]!);
        }

        using var other = new Server();
        var http = other.CreateClient();
        await SendAsync(http, archive);
        async Task<int> PaintAsync() =>
            (
                await http.EditAsync(
                    visit,
                    (int)(await http.ReadAsync($"/api/visits/{visit}/plan"))["revision"]!,
                    """{"kind":"paintZone","zone":"nape","paint":{"shape":"v","startCm":8,"dropCm":6,"blurCm":4}}"""
                )
            ).Status;
        Assert.Equal(409, await PaintAsync());
        async Task AnswerAsync(Action<JsonNode> change)
        {
            var (status, body) = await http.PutConsultAsync(visit, b => change(b["consultation"]!));
            Assert.True(status == 200, body?.ToJsonString());
        }

        // It can't be said away, only answered.
        await AnswerAsync(a => a["askAgain"] = false);
        Assert.Equal(409, await PaintAsync());
        await AnswerAsync(a => (a["reacted"], a["scalp"]) = (false, "calm"));
        Assert.Equal(409, await PaintAsync());
        await AnswerAsync(a => a["salts"] = "none");
        Assert.Equal(200, await PaintAsync());
        // Answered and gone on here, the archive's older state changes nothing and takes no answer away.
        var (_, again) = await SendAsync(http, archive);
        Assert.True(Counts(again) is { New: 0, Changed: 0, Newer: 1, Refused: 0 }, again.ToJsonString());
        Assert.False((bool)(await http.ReadAsync($"/api/visits/{visit}/consult"))["consultation"]!["reacted"]!);
    }

    [Fact]
    public async Task What_went_on_there_is_taken_and_what_went_on_differently_is_refused_with_where()
    {
        using var server = new Server();
        var http = server.CreateClient();
        var visit = await LivedAsync(http);
        using var other = new Server();
        var there = other.CreateClient();
        await SendAsync(there, await ExportAsync(http, health: true));
        const string edit =
            """{"kind":"paintZone","zone":"nape","paint":{"shape":"v","startCm":8,"dropCm":6,"blurCm":4}}""";
        Assert.Equal(200, (await http.EditAsync(visit, 2, edit)).Status);
        var more = await ExportAsync(http, health: true);
        var (_, taken) = await SendAsync(there, more);
        Assert.True(Counts(taken) is { New: 0, Changed: 1, Refused: 0 }, taken.ToJsonString());
        Assert.Equal(3, (int)(await there.ReadAsync($"/api/visits/{visit}/plan"))["revision"]!);
        Assert.Equal(more, await ExportAsync(there, health: true));

        // Both go on, each its own way.
        Assert.Equal(200, (await there.EditAsync(visit, 3, """{"kind":"clearZone","zone":"nape"}""")).Status);
        Assert.Equal(200, (await http.EditAsync(visit, 3, """{"kind":"clearZone","zone":"lowerBack"}""")).Status);
        var before = await ExportAsync(there, health: true);
        var (_, refused) = await SendAsync(there, await ExportAsync(http, health: true));
        Assert.Equal(1, (int)refused["refused"]!);
        var why = (string)refused["items"]!.AsArray().Single(i => (string)i!["becomes"]! == "refused")!["why"]!;
        Assert.Contains($"visits/{visit}.json: the plan", why, StringComparison.Ordinal);
        Assert.Equal(before, await ExportAsync(there, health: true));
    }

    [Fact]
    public async Task What_a_visit_taught_since_is_no_reason_to_refuse_the_next_one()
    {
        using var server = new Server();
        var http = server.CreateClient();
        var visit = await http.NewVisitAsync();
        var zones = new[] { "nape", "lowerBack", "upperBack" };
        var painted = string.Join(
            ',',
            zones.Select(z =>
                $$$"""{"kind":"paintZone","zone":"{{{z}}}","paint":{"shape":"v","startCm":8,"dropCm":6,"blurCm":4} }"""
            )
        );
        Assert.Equal(200, (await http.EditAsync(visit, 1, $$"""{"kind":"together","edits":[{{painted}}]}""")).Status);
        var here = (await http.ReadAsync("/api/day")).AsArray().Single()!;
        var next = ((DateTimeOffset)here["startsAt"]!).AddDays(50).ToString("O");
        await http.PostAsync($"/api/clients/{(string)here["clientId"]!}/visits", $$"""{"startsAt":"{{next}}"}""");
        var before = await ExportAsync(http);
        async Task SayAsync(string fact)
        {
            var (status, said) = await http.PostAsync(
                $"/api/visits/{visit}/review/facts",
                $$"""{"id":"{{Guid.NewGuid()}}","fact":{{fact}} }"""
            );
            Assert.True(status == 200, said?.ToJsonString());
        }

        await SayAsync("""{"kind":"state","wetness":"dry","washed":true,"light":"studio"}""");
        foreach (var zone in zones)
        {
            await SayAsync($$"""{"kind":"read","zone":"{{zone}}","depth":"ends","level":6}""");
        }

        Assert.NotEqual(before, await ExportAsync(http));
        var (_, looked) = await SendAsync(http, before);
        Assert.True(Counts(looked) is { New: 0, Changed: 0, Newer: 1, Refused: 0 }, looked.ToJsonString());
    }

    [Fact]
    public async Task Who_edits_while_the_archive_is_written_is_not_held_up_and_not_half_in_it()
    {
        using var server = new Server();
        var http = server.CreateClient();
        var visit = await LivedAsync(http);
        var before = await ExportAsync(http);
        var edited = 0;
        await using var slow = new Written(() =>
            edited = http.EditAsync(visit, 2, """{"kind":"clearZone","zone":"lowerBack"}""")
                .GetAwaiter()
                .GetResult()
                .Status
        );
        await server.Services.GetRequiredService<Archives>().WriteAsync(slow, false, CancellationToken.None);
        Assert.Equal(200, edited);
        Assert.Equal(before, slow.ToArray());
        Assert.NotEqual(before, await ExportAsync(http));
    }

    /// <summary>A file during whose first writing something else happens.</summary>
    private sealed class Written(Action meanwhile) : MemoryStream
    {
        private bool begun;

        public override void Write(byte[] buffer, int offset, int count)
        {
            Meanwhile();
            base.Write(buffer, offset, count);
        }

        public override void Write(ReadOnlySpan<byte> buffer)
        {
            Meanwhile();
            base.Write(buffer);
        }

        private void Meanwhile()
        {
            if (!begun)
            {
                begun = true;
                meanwhile();
            }
        }
    }

    [Fact]
    public async Task Who_may_see_a_photograph_stays_as_it_was_said_here_and_one_that_is_lost_keeps_no_visit_out()
    {
        using var server = new Server();
        var http = server.CreateClient();
        var visit = await LivedAsync(http);
        var archive = await ExportAsync(http, health: true);
        using var other = new Server();
        var there = other.CreateClient();
        await SendAsync(there, archive);
        var name = (string)(await there.ReadAsync($"/api/visits/{visit}/photographs"))[0]!["name"]!;
        using var agreed = new StringContent("""{"mayBeShown":true}""", System.Text.Encoding.UTF8, "application/json");
        var said = await there.PutAsync(
            new Uri($"/api/visits/{visit}/photographs/{name}/agreed", UriKind.Relative),
            agreed
        );
        Assert.True(said.IsSuccessStatusCode, await said.Content.ReadAsStringAsync());
        // The visit goes on there, and comes in with the consent that was given here.
        Assert.Equal(200, (await http.EditAsync(visit, 2, """{"kind":"clearZone","zone":"lowerBack"}""")).Status);
        var (_, taken) = await SendAsync(there, await ExportAsync(http, health: true));
        Assert.Equal(1, (int)taken["changed"]!);
        Assert.True((bool)(await there.ReadAsync($"/api/visits/{visit}/photographs"))[0]!["mayBeShown"]!);

        File.Delete(Directory.EnumerateFiles(server.Data, $"{name}.jpg", SearchOption.AllDirectories).Single());
        using var third = new Server();
        var (_, without) = await SendAsync(third.CreateClient(), await ExportAsync(http, health: true));
        Assert.Equal(0, (int)without["refused"]!);
        Assert.Empty((await third.CreateClient().ReadAsync($"/api/visits/{visit}/photographs")).AsArray());
    }

    [Fact]
    public async Task Products_go_by_their_name_and_are_changed_once()
    {
        using var server = new Server();
        var http = server.CreateClient();
        using var other = new Server();
        var there = other.CreateClient();
        foreach (var (client, grams, name) in new[] { (http, 80, "Gloss 9 violet"), (there, 40, "gloss 9 VIOLET") })
        {
            var (made, said) = await client.PostAsync(
                "/api/shelf",
                $$"""
                {"baseVersion":0,"product":{"kind":"shade","name":"{{name}}","stock":{"unit":"gram","onHand":{{grams}} },
                "depth":9,"reflect":"violet","base":"acidGloss","developerParts":1,"developerVolume":5,"minutes":20} }
                """
            );
            Assert.True(made == 201, said?.ToJsonString());
        }

        var archive = await ExportAsync(http);
        var (_, taken) = await SendAsync(there, archive);
        Assert.True(Counts(taken) is { New: 0, Changed: 1, Refused: 0 }, taken.ToJsonString());
        var shelf = (await there.ReadAsync("/api/shelf")).AsArray();
        Assert.Equal(80, (double)shelf.Single()!["product"]!["stock"]!["onHand"]!);
        var (_, again) = await SendAsync(there, archive);
        Assert.True(Counts(again) is { New: 0, Changed: 0, Same: 1 }, again.ToJsonString());
    }

    [Fact]
    public async Task A_visit_whose_plan_an_archive_lacks_stays_as_it_is_here()
    {
        using var server = new Server();
        var http = server.CreateClient();
        await LivedAsync(http);
        var good = await ExportAsync(http, health: true);
        var emptied = With(
            good,
            "visits/",
            t =>
            {
                var visit = JsonNode.Parse(t)!;
                visit["plan"] = new JsonArray();
                return visit.ToJsonString();
            }
        );
        var (status, told) = await SendAsync(http, emptied);
        Assert.True(status == 200, told.ToJsonString());
        Assert.Equal(1, Counts(told).Newer);
        Assert.Equal(good, await ExportAsync(http, health: true));
    }

    [Fact]
    public async Task What_is_no_archive_or_a_broken_one_is_refused_with_where_and_nothing_is_taken()
    {
        using var server = new Server();
        await LivedAsync(server.CreateClient());
        var good = await ExportAsync(server.CreateClient());
        using var other = new Server();
        var http = other.CreateClient();
        async Task RefusedAsync(byte[] archive, string where)
        {
            foreach (var preview in new[] { true, false })
            {
                var (status, body) = await SendAsync(http, archive, preview);
                Assert.Equal(400, status);
                Assert.Contains(where, body["errors"]!.ToJsonString(), StringComparison.Ordinal);
            }

            Assert.Empty((await http.ReadAsync("/api/clients")).AsArray());
        }

        await RefusedAsync([1, 2, 3], "zip");
        await RefusedAsync([], "zip");
        await RefusedAsync(good[..(good.Length / 2)], "zip");
        await RefusedAsync(
            With(good, "manifest.json", t => t.Replace("wendro-archive", "other", StringComparison.Ordinal)),
            "manifest.json"
        );
        await RefusedAsync(
            With(good, "manifest.json", t => t.Replace("\"version\":1", "\"version\":9", StringComparison.Ordinal)),
            "newer Wendro"
        );
        await RefusedAsync(With(good, "clients.json", _ => "[{\"id\":"), "clients.json");
        await RefusedAsync(
            With(
                good,
                "visits/",
                t => t.Replace("\"naturalLevel\":5", "\"naturalLevel\":50", StringComparison.Ordinal)
            ),
            "visits/"
        );
        Assert.Equal(415, (await SendAsync(http, good, type: "application/json")).Status);

        // Sound in its form, but for one visit: that one is refused with why.
        var odd = With(good, "visits/", t => t.Replace("\"hemCm\":", "\"hemCm\":9", StringComparison.Ordinal));
        var (_, looked) = await SendAsync(http, odd, preview: true);
        Assert.Equal(1, (int)looked["refused"]!);
        var lacking = With(good, "photographs/", null);
        var (_, without) = await SendAsync(http, lacking);
        Assert.Contains("photograph", (string)without["items"]![0]!["why"]!, StringComparison.Ordinal);
        Assert.Empty((await http.ReadAsync("/api/day")).AsArray());
    }

    private static byte[] Png()
    {
        using var bitmap = new SKBitmap(40, 30);
        bitmap.Erase(new SKColor(160, 112, 60));
        using var encoded = bitmap.Encode(SKEncodedImageFormat.Png, 100);
        return encoded.ToArray();
    }

    /// <summary>An archive with one of its files written otherwise, or left away.</summary>
    private static byte[] With(byte[] archive, string file, Func<string, string>? change)
    {
        using var memory = new MemoryStream();
        using (var from = new ZipArchive(new MemoryStream(archive)))
        using (var to = new ZipArchive(memory, ZipArchiveMode.Create, leaveOpen: true))
        {
            foreach (var entry in from.Entries)
            {
                var isIt = entry.FullName.StartsWith(file, StringComparison.Ordinal);
                if (isIt && change is null)
                {
                    continue;
                }

                using var read = entry.Open();
                using var write = to.CreateEntry(entry.FullName).Open();
                if (!isIt)
                {
                    read.CopyTo(write);
                    continue;
                }

                using var text = new StreamReader(read);
                var (was, becomes) = (text.ReadToEnd(), string.Empty);
                becomes = change!(was);
                Assert.NotEqual(was, becomes);
                using var writer = new StreamWriter(write);
                writer.Write(becomes);
            }
        }

        return memory.ToArray();
    }
}
