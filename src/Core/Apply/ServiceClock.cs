using System.Globalization;
using Wendro.Core.Blend;
using Wendro.Core.Chair;
using Wendro.Core.Hair;
using Wendro.Core.Head;
using Wendro.Core.Lift;
using Wendro.Core.Mix;
using Wendro.Core.Paint;
using Wendro.Core.Plans;
using Wendro.Core.Section;
using Wendro.Core.Timing;
using Wendro.Core.Units;

namespace Wendro.Core.Apply;

/// <summary>A panel on the clock.</summary>
/// <param name="Panel">Which.</param>
/// <param name="BegunAt">When it is begun, or was.</param>
/// <param name="PaintedAt">When it is painted, or was.</param>
/// <param name="IsPainted">Whether it is.</param>
/// <param name="RinsedAt">When it was rinsed; null while it is not.</param>
/// <param name="FromAt">Soonest it may be rinsed; null where nothing is known of it.</param>
/// <param name="ToAt">Latest it must be.</param>
/// <param name="Window">Minutes, and what ends it.</param>
public sealed record PanelOnClock(
    PanelKey Panel,
    DateTimeOffset BegunAt,
    DateTimeOffset PaintedAt,
    bool IsPainted,
    DateTimeOffset? RinsedAt,
    DateTimeOffset? FromAt,
    DateTimeOffset? ToAt,
    PanelWindow? Window
);

/// <summary>A rinse wave to come.</summary>
/// <param name="Number">Which of the step, from 1, those done counted.</param>
/// <param name="StartsAt">When it starts.</param>
/// <param name="EndsAt">When its last panel is rinsed.</param>
/// <param name="Panels">Its panels in the order they are rinsed.</param>
public sealed record WaveToCome(
    int Number,
    DateTimeOffset StartsAt,
    DateTimeOffset EndsAt,
    IReadOnlyList<PanelKey> Panels
);

/// <summary>
/// The plan against the clock: what was painted and when, what is to come at the artist's pace, when what may be
/// rinsed, in which waves. Everything that is painted is a fact; the rest is planned anew each time.
/// </summary>
public sealed record ServiceClock
{
    /// <summary>Taps that the plan's pace counts for while few were made. Model assumption.</summary>
    private const double PlanCountsFor = 4;

    /// <summary>A gap longer than this many times a panel's own is no painting: something came between.</summary>
    private const double NoPaintingFrom = 4;

    private readonly PlannedMix mix;
    private readonly List<PanelOnClock> onClock;
    private readonly LooksTold told;
    private readonly Dictionary<PanelKey, PlannedPanel> panels;
    private readonly Dictionary<(PanelKey Panel, int Step), double> minutes;

    private ServiceClock(PlannedMix mix, ServiceInHand service, DateTimeOffset now)
    {
        (this.mix, Service, Now) = (mix, service, now);
        panels = mix.Head.Panels.ToDictionary(p => p.Panel.Key);
        minutes = mix.Timeline.Turns.ToDictionary(t => (t.Panel, t.Step), t => t.To - t.From);
        told = new(mix.Head, service, panels);
        Pace = PaceOf();
        onClock = Clocked();
        (Waves, IsInTime, IsProven) = WavesToCome();
        var last =
            Waves.Count > 0 ? Waves[^1].EndsAt
            : service.Wave is { } w ? WaveEnds(w)
            : (DateTimeOffset?)null;
        DoneAt = last?.AddMinutes(
            PaintingTime.WashingMinutes + PaintingTime.DryingMinutes + PaintingTime.ReadingMinutes
        );
    }

    /// <summary>The service.</summary>
    public ServiceInHand Service { get; }

    /// <summary>What time it is.</summary>
    public DateTimeOffset Now { get; }

    /// <summary>How the artist's pace compares to the plan's: 1 as planned, more is slower.</summary>
    public double Pace { get; }

    /// <summary>The step's panels on the clock, in order.</summary>
    public IReadOnlyList<PanelOnClock> OnClock => onClock;

