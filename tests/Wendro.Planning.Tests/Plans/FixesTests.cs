using Wendro.Blend;
using Wendro.Consult;
using Wendro.Fall;
using Wendro.Hair;
using Wendro.Head;
using Wendro.Lift;
using Wendro.Mix;
using Wendro.Paint;
using Wendro.Plans;
using Wendro.Section;
using Wendro.Units;

namespace Wendro.Tests.Plans;

/// <summary>Every finding has a plan that triggers it and a repaired plan that does not.</summary>
public sealed class FixesTests
{
    private static readonly PanelPaint Soft = Flaws.Soft;

    /// <summary>Found by the visit, not by the plan: tested with the consultation, or by itself.</summary>
    private static readonly FindingKind[] Elsewhere =
    [
        ConsultFault.TestsMissing,
        ConsultFault.RegrowthShows,
        BlendFault.HiddenWork,
        .. MixFault.All,
    ];

    internal static IEnumerable<FindingKind> OfThePlan => FindingKinds.All.Except(Elsewhere);

    public static TheoryData<FindingKind> Kinds => [.. OfThePlan];

    private static (PlannedHead Head, Finding Finding, Cutting Cutting) Flawed(FindingKind kind)
    {
        var (head, cutting) = Flaws.Head(kind);
        var finding = head.Findings.FirstOrDefault(f => f.Kind == kind);
        Assert.True(finding is not null, $"{kind} is not among {string.Join(", ", head.Findings.Select(f => f.Id))}");
        return (head, finding, cutting);
    }

    [Theory]
    [MemberData(nameof(Kinds))]
    public void What_is_offered_mends_and_makes_nothing_graver(FindingKind kind)
    {
        var (head, finding, cutting) = Flawed(kind);
        var fix = Fixes.For(finding, head, cutting);
        Assert.NotNull(fix);
        Assert.NotEmpty(fix.Label.ToString());
        Assert.True(fix.Mends, $"{fix.Label.ToString()}: {fix.Now.Value:0.00} -> {fix.After:0.00}");

        var after = head.Apply(cutting, fix.Edit);
        Assert.DoesNotContain(after.Findings, f => f.Id == finding.Id);
        Assert.Equal(after.Measures.LightShare, fix.Measures.LightShare, 1e-9);
        Assert.All(
            after.Findings.Where(f => f.Severity < finding.Severity),
            f => Assert.Contains(head.Findings, b => b.Id == f.Id && b.Severity <= f.Severity)
        );
        Assert.True(
            after.Findings.Count(f => f.Severity == Severity.Alarm)
                <= head.Findings.Count(f => f.Severity == Severity.Alarm)
        );
    }

    [Theory]
    [MemberData(nameof(Kinds))]
    public void A_finding_points_at_its_place_and_says_why(FindingKind kind)
    {
        var (head, finding, _) = Flawed(kind);
        Assert.NotEmpty(finding.Panels);
        Assert.All(finding.Panels, p => Assert.NotNull(head.PanelOf(p)));
        Assert.All(finding.Panels, p => Assert.True(finding.Zones.Count == 0 || finding.Zones.Contains(p.Zone)));
        Each.Of(finding.Evidence, e => Assert.True(double.IsFinite(e.Value)));
        Assert.True(finding.Why.ToString().Length > 20);
        Assert.True(finding.Along is null || finding.Along.ToCm > finding.Along.FromCm - 1e-9);
    }

    [Theory]
    [MemberData(nameof(Kinds))]
    public void Set_aside_with_a_reason_it_does_not_nag_again_unless_it_keeps_people_safe(FindingKind kind)
    {
        var (head, finding, cutting) = Flawed(kind);
        var dismissed = head.Plan.Apply(new Dismiss(finding.Id, finding.Severity, "she likes it so"), cutting);
        if (finding.Kind.KeepsSafe)
        {
            Assert.Equal("finding", Assert.Single(dismissed.Problems).Field);
            return;
        }

        var after = head.Apply(cutting, new Dismiss(finding.Id, finding.Severity, "she likes it so"));
        Assert.DoesNotContain(after.Findings, f => f.Id == finding.Id);
        Assert.Contains(after.AllFindings, f => f.Id == finding.Id);
        Assert.Contains(after.Apply(cutting, new Reinstate(finding.Id)).Findings, f => f.Id == finding.Id);
    }

    [Fact]
    public void What_was_set_aside_is_heard_again_when_it_matters_more()
    {
        var (head, finding, cutting) = Flawed(BlendFault.HardLine);
        Assert.Equal(Severity.Alarm, finding.Severity);
        Assert.Contains(
            head.Apply(cutting, new Dismiss(finding.Id, Severity.Caution, "a little line is fine")).Findings,
            f => f.Id == finding.Id
        );
    }

