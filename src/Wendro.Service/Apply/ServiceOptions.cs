using Wendro.Head;
using Wendro.Plans;
using Wendro.Units;

namespace Wendro.Apply;

/// <summary>
/// The ways through a visit side by side, each made on the plan and put on the clock; and where panels can't be rinsed
/// in time, what frees them.
/// </summary>
public sealed class ServiceOptions
{
    private readonly Cutting cutting;
    private readonly PlannedMix mix;
    private readonly VisitOnClock atOnce;
    private readonly CancellationToken stop;

    private ServiceOptions(PlannedMix mix, Cutting cutting, CancellationToken cancellationToken)
    {
        (this.mix, this.cutting, this.stop) = (mix, cutting, cancellationToken);
        AsPlanned = new(ServiceOptionKind.AsPlanned, "As planned", null, VisitOnClock.Of(mix), 0);
        atOnce = VisitOnClock.Of(mix, rinsing: Rinsing.Once);
        Ways = [AsPlanned, .. Others()];
        Best = Ways.Where(w => w.Kind != ServiceOptionKind.AtOnce && !w.IsStronger)
            .MinBy(w =>
                (
                    w.Visit.Outside.Count,
                    Math.Round(w.Visit.Minutes),
                    w.Bowls + w.Visit.Rinses.Count(),
                    Math.Round(w.LevelsApart, 1),
                    w.Kind
                )
            )!;
        FreedBy = Apply.PanelRelief.Of(this, mix, cutting, cancellationToken);
    }

    /// <summary>The plan as it is.</summary>
    public ServiceOption AsPlanned { get; }

    /// <summary>The ways, the plan first.</summary>
    public IReadOnlyList<ServiceOption> Ways { get; }

    /// <summary>
    /// The best of those that can be taken and are no stronger than planned: fewest panels outside their windows, then
    /// least time in the chair, then fewest bowls and rinses, then nearest to the plan.
    /// </summary>
    public ServiceOption Best { get; }

    /// <summary>What frees panels that can't be rinsed in time, the best first; empty where all can.</summary>
    public IReadOnlyList<PanelRelief> FreedBy { get; }

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
            // As hands paint on where no rinse comes between.
            var panels = atOnce.Steps.SelectMany(s => s.Panels).Where(p => p.ToAt is not null).ToArray();
            if (panels.Length == 0 || Ways.Any(w => w.Kind == ServiceOptionKind.ByDeveloper))
            {
                return null;
            }

            var (first, last) = (panels[0], panels.Max(p => p.PaintedAt));
            return atOnce.Outside.Count == 0
                ? "Back and front end together with the developer that is planned: one wave is enough."
                : (Sentence)(
                    $"By developer alone they don't end together: what is painted first is over "
                    + $"{first.ToAt - first.PaintedAt:0} min after it was painted, the last panel is painted "
                    + $"{last - first.PaintedAt:0} min after it, and no developer on the shelf closes that."
                );
        }
    }

    /// <summary>Finds the ways through a visit.</summary>
    /// <param name="mix">The plan with its bowls.</param>
    /// <param name="cutting">Cuts zones into panels.</param>
    /// <param name="cancellationToken">Ends the search: something newer is wanted.</param>
    public static ServiceOptions Of(PlannedMix mix, Cutting cutting, CancellationToken cancellationToken = default)
    {
        ArgumentNullException.ThrowIfNull(mix);
        ArgumentNullException.ThrowIfNull(cutting);
        return new(mix, cutting, cancellationToken);
    }

    private IEnumerable<ServiceOption> Others()
    {
        var isOnce = mix.Head.Plan.Rinse is Rinsing.Once;
        if (!isOnce && atOnce.Outside.Count > 0 && AsPlanned.Visit.Rinses.Count() > 1)
        {
            yield return new(ServiceOptionKind.AtOnce, "As mixed, rinsed at once at the end", null, atOnce, 0);
        }

        if (isOnce && VisitOnClock.Of(mix, rinsing: Rinsing.InRinses) is var inRinses && inRinses.Rinses.Count() > 1)
        {
            yield return new(
                ServiceOptionKind.InRinses,
                "As mixed, rinsed in waves",
                new SetRinse(Rinsing.InRinses),
                inRinses,
                0
            );
        }

        var reordered = OrderAhead
            .Of(AsPlanned.Visit)
            .Select(order => (Order: order, Made: Made(order)))
            .Where(o => o.Made is not null)
            .Select(o => (o.Order, Visit: VisitOnClock.Of(o.Made!)))
            .Where(o => IsBetter(o.Visit, AsPlanned.Visit))
            .OrderBy(o => o.Visit.Outside.Count)
            .ThenBy(o => o.Visit.Minutes)
            .ToArray();
        if (reordered is [var sooner, ..])
        {
            yield return new(ServiceOptionKind.ByOrder, "Zones in another order", sooner.Order, sooner.Visit, 0);
        }

        Strengths[] Each(bool stronger) => atOnce.Steps.Select(s => Strengths.Of(atOnce, s, stronger)).ToArray();
        var mild = Each(false);
        if (All(mild.Select(s => s.OneStrength())) is { } one && Made(one) is { } alike)
        {
            yield return Way(ServiceOptionKind.ByRinse, "One strength, rinsed in waves", one, alike, Rinsing.InRinses);
        }

        if (All(mild.Select(s => s.WeakerFirst())) is { } weaker && Made(weaker) is { } rising)
        {
            yield return Way(
                ServiceOptionKind.ByDeveloper,
                "Weaker where painted first, rinsed at once",
                weaker,
                rising,
                Rinsing.Once
            );
            yield return Way(
                ServiceOptionKind.Both,
                "Weaker where painted first, in waves",
                weaker,
                rising,
                Rinsing.InRinses
            );
        }
        else if (All(Each(true).Select(s => s.WeakerFirst())) is { } strong && Made(strong) is { } offered)
        {
            yield return Way(
                ServiceOptionKind.ByDeveloper,
                "Stronger where painted last, rinsed at once",
                strong,
                offered,
                Rinsing.Once
            ) with
            {
                IsStronger = true,
            };
        }
    }

    private ServiceOption Way(
        ServiceOptionKind kind,
        Sentence label,
        Together edit,
        PlannedMix made,
        Rinsing rinsing
    ) =>
        new(
            kind,
            label,
            Rinsed(edit, rinsing),
            VisitOnClock.Of(made, rinsing: rinsing),
            mix.Head.Measures.LevelsFrom(made.Head.Measures)
        );

    /// <summary>What is taken is rinsed as it was shown.</summary>
    private Together Rinsed(Together edit, Rinsing rinsing) =>
        rinsing == mix.Head.Plan.Rinse ? edit : new([.. edit.Edits, new SetRinse(rinsing)]);

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
    private PlannedMix? Made(PlanEdit edit)
    {
        stop.ThrowIfCancellationRequested();
        return mix.After(edit, cutting) is { } made && OfferedTechniques.Keeps(mix.Head, made.Head) ? made : null;
    }
}
