using Wendro.Core.Fall;
using Wendro.Core.Hair;
using Wendro.Core.Head;
using Wendro.Core.Lift;
using Wendro.Core.Paint;
using Wendro.Core.Units;

namespace Wendro.Core.Blend;

/// <summary>What a second pair of eyes would say of a planned head.</summary>
/// <param name="Hair">Her hair.</param>
/// <param name="Wish">What she wants.</param>
/// <param name="Panels">All panels.</param>
/// <param name="Measures">The measures.</param>
/// <param name="Down">What is seen worn down.</param>
/// <param name="Tied">What is seen tied high; null if she never ties it.</param>
public sealed record Judged(
    HairProfile Hair, Wish Wish, IReadOnlyList<PlannedPanel> Panels, Measures Measures, Tally Down, Tally? Tied);

/// <summary>Finds what is wrong with a blend, worst first.</summary>
public static class Findings
{
    /// <summary>Neighbours whose starts lie this close read as stripes, cm. Trade.</summary>
    public const double StripeCm = 1.0;

    /// <summary>How many neighbours make stripes. Trade.</summary>
    public const int StripeRun = 3;

    /// <summary>A hairline less than this above natural counts as dark, levels. Model assumption.</summary>
    public const double DarkBand = 0.5;

    /// <summary>Hair behind the hairline at least this much lighter than the band, levels. Model assumption.</summary>
    public const double LightBehind = 0.5;

    private const double FaceFrameSlack = 0.05;

    /// <summary>All findings of a planned head.</summary>
    public static IReadOnlyList<Finding> Of(Judged head)
    {
        ArgumentNullException.ThrowIfNull(head);
        if (head.Panels.All(p => p.Painted is null))
        {
            return [];
        }

        return HardLines(head)
            .Concat(FrontNotBrighter(head))
            .Concat(Stripes(head))
            .Concat(DriesFirst(head))
            .Concat(DarkBehindHairline(head))
            .OrderBy(f => f.Severity)
            .ThenBy(f => f.Kind)
            .ToArray();
    }

    private static IEnumerable<Finding> HardLines(Judged head)
    {
        foreach (var zone in head.Panels.Where(p => p.Painted is not null).GroupBy(p => p.Panel.Key.Zone))
        {
            var (slope, at) = head.Down.Softness(zone.Key);
            if (slope <= head.Wish.RootSoftness)
            {
                continue;
            }

            var sharp = zone.Where(p => p.Painted!.Paint.BlurCm < 2).Select(p => p.Panel.Key).ToArray();
            var blame = sharp.Length > 0 ? sharp : zone.Select(p => p.Panel.Key).ToArray();
            var full = zone.Any(p => p.Painted!.Paint is { Shape: Shape.Full, BlurCm: < 2 });
            var line = slope >= Measures.LineSoftness || full;
            yield return new Finding(
                FindingKind.HardLine,
                line ? Severity.Alarm : Severity.Caution,
                $"Hard line, {ZoneFacts.Words(zone.Key)}",
                $"The level rises {slope:0.0} a cm at {at:0.#} cm from the scalp; she wants {head.Wish.RootSoftness:0.0} at most."
                    + (full ? " A straight edge without blur grows out as a line." : string.Empty),
                "Mean seen level of the zone by half centimetres from the scalp, steepest rise over one centimetre; "
                    + $"{Measures.LineSoftness} a cm and more reads as a line.",
                [zone.Key],
                blame,
                Wear.Down,
                [new("steepest rise", slope, "level/cm"), new("wanted at most", head.Wish.RootSoftness, "level/cm"), new("from scalp", at, "cm")]);
        }
    }

    private static IEnumerable<Finding> FrontNotBrighter(Judged head)
    {
        var lift = head.Measures.FaceFrameLift;
        if (lift >= head.Wish.FaceFrameLift - FaceFrameSlack)
        {
            yield break;
        }

        var frame = head.Panels.Where(p => ZoneFacts.IsFaceFrame(p.Panel.Key.Zone)).ToArray();
        var bare = frame.Count(p => p.Painted is null);
        var starts = frame.Where(p => p.Painted is not null).Select(p => p.Painted!.StartCm).DefaultIfEmpty().Min();
        yield return new Finding(
            FindingKind.FrontNotBrighter,
            Severity.Alarm,
            "Front is not brighter",
            $"Face frame is {Math.Abs(lift):0.0} level {(lift < 0 ? "below" : "above")} the rest from the front; she wants it {head.Wish.FaceFrameLift:0.0} above. "
                + (bare == frame.Length
                    ? "None of it is painted."
                    : bare > 0 ? $"{bare} of its {frame.Length} panels are not painted." : $"Its paint starts {starts:0.#} cm down."),
            "Mean level of the face frame seen from the front, less the mean level of all other hair seen from the front.",
            [Zone.FaceFrameLeft, Zone.FaceFrameRight],
            frame.Select(p => p.Panel.Key).ToArray(),
            Wear.Down,
            [new("face frame above the rest", lift, "level"), new("wanted", head.Wish.FaceFrameLift, "level")]);
    }

