using CsCheck;
using Wendro.Core.Hair;
using Wendro.Core.Tone;

namespace Wendro.Core.Tests.Tone;

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
        var (r, g, b) = LevelColours.Linear(9);
        var strength = 0.35 * Math.Pow(2, (8 - 9.0) / 2) * (1 - Math.Exp(-20 / 8.0));
        var expected = Oklch.Of(
            r * Math.Pow(10, -strength * .42),
            g * Math.Pow(10, -strength * .36),
            b * Math.Pow(10, -strength * .08)
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
            var (r, g, b) = LevelColours.Linear(c.Level);
            var before = Oklch.Of(r, g, b);
            var after = Toner.Of(c);
            Assert.True(after.Colour.Lightness <= before.Lightness + 1e-9);
            Assert.Matches("^#[0-9a-f]{6}$", after.Hex);
            if (c.Level <= c.Depth - 1 || c.Minutes == 0)
            {
                Assert.Equal(0, after.Neutralised, 1e-9);
            }
        });

    [Fact]
    public void Longer_on_damper_and_more_porous_hair_takes_up_more()
    {
        Assert.True(Toner.Uptake(20, Porosity.Normal, Dryness.Damp) > Toner.Uptake(5, Porosity.Normal, Dryness.Damp));
        Assert.True(Toner.Uptake(20, Porosity.High, Dryness.Damp) > Toner.Uptake(20, Porosity.Low, Dryness.Damp));
        Assert.True(
            Toner.Uptake(20, Porosity.Normal, Dryness.Soaked) < Toner.Uptake(20, Porosity.Normal, Dryness.Damp)
        );
        Assert.Equal(0.7, Toner.Dose(6), 1e-12);
    }

    [Fact]
    public void Grey_is_neutral_and_yellow_is_yellow()
    {
        Assert.Equal(0, Oklch.Of(0.4, 0.4, 0.4).Chroma, 1e-6);
        Assert.InRange(Oklch.Of(1, 1, 0).Hue, 100, 115);
        Assert.Equal(0.62796, Oklch.Of(1, 0, 0).Lightness, 1e-4);
        Assert.Equal(29.23, Oklch.Of(1, 0, 0).Hue, 0.1);
    }
}
