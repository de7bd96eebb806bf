using Wendro.Blend;
using Wendro.Fall;
using Wendro.Head;
using Wendro.Lift;
using Wendro.Paint;
using Wendro.Plans;
using Wendro.Section;
using Wendro.Units;

namespace Wendro.Tests.Blend;

/// <summary>Each finding has a plan that triggers it and a fix after which it is gone.</summary>
public sealed class FindingsTests
{
    private static readonly PanelPaint Soft = new PanelPaint(new Shape.V(7), 7, 6, 5, 8, SpreadCm: 1.5);

    private static PlannedHead Whole(PanelPaint paint, PanelPaint? frame = null) =>
        Given.Bare.Apply([
            .. ZoneFacts.All.Where(z => !ZoneFacts.IsFaceFrame(z)).Select(z => (PlanEdit)new PaintZone(z, paint)),
            .. frame is null
                ? []
                : new PlanEdit[]
                {
                    new PaintZone(Zone.FaceFrameLeft, frame),
                    new PaintZone(Zone.FaceFrameRight, frame),
                },
        ]);

    private static Finding Single(PlannedHead head, FindingKind kind, Zone? zone = null) =>
        head.Findings.First(f => f.Kind == kind && (zone is null || f.Zones.Contains(zone.Value)));

    private static PlannedHead Mended(PlannedHead head, Finding finding)
    {
        var fix = Fixes.For(finding, head, Given.Cutting);
        Assert.NotNull(fix);
        Assert.True(fix.Mends, fix.Label.ToString());
        var after = head.Apply(fix.Edit);
        Assert.DoesNotContain(after.Findings, f => f.Id == finding.Id);
        return after;
    }

    [Fact]
    public void Hard_line()
    {
        var head = Given.Bare.Apply(new PaintZone(Zone.TopLeft, new PanelPaint(new Shape.Full(), 6, 0, 40, 40)));
        var finding = Single(head, BlendFault.HardLine);
        Assert.Equal(Severity.Alarm, finding.Severity);
        Assert.Equal([Zone.TopLeft], finding.Zones);
        Assert.Contains("without blur", finding.Text.ToString(), StringComparison.Ordinal);
        Mended(head, finding);
    }

    [Fact]
    public void Stripes()
    {
        var head = Given.Bare.Apply(new PaintZone(Zone.UpperBack, Soft with { BlurCm = 1.5, SpreadCm = 0 }));
        var finding = Single(head, BlendFault.Stripes);
        Each.Of(finding.Panels, p => Assert.Equal(Zone.UpperBack, p.Zone));
        Mended(head, finding);

        // Softly blurred, or each as wide as it happens to be, equal heights are no stripes.
        Assert.DoesNotContain(
            Given.Bare.Apply(new PaintZone(Zone.UpperBack, Soft with { SpreadCm = 0 })).Findings,
            f => f.Kind == BlendFault.Stripes
        );
    }

    [Fact]
    public void Two_neighbours_alike_are_no_stripes()
    {
        var head = Given.Bare.Apply(
            new PaintPanels(
                [PanelKey.Of("upperBack/0/0"), PanelKey.Of("upperBack/0/1")],
                Soft with
                {
                    BlurCm = 1.5,
                    SpreadCm = 0,
                }
            ),
            new PaintPanels([PanelKey.Of("upperBack/0/2")], Soft with { BlurCm = 1.5, SpreadCm = 0, StartCm = 9 })
        );
        Assert.DoesNotContain(head.Findings, f => f.Kind == BlendFault.Stripes);
        var three = head.Apply(new SetHeights([PanelKey.Of("upperBack/0/2")], StartCm: 7.9));
        Assert.Contains(three.Findings, f => f.Kind == BlendFault.Stripes);
    }

    [Fact]
    public void Front_not_brighter()
    {
        var head = Whole(Soft);
        var finding = Single(head, BlendFault.FrontNotBrighter);
        Assert.Contains("None of it is painted", finding.Text.ToString(), StringComparison.Ordinal);
        Assert.True(finding.Evidence[0].Value < finding.Evidence[1].Value);
        Assert.True(Mended(head, finding).Measures.FaceFrameLift >= 0.95);
    }

    [Fact]
    public void Dries_first()
    {
        var head = Whole(Soft)
            .Apply(
                new SetFormula(Formula.Lightening(FormulaId.A, Lightener.Powder, 20, 40)),
                new SetGoal(new Goal { EndsLevel = new(9) })
            );
        var finding = Single(head, BlendFault.DriesFirst);
        Assert.Contains("powder, 20 vol", finding.Text.ToString(), StringComparison.Ordinal);
        Mended(head, finding);
    }

    [Fact]
    public void Out_of_reach_by_strength_is_not_called_drying()
    {
        var head = Whole(Soft)
            .Apply(
                new SetFormula(Formula.Lightening(FormulaId.A, Lightener.Clay, 5, 40)),
                new SetGoal(new Goal { EndsLevel = new(9) })
            );
        Assert.DoesNotContain(head.Findings, f => f.Kind == BlendFault.DriesFirst);
    }

    [Fact]
    public void Dark_behind_the_hairline()
    {
        var head = Whole(new PanelPaint(new Shape.Full(), 2, 6, 12, 12, SpreadCm: 1.5));
        var finding = Single(head, BlendFault.DarkBehindHairline);
        Assert.Equal(Wear.TiedHigh, finding.Wear);
        Mended(head, finding);
        Assert.DoesNotContain(
            head.Apply(new SetWears([Wear.Down])).Findings,
            f => f.Kind == BlendFault.DarkBehindHairline
        );

        // A frame that is painted, but begins low, shows a dark hairline in a ponytail all the same.
        var low = Whole(
            new PanelPaint(new Shape.Full(), 2, 2, 12, 12, SpreadCm: 1.5),
            new PanelPaint(new Shape.Full(), 8, 3, 12, 12)
        );
        Assert.Contains(low.Findings, f => f.Kind == BlendFault.DarkBehindHairline);
    }

    [Fact]
    public void Worst_comes_first_and_each_says_why()
    {
        var head = Whole(new PanelPaint(new Shape.Full(), 4, 0, 12, 12));
        Assert.Equal(head.Findings.OrderBy(f => f.Severity).Select(f => f.Id), head.Findings.Select(f => f.Id));
        Each.Of(
            head.Findings,
            f => Assert.True(f.Why.ToString().Length > 20 && f.Evidence.Count > 0 && f.Panels.Count > 0)
        );
        Assert.Equal(head.Findings.Count, head.Findings.Select(f => f.Id).Distinct().Count());
    }
}
