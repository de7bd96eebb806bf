using Wendro.Core.Blend;
using Wendro.Core.Fall;
using Wendro.Core.Hair;
using Wendro.Core.Head;
using Wendro.Core.Paint;
using Wendro.Core.Timing;

namespace Wendro.Core.Plans;

/// <summary>
/// A plan on a head: its panels, the levels they reach, what is seen of them, what is wrong. Immutable; an edit makes
/// the next one
/// and computes only what it changed.
/// </summary>
public sealed class PlannedHead
{
    private readonly Lazy<IReadOnlyList<Finding>> findings;
    private readonly Lazy<bool[]?[]?> white;
    private readonly Lazy<IReadOnlyList<PanelKey>> working;
    private readonly Sight sight;

    private PlannedHead(
        HairLooks looks,
        HairProfile hair,
        Plan plan,
        IReadOnlyDictionary<Zone, ZonePanels> cut,
        IReadOnlyList<PlannedPanel> panels,
        StrandMap map,
        byte[] levels,
        byte[] drawn,
        Sight sight
    )
    {
        white = new(() => StrandLevels.White(hair, map, looks.OnHead.Lengths));
        Looks = looks;
        Hair = hair;
        Plan = plan;
        Cut = cut;
        Panels = panels;
        Map = map;
        Levels = levels;
        Drawn = drawn;
        this.sight = sight;
        working = new(() => Frames.Working(plan, panels.Select(p => p.Panel.Key)));
        findings = new(() => Blend.Findings.Of(Judge()));
    }

    /// <summary>The hair, its part and all that is seen of it.</summary>
    public HairLooks Looks { get; }

    /// <summary>Her hair, with all that was done to it before.</summary>
    public HairProfile Hair { get; }

    /// <summary>The plan.</summary>
    public Plan Plan { get; }

    /// <summary>Every zone's panels.</summary>
    public IReadOnlyDictionary<Zone, ZonePanels> Cut { get; }

    /// <summary>All panels, zone by zone as zones are numbered: a strand map counts on it.</summary>
    public IReadOnlyList<PlannedPanel> Panels { get; }

    /// <summary>The panels' keys in the order they are worked.</summary>
    public IReadOnlyList<PanelKey> Working => working.Value;

    /// <summary>Which strand lies where.</summary>
    public StrandMap Map { get; }

    /// <summary>Level bytes when rinsed, strands × 64: what measures count.</summary>
    public byte[] Levels { get; }

    /// <summary>Level bytes when rinsed, mixed within locks: what a picture is drawn with.</summary>
    public byte[] Drawn { get; }

    /// <summary>What is seen worn down.</summary>
    public Tally Down => sight.Down.Value;

    /// <summary>What is seen tied back; null if she never ties it.</summary>
    public Tally? Tied => sight.Tied.Value;

    /// <summary>
    /// Whether a panel shows less than <see cref="HardlyShare"/> of what its share of all hair would, in every wear
    /// she uses.
    /// </summary>
    public IReadOnlyList<bool> HardlySeen => sight.Hidden.Value;

    /// <summary>
    /// Below this share of what it would show if all hair showed alike, a panel is hardly seen. Model assumption.
    /// </summary>
    public const double HardlyShare = 0.2;

    /// <summary>The measures, rinsed.</summary>
    public Measures Measures => sight.Measures.Value;

    /// <summary>Minutes that painting a panel takes; 0 while it is left natural.</summary>
    public static double MinutesOf(PlannedPanel panel)
    {
        ArgumentNullException.ThrowIfNull(panel);
        return PaintingTime.Seconds(panel.Panel, panel.Coats.Select(c => c.Painted).ToArray()) / 60;
    }

    /// <summary>Minutes that painting all of it takes.</summary>
    public double Minutes => Panels.Sum(MinutesOf);

    /// <summary>
    /// What is wrong, worst first; what was set aside is left away until it matters more than it did.
    /// </summary>
    public IReadOnlyList<Finding> Findings => AllFindings.Where(f => !IsSetAside(f)).ToArray();

    /// <summary>What is wrong, and what was set aside with it.</summary>
    public IReadOnlyList<Finding> AllFindings => findings.Value;

    /// <summary>Whether a finding was set aside and matters no more than it did then.</summary>
    public bool IsSetAside(Finding finding)
    {
        ArgumentNullException.ThrowIfNull(finding);
        return !Finding.StaysSaid(finding.Id)
            && Plan.SetAside.Any(d => d.Finding == finding.Id && finding.Severity >= d.At);
    }

    /// <summary>Plans a head from nothing.</summary>
    /// <param name="looks">The hair with the plan's part.</param>
    /// <param name="cutting">Cuts zones into panels.</param>
    /// <param name="plan">The plan.</param>
    public static PlannedHead Of(HairLooks looks, Cutting cutting, Plan plan)
    {
        ArgumentNullException.ThrowIfNull(looks);
        ArgumentNullException.ThrowIfNull(cutting);
        ArgumentNullException.ThrowIfNull(plan);
        var cut = cutting.Cut(plan);
        var firsts = new Dictionary<Zone, (ZonePanels, int)>();
        var count = 0;
        foreach (var zone in ZoneFacts.All.Where(z => plan.Zones[z].Excluded is null))
        {
            firsts[zone] = (cut[zone], count);
            count += cut[zone].Panels.Count;
        }

        var panels = firsts.Keys.SelectMany(z => cut[z].Panels).Select(p => Planned(p, plan)).ToArray();
        var strands = looks.OnHead.Strands;
        var map = StrandMap.Of(strands, looks.Head.ZonesFor(plan.Part), firsts, count);
        var levels = StrandLevels.All(cutting.Hair, map, panels, looks.OnHead.Lengths, Moment.Rinsed);
        var drawn = new byte[levels.Length];
        StrandLevels.Draw(strands, levels, null, StrandLevels.White(cutting.Hair, map, looks.OnHead.Lengths), drawn);
        return new PlannedHead(
            looks,
            cutting.Hair,
            plan,
            cut,
            panels,
            map,
            levels,
            drawn,
            Sight.Of(looks, cutting.Hair, plan, map, levels)
        );
    }