    /// <summary>Waves to come.</summary>
    public IReadOnlyList<WaveToCome> Waves { get; }

    /// <summary>Whether every panel can be rinsed within its window.</summary>
    public bool IsInTime { get; }

    /// <summary>Whether no other waves end sooner.</summary>
    public bool IsProven { get; }

    /// <summary>When the step is washed and read; null while nothing is to come.</summary>
    public DateTimeOffset? DoneAt { get; }

    /// <summary>What looks told, in order.</summary>
    public IReadOnlyList<LookTold> Told => told.All;

    /// <summary>When the wave under way is over; null for none.</summary>
    public DateTimeOffset? WaveEndsAt => Service.Wave is { } w ? WaveEnds(w) : null;

    /// <summary>By how much what is painted took less than planned, minutes; negative for more.</summary>
    public double AheadMinutes
    {
        get
        {
            var painted = OnClock.Where(p => p.IsPainted).ToArray();
            if (painted.Length == 0)
            {
                return 0;
            }

            var took = (painted.Max(p => p.PaintedAt) - painted.Min(p => p.PaintedAt)).TotalMinutes;
            var first = painted.MinBy(p => p.PaintedAt)!.Panel;
            return painted
                    .Where(p => p.Panel != first)
                    .Sum(p => minutes.GetValueOrDefault((p.Panel, Service.Step)) / Service.StandOf(p.Panel).Pairs)
                - took;
        }
    }

    /// <summary>What mixing a bowl takes, minutes.</summary>
    public double MixingMinutes => mix.Bench.MixingMinutes;

    /// <summary>The clock of a service.</summary>
    /// <param name="mix">The pinned plan with its bowls.</param>
    /// <param name="service">The service as it stands.</param>
    /// <param name="now">What time it is.</param>
    public static ServiceClock Of(PlannedMix mix, ServiceInHand service, DateTimeOffset now)
    {
        ArgumentNullException.ThrowIfNull(mix);
        ArgumentNullException.ThrowIfNull(service);
        return new(mix, service, now);
    }

    /// <summary>What the plan's steps have to do, in working order.</summary>
    public static IReadOnlyList<StepToDo> StepsOf(PlannedMix mix)
    {
        ArgumentNullException.ThrowIfNull(mix);
        return mix
            .Head.Plan.StepsOf()
            .Select(
                (s, i) =>
                    new StepToDo(
                        mix.Timeline.Turns.Where(t => t.Step == i).Select(t => t.Panel).ToArray(),
                        s.Area is not null
                    )
            )
            .ToArray();
    }

    /// <summary>Seconds a panel takes at the artist's pace.</summary>
    public double SecondsOf(PanelKey panel) =>
        minutes.GetValueOrDefault((panel, Service.Step)) * 60 * Pace / Service.Pairs;

    /// <summary>The bowl a panel is painted from; null where none is planned.</summary>
    public PlannedBowl? BowlOf(PanelKey panel)
    {
        var formulas = panels[panel].Coats.Where(c => c.Step == Service.Step).Select(c => c.Formula.Id).ToHashSet();
        return mix.Bowls.LastOrDefault(b => formulas.Contains(b.Batch.Formula) && b.Batch.Panels.Contains(panel));
    }

    /// <summary>When a bowl was mixed, by what was said at the chair or on the scale; null while it was not.</summary>
    public DateTimeOffset? MixedAt(PlannedBowl bowl)
    {
        ArgumentNullException.ThrowIfNull(bowl);
        return Service.Bowls.TryGetValue((bowl.Batch.Formula, bowl.Batch.Ordinal), out var at) ? at : null;
    }

    /// <summary>The panel with its paint.</summary>
    public PlannedPanel PlannedOf(PanelKey panel) => panels[panel];

