using Wendro.Hair;
using Wendro.Head;
using Wendro.Paint;
using Wendro.Section;

namespace Wendro.Patterns;

/// <summary>Patterns for curls, expanded and dry.</summary>
internal static class Curls
{
    public static IReadOnlyList<Pattern> Patterns { get; } =
    [
        new(
            "curl-shell",
            "Sun on the curls",
            "curls, expanded and dry, lightened on their outer shell in three tiers",
            PatternFamily.Curl,
            CurlShell,
            hair => hair.Curl is Curl.Curly or Curl.Coily ? null : "It needs curls that stand out: this hair lies."
        ),
    ];

    private static void CurlShell(Sketch s)
    {
        var by =
            s.Hair.Curl == Curl.Coily
                ? "Laid by hand, lock by lock."
                : "Pressed on with a coated sheet, which is taken away again.";
        var shell = s.From(ShapeKind.Scrunch, 0.3, 0, 5, 8) with { BlurCm = 12, SpreadCm = 4 };
        s.Frame(
                Frame.Tiers,
                "Three tiers from the nape up, so that each curl shell is reached before the next falls over it."
            )
            .Cut(
                ZoneFacts.All,
                new Sections(Parting.Horizontal, 24, 7, 0, true),
                "Thick, wide sections: curls break paint up by themselves."
            )
            .Cut(Sketch.Face, new Sections(Parting.Horizontal, 9, 5, 0, false), "Finer at the face, where it shows.")
            .Paint(
                [Zone.Nape, Zone.LowerBack],
                shell with
                {
                    StartShare = 0.22,
                    EndsMm = 5,
                    Shape = new Shape.Scrunch(2),
                },
                $"The lowest tier: two passes over the expanded curls, only the outer shell takes product. {by}"
            )
            .Paint(
                Sketch.Upper.Append(Zone.UpperBack),
                shell with
                {
                    Shape = new Shape.Scrunch(2),
                },
                "The tiers above: two passes that reach deeper, for deeper is lighter."
            )
            .Paint(
                Sketch.Hairline,
                shell with
                {
                    StartShare = 0.06,
                    MidsMm = 12,
                    EndsMm = 14,
                    Shape = new Shape.Scrunch(6),
                },
                "Most round the face, by hand."
            );
    }
}
