using Wendro.Blend;
using Wendro.Hair;
using Wendro.Lift;
using Wendro.Plans;
using Wendro.Section;
using Wendro.Timing;
using Wendro.Units;

namespace Wendro.Apply;

/// <summary>Why a panel must be rinsed by then.</summary>
public enum EndsBy
{
    /// <summary>It would be lighter than wanted.</summary>
    Level,

    /// <summary>The leaflet allows no longer.</summary>
    Leaflet,

    /// <summary>It dries and does no more.</summary>
    Dries,

    /// <summary>The plan has the step done by then.</summary>
    Planned,
}

/// <summary>When a panel may be rinsed, minutes after it was painted.</summary>
/// <param name="From">Soonest: then it is within the tolerance of what was planned.</param>
/// <param name="To">Latest.</param>
/// <param name="By">What ends it.</param>
/// <param name="Reaches">The level it reaches by then, at most what was planned.</param>
/// <param name="Target">The level that was planned.</param>
/// <param name="LimitMinutes">What the leaflet allows, minutes; null where there is none.</param>
public sealed record PanelWindow(double From, double To, EndsBy By, double Reaches, double Target, double? LimitMinutes)
{
    /// <summary>How far from the planned level still counts as met, levels. Trade.</summary>
    public const double Tolerance = 0.3;

    /// <summary>A colour is left on this much shorter or longer than its minutes, share. Model assumption.</summary>
    private const double ColourWithin = 0.15;

    /// <summary>The window of what is painted on a panel in a step; null where nothing is.</summary>
    /// <param name="panel">The panel with its paint.</param>
    /// <param name="hair">Her hair.</param>
    /// <param name="step">Which step of the visit, from 0.</param>
    /// <param name="own">How her hair lifts, where looks have told; null as her profile has it.</param>
    /// <param name="turns">What changed while it works, as its formula plans heat; null for nothing.</param>
    /// <param name="said">The step, for when the plan has it looked at first and done by; null for nothing.</param>
    public static PanelWindow? Of(
        PlannedPanel panel,
        HairProfile hair,
        int step,
        OwnLift? own = null,
        Func<bool, IReadOnlyList<LiftTurn>>? turns = null,
        Step? said = null
    )
    {
        ArgumentNullException.ThrowIfNull(panel);
        ArgumentNullException.ThrowIfNull(hair);
        var coats = panel.Coats.Where(c => c.Step == step).ToArray();
        if (coats.FirstOrDefault(c => !c.Formula.IsDeposit) is not { } light)
        {
            return coats.Length == 0 ? null : OfColour(coats[^1], said);
        }

        // What was meant is meant by what was known then; when it is there is told by what is known now.
        var state = HairState.Of(hair.In(panel.Panel.Key.Zone))[0];
        // It goes on from what the steps before left.
        foreach (var before in panel.Coats.Where(c => c.Step < step && !c.Formula.IsDeposit))
        {
            var left = before.LiftingOf(hair, panel.Panel.Key.Zone, state)!.After(before.Works.For);
            state = state with { Level = left.Value };
        }

        var meant = light.LiftingOf(hair, panel.Panel.Key.Zone, state)!;
        var now = own is null ? meant : new Lifting(meant.Case with { Own = own });
        return Of(
            new LiftCourse(now, turns?.Invoke(light.Formula.LowHeat) ?? []),
            meant.After(light.Formula.Minutes).Value,
            light.Formula.LimitMinutes,
            said
        );
    }

    /// <summary>The window of a lift.</summary>
    /// <param name="lifting">How it lifts.</param>
    /// <param name="target">The level that was planned.</param>
    /// <param name="limit">What the leaflet allows, minutes; null where there is none.</param>
    internal static PanelWindow Of(Lifting lifting, double target, double? limit) =>
        Of(new LiftCourse(lifting, []), target, limit, null);

    /// <summary>The window of a lift.</summary>
    /// <param name="lifting">How it lifts.</param>
    /// <param name="target">The level that was planned.</param>
    /// <param name="limit">What the leaflet allows, minutes; null where there is none.</param>
    /// <param name="said">The step, for when the plan has it looked at first and done by; null for nothing.</param>
    private static PanelWindow Of(LiftCourse lifting, double target, double? limit, Step? said)
    {
        var dries = lifting.DriesAtMinutes();
        var end = Math.Min(dries, limit ?? double.PositiveInfinity);
        var by = limit < dries ? EndsBy.Leaflet : EndsBy.Dries;
        if (
            lifting.MinutesTo(Level.Clamp(target + Tolerance)) is { } over
            && over < end
            && target + Tolerance < Level.Lightest
        )
        {
            (end, by) = (over, EndsBy.Level);
        }

        if (said?.LatestMinutes is { } latest && latest < end)
        {
            (end, by) = (latest, EndsBy.Planned);
        }

        var from = Math.Max(lifting.MinutesTo(Level.Clamp(target - Tolerance)) ?? end, said?.EarliestMinutes ?? 0);
        // What never gets there is rinsed when it does no more.
        return new(
            Math.Min(from, end),
            end,
            by,
            Math.Min(target, lifting.After(new(Math.Min(end, Minutes.Longest))).Value),
            target,
            limit
        );
    }

    private static PanelWindow OfColour(Coat coat, Step? said)
    {
        var minutes = coat.Formula.Minutes.Value;
        var (from, to) = (minutes * (1 - ColourWithin), minutes * (1 + ColourWithin));
        var end = Math.Min(to, said?.LatestMinutes ?? to);
        return new(
            Math.Min(Math.Max(from, said?.EarliestMinutes ?? from), end),
            end,
            end < to ? EndsBy.Planned : EndsBy.Leaflet,
            coat.Formula.Deposit!.Level,
            coat.Formula.Deposit!.Level,
            null
        );
    }
}
