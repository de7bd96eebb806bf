namespace Wendro.Scheduling;

/// <summary>
/// Schedules made quickly for an order of groups: paints on as long as nothing would be over, and rinses a rinse where
/// something would; at the end as many rinses as let the last one end soonest. What it makes is a good schedule, not
/// the best there is.
/// </summary>
internal sealed class GreedyScheduler(ScheduleCase c)
{
    private readonly record struct PlacedGroup(int Group, double From, double To, double Order, double Frees);

    /// <summary>Steps of a schedule, group or rinse; null where it can't be made so.</summary>
    /// <param name="course">How it goes.</param>
    /// <param name="within">Given up where it is sure to end later than this minute.</param>
    /// <param name="endsAt">When its last rinse ends, minutes.</param>
    public List<(int Group, int[] Rinse)>? Of(GreedyRules course, double within, out double endsAt)
    {
        var steps = new List<(int Group, int[] Rinse)>();
        var open = new List<PlacedGroup>();
        var now = 0.0;
        var (painting, left) = (c.Takes.Sum(), c.Total);
        endsAt = double.PositiveInfinity;
        for (var place = 0; place < course.Order.Count; place++)
        {
            var g = course.Order[place];
            if (
                course.Eager[place] is > 0 and var share
                && (int)Math.Ceiling(share * Now(open, now)) is > 0 and var some
            )
            {
                now = Rinse(open, some, now, steps);
                left -= some;
            }

            while (open.Count > 0 && !LastsUntil(open, 0, g, now, course))
            {
                var size = Early(open, g, now, course);
                if (size == 0)
                {
                    return null;
                }

                now = Rinse(open, size, now, steps);
                left -= size;
            }

            if (now + painting + c.LeastRinsing(left, false) > within + ScheduleCase.Eps)
            {
                return null;
            }

            if (!LastsUntil(open, 0, g, now, course))
            {
                return null;
            }

            steps.Add((g, []));
            for (var i = 0; i < c.Panels[g].Length; i++)
            {
                var at = now + c.PaintedAfter[g][i];
                Insert(open, Of(g, i, at, course.First));
            }

            now += c.Takes[g];
            painting -= c.Takes[g];
        }

        return Last(open, now, MostLastRinses, steps, out endsAt) ? steps : null;
    }

    /// <summary>
    /// Every group rinsed before the next is painted, in as many rinses as it takes. Where a group fits by itself this
    /// fits, too: so that where nothing fits, some group does not fit by itself.
    /// </summary>
    public List<(int Group, int[] Rinse)>? OneByOne(IReadOnlyList<int> order, out double endsAt)
    {
        var steps = new List<(int Group, int[] Rinse)>();
        endsAt = 0;
        foreach (var g in order)
        {
            var open = new List<PlacedGroup>();
            var now = endsAt;
            steps.Add((g, []));
            for (var i = 0; i < c.Panels[g].Length; i++)
            {
                var at = now + c.PaintedAfter[g][i];
                open.Add(Of(g, i, at, RinsePriority.Painted));
            }

            if (!Last(open, now + c.Takes[g], open.Count, steps, out endsAt))
            {
                return null;
            }
        }

        return steps;
    }

    private PlacedGroup Of(int group, int panel, double paintedAt, RinsePriority first)
    {
        var (from, to) = (paintedAt + c.Panels[group][panel].From, paintedAt + c.Panels[group][panel].To);
        return new(
            group,
            from,
            to,
            first switch
            {
                RinsePriority.Over => to,
                RinsePriority.Ready => from,
                _ => paintedAt,
            },
            c.Panels[group][panel].Frees
        );
    }

    /// <summary>Panels in the order they are rinsed.</summary>
    private static void Insert(List<PlacedGroup> open, PlacedGroup panel)
    {
        var at = open.Count;
        while (at > 0 && open[at - 1].Order > panel.Order + ScheduleCase.Eps)
        {
            at--;
        }

        open.Insert(at, panel);
    }

    /// <summary>Whether all but the first few last until a group is painted and a rinse rinses them.</summary>
    private bool LastsUntil(List<PlacedGroup> open, int without, int group, double now, GreedyRules course)
    {
        var (free, slot) = (now + c.Takes[group], 0);
        var (i, j, own) = (without, 0, c.Panels[group]);
        while (i < open.Count || j < own.Length)
        {
            var painted = j < own.Length ? now + c.PaintedAfter[group][j] : double.PositiveInfinity;
            var mine = j < own.Length ? painted + own[j].To : double.PositiveInfinity;
            var isTheirs =
                i < open.Count && (j >= own.Length || open[i].Order <= Of(group, j, painted, course.First).Order);
            if ((isTheirs ? open[i].To : mine) < free + c.Slot(slot++) - ScheduleCase.Eps)
            {
                return false;
            }

            (i, j) = isTheirs ? (i + 1, j) : (i, j + 1);
        }

        return true;
    }

