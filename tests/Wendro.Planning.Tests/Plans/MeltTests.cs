using CsCheck;
using Wendro.Head;
using Wendro.Lift;
using Wendro.Paint;
using Wendro.Plans;
using Wendro.Section;
using Wendro.Units;

namespace Wendro.Tests.Plans;

/// <summary>Two or three colours along one strand.</summary>
public sealed class MeltTests
{
    private static readonly Plan Mixed = new[] { FormulaId.A, FormulaId.B, FormulaId.C }.Aggregate(
        Plan.Fresh(),
        (p, id) => p.Apply(new SetFormula(Formula.Colouring(id, 4 + (id.Letter - 'A'), 10, 25)), Given.Cutting).Plan
    );

    private static readonly PanelKey[] Back =
    [
        .. Given.Cutting.Cut(Plan.Fresh(), Zone.UpperBack).Panels.Select(p => p.Key),
    ];

    [Fact]
    public void No_hair_lies_bare_between_two_colours_and_each_seam_is_as_long_as_was_said() =>
        Gen.Select(
                Gen.Double[6, 12],
                Gen.Double[8, 12],
                Gen.Double[3, 6],
                Gen.Double[0, 3],
                Gen.Int[0, Back.Length - 1]
            )
            .Sample(
                (first, further, blur, spread, which) =>
                {
                    var seams = new[] { first, first + further };
                    var plan = Mixed
                        .Apply(
                            new Melt(Back, [FormulaId.A, FormulaId.B, FormulaId.C], seams, blur, spread),
                            Given.Cutting
                        )
                        .Plan;
                    var panel = Given.Cutting.Cut(plan, Zone.UpperBack).Panels.First(p => p.Key == Back[which]);
                    var coats = plan.Zones[Zone.UpperBack]
                        .Of(panel.Key)!
                        .Coats()
                        .Select(c => PaintedPanel.On(panel, c, plan.Seed))
                        .ToArray();
                    Assert.Equal(3, coats.Length);
                    Each.Of(coats, c => Assert.Equal(ShapeKind.Melt, c.Paint.Shape.Kind));
                    for (var s = 1.5; s < panel.LengthCm; s += 0.25)
                    {
                        var free = coats.Aggregate(1.0, (f, c) => f * (1 - c.CoverageAlong(0.5, s)));
                        Assert.True(free < 0.02, $"{free:0.00} bare at {s:0.0}");
                    }

                    // The seam lies where it was said, but for its spread, and is that long.
                    var at = Enumerable
                        .Range(0, 400)
                        .Select(i => i * 0.1)
                        .Where(s => coats[0].CoverageAlong(0.5, s) is > 0.02 and < 0.98)
                        .Where(s => s > 1.5)
                        .ToArray();
                    Assert.Equal(first, (at[0] + at[^1]) / 2, spread + 0.4);
                    Assert.InRange(at[^1] - at[0], blur * 0.7, blur + 0.2);
                },
                iter: 60
            );

    [Theory]
    [InlineData("formulas", 0)]
    [InlineData("formulas", 1)]
    [InlineData("seamsCm", 2)]
    [InlineData("seamsCm[1]", 3)]
    [InlineData("blurCm", 4)]
    [InlineData("seamsCm[1]", 5)]
    [InlineData("seamsCm[0]", 6)]
    public void What_cannot_be_melted_gets_a_word(string field, int number)
    {
        Melt melt = new(Back, [FormulaId.A, FormulaId.B, FormulaId.C], [8, 16]);
        PlanEdit edit = number switch
        {
            0 => melt with { Formulas = [FormulaId.A] },
            1 => melt with { Formulas = [FormulaId.A, FormulaId.B, FormulaId.E] },
            2 => melt with { SeamsCm = [8] },
            3 => melt with { SeamsCm = [8, 9] },
            4 => melt with { BlurCm = 9 },
            5 => melt with { SeamsCm = [8, 61] },
            _ => melt with { SeamsCm = [2.4, 16] },
        };
        Assert.Contains(Mixed.Apply(edit, Given.Cutting).Problems, p => p.Field == field);
    }

    /// <summary>The first seam may begin where the first colour does, the next where that one ends.</summary>
    [Fact]
    public void Seams_may_lie_as_near_to_each_other_as_the_blur_is_long() =>
        Assert.Empty(
            Mixed
                .Apply(new Melt(Back, [FormulaId.A, FormulaId.B, FormulaId.C], [2.5, 6.5], BlurCm: 4), Given.Cutting)
                .Problems
        );
}
