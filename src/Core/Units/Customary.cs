namespace Wendro.Core.Units;

/// <summary>US customary units and back. Source: UnitsNet.</summary>
public static class Customary
{
    /// <summary>Ounces as grams.</summary>
    public static double GramsOf(double ounces) => UnitsNet.Mass.FromOunces(ounces).Grams;

    /// <summary>Grams as ounces.</summary>
    public static double OuncesOf(double grams) => UnitsNet.Mass.FromGrams(grams).Ounces;

    /// <summary>Inches as centimetres.</summary>
    public static double CentimetresOf(double inches) => UnitsNet.Length.FromInches(inches).Centimeters;

    /// <summary>Centimetres as inches.</summary>
    public static double InchesOf(double centimetres) => UnitsNet.Length.FromCentimeters(centimetres).Inches;
}
