using Wendro.Core.Blend;
using Wendro.Core.Fall;
using Wendro.Core.Hair;
using Wendro.Core.Head;
using Wendro.Core.Lift;
using Wendro.Core.Paint;
using Wendro.Core.Plans;
using Wendro.Core.Section;
using Wendro.Core.Units;

namespace Wendro.Core.Tests.Plans;

/// <summary>One edit on a painted plan: it does what it says, all of it, and nothing beside it.</summary>
public sealed class EditByEditTests
{
    private static readonly PanelKey Key = PanelKey.Of("crown/0/0");
    private static readonly PanelKey Beside = PanelKey.Of("crown/0/1");

    /// <summary>Two products on a panel, no value of theirs the usual one.</summary>
    private static readonly PanelPaint First = new(
        new Shape.W(6, 0.4, 2),
        9,
        4,
        5,
        7,
        SpreadCm: 2,
        StartShare: 0.25,
        SlopeCm: 1,
        BandCm: 12,
        Tension: Tension.Slack
    );

    private static readonly PanelPaint Second = new(
        Shape.Usual(ShapeKind.Staggered, 5),
        11,
        3,
        4,
        6,
        Face.Underside,
        Covering.Film,
        SpreadCm: 1,
        Teasing: Teasing.Light
    )
    {
        Formula = FormulaId.B,
    };

    private static readonly Plan Painted = Plan.Fresh()
        .Edited(
            new SetFormula(Formula.Lightening(FormulaId.B, Lightener.Powder, 20, 35)),
            new PaintPanels([Key, Beside], PanelPaint.Of([First, Second])!)
        );

    private static PanelPaint? On(Plan plan, PanelKey key) => plan.Zones[key.Zone].Of(key);

    /// <summary>What an edit of one product is, by which product, and what it makes of it.</summary>
    private static readonly (Func<int, PlanEdit> Edit, Func<PanelPaint, PanelPaint> Makes)[] OfOneProduct =
    [
        (n => new SetBand([Key], 9, n), p => p with { BandCm = 9 }),
        (n => new SetBand([Key], null, n), p => p with { BandCm = null }),
        (n => new SetBlur([Key], 2.5, n), p => p with { BlurCm = 2.5 }),
        (n => new SetCovering([Key], Covering.Mesh, n), p => p with { Covering = Covering.Mesh }),
        (n => new SetDepth([Key], 3, 10, n), p => p with { MidsMm = 3, EndsMm = 10 }),
        (n => new SetFace([Key], Face.Both, n), p => p with { Face = Face.Both }),
        (n => new UseFormula([Key], n == 0 ? FormulaId.B : FormulaId.A, n), p => p with { Formula = Other(p.Formula) }),
        (n => new SetHandling([Key], Pressure.Firm, Coat: n), p => p with { Pressure = Pressure.Firm }),
        (n => new SetHandling([Key], Tension: Tension.Taut, Coat: n), p => p with { Tension = Tension.Taut }),
        (n => new SetHandling([Key], Teasing: Teasing.Strong, Coat: n), p => p with { Teasing = Teasing.Strong }),
        (n => new SetHandling([Key], LiesOn: LiesOn.Board, Coat: n), p => p with { LiesOn = LiesOn.Board }),
        (n => new SetHeights([Key], StartCm: 3, Coat: n), p => p with { StartCm = 3, StartShare = null, SpreadCm = 0 }),
        (n => new SetHeights([Key], StartShare: 0.4, Coat: n), p => p with { StartShare = 0.4, SpreadCm = 0 }),
        (n => new SetHeights([Key], DropCm: 3, Coat: n), p => p with { Shape = p.Shape with { DropCm = 3 } }),
        (n => new SetHeights([Key], SlopeCm: -2, Coat: n), p => p with { SlopeCm = -2 }),
        (n => new SetHeights([Key], CentreCm: 1, Coat: n), p => p with { Shape = p.Shape with { PeakCm = 1 } }),
        (n => new SetShape([Key], ShapeKind.U, Coat: n), p => p.In(ShapeKind.U)),
        (n => new SetStrokes([Key], CentreU: 0.7, Coat: n), p => p with { Shape = p.Shape with { MiddleU = 0.7 } }),
    ];

    private static FormulaId Other(FormulaId id) => id == FormulaId.A ? FormulaId.B : FormulaId.A;

