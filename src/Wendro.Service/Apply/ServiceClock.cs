using Wendro.Blend;
using Wendro.Hair;
using Wendro.Head;
using Wendro.Lift;
using Wendro.Mix;
using Wendro.Paint;
using Wendro.Plans;
using Wendro.Scheduling;
using Wendro.Section;
using Wendro.Timing;
using Wendro.Units;

namespace Wendro.Apply;

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

/// <summary>
/// The plan against the clock: what was painted and when, what is to come at the artist's pace, when what may be
/// rinsed, in which rinses. Everything that is painted is a fact; the rest is planned anew each time.
/// </summary>
public sealed record ServiceClock
{
    /// <summary>Taps that the plan's pace counts for while few were made. Model assumption.</summary>
    private const double PlanCountsFor = 4;

    /// <summary>A gap longer than this many times a panel's own is no painting: something came between.</summary>
    private const double NoPaintingFrom = 4;

    private readonly PlannedMix mix;
    private readonly CoverRemoval freeing;
    private readonly DevelopmentChecks told;
    private readonly Dictionary<PanelKey, PlannedPanel> panels;
    private readonly Dictionary<(PanelKey Panel, int Step), double> minutes;

    private ServiceClock(PlannedMix mix, ServiceInHand service, DateTimeOffset now, Rinsing rinsing)
    {
        (this.mix, Service, Now) = (mix, service, now);
        freeing = CoverRemoval.Of(mix.Head);
        panels = mix.Head.Panels.ToDictionary(p => p.Panel.Key);
        minutes = mix.Timeline.Turns.ToDictionary(t => (t.Panel, t.Step), t => t.To - t.From);
        told = new(mix.Head, service, panels);
        Pace = PaceOf();
        var ahead =
            rinsing is Rinsing.Once
                ? RinsesAhead.AtOnce(service, Clocked(), HandsFree)
                : RinsesAhead.Of(service, Clocked(), RinseFree, freeing, IsRinsedBeside);
        (OnClock, Rinses, IsInTime, IsProven) = (ahead.OnClock, ahead.Rinses, ahead.IsInTime, ahead.IsProven);
        var rinsed = Rinses.Count > 0 ? FreedAt(Rinses[^1]) : RinseEndsAt;
        var areas = Service.Rinse is null ? AreasOn : [];
        var worked = areas.Max(a => (DateTimeOffset?)a.DoneAt)?.AddMinutes(PaintingTime.RinsingMinutes);
        DoneAt = (rinsed > worked ? rinsed : worked ?? rinsed)?.AddMinutes(PaintingTime.AfterRinsing);
    }

    /// <summary>The service.</summary>
    public ServiceInHand Service { get; }

    /// <summary>What time it is.</summary>
    public DateTimeOffset Now { get; }

    /// <summary>How the artist's pace compares to the plan's: 1 as planned, more is slower.</summary>
    public double Pace { get; }

    /// <summary>The step's panels on the clock, in order.</summary>
    public IReadOnlyList<PanelOnClock> OnClock { get; }

    /// <summary>Rinses to come.</summary>
    public IReadOnlyList<RinseAhead> Rinses { get; }

    /// <summary>Whether every panel can be rinsed within its window.</summary>
    public bool IsInTime { get; }

    /// <summary>Whether no other rinses end sooner.</summary>
    public bool IsProven { get; }

    /// <summary>When the step is washed and read; null while nothing is to come.</summary>
    public DateTimeOffset? DoneAt { get; }

    /// <summary>What looks told, in order.</summary>
    public IReadOnlyList<DevelopmentCheck> Told => told.All;

    /// <summary>When the rinse under way is over; null for none.</summary>
    public DateTimeOffset? RinseEndsAt => Service.Rinse is { } w ? RinseEnds(w) : null;

