using System.Globalization;
using Wendro.Scheduling;
using Wendro.Section;
using Wendro.Units;

namespace Wendro.Apply;

/// <summary>A rinse rinse to come.</summary>
/// <param name="Number">Which of the step, from 1, those done counted.</param>
/// <param name="StartsAt">When it starts.</param>
/// <param name="EndsAt">When its last panel is rinsed.</param>
/// <param name="Panels">Its panels in the order they are rinsed.</param>
public sealed record RinseAhead(
    int Number,
    DateTimeOffset StartsAt,
    DateTimeOffset EndsAt,
    IReadOnlyList<PanelKey> Panels
);

/// <summary>Rinse rinses to come, and the panels as they are painted between them.</summary>
/// <param name="OnClock">The panels, moved behind the rinses they wait for.</param>
/// <param name="Rinses">The rinses.</param>
/// <param name="IsInTime">Whether every panel can be rinsed within its window.</param>
/// <param name="IsProven">Whether no other rinses end sooner.</param>
internal sealed record RinsesAhead(
    IReadOnlyList<PanelOnClock> OnClock,
    IReadOnlyList<RinseAhead> Rinses,
    bool IsInTime,
    bool IsProven
)
{
    /// <summary>Rinses by the chair's own sum: what is painted first, then zone by zone as it will be.</summary>
    /// <param name="service">The service as it stands.</param>
    /// <param name="clocked">Its panels, painted one after another as soon as hands can.</param>
    /// <param name="free">When hands can go on.</param>
    /// <param name="freeing">What freeing a rinse's panels takes before hands go on.</param>
    /// <param name="beside">Whether somebody else rinses, while painting goes on.</param>
    public static RinsesAhead Of(
        ServiceInHand service,
        IReadOnlyList<PanelOnClock> clocked,
        DateTimeOffset free,
        CoverRemoval freeing,
        bool beside = false
    )
    {
        var inRinse = (service.Rinse?.Panels ?? []).ToHashSet();
        var open = clocked
            .Where(p => p.RinsedAt is null && p.Window is not null && !inRinse.Contains(p.Panel))
            // Where somebody else rinses, nothing waits for a rinse: when it is painted is as good as known.
            .Select(p => beside ? p with { IsPainted = true } : p)
            .ToArray();
        if (open.Length == 0)
        {
            return new(clocked, [], true, true);
        }

        // Zone by zone; where a zone is too much at once, row by row; where that is, too, as little late as can be.
        var groups = ByZone(open);
        var found = SchedulePlanner.Of(Problem(groups, free, freeing, _ => 0));
        if (!found.Feasible && ByRow(open) is { } rows && rows.Count > groups.Count)
        {
            var finer = SchedulePlanner.Of(Problem(rows, free, freeing, _ => 0));
            (groups, found) = finer.Feasible ? (rows, finer) : (groups, found);
        }

        var inTime = found.Feasible;
        found = inTime ? found : Late(groups, free, freeing);
        var problem = Problem(groups, free, freeing, _ => 0);
        var moved = clocked.ToDictionary(p => p.Panel);
        foreach (var turn in beside ? [] : found.Groups)
        {
            var g = Number(turn.Id);
            foreach (
                var panel in Moved(groups[g], free.AddMinutes(turn.StartsAt + problem.Groups[g].Panels[0].Minutes))
            )
            {
                moved[panel.Panel] = panel;
            }
        }

        var first = service.RinsesDone + (service.Rinse is null ? 1 : 2);
        return new(
            clocked.Select(p => moved[p.Panel]).ToArray(),
            found
                .Rinses.Select(
                    (w, i) =>
                        new RinseAhead(
                            first + i,
                            free.AddMinutes(w.StartsAt),
                            free.AddMinutes(w.EndsAt),
                            w.Panels.Select(p => groups[Number(p.Group)][p.Index].Panel).ToArray()
                        )
                )
                .ToArray(),
            inTime,
            found.Proven
        );
    }

    /// <summary>Most rows that are thought of one by one: beyond, neighbours go together.</summary>
    private const int MostRows = 28;

    /// <summary>What is painted, then zone by zone.</summary>
    private static List<PanelOnClock[]> ByZone(PanelOnClock[] open)
    {
        var groups = new List<PanelOnClock[]>();
        var painted = open.Where(p => p.IsPainted).OrderBy(p => p.ToAt).ToArray();
        if (painted.Length > 0)
        {
            groups.Add(painted);
        }

        foreach (var panel in open.Where(p => !p.IsPainted))
        {
            if (
                groups.Count > 0
                && groups[^1] is { } last
                && !last[^1].IsPainted
                && (last[^1].Panel.Zone == panel.Panel.Zone || groups.Count >= SchedulePlanner.MostGroups)
            )
            {
                groups[^1] = [.. last, panel];
            }
            else
            {
                groups.Add([panel]);
            }
        }

        return groups;
    }

    /// <summary>What is painted, then row by row, the smallest neighbours together where there are too many.</summary>
    private static List<PanelOnClock[]> ByRow(PanelOnClock[] open)
    {
        var groups = ByZone(open)
            .SelectMany(g =>
                g[0].IsPainted ? [g] : g.GroupBy(p => (p.Panel.Zone, p.Panel.Row)).Select(r => r.ToArray())
            )
            .ToList();
        while (groups.Count > MostRows)
        {
            var at = Enumerable
                .Range(groups[0][0].IsPainted ? 1 : 0, groups.Count - 2)
                .Where(i => i + 1 < groups.Count)
                .MinBy(i => groups[i].Length + groups[i + 1].Length);
            groups[at] = [.. groups[at], .. groups[at + 1]];
            groups.RemoveAt(at + 1);
        }

        return groups;
    }

    /// <summary>One rinse when all is painted: where fewest panels miss their window, then soonest.</summary>
    /// <param name="service">The service as it stands.</param>
    /// <param name="clocked">Its panels, painted one after another as soon as hands can.</param>
    /// <param name="free">When hands can go on.</param>
    public static RinsesAhead AtOnce(ServiceInHand service, IReadOnlyList<PanelOnClock> clocked, DateTimeOffset free)
    {
        var inRinse = (service.Rinse?.Panels ?? []).ToHashSet();
        var open = clocked
            .Where(p => p.RinsedAt is null && p.Window is not null && !inRinse.Contains(p.Panel))
            .OrderBy(p => p.ToAt)
            .ToArray();
        if (open.Length == 0)
        {
            return new(clocked, [], true, true);
        }

        double At(DateTimeOffset? at) => (at!.Value - free).TotalMinutes;
        var (start, outside) = SingleRinse.Of(
            open.Select(p => (At(p.FromAt), At(p.ToAt))).ToArray(),
            Math.Max(0, At(open.Max(p => p.PaintedAt)))
        );
        return new(
            clocked,
            [
                new(
                    service.RinsesDone + (service.Rinse is null ? 1 : 2),
                    free.AddMinutes(start),
                    free.AddMinutes(start + ScheduleProblem.UsualSlot(open.Length - 1)),
                    open.Select(p => p.Panel).ToArray()
                ),
            ],
            outside == 0,
            // Several rinses may well end sooner.
            IsProven: false
        );
    }

    private static int Number(string group) => int.Parse(group, CultureInfo.InvariantCulture);

    /// <summary>
    /// Where no schedule keeps every window, what is over already is rinsed first and the others keep theirs; where
    /// that can't be either, a little later, and at last as little late as can be.
    /// </summary>
    private static Schedule Late(List<PanelOnClock[]> groups, DateTimeOffset free, CoverRemoval freeing)
    {
        var soonest = free.AddMinutes(ScheduleProblem.UsualSlot(0));
        bool IsOver(PanelOnClock p) => p.IsPainted && p.ToAt < soonest;
        var over = groups.Sum(g => g.Count(IsOver));
        var rinse = ScheduleProblem.UsualSlot(over);
        ScheduleProblem Later(double slack) =>
            Problem(
                groups,
                free,
                freeing,
                p =>
                    IsOver(p) ? rinse + slack
                    : p.IsPainted ? slack
                    : 0
            );
        foreach (var slack in new[] { 0.0, Slack, 2 * Slack })
        {
            if (SchedulePlanner.Of(Later(slack)) is { Feasible: true } found)
            {
                return found;
            }
        }

        // What waits can't be in time either: as little late as can be.
        var (low, high) = (0.0, (double)Minutes.Longest);
        while (high - low > LateBy)
        {
            var middle = (low + high) / 2;
            (low, high) = SchedulePlanner.FitsOneByOne(Problem(groups, free, freeing, _ => middle))
                ? (low, middle)
                : (middle, high);
        }

        return SchedulePlanner.Of(Problem(groups, free, freeing, _ => high));
    }

    /// <summary>How finely what is late is shared out, minutes. Model assumption.</summary>
    private const double LateBy = 1;

    /// <summary>How much later than it should what can't be in time is rinsed at first, minutes. Model
    /// assumption.</summary>
    private const double Slack = 10;

    /// <summary>What waits for a rinse to be over is painted later than hands alone would.</summary>
    private static IEnumerable<PanelOnClock> Moved(PanelOnClock[] group, DateTimeOffset firstPaintedAt)
    {
        var by = group[0].IsPainted ? TimeSpan.Zero : firstPaintedAt - group[0].PaintedAt;
        return group.Select(p =>
            p with
            {
                BegunAt = p.BegunAt + by,
                PaintedAt = p.PaintedAt + by,
                FromAt = p.FromAt + by,
                ToAt = p.ToAt + by,
            }
        );
    }

    private static ScheduleProblem Problem(
        List<PanelOnClock[]> groups,
        DateTimeOffset free,
        CoverRemoval freeing,
        Func<PanelOnClock, double> longer
    )
    {
        var at = free;
        var on = new List<PanelGroup>();
        foreach (var group in groups)
        {
            var panels = new List<ScheduledPanel>();
            foreach (var panel in group)
            {
                panels.Add(OnChair(panel, at, free, longer(panel)) with { Frees = freeing.Minutes(panel.Panel) });
                at = panel.IsPainted ? at : panel.PaintedAt;
            }

            on.Add(new(on.Count.ToString(CultureInfo.InvariantCulture), panels));
        }

        return new(on, InGivenOrder: true);
    }

    /// <summary>
    /// A panel as hands meet it: what is mixed before it, too, is theirs; what is painted takes nothing more.
    /// </summary>
    private static ScheduledPanel OnChair(PanelOnClock panel, DateTimeOffset before, DateTimeOffset free, double longer)
    {
        if (!panel.IsPainted)
        {
            var takes = (panel.PaintedAt - before).TotalMinutes;
            return new(Math.Max(0, takes), panel.Window!.From, panel.Window.To + longer);
        }

        var from = Math.Max(0, (panel.FromAt!.Value - free).TotalMinutes);
        return new(0, from, Math.Max(from, (panel.ToAt!.Value - free).TotalMinutes) + longer);
    }
}