    [Fact]
    public void One_product_of_one_panel_is_changed_and_no_other() =>
        Each.Of(
            OfOneProduct,
            x =>
            {
                var first = Painted.Edited(x.Edit(0));
                Assert.Equal(PanelPaint.Of([x.Makes(First), Second]), On(first, Key));
                Assert.Equal(On(Painted, Beside), On(first, Beside));
                Assert.Equal(PanelPaint.Of([First, x.Makes(Second)]), On(Painted.Edited(x.Edit(1)), Key));

                // There is no third.
                Assert.Contains(Painted.Apply(x.Edit(2), Given.Cutting).Problems, p => p.Field == "coat");
                Assert.Contains(Painted.Apply(x.Edit(-1), Given.Cutting).Problems, p => p.Field == "coat");
            }
        );

    [Fact]
    public void Strokes_are_counted_widened_and_merged_each_on_its_own()
    {
        Stroke Of(PlanEdit edit) => On(Painted.Edited(edit), Key)!.Next!.Shape.Stroked!;
        var now = Second.Shape.Stroked!;
        Assert.Equal(7, On(Painted.Edited(new SetStrokes([Key], 7, Coat: 1)), Key)!.Next!.Shape.Count);
        Assert.Equal(now, Of(new SetStrokes([Key], 7, Coat: 1)));
        Assert.Equal(now with { Width = 0.3 }, Of(new SetStrokes([Key], StrokeShare: 0.3, Coat: 1)));
        Assert.Equal(now with { MergeCm = 14 }, Of(new SetStrokes([Key], MergeCm: 14, Coat: 1)));

        // A W is no strokes: a width makes none of it.
        Assert.Null(On(Painted.Edited(new SetStrokes([Key], StrokeShare: 0.3)), Key)!.Shape.Stroked);
    }

    [Fact]
    public void A_slant_runs_the_way_it_did_until_it_is_turned()
    {
        bool Flipped(Plan plan) => Assert.IsType<Shape.Slant>(On(plan, Key)!.Shape).Flip;
        var slant = Painted.Edited(new SetShape([Key], ShapeKind.Slant));
        Assert.False(Flipped(slant));
        var turned = slant.Edited(new SetShape([Key], ShapeKind.Slant, true));
        Assert.True(Flipped(turned));
        Assert.True(Flipped(turned.Edited(new SetShape([Key], ShapeKind.Slant))));
        Assert.False(Flipped(turned.Edited(new SetShape([Key], ShapeKind.Slant, false))));
    }

    [Fact]
    public void Products_are_added_after_the_others_taken_and_swapped()
    {
        var third = PanelPaint.Usual with { StartCm = 2 };
        var three = Painted.Edited(new AddCoat([Key], third));
        Assert.Equal([First, Second, third], Alone(On(three, Key)));
        Assert.Equal([First, third, Second], Alone(On(three.Edited(new SwapCoats([Key], 1)), Key)));
        Assert.Equal([Second, First, third], Alone(On(three.Edited(new SwapCoats([Key], 0)), Key)));
        Assert.Equal([First, third], Alone(On(three.Edited(new TakeCoat([Key], 1)), Key)));
        Assert.Equal([Second, third], Alone(On(three.Edited(new TakeCoat([Key], 0)), Key)));
        Assert.Equal([First, Second], Alone(On(three, Beside)));

        // Three are the most, and one that brings others with it is none.
        Refused(three, new AddCoat([Key], third), "panels");
        Refused(Plan.Fresh(), new AddCoat([Key], third with { Next = third }), "panels");
        Refused(Painted, new SwapCoats([Key], 1), "coat");
        Refused(Painted, new SwapCoats([Key], 2), "coat");
        Refused(Painted, new TakeCoat([Key], 2), "coat");

        // The last one taken leaves hair natural.
        var one = Painted.Edited(new TakeCoat([Key], 1), new TakeCoat([Key], 0));
        Assert.Null(On(one, Key));
    }

    private static PanelPaint[] Alone(PanelPaint? paint) =>
        paint!.Coats().Select(c => c with { Next = null }).ToArray();

    private static void Refused(Plan plan, PlanEdit edit, string field)
    {
        var applied = plan.Apply(edit, Given.Cutting);
        Assert.Contains(applied.Problems, p => p.Field == field);
        Assert.Same(plan, applied.Plan);
    }

