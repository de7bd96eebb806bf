using Wendro.Blend;
using Wendro.Hair;
using Wendro.Head;
using Wendro.Paint;
using Wendro.Plans;
using Wendro.Units;

namespace Wendro.Placement;

/// <summary>How far a search is.</summary>
/// <param name="Share">Share of it that is done, 0..1.</param>
/// <param name="Evaluations">Whole heads judged so far.</param>
/// <param name="Best">Least distance from the wanted look so far; null before the first.</param>
public sealed record Progress(double Share, long Evaluations, double? Best);

/// <summary>
/// From look to placement: settings of every zone are looked up once, then whole heads are searched by setting one
/// group of zones at a time
/// to what is best with the others, from many seeded beginnings. The same seed finds the same. Model assumption:
/// sides are set alike.
/// </summary>
public sealed class Search
{
    private const int Beginnings = 24;
    private const int FirstBeginnings = 8;

    /// <summary>Settings of a group looked at closely for each proposal. Model assumption.</summary>
    private const int WorthLooking = 10;
    private readonly Plan plan;
    private readonly HairViews looks;
    private readonly Cutting cutting;
    private readonly Action<Progress>? told;
    private readonly ZoneEvaluations tried;

    private Search(Plan plan, HairViews looks, Cutting cutting, HouseRules house, Action<Progress>? told)
    {
        (this.plan, this.looks, this.cutting, this.told) = (plan, looks, cutting, told);
        tried = new ZoneEvaluations(plan, looks, cutting, house);
    }

    /// <summary>
    /// Three plans for a plan's goal, each good at something else. Stopped early, the best so far of each are kept.
    /// </summary>
    /// <param name="plan">The plan with the goal; zones left out stay out, its seed seeds the search.</param>
    /// <param name="looks">The hair with the plan's part.</param>
    /// <param name="cutting">Cuts zones into panels.</param>
    /// <param name="house">What can be set, and how it is cut.</param>
    /// <param name="told">Told how far it is.</param>
    /// <param name="cancellationToken">Ends it early.</param>
    public static IReadOnlyList<Proposal> Of(
        Plan plan,
        HairViews looks,
        Cutting cutting,
        HouseRules house,
        Action<Progress>? told = null,
        CancellationToken cancellationToken = default
    )
    {
        ArgumentNullException.ThrowIfNull(plan);
        ArgumentNullException.ThrowIfNull(looks);
        ArgumentNullException.ThrowIfNull(cutting);
        ArgumentNullException.ThrowIfNull(house);
        return new Search(plan, looks, cutting, house, told).Run(cancellationToken);
    }

    private Proposal[] Run(CancellationToken cancellationToken)
    {
        var table = new ComposedHeads(plan, tried, LookClosely(WorthIt(cancellationToken), cancellationToken));
        var strengths = Enum.GetValues<Strength>();
        var found = new List<(Strength Strength, int[] Chosen)>();
        double? best = null;
        for (var s = 0; s < strengths.Length; s++)
        {
            var chosen = table.Climb(
                strengths[s],
                Beginnings,
                found.Select(f => f.Chosen).ToArray(),
                share =>
                    told?.Invoke(new Progress(0.8 + 0.15 * (s + share) / strengths.Length, table.Evaluations, best)),
                cancellationToken
            );
            found.Add((strengths[s], chosen));
            var distance = Aim.Distance(table.Judge(chosen), plan.Goal);
            best = best is { } b ? Math.Min(b, distance) : distance;
        }

        table.Share(found);
        var bare = table.Judge(new int[tried.Groups.Count]);
        var made = Assigned(found.Select(f => Make(f.Chosen, table.Judge(f.Chosen))).ToArray(), plan.Goal);
        made = made.Select(p => p with { Unmet = Words.Unmet(p, made, bare) }).ToArray();
        told?.Invoke(new Progress(1, table.Evaluations, made.Min(p => p.Distance)));
        return made.Select((p, i) => p with { GivesUp = Words.GivesUp(p, made.Where((_, j) => j != i).ToArray()) })
            .ToArray();
    }

    /// <summary>
    /// Which settings of each group are worth looking at closely: at first sight of those of the house's thickness
    /// whole heads are searched, and round what was found the settings kept that leave the head nearest to the best, in
    /// every thickness. Nothing painted always is. Stopped early, what was not looked at is not worth it.
    /// </summary>
    private int[][] WorthIt(CancellationToken cancellationToken)
    {
        var all = tried
            .Groups.Select(g =>
                Enumerable
                    .Range(0, g.Settings.Count)
                    .Where(j => g.Settings[j].ThicknessMm == g.Settings[0].ThicknessMm)
                    .ToArray()
            )
            .ToArray();
        var table = new ComposedHeads(plan, tried, Look(all, tried.FirstSight, 0, 0.5, cancellationToken));
        var worth = all.Select(_ => new HashSet<int> { 0 }).ToArray();
        var found = new List<int[]>();
        foreach (var strength in Enum.GetValues<Strength>())
        {
            var chosen = table.Climb(strength, FirstBeginnings, [.. found], _ => { }, cancellationToken);
            found.Add(chosen);
            for (var g = 0; g < worth.Length; g++)
            {
                var now = (int[])chosen.Clone();
                var nearest = all[g]
                    .Where(j => table.WasLookedAt(g, j))
                    .OrderBy(j =>
                    {
                        now[g] = j;
                        return table.Score(now, strength, []);
                    })
                    .Take(WorthLooking);
                worth[g].UnionWith(nearest);
                worth[g].Add(chosen[g]);
            }
        }

        return worth
            .Select(
                (w, g) =>
                {
                    var settings = tried.Groups[g].Settings;
                    var alike = w.Select(j => settings[j].Alike).ToHashSet();
                    return Enumerable.Range(0, settings.Count).Where(j => alike.Contains(settings[j].Alike)).ToArray();
                }
            )
            .ToArray();
    }