    /// <summary>By how much what is painted took less than planned, minutes; negative for more.</summary>
    public double AheadMinutes
    {
        get
        {
            var painted = OnClock.Where(p => p.IsPainted && StepAt(p.Panel) == Service.Step).ToArray();
            if (painted.Length == 0)
            {
                return 0;
            }

            var took = (painted.Max(p => p.PaintedAt) - painted.Min(p => p.PaintedAt)).TotalMinutes;
            var first = painted.MinBy(p => p.PaintedAt)!.Panel;
            return painted
                    .Where(p => p.Panel != first)
                    .Sum(p => minutes.GetValueOrDefault((p.Panel, StepAt(p.Panel))) / Service.StandOf(p.Panel).Pairs)
                - took;
        }
    }

    /// <summary>What works over areas, the first laid first.</summary>
    public IReadOnlyList<AreaOnClock> AreasOn => AreaOnClock.Of(mix.Head.Plan, Service);

    /// <summary>The bowl that is mixed before what waits can be laid over an area; null for none.</summary>
    public PlannedBowl? BowlForArea
    {
        get
        {
            if (!Service.AreaWaits || mix.Head.Plan.StepsOf()[Service.Step].Formula is not { } formula)
            {
                return null;
            }

            var its = mix.Bowls.Where(b => b.Batch.Formula == formula && b.Batch.Panels.Count == 0).ToArray();
            return its.Any(b => MixedAt(b) is not null) ? null : its.FirstOrDefault();
        }
    }

    /// <summary>What mixing a bowl takes, minutes.</summary>
    public double MixingMinutes => mix.Bench.MixingMinutes;

