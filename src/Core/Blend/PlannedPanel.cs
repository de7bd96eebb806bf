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

    /// <summary>The lifting of this panel's hair at full coverage; null while it is left natural.</summary>
    public Lifting? LiftingOf(HairProfile hair)
    {
        ArgumentNullException.ThrowIfNull(hair);
        return Painted is null || Formula is null
            ? null
            : new Lifting(new LiftCase(
                Level.Clamp(hair.NaturalLevel),
                hair.Diameter,
                hair.Porosity,
                hair.Coloured,
                Formula.Lightener,
                new Volume(Formula.Volume),
                Painted.Paint.Covering,
                Hairline: ZoneFacts.IsHairline(Panel.Key.Zone)));
    }

    /// <summary>Mean level of the panel's hair by mass at a moment: over its width, its section and its length.</summary>
    public double MeanLevel(HairProfile hair, Moment moment)
    {
        ArgumentNullException.ThrowIfNull(hair);
        if (LiftingOf(hair) is not { } lifting)
        {
            return hair.NaturalLevel;
        }

        var minutes = moment.MinutesOf(Formula!);
        var sum = 0.0;
        for (var k = 0; k < AlongSteps; k++)
        {
            var share = (k + 0.5) / AlongSteps;
            var reached = Painted!.ShareReached(share);
            for (var j = 0; j < AcrossSteps; j++)
            {
                var coverage = Painted.CoverageAlong((j + 0.5) / AcrossSteps, share * Panel.LengthCm);
                sum += reached * lifting.GainAtCoverage(minutes, coverage);
            }
        }

        return hair.NaturalLevel + sum / (AcrossSteps * AlongSteps);
    }

    /// <summary>Level where the paint is thickest, at a moment: what the map shows.</summary>
    public double BrightestLevel(HairProfile hair, Moment moment)
    {
        ArgumentNullException.ThrowIfNull(hair);
        if (LiftingOf(hair) is not { } lifting)
        {
            return hair.NaturalLevel;
        }

        var most = 0.0;
        for (var j = 0; j <= 8; j++)
        {
            most = Math.Max(most, Painted!.CoverageAlong(j / 8.0, Panel.LengthCm));
        }

        return hair.NaturalLevel + lifting.GainAtCoverage(moment.MinutesOf(Formula!), most);
    }
}
