using System.Net.Http.Headers;
using System.Text;
using SkiaSharp;

namespace Wendro.Host.Tests;

/// <summary>A person who is deleted is gone from every file of the data, and nobody else is.</summary>
public sealed class PersonDeletionTests
{
    private const string Name = "Quillaborough of the test",
        Note = "Zwirbelwind only underneath";

    private static async Task<string> LivedAsync(HttpClient http, string name, byte colour)
    {
        var visit = await http.NewVisitAsync(name);
        foreach (var start in new[] { 5, 6, 7 })
        {
            var (status, body) = await http.EditAsync(
                visit,
                start - 4,
                $$"""{"kind":"paintZone","zone":"nape","paint":{"shape":"v","startCm":{{start}},"dropCm":2,"blurCm":4} }"""
            );
            Assert.True(status == 200, body?.ToJsonString());
        }

        var (said, answer) = await http.PostAsync(
            $"/api/visits/{visit}/review/facts",
            $$"""{"id":"{{Guid.NewGuid()}}","fact":{"kind":"note","words":"{{Note}}"} }"""
        );
        Assert.True(said == 200, answer?.ToJsonString());
        using var bitmap = new SKBitmap(40, 30);
        bitmap.Erase(new SKColor(colour, 112, 60));
        using var png = bitmap.Encode(SKEncodedImageFormat.Png, 100);
        using var picture = new ByteArrayContent(png.ToArray());
        picture.Headers.ContentType = new MediaTypeHeaderValue("image/png");
        var kept = await http.PostAsync(new Uri($"/api/visits/{visit}/photographs", UriKind.Relative), picture);
        Assert.True(kept.IsSuccessStatusCode, await kept.Content.ReadAsStringAsync());
        return visit;
    }

    private static bool Holds(string folder, string words)
    {
        var sought = Encoding.UTF8.GetBytes(words);
        return Directory
            .EnumerateFiles(folder, "*", SearchOption.AllDirectories)
            // Empty, and held by the server at work.
            .Where(f => Path.GetFileName(f) != "serving.held")
            .Any(f =>
            {
                using var file = new FileStream(f, FileMode.Open, FileAccess.Read, FileShare.ReadWrite);
                using var memory = new MemoryStream();
                file.CopyTo(memory);
                return memory.ToArray().AsSpan().IndexOf(sought) >= 0;
            });
    }

    [Fact]
    public async Task Nothing_of_a_person_who_is_deleted_is_left_in_any_file_and_others_stay_as_they_are()
    {
        using var server = new Server();
        var http = server.CreateClient();
        var hers = await LivedAsync(http, Name, 160);
        var shared = await LivedAsync(http, "Somebody else", 160);
        var own = await LivedAsync(http, "A third", 90);
        Assert.True(Holds(server.Data, Name));
        Assert.True(Holds(server.Data, hers.ToUpperInvariant()));
        var before = (await http.ReadAsync($"/api/visits/{shared}/review")).ToJsonString();
        var day = (await http.ReadAsync("/api/day")).AsArray();
        var client = (string)day.Single(v => (string)v!["visitId"]! == hers)!["clientId"]!;

        var answer = await http.DeleteAsync(new Uri($"/api/clients/{client}", UriKind.Relative));
        var gone = System.Text.Json.Nodes.JsonNode.Parse(await answer.Content.ReadAsStringAsync())!;
        Assert.Equal((Name, 1), ((string)gone["name"]!, (int)gone["visits"]!));
        Assert.True((bool)gone["isOverwritten"]!);
        Assert.False(Holds(server.Data, Name));
        Assert.False(Holds(server.Data, hers.ToUpperInvariant()));
        Assert.Equal(404, (int)(await http.GetAsync(new Uri($"/api/visits/{hers}/plan", UriKind.Relative))).StatusCode);
        Assert.Equal(
            404,
            (int)(await http.DeleteAsync(new Uri($"/api/clients/{client}", UriKind.Relative))).StatusCode
        );

        // A photograph that another's visit has, too, stays; so does all else.
        Assert.Equal(before, (await http.ReadAsync($"/api/visits/{shared}/review")).ToJsonString());
        foreach (var visit in new[] { shared, own })
        {
            var name = (string)(await http.ReadAsync($"/api/visits/{visit}/photographs"))[0]!["name"]!;
            Assert.NotEmpty(await http.GetByteArrayAsync($"/api/visits/{visit}/photographs/{name}"));
        }

        // Her note was theirs, too: deleted with the last of them.
        Assert.True(Holds(server.Data, Note));
        foreach (var other in new[] { shared, own })
        {
            var whose = (string)day.Single(v => (string)v!["visitId"]! == other)!["clientId"]!;
            Assert.True(
                (await http.DeleteAsync(new Uri($"/api/clients/{whose}", UriKind.Relative))).IsSuccessStatusCode
            );
        }

        Assert.False(Holds(server.Data, Note));
        Assert.Empty(Directory.EnumerateFiles(server.Data, "*.jpg", SearchOption.AllDirectories));
    }
}
