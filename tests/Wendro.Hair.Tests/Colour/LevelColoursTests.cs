using CsCheck;
using Wendro.Colour;

namespace Wendro.Tests.Colour;

public sealed class LevelColoursTests
{
    [Theory]
    [InlineData(1, 8)]
    [InlineData(4, 26)]
    [InlineData(6, 41)]
    [InlineData(8, 60)]
    [InlineData(10, 79)]
    public void Lightness_is_the_trades_at_whole_levels(double level, double lightness) =>
        Assert.Equal(lightness, LevelColours.Lightness(level), 1e-9);

    [Theory]
    [InlineData(1, "#1c1615")]
    [InlineData(5, "#654737")]
    [InlineData(10, "#d6c19f")]
    public void Colours_are_those_agreed(double level, string hex)
    {
        var drawn = LevelColours.Hex(level);
        for (var i = 1; i < 7; i += 2)
        {
            Assert.InRange(
                Convert.ToInt32(drawn.Substring(i, 2), 16) - Convert.ToInt32(hex.Substring(i, 2), 16),
                -2,
                2
            );
        }
    }

    [Fact]
    public void A_lighter_level_is_drawn_lighter() =>
        Gen.Select(Gen.Double[1, 10], Gen.Double[1, 10])
            .Sample(
                (a, b) =>
                {
                    double L(double level)
                    {
                        var (r, g, blue) = LevelColours.Linear(level);
                        return LevelColours.LightnessOf(r, g, blue);
                    }

                    Assert.True(Math.Abs(a - b) < 1e-6 || a < b == L(a) < L(b));
                }
            );

    [Fact]
    public void The_table_grows_with_shade_in_every_channel()
    {
        var table = LevelColours.Table();
        Assert.Equal(256 * LevelColours.Shades * 3, table.Length);
        for (var level = 0; level < 256; level += 17)
        {
            for (var i = 1; i < LevelColours.Shades; i++)
            {
                var at = (level * LevelColours.Shades + i) * 3;
                Assert.True(
                    table[at] >= table[at - 3] && table[at + 1] >= table[at - 2] && table[at + 2] >= table[at - 1]
                );
            }
        }
    }

    [Fact]
    public void Black_and_white_are_coded_as_themselves() =>
        Assert.Equal((0, 255), (LevelColours.Encode(0), LevelColours.Encode(1)));

    [Fact]
    public void A_goal_tone_turns_light_hair_and_leaves_dark_hair()
    {
        static double Chroma((double R, double G, double B) c) =>
            Math.Max(c.R, Math.Max(c.G, c.B)) - Math.Min(c.R, Math.Min(c.G, c.B));
        Assert.True(Chroma(LevelColours.Linear(9, -1)) < Chroma(LevelColours.Linear(9)));
        Assert.True(Chroma(LevelColours.Linear(9, 1)) > Chroma(LevelColours.Linear(9)));
        Assert.Equal(LevelColours.Linear(3), LevelColours.Linear(3, 1));
        var (r, g, b) = LevelColours.Linear(9, -1);
        Assert.Equal(LevelColours.Lightness(9), LevelColours.LightnessOf(r, g, b), 0.2);
    }
}
