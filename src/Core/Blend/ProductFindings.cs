using Wendro.Core.Fall;
using Wendro.Core.Hair;
using Wendro.Core.Head;
using Wendro.Core.Lift;
using Wendro.Core.Paint;
using Wendro.Core.Section;
using Wendro.Core.Units;

namespace Wendro.Core.Blend;

/// <summary>What the product does: bleeding, drying, reaching, and what it must not touch.</summary>
internal static class ProductFindings
{
    /// <summary>
    /// What a runny mixture, a slack panel and a swelling lightener add to how far product goes through, share of the
    /// section. Model assumption.
    /// </summary>
    private const double RunnyAdds = 0.12,
        SlackAdds = 0.08,
        SwellingAdds = 0.08;

    /// <summary>Lightener over 20 vol this close to the scalp is warmed by it, cm. Model assumption.</summary>
    private const double WarmCm = 1.5;

    /// <summary>Coverage on light hair from which it counts as overlap. Model assumption.</summary>
    private const double Overlaps = 0.3;

    /// <summary>
    /// Where less than this share of the strands was lightened before, they can be combed aside. Model assumption.
    /// </summary>
    private const double FewStripes = 0.5;

    /// <summary>Share of a section one coat may reach, what runs and swells included.</summary>
    public static double Through(Coat coat, Panel panel)
    {
        var paint = coat.Painted.Paint;
        return coat.Painted.PressedFactor * Math.Max(paint.MidsMm, paint.EndsMm) / panel.ThicknessMm
            + (coat.Formula.Consistency == Consistency.Runny ? RunnyAdds : 0)
            + (paint.Tension == Tension.Slack ? SlackAdds : 0)
            + Mixing.RunsThrough(coat.Formula)
            + (coat.Formula.Swells ? SwellingAdds : 0);
    }

    /// <summary>
    /// Whether a lightener lies in open air on one side of its section, over hair that is to stay dry.
    /// </summary>
    public static bool LiesOverOthers(Coat coat) =>
        !coat.Formula.IsDeposit && coat.Painted.Paint is { Covering: Covering.Open, Face: Face.Surface };

    /// <summary>How far product goes into a section, as one would say it: "almost through".</summary>
    /// <param name="share">Share of the section, from about a half up.</param>
    public static string HowFar(double share) =>
        share switch
        {
            >= 1.5 => "right through, and some way into the hair beneath,",
            >= 1 => "right through",
            >= 0.85 => "almost through",
            _ => "most of the way through",
        };

    public static IEnumerable<Finding> BleedThrough(Judged head)
    {
        // Under film, mesh or foil a panel lies by itself; at the hairline there is skin beneath, which is another
        // matter.
        var through = head
            .Painted.Where(p => !ZoneFacts.IsHairline(p.Panel.Key.Zone))
            .Select(p =>
                (Panel: p, Share: p.Coats.Where(LiesOverOthers).Select(c => Through(c, p.Panel)).DefaultIfEmpty().Max())
            )
            .Where(p => p.Share >= head.Limits.BleedShare)
            .ToArray();
        if (through.Length == 0)
        {
            yield break;
        }

        var panels = through.Select(p => p.Panel).ToArray();
        var most = through.Max(p => p.Share);
        var thickness = through.MaxBy(p => p.Share).Panel.Panel.ThicknessMm;
        var why = string.Join(
            ", ",
            new[]
            {
                panels.Any(p => p.Coats.Any(c => c.Formula.Consistency == Consistency.Runny)) ? "a runny mix" : null,
                panels.Any(p => p.Coats.Any(c => c.Painted.Paint.Tension == Tension.Slack)) ? "slack hair" : null,
                panels.Any(p => p.Coats.Any(c => c.Formula.Swells)) ? "a swelling lightener" : null,
                panels.Any(p => p.Coats.Any(c => c.Painted.Paint.Pressure == Pressure.Firm)) ? "firm pressure" : null,
            }.OfType<string>()
        );
        yield return new Finding(
            BlendFault.BleedThrough,
            most >= 1.1 ? Severity.Alarm : Severity.Caution,
            "May bleed through",
            $"{Findings.Panels(panels.Length)} in open air ({Findings.Where(panels)}): product goes "
                + $"{HowFar(most)} a section {Quantity.Mm(thickness)} thick{(why.Length > 0 ? $", with {why}." : ".")}",
            $"Deepest stroke by thickness, plus {RunnyAdds:P0} for a runny mix, {SlackAdds:P0} for slack hair, "
                + $"{SwellingAdds:P0} for powder that swells; {head.Limits.BleedShare:P0} and more may come "
                + $"through onto what should stay dry.",
            Findings.Zones(panels),
            Findings.Keys(panels),
            Wear.Down,
            [new("reaches", most, "share"), new("panels", panels.Length, "panels")]
        );
    }

