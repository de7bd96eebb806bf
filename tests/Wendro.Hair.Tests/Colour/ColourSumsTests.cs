using CsCheck;
using Wendro.Colour;
using Wendro.Hair;

namespace Wendro.Tests.Colour;

/// <summary>The sums of colour, held against sums made another way.</summary>
public sealed class ColourSumsTests
{
    /// <summary>CIE L*, a*, b* of linear sRGB by the matrix from red, green and blue to XYZ.</summary>
    private static (double L, double Chroma, double Hue) LabOf((double R, double G, double B) c)
    {
        var x = (0.4124564 * c.R + 0.3575761 * c.G + 0.1804375 * c.B) / 0.95047;
        var y = 0.2126729 * c.R + 0.7151522 * c.G + 0.0721750 * c.B;
        var z = (0.0193339 * c.R + 0.1191920 * c.G + 0.9503041 * c.B) / 1.08883;
        static double F(double t) => t > 216.0 / 24389 ? Math.Cbrt(t) : (24389.0 / 27 * t + 16) / 116;
        var (l, a, b) = (116 * F(y) - 16, 500 * (F(x) - F(y)), 200 * (F(y) - F(z)));
        return (l, Math.Sqrt(a * a + b * b), Math.Atan2(b, a) * 180 / Math.PI);
    }

    private static void Is((double R, double G, double B) colour, double lightness, double chroma, double hue)
    {
        var lab = LabOf(colour);
        Assert.Equal(lightness, lab.L, 0.01);
        Assert.Equal(chroma, lab.Chroma, 0.01);
        Assert.Equal(hue, lab.Hue, 0.1);
    }

    [Fact]
    public void White_hair_is_light_and_all_but_without_colour_and_among_dark_hair_dimmer()
    {
        Is(LevelColours.WhiteHair, 72, 4, 85);
        Is(LevelColours.WhiteAmong(1), 72, 4, 85);
        Is(LevelColours.WhiteAmong(0), 30 + 42 * 0.25, 8 - 4 * 0.25, 85);
        Is(LevelColours.WhiteAmong(0.5), 30 + 42 * 0.625, 8 - 4 * 0.625, 85);
        Assert.Equal(LevelColours.WhiteAmong(0), LevelColours.WhiteAmong(-1));
    }

    [Theory]
    [InlineData(1, 0, 8, 3, 40)]
    [InlineData(8, 0, 60, 26.5, 70)]
    [InlineData(8, 1, 60, 26.5 * 1.45, 61)]
    [InlineData(8, -1, 60, 26.5 * 0.55, 79)]
    [InlineData(9.5, 0, 74.5, 22, 80)]
    public void Natural_hair_has_its_tabled_lightness_chroma_and_hue_and_a_goal_turns_them(
        double level,
        double tone,
        double lightness,
        double chroma,
        double hue
    ) => Is(LevelColours.Linear(level, tone), lightness, chroma, hue);

    [Theory]
    [InlineData(8, 1)]
    [InlineData(54, 7)]
    [InlineData(59.5, 7.5)]
    [InlineData(84, 10)]
    [InlineData(90, 10)]
    [InlineData(2, 1)]
    public void Lifted_hair_is_told_by_how_light_it_is(double lightness, double level) =>
        Assert.Equal(level, LevelColours.LevelOfLifted(lightness), 1e-9);

    [Fact]
    public void Shades_run_by_squares_up_to_the_brightest_and_shadows_are_warmer()
    {
        var (red, green, blue) = LevelColours.ShadeCurves;
        Assert.Equal(128, green.Length);
        Assert.Equal(0, green[0]);
        Assert.Equal(1.15 * 1.7, green[^1], 1e-9);
        foreach (var s in new[] { 10, 64, 127 })
        {
            var shade = s / 127.0 * (s / 127.0) * 1.7;
            Assert.Equal(1.15 * Math.Pow(shade, 0.9), red[s], 1e-9);
            Assert.Equal(1.15 * shade, green[s], 1e-9);
            Assert.Equal(1.15 * Math.Pow(shade, 1.1), blue[s], 1e-9);
        }
    }

    [Theory]
    [InlineData(0.0031308, 10)]
    [InlineData(0.001, 3)]
    [InlineData(0.0005, 2)]
    [InlineData(0.2158605, 128)]
    [InlineData(0.5, 188)]
    [InlineData(2, 255)]
    [InlineData(-1, 0)]
    public void Light_is_encoded_as_screens_want_it(double linear, byte encoded) =>
        Assert.Equal(encoded, LevelColours.Encode(linear));