    /// <summary>Gaps between taps against the plan's, the plan itself counting for a few.</summary>
    private double PaceOf()
    {
        var (took, planned) = (0.0, 0.0);
        DateTimeOffset? before = null;
        foreach (
            var panel in Service
                .Order.Where(p => Service.StandOf(p).PaintedAt is not null)
                .OrderBy(p => Service.StandOf(p).PaintedAt)
        )
        {
            var at = Service.StandOf(panel).PaintedAt!.Value;
            var meant = minutes.GetValueOrDefault((panel, Service.Step));
            if (before is { } b && (at - b).TotalMinutes is var gap && gap > 0 && gap < NoPaintingFrom * meant)
            {
                (took, planned) = (took + gap * Service.StandOf(panel).Pairs, planned + meant);
            }

            before = at;
        }

        var usual = minutes.Count == 0 ? 1 : minutes.Values.Average() * PlanCountsFor;
        return (took + usual) / (planned + usual);
    }

    private static DateTimeOffset WaveEnds(WaveInHand wave) =>
        wave.BegunAt.AddMinutes(ChairProblem.UsualStart + ChairProblem.UsualEach * Math.Max(0, wave.Panels.Count - 1));

    /// <summary>When hands can go on: now, or when the wave under way is over.</summary>
    private DateTimeOffset HandsFree => Service.Wave is { } w && WaveEnds(w) > Now ? WaveEnds(w) : Now;

    private List<PanelOnClock> Clocked()
    {
        var clocked = new List<PanelOnClock>();
        var at = HandsFree;
        var mixed = new HashSet<int>();
        var isFirst = true;
        foreach (var panel in Service.Order)
        {
            var stand = Service.StandOf(panel);
            if (stand.IsLeft)
            {
                continue;
            }

            var window = PanelWindow.Of(panels[panel], mix.Head.Hair, Service.Step, told.OwnAt(panel));
            var takes = TimeSpan.FromSeconds(SecondsOf(panel));
            DateTimeOffset begun,
                painted;
            if (stand.PaintedAt is { } was)
            {
                (begun, painted) = (was - takes, was);
            }
            else
            {
                if (BowlOf(panel) is { } bowl && MixedAt(bowl) is null && mixed.Add(bowl.Number) && Service.Pairs == 1)
                {
                    at = at.AddMinutes(mix.Bench.MixingMinutes);
                }

                // The panel in hand was begun when hands last did something.
                var since = isFirst && Service.Wave is null && Service.PausedAt is null ? Service.HandsSince : null;
                begun = since is { } s && s < at && at - s < takes ? s : at;
                painted = begun + takes;
                at = painted;
                isFirst = false;
            }

            clocked.Add(
                new(
                    panel,
                    begun,
                    painted,
                    stand.PaintedAt is not null,
                    stand.RinsedAt,
                    window is null ? null : painted.AddMinutes(window.From),
                    window is null ? null : Latest(stand, painted, window),
                    window
                )
            );
        }

        return clocked;
    }

    /// <summary>A fresh coat dries later; what the leaflet allows counts from the first.</summary>
    private static DateTimeOffset Latest(PanelStand stand, DateTimeOffset painted, PanelWindow window)
    {
        if (window.By != EndsBy.Dries || stand.FreshAt is not { } fresh)
        {
            return painted.AddMinutes(window.To);
        }

        var dries = fresh.AddMinutes(window.To);
        return window.LimitMinutes is { } limit && painted.AddMinutes(limit) < dries
            ? painted.AddMinutes(limit)
            : dries;
    }

