using Wendro.Apply;
using Wendro.Blend;
using Wendro.Hair;
using Wendro.Head;
using Wendro.Lift;
using Wendro.Mix;
using Wendro.Paint;
using Wendro.Plans;
using Wendro.Section;
using Wendro.Units;
using Painted = Wendro.Apply.Painted;

namespace Wendro.Tests.Apply;

/// <summary>The plan against the clock.</summary>
public sealed class ServiceClockTests
{
    private static DateTimeOffset Start => ChairDay.Start;

    private static readonly Lazy<PlannedMix> Back = new(() =>
    {
        var edits = new PlanEdit[]
        {
            new CutZone(Zone.Nape, Parting.Horizontal, 22, 5, 8, false),
            new CutZone(Zone.LowerBack, Parting.Horizontal, 22, 5, 8, false),
            new PaintZone(Zone.Nape, PanelPaint.Usual with { SpreadCm = 1.5 }),
            new PaintZone(Zone.LowerBack, PanelPaint.Usual with { SpreadCm = 1.5 }),
        };
        var head = edits.Aggregate(
            Given.Bare,
            (h, e) => h.After(h.Plan.Apply(e, Given.Cutting).Plan, Given.Usual, Given.Cutting)
        );
        return PlannedMix.Of(head, BenchRules.Usual, GenericProducts.All, []);
    });

    private static PlannedMix Mix => Back.Value;

    private static IReadOnlyList<PanelKey> Order => ServiceClock.StepsOf(Mix)[0].Panels;

    private static ServiceClock At(double now, params (double Minute, ServiceFact Fact)[] facts) =>
        ServiceClock.Of(Mix, ServiceInHand.Of(ServiceClock.StepsOf(Mix), ChairDay.Kept(facts)), Start.AddMinutes(now));

    private static (double, ServiceFact)[] AllPainted(int panels, double each = 1) =>
        [
            (0, new Seated()),
            (0, new Mixed(FormulaId.A, 1)),
            .. Enumerable.Range(0, panels).Select(i => (each * (i + 1), (ServiceFact)new Painted(Order[i]))),
        ];

    [Fact]
    public void Rinsed_once_one_rinse_follows_the_last_panel_and_what_is_being_rinsed_is_not_in_it()
    {
        var once = Mix.After(new SetRinse(Rinsing.Once), Given.Cutting)!;
        ServiceClock On(double now, params (double Minute, ServiceFact Fact)[] facts) =>
            ServiceClock.Of(
                once,
                ServiceInHand.Of(ServiceClock.StepsOf(once), ChairDay.Kept(facts)),
                Start.AddMinutes(now)
            );

        var before = On(0);
        var all = Assert.Single(before.Rinses);
        Assert.Equal(1, all.Number);
        Assert.Equal(Order.Count, all.Panels.Count);
        Assert.True(all.StartsAt >= before.OnClock.Max(p => p.PaintedAt));

        // One that came through early is rinsed by itself; the others wait for the last.
        var early = On(12, [.. AllPainted(4), (10, new RinseBegun([Order[0]]))]);
        var rest = Assert.Single(early.Rinses);
        Assert.Equal(2, rest.Number);
        Assert.DoesNotContain(Order[0], rest.Panels);
        Assert.Equal(Order.Count - 1, rest.Panels.Count);
        Assert.True(rest.StartsAt >= early.RinseEndsAt);
    }

    [Fact]
    public void What_is_laid_over_an_area_is_looked_at_rinsed_and_over_when_it_was_said()
    {
        PlannedMix With(Step step) =>
            Mix.After(new SetFormula(Formula.Colouring(FormulaId.B, 4, 10, 25)), Given.Cutting)!
                .After(new AddStep(step, 0), Given.Cutting)!;
        static IReadOnlyList<Due> DuesOf(PlannedMix mix, double now) =>
            ServiceDues.Of(
                ServiceClock.Of(
                    mix,
                    ServiceInHand.Of(ServiceClock.StepsOf(mix), ChairDay.Kept((0, new Seated()), (5, new AreaLaid()))),
                    Start.AddMinutes(now)
                )
            );

        var step = new Step(StepKind.Base, new Area(ToCm: 4), FormulaId.B);
        var said = With(step with { EarliestMinutes = 20, LatestMinutes = 32 });
        Assert.Equal(
            [("Look: base, root to 4 cm", 25.0), ("Rinse: base, root to 4 cm", 30.0)],
            DuesOf(said, 6).Select(d => (d.Title, (d.At - Start).TotalMinutes))
        );
        // Once it has worked it is rinsed, not looked at first.
        Assert.Equal(["Rinse: base, root to 4 cm"], DuesOf(said, 31).Select(d => d.Title));
        var over = Assert.Single(DuesOf(said, 38));
        Assert.Equal((DueKind.Over, Severity.Alarm), (over.Kind, over.Severity));
        Assert.Equal(37, (over.At - Start).TotalMinutes);

        // Where nobody said, its formula's minutes are all there is.
        var due = Assert.Single(DuesOf(With(step), 60));
        Assert.Equal((DueKind.Area, 30.0), (due.Kind, (due.At - Start).TotalMinutes));
        Assert.Equal(
            "Base, root to 4 cm has worked",
            Assert.Single(DuesOf(With(step with { Rinse = false }), 6)).Title
        );
    }

