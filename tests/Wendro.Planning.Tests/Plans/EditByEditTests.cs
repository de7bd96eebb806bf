using Wendro.Head;
using Wendro.Lift;
using Wendro.Paint;
using Wendro.Plans;
using Wendro.Section;
using Wendro.Units;
using static Wendro.Tests.Plans.TwoProducts;

namespace Wendro.Tests.Plans;

/// <summary>One edit on a painted plan: it does what it says, all of it, and nothing beside it.</summary>
public sealed class EditByEditTests
{
    /// <summary>What an edit of one product is, by which product, and what it makes of it.</summary>
    private static readonly (Func<int, PlanEdit> Edit, Func<PanelPaint, PanelPaint> Makes)[] OfOneProduct =
    [
        (n => new SetBand([Key], 9, n), p => p with { BandCm = 9 }),
        (n => new SetBand([Key], null, n), p => p with { BandCm = null }),
        (n => new SetBlur([Key], 2.5, n), p => p with { BlurCm = 2.5 }),
        (n => new SetCovering([Key], Covering.Mesh, n), p => p with { Covering = Covering.Mesh }),
        (n => new SetDepth([Key], 3, 10, n), p => p with { MidsMm = 3, EndsMm = 10 }),
        (n => new SetFace([Key], Face.Both, n), p => p with { Face = Face.Both }),
        (n => new UseFormula([Key], n == 0 ? FormulaId.B : FormulaId.A, n), p => p with { Formula = Other(p.Formula) }),
        (n => new SetHandling([Key], Pressure.Firm, Coat: n), p => p with { Pressure = Pressure.Firm }),
        (n => new SetHandling([Key], Tension: Tension.Taut, Coat: n), p => p with { Tension = Tension.Taut }),
        (n => new SetHandling([Key], Teasing: Teasing.Strong, Coat: n), p => p with { Teasing = Teasing.Strong }),
        (n => new SetHandling([Key], LiesOn: LiesOn.Board, Coat: n), p => p with { LiesOn = LiesOn.Board }),
        (n => new SetHeights([Key], StartCm: 3, Coat: n), p => p with { StartCm = 3, StartShare = null, SpreadCm = 0 }),
        (n => new SetHeights([Key], StartShare: 0.4, Coat: n), p => p with { StartShare = 0.4, SpreadCm = 0 }),
        (n => new SetHeights([Key], DropCm: 3, Coat: n), p => p with { Shape = p.Shape with { DropCm = 3 } }),
        (n => new SetHeights([Key], SlopeCm: -2, Coat: n), p => p with { SlopeCm = -2 }),
        (n => new SetHeights([Key], CentreCm: 1, Coat: n), p => p with { Shape = p.Shape with { PeakCm = 1 } }),
        (n => new SetShape([Key], ShapeKind.U, Coat: n), p => p.In(ShapeKind.U)),
        (n => new SetStrokes([Key], CentreU: 0.7, Coat: n), p => p with { Shape = p.Shape with { MiddleU = 0.7 } }),
    ];

    private static FormulaId Other(FormulaId id) => id == FormulaId.A ? FormulaId.B : FormulaId.A;

    [Fact]
    public void One_product_of_one_panel_is_changed_and_no_other() =>
        Each.Of(
            OfOneProduct,
            x =>
            {
                var first = TwoPainted.Edited(x.Edit(0));
                Assert.Equal(PanelPaint.Of([x.Makes(First), Second]), On(first, Key));
                Assert.Equal(On(TwoPainted, Beside), On(first, Beside));
                Assert.Equal(PanelPaint.Of([First, x.Makes(Second)]), On(TwoPainted.Edited(x.Edit(1)), Key));

                // There is no third.
                Assert.Contains(TwoPainted.Apply(x.Edit(2), Given.Cutting).Problems, p => p.Field == "coat");
                Assert.Contains(TwoPainted.Apply(x.Edit(-1), Given.Cutting).Problems, p => p.Field == "coat");
            }
        );

    [Fact]
    public void Strokes_are_counted_widened_and_merged_each_on_its_own()
    {
        Stroke Of(PlanEdit edit) => On(TwoPainted.Edited(edit), Key)!.Next!.Shape.Stroked!;
        var now = Second.Shape.Stroked!;
        Assert.Equal(7, On(TwoPainted.Edited(new SetStrokes([Key], 7, Coat: 1)), Key)!.Next!.Shape.Count);
        Assert.Equal(now, Of(new SetStrokes([Key], 7, Coat: 1)));
        Assert.Equal(now with { Width = 0.3 }, Of(new SetStrokes([Key], StrokeShare: 0.3, Coat: 1)));
        Assert.Equal(now with { MergeCm = 14 }, Of(new SetStrokes([Key], MergeCm: 14, Coat: 1)));

        // A W is no strokes: a width makes none of it.
        Assert.Null(On(TwoPainted.Edited(new SetStrokes([Key], StrokeShare: 0.3)), Key)!.Shape.Stroked);
    }

