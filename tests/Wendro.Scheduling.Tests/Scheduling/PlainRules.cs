using Wendro.Scheduling;

namespace Wendro.Tests.Scheduling;

/// <summary>
/// What people do without reckoning, played through: groups in a plain order, and waves of what was painted first. Each
/// says when it ends, or that something was over.
/// </summary>
internal static class PlainRules
{
    /// <summary>As given; longest wait first; and as given with every group rinsed by itself.</summary>
    public static IEnumerable<double> Ends(ScheduleProblem problem)
    {
        yield return Played(problem, problem.Groups, apart: false);
        yield return Played(problem, problem.Groups.OrderByDescending(g => g.Panels[0].From).ToArray(), apart: false);
        yield return Played(problem, problem.Groups, apart: true);
    }

    private static double Played(ScheduleProblem problem, IReadOnlyList<PanelGroup> groups, bool apart)
    {
        var (now, laid) = (0.0, new List<(double From, double To, double Frees, int Group)>());
        var isOver = false;
        void Rinse(int count)
        {
            var rinse = laid.Take(count).ToArray();
            var start = rinse.Select((p, j) => p.From - problem.RinseStart - problem.RinseEach * j).Append(now).Max();
            isOver |= rinse.Where((p, j) => start + problem.RinseStart + problem.RinseEach * j > p.To + 1e-9).Any();
            laid.RemoveRange(0, count);
            now = start + problem.RinseStart + problem.RinseEach * (count - 1) + rinse.Sum(p => p.Frees);
        }

        for (var g = 0; g < groups.Count; g++)
        {
            var takes = groups[g].Panels.Sum(p => p.Minutes);
            if (laid.Count > 0 && laid.Min(p => p.To) < now + takes + problem.RinseStart)
            {
                Rinse(apart ? laid.Count(p => p.Group == laid[0].Group) : laid.Count);
            }

            foreach (var panel in groups[g].Panels)
            {
                now += panel.Minutes;
                laid.Add((now + panel.From, now + panel.To, panel.Frees, g));
            }
        }

        while (laid.Count > 0)
        {
            Rinse(apart ? laid.Count(p => p.Group == laid[0].Group) : laid.Count);
        }

        return isOver ? double.PositiveInfinity : now;
    }
}
