using CsCheck;
using Wendro.Blend;
using Wendro.Colour;
using Wendro.Hair;
using Wendro.Head;
using Wendro.Lift;
using Wendro.Paint;
using Wendro.Plans;
using Wendro.Section;
using Wendro.Units;

namespace Wendro.Tests.Paint;

/// <summary>Shapes beyond the plain edges, and several products on one panel.</summary>
public sealed class CoatTests
{
    private static readonly PanelPaint Deep = new PanelPaint(new Shape.Full(), 0, 0, 40, 40);
    private static readonly Formula Lowlight = Formula.Colouring(FormulaId.B, 3, 10, 30);

    private static PaintedPanel On(PanelPaint paint, double lengthCm = 30) =>
        PaintedPanel.On(Given.PanelOf(10, lengthCm), paint, 1);

    private static double Level(
        PanelPaint paint,
        double share,
        double u = 0.5,
        HairProfile? hair = null,
        params Formula[] formulas
    )
    {
        var panel = Given.PanelOf(10, 30);
        Formula Of(FormulaId id) => formulas.Append(Formula.Usual).Append(Lowlight).First(f => f.Id == id);
        var planned = new PlannedPanel(
            panel,
            paint.Coats().Select(c => Coat.Planned(PaintedPanel.On(panel, c, 1), Of(c.Formula))).ToArray()
        );
        var strip = Strip.Of(planned, hair ?? HairProfile.Usual, Moment.Rinsed);
        return Wendro.Units.Level.FromByte(
            strip.Levels[(int)(share * strip.Rows) * strip.Columns + (int)(u * strip.Columns)]
        );
    }

    [Fact]
    public void W_has_a_middle_peak_and_a_spine_runs_through_the_dark_middle()
    {
        var w = On(new PanelPaint(new Shape.W(8, PeakCm: 2), 5));
        Assert.Equal((5, 7, 5), (w.UpperEdge(0), w.UpperEdge(0.5), w.UpperEdge(1)));
        Assert.Equal(13, w.UpperEdge(0.25), 1e-9);
        var v = new PanelPaint(new Shape.V(10), 5, 1);
        Assert.Equal(0, On(v).CoverageAlong(0.5, 9));
        Assert.True(On(v.In(ShapeKind.Spined)).CoverageAlong(0.5, 9) > 0.9);
        Assert.Equal(0, On(v.In(ShapeKind.Spined)).CoverageAlong(0.35, 6), 0.05);
    }

    [Theory]
    [InlineData(Teasing.None)]
    [InlineData(Teasing.Light)]
    [InlineData(Teasing.Strong)]
    public void Teased_strands_begin_lower_each_by_its_own_as_far_as_was_teased(Teasing teasing)
    {
        var panel = On(PanelPaint.Usual with { Teasing = teasing });
        var below = Enumerable.Range(0, 2000).Select(panel.TeasedBelow).ToArray();
        Assert.Equal(teasing == Teasing.None, panel.TeasedCm == 0);
        Assert.All(below, b => Assert.InRange(b, 0, panel.TeasedCm));
        Assert.Equal(panel.TeasedCm / 2, below.Average(), panel.TeasedCm / 20 + 1e-12);
        Assert.True(below.Max() >= panel.TeasedCm * 0.98);
    }

    [Fact]
    public void Paint_is_moved_from_where_a_share_of_the_length_lies_or_set_at_a_height_of_its_own()
    {
        var shared = PanelPaint.Usual with { StartShare = 0.25, SpreadCm = 1.5 };
        var lowered = shared.Lowered(2, 40);
        Assert.Equal((12.0, (double?)null, 1.5), (lowered.StartCm, lowered.StartShare, lowered.SpreadCm));
        Assert.Equal(5, (PanelPaint.Usual with { StartCm = 8 }).Lowered(-3, 40).StartCm);
        Assert.Equal(0, shared.Lowered(-30, 40).StartCm);
        var set = shared.StartingAt(7);
        Assert.Equal((7.0, (double?)null, 0.0), (set.StartCm, set.StartShare, set.SpreadCm));
    }

