using CsCheck;
using Wendro.Colour;
using Wendro.Hair;

namespace Wendro.Tests.Colour;

public sealed class DepositTests
{
    [Theory]
    [InlineData(8, 6, 1, -2)]
    [InlineData(8, 6, 0.25, -0.5)]
    [InlineData(6, 8, 1, 0)]
    [InlineData(6, 6, 1, 0)]
    public void A_deposit_draws_lighter_hair_to_its_own_level_and_never_lightens(
        double level,
        double deposit,
        double share,
        double change
    ) => Assert.Equal(change, Deposit.Darkens(level, deposit, share), 1e-12);

    [Fact]
    public void No_more_than_all_of_it_is_taken_up()
    {
        Assert.Equal(1, Deposit.Uptake(600, Porosity.High), 1e-12);
        Assert.Equal(Toner.Uptake(10, Porosity.Low, Dryness.Damp), Deposit.Uptake(10, Porosity.Low), 1e-12);
        Assert.Equal(0, Deposit.Uptake(0, Porosity.Normal), 1e-12);
    }

    [Theory]
    [InlineData(19.9, 60, 0)]
    [InlineData(20, 600, 2 * 40 / 60.0)]
    [InlineData(40, 600, 2)]
    [InlineData(30, 600, 2 * 50 / 60.0)]
    public void A_permanent_colour_lifts_from_twenty_volume_up_to_two_levels(
        double volume,
        double minutes,
        double lifts
    ) => Assert.Equal(lifts, Deposit.Lifts(volume, minutes), 1e-9);

    [Fact]
    public void It_lifts_all_but_a_third_in_twelve_minutes_and_never_beyond_two() =>
        Gen.Select(Gen.Double[20, 40], Gen.Double[0, 120])
            .Sample(
                (volume, minutes) =>
                {
                    Assert.InRange(Deposit.Lifts(volume, minutes), 0, Deposit.MostLift);
                    Assert.Equal(
                        1 - Math.Exp(-1),
                        Deposit.Lifts(volume, Deposit.LiftMinutes) / Deposit.Lifts(volume, 1e6),
                        1e-9
                    );
                    Assert.True(Deposit.Lifts(volume, minutes + 1) > Deposit.Lifts(volume, minutes));
                }
            );
}
