using System.Numerics;

namespace Wendro.Scheduling;

/// <summary>
/// What groups still to be painted ask of hands at the least, in whatever order: of two painted one after the other the
/// first may not last until the second is painted, and is rinsed between them.
/// </summary>
internal sealed class SubsetFeasibility
{
    private readonly ScheduleCase c;
    private readonly bool isKnown;
    private readonly double[] minutes;
    private readonly int[] rinses;

    /// <summary>Looks at every set of groups once; where there are too many for that, nothing is known.</summary>
    public SubsetFeasibility(ScheduleCase c)
    {
        this.c = c;
        isKnown = c.Count <= SchedulePlanner.MostGroups;
        (minutes, rinses) = isKnown ? (new double[1 << c.Count], new int[1 << c.Count]) : ([], []);
        if (!isKnown)
        {
            return;
        }

        // By which groups are left and which of them is painted first.
        var (until, more) = (new double[minutes.Length * c.Count], new int[minutes.Length * c.Count]);
        var between = Between();
        for (var left = 1; left < minutes.Length; left++)
        {
            (minutes[left], rinses[left]) = (double.PositiveInfinity, int.MaxValue);
            for (var rest = left; rest != 0; rest &= rest - 1)
            {
                var first = BitOperations.TrailingZeroCount(rest);
                var at = left * c.Count + first;
                (until[at], more[at]) = (c.After[first] & left) != 0 ? Never : Least(left, first);
                minutes[left] = Math.Min(minutes[left], until[at]);
                rinses[left] = Math.Min(rinses[left], more[at]);
            }

            rinses[left] = Math.Max(rinses[left], ByHowLongTheyLast(left));
        }

        (double, int) Least(int left, int first)
        {
            var others = left & ~(1 << first);
            if (others == 0)
            {
                return (c.Takes[first] + Rinsing(first, double.PositiveInfinity), 1);
            }

            var (least, fewest) = Never;
            for (var rest = others; rest != 0; rest &= rest - 1)
            {
                var next = BitOperations.TrailingZeroCount(rest);
                var (wait, at) = (between[first * c.Count + next], others * c.Count + next);
                least = Math.Min(least, c.Takes[first] + wait + until[at]);
                fewest = Math.Min(fewest, more[at] == int.MaxValue ? int.MaxValue : more[at] + (wait > 0 ? 1 : 0));
            }

            return (Math.Max(least, c.Takes[first] + Math.Max(c.Tail[first], c.RinseStart)), fewest);
        }
    }

    private static (double, int) Never => (double.PositiveInfinity, int.MaxValue);

    /// <summary>Least minutes from the first of them being begun until the last rinse ends; 0 for none.</summary>
    /// <param name="unpainted">Groups still to be painted, as bits.</param>
    public double Minutes(int unpainted) => isKnown ? minutes[unpainted] : 0;

    /// <summary>Fewest rinses after the first of them is begun; 0 for none.</summary>
    /// <param name="unpainted">Groups still to be painted, as bits.</param>
    public int Rinses(int unpainted) =>
        isKnown ? rinses[unpainted]
        : unpainted == 0 ? 0
        : 1;

    /// <summary>Minutes from the end of one group until another can be begun, by both.</summary>
    private double[] Between()
    {
        var between = new double[c.Count * c.Count];
        for (var g = 0; g < c.Count; g++)
        {
            for (var h = 0; h < c.Count; h++)
            {
                between[g * c.Count + h] = Rinsing(g, c.Takes[h] + c.RinseStart);
            }
        }

        return between;
    }

    /// <summary>
    /// Minutes from the end of a group until all of its panels that don't last so long are rinsed; 0 where all last.
    /// </summary>
    private double Rinsing(int group, double lasts)
    {
        var end = c.Takes[group];
        var soonest = c.Panels[group]
            .Select(
                (p, i) => (From: c.PaintedAfter[group][i] + p.From - end, To: c.PaintedAfter[group][i] + p.To - end)
            )
            .Where(p => p.To < lasts - ScheduleCase.Eps)
            .Select(p => p.From)
            .Order()
            .ToArray();
        var (least, each) = (c.LeastRinsing(soonest.Length, false), Math.Min(c.RinseStart, c.RinseEach));
        for (var j = 0; j < soonest.Length; j++)
        {
            least = Math.Max(least, soonest[j] + each * (soonest.Length - 1 - j));
        }

        return least;
    }

    /// <summary>
    /// No more is painted from one rinse to the next than what lasts longest of it lasts, and the panel it began with.
    /// </summary>
    private int ByHowLongTheyLast(int left)
    {
        var (painting, longest, panel) = (0.0, 0.0, 0.0);
        for (var rest = left; rest != 0; rest &= rest - 1)
        {
            var g = BitOperations.TrailingZeroCount(rest);
            painting += c.Takes[g];
            foreach (var p in c.Panels[g])
            {
                (longest, panel) = (Math.Max(longest, p.To - c.RinseStart), Math.Max(panel, p.Minutes));
            }
        }

        return (int)Math.Ceiling((painting - ScheduleCase.Eps) / (longest + panel));
    }
}
