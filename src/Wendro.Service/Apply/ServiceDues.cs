using System.Text.Json.Serialization;
using Wendro.Blend;
using Wendro.Head;
using Wendro.Mix;
using Wendro.Section;
using Wendro.Units;

namespace Wendro.Apply;

/// <summary>What is due.</summary>
public enum DueKind
{
    /// <summary>It burns: rinse now.</summary>
    Burning,

    /// <summary>A panel is past what its leaflet allows, or past its window.</summary>
    Over,

    /// <summary>A rinse rinse.</summary>
    [JsonStringEnumMemberName("wave")]
    Rinse,

    /// <summary>A look: wipe, judge, paint again.</summary>
    Look,

    /// <summary>What is laid over an area is to be looked at, or has worked.</summary>
    Area,

    /// <summary>A bowl is past its time.</summary>
    BowlEnds,

    /// <summary>The next bowl is to be mixed.</summary>
    Mix,
}

/// <summary>Something due at a moment.</summary>
/// <param name="Kind">What.</param>
/// <param name="At">When.</param>
/// <param name="Title">In a few words.</param>
/// <param name="Words">What to do.</param>
/// <param name="Severity">How much it matters.</param>
/// <param name="Panels">Where.</param>
/// <param name="Bowl">Which bowl it is about, by its number; null for none.</param>
public sealed record Due(
    DueKind Kind,
    DateTimeOffset At,
    string Title,
    Sentence Words,
    Severity Severity,
    IReadOnlyList<PanelKey> Panels,
    int? Bowl = null
);

/// <summary>What is due in a service, soonest first; what has to do with safety stands before all.</summary>
public static class ServiceDues
{
    /// <summary>Minutes from one look to the next, and under heat. Trade.</summary>
    public const double LookMinutes = 10,
        LookMinutesHeated = 5;

    /// <summary>All that is due.</summary>
    public static IReadOnlyList<Due> Of(ServiceClock clock)
    {
        ArgumentNullException.ThrowIfNull(clock);
        return Burning(clock)
            .Concat(Over(clock))
            .Concat(Rinses(clock))
            .Concat(Looks(clock))
            .Concat(Areas(clock))
            .Concat(Bowls(clock))
            .OrderBy(d => d.Kind == DueKind.Burning ? 0 : 1)
            // Of what is due already the graver stands first; of what is to come the sooner.
            .ThenBy(d => d.At <= clock.Now ? d.Severity : Severity.Note + 1)
            .ThenBy(d => d.At)
            .ThenBy(d => d.Kind)
            .ToArray();
    }

    /// <summary>What it is to do when it burns: said in full, nothing stands before it.</summary>
    private static IEnumerable<Due> Burning(ServiceClock clock)
    {
        if (clock.Service.Felt is { How: Comfort.Burning } felt)
        {
            yield return new(
                DueKind.Burning,
                felt.At,
                "Burning: stop",
                "Rinse it off now with much lukewarm water, the place that burns first. Paint nothing more. If it goes "
                    + "on, or skin is red or blistered: medical advice. Swelling of the face or trouble breathing: "
                    + "emergency call. It is written down.",
                Severity.Alarm,
                clock.Service.On.ToArray()
            );
        }
    }

    private static IEnumerable<Due> Over(ServiceClock clock)
    {
        var inRinse = clock.Service.Rinse?.Panels.ToHashSet() ?? [];
        foreach (
            var zone in clock
                .OnClock.Where(p =>
                    p.IsPainted && p.RinsedAt is null && p.ToAt < clock.Now && !inRinse.Contains(p.Panel)
                )
                .GroupBy(p => (p.Panel.Zone, By: p.Window!.By))
        )
        {
            var first = zone.MinBy(p => p.ToAt)!;
            yield return new(
                DueKind.Over,
                first.ToAt!.Value,
                $"{Sentence.Capital(ZoneFacts.Words(zone.Key.Zone))} is over",
                zone.Key.By switch
                {
                    EndsBy.Leaflet => $"Past the leaflet's {first.Window!.LimitMinutes:0} min: rinse now.",
                    EndsBy.Dries => $"It dries and does no more: level {first.Window!.Reaches:0.0}, wanted "
                        + $"{first.Window.Target:0.0}. Rinse, or paint it again.",
                    EndsBy.Planned => $"Past the {first.Window!.To:0} min that were planned at most: rinse now.",
                    _ => $"It gets lighter than level {first.Window!.Target + PanelWindow.Tolerance:0.0}: rinse now.",
                },
                zone.Key.By == EndsBy.Dries ? Severity.Caution : Severity.Alarm,
                zone.Select(p => p.Panel).ToArray()
            );
        }
    }

