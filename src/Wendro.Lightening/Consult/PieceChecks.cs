using Wendro.Hair;
using Wendro.Units;

namespace Wendro.Consult;

/// <summary>Checks the pieces that earlier visits left.</summary>
internal static class PieceChecks
{
    /// <summary>How far from its middle the crown map reaches, cm.</summary>
    private const double MapCm = 30;

    /// <summary>What can't be so; fields as in the hair's record.</summary>
    /// <param name="pieces">The pieces.</param>
    /// <param name="longestCm">How long the longest hair is, cm.</param>
    public static IEnumerable<Problem> Of(Pieces pieces, double longestCm)
    {
        if (pieces.Between is null || pieces.All is null || pieces.All.Count > Pieces.Most)
        {
            return [new("pieces", $"What lies between them, and up to {Pieces.Most} pieces.")];
        }

        return Bands("pieces.between", pieces.Between, longestCm)
            .Concat(pieces.All.SelectMany((p, i) => OfOne($"pieces.all[{i}]", p, longestCm)));
    }

    private static IEnumerable<Problem> OfOne(string field, Piece? piece, double longestCm)
    {
        if (piece?.Outline is not { Count: >= 3 and <= Piece.MostCorners } || piece.Bands is not { Count: > 0 })
        {
            return [new(field, $"An outline of 3 to {Piece.MostCorners} corners, and its bands.")];
        }

        if (piece.Outline.Any(c => !(Math.Abs(c.X) <= MapCm) || !(Math.Abs(c.Y) <= MapCm)))
        {
            return [new($"{field}.outline", "On the crown map.")];
        }

        if (
            piece.Depths is { } depths
            && (depths.Count != piece.Outline.Count || depths.Any(d => !(d is >= 0 and <= 1)))
        )
        {
            return [new($"{field}.depths", "One for each corner, between 0 and 1.")];
        }

        return Bands($"{field}.bands", piece.Bands, longestCm);
    }

    private static IEnumerable<Problem> Bands(string field, IReadOnlyList<Band> bands, double longestCm) =>
        bands.Count > Piece.MostBands || bands.Any(b => b is null)
            ? [new(field, $"Up to {Piece.MostBands} bands.")]
            : StrandHistory
                .Problems(bands, longestCm)
                .Select(p => new Problem($"{field}[{p.Band}].{p.Field}", p.Words));
}
