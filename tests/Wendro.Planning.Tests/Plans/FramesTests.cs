using CsCheck;
using Wendro.Head;
using Wendro.Lift;
using Wendro.Paint;
using Wendro.Plans;
using Wendro.Section;
using Wendro.Units;

namespace Wendro.Tests.Plans;

public sealed class FramesTests
{
    private static Applied Apply(Plan plan, PlanEdit edit) => plan.Apply(edit, Given.Cutting);

    private static Plan Painted =>
        ZoneFacts.All.Aggregate(Plan.Fresh(), (p, z) => Apply(p, new PaintZone(z, PanelPaint.Usual)).Plan);

    [Fact]
    public void Every_frame_has_an_order_that_names_every_zone_once() =>
        Each.Of(Enum.GetValues<Frame>(), f => Assert.Equal(ZoneFacts.All, Frames.OrderOf(f).Order()));

    [Fact]
    public void No_two_frames_do_the_same() =>
        Assert.Equal(
            Enum.GetValues<Frame>().Length,
            Enum.GetValues<Frame>()
                .Select(f => (f == Frame.Quadrants, string.Join(',', Frames.OrderOf(f))))
                .Distinct()
                .Count()
        );

    [Fact]
    public void Which_row_is_first_changes_no_cut()
    {
        var plan = Apply(
            Painted,
            CutZone.As(Zone.Crown, Painted.Zones[Zone.Crown].Sections with { Order = RowOrder.HighFirst })
        ).Plan;
        Assert.Equal(RowOrder.HighFirst, plan.Zones[Zone.Crown].Sections.Order);
        Assert.True(plan.IsCutLike(Painted));
        Assert.Same(Given.Cutting.Cut(Painted, Zone.Crown), Given.Cutting.Cut(plan, Zone.Crown));
    }

    [Fact]
    public void A_frame_sets_the_order_and_an_order_of_ones_own_stands_until_the_next_frame()
    {
        var plan = Apply(Plan.Fresh(), new SetFrame(Frame.Quadrants)).Plan;
        Assert.True(plan.Working.ToList().IndexOf(Zone.FaceFrameLeft) < plan.Working.ToList().IndexOf(Zone.SideRight));
        var own = ZoneFacts.All.Reverse().ToArray();
        plan = Apply(plan, new SetOrder(own)).Plan;
        Assert.Equal(own, plan.Working);
        Assert.Equal(Frames.OrderOf(Frame.Tiers), Apply(plan, new SetFrame(Frame.Tiers)).Plan.Working);
    }

    [Fact]
    public void An_order_that_misses_a_zone_or_names_one_twice_is_refused()
    {
        Assert.Equal("zones", Assert.Single(Apply(Plan.Fresh(), new SetOrder([Zone.Nape])).Problems).Field);
        Assert.NotEmpty(Apply(Plan.Fresh(), new SetOrder([.. ZoneFacts.All.Skip(1), Zone.SideLeft])).Problems);
    }

    [Fact]
    public void Panels_are_worked_zone_by_zone_and_row_by_row_from_the_end_that_was_chosen()
    {
        var plan = Apply(
            Plan.Fresh(),
            new CutZone(Zone.UpperBack, Parting.Horizontal, 12, 4, 4, true, Order: RowOrder.HighFirst)
        ).Plan;
        var order = WorkingOrder.Of(plan, Given.Cutting.Cut(plan).Values.SelectMany(c => c.Panels).Select(p => p.Key));
        Assert.Equal(plan.Working, order.Select(k => k.Zone).Distinct());
        var back = order.Where(k => k.Zone == Zone.UpperBack).Select(k => k.Row).ToArray();
        Assert.Equal(back.OrderDescending(), back);
        var nape = order.Where(k => k.Zone == Zone.Nape).Select(k => k.Row).ToArray();
        Assert.Equal(nape.Order(), nape);
    }

    [Fact]
    public void A_reach_leaves_zones_out_and_takes_them_in_again_but_not_those_with_a_reason_of_their_own()
    {
        var plan = Apply(Painted, new ExcludeZone(Zone.SideLeft, "eczema")).Plan;
        plan = Apply(plan, new SetReach(Reach.Hairline)).Plan;
        Assert.Equal("hairline only", plan.Zones[Zone.Nape].Excluded);
        Assert.Null(plan.Zones[Zone.FaceFrameLeft].Excluded);
        plan = Apply(plan, new SetReach(Reach.Half)).Plan;
        Assert.Null(plan.Zones[Zone.Crown].Excluded);
        Assert.Equal("half head", plan.Zones[Zone.UpperBack].Excluded);
        plan = Apply(plan, new SetReach(Reach.Full)).Plan;
        Assert.Equal([Zone.SideLeft], ZoneFacts.All.Where(z => plan.Zones[z].Excluded is not null));
    }

