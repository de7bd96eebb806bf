namespace Wendro.Lift;

/// <summary>
/// What the proportions in a bowl do to the work: how it holds, how it bleeds, how strong it is. Model assumption
/// throughout.
/// </summary>
public static class Mixing
{
    /// <summary>Parts of developer at which powder and cream hold a soft peak, to one of them.</summary>
    public const double UsualPeak = 1.5;

    /// <summary>The same of clay, which takes more.</summary>
    private const double ClayPeak = 2;

    /// <summary>How much a mixture gains in speed for a doubled share of lightener.</summary>
    private const double StrengthBySharing = 0.15;

    /// <summary>
    /// Share of the section that each part of developer over the peak's makes it run further, and the most of it.
    /// </summary>
    private const double RunsByPart = 0.06,
        RunsAtMost = 0.06;

    /// <summary>
    /// Shares of its peak's developer up to which a mixture is very stiff, stiff and firm, and from which it is
    /// loose and
    /// runs.
    /// </summary>
    private const double VeryStiffUpTo = 0.4,
        StiffUpTo = 0.5,
        FirmUpTo = 0.8,
        LooseFrom = 1.17,
        RunsFrom = 1.5;

    /// <summary>Parts of developer to one of a lightener at which it holds a soft peak.</summary>
    public static double PeakOf(Lightener lightener) =>
        lightener switch
        {
            Lightener.Clay => ClayPeak,
            Lightener.Powder or Lightener.Cream => UsualPeak,
            Lightener.Half => (ClayPeak + UsualPeak) / 2,
        };

    /// <summary>How a mixture of so many parts developer to one of lightener holds.</summary>
    /// <param name="developerPerLightener">Parts of developer to one.</param>
    /// <param name="peak">Those at which this product holds a soft peak.</param>
    public static Consistency ConsistencyOf(double developerPerLightener, double peak = UsualPeak) =>
        (developerPerLightener / peak) switch
        {
            <= StiffUpTo => Consistency.Stiff,
            > RunsFrom => Consistency.Runny,
            _ => Consistency.Right,
        };

    /// <summary>The same in words.</summary>
    /// <param name="developerPerLightener">Parts of developer to one.</param>
    /// <param name="peak">Those at which this product holds a soft peak.</param>
    public static string Words(double developerPerLightener, double peak = UsualPeak) =>
        (developerPerLightener / peak) switch
        {
            <= VeryStiffUpTo => "very stiff: it drags and stays exactly where it is put",
            <= StiffUpTo => "stiff: it catches instead of gliding",
            <= FirmUpTo => "firm: it holds its shape",
            <= LooseFrom => "holds a soft peak",
            <= RunsFrom => "loose: it spreads a little by itself",
            _ => "runny: it spreads and bleeds",
        };

    /// <summary>
    /// Factor on the speed for more or less lightener a gram: 1 at its peak, where strengths are tabled.
    /// </summary>
    /// <param name="developerPerLightener">Parts of developer to one.</param>
    /// <param name="peak">Those at which this product holds a soft peak.</param>
    public static double Strength(double developerPerLightener, double peak = UsualPeak) =>
        1 + StrengthBySharing * ((1 + peak) / (1 + developerPerLightener) - 1);

    /// <summary>Share of the section a looser ratio makes it go further through, 0..0.06.</summary>
    public static double RunsThrough(Formula formula)
    {
        ArgumentNullException.ThrowIfNull(formula);
        return formula.IsDeposit
            ? 0
            : Math.Clamp((formula.DeveloperPerPart - formula.PeakParts) * RunsByPart, 0, RunsAtMost);
    }

    /// <summary>
    /// Factor on the speed by all that is mixed in: the ratio's strength, less what an additive takes.
    /// </summary>
    public static double SpeedOf(Formula formula)
    {
        ArgumentNullException.ThrowIfNull(formula);
        return Strength(formula.DeveloperPerPart, formula.PeakParts) * (1 - (formula.Light?.Additive?.Slows ?? 0));
    }
}
