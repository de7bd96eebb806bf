using Wendro.Blend;
using Wendro.Hair;
using Wendro.Head;
using Wendro.Lift;
using Wendro.Paint;
using Wendro.Plans;
using Wendro.Section;
using Wendro.Units;

namespace Wendro.Apply;

/// <summary>Something that frees panels which can't be rinsed in time, tried out.</summary>
/// <param name="Label">What it is.</param>
/// <param name="Edit">The change of the plan; null where it is one of hands.</param>
/// <param name="Visit">The visit with it, rinsed in rinses.</param>
/// <param name="LevelsApart">How far what is seen of its zones lies from the plan as it is, levels, mean.</param>
/// <param name="IsStronger">Whether something is mixed stronger than planned: only an offer.</param>
public sealed record PanelRelief(
    Sentence Label,
    PlanEdit? Edit,
    VisitOnClock Visit,
    double LevelsApart,
    bool IsStronger = false
)
{
    /// <summary>It is told up to this many times; so many that free all are enough to choose from.</summary>
    private const int Most = 6,
        Enough = 3;

    /// <summary>
    /// What leaves fewer panels outside than there are, each tried, the best first; none where all are in time.
    /// </summary>
    /// <param name="ways">The ways through the visit.</param>
    /// <param name="mix">The plan with its bowls.</param>
    /// <param name="cutting">Cuts zones into panels.</param>
    /// <param name="cancellationToken">Ends the search: something newer is wanted.</param>
    internal static IReadOnlyList<PanelRelief> Of(
        ServiceOptions ways,
        PlannedMix mix,
        Cutting cutting,
        CancellationToken cancellationToken
    )
    {
        var now = ways.AsPlanned.Visit.Outside.Count;
        if (now == 0)
        {
            return [];
        }

        var tried = new List<PanelRelief>
        {
            new("A second pair of hands that paints", null, VisitOnClock.Of(mix, Help.Paints), 0),
            new("Somebody who rinses while you paint", null, VisitOnClock.Of(mix, Help.Rinses), 0),
            new("Somebody who mixes while you paint", null, VisitOnClock.Of(mix, Help.Mixes), 0),
        };
        foreach (var (label, edit, stronger) in Taken(ways).Concat(ToTry(mix, ways.AsPlanned.Visit)))
        {
            cancellationToken.ThrowIfCancellationRequested();
            if (mix.After(edit, cutting) is { } made && OfferedTechniques.Keeps(mix.Head, made.Head))
            {
                var apart = mix.Head.Measures.LevelsFrom(made.Head.Measures);
                tried.Add(new(label, edit, VisitOnClock.Of(made), apart, stronger));
                if (tried.Count(t => t.Visit.Outside.Count == 0) >= Enough)
                {
                    break;
                }
            }
        }

        // Nothing stronger than planned, unless nothing else fits.
        var mild = tried.Any(f => !f.IsStronger && f.Visit.Outside.Count == 0);
        return tried
            .Where(f => f.Visit.Outside.Count < now && !(mild && f.IsStronger))
            .OrderBy(f => f.Visit.Outside.Count)
            .ThenBy(f => f.IsStronger)
            .ThenBy(f => Math.Round(f.LevelsApart, 1))
            .ThenBy(f => f.Visit.Minutes)
            .Take(Most)
            .ToArray();
    }

    /// <summary>The ways that can be taken, as they would be rinsed.</summary>
    private static IEnumerable<(Sentence Label, PlanEdit Edit, bool Stronger)> Taken(ServiceOptions ways) =>
        ways.Ways.Where(w => w.Edit is not null).Select(w => (w.Label, w.Edit!, w.IsStronger));

    private static IEnumerable<(Sentence Label, PlanEdit Edit, bool Stronger)> ToTry(
        PlannedMix mix,
        VisitOnClock planned
    )
    {
        var steps = mix.Head.Plan.StepsOf();
        for (var i = 0; i + 1 < steps.Count; i++)
        {
            if (!steps[i].Rinse && planned.Steps[i].Panels.Any(p => p.IsOutside))
            {
                var rinsed = new SetStep(i, steps[i] with { Rinse = true });
                yield return ($"Rinsed before the {steps[i + 1].Words}", rinsed, false);
            }
        }

        foreach (var (label, edit) in FixesToTry.Coarser(mix.Head))
        {
            yield return (label, edit, false);
        }

        var outside = planned.Outside;
        var zones = outside.Select(p => p.Panel.Zone).ToHashSet();
        var panels = mix
            .Head.Panels.Where(p => zones.Contains(p.Panel.Key.Zone) && p.Coats.Count > 0)
            .Select(p => p.Panel.Key)
            .ToArray();
        if (outside.Any(p => p.By == EndsBy.Dries))
        {
            var covered = $"over {panels.Length} panels: it dries";
            yield return ($"Film {covered} later", new SetCovering(panels, Covering.Film), false);
            yield return ($"Foil {covered} last", new SetCovering(panels, Covering.Foil), true);
        }

        foreach (var other in OtherStrengths(mix, panels).Concat(Warmed(mix, panels)))
        {
            yield return other;
        }
    }

    /// <summary>
    /// Low heat on those panels' formulas, for as long as brings them where they were planned: only where the leaflet
    /// is known to allow it.
    /// </summary>
    private static IEnumerable<(Sentence Label, PlanEdit Edit, bool Stronger)> Warmed(
        PlannedMix mix,
        IReadOnlyList<PanelKey> panels
    )
    {
        var coats = panels.SelectMany(p => mix.Head.PanelOf(p)!.Coats.Select(c => (Panel: p, Coat: c)));
        foreach (var on in coats.GroupBy(c => c.Coat.Formula))
        {
            var formula = on.Key;
            if (
                formula.LowHeat
                || formula.Light is not { } light
                || light.FiguresOf().ExcludesHeat
                || (light.Figures is null && !formula.HeatConfirmed)
            )
            {
                continue;
            }

            var minutes = on.Select(c => ToTheSame(c.Coat, mix.Head.Hair, c.Panel.Zone)).OfType<double>().Order();
            if (minutes.ToArray() is { Length: > 0 } each)
            {
                var middle = new Minutes(Math.Round(each[each.Length / 2]));
                yield return (
                    $"Low heat on formula {formula.Id}, {middle.Value:0} min: its leaflet allows it",
                    new SetFormula(formula with { LowHeat = true, Minutes = middle }),
                    true
                );
            }
        }
    }

    /// <summary>Minutes under low heat to the level that is planned without; null where it is never there.</summary>
    private static double? ToTheSame(Coat coat, HairProfile hair, Zone zone)
    {
        var lifting = coat.LiftingOf(hair, zone, HairState.Of(hair.In(zone))[0])!;
        return new Lifting(lifting.Case with { LowHeat = true }).MinutesTo(lifting.After(coat.Formula.Minutes));
    }

    /// <summary>The formulas of those panels a step weaker, and a step stronger, of what is owned.</summary>
    private static IEnumerable<(Sentence Label, PlanEdit Edit, bool Stronger)> OtherStrengths(
        PlannedMix mix,
        IReadOnlyList<PanelKey> panels
    ) =>
        from formula in panels.SelectMany(p => mix.Head.PanelOf(p)!.Coats).Select(c => c.Formula).Distinct()
        where !formula.IsDeposit
        let planned = formula.Volume.Value
        from next in new[]
        {
            mix.VolumesOwned.LastOrDefault(v => v < planned),
            mix.VolumesOwned.FirstOrDefault(v => v > planned),
        }
        where next > 0
        select (
            (Sentence)$"Formula {formula.Id} with {next:0} vol",
            (PlanEdit)new SetFormula(formula with { Volume = new(next) }),
            next > planned
        );
}