    [Theory]
    [InlineData("crown/0/0", false, "V", 7, "Open")]
    [InlineData("nape/0/0", false, "V", 7, "Open")]
    [InlineData("nape/0/0", true, "V", 7, "Film")]
    [InlineData("lowerBack/0/0", true, "V", 7, "Film")]
    [InlineData("crown/0/0", true, "V", 7, "Open")]
    [InlineData("faceFrameLeft/0/0", true, "Full", 2.5, "Open")]
    public void What_was_bare_is_painted_as_usual_there_first(
        string panel,
        bool lowerFilm,
        string shape,
        double startCm,
        string covering
    )
    {
        var key = PanelKey.Of(panel);
        var fresh = (Plan.Fresh() with { LowerFilm = lowerFilm }).Edited(
            new SetFormula(Formula.Colouring(FormulaId.A, 6, 10, 20)),
            new SetFormula(Formula.Lightening(FormulaId.B, Lightener.Clay, 20, 35))
        );
        var painted = On(fresh.Edited(new SetBlur([key], 6)), key)!;
        Assert.Equal((shape, startCm, 6), (painted.Shape.Kind.ToString(), painted.StartCm, painted.BlurCm));
        Assert.Equal((covering, FormulaId.B), (painted.Covering.ToString(), painted.Formula));

        // A zone that has a usual of its own gives that.
        var own = PanelPaint.Usual with
        {
            StartCm = 5,
            Formula = FormulaId.B,
        };
        var cleared = fresh.Edited(new PaintZone(key.Zone, own), new ClearPanels([key]));
        Assert.Null(On(cleared, key));
        Assert.Equal(own with { BlurCm = 6 }, On(cleared.Edited(new SetBlur([key], 6)), key));
    }

    [Fact]
    public void Steps_are_put_moved_changed_and_taken_where_it_was_said()
    {
        var colour = Plan.Fresh().Edited(new SetFormula(Formula.Colouring(FormulaId.B, 6, 10, 20)));
        var gloss = new Step(StepKind.Gloss, new Area(), FormulaId.B);
        var treat = new Step(StepKind.Treat, Minutes: 10);
        Step[] Of(params PlanEdit[] edits) => [.. colour.Edited(edits).StepsOf()];
        Assert.Equal([Step.Usual, gloss], Of(new AddStep(gloss)));
        Assert.Equal([gloss, Step.Usual], Of(new AddStep(gloss, 0)));
        Assert.Equal([Step.Usual, gloss], Of(new AddStep(gloss, 1)));
        PlanEdit[] three = [new AddStep(gloss), new AddStep(treat)];
        Assert.Equal([Step.Usual, gloss, treat], Of(three));
        Assert.Equal([gloss, treat, Step.Usual], Of([.. three, new MoveStep(0, 2)]));
        Assert.Equal([treat, Step.Usual, gloss], Of([.. three, new MoveStep(2, 0)]));
        Assert.Equal([Step.Usual, treat], Of([.. three, new RemoveStep(1)]));
        var longer = treat with { Minutes = 15 };
        Assert.Equal([Step.Usual, gloss, longer], Of([.. three, new SetStep(2, longer)]));
        Assert.Null(colour.Edited(new AddStep(treat), new RemoveStep(1)).Steps);

        Refused(colour, new AddStep(gloss, 2), "at");
        Refused(colour, new AddStep(gloss, -1), "at");
        Refused(colour, new MoveStep(0, 1), "to");
        Refused(colour, new MoveStep(-1, 0), "number");
        Refused(colour, new RemoveStep(0), "number");
        Refused(colour, new RemoveStep(1), "number");
        Refused(colour, new SetStep(1, longer), "number");
        Refused(colour, new SetStep(0, longer), "step");
        Refused(colour, new SetStep(0, Step.Usual with { LatestMinutes = 1 }), "step.latestMinutes");
    }

