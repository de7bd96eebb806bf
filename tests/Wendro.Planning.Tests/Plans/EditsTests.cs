using System.Text.Json;
using CsCheck;
using Wendro.Blend;
using Wendro.Fall;
using Wendro.Formats;
using Wendro.Head;
using Wendro.Lift;
using Wendro.Paint;
using Wendro.Plans;
using Wendro.Section;
using Wendro.Units;

namespace Wendro.Tests.Plans;

public sealed class EditsTests
{
    private static readonly PanelKey[] Keys = Given.Bare.Panels.Select(p => p.Panel.Key).ToArray();

    private static Gen<PlanEdit> AnyEdit { get; } =
        Gen.OneOf<PlanEdit>(
            Gen.Select(Given.AnyZone, Given.AnyPaint).Select(x => (PlanEdit)new PaintZone(x.Item1, x.Item2)),
            Gen.Select(Gen.OneOfConst(Keys), Given.AnyPaint).Select(x => (PlanEdit)new PaintPanels([x.Item1], x.Item2)),
            Gen.OneOfConst(Keys).Select(k => (PlanEdit)new ClearPanels([k])),
            Gen.Select(Gen.OneOfConst(Keys), Gen.Enum<ShapeKind>())
                .Select(x => (PlanEdit)new SetShape([x.Item1], x.Item2)),
            Gen.Select(Gen.OneOfConst(Keys), Gen.Double[0, 40], Gen.Double[0, 20])
                .Select(x => (PlanEdit)new SetHeights([x.Item1], x.Item2, null, x.Item3)),
            Gen.Select(Gen.OneOfConst(Keys), Gen.Double[0, 12]).Select(x => (PlanEdit)new SetBlur([x.Item1], x.Item2)),
            Gen.Select(Given.AnyZone, Gen.Double[0, 20], Gen.Double[0, 20])
                .Select(x => (PlanEdit)new AlternateRows(x.Item1, x.Item2, x.Item3)),
            Gen.Enum<Side>().Select(s => (PlanEdit)new MirrorSide(s)),
            Gen.Select(Gen.Enum<Lightener>(), Gen.Double[5, 40], Gen.Double[1, 120])
                .Select(x => (PlanEdit)new SetFormula(Formula.Lightening(FormulaId.A, x.Item1, x.Item2, x.Item3)))
        );

    private static string Json(Plan plan) => JsonSerializer.Serialize(plan, WendroJson.Options);

    [Fact]
    public void What_an_edit_changes_is_computed_as_if_from_nothing() =>
        AnyEdit
            .Array[1, 6]
            .Sample(
                edits =>
                {
                    var stepwise = Given.Bare.Apply(edits);
                    var whole = PlannedHead.Of(Given.Usual, Given.Cutting, stepwise.Plan);
                    Assert.Equal(whole.Levels, stepwise.Levels);
                    Assert.Equal(whole.Drawn, stepwise.Drawn);
                    Assert.Equal(whole.Measures.LightShare, stepwise.Measures.LightShare);
                    Assert.Equal(whole.Measures.RootSoftness, stepwise.Measures.RootSoftness);
                    Assert.Equal(whole.Measures.Balance, stepwise.Measures.Balance);
                    Assert.Equal(whole.Findings.Select(f => f.Text), stepwise.Findings.Select(f => f.Text));
                },
                iter: 12,
                threads: 1
            );

    [Fact]
    public void An_edit_moves_nothing_else() =>
        Gen.Select(Gen.OneOfConst(Keys), Given.AnyPaint)
            .Sample(
                (key, paint) =>
                {
                    var before = Given.Bare.Apply(
                        new PaintZone(Zone.UpperBack, PanelPaint.Usual with { SpreadCm = 2 })
                    );
                    var after = before.Apply(new PaintPanels([key], paint));
                    Each.Of(
                        before.Panels.Zip(after.Panels).Where(p => p.First.Panel.Key != key),
                        p => Assert.Same(p.First, p.Second)
                    );
                },
                iter: 10,
                threads: 1
            );

