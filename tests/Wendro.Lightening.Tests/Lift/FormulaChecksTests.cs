using Wendro.Colour;
using Wendro.Lift;
using Wendro.Paint;
using Wendro.Units;

namespace Wendro.Tests.Lift;

/// <summary>What can't be taken of a formula, by field.</summary>
public sealed class FormulaChecksTests
{
    private static readonly string Long = new('x', 61);

    private static readonly LightenerFigures Wrong = LiftTables.Of(Lightener.Cream) with { RatedLevels = 11 };

    private static string[] Fields(Formula formula) => FormulaChecks.Of(formula).Select(p => p.Field).ToArray();

    private static Formula With(Func<LightenerMixture, LightenerMixture> change) => Formula.Usual.Lightened(change);

    [Fact]
    public void A_usual_formula_and_names_of_sixty_letters_are_taken()
    {
        Assert.Empty(Fields(Formula.Usual));
        Assert.Empty(Fields(With(l => l with { Product = Long[1..] })));
        Assert.Empty(Fields(Formula.Colouring(FormulaId.B, 6, 10, 20)));
    }

    [Fact]
    public void Each_field_is_told_by_its_name()
    {
        Assert.Equal(["consistency"], Fields(Formula.Usual with { Consistency = (Consistency)9 }));
        Assert.Equal(
            ["lightener"],
            Fields(With(l => l with { Lightener = (Lightener)9, Figures = Wrong with { RatedLevels = 7 } }))
        );
        Assert.Equal(["product"], Fields(With(l => l with { Product = Long })));
        Assert.Equal(["figures.ratedLevels"], Fields(With(l => l with { Figures = Wrong })));
        Assert.Equal(
            ["second.share", "second.product", "second.figures.ratedLevels"],
            Fields(With(l => l with { Second = new(Lightener.Cream, 0.99, Long, Wrong) }))
        );
        Assert.Equal(
            ["additive.slows", "additive.product"],
            Fields(With(l => l with { Additive = new(0.1, 0.5, Long) }))
        );
        var colour = Formula.Colouring(FormulaId.B, 6, 10, 20);
        Assert.Equal(["base"], Fields(colour.Coloured(d => d with { Base = (ColourBase)9 })));
        Assert.Equal(["reflect"], Fields(colour.Coloured(d => d with { Reflect = (Reflect)9 })));
        Assert.Equal(["shades"], Fields(colour.Coloured(d => d with { Shades = new([]) })));
        Assert.Equal(
            ["shades.shades[1].name", "shades.shades[1].reflect", "shades.shades[1].parts"],
            Fields(
                colour.Coloured(d =>
                    d with
                    {
                        Shades = new([
                            new("a", new Level(6), Reflect.Natural, 1),
                            new(Long, new Level(6), (Reflect)9, 101),
                        ]),
                    }
                )
            )
        );
    }
}
