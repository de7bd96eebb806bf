using Wendro.Blend;
using Wendro.Fall;
using Wendro.Hair;
using Wendro.Head;
using Wendro.Plans;
using Wendro.Units;

namespace Wendro.Host.Work;

/// <summary>
/// Heads of hair at work, kept least recently used: what no paint changes (looks, views, cuts) by hair and part,
/// planned heads by visit and revision.
/// </summary>
internal sealed class HeadCache(HeadForm head, IBlobCache away)
{
    private const long MegaByte = 1 << 20;

    /// <summary>
    /// Room, bytes. What an edit needs is a few megabytes a head: two dozen are at work at once. How hair falls and
    /// what is seen of it is large: the one falls anew, the other is found again in the cache folder.
    /// </summary>
    private const long LooksRoom = 100 * MegaByte,
        PlannedRoom = 90 * MegaByte,
        FallenRoom = 16 * MegaByte,
        SeenRoom = 12 * MegaByte;

    private const int CuttingsRoom = 32;
    private readonly ViewCache views = ViewCache.Within(FallenRoom, SeenRoom, away);
    private readonly LruCache<(HairProfile Hair, PartLine Part), HairViews> looks = new(LooksRoom, l => l.Bytes);
    private readonly LruCache<HairProfile, Cutting> cuttings = new(CuttingsRoom);

    private volatile LruCache<Guid, Latest> plans = Plans();

    /// <summary>
    /// The newest plan of each visit on its head. To be asked for before a plan is read: what was read of data that
    /// has been replaced since goes to its own, which nobody asks any more.
    /// </summary>
    public LruCache<Guid, Latest> AtHand => plans;

    /// <summary>Forgets every plan on its head: the data was replaced beneath them.</summary>
    public void ForgetPlans() => plans = Plans();

    private static LruCache<Guid, Latest> Plans() => new(PlannedRoom, l => l.Bytes);

    /// <summary>Looks of a head of hair with a part.</summary>
    public HairViews LooksFor(HairProfile hair, PartLine part)
    {
        // What was done to hair, and how light it is, makes no difference to how it falls.
        var falls = hair.AsItFalls();
        return looks.GetOrMake((falls, part), () => new HairViews(head, falls, part, views));
    }

    /// <summary>Cuts this head of hair into panels. Lengths are those of the hair as it falls from the part.</summary>
    public Cutting CuttingFor(HairProfile hair) => cuttings.GetOrMake(hair, () => FreshCuttingFor(hair));

    /// <summary>
    /// Cuts a head whose hair is as long everywhere as it is at its longest: what only wants to know whether a plan can
    /// be cut at all need not grow its hair.
    /// </summary>
    public Cutting PlainCuttingFor(HairProfile hair) => new(head, hair, _ => _ => hair.Cut.LongestCm);

    /// <summary>The same with nothing cut yet, for trying many cuts that would push out those at work.</summary>
    public Cutting FreshCuttingFor(HairProfile hair) => new(head, hair, p => LooksFor(hair, p).OnHead.LengthAt);

    /// <summary>A plan on its head, made from the one before it where that is still known.</summary>
    /// <param name="among">What was <see cref="AtHand"/> before the plan was read.</param>
    /// <param name="visit">Whose.</param>
    /// <param name="hair">The hair.</param>
    /// <param name="key">The plan, as it was read.</param>
    /// <param name="before">The head it is made from where it is not at hand.</param>
    public PlannedHead Planned(
        LruCache<Guid, Latest> among,
        Guid visit,
        HairProfile hair,
        StoredPlanKey key,
        PlannedHead? before
    ) => among.GetOrMake(visit, () => new Latest()).Of(key, hair, () => Make(hair, key.Plan, before));

    /// <summary>A plan on its head, not kept: for previews, and for what was laid otherwise than planned.</summary>
    public PlannedHead Make(HairProfile hair, Plan plan, PlannedHead? before, ActualApplication? laid = null)
    {
        var with = LooksFor(plan.AsWorn(hair), plan.Part);
        var cutting = CuttingFor(hair);
        return before is null ? PlannedHead.Of(with, cutting, plan, laid) : before.After(plan, with, cutting, laid);
    }
}

/// <summary>
/// The newest plan of one visit on its head. A request that read an older one meanwhile gets it made beside: it does
/// not push the newest out.
/// </summary>
internal sealed class Latest
{
    private readonly Lock gate = new();
    private (StoredPlanKey Key, HairProfile Hair, Lazy<PlannedHead> Head)? now;

    /// <summary>Room it takes, bytes.</summary>
    public long Bytes => now is { Head: { IsValueCreated: true, Value: var head } } ? head.Reached.OwnBytes : 0;

    /// <summary>The plan at a revision on its head, made where it is another than the newest.</summary>
    public PlannedHead Of(StoredPlanKey key, HairProfile hair, Func<PlannedHead> make)
    {
        var head = new Lazy<PlannedHead>(make);
        lock (gate)
        {
            if (now is { } known && known.Key.Shows == key.Shows && known.Hair == hair)
            {
                head = known.Head;
            }
            else if (now is not { } newest || newest.Key.Revision <= key.Revision)
            {
                now = (key, hair, head);
            }
        }

        try
        {
            return head.Value;
        }
        catch
        {
            lock (gate)
            {
                // What could not be made is tried again by whoever asks next.
                now = now is { } failed && ReferenceEquals(failed.Head, head) ? null : now;
            }

            throw;
        }
    }
}

/// <summary>Which revision, which revision's plan it shows, and the plan.</summary>
internal sealed record StoredPlanKey(int Revision, int Shows, Plan Plan);
