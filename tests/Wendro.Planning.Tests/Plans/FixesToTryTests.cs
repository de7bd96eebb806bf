using Wendro.Blend;
using Wendro.Head;
using Wendro.Lift;
using Wendro.Paint;
using Wendro.Plans;
using Wendro.Units;

namespace Wendro.Tests.Plans;

/// <summary>What is tried against each finding, mildest first.</summary>
public sealed class FixesToTryTests
{
    private static readonly Dictionary<FindingKind, string> Ways = new()
    {
        {
            BlendFault.HardLine,
            "Blur 3 cm|Blur 4 cm|Blur 5 cm|Blur 6 cm|Blur 8 cm|Blur 10 cm|Blur 12 cm|"
                + "Spread heights 2 cm|Spread heights 3 cm|Spread heights 4 cm|Spread heights 6 cm"
        },
        {
            BlendFault.FrontNotBrighter,
            "Paint the face frame from 5 cm|Paint the face frame from 4.5 cm|Paint the face frame from 4 cm|"
                + "Paint the face frame from 3.5 cm|Paint the face frame from 3 cm|Paint the face frame from 2.5 cm|"
                + "Paint the face frame from 2 cm|Paint the face frame from 1.5 cm|Paint the face frame from 1 cm|"
                + "Paint from 3 cm, straight and deep|Paint from 2 cm, straight and deep|Paint from 1 cm, straight and deep"
        },
        {
            BlendFault.Stripes,
            "Spread heights 1 cm|Spread heights 1.5 cm|Spread heights 2 cm|Spread heights 3 cm|Spread heights 4 cm"
        },
        { BlendFault.DriesFirst, "Cover with film|A: 30 vol|Cover with foil|A: 40 vol" },
        {
            BlendFault.DarkBehindHairline,
            "Paint underside from 3 cm|Paint underside from 2 cm|Paint underside from 1.5 cm|Paint underside from 1 cm"
        },
        {
            BlendFault.DarkNape,
            "Paint the nape's underside from 6 cm|Paint the nape's underside from 4 cm|Paint the nape's underside from 3 cm|"
                + "Paint the nape's underside from 2 cm|Paint the nape's underside from 1.2 cm"
        },
        { BlendFault.SolidBlock, "Leave every third panel natural|Leave every other panel natural" },
        {
            BlendFault.NothingDarkLeft,
            "Leave every third panel natural|Leave every other panel natural|Start 2 cm lower behind the face|"
                + "Start 4 cm lower behind the face|Start 6 cm lower behind the face|"
                + "Start 8 cm lower behind the face|Start 10 cm lower behind the face"
        },
        {
            BlendFault.WeakSide,
            "Paint the right side like the left|Paint the left side like the right|Start 1 cm lower on the left|"
                + "Start 2 cm lower on the left|Start 3 cm lower on the left|Start 5 cm lower on the left"
        },
        { BlendFault.PartMismatch, "Match right to left|Match left to right" },
        {
            BlendFault.CrownTooHigh,
            "Drop the crown 4 cm|Drop the crown 6 cm|Drop the crown 8 cm|Drop the crown 4.4 cm"
        },
        {
            BlendFault.BleedThrough,
            "No deeper than 78 % of the section|No deeper than 69 % of the section|No deeper than 60 % of the section|"
                + "Lay film beneath it"
        },
        {
            BlendFault.ScalpContact,
            "Start 0.6 cm from the scalp|Start 1.0 cm from the scalp|Start 1.5 cm from the scalp|"
                + "Start 2.0 cm from the scalp|Start 3.0 cm from the scalp"
        },
        { BlendFault.HotRoot, "B: 20 vol|B: 10 vol|Start 1.5 cm from the scalp" },
        {
            BlendFault.OutOfReach,
            "A: 20 vol|A: 30 vol|A: 40 vol|A: powder, 20 vol|A: cream, 20 vol|A: half clay, half powder, 20 vol|"
                + "A: powder, 30 vol|A: cream, 30 vol|A: half clay, half powder, 30 vol|"
                + "A: powder, 40 vol|A: cream, 40 vol|A: half clay, half powder, 40 vol"
        },
        { BlendFault.Overlap, "End it at the light hair" },
        { BlendFault.BabyHairPainted, "Leave out 0.5 cm of baby hair" },
        { BlendFault.BreakingHairPainted, "Leave it all natural" },
        { BlendFault.SkinAtRisk, "Lay film under the face panels" },
        {
            BlendFault.LowlightOnTop,
            "Start the deposit 2 cm from the scalp|Start the deposit 3 cm from the scalp|Start the deposit 4 cm from the scalp"
        },
        {
            BlendFault.MoreThanHands,
            "Sections 25 % thicker|Sections 25 % thicker, 25 % wider|Sections 50 % thicker, 25 % wider|"
                + "Sections 80 % thicker, 40 % wider|Sections 120 % thicker, 60 % wider|Sections 180 % thicker, 100 % wider"
        },
        { BlendFault.FlatOrGreen, "Put the warmth back first: deposit level 6 copper, 10 vol, 15 min" },
        { BlendFault.WarmRoot, "B: 10 vol" },
    };

