using Wendro.Plans;

namespace Wendro.Apply;

/// <summary>What is laid over an area and works: when it is looked at, done, and over.</summary>
/// <param name="Words">What it is: "base, root to 4 cm".</param>
/// <param name="LaidAt">When all of it was on.</param>
/// <param name="Minutes">How long it works, minutes.</param>
/// <param name="LookAfter">Minutes after which it is looked at first; null where nobody said.</param>
/// <param name="AtMost">Minutes after which it must be off; null where nobody said.</param>
/// <param name="IsRinsed">Whether it is rinsed when it has worked; else it works on beneath what comes next, or until
/// panels are rinsed.</param>
public sealed record AreaOnClock(
    string Words,
    DateTimeOffset LaidAt,
    double Minutes,
    double? LookAfter,
    double? AtMost,
    bool IsRinsed
)
{
    /// <summary>When it has worked.</summary>
    public DateTimeOffset DoneAt => LaidAt.AddMinutes(Minutes);

    /// <summary>When it must be off; null where nobody said.</summary>
    public DateTimeOffset? OverAt => AtMost is { } most ? LaidAt.AddMinutes(most) : null;

    /// <summary>What works over areas, the first laid first.</summary>
    /// <param name="plan">The pinned plan.</param>
    /// <param name="service">The service as it stands.</param>
    public static IReadOnlyList<AreaOnClock> Of(Plan plan, ServiceInHand service)
    {
        ArgumentNullException.ThrowIfNull(plan);
        ArgumentNullException.ThrowIfNull(service);
        var steps = plan.StepsOf();
        return service.Areas.Where(a => a.IsOn).Select(On).ToArray();

        AreaOnClock On(AreaState area)
        {
            var step = steps[area.Step];
            return new(
                step.Words,
                area.LaidAt,
                step.MinutesOf(plan),
                step.EarliestMinutes,
                step.LatestMinutes,
                service.RinsesAreas
            );
        }
    }
}
