using Wendro.Apply;
using Wendro.Blend;
using Wendro.Head;
using Wendro.Plans;
using Wendro.Units;

namespace Wendro.Review;

/// <summary>Zones that were lifted again at a visit, and what was read before they were.</summary>
public sealed class LiftedAgain
{
    private readonly Dictionary<Zone, DateTimeOffset> at;

    private readonly IReadOnlyDictionary<Zone, double> shares;

    private LiftedAgain(int? step, Dictionary<Zone, DateTimeOffset> at, IReadOnlyDictionary<Zone, double> shares) =>
        (Step, this.at, this.shares) = (step, at, shares);

    /// <summary>The step that lifts again, from 0; null where the plan has none.</summary>
    public int? Step { get; }

    /// <summary>What is known of a head's coats, with those before that step as they were read.</summary>
    public ActualApplication On(PlannedHead head, ActualApplication laid) =>
        Step is { } step && shares.Count > 0 ? HairAsRead.On(head, laid, step, shares) : laid;

    /// <summary>When a zone was lifted again last; null where it wasn't.</summary>
    public DateTimeOffset? At(Zone zone) => at.TryGetValue(zone, out var when) ? when : null;

    /// <summary>Of a head, what happened and what was read.</summary>
    /// <param name="head">The head.</param>
    /// <param name="service">What happened at the chair.</param>
    /// <param name="facts">What was seen and said at the review.</param>
    public static LiftedAgain Of(PlannedHead head, ServiceInHand service, IReadOnlyList<RecordedFact<ReviewFact>> facts)
    {
        ArgumentNullException.ThrowIfNull(service);
        ArgumentNullException.ThrowIfNull(facts);
        if (HairAsRead.AgainIn(head) is not { } step)
        {
            return new(null, [], new Dictionary<Zone, double>());
        }

        var at = service
            .Finished.Where(f => f.Key.Item2 >= step && f.Value.RinsedAt is not null)
            .GroupBy(f => f.Key.Item1.Zone)
            .ToDictionary(z => z.Key, z => z.Max(f => f.Value.RinsedAt!.Value));
        var ever = ReviewInHand.Of(facts).Readings.Values;
        var before = ever.Where(r => !at.ContainsKey(r.Zone))
            .Concat(
                at.SelectMany(z =>
                    ReviewInHand
                        .Of(facts.Where(f => f.At <= z.Value).ToArray())
                        .Readings.Values.Where(r => r.Zone == z.Key)
                )
            )
            .ToArray();
        // Reading a head takes its time: a plan of several steps that nobody read goes without.
        return new(
            step,
            at,
            before.Length == 0
                ? new Dictionary<Zone, double>()
                : HairAsRead.SharesOf(head, new Depths(head), step, before)
        );
    }
}
