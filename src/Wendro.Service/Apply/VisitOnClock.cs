using Wendro.Blend;
using Wendro.Head;
using Wendro.Mix;
using Wendro.Plans;
using Wendro.Scheduling;
using Wendro.Section;
using Wendro.Timing;

namespace Wendro.Apply;

/// <summary>A panel of a visit to come; all in minutes after the client sat down.</summary>
/// <param name="Panel">Which.</param>
/// <param name="BegunAt">When it is begun.</param>
/// <param name="PaintedAt">When it is painted.</param>
/// <param name="RinsedAt">When it is rinsed; null where it is not before the next step.</param>
/// <param name="FromAt">Soonest it may be rinsed; null where nothing is known of it.</param>
/// <param name="ToAt">Latest it must be.</param>
/// <param name="By">What ends it; null where nothing is known.</param>
public sealed record PanelAhead(
    PanelKey Panel,
    double BegunAt,
    double PaintedAt,
    double? RinsedAt,
    double? FromAt,
    double? ToAt,
    EndsBy? By
)
{
    private const double Hair = 1e-4;

    /// <summary>Whether it is rinsed outside its window.</summary>
    public bool IsOutside => RinsedAt < FromAt - Hair || RinsedAt > ToAt + Hair;
}

/// <summary>A rinse of a visit to come, minutes.</summary>
/// <param name="StartsAt">When it starts.</param>
/// <param name="EndsAt">When its last panel is rinsed.</param>
/// <param name="FreedAt">When sheets are out and teasing is worked free.</param>
/// <param name="Panels">Its panels in the order they are rinsed.</param>
public sealed record RinseOfVisit(double StartsAt, double EndsAt, double FreedAt, IReadOnlyList<PanelKey> Panels);

/// <summary>A step of a visit to come, minutes.</summary>
/// <param name="Number">Which, from 0.</param>
/// <param name="From">When it is begun.</param>
/// <param name="Panels">Its panels in the order they are painted.</param>
/// <param name="Rinses">Its rinses.</param>
/// <param name="DoneAt">When it is rinsed, washed, dried and read.</param>
/// <param name="IsProven">Whether no other rinses end sooner.</param>
/// <param name="Area">What it lays over an area; null where it paints panels.</param>
/// <param name="WashingAt">When all is rinsed and washing begins; null where it is not washed before the next.</param>
public sealed record StepOfVisit(
    int Number,
    double From,
    IReadOnlyList<PanelAhead> Panels,
    IReadOnlyList<RinseOfVisit> Rinses,
    double DoneAt,
    bool IsProven,
    AreaOfVisit? Area = null,
    double? WashingAt = null
);

/// <summary>What a step to come lays over an area, minutes.</summary>
/// <param name="LaidAt">When all of it is on.</param>
/// <param name="WorkedAt">When it has worked.</param>
public sealed record AreaOfVisit(double LaidAt, double WorkedAt);

/// <summary>A bowl of a visit to come, minutes.</summary>
/// <param name="MixAt">When mixing begins.</param>
/// <param name="ReadyAt">When it is mixed.</param>
/// <param name="PaintedUntil">When its last panel is painted.</param>
/// <param name="LivesUntil">When it must not be painted from any more.</param>
public readonly record struct BowlOnClock(double MixAt, double ReadyAt, double PaintedUntil, double LivesUntil);

/// <summary>
/// A whole visit on one time axis before it begins: bowls mixed, panels painted, rinses, washing, step by step.
/// What the
/// service will be held against.
/// </summary>
/// <param name="Mix">The plan with its bowls.</param>
/// <param name="Steps">The steps in order.</param>
/// <param name="Help">What a second pair of hands does; null for none.</param>
public sealed record VisitOnClock(PlannedMix Mix, IReadOnlyList<StepOfVisit> Steps, Help? Help)
{
    /// <summary>Minutes in the chair, from the first bowl to the last reading.</summary>
    public double Minutes => Steps.Count == 0 ? 0 : Steps[^1].DoneAt;

    /// <summary>All rinses in order.</summary>
    public IEnumerable<RinseOfVisit> Rinses => Steps.SelectMany(s => s.Rinses);

    /// <summary>Panels that are rinsed outside their windows.</summary>
    public IReadOnlyList<PanelAhead> Outside => Steps.SelectMany(s => s.Panels).Where(p => p.IsOutside).ToArray();

    /// <summary>Whether no other rinses of the same painting end sooner.</summary>
    public bool IsProven => Steps.All(s => s.IsProven);

    /// <summary>
    /// What is wrong with the bowls, and what was set aside with it. What would be over before the last is painted is
    /// nothing to mind where rinses rinse it in time.
    /// </summary>
    public IReadOnlyList<Finding> AllFindings() =>
        Mix.AllFindings().Where(f => f.Kind != MixFault.FirstOver || !IsRinsedInTime(f.Panels)).ToArray();

