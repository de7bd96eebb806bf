using Wendro.Colour;
using Wendro.Fall;
using Wendro.Hair;
using Wendro.Head;
using Wendro.Lift;
using Wendro.Units;

namespace Wendro.Blend;

/// <summary>What is wrong with colour that isn't light: over lightened hair, on natural hair.</summary>
public static class ColourFindings
{
    /// <summary>
    /// Levels by which colour may be darker than the light hair it lies on before that lacks its warmth. Source: the
    /// trade.
    /// </summary>
    public const double DarkerBy = 2;

    /// <summary>How raw hair must be to count as lightened. Model assumption.</summary>
    private const double CountsAsLifted = 0.5;

    /// <summary>
    /// How much more blue than green light colour on it must take, for the warmth to have been put back. Model
    /// assumption.
    /// </summary>
    private const double CountsAsWarm = 0.08;

    /// <summary>Coverage from which colour tells. Model assumption.</summary>
    private const double Tells = 0.3;

    /// <summary>How near the scalp warmth of the head lifts a root faster, cm. Model assumption.</summary>
    private const double RootCm = 1.5;

    private const double StepCm = 2;

    /// <summary>Colour much darker than the lightened hair beneath it, whose warmth was not put back first.</summary>
    public static IEnumerable<Finding> FlatOrGreen(FindingContext head)
    {
        var dark = head
            .Panels.SelectMany(p => DarkOn(p, head.Hair).Select(d => (Panel: p, d.Layer, d.Levels, d.Along)))
            .ToArray();
        foreach (var group in dark.GroupBy(d => (d.Layer.Formula.Id, d.Layer.Step)))
        {
            var panels = group.Select(d => d.Panel).Distinct().ToArray();
            var (deepest, formula) = (group.Max(d => d.Levels), group.First().Layer.Formula);
            yield return new Finding(
                BlendFault.FlatOrGreen,
                Severity.Caution,
                "Flat or green on light hair",
                $"{formula.Id} ({formula.Words}) goes on lightened hair {deepest:0.0} levels lighter: without "
                    + "the missing warmth put back first it comes out flat, greenish, and fades.",
                $"Colour more than {DarkerBy:0} levels darker than lightened hair needs gold, copper or red beneath "
                    + "it: either in the bowl or as a step before it.",
                Findings.Zones(panels),
                Findings.Keys(panels),
                Wear.Down,
                [new("darker", deepest, "levels"), new("panels", panels.Length, "panels")],
                new Stretch(group.Min(d => d.Along.FromCm), group.Max(d => d.Along.ToCm)),
                Of: $"{formula.Id}"
            );
        }
    }

    /// <summary>A permanent colour that lifts natural hair: a warm root.</summary>
    public static IEnumerable<Finding> WarmRoot(FindingContext head)
    {
        var lifting = head
            .Panels.SelectMany(p =>
                p.Layers.Select(l => (Panel: p, Layer: l, By: LiftsOn(l, p, head))).Where(l => l.By > 0)
            )
            .ToArray();
        foreach (var group in lifting.GroupBy(l => l.Layer.Formula.Id))
        {
            var panels = group.Select(g => g.Panel).Distinct().ToArray();
            var (formula, by) = (group.First().Layer.Formula, group.Max(g => g.By));
            var atRoot = group.Any(g => StartOf(g.Layer) < RootCm);
            yield return new Finding(
                BlendFault.WarmRoot,
                atRoot ? Severity.Caution : Severity.Note,
                atRoot ? "Warm root" : "Colour that lifts",
                $"{formula.Id} ({formula.Words}, {formula.Volume.Value:0.#} vol) lifts natural hair by up to "
                    + $"{by:0.0} levels, warmly"
                    + (atRoot ? ", at the root first: choose a weaker root formula." : "."),
                $"A permanent colour with {Deposit.LiftsFromVolume:0} vol or more lifts hair that carries no colour by "
                    + $"up to {Deposit.MostLift:0} levels, as far as its own level.",
                Findings.Zones(panels),
                Findings.Keys(panels),
                Wear.Down,
                [new("lift", by, "levels")],
                Of: $"{formula.Id}"
            );
        }
    }

    private static double StartOf(Layer layer) => layer.Coat?.Painted.StartCm ?? layer.Area!.Area.FromCm;

    /// <summary>How far a layer lifts hair that carries no colour, levels; 0 where it lifts none.</summary>
    private static double LiftsOn(Layer layer, PlannedPanel panel, FindingContext head)
    {
        if (layer.Formula.Deposit is not { Base: ColourBase.Permanent } colour)
        {
            return 0;
        }

        var zone = panel.Panel.Key.Zone;
        var bare = HairState.Of(head.Hair.In(zone)).Where(s => !s.Coloured && !s.Lightened).Select(s => s.Level);
        var room = colour.Level - bare.DefaultIfEmpty(Level.Lightest).Min();
        return Math.Clamp(Deposit.Lifts(layer.Formula.Volume, layer.Works.For.Value), 0, Math.Max(0, room));
    }

    /// <summary>Colours of a panel, where they lie on hair too light for them, and by how much.</summary>
    private static IEnumerable<(Layer Layer, double Levels, Stretch Along)> DarkOn(PlannedPanel panel, HairProfile hair)
    {
        var layers = panel.Layers;
        var (zone, length) = (panel.Panel.Key.Zone, panel.Panel.LengthCm);
        for (var n = 0; n < layers.Count; n++)
        {
            if (layers[n].Formula.Deposit is not { } colour || !CanBeFlat(colour))
            {
                continue;
            }

            var earlier = layers.Where(l => l.Step < layers[n].Step).ToArray();
            var (most, from, to) = (0.0, length, 0.0);
            var here = panel.HairOf(hair);
            var states = HairState.Of(here);
            if (
                colour.Level + DarkerBy >= Level.Lightest
                || (states.All(s => s.Lifted < CountsAsLifted) && earlier.All(l => l.Formula.IsDeposit))
            )
            {
                continue;
            }

            var products = states.Select(s => ProductEffects.Of(earlier, hair, zone, s, Moment.Rinsed)).ToArray();
            var coverages = new double[earlier.Length];
            for (var s = StepCm / 2; s < length; s += StepCm)
            {
                for (var u = 0.1; u < 1; u += 0.4)
                {
                    if (CoverageOf(layers[n], u, s, length) < Tells)
                    {
                        continue;
                    }

                    for (var c = 0; c < earlier.Length; c++)
                    {
                        coverages[c] = CoverageOf(earlier[c], u, s, length);
                    }

                    var band = StrandHistory.At(here.Bands, s) + 1 ?? 0;
                    var before = products[band].At(coverages);
                    var (_, warmth) = before.Absorbed.Turn;
                    var darker = before.Level - colour.Level;
                    if (before.Lifted >= CountsAsLifted && warmth < CountsAsWarm && darker > DarkerBy)
                    {
                        most = Math.Max(most, darker);
                        (from, to) = (Math.Min(from, s - StepCm / 2), Math.Min(s + StepCm / 2, length));
                    }
                }
            }

            if (most > DarkerBy)
            {
                yield return (layers[n], most, new(from, to));
            }
        }
    }

    /// <summary>Whether a colour brings no warmth of its own.</summary>
    private static bool CanBeFlat(DepositMixture colour) =>
        colour.Shades is { } mix ? !mix.BringsWarmth() : !ShadeMix.IsWarm(colour.Reflect);

    private static double CoverageOf(Layer layer, double u, double s, double length) =>
        layer.Coat?.Painted.CoverageAlong(u, s) ?? layer.Area!.CoverageAlong(s, length);
}
