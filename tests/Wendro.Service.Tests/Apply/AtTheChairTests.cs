using Wendro.Apply;
using Wendro.Blend;
using Wendro.Head;
using Wendro.Lift;
using Wendro.Mix;
using Wendro.Paint;
using Wendro.Plans;
using Wendro.Scheduling;
using Wendro.Section;
using Wendro.Units;
using Painted = Wendro.Apply.Painted;
using TakenBack = Wendro.Apply.TakenBack;

namespace Wendro.Tests.Apply;

/// <summary>What goes otherwise at the chair: a bowl gone, a panel more, a cover, heat, another who rinses.</summary>
public sealed class AtTheChairTests
{
    private static DateTimeOffset Start => ChairDay.Start;

    private static readonly Lazy<PlannedHead> Head = new(() =>
    {
        var edits = new PlanEdit[]
        {
            new CutZone(Zone.Nape, Parting.Horizontal, 22, 5, 8, false),
            new CutZone(Zone.LowerBack, Parting.Horizontal, 22, 5, 8, false),
            new PaintZone(Zone.LowerBack, PanelPaint.Usual with { StartCm = 9 }),
            new PaintZone(Zone.Nape, PanelPaint.Usual),
            new ClearPanels([new(Zone.Nape, 0, 1)]),
        };
        return edits.Aggregate(
            Given.Bare,
            (h, e) => h.After(h.Plan.Apply(e, Given.Cutting).Plan, Given.Usual, Given.Cutting)
        );
    });

    private static readonly Lazy<PlannedMix> Whole = new(() => MixOf(Head.Value));

    private static PlannedMix MixOf(PlannedHead head) => PlannedMix.Of(head, BenchRules.Usual, GenericProducts.All, []);

    private static PlannedMix Mix => Whole.Value;

    private static IReadOnlyList<PanelKey> Order => ServiceClock.StepsOf(Mix)[0].Panels;

    private static ServiceInHand Service(params (double Minute, ServiceFact Fact)[] facts) =>
        ServiceInHand.Of(ServiceClock.StepsOf(Mix), ChairDay.Kept(facts));

    private static ServiceClock At(double now, params (double Minute, ServiceFact Fact)[] facts) =>
        ServiceClock.Of(Mix, Service(facts), Start.AddMinutes(now));

    private static (double, ServiceFact)[] Begun(int panels, double each = 1) =>
        [
            (0, new Seated()),
            (0, new Mixed(FormulaId.A, 1)),
            .. Enumerable.Range(0, panels).Select(i => (each * (i + 1), (ServiceFact)new Painted(Order[i]))),
        ];

    [Fact]
    public void A_bowl_that_is_gone_is_mixed_anew_with_what_is_still_to_be_painted()
    {
        var before = At(5, Begun(4));
        var bowl = before.BowlOf(Order[4])!;
        var gone = At(5, [.. Begun(4), (4.5, new BowlGone(FormulaId.A, 1))]);
        Assert.Null(gone.MixedAt(bowl));
        Assert.True(gone.ToMixGrams(bowl) < bowl.Batch.Grams && gone.ToMixGrams(bowl) > gone.LeftGrams(bowl) * 0.99);
        Assert.Equal(bowl.Batch.Grams, At(0).ToMixGrams(bowl), 1e-9);
        // Mixing takes hands: all that waits comes later by it.
        var later = gone.OnClock[^1].PaintedAt - before.OnClock[^1].PaintedAt;
        Assert.True(later.TotalMinutes >= Mix.Bench.MixingMinutes - 1, $"{later}");
        Assert.Contains(ServiceDues.Of(gone), d => d.Kind == DueKind.Mix && d.Bowl == bowl.Number);
        var again = At(8, [.. Begun(4), (4.5, new BowlGone(FormulaId.A, 1)), (7, new Mixed(FormulaId.A, 1))]);
        Assert.Equal(Start.AddMinutes(7), again.MixedAt(bowl));
        Assert.NotEmpty(Service((0, new Seated())).Against(new BowlGone(FormulaId.A, 1)));
    }

