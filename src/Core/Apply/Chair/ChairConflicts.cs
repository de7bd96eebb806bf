using Wendro.Core.Units;

namespace Wendro.Core.Apply.Chair;

/// <summary>What stands against painting and rinsing all in time.</summary>
internal static class ChairConflicts
{
    private const double MostMinutes = 240;

    /// <summary>Groups of which none can be spared: without any one of them the others fit.</summary>
    /// <param name="problem">The problem nothing fits.</param>
    /// <param name="proven">Whether that is certain.</param>
    public static IReadOnlyList<ChairConflict> Of(ChairProblem problem, bool proven)
    {
        if (!proven)
        {
            return
            [
                new(
                    problem.Groups.Select(g => g.Id).ToArray(),
                    "No order was found that keeps every window. That there is none is not proven."
                ),
            ];
        }

        var alone = problem
            .Groups.Where(g => ChairPlanner.CanBe(Only(problem, [g])) == false)
            .Select(g => new ChairConflict([g.Id], Alone(problem, g)))
            .ToArray();
        if (alone.Length > 0)
        {
            return alone;
        }

        var left = problem.Groups.ToList();
        foreach (var g in problem.Groups)
        {
            var without = left.Where(o => o != g).ToArray();
            if (ChairPlanner.CanBe(Only(problem, without)) == false)
            {
                left.Remove(g);
            }
        }

        return
        [
            new(
                left.Select(g => g.Id).ToArray(),
                $"With one pair of hands {string.Join(", ", left.Select(g => g.Id))} can't all be rinsed within "
                    + $"their windows, in whatever order. {Longer(Only(problem, left))}"
            ),
        ];
    }

    private static Sentence Alone(ChairProblem problem, ChairGroup g)
    {
        var (takes, first) = (g.Panels.Sum(p => p.Minutes), g.Panels[0]);
        return first.Minutes + first.To < takes + problem.WaveStart
            ? (Sentence)(
                $"{g.Id} takes {takes:0.#} min to paint without a break. Its first panel must be rinsed by minute "
                + $"{first.Minutes + first.To:0.#}, and no wave reaches it before minute "
                + $"{takes + problem.WaveStart:0.#}. {Longer(Only(problem, [g]))}"
            )
            : $"The panels of {g.Id} can't be rinsed as quickly as their windows end. {Longer(Only(problem, [g]))}";
    }

    /// <summary>By how much all windows would have to end later.</summary>
    private static Sentence Longer(ChairProblem problem)
    {
        if (ChairPlanner.CanBe(Later(problem, MostMinutes)) != true)
        {
            return "Longer windows don't help.";
        }

        var (low, high) = (0.0, MostMinutes);
        while (high - low > 0.05)
        {
            var middle = (low + high) / 2;
            (low, high) = ChairPlanner.CanBe(Later(problem, middle), 4_000) == true ? (low, middle) : (middle, high);
        }

        return $"They fit where each may stay {high:0.#} min longer.";
    }

    private static ChairProblem Later(ChairProblem problem, double minutes) =>
        problem with
        {
            Groups = problem
                .Groups.Select(g => g with { Panels = g.Panels.Select(p => p with { To = p.To + minutes }).ToArray() })
                .ToArray(),
        };

    private static ChairProblem Only(ChairProblem problem, IReadOnlyList<ChairGroup> groups)
    {
        var ids = groups.Select(g => g.Id).ToHashSet();
        return problem with
        {
            Groups = groups.Select(g => g with { After = (g.After ?? []).Where(ids.Contains).ToArray() }).ToArray(),
        };
    }
}
