using CsCheck;
using Wendro.Core.Blend;
using Wendro.Core.Placement;
using Wendro.Core.Plans;

namespace Wendro.Core.Tests.Placement;

public sealed class AimTests
{
    private static readonly Wish Wanted = new(1, 0.25, 0.5, 0.6) { EndsLevel = new(8) };
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
    public void What_she_wants_is_no_distance_away_and_each_wish_missed_adds_some()
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

    /// <summary>Names hold: nothing is called slowest to grow out that shows its regrowth weeks before the other.</summary>
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
                    Assert.Equal(found.Min(f => f.Distance), found[0].Distance);
                    var (soonest, slowest) = (found[1].Outcome, found[2].Outcome);
                    Assert.True(soonest.RegrowthWeeks <= slowest.RegrowthWeeks + Words.WeeksThatCount);
                    if (slowest.RegrowthWeeks <= soonest.RegrowthWeeks + Words.WeeksThatCount)
                    {
                        Assert.True(
                            Aim.Score(soonest, Wanted, Strength.Soonest) <= Aim.Score(slowest, Wanted, Strength.Soonest)
                        );
                    }
                }
            );

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
