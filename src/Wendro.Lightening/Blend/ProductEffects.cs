using Wendro.Colour;
using Wendro.Hair;
using Wendro.Head;
using Wendro.Lift;

namespace Wendro.Blend;

/// <summary>What hair has become at one place.</summary>
/// <param name="Level">How light.</param>
/// <param name="Lifted">How far it was lifted, ever: 0 as it grew .. 1 all of lifted hair's colour.</param>
/// <param name="Absorbed">What colour on it takes of the light.</param>
public readonly record struct StrandOutcome(double Level, double Lifted, Absorbance Absorbed)
{
    /// <summary>What colours it, where the hair grew white or not.</summary>
    public Tint TintOf(bool white) => white ? Tint.OnWhite(Absorbed) : Tint.Coloured(Lifted, Absorbed);
}

/// <summary>
/// What the products of a panel do to hair in one state, at a moment, step by step: each step begins with what the one
/// before it left. Where several of one step lie at one place, what was laid first holds its share and the next takes
/// what is left; what colours goes over what the lighteners leave. Model assumption.
/// </summary>
internal sealed class ProductEffects
{
    private const int Steps = 256;

    /// <summary>Levels of lift at which hair has all of lifted hair's colour. Model assumption.</summary>
    public const double LiftedFrom = 1.5;

    /// <summary>
    /// Light taken above which hair counts as coloured for whatever lifts it next, in levels' own measure. Model
    /// assumption.
    /// </summary>
    private const double CountsAsColoured = 0.1;

    /// <summary>Levels of lift that take half of what colour lies on the hair. Model assumption.</summary>
    private const double HalfTaken = 1;

    private readonly StrandOutcome start;
    private readonly bool coloured;
    private readonly IReadOnlyList<Layer> layers;
    private readonly Work[] works;

    private ProductEffects(StrandOutcome start, bool coloured, IReadOnlyList<Layer> layers, Work[] works) =>
        (this.start, this.coloured, this.layers, this.works) = (start, coloured, layers, works);

    public static ProductEffects Of(PlannedPanel panel, HairProfile hair, HairState state, Moment moment) =>
        Of(panel.Layers, hair, panel.Panel.Key.Zone, state, moment);

    /// <param name="layers">All that is laid, in the order it is.</param>
    /// <param name="hair">Her hair.</param>
    /// <param name="zone">Where.</param>
    /// <param name="state">How the hair is before it.</param>
    /// <param name="moment">When it is looked at.</param>
    public static ProductEffects Of(
        IReadOnlyList<Layer> layers,
        HairProfile hair,
        Zone zone,
        HairState state,
        Moment moment
    ) =>
        new(
            new(state.Level, state.Lifted, default),
            state.Coloured,
            layers,
            layers
                .Select(
                    (layer, n) =>
                    {
                        var minutes = moment.Worked(layer.Works, layer.Step);
                        return layer.Formula.Deposit is { } deposit
                            ? new Work(DepositWork.Of(deposit, layer.Formula.Volume, minutes, state.Porosity), null)
                            : new Work(
                                null,
                                new LiftWork(
                                    (level, dyed) =>
                                        layer.LiftingOf(hair, zone, state with { Level = level, Coloured = dyed }),
                                    state.Level,
                                    minutes
                                )
                            );
                    }
                )
                .ToArray()
        );

    /// <summary>What hair becomes where the layers cover so much each, 0..1, in the order they are laid.</summary>
    public StrandOutcome At(ReadOnlySpan<double> coverages)
    {
        var now = start;
        for (var from = 0; from < layers.Count; )
        {
            var to = from + 1;
            while (to < layers.Count && layers[to].Step == layers[from].Step)
            {
                to++;
            }

            now = Coloured(Lifted(now, coverages, from, to), coverages, from, to);
            from = to;
        }

        return now;
    }

    private StrandOutcome Lifted(StrandOutcome now, ReadOnlySpan<double> coverages, int from, int to)
    {
        var (free, gained) = (1.0, 0.0);
        for (var c = from; c < to; c++)
        {
            if (works[c].Lift is { } lift)
            {
                var share = coverages[c] * free;
                free -= share;
                var dyed = coloured || now.Absorbed.Darkens > CountsAsColoured;
                gained += lift.GainOn(now.Level, dyed, (int)(share * (Steps - 1) + 0.5));
            }
        }

        return gained <= 0
            ? now
            : new(
                now.Level + gained,
                Math.Min(1, now.Lifted + gained / LiftedFrom),
                now.Absorbed * Math.Pow(0.5, gained / HalfTaken)
            );
    }

    private StrandOutcome Coloured(StrandOutcome now, ReadOnlySpan<double> coverages, int from, int to)
    {
        var free = 1.0;
        for (var c = from; c < to; c++)
        {
            var share = coverages[c] * free;
            free -= share;
            if (works[c].Deposit is { } deposit && share > 0)
            {
                now = deposit.On(now, share, coloured);
            }
        }

        return now;
    }

    private readonly record struct Work(DepositWork? Deposit, LiftWork? Lift);

    /// <summary>
    /// What one lightener gains, by coverage, on hair of every level that it meets: tabled when first met.
    /// </summary>
    private sealed class LiftWork(Func<double, bool, Lifting> liftingOf, double start, double minutes)
    {
        /// <summary>
        /// Levels that an earlier step left are told apart this finely; where none was, they are exact.
        /// </summary>
        private const int PerLevel = 8;

        private readonly Dictionary<(int Level, bool Dyed), float[]> gains = [];
        private (double Level, bool Dyed) last = (double.NaN, false);
        private float[] lastGain = [];

        public double GainOn(double level, bool dyed, int coverage)
        {
            // Nearly every place asks for the level asked for before it.
            if (level != last.Level || dyed != last.Dyed)
            {
                var met = level == start ? -1 : (int)Math.Round(level * PerLevel);
                if (!gains.TryGetValue((met, dyed), out var found))
                {
                    gains[(met, dyed)] = found = TableOf(met < 0 ? start : met / (double)PerLevel, dyed);
                }

                (last, lastGain) = ((level, dyed), found);
            }

            return lastGain[coverage];
        }

        private float[] TableOf(double level, bool dyed)
        {
            var lifting = liftingOf(level, dyed);
            var table = new float[Steps];
            for (var i = 0; i < Steps; i++)
            {
                table[i] = (float)lifting.GainAtCoverage(minutes, i / (Steps - 1.0));
            }

            return table;
        }
    }
}
