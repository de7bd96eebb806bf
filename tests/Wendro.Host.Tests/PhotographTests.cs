using System.Net.Http.Headers;
using System.Text;
using System.Text.Json.Nodes;
using SkiaSharp;
using Wendro.Colour;

namespace Wendro.Host.Tests;

/// <summary>Photographs through the real pipeline: upright, without metadata, named by content, agreed to one by one.</summary>
public sealed class PhotographTests
{
    private static byte[] Encoded(SKBitmap bitmap, SKEncodedImageFormat format = SKEncodedImageFormat.Jpeg)
    {
        using var image = SKImage.FromBitmap(bitmap);
        using var data = image.Encode(format, 95);
        return data.ToArray();
    }

    /// <summary>A picture of lifted hair above and a grey card below, in some light.</summary>
    private static byte[] Hair(double level, double red = 1, double blue = 1)
    {
        var (r, g, b) = LevelColours.Lifted(level);
        using var bitmap = new SKBitmap(200, 300);
        for (var y = 0; y < 300; y++)
        {
            for (var x = 0; x < 200; x++)
            {
                var (pr, pg, pb) = y < 150 ? (r * 0.6, g * 0.6, b * 0.6) : (0.18, 0.18, 0.18);
                bitmap.SetPixel(
                    x,
                    y,
                    new(LevelColours.Encode(pr * red), LevelColours.Encode(pg), LevelColours.Encode(pb * blue))
                );
            }
        }

        return Encoded(bitmap);
    }

    /// <summary>The same JPEG with an orientation, a place and a camera's name in it.</summary>
    private static byte[] WithExif(byte[] jpeg, byte orientation)
    {
        byte[] tiff =
        [
            .. "MM"u8,
            0,
            42,
            0,
            0,
            0,
            8, // first directory at 8
            0,
            2, // two entries
            1,
            0x0F,
            0,
            2,
            0,
            0,
            0,
            12,
            0,
            0,
            0,
            38, // maker, text at 38
            1,
            0x12,
            0,
            3,
            0,
            0,
            0,
            1,
            0,
            orientation,
            0,
            0, // orientation
            0,
            0,
            0,
            0, // no next
            .. "SecretCam 9\0"u8,
        ];
        byte[] app1 = [.. "Exif\0\0"u8, .. tiff];
        var length = app1.Length + 2;
        return [jpeg[0], jpeg[1], 0xFF, 0xE1, (byte)(length >> 8), (byte)length, .. app1, .. jpeg[2..]];
    }

    private static async Task<(int Status, JsonNode? Body)> SendAsync(
        HttpClient http,
        string visit,
        byte[] bytes,
        string type = "image/jpeg",
        string query = ""
    )
    {
        using var content = new ByteArrayContent(bytes);
        content.Headers.ContentType = new MediaTypeHeaderValue(type);
        using var answer = await http.PostAsync(
            new Uri($"/api/visits/{visit}/photographs{query}", UriKind.Relative),
            content
        );
        var text = await answer.Content.ReadAsStringAsync();
        return ((int)answer.StatusCode, text.Length == 0 ? null : JsonNode.Parse(text));
    }

