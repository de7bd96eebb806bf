using Wendro.Blend;
using Wendro.Fall;
using Wendro.Hair;
using Wendro.Head;
using Wendro.Paint;
using Wendro.Section;
using Wendro.Timing;

namespace Wendro.Plans;

/// <summary>
/// A plan on a head: its panels, the levels they reach, what is wrong. Immutable; an edit makes the next one and
/// computes only what it changed.
/// </summary>
public sealed class PlannedHead
{
    private readonly Lazy<IReadOnlyList<Finding>> findings;
    private readonly Lazy<IReadOnlyList<PanelKey>> working;

    private PlannedHead(
        Plan plan,
        ActualApplication laid,
        IReadOnlyDictionary<Zone, ZonePanels> cut,
        IReadOnlyList<PlannedPanel> panels,
        HeadLevels reached,
        Lazy<IReadOnlyList<PanelKey>>? worked = null
    )
    {
        Plan = plan;
        Laid = laid;
        Cut = cut;
        Panels = panels;
        Reached = reached;
        Areas = plan.AreasOf();
        working = worked ?? new(() => WorkingOrder.Of(plan, panels.Select(p => p.Panel.Key)));
        findings = new(() => FindingsOf(Reached));
    }

    /// <summary>The plan.</summary>
    public Plan Plan { get; }

    /// <summary>What was laid otherwise than planned.</summary>
    public ActualApplication Laid { get; }

    /// <summary>Every zone's panels.</summary>
    public IReadOnlyDictionary<Zone, ZonePanels> Cut { get; }

    /// <summary>All panels, zone by zone as zones are numbered: a strand map counts on it.</summary>
    public IReadOnlyList<PlannedPanel> Panels { get; }

    /// <summary>What is laid over whole areas, in the order it is.</summary>
    public IReadOnlyList<AreaCoat> Areas { get; }

    /// <summary>The levels they reach, rinsed.</summary>
    public HeadLevels Reached { get; }

    /// <summary>The panels' keys in the order they are worked.</summary>
    public IReadOnlyList<PanelKey> Working => working.Value;

    /// <summary>The hair, its part and all that is seen of it.</summary>
    public HairViews Looks => Reached.On.Looks;

    /// <summary>Her hair, with all that was done to it before.</summary>
    public HairProfile Hair => Reached.On.Hair;

    /// <summary>Which strand lies where.</summary>
    public StrandMap Map => Reached.On.Map;

    /// <summary>Level bytes when rinsed, strands × 64: what measures count.</summary>
    public byte[] Levels => Reached.Bytes;

    /// <summary>All strands when rinsed, levels mixed within locks: what a picture is drawn with.</summary>
    public StrandSamples Drawn => Reached.Drawn;

    /// <summary>What is seen worn down.</summary>
    public Tally Down => Reached.Down;

    /// <summary>What is seen tied back; null if she never ties it.</summary>
    public Tally? Tied => Reached.Tied;

    /// <summary>Whether a panel is hardly seen in any wear she uses.</summary>
    public IReadOnlyList<bool> HardlySeen => Reached.HardlySeen;

    /// <summary>The measures, rinsed.</summary>
    public Measures Measures => Reached.Measures;

    /// <summary>Minutes that painting a panel takes; 0 while it is left natural.</summary>
    public static double MinutesOf(PlannedPanel panel)
    {
        ArgumentNullException.ThrowIfNull(panel);
        return PaintingTime.Seconds(panel.Panel, panel.Coats.Select(c => c.Painted).ToArray()) / 60;
    }

    /// <summary>Hair that an area reaches, g, and the scalp it grows on, cm².</summary>
    public (double HairGrams, double ScalpCm2) HairOf(AreaCoat area)
    {
        ArgumentNullException.ThrowIfNull(area);
        return HairOf(
            i =>
                area.Reaches((Zone)Map.Zone[i])
                && !(area.Area.Between && Map.Panel[i] >= 0 && Panels[Map.Panel[i]].Coats.Count > 0),
            (s, length) => area.CoverageAlong(s, length)
        );
    }

    /// <summary>Hair that is covered, g, and the scalp it grows on, cm².</summary>
    /// <param name="takes">Which strands are.</param>
    /// <param name="coverage">How much, 0..1, at a distance from the scalp, cm, of hair of a length, cm.</param>
    /// <param name="every">Every which strand is counted, for all it stands for.</param>
    public (double HairGrams, double ScalpCm2) HairOf(
        Func<int, bool> takes,
        Func<double, double, double> coverage,
        int every = 1
    )
    {
        ArgumentNullException.ThrowIfNull(takes);
        ArgumentNullException.ThrowIfNull(coverage);
        var lengths = Looks.OnHead.Lengths;
        var each = Looks.Head.ScalpCm2 / lengths.Length * every;
        var (grams, scalp) = (0.0, 0.0);
        for (var i = 0; i < lengths.Length; i += every)
        {
            if (!takes(i))
            {
                continue;
            }

            var covered = 0.0;
            for (var k = 0; k < AreaPlaces; k++)
            {
                covered += coverage((k + 0.5) / AreaPlaces * lengths[i], lengths[i]) / AreaPlaces;
            }

            grams += HairFibre.Grams(Hair.In((Zone)Map.Zone[i]), each, lengths[i]) * covered;
            scalp += covered > 0 ? each : 0;
        }

        return (grams, scalp);
    }

