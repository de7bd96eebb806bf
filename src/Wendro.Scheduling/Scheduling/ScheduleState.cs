namespace Wendro.Scheduling;

/// <summary>
/// Groups painted and rinses rinsed in some order, each as soon as can be: hands do one thing after another, no
/// panel is
/// rinsed before its window, and a group is begun later where one of its panels would be over else. What is added can
/// be taken back.
/// </summary>
internal sealed class ScheduleState
{
    private readonly ScheduleCase c;
    private readonly List<ScheduleTask> ops = [];
    private readonly List<(
        ScheduleTask Op,
        bool IsNew,
        int Group,
        double Least,
        double Most,
        double Frees,
        double At,
        double[]? Before
    )> done = [];
    private readonly int[] rinsed;
    private readonly int[] opOf;
    private double freed;

    public ScheduleState(ScheduleCase c)
    {
        this.c = c;
        rinsed = new int[c.Count];
        opOf = Enumerable.Repeat(-1, c.Count).ToArray();
    }

    /// <summary>Groups painted, as bits.</summary>
    public int Painted { get; private set; }

    /// <summary>Groups in the order they were painted.</summary>
    public List<int> Order { get; } = [];

    /// <summary>How many rinses.</summary>
    public int Rinses { get; private set; }

    /// <summary>How many panels were rinsed.</summary>
    public int Rinsed { get; private set; }

    /// <summary>Minutes that freeing what is not rinsed yet takes.</summary>
    public double FreesLeft => Math.Max(0, c.Frees - freed);

    /// <summary>Whether a group was ever begun later than could be, lest one of its panels be over.</summary>
    public bool HasPutOff { get; private set; }

    /// <summary>How often a group or a rinse was looked at: what all of it cost.</summary>
    public int Looks { get; private set; }

    /// <summary>When the next panel would be rinsed at the soonest, minutes.</summary>
    /// <param name="inNewRinse">In a new rinse, or in the one under way.</param>
    public double NextSlot(bool inNewRinse) =>
        inNewRinse ? FreeAt + c.Slot(0) : ops[^1].At + c.Slot(ops[^1].Panels.Count);

    /// <summary>Whether a panel of the rinse under way was rinsed last, and not its first.</summary>
    public bool IsWellInRinse => IsInRinse && ops[^1].Panels.Count > 1;

    /// <summary>Whether a rinse is under way.</summary>
    public bool IsInRinse => ops.Count > 0 && ops[^1].Group == ScheduleTask.Rinse;

    /// <summary>When hands are free, minutes.</summary>
    public double FreeAt => ops.Count == 0 ? 0 : ops[^1].DoneAt;

    /// <summary>Panels of a group that were rinsed: they are in the order they were painted.</summary>
    public int RinsedOf(int group) => rinsed[group];

    /// <summary>Whether a group was painted.</summary>
    public bool Has(int group) => opOf[group] >= 0;

    /// <summary>When a group was begun, minutes.</summary>
    public double BegunAt(int group) => ops[opOf[group]].At;

    /// <summary>Paints a group; false, and nothing changed, where that can't be.</summary>
    public bool Paint(int group)
    {
        var op = new ScheduleTask(group, c.Count) { Takes = c.Takes[group] };
        done.Add((op, true, group, 0, 0, 0, 0, null));
        opOf[group] = ops.Count;
        ops.Add(op);
        Painted |= 1 << group;
        Order.Add(group);
        return Settled();
    }

    /// <summary>
    /// Rinses the next panel of a group, in the rinse under way or a new one; false, and nothing changed, where that
    /// can't be.
    /// </summary>
    public bool Rinse(int group, bool inNewRinse)
    {
        if (inNewRinse)
        {
            ops.Add(new ScheduleTask(ScheduleTask.Rinse, c.Count));
            Rinses++;
        }

        var op = ops[^1];
        done.Add((op, inNewRinse, group, op.Least[group], op.Most[group], op.Frees, op.At, null));
        var (at, slot) = (rinsed[group]++, c.Slot(op.Panels.Count));
        var painted = c.PaintedAfter[group][at];
        op.Least[group] = Math.Max(op.Least[group], painted + c.Panels[group][at].From - slot);
        op.Most[group] = Math.Min(op.Most[group], painted + c.Panels[group][at].To - slot);
        op.Panels.Add((group, at));
        op.Takes = slot;
        op.Frees += c.Panels[group][at].Frees;
        freed += c.Panels[group][at].Frees;
        Rinsed++;
        return Settled();
    }

    /// <summary>Takes back what was added last.</summary>
    public void Undo()
    {
        var (op, isNew, group, least, most, frees, at, before) = done[^1];
        done.RemoveAt(done.Count - 1);
        if (op.Group != ScheduleTask.Rinse)
        {
            ops.RemoveAt(ops.Count - 1);
            opOf[group] = -1;
            Painted &= ~(1 << group);
            Order.RemoveAt(Order.Count - 1);
        }
        else
        {
            rinsed[group]--;
            freed -= c.Panels[group][rinsed[group]].Frees;
            Rinsed--;
            op.Panels.RemoveAt(op.Panels.Count - 1);
            if (isNew)
            {
                ops.RemoveAt(ops.Count - 1);
                Rinses--;
            }
            else
            {
                (op.Least[group], op.Most[group]) = (least, most);
                op.Takes = c.Slot(op.Panels.Count - 1);
                op.Frees = frees;
            }
        }

        op.At = at;
        for (var k = 0; before is not null && k < ops.Count; k++)
        {
            ops[k].At = before[k];
        }
    }

