using Wendro.Scheduling;
using Wendro.Units;

namespace Wendro.Desk;

public static partial class DeskSums
{
    /// <summary>The schedule that ends soonest, with its rinses; or what stands against it.</summary>
    public static DeskResult<Schedule> Of(ScheduleQuestion q)
    {
        ArgumentNullException.ThrowIfNull(q);
        var problems = WithinAttribute.Outside(q).ToList();
        Problem.Known(problems, "order", q.Order);
        for (var i = 0; i < q.Groups.Count; i++)
        {
            var (g, field) = (q.Groups[i], $"groups[{i}]");
            if (g is null)
            {
                problems.Add(new(field, "A group is needed."));
                continue;
            }

            problems.AddRange(
                (g.After ?? [])
                    .Select((id, j) => (Id: id, Field: $"{field}.after[{j}]"))
                    .Where(a => a.Id is null)
                    .Select(a => new Problem(a.Field, "The id of a group is needed."))
            );
            problems.AddRange(WithinAttribute.Outside(g, field));
            Problem.Text(problems, $"{field}.id", g.Id, MostLetters);
            if (g.Panels is < 1 or > SchedulePlanner.MostPanels)
            {
                problems.Add(Problem.Outside($"{field}.panels", 1, SchedulePlanner.MostPanels, "panels"));
            }

            Above(problems, $"{field}.minutesEach", g.MinutesEach, "minutes");
            if (g.ToMinutes < g.FromMinutes)
            {
                problems.Add(new($"{field}.toMinutes", "A window ends no sooner than it begins."));
            }
        }

        // What has no right size is not built at all.
        if (problems.Count > 0)
        {
            return problems.DistinctBy(p => p.Field).ToList();
        }

        if (q.Groups.Count <= SchedulePlanner.MostGroups && q.Groups.Sum(g => g.Panels) <= SchedulePlanner.MostPanels)
        {
            var problem = new ScheduleProblem(
                q.Groups.Select(g => new PanelGroup(
                        g.Id,
                        Enumerable
                            .Repeat(new ScheduledPanel(g.MinutesEach, g.FromMinutes, g.ToMinutes), g.Panels)
                            .ToArray(),
                        g.After
                    ))
                    .ToArray(),
                q.Order == GroupOrder.Given,
                q.RinseStart,
                q.RinseEach
            );
            problems.AddRange(ScheduleChecks.Of(problem.Groups, problem.InGivenOrder));
            return problems.Count > 0 ? problems : SchedulePlanner.Of(problem);
        }

        problems.Add(
            new(
                "groups",
                $"At most {SchedulePlanner.MostGroups} groups and {SchedulePlanner.MostPanels} panels in all."
            )
        );
        return problems;
    }

    private const int MostLetters = 100;
}
