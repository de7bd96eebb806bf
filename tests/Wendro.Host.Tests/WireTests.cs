using System.Text.Json;
using System.Text.Json.Nodes;
using Wendro.Blend;
using Wendro.Colour;
using Wendro.Formats;
using Wendro.Lift;
using Wendro.Paint;
using Wendro.Plans;
using Wendro.Section;
using Wendro.Units;

namespace Wendro.Host.Tests;

/// <summary>Core's types say no wrong state; what is sent and stored stays as flat as it always was.</summary>
public sealed class WireTests
{
    public static TheoryData<ShapeKind> Shapes => [.. Enum.GetValues<ShapeKind>()];

    private static JsonNode Sent<T>(T value) => JsonSerializer.SerializeToNode(value, WendroJson.Options)!;

    private static T Read<T>(string json) => JsonSerializer.Deserialize<T>(json, WendroJson.Options)!;

    /// <summary>What a wrong value is called, and where.</summary>
    private static (string Path, string Message) Refused<T>(string json)
    {
        var refused = Assert.ThrowsAny<JsonException>(() => Read<T>(json));
        return (refused.Path + (refused as UnreadableException)?.Within, refused.Message);
    }

    [Theory]
    [MemberData(nameof(Shapes))]
    public void Paint_of_every_shape_comes_back_as_it_was(ShapeKind kind)
    {
        var usual = Shape.Usual(kind, 6.5);
        var shape = usual.Counting(3) with
        {
            MiddleU = 0.3,
            PeakCm = 1.5,
            Stroked = usual.Stroked is null ? null : new(0.4, 12),
        };
        var paint = new PanelPaint(
            shape,
            4,
            3,
            5,
            9,
            Face.Both,
            Covering.Film,
            1.2,
            0.3,
            -2,
            20,
            Pressure.Firm,
            Tension.Slack,
            Teasing.Strong,
            PanelPaint.Usual with
            {
                Formula = FormulaId.C,
            }
        )
        {
            Formula = FormulaId.B,
        };
        var sent = Sent(paint);
        Assert.Equal(paint, Read<PanelPaint>(sent.ToJsonString()));
        Assert.Equal(JsonNamingPolicy.CamelCase.ConvertName(kind.ToString()), (string)sent["shape"]!);
        Assert.Equal("C", (string)sent["next"]!["formula"]!);
        foreach (var flat in new[] { "dropCm", "flip", "centreU", "centreCm", "strokes", "strokeShare", "mergeCm" })
        {
            Assert.NotNull(sent[flat]);
        }
    }

    [Fact]
    public void A_slant_keeps_which_way_it_runs_and_no_other_shape_knows_of_it()
    {
        Assert.Equal(new Shape.Slant(5, true), Read<PanelPaint>("""{"shape":"slant","dropCm":5,"flip":true}""").Shape);
        Assert.Equal(new Shape.V(5), Read<PanelPaint>("""{"shape":"v","dropCm":5,"flip":true}""").Shape);
        Assert.Equal(PanelPaint.Usual, Read<PanelPaint>("{}"));
    }

    [Theory]
    [InlineData("""{"shape":"full","dropCm":41}""", "$.dropCm")]
    [InlineData("""{"shape":"v","strokes":44}""", "$.strokes")]
    [InlineData("""{"next":{"shape":"tip","centreU":2}}""", "$.next.centreU")]
    public void From_outside_a_measure_that_can_not_be_is_refused_even_where_it_means_nothing(string json, string path)
    {
        var refused = Assert.Throws<UnreadableException>(() =>
            JsonSerializer.Deserialize<PanelPaint>(json, WendroJson.Received)
        );
        Assert.Equal(path, refused.Path + refused.Within);
        Assert.NotNull(Read<PanelPaint>(json));
    }

    [Fact]
    public void Measures_a_shape_is_not_made_of_are_left_away()
    {
        var full = Read<PanelPaint>("""{"shape":"full","dropCm":12,"strokes":5,"mergeCm":9,"centreCm":3}""");
        Assert.Equal(new Shape.Full(), full.Shape);
        Assert.Equal((0, 1), ((double)Sent(full)["dropCm"]!, (int)Sent(full)["strokes"]!));
    }

