using Wendro.Core.Blend;
using Wendro.Core.Head;
using Wendro.Core.Lift;
using Wendro.Core.Paint;
using Wendro.Core.Plans;

namespace Wendro.Core.Tests.Plans;

public sealed class FixesTests
{
    private static readonly PanelPaint Straight = new(Shape.Full, 6, 0, 0, 10, 14);

    private static readonly Dictionary<FindingKind, PlanEdit[]> Flaws = new()
    {
        [FindingKind.HardLine] = [.. ZoneFacts.All.Select(z => new PaintZone(z, Straight))],
        [FindingKind.Stripes] = [new PaintZone(Zone.UpperBack, new PanelPaint(SpreadCm: 0))],
        [FindingKind.FrontNotBrighter] = [new PaintZone(Zone.UpperBack, new PanelPaint(SpreadCm: 1.5))],
        [FindingKind.DriesFirst] =
        [
            new SetFormula(new Formula("A", Lightener.Powder, 20, 45)),
            new SetWish(new Wish(EndsLevel: 8)),
            new PaintZone(Zone.UpperBack, new PanelPaint(SpreadCm: 1.5)),
        ],
        [FindingKind.DarkBehindHairline] =
        [
            .. ZoneFacts.All.Where(z => !ZoneFacts.IsFaceFrame(z)).Select(z => new PaintZone(z, Straight with { StartCm = 0.5, BlurCm = 2, MidsMm = 20, EndsMm = 20 })),
        ],
    };

    public static TheoryData<FindingKind> Kinds => [.. Enum.GetValues<FindingKind>()];

    [Theory]
    [MemberData(nameof(Kinds))]
    public void What_is_offered_mends_or_betters_and_makes_no_new_alarm(FindingKind kind)
    {
        var head = Given.Bare.Apply(Flaws[kind]);
        var finding = head.Findings.First(f => f.Kind == kind);
        var fix = Fixes.For(finding, head, Given.Cutting);
        Assert.NotNull(fix);
        Assert.NotEmpty(fix.Label);

        var after = head.Apply(fix.Edit);
        var still = after.Findings.FirstOrDefault(f => f.Id == finding.Id);
        Assert.Equal(fix.Mends, still is null);
        Assert.True(after.Findings.Count(f => f.Severity == Severity.Alarm) <= head.Findings.Count(f => f.Severity == Severity.Alarm));
        Assert.All(finding.Evidence, e => Assert.True(double.IsFinite(e.Value)));
    }

    [Theory]
    [MemberData(nameof(Kinds))]
    public void A_finding_names_panels_of_the_zones_it_names(FindingKind kind)
    {
        var head = Given.Bare.Apply(Flaws[kind]);
        var finding = head.Findings.First(f => f.Kind == kind);
        Assert.NotEmpty(finding.Panels);
        Assert.All(finding.Panels, p => Assert.Contains(p.Zone, finding.Zones));
        Assert.All(finding.Panels, p => Assert.NotNull(head.PanelOf(p)));
    }

    [Fact]
    public void The_smallest_change_that_mends_is_offered()
    {
        var head = Given.Bare.Apply(Flaws[FindingKind.Stripes]);
        var fix = Fixes.For(head.Findings.First(f => f.Kind == FindingKind.Stripes), head, Given.Cutting)!;
        var spread = Assert.IsType<SpreadHeights>(fix.Edit).SpreadCm;
        Assert.True(spread > 0);
        if (spread > 1)
        {
            var less = head.Apply(new SpreadHeights(((SpreadHeights)fix.Edit).Panels, 1));
            Assert.Contains(less.Findings, f => f.Kind == FindingKind.Stripes);
        }
    }
}
