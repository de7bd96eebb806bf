using Wendro.Hair;
using Wendro.Lift;
using Wendro.Paint;
using Wendro.Plans;
using Wendro.Section;
using Wendro.Units;

namespace Wendro.Patterns;

/// <summary>Patterns for what is done at home.</summary>
internal static class AtHome
{
    public static IReadOnlyList<Pattern> Patterns { get; } =
    [
        new(
            "tips-at-home",
            "Just the tips",
            "short hair, few pieces, ends only",
            PatternFamily.AtHome,
            TipsAtHome,
            hair => hair.Cut.LongestCm <= 30 ? null : "Long hair wants more than its tips."
        ),
    ];

    private static void TipsAtHome(Sketch s) =>
        s.Step("Top and sides only: few pieces, soon done.", new SetReach(Reach.Half))
            .Cut(
                Sketch.Upper.Concat(Sketch.Hairline),
                new Sections(Parting.Vertical, 16, 3, 12, false),
                "Upright pinches with much left between."
            )
            .Mix(FormulaId.A, Lightener.Cream, 20, "Mild and soon rinsed; the kit's leaflet rules.")
            .Paint(
                Sketch.Upper.Concat(Sketch.Hairline),
                k => (k.Row + k.Column) % 2 == 0,
                s.From(ShapeKind.Tip, 0.65, 0, 4, 8) with
                {
                    BlurCm = 5,
                },
                "Every other piece, its ends only."
            );
}