    [Fact]
    public void A_lightener_and_a_deposit_come_back_as_they_were()
    {
        var light = Formula
            .Lightening(FormulaId.D, Lightener.Powder, 25, 35)
            .Lightened(l => l with { Product = "Ebb", Second = new(Lightener.Clay, 0.4), Additive = new(0.05, 0.03) });
        var deposit = Formula.Colouring(FormulaId.E, 6, 10, 20, new([new("Six", new(6), Reflect.Ash, 2)]));
        foreach (var formula in new[] { light, deposit })
        {
            Assert.Equal(formula, Read<Formula>(Sent(formula).ToJsonString()));
        }

        Assert.Null(Sent(light)["depositLevel"]);
        Assert.Equal(6, (double)Sent(deposit)["depositLevel"]!);

        // Clay has always been written there; it says nothing and comes back as nothing.
        Assert.Equal("clay", (string)Sent(deposit)["lightener"]!);
        Assert.Null(Read<Formula>(Sent(deposit).ToJsonString()).Light);
    }

    [Theory]
    [InlineData("""{"id":"I","lightener":"clay","volume":20,"minutes":30}""", "$.id", "a letter, A to H")]
    [InlineData("""{"id":"A","lightener":"clay","volume":41,"minutes":30}""", "$.volume", "Between 5 and 40 vol.")]
    [InlineData("""{"id":"A","lightener":"clay","volume":20,"minutes":-1}""", "$.minutes", "Between 0 and 600 min.")]
    [InlineData(
        """{"id":"A","lightener":"clay","volume":20,"minutes":30,"depositLevel":0}""",
        "$.depositLevel",
        "Between 1 and 10."
    )]
    [InlineData(
        """{"id":"A","lightener":"clay","volume":20,"minutes":30,"shades":{"shades":[]}}""",
        "$.shades",
        "belong to a deposit"
    )]
    public void What_a_formula_can_not_be_is_said_at_its_place(string json, string path, string words)
    {
        var (at, message) = Refused<Formula>(json);
        Assert.Equal(path, at);
        Assert.Contains(words, message, StringComparison.Ordinal);

        // Deep within something else the way there is told in full.
        Assert.Equal($"$.formula{path[1..]}", Refused<PlanEdit>($$"""{"kind":"setFormula","formula":{{json}}}""").Path);
    }

    [Theory]
    [InlineData("""{"formula":"Z"}""", "$.formula")]
    [InlineData("""{"next":{"next":{"formula":"Z"}}}""", "$.next.next.formula")]
    [InlineData("""{"startCm":"low"}""", "$.startCm")]
    [InlineData("""{"shape":"heart"}""", "$.shape")]
    public void What_paint_can_not_be_is_said_at_its_place(string json, string path)
    {
        Assert.Equal(path, Refused<PanelPaint>(json).Path);
        Assert.Equal(
            $"$.paint{path[1..]}",
            Refused<PlanEdit>($$"""{"kind":"addCoat","panels":["crown/0/0"],"paint":{{json}}}""").Path
        );
    }

    [Fact]
    public void Panels_are_named_by_words_as_values_and_as_keys()
    {
        var key = PanelKey.Of("sideLeft/2/1");
        Assert.Equal("sideLeft/2/1", (string)Sent(key)!);
        Assert.Equal(key, Assert.Single(Read<Dictionary<PanelKey, int>>("""{"sideLeft/2/1":1}""")).Key);
        var (path, message) = Refused<PlanEdit>("""{"kind":"clearPanels","panels":["crown/0/0","crown/x/0"]}""");
        Assert.Equal("$.panels[1]", path);
        Assert.Equal(PanelKey.Called, message);
        Assert.ThrowsAny<JsonException>(() => Read<PanelKey>("3"));
    }

    [Fact]
    public void Kinds_of_findings_are_written_as_they_always_were()
    {
        Assert.Equal("hardLine", (string)Sent(BlendFault.HardLine)!);
        foreach (var kind in FindingKinds.All)
        {
            Assert.Same(kind, Read<FindingKind>(Sent(kind).ToJsonString()));
        }

        Assert.Equal(FindingKinds.All.Count, FindingKinds.All.Select(k => k.Order).Distinct().Count());
        Assert.ThrowsAny<JsonException>(() => Read<FindingKind>("\"noSuchThing\""));
        Assert.True(FindingKinds.KeepsSafe("PastLeaflet:A") && FindingKinds.KeepsSafe("TestsMissing"));
        Assert.False(FindingKinds.KeepsSafe("HardLine:Crown") || FindingKinds.KeepsSafe("PastLeafletButNot"));
    }
}
