using Wendro.Core.Hair;
using Wendro.Core.Head;
using Wendro.Core.Lift;
using Wendro.Core.Paint;
using Wendro.Core.Plans;
using Wendro.Core.Section;
using Wendro.Core.Units;

namespace Wendro.Core.Patterns;

/// <summary>Patterns for brightness painted in open air, under film and in foil.</summary>
internal static class Painted
{
    private static readonly Func<HairProfile, string?> Nothing = _ => null;

    public static IReadOnlyList<Pattern> Patterns { get; } =
    [
        new(
            "curl-shell",
            "Sun on the curls",
            "curls, expanded and dry, lightened on their outer shell in three tiers",
            1,
            CurlShell,
            hair => hair.Curl is Curl.Curly or Curl.Coily ? null : "It needs curls that stand out: this hair lies."
        ),
        new(
            "quiet-dark",
            "Quiet in the dark",
            "dark hair, a little light under film, nothing that shouts",
            2,
            QuietDark,
            hair => hair.NaturalLevel <= 5.5 ? null : "Lighter hair reaches that in open air."
        ),
        new(
            "hairline-express",
            "Fold at the basin",
            "the hairline alone, quickly, after a base colour",
            3,
            HairlineExpress,
            Nothing
        ),
        new(
            "thick-all-over",
            "Broad ribbons",
            "thick panels all over, thinner at the face, heights mixed",
            7,
            ThickAllOver,
            hair => hair.Density == Density.Low ? "Thin hair has too little for thick panels." : null
        ),
        new(
            "face-block",
            "Lantern",
            "one bright block at the face, built back to front, two strengths in contrast",
            8,
            FaceBlock,
            Nothing
        ),
        new(
            "high-low-foil",
            "High tide, low tide",
            "rows high and low by turns, teased and in foil",
            9,
            HighLowFoil,
            hair => hair.Condition == Condition.Breaking ? "Teasing and foil are too much for breaking hair." : null
        ),
        new(
            "oval-out",
            "Under the cap",
            "weaker low, stronger high, an oval on top left natural",
            10,
            OvalOut,
            Nothing
        ),
        new(
            "tips-at-home",
            "Just the tips",
            "short hair, few pieces, ends only",
            13,
            TipsAtHome,
            hair => hair.Cut.LongestCm <= 30 ? null : "Long hair wants more than its tips."
        ),
        new(
            "wide-narrow",
            "Wide below, fine above",
            "a full head: wide under the ridge, narrow above, both sides of the part matched",
            14,
            WideNarrow,
            Nothing
        ),
        new("heavy-front", "Bow wave", "heavy at the front, tapering to the back, V over V", 15, HeavyFront, Nothing),
        new(
            "staggered-lines",
            "Waterline",
            "ends light without an edge, lines high and low by turns",
            21,
            StaggeredLines,
            hair => hair.Cut.LongestCm < 22 ? "Too short for lines to widen and meet." : null
        ),
    ];

    private static void CurlShell(Sketch s)
    {
        var by =
            s.Hair.Curl == Curl.Coily
                ? "Laid by hand, lock by lock."
                : "Pressed on with a coated sheet, which is taken away again.";
        var shell = s.From(ShapeKind.Scrunch, 0.3, 0, 5, 8) with { BlurCm = 2 };
        s.Frame(
                Frame.Tiers,
                "Three tiers from the nape up, so that each curl shell is reached before the next falls over it."
            )
            .Cut(
                ZoneFacts.All,
                new Sections(Parting.Horizontal, 22, 7, 0, true),
                "Thick, wide sections: curls break paint up by themselves."
            )
            .Paint(
                [Zone.Nape, Zone.LowerBack],
                shell with
                {
                    Shape = new Shape.Scrunch(1),
                },
                $"The lowest tier: one pass over the expanded curls, only the outer shell takes product. {by}"
            )
            .Paint(
                Sketch.Upper.Append(Zone.UpperBack),
                shell with
                {
                    Shape = new Shape.Scrunch(2),
                },
                "The tiers above: two passes, for more passes are lighter."
            )
            .Paint(
                Sketch.Hairline,
                shell with
                {
                    StartShare = 0.2,
                    Shape = new Shape.Scrunch(4),
                },
                "Most round the face, by hand."
            );
    }

    private static void QuietDark(Sketch s) =>
        s.Cut(
                Sketch.Back,
                new Sections(Parting.Horizontal, 22, 5, 11, true),
                "Level sections with natural hair between: depth stays."
            )
            .Cut(
                Sketch.Upper,
                new Sections(Parting.DiagonalBack, 17, 4.5, 8, true),
                "Diagonal above, so that light falls back with the hair."
            )
            .Mix(
                FormulaId.A,
                Lightener.Clay,
                30,
                "Clay works slowly and stays put; film keeps it moist long enough for dark hair.",
                Covering.Film
            )
            .Paint(
                Sketch.Back.Concat(Sketch.Upper),
                s.From(ShapeKind.V, 0.4, 0.25, 7, 12) with
                {
                    Covering = Covering.Film,
                },
                "Low starts, middling depth, film over every layer."
            )
            .Paint(
                Sketch.Face,
                s.AtFace(ShapeKind.Full, 0.18),
                "A little more at the face, in the open where it can be watched."
            );