    [Fact]
    public async Task A_photograph_is_kept_upright_without_metadata_once_and_taken_away_with_its_content()
    {
        using var server = new Server();
        var http = server.CreateClient();
        var visit = await http.NewVisitAsync("In the light");
        using var wide = new SKBitmap(60, 30);
        wide.Erase(SKColors.Gray);
        // As the sensor lay: red at its left, which is on top once the picture is turned.
        for (var y = 0; y < 30; y++)
        {
            for (var x = 0; x < 20; x++)
            {
                wide.SetPixel(x, y, SKColors.Red);
            }
        }

        var sent = WithExif(Encoded(wide), 6);
        Assert.Contains("SecretCam", Encoding.Latin1.GetString(sent), StringComparison.Ordinal);
        var (status, body) = await SendAsync(http, visit, sent, query: "?moment=rinsed");
        Assert.True(status == 201, body?.ToJsonString());
        Assert.Equal((30, 60), ((int)body!["width"]!, (int)body["height"]!));
        Assert.False((bool)body["mayBeShown"]!);
        Assert.Equal("rinsed", (string)body["moment"]!);
        var name = (string)body["name"]!;

        var kept = await http.GetByteArrayAsync($"/api/visits/{visit}/photographs/{name}");
        Assert.DoesNotContain("SecretCam", Encoding.Latin1.GetString(kept), StringComparison.Ordinal);
        Assert.DoesNotContain("Exif", Encoding.Latin1.GetString(kept), StringComparison.Ordinal);
        using (var upright = SKBitmap.Decode(kept))
        {
            Assert.True(upright.GetPixel(15, 5) is { Red: > 200, Green: < 80 });
            Assert.True(upright.GetPixel(15, 50) is { Red: < 160, Green: > 90 });
        }

        // The same once more is the same one; another visit's is its own to have.
        Assert.Equal(name, (string)(await SendAsync(http, visit, sent)).Body!["name"]!);
        Assert.Single((await http.ReadAsync($"/api/visits/{visit}/photographs")).AsArray());
        var other = await http.NewVisitAsync("Another");
        Assert.Equal(name, (string)(await SendAsync(http, other, sent)).Body!["name"]!);
        using (var foreign = await http.GetAsync($"/api/visits/{await http.NewVisitAsync("None")}/photographs/{name}"))
        {
            Assert.Equal(404, (int)foreign.StatusCode);
        }

        using var agreed = new StringContent("""{"mayBeShown":true}""", Encoding.UTF8, "application/json");
        using (
            var put = await http.PutAsync(
                new Uri($"/api/visits/{visit}/photographs/{name}/agreed", UriKind.Relative),
                agreed
            )
        )
        {
            Assert.Equal(204, (int)put.StatusCode);
        }

        Assert.True((bool)(await http.ReadAsync($"/api/visits/{visit}/photographs"))[0]!["mayBeShown"]!);
        Assert.False((bool)(await http.ReadAsync($"/api/visits/{other}/photographs"))[0]!["mayBeShown"]!);

        // Its content goes with the last who has it.
        foreach (var (of, left) in new[] { (visit, 1), (other, 0) })
        {
            using var gone = await http.DeleteAsync(new Uri($"/api/visits/{of}/photographs/{name}", UriKind.Relative));
            Assert.Equal(204, (int)gone.StatusCode);
            Assert.Equal(left, Directory.GetFiles(server.Data, "*.jpg", SearchOption.AllDirectories).Length);
        }
    }

    [Fact]
    public async Task A_photograph_says_from_where_it_was_taken_and_can_be_put_in_its_place_later()
    {
        using var server = new Server();
        var http = server.CreateClient();
        var visit = await http.NewVisitAsync("From behind");
        Assert.Null((await SendAsync(http, visit, Hair(7))).Body!["from"]);
        // The same picture again, with its place said, is no second one.
        var (status, placed) = await SendAsync(http, visit, Hair(7), query: "?moment=toned&from=back");
        Assert.Equal((201, "back", "toned"), (status, (string)placed!["from"]!, (string)placed["moment"]!));
        await SendAsync(http, visit, Hair(7), query: "?moment=before");
        var kept = (await http.ReadAsync($"/api/visits/{visit}/photographs")).AsArray();
        Assert.Equal(["back"], kept.Select(p => (string)p!["from"]!));
        Assert.Equal("toned", (string)kept[0]!["moment"]!);
        foreach (var from in new[] { "below", "2", "" })
        {
            var (refused, why) = await SendAsync(http, visit, Hair(7), query: $"?from={from}");
            Assert.Equal(400, refused);
            Assert.Contains("parting, left, right, back, tied", why!["errors"]!["from"]!.ToJsonString());
        }
    }

