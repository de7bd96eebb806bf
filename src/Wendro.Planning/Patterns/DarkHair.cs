using Wendro.Colour;
using Wendro.Hair;
using Wendro.Head;
using Wendro.Lift;
using Wendro.Paint;
using Wendro.Plans;
using Wendro.Section;
using Wendro.Units;

namespace Wendro.Patterns;

/// <summary>Patterns for dark hair: film, foil, low and high.</summary>
internal static class DarkHair
{
    public static IReadOnlyList<Pattern> Patterns { get; } =
    [
        new(
            "quiet-dark",
            "Quiet in the dark",
            "dark hair, a little light under film, nothing that shouts",
            PatternFamily.DarkHair,
            QuietDark,
            hair => hair.NaturalLevel <= 5.5 ? null : "Lighter hair reaches that in open air."
        ),
        new(
            "zigzag-quadrants",
            "Broken lines",
            "dark hair in zigzag quadrants and foil, veil and nape left out",
            PatternFamily.DarkHair,
            ZigzagQuadrants,
            hair => hair.NaturalLevel <= 5.5 ? null : "Foil is more than lighter hair needs."
        ),
        new(
            "high-low-foil",
            "High tide, low tide",
            "rows high and low by turns, teased and in foil",
            PatternFamily.DarkHair,
            HighLowFoil,
            hair => hair.Condition == Condition.Breaking ? "Teasing and foil are too much for breaking hair." : null
        ),
    ];

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
                s.AtFace(ShapeKind.Full, 0.08) with
                {
                    Face = s.PaintsBeneath ? Face.Both : Face.Surface,
                },
                "A little more at the face, in the open where it can be watched; its first piece from beneath, too, "
                    + "for when it is tied back."
            )
            .NapeForTails();

    private static void ZigzagQuadrants(Sketch s) =>
        s.Frame(Frame.Quadrants, "Four quadrants, each finished before the next.")
            .Without(Region.Veil, 1.2, "A veil along the part falls over the work.")
            .Without([Zone.Nape], "The nape stays out.")
            .Cut(
                ZoneFacts.All.Except([Zone.Nape]).Except(Sketch.Face),
                new Sections(Parting.Zigzag, 18, 6, 7, true),
                "Zigzag partings: no line can show on dark hair."
            )
            .Mix(FormulaId.A, Lightener.Powder, 20, "Foil for reach.", Covering.Foil, below: -Sketch.GlossCosts)
            .Paint(
                ZoneFacts.All.Except([Zone.Nape]).Except(Sketch.Face),
                s.From(ShapeKind.V, 0.3, 0.2, 10, 12) with
                {
                    Covering = Covering.Foil,
                    Teasing = Teasing.Strong,
                },
                "Teased, foiled, high enough to show when it moves."
            )
            .Paint(
                Sketch.Face,
                s.AtFace(ShapeKind.Full, 0.09) with
                {
                    Covering = Covering.Foil,
                },
                "The face in the same foil, higher."
            )
            .Panels(step => step with { Rinse = false }, "The lightener works on while the base is laid.")
            .ThenOver(
                StepKind.Base,
                Sketch.Colouring(FormulaId.B, s.Hair.NaturalLevel, Reflect.Natural, ColourBase.Permanent),
                new Area(ToCm: Math.Max(3, s.Hair.Cut.LongestCm * 0.14), Between: true),
                "A base at the root between the foils, with a weaker formula: what stays natural keeps its level."
            )
            .ThenOver(
                StepKind.Gloss,
                s.Gloss(FormulaId.C),
                new Area(FromCm: Math.Max(3, s.Hair.Cut.LongestCm * 0.14)),
                "Toned below the base, in layers."
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
}
