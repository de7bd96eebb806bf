using Wendro.Fall;
using Wendro.Head;
using Wendro.Lift;
using Wendro.Paint;
using Wendro.Section;
using Wendro.Units;

namespace Wendro.Blend;

/// <summary>What is wrong with product that goes through a section, or may.</summary>
public static class BleedFindings
{
    /// <summary>
    /// What a runny mixture, a slack panel and a swelling lightener add to how far product goes through, share of the
    /// section. Model assumption.
    /// </summary>
    private const double DampAdds = 0.1,
        RunnyAdds = 0.12,
        SlackAdds = 0.08,
        SwellingAdds = 0.08;

    /// <summary>Share of a section one coat may reach, what runs and swells included.</summary>
    public static double Through(Coat coat, Panel panel)
    {
        var paint = coat.Painted.Paint;
        return coat.Painted.PressedFactor * Math.Max(paint.MidsMm, paint.EndsMm) / panel.ThicknessMm
            + (coat.Formula.Consistency == Consistency.Runny ? RunnyAdds : 0)
            + (paint.Tension == Tension.Slack ? SlackAdds : 0)
            + (coat.Damp ? DampAdds : 0)
            + Mixing.RunsThrough(coat.Formula)
            + (coat.Formula.Swells ? SwellingAdds : 0);
    }

    /// <summary>
    /// Whether a lightener lies in open air on one side of its section, over hair that is to stay dry: nothing beneath
    /// keeps that clean.
    /// </summary>
    public static bool LiesOverOthers(Coat coat) =>
        !coat.Formula.IsDeposit
        && coat.Painted.Paint is { Covering: Covering.Open, Face: Face.Surface, LiesOn: LiesOn.Nothing };

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

    public static IEnumerable<Finding> BleedThrough(FindingContext head)
    {
        // Under film, mesh or foil a panel lies by itself, as it does on film or a board; at the hairline there is skin
        // beneath, which is another matter.
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
                panels.Any(p => p.Coats.Any(c => c.Damp)) ? "damp hair" : null,
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
                + $"{DampAdds:P0} for damp hair, "
                + $"{SwellingAdds:P0} for powder that swells; {head.Limits.BleedShare:P0} and more may come "
                + $"through onto what should stay dry.",
            Findings.Zones(panels),
            Findings.Keys(panels),
            Wear.Down,
            [new("reaches", most, "share"), new("panels", panels.Length, "panels")]
        );
    }
}
