using Wendro.Head;
using Wendro.Units;

namespace Wendro.Review;

/// <summary>A reading that was written down elsewhere: the level hair is, dry.</summary>
/// <param name="Zone">Where on the head.</param>
/// <param name="Depth">Where along the hair.</param>
/// <param name="Level">Level it is, 1..10.</param>
/// <param name="Evenness">How even.</param>
/// <param name="Undertone">The warm pigment seen; null where it is the level's own.</param>
public sealed record DryReading(Zone Zone, Depth Depth, Level Level, Evenness Evenness, string? Undertone);

/// <summary>What a reading from elsewhere becomes here.</summary>
/// <param name="Was">The level that stood, dry; null where nobody had read.</param>
/// <param name="Becomes">What is read now.</param>
/// <param name="Says">The fact that says so.</param>
public sealed record ImportedReading(double? Was, DryReading Becomes, LevelRead Says);

/// <summary>Readings written down elsewhere against what was read here: only what differs is said again.</summary>
/// <param name="Told">What is new or otherwise.</param>
/// <param name="Same">How many stand so already.</param>
public sealed record ReadingsImport(IReadOnlyList<ImportedReading> Told, int Same)
{
    /// <summary>Nearer than this two levels are the same, levels: tables are written to two decimals by hand.</summary>
    private const double SameWithin = 0.005;

    /// <summary>What they become in a review.</summary>
    /// <param name="review">The review as it stands: what is read while hair is wet looks darker than it is.</param>
    /// <param name="readings">What was written down.</param>
    public static ReadingsImport Of(ReviewInHand review, IReadOnlyCollection<DryReading> readings)
    {
        ArgumentNullException.ThrowIfNull(review);
        ArgumentNullException.ThrowIfNull(readings);
        var darker = ReviewInHand.ReadsDarker(review.State?.Wetness ?? Wetness.Dry);
        var told = readings
            .Select(r => new ImportedReading(
                review.Readings.GetValueOrDefault((r.Zone, r.Depth))?.Level,
                r,
                new(r.Zone, r.Depth, Level.Clamp(r.Level.Value - darker), r.Evenness, Undertone: r.Undertone)
            ))
            .Where(r => !Stands(r.Says, darker, review.Readings.GetValueOrDefault((r.Says.Zone, r.Says.Depth))))
            .ToArray();
        return new(told, readings.Count - told.Length);
    }

    /// <summary>
    /// Whether it stands so already: held against what would count once it is said, for hair can look no darker than
    /// level 1.
    /// </summary>
    private static bool Stands(LevelRead says, double darker, ZoneReading? known) =>
        known is not null
        && Math.Abs(known.Level - Level.Clamp(says.Level.Value + darker).Value) < SameWithin
        && known.Evenness == says.Evenness
        && known.Undertone == says.Undertone;
}
