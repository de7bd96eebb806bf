using CsCheck;
using Wendro.Apply;
using Wendro.Head;
using Wendro.Lift;
using Wendro.Mix;
using Wendro.Paint;
using Wendro.Plans;
using Wendro.Scheduling;
using Wendro.Section;
using Wendro.Units;

namespace Wendro.Tests.Apply;

/// <summary>A whole visit on the clock before it begins, and the ways through it side by side.</summary>
public sealed class ServiceOptionsTests
{
    private static readonly Zone[] BackToFront =
    [
        Zone.Nape,
        Zone.LowerBack,
        Zone.UpperBack,
        Zone.Crown,
        Zone.TopLeft,
        Zone.TopRight,
        Zone.SideLeft,
        Zone.SideRight,
        Zone.FaceFrameLeft,
        Zone.FaceFrameRight,
    ];

    private static PlannedMix Mixed(params PlanEdit[] edits)
    {
        var head = edits.Aggregate(
            Given.Bare,
            (h, e) => h.After(h.Plan.Apply(e, Given.Cutting).Plan, Given.Usual, Given.Cutting)
        );
        return PlannedMix.Of(head, BenchRules.Usual, GenericProducts.All, []);
    }

    private static PlanEdit[] Painted(double thicknessMm, double widthCm, params Zone[] zones) =>
        [
            .. zones.Select(z => (PlanEdit)new CutZone(z, Parting.Horizontal, thicknessMm, widthCm, 8, false)),
            .. zones.Select(z => (PlanEdit)new PaintZone(z, PanelPaint.Usual with { SpreadCm = 1.5 })),
        ];

    private static readonly Lazy<PlannedMix> Back = new(() => Mixed(Painted(22, 5, Zone.Nape, Zone.LowerBack)));

    /// <summary>Quick product on many panels: the back is over long before the front is painted.</summary>
    private static readonly Lazy<PlannedMix> Quick = new(() =>
        Mixed([
            new SetFormula(Formula.Lightening(FormulaId.A, Lightener.Powder, 30, 14)),
            .. Painted(22, 5, BackToFront),
        ])
    );

    /// <summary>Strong clay for a short time: a weaker one gets there, too, and later.</summary>
    private static readonly Lazy<PlannedMix> Strong = new(() =>
        Mixed([new SetFormula(Formula.Lightening(FormulaId.A, Lightener.Clay, 40, 25)), .. Painted(30, 6, BackToFront)])
    );

    /// <summary>It dries before it is what was planned, on more panels than hands can rinse then.</summary>
    private static readonly Lazy<PlannedMix> Dries = new(() =>
        Mixed([
            new SetFormula(Formula.Lightening(FormulaId.A, Lightener.Powder, 20, 30)),
            .. Painted(10, 3, Zone.LowerBack, Zone.UpperBack),
        ])
    );

    [Fact]
    public void A_visit_is_painted_rinsed_washed_and_read_and_each_panel_once()
    {
        var visit = VisitOnClock.Of(Back.Value);
        var step = Assert.Single(visit.Steps);
        Assert.Equal(Back.Value.Bench.MixingMinutes, step.Panels[0].BegunAt, 1e-6);
        Assert.Empty(visit.Outside);
        Assert.Equal(step.Panels.Count, visit.Rinses.Sum(w => w.Panels.Count));
        Each.Of(step.Panels, p => Assert.InRange(p.RinsedAt!.Value, p.FromAt!.Value - 1e-3, p.ToAt!.Value + 1e-3));
        Assert.Equal(visit.Rinses.Last().FreedAt + 19, visit.Minutes, 1e-9);
    }