    [Fact]
    public void A_region_left_out_takes_its_paint_with_it_and_gives_the_rest_on()
    {
        var before = Painted;
        var after = Apply(before, new LeaveOut(Region.Oval, 4, "wanted natural")).Plan;
        var panels = Given.Cutting.Cut(after).Values.SelectMany(c => c.Panels).ToArray();
        Assert.True(
            panels.Sum(p => p.AreaCm2)
                < Given.Cutting.Cut(before).Values.SelectMany(c => c.Panels).Sum(p => p.AreaCm2) - 30
        );
        Each.Of(panels, p => Assert.NotNull(after.Zones[p.Key.Zone].Of(p.Key)));
        Assert.Equal(5, Apply(after, new LeaveOut(Region.Oval, 5, "larger")).Plan.Regions.Single().SizeCm);
        Assert.Empty(Apply(after, new IncludeRegion(Region.Oval)).Plan.Regions);
        Assert.Equal("region", Assert.Single(Apply(after, new IncludeRegion(Region.Veil)).Problems).Field);
    }

    [Theory]
    [InlineData(0.1)]
    [InlineData(8)]
    [InlineData(double.NaN)]
    public void A_region_has_a_size_that_can_be(double size) =>
        Assert.Equal(
            "sizeCm",
            Assert.Single(Apply(Plan.Fresh(), new LeaveOut(Region.Veil, size, "why")).Problems).Field
        );

    [Fact]
    public void Edits_together_are_all_taken_or_none()
    {
        var plan = Plan.Fresh();
        var fails = Apply(
            plan,
            new Together([new SetFrame(Frame.Tiers), new CutZone(Zone.Nape, Parting.Horizontal, 99, 4, 4, true)])
        );
        Assert.Equal("edits[1].thicknessMm", Assert.Single(fails.Problems).Field);
        Assert.Same(plan, fails.Plan);
        Assert.Equal("edits", Assert.Single(Apply(plan, new Together([])).Problems).Field);
        Assert.Equal(
            "edits[0]",
            Assert.Single(Apply(plan, new Together([new Together([new SetFrame(Frame.Tiers)])])).Problems).Field
        );
        Assert.NotEmpty(Apply(plan, new Together([null!])).Problems);
        Assert.Equal(
            Frame.Tiers,
            Apply(plan, new Together([new SetFrame(Frame.Quadrants), new SetFrame(Frame.Tiers)])).Plan.Frame
        );
    }

    [Fact]
    public void A_cleared_zone_stays_natural_when_it_is_cut_again()
    {
        var plan = Apply(Painted, new ClearZone(Zone.Crown)).Plan;
        plan = Apply(plan, new CutZone(Zone.Crown, Parting.Pivot, 9, 3, 2, true)).Plan;
        Assert.Empty(plan.Zones[Zone.Crown].Paint);
    }

    [Fact]
    public void A_zigzag_part_is_kept_when_it_is_moved_without_saying()
    {
        var plan = Apply(Plan.Fresh(), new MovePart(1, 0, 5)).Plan;
        Assert.Equal(5, Apply(plan, new MovePart(2, 0)).Plan.Part.ZigzagMm);
        Assert.Equal(0, Apply(plan, new MovePart(2, 0, 0)).Plan.Part.ZigzagMm);
        Assert.Equal("zigzagMm", Assert.Single(Apply(plan, new MovePart(2, 0, 20)).Problems).Field);
    }