    [Fact]
    public void A_slant_runs_the_way_it_did_until_it_is_turned()
    {
        bool Flipped(Plan plan) => Assert.IsType<Shape.Slant>(On(plan, Key)!.Shape).Flip;
        var slant = TwoPainted.Edited(new SetShape([Key], ShapeKind.Slant));
        Assert.False(Flipped(slant));
        var turned = slant.Edited(new SetShape([Key], ShapeKind.Slant, true));
        Assert.True(Flipped(turned));
        Assert.True(Flipped(turned.Edited(new SetShape([Key], ShapeKind.Slant))));
        Assert.False(Flipped(turned.Edited(new SetShape([Key], ShapeKind.Slant, false))));
    }

    [Fact]
    public void Products_are_added_after_the_others_taken_and_swapped()
    {
        var third = PanelPaint.Usual with { StartCm = 2 };
        var three = TwoPainted.Edited(new AddCoat([Key], third));
        Assert.Equal([First, Second, third], Alone(On(three, Key)));
        Assert.Equal([First, third, Second], Alone(On(three.Edited(new SwapCoats([Key], 1)), Key)));
        Assert.Equal([Second, First, third], Alone(On(three.Edited(new SwapCoats([Key], 0)), Key)));
        Assert.Equal([First, third], Alone(On(three.Edited(new TakeCoat([Key], 1)), Key)));
        Assert.Equal([Second, third], Alone(On(three.Edited(new TakeCoat([Key], 0)), Key)));
        Assert.Equal([First, Second], Alone(On(three, Beside)));

        // Three are the most, and one that brings others with it is none.
        Refused(three, new AddCoat([Key], third), "panels");
        Refused(Plan.Fresh(), new AddCoat([Key], third with { Next = third }), "panels");
        Refused(TwoPainted, new SwapCoats([Key], 1), "coat");
        Refused(TwoPainted, new SwapCoats([Key], 2), "coat");
        Refused(TwoPainted, new TakeCoat([Key], 2), "coat");

        // The last one taken leaves hair natural.
        var one = TwoPainted.Edited(new TakeCoat([Key], 1), new TakeCoat([Key], 0));
        Assert.Null(On(one, Key));
    }

    private static PanelPaint[] Alone(PanelPaint? paint) =>
        paint!.Coats().Select(c => c with { Next = null }).ToArray();

    [Theory]
    [InlineData("crown/0/0", false, "V", 7, "Open")]
    [InlineData("nape/0/0", false, "V", 7, "Open")]
    [InlineData("nape/0/0", true, "V", 7, "Film")]
    [InlineData("lowerBack/0/0", true, "V", 7, "Film")]
    [InlineData("crown/0/0", true, "V", 7, "Open")]
    [InlineData("faceFrameLeft/0/0", true, "Full", 2.5, "Open")]
    public void What_was_bare_is_painted_as_usual_there_first(
        string panel,
        bool lowerFilm,
        string shape,
        double startCm,
        string covering
    )
    {
        var key = PanelKey.Of(panel);
        var fresh = (Plan.Fresh() with { LowerFilm = lowerFilm }).Edited(
            new SetFormula(Formula.Colouring(FormulaId.A, 6, 10, 20)),
            new SetFormula(Formula.Lightening(FormulaId.B, Lightener.Clay, 20, 35))
        );
        var painted = On(fresh.Edited(new SetBlur([key], 6)), key)!;
        Assert.Equal((shape, startCm, 6), (painted.Shape.Kind.ToString(), painted.StartCm, painted.BlurCm));
        Assert.Equal((covering, FormulaId.B), (painted.Covering.ToString(), painted.Formula));

        // A zone that has a usual of its own gives that.
        var own = PanelPaint.Usual with
        {
            StartCm = 5,
            Formula = FormulaId.B,
        };
        var cleared = fresh.Edited(new PaintZone(key.Zone, own), new ClearPanels([key]));
        Assert.Null(On(cleared, key));
        Assert.Equal(own with { BlurCm = 6 }, On(cleared.Edited(new SetBlur([key], 6)), key));
    }
}
