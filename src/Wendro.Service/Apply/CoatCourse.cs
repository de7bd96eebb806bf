using Wendro.Lift;

namespace Wendro.Apply;

/// <summary>What changed, and what is still meant to change, while a panel works at the chair.</summary>
internal static class CoatCourse
{
    /// <summary>
    /// The turns of a panel. Where a plan reckons with heat it counts from when it is on: until then, and while it
    /// never was, the panel works without, and is meant to have it from now on.
    /// </summary>
    /// <param name="service">The service as it stands.</param>
    /// <param name="stand">How the panel stands.</param>
    /// <param name="heatPlanned">Whether its formula reckons with low heat.</param>
    /// <param name="paintedAt">When it is, or was, painted.</param>
    /// <param name="now">What time it is.</param>
    public static IReadOnlyList<LiftTurn> Of(
        ServiceInHand service,
        PanelState stand,
        bool heatPlanned,
        DateTimeOffset paintedAt,
        DateTimeOffset now
    )
    {
        double Minute(DateTimeOffset at) => Math.Max(0, (at - paintedAt).TotalMinutes);
        var turns = (stand.Turns ?? []).Select(t => new LiftTurn(
            Minute(t.At),
            Covering: t.Covering,
            IsFresh: t.IsFresh
        ));
        if (service.SeatedAt is null || (!heatPlanned && service.Heat.Count == 0))
        {
            return turns.ToArray();
        }

        // The last turn of heat before it was painted holds at its first minute.
        var heat = service.Heat.Select(h => new LiftTurn(Minute(h.At), LowHeat: h.On));
        var meant = heatPlanned && service.Heat.Count == 0 ? [new LiftTurn(Minute(now), LowHeat: true)] : heat;
        return [new LiftTurn(0, LowHeat: false), .. turns.Concat(meant).OrderBy(t => t.AtMinute)];
    }
}
