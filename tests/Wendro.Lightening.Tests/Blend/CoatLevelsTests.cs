using CsCheck;
using Wendro.Blend;
using Wendro.Fall;
using Wendro.Hair;
using Wendro.Head;
using Wendro.Lift;
using Wendro.Paint;
using Wendro.Plans;
using Wendro.Section;
using Wendro.Units;

namespace Wendro.Tests.Blend;

/// <summary>A panel's own figures and its strands tell the same story, whatever is laid on it.</summary>
public sealed class CoatLevelsTests
{
    private static readonly Formula Deposit = Formula.Colouring(FormulaId.B, 3.5, 10, 30);

    private static PlannedHead Painted(PanelPaint paint) =>
        Given.Bare.Apply(new SetFormula(Deposit), new PaintZone(Zone.UpperBack, paint));

    private static readonly Gen<PanelPaint> Any = Given.AnyPaint.Select(p =>
        p with
        {
            SpreadCm = 0,
            SlopeCm = Math.Clamp(p.SlopeCm, -5, 5),
        }
    );

    [Fact]
    public void The_mean_of_a_panel_is_the_mean_of_its_strands_for_every_shape() =>
        Any.Where(p => p.Shape is not Shape.Scrunch)
            .Sample(
                paint =>
                {
                    var (panels, strands) = Painted(paint).MeansOf(Zone.UpperBack);
                    Assert.True(
                        Math.Abs(panels - strands) < 0.35,
                        $"{paint.Shape}: {panels:0.00} by panels, {strands:0.00} by strands"
                    );
                },
                iter: 40
            );

    [Trait("Category", "Long")]
    [Fact]
    public void And_for_two_products_on_it() =>
        Gen.Select(Any, Any)
            .Where(p => p.Item1.Shape is not Shape.Scrunch && p.Item2.Shape is not Shape.Scrunch)
            .Sample(
                (first, second) =>
                {
                    var (panels, strands) = Painted(first with { Next = second with { Formula = FormulaId.B } })
                        .MeansOf(Zone.UpperBack);
                    Assert.True(
                        Math.Abs(panels - strands) < 0.35,
                        $"{first.Shape} then {second.Shape}: {panels:0.00} by panels, {strands:0.00} by strands"
                    );
                },
                iter: 30
            );

    [Fact]
    public void A_second_product_that_covers_nothing_changes_nothing()
    {
        var paint = PanelPaint.Usual with { SpreadCm = 0 };
        var nowhere = new PanelPaint(new Shape.Full(), 74, 0) { Formula = FormulaId.B };
        Assert.True(Painted(paint).Levels.AsSpan().SequenceEqual(Painted(paint with { Next = nowhere }).Levels));
    }

    [Fact]
    public void Lightener_never_darkens_and_a_deposit_never_lightens() =>
        Any.Sample(
            paint =>
            {
                var natural = Level.ToByte(5);
                Each.Of(Painted(paint).Levels, l => Assert.True(l >= natural));
                Each.Of(Painted(paint with { Formula = FormulaId.B }).Levels, l => Assert.True(l <= natural));
            },
            iter: 15
        );

    [Fact]
    public void More_minutes_lift_and_colour_more() =>
        Gen.Select(Any, Gen.Double[0, 40], Gen.Double[0, 20])
            .Sample(
                (paint, minutes, more) =>
                {
                    var panel = Given.PanelOf(10);
                    double Mean(Formula formula, double at) =>
                        PlannedPanel
                            .With(panel, PaintedPanel.On(panel, paint, 1), formula)
                            .MeanLevel(HairProfile.Usual, Moment.At(new Minutes(at)));
                    Assert.True(Mean(Formula.Usual, minutes + more) >= Mean(Formula.Usual, minutes) - 1e-6);
                    Assert.True(Mean(Deposit, minutes + more) <= Mean(Deposit, minutes) + 1e-6);
                },
                iter: 60
            );

    [Fact]
    public void The_section_is_reached_from_the_side_that_is_painted()
    {
        var panel = Given.PanelOf(10);
        Strip Of(Face face) =>
            Strip.Of(
                PlannedPanel.With(
                    panel,
                    PaintedPanel.On(panel, new PanelPaint(new Shape.Full(), 2, 1, 3, 3, Face: face), 1),
                    Formula.Usual
                ),
                HairProfile.Usual,
                Moment.Rinsed
            );
        byte At(Strip strip, int layer) => strip.Section[(strip.Rows - 1) * strip.Layers + layer];
        var (top, under, both) = (Of(Face.Surface), Of(Face.Underside), Of(Face.Both));
        var last = top.Layers - 1;
        Assert.True(At(top, 0) > At(top, last) && At(under, last) > At(under, 0));
        Assert.True(At(both, 0) == At(both, last) && At(both, top.Layers / 2) == Level.ToByte(5), "dry in the middle");
    }

    [Fact]
    public void Held_back_strands_stay_as_they_are()
    {
        var head = Painted(new PanelPaint(new Shape.Full(), 1, 0, 40, 40, Teasing: Teasing.Strong));
        var here = Enumerable
            .Range(0, head.Map.Panel.Length)
            .Where(i => head.Map.Panel[i] >= 0 && head.Map.Zone[i] == (byte)Zone.UpperBack)
            .ToArray();
        var bare = here.Count(i => head.Levels[(i + 1) * Places.Count - 1] == Level.ToByte(5));
        Assert.Equal(0.25, bare / (double)here.Length, 0.06);
    }

    /// <summary>
    /// What lies over an area lies between its panels, too: on the hair left out there and on no other.
    /// </summary>
    [Fact]
    public void An_area_reaches_hair_left_out_between_panels_of_its_own_zones_only()
    {
        var over = new Area([Zone.UpperBack, Zone.Crown]);
        var head = Given.Bare.Apply(new SetFormula(Deposit), new AddStep(new Step(StepKind.Gloss, over, FormulaId.B)));
        var left = Enumerable.Range(0, head.Map.Panel.Length).Where(i => head.Map.Panel[i] < 0).ToArray();
        byte End(int i) => head.Levels[(i + 1) * Places.Count - 1];
        byte Was(int i) => Given.Bare.Levels[(i + 1) * Places.Count - 1];
        Each.Of(left.Where(i => over.Zones!.Contains((Zone)head.Map.Zone[i])), i => Assert.True(End(i) < Was(i)));
        Each.Of(left.Where(i => !over.Zones!.Contains((Zone)head.Map.Zone[i])), i => Assert.Equal(Was(i), End(i)));
    }

    [Fact]
    public void A_narrow_band_shows_wherever_it_lies() =>
        Gen.Select(Gen.Double[0, 12], Gen.Double[0.5, 3], Gen.Double[20, 70])
            .Sample(
                (startCm, bandCm, lengthCm) =>
                {
                    var paint = new PanelPaint(new Shape.Full(), startCm, 0, 20, 20, SpreadCm: 0);
                    double Brightest(PanelPaint of) =>
                        PlannedPanel
                            .With(
                                Given.PanelOf(6, lengthCm),
                                PaintedPanel.On(Given.PanelOf(6, lengthCm), of, 1),
                                Formula.Usual
                            )
                            .BrightestLevel(HairProfile.Usual, Moment.Rinsed);
                    var natural = HairProfile.Usual.NaturalLevel;
                    var (band, all) = (Brightest(paint with { BandCm = bandCm }), Brightest(paint));
                    Assert.InRange(band, natural + 0.6 * (all - natural), all + 1e-9);
                }
            );
}
