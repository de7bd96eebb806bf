using Wendro.Head;

namespace Wendro.Hair;

/// <summary>A piece of hair that was worked on at an earlier visit: where it grows, and what it is from scalp to
/// ends.</summary>
/// <param name="Outline">Corners on the crown map, cm, 3..<see cref="MostCorners"/>; the last joins the first.</param>
/// <param name="Bands">Band by band from the scalp; a share below 1 tells how much of the piece was reached.</param>
/// <param name="Depths">How deep each corner lies, 0 on the painted side .. 1 on the other; null where what was reached
/// is strewn.</param>
public sealed record Piece(
    IReadOnlyList<MapPoint> Outline,
    IReadOnlyList<Band> Bands,
    IReadOnlyList<double>? Depths = null
)
{
    /// <summary>Most corners of an outline, and most bands of a piece.</summary>
    public const int MostCorners = 60,
        MostBands = 24;

    private readonly (double Left, double Right, double Low, double High) around = Outline is { Count: > 0 }
        ? (Outline.Min(p => p.X), Outline.Max(p => p.X), Outline.Min(p => p.Y), Outline.Max(p => p.Y))
        : default;

    /// <summary>Whether a place of the crown map lies in it.</summary>
    public bool Holds(MapPoint place)
    {
        if (place.X < around.Left || place.X > around.Right || place.Y < around.Low || place.Y > around.High)
        {
            return false;
        }

        var inside = false;
        for (int i = 0, j = Outline.Count - 1; i < Outline.Count; j = i++)
        {
            var (a, b) = (Outline[i], Outline[j]);
            inside ^= a.Y > place.Y != b.Y > place.Y && place.X < (b.X - a.X) * (place.Y - a.Y) / (b.Y - a.Y) + a.X;
        }

        return inside;
    }

    /// <summary>
    /// How deep a place lies, 0 at the edge on the painted side .. 1 at the other; null where what was reached is
    /// strewn.
    /// </summary>
    public double? DepthOf(MapPoint place)
    {
        if (Depths is null)
        {
            return null;
        }

        // Between the edge that was painted and the one that was not.
        var (near, far) = (double.MaxValue, double.MaxValue);
        for (int i = 0, j = Outline.Count - 1; i < Outline.Count; j = i++)
        {
            var (a, b) = (Depths[i], Depths[j]);
            var away = a < 0.5 == b < 0.5 ? Outside(place, Outline[i], Outline[j]) : double.MaxValue;
            (near, far) = a < 0.5 ? (Math.Min(near, away), far) : (near, Math.Min(far, away));
        }

        return near == double.MaxValue || far == double.MaxValue ? null : near / Math.Max(near + far, 1e-9);
    }

    /// <summary>How far a place lies from an edge, cm.</summary>
    private static double Outside(MapPoint place, MapPoint a, MapPoint b)
    {
        var (dx, dy) = (b.X - a.X, b.Y - a.Y);
        var along = dx * dx + dy * dy;
        var t = along < 1e-12 ? 0 : Math.Clamp(((place.X - a.X) * dx + (place.Y - a.Y) * dy) / along, 0, 1);
        return double.Hypot(place.X - a.X - t * dx, place.Y - a.Y - t * dy);
    }

    /// <summary>Equal when every corner and band is.</summary>
    public bool Equals(Piece? other) =>
        other is not null
        && (Depths ?? []).SequenceEqual(other.Depths ?? [])
        && Outline.SequenceEqual(other.Outline)
        && Bands.SequenceEqual(other.Bands);

    /// <inheritdoc/>
    public override int GetHashCode() => HashCode.Combine(Outline.Count, Bands.Count);
}

/// <summary>What earlier visits left, place by place. Where it is told, it counts for what the hair is, and the
/// profile's bands are its summary.</summary>
/// <param name="Between">Bands of the hair in no piece; empty where that is as it grew, or coloured alike.</param>
/// <param name="All">The pieces; the first that holds a place counts there. Up to <see cref="Most"/>.</param>
public sealed record Pieces(IReadOnlyList<Band> Between, IReadOnlyList<Piece> All)
{
    /// <summary>Most pieces of a head.</summary>
    public const int Most = 600;

    /// <summary>The piece a place lies in, by number; −1 for none.</summary>
    public int NumberAt(MapPoint place)
    {
        for (var i = 0; i < All.Count; i++)
        {
            if (All[i].Holds(place))
            {
                return i;
            }
        }

        return -1;
    }

    /// <summary>The same on hair that was cut to a length, cm.</summary>
    public Pieces CutTo(double longestCm) =>
        new(
            StrandHistory.Cut(Between, longestCm),
            All.Select(p => p?.Bands is null ? p! : p with { Bands = StrandHistory.Cut(p.Bands, longestCm) })
                .Where(p => p?.Bands is not { Count: 0 })
                .ToArray()
        );

    /// <summary>Bands of the hair at a place.</summary>
    public IReadOnlyList<Band> BandsAt(MapPoint place) => NumberAt(place) is >= 0 and var i ? All[i].Bands : Between;

    /// <summary>Equal when every piece is.</summary>
    public bool Equals(Pieces? other) =>
        other is not null && Between.SequenceEqual(other.Between) && All.SequenceEqual(other.All);

    /// <inheritdoc/>
    public override int GetHashCode() => HashCode.Combine(Between.Count, All.Count);
}
