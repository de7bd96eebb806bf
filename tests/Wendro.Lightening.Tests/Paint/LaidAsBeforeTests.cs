using Wendro.Paint;
using Wendro.Section;

namespace Wendro.Tests.Paint;

/// <summary>
/// A plan opened again is laid as it was, hair for hair: chance is hashed, so a stored plan would look another way for
/// any change of a shape or of what is hashed.
/// </summary>
public sealed class LaidAsBeforeTests
{
    private const int Seed = 3;
    private static readonly double[] Across = [0.05, 0.22, 0.41, 0.58, 0.77, 0.96];
    private static readonly double[] Down = [2, 5, 6, 7, 8.5, 10, 12, 15, 19, 24, 30];

    /// <summary>A panel aside of the middle, so that nothing is laid alike by being symmetrical.</summary>
    private static Panel On(string key) => Given.PanelOf(10) with { Key = PanelKey.Of(key), LengthCm = 32 };

    private static PanelPaint Of(ShapeKind kind) =>
        (PanelPaint.Usual with { StartCm = 5, BlurCm = 4, SlopeCm = 1.5, SpreadCm = 0, Teasing = Teasing.Light }).In(
            kind
        ) with
        {
            Shape = Shape.Usual(kind, 6) with { MiddleU = 0.4, PeakCm = 2 },
        };

    private static IEnumerable<(string What, double[] Figures)> Laid()
    {
        foreach (var kind in Enum.GetValues<ShapeKind>())
        {
            var laid = PaintedPanel.On(On("crown/3/2"), Of(kind), Seed);
            foreach (var u in Across)
            {
                yield return Line($"{kind} at {u:0.00}", Down.Select(s => laid.CoverageAlong(u, s)));
            }
        }

        var teased = PaintedPanel.On(On("crown/3/2"), PanelPaint.Usual with { Teasing = Teasing.Strong }, Seed);
        yield return Line("held back", Enumerable.Range(0, 16).Select(i => teased.Holds(i) ? 1.0 : 0));
        yield return Line("teased below, cm", Enumerable.Range(0, 16).Select(teased.TeasedBelow));
        var spread = PanelPaint.Usual with { StartCm = 9, SpreadCm = 2 };
        foreach (var row in Enumerable.Range(0, 6))
        {
            yield return Line(
                $"starts in row {row}, cm",
                Enumerable.Range(0, 5).Select(c => spread.StartOn(PanelKey.Of($"sideLeft/{row}/{c}"), 32, Seed))
            );
        }

        foreach (var key in new[] { "crown/0/0", "crown/0/1", "crown/1/0", "topLeft/0/0", "topRight/0/0", "nape/2/1" })
        {
            yield return Line($"salt of {key}", [PaintedPanel.On(On(key), PanelPaint.Usual, Seed).Salt]);
        }
    }

    private static (string, double[]) Line(string what, IEnumerable<double> values) => (what, values.ToArray());

    [Fact]
    public void What_was_laid_once_is_laid_the_same_for_ever() => AsBefore.Holds("Paint/laid.csv", Laid(), 1e-4);

    [Fact]
    public void Both_sides_of_the_head_take_the_same_heights_and_neighbours_opposite_ones()
    {
        var spread = PanelPaint.Usual with { StartCm = 9, SpreadCm = 2 };
        for (var row = 0; row < 6; row++)
        {
            for (var column = 0; column < 5; column++)
            {
                var left = spread.StartOn(PanelKey.Of($"sideLeft/{row}/{column}"), 32, Seed);
                Assert.Equal(left, spread.StartOn(PanelKey.Of($"sideRight/{row}/{column}"), 32, Seed));
                var next = spread.StartOn(PanelKey.Of($"sideLeft/{row}/{column + 1}"), 32, Seed);
                Assert.True((left - 9) * (next - 9) < 0, $"{left} beside {next}");
                Assert.InRange(Math.Abs(left - 9), 1.1, 2);
            }
        }
    }
}