    /// <summary>How many may be rinsed in a rinse that starts now.</summary>
    private int Now(List<PlacedGroup> open, double now)
    {
        var (start, latest, most) = (now, double.PositiveInfinity, 0);
        for (var size = 1; size <= open.Count && start <= latest + ScheduleCase.Eps; size++)
        {
            Widen(open[size - 1], size - 1, ref start, ref latest);
            most = start <= latest + ScheduleCase.Eps && start <= now + ScheduleCase.Eps ? size : most;
        }

        return most;
    }

    private void Widen(PlacedGroup panel, int place, ref double start, ref double latest)
    {
        start = Math.Max(start, panel.From - c.Slot(place));
        latest = Math.Min(latest, panel.To - c.Slot(place));
    }

    private int Early(List<PlacedGroup> open, int group, double now, GreedyRules course)
    {
        var (start, latest) = (now, double.PositiveInfinity);
        var (least, most, whole, frees) = (0, 0, 0, 0.0);
        for (var size = 1; size <= open.Count; size++)
        {
            Widen(open[size - 1], size - 1, ref start, ref latest);
            frees += open[size - 1].Frees;
            if (start > latest + ScheduleCase.Eps || (least > 0 && course.Taking == RinseSize.Least))
            {
                break;
            }

            var free = start + c.Slot(size - 1) + frees;
            least = least == 0 && LastsUntil(open, size, group, free, course) ? size : least;
            most = start <= now + ScheduleCase.Eps ? size : most;
            whole = size;
        }

        // Where even all of them don't let painting go on, one rinse is rinsed and it is asked again.
        return course.Taking switch
        {
            RinseSize.Least => least > 0 ? least : most,
            RinseSize.Ready => Math.Max(least, most),
            RinseSize.Whole => whole,
            _ => (least + Math.Max(least, most) + 1) / 2,
        };
    }

    /// <summary>Rinses the first panels in a rinse; the minute hands are free.</summary>
    private double Rinse(List<PlacedGroup> open, int size, double now, List<(int Group, int[] Rinse)> steps)
    {
        var (start, latest) = (now, double.PositiveInfinity);
        for (var j = 0; j < size; j++)
        {
            Widen(open[j], j, ref start, ref latest);
        }

        var frees = open.Take(size).Sum(p => p.Frees);
        steps.Add((-1, open.Take(size).Select(p => p.Group).ToArray()));
        open.RemoveRange(0, size);
        return start + c.Slot(size - 1) + frees;
    }

    /// <summary>
    /// What is left when all is painted, cut into rinses: by how many are rinsed and in how many rinses, the soonest
    /// hands can be free.
    /// </summary>
    private bool Last(
        List<PlacedGroup> open,
        double now,
        int mostRinses,
        List<(int Group, int[] Rinse)> steps,
        out double endsAt
    )
    {
        var n = open.Count;
        var most = Math.Min(n, mostRinses);
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
        var soonest = now + c.LeastRinsing(n, false) + open.Sum(p => p.Frees);
        foreach (var panel in open)
        {
            soonest = Math.Max(soonest, panel.From + panel.Frees);
        }

        for (var w = 0; w < most && !(w > 0 && free[w, n] <= soonest + ScheduleCase.Eps); w++)
        {
            for (var k = w; k < n; k++)
            {
                var (start, latest, frees) = (free[w, k], double.PositiveInfinity, 0.0);
                for (var size = 1; k + size <= n && !double.IsPositiveInfinity(start); size++)
                {
                    Widen(open[k + size - 1], size - 1, ref start, ref latest);
                    if (start > latest + ScheduleCase.Eps)
                    {
                        break;
                    }

                    frees += open[k + size - 1].Frees;
                    var end = start + c.Slot(size - 1) + frees;
                    if (end < free[w + 1, k + size] - ScheduleCase.Eps)
                    {
                        (free[w + 1, k + size], from[w + 1, k + size]) = (end, k);
                    }
                }
            }
        }

        var best = 0;
        for (var w = 1; w <= most; w++)
        {
            best = best == 0 || free[w, n] < free[best, n] - ScheduleCase.Eps ? w : best;
        }

        endsAt = n == 0 ? now : free[best, n];
        if (double.IsPositiveInfinity(endsAt))
        {
            return false;
        }

        var rinses = new List<(int Group, int[] Rinse)>();
        for (var (w, k) = (best, n); w > 0; (w, k) = (w - 1, from[w, k]))
        {
            rinses.Insert(0, (-1, open[from[w, k]..k].Select(p => p.Group).ToArray()));
        }

        steps.AddRange(rinses);
        return true;
    }

    /// <summary>More rinses at the end than hands rinse in a row. Model assumption.</summary>
    private const int MostLastRinses = 8;
}
