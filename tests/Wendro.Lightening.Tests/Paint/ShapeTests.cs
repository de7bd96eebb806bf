using CsCheck;
using Wendro.Head;
using Wendro.Paint;
using Wendro.Section;

namespace Wendro.Tests.Paint;

public sealed class ShapeTests
{
    private static PaintedPanel On(PanelPaint paint, double thickness = 10) =>
        PaintedPanel.On(Given.PanelOf(thickness), paint, 1);

    [Fact]
    public void V_is_high_at_both_edges_and_low_in_the_middle()
    {
        var v = On(new PanelPaint(new Shape.V(8), 6));
        Assert.Equal(6, v.UpperEdge(0));
        Assert.Equal(14, v.UpperEdge(0.5));
        Assert.Equal(6, v.UpperEdge(1));
    }

    [Fact]
    public void Slant_is_high_towards_the_face_unless_flipped()
    {
        Assert.Equal(
            (5, 11),
            (
                On(new PanelPaint(new Shape.Slant(6), 5)).UpperEdge(0),
                On(new PanelPaint(new Shape.Slant(6), 5)).UpperEdge(1)
            )
        );
        Assert.Equal(11, On(new PanelPaint(new Shape.Slant(6, Flip: true), 5)).UpperEdge(0));
    }

    [Fact]
    public void Full_is_straight() =>
        Gen.Double[0, 1].Sample(u => Assert.Equal(3, On(new PanelPaint(new Shape.Full(), 3)).UpperEdge(u)));

    [Fact]
    public void Coverage_is_nothing_at_the_start_and_all_of_it_a_blur_further_down()
    {
        var full = On(new PanelPaint(new Shape.Full(), 4, 5));
        Assert.Equal(0, full.CoverageAlong(0.3, 4));
        Assert.Equal(0.5, full.CoverageAlong(0.3, 6.5), 1e-9);
        Assert.Equal(1, full.CoverageAlong(0.3, 9));
    }

    [Fact]
    public void Coverage_only_grows_towards_the_ends() =>
        Gen.Select(
                Given.AnyPaint.Where(p => p.Shape is not Shape.Scrunch).Select(p => p with { BandCm = null }),
                Gen.Double[0, 1],
                Gen.Double[0, 40],
                Gen.Double[0, 5]
            )
            .Sample(
                (paint, u, s, more) =>
                    Assert.True(On(paint).CoverageAlong(u, s + more) >= On(paint).CoverageAlong(u, s))
            );

    [Fact]
    public void Depth_is_penetration_over_thickness_linear_from_mids_to_ends()
    {
        var p = On(PanelPaint.Usual with { MidsMm = 4, EndsMm = 8 }, thickness: 10);
        Assert.Equal(0.4, p.Depth(0.2), 1e-9);
        Assert.Equal(0.4, p.Depth(0.5), 1e-9);
        Assert.Equal(0.6, p.Depth(0.75), 1e-9);
        Assert.Equal(0.8, p.Depth(1), 1e-9);
        Assert.Equal(1, On(PanelPaint.Usual with { MidsMm = 20 }, thickness: 10).Depth(0));
    }

    [Fact]
    public void Surface_reaches_from_the_top_and_underside_from_below()
    {
        var top = On(PanelPaint.Usual with { MidsMm = 3, Face = Face.Surface });
        var under = On(PanelPaint.Usual with { MidsMm = 3, Face = Face.Underside });
        Assert.Equal((1, 0), (top.CoverageThrough(0.1, 0.2), top.CoverageThrough(0.9, 0.2)));
        Assert.Equal((0, 1), (under.CoverageThrough(0.1, 0.2), under.CoverageThrough(0.9, 0.2)));
        Assert.Equal(1, On(PanelPaint.Usual with { MidsMm = 3, Face = Face.Both }).CoverageThrough(0.9, 0.2));
    }

    [Fact]
    public void A_share_of_the_length_resolves_against_the_panel() =>
        Assert.Equal(9, On(PanelPaint.Usual with { StartCm = 2, StartShare = 0.3 }).StartCm, 1e-9);

