using Wendro.Colour;
using Wendro.Hair;
using Wendro.Head;
using Wendro.Lift;
using Wendro.Paint;
using Wendro.Plans;
using Wendro.Section;
using Wendro.Units;

namespace Wendro.Patterns;

/// <summary>Patterns for work that begins and mostly stays at the face.</summary>
internal static class FaceFirst
{
    public static IReadOnlyList<Pattern> Patterns { get; } =
    [
        new(
            "face-block",
            "Lantern",
            "one bright block at the face, built back to front, two strengths in contrast",
            PatternFamily.FaceFirst,
            FaceBlock,
            Pattern.Always
        ),
        new(
            "hairline-express",
            "Fold at the basin",
            "the hairline alone, quickly, after a base colour",
            PatternFamily.FaceFirst,
            HairlineExpress,
            Pattern.Always
        ),
    ];

    private static void FaceBlock(Sketch s) =>
        s.Step("The hairline and what lies behind it; the rest stays.", new SetReach(Reach.Half))
            .Without([Zone.Crown], "Left natural: the block stands against it.")
            .Step(
                "Built from a stable line behind to the hairline, so that each section lies on finished work.",
                new SetOrder([
                    .. Frames.OrderOf(Frame.EarToEar).Except(Sketch.Hairline),
                    Zone.FringeLeft,
                    Zone.FringeRight,
                    Zone.FaceFrameLeft,
                    Zone.FaceFrameRight,
                ])
            )
            .Cut(
                Sketch.Hairline,
                new Sections(Parting.DiagonalForward, 10, 5.5, 2, false, Order: RowOrder.HighFirst),
                "Fine diagonal sections, worked from the back of the block forwards."
            )
            .Cut(
                [Zone.SideLeft, Zone.SideRight, Zone.TopLeft, Zone.TopRight],
                new Sections(Parting.DiagonalForward, 25, 6.5, 14, true),
                "Coarser behind, with natural hair between."
            )
            .Mix(FormulaId.A, Lightener.Clay, 30, "The block.", below: -2 * Sketch.GlossCosts)
            .Mix(
                FormulaId.B,
                Lightener.Clay,
                20,
                "Weaker behind it: the contrast is the point.",
                below: 0.4,
                weaker: true
            )
            .Paint(Sketch.Hairline, s.AtFace(ShapeKind.Full, 0.06), "The block, solid and bright.")
            .Paint(
                [Zone.SideLeft, Zone.SideRight, Zone.TopLeft, Zone.TopRight],
                s.From(ShapeKind.Slant, 0.35, 0.25, 5, 8) with
                {
                    Formula = FormulaId.B,
                },
                "Slants that lead away from it."
            )
            .ThenOver(
                StepKind.Gloss,
                s.Gloss(FormulaId.C, reflect: Reflect.Gold),
                new Area(ZoneFacts.All.Except(Sketch.Hairline).Except([Zone.Crown]).Where(s.IsIn).ToArray()),
                "Warm behind the face first: what is warm makes the front look lighter."
            )
            .ThenOver(
                StepKind.Gloss,
                s.Gloss(FormulaId.D, s.Now.Goal.EndsLevel + Sketch.GlossCosts, Reflect.Pearl),
                new Area(Sketch.Hairline),
                "Cool at the front, last."
            );

    /// <summary>How far from the scalp a root base reaches, cm. Model assumption.</summary>
    private const double BaseCm = 2;

    /// <summary>How much further light is aimed where damp hair dilutes it, levels. Model assumption.</summary>
    private const double DampCosts = 0.4;

    private static void HairlineExpress(Sketch s) =>
        s.Step("Only the hairline is worked.", new SetReach(Reach.Hairline))
            .Mix(FormulaId.A, Lightener.Clay, 30, "A little longer: damp hair lifts slower.", below: -DampCosts)
            .FirstOver(
                StepKind.Base,
                Sketch.Colouring(FormulaId.B, s.Hair.NaturalLevel, Reflect.Natural),
                new Area(ZoneFacts.All, ToCm: BaseCm),
                "A base at the root all over, rinsed: the hairline is painted at the basin after it."
            )
            .Panels(step => step with { Damp = true }, "On hair just rinsed: it takes lightener diluted.")
            .Without(Region.BabyHair, 0.4, "New hair at the hairline stays out.")
            .Cut(
                Sketch.Face,
                new Sections(Parting.Horizontal, 16, 5, 0, false),
                "One band along the hairline, folded back as it is held."
            )
            .Paint(
                Sketch.Face,
                s.From(ShapeKind.Fold, 0.06, 0, 14, 14) with
                {
                    BandCm = Math.Max(4, s.Hair.Cut.LongestCm * 0.6),
                    BlurCm = 6,
                },
                "Painted over the fold, close to the scalp and blurred; the ends stay free."
            )
            .Paint(
                [Zone.FringeLeft, Zone.FringeRight],
                s.From(ShapeKind.V, 0.15, 0.15, 5, 8),
                "The fringe behind it, lower, so that no line stands between."
            );
}
