using Wendro.Core.Head;
using Wendro.Core.Mix;
using Wendro.Core.Paint;
using Wendro.Core.Plans;
using Wendro.Core.Section;
using Wendro.Core.Units;

namespace Wendro.Core.Apply;

/// <summary>Something that frees panels which can't be rinsed in time, tried out.</summary>
/// <param name="Label">What it is.</param>
/// <param name="Edit">The change of the plan; null where it is one of hands.</param>
/// <param name="Visit">The visit with it.</param>
/// <param name="LevelsApart">How far what is seen of its zones lies from the plan as it is, levels, mean.</param>
/// <param name="IsStronger">Whether something is mixed stronger than planned: only an offer.</param>
public sealed record FreedBy(
    Sentence Label,
    PlanEdit? Edit,
    VisitOnClock Visit,
    double LevelsApart,
    bool IsStronger = false
);

/// <summary>
/// The ways through a visit side by side, each made on the plan and put on the clock; and where panels can't be rinsed
/// in time, what frees them.
/// </summary>
public sealed class ChairWays
{
    /// <summary>What frees panels is told up to this many times.</summary>
    private const int MostFreed = 6;

    /// <summary>So many that free all are enough to choose from.</summary>
    private const int EnoughFreed = 3;

    private readonly Cutting cutting;
    private readonly PlannedMix mix;
    private readonly CancellationToken stop;

    private ChairWays(PlannedMix mix, Cutting cutting, CancellationToken stop)
    {
        (this.mix, this.cutting, this.stop) = (mix, cutting, stop);
        AsPlanned = new(WayKind.AsPlanned, "As planned", null, VisitOnClock.Of(mix), 0);
        Ways = [AsPlanned, .. Others()];
        FreedBy = AsPlanned.Visit.Outside.Count == 0 ? [] : Freed();
    }

    /// <summary>The plan as it is.</summary>
    public ChairWay AsPlanned { get; }

    /// <summary>The ways, the plan first.</summary>
    public IReadOnlyList<ChairWay> Ways { get; }

    /// <summary>
    /// The best of those no stronger than planned: fewest panels outside their windows, then least time in the chair, then fewest bowls and waves, then
    /// nearest to the plan.
    /// </summary>
    public ChairWay Best =>
        Ways.MinBy(w => (w.Visit.Outside.Count, Math.Round(w.Visit.Minutes), w.Bowls + w.Visit.Waves.Count(), w.Kind))!;

    /// <summary>What frees panels that can't be rinsed in time, the best first; empty where all can.</summary>
    public IReadOnlyList<FreedBy> FreedBy { get; }

    /// <summary>Which panels of the plan as it is can't be rinsed in time, and by how much; null where all
    /// can.</summary>
    public Sentence? Conflict
    {
        get
        {
            var outside = AsPlanned.Visit.Outside;
            if (outside.Count == 0)
            {
                return null;
            }

            var zones = outside.Select(p => ZoneFacts.Words(p.Panel.Zone)).Distinct();
            var late = outside.Max(p => p.RinsedAt - p.ToAt) ?? 0;
            var early = outside.Max(p => p.FromAt - p.RinsedAt) ?? 0;
            return $"{outside.Count} panels would be rinsed outside their windows, up to {Math.Max(late, early):0} min "
                + $"too {(late > early ? "late" : "soon")}: {string.Join(", ", zones)}.";
        }
    }

    /// <summary>Why there is no way by developer; null where there is one.</summary>
    public Sentence? NotByDeveloper
    {
        get
        {
            var first = AsPlanned.Visit.Steps.SelectMany(s => s.Panels).FirstOrDefault(p => p.ToAt is not null);
            if (first is null || Ways.Any(w => w.Kind == WayKind.ByDeveloper))
            {
                return null;
            }

            var later = AsPlanned.Visit.Steps.Max(s => s.Panels.Count == 0 ? 0 : s.Panels.Max(p => p.PaintedAt));
            return VisitOnClock.Of(mix, atOnce: true).Outside.Count == 0
                ? "Back and front end together with the developer that is planned: one wave is enough."
                : (Sentence)(
                    $"By developer alone they don't end together: what is painted first is over "
                    + $"{first.ToAt - first.PaintedAt:0} min after it was painted, the last panel is painted "
                    + $"{later - first.PaintedAt:0} min after it, and no developer on the shelf closes that."
                );
        }
    }