    [Fact]
    public async Task What_is_no_photograph_is_refused_with_a_word()
    {
        using var server = new Server();
        var http = server.CreateClient();
        var visit = await http.NewVisitAsync("Nothing");
        Assert.Equal(415, (await SendAsync(http, visit, [1, 2, 3], "text/plain")).Status);
        Assert.Equal(400, (await SendAsync(http, visit, "<svg onload='x'/>"u8.ToArray())).Status);
        Assert.Equal(400, (await SendAsync(http, visit, [])).Status);
        Assert.Equal(400, (await SendAsync(http, visit, Hair(7)[..900])).Status);
        Assert.Equal(400, (await SendAsync(http, visit, Hair(7), query: "?moment=later")).Status);
        Assert.Equal(413, (await SendAsync(http, visit, new byte[21 * 1024 * 1024])).Status);
        Assert.Equal(404, (await SendAsync(http, Guid.NewGuid().ToString(), Hair(7))).Status);
        Assert.Empty((await http.ReadAsync($"/api/visits/{visit}/photographs")).AsArray());
        Assert.False(Directory.Exists(Path.Combine(server.Data, "photographs")));

        // Larger than a table may be, a photograph still may.
        using var noise = new SKBitmap(2200, 2200);
        var random = new Random(3);
        var pixels = new byte[2200 * 2200 * 4];
        random.NextBytes(pixels);
        System.Runtime.InteropServices.Marshal.Copy(pixels, 0, noise.GetPixels(), pixels.Length);
        var large = Encoded(noise, SKEncodedImageFormat.Png);
        Assert.InRange(large.Length, 9 * 1024 * 1024, 20 * 1024 * 1024);
        Assert.Equal(201, (await SendAsync(http, visit, large, "image/png")).Status);
    }

    [Theory]
    [InlineData(5.5, 1, 1)]
    [InlineData(7, 1.2, 0.7)]
    [InlineData(8.5, 0.9, 1.15)]
    public async Task A_level_is_read_by_the_grey_card_and_kept_as_a_reading(double level, double red, double blue)
    {
        using var server = new Server();
        var http = server.CreateClient();
        var visit = await http.NewVisitAsync("By the card");
        var name = (string)(await SendAsync(http, visit, Hair(level, red, blue))).Body!["name"]!;
        var path = $"/api/visits/{visit}/photographs/{name}/level";
        var (status, read) = await http.PostAsync(
            path,
            """{"reference":"greyCard","hair":{"x":0.5,"y":0.25},"neutral":{"x":0.5,"y":0.8}}"""
        );
        Assert.True(status == 200, read?.ToJsonString());
        Assert.Equal(level, (double)read!["level"]!, 0.4);
        var (_, guessed) = await http.PostAsync(path, """{"hair":{"x":0.5,"y":0.25}}""");
        Assert.True((double)guessed!["spread"]! > (double)read["spread"]!);

        foreach (
            var wrong in new[]
            {
                """{"reference":"greyCard","hair":{"x":0.5,"y":0.25}}""",
                """{"hair":{"x":1.5,"y":0.25}}""",
                """{"hair":{"x":0.5,"y":0.25,"radius":3}}""",
                """{"reference":"moon","hair":{"x":0.5,"y":0.25}}""",
                "{}",
            }
        )
        {
            Assert.Equal(400, (await http.PostAsync(path, wrong)).Status);
        }

        // Kept as a reading with its spread; one of a photograph that isn't there is none.
        var facts = $"/api/visits/{visit}/review/facts";
        string Said(string fact) => $$"""{"id":"{{Guid.NewGuid()}}","fact":{{fact}}}""";
        await http.PostAsync(facts, Said("""{"kind":"state","wetness":"dry","washed":true,"light":"studio"}"""));
        string Reading(string of, double spread) =>
            Said(
                string.Create(
                    System.Globalization.CultureInfo.InvariantCulture,
                    $$"""
                    {"kind":"read","zone":"lowerBack","depth":"ends","level":{{(double)read["level"]!:0.00}},
                    "spread":{{spread:0.00}},"photograph":"{{of}}"}
                    """
                )
            );
        Assert.Equal(400, (await http.PostAsync(facts, Reading(new string('a', 64), 0.3))).Status);
        Assert.Equal(400, (await http.PostAsync(facts, Reading(name, 9))).Status);
        var (kept, view) = await http.PostAsync(facts, Reading(name, (double)read["spread"]!));
        Assert.True(kept == 200, view?.ToJsonString());
        var ends = view!["zones"]!.AsArray().Single(z => (string)z!["zone"]! == "lowerBack")!["depths"]![2]!;
        Assert.Equal(level, (double)ends["cameOut"]!, 0.4);
        Assert.Equal((double)read["spread"]!, (double)ends["spread"]!, 0.01);
    }
}
