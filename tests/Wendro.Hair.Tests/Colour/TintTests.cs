using CsCheck;
using Wendro.Colour;
using Wendro.Units;

namespace Wendro.Tests.Colour;

public sealed class TintTests
{
    private static readonly Gen<Reflect> AnyReflect = Gen.Enum<Reflect>();

    private static Oklch Seen(double level, Tint tint, Palette? palette = null)
    {
        var (r, g, b) = (palette ?? Palette.Raw).Colour(level, tint);
        return Oklch.Of(r, g, b);
    }

    private static double Lightness(double level, Tint tint)
    {
        var (r, g, b) = Palette.Raw.Colour(level, tint);
        return LevelColours.LightnessOf(r, g, b);
    }

    [Fact]
    public void Colour_is_told_in_the_steps_the_eye_takes()
    {
        var all = Enumerable.Range(0, Tint.Count).Select(i => new Tint((byte)i).Meaning).ToArray();
        double[] Steps(bool white) =>
            [.. all.Where(m => m.White == white && m.Reflect is not null).Select(m => m.Strength).Distinct().Order()];
        Assert.Equal([.1, .2, .35, .55, .85, 1.3, 2], Steps(false));
        Assert.Equal([.15, .4, .8, 1.5], Steps(true));
        Assert.Equal(
            Enumerable.Range(1, 8).Select(i => i / 8.0),
            all.Where(m => m is { White: false, Reflect: null, Lifted: > 0 }).Select(m => m.Lifted)
        );
    }

    [Fact]
    public void Every_tint_fits_a_byte_and_says_what_it_means()
    {
        Assert.InRange(Tint.Count, 100, 256);
        Each.Of(
            Enumerable.Range(0, Tint.Count).Select(i => new Tint((byte)i)),
            tint =>
            {
                var means = tint.Meaning;
                var again =
                    means.Reflect is not { } reflect
                        ? (means.White ? Tint.Mixed(means.WhiteShare) : Tint.Lifted(means.Lifted))
                    : means.White ? Tint.OnWhite(Absorbance.Of(reflect, means.Strength))
                    : Tint.Coloured(means.Lifted, Absorbance.Of(reflect, means.Strength));
                Assert.Equal(tint, again);
            }
        );
    }

    [Fact]
    public void Lifted_hair_is_its_own_colour_from_one_and_a_half_levels_and_in_steps_before()
    {
        foreach (var level in new[] { 4.0, 6, 8, 9.5 })
        {
            Assert.Equal(LevelColours.Linear(level), Palette.Raw.Colour(level, Tint.Natural));
            Assert.Equal(LevelColours.Lifted(level).R, Palette.Raw.Colour(level, Tint.Lifted(1)).R, 1e-12);
            var chroma = Enumerable.Range(0, 9).Select(k => Seen(level, Tint.Lifted(k / 8.0)).Chroma).ToArray();
            Each.Of(chroma.Zip(chroma.Skip(1)), p => Assert.True(p.Second > p.First));
        }

        Assert.Equal(Tint.Natural, Tint.Lifted(0.03));
        Assert.Equal(Tint.Lifted(1), Tint.Lifted(7));
    }

    [Fact]
    public void As_goal_only_what_is_lifted_and_bare_is_toned()
    {
        var (cool, warm) = (Palette.AsToned(-1), Palette.AsToned(1));
        Assert.True(Seen(9, Tint.Lifted(1), cool).Chroma < 0.5 * Seen(9, Tint.Lifted(1)).Chroma);
        Assert.True(Seen(9, Tint.Lifted(1), warm).Chroma > 1.5 * Seen(9, Tint.Lifted(1), cool).Chroma);
        foreach (var tint in new[] { Tint.Natural, Tint.White, Tint.Coloured(1, Absorbance.Of(Reflect.Copper, 1)) })
        {
            Assert.Equal(Palette.Raw.Colour(6, tint), cool.Colour(6, tint));
        }
    }

