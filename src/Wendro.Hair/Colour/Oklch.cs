namespace Wendro.Colour;

/// <summary>
/// A colour by how light, how strong and which: OKLCH. Source: B. Ottosson's OKLab, a published colour space.
/// </summary>
/// <param name="Lightness">0..1.</param>
/// <param name="Chroma">0 and up.</param>
/// <param name="Hue">Degrees, 0..360.</param>
public readonly record struct Oklch(double Lightness, double Chroma, double Hue)
{
    /// <summary>Of linear sRGB, 0..1 each.</summary>
    public static Oklch Of(double r, double g, double b)
    {
        var l = Math.Cbrt(0.4122214708 * r + 0.5363325363 * g + 0.0514459929 * b);
        var m = Math.Cbrt(0.2119034982 * r + 0.6806995451 * g + 0.1073969566 * b);
        var s = Math.Cbrt(0.0883024619 * r + 0.2817188376 * g + 0.6299787005 * b);
        var lightness = 0.2104542553 * l + 0.7936177850 * m - 0.0040720468 * s;
        var x = 1.9779984951 * l - 2.4285922050 * m + 0.4505937099 * s;
        var y = 0.0259040371 * l + 0.7827717662 * m - 0.8086757660 * s;
        var hue = Math.Atan2(y, x) * 180 / Math.PI;
        return new(lightness, Math.Sqrt(x * x + y * y), hue < 0 ? hue + 360 : hue);
    }

    /// <summary>How much of this colour's strength lies along another's hue; negative where it lies opposite.</summary>
    public double Along(double hue) => Chroma * Math.Cos((Hue - hue) * Math.PI / 180);

    /// <summary>How far another colour lies, OKLab × 100.</summary>
    public double DeltaE(Oklch other)
    {
        var turned = (Hue - other.Hue) * Math.PI / 180;
        var across = Chroma * Chroma + other.Chroma * other.Chroma - 2 * Chroma * other.Chroma * Math.Cos(turned);
        var light = Lightness - other.Lightness;
        return 100 * Math.Sqrt(light * light + Math.Max(0, across));
    }

    /// <summary>How a distance is seen, in words.</summary>
    /// <param name="deltaE">OKLab × 100.</param>
    public static string Seen(double deltaE) =>
        deltaE < NotSeen ? "not seen"
        : deltaE < HardlySeen ? "hardly seen"
        : "plainly seen";

    /// <summary>
    /// Distances under which two colours are not told apart, and hardly, OKLab × 100. Model assumption.
    /// </summary>
    public const double NotSeen = 1,
        HardlySeen = 3;
}
