using Wendro.Colour;
using Wendro.Hair;
using Wendro.Head;
using Wendro.Lift;
using Wendro.Paint;
using Wendro.Plans;
using Wendro.Section;
using Wendro.Units;

namespace Wendro.Patterns;

/// <summary>Patterns for hair that was worked on before.</summary>
internal static class SecondVisits
{
    public static IReadOnlyList<Pattern> Patterns { get; } =
    [
        new(
            "grey-blend",
            "Silver thread",
            "grey blended by small pieces that follow the old ones",
            PatternFamily.SecondVisits,
            GreyBlend,
            hair => hair.GreyShare >= 0.1 ? null : "There is hardly any grey to blend."
        ),
        new(
            "raised-after-cut",
            "One step up",
            "the work raised after a haircut, the undercut left alone",
            PatternFamily.SecondVisits,
            RaisedAfterCut,
            Pattern.Always
        ),
        new(
            "refresh-dark",
            "Only the dark ones",
            "grown-out work refreshed: the dark pieces between the light ones",
            PatternFamily.SecondVisits,
            RefreshDark,
            hair => hair.Bands.Any(b => b.State == BandState.Lightened) ? null : "Nothing was lightened before."
        ),
        new(
            "regrowth-blend",
            "Back to the ends",
            "regrowth blended into light ends, pieces for two glosses by turns",
            PatternFamily.SecondVisits,
            RegrowthBlend,
            hair =>
                hair.Bands.Any(b => b.State == BandState.Lightened) ? null : "There are no light ends to blend into."
        ),
        new(
            "lines-softened",
            "Stripes let go",
            "old stripes softened first, then light and depth side by side",
            PatternFamily.SecondVisits,
            LinesSoftened,
            hair => hair.Pieces is null && hair.Bands.Any(b => b.Share < 1) ? null : "No old stripes are noted."
        ),
    ];

    private static void GreyBlend(Sketch s)
    {
        s.Without(Region.BabyHair, 0.5, "Baby hair stays out: grey is finest there.")
            .Cut(
                Sketch.Back.Concat(Sketch.Upper),
                new Sections(Parting.Horizontal, 18, 4.5, 10, true),
                "Fine pieces, as fine as the grey comes in."
            )
            .Cut(Sketch.Face, new Sections(Parting.Horizontal, 9, 3.5, 0, false), "Finer still at the face, and whole.")
            .Mix(
                FormulaId.A,
                Lightener.Half,
                20,
                "Half clay, half powder: lifts further than clay, stays moist longer than powder."
            )
            .Paint(
                Sketch.Back.Concat(Sketch.Upper),
                s.From(ShapeKind.V, 0.1, 0.1, 5, 7),
                "From near the root, where grey shows first."
            )
            .Paint(Sketch.Face, s.AtFace(ShapeKind.Full, 0.06), "The face last.")
            .NapeForTails();
        if (s.HeavierSide is null)
        {
            s.Step("Both sides the same, heights and all.", new MirrorSide(Side.Left));
        }
    }

    private static void RaisedAfterCut(Sketch s) =>
        s.Without([Zone.Nape], "Undercut: there is nothing to paint.")
            .Cut(
                ZoneFacts.All.Except(Sketch.Hairline).Except([Zone.Nape]),
                new Sections(Parting.Horizontal, 20, 5, 7, true),
                "Bricklay, so that nothing lines up."
            )
            .Paint(
                ZoneFacts.All.Except(Sketch.Hairline).Except([Zone.Crown]),
                s.From(ShapeKind.V, 0.16, 0.2, 8, 11),
                "Higher than last time: the cut took the old light ends."
            )
            .Paint([Zone.Crown], s.From(ShapeKind.V, 0.24, 0.2, 8, 11), "The crown lower.")
            .Paint(Sketch.Hairline, s.AtFace(ShapeKind.Full, 0.04), "The face follows.");

    private static void RefreshDark(Sketch s)
    {
        // Where only some strands were lightened, the dark ones between them are dark to their ends.
        var pieces = s.Hair.Bands.Any(b => b.State == BandState.Lightened && b.Share < 1);
        s.Cut(
                Sketch.Back.Concat(Sketch.Upper),
                new Sections(Parting.Horizontal, 20, 6, 8, true, Woven: true),
                "Woven: the light pieces are combed aside, the dark ones painted."
            )
            .Cut(Sketch.Face, new Sections(Parting.Horizontal, 9, 4, 2, false), "The hairline whole.")
            .Paint(
                Sketch.Back.Concat(Sketch.Upper),
                k => k.Column % 2 == 1,
                s.From(ShapeKind.V, 0.14, 0.18, 7, 8),
                "Only every other tooth: what is light already stays out of it."
            )
            .Paint(
                Sketch.Face,
                pieces ? s.AtFace(ShapeKind.Full, 0.06) : s.From(ShapeKind.Full, 0.06, 0, 7, 7),
                "What grew at the face."
            );
        if (!pieces)
        {
            s.OnRegrowth("Lightener ends where the hair is light already.");
        }
    }