    private bool IsRinsedInTime(IReadOnlyList<PanelKey> panels)
    {
        var those = panels.ToHashSet();
        return Mix.Head.Plan.Rinse is Rinsing.InRinses
            && Steps
                .SelectMany(s => s.Panels)
                .Where(p => those.Contains(p.Panel))
                .All(p => p.RinsedAt is not null && !p.IsOutside);
    }

    /// <summary>A bowl as the whole visit has it: rinses come between its panels and those before.</summary>
    /// <param name="bowl">One of the mix's bowls.</param>
    public BowlOnClock On(PlannedBowl bowl)
    {
        ArgumentNullException.ThrowIfNull(bowl);
        var batch = bowl.Batch;
        var step = Mix.Head.Plan.StepOf(batch.Formula);
        var keys = batch.Panels.ToHashSet();
        var own = Steps.Where(s => s.Number == step).SelectMany(s => s.Panels).Where(p => keys.Contains(p.Panel));
        if (own.ToArray() is not { Length: > 0 } panels)
        {
            return new(batch.MixAt, batch.ReadyAt, batch.PaintedUntil, batch.LivesUntil);
        }

        var ready = panels.Min(p => p.BegunAt);
        return new(
            ready - (batch.ReadyAt - batch.MixAt),
            ready,
            panels.Max(p => p.PaintedAt),
            ready + (batch.LivesUntil - batch.ReadyAt)
        );
    }

    /// <summary>When a zone's first panel is begun, minutes; null where nothing is painted there.</summary>
    public double? BegunAt(Zone zone) => In(zone).Select(p => (double?)p.BegunAt).FirstOrDefault();

    /// <summary>When its last panel is painted in the step that paints it first, minutes.</summary>
    public double? PaintedBy(Zone zone) => In(zone).Select(p => (double?)p.PaintedAt).LastOrDefault();

    private IEnumerable<PanelAhead> In(Zone zone) =>
        Steps.Select(s => s.Panels.Where(p => p.Panel.Zone == zone).ToArray()).FirstOrDefault(p => p.Length > 0) ?? [];

    /// <summary>How often bowls are mixed anew for the rinses that come between, at most. Model assumption.</summary>
    private const int MostRemixes = 4;

    /// <summary>
    /// Puts a visit on the clock, its bowls mixed so that none is painted from after its end: rinses come between its
    /// panels, where they come depends on mixing, and so on until none is too old, or as little as can be found.
    /// </summary>
    /// <param name="mix">The plan with its bowls.</param>
    /// <param name="help">What a second pair of hands does; null for none.</param>
    /// <param name="rinsing">How it is rinsed; null as planned.</param>
    public static VisitOnClock Of(PlannedMix mix, Help? help = null, Rinsing? rinsing = null)
    {
        ArgumentNullException.ThrowIfNull(mix);
        var best = Once(mix.WithoutRests(), help, rinsing);
        var last = best;
        for (var i = 0; i < MostRemixes && last.TooOldMinutes > 1e-6; i++)
        {
            last = Once(mix.Resting(last.Rests()), help, rinsing);
            best = last.TooOldMinutes < best.TooOldMinutes ? last : best;
        }

        return best;
    }

    /// <summary>Minutes that bowls are painted from after their end, all together.</summary>
    private double TooOldMinutes =>
        Mix.Bowls.Where(b => b.Batch.Panels.Count > 1).Select(On).Sum(b => Math.Max(0, b.PaintedUntil - b.LivesUntil));

    /// <summary>Minutes that hands are at something else than the bench before a panel of a step.</summary>
    private Dictionary<(PanelKey Panel, int Step), double> Rests()
    {
        var mixed = Mix.Bowls.Where(b => b.Batch.Panels.Count > 0).Select(On).Select(b => b.ReadyAt).ToArray();
        var takes = Help is Apply.Help.Mixes or Apply.Help.Paints ? 0 : Mix.Bench.MixingMinutes;
        var rests = new Dictionary<(PanelKey Panel, int Step), double>();
        foreach (var step in Steps)
        {
            var turns = step.Panels.OrderBy(p => p.BegunAt).ToArray();
            foreach (var (before, panel) in turns.Zip(turns.Skip(1)))
            {
                var mixing = mixed.Count(m => Math.Abs(m - panel.BegunAt) < 1e-6) * takes;
                if (panel.BegunAt - before.PaintedAt - mixing is var rest and > 1e-6)
                {
                    rests[(panel.Panel, step.Number)] = rest;
                }
            }
        }

        return rests;
    }

