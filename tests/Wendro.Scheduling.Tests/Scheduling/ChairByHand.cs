using Wendro.Scheduling;

namespace Wendro.Tests.Scheduling;

/// <summary>
/// An independent way to the same answers: every sequence there is, panels in any order, each sequence's times found by
/// going round its inequalities until nothing moves. Slow, and shares nothing with the search.
/// </summary>
internal sealed class ChairByHand
{
    private const double Eps = 1e-7;
    private readonly ScheduleProblem problem;
    private readonly List<(int Group, List<(int Group, int Index)> Rinse)> steps = [];
    private (double End, int Rinses, string Order)? best;

    private ChairByHand(ScheduleProblem problem) => this.problem = problem;

    /// <summary>End, waves and order of the best schedule; null where there is none.</summary>
    public static (double End, int Rinses, string Order)? Best(ScheduleProblem problem)
    {
        var all = new ChairByHand(problem);
        all.Go();
        return all.best;
    }

    private void Go()
    {
        if (Times() is not { } times)
        {
            return;
        }

        var end = steps.Count == 0 ? 0 : times[^1] + Takes(steps[^1]);
        if (best is { } b && end > b.End + Eps)
        {
            return;
        }

        var rinsed = steps.SelectMany(s => s.Rinse).ToHashSet();
        var painted = steps.Where(s => s.Group >= 0).Select(s => s.Group).ToList();
        if (rinsed.Count == problem.Groups.Sum(g => g.Panels.Count))
        {
            var found = (end, steps.Count(s => s.Group < 0), string.Concat(painted.Select(g => (char)('a' + g))));
            if (best is not { } was || IsBetter(found, was))
            {
                best = found;
            }

            return;
        }

        for (var g = 0; g < problem.Groups.Count; g++)
        {
            var after = (problem.Groups[g].After ?? []).Select(id =>
                problem.Groups.ToList().FindIndex(o => o.Id == id)
            );
            if (painted.Contains(g) || !after.All(painted.Contains) || (problem.InGivenOrder && g != painted.Count))
            {
                continue;
            }

            steps.Add((g, []));
            Go();
            steps.RemoveAt(steps.Count - 1);
        }

        foreach (var g in painted)
        {
            for (var i = 0; i < problem.Groups[g].Panels.Count; i++)
            {
                if (rinsed.Contains((g, i)))
                {
                    continue;
                }

                if (steps[^1].Group < 0)
                {
                    steps[^1].Rinse.Add((g, i));
                    Go();
                    steps[^1].Rinse.RemoveAt(steps[^1].Rinse.Count - 1);
                }

                steps.Add((-1, [(g, i)]));
                Go();
                steps.RemoveAt(steps.Count - 1);
            }
        }
    }

    private static bool IsBetter((double End, int Rinses, string Order) a, (double End, int Rinses, string Order) b) =>
        Math.Abs(a.End - b.End) > Eps ? a.End < b.End
        : a.Rinses != b.Rinses ? a.Rinses < b.Rinses
        : string.CompareOrdinal(a.Order, b.Order) < 0;

    private double Takes((int Group, List<(int Group, int Index)> Rinse) step) =>
        step.Group >= 0
            ? problem.Groups[step.Group].Panels.Sum(p => p.Minutes)
            : problem.RinseStart
                + problem.RinseEach * (step.Rinse.Count - 1)
                + step.Rinse.Sum(p => problem.Groups[p.Group].Panels[p.Index].Frees);

    private double[]? Times()
    {
        var at = new double[steps.Count];
        for (var round = 0; round <= 2 * steps.Count + 2; round++)
        {
            var moved = false;
            void Least(int k, double minute)
            {
                if (at[k] < minute - Eps / 100)
                {
                    (at[k], moved) = (minute, true);
                }
            }

            for (var k = 0; k < steps.Count; k++)
            {
                if (k > 0)
                {
                    Least(k, at[k - 1] + Takes(steps[k - 1]));
                }

                for (var j = 0; j < steps[k].Rinse.Count; j++)
                {
                    var (g, i) = steps[k].Rinse[j];
                    var from = steps.FindIndex(s => s.Group == g);
                    var painted = problem.Groups[g].Panels.Take(i + 1).Sum(p => p.Minutes);
                    var slot = problem.RinseStart + problem.RinseEach * j;
                    Least(k, at[from] + painted + problem.Groups[g].Panels[i].From - slot);
                    Least(from, at[k] + slot - painted - problem.Groups[g].Panels[i].To);
                }
            }

            if (!moved)
            {
                return at;
            }
        }

        return null;
    }
}
