using CsCheck;
using Wendro.Blend;
using Wendro.Hair;
using Wendro.Head;
using Wendro.Paint;
using Wendro.Placement;
using Wendro.Plans;

namespace Wendro.Tests.Placement;

public sealed class SearchTests
{
    private static readonly Goal Wanted = new(0.8, 0.25, 0.45, 0.6) { EndsLevel = new(8) };

    private static IReadOnlyList<Proposal> Found(
        Plan plan,
        Action<Progress>? told = null,
        CancellationToken cancellationToken = default
    ) => Search.Of(plan, Given.Usual, Given.Cutting, HouseRules.Usual, told, cancellationToken);

    [Fact]
    public void The_nearest_is_the_nearest_found_whatever_it_was_searched_for() =>
        Gen.Select(Gen.Int[1, 99], Gen.Double[6.5, 9], Gen.Double[0, 1.5], Gen.Double[0.3, 1])
            .Sample(
                (seed, ends, face, soft) =>
                {
                    var goal = Wanted with { EndsLevel = new(ends), FaceFrameLift = face, RootSoftness = soft };
                    var found = Found(Plan.Fresh(seed) with { Goal = goal });
                    Assert.Equal(found.Min(f => f.Distance), found[0].Distance);
                    Assert.Equal(3, found.Select(f => f.Strength).Distinct().Count());
                },
                iter: 3
            );

    [Fact]
    public void Three_different_proposals_come_near_the_look_and_the_same_seed_finds_the_same()
    {
        var plan = Plan.Fresh(4) with { Goal = Wanted };
        var told = new List<Progress>();
        var found = Found(
            plan,
            p =>
            {
                lock (told)
                {
                    told.Add(p);
                }
            }
        );
        Assert.Equal([Strength.Nearest, Strength.Soonest, Strength.SlowToGrowOut], found.Select(f => f.Strength));
        Assert.Equal(
            3,
            found
                .Select(f => System.Text.Json.JsonSerializer.Serialize(f.Head.Plan.Zones.Values.Select(z => z.Usual)))
                .Distinct()
                .Count()
        );
        Assert.Empty(found[0].Unmet);
        Assert.True(found[0].Distance < 1, $"{found[0].Distance:0.00}");

        // None is called soonest or slowest where another is, by what counts.
        Assert.InRange(found[1].Outcome.Minutes, 0, found[0].Outcome.Minutes + Words.MinutesThatCount);
        Assert.InRange(
            found[2].Outcome.RegrowthWeeks,
            found[1].Outcome.RegrowthWeeks - Words.WeeksThatCount,
            double.MaxValue
        );
        Each.Of(found, f => Assert.NotEmpty(f.GivesUp));
        Each.Of(
            found,
            f =>
                Assert.DoesNotContain(
                    f.Head.Findings,
                    x =>
                        new[] { BlendFault.ScalpContact, BlendFault.CrownTooHigh, BlendFault.BleedThrough }.Contains(
                            x.Kind
                        )
                )
        );
        Assert.Contains(told, t => t.Share is > 0 and < 1);
        Assert.True(told[^1].Share >= 1);
        Assert.InRange(told.Max(t => t.Evaluations), 5_001, int.MaxValue);

        // The edit is the proposal: applied by the one door it gives the plan that was judged.
        foreach (var f in found)
        {
            var applied = plan.Apply(f.Edit, Given.Cutting);
            Assert.Empty(applied.Problems);
            Assert.Equal(
                Proposal.OutcomeOf(f.Head),
                Proposal.OutcomeOf(PlannedHead.Of(Given.Usual, Given.Cutting, applied.Plan))
            );
            Assert.True(
                Aim.Score(f.Outcome, Wanted, f.Strength)
                    < Aim.Score(
                        Proposal.OutcomeOf(PlannedHead.Of(Given.Usual, Given.Cutting, plan)),
                        Wanted,
                        f.Strength
                    )
            );
        }

        Assert.Equal(found.Select(f => f.Outcome), Found(plan).Select(f => f.Outcome));
    }

