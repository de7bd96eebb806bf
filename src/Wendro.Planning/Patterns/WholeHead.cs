using Wendro.Hair;
using Wendro.Head;
using Wendro.Lift;
using Wendro.Paint;
using Wendro.Plans;
using Wendro.Section;
using Wendro.Units;

namespace Wendro.Patterns;

/// <summary>Patterns for open-air work on the whole head.</summary>
internal static class WholeHead
{
    public static IReadOnlyList<Pattern> Patterns { get; } =
    [
        new(
            "wide-narrow",
            "Wide below, fine above",
            "a full head: wide under the ridge, narrow above, both sides of the part matched",
            PatternFamily.WholeHead,
            WideNarrow,
            Pattern.Always
        ),
        new(
            "four-quarters",
            "Four quarters",
            "quadrants, diagonal back low and level on top, rinsed quarter by quarter",
            PatternFamily.WholeHead,
            FourQuarters,
            Pattern.Always
        ),
        new(
            "thick-all-over",
            "Broad ribbons",
            "thick panels all over, thinner at the face, heights mixed",
            PatternFamily.WholeHead,
            ThickAllOver,
            hair => hair.Density == Density.Low ? "Thin hair has too little for thick panels." : null
        ),
        new(
            "heavy-front",
            "Bow wave",
            "heavy at the front, tapering to the back, V over V",
            PatternFamily.WholeHead,
            HeavyFront,
            Pattern.Always
        ),
        new(
            "staggered-lines",
            "Waterline",
            "ends light without an edge, lines high and low by turns",
            PatternFamily.WholeHead,
            StaggeredLines,
            hair => hair.Cut.LongestCm < 22 ? "Too short for lines to widen and meet." : null
        ),
        new(
            "oval-out",
            "Under the cap",
            "weaker low, stronger high, an oval on top left natural",
            PatternFamily.WholeHead,
            OvalOut,
            Pattern.Always
        ),
    ];

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

    private static void FourQuarters(Sketch s) =>
        s.Frame(Frame.Quadrants, "Four quarters, so that each can be rinsed when it is ready.")
            .Cut(Sketch.Back, new Sections(Parting.DiagonalBack, 24, 6, 9, true), "Diagonal back below: it falls soft.")
            .Cut(
                [Zone.SideLeft, Zone.SideRight],
                new Sections(Parting.DiagonalBack, 20, 5, 8, true),
                "The sides lead back, too."
            )
            .Cut(
                [Zone.Crown, Zone.TopLeft, Zone.TopRight],
                new Sections(Parting.Horizontal, 16, 4.5, 6, true),
                "Level on top."
            )
            .Cut(Sketch.Hairline, new Sections(Parting.Horizontal, 10, 4.5, 2, false), "Fine at the hairline.")
            .Paint(ZoneFacts.All.Except(Sketch.Hairline), s.From(ShapeKind.V, 0.26, 0.2, 9, 15), "One hand all over.")
            .Paint(Sketch.Hairline, s.AtFace(ShapeKind.Full, 0.08), "The face bright.")
            .NapeForTails();

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

    private static void HeavyFront(Sketch s) =>
        s.Cut(Sketch.Back, new Sections(Parting.Horizontal, 25, 5.5, 14, true), "Sparse at the back.")
            .Cut(
                [Zone.Crown, Zone.SideLeft, Zone.SideRight],
                new Sections(Parting.DiagonalBack, 19, 5, 8, true),
                "Denser towards the front, falling back."
            )
            .Cut(
                [Zone.TopLeft, Zone.TopRight],
                new Sections(Parting.DiagonalBack, 14, 5.5, 3, true),
                "Heavy at the front."
            )
            .Cut(Sketch.Hairline, new Sections(Parting.DiagonalBack, 11, 5, 1, true), "Heaviest at the hairline.")
            .Paint(Sketch.Back, s.From(ShapeKind.V, 0.4, 0.25, 8, 15), "Low and deep in the middle.")
            .Paint(
                [Zone.Crown, Zone.SideLeft, Zone.SideRight],
                s.From(ShapeKind.V, 0.32, 0.25, 8, 14),
                "V over V: each bright edge falls on a dark centre."
            )
            .Paint([Zone.TopLeft, Zone.TopRight], s.From(ShapeKind.V, 0.24, 0.2, 7, 9), "Higher as it comes forwards.")
            .Paint(Sketch.Hairline, s.AtFace(ShapeKind.Full, 0.03), "Solid at the face.")
            .NapeForTails();

    private static void StaggeredLines(Sketch s) =>
        s.Cut(
                ZoneFacts.All.Except(Sketch.Hairline),
                new Sections(Parting.Horizontal, 25, 6, 0, true),
                "Panels of five lines each, no leave-out: below they meet."
            )
            .Cut(Sketch.Hairline, new Sections(Parting.Horizontal, 9, 4, 2, false), "Finer at the hairline.")
            .Cut(
                Sketch.Face,
                new Sections(Parting.Horizontal, 9, 4, 0, false),
                "Whole at the face, which is brightest."
            )
            .Paint(
                ZoneFacts.All.Except(Sketch.Hairline),
                s.From(ShapeKind.Staggered, 0.38, 0.18, 11, 15) with
                {
                    Shape = new Shape.Staggered(Math.Min(Shape.MostDropCm, s.Hair.Cut.LongestCm * 0.18), 5)
                    {
                        Stroked = new(0.4, s.Hair.Cut.LongestCm * 0.34),
                    },
                    BlurCm = 3,
                },
                "Lines high and low by turns, widening till they meet where the panel is held; between them "
                    + "natural hair narrows to nothing."
            )
            .Paint(Sketch.Hairline, s.AtFace(ShapeKind.Full, 0.04), "The face bright from near the root.")
            .NapeForTails();

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
                below: -Sketch.GlossCosts,
                weaker: true
            )
            .Mix(
                FormulaId.B,
                Lightener.Clay,
                30,
                "Stronger where painted last, so that all is ready together.",
                below: -Sketch.GlossCosts
            )
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
            )
            .ThenOver(
                StepKind.Gloss,
                s.Gloss(FormulaId.C),
                new Area(),
                "One gloss over all ties light and depth together."
            );

    private static PanelPaint Peaked(PanelPaint paint, double lowerCm) =>
        paint with
        {
            Shape = paint.Shape with { PeakCm = lowerCm },
        };
}
