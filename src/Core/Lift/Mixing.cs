namespace Wendro.Core.Lift;

/// <summary>
/// What the proportions in a bowl do to the work: how it holds, how it bleeds, how strong it is. Model assumption
/// throughout.
/// </summary>
public static class Mixing
{
    /// <summary>Lightener's share of the mixture at 1 : 1.5, at which all strengths are tabled.</summary>
    private const double TabledShare = 0.4;

    /// <summary>How much a mixture gains in speed for a doubled share of lightener.</summary>
    private const double StrengthBySharing = 0.15;

    /// <summary>
    /// Share of the section that each part of developer over 1.5 makes it run further, and the most of it.
    /// </summary>
    private const double RunsByPart = 0.06,
        RunsAtMost = 0.06;

    /// <summary>
    /// Parts of developer to one of lightener up to which a mixture is stiff, and from which it runs.
    /// </summary>
    private const double StiffUpTo = 0.75,
        RunsFrom = 2.25;

    /// <summary>How a mixture of so many parts developer to one of lightener holds.</summary>
    public static Consistency ConsistencyOf(double developerPerLightener) =>
        developerPerLightener switch
        {
            <= StiffUpTo => Consistency.Stiff,
            > RunsFrom => Consistency.Runny,
            _ => Consistency.Right,
        };

    /// <summary>The same in words.</summary>
    public static string Words(double developerPerLightener) =>
        developerPerLightener switch
        {
            <= 0.6 => "very stiff: it drags and stays exactly where it is put",
            <= StiffUpTo => "stiff: it catches instead of gliding",
            <= 1.2 => "firm: it holds its shape",
            <= 1.75 => "holds a soft peak",
            <= RunsFrom => "loose: it spreads a little by itself",
            _ => "runny: it spreads and bleeds",
        };

    /// <summary>Factor on the speed for more or less lightener a gram: 1 at 1 : 1.5.</summary>
    public static double Strength(double developerPerLightener) =>
        1 + StrengthBySharing * (1 / (1 + developerPerLightener) - TabledShare) / TabledShare;

    /// <summary>Share of the section a looser ratio makes it go further through, 0..0.06.</summary>
    public static double RunsThrough(Formula formula)
    {
        ArgumentNullException.ThrowIfNull(formula);
        return formula.IsDeposit ? 0 : Math.Clamp((formula.DeveloperPerPart - 1.5) * RunsByPart, 0, RunsAtMost);
    }

    /// <summary>
    /// Factor on the speed by all that is mixed in: the ratio's strength, less what an additive takes.
    /// </summary>
    public static double SpeedOf(Formula formula)
    {
        ArgumentNullException.ThrowIfNull(formula);
        return Strength(formula.DeveloperPerPart) * (1 - (formula.Light?.Additive?.Slows ?? 0));
    }
}
