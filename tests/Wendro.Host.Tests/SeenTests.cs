using System.Buffers.Binary;
using System.Net;
using System.Net.Http.Json;
using System.Text.Json.Nodes;
using Wendro.Colour;

namespace Wendro.Host.Tests;

public sealed class SeenTests(Server server) : IClassFixture<Server>
{
    private readonly HttpClient http = server.CreateClient();

    [Fact]
    public async Task Seen_bytes_add_up_and_every_strand_has_its_levels()
    {
        var visit = await http.NewVisitAsync();
        var seen = await http.GetByteArrayAsync(
            new Uri($"/api/visits/{visit}/seen?wear=tiedHigh&angle=60", UriKind.Relative)
        );
        Assert.Equal("WSEN"u8.ToArray(), seen[..4]);
        Assert.Equal(1, BinaryPrimitives.ReadUInt16LittleEndian(seen.AsSpan(4)));
        var pixels =
            BinaryPrimitives.ReadUInt16LittleEndian(seen.AsSpan(6))
            * BinaryPrimitives.ReadUInt16LittleEndian(seen.AsSpan(8));
        var strands = (int)BinaryPrimitives.ReadUInt32LittleEndian(seen.AsSpan(16));
        var samples = (int)BinaryPrimitives.ReadUInt32LittleEndian(seen.AsSpan(20));
        Assert.Equal(60, BinaryPrimitives.ReadUInt16LittleEndian(seen.AsSpan(12)));
        Assert.Equal(24 + pixels * 2 + samples * 5, seen.Length);
        Assert.Equal(samples, seen.AsSpan(24, pixels).ToArray().Sum(c => c));
        for (var s = 0; s < samples; s++)
        {
            Assert.True(BinaryPrimitives.ReadUInt16LittleEndian(seen.AsSpan(24 + pixels * 2 + s * 2)) < strands);
        }

        Assert.Equal(
            strands * 64,
            (await http.GetByteArrayAsync(new Uri($"/api/visits/{visit}/plan/levels", UriKind.Relative))).Length
        );
        Assert.Equal(
            strands * 2,
            (await http.GetByteArrayAsync(new Uri($"/api/visits/{visit}/plan/strands", UriKind.Relative))).Length
        );
    }

    [Fact]
    public async Task Paint_changes_levels_and_never_what_is_seen()
    {
        var visit = await http.NewVisitAsync();
        var path = new Uri($"/api/visits/{visit}/seen?angle=0", UriKind.Relative);
        var levels = new Uri($"/api/visits/{visit}/plan/levels", UriKind.Relative);
        var (seen, before) = (await http.GetByteArrayAsync(path), await http.GetByteArrayAsync(levels));
        await http.EditAsync(
            visit,
            1,
            """{"kind":"paintZone","zone":"topLeft","paint":{"shape":"full","startCm":4}}"""
        );
        Assert.Equal(seen, await http.GetByteArrayAsync(path));
        Assert.NotEqual(before, await http.GetByteArrayAsync(levels));
        Assert.Equal(
            before,
            await http.GetByteArrayAsync(new Uri($"/api/visits/{visit}/plan/levels?moment=before", UriKind.Relative))
        );
    }

    [Fact]
    public async Task Lifted_hair_travels_raw_beside_its_level_and_a_deposit_with_its_reflect()
    {
        var visit = await http.NewVisitAsync();
        async Task<byte[]> Bytes(string path) =>
            await http.GetByteArrayAsync(new Uri($"/api/visits/{visit}/plan/{path}", UriKind.Relative));
        await http.EditAsync(
            visit,
            1,
            """{"kind":"paintZone","zone":"topLeft","paint":{"shape":"full","startCm":4}}"""
        );
        var (hair, levels) = (await Bytes("hair"), await Bytes("levels"));
        Assert.Equal(levels, hair.Where((_, i) => i % 2 == 0));
        var tints = hair.Where((_, i) => i % 2 == 1).ToArray();
        Assert.Contains(Tint.Lifted(1).Index, tints);
        Assert.All(tints, t => Assert.Null(new Tint(t).Meaning.Reflect));

        var formula = """{"id":"A","lightener":"clay","volume":10,"minutes":20,"depositLevel":4,"reflect":"copper"}""";
        var (_, change) = await http.EditAsync(visit, 2, $$"""{"kind":"setFormula","formula":{{formula}}}""");
        var sent = Convert.FromBase64String((string)change!["strands"]!["tints"]!);
        Assert.Equal(sent.Length, Convert.FromBase64String((string)change!["strands"]!["levels"]!).Length);
        Assert.Contains(sent, t => new Tint(t).Meaning.Reflect == Reflect.Copper);
        Assert.All(await Bytes("hair?moment=before"), b => Assert.True(b is 0 or 113));
        Assert.Equal("copper", (string?)change!["plan"]!["formulas"]![0]!["reflect"]);
    }

