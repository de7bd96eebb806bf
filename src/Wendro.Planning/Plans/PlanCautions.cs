using Wendro.Care;
using Wendro.Hair;
using Wendro.Head;
using Wendro.Lift;
using Wendro.Section;

namespace Wendro.Plans;

/// <summary>Words of care that a plan calls for.</summary>
public static class PlanCautions
{
    /// <summary>Paint that starts nearer to the scalp than this touches it, cm. Trade.</summary>
    public const double TouchesCm = 0.5;

    /// <summary>Paint that starts nearer than this comes close to the scalp, cm. Model assumption.</summary>
    public const double NearCm = 2;

    /// <summary>
    /// What to mind while this plan is carried out, most serious first; nothing but the leaflet's word while nothing
    /// is painted.
    /// </summary>
    public static IReadOnlyList<string> Of(PlannedHead head)
    {
        ArgumentNullException.ThrowIfNull(head);
        var painted = head.Panels.Where(p => p.Painted is not null).ToArray();
        if (painted.Length == 0)
        {
            return [Cautions.LeafletFirst];
        }

        var said = new List<string>();
        var nearest = painted.Min(p => p.Coats.Min(c => c.Painted.StartCm));
        if (nearest < TouchesCm)
        {
            said.Add("Paint comes within 5 mm of the scalp: off-scalp products and developer over 20 vol stay off it.");
        }

        if (painted.Any(p => ZoneFacts.IsHairline(p.Panel.Key.Zone)))
        {
            said.Add("Hairline painted: barrier cream on the skin, film under face panels.");
        }

        said.AddRange(
            painted
                .SelectMany(p =>
                    p.Coats.Select(c =>
                        c.LiftingOf(head.Hair, p.Panel.Key.Zone, HairState.Of(head.Hair.In(p.Panel.Key.Zone))[0])?.Case
                    )
                )
                .OfType<LiftCase>()
                .Distinct()
                .SelectMany(c => Cautions.For(c, null))
                .Where(c => c != Cautions.LeafletFirst && (c != Cautions.OffScalp || nearest < NearCm))
                .Distinct()
        );
        said.Add("Burning or stinging: rinse now.");
        said.Add(Cautions.LeafletFirst);
        return said;
    }
}