    /// <summary>Waves by the chair's own sum: what is painted first, then zone by zone as it will be.</summary>
    private (IReadOnlyList<WaveToCome> Waves, bool InTime, bool Proven) WavesToCome()
    {
        var free = HandsFree;
        var inWave = (Service.Wave?.Panels ?? []).ToHashSet();
        var open = OnClock
            .Where(p => p.RinsedAt is null && p.Window is not null && !inWave.Contains(p.Panel))
            .ToArray();
        if (open.Length == 0)
        {
            return ([], true, true);
        }

        var painted = open.Where(p => p.IsPainted).OrderBy(p => p.ToAt).ToArray();
        var groups = new List<PanelOnClock[]>();
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
                && (last[^1].Panel.Zone == panel.Panel.Zone || groups.Count >= ChairPlanner.MostGroups)
            )
            {
                groups[^1] = [.. last, panel];
            }
            else
            {
                groups.Add([panel]);
            }
        }

        var (found, inTime) = Planned(groups, free);
        var problem = Problem(groups, free, _ => 0);
        foreach (var turn in found.Groups)
        {
            var g = Number(turn.Id);
            Move(groups[g], problem.Groups[g].Panels[0].Minutes, free.AddMinutes(turn.StartsAt));
        }

        var first = Service.WavesDone + (Service.Wave is null ? 1 : 2);
        return (
            found
                .Waves.Select(
                    (w, i) =>
                        new WaveToCome(
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

    private static int Number(string group) => int.Parse(group, CultureInfo.InvariantCulture);

    /// <summary>
    /// The chair's schedule; where no schedule keeps every window, what is over already is rinsed first and the others
    /// keep theirs; where that can't be either, a little later, and at last whenever.
    /// </summary>
    private static (ChairSchedule Found, bool InTime) Planned(List<PanelOnClock[]> groups, DateTimeOffset free)
    {
        var asMeant = ChairPlanner.Of(Problem(groups, free, _ => 0));
        if (asMeant.Feasible)
        {
            return (asMeant, true);
        }

        var soonest = free.AddMinutes(ChairProblem.UsualStart);
        bool IsOver(PanelOnClock p) => p.IsPainted && p.ToAt < soonest;
        var over = groups.Sum(g => g.Count(IsOver));
        var wave = ChairProblem.UsualStart + ChairProblem.UsualEach * over;
        foreach (var slack in new[] { 0.0, Slack, 2 * Slack })
        {
            var found = ChairPlanner.Of(
                Problem(
                    groups,
                    free,
                    p =>
                        IsOver(p) ? wave + slack
                        : p.IsPainted ? slack
                        : 0
                )
            );
            if (found.Feasible)
            {
                return (found, false);
            }
        }

        return (ChairPlanner.Of(Problem(groups, free, _ => Minutes.Longest)), false);
    }

    /// <summary>How much later than it should what can't be in time is rinsed at first, minutes. Model assumption.</summary>
    private const double Slack = 10;

    /// <summary>What waits for a wave to be over is painted later than hands alone would.</summary>
    private void Move(PanelOnClock[] group, double firstTakes, DateTimeOffset start)
    {
        if (group[0].IsPainted)
        {
            return;
        }

        var by = start.AddMinutes(firstTakes) - group[0].PaintedAt;
        foreach (var panel in group)
        {
            onClock[onClock.FindIndex(p => p.Panel == panel.Panel)] = panel with
            {
                BegunAt = panel.BegunAt + by,
                PaintedAt = panel.PaintedAt + by,
                FromAt = panel.FromAt + by,
                ToAt = panel.ToAt + by,
            };
        }
    }

    private static ChairProblem Problem(
        List<PanelOnClock[]> groups,
        DateTimeOffset free,
        Func<PanelOnClock, double> longer
    )
    {
        var at = free;
        var on = new List<ChairGroup>();
        foreach (var group in groups)
        {
            var panels = new List<ChairPanel>();
            foreach (var panel in group)
            {
                panels.Add(OnChair(panel, at, free, longer(panel)));
                at = panel.IsPainted ? at : panel.PaintedAt;
            }

            on.Add(new(on.Count.ToString(CultureInfo.InvariantCulture), panels));
        }

        return new(on, InGivenOrder: true);
    }

    /// <summary>
    /// A panel as hands meet it: what is mixed before it, too, is theirs; what is painted takes nothing more.
    /// </summary>
    private static ChairPanel OnChair(PanelOnClock panel, DateTimeOffset before, DateTimeOffset free, double longer)
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
