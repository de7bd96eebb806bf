using Wendro.Blend;
using Wendro.Hair;
using Wendro.Paint;

namespace Wendro.Consult;

/// <summary>A way of working, and why it fits or does not.</summary>
/// <param name="Technique">In the trade's words.</param>
/// <param name="Why">The reason, with figures.</param>
/// <param name="Patterns">Patterns that lay it out, by their short names, the likeliest first; none where it is ruled
/// out.</param>
public sealed record Advice(string Technique, string Why, IReadOnlyList<string> Patterns)
{
    /// <summary>A technique with what speaks for and against it on a given head.</summary>
    private sealed record Rule(string Technique, string? Against, double For, string Why, params string[] Patterns);

    private const double ShortCm = 22;
    private const double GreyMuch = 0.3;
    private const double FarLift = 3.5;

    /// <summary>A goal this soft asks for teasing where hair is worn straight, levels a cm. Model assumption.</summary>
    private const double VerySoft = 0.5;

    /// <summary>The technique that fits best, and those ruled out.</summary>
    internal static (Advice Advised, IReadOnlyList<Advice> RuledOut) For(
        HairProfile hair,
        Goal goal,
        HairState ends,
        IReadOnlyList<VisitAhead> visits,
        Consultation consultation,
        double needed
    )
    {
        var lift = goal.EndsLevel - ends.Level;
        var openDries = visits.Count > 0 && visits[0].With.Covering != Covering.Open;
        var foil = visits.Count > 0 && visits[0].With.Covering == Covering.Foil;
        var soft = goal.RootSoftness <= 0.8;
        var curls = hair.Curl is Curl.Curly or Curl.Coily;
        // Pieces that were placed by plan are followed, not softened.
        var striped = hair.Pieces is null && hair.Bands.Any(b => b is { State: BandState.Lightened, Share: < 1 });
        var oldLight = hair.Bands.Any(b => b is { State: BandState.Lightened });
        var grey = hair.GreyShare > GreyMuch;
        var straightAndSoft = hair.Curl == Curl.Straight && goal.RootSoftness <= VerySoft;
        var coarse = hair.Diameter == Diameter.Coarse ? " Coarse hair lifts slowly: give it time." : string.Empty;
        var shortHair = hair.Cut.LongestCm < ShortCm;
        Rule[] rules =
        [
            new(
                "Correction with deposit first, then light beside it",
                striped ? null : "there are no old stripes to soften",
                9,
                "Old stripes are softened with deposit before new light is placed beside them.",
                "lines-softened"
            ),
            new(
                "Touch-up that follows the old pieces",
                oldLight && !striped && lift <= 0.5 ? null
                    : oldLight ? "the old light ends are not where they are wanted"
                    : "nothing was lightened before",
                8,
                "Only what has grown is painted, along the old pieces.",
                grey ? ["grey-blend", "regrowth-blend", "refresh-dark"] : ["regrowth-blend", "refresh-dark"]
            ),
            new(
                "Express hairline",
                needed > consultation.MinutesToday && consultation.MinutesToday <= 90 ? null : "there is time for more",
                7,
                $"There are {consultation.MinutesToday:0} min: the hairline alone shows at once.",
                "hairline-express",
                "face-block"
            ),
            new(
                "Tips only",
                shortHair && consultation.AtHome ? null
                    : shortHair ? "a studio can do more"
                    : $"the hair is long ({hair.Cut.LongestCm:0} cm)",
                6,
                "Short hair at home: few pieces, tips only.",
                "tips-at-home"
            ),
            new(
                "Scrunched surface light",
                curls ? null : $"the hair is {hair.Curl.ToString().ToLowerInvariant()}",
                5,
                "Light laid on expanded curls sits where curls catch it.",
                "curl-shell"
            ),
            new(
                "Teased and foiled",
                foil || straightAndSoft ? null
                    : soft && lift < FarLift ? $"the wish is soft and {lift:0.0} levels do not need foil"
                    : "it is reached without foil",
                4,
                (
                    foil
                        ? $"{lift:0.0} levels need the heat and moisture of foil; teasing keeps the edge soft."
                        : "Worn straight every edge shows: teasing hides where it begins, foil keeps it working."
                ) + coarse,
                "high-low-foil",
                "zigzag-quadrants"
            ),
            new(
                "Freehand with film on the lower layers",
                openDries && !foil ? null
                    : foil ? "film is not enough: it dries first"
                    : "open air reaches it",
                3,
                $"{lift:0.0} levels: open air dries first, film keeps it moist.{coarse}",
                "quiet-dark",
                "oval-out"
            ),
            new(
                "Freehand in open air",
                openDries ? "it dries before the level is reached" : null,
                2,
                grey
                    ? $"It is reached in open air; {hair.GreyShare * 100:0} % grey blends with fine pieces."
                    : $"It is reached in open air, with the softest edge.{coarse}",
                grey
                    ? ["grey-blend", "wide-narrow", "four-quarters"]
                    : ["wide-narrow", "four-quarters", "thick-all-over", "heavy-front", "staggered-lines"]
            ),
        ];
        var fits = rules.Where(r => r.Against is null).OrderByDescending(r => r.For).FirstOrDefault() ?? rules[^1];
        return (
            new Advice(fits.Technique, fits.Why, fits.Patterns),
            rules.Where(r => r.Against is not null).Select(r => new Advice(r.Technique, r.Against!, [])).ToArray()
        );
    }
}
