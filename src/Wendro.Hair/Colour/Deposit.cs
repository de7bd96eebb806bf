using Wendro.Hair;

namespace Wendro.Colour;

/// <summary>
/// Colour laid on hair to darken it: a lowlight, a root stretch. It draws lighter hair towards its own level by what
/// the hair takes up,
/// and does nothing on darker hair; it never lightens. Model assumption.
/// </summary>
public static class Deposit
{
    /// <summary>Share taken up after some minutes, 0..1: as a toner on damp hair, never more than all of it.</summary>
    /// <param name="minutes">Minutes on the hair.</param>
    /// <param name="porosity">How readily it takes product up.</param>
    public static double Uptake(double minutes, Porosity porosity) =>
        Math.Min(1, Toner.Uptake(minutes, porosity, Dryness.Damp));

    /// <summary>
    /// How far a permanent colour lifts natural hair at most, levels: with 40 vol, after an hour. Source: the trade.
    /// </summary>
    public const double MostLift = 2;

    /// <summary>Developer from which a permanent colour lifts, volume. Source: the trade.</summary>
    public const double LiftsFromVolume = 20;

    /// <summary>Time in which it lifts all but a third of what it will, minutes. Model assumption.</summary>
    public const double LiftMinutes = 12;

    /// <summary>How far a permanent colour lifts hair that carries no colour yet, levels, 0..2.</summary>
    /// <param name="volume">Its developer, volume.</param>
    /// <param name="minutes">Minutes on the hair.</param>
    public static double Lifts(double volume, double minutes) =>
        volume < LiftsFromVolume
            ? 0
            : MostLift
                * Math.Min(1, (volume + LiftsFromVolume) / (2 * StrongestVolume - LiftsFromVolume))
                * (1 - Math.Exp(-minutes / LiftMinutes));

    private const double StrongestVolume = 40;

    /// <summary>How far a level changes, levels, 0 or less.</summary>
    /// <param name="level">The hair's level.</param>
    /// <param name="deposit">The deposit's level.</param>
    /// <param name="share">Share of it that lies there and is taken up, 0..1.</param>
    public static double Darkens(double level, double deposit, double share) => share * Math.Min(0, deposit - level);
}