    public static IEnumerable<Finding> ScalpContact(Judged head)
    {
        var near = head
            .Painted.Select(p =>
                (
                    Panel: p,
                    Start: p.Coats.Where(c => !c.Formula.IsDeposit && c.Formula.KeepsOffScalp)
                        .Select(c => c.Painted.StartCm)
                        .DefaultIfEmpty(double.PositiveInfinity)
                        .Min()
                )
            )
            .Where(p => p.Start < head.Limits.ScalpCm)
            .ToArray();
        if (near.Length == 0)
        {
            yield break;
        }

        var nearest = near.Min(p => p.Start);
        var panels = near.Select(p => p.Panel).ToArray();
        yield return new Finding(
            BlendFault.ScalpContact,
            Severity.Alarm,
            "Touches the scalp",
            $"{Findings.Panels(near.Length)} ({Findings.Where(panels)}) start {Quantity.Cm(nearest, "0.0")} from "
                + $"the scalp with a product that stays off it.",
            $"Start heights of lighteners that are not made for the scalp, or are mixed over "
                + $"{LiftTables.ScalpVolume:0} vol: at least {Quantity.Cm(head.Limits.ScalpCm, "0.0")} away. The "
                + $"leaflet rules.",
            Findings.Zones(panels),
            Findings.Keys(panels),
            Wear.Down,
            [new("from scalp", nearest, "cm"), new("panels", near.Length, "panels")],
            new Stretch(0, 1),
            Better: Better.Higher
        );
    }

    public static IEnumerable<Finding> HotRoot(Judged head)
    {
        var warm = head
            .Painted.Where(p =>
                p.Coats.Any(c =>
                    c.Formula.Volume > LiftTables.ScalpVolume
                    && (
                        c.Formula.IsDeposit
                            ? c.Painted.StartCm < head.Limits.ScalpCm
                            : c.Painted.StartCm >= head.Limits.ScalpCm
                                && c.Painted.StartCm < WarmCm
                                && c.Painted.Paint.BlurCm < 2
                    )
                )
            )
            .ToArray();
        if (warm.Length == 0)
        {
            yield break;
        }

        var volume = warm.Max(p => p.Coats.Max(c => c.Formula.Volume));
        yield return new Finding(
            BlendFault.HotRoot,
            Severity.Caution,
            "Warm root",
            $"{Findings.Panels(warm.Length)} ({Findings.Where(warm)}) carry {volume:0} vol at the root: the "
                + $"scalp's warmth lifts it there.",
            $"Over {LiftTables.ScalpVolume:0} vol: a deposit at the root lifts natural hair warm, a lightener "
                + $"within {Quantity.Cm(WarmCm, "0.0")} of the scalp without blur goes faster than below.",
            Findings.Zones(warm),
            Findings.Keys(warm),
            Wear.Down,
            [new("panels", warm.Length, "panels"), new("developer", volume, "vol")],
            new Stretch(0, WarmCm)
        );
    }

