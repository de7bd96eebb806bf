using Wendro.Units;

namespace Wendro.Scheduling;

/// <summary>
/// Orders of groups worth trying: plain rules first, then the best of them bettered by moving one group at a time.
/// </summary>
internal static class GroupOrderSearch
{
    private const int Seed = 5003;
    private const int MostMoves = 1200;

    /// <summary>
    /// A course is taken where it ends no later than the one so many moves ago: a little worse at times, so that the
    /// way does not end at the first that nothing near it betters.
    /// </summary>
    private const int Lately = 15;

    /// <summary>Offers a search what plain rules and moved groups give, until it can't be better.</summary>
    /// <param name="c">The case.</param>
    /// <param name="search">What is offered to.</param>
    /// <param name="bound">What no schedule ends before, minutes.</param>
    public static void Improve(ScheduleCase c, BranchAndBound search, double bound)
    {
        var dive = new GreedyScheduler(c);
        var (at, ends) = ((GreedyRules?)null, double.PositiveInfinity);
        var lately = new double[Lately];
        Array.Fill(lately, double.PositiveInfinity);
        var move = 0;
        bool Try(GreedyRules course)
        {
            var may = lately[move % Lately];
            var steps = dive.Of(course, Math.Max(may, ends), out var endsAt);
            if (
                steps is not null
                && (endsAt < ends || (course.First != RinsePriority.Painted && endsAt <= Math.Max(may, ends)))
            )
            {
                (at, ends) = (course, endsAt);
                if (endsAt < search.EndsAt - ScheduleCase.Eps)
                {
                    search.Offer(steps);
                }
            }

            lately[move++ % Lately] = ends;
            return search.EndsAt <= bound + ScheduleCase.Eps;
        }

        // What always fits where anything does.
        if (dive.OneByOne(Rules(c).First(), out _) is { } oneByOne)
        {
            search.Offer(oneByOne);
        }

        foreach (var rule in Rules(c))
        {
            foreach (var taking in Enum.GetValues<RinseSize>())
            {
                foreach (var first in Enum.GetValues<RinsePriority>())
                {
                    if (Try(new(rule, taking, first, new double[c.Count])))
                    {
                        return;
                    }
                }
            }
        }

        // Every group moved to every other place, from the best rule and from what that betters.
        for (var better = true; better && at is not null && move < MostMoves; )
        {
            better = false;
            for (var n = 0; n < c.Count * c.Count && !better; n++)
            {
                var was = ends;
                if (Put(c, at, n / c.Count, n % c.Count) is { } moved && Try(moved))
                {
                    return;
                }

                better = ends < was - ScheduleCase.Eps;
            }
        }

        move = 0;
        // The way begins more than once: at the best rule, and at others as if nothing better were known.
        foreach (var from in new[] { at ?? Plain(c, 0), Plain(c, 1), Plain(c, 2) })
        {
            (at, ends) = (from, double.PositiveInfinity);
            Array.Fill(lately, double.PositiveInfinity);
            for (var end = move + MostMoves / 3; move < end; )
            {
                if (Moved(c, at, move) is not { } moved)
                {
                    move++;
                }
                else if (Try(moved))
                {
                    return;
                }
            }
        }
    }

    private static GreedyRules? Put(ScheduleCase c, GreedyRules course, int from, int to)
    {
        var order = course.Order.ToList();
        var g = order[from];
        order.RemoveAt(from);
        order.Insert(to, g);
        return from != to && IsAllowed(c, order) ? course with { Order = [.. order] } : null;
    }

    private static GreedyRules Plain(ScheduleCase c, int rule) =>
        new(Rules(c).ElementAt(rule), RinseSize.Least, RinsePriority.Over, new double[c.Count]);

    /// <summary>
    /// One group, or two, moved elsewhere, or an early rinse put somewhere or taken away; the same each time.
    /// </summary>
    private static GreedyRules? Moved(ScheduleCase c, GreedyRules course, int move)
    {
        int Any(int what, int of) => (int)(Hash.Unit(move + Seed, what) * of);
        if (Any(1, 3) == 0)
        {
            var eager = course.Eager.ToArray();
            var at = Any(2, c.Count);
            eager[at] = eager[at] > 0 ? 0 : (1 + Any(3, 6)) / 6.0;
            return course with { Eager = eager };
        }

        if (Any(1, 12) == 1)
        {
            return course with { Taking = (RinseSize)Any(2, 3), First = (RinsePriority)Any(3, 2) };
        }

        var order = course.Order.ToList();
        if (Any(1, 4) == 2)
        {
            var (one, other) = (Any(2, c.Count), Any(3, c.Count));
            (order[one], order[other]) = (order[other], order[one]);
        }

        for (var n = 0; n < Any(4, 3); n++)
        {
            var g = order[Any(5 + n, c.Count)];
            order.Remove(g);
            order.Insert(Any(8 + n, c.Count), g);
        }

        return IsAllowed(c, order) ? course with { Order = [.. order] } : null;
    }

    /// <summary>The given order; longest wait first; what lasts longest first, and last; what is over first.</summary>
    private static IEnumerable<int[]> Rules(ScheduleCase c)
    {
        yield return Sorted(c, g => g);
        yield return Sorted(c, g => -c.Tail[g]);
        yield return Sorted(c, g => -c.Panels[g].Min(p => p.To));
        yield return Sorted(c, g => c.Panels[g].Min(p => p.To));
        yield return Sorted(c, g => c.Takes[g]);
        yield return Sorted(c, g => -c.Takes[g] - c.Tail[g]);
    }

    private static int[] Sorted(ScheduleCase c, Func<int, double> by)
    {
        var (order, painted) = (new List<int>(), 0);
        while (order.Count < c.Count)
        {
            var next = Enumerable
                .Range(0, c.Count)
                .Where(g => (painted >> g & 1) == 0 && (c.After[g] & ~painted) == 0)
                .MinBy(by);
            order.Add(next);
            painted |= 1 << next;
        }

        return [.. order];
    }

    private static bool IsAllowed(ScheduleCase c, List<int> order)
    {
        var painted = 0;
        foreach (var g in order)
        {
            if ((c.After[g] & ~painted) != 0)
            {
                return false;
            }

            painted |= 1 << g;
        }

        return true;
    }
}