    [Fact]
    public void Spread_sets_neighbours_more_than_a_stripe_apart() =>
        Gen.Select(Gen.Int[0, 20], Gen.Int[0, 20], Gen.Double[1, 6], Gen.Int)
            .Sample(
                (row, column, spread, seed) =>
                {
                    var paint = PanelPaint.Usual with { StartCm = 10, SpreadCm = spread };
                    var a = paint.StartOn(new PanelKey(Zone.Crown, row, column), 30, seed);
                    var b = paint.StartOn(new PanelKey(Zone.Crown, row, column + 1), 30, seed);
                    Assert.True(Math.Abs(a - b) >= 1.1 * spread - 1e-9);
                    Assert.InRange(a, 10 - spread, 10 + spread);
                }
            );

    [Fact]
    public void Spread_is_the_same_on_both_sides_of_the_head()
    {
        var paint = PanelPaint.Usual with { SpreadCm = 2 };
        Assert.Equal(
            paint.StartOn(new PanelKey(Zone.SideLeft, 1, 2), 30, 7),
            paint.StartOn(new PanelKey(Zone.SideRight, 1, 2), 30, 7)
        );
    }

    [Fact]
    public void Paint_goes_as_deep_as_it_is_laid_from_the_side_it_is_laid_on()
    {
        // Half of a 10 mm section from above, from beneath, from both.
        PaintedPanel Laid(Face face, double mm) =>
            On(new PanelPaint(new Shape.Full(), MidsMm: mm, EndsMm: mm, Face: face));
        double[] Through(PaintedPanel p) => [.. new[] { 0, 0.3, 0.4, 0.5, 1 }.Select(w => p.CoverageThrough(w, 0.5))];
        Assert.Equal([1, 1, 0.5, 0, 0], Through(Laid(Face.Surface, 4)));
        Assert.Equal([0, 0, 0, 0, 1], Through(Laid(Face.Underside, 4)));
        Assert.Equal([1, 1, 0.5, 0, 1], Through(Laid(Face.Both, 4)));
        // Through and through reaches the last hair, and none reaches not even the first.
        Assert.Equal(1, Laid(Face.Surface, 10).CoverageThrough(1, 0.5));
        Assert.Equal(0, Laid(Face.Surface, 0).CoverageThrough(0, 0.5));
        Assert.Equal(
            (0.4, 0.8, 1),
            (
                Laid(Face.Surface, 4).ShareReached(0.5),
                Laid(Face.Both, 4).ShareReached(0.5),
                Laid(Face.Both, 7).ShareReached(0.5)
            )
        );
    }

    [Fact]
    public void A_band_ends_where_it_is_told_fading_over_a_quarter_of_itself_at_most()
    {
        var band = On(new PanelPaint(new Shape.Full(), 4, 5) { BandCm = 8 });
        Assert.Equal(12, band.EndsAtCm);
        Assert.Equal(double.PositiveInfinity, On(new PanelPaint(new Shape.Full(), 4)).EndsAtCm);
        Assert.Equal(1, band.CoverageAlong(0.5, 10));
        Assert.Equal(0.5, band.CoverageAlong(0.5, 11), 1e-9);
        Assert.Equal(0, band.CoverageAlong(0.5, 12));
        // A root stretch melts out over all of its blur.
        var root = On(new PanelPaint(new Shape.Reverse(), 0, 5) { BandCm = 12 });
        Assert.Equal(0.5, root.CoverageAlong(0.5, 9.5), 1e-9);
    }

    [Fact]
    public void Taken_to_a_short_shape_what_was_told_of_its_band_stays()
    {
        var told = new PanelPaint(new Shape.Full(), 4) { BandCm = 5 };
        Assert.Equal(5, told.In(ShapeKind.Fold).BandCm);
        Assert.Equal(5, told.In(ShapeKind.Reverse).BandCm);
    }
}