    private static void HairlineExpress(Sketch s) =>
        s.Step("Only the hairline is worked.", new SetReach(Reach.Hairline))
            .Without(Region.BabyHair, 0.4, "New hair at the hairline stays out.")
            .Cut(
                Sketch.Face,
                new Sections(Parting.Horizontal, 16, 5, 0, false),
                "One band along the hairline, folded back as it is held."
            )
            .Paint(
                Sketch.Face,
                s.From(ShapeKind.Fold, 0.08, 0, 8, 12) with
                {
                    BandCm = Math.Max(4, s.Hair.Cut.LongestCm * 0.45),
                    BlurCm = 2,
                },
                "Painted over the fold, close to the scalp and blurred; the ends stay free."
            )
            .Paint(
                [Zone.FringeLeft, Zone.FringeRight],
                s.From(ShapeKind.V, 0.15, 0.15, 5, 8),
                "The fringe behind it, lower, so that no line stands between."
            );

    private static void ThickAllOver(Sketch s) =>
        s.Cut(
                Sketch.Back.Concat(Sketch.Upper),
                new Sections(Parting.Horizontal, 25, 5.5, 6, true),
                "Thick sections: brightness on the surface, depth kept beneath."
            )
            .Cut(
                Sketch.Hairline,
                new Sections(Parting.Horizontal, 10, 4, 2, false),
                "Thinner at the face, where it may go through."
            )
            .Paint(
                Sketch.Back.Concat(Sketch.Upper),
                s.From(ShapeKind.U, 0.26, 0.22, 9, 16) with
                {
                    SpreadCm = 3,
                },
                "Round upper edges, heights mixed, so that no row reads as a stripe."
            )
            .Paint(Sketch.Hairline, s.AtFace(ShapeKind.Full, 0.1), "Bright to the hairline.");

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
            .Mix(FormulaId.A, Lightener.Clay, 30, "The block.")
            .Mix(
                FormulaId.B,
                Lightener.Clay,
                20,
                "Weaker behind it: the contrast is the point.",
                below: 0.6,
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
            );

    private static void HighLowFoil(Sketch s) =>
        s.Cut(
                Sketch.Back.Concat(Sketch.Upper),
                new Sections(Parting.Horizontal, 18, 6, 6, true),
                "Sections that fit a foil."
            )
            .Cut(Sketch.Hairline, new Sections(Parting.Horizontal, 9, 4.5, 2, false), "Finer at the hairline.")
            .Mix(FormulaId.A, Lightener.Powder, 20, "Powder in foil reaches further than open air.", Covering.Foil)
            .Paint(
                Sketch.Back.Concat(Sketch.Upper),
                k => k.Row % 2 == 0,
                s.From(ShapeKind.V, 0.18, 0.12, 10, 12) with
                {
                    Covering = Covering.Foil,
                    Teasing = Teasing.Strong,
                },
                "One row high, teased so that no edge can show."
            )
            .Paint(
                Sketch.Back.Concat(Sketch.Upper),
                k => k.Row % 2 == 1,
                s.From(ShapeKind.V, 0.4, 0.15, 10, 12) with
                {
                    Covering = Covering.Foil,
                    Teasing = Teasing.Strong,
                },
                "The next row low: no two neighbours begin at one height."
            )
            .Paint(
                Sketch.Hairline,
                s.AtFace(ShapeKind.Full, 0.1) with
                {
                    Covering = Covering.Foil,
                },
                "The hairline high."
            );

    private static void OvalOut(Sketch s) =>
        s.Without(Region.Oval, 4, "An oval on top stays natural: it falls over the work and hides where it begins.")
            .Cut(
                ZoneFacts.All.Except(Sketch.Hairline),
                new Sections(Parting.Horizontal, 19, 5, 7, true),
                "Level sections round the head under the oval."
            )
            .Mix(
                FormulaId.A,
                Lightener.Clay,
                20,
                "Weaker where painted first, under film, which keeps it working.",
                Covering.Film,
                weaker: true
            )
            .Mix(FormulaId.B, Lightener.Clay, 30, "Stronger where painted last, so that all is ready together.")
            .Paint(
                [Zone.Nape, Zone.LowerBack],
                s.From(ShapeKind.V, 0.24, 0.2, 9, 15) with
                {
                    Formula = FormulaId.A,
                    Covering = Covering.Film,
                },
                "The nape and lower back first."
            )
            .Paint(
                Sketch.Upper.Append(Zone.UpperBack),
                s.From(ShapeKind.V, 0.24, 0.2, 9, 15) with
                {
                    Formula = FormulaId.B,
                },
                "Above it."
            )
            .Paint(
                Sketch.Hairline,
                s.AtFace(ShapeKind.Full, 0.08) with
                {
                    Formula = FormulaId.B,
                },
                "Bright at the face."
            );

