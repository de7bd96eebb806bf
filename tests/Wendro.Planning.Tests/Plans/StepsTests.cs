using Wendro.Blend;
using Wendro.Colour;
using Wendro.Fall;
using Wendro.Hair;
using Wendro.Head;
using Wendro.Lift;
using Wendro.Mix;
using Wendro.Paint;
using Wendro.Plans;
using Wendro.Timing;
using Wendro.Units;

namespace Wendro.Tests.Plans;

/// <summary>Visits of more than one process.</summary>
public sealed class StepsTests
{
    private static readonly PanelPaint Wide = new(new Shape.Full(), 3, 1, 40, 40);

    private static Formula Colour(
        FormulaId id,
        double level,
        Reflect reflect,
        ColourBase based = ColourBase.Demi,
        double volume = 10
    ) => Formula.Colouring(id, level, volume, 25).Coloured(d => d with { Reflect = reflect, Base = based });

    private static PlannedHead With(params PlanEdit[] edits) => Given.Bare.Apply(edits);

    private static AddStep Over(StepKind kind, FormulaId formula, Area? area = null, int? at = null) =>
        new(new Step(kind, area ?? new Area(), formula), at);

    /// <summary>
    /// Places of all strands between two distances from the scalp, that lie in painted panels or not.
    /// </summary>
    private static IEnumerable<(double Level, TintMeaning Tint)> At(
        PlannedHead head,
        double from,
        double to,
        bool? inPanels = null,
        StrandSamples? hair = null
    )
    {
        var (all, lengths) = (hair ?? head.Reached.Hair, head.Looks.OnHead.Lengths);
        for (var i = 0; i < lengths.Length; i += 3)
        {
            var panel = head.Map.Panel[i];
            if (inPanels is { } wanted && wanted != (panel >= 0 && head.Panels[panel].Coats.Count > 0))
            {
                continue;
            }

            for (var k = 0; k < Places.Count; k++)
            {
                if (Places.Share(k) * lengths[i] is var s && s >= from && s <= to)
                {
                    var at = i * Places.Count + k;
                    yield return (Level.FromByte(all.Levels[at]), new Tint(all.Tints[at]).Meaning);
                }
            }
        }
    }

    [Fact]
    public void Most_visits_have_one_step_and_see_none_of_this()
    {
        var painted = With(new PaintZone(Zone.Crown, Wide));
        Assert.Null(painted.Plan.Steps);
        Assert.Equal([Step.Usual], painted.Plan.StepsOf());
        var back = painted.Apply(
            new SetFormula(Colour(FormulaId.B, 5, Reflect.Ash)),
            Over(StepKind.Base, FormulaId.B),
            new RemoveStep(1)
        );
        Assert.Null(back.Plan.Steps);
        Assert.Equal(painted.Drawn, back.Drawn);
    }

    [Fact]
    public void A_base_at_the_root_reaches_all_hair_there_and_none_below()
    {
        var head = With(
            new SetFormula(Colour(FormulaId.B, 3, Reflect.Natural)),
            Over(StepKind.Base, FormulaId.B, new Area(ToCm: 4), 0)
        );
        Each.Of(At(head, 0, 2.5), p => Assert.InRange(p.Level, 2.9, 3.4));
        Each.Of(At(head, 6, 60), p => Assert.Equal(5, p.Level, 0.03));
        Each.Of(At(head, 6, 60), p => Assert.Null(p.Tint.Reflect));
        Each.Of(At(head, 0, 2.5), p => Assert.Equal(Reflect.Natural, p.Tint.Reflect));
    }

    [Fact]
    public void Between_the_panels_only_what_is_not_painted_is_reached()
    {
        var head = With(
            new PaintZone(Zone.Crown, Wide),
            new SetFormula(Colour(FormulaId.B, 3, Reflect.Natural)),
            Over(StepKind.Base, FormulaId.B, new Area([Zone.Crown], ToCm: 5, Between: true))
        );
        bool InCrown(PlannedHead h, int strand) => h.Map.Zone[strand] == (byte)Zone.Crown;
        Assert.Contains(Enumerable.Range(0, head.Map.Zone.Length), i => InCrown(head, i) && head.Map.Panel[i] < 0);
        for (var i = 0; i < head.Map.Zone.Length; i += 5)
        {
            var level = Level.FromByte(head.Levels[i * Places.Count + 2]);
            var based = InCrown(head, i) && head.Map.Panel[i] < 0;
            Assert.True(based ? level < 3.5 : level > 4.9, $"{level}");
        }
    }

