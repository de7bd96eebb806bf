using Wendro.Hair;
using Wendro.Head;

namespace Wendro.Blend;

/// <summary>
/// How a planned head will look, in figures, as it is seen when worn down from front, both sides and back.
/// </summary>
/// <param name="EndsLevel">Mean level of the light hair seen at the ends; null while nothing is light.</param>
/// <param name="LightShare">Share of seen hair at least 1.5 levels above natural, 0..1.</param>
/// <param name="FaceFrameLift">Mean level of the face frame above the rest, from the front, levels.</param>
/// <param name="RootSoftness">Steepest rise of any zone's mean level along the hair, levels a cm.</param>
/// <param name="SteepestZone">The zone where it is steepest.</param>
/// <param name="SteepestAtCm">How far from the scalp, cm.</param>
/// <param name="Balance">Mean seen level of her left less that of her right, levels.</param>
/// <param name="ZoneLevels">Mean seen level by zone, worn down.</param>
/// <param name="MeanLevel">Mean level of all hair seen.</param>
/// <param name="Gradient">Mean level of the lower half above that of the first centimetre, levels.</param>
/// <param name="RibbonContrast">How far levels of the lower half differ within a zone, mean over zones, levels.</param>
/// <param name="RegrowthWeeks">Weeks until what has grown begins to show, 2..40.</param>
/// <param name="SeenShares">Share of the seen hair each panel makes up, 0..1, by panel number.</param>
public sealed record Measures(
    double? EndsLevel,
    double LightShare,
    double FaceFrameLift,
    double RootSoftness,
    Zone? SteepestZone,
    double SteepestAtCm,
    double Balance,
    IReadOnlyDictionary<Zone, double> ZoneLevels,
    double MeanLevel,
    double Gradient,
    double RibbonContrast,
    double RegrowthWeeks,
    IReadOnlyList<double> SeenShares
)
{
    /// <summary>How far what is seen lies from another head, levels, mean over the zones that both show.</summary>
    /// <param name="other">The other's measures.</param>
    public double LevelsFrom(Measures other)
    {
        ArgumentNullException.ThrowIfNull(other);
        return ZoneFacts
            .All.Where(z => ZoneLevels.ContainsKey(z) && other.ZoneLevels.ContainsKey(z))
            .Select(z => Math.Abs(ZoneLevels[z] - other.ZoneLevels[z]))
            .DefaultIfEmpty()
            .Average();
    }

    /// <summary>Reads the measures off a tally.</summary>
    /// <param name="down">What is seen worn down.</param>
    /// <param name="hair">Her hair: what grows has its natural level.</param>
    /// <param name="seenShares">Share of seen hair by panel.</param>
    public static Measures Of(Tally down, HairProfile hair, IReadOnlyList<double> seenShares)
    {
        ArgumentNullException.ThrowIfNull(down);
        var steepest = ZoneFacts.All.Select(z => (Zone: z, Softness: down.Softness(z))).MaxBy(x => x.Softness.Slope);
        var (left, right) = down.Sides;
        var frame = down.LevelFromFront(ZoneFacts.IsFaceFrame);
        var rest = down.LevelFromFront(z => !ZoneFacts.IsFaceFrame(z));
        return new Measures(
            down.EndsLevel,
            down.LightShare,
            frame - rest ?? 0,
            steepest.Softness.Slope,
            steepest.Softness.Slope > 0 ? steepest.Zone : null,
            steepest.Softness.AtCm,
            left - right,
            ZoneFacts
                .All.Where(z => down.LevelOf(x => x == z) is not null)
                .ToDictionary(z => z, z => down.LevelOf(x => x == z)!.Value),
            down.LevelOf(_ => true) ?? 0,
            down.Gradient,
            ZoneFacts
                .All.Select(down.Ribbons)
                .OfType<(double Contrast, double)>()
                .Select(r => r.Contrast)
                .DefaultIfEmpty()
                .Average(),
            Regrowth.WeeksUntilItShows(down, hair),
            seenShares
        );
    }
}