    [Fact]
    public void A_base_that_is_not_rinsed_works_on_while_panels_are_painted_and_is_rinsed_when_all_is_on()
    {
        PlannedMix With(double minutes) =>
            Mix.After(new SetFormula(Formula.Colouring(FormulaId.B, 4, 10, minutes)), Given.Cutting)!
                .After(
                    new AddStep(new Step(StepKind.Base, new Area(ToCm: 4), FormulaId.B, Rinse: false), 0),
                    Given.Cutting
                )!;
        var (quick, slow) = (With(5), With(100));
        var steps = ServiceClock.StepsOf(slow);
        Assert.Equal([100, null], steps.Select(s => s.AreaMinutes));
        (double, ServiceFact)[] laid = [(0, new Seated()), (5, new AreaLaid()), (6, new WentOn())];
        ServiceClock On(PlannedMix mix, double now, params (double Minute, ServiceFact Fact)[] more) =>
            ServiceClock.Of(
                mix,
                ServiceInHand.Of(ServiceClock.StepsOf(mix), ChairDay.Kept([.. laid, .. more])),
                Start.AddMinutes(now)
            );

        // Beneath what is painted it has worked at its time; it is not asked to be rinsed while panels wait.
        var painting = On(slow, 7);
        Assert.Equal(1, painting.Service.Step);
        Assert.Equal("base, root to 4 cm", Assert.Single(painting.AreasOn).Words);
        var due = Assert.Single(ServiceDues.Of(painting), d => d.Kind == DueKind.Area);
        Assert.Equal(("Base, root to 4 cm has worked", Start.AddMinutes(105)), (due.Title, due.At));
        Assert.Equal(Start.AddMinutes(105 + 23), painting.DoneAt);

        // The last wave takes along what has worked, and nothing that still works.
        (double, ServiceFact)[] rinsed =
        [
            .. Order.Select((p, i) => (8.0 + i, (ServiceFact)new Painted(p))),
            (60, new RinseBegun(Order)),
            (75, new RinseEnded()),
        ];
        var works = On(slow, 76, rinsed);
        Assert.Equal("Rinse: base, root to 4 cm", Assert.Single(ServiceDues.Of(works)).Title);
        Assert.NotEmpty(works.Service.Against(new Washed()));
        var off = On(slow, 110, [.. rinsed, (105, new RinseBegun([])), (109, new RinseEnded())]);
        Assert.Empty(off.Service.Against(new Washed()));
        Assert.Empty(On(quick, 76, rinsed).Service.Against(new Washed()));
        // While a panel is on nothing is taken along.
        var part = On(quick, 76, [.. rinsed[..^2], (60, new RinseBegun([Order[0]])), (65, new RinseEnded())]);
        Assert.True(part.Service.AreaIsOn);

        // On the clock of a visit to come it is washed when the slowest has worked.
        var (soon, late) = (VisitOnClock.Of(quick), VisitOnClock.Of(slow));
        Assert.Null(late.Steps[0].WashingAt);
        Assert.Equal(late.Steps[0].Area!.LaidAt + 100, late.Steps[0].Area!.WorkedAt, 1e-9);
        Assert.Equal(late.Steps[0].Area!.WorkedAt + 23, late.Minutes, 1e-9);
        Assert.Equal(soon.Rinses.Last().FreedAt + 19, soon.Minutes, 1e-9);
        Assert.Equal(late.Minutes - 23, VisitStaffing.Of(late).Last(h => h.Does == HandWork.Rinse).From, 1e-9);
        Assert.Equal(late.Minutes, VisitStaffing.Of(late)[^1].To, 1e-9);
    }