    [Theory]
    [InlineData(1, 100)]
    [InlineData(0.18418652, 50)]
    [InlineData(0.005, 4.5165)]
    [InlineData(0.0011, 0.9936)]
    public void Lightness_of_grey_is_the_eyes(double grey, double lightness) =>
        Assert.Equal(lightness, LevelColours.LightnessOf(grey, grey, grey), 1e-3);

    [Fact]
    public void A_hue_counts_from_nothing_to_a_whole_turn_and_along_is_its_projection()
    {
        Gen.Select(Gen.Double[0, 1], Gen.Double[0, 1], Gen.Double[0, 1])
            .Sample((r, g, b) => Assert.InRange(Oklch.Of(r, g, b).Hue, 0, 360));
        Assert.Equal(264.05, Oklch.Of(0, 0, 1).Hue, 0.1);
        Assert.Equal(328.36, Oklch.Of(1, 0, 1).Hue, 0.1);
        var c = new Oklch(0.7, 0.2, 80);
        Assert.Equal(0.2, c.Along(80), 1e-12);
        Assert.Equal(0.1, c.Along(140), 1e-9);
        Assert.Equal(0, c.Along(170), 1e-9);
        Assert.Equal(-0.2, c.Along(260), 1e-9);
    }

    [Fact]
    public void Hair_warmer_than_its_level_has_the_undertones_hue_and_its_own_light()
    {
        // Level 9 that shows the warmth of a 7: as light as a 9, as warm as a 7.
        var nothing = new ToneCase(9, 7, 1, Reflect.Natural, Porosity.Normal, Dryness.Damp, 0);
        var shown = Toner.Of(nothing).Colour;
        var (r9, g9, b9) = LevelColours.Lifted(9);
        var (r7, g7, b7) = LevelColours.Lifted(7);
        var scale = (0.2126 * r9 + 0.7152 * g9 + 0.0722 * b9) / (0.2126 * r7 + 0.7152 * g7 + 0.0722 * b7);
        var expected = Oklch.Of(Math.Min(1, r7 * scale), g7 * scale, b7 * scale);
        Assert.Equal(expected.Lightness, shown.Lightness, 1e-9);
        Assert.Equal(expected.Chroma, shown.Chroma, 1e-9);
        Assert.Equal(expected.Hue, shown.Hue, 1e-6);
        Assert.True(shown.Chroma > Toner.Of(nothing with { Undertone = null }).Colour.Chroma + 0.03);
    }

    [Fact]
    public void Hair_as_warm_as_its_level_is_the_same_said_or_not()
    {
        foreach (var level in new[] { 3.0, 6, 9 })
        {
            var of = new ToneCase(level, null, 8, Reflect.Ash, Porosity.Normal, Dryness.Damp, 15);
            Assert.Equal(Toner.Of(of).Colour.Hue, Toner.Of(of with { Undertone = level }).Colour.Hue, 1e-6);
        }
    }

    [Fact]
    public void On_hair_darker_than_itself_a_toner_does_less_and_a_level_darker_nothing()
    {
        Assert.Equal(1, Toner.OnHair(8, 8));
        Assert.Equal(1, Toner.OnHair(10, 8));
        Assert.Equal(0.4, Toner.OnHair(7.4, 8), 1e-12);
        Assert.Equal(0, Toner.OnHair(7, 8), 1e-12);
        Assert.Equal(0, Toner.OnHair(3, 8));
    }

    [Fact]
    public void Colours_of_one_bowl_add_up_and_take_a_power_of_ten_of_the_light()
    {
        var one = Absorbance.Of(Reflect.Ash, 0.5);
        Assert.Equal(one + one, one * 2);
        Assert.Equal(Absorbance.Of(Reflect.Ash, 1.25).Green, (one * 2.5).Green, 1e-12);
        var (r, g, b) = new Absorbance(1, 2, 0).Of((0.5, 0.5, 0.5));
        Assert.Equal((0.05, 0.005, 0.5), (Math.Round(r, 9), Math.Round(g, 9), b));
        Assert.Equal(0.2126 + 2 * 0.7152 + 3 * 0.0722, new Absorbance(1, 2, 3).Darkens, 1e-12);
    }

