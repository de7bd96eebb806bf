namespace Wendro.Scheduling;

/// <summary>What no schedule of a case can end before.</summary>
internal static class ScheduleLowerBound
{
    /// <summary>Minute before which no schedule ends, at a glance.</summary>
    public static double Of(ScheduleCase c) => Least(c, FewestRinses(c));

    /// <summary>The same, looked at closely: every set of groups, and the queue minute by minute.</summary>
    public static double Closer(ScheduleCase c) =>
        Math.Max(
            Math.Max(Least(c, Rinses(c)), c.Waits.Minutes((1 << c.Count) - 1)),
            c.Total == 0 ? 0 : Queue(c, c.Takes.Sum())
        );

    private static double Least(ScheduleCase c, int rinses)
    {
        if (c.Total == 0)
        {
            return 0;
        }

        var painting = c.Takes.Sum();
        // What can't last until painting is done is rinsed before, and painting is done later by that much.
        var early = RinsedBeforeTheLastIsPainted(c);
        // One pair of hands: all painting and all rinsing come one after another.
        var hands = painting + c.LeastRinsing(c.Total, false, rinses) + c.Frees;
        // Every group is followed by its wait: with the longest first the waits overlap best.
        var (tails, at) = (0.0, 0.0);
        foreach (var g in c.ByTail)
        {
            at += c.Takes[g];
            tails = Math.Max(tails, at + Math.Max(c.Tail[g], c.RinseStart));
        }

        var last = Enumerable.Range(0, c.Count).Min(g => c.Tail[g]);
        var done = painting + c.LeastRinsing(early, false, rinses - 1);
        return Math.Max(Math.Max(hands, tails), done + Math.Max(last, c.RinseStart));
    }

    /// <summary>No schedule has fewer rinses, at a glance.</summary>
    public static int FewestRinses(ScheduleCase c) => RinsedBeforeTheLastIsPainted(c) > 0 ? 2 : Math.Min(1, c.Total);

    /// <summary>The same, looked at closely.</summary>
    public static int Rinses(ScheduleCase c) => Math.Max(c.Waits.Rinses((1 << c.Count) - 1), FewestRinses(c));

    /// <summary>
    /// However panels are painted, only so many may be rinsed by some minute; the others come after it, one after
    /// another. Looked at minute by minute.
    /// </summary>
    private static double Queue(ScheduleCase c, double painting)
    {
        var each = Math.Min(c.RinseStart, c.RinseEach);
        var (first, last) = (c.Panels.Min(g => g.Min(p => p.From)), painting + c.Tail.Max());
        var least = 0.0;
        for (var i = 0; i < Looks; i++)
        {
            var at = first + (last - first) * i / Looks;
            var ready = MostInTime(c.Panels.SelectMany(g => g).Select(p => (p.Minutes, at - p.From)));
            if (ready < c.Total)
            {
                least = Math.Max(least, at + each * (c.Total - ready - 1));
            }
        }

        return least;
    }

    private const int Looks = 64;

    /// <summary>
    /// Least panels that must be rinsed while others are still to be painted. A panel that lasts until after the end
    /// of painting is painted within its last minutes; counted back from there, that is most jobs in time.
    /// </summary>
    public static int RinsedBeforeTheLastIsPainted(ScheduleCase c) =>
        c.Total - MostInTime(c.Panels.SelectMany(p => p).Select(p => (p.Minutes, p.To - c.RinseStart + p.Minutes)));

    /// <summary>
    /// Most jobs that are done in time, one after another: in the order they are due, leaving out the longest where
    /// time runs out (Moore and Hodgson).
    /// </summary>
    /// <param name="jobs">What each takes and when it is due, minutes.</param>
    private static int MostInTime(IEnumerable<(double Minutes, double Due)> jobs)
    {
        var (kept, sum) = (new PriorityQueue<double, double>(), 0.0);
        foreach (var (minutes, due) in jobs.OrderBy(j => j.Due))
        {
            kept.Enqueue(minutes, -minutes);
            sum += minutes;
            if (sum > due + ScheduleCase.Eps)
            {
                sum -= kept.Dequeue();
            }
        }

        return kept.Count;
    }
}
