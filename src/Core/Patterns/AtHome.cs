using Wendro.Core.Hair;
using Wendro.Core.Lift;
using Wendro.Core.Paint;
using Wendro.Core.Plans;
using Wendro.Core.Section;
using Wendro.Core.Units;

namespace Wendro.Core.Patterns;

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