    private static void TipsAtHome(Sketch s) =>
        s.Step("Top and sides only: few pieces, soon done.", new SetReach(Reach.Half))
            .Cut(
                Sketch.Upper.Concat(Sketch.Hairline),
                new Sections(Parting.Vertical, 16, 3, 12, false),
                "Upright pinches with much left between."
            )
            .Mix(FormulaId.A, Lightener.Cream, 20, "Mild and soon rinsed; the kit's leaflet rules.")
            .Paint(
                Sketch.Upper.Concat(Sketch.Hairline),
                k => (k.Row + k.Column) % 2 == 0,
                s.From(ShapeKind.Tip, 0.65, 0, 4, 8) with
                {
                    BlurCm = 2,
                },
                "Every other piece, its ends only."
            );

    private static void WideNarrow(Sketch s) =>
        s.Cut(
                Sketch.Back.Append(Zone.SideLeft).Append(Zone.SideRight),
                new Sections(Parting.Horizontal, 25, 7, 9, true),
                "Wide below the ridge, where hair is hidden."
            )
            .Cut(
                [Zone.Crown, Zone.TopLeft, Zone.TopRight],
                new Sections(Parting.Horizontal, 15, 4, 6, true),
                "Narrow above it, where every piece shows."
            )
            .Cut(Sketch.Hairline, new Sections(Parting.Horizontal, 9, 4, 2, false), "Fine at the hairline.")
            .Mix(
                FormulaId.A,
                Lightener.Clay,
                20,
                "Weaker below: it is painted first and works longest.",
                below: 0.7,
                weaker: true
            )
            .Mix(FormulaId.B, Lightener.Clay, 30, "Above and at the face.")
            .Paint(
                Sketch.Back.Append(Zone.SideLeft).Append(Zone.SideRight),
                Peaked(s.From(ShapeKind.W, 0.28, 0.2, 9, 16), 1),
                "The lower work: wide panels want a third peak in their middle."
            )
            .Paint(
                [Zone.Crown],
                s.From(ShapeKind.V, 0.36, 0.2, 6, 9) with
                {
                    Formula = FormulaId.B,
                },
                "The crown starts lower than what peeks out beneath it."
            )
            .Paint(
                [Zone.TopLeft, Zone.TopRight],
                s.From(ShapeKind.V, 0.26, 0.18, 6, 9) with
                {
                    Formula = FormulaId.B,
                    SpreadCm = 1,
                },
                "Both sides of the part at the same heights."
            )
            .Paint(
                Sketch.Hairline,
                s.AtFace(ShapeKind.Full, 0.08) with
                {
                    Formula = FormulaId.B,
                },
                "The face brightest."
            );

    private static PanelPaint Peaked(PanelPaint paint, double lowerCm) =>
        paint with
        {
            Shape = paint.Shape with { PeakCm = lowerCm },
        };

    private static void HeavyFront(Sketch s) =>
        s.Cut(Sketch.Back, new Sections(Parting.Horizontal, 25, 5.5, 14, true), "Sparse at the back.")
            .Cut(
                [Zone.Crown, Zone.SideLeft, Zone.SideRight],
                new Sections(Parting.DiagonalBack, 19, 5, 8, true),
                "Denser towards the front, falling back."
            )
            .Cut(
                Sketch.Hairline.Append(Zone.TopLeft).Append(Zone.TopRight),
                new Sections(Parting.DiagonalBack, 13, 5, 3, true),
                "Heavy at the front."
            )
            .Paint(Sketch.Back, s.From(ShapeKind.V, 0.4, 0.25, 8, 15), "Low and deep in the middle.")
            .Paint(
                [Zone.Crown, Zone.SideLeft, Zone.SideRight],
                s.From(ShapeKind.V, 0.32, 0.25, 8, 14),
                "V over V: each bright edge falls on a dark centre."
            )
            .Paint([Zone.TopLeft, Zone.TopRight], s.From(ShapeKind.V, 0.24, 0.2, 7, 9), "Higher as it comes forwards.")
            .Paint(Sketch.Hairline, s.AtFace(ShapeKind.Full, 0.07), "Solid at the face.");

    private static void StaggeredLines(Sketch s) =>
        s.Cut(
                ZoneFacts.All.Except(Sketch.Hairline),
                new Sections(Parting.Horizontal, 25, 6, 0, true),
                "Panels of five lines each, no leave-out: below they meet."
            )
            .Cut(Sketch.Hairline, new Sections(Parting.Horizontal, 18, 5, 0, false), "The same at the hairline.")
            .Paint(
                ZoneFacts.All,
                s.From(ShapeKind.Staggered, 0.3, 0.18, 14, 18) with
                {
                    Shape = new Shape.Staggered(Math.Min(Shape.MostDropCm, s.Hair.Cut.LongestCm * 0.18), 5)
                    {
                        Stroked = new(0.4, s.Hair.Cut.LongestCm * 0.34),
                    },
                    BlurCm = 3,
                },
                "Lines high and low by turns, widening till they meet where the panel is held; between them "
                    + "natural hair narrows to nothing."
            );
}
