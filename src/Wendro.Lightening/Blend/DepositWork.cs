using Wendro.Colour;
using Wendro.Hair;
using Wendro.Lift;
using Wendro.Units;

namespace Wendro.Blend;

/// <summary>What one colour does, at a moment, to hair that takes it up as this does.</summary>
public sealed class DepositWork
{
    /// <summary>Levels at which what a gloss costs is tabled.</summary>
    private const int Tabled = 37;

    private readonly double depth;
    private readonly double uptake;
    private readonly double lifts;
    private readonly (double Depth, Absorbance Full)[] shades;
    private readonly double[]? costs;

    private DepositWork(DepositMixture mixture, double lifts, double uptake)
    {
        (depth, this.lifts, this.uptake) = (mixture.Level, lifts, uptake);
        var mix = mixture.Shades ?? new ShadeMix([new(string.Empty, mixture.Level, mixture.Reflect, 1)]);
        shades = mix
            .Shades.Select(s => ((double)s.Depth, Absorbance.Of(s.Reflect, Toner.Dose(s.Depth) * mix.ShareOf(s))))
            .ToArray();
        costs =
            mixture.Base == ColourBase.Gloss
                ? Enumerable.Range(0, Tabled).Select(i => Cost(1 + i * 9.0 / (Tabled - 1))).ToArray()
                : null;
    }

    /// <summary>On hair that is damp: colour laid among the work.</summary>
    public static DepositWork Of(DepositMixture mixture, double volume, double minutes, Porosity porosity) =>
        new(mixture, LiftsBy(mixture, volume, minutes), Deposit.Uptake(minutes, porosity));

    /// <summary>A toner, on hair as wet as it is.</summary>
    public static DepositWork Of(
        DepositMixture mixture,
        double volume,
        double minutes,
        Porosity porosity,
        Dryness dryness
    ) => new(mixture, LiftsBy(mixture, volume, minutes), Toner.Uptake(minutes, porosity, dryness));

    private static double LiftsBy(DepositMixture mixture, double volume, double minutes) =>
        mixture.Base == ColourBase.Permanent ? Deposit.Lifts(volume, minutes) : 0;

    /// <summary>What hair becomes where a share of it lies, 0..1.</summary>
    public StrandOutcome On(StrandOutcome now, double share, bool dyedBefore)
    {
        var level = now.Level;
        var lifted = now.Lifted;

        // Colour doesn't lift colour: only hair that carries none rises towards the shade.
        if (lifts > 0 && !dyedBefore && level < depth && now.Absorbed == default)
        {
            var gained = Math.Min(lifts, depth - level) * share;
            (level, lifted) = (level + gained, Math.Min(1, lifted + gained / ProductEffects.LiftedFrom));
        }

        var absorbed = AbsorbedOn(level) * (uptake * share);
        level += costs is { } of
            ? share * CostAt(of, level)
            : Deposit.Darkens(level, depth, Math.Min(1, share * uptake));
        return new(level, lifted, now.Absorbed + absorbed);
    }

    private Absorbance AbsorbedOn(double level)
    {
        var all = default(Absorbance);
        foreach (var (at, full) in shades)
        {
            all += full * Toner.OnHair(level, at);
        }

        return all;
    }

    /// <summary>
    /// What a gloss costs hair of a level, levels, 0 or less: it is as light as what it leaves of the light.
    /// </summary>
    private double Cost(double level)
    {
        var (r, g, b) = (AbsorbedOn(level) * uptake).Of(LevelColours.Lifted(level));
        return Math.Min(0, LevelColours.LevelOfLifted(LevelColours.LightnessOf(r, g, b)) - level);
    }

    private static double CostAt(double[] costs, double level)
    {
        var x = Math.Clamp((level - 1) / 9, 0, 1) * (Tabled - 1);
        var i = Math.Min((int)x, Tabled - 2);
        return costs[i] + (costs[i + 1] - costs[i]) * (x - i);
    }
}