    [Fact]
    public void A_gloss_over_everything_tones_what_is_light_and_hardly_touches_what_is_dark()
    {
        var raw = With(new PaintZone(Zone.Crown, Wide));
        var glossed = raw.Apply(
            new SetFormula(Colour(FormulaId.B, 8, Reflect.Pearl, ColourBase.Gloss)),
            Over(StepKind.Gloss, FormulaId.B)
        );
        var (light, cool) = (
            At(raw, 12, 30, true).Average(p => p.Level),
            At(glossed, 12, 30, true).Average(p => p.Level)
        );
        Assert.InRange(light - cool, 0.2, 1.3);
        Assert.Contains(At(glossed, 15, 30, true), p => p.Tint.Reflect is not null);
        Each.Of(At(glossed, 0, 60, false), p => Assert.Equal(5, p.Level, 0.05));
        Each.Of(At(glossed, 0, 60, false), p => Assert.Null(p.Tint.Reflect));
    }

    [Fact]
    public void The_order_of_steps_counts_what_follows_starts_from_what_was_left()
    {
        PlanEdit[] edits = [new PaintZone(Zone.Crown, Wide), new SetFormula(Colour(FormulaId.B, 4, Reflect.Natural))];
        var first = With([.. edits, Over(StepKind.Deposit, FormulaId.B, at: 0)]);
        var last = With([.. edits, Over(StepKind.Deposit, FormulaId.B)]);
        double Ends(PlannedHead head) => At(head, 15, 30, true).Average(p => p.Level);
        var plain = Ends(With(edits));

        // Lifting coloured hair goes slower and less far; what is coloured after is as dark as its colour.
        Assert.True(Ends(first) < plain - 0.5);
        Assert.InRange(Ends(last), 4, 4.6);
        Assert.True(Ends(first) > Ends(last) + 0.5);
        Assert.Equal(last.Drawn, first.Apply(new MoveStep(0, 1)).Drawn);
    }

    [Fact]
    public void A_second_lightening_begins_where_the_first_ended()
    {
        var paint = Wide with { Next = Wide with { Formula = FormulaId.B } };
        PlanEdit[] edits =
        [
            new SetFormula(Formula.Lightening(FormulaId.A, Lightener.Clay, 20, 20)),
            new SetFormula(Formula.Lightening(FormulaId.B, Lightener.Clay, 20, 20)),
            new PaintZone(Zone.Crown, paint),
        ];
        var together = With(edits);
        var twice = together.Apply(new AddStep(new Step(StepKind.Lighten, Formula: FormulaId.B)));
        double Ends(PlannedHead head) => At(head, 15, 30, true).Average(p => p.Level);
        var once = Ends(With(edits[0], new PaintZone(Zone.Crown, Wide)));

        // Laid at one place in one step, the second finds no room; in a step of its own it lifts what the first left.
        Assert.Equal(once, Ends(together), 0.05);
        Assert.True(Ends(twice) > once + 0.5);
        Assert.True(Ends(twice) < once + (once - 5));
        Assert.Equal(twice.MeansOf(Zone.Crown).Panels, twice.MeansOf(Zone.Crown).Strands, 0.2);
    }