    [Fact]
    public void A_mirrored_plan_has_the_same_levels_on_both_sides()
    {
        var head = Given.Bare.Apply(
            new CutZone(Zone.SideLeft, Parting.DiagonalBack, 9, 3.5, 3, true),
            new PaintZone(Zone.SideLeft, new PanelPaint(new Shape.Slant(6), 5, SpreadCm: 2)),
            new PaintZone(Zone.UpperBack, new PanelPaint(new Shape.Slant(6), 7, SpreadCm: 2)),
            new PaintZone(Zone.FaceFrameLeft, new PanelPaint(new Shape.Full(), 2, 8, 14, 20)),
            new MirrorSide(Side.Left)
        );
        foreach (var left in head.Panels.Where(p => ZoneFacts.IsLeft(p.Panel.Key.Zone)))
        {
            var right = head.PanelOf(left.Panel.Key with { Zone = ZoneFacts.Other(left.Panel.Key.Zone) });
            Assert.NotNull(right);
            Assert.Equal(left.Panel.AreaCm2, right.Panel.AreaCm2, 1e-9);
            Assert.Equal(left.MeanLevel(head.Hair, Moment.Rinsed), right.MeanLevel(head.Hair, Moment.Rinsed), 1e-9);
            Assert.Equal(left.Painted?.StartCm, right.Painted?.StartCm);
        }

        // Across the middle a slant turns round: both outer edges are the high ones.
        var row = head.Panels.Where(p => p.Panel.Key is { Zone: Zone.UpperBack, Row: 0 }).ToArray();
        Assert.False(Assert.IsType<Shape.Slant>(row[0].Painted!.Paint.Shape).Flip);
        Assert.True(Assert.IsType<Shape.Slant>(row[^1].Painted!.Paint.Shape).Flip);
        Assert.Equal(row[0].Painted!.StartCm, row[^1].Painted!.StartCm, 1e-9);
    }

    [Fact]
    public void Alternate_rows_start_high_and_low_by_turns()
    {
        var head = Given.Bare.Apply(
            new PaintZone(Zone.LowerBack, PanelPaint.Usual),
            new AlternateRows(Zone.LowerBack, 4, 9)
        );
        Each.Of(
            head.Panels.Where(p => p.Panel.Key.Zone == Zone.LowerBack),
            p => Assert.Equal(p.Panel.Key.Row % 2 == 0 ? 4 : 9, p.Painted!.StartCm)
        );
    }

    [Fact]
    public void A_new_cut_hands_paint_to_what_overlaps_it_and_one_undo_brings_all_back()
    {
        var before = Given.Bare.Apply(
            new PaintZone(Zone.UpperBack, PanelPaint.Usual with { StartCm = 5 }),
            new PaintPanels([PanelKey.Of("upperBack/1/2")], PanelPaint.Usual with { StartCm = 9 })
        );
        var applied = before.Plan.Apply(
            new CutZone(Zone.UpperBack, Parting.Horizontal, 6, 2.5, 2, true),
            Given.Cutting
        );
        var paint = applied.Plan.Zones[Zone.UpperBack].Paint;
        Assert.True(paint.Count > before.Plan.Zones[Zone.UpperBack].Paint.Count);
        Assert.Contains(paint.Values, p => p.StartCm == 9);
        Assert.Empty(applied.Lost);

        var coarse = before.Plan.Apply(
            new CutZone(Zone.UpperBack, Parting.Horizontal, 40, 10, 0, false),
            Given.Cutting
        );
        Assert.NotEmpty(coarse.Lost);
    }

    [Fact]
    public void A_moved_part_keeps_paint_where_it_was()
    {
        var before = Given.Bare.Apply(new PaintZone(Zone.TopLeft, PanelPaint.Usual with { StartCm = 6 }));
        var after = before.Plan.Apply(new MovePart(2, 1), Given.Cutting).Plan;
        Assert.Equal(new PartLine(2, 1), after.Part);
        Assert.NotEmpty(after.Zones[Zone.TopLeft].Paint);
        Assert.NotEmpty(after.Zones[Zone.TopRight].Paint);
        Assert.Empty(after.Zones[Zone.SideRight].Paint);
    }

