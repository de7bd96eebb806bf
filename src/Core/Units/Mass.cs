namespace Wendro.Core.Units;

/// <summary>Grams and ounces. Source: the avoirdupois ounce by definition.</summary>
public static class Mass
{
    /// <summary>Grams an ounce has.</summary>
    public const double GramsAnOunce = 28.349523125;

    /// <summary>Ounces as grams.</summary>
    public static double GramsOf(double ounces) => ounces * GramsAnOunce;

    /// <summary>Grams as ounces.</summary>
    public static double OuncesOf(double grams) => grams / GramsAnOunce;
}
