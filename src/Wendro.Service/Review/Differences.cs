using Wendro.Head;
using Wendro.Plans;
using Wendro.Units;

namespace Wendro.Review;

/// <summary>What came out against what was planned at one place.</summary>
/// <param name="Zone">Where on the head.</param>
/// <param name="Depth">Where along the hair.</param>
/// <param name="Planned">Level planned.</param>
/// <param name="CameOut">Level that came out.</param>
/// <param name="Evenness">How even.</param>
/// <param name="Undertone">The warm pigment seen; null where it is the level's own.</param>
public sealed record PlaceDifference(
    Zone Zone,
    Depth Depth,
    double Planned,
    double CameOut,
    Evenness Evenness,
    string? Undertone = null
)
{
    /// <summary>Came out less planned, levels: below 0 is short.</summary>
    public double Levels => CameOut - Planned;

    /// <summary>Whether an eye would call it as planned.</summary>
    public bool IsAsPlanned => Math.Abs(Levels) < Differences.AsPlannedWithin;
}

/// <summary>What was read against what was planned, and the verdict in a sentence.</summary>
public sealed class Differences
{
    /// <summary>Nearer than this to the plan is as planned, levels: an eye tells a quarter. Trade.</summary>
    public const double AsPlannedWithin = 0.3;

    private Differences(IReadOnlyList<PlaceDifference> read) => Read = read;

    /// <summary>Every place read, zone by zone.</summary>
    public IReadOnlyList<PlaceDifference> Read { get; }

    /// <summary>Where a zone differs most; null where nobody read it.</summary>
    public PlaceDifference? In(Zone zone) => Read.Where(d => d.Zone == zone).MaxBy(d => Math.Abs(d.Levels));

    /// <summary>Of each zone that is not as planned the place that differs most, the worst first.</summary>
    public IReadOnlyList<PlaceDifference> Worst =>
        Read.Select(d => d.Zone)
            .Distinct()
            .Select(z => In(z)!)
            .Where(d => !d.IsAsPlanned)
            .OrderByDescending(d => Math.Abs(d.Levels))
            .ToArray();

    /// <summary>Holds readings against a plan.</summary>
    /// <param name="planned">The head as planned.</param>
    /// <param name="depths">How it is read.</param>
    /// <param name="readings">What was read.</param>
    public static Differences Of(PlannedHead planned, Depths depths, IEnumerable<ZoneReading> readings)
    {
        ArgumentNullException.ThrowIfNull(planned);
        ArgumentNullException.ThrowIfNull(depths);
        ArgumentNullException.ThrowIfNull(readings);
        return new(
            readings
                .Where(r => depths.Zones.Contains(r.Zone))
                .OrderBy(r => r.Zone)
                .ThenBy(r => r.Depth)
                .Select(r => new PlaceDifference(
                    r.Zone,
                    r.Depth,
                    depths.Planned(r.Zone, r.Depth),
                    r.Level,
                    r.Evenness,
                    r.Undertone
                ))
                .ToArray()
        );
    }

    /// <summary>The verdict in a sentence.</summary>
    public Sentence Words
    {
        get
        {
            if (Read.Count == 0)
            {
                return "Nothing is read yet.";
            }

            var worst = Worst;
            var uneven = Read.Where(d => d.Evenness != Evenness.Even).Select(d => d.Zone).Distinct().ToArray();
            var patches =
                uneven.Length == 0
                    ? string.Empty
                    : $" Not even: {string.Join(", ", uneven.Select(z => ZoneFacts.Words(z)))}.";
            if (worst.Count == 0)
            {
                var zones = Read.Select(d => d.Zone).Distinct().Count();
                return $"As planned in {(zones == 1 ? "the one zone" : $"all {zones} zones")} read.{patches}";
            }

            var told = string.Join(", ", worst.Take(MostTold).Select(Told));
            var more = worst.Count > MostTold ? $" and {worst.Count - MostTold} more" : string.Empty;
            return $"As planned but for {Count(worst.Count)}: {told}{more}.{patches}";
        }
    }

    private const int MostTold = 3;

    private static string Count(int count) =>
        count switch
        {
            1 => "one",
            2 => "two",
            3 => "three",
            _ => $"{count}",
        };

    private static string Told(PlaceDifference d) =>
        FormattableString.Invariant(
            $"{ZoneFacts.Words(d.Zone)} {Math.Abs(d.Levels):0.0} {(d.Levels < 0 ? "short" : "over")}"
        );
}
