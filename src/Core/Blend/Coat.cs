using Wendro.Core.Hair;
using Wendro.Core.Head;
using Wendro.Core.Lift;
using Wendro.Core.Paint;
using Wendro.Core.Section;
using Wendro.Core.Timing;
using Wendro.Core.Tone;
using Wendro.Core.Units;

namespace Wendro.Core.Blend;

/// <summary>One product on a panel, with its mixture.</summary>
/// <param name="Painted">Where it lies.</param>
/// <param name="Formula">What it is.</param>
/// <param name="Works">When it was laid and how long it works.</param>
public sealed record Coat(PaintedPanel Painted, Formula Formula, Exposure Works)
{
    /// <summary>
    /// Share of its coat that a stiff mixture leaves behind: it catches instead of gliding. Model assumption.
    /// </summary>
    public const double StiffCoat = 0.85;

    /// <summary>A coat as its formula means it.</summary>
    public static Coat Planned(PaintedPanel painted, Formula formula)
    {
        ArgumentNullException.ThrowIfNull(formula);
        return new(painted, formula, Exposure.Lasting(formula.Minutes));
    }

    /// <summary>How much of its coat lies where it is painted, 0..1.</summary>
    public double Thickness => Formula.Consistency == Consistency.Stiff ? StiffCoat : 1;

    /// <summary>The lifting of hair in a state, at full coverage; null for a deposit.</summary>
    public Lifting? LiftingOf(HairProfile hair, Zone zone, HairState state)
    {
        ArgumentNullException.ThrowIfNull(hair);
        return Formula.CaseOn(hair.In(zone), state, Painted.Paint.Covering, ZoneFacts.IsHairline(zone)) is { } of
            ? new Lifting(of)
            : null;
    }
}

/// <summary>
/// What the products of a panel do to hair in one state, at a moment. Where several lie at one place, what was laid
/// first holds its share
/// and the next takes what is left; deposits darken what the lighteners leave. Model assumption.
/// </summary>
internal sealed class Products
{
    private const int Steps = 256;
    private readonly float start;
    private readonly float[]?[] gains;
    private readonly (double Level, double Uptake)[] deposits;

    private Products(float start, float[]?[] gains, (double, double)[] deposits) =>
        (this.start, this.gains, this.deposits) = (start, gains, deposits);

    public static Products Of(PlannedPanel panel, HairProfile hair, HairState state, Moment moment)
    {
        var coats = panel.Coats;
        var gains = new float[]?[coats.Count];
        var deposits = new (double, double)[coats.Count];
        for (var c = 0; c < coats.Count; c++)
        {
            var minutes = moment.Worked(coats[c].Works);
            if (coats[c].Formula.Deposit?.Level is { } level)
            {
                deposits[c] = (level, Deposit.Uptake(minutes, state.Porosity));
            }
            else
            {
                var lifting = coats[c].LiftingOf(hair, panel.Panel.Key.Zone, state)!;
                gains[c] = new float[Steps];
                for (var i = 0; i < Steps; i++)
                {
                    gains[c]![i] = (float)lifting.GainAtCoverage(minutes, i / (Steps - 1.0));
                }
            }
        }

        return new((float)state.Level, gains, deposits);
    }

    /// <summary>Level where the coats cover so much each, 0..1, in the order they were laid.</summary>
    public double Level(ReadOnlySpan<double> coverages)
    {
        double level = start;
        var free = 1.0;
        for (var c = 0; c < gains.Length; c++)
        {
            if (gains[c] is { } gain)
            {
                var share = coverages[c] * free;
                free -= share;
                level += gain[(int)(share * (Steps - 1) + 0.5)];
            }
        }

        free = 1.0;
        for (var c = 0; c < gains.Length; c++)
        {
            var share = coverages[c] * free;
            free -= share;
            if (gains[c] is null)
            {
                level += Deposit.Darkens(level, deposits[c].Level, share * deposits[c].Uptake);
            }
        }

        return level;
    }
}