    [Fact]
    public void Each_step_can_be_looked_at_when_it_is_done()
    {
        var head = With(
            new PaintZone(Zone.Crown, Wide),
            new SetFormula(Colour(FormulaId.B, 4, Reflect.Copper)),
            Over(StepKind.Base, FormulaId.B, new Area(ToCm: 4), 0),
            new SetFormula(Colour(FormulaId.C, 8, Reflect.Beige, ColourBase.Gloss)),
            Over(StepKind.Gloss, FormulaId.C)
        );
        var (based, lit, glossed) = (
            head.DrawnAt(Moment.After(0)),
            head.DrawnAt(Moment.After(1)),
            head.DrawnAt(Moment.After(2))
        );
        Assert.Equal(head.Drawn, glossed);
        Assert.Equal(head.DrawnAt(Moment.Before).Levels.Max(), based.Levels.Max());
        Assert.True(lit.Levels.Max() > based.Levels.Max() + 50);
        Assert.True(lit.Levels.Max() > glossed.Levels.Max());
        Assert.Equal(lit, head.DrawnAt(Moment.Within(1, new(300))));
        Assert.Equal(based, head.DrawnAt(Moment.Within(1, new(0))));
    }

    [Fact]
    public void A_permanent_colour_with_twenty_volume_lifts_natural_hair_up_to_two_levels_and_says_so()
    {
        PlannedHead Based(double volume, ColourBase based) =>
            With(
                new SetFormula(Colour(FormulaId.B, 8, Reflect.Natural, based, volume)),
                Over(StepKind.Base, FormulaId.B, new Area(ToCm: 4))
            );
        double Root(PlannedHead head) => At(head, 0, 2).Average(p => p.Level);
        Assert.Equal(5, Root(Based(10, ColourBase.Permanent)), 0.05);
        Assert.Equal(5, Root(Based(30, ColourBase.Demi)), 0.05);
        var (twenty, forty) = (Root(Based(20, ColourBase.Permanent)), Root(Based(40, ColourBase.Permanent)));
        Assert.InRange(twenty, 5.6, 6.5);
        Assert.InRange(forty, twenty + 0.2, 7.05);
        var warm = Assert.Single(Based(20, ColourBase.Permanent).AllFindings, f => f.Kind == BlendFault.WarmRoot);
        Assert.Equal(Severity.Caution, warm.Severity);
        Assert.DoesNotContain(Based(10, ColourBase.Permanent).AllFindings, f => f.Kind == BlendFault.WarmRoot);
        var fix = Fixes.For(warm, Based(20, ColourBase.Permanent), Given.Cutting)!;
        Assert.True(fix.Mends);
        Assert.Equal("B: 10 vol", fix.Label.ToString());
    }

    [Trait("Category", "Long")]
    [Fact]
    public void Colour_far_darker_than_light_hair_wants_its_warmth_back_first()
    {
        var old = HairProfile.Usual with
        {
            History = [new(0, 6, BandState.Natural, new(5)), new(6, 34, BandState.Lightened, new(9))],
        };
        var (looks, cutting) = Given.Looks(old);
        PlannedHead Over5(Reflect reflect, double level)
        {
            var plan = Plan.Fresh();
            PlanEdit[] edits =
            [
                new SetFormula(Colour(FormulaId.B, level, reflect)),
                Over(StepKind.Deposit, FormulaId.B, new Area(FromCm: 5)),
            ];
            foreach (var edit in edits)
            {
                plan = plan.Apply(edit, cutting).Plan;
            }

            return PlannedHead.Of(looks, cutting, plan);
        }

        Finding? Flat(PlannedHead head) => head.AllFindings.FirstOrDefault(f => f.Kind == BlendFault.FlatOrGreen);
        Assert.Null(Flat(Over5(Reflect.Ash, 7.5)));
        Assert.Null(Flat(Over5(Reflect.Copper, 5)));
        var dark = Over5(Reflect.Ash, 5);
        var flat = Flat(dark)!;
        Assert.Equal(4, flat.Deciding.Value, 0.1);
        var fix = Fixes.For(flat, dark, cutting)!;
        Assert.True(fix.Mends);
        var mended = dark.Plan.Apply(fix.Edit, cutting).Plan;
        Assert.Equal([StepKind.Lighten, StepKind.Deposit, StepKind.Deposit], mended.Steps!.Select(s => s.Kind));
        Assert.Equal(Reflect.Copper, mended.FormulaOf(mended.Steps![1].Formula!.Value)!.Deposit!.Reflect);
    }

