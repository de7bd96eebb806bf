using Wendro.Blend;
using Wendro.Hair;
using Wendro.Lift;
using Wendro.Plans;
using Wendro.Toning;
using Wendro.Units;

namespace Wendro.Record;

/// <summary>What a client comes back for: each has its own time.</summary>
public enum ServiceKind
{
    Light,
    Depth,
    Gloss,
    Cut,
}

/// <summary>When a service is due again.</summary>
/// <param name="Kind">Which.</param>
/// <param name="Weeks">Weeks from the visit.</param>
/// <param name="Why">How that comes about.</param>
public sealed record ServiceInterval(ServiceKind Kind, double Weeks, Sentence Why)
{
    /// <summary>How long colour stays on lengths that hold it, weeks. Model assumption.</summary>
    private const double PermanentWeeks = 8,
        DemiWeeks = 7,
        GlossWeeks = 5;

    /// <summary>How much sooner it is gone from porous hair, weeks. Model assumption.</summary>
    private const double PorousSooner = 1;

    /// <summary>How long a cut keeps its shape, weeks. Source: trade.</summary>
    private const double CutWeeks = 10,
        DryCutWeeks = 8,
        CurlyCutWeeks = 12;

    /// <summary>When each service that was done is due again, the soonest first.</summary>
    /// <param name="head">The head as it was served.</param>
    /// <param name="measures">How it came out.</param>
    /// <param name="toned">How it was toned.</param>
    public static IReadOnlyList<ServiceInterval> Of(PlannedHead head, Measures measures, TonePlan toned)
    {
        ArgumentNullException.ThrowIfNull(head);
        ArgumentNullException.ThrowIfNull(measures);
        ArgumentNullException.ThrowIfNull(toned);
        var found = new List<ServiceInterval>();
        if (head.Panels.Any(p => p.Light is not null))
        {
            found.Add(
                new(
                    ServiceKind.Light,
                    measures.RegrowthWeeks,
                    $"Regrowth begins to show then: the light rises {Quantity.Rise(measures.RootSoftness)} at its "
                        + $"steepest, hair grows {Quantity.Cm(HairFibre.GrowthCmPerMonth, "0.0#")} a month."
                )
            );
        }

        var deposits = head
            .Panels.SelectMany(p => p.Deposits.Select(c => c.Formula))
            .Concat(head.Areas.Select(a => a.Formula))
            .Where(f => f.IsDeposit)
            .Distinct()
            .ToArray();
        if (deposits.Length > 0)
        {
            var first = deposits.Select(f => f.Deposit!.Base).MinBy(b => Stays(b, head.Hair));
            found.Add(new(ServiceKind.Depth, Stays(first, head.Hair), Fades(first)));
        }

        if (toned.Areas.Count > 0)
        {
            var bowl = toned.Areas.Select(a => a.Bowl).MinBy(b => Stays(b.Base, head.Hair))!;
            found.Add(
                new(
                    ServiceKind.Gloss,
                    Stays(bowl.Base, head.Hair),
                    $"The toner has mostly washed out by then{(IsPorous(head.Hair) ? ", sooner on porous hair" : "")}."
                )
            );
        }

        found.Add(
            new(
                ServiceKind.Cut,
                head.Hair.Condition != Condition.Sound ? DryCutWeeks
                    : head.Hair.Curl is Curl.Curly or Curl.Coily ? CurlyCutWeeks
                    : CutWeeks,
                head.Hair.Condition != Condition.Sound
                    ? "Dry ends split: sooner than usual."
                    : "A cut keeps its shape so long."
            )
        );
        return found.OrderBy(f => f.Weeks).ThenBy(f => f.Kind).ToArray();
    }

    private static Sentence Fades(ColourBase colour) =>
        colour == ColourBase.Permanent
            ? "Permanent colour stays; what has grown beside it shows by then."
            : "The deposit has mostly washed out by then.";

    private static bool IsPorous(HairProfile hair) => hair.Porosity == Porosity.High;

    private static double Stays(ColourBase colour, HairProfile hair) =>
        (
            colour switch
            {
                ColourBase.Permanent => PermanentWeeks,
                ColourBase.Demi => DemiWeeks,
                _ => GlossWeeks,
            }
        ) - (IsPorous(hair) ? PorousSooner : 0);
}
