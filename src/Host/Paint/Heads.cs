using System.Collections.Immutable;
using Wendro.Core.Blend;
using Wendro.Core.Fall;
using Wendro.Core.Hair;
using Wendro.Core.Head;
using Wendro.Core.Plans;

namespace Wendro.Host.Paint;

/// <summary>
/// Heads of hair at work, kept least recently used: what no paint changes (looks, views, cuts) by hair and part, planned heads by visit and revision.
/// </summary>
internal sealed class Heads(HeadForm head)
{
    private const int MostLooks = 2;
    private const int MostPlanned = 3;
    private const int MostViews = 8;
    private const int MostFallen = 2;
    private readonly Lock gate = new();
    private readonly Shelves shelves = Shelves.For(MostFallen, MostViews);
    private readonly LinkedList<(HairProfile Hair, PartLine Part, HairLooks Looks)> looks = new();
    private readonly LinkedList<((Guid Visit, int Shows, HairProfile Hair) Key, Lazy<PlannedHead> Head)> planned =
        new();
    private ImmutableDictionary<HairProfile, Cutting> cuttings = ImmutableDictionary<HairProfile, Cutting>.Empty;

    /// <summary>Looks of a head of hair with a part.</summary>
    public HairLooks LooksFor(HairProfile hair, PartLine part)
    {
        // What was done to hair, and how light it is, makes no difference to how it falls.
        hair = hair.AsItFalls();
        lock (gate)
        {
            for (var node = looks.First; node is not null; node = node.Next)
            {
                if (node.Value.Hair == hair && node.Value.Part == part)
                {
                    looks.Remove(node);
                    looks.AddFirst(node);
                    return node.Value.Looks;
                }
            }

            var made = new HairLooks(head, hair, part, shelves);
            looks.AddFirst((hair, part, made));
            if (looks.Count > MostLooks)
            {
                looks.RemoveLast();
            }

            return made;
        }
    }

    /// <summary>Cuts this head of hair into panels. Lengths are those of the hair as it falls from the part.</summary>
    public Cutting CuttingFor(HairProfile hair)
    {
        lock (gate)
        {
            if (!cuttings.TryGetValue(hair, out var cutting))
            {
                cutting = FreshCuttingFor(hair);
                cuttings = (cuttings.Count > 4 ? cuttings.Clear() : cuttings).Add(hair, cutting);
            }

            return cutting;
        }
    }

    /// <summary>The same with nothing cut yet, for trying many cuts that would push out those at work.</summary>
    public Cutting FreshCuttingFor(HairProfile hair) => new(head, hair, p => LooksFor(hair, p).OnHead.LengthAt);

    /// <summary>A plan on its head, made from the one before it where that is still known.</summary>
    public PlannedHead Planned(Guid visit, HairProfile hair, StoredPlanKey key, PlannedHead? before)
    {
        Lazy<PlannedHead> found;
        lock (gate)
        {
            var node = planned.First;
            while (node is not null && node.Value.Key != (visit, key.Shows, hair))
            {
                node = node.Next;
            }

            if (node is null)
            {
                node = new(((visit, key.Shows, hair), new Lazy<PlannedHead>(() => Make(hair, key.Plan, before))));
                if (planned.Count >= MostPlanned)
                {
                    planned.RemoveLast();
                }
            }
            else
            {
                planned.Remove(node);
            }

            planned.AddFirst(node);
            found = node.Value.Head;
        }

        return found.Value;
    }

    /// <summary>A plan on its head, not kept: for previews.</summary>
    public PlannedHead Make(HairProfile hair, Plan plan, PlannedHead? before)
    {
        var with = LooksFor(plan.AsWorn(hair), plan.Part);
        var cutting = CuttingFor(hair);
        return before is null ? PlannedHead.Of(with, cutting, plan) : before.After(plan, with, cutting);
    }
}

/// <summary>Which revision's plan, and the plan.</summary>
internal sealed record StoredPlanKey(int Shows, Plan Plan);
