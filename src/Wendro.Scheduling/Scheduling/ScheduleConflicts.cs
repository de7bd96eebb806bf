using Wendro.Units;

namespace Wendro.Scheduling;

/// <summary>
/// What stands against painting and rinsing all in time. One group can always be rinsed before the next is painted, so
/// nothing fits only where some group does not fit by itself.
/// </summary>
internal static class ScheduleConflicts
{
    private const double MostMinutes = 600;

    /// <summary>
    /// The groups that don't fit by themselves, each with what stands against it and what would help.
    /// </summary>
    public static IReadOnlyList<ScheduleConflict> Of(ScheduleProblem problem) =>
        problem
            .Groups.Where(g => !Fits(problem, g, 0))
            .Select(g => new ScheduleConflict([g.Id], Words(problem, g)))
            .ToArray();

    /// <summary>Whether every group fits by itself: then all can be rinsed one by one.</summary>
    public static bool FitsOneByOne(ScheduleProblem problem) => problem.Groups.All(g => Fits(problem, g, 0));

    /// <summary>
    /// Whether some group can't be rinsed in time whatever else is painted and rinsed: once it is painted its panels
    /// come one after another, none before it may, and some of them are over by then.
    /// </summary>
    public static bool NeverFits(ScheduleCase c) =>
        Enumerable
            .Range(0, c.Count)
            .Any(g =>
            {
                var (soonest, each) = (c.Takes[g] + c.RinseStart, Math.Min(c.RinseStart, c.RinseEach));
                for (var i = 0; i < c.Panels[g].Length; i++)
                {
                    // They are in the order they are over; where none may be rinsed before one that is over sooner,
                    // each waits for its own time, too.
                    var own = c.IsRinsedAsOver ? c.PaintedAfter[g][i] + c.Panels[g][i].From : 0;
                    soonest = Math.Max(soonest, own);
                    if (soonest > c.PaintedAfter[g][i] + c.Panels[g][i].To + ScheduleCase.Eps)
                    {
                        return true;
                    }

                    soonest += each;
                }

                return false;
            });

    private static bool Fits(ScheduleProblem problem, PanelGroup g, double longer)
    {
        var alone = problem with
        {
            Groups = [g with { After = null, Panels = g.Panels.Select(p => p with { To = p.To + longer }).ToArray() }],
        };
        return new GreedyScheduler(new ScheduleCase(alone)).OneByOne([0], out _) is not null;
    }

    private static Sentence Words(ScheduleProblem problem, PanelGroup g)
    {
        var (takes, first) = (g.Panels.Sum(p => p.Minutes), g.Panels[0]);
        var last = first.Minutes + first.To;
        return last < takes + problem.RinseStart
            ? (Sentence)(
                $"{g.Id} takes {takes:0.#} min to paint without a break. Its first panel must be rinsed by minute "
                + $"{last:0.#}, and no wave reaches it before minute {takes + problem.RinseStart:0.#}. "
                + $"{Help(problem, g)}"
            )
            : $"Waves can't follow one another as quickly as the windows of {g.Id} end. {Help(problem, g)}";
    }

    /// <summary>What would free it: longer windows, or fewer panels at a time.</summary>
    private static Sentence Help(ScheduleProblem problem, PanelGroup g)
    {
        var (low, high) = (0.0, MostMinutes);
        if (!Fits(problem, g, high))
        {
            return "Longer windows don't help.";
        }

        while (high - low > 0.01)
        {
            var middle = (low + high) / 2;
            (low, high) = Fits(problem, g, middle) ? (low, middle) : (middle, high);
        }

        var most = Enumerable
            .Range(1, g.Panels.Count - 1)
            .LastOrDefault(n => Fits(problem, g with { Panels = g.Panels.Take(n).ToArray() }, 0));
        return most > 0
            ? $"It fits where its panels may stay {high:0.#} min longer, or in groups of up to {most} panels."
            : $"It fits where its panels may stay {high:0.#} min longer.";
    }
}
