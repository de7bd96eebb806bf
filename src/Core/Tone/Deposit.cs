using Wendro.Core.Hair;

namespace Wendro.Core.Tone;

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

    /// <summary>How far a level changes, levels, 0 or less.</summary>
    /// <param name="level">The hair's level.</param>
    /// <param name="deposit">The deposit's level.</param>
    /// <param name="share">Share of it that lies there and is taken up, 0..1.</param>
    public static double Darkens(double level, double deposit, double share) => share * Math.Min(0, deposit - level);
}
