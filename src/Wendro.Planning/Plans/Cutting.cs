using Wendro.Hair;
using Wendro.Head;
using Wendro.Paint;
using Wendro.Section;
using Wendro.Units;

namespace Wendro.Plans;

/// <summary>A head of hair ready to be cut into panels; cuts already made are kept.</summary>
public sealed class Cutting
{
    private readonly LruCache<ZoneCut, ZonePanels> kept = new(100);
    private readonly Func<PartLine, Func<ScalpPoint, double>> lengths;

    /// <param name="head">The head.</param>
    /// <param name="hair">The hair.</param>
    /// <param name="lengths">Length of the hair rooted at a place, cm, by part.</param>
    public Cutting(HeadForm head, HairProfile hair, Func<PartLine, Func<ScalpPoint, double>> lengths)
    {
        Head = head;
        Hair = hair;
        this.lengths = lengths;
    }

    /// <summary>The head.</summary>
    public HeadForm Head { get; }

    /// <summary>The hair.</summary>
    public HairProfile Hair { get; }

    /// <summary>A zone cut one way.</summary>
    public ZonePanels Cut(ZoneCut how)
    {
        ArgumentNullException.ThrowIfNull(how);
        return kept.GetOrMake(how, () => ZonePanels.Cut(Head, how, Hair, lengths(how.Part)));
    }

    /// <summary>A zone as a plan cuts it.</summary>
    public ZonePanels Cut(Plan plan, Zone zone)
    {
        ArgumentNullException.ThrowIfNull(plan);
        return Cut(plan.CutOf(zone));
    }

    /// <summary>All zones as a plan cuts them.</summary>
    public IReadOnlyDictionary<Zone, ZonePanels> Cut(Plan plan)
    {
        ArgumentNullException.ThrowIfNull(plan);
        var cut = new ZonePanels[ZoneFacts.All.Count];
        Parallel.For(0, cut.Length, i => cut[i] = Cut(plan, ZoneFacts.All[i]));
        return ZoneFacts.All.ToDictionary(z => z, z => cut[(int)z]);
    }
}
