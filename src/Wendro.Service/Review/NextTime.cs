using Wendro.Head;
using Wendro.Paint;
using Wendro.Plans;
using Wendro.Units;

namespace Wendro.Review;

/// <summary>A change for the next visit, out of what this one taught.</summary>
/// <param name="Cause">What taught it.</param>
/// <param name="Zone">Where; null for all of it.</param>
/// <param name="Words">What to do.</param>
/// <param name="Edit">The change of the plan; null where it is one of hands.</param>
public sealed record NextTime(CauseKind Cause, Zone? Zone, Sentence Words, PlanEdit? Edit)
{
    /// <summary>A cause less likely than this teaches nothing.</summary>
    private const double TaughtFrom = 0.4;

    /// <summary>
    /// The changes, zone by zone; none where nothing is likely enough. What was kept stays among them, whatever is
    /// likely since.
    /// </summary>
    /// <param name="planned">The head as planned.</param>
    /// <param name="causes">The causes of each zone that came out otherwise, the likeliest first.</param>
    /// <param name="kept">What was kept for the next visit.</param>
    public static IReadOnlyList<NextTime> Of(
        PlannedHead planned,
        IReadOnlyDictionary<Zone, IReadOnlyList<Cause>> causes,
        IReadOnlyCollection<(CauseKind Cause, Zone? Zone)> kept
    )
    {
        ArgumentNullException.ThrowIfNull(planned);
        ArgumentNullException.ThrowIfNull(causes);
        ArgumentNullException.ThrowIfNull(kept);
        return causes
            .Where(z => z.Value.Count > 0 && z.Value[0].Share >= TaughtFrom)
            .OrderBy(z => z.Key)
            .Select(z => For(planned, z.Key, z.Value[0].Kind))
            .Concat(kept.OrderBy(k => k.Zone).ThenBy(k => k.Cause).Select(k => Kept(planned, k.Cause, k.Zone)))
            .OfType<NextTime>()
            .DistinctBy(n => n.Words.ToString())
            .ToArray();
    }

    /// <summary>What is of all the hair is told of any zone.</summary>
    private static NextTime? Kept(PlannedHead planned, CauseKind cause, Zone? zone) =>
        zone is { } at
            ? For(planned, at, cause)
            : ZoneFacts.All.Select(z => For(planned, z, cause)).FirstOrDefault(n => n is { Zone: null });

    /// <summary>
    /// The change of a plan that a cause in a zone teaches. Null where it teaches none, or nothing is lightened there.
    /// </summary>
    /// <param name="planned">The head as planned.</param>
    /// <param name="zone">The zone.</param>
    /// <param name="cause">The cause.</param>
    internal static NextTime? For(PlannedHead planned, Zone zone, CauseKind cause)
    {
        ArgumentNullException.ThrowIfNull(planned);
        var where = ZoneFacts.Words(zone);
        var panels = Lightened.PanelsIn(planned, zone);
        if (panels.Count == 0)
        {
            return null;
        }

        var keys = panels.Select(p => p.Panel.Key).ToArray();
        return CauseWords.ToldAs(cause) switch
        {
            CauseKind.Dried => Covered(NextActions.Milder(planned, panels)),
            CauseKind.ThinCoat => Here(
                $"Press firmly and hold taut on the {where}: a fuller coat.",
                new SetHandling(keys, Pressure.Firm, Tension.Taut)
            ),
            CauseKind.CameThrough => Here(
                $"Film beneath the panels of the {where}, so that nothing comes through.",
                new SetHandling(keys, LiesOn: LiesOn.Film)
            ),
            CauseKind.Lump => Here($"Comb the {where} through and spread the product before it is let down.", null),
            CauseKind.MorePorous => Here($"The {where} last and looked at first: it takes up more.", Last()),
            CauseKind.StartLower => Moved(-1),
            CauseKind.StartHigher => Moved(1),
            CauseKind.RinsedSoon => Here($"The {where} in a later rinse.", null),
            CauseKind.RinsedLate => Here($"The {where} in an earlier rinse.", null),
            CauseKind.MixedWeaker or CauseKind.MixedStronger => new(
                cause,
                null,
                "The bowl weighed to its recipe.",
                null
            ),
            CauseKind.SlowerHair or CauseKind.QuickerHair => new(
                cause,
                null,
                "The speed learnt today counts in the next plan's forecast.",
                null
            ),
            _ => null,
        };

        NextTime Here(Sentence words, PlanEdit? edit) => new(cause, zone, words, edit);

        // Stronger under film than may be offered on this hair is nobody's one tap.
        NextTime Covered(string milder) =>
            Here($"Film over the {where}{milder}.", milder.Length > 0 ? null : new SetCovering(keys, Covering.Film));

        // As it is hard to begin where it is meant, it is shown again where that is.
        NextTime Moved(int way)
        {
            var start = panels.Average(p => p.Coats[0].Painted.StartCm);
            return Here(
                $"Begin the {where} {(way < 0 ? "higher" : "lower")}: {Quantity.Cm(start, "0")} from the scalp.",
                null
            );
        }

        PlanEdit? Last()
        {
            var order = planned.Plan.Working;
            return order[^1] == zone ? null : new SetOrder([.. order.Where(z => z != zone), zone]);
        }
    }
}