    [Fact]
    public void Teeth_differ_in_height_by_little_more_than_half_the_drop()
    {
        var teeth = On(new PanelPaint(new Shape.Sawtooth(10, 8), 5));
        var edge = Enumerable.Range(0, 4001).Select(i => teeth.UpperEdge(i / 4000.0) - 5).ToArray();
        var peaks = Enumerable.Range(0, 8).Select(t => edge.Skip(t * 500).Take(500).Min()).ToArray();
        Assert.All(edge, e => Assert.InRange(e, 0, 10 + 1e-9));
        Assert.All(peaks, p => Assert.InRange(p, 0, 5.5 + 0.1));
        Assert.True(peaks.Distinct().Count() > 4);
        // Between two teeth the edge comes down by the whole drop.
        Assert.All(Enumerable.Range(0, 9), t => Assert.Equal(10, edge[t * 500], 0.05));
    }

    [Fact]
    public void An_area_between_panels_is_another_and_strays_only_where_told()
    {
        var area = new Area(FromCm: 4, ToCm: 12);
        Assert.Equal(area, new Area(FromCm: 4, ToCm: 12));
        Assert.NotEqual(area, area with { Between = true });
        foreach (var s in new[] { 2.0, 4, 4.3, 8, 11.8, 12, 14 })
        {
            Assert.Equal(area.CoverageAlong(s, 30, 0), area.CoverageAlong(s, 30));
            Assert.Equal(area.CoverageAlong(s, 30), area.CoverageAlong(s + 1, 30, 1), 1e-9);
        }

        Assert.Equal(0.5, area.CoverageAlong(4, 30), 1e-9);
        Assert.Equal(0.5, area.CoverageAlong(12, 30), 1e-9);
    }

    [Fact]
    public void U_is_rounder_than_V_and_the_middle_can_be_moved()
    {
        var paint = new PanelPaint(new Shape.V(8), 5);
        Assert.True(On(paint with { Shape = new Shape.U(8) }).UpperEdge(0.25) > On(paint).UpperEdge(0.25));
        Assert.Equal(13, On(paint with { Shape = new Shape.V(8, 0.3) }).UpperEdge(0.3), 1e-9);
        Assert.Equal(9, On(paint with { SlopeCm = 4 }).UpperEdge(1), 1e-9);
    }

    [Fact]
    public void Teeth_are_of_unequal_height_the_same_every_time()
    {
        var saw = On(new PanelPaint(new Shape.Sawtooth(10, 5), 5));
        var peaks = Enumerable.Range(0, 5).Select(i => saw.UpperEdge((i + 0.5) / 5)).ToArray();
        Assert.True(peaks.Max() - peaks.Min() > 0.8);
        Assert.Equal(peaks, Enumerable.Range(0, 5).Select(i => On(saw.Paint).UpperEdge((i + 0.5) / 5)));
    }

    [Fact]
    public void Lines_start_high_and_low_by_turns_widen_and_meet_where_the_panel_is_held()
    {
        var lines = On(new PanelPaint(new Shape.Staggered(6) { Stroked = new(0.3, 14) }, 4, 0.5));
        double Share(double s) => Enumerable.Range(0, 200).Average(i => lines.CoverageAlong((i + 0.5) / 200, s));
        Assert.True(
            lines.CoverageAlong(0.1, 7) > 0.9 && lines.CoverageAlong(0.3, 7) < 0.1,
            "the first high, the second not begun"
        );
        Assert.True(Share(6) < Share(11) && Share(11) < Share(15));
        Assert.True(Share(19) > 0.97, $"solid where held: {Share(19)}");
        Assert.True(
            On(lines.Paint with { Shape = new Shape.Staggered(6) { Stroked = new(0.3, 8) } }).CoverageAlong(0.2, 13)
                > lines.CoverageAlong(0.2, 13)
        );
    }

