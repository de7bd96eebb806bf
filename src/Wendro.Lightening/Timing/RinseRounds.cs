namespace Wendro.Timing;

/// <summary>When something may be rinsed: from one minute to another, both counted in.</summary>
/// <param name="From">Minute, 0 or more.</param>
/// <param name="To">Minute, no sooner.</param>
public readonly record struct RinseWindow(double From, double To);

/// <summary>The fewest moments that lie in every window: each rinse an instant.</summary>
public static class RinseRounds
{
    /// <summary>
    /// Minutes of the rinses, in order, not rounded. Whatever ends first must be met by then: the rinse waits as long
    /// as that lets it, and takes
    /// everything that has begun; so no choice has fewer.
    /// </summary>
    public static IReadOnlyList<double> Fewest(IReadOnlyList<RinseWindow> windows)
    {
        ArgumentNullException.ThrowIfNull(windows);
        var rinses = new List<double>();
        foreach (var window in windows.OrderBy(w => w.To))
        {
            if (rinses.Count == 0 || window.From > rinses[^1])
            {
                rinses.Add(window.To);
            }
        }

        return rinses;
    }
}