    /// <summary>Finds the ways through a visit.</summary>
    /// <param name="mix">The plan with its bowls.</param>
    /// <param name="cutting">Cuts zones into panels.</param>
    /// <param name="stop">Ends the search: something newer is wanted.</param>
    public static ChairWays Of(PlannedMix mix, Cutting cutting, CancellationToken stop = default)
    {
        ArgumentNullException.ThrowIfNull(mix);
        ArgumentNullException.ThrowIfNull(cutting);
        return new(mix, cutting, stop);
    }

    private IEnumerable<ChairWay> Others()
    {
        var painted = AsPlanned.Visit.Steps.Where(s => s.Panels.Count > 0).ToArray();
        if (painted.Length == 0)
        {
            yield break;
        }

        if (VisitOnClock.Of(mix, atOnce: true) is { Outside.Count: > 0 } atOnce && AsPlanned.Visit.Waves.Count() > 1)
        {
            yield return new(WayKind.AtOnce, "As mixed, rinsed at once at the end", null, atOnce, 0);
        }

        if (OrderAhead.Of(AsPlanned.Visit) is { } order && Made(order) is { } reordered)
        {
            var visit = VisitOnClock.Of(reordered);
            if (IsBetter(visit, AsPlanned.Visit))
            {
                yield return new(WayKind.ByOrder, "Zones in the order that ends soonest", order, visit, 0);
            }
        }

        Strengths[] Each(bool stronger) => painted.Select(s => Strengths.Of(AsPlanned.Visit, s, stronger)).ToArray();
        var mild = Each(false);
        if (All(mild.Select(s => s.OneStrength())) is { } one && Made(one) is { } alike)
        {
            yield return Way(WayKind.ByRinse, "One strength, rinsed in waves", one, alike, false);
        }

        if (All(mild.Select(s => s.WeakerFirst())) is { } weaker && Made(weaker) is { } rising)
        {
            yield return Way(WayKind.ByDeveloper, "Weaker where painted first, rinsed at once", weaker, rising, true);
            yield return Way(WayKind.Both, "Weaker where painted first, in waves", weaker, rising, false);
        }
        else if (All(Each(true).Select(s => s.WeakerFirst())) is { } strong && Made(strong) is { } offered)
        {
            yield return Way(
                WayKind.ByDeveloper,
                "Stronger where painted last, rinsed at once",
                strong,
                offered,
                true
            ) with
            {
                IsStronger = true,
            };
        }
    }

    private ChairWay Way(WayKind kind, Sentence label, PlanEdit edit, PlannedMix made, bool atOnce) =>
        new(kind, label, edit, VisitOnClock.Of(made, atOnce: atOnce), ChairWay.Apart(mix.Head, made.Head));

    private static Together? All(IEnumerable<PlanEdit?> edits)
    {
        var each = edits.OfType<Together>().SelectMany(t => t.Edits).ToArray();
        return each.Length == 0 ? null : new(each);
    }

    private static bool IsBetter(VisitOnClock one, VisitOnClock other) =>
        one.Outside.Count != other.Outside.Count
            ? one.Outside.Count < other.Outside.Count
            : one.Minutes < other.Minutes - 1;