    [Fact]
    public void Tips_are_measured_from_each_strands_own_end()
    {
        var tip = On(new PanelPaint(new Shape.Tip(), 24, 1));
        Assert.Equal((0, 1), (tip.CoverageAlong(0.5, 23, 30, 0), tip.CoverageAlong(0.5, 26, 30, 0)));
        Assert.Equal((0, 1), (tip.CoverageAlong(0.5, 13, 20, 0), tip.CoverageAlong(0.5, 16, 20, 0)));
    }

    [Fact]
    public void A_band_ends_and_reverse_is_full_at_the_root()
    {
        var fold = On((PanelPaint.Usual with { StartCm = 2 }).In(ShapeKind.Fold));
        Assert.True(fold.CoverageAlong(0.5, 6) > 0.9);
        Assert.Equal(0, fold.CoverageAlong(0.5, 10.01));
        var reverse = On(PanelPaint.Usual.In(ShapeKind.Reverse) with { BlurCm = 6 });
        Assert.Equal(1, reverse.CoverageAlong(0.5, 0.1));
        Assert.InRange(reverse.CoverageAlong(0.5, 9), 0.4, 0.6);
        Assert.Equal(0, reverse.CoverageAlong(0.5, 12));
    }

    [Fact]
    public void More_passes_of_scrunching_reach_more_and_none_reaches_all() =>
        Gen.Int[0, 500]
            .Sample(
                seed =>
                {
                    double Share(int passes) =>
                        Enumerable
                            .Range(0, 900)
                            .Average(i =>
                                PaintedPanel
                                    .On(Given.PanelOf(10), new PanelPaint(new Shape.Scrunch(passes), 2, 1), seed)
                                    .CoverageAlong((i % 30 + 0.5) / 30, 4 + i / 30 * 0.8)
                            );
                    Assert.True(Share(1) < Share(3) && Share(3) < Share(6));
                    Assert.InRange(Share(1), 0.2, 0.8);
                },
                iter: 30
            );

    [Fact]
    public void Coverage_and_depth_stay_within_bounds() =>
        Gen.Select(Given.AnyPaint, Gen.Double[0, 1], Gen.Double[0, 60], Gen.Double[2, 60])
            .Sample(
                (paint, u, s, length) =>
                {
                    Assert.InRange(On(paint).CoverageAlong(u, s, length, 0.3), 0, 1);
                    Assert.InRange(On(paint).CoverageThrough(u, 0.7), 0, 1);
                    Assert.True(double.IsFinite(On(paint).UpperEdge(u)));
                }
            );

    [Fact]
    public void What_was_laid_first_holds_the_hair_where_two_lie()
    {
        var mild = Formula.Lightening(FormulaId.C, Lightener.Clay, 10, 30);
        var first = Level(Deep with { Next = Deep with { Formula = FormulaId.C } }, 0.9, formulas: mild);
        var second = Level(Deep with { Formula = FormulaId.C, Next = Deep }, 0.9, formulas: mild);
        Assert.Equal(Level(Deep, 0.9), first, 0.05);
        Assert.Equal(Level(Deep with { Formula = FormulaId.C }, 0.9, formulas: mild), second, 0.05);
        Assert.True(first > second + 0.5);
    }

    [Fact]
    public void Deposit_above_and_light_below_on_the_same_strand()
    {
        var root = new PanelPaint(new Shape.Reverse(), 0, 3, 40, 40, BandCm: 9) { Formula = FormulaId.B };
        var both = root with { Next = Deep with { StartCm = 12, BlurCm = 4 } };
        Assert.Equal(3, Level(both, 0.1), 0.1);
        Assert.True(Level(both, 0.95) > 7.5);
        Assert.Equal(5, Level(both, 0.36), 0.2);
    }

