namespace Wendro.Core.Apply.Chair;

/// <summary>
/// Orders of groups worth trying: plain rules first, then the best of them bettered by moving one group at a time.
/// </summary>
internal static class ChairOrders
{
    private const int MostMoves = 600;

    /// <summary>Offers a search what plain rules and moved groups give, until it can't be better.</summary>
    /// <param name="c">The case.</param>
    /// <param name="search">What is offered to.</param>
    /// <param name="bound">What no schedule ends before, minutes.</param>
    public static void Improve(ChairCase c, ChairSearch search, double bound)
    {
        var dive = new ChairDive(c);
        var (best, least) = ((int[]?)null, double.PositiveInfinity);
        bool Try(int[] order)
        {
            var better = false;
            foreach (var taking in Enum.GetValues<ChairDive.Taking>())
            {
                if (dive.Of(order, taking, out var endsAt) is { } steps && endsAt < least - ChairCase.Eps)
                {
                    (best, least, better) = (order, endsAt, true);
                    search.Offer(steps);
                }
            }

            return better;
        }

        foreach (var rule in Rules(c))
        {
            Try(rule);
            if (search.EndsAt <= bound + ChairCase.Eps)
            {
                return;
            }
        }

        var moves = 0;
        for (var better = true; better && best is not null; )
        {
            better = false;
            for (var from = 0; from < c.Count && !better; from++)
            {
                for (var to = 0; to < c.Count && !better; to++)
                {
                    if (from == to || ++moves > MostMoves || search.EndsAt <= bound + ChairCase.Eps)
                    {
                        continue;
                    }

                    var moved = best.ToList();
                    var g = moved[from];
                    moved.RemoveAt(from);
                    moved.Insert(to, g);
                    better = IsAllowed(c, moved) && Try([.. moved]);
                }
            }
        }
    }

    /// <summary>The given order; longest wait first; what lasts longest first, and last; what is over first.</summary>
    private static IEnumerable<int[]> Rules(ChairCase c)
    {
        yield return Sorted(c, g => g);
        yield return Sorted(c, g => -c.Tail[g]);
        yield return Sorted(c, g => -c.Panels[g].Min(p => p.To));
        yield return Sorted(c, g => c.Panels[g].Min(p => p.To));
        yield return Sorted(c, g => c.Takes[g]);
        yield return Sorted(c, g => -c.Takes[g] - c.Tail[g]);
    }

    private static int[] Sorted(ChairCase c, Func<int, double> by)
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

    private static bool IsAllowed(ChairCase c, List<int> order)
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
