using CsCheck;
using Wendro.Blend;
using Wendro.Colour;
using Wendro.Hair;
using Wendro.Head;
using Wendro.Lift;
using Wendro.Paint;
using Wendro.Plans;
using Wendro.Section;
using Wendro.Units;

namespace Wendro.Tests.Plans;

/// <summary>Any edits, in any order, undone one by one, end where they began.</summary>
public sealed class RandomEditsTests
{
    private static readonly HairProfile OldLight = HairProfile.Usual with
    {
        History = [new(0, 8, BandState.Natural, new(5)), new(8, 34, BandState.Lightened, new(8), 0.6)],
    };

    private static Gen<PlanEdit> AnyEdit(IReadOnlyList<PanelKey> keys)
    {
        var some = Gen.Int[0, keys.Count - 1]
            .Array[1, 4]
            .Select(at => (IReadOnlyList<PanelKey>)at.Select(i => keys[i]).Distinct().ToArray());
        var coat = Gen.Int[0, 1];
        return Gen.OneOf<PlanEdit>(
            Gen.Select(Given.AnyZone, Given.AnyPaint).Select(t => (PlanEdit)new PaintZone(t.Item1, t.Item2)),
            Gen.Select(some, Given.AnyPaint).Select(t => (PlanEdit)new PaintPanels(t.Item1, t.Item2)),
            some.Select(p => (PlanEdit)new ClearPanels(p)),
            Given.AnyZone.Select(z => (PlanEdit)new ClearZone(z)),
            Gen.Select(some, Gen.Enum<ShapeKind>(), coat)
                .Select(t => (PlanEdit)new SetShape(t.Item1, t.Item2, null, t.Item3)),
            Gen.Select(some, Gen.Double[0, 30], coat)
                .Select(t => (PlanEdit)new SetHeights(t.Item1, StartCm: t.Item2, Coat: t.Item3)),
            Gen.Select(some, Gen.Int[1, 9], coat)
                .Select(t => (PlanEdit)new SetStrokes(t.Item1, t.Item2, Coat: t.Item3)),
            Gen.Select(some, Gen.Double[0.5, 40], coat).Select(t => (PlanEdit)new SetBand(t.Item1, t.Item2, t.Item3)),
            Gen.Select(some, Gen.Enum<Pressure>(), Gen.Enum<Teasing>())
                .Select(t => (PlanEdit)new SetHandling(t.Item1, t.Item2, null, t.Item3)),
            Gen.Select(some, Given.AnyPaint).Select(t => (PlanEdit)new AddCoat(t.Item1, t.Item2)),
            Gen.Select(some, coat).Select(t => (PlanEdit)new TakeCoat(t.Item1, t.Item2)),
            some.Select(p => (PlanEdit)new SwapCoats(p, 0)),
            Gen.Select(some, Gen.Double[0, 20], Gen.Double[0, 20])
                .Select(t => (PlanEdit)new AlternatePanels(t.Item1, t.Item2, t.Item3)),
            Gen.Select(Gen.Double[0, 20], Gen.Double[0, 20]).Select(t => (PlanEdit)new Taper(t.Item1, t.Item2)),
            Gen.Enum<Side>().Select(s => (PlanEdit)new MatchPart(s)),
            Gen.Enum<Side>().Select(s => (PlanEdit)new MirrorSide(s)),
            Gen.Double[0.1, 5].Select(cm => (PlanEdit)new RaiseFaceFrame(cm)),
            Gen.Double[0.1, 5].Select(cm => (PlanEdit)new DropCrown(cm)),
            Gen.Const((PlanEdit)new FollowOldPieces()),
            Gen.Const((PlanEdit)new TouchUpRegrowth()),
            Gen.Select(Gen.Double[5, 40], Gen.Double[1, 10])
                .Select(t =>
                    (PlanEdit)
                        new SetFormula(
                            t.Item2 > 5
                                ? Formula.Colouring(FormulaId.A, t.Item2, t.Item1, 40)
                                : Formula.Lightening(FormulaId.A, Lightener.Clay, t.Item1, 40)
                        )
                ),
            Gen.Double[4, 20].Select(mm => (PlanEdit)new ThinHairline(Math.Round(mm))),
            Given.AnyZone.Select(z => (PlanEdit)new ExcludeZone(z, "not today")),
            Given.AnyZone.Select(z => (PlanEdit)new IncludeZone(z)),
            Gen.Select(Gen.Double[4, 9], Gen.Enum<Reflect>(), Gen.Double[0, 8], Gen.Bool)
                .Select(t =>
                    (PlanEdit)
                        new Together([
                            new SetFormula(
                                Formula
                                    .Colouring(FormulaId.E, t.Item1, 10, 20)
                                    .Coloured(d => d with { Reflect = t.Item2 })
                            ),
                            new AddStep(
                                new Step(StepKind.Gloss, new Area(FromCm: t.Item3), FormulaId.E),
                                t.Item4 ? 0 : null
                            ),
                        ])
                ),
            Gen.Int[0, 3].Select(n => (PlanEdit)new RemoveStep(n)),
            Gen.Select(Gen.Int[0, 3], Gen.Int[0, 3]).Select(t => (PlanEdit)new MoveStep(t.Item1, t.Item2)),
            Gen.Const((PlanEdit)new SetLimits(FindingLimits.Usual with { StripeCm = 2 })),
            Gen.Const((PlanEdit)new Dismiss("WeakSide", Severity.Caution, "meant so"))
        );
    }

    [Trait("Category", "Long")]
    [Fact]
    public void Three_hundred_edits_and_their_undoing_end_where_they_began()
    {
        var (looks, cutting) = Given.Looks(OldLight);
        var start = PlannedHead.Of(looks, cutting, Plan.Fresh(3));
        var keys = start.Panels.Where((_, i) => i % 7 == 0).Select(p => p.Panel.Key).ToArray();
        AnyEdit(keys)
            .Array[300]
            .Sample(
                edits =>
                {
                    var head = start;
                    var past = new Stack<Plan>();
                    var taken = 0;
                    foreach (var edit in edits)
                    {
                        var applied = head.Plan.Apply(edit, cutting);
                        if (!applied.Succeeded)
                        {
                            Each.Of(applied.Problems, p => Assert.NotEmpty(p.Message));
                            Assert.Same(head.Plan, applied.Plan);
                            continue;
                        }

                        past.Push(head.Plan);
                        taken++;

                        // Looking at every tenth costs less and still carries what was counted from edit to edit.
                        head = head.After(applied.Plan, looks, cutting);
                        _ = taken % 10 == 0 ? head.Measures.LightShare : 0;
                    }

                    Assert.True(taken > 100, $"only {taken} edits could be taken");
                    Assert.Equal(PlannedHead.Of(looks, cutting, head.Plan).Drawn, head.Drawn);
                    while (past.Count > 0)
                    {
                        head = head.After(past.Pop(), looks, cutting);
                        _ = past.Count % 10 == 0 ? head.Measures.LightShare : 0;
                    }

                    Assert.Equal(start.Plan, head.Plan);
                    Assert.True(start.Levels.AsSpan().SequenceEqual(head.Levels));
                    Assert.Equal(start.Drawn, head.Drawn);
                    Assert.Equal(start.Measures.LightShare, head.Measures.LightShare);
                    Assert.Equal(start.Measures.RootSoftness, head.Measures.RootSoftness);
                    Assert.Equal(start.AllFindings.Select(f => f.Text), head.AllFindings.Select(f => f.Text));
                },
                iter: 2
            );
    }
}
