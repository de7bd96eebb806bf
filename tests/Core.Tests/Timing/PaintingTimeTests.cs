using Wendro.Core.Paint;
using Wendro.Core.Timing;

namespace Wendro.Core.Tests.Timing;

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
}