    private static IEnumerable<Due> Rinses(ServiceClock clock)
    {
        if (clock.Service.Rinse is null && clock.Rinses.Count > 0)
        {
            var rinse = clock.Rinses[0];
            yield return new(
                DueKind.Rinse,
                rinse.StartsAt,
                $"Rinse {rinse.Number}",
                $"{Where(rinse.Panels)}, {rinse.Panels.Count} panels, "
                    + $"{(rinse.EndsAt - rinse.StartsAt).TotalMinutes:0} min.",
                Severity.Caution,
                rinse.Panels
            );
        }
    }

    /// <summary>Where it was painted first; in each zone from when it was looked at last.</summary>
    private static IEnumerable<Due> Looks(ServiceClock clock)
    {
        var service = clock.Service;
        var zones = service.On.GroupBy(p => p.Zone).ToArray();
        if (zones.Length == 0)
        {
            yield break;
        }

        var every = service.HeatSince is null ? LookMinutes : LookMinutesHeated;
        var (panel, at) = zones
            .Select(z =>
            {
                var first = z.MinBy(p => service.StandOf(p).PaintedAt);
                var looked = service
                    .Looks.Where(l => l.Look.Panel.Zone == z.Key)
                    .Select(l => (DateTimeOffset?)l.At)
                    .LastOrDefault();
                var since = looked ?? service.StandOf(first).PaintedAt!.Value;
                return (first, At: (service.HeatSince > since ? service.HeatSince.Value : since).AddMinutes(every));
            })
            .MinBy(z => z.At);
        yield return new(
            DueKind.Look,
            at,
            "Look",
            $"{Sentence.Capital(ZoneFacts.Words(panel.Zone))}, painted first there. Wipe {Quantity.Cm(2)} clean, "
                + "judge, paint it again.",
            Severity.Caution,
            [panel]
        );
    }

    private static IEnumerable<Due> Areas(ServiceClock clock) =>
        clock.Service.Rinse is null ? clock.AreasOn.SelectMany(a => Of(a, clock)) : [];

    /// <summary>What works over an area: looked at first, done, over; each while it is next.</summary>
    private static IEnumerable<Due> Of(AreaOnClock area, ServiceClock clock)
    {
        var name = Sentence.Capital(area.Words);
        if (area.OverAt <= clock.Now)
        {
            yield return new(
                DueKind.Over,
                area.OverAt.Value,
                $"{name} is over",
                $"{area.AtMost:0} min at most were planned: rinse now.",
                Severity.Alarm,
                []
            );
            yield break;
        }

        if (area.LookAfter is { } after && clock.Now < area.DoneAt)
        {
            yield return new(
                DueKind.Area,
                area.LaidAt.AddMinutes(after),
                $"Look: {area.Words}",
                "Wipe a little clean and judge: it may be done.",
                Severity.Caution,
                []
            );
        }

        yield return new(
            DueKind.Area,
            area.DoneAt,
            area.IsRinsed ? $"Rinse: {area.Words}" : $"{name} has worked",
            area.AtMost is { } most
                ? $"It works {area.Minutes:0} min, {most:0} at most. The eye decides."
                : (Sentence)$"It works {area.Minutes:0} min. The eye decides.",
            Severity.Caution,
            []
        );
    }

    private static IEnumerable<Due> Bowls(ServiceClock clock)
    {
        if (clock.Service.Next is not { } next || clock.BowlOf(next) is not { } bowl)
        {
            yield break;
        }

        if (clock.MixedAt(bowl) is { } mixed)
        {
            var window = bowl.Batch.LivesUntil - bowl.Batch.ReadyAt;
            yield return new(
                DueKind.BowlEnds,
                mixed.AddMinutes(window),
                $"{Sentence.Capital(bowl.Words)} ends",
                $"It lives {window:0} min. Then it does less than the plan reckons with: mix anew.",
                Severity.Caution,
                [],
                bowl.Number
            );
        }

        var coming = clock
            .OnClock.Where(p => !p.IsPainted)
            .Select(p => (p.BegunAt, Bowl: clock.BowlOf(p.Panel)))
            .FirstOrDefault(p => p.Bowl is not null && clock.MixedAt(p.Bowl) is null);
        if (coming.Bowl is { } needed)
        {
            yield return new(
                DueKind.Mix,
                coming.BegunAt.AddMinutes(-clock.MixingMinutes),
                $"Mix {needed.Words}",
                $"{Quantity.Grams(clock.ToMixGrams(needed), "0")} of {needed.Batch.Formula}.",
                Severity.Note,
                [],
                needed.Number
            );
        }
    }

    private static string Where(IReadOnlyList<PanelKey> panels) =>
        Sentence.Capital(string.Join(", ", panels.Select(p => ZoneFacts.Words(p.Zone)).Distinct()));
}
