using Wendro.Head;
using Wendro.Paint;
using Wendro.Plans;
using Wendro.Section;

namespace Wendro.Patterns;

/// <summary>
/// Beside a part that is not in the middle more hair lies to one side, and that side takes more pieces.
/// </summary>
public static class Heavier
{
    /// <summary>Sections of the heavier side against the lighter. Model assumption.</summary>
    public const double Thinner = 0.85;

    /// <summary>A part nearer the middle than this makes two equal sides, cm. Model assumption.</summary>
    private const double MiddleCm = 1;

    /// <summary>The side of the part with more hair; null where the part is about the middle.</summary>
    public static Side? SideOf(PartLine part)
    {
        ArgumentNullException.ThrowIfNull(part);
        return Math.Abs(part.FrontCm) < MiddleCm ? null
            : part.FrontCm > 0 ? Side.Right
            : Side.Left;
    }

    /// <summary>Hair in front of the crown on her left and on her right of the part, grams.</summary>
    public static (double Left, double Right) Grams(IEnumerable<Panel> panels)
    {
        ArgumentNullException.ThrowIfNull(panels);
        var front = panels.Where(p => !ZoneFacts.IsAcross(p.Key.Zone)).ToLookup(p => ZoneFacts.IsLeft(p.Key.Zone));
        return (front[true].Sum(p => p.HairGrams), front[false].Sum(p => p.HairGrams));
    }

    /// <summary>Edits that give the heavier side more pieces: its sections get thinner.</summary>
    public static IReadOnlyList<PlanEdit> Edits(Plan plan)
    {
        ArgumentNullException.ThrowIfNull(plan);
        return SideOf(plan.Part) is not { } side
            ? []
            : ZoneFacts
                .All.Where(z =>
                    !ZoneFacts.IsAcross(z)
                    && ZoneFacts.IsLeft(z) == (side == Side.Left)
                    && plan.Zones[z].Excluded is null
                )
                .Select(z => (Zone: z, plan.Zones[z].Sections))
                .Where(z =>
                    Math.Round(z.Sections.ThicknessMm * Thinner) >= Sections.ThinnestMm
                    && z.Sections.ThicknessMm >= plan.Zones[ZoneFacts.Other(z.Zone)].Sections.ThicknessMm
                )
                .Select(z =>
                    (PlanEdit)
                        CutZone.As(
                            z.Zone,
                            z.Sections with
                            {
                                ThicknessMm = Math.Round(z.Sections.ThicknessMm * Thinner),
                            }
                        )
                )
                .ToArray();
    }
}
