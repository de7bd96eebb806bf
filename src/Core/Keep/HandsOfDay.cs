using Wendro.Core.Apply;

namespace Wendro.Core.Keep;

/// <summary>A visit of a day by the hands it needs.</summary>
/// <param name="Visit">Which.</param>
/// <param name="StartsAt">When it starts.</param>
/// <param name="Hands">When hands are needed, minutes after that.</param>
public sealed record VisitByHands(Guid Visit, DateTimeOffset StartsAt, IReadOnlyList<HandSpan> Hands);

/// <summary>A stretch in which more visits need hands at once than there are pairs.</summary>
/// <param name="From">Since when.</param>
/// <param name="To">Till when.</param>
/// <param name="Minutes">How long of that somebody waits.</param>
/// <param name="Visits">Which visits, in the order they start.</param>
public sealed record HandsClash(DateTimeOffset From, DateTimeOffset To, double Minutes, IReadOnlyList<Guid> Visits);

/// <summary>A visit that would leave hands for all before it if it started later.</summary>
/// <param name="Visit">Which.</param>
/// <param name="Minutes">By how much later, minutes; null where no start within three hours is free.</param>
public sealed record StartsLater(Guid Visit, double? Minutes);

/// <summary>A day with so many pairs of hands: where they don't reach, and what would help.</summary>
/// <param name="Clashes">Where more visits need hands at once than there are, in time order.</param>
/// <param name="Later">For each visit that finds too few hands beside those before it, how much later it would have to
/// start.</param>
public sealed record HandsOfDay(IReadOnlyList<HandsClash> Clashes, IReadOnlyList<StartsLater> Later)
{
    /// <summary>A wait so short that nobody minds, minutes. Model assumption.</summary>
    public const double Minded = 1;

    /// <summary>Waits no further apart than this are told as one, minutes. Model assumption.</summary>
    private const double Apart = 10;

    private const double StepMinutes = 5,
        MostLaterMinutes = 180;

    /// <summary>Of a day's visits.</summary>
    /// <param name="visits">Them.</param>
    /// <param name="pairs">Pairs of hands, 1 or more.</param>
    public static HandsOfDay Of(IEnumerable<VisitByHands> visits, int pairs = 1)
    {
        ArgumentNullException.ThrowIfNull(visits);
        ArgumentOutOfRangeException.ThrowIfLessThan(pairs, 1);
        var day = visits.OrderBy(v => v.StartsAt).ToArray();
        var later = new List<StartsLater>();
        for (var n = pairs; n < day.Length; n++)
        {
            if (Lacks(day[..(n + 1)], pairs).Any(c => c.Visits.Contains(day[n].Visit)))
            {
                later.Add(new(day[n].Visit, LaterBy(day[..n], day[n], pairs)));
            }
        }

        return new(Lacks(day, pairs), later);
    }

    private static double? LaterBy(VisitByHands[] before, VisitByHands visit, int pairs)
    {
        for (var minutes = StepMinutes; minutes <= MostLaterMinutes; minutes += StepMinutes)
        {
            VisitByHands[] all = [.. before, visit with { StartsAt = visit.StartsAt.AddMinutes(minutes) }];
            if (!Lacks(all, pairs).Any(c => c.Visits.Contains(visit.Visit)))
            {
                return minutes;
            }
        }

        return null;
    }

    private static HandsClash[] Lacks(IReadOnlyList<VisitByHands> day, int pairs)
    {
        var spans = day.SelectMany(
                (v, n) => v.Hands.Select(h => (n, From: v.StartsAt.AddMinutes(h.From), To: v.StartsAt.AddMinutes(h.To)))
            )
            .ToArray();
        var moments = spans.SelectMany(s => new[] { s.From, s.To }).Distinct().Order().ToArray();
        var lacks = new List<(DateTimeOffset From, DateTimeOffset To, double Minutes, SortedSet<int> Who)>();
        foreach (var (from, to) in moments.Zip(moments.Skip(1)))
        {
            var who = spans.Where(s => s.From <= from && s.To >= to).Select(s => s.n).ToArray();
            if (who.Length <= pairs)
            {
                continue;
            }

            var minutes = (to - from).TotalMinutes;
            if (lacks.Count > 0 && (from - lacks[^1].To).TotalMinutes <= Apart)
            {
                var last = lacks[^1];
                last.Who.UnionWith(who);
                lacks[^1] = (last.From, to, last.Minutes + minutes, last.Who);
            }
            else
            {
                lacks.Add((from, to, minutes, [.. who]));
            }
        }

        return lacks
            .Where(l => l.Minutes > Minded)
            .Select(l => new HandsClash(l.From, l.To, l.Minutes, l.Who.Select(n => day[n].Visit).ToArray()))
            .ToArray();
    }
}
