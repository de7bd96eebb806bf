using Wendro.Core.Head;
using Wendro.Core.Paint;
using Wendro.Core.Plans;
using Wendro.Core.Units;

namespace Wendro.Core.Review;

/// <summary>A change for the next visit, out of what this one taught.</summary>
/// <param name="Zone">Where; null for all of it.</param>
/// <param name="Words">What to do.</param>
/// <param name="Edit">The change of the plan; null where it is one of hands.</param>
public sealed record NextTime(Zone? Zone, Sentence Words, PlanEdit? Edit)
{
    /// <summary>A cause less likely than this teaches nothing.</summary>
    private const double TaughtFrom = 0.4;

    /// <summary>The changes, zone by zone; none where nothing is likely enough.</summary>
    /// <param name="planned">The head as planned.</param>
    /// <param name="causes">The causes of each zone that came out otherwise, the likeliest first.</param>
    public static IReadOnlyList<NextTime> Of(
        PlannedHead planned,
        IReadOnlyDictionary<Zone, IReadOnlyList<Cause>> causes
    )
    {
        ArgumentNullException.ThrowIfNull(planned);
        ArgumentNullException.ThrowIfNull(causes);
        return causes
            .Where(z => z.Value.Count > 0 && z.Value[0].Share >= TaughtFrom)
            .OrderBy(z => z.Key)
            .Select(z => For(planned, z.Key, z.Value[0]))
            .OfType<NextTime>()
            .DistinctBy(n => n.Words.ToString())
            .ToArray();
    }

    private static NextTime? For(PlannedHead planned, Zone zone, Cause cause)
    {
        var where = ZoneFacts.Words(zone);
        var panels = Lightened.PanelsIn(planned, zone);
        if (panels.Count == 0)
        {
            return null;
        }

        var keys = panels.Select(p => p.Panel.Key).ToArray();
        return cause.Kind switch
        {
            CauseKind.Dried => new(zone, $"Film over the {where}.", new SetCovering(keys, Covering.Film)),
            CauseKind.ThinCoat => new(zone, $"A fuller coat on the {where}, or weigh more for it.", null),
            CauseKind.MorePorous => new(zone, $"The {where} last and looked at first: it takes up more.", null),
            CauseKind.StartLower => Moved(zone, panels, -1),
            CauseKind.StartHigher => Moved(zone, panels, 1),
            CauseKind.RinsedSoon => new(zone, $"The {where} in a later rinse.", null),
            CauseKind.RinsedLate => new(zone, $"The {where} in an earlier rinse.", null),
            CauseKind.MixedWeaker or CauseKind.MixedStronger => new(null, "The bowl weighed to its recipe.", null),
            CauseKind.SlowerHair or CauseKind.QuickerHair => new(
                null,
                "The speed learnt today counts in the next plan's forecast.",
                null
            ),
            _ => null,
        };
    }

    /// <summary>As it is hard to begin where it is meant, it is shown again where that is.</summary>
    private static NextTime Moved(Zone zone, IReadOnlyList<Blend.PlannedPanel> panels, int way)
    {
        var start = panels.Average(p => p.Coats[0].Painted.StartCm);
        return new(
            zone,
            $"Begin the {ZoneFacts.Words(zone)} {(way < 0 ? "higher" : "lower")}: {Quantity.Cm(start, "0")} from the "
                + "scalp.",
            null
        );
    }
}