    [Theory]
    [InlineData("number", 0)]
    [InlineData("step", 1)]
    [InlineData("step.formula", 2)]
    [InlineData("step.formula", 3)]
    [InlineData("step.minutes", 4)]
    [InlineData("step.area.toCm", 5)]
    [InlineData("step.latestMinutes", 6)]
    [InlineData("number", 7)]
    [InlineData("at", 8)]
    [InlineData("step", 9)]
    [InlineData("formula.formula", 10)]
    [InlineData("step.area.zones", 11)]
    public void What_cannot_be_a_step_gets_a_word(string field, int number)
    {
        var plan = With(
            new SetFormula(Colour(FormulaId.B, 4, Reflect.Copper)),
            Over(StepKind.Base, FormulaId.B, new Area(ToCm: 4), 0)
        ).Plan;
        PlanEdit edit = number switch
        {
            0 => new RemoveStep(1),
            1 => new AddStep(Step.Usual),
            2 => new AddStep(new Step(StepKind.Gloss, new Area(), FormulaId.A)),
            3 => new AddStep(new Step(StepKind.Gloss, new Area(), FormulaId.D)),
            4 => new AddStep(new Step(StepKind.Treat)),
            5 => Over(StepKind.Base, FormulaId.B, new Area(FromCm: 5, ToCm: 4)),
            6 => new AddStep(new Step(StepKind.Gloss, new Area(), FormulaId.B, LatestMinutes: 10)),
            7 => new MoveStep(2, 0),
            8 => Over(StepKind.Gloss, FormulaId.B, at: 3),
            9 => new SetStep(1, new Step(StepKind.Treat, Minutes: 5)),
            10 => new SetFormula(Formula.Usual with { Id = FormulaId.B }),
            _ => Over(StepKind.Gloss, FormulaId.B, new Area([])),
        };
        var applied = plan.Apply(edit, Given.Cutting);
        Assert.False(applied.Succeeded);
        Assert.Contains(applied.Problems, p => p.Field == field);
    }

    [Fact]
    public void Grams_bowls_and_the_clock_go_by_step()
    {
        var painted = With(new PaintZone(Zone.Crown, Wide));
        PlannedMix Mix(PlannedHead head) => PlannedMix.Of(head, BenchRules.Usual, GenericProducts.All, []);
        var alone = Mix(painted);
        var both = Mix(
            painted.Apply(
                new SetFormula(Colour(FormulaId.B, 4, Reflect.Copper)),
                Over(StepKind.Base, FormulaId.B, new Area(ToCm: 4), 0),
                new AddStep(new Step(StepKind.Treat, Minutes: 10))
            )
        );
        Assert.Equal([FormulaId.B, FormulaId.A], both.Bowls.Select(b => b.Batch.Formula).Distinct());
        Assert.InRange(Assert.Single(both.AreaTakes).Grams, 30, 90);
        Assert.Equal(alone.Grams + both.AreaTakes[0].Grams, both.Grams, 1e-6);
        var (based, lit, treated) = (both.Timeline.Steps[0], both.Timeline.Steps[1], both.Timeline.Steps[2]);
        Assert.Equal(based.LaidAt + 25, based.DoneAt, 1e-9);
        Assert.Equal(based.DoneAt + PaintingTime.BetweenSteps, lit.From, 1e-9);
        Assert.Equal(lit.LaidAt + painted.Plan.Formulas[0].Minutes + PaintingTime.BetweenSteps, treated.From, 1e-9);
        Assert.Equal(treated.LaidAt, both.Timeline.Minutes, 1e-9);
        Assert.Equal(alone.Timeline.Minutes, lit.LaidAt - lit.From, 1e-6);

        // What is not rinsed goes on while the next is laid.
        var under = Mix(
            both.Head.Apply(new SetStep(0, both.Head.Plan.Steps![0] with { Rinse = false }))
        ).Timeline.Steps;
        Assert.Equal(under[0].LaidAt, under[1].From, 1e-9);
    }
}