    [Fact]
    public async Task Each_step_of_a_visit_can_be_looked_at_and_is_on_the_clock()
    {
        var visit = await http.NewVisitAsync();
        async Task<byte[]> At(string moment) =>
            await http.GetByteArrayAsync(new Uri($"/api/visits/{visit}/plan/hair?moment={moment}", UriKind.Relative));
        await http.EditAsync(
            visit,
            1,
            """{"kind":"paintZone","zone":"topLeft","paint":{"shape":"full","startCm":8}}"""
        );
        var (_, change) = await http.EditAsync(
            visit,
            2,
            """
            {"kind":"together","edits":[
              {"kind":"setFormula","formula":{"id":"B","lightener":"clay","volume":10,"minutes":25,"depositLevel":3}},
              {"kind":"addStep","step":{"kind":"base","area":{"toCm":4},"formula":"B"},"at":0}]}
            """
        );
        Assert.Equal("base", (string?)change!["plan"]!["steps"]![0]!["kind"]);
        Assert.Equal("Added a step: base, root to 4 cm", (string?)change["undoes"] ?? string.Empty);
        var (before, based, rinsed) = (await At("before"), await At("s1"), await At("rinsed"));
        Assert.NotEqual(before, based);
        Assert.NotEqual(based, rinsed);
        Assert.Equal(based, await At("s2m0"));
        Assert.Equal(based, await At("0"));
        Assert.Equal(rinsed, await At("s2"));
        foreach (var wrong in new[] { "s", "s0", "s9", "s1m", "s1m-2", "s1m2m3", "s+1" })
        {
            var address = new Uri(
                $"/api/visits/{visit}/plan/hair?moment={Uri.EscapeDataString(wrong)}",
                UriKind.Relative
            );
            Assert.Equal(HttpStatusCode.BadRequest, (await http.GetAsync(address)).StatusCode);
        }

        var mix = (await http.GetFromJsonAsync<JsonNode>(new Uri($"/api/visits/{visit}/mix", UriKind.Relative)))!;
        var steps = mix["steps"]!.AsArray();
        Assert.Equal(["base", "lighten"], steps.Select(s => (string)s!["kind"]!));
        Assert.True((double)steps[1]!["fromMinute"]! >= (double)steps[0]!["doneAtMinute"]! + 20);
        Assert.True((double)steps[0]!["grams"]! > 20);
        Assert.Equal("B", (string?)mix["bowls"]![0]!["formula"]);
    }

    [Fact]
    public async Task Tints_come_as_one_table_raw_or_as_goal()
    {
        async Task<byte[]> Tints(string query) =>
            await http.GetByteArrayAsync(new Uri($"/api/colours/tints{query}", UriKind.Relative));
        var raw = await Tints(string.Empty);
        Assert.Equal(Tint.Count * 256 * 3 * 2, raw.Length);
        Assert.NotEqual(raw, await Tints("?tone=0"));
        Assert.NotEqual(await Tints("?tone=-1"), await Tints("?tone=1"));
        Assert.Equal(
            HttpStatusCode.BadRequest,
            (await http.GetAsync(new Uri("/api/colours/tints?tone=2", UriKind.Relative))).StatusCode
        );
    }

    [Theory]
    [InlineData("seen?wear=bun", "wear")]
    [InlineData("seen?angle=NaN", "angle")]
    [InlineData("plan/levels?moment=-5", "moment")]
    [InlineData("plan/levels?moment=NaN", "moment")]
    [InlineData("plan/picture?width=9000", "width")]
    public async Task Bad_queries_answer_400_by_field(string query, string field)
    {
        var visit = await http.NewVisitAsync();
        var answer = await http.GetAsync(new Uri($"/api/visits/{visit}/{query}", UriKind.Relative));
        Assert.Equal(400, (int)answer.StatusCode);
        Assert.Contains($"\"{field}\"", await answer.Content.ReadAsStringAsync(), StringComparison.Ordinal);
    }

