using Wendro.Core.Hair;
using Wendro.Core.Head;
using Wendro.Core.Lift;
using Wendro.Core.Paint;
using Wendro.Core.Units;

namespace Wendro.Core.Blend;

/// <summary>A panel with what is painted on it and what that will do.</summary>
/// <param name="Panel">The panel.</param>
/// <param name="Painted">The paint; null while it is left natural.</param>
/// <param name="Formula">The formula; null while it is left natural.</param>
public sealed record PlannedPanel(Panel Panel, PaintedPanel? Painted, Formula? Formula)
{
    private const int AcrossSteps = 16;
    private const int AlongSteps = 48;

    /// <summary>The lifting of this panel's untouched hair at full coverage; null while it is left natural.</summary>
    public Lifting? LiftingOf(HairProfile hair)
    {
        ArgumentNullException.ThrowIfNull(hair);
        return LiftingOf(hair, HairState.Of(hair.In(Panel.Key.Zone))[0]);
    }

    /// <summary>The lifting of this panel's hair where it is in a state, at full coverage; null while it is left natural.</summary>
    public Lifting? LiftingOf(HairProfile hair, HairState state)
    {
        ArgumentNullException.ThrowIfNull(hair);
        return Painted is null || Formula is null
            ? null
            : new Lifting(new LiftCase(
                Level.Clamp(state.Level),
                hair.In(Panel.Key.Zone).Diameter,
                state.Porosity,
                state.Coloured,
                Formula.Lightener,
                new Volume(Formula.Volume),
                Painted.Paint.Covering,
                Hairline: ZoneFacts.IsHairline(Panel.Key.Zone),
                Own: hair.Own));
    }

    /// <summary>Mean level of the panel's hair by mass at a moment: over its width, its section, its length and its states.</summary>
    public double MeanLevel(HairProfile hair, Moment moment)
    {
        var sum = 0.0;
        foreach (var (share, weight, state, lifting) in Stretches(hair))
        {
            sum += weight * state.Level;
            if (lifting is null)
            {
                continue;
            }

            var minutes = moment.MinutesOf(Formula!);
            var gain = 0.0;
            for (var j = 0; j < AcrossSteps; j++)
            {
                gain += lifting.GainAtCoverage(minutes, Painted!.CoverageAlong((j + 0.5) / AcrossSteps, share * Panel.LengthCm));
            }

            sum += weight * Painted!.ShareReached(share) * gain / AcrossSteps;
        }

        return sum / AlongSteps;
    }

    /// <summary>Level where the panel is brightest, at a moment: what the map shows.</summary>
    public double BrightestLevel(HairProfile hair, Moment moment)
    {
        var most = 0.0;
        foreach (var (share, _, state, lifting) in Stretches(hair).Where(s => s.Weight >= 0.5))
        {
            var covered = 0.0;
            for (var j = 0; j <= 8 && Painted is not null; j++)
            {
                covered = Math.Max(covered, Painted.CoverageAlong(j / 8.0, Math.Min(share + 0.5 / AlongSteps, 1) * Panel.LengthCm));
            }

            most = Math.Max(most, state.Level + (lifting?.GainAtCoverage(moment.MinutesOf(Formula!), covered) ?? 0));
        }

        return most;
    }

    /// <summary>The panel's hair piece by piece from scalp to ends; where only some strands were treated, once for these and once for the others.</summary>
    private IEnumerable<(double Share, double Weight, HairState State, Lifting? Lifting)> Stretches(HairProfile hair)
    {
        ArgumentNullException.ThrowIfNull(hair);
        var states = HairState.Of(hair.In(Panel.Key.Zone));
        var liftings = states.Select(s => LiftingOf(hair, s)).ToArray();
        for (var k = 0; k < AlongSteps; k++)
        {
            var share = (k + 0.5) / AlongSteps;
            var band = StrandHistory.At(hair.Bands, share * Panel.LengthCm);
            var treated = band is { } b ? hair.Bands[b].Share : 0;
            if (treated > 0)
            {
                yield return (share, treated, states[band!.Value + 1], liftings[band.Value + 1]);
            }

            if (treated < 1)
            {
                yield return (share, 1 - treated, states[0], liftings[0]);
            }
        }
    }
}
