using Wendro.Hair;
using Wendro.Lift;
using Wendro.Paint;
using Wendro.Units;

namespace Wendro.Patterns;

/// <summary>A formula that aims at a level, by developer and minutes.</summary>
internal static class MixForGoal
{
    /// <summary>Sooner than this nothing painted by hand is rinsed, minutes. Model assumption.</summary>
    private const double LeastMinutes = 15;

    private static readonly double[] Strengths = [10, 20, 30, 40];

    /// <summary>
    /// The same mixture as long as the level takes within its leaflet's time; stronger only where the level needs it,
    /// and never beyond what may be offered on the hair: then as near as that comes.
    /// </summary>
    /// <param name="formula">What is mixed, at its weakest.</param>
    /// <param name="hair">The hair.</param>
    /// <param name="target">The level aimed at.</param>
    /// <param name="under">What covers it.</param>
    /// <param name="most">Strongest developer it may take, volume.</param>
    public static Formula Of(
        Formula formula,
        HairProfile hair,
        Level target,
        Covering under,
        double most = Volume.Strongest
    )
    {
        var offer = Offer.On(hair);
        var mild = offer.Within(formula, under);
        var state = HairState.Of(hair)[0];
        var limit = Math.Floor(formula.LimitMinutes ?? LiftTables.LeafletLimitMinutes);
        var strongest = mild;
        foreach (var volume in Strengths.Where(v => v > mild.Volume && v <= most).Prepend(mild.Volume))
        {
            var tried = mild with { Volume = new(volume) };
            if (!offer.Allows(tried, under) || tried.CaseOn(hair, state, under) is not { } of)
            {
                continue;
            }

            if (new Lifting(of).MinutesTo(target) is { } minutes && minutes <= limit)
            {
                return tried with { Minutes = new(Math.Max(LeastMinutes, Math.Ceiling(minutes))) };
            }

            strongest = tried;
        }

        return strongest with
        {
            Minutes = new(limit),
        };
    }
}