    [Fact]
    public void What_is_looked_up_stands_close_to_what_the_whole_head_gives()
    {
        // The search adds up zones from every second strand; what it proposes is judged in full. The two must not drift apart.
        foreach (var f in Found(Plan.Fresh(2) with { Goal = Wanted }))
        {
            var (quick, whole) = (f.LookedUp, f.Outcome);
            Assert.Equal((whole.Panels, whole.Minutes), (quick.Panels, Math.Round(quick.Minutes, 9)), Closely);
            Assert.True(
                Math.Abs(quick.EndsLevel!.Value - whole.EndsLevel!.Value) < 0.3,
                $"ends {quick.EndsLevel:0.00} {whole.EndsLevel:0.00}"
            );
            Assert.True(
                Math.Abs(quick.LightShare - whole.LightShare) < 0.03,
                $"light {quick.LightShare:0.000} {whole.LightShare:0.000}"
            );
            Assert.True(
                Math.Abs(quick.FaceFrameLift - whole.FaceFrameLift) < 0.25,
                $"face {quick.FaceFrameLift:0.00} {whole.FaceFrameLift:0.00}"
            );
            Assert.True(
                Math.Abs(quick.BackLight - whole.BackLight) < 0.04,
                $"back {quick.BackLight:0.000} {whole.BackLight:0.000}"
            );
            Assert.True(
                Math.Abs(quick.DarkHairline - whole.DarkHairline) < 0.25,
                $"hairline {quick.DarkHairline:0.00} {whole.DarkHairline:0.00}"
            );
            Assert.True(
                Math.Abs(quick.RootSoftness - whole.RootSoftness) < 0.25,
                $"softness {quick.RootSoftness:0.00} {whole.RootSoftness:0.00}"
            );
            Assert.True(
                Math.Abs(quick.Balance - whole.Balance) < 0.2,
                $"sides {quick.Balance:0.00} {whole.Balance:0.00}"
            );
        }
    }

    private static bool Closely((int Panels, double Minutes) a, (int Panels, double Minutes) b) =>
        a.Panels == b.Panels && Math.Abs(a.Minutes - b.Minutes) < 1e-6;

    [Fact]
    public void What_cannot_be_met_is_said_with_its_reason()
    {
        var (looks, cutting) = Given.Looks(
            HairProfile.Usual with
            {
                NaturalLevel = new(1.5),
                Diameter = Diameter.Coarse,
                Porosity = Porosity.Low,
            }
        );
        var found = Search.Of(
            Plan.Fresh() with
            {
                Goal = Wanted with { EndsLevel = new(10) },
            },
            looks,
            cutting,
            HouseRules.Usual
        );
        Each.Of(
            found,
            f =>
            {
                var ends = Assert.Single(f.Unmet, u => u.Goal == "ends");
                Assert.Equal(10, ends.Wanted);
                Assert.True(ends.Reached < 9.5);
                Assert.True(ends.Because.Length > 20);
            }
        );
    }

    [Fact]
    public void Stopped_at_once_it_still_gives_the_best_so_far()
    {
        using var stop = new CancellationTokenSource();
        stop.Cancel();
        var found = Found(Plan.Fresh() with { Goal = Wanted }, null, stop.Token);
        Assert.Equal(3, found.Count);
    }

    [Fact]
    public void Zones_left_out_stay_out_and_underneath_is_left_where_she_does_not_want_it()
    {
        var plan = Plan.Fresh() with { Goal = Wanted with { Underneath = false } };
        plan = plan.Apply(new ExcludeZone(Zone.Crown, "a scar"), Given.Cutting).Plan;
        Each.Of(
            Found(plan),
            f =>
            {
                Assert.NotNull(f.Head.Plan.Zones[Zone.Crown].Excluded);
                Assert.Empty(f.Head.Plan.Zones[Zone.Nape].Paint);
                Assert.Empty(f.Head.Plan.Zones[Zone.LowerBack].Paint);
            }
        );
    }
}
