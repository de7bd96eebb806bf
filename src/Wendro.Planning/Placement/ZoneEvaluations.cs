using System.Buffers;
using System.Collections.Concurrent;
using Wendro.Blend;
using Wendro.Fall;
using Wendro.Hair;
using Wendro.Head;
using Wendro.Paint;
using Wendro.Plans;
using Wendro.Section;
using Wendro.Units;

namespace Wendro.Placement;

/// <summary>
/// Settings of zones, looked up once: which strands they reach, what is seen of them. A whole head is then the sum of
/// its zones, so that thousands can be judged in a second. Looked at closely every second strand stands for two; at
/// first sight every eighth for eight.
/// </summary>
internal sealed class ZoneEvaluations
{
    private const int Sample = 2,
        FirstSightSample = 8;
    private readonly Plan plan;
    private readonly HairViews looks;
    private readonly Cutting cutting;
    private readonly HouseRules house;
    private readonly StrandMap whole;
    private readonly StrandSamples before;
    private readonly (int Sample, int[][] Of) closely,
        firstSight;
    private readonly IReadOnlyList<AreaCoat> areas;
    private readonly SeenWeights down;
    private readonly SeenWeights? tied;
    private readonly ConcurrentDictionary<(Zone, double, int), (ZonePanels Panels, StrandMap Map)> cuts = new();

    public ZoneEvaluations(Plan plan, HairViews looks, Cutting cutting, HouseRules house)
    {
        (this.plan, this.looks, this.cutting, this.house) = (plan, looks, cutting, house);
        var zones = looks.Head.ZonesFor(plan.Part);
        var strands = looks.OnHead.Strands;
        var zoneOf = strands.Scalp.Select(p => zones.At(p)).ToArray();
        (int, int[][]) Every(int sample) =>
            (
                sample,
                ZoneFacts
                    .All.Select(z =>
                        Enumerable.Range(0, strands.Count).Where(i => i % sample == 0 && zoneOf[i] == z).ToArray()
                    )
                    .ToArray()
            );
        (closely, firstSight) = (Every(Sample), Every(FirstSightSample));
        whole = StrandMap.Of(strands, zones, new Dictionary<Zone, (ZonePanels, int)>(), 0, cutting.Hair.Pieces);
        before = StrandLevels.Before(cutting.Hair, whole, looks.OnHead.Lengths);
        areas = plan.AreasOf();
        down = looks.Weights(Wear.Down);
        tied = HeadContext.TiedIn(plan.Wears) is { } how ? looks.Weights(how) : null;
        Groups = Settings
            .Groups.Select(g => g.Where(z => plan.Zones[z].Excluded is null).ToArray())
            .Where(g => g.Length > 0)
            .Select(g => (Zones: g, Settings: Settings.For(g, plan, cutting.Hair, house)))
            .ToArray();
        Untouched = ZoneFacts
            .All.Where(z => plan.Zones[z].Excluded is not null)
            .Select(z => Look(z, new Setting(house.SectionsOf(z).ThicknessMm, null)))
            .ToArray();
    }

    /// <summary>Groups of zones that can be set, and what can be set.</summary>
    public IReadOnlyList<(Zone[] Zones, IReadOnlyList<Setting> Settings)> Groups { get; }

    /// <summary>What zones that are left out add.</summary>
    public IReadOnlyList<ZoneLook> Untouched { get; }

    /// <summary>How a zone is cut with a setting.</summary>
    public Sections SectionsOf(Zone zone, Setting setting) =>
        house.SectionsOf(zone) with
        {
            ThicknessMm = setting.ThicknessMm,
        };

    /// <summary>What a zone adds with a setting.</summary>
    public ZoneLook Look(Zone zone, Setting setting) => Look(zone, setting, closely);

    /// <summary>The same at first sight: enough to tell what is worth looking at closely.</summary>
    public ZoneLook FirstSight(Zone zone, Setting setting) => Look(zone, setting, firstSight);