    /// <summary>The plan with a change; null where it can't be taken or may not be offered.</summary>
    private PlannedMix? Made(PlanEdit edit, bool offered = true)
    {
        stop.ThrowIfCancellationRequested();
        var applied = mix.Head.Plan.Apply(edit, cutting);
        if (!applied.Succeeded)
        {
            return null;
        }

        var head = mix.Head.After(applied.Plan, mix.Head.Looks, cutting);
        return offered && !WaysOffered.Keeps(mix.Head, head) ? null : PlannedMix.Of(head, mix.Bench, mix.Shelf, []);
    }

    /// <summary>Each way out, tried: kept is what leaves fewer panels outside than there are now.</summary>
    private FreedBy[] Freed()
    {
        var now = AsPlanned.Visit.Outside.Count;
        var tried = new List<FreedBy>
        {
            new("A second pair of hands that paints", null, VisitOnClock.Of(mix, pairs: 2), 0),
        };
        tried.AddRange(
            Ways.Where(w => w.Edit is not null)
                .Select(w => new FreedBy(w.Label, w.Edit, w.Visit, w.LevelsApart, w.IsStronger))
        );
        foreach (var (label, edit, stronger) in ToTry())
        {
            if (Made(edit) is { } made)
            {
                tried.Add(new(label, edit, VisitOnClock.Of(made), ChairWay.Apart(mix.Head, made.Head), stronger));
                if (tried.Count(t => t.Visit.Outside.Count == 0) >= EnoughFreed)
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
            .Take(MostFreed)
            .ToArray();
    }

    private IEnumerable<(Sentence Label, PlanEdit Edit, bool Stronger)> ToTry()
    {
        foreach (var (label, edit) in FixesToTry.Coarser(mix.Head))
        {
            yield return (label, edit, false);
        }

        var outside = AsPlanned.Visit.Outside;
        var zones = outside.Select(p => p.Panel.Zone).ToHashSet();
        var panels = mix
            .Head.Panels.Where(p => zones.Contains(p.Panel.Key.Zone) && p.Coats.Count > 0)
            .Select(p => p.Panel.Key)
            .ToArray();
        if (outside.Any(p => p.By == EndsBy.Dries))
        {
            yield return ($"Film over {panels.Length} panels: it dries later", Covered(panels, Covering.Film), false);
            yield return ($"Foil over {panels.Length} panels: it dries last", Covered(panels, Covering.Foil), true);
        }

        var steps = mix.Head.Plan.StepsOf();
        for (var i = 0; i + 1 < steps.Count; i++)
        {
            if (!steps[i].Rinse && AsPlanned.Visit.Steps[i].Panels.Any(p => p.IsOutside))
            {
                yield return (
                    $"Rinsed before the {steps[i + 1].Words}",
                    new SetStep(i, steps[i] with { Rinse = true }),
                    false
                );
            }
        }

        foreach (var (label, edit, stronger) in OtherStrengths(panels))
        {
            yield return (label, edit, stronger);
        }
    }

    private static SetCovering Covered(IReadOnlyList<PanelKey> panels, Covering covering) => new(panels, covering);

    /// <summary>The formulas of those panels a step weaker, and a step stronger, of what is owned.</summary>
    private IEnumerable<(Sentence Label, PlanEdit Edit, bool Stronger)> OtherStrengths(IReadOnlyList<PanelKey> panels)
    {
        var owned = mix.Shelf.OfType<DeveloperProduct>().Select(d => d.Volume.Value).Distinct().Order().ToArray();
        var formulas = panels
            .SelectMany(p => mix.Head.PanelOf(p)!.Coats)
            .Select(c => c.Formula)
            .Where(f => !f.IsDeposit)
            .Distinct();
        foreach (var formula in formulas)
        {
            var volume = formula.Volume.Value;
            var other = new[] { owned.LastOrDefault(v => v < volume), owned.FirstOrDefault(v => v > volume) };
            foreach (var next in other.Where(v => v > 0))
            {
                yield return (
                    $"Formula {formula.Id} with {next:0} vol",
                    new SetFormula(formula with { Volume = new(next) }),
                    next > volume
                );
            }
        }
    }
}
