using Wendro.Blend;
using Wendro.Head;
using Wendro.Paint;
using Wendro.Plans;
using Wendro.Units;

namespace Wendro.Placement;

/// <summary>
/// Whole heads put together from what settings of zones add: one is judged by adding a dozen small records, so that
/// one group of zones after another can be set to what is best with the others.
/// </summary>
/// <param name="plan">The plan with the goal; its seed seeds the beginnings.</param>
/// <param name="tried">Groups of zones and their settings.</param>
/// <param name="table">What each setting of each group adds, zone by zone; null for what was not looked at.</param>
internal sealed class ComposedHeads(Plan plan, ZoneEvaluations tried, ZoneLook[][][] table)
{
    private const int Sweeps = 8;

    /// <summary>What each group set as in another proposal weighs. Model assumption.</summary>
    private const double SameAsBefore = 0.03;

    /// <summary>Whole heads judged so far.</summary>
    public long Evaluations { get; private set; }

    /// <summary>Whether a setting of a group was looked at.</summary>
    public bool WasLookedAt(int group, int setting) => table[group][setting] is not null;

    /// <summary>A whole head with one setting chosen for each group.</summary>
    public Outcome Judge(int[] chosen)
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

        Evaluations++;
        return ZoneLook.Of(zones[..n]);
    }

    /// <summary>
    /// The objective, less is better: what the head is like, how unlike the others, and whether it can be.
    /// </summary>
    public double Score(int[] chosen, Strength strength, int[][] others)
    {
        // Two proposals that are the same are one; a crown higher than what it falls over is no proposal.
        var same = others.Sum(o => o.Where((c, g) => c == chosen[g]).Count());
        return Aim.Score(Judge(chosen), plan.Goal, strength) + SameAsBefore * same + 2 * CrownTooHigh(chosen);
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
    public int[] Climb(
        Strength strength,
        int beginnings,
        int[][] others,
        Action<double> share,
        CancellationToken cancellationToken
    )
    {
        int[]? best = null;
        var least = double.PositiveInfinity;
        for (var b = 0; b < beginnings && (best is null || !cancellationToken.IsCancellationRequested); b++)
        {
            var chosen = tried
                .Groups.Select(
                    (g, i) => Known(table[i], Hash.Unit(plan.Seed * 7919 + (int)strength * 131 + b, 900 + i))
                )
                .ToArray();
            var score = Descend(chosen, strength, others);
            if (score < least)
            {
                (best, least) = ((int[])chosen.Clone(), score);
            }

            share((b + 1.0) / beginnings);
        }

        return best!;
    }

    /// <summary>
    /// Sets one group at a time to what is best with the others until nothing gets better; the score then.
    /// </summary>
    private double Descend(int[] chosen, Strength strength, int[][] others)
    {
        var score = Score(chosen, strength, others);
        for (var sweep = 0; sweep < Sweeps; sweep++)
        {
            var was = score;
            for (var g = 0; g < chosen.Length; g++)
            {
                (chosen[g], score) = BestOf(g, chosen, score, strength, others);
            }

            if (score > was - 1e-9)
            {
                break;
            }
        }

        return score;
    }

    /// <summary>What one proposal found may be a better beginning for another than any of its own.</summary>
    public void Share(List<(Strength Strength, int[] Chosen)> found)
    {
        for (var s = 0; s < found.Count; s++)
        {
            var (strength, chosen) = found[s];
            var others = found.Where((_, i) => i != s).Select(f => f.Chosen).ToArray();
            var least = Score(chosen, strength, others);
            foreach (var other in others)
            {
                var from = (int[])other.Clone();
                var score = Descend(from, strength, others);
                if (score < least)
                {
                    (least, found[s]) = (score, (strength, from));
                }
            }
        }
    }

    /// <summary>One of the settings that were looked at.</summary>
    /// <param name="settings">Those of a group, null for what was not looked at.</param>
    /// <param name="share">Which, 0..1.</param>
    private static int Known(ZoneLook[][] settings, double share)
    {
        var known = Enumerable.Range(0, settings.Length).Where(j => settings[j] is not null).ToArray();
        return known[(int)(share * known.Length)];
    }

    private (int Setting, double Score) BestOf(int g, int[] chosen, double score, Strength strength, int[][] others)
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
            var next = Score(now, strength, others);
            if (next < least - 1e-12)
            {
                (best, least) = (j, next);
            }
        }

        return (best, least);
    }
}