    /// <summary>The clock of a service.</summary>
    /// <param name="mix">The pinned plan with its bowls.</param>
    /// <param name="service">The service as it stands.</param>
    /// <param name="now">What time it is.</param>
    /// <param name="rinsing">How it is rinsed; null as planned.</param>
    public static ServiceClock Of(PlannedMix mix, ServiceInHand service, DateTimeOffset now, Rinsing? rinsing = null)
    {
        ArgumentNullException.ThrowIfNull(mix);
        ArgumentNullException.ThrowIfNull(service);
        return new(mix, service, now, rinsing ?? mix.Head.Plan.Rinse);
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
                        s.Rinse,
                        // A treatment is laid over all that is lightened, and works as what lies over an area does.
                        s.IsPainted
                            ? null
                            : s.MinutesOf(mix.Head.Plan)
                    )
            )
            .ToArray();
    }

    /// <summary>Seconds a panel takes at the artist's pace.</summary>
    public double SecondsOf(PanelKey panel) =>
        minutes.GetValueOrDefault((panel, StepAt(panel))) * 60 * Pace / Service.Pairs;

    /// <summary>The step a panel's paint belongs to: what goes on beneath the next step keeps its own.</summary>
    private int StepAt(PanelKey panel) =>
        Service.StandOf(panel) is { PaintedAt: not null } stand ? stand.Step : Service.Step;

    /// <summary>The bowl a panel is painted from; null where none is planned.</summary>
    public PlannedBowl? BowlOf(PanelKey panel)
    {
        var formulas = panels[panel].Coats.Where(c => c.Step == StepAt(panel)).Select(c => c.Formula.Id).ToHashSet();
        return mix.Bowls.LastOrDefault(b => formulas.Contains(b.Batch.Formula) && b.Batch.Panels.Contains(panel));
    }

    /// <summary>When a bowl was mixed, by what was said at the chair or on the scale; null while it was not.</summary>
    public DateTimeOffset? MixedAt(PlannedBowl bowl)
    {
        ArgumentNullException.ThrowIfNull(bowl);
        return Service.Bowls.TryGetValue((bowl.Batch.Formula, bowl.Batch.Ordinal), out var at) ? at : null;
    }

    /// <summary>What the panels still to be painted from a bowl take, g.</summary>
    public double LeftGrams(PlannedBowl bowl)
    {
        ArgumentNullException.ThrowIfNull(bowl);
        return TakenFrom(bowl, p => !Service.StandOf(p).IsLeft && Service.StandOf(p).PaintedAt is null);
    }

    /// <summary>
    /// What goes into a bowl that is mixed now, g: all of it as planned, or its share where some of its panels are
    /// painted already from one that is gone.
    /// </summary>
    public double ToMixGrams(PlannedBowl bowl)
    {
        ArgumentNullException.ThrowIfNull(bowl);
        var all = TakenFrom(bowl, _ => true);
        return all > 0 ? bowl.Batch.Grams * LeftGrams(bowl) / all : bowl.Batch.Grams;
    }

    private double TakenFrom(PlannedBowl bowl, Func<PanelKey, bool> which) =>
        mix
            .Takes.Where(t => t.Formula == bowl.Batch.Formula && bowl.Batch.Panels.Contains(t.Panel) && which(t.Panel))
            .Sum(t => t.Grams);

    /// <summary>What the plan covers a panel with.</summary>
    public Covering CoveringOf(PanelKey panel) =>
        panels[panel].Coats.LastOrDefault(c => c.Step == StepAt(panel))?.Painted.Paint.Covering ?? Covering.Open;

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
            var meant = minutes.GetValueOrDefault((panel, StepAt(panel)));
            if (before is { } b && (at - b).TotalMinutes is var gap && gap > 0 && gap < NoPaintingFrom * meant)
            {
                (took, planned) = (took + gap * Service.StandOf(panel).Pairs, planned + meant);
            }

            before = at;
        }

        var usual = minutes.Count == 0 ? 1 : minutes.Values.Average() * PlanCountsFor;
        return (took + usual) / (planned + usual);
    }

    /// <summary>The last panel rinsed, sheets out, teasing worked free.</summary>
    private DateTimeOffset RinseEnds(RinseInHand rinse) =>
        rinse.BegunAt.AddMinutes(
            ScheduleProblem.UsualSlot(Math.Max(0, rinse.Panels.Count - 1)) + freeing.Minutes(rinse.Panels)
        );

    /// <summary>When a rinse's last panel is rinsed, its sheets are out and its teasing is worked free.</summary>
    /// <param name="rinse">The rinse.</param>
    public DateTimeOffset FreedAt(RinseAhead rinse)
    {
        ArgumentNullException.ThrowIfNull(rinse);
        return rinse.EndsAt.AddMinutes(freeing.Minutes(rinse.Panels));
    }

    /// <summary>Whether somebody mixes while painting goes on.</summary>
    private bool IsMixedBeside => Service.Help is Help.Mixes or Help.Paints;

    /// <summary>Whether somebody rinses while painting goes on.</summary>
    private bool IsRinsedBeside => Service.Help is Help.Rinses;

    /// <summary>When the next rinse can begin: now, or when the one under way is over.</summary>
    private DateTimeOffset RinseFree => RinseEndsAt > Now ? RinseEndsAt.Value : Now;

    /// <summary>When painting can go on: now, or when the rinse under way is over and nobody else rinses it.</summary>
    private DateTimeOffset HandsFree => IsRinsedBeside ? Now : RinseFree;

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

            var takes = TimeSpan.FromSeconds(SecondsOf(panel));
            DateTimeOffset begun,
                painted;
            if (stand.PaintedAt is { } was)
            {
                (begun, painted) = (was - takes, was);
            }
            else
            {
                if (BowlOf(panel) is { } bowl && MixedAt(bowl) is null && mixed.Add(bowl.Number) && !IsMixedBeside)
                {
                    at = at.AddMinutes(mix.Bench.MixingMinutes);
                }

                // The panel in hand was begun when hands last did something.
                var since =
                    isFirst && (Service.Rinse is null || IsRinsedBeside) && Service.PausedAt is null
                        ? Service.HandsSince
                        : null;
                begun = since is { } s && s < at && at - s < takes ? s : at;
                painted = begun + takes;
                at = painted;
                isFirst = false;
            }

            var window = PanelWindow.Of(
                panels[panel],
                mix.Head.Hair,
                StepAt(panel),
                told.OwnAt(panel),
                heat => CoatCourse.Of(Service, stand, heat, painted, Now),
                mix.Head.Plan.StepsOf()[StepAt(panel)]
            );
            clocked.Add(
                new(
                    panel,
                    begun,
                    painted,
                    stand.PaintedAt is not null,
                    stand.RinsedAt,
                    window is null ? null : painted.AddMinutes(window.From),
                    window is null ? null : painted.AddMinutes(window.To),
                    window
                )
            );
        }

        return clocked;
    }
}
