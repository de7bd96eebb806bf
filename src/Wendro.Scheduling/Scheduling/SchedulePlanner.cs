using Wendro.Units;

namespace Wendro.Scheduling;

/// <summary>
/// Finds the schedule of a chair: least end of the last rinse, then fewest rinses, then the given order.
/// </summary>
public static class SchedulePlanner
{
    /// <summary>Most groups and panels there can be.</summary>
    public const int MostGroups = 12,
        MostPanels = 200;

    /// <summary>
    /// Tries where there are few panels, where there are many, and where there are many of which it can't be proven.
    /// </summary>
    private const int MostTries = 400_000,
        MostTriesOfMany = 30_000,
        MostTriesUnproven = 8_000;

    /// <summary>
    /// The best schedule; where it is not proven, the best found, with what none can end before. Deterministic.
    /// </summary>
    /// <param name="problem">The problem, checked before (<see cref="ScheduleChecks"/>).</param>
    public static Schedule Of(ScheduleProblem problem)
    {
        ArgumentNullException.ThrowIfNull(problem);
        if (problem.Groups.Count == 0)
        {
            return new(true, true, 0, 0, [], [], [], []);
        }

        var c = new ScheduleCase(problem);
        var glance = ScheduleLowerBound.Of(c);
        if (ScheduleConflicts.NeverFits(c))
        {
            return new(false, true, glance, null, [], [], [], ScheduleConflicts.Of(problem));
        }

        var tries =
            c.Total <= BranchAndBound.SmallPanels ? MostTries
            : c.IsRinsedAsOver ? MostTriesOfMany
            : MostTriesUnproven;
        var (search, bound) = Searched(c, glance, tries);
        // Each group was searched as its panels are over: where another order might do better, all was not tried.
        var whole = search.IsWhole && c.IsRinsedAsOver;
        var proven = whole || search.EndsAt <= bound + ScheduleCase.Eps;
        if (search.Best is not { } best)
        {
            // Where not all was tried, one that fits may have been missed: it is said, not claimed.
            return new(false, whole, bound, null, [], [], [], ScheduleConflicts.Of(problem));
        }

        return new(
            true,
            proven,
            proven ? search.EndsAt : bound,
            search.EndsAt,
            best.Turns.Select(t => t.Id).ToArray(),
            best.Turns,
            best.Rinses,
            []
        );
    }

    /// <summary>
    /// Whether groups rinsed one by one keep every window: told at once, without looking for the best. Where they
    /// don't there may still be a schedule that does.
    /// </summary>
    /// <param name="problem">The problem, checked before.</param>
    public static bool FitsOneByOne(ScheduleProblem problem)
    {
        ArgumentNullException.ThrowIfNull(problem);
        return ScheduleConflicts.FitsOneByOne(problem);
    }

    private static (BranchAndBound Search, double Bound) Searched(ScheduleCase c, double glance, int tries)
    {
        var search = new BranchAndBound(c, tries);
        GroupOrderSearch.Improve(c, search, glance);
        // One that ends as soon as any is still not the best, where fewer rinses might do.
        bool MayBeBetter(double bound, int rinses) =>
            c.Total <= BranchAndBound.SmallPanels || search.EndsAt > bound + ScheduleCase.Eps || search.Rinses > rinses;
        if (!MayBeBetter(glance, ScheduleLowerBound.FewestRinses(c)))
        {
            return (search, glance);
        }

        var bound = Math.Max(glance, ScheduleLowerBound.Closer(c));
        if (MayBeBetter(bound, ScheduleLowerBound.Rinses(c)))
        {
            search.Go();
        }

        return (search, bound);
    }
}