    private static void RegrowthBlend(Sketch s)
    {
        var grown = RegrowthShare(s.Hair);
        var blend = Math.Min(12, grown * s.Hair.Cut.LongestCm * 0.9);
        s.Cut(
                Sketch.Back.Concat(Sketch.Upper),
                new Sections(Parting.Horizontal, 22, 6.5, 0, true),
                "Level sections with nothing left out: what is left would keep its step."
            )
            .Cut(Sketch.Hairline, new Sections(Parting.Horizontal, 9, 4.5, 0, false), "Finer at the hairline.")
            .Mix(FormulaId.A, Lightener.Clay, 20, "Mild: it meets hair that is light already.")
            .Paint(
                Sketch.Back.Concat(Sketch.Upper),
                s.From(ShapeKind.V, grown * 0.1, grown * 0.1, 20, 20) with
                {
                    BlurCm = blend,
                    Face = Face.Both,
                },
                "Through the regrowth, faded out before the light ends begin to be deep."
            )
            .Paint(
                Sketch.Hairline,
                s.From(ShapeKind.Full, grown * 0.08, 0, 20, 20) with
                {
                    BlurCm = blend,
                    Face = Face.Both,
                },
                "Nearer the root at the face."
            )
            .OnRegrowth("Lightener ends where the hair is light already.")
            .ThenOver(
                StepKind.Gloss,
                s.Gloss(FormulaId.B, s.EndsLevel - 0.3),
                new Area(ZoneFacts.All.Except(Sketch.Hairline).ToArray()),
                "The darker gloss lower, over all but the face."
            )
            .ThenOver(
                StepKind.Gloss,
                s.Gloss(FormulaId.C, s.EndsLevel),
                new Area(Sketch.Hairline),
                "The lightest last and alone at the face."
            );
    }

    private static void LinesSoftened(Sketch s)
    {
        var old = s.Hair.Bands.FirstOrDefault(b => b.State == BandState.Lightened);
        var (from, level) = (old?.FromCm ?? 3, s.Hair.NaturalLevel + 1);
        s.Cut(
                Sketch.Back.Concat(Sketch.Upper),
                new Sections(Parting.Horizontal, 28, 9, 10, true, Woven: true),
                "Woven in two groups: one stays deep, one is lit, side by side."
            )
            .Cut(
                Sketch.Hairline,
                new Sections(Parting.Horizontal, 12, 6, 2, false, Woven: true),
                "The same at the hairline, finer."
            )
            .Mix(FormulaId.A, Lightener.Clay, 20, "Mild: these ends were lightened before.")
            .Paint(
                ZoneFacts.All.Except(Sketch.Face),
                k => k.Column % 2 == 0,
                s.From(ShapeKind.U, 0.5, 0.2, 8, 10),
                "Light low between the old lines, away from their edge; what lies beside it keeps its depth."
            )
            .Paint(
                Sketch.Face,
                s.AtFace(ShapeKind.U, 0.14),
                "Higher at the face, so that the front stays the lightest."
            )
            .FirstOver(
                StepKind.Deposit,
                Sketch.Colouring(FormulaId.B, level, level >= 6 ? Reflect.Gold : Reflect.Copper),
                new Area(
                    FromCm: Math.Max(0, Math.Round(from - 1 - LinesCm, 1)),
                    ToCm: Math.Round(from + LinesCm, 1),
                    EdgeCm: 2 * LinesCm
                ),
                "First, one level above what grows on the first centimetres of the old light pieces; rinsed and read "
                    + "before any light is laid."
            );
    }

    /// <summary>How far down old light pieces are darkened where they begin, cm. Source: the trade.</summary>
    private const double LinesCm = 3;

    private static double RegrowthShare(HairProfile hair)
    {
        var old = hair.Bands.FirstOrDefault(b => b.State == BandState.Lightened);
        return old is null ? 0.25 : Math.Clamp(old.FromCm / hair.Cut.LongestCm, 0.06, 0.6);
    }
}
