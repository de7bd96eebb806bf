namespace Wendro.Hair;

/// <summary>Figures of hair itself.</summary>
public static class HairFibre
{
    /// <summary>Mass density of hair, g/cm³. Source: body.</summary>
    public const double GramsPerCubicCm = 1.3;

    /// <summary>Growth, cm a month. Source: body.</summary>
    public const double GrowthCmPerMonth = 1.25;

    /// <summary>Strand diameter in cm.</summary>
    public static double DiameterCm(Diameter diameter) =>
        diameter switch
        {
            Diameter.Fine => 55e-4,
            Diameter.Coarse => 90e-4,
            Diameter.Medium => 70e-4,
        };

    /// <summary>Hairs per cm² of scalp.</summary>
    public static double PerSquareCm(Density density) =>
        density switch
        {
            Density.Low => 130,
            Density.High => 230,
            Density.Medium => 180,
        };

    /// <summary>Grams of hair: area × hairs/cm² × length × π d²/4 × 1.3 g/cm³.</summary>
    /// <param name="profile">Diameter and density.</param>
    /// <param name="areaCm2">Scalp area, cm².</param>
    /// <param name="lengthCm">Length, cm.</param>
    public static double Grams(HairProfile profile, double areaCm2, double lengthCm)
    {
        ArgumentNullException.ThrowIfNull(profile);
        var d = DiameterCm(profile.Diameter);
        return areaCm2 * PerSquareCm(profile.Density) * lengthCm * Math.PI * d * d / 4 * GramsPerCubicCm;
    }
}
