using Wendro.Scheduling;

namespace Wendro.Apply;

/// <summary>All rinsed in one rinse: when it starts.</summary>
internal static class SingleRinse
{
    /// <summary>How long it is put off at most, minutes, and in which steps. Model assumption.</summary>
    private const double PutOff = 60,
        PutOffBy = 0.5;

    /// <summary>Where fewest panels are outside their windows, and then soonest.</summary>
    /// <param name="windows">The panels' windows, minutes, in the order they are rinsed.</param>
    /// <param name="soonest">When it can start, minutes.</param>
    public static (double Start, int Outside) Of(IReadOnlyList<(double From, double To)> windows, double soonest)
    {
        var best = (Start: soonest, Outside: int.MaxValue);
        for (var later = 0.0; later <= PutOff && best.Outside > 0; later += PutOffBy)
        {
            var outside = 0;
            for (var j = 0; j < windows.Count && outside < best.Outside; j++)
            {
                var rinsed = soonest + later + ScheduleProblem.UsualSlot(j);
                outside += rinsed < windows[j].From || rinsed > windows[j].To ? 1 : 0;
            }

            best = outside < best.Outside ? (soonest + later, outside) : best;
        }

        return best;
    }
}