    [Fact]
    public void A_treatment_is_laid_and_timed_as_what_lies_over_an_area()
    {
        var mix = Mix.After(new AddStep(new Step(StepKind.Treat, Minutes: 12), 0), Given.Cutting)!;
        var steps = ServiceClock.StepsOf(mix);
        Assert.Equal([true, false], steps.Select(s => s.HasArea));
        ServiceInHand Of(params (double Minute, ServiceFact Fact)[] facts) =>
            ServiceInHand.Of(steps, ChairDay.Kept(facts));
        Assert.True(Of((0, new Seated())).AreaWaits);
        var on = ServiceClock.Of(mix, Of((0, new Seated()), (3, new AreaLaid())), Start.AddMinutes(4));
        Assert.Equal(15, (Assert.Single(on.AreasOn).DoneAt - Start).TotalMinutes);
        Assert.Equal("Rinse: treatment", Assert.Single(ServiceDues.Of(on)).Title);
    }

    [Fact]
    public void A_visit_that_is_only_glossed_goes_on_to_the_gloss()
    {
        var mix = Back.Value;
        foreach (
            var edit in new PlanEdit[]
            {
                new ClearZone(Zone.Nape),
                new ClearZone(Zone.LowerBack),
                new SetFormula(Formula.Colouring(FormulaId.B, 6, 5, 15)),
                new AddStep(new Step(StepKind.Gloss, new Area(), FormulaId.B)),
            }
        )
        {
            mix = mix.After(edit, Given.Cutting)!;
        }

        var steps = ServiceClock.StepsOf(mix);
        ServiceInHand Of(params (double Minute, ServiceFact Fact)[] facts) =>
            ServiceInHand.Of(steps, ChairDay.Kept(facts));
        Assert.Equal([0, 0], steps.Select(s => s.Panels.Count));
        var seated = Of((0, new Seated()));
        Assert.True(seated.GoesOn);
        Assert.Empty(seated.Against(new WentOn()));
        var gloss = Of((0, new Seated()), (1, new WentOn()));
        Assert.True(gloss.AreaWaits);
        Assert.False(gloss.GoesOn);
        Assert.Null(gloss.WashedAt);
        // On the clock nothing comes before it: five minutes laid on at most, fifteen of its own, then washed and read.
        var visit = VisitOnClock.Of(mix);
        Assert.Equal(0, visit.Steps[1].From, 1e-9);
        Assert.InRange(visit.Minutes, 15 + 23, 15 + 23 + 12);
        // Hands mix and lay it, are free while it works, rinse and wash.
        var hands = VisitStaffing.Of(visit);
        Assert.Equal(
            [HandWork.Mix, HandWork.Paint, HandWork.Rinse, HandWork.Wash, HandWork.Read],
            hands.Select(h => h.Does)
        );
        Assert.Equal(15, hands[2].From - hands[1].To, 1e-9);
        Assert.Equal(visit.Minutes, hands[^1].To, 1e-9);

        // Nothing at all is nothing to go on to.
        Assert.False(ServiceInHand.Of([steps[0]], []).GoesOn);
    }

    [Fact]
    public void While_only_an_area_works_it_is_told_when_the_step_is_done()
    {
        var mix = Mix.After(new SetFormula(Formula.Colouring(FormulaId.B, 4, 10, 25)), Given.Cutting)!
            .After(new AddStep(new Step(StepKind.Base, new Area(ToCm: 4), FormulaId.B), 0), Given.Cutting)!;
        ServiceClock On(double now, params (double Minute, ServiceFact Fact)[] facts) =>
            ServiceClock.Of(
                mix,
                ServiceInHand.Of(ServiceClock.StepsOf(mix), ChairDay.Kept(facts)),
                Start.AddMinutes(now)
            );

        // Its bowl is mixed first, once.
        var bowl = On(1, (0, new Seated())).BowlForArea!;
        Assert.Equal((FormulaId.B, 0), (bowl.Batch.Formula, bowl.Batch.Panels.Count));
        Assert.Null(On(2, (0, new Seated()), (2, new Mixed(FormulaId.B, bowl.Batch.Ordinal))).BowlForArea);

        // 25 minutes of its own, then 4 of rinsing, 6 of washing, 8 of drying, 5 of reading.
        Assert.Equal(
            5 + 25 + 4 + 19,
            (On(6, (0, new Seated()), (5, new AreaLaid())).DoneAt!.Value - Start).TotalMinutes
        );
        var rinsing = On(31, (0, new Seated()), (5, new AreaLaid()), (30, new RinseBegun([])));
        Assert.Equal(30 + 4 + 19, (rinsing.DoneAt!.Value - Start).TotalMinutes);
        Assert.Empty(ServiceDues.Of(rinsing));
    }

