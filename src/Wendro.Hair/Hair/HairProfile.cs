using Wendro.Head;
using Wendro.Units;

namespace Wendro.Hair;

/// <summary>Strand diameter: fine 55, medium 70, coarse 90 µm. Source: body.</summary>
public enum Diameter
{
    Fine,
    Medium,
    Coarse,
}

/// <summary>How readily hair takes product up.</summary>
public enum Porosity
{
    Low,
    Normal,
    High,
}

/// <summary>Hairs per cm²: low 130, medium 180, high 230. Source: body.</summary>
public enum Density
{
    Low,
    Medium,
    High,
}

/// <summary>How hair curls.</summary>
public enum Curl
{
    Straight,
    Wavy,
    Curly,
    Coily,
}

/// <summary>What shape hair is in: sound; dry and rough; breaking.</summary>
public enum Condition
{
    Sound,
    Dry,
    Breaking,
}

/// <summary>How the hair is cut: one hem it hangs to, and layers that end higher. Length by place follows.</summary>
/// <param name="HemCm">Length from the crown to the hem as it hangs down the back, cm, 16..75.</param>
/// <param name="LayersCm">How much higher than the hem the hair of the crown ends, cm, 0..30; nothing at the
/// hairline.</param>
/// <param name="FaceLayersCm">How much higher than the hem the pieces at the face end, cm, 0..30.</param>
/// <param name="FringeCm">Length of a cut fringe, cm, 4..20; null where there is none.</param>
/// <param name="EvenCm">One length all over, pulled straight, cm, 3..60: then there is no hem; null where it is cut
/// to the hem.</param>
public sealed record Cut(
    [property: Within(16, 75, "cm")] double HemCm,
    [property: Within(0, 30, "cm")] double LayersCm = 0,
    [property: Within(0, 30, "cm")] double FaceLayersCm = 0,
    [property: Within(4, 20, "cm")] double? FringeCm = null,
    [property: Within(3, 60, "cm")] double? EvenCm = null
)
{
    /// <summary>Length of the longest hair, pulled straight, cm.</summary>
    public double LongestCm => EvenCm ?? HemCm;
}

/// <summary>What the artist reads off the hair before she plans.</summary>
/// <param name="NaturalLevel">How light it grows.</param>
/// <param name="Diameter">Strand diameter.</param>
/// <param name="Density">Hairs per cm².</param>
/// <param name="Porosity">Uptake of product.</param>
/// <param name="Coloured">Whether the lengths carry artificial colour: slower, and one level less in reach.</param>
/// <param name="Cut">Hem and layers; length by place follows from them.</param>
/// <param name="History">What was done before, band by band from the scalp; null or empty where it is all natural, or
/// coloured alike.</param>
/// <param name="Curl">How it curls.</param>
/// <param name="GreyShare">Share of white hairs, 0..1.</param>
/// <param name="Condition">What shape it is in.</param>
/// <param name="Own">How it lifts against the tables, from strand tests; null as tabled.</param>
/// <param name="Marked">Places that want care: breakage, new baby hair, an undercut, cowlicks; null or empty where
/// there are none.</param>
/// <param name="ByZone">Where a zone differs from the rest; null or empty where none does.</param>
/// <param name="Pieces">What earlier visits left, place by place: then <paramref name="History"/> is its summary; null
/// where nobody kept it.</param>
public sealed record HairProfile(
    Level NaturalLevel,
    Diameter Diameter,
    Density Density,
    Porosity Porosity,
    bool Coloured,
    Cut Cut,
    IReadOnlyList<Band>? History = null,
    Curl Curl = Curl.Straight,
    [property: Within(0, 1)] double GreyShare = 0,
    Condition Condition = Condition.Sound,
    OwnLift? Own = null,
    IReadOnlyList<Mark>? Marked = null,
    IReadOnlyDictionary<Zone, ZoneHair>? ByZone = null,
    Pieces? Pieces = null
)
{
    /// <summary>The marks; none where nothing was marked.</summary>
    public IReadOnlyList<Mark> Marks => Marked ?? [];

    /// <summary>The bands; none where no history is told.</summary>
    public IReadOnlyList<Band> Bands => History ?? [];

    /// <summary>
    /// The same hair as far as it falls (no property: a record writes out its properties, and this one would never
    /// end): what lies on it, what was done to it and how light it is makes no difference to that.
    /// </summary>
    public HairProfile AsItFalls() =>
        this with
        {
            NaturalLevel = Usual.NaturalLevel,
            Porosity = Usual.Porosity,
            Coloured = false,
            History = null,
            GreyShare = 0,
            Condition = Condition.Sound,
            Own = null,
            Marked = Marks.All(m => m.TellsInFalling) ? Marked : Marks.Where(m => m.TellsInFalling).ToArray(),
            ByZone = null,
            Pieces = null,
        };

    /// <summary>The hair at a place: as its zone's, and what was done to it there.</summary>
    public HairProfile At(Zone zone, MapPoint place) =>
        Pieces is null ? In(zone) : In(zone) with { History = Pieces.BandsAt(place), Pieces = null };

    /// <summary>
    /// The same where earlier visits left pieces and the hair was cut shorter since: they, and their summary, end where
    /// it ends.
    /// </summary>
    public HairProfile PiecesCut() =>
        Pieces is { Between: not null, All: not null }
            ? this with
            {
                History = History is null ? null : StrandHistory.Cut(History, Cut.LongestCm),
                Pieces = Pieces.CutTo(Cut.LongestCm),
            }
            : this;

    /// <summary>The hair of one zone: as the rest, but for what differs there.</summary>
    public HairProfile In(Zone zone)
    {
        if (ByZone is null || !ByZone.TryGetValue(zone, out var there))
        {
            return this;
        }

        return this with
        {
            NaturalLevel = there.NaturalLevel ?? NaturalLevel,
            Diameter = there.Diameter ?? Diameter,
            Density = there.Density ?? Density,
            Porosity = there.Porosity ?? Porosity,
            GreyShare = there.GreyShare ?? GreyShare,
            ByZone = null,
        };
    }

    /// <summary>Equal when every value is, the bands one by one.</summary>
    public bool Equals(HairProfile? other) =>
        other is not null
        && NaturalLevel.Equals(other.NaturalLevel)
        && Diameter == other.Diameter
        && Density == other.Density
        && Porosity == other.Porosity
        && Coloured == other.Coloured
        && Cut == other.Cut
        && Curl == other.Curl
        && GreyShare.Equals(other.GreyShare)
        && Condition == other.Condition
        && Own == other.Own
        && Bands.SequenceEqual(other.Bands)
        && Marks.SequenceEqual(other.Marks)
        && Equals(Pieces, other.Pieces)
        && (ByZone ?? None).OrderBy(z => z.Key).SequenceEqual((other.ByZone ?? None).OrderBy(z => z.Key));

    /// <inheritdoc/>
    public override int GetHashCode() =>
        HashCode.Combine(NaturalLevel, Diameter, Density, Porosity, Coloured, Cut, Bands.Count);

    private static readonly Dictionary<Zone, ZoneHair> None = [];

    /// <summary>A made-up middle of the road, for a client nobody has looked at yet.</summary>
    public static HairProfile Usual { get; } =
        new(new(5), Diameter.Medium, Density.Medium, Porosity.Normal, false, new Cut(34));
}
