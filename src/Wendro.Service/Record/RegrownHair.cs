using Wendro.Hair;

namespace Wendro.Record;

/// <summary>Her hair some weeks after a visit: everything moved outwards by what has grown, trims taken off the
/// hem.</summary>
public static class RegrownHair
{
    /// <summary>Most that is trimmed between two visits, cm.</summary>
    public const double MostTrimmedCm = 60;

    /// <summary>Furthest from the scalp that a marked piece begins, cm.</summary>
    private const double MostStartCm = 60;

    /// <summary>Her hair now.</summary>
    /// <param name="left">As the visit left it.</param>
    /// <param name="weeks">Weeks since, 0 or more.</param>
    /// <param name="trimmedCm">What was cut off the hem meanwhile, cm.</param>
    public static HairProfile Of(HairProfile left, double weeks, double trimmedCm = 0)
    {
        ArgumentNullException.ThrowIfNull(left);
        var grown = StrandHistory.GrowthCm(weeks);
        var longer = grown - trimmedCm;
        var cut = left.Cut with
        {
            HemCm = Math.Clamp(Math.Round(left.Cut.HemCm + longer, 1), 16, 75),
            EvenCm = left.Cut.EvenCm is { } even ? Math.Clamp(Math.Round(even + longer, 1), 3, 60) : null,
        };
        IReadOnlyList<Band> Later(IReadOnlyList<Band> bands) =>
            StrandHistory.Cut(StrandHistory.Grown(bands, left.NaturalLevel, weeks), cut.LongestCm);

        return left with
        {
            Cut = cut,
            History = left.History is { } told ? Later(told) : null,
            Pieces = left.Pieces is { } pieces
                ? new(
                    Later(pieces.Between),
                    pieces
                        .All.Select(p => p with { Bands = Later(p.Bands) })
                        .Where(p => p.Bands.Any(b => b.State != BandState.Natural))
                        .ToArray()
                )
                : null,
            // Of old pieces that were marked those stay that nobody worked on: the others are told.
            Marked = left
                .Marked?.Where(m => m.TellsInFalling || left.Pieces is null || left.Pieces.NumberAt(m.Map) < 0)
                .Select(m => m.StartCm is { } start ? m with { StartCm = Math.Min(start + grown, MostStartCm) } : m)
                .ToArray(),
        };
    }

    /// <summary>Whether hair begins with what a visit left: its pieces, or its bands where there were none.</summary>
    /// <param name="hair">The hair.</param>
    /// <param name="left">As the visit left it.</param>
    /// <param name="weeks">Weeks between.</param>
    public static bool IsBegunWith(HairProfile hair, HairProfile left, double weeks)
    {
        ArgumentNullException.ThrowIfNull(hair);
        var now = Of(left, weeks);
        return now.Pieces is { All.Count: > 0 } pieces
            ? hair.Pieces is { All.Count: > 0 } here
                && here.All.All(h => pieces.All.Any(p => p.Outline.SequenceEqual(h.Outline)))
            : hair.Bands.SequenceEqual(now.Bands);
    }
}
