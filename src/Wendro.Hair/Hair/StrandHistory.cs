using Wendro.Units;

namespace Wendro.Hair;

/// <summary>
/// Bands of a strand, from the scalp outwards: how to check them, find a place in them, and let them grow.
/// </summary>
public static class StrandHistory
{
    /// <summary>How far apart two edges that should meet may lie, cm: what a ruler can't tell.</summary>
    public const double Touching = 0.01;

    /// <summary>The band a place lies in; null where no history is told.</summary>
    /// <param name="bands">Bands in order from the scalp.</param>
    /// <param name="s">Distance from the scalp, cm.</param>
    public static int? At(IReadOnlyList<Band> bands, double s)
    {
        ArgumentNullException.ThrowIfNull(bands);
        for (var i = 0; i < bands.Count; i++)
        {
            if (s < bands[i].ToCm || i == bands.Count - 1)
            {
                return i;
            }
        }

        return null;
    }

    /// <summary>
    /// What can't be so: by band and field, in plain words. Nothing when the bands follow one another from scalp to
    /// ends.
    /// </summary>
    /// <param name="bands">Bands in order from the scalp.</param>
    /// <param name="longestCm">How long the longest hair is, cm.</param>
    public static IReadOnlyList<(int Band, string Field, string Words)> Problems(
        IReadOnlyList<Band> bands,
        double longestCm
    )
    {
        ArgumentNullException.ThrowIfNull(bands);
        var found = new List<(int, string, string)>();
        for (var i = 0; i < bands.Count; i++)
        {
            var band = bands[i];
            var before = i == 0 ? 0 : bands[i - 1].ToCm;
            void Say(bool wrong, string field, string words)
            {
                if (wrong)
                {
                    found.Add((i, field, words));
                }
            }

            Say(
                !double.IsFinite(band.FromCm) || band.FromCm < before - Touching,
                "fromCm",
                i == 0 ? "Not before the scalp." : $"This overlaps the band above, which ends at {before:0.#} cm."
            );
            Say(
                band.FromCm > before + Touching,
                "fromCm",
                i == 0
                    ? "The first band begins at the scalp."
                    : $"There is a gap: the band above ends at {before:0.#} cm."
            );
            Say(!(band.ToCm > band.FromCm + Touching), "toCm", "A band ends further down than it begins.");
            Say(band.ToCm > longestCm + Touching, "toCm", $"Longer than the hair: {longestCm:0} cm.");
            Say(!(band.Share is > 0 and <= 1), "share", "Above 0 and up to 1.");
            Say(
                band.Warmth is { } warmth && !(warmth is >= -1 and <= 1),
                "warmth",
                "Between −1, cooler, and 1, warmer."
            );
            Say(!Enum.IsDefined(band.State), "state", "natural, coloured or lightened.");
        }

        return found;
    }

    /// <summary>
    /// The same hair some weeks later: every band has moved outwards by what has grown, new hair of the natural level
    /// has come at the scalp.
    /// </summary>
    /// <param name="bands">Bands in order from the scalp.</param>
    /// <param name="naturalLevel">Level of what grows.</param>
    /// <param name="weeks">How many weeks, 0 or more.</param>
    /// <param name="cmPerMonth">How fast it grows.</param>
    public static IReadOnlyList<Band> Grown(
        IReadOnlyList<Band> bands,
        Level naturalLevel,
        double weeks,
        double cmPerMonth = HairFibre.GrowthCmPerMonth
    )
    {
        ArgumentNullException.ThrowIfNull(bands);
        var grown = GrowthCm(weeks, cmPerMonth);
        if (bands.Count == 0 || grown < Touching)
        {
            return bands;
        }

        var moved = bands.Select(b => b with { FromCm = b.FromCm + grown, ToCm = b.ToCm + grown }).ToList();
        if (moved[0].State == BandState.Natural && moved[0].Level == naturalLevel)
        {
            moved[0] = moved[0] with { FromCm = 0 };
            return moved;
        }

        return [new Band(0, grown, BandState.Natural, naturalLevel), .. moved];
    }

    /// <summary>
    /// The bands of a head of hair some weeks later, to a millimetre: what grows past the length was cut off; hair
    /// whose history nobody told is one band.
    /// </summary>
    /// <param name="hair">The hair.</param>
    /// <param name="weeks">How many weeks, 0..<see cref="MostWeeks"/>.</param>
    public static IReadOnlyList<Band> Grown(HairProfile hair, double weeks)
    {
        ArgumentNullException.ThrowIfNull(hair);
        var longest = hair.Cut.LongestCm;
        IReadOnlyList<Band> told =
            hair.Bands.Count > 0
                ? hair.Bands
                : [new(0, longest, hair.Coloured ? BandState.Coloured : BandState.Natural, hair.NaturalLevel)];
        return Cut(Grown(told, hair.NaturalLevel, weeks), longest);
    }

    /// <summary>The bands of hair that was cut to a length, to a millimetre.</summary>
    /// <param name="bands">Bands in order from the scalp.</param>
    /// <param name="longestCm">How long the longest hair is now, cm.</param>
    public static IReadOnlyList<Band> Cut(IReadOnlyList<Band> bands, double longestCm) =>
        bands
            .Where(b => b.FromCm < longestCm - Touching)
            .Select(b => b with { FromCm = Math.Round(b.FromCm, 1), ToCm = Math.Round(Math.Min(b.ToCm, longestCm), 1) })
            .Where(b => b.ToCm > b.FromCm + Touching)
            .ToArray();

    /// <summary>Longest that a strand is looked ahead, weeks: ten years.</summary>
    public const double MostWeeks = 520;

    /// <summary>Centimetres grown in some weeks.</summary>
    public static double GrowthCm(double weeks, double cmPerMonth = HairFibre.GrowthCmPerMonth) =>
        weeks * cmPerMonth * 12 / 52;

    /// <summary>Months that some centimetres of regrowth took.</summary>
    public static double MonthsOf(double regrowthCm, double cmPerMonth = HairFibre.GrowthCmPerMonth) =>
        regrowthCm / cmPerMonth;
}
