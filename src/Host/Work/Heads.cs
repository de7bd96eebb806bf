using Wendro.Core.Blend;
using Wendro.Core.Fall;
using Wendro.Core.Hair;
using Wendro.Core.Head;
using Wendro.Core.Plans;
using Wendro.Core.Units;

namespace Wendro.Host.Work;

/// <summary>
/// Heads of hair at work, kept least recently used: what no paint changes (looks, views, cuts) by hair and part,
/// planned heads by visit and revision.
/// </summary>
internal sealed class Heads(HeadForm head)
{
    private readonly KeptViews views = KeptViews.For(fallen: 2, views: 8);
    private readonly Recent<(HairProfile Hair, PartLine Part), HairLooks> looks = new(2);
    private readonly Recent<HairProfile, Cutting> cuttings = new(4);
    private readonly Recent<(Guid Visit, int Shows, HairProfile Hair), PlannedHead> planned = new(3);

    /// <summary>Looks of a head of hair with a part.</summary>
    public HairLooks LooksFor(HairProfile hair, PartLine part)
    {
        // What was done to hair, and how light it is, makes no difference to how it falls.
        var falls = hair.AsItFalls();
        return looks.GetOrMake((falls, part), () => new HairLooks(head, falls, part, views));
    }

    /// <summary>Cuts this head of hair into panels. Lengths are those of the hair as it falls from the part.</summary>
    public Cutting CuttingFor(HairProfile hair) => cuttings.GetOrMake(hair, () => FreshCuttingFor(hair));

    /// <summary>The same with nothing cut yet, for trying many cuts that would push out those at work.</summary>
    public Cutting FreshCuttingFor(HairProfile hair) => new(head, hair, p => LooksFor(hair, p).OnHead.LengthAt);

    /// <summary>A plan on its head, made from the one before it where that is still known.</summary>
    public PlannedHead Planned(Guid visit, HairProfile hair, StoredPlanKey key, PlannedHead? before) =>
        planned.GetOrMake((visit, key.Shows, hair), () => Make(hair, key.Plan, before));

    /// <summary>A plan on its head, not kept: for previews, and for what was laid otherwise than planned.</summary>
    public PlannedHead Make(HairProfile hair, Plan plan, PlannedHead? before, AsLaid? laid = null)
    {
        var with = LooksFor(plan.AsWorn(hair), plan.Part);
        var cutting = CuttingFor(hair);
        return before is null ? PlannedHead.Of(with, cutting, plan, laid) : before.After(plan, with, cutting, laid);
    }
}

/// <summary>Which revision's plan, and the plan.</summary>
internal sealed record StoredPlanKey(int Shows, Plan Plan);
