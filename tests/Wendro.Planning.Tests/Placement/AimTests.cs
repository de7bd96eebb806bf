using CsCheck;
using Wendro.Blend;
using Wendro.Placement;
using Wendro.Plans;

namespace Wendro.Tests.Placement;

public sealed class AimTests
{
    private static readonly Goal Wanted = new(1, 0.25, 0.5, 0.6) { EndsLevel = new(8) };
    private static readonly Outcome Met = new(8, 0.35, 1.2, 0.5, 0, 14, 0.3, 0, 80, 60, 0);

    private static readonly Gen<Outcome> AnyOutcome =
        from ends in Gen.Double[4, 10]
        from share in Gen.Double[0, 1]
        from face in Gen.Double[-1, 3]
        from soft in Gen.Double[0, 3]
        from balance in Gen.Double[-1, 1]
        from weeks in Gen.Double[2, 40]
        from rest in Gen.Select(Gen.Double[0, 1], Gen.Double[-1, 2], Gen.Int[0, 200], Gen.Double[0, 180], Gen.Int[0, 6])
        select new Outcome(
            ends,
            share,
            face,
            soft,
            balance,
            weeks,
            rest.Item1,
            rest.Item2,
            rest.Item3,
            rest.Item4,
            rest.Item5
        );

    [Fact]
    public void What_she_wants_is_no_distance_away_and_each_goal_missed_adds_some()
    {
        Assert.Equal(0, Aim.Distance(Met, Wanted));
        Outcome[] missed =
        [
            Met with
            {
                EndsLevel = 7,
            },
            Met with
            {
                EndsLevel = null,
            },
            Met with
            {
                LightShare = 0.1,
            },
            Met with
            {
                LightShare = 0.8,
            },
            Met with
            {
                FaceFrameLift = 0.2,
            },
            Met with
            {
                RootSoftness = 1.5,
            },
            Met with
            {
                Balance = -0.6,
            },
            Met with
            {
                DarkHairline = 1.4,
            },
            Met with
            {
                BackLight = 0,
            },
        ];
        Each.Of(missed, o => Assert.True(Aim.Distance(o, Wanted) > 0.5, $"{o}"));
        Assert.Equal(1, Aim.Distance(Met with { EndsLevel = 8 + Aim.EndsWithin }, Wanted), 1e-9);
        Assert.Equal(1, Aim.Distance(Met with { RootSoftness = 0.6 + Aim.SoftnessWithin }, Wanted), 1e-9);
    }

    [Fact]
    public void Time_panels_and_trouble_never_make_a_score_better() =>
        Gen.Select(AnyOutcome, Gen.Enum<Strength>(), Gen.Double[0, 60], Gen.Int[0, 40], Gen.Int[0, 3])
            .Sample(
                (o, strength, minutes, panels, faults) =>
                    Assert.True(
                        Aim.Score(
                            o with
                            {
                                Minutes = o.Minutes + minutes,
                                Panels = o.Panels + panels,
                                Faults = o.Faults + faults,
                            },
                            Wanted,
                            strength
                        )
                            >= Aim.Score(o, Wanted, strength) - 1e-12
                    )
            );

    /// <summary>Names hold: nothing is called what another of the three is more, and no two are called alike.</summary>
    [Fact]
    public void What_is_found_is_called_what_it_is() =>
        Gen.Select(AnyOutcome, AnyOutcome, AnyOutcome)
            .Sample(
                (a, b, c) =>
                {
                    var found = Search.Assigned([Of(a), Of(b), Of(c)], Wanted);
                    Assert.Equal(
                        [Strength.Nearest, Strength.Soonest, Strength.SlowToGrowOut],
                        found.Select(f => f.Strength)
                    );
                    Assert.Equal(3, found.Select(f => f.Name).Distinct().Count());
                    Assert.Equal("Nearest to the look", found[0].Name);
                    Assert.Equal(found.Min(f => f.Distance), found[0].Distance);
                    var soonest = found.Min(f => f.Outcome.Minutes) + Words.MinutesThatCount;
                    var slowest = found.Max(f => f.Outcome.RegrowthWeeks) - Words.WeeksThatCount;
                    Each.Of(
                        found[1..],
                        f =>
                        {
                            var (isSoonest, isSlowest) = (
                                f.Outcome.Minutes <= soonest,
                                f.Outcome.RegrowthWeeks >= slowest
                            );
                            Assert.True(isSoonest || !f.Name.StartsWith("Soonest done", StringComparison.Ordinal));
                            Assert.True(isSlowest || !f.Name.EndsWith("lowest to grow out", StringComparison.Ordinal));
                            // One that is soonest or slowest is called so, unless the other is and was searched for it.
                            Assert.True(f.Name is not ("Another way" or "A third way") || !(isSoonest && isSlowest));
                        }
                    );
                }
            );

    [Theory]
    [InlineData(80, 14, 60, 12, 70, 16, "Soonest done", "Slowest to grow out")]
    [InlineData(80, 14, 70, 12, 60, 16, "Another way", "Soonest done and slowest to grow out")]
    [InlineData(50, 20, 70, 12, 60, 16, "Another way", "A third way")]
    [InlineData(80, 20, 60, 12, 70, 16, "Soonest done", "A third way")]
    public void A_name_says_what_is_so(
        double nearMinutes,
        double nearWeeks,
        double quickMinutes,
        double quickWeeks,
        double lastingMinutes,
        double lastingWeeks,
        string quick,
        string lasting
    )
    {
        Proposal[] all =
        [
            Of(Met with { Minutes = nearMinutes, RegrowthWeeks = nearWeeks }),
            Of(Met with { Minutes = quickMinutes, RegrowthWeeks = quickWeeks }),
            Of(Met with { Minutes = lastingMinutes, RegrowthWeeks = lastingWeeks }),
        ];
        Assert.Equal(["Nearest to the look", quick, lasting], Words.Named(all).Select(p => p.Name));
    }

    private static Proposal Of(Outcome o) =>
        new(Strength.Nearest, "", new Together([]), null!, o, o, Aim.Distance(o, Wanted), 0, [], []);

    [Fact]
    public void Each_strength_cares_for_its_own()
    {
        var quick = Met with { Minutes = 20, EndsLevel = 8.4 };
        Assert.True(Aim.Score(quick, Wanted, Strength.Soonest) < Aim.Score(Met, Wanted, Strength.Soonest));
        Assert.True(Aim.Score(quick, Wanted, Strength.Nearest) > Aim.Score(Met, Wanted, Strength.Nearest));
        var slow = Met with { RegrowthWeeks = 26 };
        Assert.True(Aim.Score(slow, Wanted, Strength.SlowToGrowOut) < Aim.Score(Met, Wanted, Strength.SlowToGrowOut));
        Assert.Equal(Aim.Score(Met, Wanted, Strength.Nearest), Aim.Score(slow, Wanted, Strength.Nearest));
    }
}
