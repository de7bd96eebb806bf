using Wendro.Colour;
using Wendro.Hair;
using Wendro.Head;
using Wendro.Lift;
using Wendro.Paint;
using Wendro.Section;

namespace Wendro.Blend;

/// <summary>A panel with what is painted on it and what that will do.</summary>
/// <param name="Panel">The panel.</param>
/// <param name="Coats">Products on it, in the order they are laid; none while it is left natural.</param>
/// <param name="Areas">Products over whole areas that reach it, in the order they are laid.</param>
public sealed record PlannedPanel(Panel Panel, IReadOnlyList<Coat> Coats, IReadOnlyList<AreaCoat> Areas)
{
    /// <summary>A panel with what is painted on it alone.</summary>
    public PlannedPanel(Panel panel, IReadOnlyList<Coat> coats)
        : this(panel, coats, []) { }

    /// <summary>
    /// All that lies on it, step by step; what is laid only between the panels is left away where it is painted.
    /// </summary>
    public IReadOnlyList<Layer> Layers { get; } =
        Coats
            .Select(Layer.Of)
            .Concat(Areas.Where(a => !a.Area.Between || Coats.Count == 0).Select(Layer.Of))
            .OrderBy(l => l.Step)
            .ToArray();

    private const int AcrossSteps = 16;
    private const int AlongSteps = 48;

    /// <summary>Turns by which rows fall furthest from each other.</summary>
    private const double GoldenTurn = 0.618;

    private const int DeepSteps = 8;
    private const int MostRowsInAStep = 12;

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

    /// <summary>The hair it is cut from, with what was done to it there.</summary>
    public HairProfile HairOf(HairProfile hair)
    {
        ArgumentNullException.ThrowIfNull(hair);
        return hair.At(Panel.Key.Zone, Panel.Centre.Map);
    }

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
        Span<double> coverages = stackalloc double[Layers.Count];
        foreach (var (share, weight, state, products) in Stretches(hair, moment))
        {
            if (products is null)
            {
                sum += weight * state.Level;
                continue;
            }

            // Teasing holds the same strands back from every product; what one holds less of is reached by the others.
            // An area reaches all of them.
            var held = Coats.Select(c => c.Painted.HeldBack).Append(0).Append(1).Distinct().Order().ToArray();
            for (var h = 0; h + 1 < held.Length; h++)
            {
                var level = 0.0;
                for (var j = 0; j < AcrossSteps; j++)
                {
                    level += Through(products, AcrossAt(j, share), share, held[h], coverages);
                }

                sum += weight * (held[h + 1] - held[h]) * level / AcrossSteps;
            }
        }