    [Fact]
    public void Before_anything_the_plan_is_on_the_clock_with_mixing_and_rinses()
    {
        var clock = At(0);
        Assert.Equal(Order.Count, clock.OnClock.Count);
        // The first bowl is mixed before the first panel is begun.
        Assert.Equal(Mix.Bench.MixingMinutes, (clock.OnClock[0].BegunAt - Start).TotalMinutes, 1e-6);
        Assert.NotEmpty(clock.Rinses);
        Assert.True(clock.IsInTime);
        Assert.Equal(
            Order.Order(Comparer<PanelKey>.Create((a, b) => string.CompareOrdinal(a.ToString(), b.ToString()))),
            clock
                .Rinses.SelectMany(w => w.Panels)
                .Order(Comparer<PanelKey>.Create((a, b) => string.CompareOrdinal(a.ToString(), b.ToString())))
        );
        Assert.Equal(clock.Rinses[^1].EndsAt.AddMinutes(19), clock.DoneAt);
    }

    [Theory]
    [InlineData(Covering.Open, Teasing.None, false)]
    [InlineData(Covering.Foil, Teasing.None, true)]
    [InlineData(Covering.Film, Teasing.None, true)]
    [InlineData(Covering.Open, Teasing.Strong, true)]
    public void It_is_done_when_sheets_are_out_and_teasing_is_free_as_the_visit_was_forecast(
        Covering covering,
        Teasing teasing,
        bool takesTime
    )
    {
        var edits = new PlanEdit[]
        {
            new CutZone(Zone.Nape, Parting.Horizontal, 22, 5, 8, false),
            new PaintZone(Zone.Nape, PanelPaint.Usual with { Covering = covering, Teasing = teasing }),
        };
        var head = edits.Aggregate(
            Given.Bare,
            (h, e) => h.After(h.Plan.Apply(e, Given.Cutting).Plan, Given.Usual, Given.Cutting)
        );
        var mix = PlannedMix.Of(head, BenchRules.Usual, GenericProducts.All, []);
        var clock = ServiceClock.Of(mix, ServiceInHand.Of(ServiceClock.StepsOf(mix), []), Start);
        Assert.Equal(VisitOnClock.Of(mix).Minutes, (clock.DoneAt!.Value - Start).TotalMinutes, 1e-4);
        Assert.Equal(takesTime, clock.DoneAt > clock.Rinses[^1].EndsAt.AddMinutes(19));
    }

    [Fact]
    public void What_is_painted_is_a_fact_and_never_moves_whatever_comes_after()
    {
        var facts = AllPainted(4);
        foreach (var now in new[] { 4.0, 9, 25, 70 })
        {
            var clock = At(now, facts);
            for (var i = 0; i < 4; i++)
            {
                Assert.Equal(Start.AddMinutes(i + 1), clock.OnClock[i].PaintedAt);
            }

            // Nothing that waits is forecast into the past.
            Assert.All(clock.OnClock.Skip(4).Append(clock.OnClock[^1]), p => Assert.True(p.PaintedAt >= clock.Now));
        }
    }

    [Fact]
    public void Every_rinse_meets_the_windows_it_can()
    {
        var clock = At(4, AllPainted(4));
        Assert.True(clock.IsInTime);
        var on = clock.OnClock.ToDictionary(p => p.Panel);
        foreach (var rinse in clock.Rinses)
        {
            for (var j = 0; j < rinse.Panels.Count; j++)
            {
                var at = rinse.StartsAt.AddMinutes(4 + 0.5 * j);
                var panel = on[rinse.Panels[j]];
                Assert.True(at >= panel.FromAt!.Value.AddSeconds(-1), $"{panel.Panel} too soon");
                Assert.True(at <= panel.ToAt!.Value.AddSeconds(1), $"{panel.Panel} too late");
            }
        }
    }