    [Fact]
    public void House_rules_set_what_a_fresh_plan_starts_from()
    {
        var rules = HouseRules.Usual with
        {
            ThicknessMm = 9,
            FaceThicknessMm = 6,
            Frame = Frame.Tiers,
            BabyHairCm = 0.5,
            Formula = Formula.Lightening(FormulaId.A, Lightener.Cream, 20, 35),
        };
        Assert.Empty(rules.Problems());
        var plan = Plan.Fresh(1, rules);
        Assert.Equal(9, plan.Zones[Zone.Crown].Sections.ThicknessMm);
        Assert.Equal(6, plan.Zones[Zone.FaceFrameRight].Sections.ThicknessMm);
        Assert.Equal((Frame.Tiers, Lightener.Cream), (plan.Frame, plan.Formulas.Single().Light!.Lightener));
        Assert.Equal(Region.BabyHair, plan.Regions.Single().Region);
        Covering Usually(HouseRules house, Zone zone) =>
            Apply(Plan.Fresh(1, house), new SetBlur([PanelKey.Of($"{(zone == Zone.Nape ? "nape" : "crown")}/0/0")], 4))
                .Plan.Zones[zone]
                .Paint.Values.Single()
                .Covering;
        Assert.Equal(Covering.Film, Usually(rules, Zone.Nape));
        Assert.Equal(Covering.Open, Usually(rules, Zone.Crown));
        Assert.Equal(Covering.Open, Usually(rules with { LowerFilm = false }, Zone.Nape));
    }

    [Fact]
    public void House_rules_that_can_not_be_are_named_by_field()
    {
        var wrong = HouseRules.Usual with
        {
            ThicknessMm = 2,
            BabyHairCm = 3,
            Formula = Formula.Lightening(FormulaId.B, Lightener.Clay, 40, 0),
        };
        Assert.Equal(["babyHairCm"], (HouseRules.Usual with { BabyHairCm = 0.1 }).Problems().Select(p => p.Field));
        Assert.Equal(["thicknessMm", "babyHairCm", "formula"], wrong.Problems().Select(p => p.Field));
        Assert.Equal(
            ["formula.minutes"],
            (HouseRules.Usual with { Formula = Formula.Lightening(FormulaId.A, Lightener.Clay, 40, 0) })
                .Problems()
                .Select(p => p.Field)
        );
    }

    [Theory]
    [InlineData(Reach.Full)]
    [InlineData(Reach.Half)]
    [InlineData(Reach.Hairline)]
    public void How_much_of_the_head_is_worked_is_read_off_the_plan(Reach reach)
    {
        var plan = Apply(Plan.Fresh(), new SetReach(reach)).Plan;
        Assert.Equal(reach, plan.ReachOf());

        // What a hand leaves out besides is no reach; a zone taken in again leaves none.
        var byHand = Apply(plan, new ExcludeZone(Zone.FringeLeft, "too short")).Plan;
        Assert.Equal(reach, byHand.ReachOf());
        if (reach != Reach.Full)
        {
            Assert.Null(Apply(plan, new IncludeZone(Zone.Nape)).Plan.ReachOf());
        }
    }

    [Fact]
    public void Mirroring_upright_sections_at_the_back_turns_rows_not_columns()
    {
        var plan = Apply(Plan.Fresh(), new CutZone(Zone.UpperBack, Parting.Vertical, 15, 4, 3, false)).Plan;
        var panels = Given.Cutting.Cut(plan, Zone.UpperBack).Panels;
        var left = panels.Where(p => p.Centre.Map.X > 0).Select(p => p.Key).ToArray();
        plan = Apply(plan, new PaintPanels(left, PanelPaint.Usual)).Plan;
        plan = Apply(plan, new MirrorSide(Side.Left)).Plan;
        Assert.Equal(panels.Count, plan.Zones[Zone.UpperBack].Paint.Count);
        Gen.Int[0, panels.Count - 1]
            .Sample(i => Given.Cutting.Cut(plan, Zone.UpperBack).Opposite(panels[i].Key).Row != panels[i].Key.Row);
    }

    [Fact]
    public void Styling_changes_what_is_seen_and_not_how_she_is_cut()
    {
        var plan = Apply(Plan.Fresh(), new SetStyling(Wendro.Fall.Styling.Straight)).Plan;
        var curly = Wendro.Hair.HairProfile.Usual with { Curl = Wendro.Hair.Curl.Curly };
        Assert.Equal(Wendro.Hair.Curl.Straight, plan.AsWorn(curly).Curl);
        Assert.Equal(curly, Plan.Fresh().AsWorn(curly));
        Assert.True(plan.IsCutLike(Plan.Fresh()));
        Assert.Equal("styling", Assert.Single(Apply(plan, new SetStyling((Wendro.Fall.Styling)9)).Problems).Field);
    }
}
