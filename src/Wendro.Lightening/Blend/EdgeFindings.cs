using Wendro.Fall;
using Wendro.Hair;
using Wendro.Head;
using Wendro.Paint;
using Wendro.Section;
using Wendro.Units;

namespace Wendro.Blend;

/// <summary>Edges: lines, stripes, blocks.</summary>
internal static class EdgeFindings
{
    /// <summary>A new edge this close to an old one doubles it, cm. Model assumption.</summary>
    private const double OldEdgeCm = 0.8;

    /// <summary>A rise this much over the goal is hardly seen, levels a cm. Model assumption.</summary>
    private const double HardlyHarder = 0.2;

    /// <summary>An old edge that rises by this share of what it did has been softened. Model assumption.</summary>
    private const double Softened = 0.85;

    /// <summary>A zone this light all through has no natural hair between. Model assumption.</summary>
    private const double AllLight = 0.93;

    private const string Blunt = " A straight edge without blur grows out as a line.",
        Doubled = " An old edge lies there too: start away from it.";

    public static IEnumerable<Finding> HardLines(FindingContext head)
    {
        foreach (var zone in head.Painted.GroupBy(p => p.Panel.Key.Zone))
        {
            var (slope, at) = head.Down.Softness(zone.Key);
            if (slope <= head.Goal.RootSoftness)
            {
                continue;
            }

            // Where an old edge lies, a new one at the same height doubles it.
            var old = head.Hair.Bands.Skip(1).Any(b => Math.Abs(b.FromCm - at) < OldEdgeCm);
            var sharp = zone.Where(p => p.Painted!.Paint.BlurCm < 2).Select(p => p.Panel.Key).ToArray();
            var blame = sharp.Length > 0 ? sharp : zone.Select(p => p.Panel.Key).ToArray();
            var full = zone.Any(p => p.Painted!.Paint is { Shape: Shape.Full, BlurCm: < 2 });
            var line = slope >= head.Limits.LineSoftness || full;
            var was = old ? head.AsSheIs().Softness(zone.Key).Slope : 0;
            var softened = old && slope <= was * Softened;
            var stays = old && !softened && slope <= was + HardlyHarder && slope < head.Limits.LineSoftness;
            Sentence before =
                softened ? (Sentence)$" An old edge of {Quantity.Rise(was)} is softened, not gone."
                : stays ? (Sentence)" It is an old edge, hardly harder than it was."
                : old ? (Sentence)Doubled
                : (Sentence)string.Empty;
            yield return new Finding(
                BlendFault.HardLine,
                softened || stays ? Severity.Note
                    : line ? Severity.Alarm
                    : slope > head.Goal.RootSoftness + HardlyHarder ? Severity.Caution
                    : Severity.Note,
                $"Hard line, {ZoneFacts.Words(zone.Key)}",
                $"The level rises {Quantity.Rise(slope)} at {Quantity.Cm(at)} from the scalp; the wish is "
                    + $"{Quantity.Rise(head.Goal.RootSoftness)} at "
                    + $"most.{(full ? Blunt : string.Empty)}{before}",
                $"Mean seen level of the zone in steps of {Quantity.Cm(0.5)} from the scalp, steepest rise over "
                    + $"{Quantity.Cm(1)}; {Quantity.Rise(head.Limits.LineSoftness)} and more reads as a line.",
                [zone.Key],
                blame,
                Wear.Down,
                [
                    new("steepest rise", slope, "level/cm"),
                    new("wanted at most", head.Goal.RootSoftness, "level/cm"),
                    new("from scalp", at, "cm"),
                ],
                new Stretch(Math.Max(0, at - 0.7), at + 0.7),
                zone.Key.ToString()
            );
        }
    }

    public static IEnumerable<Finding> Stripes(FindingContext head)
    {
        foreach (var zone in head.Panels.Select(p => Edge.Of(p, head.Hair)).GroupBy(e => e.Panel.Panel.Key.Zone))
        {
            var runs = zone.GroupBy(e => e.Panel.Panel.Key.Row).SelectMany(r => RunsIn(r, head.Limits)).ToArray();
            if (runs.Length == 0)
            {
                continue;
            }

            var longest = runs.Max(r => r.Count);
            var keys = runs.SelectMany(r => r).ToArray();
            yield return new Finding(
                BlendFault.Stripes,
                longest >= 5 ? Severity.Alarm : Severity.Caution,
                $"Stripes, {ZoneFacts.Words(zone.Key)}",
                $"{Findings.Count(longest)} neighbours start within {Quantity.Cm(head.Limits.StripeCm)} of each "
                    + $"other{(runs.Length > 1 ? $"; {runs.Length} rows do." : ".")}",
                $"Start heights of neighbouring panels in a row: {head.Limits.StripeRun} or more within "
                    + $"{Quantity.Cm(head.Limits.StripeCm)}, as wide as each other within {AlikeWide:P0}, their edges "
                    + $"rising {CrispRise} levels a cm or more, read as stripes; softly blurred they don't.",
                [zone.Key],
                keys,
                Wear.Down,
                [new("neighbours at one height", longest, "panels"), new("rows", runs.Length, "rows")],
                Around(zone.Select(e => e.Panel).Where(p => keys.Contains(p.Panel.Key))),
                zone.Key.ToString()
            );
        }
    }

