using Wendro.Core.Hair;
using Wendro.Core.Head;
using Wendro.Core.Lift;
using Wendro.Core.Paint;
using Wendro.Core.Plans;
using Wendro.Core.Section;
using Wendro.Core.Units;

namespace Wendro.Core.Patterns;

/// <summary>Patterns whose sectioning is the heart of them: mesh, weaves, triangles, quadrants.</summary>
internal static class Divided
{
    private static readonly Func<HairProfile, string?> Nothing = _ => null;

    public static IReadOnlyList<Pattern> Patterns { get; } =
    [
        new(
            "shadow-mesh",
            "Shade on mesh",
            "depth put back over a root base: thin sections that lie on mesh, both sides coated",
            5,
            ShadowMesh,
            Nothing
        ),
        new(
            "woven-bob",
            "Two-ply bob",
            "a short bob woven in two groups for two products, contour triangles at the face",
            6,
            WovenBob,
            hair => hair.Cut.LongestCm <= 30 ? null : "Longer hair has room for panels of its own."
        ),
        new(
            "zigzag-quadrants",
            "Broken lines",
            "dark hair in zigzag quadrants and foil, veil and nape left out",
            17,
            ZigzagQuadrants,
            hair => hair.NaturalLevel <= 5.5 ? null : "Foil is more than lighter hair needs."
        ),
        new(
            "triangle-melt",
            "Facets",
            "triangles for three colours melted under a teardrop, contour at the face",
            18,
            TriangleMelt,
            Nothing
        ),
        new(
            "four-quarters",
            "Four quarters",
            "quadrants, diagonal back low and level on top, rinsed quarter by quarter",
            20,
            FourQuarters,
            Nothing
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

    private static void ZigzagQuadrants(Sketch s) =>
        s.Frame(Frame.Quadrants, "Four quadrants, each finished before the next.")
            .Without(Region.Veil, 1.2, "A veil along the part falls over the work.")
            .Without([Zone.Nape], "The nape stays out.")
            .Cut(
                ZoneFacts.All.Except([Zone.Nape]).Except(Sketch.Face),
                new Sections(Parting.Zigzag, 18, 6, 7, true),
                "Zigzag partings: no line can show on dark hair."
            )
            .Mix(FormulaId.A, Lightener.Powder, 20, "Foil for reach.", Covering.Foil)
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
                s.AtFace(ShapeKind.Full, 0.12) with
                {
                    Covering = Covering.Foil,
                },
                "The face in the same foil, higher."
            )
            .Colour(FormulaId.B, s.Hair.NaturalLevel, 10, 25, "A weaker formula for the root, at the natural level.")
            .Then(
                ZoneFacts.All,
                _ => true,
                new PanelPaint(
                    new Shape.Reverse(),
                    0,
                    3,
                    40,
                    40,
                    Covering: Covering.Foil,
                    BandCm: Math.Max(3, s.Hair.Cut.LongestCm * 0.14)
                )
                {
                    Formula = FormulaId.B,
                },
                "A base at the root, above the lightener: it stays what it is while the rest lifts."
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
            .Paint(Sketch.Hairline, s.AtFace(ShapeKind.Full, 0.08), "The face bright.");
}
