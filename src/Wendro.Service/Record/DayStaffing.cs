using Wendro.Apply;
using Wendro.Plans;

namespace Wendro.Record;

/// <summary>A visit of a day by the hands it needs.</summary>
/// <param name="Visit">Which.</param>
/// <param name="StartsAt">When it starts.</param>
/// <param name="Hands">When hands are needed, minutes after that.</param>
public sealed record StaffedVisit(Guid Visit, DateTimeOffset StartsAt, IReadOnlyList<HandSpan> Hands);

/// <summary>What there is too little of.</summary>
public enum StaffingShortage
{
    /// <summary>Pairs of hands.</summary>
    Hands,

    /// <summary>Basins, where hands would reach.</summary>
    Basins,
}

/// <summary>A stretch in which more visits need hands, or a basin, at once than there are.</summary>
/// <param name="From">Since when.</param>
/// <param name="To">Till when.</param>
/// <param name="Minutes">How long of that somebody waits.</param>
/// <param name="Visits">Which visits, in the order they start.</param>
/// <param name="Lacks">What there is too little of.</param>
public sealed record StaffingConflict(
    DateTimeOffset From,
    DateTimeOffset To,
    double Minutes,
    IReadOnlyList<Guid> Visits,
    StaffingShortage Lacks = StaffingShortage.Hands
);

/// <summary>A visit that would leave hands and a basin for all before it if it started later.</summary>
/// <param name="Visit">Which.</param>
/// <param name="Minutes">By how much later, minutes; null where no start within three hours is free.</param>
public sealed record LaterStart(Guid Visit, double? Minutes);

/// <summary>A day with so many pairs of hands and basins: where they don't reach, and what would help.</summary>
/// <param name="Clashes">Where more visits need them at once than there are, in time order.</param>
/// <param name="Later">For each visit that finds too few beside those before it, how much later it would have to
/// start.</param>
public sealed record DayStaffing(IReadOnlyList<StaffingConflict> Clashes, IReadOnlyList<LaterStart> Later)
{
    /// <summary>A wait so short that nobody minds, minutes. Model assumption.</summary>
    public const double Minded = 1;

    /// <summary>Waits no further apart than this are told as one, minutes. Model assumption.</summary>
    private const double Apart = 10;

    private const double StepMinutes = 5,
        MostLaterMinutes = 180;

    /// <summary>Of a day's visits.</summary>
    /// <param name="visits">Them.</param>
    /// <param name="floor">How many can be seen to at once; null as usual.</param>
    public static DayStaffing Of(IEnumerable<StaffedVisit> visits, SalonCapacity? floor = null)
    {
        ArgumentNullException.ThrowIfNull(visits);
        floor ??= SalonCapacity.Usual;
        ArgumentOutOfRangeException.ThrowIfLessThan(floor.Pairs, 1);
        ArgumentOutOfRangeException.ThrowIfLessThan(floor.Basins, 1);
        var day = visits.OrderBy(v => v.StartsAt).ToArray();
        var later = new List<LaterStart>();
        for (var n = 1; n < day.Length; n++)
        {
            if (Lacks(day[..(n + 1)], floor).Any(c => c.Visits.Contains(day[n].Visit)))
            {
                later.Add(new(day[n].Visit, LaterBy(day[..n], day[n], floor)));
            }
        }

        return new(Lacks(day, floor), later);
    }

    private static double? LaterBy(StaffedVisit[] before, StaffedVisit visit, SalonCapacity floor)
    {
        for (var minutes = StepMinutes; minutes <= MostLaterMinutes; minutes += StepMinutes)
        {
            StaffedVisit[] all = [.. before, visit with { StartsAt = visit.StartsAt.AddMinutes(minutes) }];
            if (!Lacks(all, floor).Any(c => c.Visits.Contains(visit.Visit)))
            {
                return minutes;
            }
        }

        return null;
    }

    private static StaffingConflict[] Lacks(IReadOnlyList<StaffedVisit> day, SalonCapacity floor)
    {
        var spans = day.SelectMany(
                (v, n) =>
                    v.Hands.Select(h =>
                        (n, h.Does, From: v.StartsAt.AddMinutes(h.From), To: v.StartsAt.AddMinutes(h.To))
                    )
            )
            .ToArray();
        var moments = spans.SelectMany(s => new[] { s.From, s.To }).Distinct().Order().ToArray();
        var lacks = new List<Stretch>();
        foreach (var (from, to) in moments.Zip(moments.Skip(1)))
        {
            var atIt = spans.Where(s => s.From <= from && s.To >= to).ToArray();
            var atBasin = atIt.Where(s => s.Does is HandWork.Rinse or HandWork.Wash).ToArray();
            if (atIt.Length > floor.Pairs)
            {
                Note(new(from, to, (to - from).TotalMinutes, [.. atIt.Select(s => s.n)], StaffingShortage.Hands));
            }
            else if (atBasin.Length > floor.Basins)
            {
                Note(new(from, to, (to - from).TotalMinutes, [.. atBasin.Select(s => s.n)], StaffingShortage.Basins));
            }
        }

        return lacks
            .Where(l => l.Minutes > Minded)
            .OrderBy(l => l.From)
            .Select(l => new StaffingConflict(
                l.From,
                l.To,
                l.Minutes,
                l.Who.Select(n => day[n].Visit).ToArray(),
                l.Lacks
            ))
            .ToArray();

        void Note(Stretch next)
        {
            var last = lacks.FindLastIndex(l => l.Lacks == next.Lacks);
            if (last < 0 || (next.From - lacks[last].To).TotalMinutes > Apart)
            {
                lacks.Add(next);
                return;
            }

            next.Who.UnionWith(lacks[last].Who);
            lacks[last] = next with { From = lacks[last].From, Minutes = lacks[last].Minutes + next.Minutes };
        }
    }

    private sealed record Stretch(
        DateTimeOffset From,
        DateTimeOffset To,
        double Minutes,
        SortedSet<int> Who,
        StaffingShortage Lacks
    );
}