    private static VisitOnClock Once(PlannedMix mix, Help? help, Rinsing? rinsing)
    {
        var toDo = ServiceClock.StepsOf(mix);
        var steps = new List<StepOfVisit>();
        var from = 0.0;
        // Over areas, from steps before that were not rinsed: when the last of it has worked.
        double? areas = null;
        for (var i = 0; i < toDo.Count; i++)
        {
            var beneath = steps.SelectMany(s => s.Panels.Where(p => p.RinsedAt is null).Select(p => (s.Number, p)));
            var on = beneath.ToDictionary(b => b.p.Panel, b => new PanelState(Instant(b.p.PaintedAt), Step: b.Number));
            var goesOn =
                i + 1 < toDo.Count
                && !toDo[i].Rinse
                && !toDo[i + 1].Panels.Intersect(toDo[i].Panels.Concat(on.Keys)).Any();
            var laid = mix.Timeline.Steps.Count > i ? mix.Timeline.Steps[i] : default;
            var (step, rinsed) = Of(mix, ServiceInHand.Before(toDo, i, help, on), from, laid, goesOn, rinsing, areas);
            steps = steps
                .Select(s => s with { Panels = s.Panels.Select(p => rinsed.GetValueOrDefault(p.Panel) ?? p).ToArray() })
                .Append(step)
                .ToList();
            from = step.DoneAt;
            areas = step.WashingAt is null ? Later(areas, step.Area?.WorkedAt) : null;
        }

        return new(mix, steps, help);
    }

    /// <summary>Some day: a visit to come has none yet, and only minutes are told.</summary>
    private static readonly DateTimeOffset SomeDay = new(2000, 1, 1, 0, 0, 0, TimeSpan.Zero);

    private static DateTimeOffset Instant(double minute) => SomeDay.AddMinutes(minute);

    /// <summary>A step, and what goes on beneath it from steps before as it is rinsed with it.</summary>
    private static (StepOfVisit Step, IReadOnlyDictionary<PanelKey, PanelAhead> Beneath) Of(
        PlannedMix mix,
        ServiceInHand service,
        double from,
        StepTurn laid,
        bool goesOn,
        Rinsing? rinsing,
        double? areas
    )
    {
        // What is laid over an area is timed as the bench times it, and hands are at it until it is laid.
        var onlyArea = service.Next is null;
        var clock = ServiceClock.Of(mix, service, Instant(onlyArea ? from + laid.LaidAt - laid.From : from), rinsing);
        static double At(DateTimeOffset at) => (at - SomeDay).TotalMinutes;
        IReadOnlyList<RinseAhead> ahead = goesOn ? [] : clock.Rinses;
        var slots = ahead
            .SelectMany(w => w.Panels.Select((p, j) => (p, At: At(w.StartsAt) + ScheduleProblem.UsualSlot(j))))
            .ToDictionary(x => x.p, x => x.At);
        var all = clock
            .OnClock.Select(p => new PanelAhead(
                p.Panel,
                At(p.BegunAt),
                At(p.PaintedAt),
                slots.TryGetValue(p.Panel, out var r) ? r : null,
                p.FromAt is { } soonest ? At(soonest) : null,
                p.ToAt is { } latest ? At(latest) : null,
                p.Window?.By
            ))
            .ToArray();
        var rinses = ahead
            .Select(w => new RinseOfVisit(At(w.StartsAt), At(w.EndsAt), At(clock.FreedAt(w)), w.Panels))
            .ToArray();
        var panels = all.Where(p => !service.Panels.ContainsKey(p.Panel)).ToArray();
        var plan = mix.Head.Plan;
        var step = plan.StepsOf()[service.Step];
        var laidAt = from + laid.LaidAt - laid.From;
        AreaOfVisit? area = onlyArea && laidAt > from ? new(laidAt, laidAt + step.MinutesOf(plan)) : null;
        var worked = goesOn ? null : Later(areas, step.Rinse ? area?.WorkedAt : null) + PaintingTime.RinsingMinutes;
        var laidOn = panels.Select(p => p.PaintedAt).Append(area?.LaidAt ?? from).Max();
        var washingAt = Later(worked, rinses.Length > 0 ? Math.Max(laidOn, rinses.Max(w => w.FreedAt)) : null);
        return (
            new(
                service.Step,
                from,
                panels,
                rinses,
                washingAt + PaintingTime.AfterRinsing ?? laidOn,
                goesOn || clock.IsProven,
                area,
                washingAt
            ),
            all.Where(p => service.Panels.ContainsKey(p.Panel)).ToDictionary(p => p.Panel)
        );
    }

    private static double? Later(double? one, double? other) => one > other ? one : other ?? one;
}