    [Fact]
    public void A_deposit_draws_lighter_hair_to_its_level_and_leaves_darker_hair() =>
        Gen.Select(Gen.Double[1, 10], Gen.Double[1, 10], Gen.Double[0, 1])
            .Sample(
                (level, deposit, share) =>
                {
                    var after = level + Deposit.Darkens(level, deposit, share);
                    Assert.InRange(after, Math.Min(level, deposit) - 1e-9, level + 1e-9);
                    Assert.True(level <= deposit ? after == level : after <= level);
                }
            );

    [Fact]
    public void Firm_strokes_go_deeper_teasing_holds_strands_back_and_stiff_mixtures_lift_less()
    {
        var paint = PanelPaint.Usual with { MidsMm = 5, EndsMm = 5 };
        Assert.True(On(paint with { Pressure = Pressure.Firm }).Depth(1) > On(paint).Depth(1));
        Assert.True(On(paint with { Pressure = Pressure.Light }).Depth(1) < On(paint).Depth(1));
        Assert.Equal(
            0.25,
            Enumerable.Range(0, 20_000).Count(i => On(paint with { Teasing = Teasing.Strong }).Holds(i)) / 20_000.0,
            0.02
        );
        var panel = Given.PanelOf(10);
        double Mean(PanelPaint p, Consistency c) =>
            PlannedPanel
                .With(panel, PaintedPanel.On(panel, p, 1), Formula.Usual with { Consistency = c })
                .MeanLevel(HairProfile.Usual, Moment.Rinsed);
        Assert.True(Mean(paint, Consistency.Stiff) < Mean(paint, Consistency.Right));
        Assert.True(Mean(paint with { Teasing = Teasing.Strong }, Consistency.Right) < Mean(paint, Consistency.Right));
    }

    [Fact]
    public void Thicker_is_darker_whatever_the_shape() =>
        Gen.Select(Given.AnyPaint, Gen.Double[5, 20])
            .Sample(
                (paint, thin) =>
                {
                    double Mean(double mm) =>
                        PlannedPanel
                            .With(Given.PanelOf(mm), PaintedPanel.On(Given.PanelOf(mm), paint, 1), Formula.Usual)
                            .MeanLevel(HairProfile.Usual, Moment.Rinsed);
                    Assert.True(Mean(thin * 1.6) <= Mean(thin) + 1e-6);
                },
                iter: 60
            );

    [Fact]
    public void Coats_are_added_taken_and_swapped_by_edits()
    {
        PanelKey[] one = [PanelKey.Of("upperBack/1/1")];
        var plan = Given.Bare.Apply(new SetFormula(Lowlight), new PaintPanels(one, Deep with { StartCm = 8 })).Plan;
        PanelPaint Of(Plan p) => p.Zones[Zone.UpperBack].Paint[one[0]];
        var two = plan.Apply(
            new AddCoat(one, (PanelPaint.Usual with { Formula = FormulaId.B }).In(ShapeKind.Reverse)),
            Given.Cutting
        ).Plan;
        Assert.Equal([FormulaId.A, FormulaId.B], Of(two).Coats().Select(c => c.Formula));
        var swapped = two.Apply(new SwapCoats(one, 0), Given.Cutting).Plan;
        Assert.Equal([FormulaId.B, FormulaId.A], Of(swapped).Coats().Select(c => c.Formula));
        Assert.Equal(Of(plan), Of(two.Apply(new TakeCoat(one, 1), Given.Cutting).Plan));
        var moved = two.Apply(new SetBand(one, 5, Coat: 1), Given.Cutting).Plan;
        Assert.Equal((null, 5), (Of(moved).BandCm, Of(moved).Next!.BandCm));
        Assert.Equal("coat", two.Apply(new SetBlur(one, 3, Coat: 2), Given.Cutting).Problems[0].Field);
        Assert.NotEmpty(two.Apply(new SwapCoats(one, 1), Given.Cutting).Problems);
    }
}