    public static IEnumerable<Finding> DriesFirst(Judged head)
    {
        var target = Level.Clamp(head.Wish.EndsLevel);
        var dry = new List<(PlannedPanel Panel, Lifting Lifting)>();
        foreach (var panel in head.Painted)
        {
            if (
                panel.LiftingOf(head.Hair) is { } lifting
                && lifting.MinutesTo(target) is null
                && lifting.DriesBefore(target)
            )
            {
                dry.Add((panel, lifting));
            }
        }

        foreach (var group in dry.GroupBy(d => (d.Panel.Light!.Formula.Id, d.Panel.Light!.Painted.Paint.Covering)))
        {
            var (first, lifting) = group.MinBy(d => d.Lifting.MostGain);
            var most = head.Natural(first.Panel.Key.Zone) + lifting.MostGain;
            var dries = lifting.DriesAtMinutes();
            yield return new Finding(
                BlendFault.DriesFirst,
                Severity.Caution,
                "Dries first",
                $"{group.Key.Id} ({first.Light!.Formula.Words}, {Remedies.Words(group.Key.Covering)}) is dry "
                    + $"after {dries:0} min and stops near level {most:0.0}; "
                    + $"wanted {target}. {Findings.Panels(group.Count())}.",
                "Lift while the film is moist: the most exposure it can give is Q·τd; "
                    + $"it is dry when {LiftTables.DryMoisture:P0} of its moisture is left, at 1.2 τd.",
                group.Select(d => d.Panel.Panel.Key.Zone).Distinct().ToArray(),
                group.Select(d => d.Panel.Panel.Key).ToArray(),
                Wear.Down,
                [
                    new("stops near", most, "level"),
                    new("wanted", target.Value, "level"),
                    new("dry after", dries, "min"),
                ],
                Of: $"{group.Key.Id} {Remedies.Words(group.Key.Covering)}",
                Better: Better.Higher
            );
        }
    }

    public static IEnumerable<Finding> OutOfReach(Judged head)
    {
        var target = Level.Clamp(head.Wish.EndsLevel);
        var short_ = head
            .Painted.Select(p => (Panel: p, Lifting: p.LiftingOf(head.Hair)))
            .Where(p => p.Lifting is { } l && !l.DriesBefore(target) && target.Value > l.Case.From.Value)
            .ToArray();
        if (short_.Length == 0)
        {
            yield break;
        }

        var panels = short_.Select(p => p.Panel).ToArray();
        var (first, lifting) = short_.MinBy(p => p.Lifting!.Case.From.Value + p.Lifting.Cap);
        var most = lifting!.Case.From.Value + lifting.Cap;
        yield return new Finding(
            BlendFault.OutOfReach,
            Severity.Caution,
            "Out of reach",
            $"{first.Light!.Formula.Id} ({first.Light.Formula.Words}) lifts this hair to {most:0.0} at most, "
                + $"however long; wanted {target}. {Findings.Panels(panels.Length)}.",
            "Cap: the lightener's rated lift by developer, less one level on coloured hair. Beyond it: a "
                + "stronger mixture, or several visits.",
            Findings.Zones(panels),
            Findings.Keys(panels),
            Wear.Down,
            [new("at most", most, "level"), new("wanted", target.Value, "level")],
            Better: Better.Higher
        );
    }

    public static IEnumerable<Finding> Overlap(Judged head)
    {
        var light = head.Hair.Bands.FirstOrDefault(b => b.State == BandState.Lightened);
        if (light is null)
        {
            yield break;
        }

        var over = head
            .Painted.Select(p =>
                (
                    Panel: p,
                    Cm: p.Coats.Where(c => !c.Formula.IsDeposit)
                        .Select(c => OverlapOf(c, p.Panel, light))
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
        var most = over.Max(p => p.Cm);
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

    public static IEnumerable<Finding> BreakingHair(Judged head)
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

    public static IEnumerable<Finding> SkinAtRisk(Judged head)
    {
        var bare = head
            .Painted.Where(p =>
                ZoneFacts.IsFaceFrame(p.Panel.Key.Zone)
                && p.Coats.Any(c =>
                    c.Painted.Paint.LiesOn == LiesOn.Nothing
                    && c.Painted.Paint.Covering != Covering.Foil
                    && (c.Painted.Paint.Face != Face.Surface || Through(c, p.Panel) >= 1)
                )
            )
            .ToArray();
        if (bare.Length == 0)
        {
            yield break;
        }

        yield return new Finding(
            BlendFault.SkinAtRisk,
            Severity.Caution,
            "Skin at risk",
            $"{Findings.Panels(bare.Length)} at the hairline are painted through and lie on the bare face: "
                + $"barrier cream, and film under them.",
            "Face frame painted on its underside, or through all of its section, with nothing beneath it; "
                + "foil is its own sheet.",
            Findings.Zones(bare),
            Findings.Keys(bare),
            Wear.Down,
            [new("panels", bare.Length, "panels")]
        );
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
