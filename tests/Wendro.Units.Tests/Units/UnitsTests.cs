using CsCheck;
using Wendro.Units;
using Hash = Wendro.Units.Hash;

namespace Wendro.Tests.Units;

public sealed class UnitsTests
{
    [Theory]
    [InlineData(0.99)]
    [InlineData(10.01)]
    [InlineData(double.NaN)]
    public void There_is_no_level_outside_1_to_10(double value) =>
        Assert.Throws<ArgumentOutOfRangeException>(() => new Level(value));

    [Theory]
    [InlineData(4.9)]
    [InlineData(40.1)]
    [InlineData(double.NaN)]
    public void There_is_no_developer_outside_5_to_40_vol(double value) =>
        Assert.Throws<ArgumentOutOfRangeException>(() => new Volume(value));

    [Fact]
    public void A_levels_byte_is_within_half_a_step_of_it() =>
        Gen.Double[1, 10]
            .Sample(level =>
                Assert.InRange(1 + Level.ToByte(level) * 9 / 255.0 - level, -9 / 510.0 - 1e-9, 9 / 510.0 + 1e-9)
            );

    [Fact]
    public void A_hash_is_spread_evenly_and_is_the_same_again()
    {
        var tenths = new int[10];
        for (var i = 0; i < 20_000; i++)
        {
            Assert.Equal(Hash.Unit(i, 7), Hash.Unit(i, 7));
            tenths[(int)(Hash.Unit(i, 7) * 10)]++;
        }

        Each.Of(tenths, n => Assert.InRange(n, 1_800, 2_200));
    }

    [Fact]
    public void A_smooth_step_rises_from_nothing_to_all() =>
        Gen.Select(Gen.Double[-5, 5], Gen.Double[0.01, 5], Gen.Double[-12, 12], Gen.Double[0, 3])
            .Sample(
                (a, width, x, further) =>
                {
                    var (low, high) = (Curve.Smooth(a, a + width, x), Curve.Smooth(a, a + width, x + further));
                    Assert.True(low <= high + 1e-12);
                    Assert.Equal(
                        x <= a ? 0
                            : x >= a + width ? 1
                            : low,
                        low,
                        1e-12
                    );
                }
            );

    [Fact]
    public void Without_a_width_it_is_a_step() =>
        Assert.Equal((0.0, 1.0), (Curve.Smooth(3.0, 3.0, 2.9), Curve.Smooth(3.0, 3.0, 3.1)));
}
