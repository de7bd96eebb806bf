using Wendro.Core.Blend;
using Wendro.Core.Hair;
using Wendro.Core.Head;
using Wendro.Core.Paint;
using Wendro.Core.Plans;
using Wendro.Core.Units;

namespace Wendro.Core.Placement;

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
    private const int Sweeps = 8;
    private const double SameAsBefore = 0.03;
    private readonly Plan plan;
    private readonly HairLooks looks;
    private readonly Cutting cutting;
    private readonly Action<Progress>? told;
    private readonly Tried tried;
    private long evaluations;

    private Search(Plan plan, HairLooks looks, Cutting cutting, HouseRules house, Action<Progress>? told)
    {
        (this.plan, this.looks, this.cutting, this.told) = (plan, looks, cutting, told);
        tried = new Tried(plan, looks, cutting, house);
    }

    /// <summary>
    /// Three plans for a plan's wish, each good at something else. Stopped early, the best so far of each are kept.
    /// </summary>
    /// <param name="plan">The plan with the wish; zones left out stay out, its seed seeds the search.</param>
    /// <param name="looks">The hair with the plan's part.</param>
    /// <param name="cutting">Cuts zones into panels.</param>
    /// <param name="house">What can be set, and how it is cut.</param>
    /// <param name="told">Told how far it is.</param>
    /// <param name="stop">Ends it early.</param>
    public static IReadOnlyList<Proposal> Of(
        Plan plan,
        HairLooks looks,
        Cutting cutting,
        HouseRules house,
        Action<Progress>? told = null,
        CancellationToken stop = default
    )
    {
        ArgumentNullException.ThrowIfNull(plan);
        ArgumentNullException.ThrowIfNull(looks);
        ArgumentNullException.ThrowIfNull(cutting);
        ArgumentNullException.ThrowIfNull(house);
        return new Search(plan, looks, cutting, house, told).Run(stop);
    }

    private Proposal[] Run(CancellationToken stop)
    {
        var table = LookAll(stop);
        var strengths = Enum.GetValues<Strength>();
        var found = new List<(Strength Strength, int[] Chosen)>();
        double? best = null;
        for (var s = 0; s < strengths.Length; s++)
        {
            var (chosen, _) = Climb(
                table,
                strengths[s],
                found.Select(f => f.Chosen).ToArray(),
                share => told?.Invoke(new Progress(0.6 + 0.35 * (s + share) / strengths.Length, evaluations, best)),
                stop
            );
            found.Add((strengths[s], chosen));
            var distance = Aim.Distance(Judge(table, chosen), plan.Wish);
            best = best is { } b ? Math.Min(b, distance) : distance;
        }

        Share(table, found);
        var bare = Judge(table, new int[tried.Groups.Count]);
        var made = Assigned(found.Select(f => Make(f.Chosen, Judge(table, f.Chosen))).ToArray(), plan.Wish)
            .Select(p => p with { Unmet = Words.Unmet(p.Head, p.Strength, p.Outcome, bare) })
            .ToArray();
        told?.Invoke(new Progress(1, evaluations, made.Min(p => p.Distance)));
        return made.Select((p, i) => p with { GivesUp = Words.GivesUp(p, made.Where((_, j) => j != i).ToArray()) })
            .ToArray();
    }

    /// <summary>
    /// What every setting of every group adds. Stopped early, what was not looked at yet counts as natural.
    /// </summary>
    private ZoneLook[][][] LookAll(CancellationToken stop)
    {
        var table = tried.Groups.Select(g => new ZoneLook[g.Settings.Count][]).ToArray();
        var all = tried.Groups.SelectMany((g, i) => g.Settings.Select((_, j) => (i, j))).ToArray();
        var done = 0;
        Parallel.ForEach(
            all,
            at =>
            {
                var (zones, settings) = tried.Groups[at.i];
                if (at.j == 0 || !stop.IsCancellationRequested)
                {
                    table[at.i][at.j] = zones.Select(z => tried.Look(z, settings[at.j])).ToArray();
                }

                var now = Interlocked.Increment(ref done);
                if (now % 40 == 0)
                {
                    told?.Invoke(new Progress(0.6 * now / all.Length, 0, null));
                }
            }
        );
        return table;
    }

    private Outcome Judge(ZoneLook[][][] table, int[] chosen)
    {
        Span<ZoneLook> zones = new ZoneLook[ZoneFacts.All.Count];
        var n = 0;
        foreach (var look in tried.Untouched)
        {
            zones[n++] = look;
        }

        for (var g = 0; g < chosen.Length; g++)
        {
            foreach (var look in table[g][chosen[g]])
            {
                zones[n++] = look;
            }
        }

        evaluations++;
        return ZoneLook.Of(zones[..n]);
    }

    private double Score(ZoneLook[][][] table, int[] chosen, Strength strength, int[][] others)
    {
        // Two proposals that are the same are one; a crown higher than what it falls over is no proposal.
        var same = others.Sum(o => o.Where((c, g) => c == chosen[g]).Count());
        return Aim.Score(Judge(table, chosen), plan.Wish, strength) + SameAsBefore * same + 2 * CrownTooHigh(chosen);
    }

    private double CrownTooHigh(int[] chosen)
    {
        double? crown = null,
            beneath = null;
        for (var g = 0; g < chosen.Length; g++)
        {
            // A deposit that comes first is no light that peeks through.
            if (tried.Groups[g].Settings[chosen[g]].Paint?.Coats()[^1] is { Shape: not Shape.Reverse } paint)
            {
                switch (tried.Groups[g].Zones[0])
                {
                    case Zone.Crown:
                        crown = paint.StartCm;
                        break;
                    case Zone.UpperBack or Zone.SideLeft or Zone.SideRight:
                        beneath = Math.Max(beneath ?? 0, paint.StartCm);
                        break;
                }
            }
        }

        return crown is { } c && beneath is { } b ? Math.Max(0, b - c) : 0;
    }

    /// <summary>The best found from many beginnings.</summary>
    private (int[] Chosen, double Score) Climb(
        ZoneLook[][][] table,
        Strength strength,
        int[][] others,
        Action<double> share,
        CancellationToken stop
    )
    {
        int[]? best = null;
        var least = double.PositiveInfinity;
        for (var b = 0; b < Beginnings && (best is null || !stop.IsCancellationRequested); b++)
        {
            var chosen = tried
                .Groups.Select(
                    (g, i) =>
                        Known(
                            table[i],
                            (int)(Hash.Unit(plan.Seed * 7919 + (int)strength * 131 + b, 900 + i) * g.Settings.Count)
                        )
                )
                .ToArray();
            var score = Descend(table, chosen, strength, others);
            if (score < least)
            {
                (best, least) = ((int[])chosen.Clone(), score);
            }

            share((b + 1.0) / Beginnings);
        }

        return (best!, least);
    }

    /// <summary>
    /// Sets one group at a time to what is best with the others until nothing gets better; the score then.
    /// </summary>
    private double Descend(ZoneLook[][][] table, int[] chosen, Strength strength, int[][] others)
    {
        var score = Score(table, chosen, strength, others);
        for (var sweep = 0; sweep < Sweeps; sweep++)
        {
            var was = score;
            for (var g = 0; g < chosen.Length; g++)
            {
                (chosen[g], score) = BestOf(g, table, chosen, score, strength, others);
            }

            if (score > was - 1e-9)
            {
                break;
            }
        }

        return score;
    }

    /// <summary>What one proposal found may be a better beginning for another than any of its own.</summary>
    private void Share(ZoneLook[][][] table, List<(Strength Strength, int[] Chosen)> found)
    {
        for (var s = 0; s < found.Count; s++)
        {
            var (strength, chosen) = found[s];
            var others = found.Where((_, i) => i != s).Select(f => f.Chosen).ToArray();
            var least = Score(table, chosen, strength, others);
            foreach (var other in others)
            {
                var from = (int[])other.Clone();
                var score = Descend(table, from, strength, others);
                if (score < least)
                {
                    (least, found[s]) = (score, (strength, from));
                }
            }
        }
    }

    /// <summary>A setting that was looked at: itself, or natural where the search was stopped before.</summary>
    private static int Known(ZoneLook[][] settings, int at) => settings[at] is null ? 0 : at;

    private (int Setting, double Score) BestOf(
        int g,
        ZoneLook[][][] table,
        int[] chosen,
        double score,
        Strength strength,
        int[][] others
    )
    {
        var (best, least) = (chosen[g], score);
        var now = (int[])chosen.Clone();
        for (var j = 0; j < table[g].Length; j++)
        {
            if (table[g][j] is null || j == chosen[g])
            {
                continue;
            }

            now[g] = j;
            var next = Score(table, now, strength, others);
            if (next < least - 1e-12)
            {
                (best, least) = (j, next);
            }
        }

        return (best, least);
    }

    /// <summary>
    /// Which proposal is offered as what, now that each was judged in full: the nearest is the nearest found,
    /// whatever it was searched for;
    /// of the others the one that is soonest by its score, and the last grows out slowest.
    /// </summary>
    internal static IReadOnlyList<Proposal> Assigned(IReadOnlyList<Proposal> made, Wish wish)
    {
        var left = made.ToList();
        Proposal Take(Strength strength, Func<Proposal, double> less)
        {
            var taken = left.MinBy(less)!;
            left.Remove(taken);
            return taken with
            {
                Strength = strength,
                Name = Words.Of(strength),
                Score = Aim.Score(taken.Outcome, wish, strength),
            };
        }

        return
        [
            Take(Strength.Nearest, p => p.Distance),
            Take(Strength.Soonest, p => Aim.Score(p.Outcome, wish, Strength.Soonest)),
            Take(Strength.SlowToGrowOut, p => Aim.Score(p.Outcome, wish, Strength.SlowToGrowOut)),
        ];
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
            Aim.Distance(outcome, plan.Wish),
            0,
            [],
            []
        );
    }
}