    [Fact]
    public void Hands_mix_paint_rinse_and_wash_and_are_free_while_lightener_works()
    {
        var visit = VisitOnClock.Of(Back.Value);
        var hands = VisitStaffing.Of(visit);
        Assert.Equal(
            [HandWork.Mix, HandWork.Paint, HandWork.Rinse, HandWork.Wash, HandWork.Read],
            hands.Select(h => h.Does).Distinct()
        );
        Each.Of(hands.Zip(hands.Skip(1)), h => Assert.True(h.First.To <= h.Second.From + 1e-9));
        Each.Of(hands, h => Assert.True(h.From >= 0 && h.To > h.From));
        Assert.Equal(visit.Minutes, hands[^1].To, 1e-9);
        // From the last stroke to the first rinse nobody is at it.
        var painted = visit.Steps[0].Panels.Max(p => p.PaintedAt);
        var rinsed = visit.Rinses.First().StartsAt;
        Assert.True(rinsed > painted + 5);
        Assert.DoesNotContain(hands, h => h.From < rinsed - 1e-9 && h.To > painted + 1e-9);
        Each.Of(visit.Steps[0].Panels, p => Assert.Contains(hands, h => h.From <= p.BegunAt && h.To >= p.PaintedAt));
    }

    [Fact]
    public void Sheets_out_and_teasing_worked_free_take_their_time_before_washing()
    {
        var open = VisitOnClock.Of(Back.Value);
        Assert.Equal(open.Rinses.Last().EndsAt, open.Rinses.Last().FreedAt, 1e-9);
        var keys = open.Steps[0].Panels.Select(p => p.Panel).ToArray();

        double Freed(params PlanEdit[] edits)
        {
            var mix = Mixed([.. Painted(22, 5, Zone.Nape, Zone.LowerBack), .. edits]);
            return CoverRemoval.Of(mix.Head).Minutes(mix.Head.Panels.Select(p => p.Panel.Key));
        }

        Assert.Equal(keys.Length * 10 / 60.0, Freed(new SetCovering(keys, Covering.Foil)), 1e-9);
        var rows = keys.Select(k => (k.Zone, k.Row)).Distinct().Count();
        Assert.Equal(rows * 10 / 60.0, Freed(new SetCovering(keys, Covering.Film)), 1e-9);
        Assert.InRange(Freed(new SetHandling(keys, Teasing: Teasing.Light)), 1, 12.5);
    }

    [Fact]
    public void Hands_free_a_rinse_before_they_paint_on_or_begin_the_next()
    {
        var quick = VisitOnClock.Of(Quick.Value);
        var keys = quick.Steps[0].Panels.Select(p => p.Panel).ToArray();
        var teased = VisitOnClock.Of(
            Mixed([
                new SetFormula(Formula.Lightening(FormulaId.A, Lightener.Powder, 30, 14)),
                .. Painted(22, 5, BackToFront),
                new SetHandling(keys, Teasing: Teasing.Light),
            ])
        );
        var rinses = teased.Rinses.ToArray();
        Assert.True(rinses.Length > 1, $"{rinses.Length} wave");
        Each.Of(rinses, w => Assert.True(w.FreedAt > w.EndsAt));
        Each.Of(rinses.Zip(rinses.Skip(1)), w => Assert.True(w.First.FreedAt <= w.Second.StartsAt + 1e-9));
        Each.Of(
            teased.Steps[0].Panels,
            p => Assert.DoesNotContain(rinses, w => p.BegunAt < w.FreedAt - 1e-6 && p.PaintedAt > w.StartsAt + 1e-6)
        );
        var hands = VisitStaffing.Of(teased);
        Each.Of(hands.Zip(hands.Skip(1)), h => Assert.True(h.First.To <= h.Second.From + 1e-9));
        Assert.Equal(hands[^1].To, teased.Minutes, 1e-9);
    }

