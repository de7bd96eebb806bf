using CsCheck;
using Wendro.Blend;
using Wendro.Head;
using Wendro.Lift;
using Wendro.Paint;
using Wendro.Units;

namespace Wendro.Tests.Blend;

/// <summary>What makes product go through, and the thresholds as the method tells them.</summary>
public sealed class BleedingTests
{
    private static double Through(PanelPaint paint, Formula formula, double thicknessMm = 10)
    {
        var panel = Given.PanelOf(thicknessMm);
        return BleedFindings.Through(Coat.Planned(PaintedPanel.On(panel, paint, 1), formula), panel);
    }

    [Fact]
    public void Each_thing_that_helps_product_through_raises_the_risk() =>
        Gen.Select(Gen.Double[1, 12], Gen.Double[4, 30])
            .Sample(
                (mm, thick) =>
                {
                    var plain = PanelPaint.Usual with { MidsMm = mm, EndsMm = mm };
                    double Of(PanelPaint paint, Formula? formula = null) =>
                        Through(paint, formula ?? Formula.Usual, thick);
                    var usual = Of(plain);
                    Assert.Equal(mm / thick, usual, 1e-9);
                    Assert.Equal(usual + 0.08, Of(plain with { Tension = Tension.Slack }), 1e-9);
                    Assert.Equal(usual + 0.12, Of(plain, Formula.Usual with { Consistency = Consistency.Runny }), 1e-9);
                    Assert.True(Of(plain, Formula.Lightening(FormulaId.A, Lightener.Powder, 30, 40)) > usual);
                    Assert.True(Of(plain, Formula.Usual with { DeveloperParts = 2.5 }) > usual);
                    Assert.True(Of(plain with { Pressure = Pressure.Firm }) > usual);
                    Assert.True(Of(plain with { Pressure = Pressure.Light }) < usual);
                    Assert.True(Of(plain with { EndsMm = mm + 1 }) > usual);
                }
            );

    [Theory]
    [InlineData(0.8, "most of the way through")]
    [InlineData(0.9, "almost through")]
    [InlineData(1.0, "right through")]
    [InlineData(2.72, "right through, and some way into the hair beneath,")]
    public void How_far_is_said_as_one_would_say_it(double share, string words) =>
        Assert.Equal(words, BleedFindings.HowFar(share));

    [Fact]
    public void Limits_are_what_the_method_says() =>
        Assert.Equal(
            new FindingLimits(
                LineSoftness: 1.5,
                StripeCm: 1,
                StripeRun: 3,
                DarkBand: 0.5,
                LightBehind: 0.5,
                BleedShare: 0.92,
                ScalpCm: 0.5,
                BlockLevels: 0.45,
                PartCm: 1.5,
                SideLevels: 0.25,
                CrownCm: 0.5,
                OverlapCm: 1,
                BabyHairCm: 0.5,
                HiddenMinutes: 8,
                RegrowthWeeks: 1
            ),
            FindingLimits.Usual
        );
}