    [Fact]
    public void A_panel_left_natural_is_painted_too_as_the_nearest_one_is_and_only_from_then_on()
    {
        var natural = Mix.Head.Panels.First(p => p.Coats.Count == 0 && p.Panel.Key.Zone == Zone.Nape).Panel.Key;
        var plan = AddedPanels.Into(Mix.Head, [natural], Given.Cutting);
        var head = Mix.Head.After(plan, Mix.Head.Looks, Given.Cutting);
        var paint = head.PanelOf(natural)!.Coats.Single().Painted.Paint;
        Assert.Equal(PanelPaint.Usual.StartCm, paint.StartCm);
        Assert.Equal(Order.Count + 1, head.Panels.Count(p => p.Coats.Count > 0));

        var facts = ChairDay.Kept([.. Begun(3), (4, new Added(natural)), (5, new Painted(natural))]);
        var steps = ServiceClock.StepsOf(MixOf(head));
        Assert.Contains(natural, steps[0].Panels);
        // Taps that were forgotten before it was said are not its own, wherever it lies.
        var upTo = ServiceInHand.Of(
            steps,
            ChairDay.Kept((0, new Seated()), (9, new PaintedUpTo(Order[^1])), (10, new Added(natural)))
        );
        Assert.Equal([natural], upTo.Waiting);
        var added = ServiceInHand.Of(steps, facts[..6]);
        Assert.Equal(natural, added.Next);
        Assert.Equal(Order.Count + 1, added.Order.Count);
        Assert.True(ServiceInHand.Of(steps, facts).StandOf(natural).IsOn);
        Assert.NotEmpty(added.Against(new Added(natural)));
        Assert.NotEmpty(added.Against(new Added(Order[5])));

        // Taken back, it is as if it had never been said.
        var back = ServiceInHand.Of(
            ServiceClock.StepsOf(Mix),
            [.. facts[..6], new(7, Start.AddMinutes(6), new TakenBack(6))]
        );
        Assert.Equal(Order, back.Order);
    }

    [Fact]
    public void What_is_painted_anyway_or_not_in_the_frame_cannot_be_painted_too()
    {
        Assert.False(AddedPanels.CanBe(Mix.Head, Order[0]));
        Assert.False(AddedPanels.CanBe(Mix.Head, new(Zone.Nape, 90, 0)));
        Assert.False(AddedPanels.CanBe(Given.Bare, Given.Bare.Panels[0].Panel.Key));
        Assert.Equal(Mix.Head.Plan, AddedPanels.Into(Mix.Head, [Order[0], new(Zone.Nape, 90, 0)], Given.Cutting));
    }

    [Fact]
    public void Film_laid_over_what_is_on_brings_it_there_sooner_and_only_there()
    {
        var open = At(12, Begun(6));
        var covered = At(12, [.. Begun(6), (11, new Covered([Order[0], Order[1]], Covering.Film))]);
        Assert.True(covered.OnClock[0].FromAt < open.OnClock[0].FromAt, "it works on where it would have dried");
        Assert.True(covered.OnClock[0].Window!.Reaches >= open.OnClock[0].Window!.Reaches);
        Assert.Equal(open.OnClock[0].Window!.Target, covered.OnClock[0].Window!.Target);
        Assert.Equal(open.OnClock[5].ToAt, covered.OnClock[5].ToAt);
        Assert.Equal(Covering.Film, covered.Service.StandOf(Order[0]).Covering);
        Assert.NotEmpty(covered.Service.Against(new Covered([], Covering.Film)));
        Assert.NotEmpty(covered.Service.Against(new Covered([Order[7]], Covering.Film)));
        var opened = At(
            13,
            [.. Begun(6), (11, new Covered([Order[0]], Covering.Film)), (12, new Covered([Order[0]], Covering.Open))]
        );
        Assert.Equal(Covering.Open, opened.Service.StandOf(Order[0]).Covering);
    }

    [Fact]
    public void Heat_that_was_never_on_is_not_counted_and_counts_from_when_it_is()
    {
        var warm = MixOf(
            Head.Value.After(
                Head.Value.Plan.Apply(
                    new SetFormula(Head.Value.Plan.Formulas[0] with { LowHeat = true, HeatConfirmed = true }),
                    Given.Cutting
                ).Plan,
                Given.Usual,
                Given.Cutting
            )
        );
        DateTimeOffset FromAt(params (double, ServiceFact)[] more) =>
            ServiceClock
                .Of(
                    warm,
                    ServiceInHand.Of(ServiceClock.StepsOf(warm), ChairDay.Kept([.. Begun(3), .. more])),
                    Start.AddMinutes(16)
                )
                .OnClock[0]
                .FromAt!.Value;
        var never = FromAt();
        var late = FromAt((12, new Heated(true)));
        var soon = FromAt((1, new Heated(true)));
        var off = FromAt((1, new Heated(true)), (4, new Heated(false)));
        Assert.True(soon < late && late < never, $"{soon} {late} {never}");
        Assert.True(off > late, $"{off} {late}");
    }

