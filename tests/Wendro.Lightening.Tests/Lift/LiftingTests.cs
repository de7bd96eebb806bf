using CsCheck;
using Wendro.Hair;
using Wendro.Lift;
using Wendro.Paint;
using Wendro.Units;

namespace Wendro.Tests.Lift;

public sealed class LiftingTests
{
    private static LiftCase Case(
        double level,
        Lightener lightener,
        double volume,
        Covering covering,
        bool heat = false
    ) => new(new Level(level), Diameter.Medium, Porosity.Normal, false, lightener, new Volume(volume), covering, heat);

    [Theory]
    [InlineData(5, Lightener.Clay, 30, Covering.Open, false, 30, 7.85, 8.15)]
    [InlineData(5, Lightener.Clay, 20, Covering.Open, false, 40, 7.05, 7.35)]
    [InlineData(5, Lightener.Powder, 20, Covering.Foil, false, 40, 8.95, 9.25)]
    [InlineData(5, Lightener.Powder, 20, Covering.Open, false, 45, 7.35, 7.65)]
    [InlineData(3, Lightener.Powder, 30, Covering.Foil, false, 50, 7.85, 8.15)]
    [InlineData(3, Lightener.Clay, 40, Covering.Film, true, 45, 7.65, 7.95)]
    [InlineData(2, Lightener.Cream, 30, Covering.Foil, false, 50, 6.15, 6.45)]
    public void Starting_points_come_out_sensible(
        double from,
        Lightener lightener,
        double volume,
        Covering covering,
        bool heat,
        double minutes,
        double low,
        double high
    ) =>
        Assert.InRange(
            new Lifting(Case(from, lightener, volume, covering, heat)).After(new Minutes(minutes)).Value,
            low,
            high
        );

    [Fact]
    public void Powder_in_open_air_stops_well_before_foil_does()
    {
        var open = new Lifting(Case(3, Lightener.Powder, 30, Covering.Open)).MostGain;
        var foil = new Lifting(Case(3, Lightener.Powder, 30, Covering.Foil)).MostGain;
        Assert.True(foil - open > 1.5, $"open {open:0.0}, foil {foil:0.0}");
    }

    [Fact]
    public void Lift_grows_with_time() =>
        Gen.Select(Given.AnyLift, Gen.Double[0, 300], Gen.Double[0, 300])
            .Sample((of, t, more) => Assert.True(new Lifting(of).Gain(t + more) >= new Lifting(of).Gain(t) - 1e-12));

    [Fact]
    public void Lift_grows_with_volume() =>
        Gen.Select(Given.AnyLift, Gen.Double[5, 40], Gen.Double[0, 600])
            .Sample(
                (of, other, t) =>
                {
                    var (weak, strong) = (Math.Min(of.Volume.Value, other), Math.Max(of.Volume.Value, other));
                    var a = new Lifting(of with { Volume = new Volume(weak) }).Gain(t);
                    var b = new Lifting(of with { Volume = new Volume(strong) }).Gain(t);
                    Assert.True(b >= a - 1e-9, $"{weak}: {a}, {strong}: {b}");
                }
            );

    [Fact]
    public void Exposure_grows_with_temperature()
    {
        // Foil is warmer and stays moist longer than film, film than mesh, mesh than open air.
        Gen.Select(Given.AnyLift, Gen.Double[0, 600])
            .Sample(
                (of, t) =>
                {
                    var gains = Enum.GetValues<Covering>()
                        .Select(c => new Lifting(of with { Covering = c, LowHeat = false }).Gain(t))
                        .ToArray();
                    Assert.True(gains.Zip(gains.Skip(1)).All(g => g.Second >= g.First - 1e-12));
                }
            );
    }

    [Fact]
    public void Low_heat_is_faster_at_first() =>
        Given.AnyLift.Sample(of =>
        {
            var cold = new Lifting(of with { LowHeat = false }).Gain(3);
            Assert.True(new Lifting(of with { LowHeat = true }).Gain(3) >= cold - 1e-12);
        });

    [Fact]
    public void Lift_never_passes_its_cap_or_level_10() =>
        Gen.Select(Given.AnyLift, Gen.Double[0, 600])
            .Sample(
                (of, t) =>
                {
                    var lifting = new Lifting(of);
                    Assert.InRange(lifting.Gain(t), 0, lifting.Cap);
                    Assert.InRange(of.From.Value + lifting.Gain(t), of.From.Value, 10 + 1e-12);
                }
            );

    [Fact]
    public void Time_to_a_level_is_the_inverse_of_lift() =>
        Gen.Select(Given.AnyLift, Gen.Double[1, 10])
            .Sample(
                (of, target) =>
                {
                    var lifting = new Lifting(of);
                    if (lifting.MinutesTo(new Level(target)) is { } minutes && minutes is > 0 and < 5000)
                    {
                        Assert.Equal(target - of.From.Value, lifting.Gain(minutes), 1e-6);
                    }
                    else if (target > of.From.Value && lifting.MinutesTo(new Level(target)) is null)
                    {
                        Assert.True(lifting.Gain(1e7) <= target - of.From.Value + 1e-9);
                    }
                }
            );

    [Fact]
    public void Finished_is_where_the_gain_falls_below_a_fiftieth_of_a_level_a_minute() =>
        Given.AnyLift.Sample(of =>
        {
            var lifting = new Lifting(of);
            var t = lifting.FinishedAtMinutes();
            double PerMinute(double at) => (lifting.Gain(at + 1e-3) - lifting.Gain(at)) / 1e-3;
            if (t > 0.1)
            {
                Assert.Equal(LiftTables.FinishedGainPerMinute, PerMinute(t), 1e-3);
            }
            else
            {
                Assert.True(PerMinute(0.2) <= LiftTables.FinishedGainPerMinute + 1e-3);
            }
        });

    [Fact]
    public void Coloured_hair_is_slower_and_reaches_a_level_less()
    {
        var natural = new Lifting(Case(4, Lightener.Clay, 30, Covering.Film));
        var coloured = new Lifting(Case(4, Lightener.Clay, 30, Covering.Film) with { Coloured = true });
        Assert.Equal(natural.Cap - 1, coloured.Cap, 1e-9);
        Assert.Equal(0.6, coloured.Speed / natural.Speed, 1e-9);
    }

    [Fact]
    public void Coverage_touches_the_speed_only()
    {
        var full = new Lifting(Case(4, Lightener.Clay, 30, Covering.Open));
        var half = new Lifting(Case(4, Lightener.Clay, 30, Covering.Open) with { Coverage = 0.5 });
        Assert.Equal(full.Cap, half.Cap);
        Assert.Equal(full.Exposure(20), half.Exposure(20));
        Assert.Equal(full.GainAtCoverage(20, 0.5), half.Gain(20), 1e-12);
    }

    [Theory]
    [InlineData(5, 0.2, 0.45)]
    [InlineData(10, 0.35, 0.65)]
    [InlineData(20, 0.55, 0.85)]
    [InlineData(30, 0.75, 1)]
    [InlineData(40, 0.9, 1.15)]
    public void Developer_table_holds_at_its_columns(double volume, double share, double speed)
    {
        Assert.Equal(share, LiftTables.ShareOfRated(new Volume(volume)), 1e-9);
        Assert.Equal(speed, LiftTables.DeveloperSpeed(new Volume(volume)), 1e-9);
    }
}
