using System.Text.Json.Serialization;
using Wendro.Apply;
using Wendro.Head;
using Wendro.Plans;
using Wendro.Units;

namespace Wendro.Host.Apply;

/// <summary>A zone on the time axis of a way, minutes after the client sat down.</summary>
/// <param name="Step">Which step, from 0.</param>
/// <param name="Zone">Which zone.</param>
/// <param name="Panels">Panels painted there.</param>
/// <param name="From">When its first panel is begun.</param>
/// <param name="To">When its last is painted.</param>
/// <param name="Volume">Developer it is lightened with, volume; the strongest where there are several; null for a
/// colour.</param>
/// <param name="Outside">Panels of it that are rinsed outside their windows.</param>
internal sealed record ServiceOptionZone(
    int Step,
    Zone Zone,
    int Panels,
    double From,
    double To,
    double? Volume,
    int Outside
);

/// <summary>A rinse on the time axis of a way, minutes.</summary>
internal sealed record ServiceOptionRinse(double From, double To, double FreedAt, int Panels);

/// <summary>One way through the visit.</summary>
/// <param name="Kind">asPlanned, atOnce, inWaves, byOrder, byRinse, byDeveloper or both.</param>
/// <param name="Label">What it does.</param>
/// <param name="Edits">The one edit that makes it so, to be sent as it is; none for the plan as it is.</param>
/// <param name="Minutes">Minutes in the chair, from the first bowl to the last reading.</param>
/// <param name="Bowls">Bowls it takes.</param>
/// <param name="Outside">Panels rinsed outside their windows.</param>
/// <param name="IsProven">Whether no other rinses of the same painting end sooner.</param>
/// <param name="IsBest">Whether it is the best of them.</param>
/// <param name="LevelsApart">How far what is seen lies from the plan as it is, levels, mean over zones.</param>
/// <param name="IsStronger">Whether something is stronger than planned: only an offer.</param>
/// <param name="Volumes">Developers it mixes with, volume.</param>
/// <param name="Zones">Zones as they are painted.</param>
/// <param name="Rinses">Rinses.</param>
internal sealed record ServiceOptionView(
    ServiceOptionKind Kind,
    Sentence Label,
    IReadOnlyList<PlanEdit> Edits,
    double Minutes,
    int Bowls,
    int Outside,
    bool IsProven,
    bool IsBest,
    double LevelsApart,
    bool IsStronger,
    IReadOnlyList<double> Volumes,
    IReadOnlyList<ServiceOptionZone> Zones,
    [property: JsonPropertyName("waves")] IReadOnlyList<ServiceOptionRinse> Rinses
)
{
    public static ServiceOptionView Of(ServiceOption way, bool isBest) =>
        new(
            way.Kind,
            way.Label,
            way.Edit is { } edit ? [edit] : [],
            way.Visit.Minutes,
            way.Bowls,
            way.Visit.Outside.Count,
            way.Visit.IsProven,
            isBest,
            way.LevelsApart,
            way.IsStronger,
            way.Volumes,
            ZonesOf(way.Visit),
            way.Visit.Rinses.Select(w => new ServiceOptionRinse(w.StartsAt, w.EndsAt, w.FreedAt, w.Panels.Count))
                .ToArray()
        );

    private static ServiceOptionZone[] ZonesOf(VisitOnClock visit) =>
        visit
            .Steps.SelectMany(s =>
                s.Panels.GroupBy(p => p.Panel.Zone)
                    .Select(z => new ServiceOptionZone(
                        s.Number,
                        z.Key,
                        z.Count(),
                        z.Min(p => p.BegunAt),
                        z.Max(p => p.PaintedAt),
                        z.SelectMany(p => visit.Mix.Head.PanelOf(p.Panel)!.Coats)
                            .Where(c => c.Step == s.Number && !c.Formula.IsDeposit)
                            .Select(c => (double?)c.Formula.Volume.Value)
                            .Max(),
                        z.Count(p => p.IsOutside)
                    ))
            )
            .ToArray();
}

/// <summary>Something that frees panels which can't be rinsed in time, tried on the plan.</summary>
/// <param name="Label">What it is.</param>
/// <param name="Edits">The one edit, to be sent as it is; none where it is one of hands.</param>
/// <param name="Outside">Panels outside their windows with it.</param>
/// <param name="Minutes">Minutes in the chair with it.</param>
/// <param name="LevelsApart">How far what is seen lies from the plan as it is, levels.</param>
/// <param name="IsStronger">Whether something is stronger than planned: only an offer.</param>
internal sealed record PanelReliefView(
    Sentence Label,
    IReadOnlyList<PlanEdit> Edits,
    int Outside,
    double Minutes,
    double LevelsApart,
    bool IsStronger
);

/// <summary>The ways through the visit side by side.</summary>
/// <param name="Revision">The plan's revision they were tried on.</param>
/// <param name="Ways">The ways, the plan as it is first.</param>
/// <param name="Conflict">Which panels of the plan as it is can't be rinsed in time; null where all can.</param>
/// <param name="NotByDeveloper">Why there is no way by developer; null where there is one.</param>
/// <param name="FreedBy">What frees them, the best first.</param>
internal sealed record ServiceOptionsView(
    int Revision,
    IReadOnlyList<ServiceOptionView> Ways,
    Sentence? Conflict,
    Sentence? NotByDeveloper,
    IReadOnlyList<PanelReliefView> FreedBy
)
{
    public static ServiceOptionsView Of(ServiceOptions ways, int revision) =>
        new(
            revision,
            ways.Ways.Select(w => ServiceOptionView.Of(w, ReferenceEquals(w, ways.Best))).ToArray(),
            ways.Conflict,
            ways.NotByDeveloper,
            ways.FreedBy.Select(f => new PanelReliefView(
                    f.Label,
                    f.Edit is { } edit ? [edit] : [],
                    f.Visit.Outside.Count,
                    f.Visit.Minutes,
                    f.LevelsApart,
                    f.IsStronger
                ))
                .ToArray()
        );
}
