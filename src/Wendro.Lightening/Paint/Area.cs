using Wendro.Head;
using Wendro.Units;

namespace Wendro.Paint;

/// <summary>A whole area that something is laid on without cutting panels for it: root 0–4 cm, all lengths.</summary>
/// <param name="Zones">Which zones; null for all that are worked.</param>
/// <param name="FromCm">Where it begins, cm from the scalp, 0..60.</param>
/// <param name="ToCm">Where it ends, cm from the scalp, more than where it begins; null to the ends.</param>
/// <param name="Between">Whether only hair is reached that no panel paints: a base between sheets.</param>
/// <param name="Covering">What covers it.</param>
/// <param name="EdgeCm">Over how much its edges fade, cm: drawn softly with a clean brush.</param>
public sealed record Area(
    IReadOnlyList<Zone>? Zones = null,
    [property: Within(0, Area.MostCm, "cm")] double FromCm = 0,
    [property: Within(0, Area.MostCm, "cm")] double? ToCm = null,
    bool Between = false,
    Covering Covering = Covering.Open,
    [property: Within(Area.LeastEdgeCm, Area.MostEdgeCm, "cm")] double EdgeCm = Area.UsualEdgeCm
)
{
    /// <summary>Furthest from the scalp that an area is told, cm.</summary>
    public const double MostCm = 60;

    /// <summary>Shortest and longest fade of an area's edges, and the usual one, cm. Model assumption.</summary>
    public const double LeastEdgeCm = 0.5,
        MostEdgeCm = 12,
        UsualEdgeCm = 1.5;

    /// <summary>Whether it reaches hair of a zone.</summary>
    public bool Reaches(Zone zone) => Zones is null || Zones.Contains(zone);

    /// <summary>Whether all hair of another area lies in this one.</summary>
    public bool Covers(Area other)
    {
        ArgumentNullException.ThrowIfNull(other);
        return (Zones is null || (other.Zones is { } zones && zones.All(Zones.Contains)))
            && FromCm <= other.FromCm
            && (ToCm is not { } to || other.ToCm <= to)
            && (!Between || other.Between)
            && EdgeCm.Equals(other.EdgeCm);
    }

    /// <summary>How much of it lies at a distance from the scalp, 0..1.</summary>
    /// <param name="s">Distance from the scalp, cm.</param>
    /// <param name="length">Length of the hair, cm.</param>
    /// <param name="strayCm">How much lower one strand's edges lie than the area's, cm.</param>
    public double CoverageAlong(double s, double length, double strayCm = 0)
    {
        var begun = FromCm <= 0 ? 1 : Curve.Smooth(FromCm + strayCm - EdgeCm / 2, FromCm + strayCm + EdgeCm / 2, s);
        return ToCm is not { } to || to >= length
            ? begun
            : begun * (1 - Curve.Smooth(to + strayCm - EdgeCm / 2, to + strayCm + EdgeCm / 2, s));
    }

    /// <summary>In plain words: "root to 4 cm", "all lengths".</summary>
    public string Words =>
        (FromCm, ToCm) switch
        {
            (<= 0, null) => "all lengths",
            (<= 0, { } to) => $"root to {to:0.#} cm",
            (_, null) => $"from {FromCm:0.#} cm to the ends",
            (_, { } to) => $"{FromCm:0.#} to {to:0.#} cm",
        } + (Between ? ", between the panels" : string.Empty);

    /// <summary>Equal when every value is, the zones one by one.</summary>
    public bool Equals(Area? other) =>
        other is not null
        && (Zones is null ? other.Zones is null : other.Zones is not null && Zones.SequenceEqual(other.Zones))
        && FromCm.Equals(other.FromCm)
        && ToCm.Equals(other.ToCm)
        && Between == other.Between
        && Covering == other.Covering
        && EdgeCm.Equals(other.EdgeCm);

    /// <inheritdoc/>
    public override int GetHashCode() => HashCode.Combine(FromCm, ToCm, Between, Covering);
}