    public static TheoryData<Step, string?> Steps =>
        new()
        {
            { new Step(StepKind.Treat, Minutes: 10), null },
            { new Step(StepKind.Treat), "step.minutes" },
            { new Step(StepKind.Treat, Formula: FormulaId.B, Minutes: 10), "step.formula" },
            { new Step(StepKind.Treat, Minutes: 0.5), "step.minutes" },
            { new Step(StepKind.Treat, Minutes: 10, EarliestMinutes: 10, LatestMinutes: 10), null },
            { new Step(StepKind.Treat, Minutes: 10, EarliestMinutes: 11), "step.earliestMinutes" },
            { new Step(StepKind.Treat, Minutes: 10, LatestMinutes: 9), "step.latestMinutes" },
            { new Step(StepKind.Gloss, new Area(), FormulaId.B), null },
            { new Step(StepKind.Gloss, new Area(), FormulaId.B, 10), "step.minutes" },
            { new Step(StepKind.Gloss, new Area(), FormulaId.C), "step.formula" },
            { new Step(StepKind.Gloss, new Area(), FormulaId.A), "step.formula" },
            { new Step(StepKind.Gloss, new Area()), "step.formula" },
            { new Step(StepKind.Gloss, new Area(FromCm: 4, ToCm: 4), FormulaId.B), "step.area.toCm" },
            { new Step(StepKind.Gloss, new Area(FromCm: 4, ToCm: 4.1), FormulaId.B), null },
            { new Step(StepKind.Gloss, new Area([]), FormulaId.B), "step.area.zones" },
            { new Step(StepKind.Gloss, new Area([(Zone)99]), FormulaId.B), "step.area.zones" },
            { new Step(StepKind.Gloss, new Area(Covering: (Covering)9), FormulaId.B), "step.area.covering" },
            { new Step((StepKind)9, new Area(), FormulaId.B), "step.kind" },
            { new Step(StepKind.Deposit, Formula: FormulaId.B), null },
        };

    [Theory]
    [MemberData(nameof(Steps))]
    public void A_step_has_what_its_kind_needs_and_nothing_else(Step step, string? field)
    {
        var plan = Plan.Fresh().Edited(new SetFormula(Formula.Colouring(FormulaId.B, 6, 10, 20)));
        var found = plan.Apply(new AddStep(step), Given.Cutting).Problems.Select(p => p.Field).Distinct();
        Assert.Equal(field is null ? [] : [field], found);
    }

    [Fact]
    public void Eight_steps_are_the_most()
    {
        var treat = new Step(StepKind.Treat, Minutes: 10);
        var full = Plan.Fresh().Edited(Enumerable.Repeat(new AddStep(treat), Step.Most - 1).ToArray<PlanEdit>());
        Assert.Equal(8, full.StepsOf().Count);
        Refused(full, new AddStep(treat), "step");
    }

    [Fact]
    public void What_is_set_aside_and_left_out_keeps_its_reason_without_blanks_round_it()
    {
        var plan = Plan.Fresh()
            .Edited(
                new ExcludeZone(Zone.Nape, "  undercut "),
                new LeaveOut(Region.Veil, 1, " soft "),
                new Dismiss("stripes", Severity.Note, " wanted "),
                new Dismiss("solidBlock", Severity.Note, "a"),
                new Dismiss("solidBlock", Severity.Caution, "b")
            );
        Assert.Equal(("undercut", LeftOutBy.Hand), (plan.Zones[Zone.Nape].Excluded, plan.Zones[Zone.Nape].ExcludedBy));
        Assert.Equal("soft", Assert.Single(plan.Regions).Reason);
        Assert.Equal([("stripes", "wanted"), ("solidBlock", "b")], plan.SetAside.Select(d => (d.Finding, d.Reason)));

        // Another size of the same region is not another region; a second one is.
        plan = plan.Edited(new LeaveOut(Region.Veil, 2, "wide"), new LeaveOut(Region.BabyHair, 1, "new"));
        Assert.Equal([(Region.Veil, 2), (Region.BabyHair, 1)], plan.Regions.Select(r => (r.Region, r.SizeCm)));
        plan = plan.Edited(new TakeIn(Region.Veil), new Heed("stripes"));
        Assert.Equal([Region.BabyHair], plan.Regions.Select(r => r.Region));
        Assert.Equal(["solidBlock"], plan.SetAside.Select(d => d.Finding));
        Refused(plan, new TakeIn(Region.Veil), "region");
        Refused(plan, new Heed("stripes"), "finding");
    }

    [Fact]
    public void Wears_are_kept_in_one_order_down_among_them_and_each_once()
    {
        Assert.Equal(
            [Wear.Down, Wear.Tucked],
            Plan.Fresh().Edited(new SetWears([Wear.Tucked, Wear.Down])).Wears.ToArray()
        );
        Refused(Plan.Fresh(), new SetWears([Wear.Down, Wear.Down]), "wears");
        Refused(Plan.Fresh(), new SetWears([]), "wears");
        Refused(Plan.Fresh(), new SetWears([Wear.Down, (Wear)99]), "wears");
        Refused(
            Plan.Fresh(),
            new SetWears([Wear.Down, .. Enum.GetValues<Wear>().Where(w => !WearFacts.IsWorn(w))]),
            "wears"
        );
        Refused(Plan.Fresh(), new SetWears([Wear.TiedLow]), "wears");
    }

