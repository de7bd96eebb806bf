namespace Wendro.Scheduling;

/// <summary>
/// The exact search: every order of groups and rinses, every way to fill a rinse, cut off where nothing better than the
/// best found can come of it. Stopped after so many tries, the best found stands.
/// </summary>
internal sealed class BranchAndBound
{
    private readonly ScheduleCase c;
    private readonly ScheduleState state;
    private readonly int mostTries;
    private int tries;
    private bool triesEveryFilling;
    private readonly double[] ready;
    private int[] bestOrder = [];

    /// <param name="c">The case.</param>
    /// <param name="mostTries">After so many tries it stops.</param>
    public BranchAndBound(ScheduleCase c, int mostTries)
    {
        (this.c, this.mostTries) = (c, mostTries);
        state = new(c);
        ready = new double[c.Total];
    }

    /// <summary>When the best schedule paints each group, and its rinses; null where none was found.</summary>
    public (IReadOnlyList<GroupTurn> Turns, IReadOnlyList<RinseRound> Rinses)? Best { get; private set; }

    /// <summary>When it ends, minutes.</summary>
    public double EndsAt { get; private set; } = double.PositiveInfinity;

    /// <summary>How many rinses it has.</summary>
    public int Rinses { get; private set; } = int.MaxValue;

    /// <summary>Whether nothing was left untried that could be better.</summary>
    public bool IsWhole { get; private set; }

    /// <summary>A try that moves what was before costs more: so many looks at groups and rinses are one more.</summary>
    private const int LooksATry = 16;

    private bool IsSpent => tries + state.Looks / LooksATry >= mostTries;

    /// <summary>
    /// Up to so many panels every way to fill a rinse is tried at once. With more, what may be rinsed by then and is
    /// over first goes first: no other way is better as long as no group has to be begun later for it, and freeing
    /// takes nothing. Where that was so, every way is tried after it.
    /// </summary>
    public const int SmallPanels = 14;

    /// <summary>Takes a schedule made otherwise, where it can be and is better.</summary>
    public void Offer(IEnumerable<(int Group, int[] Rinse)> steps)
    {
        var replayed = new ScheduleState(c);
        foreach (var (group, rinse) in steps)
        {
            if (group >= 0 && !replayed.Paint(group))
            {
                return;
            }

            for (var j = 0; j < rinse.Length; j++)
            {
                if (!replayed.Rinse(rinse[j], j == 0))
                {
                    return;
                }
            }
        }

        Keep(replayed);
    }

    /// <summary>Searches all of it, as long as there are tries.</summary>
    public void Go()
    {
        triesEveryFilling = c.Total <= SmallPanels;
        Next();
        IsWhole = !IsSpent && (triesEveryFilling || (!state.HasPutOff && c.Frees <= 0));
        if (!IsWhole && !IsSpent)
        {
            triesEveryFilling = true;
            Next();
            IsWhole = !IsSpent;
        }
    }

    private void Next()
    {
        tries++;
        if (IsSpent || !state.CanStillBe() || !CanBeBetter())
        {
            return;
        }

        if (state.Rinsed == c.Total)
        {
            Keep(state);
            return;
        }

        if (state.IsInRinse)
        {
            RinseOn(inNewRinse: false);
        }

        for (var g = 0; g < c.Count && !IsSpent; g++)
        {
            if (MayPaint(g) && state.Paint(g))
            {
                Next();
                state.Undo();
            }
        }

        RinseOn(inNewRinse: true);
    }

    private void RinseOn(bool inNewRinse)
    {
        Span<(double Over, int Group)> all = stackalloc (double, int)[c.Count];
        var open = 0;
        foreach (var g in state.Order)
        {
            if (state.RinsedOf(g) is var at && at < c.Panels[g].Length && !IsAfterItsLike(g))
            {
                all[open++] = (state.BegunAt(g) + c.PaintedAfter[g][at] + c.Panels[g][at].To, g);
            }
        }

        // What is over first goes first.
        var tried = all[..open];
        tried.Sort();
        var (slot, on) = (state.NextSlot(inNewRinse), state.IsInRinse ? state.NextSlot(inNewRinse: false) : 0);
        foreach (var (_, g) in tried)
        {
            if (IsSpent)
            {
                return;
            }

            var ready = ReadyAt(g, state.RinsedOf(g));
            // What may be rinsed in the rinse under way begins no rinse right after it, where that takes no less.
            if (inNewRinse && !triesEveryFilling && c.RinseEach <= c.RinseStart && ready <= on)
            {
                continue;
            }

            var isReady = ready <= slot;
            if (state.Rinse(g, inNewRinse))
            {
                Next();
                state.Undo();
            }

            if (isReady && !triesEveryFilling)
            {
                return;
            }
        }
    }