    [Fact]
    public void Coloured_hair_is_as_light_as_its_level_and_shows_its_reflect() =>
        Gen.Select(AnyReflect, Gen.Double[0.1, 0.6], Gen.Double[3, 8], Gen.Double[0, 1])
            .Sample(
                (reflect, strength, level, lifted) =>
                {
                    var tint = Tint.Coloured(lifted, Absorbance.Of(reflect, strength));
                    var bare = Tint.Lifted(Math.Round(lifted * 2) / 2);

                    // What is stronger leaves what a screen can show: there light gives way.
                    Assert.Equal(Lightness(level, bare), Lightness(level, tint), 6.0);
                    Assert.Equal(reflect, tint.Meaning.Reflect);
                },
                iter: 300
            );

    [Fact]
    public void Ash_cools_copper_warms_and_a_stronger_one_more()
    {
        double Warmth(Reflect reflect, double strength)
        {
            var seen = Seen(7, Tint.Coloured(1, Absorbance.Of(reflect, strength)));
            return seen.Along(Seen(7, Tint.Lifted(1)).Hue);
        }

        var raw = Seen(7, Tint.Lifted(1)).Chroma;
        Each.Of(
            [Reflect.Ash, Reflect.Violet, Reflect.Pearl, Reflect.Beige],
            r =>
            {
                Assert.True(Warmth(r, 0.35) < raw);
                Assert.True(Warmth(r, 0.85) < Warmth(r, 0.35));
            }
        );
        Assert.True(Warmth(Reflect.Copper, 0.85) > Warmth(Reflect.Ash, 0.85) + 0.05);
        var copper = Seen(6, Tint.Coloured(1, Absorbance.Of(Reflect.Copper, 1.3)));
        Assert.InRange(copper.Hue, 35, 65);
        Assert.True(Seen(6, Tint.Coloured(1, Absorbance.Of(Reflect.Red, 1.3))).Hue < copper.Hue);
    }

    [Fact]
    public void Shades_in_one_bowl_are_drawn_by_what_they_do_together()
    {
        var weaker = Absorbance.Of(Reflect.Ash, 0.35) + Absorbance.Of(Reflect.Natural, 0.35);
        Assert.Equal(Reflect.Ash, Tint.Coloured(1, weaker).Meaning.Reflect);
        Assert.Equal(0.35, Tint.Coloured(1, weaker).Meaning.Strength);
        var both = Absorbance.Of(Reflect.Gold, 0.5) + Absorbance.Of(Reflect.Copper, 0.5);
        Assert.Contains(Tint.Coloured(1, both).Meaning.Reflect, new Reflect?[] { Reflect.Gold, Reflect.Copper });
        Assert.Equal(Tint.Lifted(1), Tint.Coloured(1, Absorbance.Of(Reflect.Ash, 0.02)));
    }

    [Fact]
    public void White_hair_hardly_has_a_colour_until_it_takes_one()
    {
        Assert.True(Seen(5, Tint.White).Chroma < 0.25 * Seen(5, Tint.Natural).Chroma + 0.01);
        Assert.Equal(Seen(3, Tint.White), Seen(8, Tint.White));
        var covered = Tint.OnWhite(Absorbance.Of(Reflect.Natural, 1.5));
        Assert.True(covered.Meaning.White);
        Assert.True(Lightness(5, covered) < Lightness(5, Tint.White) - 20);
        Assert.Equal(Tint.White, Tint.OnWhite(Absorbance.Of(Reflect.Natural, 0.01)));
    }

    [Fact]
    public void What_a_client_shades_is_what_pictures_are_drawn_with()
    {
        var all = Palette.Raw.All();
        var (red, _, blue) = LevelColours.ShadeCurves;
        Assert.Equal(Tint.Count * 256 * 3, all.Length);
        foreach (var tint in new[] { Tint.Natural, Tint.Lifted(0.5), Tint.OnWhite(Absorbance.Of(Reflect.Beige, 0.8)) })
        {
            var table = Palette.Raw.Table(tint);
            foreach (var (level, shade) in new[] { (20, 100), (180, 60), (255, 127) })
            {
                int Lit(double[] curve, int channel)
                {
                    var light = all[(tint.Index * 256 + level) * 3 + channel] / 65535.0 * curve[shade];
                    return (int)Math.Min(65535, light / (1 + LevelColours.Knee * light) * 65535);
                }

                var at = (level * LevelColours.Shades + shade) * 3;
                Assert.Equal(table[at], Lit(red, 0), 4.0);
                Assert.Equal(table[at + 2], Lit(blue, 2), 4.0);
            }
        }
    }
}
