namespace Wendro.Units;

/// <summary>US customary units and back. Exact by definition of the international pound and inch.</summary>
public static class Customary
{
    /// <summary>Grams in an ounce (avoirdupois).</summary>
    public const double GramsPerOunce = 28.349523125;

    /// <summary>Centimetres in an inch.</summary>
    public const double CentimetresPerInch = 2.54;

    /// <summary>Ounces as grams.</summary>
    public static double GramsOf(double ounces) => ounces * GramsPerOunce;

    /// <summary>Grams as ounces.</summary>
    public static double OuncesOf(double grams) => grams / GramsPerOunce;

    /// <summary>Inches as centimetres.</summary>
    public static double CentimetresOf(double inches) => inches * CentimetresPerInch;

    /// <summary>Centimetres as inches.</summary>
    public static double InchesOf(double centimetres) => centimetres / CentimetresPerInch;
}
