using System.Collections.Concurrent;
using Wendro.Blend;
using Wendro.Hair;
using Wendro.Head;
using Wendro.Lift;
using Wendro.Paint;
using Wendro.Plans;
using Wendro.Section;
using Wendro.Units;

namespace Wendro.Fixtures;

/// <summary>Plans that are wrong, one for each that a blend can be.</summary>
public static class Flaws
{
    private static readonly PanelPaint Straight = new(new Shape.Full(), 6, 0, 8, 8);
    public static PanelPaint Soft { get; } = new(new Shape.V(7), 7, 6, 5, 8, SpreadCm: 1.5);
    private static readonly Zone[] Behind = ZoneFacts.All.Where(z => !ZoneFacts.IsHairline(z)).ToArray();
    public static HairProfile OldLight { get; } =
        HairProfile.Usual with
        {
            History = [new(0, 8, BandState.Natural, new(5)), new(8, 34, BandState.Lightened, new(8.5))],
        };

    private static readonly Dictionary<FindingKind, (HairProfile Hair, PlanEdit[] Edits)> Of = new()
    {
        [BlendFault.HardLine] = (
            HairProfile.Usual,
            [new PaintZone(Zone.TopLeft, Straight with { MidsMm = 40, EndsMm = 40 })]
        ),
        [BlendFault.Stripes] = (
            HairProfile.Usual,
            [new PaintZone(Zone.UpperBack, Soft with { BlurCm = 1.5, SpreadCm = 0 })]
        ),
        [BlendFault.FrontNotBrighter] = (HairProfile.Usual, [new PaintZone(Zone.UpperBack, Soft)]),
        [BlendFault.DriesFirst] = (
            HairProfile.Usual,
            [
                new SetFormula(Formula.Lightening(FormulaId.A, Lightener.Powder, 20, 45)),
                new SetGoal(new Goal { EndsLevel = new(8) }),
                new PaintZone(Zone.UpperBack, Soft),
            ]
        ),
        [BlendFault.DarkBehindHairline] = (
            HairProfile.Usual,
            [
                .. ZoneFacts
                    .All.Where(z => !ZoneFacts.IsFaceFrame(z))
                    .Select(z => new PaintZone(z, new PanelPaint(new Shape.Full(), 2, 6, 8, 8, SpreadCm: 1.5))),
            ]
        ),
        [BlendFault.BleedThrough] = (
            HairProfile.Usual,
            [
                new SetFormula(Formula.Usual with { Consistency = Consistency.Runny }),
                new PaintZone(Zone.UpperBack, Soft with { MidsMm = 17, EndsMm = 17, Tension = Tension.Slack }),
            ]
        ),
        [BlendFault.ScalpContact] = (
            HairProfile.Usual,
            [new PaintZone(Zone.Crown, Soft with { StartCm = 0.2, SpreadCm = 0 })]
        ),
        [BlendFault.HotRoot] = (
            HairProfile.Usual,
            [
                new SetFormula(Formula.Colouring(FormulaId.B, 4, 30, 30)),
                new PaintZone(Zone.UpperBack, (PanelPaint.Usual with { Formula = FormulaId.B }).In(ShapeKind.Reverse)),
            ]
        ),
        [BlendFault.SolidBlock] = (
            HairProfile.Usual,
            [
                new CutZone(Zone.UpperBack, Parting.Horizontal, 12, 4, 0, true),
                new PaintZone(Zone.UpperBack, new PanelPaint(new Shape.Full(), 3, 6, 40, 40, Covering: Covering.Foil)),
            ]
        ),
        [BlendFault.NothingDarkLeft] = (
            HairProfile.Usual,
            [
                .. ZoneFacts.All.Select(z => new PaintZone(
                    z,
                    new PanelPaint(new Shape.Full(), 3, 8, 40, 40, Covering: Covering.Foil)
                )),
            ]
        ),
        [BlendFault.DarkNape] = (
            HairProfile.Usual,
            [
                .. ZoneFacts
                    .All.Where(z => z != Zone.Nape)
                    .Select(z => new PaintZone(
                        z,
                        new PanelPaint(new Shape.Full(), 2, 6, 30, 30, Covering: Covering.Film, SpreadCm: 1)
                    )),
            ]
        ),
        [BlendFault.PartMismatch] = (
            HairProfile.Usual,
            [
                new PaintZone(Zone.TopLeft, Soft with { StartCm = 4 }),
                new PaintZone(Zone.TopRight, Soft with { StartCm = 8 }),
            ]
        ),
        [BlendFault.WeakSide] = (
            HairProfile.Usual,
            [.. ZoneFacts.All.Where(z => ZoneFacts.IsLeft(z)).Select(z => new PaintZone(z, Soft))]
        ),
        [BlendFault.CrownTooHigh] = (
            HairProfile.Usual,
            [
                new PaintZone(Zone.Crown, Soft with { StartCm = 4 }),
                .. Behind.Where(z => z != Zone.Crown).Select(z => new PaintZone(z, Soft with { StartCm = 8 })),
            ]
        ),
        [BlendFault.OutOfReach] = (
            HairProfile.Usual,
            [
                new SetFormula(Formula.Lightening(FormulaId.A, Lightener.Clay, 10, 40)),
                new SetGoal(new Goal { EndsLevel = new(9) }),
                new PaintZone(Zone.UpperBack, Soft),
            ]
        ),
        [BlendFault.Overlap] = (OldLight, [new PaintZone(Zone.UpperBack, Soft with { StartCm = 4 })]),
        [BlendFault.BabyHairPainted] = (
            HairProfile.Usual with
            {
                Marked = [new(MarkKind.BabyHair, 0, 10, 1.5)],
            },
            [new PaintZone(Zone.FaceFrameLeft, Soft)]
        ),
        [BlendFault.BreakingHairPainted] = (
            HairProfile.Usual with
            {
                Condition = Condition.Breaking,
            },
            [new PaintZone(Zone.UpperBack, Soft)]
        ),
        [BlendFault.SkinAtRisk] = (
            HairProfile.Usual,
            [new PaintZone(Zone.FaceFrameLeft, Soft with { Face = Face.Both })]
        ),
        [BlendFault.MoreThanHands] = (
            HairProfile.Usual,
            [
                .. Behind.Select(z => (PlanEdit)new CutZone(z, Parting.Horizontal, 10, 4, 4, true)),
                .. Behind.Select(z => (PlanEdit)new PaintZone(z, Soft with { StartCm = 8 })),
            ]
        ),
        [BlendFault.FlatOrGreen] = (
            OldLight,
            [
                new SetFormula(Formula.Colouring(FormulaId.B, 5, 10, 30)),
                new AddStep(new Step(StepKind.Deposit, new Area(FromCm: 6), FormulaId.B)),
            ]
        ),
        [BlendFault.WarmRoot] = (
            HairProfile.Usual,
            [
                new SetFormula(
                    Formula.Colouring(FormulaId.B, 7, 20, 30).Coloured(d => d with { Base = ColourBase.Permanent })
                ),
                new AddStep(new Step(StepKind.Base, new Area(ToCm: 4), FormulaId.B)),
            ]
        ),
        [BlendFault.LowlightOnTop] = (
            OldLight,
            [
                new SetFormula(Formula.Colouring(FormulaId.B, 3, 10, 30)),
                new PaintZone(Zone.TopLeft, (PanelPaint.Usual with { Formula = FormulaId.B }).In(ShapeKind.Reverse)),
            ]
        ),
    };

    private static readonly ConcurrentDictionary<(HairProfile, int), (HairViews Looks, Cutting Cutting)> Hairs = new()
    {
        [(HairProfile.Usual, Given.FewStrands)] = (Given.Usual, Given.Cutting),
    };

    public static IReadOnlyCollection<FindingKind> Kinds => Of.Keys;

    /// <summary>A head that is wrong so, judged anew each time it is asked for; how it falls is found once.</summary>
    public static (PlannedHead Head, Cutting Cutting) Head(FindingKind kind, int strands = Given.FewStrands)
    {
        var (hair, edits) = Of[kind];
        var (looks, cutting) = Hairs.GetOrAdd((hair, strands), h => Given.Looks(h.Item1, strands: h.Item2));
        return (PlannedHead.Of(looks, cutting, Plan.Fresh()).Apply(cutting, edits), cutting);
    }
}
