namespace Wendro.Core.Apply.Chair;

/// <summary>
/// Schedules made quickly for an order of groups: paints on as long as nothing would be over, and rinses a wave where
/// something would; at the end as many waves as let the last one end soonest. What it makes is a good schedule, not
/// the best there is.
/// </summary>
internal sealed class ChairDive(ChairCase c)
{
    /// <summary>How large a wave is that has to be before painting goes on.</summary>
    public enum Taking
    {
        /// <summary>No more than what lets painting go on.</summary>
        Least,

        /// <summary>All that may be rinsed by then.</summary>
        All,

        /// <summary>Half between.</summary>
        Half,
    }

    private readonly record struct Laid(int Group, double From, double To);

    private readonly record struct Wave(double StartsAt, double EndsAt);

    /// <summary>Steps of a schedule, group or wave; null where it can't be made so.</summary>
    /// <param name="order">Groups in the order they are painted.</param>
    /// <param name="taking">How large early waves are.</param>
    /// <param name="endsAt">When its last wave ends, minutes.</param>
    public List<(int Group, int[] Wave)>? Of(IReadOnlyList<int> order, Taking taking, out double endsAt)
    {
        var steps = new List<(int Group, int[] Wave)>();
        var open = new List<Laid>();
        var now = 0.0;
        endsAt = double.PositiveInfinity;
        foreach (var g in order)
        {
            while (open.Count > 0 && !LastsUntil(open, 0, g, now))
            {
                var size = Early(open, g, now, taking);
                if (size == 0)
                {
                    return null;
                }

                now = Rinse(open, size, now, steps).EndsAt;
            }

            if (!LastsUntil(open, 0, g, now))
            {
                return null;
            }

            steps.Add((g, []));
            for (var i = 0; i < c.Panels[g].Length; i++)
            {
                var at = now + c.PaintedAfter[g][i];
                Insert(open, new(g, at + c.Panels[g][i].From, at + c.Panels[g][i].To));
            }

            now += c.Takes[g];
        }

        return Last(open, now, steps, out endsAt) ? steps : null;
    }

    /// <summary>Panels in the order they are over.</summary>
    private static void Insert(List<Laid> open, Laid panel)
    {
        var at = open.Count;
        while (at > 0 && open[at - 1].To > panel.To + ChairCase.Eps)
        {
            at--;
        }

        open.Insert(at, panel);
    }

    /// <summary>Whether all but the first few last until a group is painted and a wave rinses them.</summary>
    private bool LastsUntil(List<Laid> open, int without, int group, double now)
    {
        var (free, slot) = (now + c.Takes[group], 0);
        var (i, j, own) = (without, 0, c.Panels[group]);
        while (i < open.Count || j < own.Length)
        {
            var mine = j < own.Length ? now + c.PaintedAfter[group][j] + own[j].To : double.PositiveInfinity;
            var theirs = i < open.Count ? open[i].To : double.PositiveInfinity;
            if (Math.Min(mine, theirs) < free + c.Slot(slot++) - ChairCase.Eps)
            {
                return false;
            }

            (i, j) = theirs <= mine ? (i + 1, j) : (i, j + 1);
        }

        return true;
    }

    private int Early(List<Laid> open, int group, double now, Taking taking)
    {
        var least = 0;
        var most = 0;
        for (var size = 1; size <= open.Count; size++)
        {
            if (Planned(open, 0, size, now) is not { } wave)
            {
                break;
            }

            least = least == 0 && LastsUntil(open, size, group, wave.EndsAt) ? size : least;
            most = wave.StartsAt <= now + ChairCase.Eps ? size : most;
        }

        // Where even all of them don't let painting go on, one wave is rinsed and it is asked again.
        return taking switch
        {
            Taking.Least => least > 0 ? least : most,
            Taking.All => Math.Max(least, most),
            _ => (least + Math.Max(least, most) + 1) / 2,
        };
    }

    /// <summary>A wave of panels in the order they are over; null where one of them would be.</summary>
    private Wave? Planned(List<Laid> open, int first, int size, double now)
    {
        var (start, latest) = (now, double.PositiveInfinity);
        for (var j = 0; j < size; j++)
        {
            start = Math.Max(start, open[first + j].From - c.Slot(j));
            latest = Math.Min(latest, open[first + j].To - c.Slot(j));
        }

        return start <= latest + ChairCase.Eps ? new(start, start + c.Slot(size - 1)) : null;
    }

    private Wave Rinse(List<Laid> open, int size, double now, List<(int Group, int[] Wave)> steps)
    {
        var wave = Planned(open, 0, size, now)!.Value;
        steps.Add((-1, open.Take(size).Select(p => p.Group).ToArray()));
        open.RemoveRange(0, size);
        return wave;
    }

    /// <summary>
    /// What is left when all is painted, cut into waves: by how many are rinsed and in how many waves, the soonest
    /// hands can be free.
    /// </summary>
    private bool Last(List<Laid> open, double now, List<(int Group, int[] Wave)> steps, out double endsAt)
    {
        var n = open.Count;
        var most = Math.Min(n, MostLastWaves);
        var free = new double[most + 1, n + 1];
        var from = new int[most + 1, n + 1];
        for (var w = 0; w <= most; w++)
        {
            for (var k = 0; k <= n; k++)
            {
                free[w, k] = double.PositiveInfinity;
            }
        }

        free[0, 0] = now;
        for (var w = 0; w < most; w++)
        {
            for (var k = w; k < n; k++)
            {
                var (start, latest) = (free[w, k], double.PositiveInfinity);
                for (var size = 1; k + size <= n && !double.IsPositiveInfinity(start); size++)
                {
                    var panel = open[k + size - 1];
                    start = Math.Max(start, panel.From - c.Slot(size - 1));
                    latest = Math.Min(latest, panel.To - c.Slot(size - 1));
                    if (start > latest + ChairCase.Eps)
                    {
                        break;
                    }

                    if (start + c.Slot(size - 1) < free[w + 1, k + size] - ChairCase.Eps)
                    {
                        (free[w + 1, k + size], from[w + 1, k + size]) = (start + c.Slot(size - 1), k);
                    }
                }
            }
        }

        var best = 0;
        for (var w = 1; w <= most; w++)
        {
            best = best == 0 || free[w, n] < free[best, n] - ChairCase.Eps ? w : best;
        }

        endsAt = n == 0 ? now : free[best, n];
        if (double.IsPositiveInfinity(endsAt))
        {
            return false;
        }

        var waves = new List<(int Group, int[] Wave)>();
        for (var (w, k) = (best, n); w > 0; (w, k) = (w - 1, from[w, k]))
        {
            waves.Insert(0, (-1, open[from[w, k]..k].Select(p => p.Group).ToArray()));
        }

        steps.AddRange(waves);
        return true;
    }

    /// <summary>More waves at the end than hands rinse in a row. Model assumption.</summary>
    private const int MostLastWaves = 16;
}