    private ZoneLook Look(Zone zone, Setting setting, (int Every, int[][] Of) strands)
    {
        var strandsOf = strands.Of[(int)zone];
        var (panels, map) = cuts.GetOrAdd(
            (zone, setting.ThicknessMm, strands.Every),
            _ =>
            {
                var cut = cutting.Cut(plan.CutOf(zone) with { Sections = SectionsOf(zone, setting) });
                return (cut, StrandMap.OfZone(looks.OnHead.Strands, zone, strandsOf, cut, whole));
            }
        );

        var pool = ArrayPool<byte>.Shared;
        var rented = new StrandSamples(pool.Rent(before.Levels.Length), pool.Rent(before.Tints.Length));
        foreach (var i in strandsOf)
        {
            rented.CopyStrand(before, i);
        }

        var minutes = 0.0;
        bool bleeds = false,
            dries = false,
            touches = false;
        var target = Level.Clamp(plan.Goal.EndsLevel);
        if (setting.Paint is { } paint)
        {
            for (var p = 0; p < panels.Panels.Count; p++)
            {
                var painted = new PlannedPanel(
                    panels.Panels[p],
                    paint
                        .Coats()
                        .Select(c =>
                            Coat.Planned(
                                PaintedPanel.On(panels.Panels[p], c, plan.Seed),
                                Settings.FormulaOf(c.Formula, plan, cutting.Hair)
                            ) with
                            {
                                Step = plan.StepOf(c.Formula),
                                Damp = plan.StepsOf()[plan.StepOf(c.Formula)].Damp,
                            }
                        )
                        .ToArray(),
                    areas.Where(a => a.Reaches(zone)).ToArray()
                );
                StrandLevels.OfPanel(
                    cutting.Hair,
                    map,
                    painted,
                    map.StrandsOf[p],
                    looks.OnHead.Lengths,
                    Moment.Rinsed,
                    rented
                );
                bleeds |=
                    !ZoneFacts.IsHairline(zone)
                    && painted.Light is { Painted.Paint.Covering: Covering.Open } open
                    && BleedFindings.Through(open, panels.Panels[p]) >= plan.LimitsOf().BleedShare;
                touches |= painted.Light?.Painted.StartCm < plan.LimitsOf().ScalpCm;
                dries |=
                    p == 0
                    && painted.LiftingOf(cutting.Hair) is { } lifting
                    && lifting.MinutesTo(target) is null
                    && lifting.DriesBefore(target);
                minutes += PlannedHead.MinutesOf(painted);
            }
        }

        var seen = Tally.Of(down, map, looks.OnHead.Strands, rented.Levels, cutting.Hair, strandsOf);
        var back = tied is null
            ? null
            : Tally.Of(tied, map, looks.OnHead.Strands, rented.Levels, cutting.Hair, strandsOf);
        var (all, front, left, right) = seen.Sums;
        var (light, endsSamples, endsLevels) = seen.LightSums;
        pool.Return(rented.Levels);
        pool.Return(rented.Tints);
        var natural = cutting.Hair.In(zone).NaturalLevel;
        return new ZoneLook(
            new(all.Samples, all.Levels),
            new(front.Samples, front.Levels),
            new(left.Samples, left.Levels),
            new(right.Samples, right.Levels),
            back is null ? default : new(back.Sums.All.Samples, back.Sums.All.Levels),
            light,
            new(endsSamples, endsLevels),
            seen.Softness(zone, strands.Every).Slope,
            Math.Abs((seen.RootLevel(zone) ?? natural) - natural),
            ZoneFacts.IsFaceFrame(zone),
            Proposal.IsBehind(zone),
            Proposal.IsBack(zone),
            setting.Paint is null ? 0 : panels.Panels.Count,
            minutes,
            (bleeds ? 1 : 0) + (dries ? 1 : 0) + (touches ? 2 : 0)
        );
    }
}
