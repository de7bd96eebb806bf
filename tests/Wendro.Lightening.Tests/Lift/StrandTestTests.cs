using CsCheck;
using Wendro.Fixtures;
using Wendro.Hair;
using Wendro.Lift;
using Wendro.Paint;
using Wendro.Units;

namespace Wendro.Tests.Lift;

public sealed class StrandTestTests
{
    private static readonly LiftCase Clay = new(
        new Level(3),
        Diameter.Medium,
        Porosity.Normal,
        false,
        Lightener.Clay,
        new Volume(30),
        Covering.Film
    );

    private static double Truth(double speed, double cap, double minutes) =>
        new Lifting(Clay with { Own = new OwnLift(speed, cap, 0, 0, 0) }).After(new Minutes(minutes)).Value;

    private static OwnLift FitOf(double speed, double cap, params double[] minutes) =>
        StrandTest.Fit(minutes.Select(m => (Clay, new Reading(new(m), new(Truth(speed, cap, m))))).ToArray());

    [Fact]
    public void Without_a_reading_nothing_is_known_but_how_clients_differ() =>
        Assert.Equal(OwnLift.Unread, StrandTest.Fit([]));

    [Fact]
    public void Readings_as_tabled_leave_the_tables_and_make_them_surer()
    {
        var fit = FitOf(1, 0, 10, 20, 35);
        Assert.Equal(1, fit.Speed, 1e-4);
        Assert.Equal(0, fit.CapLevels, 1e-4);
        Assert.True(fit.SpeedSpread < OwnLift.Unread.SpeedSpread);
        Assert.True(fit.CapSpread < OwnLift.Unread.CapSpread);
    }

    [Fact]
    public void One_reading_moves_it_a_little_and_five_a_lot()
    {
        var one = FitOf(1.5, 0, 15);
        var five = FitOf(1.5, 0, 10, 15, 20, 25, 30);
        Assert.InRange(one.Speed, 1.02, 1.5);
        Assert.InRange(five.Speed, one.Speed, 1.55);
    }

    [Fact]
    public void What_is_known_and_then_read_tells_as_much_as_all_read_at_once() =>
        Gen.Select(Gen.Double[0.7, 1.4], Gen.Double[-0.4, 0.4])
            .Sample(
                (speed, cap) =>
                {
                    (LiftCase, Reading) Seen(double m) => (Clay, new Reading(new(m), new(Truth(speed, cap, m))));
                    var once = StrandTest.Fit([Seen(8), Seen(20), Seen(35), Seen(50)]);
                    var twice = StrandTest.Fit([Seen(35), Seen(50)], StrandTest.Fit([Seen(8), Seen(20)]));
                    // Both are the linearised problem's, which lies a little elsewhere at either point.
                    Assert.Equal(once.Speed, twice.Speed, 0.05);
                    Assert.Equal(once.CapLevels, twice.CapLevels, 0.1);
                    Assert.Equal(once.SpeedSpread, twice.SpeedSpread, 0.04);
                },
                iter: 100
            );

    [Fact]
    public void Nothing_read_leaves_what_is_known_and_a_later_day_is_less_sure()
    {
        var known = FitOf(1.3, 0.2, 10, 20, 35);
        var again = StrandTest.Fit([], known);
        Assert.Equal(known.Speed, again.Speed, 1e-6);
        Assert.Equal(known.SpeedSpread, again.SpeedSpread, 1e-6);
        Assert.Equal(known.Together, again.Together, 1e-6);
        Assert.True(known.Later().SpeedSpread > known.SpeedSpread);
        Assert.Equal(known.Speed, known.Later().Speed);
    }

    [Fact]
    public void Faster_hair_is_fitted_faster() =>
        Gen.Select(Gen.Double[0.6, 1.4], Gen.Double[0.02, 0.1], Gen.Double[-0.5, 0.5])
            .Sample(
                (speed, more, cap) =>
                    Assert.True(FitOf(speed, cap, 8, 16, 30).Speed < FitOf(speed + more, cap, 8, 16, 30).Speed),
                iter: 200
            );

