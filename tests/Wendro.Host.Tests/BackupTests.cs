using System.IO.Compression;
using System.Net.Http.Headers;
using System.Text.Json.Nodes;
using Microsoft.Data.Sqlite;
using Microsoft.Extensions.DependencyInjection;
using Wendro.Host.Work;
using Wendro.Store;

namespace Wendro.Host.Tests;

/// <summary>All of the data in a file and back, while the program runs.</summary>
public sealed class BackupTests
{
    private static async Task<byte[]> SaveAsync(HttpClient http) =>
        await http.GetByteArrayAsync(new Uri("/api/backup", UriKind.Relative));

    private static async Task<(int Status, JsonNode? Body)> RestoreAsync(HttpClient http, byte[] backup)
    {
        using var content = new ByteArrayContent(backup);
        content.Headers.ContentType = new MediaTypeHeaderValue("application/zip");
        using var answer = await http.PostAsync(new Uri("/api/restore", UriKind.Relative), content);
        return ((int)answer.StatusCode, JsonNode.Parse(await answer.Content.ReadAsStringAsync()));
    }

    private static async Task PaintAsync(HttpClient http, string visit, int revision, string zone)
    {
        var (status, body) = await http.EditAsync(
            visit,
            revision,
            $$"""{"kind":"paintZone","zone":"{{zone}}","paint":{"shape":"v","startCm":6,"dropCm":2,"blurCm":4} }"""
        );
        Assert.True(status == 200, body?.ToJsonString());
    }

    [Fact]
    public async Task A_backup_restored_is_the_data_as_it_was_and_a_copy_of_what_was_there_is_kept()
    {
        using var server = new Server();
        var http = server.CreateClient();
        var visit = await http.NewVisitAsync("Backed up");
        await PaintAsync(http, visit, 1, "nape");
        var before = (await http.ReadAsync($"/api/visits/{visit}/plan")).ToJsonString();
        var backup = await SaveAsync(http);

        // Gone on since: another plan under the same revision's number, another client.
        await http.EditAsync(visit, 2, """{"kind":"clearZone","zone":"nape"}""");
        await http.NewVisitAsync("After it");
        var (status, said) = await RestoreAsync(http, backup);
        Assert.True(status == 200, said?.ToJsonString());
        Assert.Equal((1, 1), ((int)said!["clients"]!, (int)said["visits"]!));
        Assert.Equal(before, (await http.ReadAsync($"/api/visits/{visit}/plan")).ToJsonString());
        Assert.Single((await http.ReadAsync("/api/clients")).AsArray());
        Assert.Single(server.Services.GetRequiredService<SafetyCopies>().All);

        // It goes on from there, and a server begun anew finds it so.
        await PaintAsync(http, visit, 2, "lowerBack");
        using var again = server.Again();
        Assert.Equal(3, (int)(await again.CreateClient().ReadAsync($"/api/visits/{visit}/plan"))["revision"]!);
        Assert.Empty(Directory.GetDirectories(server.Data, "backup-*"));
    }

    [Fact]
    public async Task Into_an_empty_studio_it_brings_photographs_and_health_with_it()
    {
        using var server = new Server();
        var http = server.CreateClient();
        var visit = await http.NewVisitAsync("Photographed");
        Assert.Equal(200, (await http.PutConsultAsync(visit, c => c["consultation"]!["reacted"] = true)).Status);
        using (var bitmap = new SkiaSharp.SKBitmap(40, 30))
        {
            bitmap.Erase(new SkiaSharp.SKColor(120, 90, 60));
            using var png = bitmap.Encode(SkiaSharp.SKEncodedImageFormat.Png, 100);
            using var picture = new ByteArrayContent(png.ToArray());
            picture.Headers.ContentType = new MediaTypeHeaderValue("image/png");
            using var kept = await http.PostAsync(
                new Uri($"/api/visits/{visit}/photographs", UriKind.Relative),
                picture
            );
            Assert.True(kept.IsSuccessStatusCode);
        }

        var backup = await SaveAsync(http);
        using var empty = new Server();
        var there = empty.CreateClient();
        Assert.Equal(1, (int)(await RestoreAsync(there, backup)).Body!["photographs"]!);
        var name = (string)(await there.ReadAsync($"/api/visits/{visit}/photographs"))[0]!["name"]!;
        Assert.NotEmpty(
            await there.GetByteArrayAsync(new Uri($"/api/visits/{visit}/photographs/{name}", UriKind.Relative))
        );
        Assert.True((bool)(await there.ReadAsync($"/api/visits/{visit}/consult"))["consultation"]!["reacted"]!);
    }

