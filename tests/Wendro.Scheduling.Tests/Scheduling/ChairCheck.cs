using Wendro.Scheduling;

namespace Wendro.Tests.Scheduling;

/// <summary>Whether a schedule keeps every rule of the chair, looked at from outside.</summary>
internal static class ChairCheck
{
    private const double Eps = 1e-6;

    public static void Holds(ScheduleProblem problem, Schedule schedule)
    {
        Assert.True(schedule.Feasible);
        Assert.Equal(problem.Groups.Select(g => g.Id).Order(), schedule.Order.Order());
        Assert.Equal(schedule.Order, schedule.Groups.Select(g => g.Id));
        if (problem.InGivenOrder)
        {
            Assert.Equal(problem.Groups.Select(g => g.Id), schedule.Order);
        }

        var painted = new Dictionary<(string, int), (double At, ScheduledPanel Panel)>();
        foreach (var turn in schedule.Groups)
        {
            var group = problem.Groups.Single(g => g.Id == turn.Id);
            Assert.Equal(group.Panels.Sum(p => p.Minutes), turn.EndsAt - turn.StartsAt, Eps);
            var at = turn.StartsAt;
            for (var i = 0; i < group.Panels.Count; i++)
            {
                painted[(turn.Id, i)] = (at += group.Panels[i].Minutes, group.Panels[i]);
            }

            foreach (var before in group.After ?? [])
            {
                Assert.True(schedule.Groups.Single(g => g.Id == before).EndsAt <= turn.StartsAt + Eps);
            }
        }

        var rinsed = new HashSet<(string, int)>();
        foreach (var rinse in schedule.Rinses)
        {
            Assert.NotEmpty(rinse.Panels);
            for (var j = 0; j < rinse.Panels.Count; j++)
            {
                var panel = rinse.Panels[j];
                Assert.True(rinsed.Add((panel.Group, panel.Index)), $"{panel} is rinsed twice");
                Assert.Equal(rinse.StartsAt + problem.RinseStart + problem.RinseEach * j, panel.RinsedAt, Eps);
                var (at, of) = painted[(panel.Group, panel.Index)];
                Assert.InRange(panel.RinsedAt, at + of.From - Eps, at + of.To + Eps);
            }

            Assert.Equal(rinse.Panels[^1].RinsedAt, rinse.EndsAt, Eps);
            var frees = rinse.Panels.Sum(p => painted[(p.Group, p.Index)].Panel.Frees);
            Assert.Equal(rinse.EndsAt + frees, rinse.FreedAt, Eps);
        }

        Assert.Equal(painted.Count, rinsed.Count);
        var hands = schedule
            .Groups.Select(g => (g.StartsAt, g.EndsAt))
            .Concat(schedule.Rinses.Select(w => (w.StartsAt, EndsAt: w.FreedAt)))
            .Order()
            .ToArray();
        Assert.True(hands.Length == 0 || hands[0].StartsAt >= -Eps);
        for (var i = 1; i < hands.Length; i++)
        {
            Assert.True(hands[i - 1].EndsAt <= hands[i].StartsAt + Eps, "hands do two things at once");
        }

        Assert.Equal(schedule.Rinses.Select(w => w.FreedAt).DefaultIfEmpty().Max(), schedule.EndsAt!.Value, Eps);
        Assert.True(schedule.LowerBound <= schedule.EndsAt + Eps);
    }
}