    [Fact]
    public void A_band_holds_its_level_and_narrows_with_readings() =>
        Gen.Select(Gen.Double[0.6, 1.5], Gen.Double[-1, 1], Gen.Double[1, 60])
            .Sample(
                (speed, cap, minutes) =>
                {
                    var before = Forecast.Of(Clay, minutes);
                    var after = Forecast.Of(Clay with { Own = FitOf(speed, cap, 10, 20, 30) }, minutes);
                    Assert.True(before.Low <= before.Level && before.Level <= before.High);
                    Assert.True(
                        after.Low <= after.Level && after.Level <= after.High && after.High <= 10 && after.Low >= 3
                    );
                    Assert.True(after.High - after.Low < before.High - before.Low + 0.15);
                },
                iter: 200
            );

    [Fact]
    public void Readings_make_the_forecast_better_and_the_band_is_honest()
    {
        var errors = SyntheticClients.Errors(200, 0, 1, 3);
        Assert.True(
            errors[1].MeanError < errors[0].MeanError * 0.9,
            $"{errors[0].MeanError:0.00} {errors[1].MeanError:0.00}"
        );
        Assert.True(
            errors[2].MeanError < errors[1].MeanError,
            $"{errors[1].MeanError:0.00} {errors[2].MeanError:0.00}"
        );
        Each.Of(errors, e => Assert.InRange(e.Covered, Forecast.Covers - 0.1, Forecast.Covers + 0.13));
    }

    [Fact]
    public void A_test_speaks_of_hair_no_band_touched()
    {
        var hair = HairProfile.Usual with
        {
            NaturalLevel = new(4),
            History = [new(0, 34, BandState.Lightened, new(8), 0.4)],
        };
        var test = new StrandTest(Lightener.Clay, new(30), Covering.Film, []);
        Assert.Null(test.OwnOf(hair));
        Assert.Equal(4, test.CaseOf(hair).From.Value);
    }

    [Fact]
    public void No_other_speed_and_cap_explain_the_readings_better() =>
        Gen.Select(
                Given.AnyLift.Where(l => l.From.Value is > 2 and < 7),
                Gen.Select(Gen.Double[-0.5, 0.5], Gen.Double[-1, 1]),
                Gen.Select(Gen.Double[5, 60], Gen.Double[-0.3, 0.3]).Array[1, 6],
                Gen.Select(Gen.Double[-1, 1], Gen.Double[-2, 2]).Array[40]
            )
            .Sample(
                (any, client, read, others) =>
                {
                    // Readings of some client's hair, off as an eye is off.
                    var of = any with
                    {
                        Coverage = 1,
                    };
                    var truth = new Lifting(
                        of with
                        {
                            Own = new OwnLift(Math.Exp(client.Item1), client.Item2, 0, 0, 0),
                        }
                    );
                    var readings = read.Select(r =>
                            (of, new Reading(new(r.Item1), Level.Clamp(truth.After(new(r.Item1)).Value + r.Item2)))
                        )
                        .ToArray();
                    var own = StrandTest.Fit(readings);
                    double Cost(double speed, double cap) =>
                        Math.Pow(Math.Log(speed) / OwnLift.Unread.SpeedSpread, 2)
                        + Math.Pow(cap / OwnLift.Unread.CapSpread, 2)
                        + readings.Sum(r =>
                            Math.Pow(
                                (
                                    new Lifting(of with { Own = own with { Speed = speed, CapLevels = cap } })
                                        .After(r.Item2.Minutes)
                                        .Value - r.Item2.Level.Value
                                ) / StrandTest.ReadingSpread,
                                2
                            )
                        );
                    var best = Cost(own.Speed, own.CapLevels);
                    Assert.True(own.Speed > 0 && double.IsFinite(own.SpeedSpread) && double.IsFinite(own.CapSpread));
                    Assert.InRange(own.Together, -1.000001, 1.000001);

                    // Near by: far away a level that can rise no further may hide another valley.
                    Assert.All(
                        others,
                        o =>
                            Assert.True(
                                Cost(own.Speed * Math.Exp(0.05 * o.Item1), own.CapLevels + 0.05 * o.Item2)
                                    >= best - 1e-5 * (1 + best)
                            )
                    );
                },
                iter: 300
            );
}
