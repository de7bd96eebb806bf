namespace Wendro.Core.Apply.Chair;

/// <summary>What no schedule of a case can end before.</summary>
internal static class ChairBound
{
    /// <summary>Minute before which no schedule ends.</summary>
    public static double Of(ChairCase c)
    {
        if (c.Total == 0)
        {
            return 0;
        }

        var painting = c.Takes.Sum();
        // One pair of hands: all painting and all rinsing come one after another.
        var hands = painting + c.LeastRinsing(c.Total, false);
        // Every group is followed by its wait: with the longest first the waits overlap best.
        var (tails, at) = (0.0, 0.0);
        foreach (var g in c.ByTail)
        {
            at += c.Takes[g];
            tails = Math.Max(tails, at + Math.Max(c.Tail[g], c.WaveStart));
        }

        // What can't last until painting is done is rinsed before, and painting is done later by that much.
        var early = RinsedBeforeTheLastIsPainted(c);
        var last = Enumerable.Range(0, c.Count).Min(g => c.Tail[g]);
        var done = painting + c.LeastRinsing(early, false);
        return Math.Max(Math.Max(hands, tails), done + Math.Max(last, c.WaveStart));
    }

    /// <summary>
    /// Least panels that must be rinsed while others are still to be painted. A panel that lasts until after the end
    /// of painting is painted within its last minutes; how many can be is a question of most jobs in time, solved by
    /// leaving out the longest where time runs out (Moore and Hodgson).
    /// </summary>
    public static int RinsedBeforeTheLastIsPainted(ChairCase c)
    {
        var panels = c
            .Panels.SelectMany(p => p)
            .Select(p => (p.Minutes, Within: p.To - c.WaveStart + p.Minutes))
            .OrderBy(p => p.Within);
        var (kept, sum) = (new PriorityQueue<double, double>(), 0.0);
        foreach (var (minutes, within) in panels)
        {
            kept.Enqueue(minutes, -minutes);
            sum += minutes;
            if (sum > within + ChairCase.Eps)
            {
                sum -= kept.Dequeue();
            }
        }

        return c.Total - kept.Count;
    }
}
