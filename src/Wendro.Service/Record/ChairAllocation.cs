namespace Wendro.Record;

/// <summary>Which chair each visit takes.</summary>
public static class ChairAllocation
{
    /// <summary>
    /// Chairs in the order of the visits, from 1: each takes the first that is free when it starts, so that no more are
    /// taken than sit at once.
    /// </summary>
    /// <param name="visits">When each starts and how long it takes, minutes; the earliest first.</param>
    public static IReadOnlyList<int> Of(IReadOnlyList<(DateTimeOffset StartsAt, double Minutes)> visits)
    {
        ArgumentNullException.ThrowIfNull(visits);
        var until = new List<DateTimeOffset>();
        return visits
            .Select(v =>
            {
                var chair = until.FindIndex(free => free <= v.StartsAt);
                if (chair < 0)
                {
                    chair = until.Count;
                    until.Add(default);
                }

                until[chair] = v.StartsAt.AddMinutes(v.Minutes);
                return chair + 1;
            })
            .ToArray();
    }
}