    [Fact]
    public void The_hairline_is_thinned_and_nothing_else_is_cut()
    {
        var plan = Plan.Fresh().Edited(new ThinHairline(6));
        Each.Of(
            ZoneFacts.All,
            z =>
                Assert.Equal(
                    ZoneFacts.IsHairline(z)
                        ? Plan.Fresh().Zones[z].Sections with
                        {
                            ThicknessMm = 6,
                        }
                        : Plan.Fresh().Zones[z].Sections,
                    plan.Zones[z].Sections
                )
        );
    }

    [Fact]
    public void A_step_that_lays_a_formula_minds_what_becomes_of_it()
    {
        var glossed = Plan.Fresh()
            .Edited(
                new SetFormula(Formula.Colouring(FormulaId.B, 6, 10, 20)),
                new AddStep(new Step(StepKind.Gloss, new Area(), FormulaId.B, LatestMinutes: 25))
            );
        var problems = glossed.Apply(new SetFormula(Formula.Colouring(FormulaId.B, 6, 10, 30)), Given.Cutting).Problems;
        Assert.StartsWith(
            "The gloss, all lengths lays it. ",
            Assert.Single(problems).Message,
            StringComparison.Ordinal
        );
        Assert.Equal("formula.latestMinutes", problems[0].Field);
        glossed.Edited(new SetFormula(Formula.Colouring(FormulaId.B, 6, 10, 25)));
        Refused(glossed, new SetFormula(null!), "formula");
    }

    public static TheoryData<PlanEdit, string> Unknown =>
        new()
        {
            { new SetCovering([Key], (Covering)9), "covering" },
            { new SetFace([Key], (Face)9), "face" },
            { new SetShape([Key], (ShapeKind)99), "shape" },
            { new SetHandling([Key], (Pressure)9), "pressure" },
            { new SetHandling([Key], Tension: (Tension)9), "tension" },
            { new SetHandling([Key], Teasing: (Teasing)9), "teasing" },
            { new SetHandling([Key], LiesOn: (LiesOn)9), "liesOn" },
            { new PaintZone((Zone)99, First), "zone" },
            { new PaintPanels([Key], First with { Face = (Face)9 }), "paint.face" },
            { new PaintPanels([Key], First with { Covering = (Covering)9 }), "paint.covering" },
            { new PaintPanels([Key], First with { Pressure = (Pressure)9 }), "paint.pressure" },
            { new PaintPanels([Key], First with { Tension = (Tension)9 }), "paint.tension" },
            { new PaintPanels([Key], First with { Teasing = (Teasing)9 }), "paint.teasing" },
            { new PaintPanels([Key], First with { Next = Second with { BlurCm = 13 } }), "paint.next.blurCm" },
            { new PaintPanels([Key], First with { Shape = new Shape.V(-1) }), "paint.dropCm" },
            { new PaintPanels([Key], First with { Shape = new Shape.V(5, 0.95) }), "paint.centreU" },
            { new PaintPanels([Key], First with { Shape = new Shape.W(5, 0.5, -1) }), "paint.centreCm" },
            { new PaintPanels([Key], null!), "paint" },
            { new ClearZone((Zone)99), "zone" },
            { new AlternateRows((Zone)99, 3, 6), "zone" },
            { new MatchPart((Side)9), "from" },
            { new MirrorSide((Side)9), "from" },
            { new SetFrame((Frame)99), "frame" },
            { new SetRinse((Rinsing)9), "rinse" },
            { new SetStyling((Styling)9), "styling" },
            { new SetReach((Reach)9), "reach" },
            { new CutZone(Zone.Crown, (Parting)99, 10, 4, 0, false), "parting" },
            { new CutZone(Zone.Crown, Parting.Vertical, 10, 4, 0, false, Order: (RowOrder)9), "order" },
            { new IncludeZone((Zone)99), "zone" },
            { new ExcludeZone((Zone)99, "a"), "zone" },
            { new ExcludeZone(Zone.Nape, "a", (LeftOutBy)9), "by" },
            { new LeaveOut((Region)99, 1, "a"), "region" },
            { new LeaveOut(Region.Veil, 1, "a", (LeftOutBy)9), "by" },
            { new TakeIn((Region)99), "region" },
            { new Dismiss("stripes", (Severity)9, "a"), "at" },
            { new Dismiss("", Severity.Note, "a"), "finding" },
            { new Dismiss("stripes", Severity.Note, " "), "reason" },
            { new SetOrder([Zone.Nape]), "zones" },
            { new SetOrder([.. ZoneFacts.All.Skip(1), Zone.Crown]), "zones" },
            { new SetOrder(null!), "zones" },
            { new UseFormula([Key], FormulaId.D), "formula" },
            { new ThinHairline(3), "thicknessMm" },
            { new RaiseFaceFrame(0), "byCm" },
            { new DropCrown(21), "byCm" },
            { new Taper(-1, 3), "frontCm" },
            { new AlternatePanels([Key], 3, 76), "lowCm" },
            { new SpreadHeights([Key], 7), "spreadCm" },
            { new SetBand([Key], 0.4), "bandCm" },
            { new SetDepth([Key], 41, 3), "midsMm" },
            { new SetStrokes([Key]), "strokes" },
            { new SetStrokes([Key], 0), "strokes" },
        };

