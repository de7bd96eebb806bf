using Wendro.Paint;
using Wendro.Timing;

namespace Wendro.Tests.Timing;

public sealed class PaintingTimeTests
{
    private static double Seconds(PanelPaint paint)
    {
        var panel = Given.PanelOf(10, 30);
        return PaintingTime.Seconds(panel, PaintedPanel.On(panel, paint, 1));
    }

    [Fact]
    public void A_panel_takes_parting_painting_and_covering()
    {
        Assert.Equal(20 + 1.1 * 20, Seconds(new PanelPaint(new Shape.Full(), 10)), 1e-9);
        Assert.Equal(20 + 1.1 * 20 + 6, Seconds(new PanelPaint(new Shape.Full(), 10, Covering: Covering.Film)), 1e-9);
        Assert.Equal(20 + 1.1 * 20 + 18, Seconds(new PanelPaint(new Shape.Full(), 10, Covering: Covering.Foil)), 1e-9);
    }

    [Fact]
    public void Paint_below_the_ends_takes_only_the_parting() =>
        Assert.Equal(20, Seconds(new PanelPaint(new Shape.Full(), 50)), 1e-9);

    [Fact]
    public void A_panel_left_natural_takes_nothing() => Assert.Equal(0, PaintingTime.Seconds(Given.PanelOf(10, 30)));

    [Fact]
    public void A_panel_is_parted_once_and_laid_teased_and_covered_for_each_product()
    {
        var panel = Given.PanelOf(10, 30);
        var open = PaintedPanel.On(panel, new PanelPaint(new Shape.Full(), 10), 1);
        var foil = PaintedPanel.On(panel, new PanelPaint(new Shape.Full(), 20, Covering: Covering.Foil), 1);
        Assert.Equal(20 + 1.1 * 20 + (1.1 * 10 + 18), PaintingTime.Seconds(panel, open, foil), 1e-9);
        Assert.Equal(20 + 1.1 * 20 + 25, Seconds(new PanelPaint(new Shape.Full(), 10, Teasing: Teasing.Light)), 1e-9);
        Assert.Equal(20 + 1.1 * 20 + 25, Seconds(new PanelPaint(new Shape.Full(), 10, Teasing: Teasing.Strong)), 1e-9);
    }

    [Fact]
    public void Wider_panels_take_longer_and_a_scrunching_pass_takes_half_of_painting()
    {
        var wide = Given.PanelOf(10, 30) with { WidthCm = 6 };
        var paint = new PanelPaint(new Shape.Full(), 10);
        Assert.Equal(20 + 1.1 * 20 * 1.5, PaintingTime.Seconds(wide, PaintedPanel.On(wide, paint, 1)), 1e-9);
        Assert.Equal(20 + 1.1 * 20 * 0.5 * 3, Seconds(paint with { Shape = new Shape.Scrunch(3) }), 1e-9);
        Assert.Equal(20 + 1.1 * 5, Seconds(paint with { BandCm = 5 }), 1e-9);
    }
}