    public static TheoryData<FindingKind, string> Tried
    {
        get
        {
            var data = new TheoryData<FindingKind, string>();
            foreach (var (kind, labels) in Ways)
            {
                data.Add(kind, labels);
            }

            return data;
        }
    }

    [Theory]
    [MemberData(nameof(Tried))]
    public void The_mildest_is_tried_first_and_each_can_be_taken(FindingKind kind, string labels)
    {
        var (head, cutting) = Flaws.Head(kind);
        var tries = FixesToTry.For(head.Findings.First(f => f.Kind == kind), head).ToArray();
        Assert.Equal(labels.Split('|'), tries.Select(t => t.Label.ToString()));
        Each.Of(tries, t => Assert.Empty(head.Plan.Apply(t.Edit, cutting).Problems));
    }

    [Fact]
    public void Everything_the_second_look_offers_to_mend_is_told_here() =>
        Assert.Equal(FixesTests.OfThePlan.ToHashSet(), Ways.Keys.ToHashSet());

    [Fact]
    public void A_bleeding_panel_is_painted_less_deep_by_its_own_thickness_and_no_other_is_touched()
    {
        var (head, _) = Flaws.Head(BlendFault.BleedThrough);
        var finding = head.Findings.First(f => f.Kind == BlendFault.BleedThrough);
        var least = Assert.IsType<Together>(FixesToTry.For(finding, head).First().Edit);
        var painted = least
            .Edits.Cast<PaintPanels>()
            .SelectMany(e => e.Panels.Select(k => (Key: k, e.Paint)))
            .ToArray();
        Assert.Equal(finding.Panels.Order(), painted.Select(p => p.Key).Order());
        Each.Of(
            painted,
            p =>
            {
                var was = head.PanelOf(p.Key)!;
                var share = p.Paint.EndsMm * was.Painted!.PressedFactor / was.Panel.ThicknessMm;
                Assert.InRange(share, 0, 0.85 * head.Plan.LimitsOf().BleedShare + 0.01);
                Assert.True(p.Paint.EndsMm <= was.Painted.Paint.EndsMm && p.Paint.MidsMm <= was.Painted.Paint.MidsMm);
                Assert.Equal(Tension.Taut, p.Paint.Tension);
            }
        );
    }

    [Fact]
    public void Only_what_is_stronger_than_the_scalp_takes_is_made_milder()
    {
        var (head, cutting) = Flaws.Head(BlendFault.HotRoot);
        var finding = head.Findings.First(f => f.Kind == BlendFault.HotRoot);
        var mild = head.Apply(
            cutting,
            new SetFormula(Formula.Lightening(FormulaId.C, Lightener.Clay, 20, 30)),
            new AddCoat(finding.Panels.ToArray(), PanelPaint.Usual with { Formula = FormulaId.C })
        );
        Assert.Equal("B: 20 vol", FixesToTry.For(finding, mild).First().Label.ToString());
        var strong = mild.Apply(cutting, new SetFormula(Formula.Lightening(FormulaId.C, Lightener.Clay, 21, 30)));
        Assert.Equal("B, C: 20 vol", FixesToTry.For(finding, strong).First().Label.ToString());
    }

    [Fact]
    public void Film_beneath_keeps_the_hair_below_clean_and_the_paint_as_deep_as_it_was()
    {
        var (head, cutting) = Flaws.Head(BlendFault.BleedThrough);
        var finding = head.Findings.First(f => f.Kind == BlendFault.BleedThrough);
        var laid = head.Apply(cutting, FixesToTry.For(finding, head).Last().Edit);
        Assert.DoesNotContain(laid.AllFindings, f => f.Kind == BlendFault.BleedThrough);
        Assert.Equal(head.Levels, laid.Levels);

        // A board does as well.
        var onBoard = head.Apply(cutting, new SetHandling([.. finding.Panels], LiesOn: LiesOn.Board));
        Assert.DoesNotContain(onBoard.AllFindings, f => f.Kind == BlendFault.BleedThrough);
    }

    [Fact]
    public void A_nape_that_is_to_show_tied_back_is_painted_through_softly_and_low()
    {
        var (head, _) = Flaws.Head(BlendFault.DarkNape);
        var finding = head.Findings.First(f => f.Kind == BlendFault.DarkNape);
        Each.Of(
            FixesToTry.For(finding, head).Select(t => Assert.IsType<PaintZone>(t.Edit)),
            e =>
            {
                Assert.Equal((Zone.Nape, Face.Both, null), (e.Zone, e.Paint.Face, e.Paint.StartShare));
                Assert.True(e.Paint.MidsMm >= 9);
                Assert.InRange(e.Paint.SpreadCm, 0, Math.Min(1, e.Paint.StartCm / 2));
                Assert.InRange(e.Paint.Shape.DropCm, 0, 2);
                Assert.True(e.Paint.StartCm >= 3 || e.Paint.BlurCm <= 4);
            }
        );
        var without = head.Plan.With(Zone.Nape, z => z with { Excluded = "undercut" });
        Assert.Empty(FixesToTry.For(finding, head.After(without, head.Looks, Given.Cutting)));
    }

