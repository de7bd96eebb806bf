using CsCheck;
using Wendro.Blend;
using Wendro.Colour;
using Wendro.Fall;
using Wendro.Hair;
using Wendro.Head;
using Wendro.Lift;
using Wendro.Paint;
using Wendro.Plans;
using Wendro.Section;
using Wendro.Units;

namespace Wendro.Tests.Blend;

public sealed class BlendTests
{
    private static double MeanLevel(PanelPaint paint, double thickness, HairProfile? hair = null)
    {
        var panel = Given.PanelOf(thickness);
        return PlannedPanel
            .With(panel, PaintedPanel.On(panel, paint, 1), Formula.Usual)
            .MeanLevel(hair ?? HairProfile.Usual, Moment.Rinsed);
    }

    [Fact]
    public void Thicker_sections_at_equal_penetration_are_darker() =>
        Gen.Select(Given.AnyPaint, Gen.Double[4, 40], Gen.Double[4, 40])
            .Sample(
                (paint, a, b) =>
                {
                    var (thin, thick) = (Math.Min(a, b), Math.Max(a, b));
                    Assert.True(MeanLevel(paint, thick) <= MeanLevel(paint, thin) + 1e-9);
                }
            );

    [Fact]
    public void Thicker_is_clearly_darker_where_paint_does_not_go_through()
    {
        var paint = PanelPaint.Usual with { MidsMm = 4, EndsMm = 4 };
        Assert.True(MeanLevel(paint, 20) < MeanLevel(paint, 10) - 0.2);
    }

    [Fact]
    public void A_panels_mean_agrees_with_its_strands()
    {
        var head = Given.Bare.Apply(new PaintZone(Zone.UpperBack, new PanelPaint(new Shape.Full(), 6, 6, 5, 8)));
        var (panels, strands) = head.MeansOf(Zone.UpperBack);
        Assert.Equal(panels, strands, 0.12);
    }

    [Fact]
    public void Nothing_painted_is_all_natural()
    {
        var m = Given.Bare.Measures;
        Assert.Equal(0, m.LightShare);
        Assert.Null(m.EndsLevel);
        Assert.Equal(0, m.FaceFrameLift, 1e-9);
        Assert.Equal(0, m.RootSoftness, 1e-9);
        Each.Of(m.ZoneLevels.Values, l => Assert.Equal(5, l, 0.05));
        Assert.Empty(Given.Bare.Findings);
        Assert.InRange(m.SeenShares.Sum(), 0.5, 1);
    }

    [Fact]
    public void Everything_painted_from_the_root_is_all_light()
    {
        var paint = new PanelPaint(new Shape.Full(), 0, 0, 40, 40);
        var head = Given.Bare.Apply([
            .. ZoneFacts.All.SelectMany(z =>
                new PlanEdit[] { new CutZone(z, Parting.Horizontal, 20, 5, 0, false), new PaintZone(z, paint) }
            ),
        ]);
        Assert.True(head.Measures.LightShare > 0.95, $"{head.Measures.LightShare}");
    }

    [Fact]
    public void Balance_is_even_under_a_mirrored_plan()
    {
        var head = Given.Bare.Apply(
            new PaintZone(Zone.SideLeft, new PanelPaint(new Shape.Slant(5), 4, SpreadCm: 1.5)),
            new PaintZone(Zone.TopLeft, new PanelPaint(new Shape.V(5), 5)),
            new PaintZone(Zone.FaceFrameLeft, new PanelPaint(new Shape.Full(), 2, 6, 16, 20))
        );
        Assert.True(head.Measures.Balance > 0.15);
        Assert.InRange(head.Apply(new MirrorSide(Side.Left)).Measures.Balance, -0.15, 0.15);
    }

    [Fact]
    public void A_hard_edge_is_steeper_than_a_blurred_one()
    {
        var whole = Given.Bare.Apply(new CutZone(Zone.TopLeft, Parting.Horizontal, 12, 4.5, 0, true));
        double Softness(double blur) =>
            whole
                .Apply(new PaintZone(Zone.TopLeft, new PanelPaint(new Shape.Full(), 6, blur, 40, 40)))
                .Down.Softness(Zone.TopLeft)
                .Slope;
        Assert.True(Softness(0) >= FindingLimits.Usual.LineSoftness, $"{Softness(0)}");
        Assert.True(Softness(4) < Softness(0));
        Assert.True(Softness(12) < 0.8, $"{Softness(12)}");
        Assert.InRange(
            Given
                .Bare.Apply(new PaintZone(Zone.TopLeft, new PanelPaint(new Shape.Full(), 6, 0, 40, 40)))
                .Down.Softness(Zone.TopLeft)
                .AtCm,
            5,
            7.5
        );
    }

    [Fact]
    public void Level_at_a_moment_rises_from_natural_to_rinsed()
    {
        var head = Given.Bare.Apply(new PaintZone(Zone.Crown, PanelPaint.Usual));
        double Sum(Moment m) => head.DrawnAt(m).Levels.Sum(b => (double)b);
        Each.Of(head.DrawnAt(Moment.Before).Levels, b => Assert.Equal(Level.ToByte(5), b));
        Assert.True(Sum(Moment.Before) < Sum(Moment.At(new Minutes(10))));
        Assert.True(Sum(Moment.At(new Minutes(10))) < Sum(Moment.Rinsed));
        Assert.Equal(head.Drawn, head.DrawnAt(Moment.At(new Minutes(500))));
    }

    [Fact]
    public void The_strip_shows_what_is_painted()
    {
        var panel = Given.PanelOf(10, lengthCm: 30);
        var strip = Strip.Of(
            PlannedPanel.With(panel, PaintedPanel.On(panel, new PanelPaint(new Shape.V(9), 6, 3), 1), Formula.Usual),
            HairProfile.Usual,
            Moment.Rinsed
        );
        byte At(int row, int column) => strip.Levels[row * strip.Columns + column];
        Assert.Equal(Level.ToByte(5), At(0, 0));
        Assert.True(At(strip.Rows - 1, 0) > Level.ToByte(7.5));
        Assert.True(At(strip.Rows / 3, 0) > At(strip.Rows / 3, strip.Columns / 2), "a V keeps depth in its middle");
        Assert.Equal(0, strip.Depth[0]);
        Assert.Equal(0.6, strip.Depth[strip.Rows / 2 - 1], 1e-9);

        // Lifted hair has its own colour, on the strip and in the cut through it; what stays dry keeps its own.
        double Lifted(byte[] tints, int at) => new Tint(tints[at]).Meaning.Lifted;
        var last = strip.Rows - 1;
        Assert.Equal(0, Lifted(strip.Tints, 0));
        Assert.Equal(1, Lifted(strip.Tints, last * strip.Columns));
        Assert.Equal(0, Lifted(strip.SectionTints, 0));
        Assert.Equal(1, Lifted(strip.SectionTints, last * strip.Layers));
        Assert.Equal(0, Lifted(strip.SectionTints, last * strip.Layers + strip.Layers - 1));
    }
}
