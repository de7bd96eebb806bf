namespace Wendro.Scheduling;

/// <summary>A problem as plain numbers, the way a search wants it. Groups are numbered as they are given.</summary>
internal sealed class ScheduleCase
{
    /// <summary>Two moments less than this apart are one, minutes.</summary>
    public const double Eps = 1e-9;

    private SubsetFeasibility? waits;

    public ScheduleCase(ScheduleProblem problem)
    {
        Problem = problem;
        Count = problem.Groups.Count;
        var numbers = problem.Groups.Select((g, i) => (g.Id, i)).ToDictionary(g => g.Id, g => g.i);
        var painted = problem.Groups.Select(g => Sums([.. g.Panels])).ToArray();
        Takes = painted.Select(a => a[^1]).ToArray();
        // A group is painted as a whole before a rinse: what is over first is rinsed first.
        Places = problem
            .Groups.Select(
                (g, n) =>
                    Enumerable
                        .Range(0, g.Panels.Count)
                        .OrderBy(i => painted[n][i] + g.Panels[i].To)
                        .ThenBy(i => painted[n][i] + g.Panels[i].From)
                        .ToArray()
            )
            .ToArray();
        Panels = Places.Select((order, n) => order.Select(i => problem.Groups[n].Panels[i]).ToArray()).ToArray();
        PaintedAfter = Places.Select((order, n) => order.Select(i => painted[n][i]).ToArray()).ToArray();
        After = problem
            .Groups.Select((g, i) => (g.After ?? []).Select(id => numbers[id]).Aggregate(0, (m, n) => m | (1 << n)))
            .ToArray();
        if (problem.InGivenOrder)
        {
            for (var i = 1; i < Count; i++)
            {
                After[i] |= 1 << (i - 1);
            }
        }

        IsEven = Panels.Select(p => p.All(q => q with { Minutes = 0 } == p[0] with { Minutes = 0 })).ToArray();
        Twin = Enumerable.Range(0, Count).Select(TwinOf).ToArray();
        // What a group asks for after it is painted: its last panel waits longest, or one before it that waits more.
        Tail = Panels.Select((p, g) => p.Select((q, i) => PaintedAfter[g][i] + q.From).Max() - Takes[g]).ToArray();
        ByTail = Enumerable.Range(0, Count).OrderByDescending(g => Tail[g]).ToArray();
        Total = Panels.Sum(p => p.Length);
        Frees = Panels.Sum(p => p.Sum(q => q.Frees));
    }

    /// <summary>What groups still to be painted ask of hands: looked at when it is first asked for.</summary>
    public SubsetFeasibility Waits => waits ??= new(this);

    public ScheduleProblem Problem { get; }

    /// <summary>How many groups.</summary>
    public int Count { get; }

    /// <summary>How many panels in all.</summary>
    public int Total { get; }

    /// <summary>Minutes that freeing takes in all, however rinses are filled.</summary>
    public double Frees { get; }

    /// <summary>Panels by group, those that are over first before the others: so they are rinsed.</summary>
    public ScheduledPanel[][] Panels { get; }

    /// <summary>Which panel of the problem each of them is.</summary>
    public int[][] Places { get; }

    /// <summary>When each panel is painted, minutes after its group is begun.</summary>
    public double[][] PaintedAfter { get; }

    /// <summary>Minutes a group takes.</summary>
    public double[] Takes { get; }

    /// <summary>Groups that come before each, as bits.</summary>
    public int[] After { get; }

    /// <summary>Whether all panels of a group have one window, and free hands alike.</summary>
    public bool[] IsEven { get; }

    /// <summary>
    /// Whether in every group what is over later may be rinsed no sooner either, and frees hands as soon: then nothing
    /// is lost by rinsing each group in the order its panels are over, which is how it is searched.
    /// </summary>
    public bool IsRinsedAsOver =>
        Enumerable
            .Range(0, Count)
            .All(g =>
                Enumerable
                    .Range(1, Panels[g].Length - 1)
                    .All(i =>
                        PaintedAfter[g][i] + Panels[g][i].From >= PaintedAfter[g][i - 1] + Panels[g][i - 1].From - Eps
                        && Math.Abs(Panels[g][i].Frees - Panels[g][i - 1].Frees) < Eps
                    )
            );

    /// <summary>
    /// The group before it that is just the same, so that which comes first does not matter; -1 for none.
    /// </summary>
    public int[] Twin { get; }

    /// <summary>Minutes after a group is painted until its last panel may be rinsed.</summary>
    public double[] Tail { get; }

    /// <summary>Groups, those that wait longest first.</summary>
    public int[] ByTail { get; }

    public double RinseStart => Problem.RinseStart;

    public double RinseEach => Problem.RinseEach;

    /// <summary>When a panel of a rinse is rinsed, minutes after the rinse starts.</summary>
    /// <param name="index">Which, from 0.</param>
    public double Slot(int index) => RinseStart + RinseEach * index;

    /// <summary>Least minutes hands need to rinse so many panels.</summary>
    /// <param name="panels">How many.</param>
    /// <param name="isOpen">Whether a rinse is under way already.</param>
    /// <param name="rinses">How many more rinses there are at least, where there are panels.</param>
    public double LeastRinsing(int panels, bool isOpen, int rinses = 1)
    {
        var each = Math.Min(RinseStart, RinseEach);
        var more = isOpen ? 0 : Math.Min(rinses, panels);
        return more * RinseStart + (panels - more) * each;
    }

    private static double[] Sums(ScheduledPanel[] panels)
    {
        var (sums, sum) = (new double[panels.Length], 0.0);
        for (var i = 0; i < panels.Length; i++)
        {
            sums[i] = sum += panels[i].Minutes;
        }

        return sums;
    }

    private int TwinOf(int g)
    {
        for (var h = g - 1; h >= 0; h--)
        {
            var asks = Enumerable
                .Range(0, Count)
                .All(o => o == g || o == h || ((After[o] >> g) & 1) == ((After[o] >> h) & 1));
            if (After[h] == After[g] && asks && Panels[h].SequenceEqual(Panels[g]))
            {
                return h;
            }
        }

        return -1;
    }
}