        return sum / AlongSteps;
    }

    /// <summary>
    /// Where across the panel a row is looked at, 0..1: row by row from another place, so that no even row of strokes
    /// is always hit, or always missed.
    /// </summary>
    private static double AcrossAt(int step, double share) =>
        (step + share * AlongSteps * GoldenTurn % 1) / AcrossSteps;

    /// <summary>
    /// Mean level through the section at one place, of strands of which this share is held back less than they are.
    /// </summary>
    private double Through(ProductEffects products, double u, double share, double heldBack, Span<double> coverages)
    {
        double Along(Layer layer) =>
            layer.Coat is not { } coat ? layer.Area!.CoverageAlong(share * Panel.LengthCm, Panel.LengthCm)
            : coat.Painted.HeldBack > heldBack ? 0
            : coat.Thickness
                * coat.Painted.CoverageAlong(u, share * Panel.LengthCm, Panel.LengthCm, coat.Painted.TeasedCm / 2);
        if (Layers.Count == 1 && Layers[0].Coat is { } only)
        {
            coverages[0] = 0;
            var bare = products.At(coverages).Level;
            coverages[0] = Along(Layers[0]);
            var reached = only.Painted.ShareReached(share);
            return reached * products.At(coverages).Level + (1 - reached) * bare;
        }

        // Several products may reach differently deep: the section is read layer by layer.
        var level = 0.0;
        for (var d = 0; d < DeepSteps; d++)
        {
            for (var c = 0; c < Layers.Count; c++)
            {
                coverages[c] =
                    Along(Layers[c]) * (Layers[c].Coat?.Painted.CoverageThrough((d + 0.5) / DeepSteps, share) ?? 1);
            }

            level += products.At(coverages).Level;
        }

        return level / DeepSteps;
    }

    /// <summary>
    /// Level where the panel is brightest, at a moment: what the map shows. For a deposit, where it is darkest.
    /// </summary>
    public double BrightestLevel(HairProfile hair, Moment moment) => Brightest(hair, moment).Level;

    /// <summary>The same with what colours it.</summary>
    public (double Level, Tint Tint) Brightest(HairProfile hair, Moment moment)
    {
        var darkens = Layers.Count > 0 && Layers.All(l => l.Formula.IsDeposit);
        (double Level, Tint Tint)? most = null;
        Span<double> coverages = stackalloc double[Layers.Count];
        var rows = RowsInAStep;
        foreach (var (share, _, state, products) in Stretches(hair, moment).Where(s => s.Weight >= 0.5))
        {
            for (var j = 0; j < rows * (AcrossSteps + 2); j++)
            {
                // Both edges, and where the mean is taken: a fine tooth must not slip through.
                var u = (j % (AcrossSteps + 2)) switch
                {
                    0 => 0,
                    AcrossSteps + 1 => 1,
                    var step => AcrossAt(step - 1, share),
                };
                var here = (state.Level, Tint.Lifted(state.Lifted));
                if (products is not null)
                {
                    var row = j / (AcrossSteps + 2) + 1;
                    var at = Math.Min(share + ((double)row / rows - 0.5) / AlongSteps, 1) * Panel.LengthCm;
                    for (var c = 0; c < Layers.Count; c++)
                    {
                        coverages[c] = Layers[c].Coat is { } coat
                            ? coat.Thickness * coat.Painted.CoverageAlong(u, at)
                            : Layers[c].Area!.CoverageAlong(at, Panel.LengthCm);
                    }

                    var became = products.At(coverages);
                    here = (became.Level, became.TintOf(white: false));
                }

                most =
                    most is not { } m ? here
                    : darkens == here.Level < m.Level ? here
                    : m;
            }
        }

        return most ?? (hair.NaturalLevel, Tint.Natural);
    }

    /// <summary>
    /// How many rows of a step along the panel are looked at for where it is brightest: a third of a narrow band lies
    /// between two, so that none slips through.
    /// </summary>
    private int RowsInAStep =>
        Coats.Min(c => c.Painted.Paint.BandCm) is { } band
            ? Math.Clamp((int)Math.Ceiling(3 * Panel.LengthCm / AlongSteps / band), 1, MostRowsInAStep)
            : 1;

    /// <summary>
    /// The panel's hair piece by piece from scalp to ends; where only some strands were treated, once for these and
    /// once for the others.
    /// </summary>
    private IEnumerable<(double Share, double Weight, HairState State, ProductEffects? Products)> Stretches(
        HairProfile hair,
        Moment moment
    )
    {
        ArgumentNullException.ThrowIfNull(hair);
        var here = HairOf(hair);
        var states = HairState.Of(here);
        var products =
            Layers.Count == 0 ? null : states.Select(s => ProductEffects.Of(this, hair, s, moment)).ToArray();
        for (var k = 0; k < AlongSteps; k++)
        {
            var share = (k + 0.5) / AlongSteps;
            var band = StrandHistory.At(here.Bands, share * Panel.LengthCm);
            var treated = band is { } b ? here.Bands[b].Share : 0;
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
        other is not null
        && Panel.Equals(other.Panel)
        && Coats.SequenceEqual(other.Coats)
        && Areas.SequenceEqual(other.Areas);

    /// <inheritdoc/>
    public override int GetHashCode() => HashCode.Combine(Panel, Coats.Count);
}
