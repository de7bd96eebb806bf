using Wendro.Core.Hair;
using Wendro.Core.Head;
using Wendro.Core.Lift;
using Wendro.Core.Paint;
using Wendro.Core.Section;
using Wendro.Core.Units;

namespace Wendro.Core.Patterns;

/// <summary>Patterns for depth and colour beside light.</summary>
internal static class DepthAndColour
{
    public static IReadOnlyList<Pattern> Patterns { get; } =
    [
        new(
            "shadow-mesh",
            "Shade on mesh",
            "depth put back over a root base: thin sections that lie on mesh, both sides coated",
            5,
            ShadowMesh,
            Pattern.Always
        ),
        new(
            "triangle-melt",
            "Facets",
            "triangles for three colours melted under a teardrop, contour at the face",
            18,
            TriangleMelt,
            Pattern.Always
        ),
        new(
            "woven-bob",
            "Two-ply bob",
            "a short bob woven in two groups for two products, contour triangles at the face",
            6,
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
            );

    private static void TriangleMelt(Sketch s)
    {
        var from = Math.Max(s.EndsLevel, s.Hair.NaturalLevel);
        var melt = s.From(ShapeKind.Full, 0.12, 0, 24, 24) with { SpreadCm = 1, Covering = Covering.Mesh };
        s.Without(
                Region.Teardrop,
                3.5,
                "A teardrop on top stays free of panels: the root stretch is drawn from it and falls over the work."
            )
            .Cut(
                ZoneFacts.All.Except(Sketch.Hairline),
                new Sections(Parting.Triangles, 24, 4, 3, true),
                "Triangles point to point: three colours by turns melt without a line."
            )
            .Cut(
                Sketch.Hairline,
                new Sections(Parting.Triangles, 20, 3, 0, false),
                "Contour triangles by the shape of the face."
            )
            .Colour(FormulaId.A, from - 0.7, 10, 30, "The lightest of three.")
            .Colour(FormulaId.B, from - 1.5, 10, 30, "The middle.")
            .Colour(FormulaId.C, from - 2.3, 10, 30, "The deepest.")
            .Paint(ZoneFacts.All, k => (k.Column + k.Row) % 3 == 0, melt, "First colour.")
            .Paint(
                ZoneFacts.All,
                k => (k.Column + k.Row) % 3 == 1,
                melt with
                {
                    Formula = FormulaId.B,
                },
                "Second beside it."
            )
            .Paint(
                ZoneFacts.All.Except(Sketch.Hairline),
                k => (k.Column + k.Row) % 3 == 2,
                melt with
                {
                    Formula = FormulaId.C,
                },
                "Third; not at the face, which stays brightest."
            );
    }

    private static void WovenBob(Sketch s) =>
        s.Cut(
                Sketch.Back.Concat(Sketch.Upper),
                new Sections(Parting.Horizontal, 25, 7, 5, true, Woven: true),
                "Each section woven in two: one group for each product."
            )
            .Cut(
                Sketch.Hairline,
                new Sections(Parting.Triangles, 20, 5, 0, false),
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
            .Paint(
                Sketch.Hairline,
                k => k.Column % 2 == 0,
                s.From(ShapeKind.Full, 0.1, 0, 14, 16),
                "Every other triangle bright."
            );
}