    private ZoneLook[][][] LookClosely(int[][] worth, CancellationToken cancellationToken) =>
        Look(worth, tried.Look, 0.5, 0.8, cancellationToken);

    /// <summary>
    /// What settings of every group add; null for what was not looked at. Stopped early, what was not looked at yet
    /// counts as natural.
    /// </summary>
    private ZoneLook[][][] Look(
        int[][] which,
        Func<Zone, Setting, ZoneLook> look,
        double from,
        double to,
        CancellationToken cancellationToken
    )
    {
        var table = tried.Groups.Select(g => new ZoneLook[g.Settings.Count][]).ToArray();
        var all = which.SelectMany((settings, i) => settings.Select(j => (i, j))).ToArray();
        var done = 0;
        Parallel.ForEach(
            all,
            at =>
            {
                var (zones, settings) = tried.Groups[at.i];
                if (at.j == 0 || !cancellationToken.IsCancellationRequested)
                {
                    table[at.i][at.j] = zones.Select(z => look(z, settings[at.j])).ToArray();
                }

                var now = Interlocked.Increment(ref done);
                if (now % 40 == 0)
                {
                    told?.Invoke(new Progress(from + (to - from) * now / all.Length, 0, null));
                }
            }
        );
        return table;
    }

    /// <summary>
    /// Which proposal is offered as what, now that each was judged in full: the nearest is the nearest found,
    /// whatever it was searched for; of the others the soonest by its score, unless it grows out slower by weeks: then
    /// it is called that.
    /// </summary>
    internal static Proposal[] Assigned(IReadOnlyList<Proposal> made, Goal goal)
    {
        var left = made.ToList();
        Proposal Take<T>(Strength strength, Func<Proposal, T> less)
        {
            var taken = left.MinBy(less)!;
            left.Remove(taken);
            return taken with { Strength = strength, Score = Aim.Score(taken.Outcome, goal, strength) };
        }

        Proposal[] assigned =
        [
            Take(Strength.Nearest, p => p.Distance),
            Take(Strength.Soonest, p => (GrowsOutSlower(p), Aim.Score(p.Outcome, goal, Strength.Soonest))),
            Take(Strength.SlowToGrowOut, p => -p.Outcome.RegrowthWeeks),
        ];
        return Words.Named(assigned);

        // What grows out slower than the other by weeks is called so, whatever else it is good at.
        bool GrowsOutSlower(Proposal of) =>
            left.Any(o => of.Outcome.RegrowthWeeks > o.Outcome.RegrowthWeeks + Words.WeeksThatCount);
    }

    private Proposal Make(int[] chosen, in Outcome lookedUp)
    {
        var settings = chosen
            .SelectMany((c, g) => tried.Groups[g].Zones.Select(z => (Zone: z, Setting: tried.Groups[g].Settings[c])))
            .ToArray();
        var used = settings
            .Where(s => s.Setting.Paint is not null)
            .SelectMany(s => s.Setting.Paint!.Coats())
            .Select(c => c.Formula)
            .Distinct()
            .Order()
            .ToArray();
        var edits = used.Select(id => (PlanEdit)new SetFormula(Settings.FormulaOf(id, plan, cutting.Hair)))
            .Concat(settings.Select(s => (PlanEdit)new ClearZone(s.Zone)))
            .Concat(settings.Select(s => (PlanEdit)CutZone.As(s.Zone, tried.SectionsOf(s.Zone, s.Setting))))
            .Concat(
                settings
                    .Where(s => s.Setting.Paint is not null)
                    .Select(s => (PlanEdit)new PaintZone(s.Zone, s.Setting.Paint!))
            )
            .ToArray();
        var edit = new Together(edits);
        var applied = plan.Apply(edit, cutting);
        var head = PlannedHead.Of(
            looks,
            cutting,
            applied.Succeeded ? applied.Plan : throw new InvalidOperationException(applied.Problems[0].Message)
        );
        var outcome = Proposal.OutcomeOf(head);
        return new Proposal(
            Strength.Nearest,
            string.Empty,
            edit,
            head,
            outcome,
            lookedUp,
            Aim.Distance(outcome, plan.Goal),
            0,
            [],
            []
        );
    }
}