    [Fact]
    public void A_slow_hand_is_learnt_and_a_second_pair_halves_it()
    {
        var planned = At(0).SecondsOf(Order[^1]);
        var slow = At(20, AllPainted(8, 2.2));
        Assert.True(slow.Pace > 1.2, $"pace {slow.Pace}");
        Assert.True(slow.SecondsOf(Order[^1]) > planned * 1.2);
        var two = At(20, [.. AllPainted(8, 2.2), (18, new AssistantChanged(2))]);
        Assert.Equal(slow.SecondsOf(Order[^1]) / 2, two.SecondsOf(Order[^1]), planned * 0.5);
        Assert.True(two.OnClock[^1].PaintedAt < slow.OnClock[^1].PaintedAt);
    }

    [Fact]
    public void A_look_that_shows_more_lift_brings_windows_and_rinses_forward_and_says_how_much_it_counted()
    {
        var facts = AllPainted(Order.Count);
        var minute = Order.Count + 20.0;
        var before = At(minute, facts);
        var expected = before.PlannedOf(Order[0]).LiftingOf(Mix.Head.Hair)!.After(new(minute - 1)).Value;
        var quick = At(minute, [.. facts, (minute, new Looked(Order[0], new Level(Math.Min(10, expected + 0.8))))]);
        var slow = At(minute, [.. facts, (minute, new Looked(Order[0], new Level(expected - 0.8)))]);
        Assert.True(quick.Told[0].Own.Speed > 1 || quick.Told[0].Own.CapLevels > 0);
        Assert.True(quick.OnClock[5].FromAt < before.OnClock[5].FromAt);
        Assert.True(slow.OnClock[5].FromAt > before.OnClock[5].FromAt);
        Assert.True(quick.Rinses[0].StartsAt <= before.Rinses[0].StartsAt);
        Assert.Equal(expected, quick.Told[0].Expected, 0.02);
    }

    [Fact]
    public void Windows_lie_round_the_level_that_was_planned()
    {
        var panel = Mix.Head.PanelOf(Order[0])!;
        var window = PanelWindow.Of(panel, Mix.Head.Hair, 0)!;
        var lifting = panel.LiftingOf(Mix.Head.Hair)!;
        Assert.Equal(window.Target - PanelWindow.Tolerance, lifting.After(new(window.From)).Value, 1e-3);
        Assert.True(window.To <= lifting.DriesAtMinutes() + 1e-9);
        Assert.True(window.From < panel.Formula!.Minutes.Value);
        Assert.True(window.To <= panel.Formula.LimitMinutes!.Value);
        Assert.Null(PanelWindow.Of(panel, Mix.Head.Hair, 1));
    }

    [Fact]
    public void What_the_plan_says_of_a_step_narrows_its_windows_and_ends_it()
    {
        var free = Back.Value.Head.PanelOf(Order[0])!;
        PanelWindow Said(double? earliest, double? latest) =>
            PanelWindow.Of(
                free,
                Mix.Head.Hair,
                0,
                said: Step.Usual with
                {
                    EarliestMinutes = earliest,
                    LatestMinutes = latest,
                }
            )!;
        var usual = PanelWindow.Of(free, Mix.Head.Hair, 0)!;
        Assert.Equal(usual, Said(null, null));
        Assert.Equal(usual, Said(usual.From - 1, usual.To + 1));
        var middle = (usual.From + usual.To) / 2;
        Assert.Equal((middle, usual.To, usual.By), Of(Said(middle, null)));
        Assert.Equal((usual.From, middle, EndsBy.Planned), Of(Said(null, middle)));
        // Off before it is there: it is less light, and said so.
        var early = Said(null, usual.From - 5);
        Assert.Equal((usual.From - 5, usual.From - 5, EndsBy.Planned), Of(early));
        Assert.True(early.Reaches < usual.Target - PanelWindow.Tolerance, $"{early} {usual}");
        Assert.Equal(usual.To, Said(usual.To + 5, null).From);

        static (double, double, EndsBy) Of(PanelWindow w) => (w.From, w.To, w.By);
    }

    [Fact]
    public void Past_when_the_plan_has_a_step_done_it_is_over()
    {
        var minutes = Mix.Head.Plan.Formulas[0].Minutes.Value;
        var mix = Mix.After(new SetStep(0, Step.Usual with { LatestMinutes = minutes + 1 }), Given.Cutting)!;
        ServiceClock On(double now) =>
            ServiceClock.Of(
                mix,
                ServiceInHand.Of(ServiceClock.StepsOf(mix), ChairDay.Kept(AllPainted(2))),
                Start.AddMinutes(now)
            );
        Assert.DoesNotContain(ServiceDues.Of(On(minutes)), d => d.Kind == DueKind.Over);
        var over = Assert.Single(ServiceDues.Of(On(minutes + 3)), d => d.Kind == DueKind.Over);
        Assert.Equal(Severity.Alarm, over.Severity);
        Assert.Contains(
            $"Past the {minutes + 1:0} min that were planned",
            over.Words.ToString(),
            StringComparison.Ordinal
        );
    }