    [Fact]
    public async Task A_picture_is_a_png()
    {
        var visit = await http.NewVisitAsync();
        var png = await http.GetByteArrayAsync(
            new Uri($"/api/visits/{visit}/plan/picture?angle=30&width=100", UriKind.Relative)
        );
        Assert.Equal(new byte[] { 0x89, 0x50, 0x4E, 0x47 }, png[..4]);
    }

    [Fact]
    public async Task Long_answers_are_compressed()
    {
        var visit = await http.NewVisitAsync();
        using var request = new HttpRequestMessage(HttpMethod.Get, $"/api/visits/{visit}/plan/levels");
        request.Headers.AcceptEncoding.ParseAdd("br");
        var answer = await http.SendAsync(request);
        Assert.Contains("br", answer.Content.Headers.ContentEncoding);
        Assert.True((await answer.Content.ReadAsByteArrayAsync()).Length < 100_000);
    }

    [Theory]
    [InlineData("closer=4", "closer")]
    [InlineData("closer=-1", "closer")]
    [InlineData("closer=two", "closer")]
    [InlineData("closer=2&across=25", "across")]
    [InlineData("closer=2&down=1.5", "down")]
    [InlineData("tilt=-31", "tilt")]
    [InlineData("pinned=ear", "pinned")]
    [InlineData("pinned=3", "pinned")]
    [InlineData("open=upperBack", "open")]
    [InlineData("open=upperBack/x/0", "open")]
    [InlineData("wear=damp", "wear")]
    public async Task A_look_that_cannot_be_taken_is_refused_by_field(string look, string field)
    {
        var visit = await http.NewVisitAsync();
        using var answer = await http.GetAsync(new Uri($"/api/visits/{visit}/seen?{look}", UriKind.Relative));
        Assert.Equal(HttpStatusCode.BadRequest, answer.StatusCode);
        var errors = (await answer.Content.ReadFromJsonAsync<JsonNode>())!["errors"]!.AsObject();
        Assert.Equal(field, Assert.Single(errors).Key);
    }

    [Theory]
    [InlineData("closer=3&across=0&down=24")]
    [InlineData("closer=1")]
    [InlineData("tilt=-25")]
    [InlineData("wear=wet")]
    [InlineData("pinned=crown,topLeft,topRight")]
    [InlineData("open=lowerBack/1/0")]
    public async Task Every_look_shows_other_bytes_of_the_same_strands(string look)
    {
        var visit = await http.NewVisitAsync();
        Task<byte[]> Seen(string how) =>
            http.GetByteArrayAsync(new Uri($"/api/visits/{visit}/seen?angle=180{how}", UriKind.Relative));
        var (plain, other) = (await Seen(string.Empty), await Seen($"&{look}"));
        Assert.Equal(plain[16..20], other[16..20]);
        Assert.NotEqual(plain, other);
        Assert.Equal(other, await Seen($"&{look}"));
    }

    [Fact]
    public async Task Pinned_up_follows_the_sections_and_changes_no_plan()
    {
        var visit = await http.NewVisitAsync();
        var look = new Uri($"/api/visits/{visit}/seen?angle=180&open=upperBack/0/0", UriKind.Relative);
        var before = await http.GetByteArrayAsync(look);
        Assert.Equal(1, (int)(await http.ReadAsync($"/api/visits/{visit}/plan"))["revision"]!);
        await http.EditAsync(
            visit,
            1,
            """{"kind":"cutZone","zone":"upperBack","parting":"horizontal","thicknessMm":38,"widthCm":6,"leaveOutMm":0,"bricklay":false}"""
        );
        Assert.NotEqual(before, await http.GetByteArrayAsync(look));
    }

    [Fact]
    public async Task A_picture_is_drawn_at_twice_the_size_and_as_she_wants_it()
    {
        var visit = await http.NewVisitAsync();
        async Task<byte[]> Picture(string how) =>
            await http.GetByteArrayAsync(new Uri($"/api/visits/{visit}/plan/picture?{how}", UriKind.Relative));
        var twice = await Picture("twice=true");
        Assert.Equal(1040, BinaryPrimitives.ReadInt32BigEndian(twice.AsSpan(16)));
        Assert.Equal(1280, BinaryPrimitives.ReadInt32BigEndian(twice.AsSpan(20)));
        Assert.NotEqual(await Picture("width=200"), await Picture("width=200&wanted=true"));
    }

    [Fact]
    public async Task Wet_is_no_way_she_wears_it()
    {
        var visit = await http.NewVisitAsync();
        var (status, _) = await http.EditAsync(visit, 1, """{"kind":"setWears","wears":["down","wet"]}""");
        Assert.Equal(400, status);
    }
}