    /// <summary>
    /// Whether what is painted can still be rinsed in time whatever hands waited for: from the start of each group its
    /// next and its last panel, with nothing but work between.
    /// </summary>
    public bool CanStillBe()
    {
        var (since, last) = (0.0, ops.Count - 1);
        // The next panel comes next in the rinse under way or, where that is sooner, first in a new one.
        var next = IsInRinse ? c.Slot(ops[last].Panels.Count - 1) + Math.Min(c.RinseEach, c.RinseStart) : c.Slot(0);
        for (var k = last; k >= 0; k--)
        {
            var group = ops[k].Group;
            if (k < last || !IsInRinse)
            {
                since += ops[k].Takes + ops[k].Frees;
            }

            if (group == ScheduleTask.Rinse || rinsed[group] == c.Panels[group].Length)
            {
                continue;
            }

            var (panel, end) = (rinsed[group], c.Panels[group].Length - 1);
            var until = next + (end - panel) * Math.Min(c.RinseEach, c.RinseStart);
            if (IsOver(group, panel, since + next) || IsOver(group, end, since + until))
            {
                return false;
            }
        }

        return true;
    }

    /// <summary>
    /// The minute before which no group can be begun: what would not last until it is painted is rinsed before,
    /// whatever hands waited for.
    /// </summary>
    /// <param name="takes">Minutes that painting the group takes.</param>
    /// <param name="panels">How many panels are rinsed before.</param>
    public double MayPaintFrom(double takes, out int panels)
    {
        var (since, ready) = (0.0, 0.0);
        panels = 0;
        for (var k = ops.Count - 1; k >= 0; k--)
        {
            var group = ops[k].Group;
            since += ops[k].Takes + ops[k].Frees;
            for (
                var i = group == ScheduleTask.Rinse ? 0 : rinsed[group];
                group != ScheduleTask.Rinse && i < c.Panels[group].Length;
                i++
            )
            {
                if (IsOver(group, i, since + takes + c.Slot(0)))
                {
                    ready = Math.Max(ready, ops[k].At + c.PaintedAfter[group][i] + c.Panels[group][i].From);
                    panels++;
                }
            }
        }

        return Math.Max(ready, FreeAt + c.LeastRinsing(panels, IsInRinse));
    }

    /// <summary>The groups' turns in the order they are painted.</summary>
    public IReadOnlyList<GroupTurn> Turns() =>
        ops.Where(o => o.Group != ScheduleTask.Rinse)
            .Select(o => new GroupTurn(c.Problem.Groups[o.Group].Id, o.At, o.At + o.Takes))
            .ToArray();

    /// <summary>The rinses in order.</summary>
    public IReadOnlyList<RinseRound> RinsesRinsed() =>
        ops.Where(o => o.Group == ScheduleTask.Rinse)
            .Select(o => new RinseRound(
                o.At,
                o.At + o.Takes,
                o.Panels.Select(
                        (p, j) =>
                            new PanelRinsed(c.Problem.Groups[p.Group].Id, c.Places[p.Group][p.Index], o.At + c.Slot(j))
                    )
                    .ToArray(),
                o.DoneAt
            ))
            .ToArray();

    private bool IsOver(int group, int panel, double rinsedAfter) =>
        rinsedAfter > c.PaintedAfter[group][panel] + c.Panels[group][panel].To + ScheduleCase.Eps;

    private double[] Times()
    {
        var times = new double[ops.Count];
        for (var k = 0; k < times.Length; k++)
        {
            times[k] = ops[k].At;
        }

        return times;
    }

    /// <summary>Moves everything as late as it must be and no later; undone where that has no end.</summary>
    private bool Settled()
    {
        var last = ops[^1];
        Begin(ops.Count - 1);
        if (last.Group != ScheduleTask.Rinse || Keeps(last))
        {
            // Nothing before it has to move.
            return true;
        }

        var before = Times();
        before[^1] = done[^1].At;
        done[^1] = done[^1] with { Before = before };
        for (var pass = 0; pass <= ops.Count + 1; pass++)
        {
            var moved = false;
            for (var k = 0; k < ops.Count; k++)
            {
                Begin(k);
            }

            foreach (var op in ops)
            {
                moved |= op.Group == ScheduleTask.Rinse && PutsOff(op);
            }

            if (!moved)
            {
                return true;
            }
        }

        Undo();
        return false;
    }

    /// <summary>Moves one as late as what is before it asks.</summary>
    private void Begin(int k)
    {
        Looks++;
        var op = ops[k];
        var at = k == 0 ? op.At : Math.Max(op.At, ops[k - 1].DoneAt);
        if (op.Group == ScheduleTask.Rinse)
        {
            foreach (var g in Order)
            {
                if (op.Least[g] > double.NegativeInfinity)
                {
                    at = Math.Max(at, ops[opOf[g]].At + op.Least[g]);
                }
            }
        }

        op.At = at;
    }

    /// <summary>Whether none of its panels is over in a rinse.</summary>
    private bool Keeps(ScheduleTask rinse)
    {
        foreach (var g in Order)
        {
            if (rinse.At - rinse.Most[g] > ops[opOf[g]].At + ScheduleCase.Eps)
            {
                return false;
            }
        }

        return true;
    }

    /// <summary>Moves groups as late as a rinse asks, lest their panels be over in it; whether any had to be.</summary>
    private bool PutsOff(ScheduleTask rinse)
    {
        var moved = false;
        foreach (var g in Order)
        {
            var latest = rinse.At - rinse.Most[g];
            var painted = ops[opOf[g]];
            if (latest > painted.At + ScheduleCase.Eps)
            {
                HasPutOff = moved = true;
                painted.At = latest;
            }
        }

        return moved;
    }
}