    private double ReadyAt(int group, int panel) =>
        state.BegunAt(group) + c.PaintedAfter[group][panel] + c.Panels[group][panel].From;

    /// <summary>Of two groups with the same window, panels of the one painted first are rinsed first.</summary>
    private bool IsAfterItsLike(int group)
    {
        foreach (var other in state.Order)
        {
            if (other == group)
            {
                return false;
            }

            if (
                c.IsEven[group]
                && c.IsEven[other]
                && state.RinsedOf(other) < c.Panels[other].Length
                && c.Panels[group][0].From == c.Panels[other][0].From
                && c.Panels[group][0].To == c.Panels[other][0].To
                && c.Panels[group][0].Frees == c.Panels[other][0].Frees
            )
            {
                return true;
            }
        }

        return false;
    }

    private bool MayPaint(int group) =>
        !state.Has(group) && (c.After[group] & ~state.Painted) == 0 && (c.Twin[group] < 0 || state.Has(c.Twin[group]));

    private bool CanBeBetter()
    {
        var free = state.FreeAt;
        var (painting, at, least, takes) = (0.0, free, free, double.PositiveInfinity);
        foreach (var g in c.ByTail)
        {
            if (!state.Has(g))
            {
                painting += c.Takes[g];
                takes = Math.Min(takes, c.Takes[g]);
                at += c.Takes[g];
                least = Math.Max(least, at + Math.Max(c.Tail[g], c.RinseStart));
            }
            else if (state.RinsedOf(g) is var next && next < c.Panels[g].Length)
            {
                least = Math.Max(least, state.BegunAt(g) + c.Takes[g] + c.Tail[g]);
            }
        }

        var left = c.Total - state.Rinsed;
        var unpainted = ((1 << c.Count) - 1) & ~state.Painted;
        var (begin, before) = (free, 0);
        if (painting > 0)
        {
            begin = state.MayPaintFrom(takes, out before);
        }

        var more = painting > 0 ? c.Waits.Rinses(unpainted) + (before > 0 && !state.IsInRinse ? 1 : 0) : 1;
        var rinsing = c.LeastRinsing(left, state.IsInRinse && painting == 0, more);
        least = Math.Max(least, free + painting + rinsing + state.FreesLeft);
        least = Math.Max(least, begin + c.Waits.Minutes(unpainted));
        // One more in a rinse changes little of the queue, and it takes longest to look at.
        if (least > EndsAt + ScheduleCase.Eps || (!state.IsWellInRinse && Queued(free) > EndsAt + ScheduleCase.Eps))
        {
            return false;
        }

        if (least < EndsAt - ScheduleCase.Eps)
        {
            return true;
        }

        var rinses = state.Rinses + (left > 0 && (painting > 0 || !state.IsInRinse) ? more : 0);
        return rinses < Rinses || (rinses == Rinses && IsNearerToTheGiven(state.Order, painting > 0));
    }

    /// <summary>
    /// The minute before which what is left can't be rinsed: one after another, none before it may be, and what is not
    /// painted yet as if it were painted next.
    /// </summary>
    private double Queued(double free)
    {
        var n = 0;
        for (var g = 0; g < c.Count; g++)
        {
            var begun = state.Has(g) ? state.BegunAt(g) : free;
            for (var i = state.RinsedOf(g); i < c.Panels[g].Length; i++)
            {
                ready[n++] = begun + c.PaintedAfter[g][i] + c.Panels[g][i].From;
            }
        }

        Array.Sort(ready, 0, n);
        var (least, each) = (0.0, Math.Min(c.RinseStart, c.RinseEach));
        for (var j = 0; j < n; j++)
        {
            least = Math.Max(least, ready[j] + each * (n - 1 - j));
        }

        return least;
    }

    /// <summary>Whether an order begun is, or may become, nearer to the given one than the best found.</summary>
    private bool IsNearerToTheGiven(List<int> order, bool isOpen)
    {
        for (var i = 0; i < order.Count && i < bestOrder.Length; i++)
        {
            if (order[i] != bestOrder[i])
            {
                return order[i] < bestOrder[i];
            }
        }

        return isOpen;
    }

    private void Keep(ScheduleState found)
    {
        var end = found.FreeAt;
        if (
            end < EndsAt - ScheduleCase.Eps
            || (
                end < EndsAt + ScheduleCase.Eps
                && (found.Rinses < Rinses || (found.Rinses == Rinses && IsNearerToTheGiven(found.Order, isOpen: false)))
            )
        )
        {
            (EndsAt, Rinses, bestOrder, Best) = (
                end,
                found.Rinses,
                [.. found.Order],
                (found.Turns(), found.RinsesRinsed())
            );
        }
    }
}