    [Fact]
    public async Task A_plan_read_before_the_data_was_replaced_does_not_stand_in_for_the_one_after()
    {
        using var server = new Server();
        var http = server.CreateClient();
        var visit = await http.NewVisitAsync();
        var backup = await SaveAsync(http);
        var from = (int)(await http.ReadAsync($"/api/visits/{visit}/plan"))["revision"]!;
        Assert.Equal(200, (await http.EditAsync(visit, from, Painting(4))).Status);
        var plans = server.Services.GetRequiredService<OpenPlans>();
        var heads = server.Services.GetRequiredService<HeadCache>();
        var late = (await plans.OpenAsync(Guid.Parse(visit), CancellationToken.None))!;

        Assert.Equal(200, (await RestoreAsync(http, backup)).Status);
        // Somebody who read the plan before is done only now; its revision has the number of the one to come.
        var history = late.Stored.History;
        _ = heads.Planned(
            late.AtHand,
            late.Visit.Id,
            late.Visit.Hair,
            new(history.Revision, history.Shows, late.Stored.Plan),
            null
        );
        Assert.Equal(200, (await http.EditAsync(visit, from, Painting(12))).Status);

        var now = await http.ReadAsync($"/api/visits/{visit}/plan");
        Assert.Equal(history.Revision, (int)now["revision"]!);
        var painted = now["panels"]!.AsArray().First(p => (string)p!["zone"]! == "nape" && p["paint"] is not null)!;
        Assert.Equal(12, (double)painted["coats"]![0]!["startCm"]!, 3);

        static string Painting(int fromCm) =>
            $$"""{"kind":"paintZone","zone":"nape","paint":{"shape":"v","startCm":{{fromCm}},"dropCm":6,"blurCm":4} }""";
    }

    [Fact]
    public async Task What_is_no_backup_or_damaged_is_refused_and_changes_nothing()
    {
        using var server = new Server();
        var http = server.CreateClient();
        var visit = await http.NewVisitAsync("Stays");
        var before = (await http.ReadAsync($"/api/visits/{visit}/plan")).ToJsonString();
        var good = await SaveAsync(http);
        var damaged = With(
            good,
            "wendro.db",
            bytes =>
            {
                // The middle of the file: tables, not the header.
                Array.Fill(bytes, (byte)0xA5, 4096, bytes.Length / 2);
                return bytes;
            }
        );
        byte[][] bad =
        [
            [],
            [1, 2, 3],
            good[..(good.Length / 2)],
            damaged,
            With(good, "wendro.db", null),
            With(good, "manifest.json", null),
            With(
                good,
                "manifest.json",
                b =>
                    System.Text.Encoding.UTF8.GetBytes(
                        System
                            .Text.Encoding.UTF8.GetString(b)
                            .Replace("\"version\":1", "\"version\":9", StringComparison.Ordinal)
                    )
            ),
            With(
                good,
                "manifest.json",
                b =>
                    System.Text.Encoding.UTF8.GetBytes(
                        System
                            .Text.Encoding.UTF8.GetString(b)
                            .Replace("\"photographs\":0", "\"photographs\":2", StringComparison.Ordinal)
                    )
            ),
            await http.GetByteArrayAsync(new Uri("/api/archive", UriKind.Relative)),
        ];
        foreach (var backup in bad)
        {
            var (status, body) = await RestoreAsync(http, backup);
            Assert.Equal(400, status);
            Assert.Contains("Nothing was changed", body!.ToJsonString(), StringComparison.Ordinal);
        }

        Assert.Equal(before, (await http.ReadAsync($"/api/visits/{visit}/plan")).ToJsonString());
        Assert.Empty(server.Services.GetRequiredService<SafetyCopies>().All);
        Assert.Empty(Directory.GetDirectories(server.Data, "backup-*"));
    }