    private const int AreaPlaces = 40;

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
        return !finding.Kind.KeepsSafe && Plan.SetAside.Any(d => d.Finding == finding.Id && finding.Severity >= d.At);
    }

    /// <summary>Plans a head from nothing.</summary>
    /// <param name="looks">The hair with the plan's part.</param>
    /// <param name="cutting">Cuts zones into panels.</param>
    /// <param name="plan">The plan.</param>
    /// <param name="laid">What was laid otherwise than planned; null for nothing.</param>
    public static PlannedHead Of(HairViews looks, Cutting cutting, Plan plan, ActualApplication? laid = null)
    {
        ArgumentNullException.ThrowIfNull(looks);
        ArgumentNullException.ThrowIfNull(cutting);
        ArgumentNullException.ThrowIfNull(plan);
        var really = laid ?? ActualApplication.Planned;
        var cut = cutting.Cut(plan);
        var firsts = new Dictionary<Zone, (ZonePanels, int)>();
        var count = 0;
        foreach (var zone in ZoneFacts.All.Where(z => plan.Zones[z].Excluded is null))
        {
            firsts[zone] = (cut[zone], count);
            count += cut[zone].Panels.Count;
        }

        var panels = firsts.Keys.SelectMany(z => cut[z].Panels).Select(p => Planned(p, plan, really)).ToArray();
        var areas = plan.AreasOf();
        var map = StrandMap.Of(
            looks.OnHead.Strands,
            looks.Head.ZonesFor(plan.Part),
            firsts,
            count,
            cutting.Hair.Pieces
        );
        var reached = StrandLevels.All(cutting.Hair, map, panels, looks.OnHead.Lengths, Moment.Rinsed, areas);
        var on = new HeadContext(looks, cutting.Hair, map, plan.Wears);
        return new PlannedHead(plan, really, cut, panels, HeadLevels.Of(on, reached));
    }

    /// <summary>
    /// The next plan on the same head. Where only paint changed, only that paint's strands are computed.
    /// </summary>
    /// <param name="next">The next plan.</param>
    /// <param name="looks">The hair with the next plan's part.</param>
    /// <param name="cutting">Cuts zones into panels.</param>
    /// <param name="laid">What was laid otherwise than planned; null for nothing.</param>
    public PlannedHead After(Plan next, HairViews looks, Cutting cutting, ActualApplication? laid = null)
    {
        ArgumentNullException.ThrowIfNull(next);
        ArgumentNullException.ThrowIfNull(cutting);
        var really = laid ?? ActualApplication.Planned;
        if (
            !ReferenceEquals(looks, Looks)
            || Hair != cutting.Hair
            || !Plan.Wears.SequenceEqual(next.Wears)
            || !Plan.IsCutLike(next)
            || !LaysAreasLike(next)
        )
        {
            return Of(looks, cutting, next, really);
        }

        // Whole zones nobody touched are known by being the very same; so are mixtures and what was laid.
        var mixed = ReferenceEquals(really, Laid) && Plan.Formulas.SequenceEqual(next.Formulas);
        var panels = Panels
            .Select(p =>
                mixed && ReferenceEquals(Plan.Zones[p.Panel.Key.Zone], next.Zones[p.Panel.Key.Zone])
                    ? p
                    : Replanned(p, next, really, mixed)
            )
            .ToArray();
        var changed = Enumerable.Range(0, panels.Length).Where(i => !ReferenceEquals(panels[i], Panels[i])).ToArray();
        var reached = Reached.Hair.Copy();
        foreach (var p in changed)
        {
            StrandLevels.OfPanel(Hair, Map, panels[p], Map.StrandsOf[p], Looks.OnHead.Lengths, Moment.Rinsed, reached);
        }

        return new PlannedHead(
            next,
            really,
            Cut,
            panels,
            Reached.After(changed, reached),
            WorkingOrder.IsAlike(Plan, next) ? working : null
        );
    }

    /// <summary>All strands to draw at another moment.</summary>
    public StrandSamples DrawnAt(Moment moment)
    {
        if (moment == Moment.Rinsed)
        {
            return Drawn;
        }

        var lengths = Looks.OnHead.Lengths;
        return Reached.Draw(
            moment.WeeksLater > 0
                ? Regrowth.Grown(Reached.Hair, lengths, Map.Zone, Hair, moment.WeeksLater)
                : StrandLevels.All(Hair, Map, Panels, lengths, moment, Areas)
        );
    }

    /// <summary>All strands to draw the head with as a goal would have it.</summary>
    public StrandSamples DrawnToGoal(Goal goal) =>
        Reached.Draw(GoalLook.Of(Hair, Map, Looks.OnHead.Strands, Looks.Weights(Wear.Down), goal));

    /// <summary>A panel by its key; null if there is none.</summary>
    public PlannedPanel? PanelOf(PanelKey key) => Panels.FirstOrDefault(p => p.Panel.Key == key);

    /// <summary>The measures against the goal, with which panels to thank or blame.</summary>
    /// <param name="weeksBetween">How many weeks between her visits.</param>
    public IReadOnlyList<CardLine> Card(double weeksBetween) => CardOf(Reached, weeksBetween);

    /// <summary>The same of other levels on this head: those that came out.</summary>
    /// <param name="levels">Levels on this head.</param>
    /// <param name="weeksBetween">How many weeks between her visits.</param>
    public IReadOnlyList<CardLine> CardOf(HeadLevels levels, double weeksBetween)
    {
        ArgumentNullException.ThrowIfNull(levels);
        return BlendCard.Of(Panels, Map, Looks.Weights(Wear.Down), levels.Bytes, Judge(levels), weeksBetween);
    }

    /// <summary>What is wrong with levels on this head, worst first: the plan's own, or those that came out.</summary>
    /// <param name="levels">Levels on this head.</param>
    public IReadOnlyList<Finding> FindingsOf(HeadLevels levels)
    {
        ArgumentNullException.ThrowIfNull(levels);
        return Blend.Findings.Of(Judge(levels));
    }

    /// <summary>Work nobody sees; null where little time goes into it. Looks at every wear she uses.</summary>
    public Finding? HiddenWork()
    {
        var hidden = Panels.Where((p, i) => p.Coats.Count > 0 && HardlySeen[i]).ToArray();
        return Blend.HiddenWork.Of(hidden.Sum(MinutesOf), hidden.Select(p => p.Panel.Key).ToArray(), Plan.LimitsOf());
    }

    private FindingContext Judge(HeadLevels levels) =>
        new(
            Hair,
            Plan.Goal,
            Plan.LimitsOf(),
            Panels,
            levels.Measures,
            levels.Down,
            levels.Tied,
            levels.TiedHairline,
            levels.On.TiedAs ?? Wear.TiedHigh,
            Plan.Part,
            Plan.Regions,
            ZoneFacts.All.Where(z => Plan.Zones[z].Excluded is not null).ToHashSet(),
            Areas,
            levels.On.AsSheIs
        );

    /// <summary>
    /// Whether another plan has the same steps and lays the same over whole areas: else every strand is computed anew.
    /// </summary>
    private bool LaysAreasLike(Plan next) =>
        (Plan.Steps ?? []).SequenceEqual(next.Steps ?? [])
        && (next.Steps is null || Areas.SequenceEqual(next.AreasOf()));

    private static PlannedPanel Planned(Panel panel, Plan plan, ActualApplication laid)
    {
        var paint = plan.Zones[panel.Key.Zone].Of(panel.Key);
        return new(
            panel,
            (paint?.Coats() ?? [])
                .Select(
                    (c, i) =>
                        laid.Coat(panel.Key, i, PaintedPanel.On(panel, c, plan.Seed), plan.FormulaOf(c.Formula)!) with
                        {
                            Step = plan.StepOf(c.Formula),
                            Damp = plan.StepsOf()[plan.StepOf(c.Formula)].Damp,
                        }
                )
                .ToArray(),
            plan.Steps is null ? [] : plan.AreasOf().Where(a => a.Reaches(panel.Key.Zone)).ToArray()
        );
    }

    private static PlannedPanel Replanned(PlannedPanel before, Plan next, ActualApplication laid, bool mixed)
    {
        var key = before.Panel.Key;
        var paint = next.Zones[key.Zone].Of(key);
        var same =
            before.Painted?.Paint == paint
            && (
                mixed
                || before
                    .Coats.Select(
                        (c, i) =>
                            (
                                laid.Coat(key, i, c.Painted, next.FormulaOf(c.Painted.Paint.Formula)!) with
                                {
                                    Step = c.Step,
                                }
                            ) == c
                    )
                    .All(s => s)
            );
        return same ? before : Planned(before.Panel, next, laid);
    }
}
