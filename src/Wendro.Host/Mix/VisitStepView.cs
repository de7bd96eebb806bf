using Wendro.Apply;
using Wendro.Plans;

namespace Wendro.Host.Mix;

/// <summary>One step of the visit on the clock.</summary>
/// <param name="Number">Which, from 0.</param>
/// <param name="Kind">What it is for.</param>
/// <param name="Words">What it is, in plain words.</param>
/// <param name="Formula">What is laid over its area; null for what is painted on panels, and for a treatment.</param>
/// <param name="Grams">What it takes, g.</param>
/// <param name="FromMinute">When it is begun, minutes into the work.</param>
/// <param name="LaidAtMinute">When all of it is laid.</param>
/// <param name="DoneAtMinute">When the last of it has worked.</param>
/// <param name="NextAtMinute">When the next step can begin.</param>
/// <param name="Rinse">Whether it is rinsed before the next.</param>
internal sealed record VisitStepView(
    int Number,
    StepKind Kind,
    string Words,
    string? Formula,
    double Grams,
    double FromMinute,
    double LaidAtMinute,
    double DoneAtMinute,
    double NextAtMinute,
    bool Rinse
)
{
    public static IReadOnlyList<VisitStepView> Of(VisitOnClock visit)
    {
        var mix = visit.Mix;
        var plan = mix.Head.Plan;
        var steps = plan.StepsOf();
        return mix
            .Timeline.Steps.Zip(
                visit.Steps,
                (t, on) =>
                    new VisitStepView(
                        t.Number,
                        steps[t.Number].Kind,
                        steps[t.Number].Words,
                        steps[t.Number].Formula?.ToString(),
                        mix.AreaTakes.Where(a => a.Step == t.Number).Sum(a => a.Grams)
                            + mix.Takes.Where(p => steps[t.Number].IsPainted && plan.StepOf(p.Formula) == t.Number)
                                .Sum(p => p.Grams),
                        on.From,
                        on.Panels.Count > 0 ? on.Panels.Max(p => p.PaintedAt) : on.From + t.LaidAt - t.From,
                        on.Rinses.Count > 0 ? on.Rinses[^1].EndsAt : on.From + t.DoneAt - t.From,
                        on.DoneAt,
                        steps[t.Number].Rinse
                    )
            )
            .ToArray();
    }
}

/// <summary>A rinse rinse on the clock, minutes into the work.</summary>
/// <param name="FromMinute">When it begins.</param>
/// <param name="ToMinute">When its last panel is rinsed.</param>
/// <param name="Panels">How many panels.</param>
internal sealed record RinseOnClock(double FromMinute, double ToMinute, int Panels);