    [Trait("Category", "Long")]
    [Fact]
    public void Where_every_formula_is_a_deposit_fixes_are_looked_for_all_the_same()
    {
        var (looks, cutting) = Given.Looks(Flaws.OldLight);
        var head = PlannedHead
            .Of(looks, cutting, Plan.Fresh())
            .Apply(
                cutting,
                [
                    new SetFormula(Formula.Colouring(FormulaId.A, 3, 30, 30)),
                    new SetGoal(new Goal(LightShareHigh: 0.3)),
                    .. ZoneFacts
                        .All.Where(z => z != Zone.Nape && !ZoneFacts.IsFaceFrame(z))
                        .Select(z => new PaintZone(z, PanelPaint.Usual.In(ShapeKind.Reverse))),
                ]
            );
        Assert.True(head.Findings.Count >= 3);
        Each.Of(head.Findings, f => Assert.True(Fixes.For(f, head, cutting) is null or { Label.Parts.Count: > 0 }));
    }

    [Fact]
    public void The_first_formula_that_lightens_is_taken_where_none_is_named()
    {
        var head = Given.Bare.Apply(
            new SetFormula(Formula.Colouring(FormulaId.A, 3, 10, 30)),
            new SetFormula(Formula.Lightening(FormulaId.B, Lightener.Clay, 30, 40)),
            new SetShape([PanelKey.Of("crown/0/0")], ShapeKind.V)
        );
        Assert.Equal(FormulaId.B, head.Plan.Zones[Zone.Crown].Paint[PanelKey.Of("crown/0/0")].Formula);
        var fix = Fixes.For(head.Findings.First(f => f.Kind == BlendFault.FrontNotBrighter), head, Given.Cutting)!;
        Assert.Equal(FormulaId.B, Assert.IsType<PaintPanels>(fix.Edit).Paint.Formula);
    }

    [Fact]
    public void A_finding_keeps_its_name_when_it_spreads_and_two_of_a_kind_have_two()
    {
        PlannedHead Dry(params Zone[] zones) =>
            Given.Bare.Apply([
                new SetFormula(Formula.Lightening(FormulaId.A, Lightener.Powder, 20, 45)),
                new SetFormula(Formula.Lightening(FormulaId.B, Lightener.Powder, 30, 45)),
                new SetGoal(new Goal { EndsLevel = new(9) }),
                .. zones.Select(z => (PlanEdit)new PaintZone(z, Soft)),
                new PaintZone(Zone.Nape, Soft with { Formula = FormulaId.B }),
            ]);
        string[] Ids(PlannedHead head) =>
            head.Findings.Where(f => f.Kind == BlendFault.DriesFirst).Select(f => f.Id).Order().ToArray();
        Assert.Equal(2, Ids(Dry(Zone.Crown)).Distinct().Count());
        Assert.Equal(Ids(Dry(Zone.Crown)), Ids(Dry(Zone.Crown, Zone.UpperBack)));
    }

    [Fact]
    public void The_smallest_change_that_mends_is_offered()
    {
        var (head, finding, cutting) = Flawed(BlendFault.Stripes);
        var fix = Fixes.For(finding, head, cutting)!;
        var spread = Assert.IsType<SpreadHeights>(fix.Edit).SpreadCm;
        Assert.True(spread > 0);
        if (spread > 1)
        {
            var less = head.Apply(cutting, new SpreadHeights(((SpreadHeights)fix.Edit).Panels, 1));
            Assert.Contains(less.Findings, f => f.Kind == BlendFault.Stripes);
        }
    }

    [Fact]
    public void Work_nobody_sees_is_named_and_can_be_saved()
    {
        // Worn down only, most of the nape lies under everything else.
        var head = Given.Bare.Apply(
            new SetWears([Wear.Down]),
            new SetLimits(FindingLimits.Usual with { HiddenMinutes = 1 }),
            new PaintZone(Zone.Nape, Soft)
        );
        var hidden = head.HiddenWork();
        Assert.NotNull(hidden);
        var fix = Fixes.For(hidden, head, Given.Cutting)!;
        Assert.Null(head.Apply(fix.Edit).HiddenWork());
    }

    [Fact]
    public void Limits_are_house_rules_and_decide()
    {
        var (head, finding, cutting) = Flawed(BlendFault.PartMismatch);
        Assert.DoesNotContain(
            head.Apply(cutting, new SetLimits(FindingLimits.Usual with { PartCm = 6 })).Findings,
            f => f.Id == finding.Id
        );
        var refused = head.Plan.Apply(new SetLimits(FindingLimits.Usual with { PartCm = 60, StripeRun = 0 }), cutting);
        Assert.Equal(["limits.partCm", "limits.stripeRun"], refused.Problems.Select(p => p.Field).Order());
    }

    [Fact]
    public void Film_beneath_the_face_panels_protects_the_skin_and_changes_neither_cover_nor_lift()
    {
        var head = Given.Bare.Apply(new PaintZone(Zone.FaceFrameLeft, PanelPaint.Usual with { Face = Face.Both }));
        var risk = head.AllFindings.Single(f => f.Kind == BlendFault.SkinAtRisk);
        Assert.Equal(Severity.Caution, risk.Severity);
        var fix = Fixes.For(risk, head, Given.Cutting)!;
        Assert.True(fix.Mends);
        var after = head.Apply(fix.Edit);
        Each.Of(
            after.Panels.Where(p => p.Painted is not null),
            p =>
            {
                Assert.Equal(LiesOn.Film, p.Painted!.Paint.LiesOn);
                Assert.Equal(Covering.Open, p.Painted.Paint.Covering);
            }
        );
        Assert.Equal(head.Levels, after.Levels);
    }
}