    [Fact]
    public async Task One_of_an_older_program_is_brought_up_to_date()
    {
        using var server = Server.On(Path.Combine(AppContext.BaseDirectory, "Fixtures", "v1", "studio.sqlite"));
        // Zipped as it was stored then.
        var old = await File.ReadAllBytesAsync(
            Path.Combine(AppContext.BaseDirectory, "Fixtures", "v1", "studio.sqlite")
        );
        var http = server.CreateClient();
        var day = (await http.ReadAsync("/api/clients")).ToJsonString();
        var copies = server.Services.GetRequiredService<SafetyCopies>();
        // Before the first migration a copy was kept.
        Assert.Contains("before-update", Assert.Single(copies.All), StringComparison.Ordinal);
        var backup = With(await SaveAsync(http), "wendro.db", _ => old);
        await http.NewVisitAsync("Since then");
        Assert.Equal(200, (await RestoreAsync(http, backup)).Status);
        Assert.Equal(day, (await http.ReadAsync("/api/clients")).ToJsonString());
        Assert.Equal("ok", Integrity(server.DataFile));
    }

    [Fact]
    public async Task At_most_three_copies_are_kept_and_none_of_them_once_a_person_is_deleted()
    {
        using var server = new Server();
        var http = server.CreateClient();
        await http.NewVisitAsync("To be forgotten");
        var backup = await SaveAsync(http);
        for (var i = 0; i < 5; i++)
        {
            server.Clock.Advance(TimeSpan.FromMinutes(1));
            Assert.Equal(200, (await RestoreAsync(http, backup)).Status);
        }

        var copies = server.Services.GetRequiredService<SafetyCopies>();
        Assert.Equal(SafetyCopies.Most, copies.All.Count);
        var client = (string)(await http.ReadAsync("/api/clients"))[0]!["id"]!;
        using var gone = await http.DeleteAsync(new Uri($"/api/clients/{client}", UriKind.Relative));
        Assert.Equal(3, (int)JsonNode.Parse(await gone.Content.ReadAsStringAsync())!["copies"]!);
        Assert.Empty(copies.All);
    }

    [Fact]
    public async Task Edits_while_it_is_restored_are_whole_on_one_side_or_the_other()
    {
        using var server = new Server();
        var http = server.CreateClient();
        var visit = await http.NewVisitAsync("Busy");
        await PaintAsync(http, visit, 1, "nape");
        var backup = await SaveAsync(http);
        var others = Enumerable.Range(0, 12).Select(_ => http.NewVisitAsync("Meanwhile")).ToArray();
        var (status, _) = await RestoreAsync(http, backup);
        await Task.WhenAll(others);
        Assert.Equal(200, status);
        Assert.Equal("ok", Integrity(server.DataFile));
        Assert.Equal(2, (int)(await http.ReadAsync($"/api/visits/{visit}/plan"))["revision"]!);
        foreach (var client in (await http.ReadAsync("/api/clients")).AsArray())
        {
            Assert.NotEmpty((await http.ReadAsync($"/api/clients/{(string)client!["id"]!}"))["visits"]!.AsArray());
        }
    }

    private static string Integrity(string file)
    {
        using var connection = new SqliteConnection($"Data Source={file};Pooling=False");
        connection.Open();
        using var command = connection.CreateCommand();
        command.CommandText = "PRAGMA integrity_check";
        return (string)command.ExecuteScalar()!;
    }

    /// <summary>A backup with one of its files otherwise, or left away.</summary>
    private static byte[] With(byte[] backup, string file, Func<byte[], byte[]>? change)
    {
        var memory = new MemoryStream();
        using (var from = new ZipArchive(new MemoryStream(backup)))
        using (var to = new ZipArchive(memory, ZipArchiveMode.Create, leaveOpen: true))
        {
            foreach (var entry in from.Entries)
            {
                if (entry.FullName == file && change is null)
                {
                    continue;
                }

                using var read = entry.Open();
                using var all = new MemoryStream();
                read.CopyTo(all);
                var bytes = entry.FullName == file ? change!(all.ToArray()) : all.ToArray();
                using var write = to.CreateEntry(entry.FullName).Open();
                write.Write(bytes);
            }
        }

        return memory.ToArray();
    }
}
