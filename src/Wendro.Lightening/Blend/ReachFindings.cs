using Wendro.Fall;
using Wendro.Head;
using Wendro.Lift;
using Wendro.Paint;
using Wendro.Section;
using Wendro.Units;

namespace Wendro.Blend;

/// <summary>What is wrong with levels that are not reached.</summary>
internal static class ReachFindings
{
    /// <summary>What stops this little short of the goal is on time, levels. Source: the trade.</summary>
    public const double Tolerance = 0.3;

    public static IEnumerable<Finding> DriesFirst(FindingContext head)
    {
        var target = Level.Clamp(head.Goal.EndsLevel);
        var least = Level.Clamp(target - Tolerance);
        var dry = new List<(PlannedPanel Panel, Lifting Lifting)>();
        foreach (var panel in head.Painted)
        {
            if (
                panel.LiftingOf(head.Hair) is { } lifting
                && lifting.MinutesTo(least) is null
                && lifting.DriesBefore(least)
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
                $"Lift while the film is moist: the most exposure it can give is Q·τd; {Tolerance} short of the wish "
                    + "is on time; "
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

    public static IEnumerable<Finding> OutOfReach(FindingContext head)
    {
        var target = Level.Clamp(head.Goal.EndsLevel);
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
}