    [Fact]
    public void A_plan_that_is_rinsed_once_is_so_on_every_clock_and_rinses_are_offered()
    {
        var once = Mixed([
            new SetFormula(Formula.Lightening(FormulaId.A, Lightener.Powder, 30, 14)),
            .. Painted(22, 5, BackToFront),
            new SetRinse(Rinsing.Once),
        ]);
        var visit = VisitOnClock.Of(once);
        Assert.Single(visit.Rinses);
        // Instants are whole ticks.
        Assert.True(visit.Rinses.First().StartsAt >= visit.Steps[0].Panels.Max(p => p.PaintedAt) - 1e-6);
        var ways = ServiceOptions.Of(once, Given.Cutting);
        var rinses = Assert.Single(ways.Ways, w => w.Kind == ServiceOptionKind.InRinses);
        Assert.Equal(new SetRinse(Rinsing.InRinses), rinses.Edit);
        var quick = VisitOnClock.Of(Quick.Value);
        Assert.Equal(quick.Minutes, rinses.Visit.Minutes, 1e-9);
        Assert.Equal(quick.Rinses.Count(), rinses.Visit.Rinses.Count());
        Assert.DoesNotContain(ways.Ways, w => w.Kind == ServiceOptionKind.AtOnce);
        // Too much is over by then: what frees it is told, and the best is not to rinse once.
        Assert.True(visit.Outside.Count > 0);
        Assert.NotEqual(ServiceOptionKind.AsPlanned, ways.Best.Kind);
        Assert.Contains(ways.FreedBy, f => f.Edit is SetRinse);
    }

    [Fact]
    public void Two_pairs_of_hands_are_done_sooner()
    {
        var (one, two) = (VisitOnClock.Of(Quick.Value), VisitOnClock.Of(Quick.Value, Help.Paints));
        Assert.True(two.Steps[0].Panels.Max(p => p.PaintedAt) < 0.6 * one.Steps[0].Panels.Max(p => p.PaintedAt) + 5);
    }

    [Fact]
    public void Every_way_is_made_on_the_plan_and_its_edit_makes_the_same_again()
    {
        var ways = ServiceOptions.Of(Quick.Value, Given.Cutting);
        Assert.Equal(ServiceOptionKind.AsPlanned, ways.Ways[0].Kind);
        foreach (var way in ways.Ways.Where(w => w.Edit is not null))
        {
            var again = Mixed([
                new SetFormula(Formula.Lightening(FormulaId.A, Lightener.Powder, 30, 14)),
                .. Painted(22, 5, BackToFront),
                way.Edit!,
            ]);
            var visit = VisitOnClock.Of(again);
            Assert.Equal(way.Visit.Minutes, visit.Minutes, 1e-9);
            Assert.Equal(way.Visit.Outside.Count, visit.Outside.Count);
            Assert.Equal(way.Bowls, again.Bowls.Count);
        }
    }

    [Fact]
    public void Weaker_first_mixes_nothing_stronger_than_planned_and_strength_rises_towards_the_front()
    {
        var ways = ServiceOptions.Of(Strong.Value, Given.Cutting);
        var rising = Assert.Single(ways.Ways, w => w.Kind == ServiceOptionKind.ByDeveloper);
        Assert.True(rising.Volumes.Count is 2 or 3);
        Assert.True(rising.Volumes[^1] <= 40);
        var volumes = rising
            .Visit.Steps[0]
            .Panels.Select(p => rising.Visit.Mix.Head.PanelOf(p.Panel)!.Coats[0].Formula.Volume.Value)
            .ToArray();
        Assert.Equal(volumes.Order(), volumes);
        Assert.Single(rising.Visit.Rinses);

        // What comes out is what was planned: only how it gets there differs.
        Assert.InRange(rising.LevelsApart, 0, 0.25);

        // Rinsed at once, more panels are in time than with one strength.
        Assert.True(rising.Visit.Outside.Count < VisitOnClock.Of(Strong.Value, rinsing: Rinsing.Once).Outside.Count);
    }

    [Fact]
    public void One_strength_is_the_mildest_that_reaches_all_of_it()
    {
        var two = Mixed([
            new SetFormula(Formula.Lightening(FormulaId.A, Lightener.Clay, 40, 30)),
            new SetFormula(Formula.Lightening(FormulaId.B, Lightener.Clay, 30, 30)),
            .. Painted(30, 6, Zone.Nape, Zone.LowerBack),
            new PaintZone(Zone.Nape, PanelPaint.Usual with { Formula = FormulaId.B }),
        ]);
        var way = Assert.Single(ServiceOptions.Of(two, Given.Cutting).Ways, w => w.Kind == ServiceOptionKind.ByRinse);
        Assert.Single(way.Volumes);
        Assert.True(way.Volumes[0] <= 30);
        Assert.DoesNotContain(
            ServiceOptions.Of(Back.Value, Given.Cutting).Ways,
            w => w.Kind == ServiceOptionKind.ByRinse
        );
    }