    [Theory]
    [MemberData(nameof(Unknown))]
    public void What_nobody_knows_gets_a_word_by_its_name_and_only_that(PlanEdit edit, string field) =>
        Assert.Equal([field], Painted.Apply(edit, Given.Cutting).Problems.Select(p => p.Field).Distinct());

    [Fact]
    public void Regrowth_is_touched_up_to_where_light_hair_begins_and_a_little_over()
    {
        var grown = HairProfile.Usual with
        {
            History = [new(0, 8, BandState.Natural, new(5)), new(8, 34, BandState.Lightened, new(8.5))],
        };
        var (_, cutting) = Given.Looks(grown);
        var over = 8 + Limits.Usual.OverlapCm;
        PanelPaint Touched(PanelPaint paint)
        {
            var plan = Plan.Fresh().Apply(new PaintPanels([Key], paint), cutting).Plan;
            return On(plan.Apply(new TouchUpRegrowth(), cutting).Plan, Key)!;
        }

        // Begun well above, it stays where it is; begun too near, it is moved up to a quarter of what has grown.
        var high = Touched(new PanelPaint(new Shape.V(9), 3, 6));
        Assert.Equal((3, over - 3, 5), (high.StartCm, high.BandCm, high.BlurCm));
        Assert.Equal(5 * 0.6, high.Shape.DropCm, 1e-9);
        var low = Touched(new PanelPaint(new Shape.V(1), 7, 4, SpreadCm: 0));
        Assert.Equal((2, over - 2, 4, 1), (low.StartCm, low.BandCm, low.BlurCm, low.Shape.DropCm));
        Assert.Equal(2, Touched(new PanelPaint(new Shape.V(1), 5.7)).StartCm);
        Assert.Equal(5.5, Touched(new PanelPaint(new Shape.V(1), 5.5)).StartCm);
    }

    [Fact]
    public void Dark_pieces_alone_give_nothing_light_to_follow_and_light_ones_nothing_dark()
    {
        Plan With(MarkKind kind, out Cutting cutting)
        {
            cutting = Given.Looks(HairProfile.Usual with { Marked = [new(kind, 5, -3, 3)] }).Cutting;
            return Plan.Fresh();
        }

        string? Field(Plan plan, PlanEdit edit, Cutting cutting) =>
            plan.Apply(edit, cutting).Problems.Select(p => p.Field).FirstOrDefault();
        var dark = With(MarkKind.OldDark, out var ofDark);
        Assert.Equal("edit", Field(dark, new FollowOldPieces(), ofDark));
        Assert.Null(Field(dark, new OnlyDarkPieces(), ofDark));
        var light = With(MarkKind.OldLight, out var ofLight);
        Assert.Null(Field(light, new FollowOldPieces(), ofLight));
        Assert.Equal("edit", Field(light, new OnlyDarkPieces(), ofLight));
    }

    [Fact]
    public void A_part_of_the_strands_stands_for_all_of_them()
    {
        var (all, scalp) = Given.Bare.HairOf(_ => true, (s, _) => s < 10 ? 1 : 0);
        var (some, same) = Given.Bare.HairOf(_ => true, (s, _) => s < 10 ? 1 : 0, every: 5);
        Assert.Equal(Given.Head.ScalpCm2, scalp, 1e-6);
        Assert.Equal(scalp, same, scalp * 0.01);
        Assert.Equal(all, some, all * 0.02);
        Assert.InRange(all, 20, 90);
    }
}
