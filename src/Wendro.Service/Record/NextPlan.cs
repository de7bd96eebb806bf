using System.Collections.Immutable;
using Wendro.Plans;

namespace Wendro.Record;

/// <summary>The plan a next visit begins with: cut, framed and wished for as last time, with nothing painted.</summary>
public static class NextPlan
{
    /// <summary>
    /// Of the last visit's plan. Steps beside painting, and what was set aside, are that visit's own.
    /// </summary>
    /// <param name="last">The plan it went by.</param>
    public static Plan Of(Plan last)
    {
        ArgumentNullException.ThrowIfNull(last);
        return last with
        {
            Zones = last.Zones.ToImmutableSortedDictionary(
                z => z.Key,
                z => z.Value with { Paint = z.Value.Paint.Clear(), Usual = null }
            ),
            Dismissed = null,
            Steps = null,
        };
    }
}