    [Fact]
    public void What_frees_panels_was_tried_and_leaves_fewer_outside()
    {
        var ways = ServiceOptions.Of(Dries.Value, Given.Cutting);
        var outside = ways.AsPlanned.Visit.Outside.Count;
        Assert.True(outside > 0);
        Assert.NotNull(ways.Conflict);
        Assert.InRange(ways.FreedBy.Count, 1, 6);
        Each.Of(ways.FreedBy, f => Assert.True(f.Visit.Outside.Count < outside));
        Assert.Equal(
            ways.FreedBy.Select(f => f.Visit.Outside.Count).Order(),
            ways.FreedBy.Select(f => f.Visit.Outside.Count)
        );

        // Taken, each does what it was said to do: in waves, as the service will go.
        foreach (var freed in ways.FreedBy.Where(f => f.Edit is not null))
        {
            var again = VisitOnClock.Of(Dries.Value.After(freed.Edit!, Given.Cutting)!);
            Assert.Equal(freed.Visit.Outside.Count, again.Outside.Count);
            Assert.Equal(freed.Visit.Minutes, again.Minutes, 1e-9);
        }

        // Nothing stronger than planned, unless nothing else fits.
        if (ways.FreedBy.Any(f => !f.IsStronger && f.Visit.Outside.Count == 0))
        {
            Assert.DoesNotContain(ways.FreedBy, f => f.IsStronger);
        }
    }

    [Fact]
    public void The_best_way_can_be_taken_is_no_stronger_and_has_fewest_outside_then_least_time()
    {
        foreach (var mix in new[] { Back.Value, Quick.Value, Strong.Value, Dries.Value })
        {
            var ways = ServiceOptions.Of(mix, Given.Cutting);
            Assert.NotEqual(ServiceOptionKind.AtOnce, ways.Best.Kind);
            Assert.False(ways.Best.IsStronger);
            Each.Of(
                ways.Ways.Where(w => w.Kind != ServiceOptionKind.AtOnce && !w.IsStronger),
                w =>
                    Assert.True(
                        (ways.Best.Visit.Outside.Count, Math.Round(ways.Best.Visit.Minutes)).CompareTo(
                            (w.Visit.Outside.Count, Math.Round(w.Visit.Minutes))
                        ) <= 0
                    )
            );
        }
    }

    [Fact]
    public void No_bowl_is_painted_from_after_its_end_though_rinses_come_between()
    {
        // Powder: a bowl lives 25 minutes, and a wave lies between its panels.
        var mix = Mixed([
            new SetFormula(Formula.Lightening(FormulaId.A, Lightener.Powder, 20, 30)),
            .. Painted(22, 5, BackToFront),
        ]);
        var visit = VisitOnClock.Of(mix);
        Assert.True(visit.Rinses.Count() > 1);
        Each.Of(
            visit.Mix.Bowls.Select(visit.On).ToArray(),
            b => Assert.True(b.PaintedUntil <= b.LivesUntil + 1e-6, $"{b}")
        );
        // As if hands never rested one would be: that is why they are mixed anew.
        var planned = visit with
        {
            Mix = mix,
        };
        Assert.Contains(mix.Bowls.Select(planned.On), b => b.PaintedUntil > b.LivesUntil + 1);
        var once = VisitOnClock.Of(mix, rinsing: Rinsing.Once);
        Assert.Empty(once.Mix.Rests);
        Assert.NotEmpty(visit.Mix.Rests);
        Assert.True(visit.Mix.Bowls.Count >= once.Mix.Bowls.Count);
        // The panels stay, and so does what they take; asked again it is the same.
        Assert.Equal(mix.Takes, visit.Mix.Takes);
        Assert.Equal(mix.Timeline.Turns.Count, visit.Mix.Timeline.Turns.Count);
        var again = VisitOnClock.Of(visit.Mix);
        Assert.Equal(
            visit.Mix.Bowls.Select(b => (b.Batch.Ordinal, b.Batch.Panels.Count, b.Batch.Grams)),
            again.Mix.Bowls.Select(b => (b.Batch.Ordinal, b.Batch.Panels.Count, b.Batch.Grams))
        );
        Assert.Equal(visit.Minutes, again.Minutes, 1e-9);
    }

