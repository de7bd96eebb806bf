using Wendro.Apply;
using Wendro.Blend;
using Wendro.Hair;
using Wendro.Lift;
using Wendro.Plans;
using Wendro.Timing;
using Wendro.Units;

namespace Wendro.Review;

/// <summary>How long a panel worked, as the chair tells it.</summary>
/// <param name="Minutes">From painted to rinsed, minutes.</param>
/// <param name="Alike">As many minutes as would have brought it as far uncovered, unwarmed and painted once.</param>
public readonly record struct ActualMinutes(double Minutes, double Alike);

/// <summary>The plan with the minutes that really were: what the model forecasts of what happened.</summary>
public static class ActualForecast
{
    /// <summary>How long a coat of a panel worked; null where the chair tells nothing of it.</summary>
    public static ActualMinutes? Of(ServiceInHand service, PlannedHead head, PlannedPanel panel, Coat coat)
    {
        ArgumentNullException.ThrowIfNull(service);
        ArgumentNullException.ThrowIfNull(head);
        ArgumentNullException.ThrowIfNull(panel);
        ArgumentNullException.ThrowIfNull(coat);
        var key = panel.Panel.Key;
        if (
            !service.Finished.TryGetValue((key, coat.Step), out var stand)
            || stand is not { PaintedAt: { } painted, RinsedAt: { } rinsed }
        )
        {
            return null;
        }

        var minutes = Math.Clamp((rinsed - painted).TotalMinutes, 0, Minutes.Longest);
        if (coat.LiftingOf(head.Hair, key.Zone, HairState.Of(head.Hair.In(key.Zone))[0]) is not { } lifting)
        {
            return new(minutes, minutes);
        }

        var turns = CoatCourse.Of(service, stand, lifting.Case.LowHeat, painted, rinsed);
        var course = new LiftCourse(lifting, turns.Where(t => t.AtMinute < minutes).ToArray());
        return new(minutes, course.Unchanged(minutes, Minutes.Longest));
    }

    /// <summary>All coats with the minutes they worked; those nothing is told of stay as planned.</summary>
    /// <param name="head">The head as planned.</param>
    /// <param name="service">What happened at the chair.</param>
    /// <param name="weighed">The mixtures as weighed.</param>
    public static ActualApplication On(PlannedHead head, ServiceInHand service, ActualApplication weighed)
    {
        ArgumentNullException.ThrowIfNull(head);
        ArgumentNullException.ThrowIfNull(weighed);
        var laid = weighed;
        foreach (var panel in head.Panels)
        {
            for (var i = 0; i < panel.Coats.Count; i++)
            {
                if (Of(service, head, panel, panel.Coats[i]) is { } worked)
                {
                    laid = laid.With(panel.Panel.Key, i, new(Works: Exposure.Lasting(worked.Alike)));
                }
            }
        }

        return laid;
    }
}
