using CsCheck;
using Wendro.Blend;
using Wendro.Head;
using Wendro.Lift;
using Wendro.Mix;
using Wendro.Paint;
using Wendro.Plans;
using Wendro.Section;
using Wendro.Timing;
using Wendro.Units;

namespace Wendro.Tests.Plans;

/// <summary>What was laid otherwise lies over the plan, coat by coat; what came out is measured as a plan is.</summary>
public sealed class ActualApplicationTests
{
    private static readonly PlannedHead Painted = PlannedHead.Of(
        Given.Usual,
        Given.Cutting,
        Plan.Fresh().Apply(new PaintZone(Zone.UpperBack, Given.Soft), Given.Cutting).Plan
    );

    private static readonly PlannedPanel One = Painted.Panels.First(p => p.Coats.Count > 0);

    private static PlannedHead As(ActualApplication laid) =>
        PlannedHead.Of(Given.Usual, Given.Cutting, Painted.Plan, laid);

    [Fact]
    public void A_moment_of_the_work_counts_from_each_coats_own_laying()
    {
        var late = new Exposure(new(20), new(40));
        Assert.Equal(0, Moment.OfTheWork(new(15)).Worked(late));
        Assert.Equal(5, Moment.OfTheWork(new(25)).Worked(late));
        Assert.Equal(25, Moment.At(new(25)).Worked(late));
        Assert.Equal(40, Moment.Rinsed.Worked(late));
        Assert.Equal(0, Moment.Before.Worked(late));
    }

    [Fact]
    public void A_panel_rinsed_early_stays_darker_and_no_other_strand_changes()
    {
        var early = As(ActualApplication.Planned.With(One.Panel.Key, 0, new CoatOverride(Works: Exposure.Lasting(5))));
        var number = Array.IndexOf(Painted.Panels.Select(p => p.Panel.Key).ToArray(), One.Panel.Key);
        var mine = Painted.Map.StrandsOf[number].ToHashSet();
        Assert.True(
            early.PanelOf(One.Panel.Key)!.MeanLevel(early.Hair, Moment.Rinsed)
                < One.MeanLevel(Painted.Hair, Moment.Rinsed) - 0.05
        );
        Each.Of(
            Enumerable.Range(0, Painted.Levels.Length).Where(i => early.Levels[i] != Painted.Levels[i]),
            i => Assert.Contains(i / Wendro.Fall.Places.Count, mine)
        );
        Assert.Same(Painted.Plan, early.Plan);
    }

    [Fact]
    public void One_after_another_or_at_once_the_same_head_comes_of_it()
    {
        var weak = new CoatOverride(Formula.Usual with { Volume = new(10) });
        var keys = Painted.Panels.Where(p => p.Coats.Count > 0).Select(p => p.Panel.Key).Take(3).ToArray();
        var all = keys.Aggregate(ActualApplication.Planned, (laid, k) => laid.With(k, 0, weak));
        var step = Painted;
        var laid = ActualApplication.Planned;
        foreach (var key in keys)
        {
            laid = laid.With(key, 0, weak);
            step = step.After(Painted.Plan, Given.Usual, Given.Cutting, laid);
        }

        Assert.Equal(As(all).Levels, step.Levels);
        Assert.Equal(As(all).Measures.MeanLevel, step.Measures.MeanLevel, 1e-12);
        Assert.Equal(Painted.Levels, step.After(Painted.Plan, Given.Usual, Given.Cutting).Levels);
    }

    [Fact]
    public void What_is_known_of_a_coat_is_kept_when_more_is_learnt()
    {
        var weak = Formula.Usual with { Volume = new(10) };
        var coat = ActualApplication
            .Planned.With(One.Panel.Key, 0, new CoatOverride(weak))
            .With(One.Panel.Key, 0, new CoatOverride(Works: Exposure.Lasting(7)))
            .Coat(One.Panel.Key, 0, One.Painted!, One.Formula!);
        Assert.Equal((weak, 7), (coat.Formula, coat.Works.For.Value));
        Assert.Equal(
            Coat.Planned(One.Painted!, One.Formula!),
            ActualApplication.Planned.Coat(One.Panel.Key, 0, One.Painted!, One.Formula!)
        );
    }

    [Fact]
    public void What_came_out_is_measured_and_judged_as_a_plan_with_the_same_levels_is()
    {
        var weaker = As(
            Painted.Panels.Aggregate(
                ActualApplication.Planned,
                (laid, p) => laid.With(p.Panel.Key, 0, new CoatOverride(Works: Exposure.Lasting(8)))
            )
        );
        var cameOut = HeadLevels.Of(Painted.Reached.On, weaker.Reached.Hair);
        Assert.Equal(weaker.Measures.MeanLevel, cameOut.Measures.MeanLevel);
        Assert.Equal(weaker.Measures.EndsLevel, cameOut.Measures.EndsLevel);
        Assert.Equal(weaker.Drawn, cameOut.Drawn);
        Assert.NotEqual(Painted.Measures.MeanLevel, cameOut.Measures.MeanLevel);
        Assert.Equal(
            weaker.Card(12).Select(l => (l.Measure, l.Value)),
            Painted.CardOf(cameOut, 12).Select(l => (l.Measure, l.Value))
        );
        Assert.NotEqual(Painted.Card(12).Select(l => l.Value), Painted.CardOf(cameOut, 12).Select(l => l.Value));
    }

    [Fact]
    public void Coats_are_timed_as_bowls_and_panels_follow_one_another()
    {
        var mix = PlannedMix.Of(Painted, BenchRules.Usual, GenericProducts.All, []);
        var timed = As(mix.AsTimed());
        Each.Of(mix.Timeline.Turns, t => Assert.Equal(t.To, timed.PanelOf(t.Panel)!.Coats[0].Works.From.Value, 1e-9));
        Assert.Equal(Painted.Levels, timed.Levels);

        var soon = new Minutes(mix.Timeline.Turns[0].To + 4);
        var drawn = timed.DrawnAt(Moment.OfTheWork(soon));
        Assert.NotEqual(timed.DrawnAt(Moment.Before), drawn);
        Assert.NotEqual(Painted.DrawnAt(Moment.At(soon)), drawn);
        Assert.Equal(timed.Drawn, timed.DrawnAt(Moment.OfTheWork(new(500))));
    }
}
