using Wendro.Colour;
using Wendro.Hair;
using Wendro.Head;
using Wendro.Lift;
using Wendro.Paint;
using Wendro.Plans;
using Wendro.Section;
using Wendro.Units;

namespace Wendro.Patterns;

/// <summary>Patterns for depth and colour beside light.</summary>
internal static class DepthAndColour
{
    public static IReadOnlyList<Pattern> Patterns { get; } =
    [
        new(
            "shadow-mesh",
            "Shade on mesh",
            "depth put back over a root base: thin sections that lie on mesh, both sides coated",
            PatternFamily.DepthAndColour,
            ShadowMesh,
            Pattern.Always
        ),
        new(
            "triangle-melt",
            "Facets",
            "triangles for three colours melted under a teardrop, contour at the face",
            PatternFamily.DepthAndColour,
            TriangleMelt,
            Pattern.Always
        ),
        new(
            "woven-bob",
            "Two-ply bob",
            "a short bob woven in two groups for two products, contour triangles at the face",
            PatternFamily.DepthAndColour,
            WovenBob,
            hair => hair.Cut.LongestCm <= 30 ? null : "Longer hair has room for panels of its own."
        ),
    ];

    private static void ShadowMesh(Sketch s) =>
        s.Cut(
                Sketch.Back.Concat(Sketch.Upper),
                new Sections(Parting.Horizontal, 8, 6, 12, false),
                "Thin sections that lie flat on mesh, a broad leave-out between."
            )
            .Cut(Sketch.Hairline, new Sections(Parting.Horizontal, 8, 5, 0, false), "One fine band at the hairline.")
            .Without(Sketch.Face, "Depth stays away from the face.")
            .Colour(
                FormulaId.A,
                Math.Max(s.Hair.NaturalLevel - 0.5, s.EndsLevel - 3),
                10,
                30,
                "A deposit about as deep as the root base."
            )
            .Paint(
                Sketch.Back.Concat(Sketch.Upper),
                s.From(ShapeKind.Reverse, 0.06, 0, 8, 8) with
                {
                    StartShare = null,
                    StartCm = 1.2,
                    SpreadCm = 0,
                    BandCm = s.Hair.Cut.LongestCm * 0.65,
                    BlurCm = Math.Min(12, s.Hair.Cut.LongestCm * 0.3),
                    Face = Face.Both,
                    Covering = Covering.Mesh,
                },
                "Full near the root, feathered out downwards, both sides coated: the ends stay as light as they are."
            )
            .FirstOver(
                StepKind.Base,
                Sketch.Colouring(FormulaId.B, s.Hair.NaturalLevel, Reflect.Natural),
                new Area(ToCm: BaseCm),
                "The root base first, rinsed."
            );

    /// <summary>How far from the scalp a root base and a root stretch reach, cm. Model assumption.</summary>
    private const double BaseCm = 2,
        StretchCm = 5;

    private static void TriangleMelt(Sketch s)
    {
        var from = Math.Max(s.EndsLevel, s.Hair.NaturalLevel);
        s.Without(
                Region.Teardrop,
                3.5,
                "A teardrop on top stays free of panels: the root stretch is drawn from it and falls over the work."
            )
            .Cut(
                ZoneFacts.All.Except(Sketch.Hairline),
                new Sections(Parting.Triangles, 28, 5.5, 5, true),
                "Triangles point to point: colours melt without a line."
            )
            .Cut(
                Sketch.Hairline,
                new Sections(Parting.Triangles, 20, 3, 0, false),
                "Contour triangles by the shape of the face."
            )
            .Step("The lightest of three.", new SetFormula(Sketch.Colouring(FormulaId.A, from - 0.5, Reflect.Gold)))
            .Step("The middle.", new SetFormula(Sketch.Colouring(FormulaId.B, from - 1.2, Reflect.Copper)))
            .Step("The deepest.", new SetFormula(Sketch.Colouring(FormulaId.C, from - 2, Reflect.Copper)))
            .Melted(
                ZoneFacts.All.Except(Sketch.Hairline),
                [FormulaId.C, FormulaId.B, FormulaId.A],
                [0.38, 0.7],
                StretchCm - 1,
                "Three colours down each strand, the deepest at the root; seams blurred with clean hands, at "
                    + "different heights from panel to panel."
            )
            .Melted(
                Sketch.Hairline,
                [FormulaId.B, FormulaId.A],
                [0.35],
                StretchCm + 1,
                "At the face two, stepping lighter: it stays brightest."
            )
            .FirstOver(
                StepKind.Base,
                Sketch.Colouring(FormulaId.D, s.Hair.NaturalLevel, Reflect.Natural),
                new Area(ToCm: StretchCm),
                "A root stretch first, drawn from the teardrop downwards."
            );
    }

    private static void WovenBob(Sketch s) =>
        s.Cut(
                Sketch.Back.Concat(Sketch.Upper),
                new Sections(Parting.Horizontal, 30, 10, 5, true, Woven: true),
                "Each section woven in two: one group for each product."
            )
            .Cut(
                Sketch.Hairline,
                new Sections(Parting.Triangles, 12, 6, 0, false),
                "Triangles at the face: they contour it."
            )
            .Mix(FormulaId.A, Lightener.Clay, 30, "First group.")
            .Mix(FormulaId.B, Lightener.Clay, 20, "Second group, a shade deeper.", below: 0.7, weaker: true)
            .Paint(
                Sketch.Back.Concat(Sketch.Upper),
                k => k.Column % 2 == 0,
                s.From(ShapeKind.U, 0.2, 0.2, 14, 20) with
                {
                    Teasing = Teasing.Light,
                },
                "First group high, lightly teased."
            )
            .Paint(
                Sketch.Back.Concat(Sketch.Upper),
                k => k.Column % 2 == 1,
                s.From(ShapeKind.U, 0.42, 0.2, 14, 20) with
                {
                    Formula = FormulaId.B,
                    Teasing = Teasing.Light,
                },
                "Second group low."
            )
            .Step(
                "A colour of its own for the layer beneath.",
                new SetFormula(Sketch.Colouring(FormulaId.C, s.Hair.NaturalLevel, Reflect.Copper))
            )
            .Paint(
                [Zone.Nape],
                s.From(ShapeKind.Full, 0.12, 0, 20, 20) with
                {
                    Formula = FormulaId.C,
                },
                "Perimeter colour: only the lowest layer takes it."
            )
            .Paint(Sketch.Hairline, s.AtFace(ShapeKind.Full, 0.05), "Triangles at the face, bright.");
}