    /// <summary>
    /// The next plan on the same head. Where only paint changed, only that paint's strands are computed.
    /// </summary>
    /// <param name="next">The next plan.</param>
    /// <param name="looks">The hair with the next plan's part.</param>
    /// <param name="cutting">Cuts zones into panels.</param>
    public PlannedHead After(Plan next, HairLooks looks, Cutting cutting)
    {
        ArgumentNullException.ThrowIfNull(next);
        ArgumentNullException.ThrowIfNull(cutting);
        if (
            !ReferenceEquals(looks, Looks)
            || Hair != cutting.Hair
            || !Plan.Wears.SequenceEqual(next.Wears)
            || !Plan.IsCutLike(next)
        )
        {
            return Of(looks, cutting, next);
        }

        var panels = Panels.Select(p => Replanned(p, next)).ToArray();
        var changed = Enumerable.Range(0, panels.Length).Where(i => !ReferenceEquals(panels[i], Panels[i])).ToArray();
        var levels = (byte[])Levels.Clone();
        foreach (var p in changed)
        {
            StrandLevels.OfPanel(Hair, Map, panels[p], Map.StrandsOf[p], Looks.OnHead.Lengths, Moment.Rinsed, levels);
        }

        var drawn = (byte[])Drawn.Clone();
        StrandLevels.Draw(Looks.OnHead.Strands, levels, LocksOf(changed), white.Value, drawn);
        var strands = changed.Select(p => Map.StrandsOf[p]).ToArray();
        return new PlannedHead(
            Looks,
            Hair,
            next,
            Cut,
            panels,
            Map,
            levels,
            drawn,
            sight.After(strands, Levels, levels, Hair, () => Sight.Of(Looks, Hair, next, Map, levels))
        );
    }

    /// <summary>Level bytes to draw at another moment.</summary>
    public byte[] DrawnAt(Moment moment)
    {
        if (moment == Moment.Rinsed)
        {
            return Drawn;
        }

        var levels =
            moment.WeeksLater > 0
                ? Regrowth.Grown(Levels, Looks.OnHead.Lengths, Map.Zone, Hair, moment.WeeksLater)
                : StrandLevels.All(Hair, Map, Panels, Looks.OnHead.Lengths, moment);
        var drawn = new byte[levels.Length];
        StrandLevels.Draw(Looks.OnHead.Strands, levels, null, white.Value, drawn);
        return drawn;
    }

    /// <summary>Level bytes to draw the head with as a wish would have it.</summary>
    public byte[] DrawnAsWished(Wish wish)
    {
        var levels = WishLook.Levels(Hair, Map, Looks.OnHead.Strands, Looks.Weights(Wear.Down), wish);
        var wished = new byte[levels.Length];
        StrandLevels.Draw(Looks.OnHead.Strands, levels, null, white.Value, wished);
        return wished;
    }

    /// <summary>A panel by its key; null if there is none.</summary>
    public PlannedPanel? PanelOf(PanelKey key) => Panels.FirstOrDefault(p => p.Panel.Key == key);

    /// <summary>The locks some panels' strands belong to.</summary>
    private HashSet<int> LocksOf(IEnumerable<int> panels)
    {
        var locks = new HashSet<int>();
        foreach (var p in panels)
        {
            foreach (var i in Map.StrandsOf[p])
            {
                locks.Add(Looks.OnHead.Strands.Lock[i]);
            }
        }

        return locks;
    }

    /// <summary>The measures against the wish, with which panels to thank or blame.</summary>
    /// <param name="weeksBetween">How many weeks between her visits.</param>
    public IReadOnlyList<CardLine> Card(double weeksBetween) =>
        BlendCard.Of(Panels, Map, Looks.Weights(Wear.Down), Levels, Judge(), weeksBetween);

    /// <summary>Work nobody sees; null where little time goes into it. Looks at every wear she uses.</summary>
    public Finding? HiddenWork()
    {
        var hidden = Panels.Where((p, i) => p.Coats.Count > 0 && HardlySeen[i]).ToArray();
        return Blend.HiddenWork.Of(hidden.Sum(MinutesOf), hidden.Select(p => p.Panel.Key).ToArray(), Plan.LimitsOf());
    }

    private Judged Judge() =>
        new(
            Hair,
            Plan.Wish,
            Plan.LimitsOf(),
            Panels,
            Measures,
            Down,
            Tied,
            Sight.TiedAs(Plan) ?? Wear.TiedHigh,
            Plan.Part,
            Plan.Regions,
            ZoneFacts.All.Where(z => Plan.Zones[z].Excluded is not null).ToHashSet()
        );

    private static PlannedPanel Planned(Panel panel, Plan plan) =>
        plan.Zones[panel.Key.Zone].Of(panel.Key) is { } paint
            ? new(
                panel,
                paint
                    .Coats()
                    .Select(c => new Coat(PaintedPanel.On(panel, c, plan.Seed), plan.FormulaOf(c.Formula)!))
                    .ToArray()
            )
            : new(panel, []);

    private static PlannedPanel Replanned(PlannedPanel before, Plan next)
    {
        var paint = next.Zones[before.Panel.Key.Zone].Of(before.Panel.Key);
        var same = before.Painted?.Paint == paint && before.Coats.All(c => c.Formula == next.FormulaOf(c.Formula.Id));
        return same ? before : Planned(before.Panel, next);
    }
}