    [Fact]
    public void A_zone_left_out_keeps_its_paint_for_later()
    {
        var painted = Given.Bare.Apply(new PaintZone(Zone.Nape, PanelPaint.Usual));
        var outside = painted.Apply(new ExcludeZone(Zone.Nape, "undercut"));
        Assert.DoesNotContain(outside.Panels, p => p.Panel.Key.Zone == Zone.Nape);
        Assert.Equal(Json(painted.Plan), Json(outside.Apply(new IncludeZone(Zone.Nape)).Plan));
    }

    public static TheoryData<PlanEdit, string> Wrong() =>
        new()
        {
            { new CutZone(Zone.Nape, Parting.Horizontal, double.NaN, 4, 0, false), "thicknessMm" },
            { new CutZone(Zone.Nape, Parting.Horizontal, 10, -1, 0, false), "widthCm" },
            { new CutZone((Zone)99, Parting.Horizontal, 10, 4, 0, false), "zone" },
            { new MovePart(9, 0), "frontCm" },
            { new ExcludeZone(Zone.Nape, " "), "reason" },
            { new PaintZone(Zone.Nape, PanelPaint.Usual with { StartCm = -1 }), "paint.startCm" },
            { new PaintZone(Zone.Nape, PanelPaint.Usual with { Formula = FormulaId.E }), "paint.formula" },
            { new SetShape([PanelKey.Of("nape/99/0")], ShapeKind.V), "panels[0]" },
            { new SetShape([], ShapeKind.V), "panels" },
            { new SetHeights([PanelKey.Of("nape/0/0")]), "startCm" },
            { new SetHeights([PanelKey.Of("nape/0/0")], 3, 0.2), "startShare" },
            { new SetBlur([PanelKey.Of("nape/0/0")], double.PositiveInfinity), "blurCm" },
            { new SetFormula(Formula.Lightening(FormulaId.A, Lightener.Clay, 30, 0)), "formula.minutes" },
            { new SetGoal(new Goal(RootSoftness: 9)), "wish.rootSoftness" },
            { new PaintZone(Zone.Nape, PanelPaint.Usual with { Shape = new Shape.Scrunch(10) }), "paint.strokes" },
            { new SetWears([Wear.TiedHigh]), "wears" },
        };

    [Theory]
    [MemberData(nameof(Wrong))]
    public void Wrong_values_are_named_and_change_nothing(PlanEdit edit, string field)
    {
        var applied = Given.Bare.Plan.Apply(edit, Given.Cutting);
        Assert.False(applied.Succeeded);
        Assert.Contains(applied.Problems, p => p.Field == field);
        Assert.Same(Given.Bare.Plan, applied.Plan);
    }

    [Fact]
    public void A_plan_goes_to_a_file_and_comes_back_equal() =>
        AnyEdit
            .Array[0, 8]
            .Sample(
                edits =>
                {
                    var plan = Given.Bare.Apply(edits).Apply(new ExcludeZone(Zone.Nape, "undercut")).Plan;
                    var read = PlanFile.Read(PlanFile.Write(Given.Usual.Hair, plan));
                    Assert.Equal(Json(plan), Json(PlanEdits.Make(read.Plan, Given.Cutting, out var problems)));
                    Assert.Empty(problems);
                },
                iter: 15,
                threads: 1
            );

    [Theory]
    [InlineData("{}", "format")]
    [InlineData("[1]", "format")]
    [InlineData("not json", "can't be read")]
    [InlineData("{\"format\":\"wendro-plan\",\"version\":99}", "version 99")]
    [InlineData("{\"format\":\"wendro-plan\",\"version\":1,\"surprise\":true}", "surprise")]
    public void A_file_that_is_no_plan_is_refused_with_a_word(string text, string word) =>
        Assert.Contains(
            word,
            Assert.Throws<FileRefusedException>(() => PlanFile.Read(System.Text.Encoding.UTF8.GetBytes(text))).Message,
            StringComparison.Ordinal
        );
}
