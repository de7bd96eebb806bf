using CsCheck;
using Wendro.Colour;
using Wendro.Hair;

namespace Wendro.Tests.Colour;

public sealed class TonerTests
{
    private static readonly ToneCase Usual = new(9, null, 9, Reflect.Violet, Porosity.Normal, Dryness.Damp, 20);

    private static readonly Gen<ToneCase> AnyCase =
        from level in Gen.Double[1, 10]
        from depth in Gen.Double[1, 10]
        from reflect in Gen.Enum<Reflect>()
        from porosity in Gen.Enum<Porosity>()
        from dryness in Gen.Enum<Dryness>()
        from minutes in Gen.Double[0, 60]
        select new ToneCase(level, null, depth, reflect, porosity, dryness, minutes);

    [Fact]
    public void The_sum_is_absorbance_on_linear_light()
    {
        var (r, g, b) = LevelColours.Lifted(9);
        var strength = 0.55 * Math.Pow(2, (8 - 9.0) / 2) * (1 - Math.Exp(-20 / 8.0));
        var expected = Oklch.Of(
            r * Math.Pow(10, -strength * .42),
            g * Math.Pow(10, -strength * .40),
            b * Math.Pow(10, -strength * .00)
        );
        Assert.Equal(expected.Lightness, Toner.Of(Usual).Colour.Lightness, 1e-12);
        Assert.Equal(expected.Chroma, Toner.Of(Usual).Colour.Chroma, 1e-12);
    }

    [Fact]
    public void Violet_takes_yellow_away_and_gold_adds_warmth()
    {
        Assert.InRange(Toner.Of(Usual).Neutralised, 0.1, 1.5);
        Assert.True(Toner.Of(Usual with { Reflect = Reflect.Gold }).Neutralised < 0);
        Assert.True(
            Toner.Of(Usual with { Reflect = Reflect.Ash, Level = 7, Depth = 7 }).Neutralised
                > Toner.Of(Usual with { Reflect = Reflect.Natural, Level = 7, Depth = 7 }).Neutralised
        );
    }

    [Fact]
    public void It_never_lightens_and_leaves_hair_a_level_darker_than_itself_alone() =>
        AnyCase.Sample(c =>
        {
            var (r, g, b) = LevelColours.Lifted(c.Level);
            var before = Oklch.Of(r, g, b);
            var after = Toner.Of(c);
            Assert.True(after.Colour.Lightness <= before.Lightness + 1e-9);
            Assert.Matches("^#[0-9a-f]{6}$", after.Hex);
            if (c.Level <= c.Depth - 1 || c.Minutes == 0)
            {
                Assert.Equal(0, after.Neutralised, 1e-9);
            }
        });

    [Theory]
    [InlineData(Dryness.Soaked, 0.6)]
    [InlineData(Dryness.Damp, 1)]
    [InlineData(Dryness.Dry, 1.05)]
    public void Water_in_the_hair_thins_it_and_dry_hair_takes_a_little_more(Dryness dryness, double share) =>
        Assert.Equal(
            share,
            Toner.Uptake(20, Porosity.Normal, dryness) / Toner.Uptake(20, Porosity.Normal, Dryness.Damp),
            1e-12
        );

    [Fact]
    public void Longer_on_damper_and_more_porous_hair_takes_up_more()
    {
        Assert.True(Toner.Uptake(20, Porosity.Normal, Dryness.Damp) > Toner.Uptake(5, Porosity.Normal, Dryness.Damp));
        Assert.True(Toner.Uptake(20, Porosity.High, Dryness.Damp) > Toner.Uptake(20, Porosity.Low, Dryness.Damp));
        Assert.True(
            Toner.Uptake(20, Porosity.Normal, Dryness.Soaked) < Toner.Uptake(20, Porosity.Normal, Dryness.Damp)
        );
        Assert.Equal(1.1, Toner.Dose(6), 1e-12);
    }

    [Fact]
    public void Grey_is_neutral_and_yellow_is_yellow()
    {
        Assert.Equal(0, Oklch.Of(0.4, 0.4, 0.4).Chroma, 1e-6);
        Assert.InRange(Oklch.Of(1, 1, 0).Hue, 100, 115);
        Assert.Equal(0.62796, Oklch.Of(1, 0, 0).Lightness, 1e-4);
        Assert.Equal(29.23, Oklch.Of(1, 0, 0).Hue, 0.1);
    }

    [Theory]
    [InlineData(1, "#1e1714")]
    [InlineData(2, "#2f211c")]
    [InlineData(3, "#452b23")]
    [InlineData(4, "#5d3527")]
    [InlineData(5, "#784630")]
    [InlineData(6, "#925b32")]
    [InlineData(7, "#a9753d")]
    [InlineData(8, "#bf9759")]
    [InlineData(9, "#ceb683")]
    [InlineData(10, "#dfd1ae")]
    public void Lifted_hair_is_vivid_until_it_is_toned(double level, string hex)
    {
        var (r, g, b) = LevelColours.Lifted(level);
        byte[] said = Convert.FromHexString(hex[1..]);
        byte[] drawn = [LevelColours.Encode(r), LevelColours.Encode(g), LevelColours.Encode(b)];
        for (var c = 0; c < 3; c++)
        {
            Assert.InRange(drawn[c], said[c] - 3, said[c] + 3);
        }

        Assert.Equal(level, LevelColours.LevelOfLifted(LevelColours.LightnessOf(r, g, b)), 0.05);
        var natural = LevelColours.Linear(level);
        Assert.True(Oklch.Of(r, g, b).Chroma > Oklch.Of(natural.R, natural.G, natural.B).Chroma - 0.01);
    }

    [Theory]
    [InlineData(7)]
    [InlineData(8)]
    [InlineData(9)]
    public void A_cool_toner_at_its_own_level_takes_a_third_to_a_half_and_costs_about_a_level(double level)
    {
        foreach (var reflect in new[] { Reflect.Ash, Reflect.Violet, Reflect.Pearl })
        {
            var toned = Toner.Of(Usual with { Level = level, Depth = level, Reflect = reflect });
            Assert.InRange(toned.Neutralised, 0.25, 0.6);
            Assert.InRange(level - toned.Level, 0.4, 1.6);
        }

        var beige = Toner.Of(Usual with { Level = level, Depth = level, Reflect = Reflect.Beige });
        Assert.InRange(beige.Neutralised, 0.1, 0.4);
        Assert.True(
            beige.Neutralised < Toner.Of(Usual with { Level = level, Depth = level, Reflect = Reflect.Ash }).Neutralised
        );
    }

    [Fact]
    public void What_is_left_has_a_word()
    {
        Assert.Contains(Toner.Of(Usual with { Level = 6, Depth = 9 }).Remaining, new[] { "orange", "copper", "gold" });
        Assert.Contains(Toner.Of(Usual with { Minutes = 0 }).Remaining, new[] { "yellow", "gold" });
        Assert.Contains(
            Toner.Of(Usual with { Depth = 6, Minutes = 60, Porosity = Porosity.High }).Remaining,
            new[] { "violet", "rose", "neutral", "blue" }
        );
    }
}