    [Fact]
    public void Looks_are_due_every_ten_minutes_where_it_was_painted_first_and_bowls_when_they_end()
    {
        var clock = At(6, AllPainted(5));
        var due = ServiceDues.Of(clock);
        var look = due.Single(d => d.Kind == DueKind.Look);
        Assert.Equal(Start.AddMinutes(11), look.At);
        Assert.Equal([Order[0]], look.Panels);
        var bowl = due.Single(d => d.Kind == DueKind.BowlEnds);
        Assert.Equal(Start.AddMinutes(Mix.Bowls[0].Batch.LivesUntil - Mix.Bowls[0].Batch.ReadyAt), bowl.At);
        Assert.Equal(due.OrderBy(d => d.At).Select(d => d.Kind), due.Select(d => d.Kind));
        var looked = ServiceDues.Of(At(12, [.. AllPainted(5), (11.5, new Looked(Order[0], new Level(5.5)))]));
        Assert.Equal(Start.AddMinutes(21.5), looked.Single(d => d.Kind == DueKind.Look).At);
    }

    [Fact]
    public void What_burns_stands_before_all_and_what_is_over_is_an_alarm()
    {
        var burns = ServiceDues.Of(At(6, [.. AllPainted(5), (5.5, new ComfortReported(Comfort.Burning))]));
        Assert.Equal(DueKind.Burning, burns[0].Kind);
        Assert.Equal(Severity.Alarm, burns[0].Severity);
        Assert.Contains("Rinse", burns[0].Words.ToString(), StringComparison.Ordinal);
        var over = ServiceDues.Of(At(90, AllPainted(5)));
        Assert.Contains(over, d => d.Kind == DueKind.Over);
        Assert.False(At(90, AllPainted(5)).IsInTime);
        Assert.NotEmpty(At(90, AllPainted(5)).Rinses);
    }

    [Fact]
    public void Each_shape_is_held_and_stroked_in_a_line()
    {
        var lines = Enum.GetValues<ShapeKind>()
            .Select(s => PaintingInstructions.Words(PanelPaint.Usual.In(s), 35))
            .ToArray();
        Assert.Equal(lines.Length, lines.Distinct().Count() + 2);
        Assert.Contains("board", PaintingInstructions.Words(PanelPaint.Usual, 60), StringComparison.Ordinal);
    }

    [Fact]
    public void What_waits_for_a_rinse_is_forecast_after_it_and_hands_never_do_two_things()
    {
        // Painted so slowly that the first must be rinsed before the last is painted.
        foreach (var each in new[] { 1.0, 3, 5 })
        {
            var clock = At(each * 6, AllPainted(6, each));
            foreach (var panel in clock.OnClock.Where(p => !p.IsPainted))
            {
                Assert.DoesNotContain(
                    clock.Rinses,
                    w => panel.PaintedAt > w.StartsAt.AddSeconds(1) && panel.PaintedAt < w.EndsAt.AddSeconds(-1)
                );
            }
        }
    }

    [Fact]
    public void What_is_over_is_rinsed_first_and_the_others_keep_their_windows()
    {
        var facts = AllPainted(2).Append((60.0, new Painted(Order[2]))).ToArray();
        var clock = At(61, facts);
        Assert.False(clock.IsInTime);
        Assert.Equal(new[] { Order[0], Order[1] }.ToHashSet(), clock.Rinses[0].Panels.Take(2).ToHashSet());
        Assert.True(clock.Rinses[0].StartsAt < clock.Now.AddMinutes(2), "now");
        var on = clock.OnClock.ToDictionary(p => p.Panel);
        foreach (
            var (panel, at) in clock
                .Rinses.SelectMany(w => w.Panels.Select((p, j) => (p, w.StartsAt.AddMinutes(4 + 0.5 * j))))
                .Skip(2)
        )
        {
            Assert.True(at <= on[panel].ToAt!.Value.AddMinutes(11), $"{panel} is late");
        }
    }
}