    /// <summary>
    /// How steeply an upper edge must rise to be crisp and contrasting, levels a cm; how alike widths must be to read
    /// as one spacing, share. Model assumption.
    /// </summary>
    private const double CrispRise = 0.9,
        AlikeWide = 0.25;

    /// <summary>Shortest stretch an edge is spread over by hand, cm. Model assumption.</summary>
    private const double LeastBlurCm = 0.5;

    /// <summary>A panel as its upper edge reads.</summary>
    /// <param name="Panel">The panel.</param>
    /// <param name="IsCrisp">Whether it has an edge that is crisp and contrasting.</param>
    private readonly record struct Edge(PlannedPanel Panel, bool IsCrisp)
    {
        public double StartCm => Panel.Painted!.StartCm;

        public static Edge Of(PlannedPanel panel, HairProfile hair)
        {
            if (panel.Coats is not [var first, ..] || !HasEdge(first.Painted.Paint.Shape))
            {
                return new(panel, false);
            }

            var contrast =
                first.Formula.Deposit is { } colour
                    ? Math.Abs(colour.Level - hair.In(panel.Panel.Key.Zone).NaturalLevel)
                : panel.LiftingOf(hair) is { } lifting ? lifting.Gain(first.Works.For.Value)
                : 0;
            return new(panel, contrast / Math.Max(LeastBlurCm, first.Painted.Paint.BlurCm) >= CrispRise);
        }

        public bool IsAsWideAs(Edge other)
        {
            var (mine, others) = (Panel.Panel.WidthCm, other.Panel.Panel.WidthCm);
            return Math.Abs(mine - others) <= AlikeWide * Math.Max(mine, others);
        }
    }

    /// <summary>
    /// Longest runs of neighbours in a row whose edges are crisp, as wide as each other, and start within the stripe
    /// distance.
    /// </summary>
    private static IEnumerable<List<PanelKey>> RunsIn(IEnumerable<Edge> row, FindingLimits limits)
    {
        var panels = row.OrderBy(e => e.Panel.Panel.Key.Column).ToArray();
        var from = 0;
        while (from < panels.Length)
        {
            if (!panels[from].IsCrisp)
            {
                from++;
                continue;
            }

            var (low, high) = (panels[from].StartCm, panels[from].StartCm);
            var to = from + 1;
            while (to < panels.Length && panels[to].IsCrisp && panels[to].IsAsWideAs(panels[to - 1]))
            {
                var (l, h) = (Math.Min(low, panels[to].StartCm), Math.Max(high, panels[to].StartCm));
                if (h - l > limits.StripeCm)
                {
                    break;
                }

                (low, high) = (l, h);
                to++;
            }

            if (to - from >= limits.StripeRun)
            {
                yield return panels[from..to].Select(e => e.Panel.Panel.Key).ToList();
                from = to;
            }
            else
            {
                from++;
            }
        }
    }

    public static IEnumerable<Finding> SolidBlock(FindingContext head)
    {
        // One block at the face may be wanted; behind it brightness needs depth beside it.
        var blocks = head
            .Painted.GroupBy(p => p.Panel.Key.Zone)
            .Where(z => !ZoneFacts.IsHairline(z.Key))
            .Select(z => (Panels: z.ToArray(), Ribbons: head.Down.Ribbons(z.Key)))
            .Where(z => z.Ribbons is { } r && r.LightShare >= AllLight && r.Contrast < head.Limits.BlockLevels)
            .ToArray();
        if (blocks.Length == 0 || head.Goal.LightShareHigh >= AllLight)
        {
            yield break;
        }

        var panels = blocks.SelectMany(b => b.Panels).ToArray();
        var least = blocks.Min(b => b.Ribbons!.Value.Contrast);
        yield return new Finding(
            BlendFault.SolidBlock,
            Severity.Caution,
            "Solid block",
            $"Bright edges touch with no natural hair between ({Findings.Where(panels)}): levels of the light "
                + $"hair differ by only {least:0.00}.",
            $"Lower half of a zone as seen worn down: {AllLight:P0} light or more, and its levels differ by less "
                + $"than {head.Limits.BlockLevels} (standard deviation).",
            Findings.Zones(panels),
            Findings.Keys(panels),
            Wear.Down,
            [new("levels differ by", least, "level"), new("zones", blocks.Length, "zones")],
            Better: Better.Higher
        );
    }

    private static bool HasEdge(Shape shape) =>
        shape is not (Shape.Staggered or Shape.Scrunch or Shape.Reverse or Shape.Centre);

    private static Stretch Around(IEnumerable<PlannedPanel> panels)
    {
        var starts = panels.Where(p => p.Painted is not null).Select(p => p.Painted!.StartCm).ToArray();
        return new(Math.Max(0, starts.Min() - 0.5), starts.Max() + 1);
    }
}
