using Wendro.Fall;
using Wendro.Hair;
using Wendro.Lift;
using Wendro.Section;
using Wendro.Units;

namespace Wendro.Blend;

/// <summary>What is wrong with hair that was worked on before, or breaks.</summary>
internal static class OldHairFindings
{
    /// <summary>Coverage on light hair from which it counts as overlap. Model assumption.</summary>
    private const double Overlaps = 0.3;

    /// <summary>
    /// Where less than this share of the strands was lightened before, they can be combed aside. Model assumption.
    /// </summary>
    private const double FewStripes = 0.5;

    public static IEnumerable<Finding> Overlap(FindingContext head)
    {
        var over = head
            .Painted.Select(p => (Panel: p, Light: OldLightOf(p, head.Hair)))
            .Where(p => p.Light is not null)
            .Select(p =>
                (
                    p.Panel,
                    Light: p.Light!,
                    Cm: p.Panel.Coats.Where(c => !c.Formula.IsDeposit)
                        .Select(c => OverlapOf(c, p.Panel.Panel, p.Light!))
                        .DefaultIfEmpty()
                        .Max()
                )
            )
            .Where(p => p.Cm > head.Limits.OverlapCm)
            .ToArray();
        if (over.Length == 0)
        {
            yield break;
        }

        var panels = over.Select(p => p.Panel).ToArray();
        var (_, light, most) = over.MaxBy(p => p.Cm);
        var weak =
            head.Hair.Condition != Condition.Sound
            || light.Porosity == Porosity.High
            || head.Hair.Porosity == Porosity.High;
        var so =
            light.Share < FewStripes ? $": {light.Share:P0} of the strands there. Comb the old stripes aside."
            : weak ? ", which is porous: it can break."
            : ".";
        yield return new Finding(
            BlendFault.Overlap,
            light.Share < FewStripes ? Severity.Note
                : weak ? Severity.Alarm
                : Severity.Caution,
            "Over hair that is light already",
            $"Lightener goes {Quantity.Cm(most, "0.0")} onto old light hair on "
                + $"{Findings.Panels(panels.Length).ToLowerInvariant()}{so}",
            $"Length of hair noted as lightened that is covered by more than {Overlaps:P0}; "
                + $"{Quantity.Cm(head.Limits.OverlapCm, "0.0")} are left for blending.",
            Findings.Zones(panels),
            Findings.Keys(panels),
            Wear.Down,
            [new("overlap", most, "cm"), new("panels", panels.Length, "panels")],
            new Stretch(light.FromCm, light.ToCm)
        );
    }

    public static IEnumerable<Finding> BreakingHair(FindingContext head)
    {
        var painted = head.Painted.Where(p => p.Light is not null).ToArray();
        if (head.Hair.Condition != Condition.Breaking || painted.Length == 0)
        {
            yield break;
        }

        yield return new Finding(
            BlendFault.BreakingHairPainted,
            Severity.Alarm,
            "Breaking hair is painted",
            $"The hair is breaking: treat it, don't lighten it. {Findings.Panels(painted.Length)} carry lightener.",
            "Condition as noted in Consult: breaking.",
            [],
            Findings.Keys(painted),
            Wear.Down,
            [new("panels", painted.Length, "panels")]
        );
    }

    /// <summary>Where the hair under a panel is light already, from the scalp; null where it is not.</summary>
    private static Band? OldLightOf(PlannedPanel panel, HairProfile hair)
    {
        var bands = panel.HairOf(hair).Bands.Where(b => b.State == BandState.Lightened).ToArray();
        return bands.Length == 0 ? null : bands[0] with { ToCm = bands[^1].ToCm, Share = bands.Max(b => b.Share) };
    }

    private static double OverlapOf(Coat coat, Panel panel, Band light)
    {
        const double step = 0.5;
        var over = 0.0;
        for (var s = light.FromCm + step / 2; s < Math.Min(light.ToCm, panel.LengthCm); s += step)
        {
            var most = 0.0;
            for (var j = 0; j <= 4; j++)
            {
                most = Math.Max(most, coat.Painted.CoverageAlong(j / 4.0, s));
            }

            over += most > Overlaps && coat.Painted.ShareReached(s / panel.LengthCm) > 0.05 ? step : 0;
        }

        return over;
    }
}