    [Fact]
    public void A_frame_that_is_painted_is_raised_and_the_last_way_is_straight_and_deep()
    {
        var (head, cutting) = Flaws.Head(BlendFault.FrontNotBrighter);
        var finding = head.Findings.First(f => f.Kind == BlendFault.FrontNotBrighter);
        var frame = head.Panels.Where(p => ZoneFacts.IsFaceFrame(p.Panel.Key.Zone)).Select(p => p.Panel.Key).ToArray();
        var painted = head.Apply(cutting, new PaintPanels(frame, new PanelPaint(new Shape.V(4), 4.2, 5, 6, 8)));
        var tries = FixesToTry.For(finding, painted).ToArray();
        Assert.Equal(
            [
                "Raise to 4 cm",
                "Raise to 3.5 cm",
                "Raise to 3 cm",
                "Raise to 2.5 cm",
                "Raise to 2 cm",
                "Raise to 1.5 cm",
                "Raise to 1 cm",
                "Raise to 3 cm, straight and deep",
                "Raise to 2 cm, straight and deep",
                "Raise to 1 cm, straight and deep",
            ],
            tries.Select(t => t.Label.ToString())
        );
        Each.Of(
            tries.Select(t => Assert.IsType<PaintPanels>(t.Edit)),
            (PaintPanels e) =>
            {
                Assert.Equal(frame, e.Panels);
                Assert.Equal(1, e.Paint.SpreadCm);
            }
        );
        var raised = (PaintPanels)tries[0].Edit;
        Assert.Equal((new Shape.V(4), 6, 8), (raised.Paint.Shape, raised.Paint.MidsMm, raised.Paint.EndsMm));
        var deep = (PaintPanels)tries[^1].Edit;
        Assert.Equal((new Shape.Full(), 16, 24), (deep.Paint.Shape, deep.Paint.MidsMm, deep.Paint.EndsMm));
    }

    [Fact]
    public void The_brighter_side_is_lowered_panel_by_panel_from_where_each_began()
    {
        var (head, _) = Flaws.Head(BlendFault.WeakSide);
        var finding = head.Findings.First(f => f.Kind == BlendFault.WeakSide);
        var bright = finding.Panels.Select(k => head.PanelOf(k)!).ToArray();
        var lowered = Assert.IsType<Together>(FixesToTry.For(finding, head).ElementAt(2).Edit);
        Each.Of(
            lowered.Edits.Cast<PaintPanels>().SelectMany(e => e.Panels.Select(k => (Key: k, e.Paint))),
            p =>
            {
                var was = head.PanelOf(p.Key)!;
                var start = was.Painted!.Paint.StartShare is { } share
                    ? share * was.Panel.LengthCm
                    : was.Painted.Paint.StartCm;
                Assert.Equal(start + 1, p.Paint.StartCm, 1e-9);
            }
        );
        Assert.Equal(
            bright.Where(p => p.Coats.Count > 0).Select(p => p.Panel.Key).Order(),
            lowered.Edits.Cast<PaintPanels>().SelectMany(e => e.Panels).Order()
        );
    }

    [Fact]
    public void Sections_are_cut_coarser_up_to_what_hands_can_hold_and_the_face_stays()
    {
        var (head, cutting) = Flaws.Head(BlendFault.MoreThanHands);
        var tries = FixesToTry.Coarser(head).Select(t => Assert.IsType<Together>(t.Edit)).ToArray();
        Each.Of(
            tries[2].Edits.Cast<CutZone>(),
            cut =>
            {
                var was = head.Plan.Zones[cut.Zone].Sections;
                Assert.False(ZoneFacts.IsFaceFrame(cut.Zone));
                Assert.Equal(Math.Min(40, Math.Round(was.ThicknessMm * 1.5)), cut.ThicknessMm);
                Assert.Equal(Math.Min(10, Math.Round(was.WidthCm * 1.25 * 2) / 2), cut.WidthCm);
                Assert.Equal((was.LeaveOutMm, was.Parting), (cut.LeaveOutMm, cut.Parting));
            }
        );
        var counts = tries.Select(t => head.Apply(cutting, t).Panels.Count(p => p.Coats.Count > 0)).ToArray();
        Assert.Equal(counts.OrderDescending(), counts);
        Assert.Empty(FixesToTry.Coarser(Given.Bare));
    }
}
