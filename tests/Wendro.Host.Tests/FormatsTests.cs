using System.Buffers.Binary;
using System.Text;
using System.Text.Json.Nodes;
using Wendro.Formats;
using Wendro.Hair;
using Wendro.Plans;

namespace Wendro.Host.Tests;

public sealed class FormatsTests
{
    private static readonly string Demo = Path.Combine(Root(), "demo");

    public static TheoryData<string> DemoFiles =>
        [.. Directory.EnumerateFiles(Demo, "*.json").Select(f => Path.GetFileName(f)!).Order()];

    [Theory]
    [MemberData(nameof(DemoFiles))]
    public void A_demo_file_is_read_and_written_again_equal(string name)
    {
        var bytes = File.ReadAllBytes(Path.Combine(Demo, name));
        var file = VisitFile.Read(bytes);
        Assert.True(JsonNode.DeepEquals(JsonNode.Parse(bytes), JsonNode.Parse(file.Write())));
        Assert.NotEmpty(file.Client);
        Assert.True(file.Plan.Zones.Values.Sum(z => z.Paint.Count) > 20);
    }

    [Fact]
    public void A_plan_says_what_it_is_and_is_readable_by_people()
    {
        var text = Encoding.UTF8.GetString(PlanFile.Write(HairProfile.Usual, Plan.Fresh()));
        Assert.Contains("\"format\": \"wendro-plan\"", text, StringComparison.Ordinal);
        Assert.Contains("\n", text, StringComparison.Ordinal);
    }

    [Theory]
    [InlineData("version", "5", "version 5")]
    [InlineData("version", "0", "does not say its version")]
    [InlineData("version", "\"one\"", "does not say its version")]
    [InlineData("format", "\"other\"", "not a wendro-plan")]
    [InlineData("colour", "\"red\"", "colour")]
    public void A_file_with_one_thing_wrong_is_refused_with_a_word_about_it(string field, string value, string word)
    {
        var node = JsonNode.Parse(PlanFile.Write(HairProfile.Usual, Plan.Fresh()))!;
        node[field] = JsonNode.Parse(value);
        var refused = Assert.Throws<FileRefusedException>(() =>
            PlanFile.Read(Encoding.UTF8.GetBytes(node.ToJsonString()))
        );
        Assert.Contains(word, refused.Message, StringComparison.OrdinalIgnoreCase);
    }

    [Theory]
    [InlineData("")]
    [InlineData("[]")]
    [InlineData("null")]
    [InlineData("{\"format\":\"wendro-plan\"")]
    [InlineData("\u0000\u0001")]
    public void What_is_no_file_at_all_is_refused(string text) =>
        Assert.Throws<FileRefusedException>(() => PlanFile.Read(Encoding.UTF8.GetBytes(text)));

    [Fact]
    public void A_missing_zone_is_refused()
    {
        var node = JsonNode.Parse(PlanFile.Write(HairProfile.Usual, Plan.Fresh()))!;
        node["plan"]!.AsObject().Remove("zones");
        Assert.Throws<FileRefusedException>(() => PlanFile.Read(Encoding.UTF8.GetBytes(node.ToJsonString())));
    }

    [Theory]
    [InlineData(520)]
    [InlineData(130)]
    public void A_picture_has_the_width_asked_for(int width)
    {
        var png = PictureFile.Png(new byte[520 * 640 * 3], width);
        Assert.Equal(width, BinaryPrimitives.ReadInt32BigEndian(png.AsSpan(16)));
        Assert.Equal(width * 640 / 520, BinaryPrimitives.ReadInt32BigEndian(png.AsSpan(20)));
    }

    internal static string Root()
    {
        var at = new DirectoryInfo(AppContext.BaseDirectory);
        while (!File.Exists(Path.Combine(at!.FullName, "Wendro.slnx")))
        {
            at = at.Parent;
        }

        return at.FullName;
    }
}