    [Fact]
    public void A_look_at_what_was_covered_expects_what_the_cover_does()
    {
        var minute = 30.0;
        var facts = Begun(3);
        var open = At(minute, [.. facts, (minute, new Looked(Order[0], new Level(6)))]).Told[0];
        var covered = At(
            minute,
            [.. facts, (5, new Covered([Order[0]], Covering.Film)), (minute, new Looked(Order[0], new Level(6)))]
        ).Told[0];
        Assert.True(covered.Expected > open.Expected + 0.05, $"{covered.Expected} {open.Expected}");
        // The same level after more was done to it: slower hair.
        Assert.True(covered.Own.Speed < open.Own.Speed);
        // Covered afterwards, it changes nothing of what was expected then.
        var after = At(
            minute + 3,
            [
                .. facts,
                (minute, new Looked(Order[0], new Level(6))),
                (minute + 1, new Covered([Order[0]], Covering.Film)),
            ]
        ).Told[0];
        Assert.Equal(open.Expected, after.Expected, 1e-9);
        Assert.Equal(open.Own.Speed, after.Own.Speed, 1e-9);
    }

    [Fact]
    public void Where_somebody_rinses_nothing_waits_for_a_rinse_and_every_panel_is_painted_before_its_own()
    {
        // Painted so slowly that the first must be rinsed before the last is painted.
        var facts = Begun(6, 5);
        var alone = At(30, facts);
        var beside = At(30, [.. facts, (30, new AssistantChanged(2, Help.Rinses))]);
        Assert.True(beside.OnClock[^1].PaintedAt <= alone.OnClock[^1].PaintedAt);
        var on = beside.OnClock.ToDictionary(p => p.Panel);
        Assert.Equal(Order.ToHashSet(), beside.Rinses.SelectMany(w => w.Panels).ToHashSet());
        foreach (var rinse in beside.Rinses)
        {
            Assert.All(
                rinse.Panels.Select((p, j) => (p, At: rinse.StartsAt.AddMinutes(ScheduleProblem.UsualSlot(j)))),
                x => Assert.True(x.At >= on[x.p].PaintedAt.AddMilliseconds(-1), $"{x.p} is rinsed before it is painted")
            );
        }

        for (var i = 1; i < beside.Rinses.Count; i++)
        {
            Assert.True(beside.Rinses[i].StartsAt >= beside.Rinses[i - 1].EndsAt.AddSeconds(-1), "two waves at once");
        }

        // A wave under way holds nobody's brush.
        (double, ServiceFact) rinse1 = (31, new RinseBegun([Order[0], Order[1]]));
        var held = At(32, [.. facts, rinse1]);
        var free = At(32, [.. facts, (30, new AssistantChanged(2, Help.Rinses)), rinse1]);
        Assert.True(held.OnClock[6].BegunAt > free.OnClock[6].BegunAt);
        Assert.True(free.Rinses.Count == 0 || free.Rinses[0].StartsAt >= free.RinseEndsAt!.Value.AddSeconds(-1));
    }

    [Fact]
    public void Somebody_who_mixes_takes_that_from_the_hands_and_paints_nothing()
    {
        var alone = At(0, (0, new Seated()));
        var mixes = At(0, (0, new Seated()), (0, new AssistantChanged(2, Help.Mixes)));
        Assert.Equal(alone.SecondsOf(Order[0]), mixes.SecondsOf(Order[0]), 1e-9);
        Assert.Equal(Mix.Bench.MixingMinutes, (alone.OnClock[0].BegunAt - mixes.OnClock[0].BegunAt).TotalMinutes, 1e-6);
        Assert.Null(
            Service((0, new Seated()), (0, new AssistantChanged(2, Help.Mixes)), (1, new AssistantChanged(1))).Help
        );
    }

    [Fact]
    public void While_it_burns_nothing_is_painted_even_where_somebody_rinses()
    {
        var burning = Service([
            .. Begun(3),
            (4, new AssistantChanged(2, Help.Rinses)),
            (5, new ComfortReported(Comfort.Burning)),
            (5.2, new RinseBegun(Order.Take(3).ToArray())),
        ]);
        Assert.NotEmpty(burning.Against(new Painted(Order[3])));
        Assert.NotEmpty(burning.Against(new Added(Order[3])));
        Assert.Contains("burns", burning.Against(new Recoated(Order[0]))[0].Message, StringComparison.Ordinal);
        Assert.Contains("burns", burning.Against(new AreaLaid())[0].Message, StringComparison.Ordinal);
        Assert.Empty(burning.Against(new RinseEnded()));
    }
}
