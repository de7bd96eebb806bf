using Wendro.Core.Chair;
using Wendro.Core.Plans;
using Wendro.Core.Section;
using Wendro.Core.Timing;

namespace Wendro.Core.Apply;

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

/// <summary>A wave of a visit to come, minutes.</summary>
/// <param name="StartsAt">When it starts.</param>
/// <param name="EndsAt">When its last panel is rinsed.</param>
/// <param name="FreedAt">When sheets are out and teasing is worked free.</param>
/// <param name="Panels">Its panels in the order they are rinsed.</param>
public sealed record WaveOfVisit(double StartsAt, double EndsAt, double FreedAt, IReadOnlyList<PanelKey> Panels);

/// <summary>A step of a visit to come, minutes.</summary>
/// <param name="Number">Which, from 0.</param>
/// <param name="From">When it is begun.</param>
/// <param name="Panels">Its panels in the order they are painted.</param>
/// <param name="Waves">Its waves.</param>
/// <param name="DoneAt">When it is rinsed, washed, dried and read.</param>
/// <param name="IsProven">Whether no other waves end sooner.</param>
public sealed record StepOfVisit(
    int Number,
    double From,
    IReadOnlyList<PanelAhead> Panels,
    IReadOnlyList<WaveOfVisit> Waves,
    double DoneAt,
    bool IsProven
);

/// <summary>
/// A whole visit on one time axis before it begins: bowls mixed, panels painted, waves, washing, step by step. What the
/// service will be held against.
/// </summary>
/// <param name="Mix">The plan with its bowls.</param>
/// <param name="Steps">The steps in order.</param>
/// <param name="Pairs">Pairs of hands that paint.</param>
public sealed record VisitOnClock(PlannedMix Mix, IReadOnlyList<StepOfVisit> Steps, int Pairs)
{
    /// <summary>Minutes in the chair, from the first bowl to the last reading.</summary>
    public double Minutes => Steps.Count == 0 ? 0 : Steps[^1].DoneAt;

    /// <summary>All waves in order.</summary>
    public IEnumerable<WaveOfVisit> Waves => Steps.SelectMany(s => s.Waves);

    /// <summary>Panels that are rinsed outside their windows.</summary>
    public IReadOnlyList<PanelAhead> Outside => Steps.SelectMany(s => s.Panels).Where(p => p.IsOutside).ToArray();

    /// <summary>Whether no other waves of the same painting end sooner.</summary>
    public bool IsProven => Steps.All(s => s.IsProven);

    /// <summary>Puts a visit on the clock.</summary>
    /// <param name="mix">The plan with its bowls.</param>
    /// <param name="pairs">Pairs of hands that paint, 1 or 2.</param>
    /// <param name="atOnce">Whether each step is rinsed in one wave, and not in as many as end soonest.</param>
    public static VisitOnClock Of(PlannedMix mix, int pairs = 1, bool atOnce = false)
    {
        ArgumentNullException.ThrowIfNull(mix);
        var toDo = ServiceClock.StepsOf(mix);
        var told = mix.Head.Plan.StepsOf();
        var steps = new List<StepOfVisit>();
        var from = 0.0;
        for (var i = 0; i < toDo.Count; i++)
        {
            // Another step than the painted ones is timed as the bench times it.
            var laid = mix.Timeline.Steps.Count > i ? mix.Timeline.Steps[i] : default;
            var step =
                toDo[i].Panels.Count == 0
                    ? new StepOfVisit(i, from, [], [], from + laid.NextAt - laid.From, true)
                    : Of(mix, ServiceInHand.Before(toDo, i, pairs), from, told[i].Rinse || i == toDo.Count - 1, atOnce);
            steps.Add(step);
            from = step.DoneAt;
        }

        return new(mix, steps, pairs);
    }

    private static StepOfVisit Of(PlannedMix mix, ServiceInHand service, double from, bool rinsed, bool atOnce)
    {
        var start = DateTimeOffset.UnixEpoch.AddMinutes(from);
        var clock = ServiceClock.Of(mix, service, start, atOnce);
        static double At(DateTimeOffset at) => (at - DateTimeOffset.UnixEpoch).TotalMinutes;
        var slots = rinsed
            ? clock
                .Waves.SelectMany(w => w.Panels.Select((p, j) => (p, At(w.StartsAt) + ChairProblem.UsualSlot(j))))
                .ToDictionary(x => x.p, x => x.Item2)
            : [];
        var panels = clock
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
        var waves = rinsed
            ? clock
                .Waves.Select(w => new WaveOfVisit(
                    At(w.StartsAt),
                    At(w.EndsAt),
                    At(w.EndsAt) + Freeing.Minutes(w.Panels.Select(clock.PlannedOf).ToArray(), mix.Head),
                    w.Panels
                ))
                .ToArray()
            : [];
        var painted = panels.Length == 0 ? from : panels.Max(p => p.PaintedAt);
        var done =
            waves.Length == 0
                ? painted
                : Math.Max(painted, waves.Max(w => w.FreedAt))
                    + PaintingTime.WashingMinutes
                    + PaintingTime.DryingMinutes
                    + PaintingTime.ReadingMinutes;
        return new(service.Step, from, panels, waves, done, clock.IsProven);
    }
}
