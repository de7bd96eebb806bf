using CsCheck;
using Wendro.Paint;

namespace Wendro.Tests.Paint;

/// <summary>Each shape has the measures it is made of and no others.</summary>
public sealed class ShapeKindsTests
{
    public static TheoryData<ShapeKind> Kinds => [.. Enum.GetValues<ShapeKind>()];

    private static readonly ShapeKind[] Dropping =
    [
        ShapeKind.V,
        ShapeKind.W,
        ShapeKind.U,
        ShapeKind.Slant,
        ShapeKind.Spined,
        ShapeKind.Sawtooth,
        ShapeKind.Staggered,
    ];

    private static readonly ShapeKind[] Stroked = [ShapeKind.Spined, ShapeKind.Staggered, ShapeKind.Centre];

    [Theory]
    [MemberData(nameof(Kinds))]
    public void A_shape_is_what_it_was_asked_for_and_takes_only_what_it_is_made_of(ShapeKind kind)
    {
        var shape = Shape.Usual(kind, 6);
        Assert.Equal(kind, shape.Kind);
        Assert.Equal(Dropping.Contains(kind) ? 6 : 0, shape.DropCm);
        Assert.Equal(Dropping.Contains(kind) ? 3 : 0, (shape with { DropCm = 3 }).DropCm);
        Assert.Equal(Stroked.Contains(kind), shape.Stroked is not null);
        Assert.Equal(Stroked.Contains(kind), (shape with { Stroked = new(0.5) }).Stroked == new Stroke(0.5));
        Assert.Equal(kind is ShapeKind.W or ShapeKind.Spined ? 2 : 0, (shape with { PeakCm = 2 }).PeakCm);
        Assert.Equal(
            kind is ShapeKind.V or ShapeKind.W or ShapeKind.U or ShapeKind.Spined or ShapeKind.Centre ? 0.2 : 0.5,
            (shape with { MiddleU = 0.2 }).MiddleU
        );
    }

    [Theory]
    [MemberData(nameof(Kinds))]
    public void What_it_counts_is_counted_and_nothing_else_is(ShapeKind kind)
    {
        var counts = kind is ShapeKind.Spined or ShapeKind.Sawtooth or ShapeKind.Staggered or ShapeKind.Scrunch;
        Assert.Equal(counts ? 7 : 1, Shape.Usual(kind).Counting(7).Count);
        Assert.Equal(
            kind switch
            {
                ShapeKind.Sawtooth => 4,
                ShapeKind.Staggered => 5,
                ShapeKind.Scrunch => 2,
                _ => 1,
            },
            Shape.Usual(kind).Count
        );
    }

    [Theory]
    [MemberData(nameof(Kinds))]
    public void Changed_to_another_shape_paint_keeps_what_both_have(ShapeKind kind)
    {
        var paint = new PanelPaint(new Shape.V(9, 0.3), 7, 5, MidsMm: 4, Covering: Covering.Film).In(kind);
        Assert.Equal(kind, paint.Shape.Kind);
        Assert.Equal((4, Covering.Film), (paint.MidsMm, paint.Covering));
        Assert.Equal(kind == ShapeKind.Reverse ? 0 : 7, paint.StartCm);
        Assert.Equal(Dropping.Contains(kind) ? 9 : 0, paint.Shape.DropCm);
        Assert.Equal(
            kind switch
            {
                ShapeKind.Fold => 8,
                ShapeKind.Reverse => 12,
                _ => null,
            },
            paint.BandCm
        );
        Assert.Equal(kind is ShapeKind.Fold or ShapeKind.Tip ? 3 : 5, paint.BlurCm);
    }

    [Fact]
    public void From_a_shape_without_a_drop_the_usual_one_is_taken()
    {
        var full = new PanelPaint(new Shape.Full());
        Assert.Equal(5, full.In(ShapeKind.V).Shape.DropCm);
        Assert.Equal(new Stroke(0.35, 10), full.In(ShapeKind.Staggered).Shape.Stroked);
        Assert.Equal(18, new PanelPaint(new Shape.V(14)).In(ShapeKind.Staggered).Shape.Stroked!.MergeCm);
    }

    [Fact]
    public void Coverage_lies_between_nothing_and_all_on_every_strand_of_every_shape() =>
        Gen.Select(Given.AnyPaint, Gen.Double[0, 1], Gen.Double[0, 60], Gen.Double[5, 60])
            .Sample(
                (paint, u, s, strand) =>
                {
                    var on = PaintedPanel.On(Given.PanelOf(12, 30), paint, 1);
                    Assert.InRange(on.CoverageAlong(u, s, strand, 0), 0, 1);
                    if (paint.BandCm is { } band && s > on.StartCm + band + 1e-9)
                    {
                        Assert.Equal(0, on.CoverageAlong(u, s, strand, 0));
                    }
                }
            );

    [Fact]
    public void A_shape_that_is_all_edge_lies_where_its_edge_says() =>
        Gen.Select(Given.AnyPaint.Where(p => p.Shape.IsEdge && p.BandCm is null), Gen.Double[0, 1], Gen.Double[0, 60])
            .Sample(
                (paint, u, s) =>
                {
                    var on = PaintedPanel.On(Given.PanelOf(12, 30), paint, 1);
                    var edge = on.UpperEdge(u);
                    var covered = on.CoverageAlong(u, s);
                    // Right on a hard edge it is either.
                    Assert.Equal(
                        s < edge - 1e-9 ? 0
                            : s > edge + paint.BlurCm + 1e-9 ? 1
                            : covered,
                        covered,
                        1e-9
                    );
                }
            );
}