    [Fact]
    public void What_is_over_before_the_last_is_painted_is_minded_only_where_no_rinse_rinses_it_in_time()
    {
        var visit = VisitOnClock.Of(Quick.Value);
        Assert.Empty(visit.Outside);
        Assert.Contains(visit.Mix.AllFindings(), f => f.Kind == MixFault.FirstOver);
        Assert.DoesNotContain(visit.AllFindings(), f => f.Kind == MixFault.FirstOver);
        var once = VisitOnClock.Of(Quick.Value.After(new SetRinse(Rinsing.Once), Given.Cutting)!);
        Assert.Contains(once.AllFindings(), f => f.Kind == MixFault.FirstOver);
    }

    [Fact]
    public void All_at_once_is_one_rinse_that_claims_nothing_of_several()
    {
        var visit = VisitOnClock.Of(Strong.Value, rinsing: Rinsing.Once);
        var rinse = Assert.Single(visit.Rinses);
        Assert.Equal(visit.Steps[0].Panels.Count, rinse.Panels.Count);
        Assert.False(visit.IsProven);
        Assert.True(rinse.StartsAt >= visit.Steps[0].Panels.Max(p => p.PaintedAt) - 1e-6);
    }

    [Fact]
    public void One_rinse_starts_where_fewest_are_outside_and_then_soonest() =>
        Gen.Select(Gen.Double[0, 40], Gen.Double[0, 20], Gen.Int[0, 10])
            .Select(w => (From: w.Item1, To: w.Item1 + w.Item2))
            .Array[1, 12]
            .Sample(
                windows =>
                {
                    int Outside(double start) =>
                        windows
                            .Where((w, j) => ScheduleProblem.UsualSlot(j) + start is var r && (r < w.From || r > w.To))
                            .Count();
                    var (start, outside) = SingleRinse.Of(windows, 5);
                    Assert.Equal(Outside(start), outside);
                    for (var other = 5.0; other <= 65; other += 0.5)
                    {
                        Assert.True(Outside(other) > outside || (Outside(other) == outside && other >= start));
                    }
                },
                iter: 500
            );

    private static PlanEdit[] WithBase(bool rinse) =>
        [
            .. Painted(22, 5, Zone.Nape, Zone.LowerBack),
            new SetFormula(Formula.Colouring(FormulaId.B, 5, 10, 25)),
            new AddStep(new Step(StepKind.Base, new Area(ToCm: 4), FormulaId.B)),
            new SetStep(0, Step.Usual with { Rinse = rinse }),
        ];

    [Fact]
    public void What_works_beneath_the_next_step_is_rinsed_after_that_is_laid()
    {
        var between = VisitOnClock.Of(Mixed(WithBase(rinse: true)));
        var beneath = VisitOnClock.Of(Mixed(WithBase(rinse: false)));
        Assert.Empty(beneath.Steps[0].Rinses);
        Assert.NotEmpty(beneath.Steps[1].Rinses);
        Assert.Equal(
            beneath.Steps[0].Panels.Count,
            beneath.Steps[1].Rinses.SelectMany(w => w.Panels).Distinct().Count()
        );
        Each.Of(beneath.Steps[0].Panels, p => Assert.True(p.RinsedAt > beneath.Steps[0].DoneAt));

        // One washing less. What is over meanwhile, and what frees it: WaysOfPatternsTests.
        Assert.True(beneath.Minutes < between.Minutes);
        Assert.Empty(between.Outside);
    }

    [Fact]
    public void Why_there_is_no_way_by_developer_is_said_where_there_is_none()
    {
        foreach (var mix in new[] { Back.Value, Quick.Value })
        {
            var ways = ServiceOptions.Of(mix, Given.Cutting);
            Assert.Equal(ways.Ways.All(w => w.Kind != ServiceOptionKind.ByDeveloper), ways.NotByDeveloper is not null);
        }
    }
}