    private static IEnumerable<Finding> Stripes(Judged head)
    {
        foreach (var zone in head.Panels.GroupBy(p => p.Panel.Key.Zone))
        {
            var runs = zone.GroupBy(p => p.Panel.Key.Row).SelectMany(RunsIn).ToArray();
            if (runs.Length == 0)
            {
                continue;
            }

            var longest = runs.Max(r => r.Count);
            var keys = runs.SelectMany(r => r).ToArray();
            yield return new Finding(
                FindingKind.Stripes,
                longest >= 5 ? Severity.Alarm : Severity.Caution,
                $"Stripes, {ZoneFacts.Words(zone.Key)}",
                $"{Count(longest)} neighbours start within {StripeCm:0} cm of each other"
                    + (runs.Length > 1 ? $"; {runs.Length} rows do." : "."),
                $"Start heights of neighbouring panels in a row: {StripeRun} or more within {StripeCm:0} cm read as stripes.",
                [zone.Key],
                keys,
                Wear.Down,
                [new("neighbours at one height", longest, "panels"), new("rows", runs.Length, "rows")]);
        }
    }

    /// <summary>Longest runs of neighbours in a row whose starts all lie within the stripe distance.</summary>
    private static IEnumerable<List<PanelKey>> RunsIn(IEnumerable<PlannedPanel> row)
    {
        var panels = row.OrderBy(p => p.Panel.Key.Column).ToArray();
        var from = 0;
        while (from < panels.Length)
        {
            if (panels[from].Painted is null)
            {
                from++;
                continue;
            }

            var (low, high) = (panels[from].Painted!.StartCm, panels[from].Painted!.StartCm);
            var to = from + 1;
            while (to < panels.Length && panels[to].Painted is { } next)
            {
                var (l, h) = (Math.Min(low, next.StartCm), Math.Max(high, next.StartCm));
                if (h - l > StripeCm)
                {
                    break;
                }

                (low, high) = (l, h);
                to++;
            }

            if (to - from >= StripeRun)
            {
                yield return panels[from..to].Select(p => p.Panel.Key).ToList();
                from = to;
            }
            else
            {
                from++;
            }
        }
    }

    private static IEnumerable<Finding> DriesFirst(Judged head)
    {
        var target = Level.Clamp(head.Wish.EndsLevel);
        var dry = new List<(PlannedPanel Panel, Lifting Lifting)>();
        foreach (var panel in head.Panels)
        {
            if (panel.LiftingOf(head.Hair) is { } lifting && lifting.MinutesTo(target) is null && lifting.DriesBefore(target))
            {
                dry.Add((panel, lifting));
            }
        }

        foreach (var group in dry.GroupBy(d => (d.Panel.Formula!.Id, d.Panel.Painted!.Paint.Covering)))
        {
            var (first, lifting) = group.MinBy(d => d.Lifting.MostGain);
            var most = head.Hair.In(first.Panel.Key.Zone).NaturalLevel + lifting.MostGain;
            var dries = lifting.DriesAtMinutes();
            yield return new Finding(
                FindingKind.DriesFirst,
                Severity.Caution,
                "Dries first",
                $"{group.Key.Id} ({first.Formula!.Words}, {Remedies.Words(group.Key.Covering)}) is dry after {dries:0} min and stops near level {most:0.0}; "
                    + $"she wants {target}. {Count(group.Count())} panels.",
                "Lift while the film is moist: the most exposure it can give is Q·τd; "
                    + $"dry is the minute after which the gain falls below {LiftTables.DryGainPerMinute} level a minute.",
                group.Select(d => d.Panel.Panel.Key.Zone).Distinct().ToArray(),
                group.Select(d => d.Panel.Panel.Key).ToArray(),
                Wear.Down,
                [new("stops near", most, "level"), new("wanted", target.Value, "level"), new("dry after", dries, "min")]);
        }
    }

    private static IEnumerable<Finding> DarkBehindHairline(Judged head)
    {
        if (head.Tied is not { } tied)
        {
            yield break;
        }

        var natural = head.Hair.In(Zone.FaceFrameLeft).NaturalLevel;
        var band = tied.LevelOf(ZoneFacts.IsFaceFrame);
        var behind = tied.LevelOf(z => z is Zone.SideLeft or Zone.SideRight or Zone.TopLeft or Zone.TopRight
            or Zone.FringeLeft or Zone.FringeRight or Zone.Crown or Zone.UpperBack);
        if (band is null || behind is null
            || band - natural >= DarkBand || behind - band < LightBehind)
        {
            yield break;
        }

        yield return new Finding(
            FindingKind.DarkBehindHairline,
            Severity.Caution,
            "Dark behind the hairline",
            $"Tied high, the hairline shows level {band:0.0} and the hair behind it {behind:0.0}.",
            $"Mean level seen, tied high: the hairline band less than {DarkBand} above natural while what lies behind is {LightBehind} lighter or more.",
            [Zone.FaceFrameLeft, Zone.FaceFrameRight],
            head.Panels.Where(p => ZoneFacts.IsFaceFrame(p.Panel.Key.Zone)).Select(p => p.Panel.Key).ToArray(),
            Wear.TiedHigh,
            [new("hairline", band.Value, "level"), new("behind it", behind.Value, "level"), new("natural", natural, "level")]);
    }

    private static string Count(int n) => n switch
    {
        1 => "One",
        2 => "Two",
        3 => "Three",
        4 => "Four",
        5 => "Five",
        6 => "Six",
        7 => "Seven",
        8 => "Eight",
        9 => "Nine",
        _ => n.ToString(),
    };
}
