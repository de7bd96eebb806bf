using Wendro.Fall;
using Wendro.Head;
using Wendro.Lift;
using Wendro.Paint;
using Wendro.Section;
using Wendro.Units;

namespace Wendro.Blend;

/// <summary>What is wrong with product that comes near skin.</summary>
internal static class SkinFindings
{
    /// <summary>Lightener over 20 vol this close to the scalp is warmed by it, cm. Model assumption.</summary>
    private const double WarmCm = 1.5;

    public static IEnumerable<Finding> ScalpContact(FindingContext head)
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

    public static IEnumerable<Finding> HotRoot(FindingContext head)
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

    public static IEnumerable<Finding> SkinAtRisk(FindingContext head)
    {
        var bare = head
            .Painted.Where(p =>
                ZoneFacts.IsFaceFrame(p.Panel.Key.Zone)
                && p.Coats.Any(c =>
                    c.Painted.Paint.LiesOn == LiesOn.Nothing
                    && c.Painted.Paint.Covering != Covering.Foil
                    && (c.Painted.Paint.Face != Face.Surface || BleedFindings.Through(c, p.Panel) >= 1)
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
}
