using Wendro.Core.Hair;
using Wendro.Core.Head;
using Wendro.Core.Lift;
using Wendro.Core.Paint;
using Wendro.Core.Section;

namespace Wendro.Core.Blend;

/// <summary>A panel with what is painted on it and what that will do.</summary>
/// <param name="Panel">The panel.</param>
/// <param name="Coats">Products on it, in the order they are laid; none while it is left natural.</param>
public sealed record PlannedPanel(Panel Panel, IReadOnlyList<Coat> Coats)
{
    private const int AcrossSteps = 16;
    private const int AlongSteps = 48;
    private const int DeepSteps = 8;

    /// <summary>A panel painted with one product.</summary>
    public static PlannedPanel With(Panel panel, PaintedPanel painted, Formula formula) =>
        new(panel, [Coat.Planned(painted, formula)]);

    /// <summary>What was laid first; null while it is left natural.</summary>
    public PaintedPanel? Painted => Coats.Count > 0 ? Coats[0].Painted : null;

    /// <summary>What that is; null while it is left natural.</summary>
    public Formula? Formula => Coats.Count > 0 ? Coats[0].Formula : null;

    /// <summary>Its first product that lightens; null where none does.</summary>
    public Coat? Light => Coats.FirstOrDefault(c => !c.Formula.IsDeposit);

    /// <summary>Its products that darken.</summary>
    public IEnumerable<Coat> Deposits => Coats.Where(c => c.Formula.IsDeposit);

    /// <summary>The lifting of this panel's untouched hair at full coverage; null where nothing lightens it.</summary>
    public Lifting? LiftingOf(HairProfile hair)
    {
        ArgumentNullException.ThrowIfNull(hair);
        return Light?.LiftingOf(hair, Panel.Key.Zone, HairState.Of(hair.In(Panel.Key.Zone))[0]);
    }

    /// <summary>
    /// Mean level of the panel's hair by mass at a moment: over its width, its section, its length and its states.
    /// </summary>
    public double MeanLevel(HairProfile hair, Moment moment)
    {
        var sum = 0.0;
        Span<double> coverages = stackalloc double[PanelPaint.MostCoats];
        foreach (var (share, weight, state, products) in Stretches(hair, moment))
        {
            if (products is null)
            {
                sum += weight * state.Level;
                continue;
            }

            // Teasing holds the same strands back from every product; what one holds less of is reached by the others.
            var held = Coats.Select(c => c.Painted.HeldBack).Append(0).Append(1).Distinct().Order().ToArray();
            for (var h = 0; h + 1 < held.Length; h++)
            {
                var level = 0.0;
                for (var j = 0; j < AcrossSteps; j++)
                {
                    level += Through(products, (j + 0.5) / AcrossSteps, share, held[h], coverages);
                }

                sum += weight * (held[h + 1] - held[h]) * level / AcrossSteps;
            }
        }

        return sum / AlongSteps;
    }

    /// <summary>
    /// Mean level through the section at one place, of strands of which this share is held back less than they are.
    /// </summary>
    private double Through(Products products, double u, double share, double heldBack, Span<double> coverages)
    {
        double Along(Coat coat) =>
            coat.Painted.HeldBack > heldBack
                ? 0
                : coat.Thickness
                    * coat.Painted.CoverageAlong(u, share * Panel.LengthCm, Panel.LengthCm, coat.Painted.TeasedCm / 2);
        if (Coats.Count == 1)
        {
            coverages[0] = 0;
            var bare = products.Level(coverages);
            coverages[0] = Along(Coats[0]);
            var reached = Coats[0].Painted.ShareReached(share);
            return reached * products.Level(coverages) + (1 - reached) * bare;
        }

        // Several products may reach differently deep: the section is read layer by layer.
        var level = 0.0;
        for (var d = 0; d < DeepSteps; d++)
        {
            for (var c = 0; c < Coats.Count; c++)
            {
                coverages[c] = Along(Coats[c]) * Coats[c].Painted.CoverageThrough((d + 0.5) / DeepSteps, share);
            }

            level += products.Level(coverages);
        }

        return level / DeepSteps;
    }

    /// <summary>
    /// Level where the panel is brightest, at a moment: what the map shows. For a deposit, where it is darkest.
    /// </summary>
    public double BrightestLevel(HairProfile hair, Moment moment)
    {
        var darkens = Coats.Count > 0 && Light is null;
        double? most = null;
        Span<double> coverages = stackalloc double[PanelPaint.MostCoats];
        foreach (var (share, _, state, products) in Stretches(hair, moment).Where(s => s.Weight >= 0.5))
        {
            for (var j = 0; j <= AcrossSteps + 1; j++)
            {
                // Both edges, and where the mean is taken: a fine tooth must not slip through.
                var u = Math.Clamp((j - 0.5) / AcrossSteps, 0, 1);
                var level = state.Level;
                if (products is not null)
                {
                    for (var c = 0; c < Coats.Count; c++)
                    {
                        coverages[c] =
                            Coats[c].Thickness
                            * Coats[c].Painted.CoverageAlong(u, Math.Min(share + 0.5 / AlongSteps, 1) * Panel.LengthCm);
                    }

                    level = products.Level(coverages);
                }

                most =
                    most is not { } m ? level
                    : darkens ? Math.Min(m, level)
                    : Math.Max(m, level);
            }
        }

        return most ?? hair.NaturalLevel;
    }

    /// <summary>
    /// The panel's hair piece by piece from scalp to ends; where only some strands were treated, once for these and
    /// once for the others.
    /// </summary>
    private IEnumerable<(double Share, double Weight, HairState State, Products? Products)> Stretches(
        HairProfile hair,
        Moment moment
    )
    {
        ArgumentNullException.ThrowIfNull(hair);
        var states = HairState.Of(hair.In(Panel.Key.Zone));
        var products = Coats.Count == 0 ? null : states.Select(s => Products.Of(this, hair, s, moment)).ToArray();
        for (var k = 0; k < AlongSteps; k++)
        {
            var share = (k + 0.5) / AlongSteps;
            var band = StrandHistory.At(hair.Bands, share * Panel.LengthCm);
            var treated = band is { } b ? hair.Bands[b].Share : 0;
            if (treated > 0)
            {
                yield return (share, treated, states[band!.Value + 1], products?[band.Value + 1]);
            }

            if (treated < 1)
            {
                yield return (share, 1 - treated, states[0], products?[0]);
            }
        }
    }

    /// <summary>Whether another panel is painted the same.</summary>
    public bool Equals(PlannedPanel? other) =>
        other is not null && Panel.Equals(other.Panel) && Coats.SequenceEqual(other.Coats);

    /// <inheritdoc/>
    public override int GetHashCode() => HashCode.Combine(Panel, Coats.Count);
}
