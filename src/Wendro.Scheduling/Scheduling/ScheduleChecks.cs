using Wendro.Units;

namespace Wendro.Scheduling;

/// <summary>What can't be taken of a problem's groups.</summary>
public static class ScheduleChecks
{
    /// <summary>Problems by field; none where it can be solved.</summary>
    /// <param name="groups">The groups in the order they are given.</param>
    /// <param name="inGivenOrder">Whether they must be painted so.</param>
    public static IEnumerable<Problem> Of(IReadOnlyList<PanelGroup> groups, bool inGivenOrder)
    {
        ArgumentNullException.ThrowIfNull(groups);
        var first = new Dictionary<string, int>();
        for (var i = 0; i < groups.Count; i++)
        {
            if (!first.TryAdd(groups[i].Id, i))
            {
                yield return new($"groups[{i}].id", $"{groups[i].Id} is there already: each is called otherwise.");
            }
        }

        for (var i = 0; i < groups.Count; i++)
        {
            var after = groups[i].After ?? [];
            for (var j = 0; j < after.Count; j++)
            {
                var field = $"groups[{i}].after[{j}]";
                if (!first.TryGetValue(after[j], out var at))
                {
                    yield return new(field, $"There is no group {after[j]}.");
                }
                else if (inGivenOrder && at > i)
                {
                    yield return new(field, $"{after[j]} is given later, and the given order is to be kept.");
                }
            }
        }

        foreach (var i in Circular(groups, first))
        {
            yield return new($"groups[{i}].after", $"{groups[i].Id} would have to be painted after itself.");
        }
    }

    private static IEnumerable<int> Circular(IReadOnlyList<PanelGroup> groups, Dictionary<string, int> first)
    {
        for (var i = 0; i < groups.Count; i++)
        {
            var (seen, open) = (new HashSet<int>(), new Stack<int>([i]));
            while (open.TryPop(out var g))
            {
                foreach (var id in groups[g].After ?? [])
                {
                    if (first.TryGetValue(id, out var at) && seen.Add(at))
                    {
                        open.Push(at);
                    }
                }
            }

            if (seen.Contains(i))
            {
                yield return i;
            }
        }
    }
}
