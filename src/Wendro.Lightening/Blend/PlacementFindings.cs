using Wendro.Fall;
using Wendro.Hair;
using Wendro.Head;
using Wendro.Paint;
using Wendro.Section;
using Wendro.Units;

namespace Wendro.Blend;

/// <summary>Where panels are placed: part, crown, baby hair, lowlights, and work nobody sees.</summary>
internal static class PlacementFindings
{
    /// <summary>A deposit this far from natural shows its own regrowth, levels. Model assumption.</summary>
    private const double ShowsRegrowth = 0.7;

    /// <summary>A deposit that starts this close to the scalp begins at the root, cm. Model assumption.</summary>
    private const double AtRootCm = 1;

    public static IEnumerable<Finding> PartMismatch(FindingContext head)
    {
        var left = StartOf(head, z => z is Zone.TopLeft or Zone.FringeLeft);
        var right = StartOf(head, z => z is Zone.TopRight or Zone.FringeRight);
        if (left is not { } l || right is not { } r || Math.Abs(l - r) <= head.Limits.PartCm)
        {
            yield break;
        }

        var panels = head
            .Painted.Where(p =>
                p.Panel.Key.Zone is Zone.TopLeft or Zone.TopRight or Zone.FringeLeft or Zone.FringeRight
            )
            .ToArray();
        yield return new Finding(
            BlendFault.PartMismatch,
            Severity.Caution,
            "Part does not match",
            $"Beside the part the left starts {Quantity.Cm(l, "0.0")} and the right {Quantity.Cm(r, "0.0")} from "
                + $"the scalp.",
            $"Mean start height of top and fringe on each side, weighted by area; more than "
                + $"{Quantity.Cm(head.Limits.PartCm, "0.0")} apart shows at the part.",
            Findings.Zones(panels),
            Findings.Keys(panels),
            Wear.Down,
            [new("apart", Math.Abs(l - r), "cm"), new("left", l, "cm"), new("right", r, "cm")],
            new Stretch(Math.Min(l, r), Math.Max(l, r))
        );
    }

    public static IEnumerable<Finding> CrownTooHigh(FindingContext head)
    {
        var crown = StartOf(head, z => z == Zone.Crown);
        var beneath = StartOf(head, z => z is Zone.UpperBack or Zone.SideLeft or Zone.SideRight);
        if (crown is not { } c || beneath is not { } b || b - c <= head.Limits.CrownCm)
        {
            yield break;
        }

        yield return new Finding(
            BlendFault.CrownTooHigh,
            Severity.Caution,
            "Crown too high",
            $"The crown starts {Quantity.Cm(c, "0.0")} from the scalp, what it falls over "
                + $"{Quantity.Cm(b, "0.0")}: its light lies above and what peeks through is darker.",
            $"Mean start height of the crown against upper back and sides, weighted by area; more than "
                + $"{Quantity.Cm(head.Limits.CrownCm, "0.0")} higher counts.",
            [Zone.Crown],
            Findings.Keys(head.Painted.Where(p => p.Panel.Key.Zone == Zone.Crown)),
            Wear.Down,
            [new("higher by", b - c, "cm"), new("crown", c, "cm"), new("beneath", b, "cm")],
            new Stretch(c, b)
        );
    }

    public static IEnumerable<Finding> LowlightOnTop(FindingContext head)
    {
        var top = head
            .Painted.Where(p =>
                p.Panel.Key.Zone is Zone.Crown or Zone.TopLeft or Zone.TopRight or Zone.FringeLeft or Zone.FringeRight
                && p.Deposits.Any(c =>
                    c.Painted.StartCm < AtRootCm
                    && Math.Abs(c.Formula.Deposit!.Level - head.Natural(p.Panel.Key.Zone)) > ShowsRegrowth
                )
            )
            .ToArray();
        if (top.Length == 0)
        {
            yield break;
        }

        var apart = top.Max(p =>
            p.Deposits.Max(c => Math.Abs(c.Formula.Deposit!.Level - head.Natural(p.Panel.Key.Zone)))
        );
        yield return new Finding(
            BlendFault.LowlightOnTop,
            Severity.Caution,
            "Lowlight on top",
            $"{Findings.Panels(top.Length)} high on the head ({Findings.Where(top)}) carry deposit from the "
                + $"root, {apart:0.0} level from natural: its own regrowth will show.",
            $"Deposits that begin within {Quantity.Cm(AtRootCm, "0")} of the scalp on crown, top or fringe and "
                + $"lie more than {ShowsRegrowth} level from what grows.",
            Findings.Zones(top),
            Findings.Keys(top),
            Wear.Down,
            [new("panels", top.Length, "panels"), new("from natural", apart, "level")],
            new Stretch(0, 3)
        );
    }

    public static IEnumerable<Finding> BabyHair(FindingContext head)
    {
        if (
            !head.Hair.Marks.Any(m => m.Kind == MarkKind.BabyHair) || head.Regions.Any(r => r.Region == Region.BabyHair)
        )
        {
            yield break;
        }

        var near = head
            .Painted.Where(p =>
                ZoneFacts.IsHairline(p.Panel.Key.Zone)
                && p.Panel.Outlines.Any(o => o.Corners.Any(c => c.FromHairlineCm < head.Limits.BabyHairCm))
            )
            .ToArray();
        if (near.Length == 0)
        {
            yield break;
        }

        yield return new Finding(
            BlendFault.BabyHairPainted,
            Severity.Caution,
            "Baby hair is painted",
            $"{Findings.Panels(near.Length)} reach to the very hairline, where new short hair is noted: it goes "
                + $"fastest and breaks first.",
            $"Panels at the hairline with a border less than {Quantity.Cm(head.Limits.BabyHairCm, "0.0")} from "
                + $"it, while baby hair is marked and not left out.",
            Findings.Zones(near),
            Findings.Keys(near),
            Wear.Down,
            [new("panels", near.Length, "panels")],
            new Stretch(0, 4)
        );
    }

    private static double? StartOf(FindingContext head, Func<Zone, bool> which)
    {
        var panels = head
            .Painted.Where(p =>
                which(p.Panel.Key.Zone) && p.Light is { } light && light.Painted.Paint.Shape is not Shape.Tip
            )
            .ToArray();
        var area = panels.Sum(p => p.Panel.AreaCm2);
        return area <= 0 ? null : panels.Sum(p => p.Light!.Painted.StartCm * p.Panel.AreaCm2) / area;
    }
}