    [Fact]
    public void What_is_as_goal_is_made_once_and_what_a_goal_leaves_is_shared_with_raw()
    {
        var goal = Palette.AsToned(0.5);
        Assert.Same(goal.Even(Tint.Lifted(1)), goal.Even(Tint.Lifted(1)));
        var coloured = Tint.Coloured(1, Absorbance.Of(Reflect.Copper, 1));
        Assert.Same(Palette.Raw.Even(coloured), goal.Even(coloured));
        Assert.Same(Palette.Raw.Even(Tint.White), goal.Even(Tint.White));
        Assert.NotEqual(Palette.Raw.Even(Tint.Lifted(1)), goal.Even(Tint.Lifted(1)));
        Assert.Equal(Palette.Raw.Even(Tint.Natural), goal.Even(Tint.Natural));
    }

    [Fact]
    public void Steps_of_white_and_of_strength_lie_where_they_are_told()
    {
        Assert.Equal(Tint.White, Tint.Mixed(1));
        Assert.Equal(Tint.White, Tint.Mixed(0.95));
        Assert.Equal(0.5, Tint.Mixed(0.5).Meaning.WhiteShare);
        Assert.Equal(0, Tint.Mixed(-1).Meaning.WhiteShare);
        foreach (var step in Enumerable.Range(0, 8))
        {
            Assert.Equal(step / 8.0, Tint.Mixed(step / 8.0).Meaning.WhiteShare, 1e-12);
        }

        // Between two strengths of one reflect the middle is their ratio's.
        var strengths = Enumerable
            .Range(1, 400)
            .Select(i => i / 100.0)
            .Select(s => (Given: s, Told: Tint.Coloured(1, Absorbance.Of(Reflect.Violet, s)).Meaning.Strength))
            .Where(p => p.Told > 0)
            .ToArray();
        var told = strengths.Select(p => p.Told).Distinct().Order().ToArray();
        Assert.True(told.Length > 2);
        Each.Of(strengths, p => Assert.Equal(told.MinBy(t => Math.Abs(Math.Log(t / p.Given))), p.Told, 1e-9));
    }

    public static TheoryData<double, string> Words =>
        new()
        {
            { 340, "rose" },
            { 339.9, "violet" },
            { 19.9, "rose" },
            { 20, "red" },
            { 45, "copper" },
            { 60, "orange" },
            { 75, "gold" },
            { 88, "yellow" },
            { 110, "green" },
            { 165, "blue" },
            { 265, "violet" },
        };

    [Theory]
    [MemberData(nameof(Words))]
    public void What_is_left_is_said_by_its_hue(double hue, string word) =>
        Assert.Equal(word, Toner.WordOf(new Oklch(0.7, 0.1, hue)));

    [Fact]
    public void Hardly_coloured_is_neutral()
    {
        Assert.Equal("neutral", Toner.WordOf(new Oklch(0.7, Toner.NeutralBelow - 1e-9, 80)));
        Assert.Equal("gold", Toner.WordOf(new Oklch(0.7, Toner.NeutralBelow, 80)));
    }

    [Theory]
    [InlineData(0.7, 0.1, 60, 0)]
    [InlineData(0.6, 0.1, 60, 10)]
    [InlineData(0.8, 0.1, 60, 10)]
    [InlineData(0.7, 0.04, 60, 6)]
    [InlineData(0.7, 0.1, 240, 20)]
    [InlineData(0.7, 0.1, 120, 10)]
    [InlineData(0.6, 0.1, 120, 14.142135623731)]
    [InlineData(0.7, 0.2, 0, 17.320508075689)]
    public void A_distance_counts_light_strength_and_hue(double light, double chroma, double hue, double distance)
    {
        var (one, other) = (new Oklch(0.7, 0.1, 60), new Oklch(light, chroma, hue));
        Assert.Equal(distance, one.DeltaE(other), 1e-9);
        Assert.Equal(distance, other.DeltaE(one), 1e-9);
    }

    [Theory]
    [InlineData(0.99, "not seen")]
    [InlineData(1, "hardly seen")]
    [InlineData(2.99, "hardly seen")]
    [InlineData(3, "plainly seen")]
    public void A_distance_is_told_by_how_it_is_seen(double distance, string words) =>
        Assert.Equal(words, Oklch.Seen(distance));

    [Fact]
    public void What_a_screen_shows_is_read_as_it_was_written()
    {
        Each.Of(
            Enumerable.Range(0, 256),
            v => Assert.Equal((byte)v, LevelColours.Encode(LevelColours.Decode((byte)v)))
        );
        Assert.Equal(0.2158605, LevelColours.Decode(128), 1e-6);
        Assert.Equal(5 / 255.0 / 12.92, LevelColours.Decode(5), 1e-9);
    }
}
