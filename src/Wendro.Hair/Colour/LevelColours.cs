namespace Wendro.Colour;

/// <summary>
/// The colour hair of a level is drawn in, untoned, and what light and shade make of it. Level → L* is the table
/// measures use too;
/// chroma and hue: model assumption (more chroma or a yellower hue turns khaki).
/// </summary>
public static class LevelColours
{
    /// <summary>Shades a colour is tabled in.</summary>
    public const int Shades = 128;

    /// <summary>Largest shade a byte can carry, as a factor on the colour.</summary>
    public const double BrightestShade = 1.7;

    private const double Exposure = 1.15;
    private static readonly double[] Lightnesses = [8, 14, 20, 26, 33, 41, 50, 60, 70, 79];
    private static readonly double[] Chromas = [3, 6, 9.5, 13, 18, 23, 27, 26.5, 24, 20];
    private static readonly double[] Hues = [40, 42, 45, 49, 54, 59, 64, 70, 76, 84];

    // Lifted hair is vivid until it is toned: the same levels are another colour than hair that grew so.
    private static readonly double[] LiftedLightnesses = [8, 14, 20, 27, 35, 44, 54, 65, 75, 84];
    private static readonly double[] LiftedChromas = [4, 9, 16, 24, 31, 38, 42, 39, 29, 19];
    private static readonly double[] LiftedHues = [36, 37, 39, 44, 51, 60, 69, 79, 87, 92];

    /// <summary>
    /// Linear sRGB of hair lifted to a level and not toned yet, in even light, 0..1 each. Model assumption.
    /// </summary>
    /// <param name="level">1..10; outside, the nearest end.</param>
    public static (double R, double G, double B) Lifted(double level)
    {
        var hue = Between(LiftedHues, level) * Math.PI / 180;
        var chroma = Between(LiftedChromas, level);
        var (r, g, b) = FromLab(Between(LiftedLightnesses, level), chroma * Math.Cos(hue), chroma * Math.Sin(hue));
        return (Math.Clamp(r, 0, 1), Math.Clamp(g, 0, 1), Math.Clamp(b, 0, 1));
    }

    /// <summary>The level of lifted hair that is as light as this, 1..10.</summary>
    /// <param name="lightness">CIE L*.</param>
    public static double LevelOfLifted(double lightness)
    {
        var l = Math.Clamp(lightness, LiftedLightnesses[0], LiftedLightnesses[^1]);
        var i = Math.Min(LiftedLightnesses.Count(x => x <= l), LiftedLightnesses.Length - 1);
        var (below, above) = (LiftedLightnesses[i - 1], LiftedLightnesses[i]);
        return i + (l - below) / (above - below);
    }

    /// <summary>CIE L* of hair at a level, 8..79. Model assumption.</summary>
    /// <param name="level">1..10; outside, the nearest end.</param>
    public static double Lightness(double level) => Between(Lightnesses, level);

    /// <summary>
    /// How much cooler or warmer a wished tone turns light hair: share of chroma, and degrees of hue. Model
    /// assumption.
    /// </summary>
    private const double ToneChroma = 0.45,
        ToneHue = 9;

    /// <summary>Levels between which a wished tone begins to tell.</summary>
    private const double ToneFrom = 4.5,
        ToneFull = 7;

    /// <summary>Linear sRGB of hair at a level in even light, 0..1 each.</summary>
    /// <param name="level">1..10; outside, the nearest end.</param>
    /// <param name="tone">−1 cool .. 0 untoned .. 1 warm: a picture of a goal, not of a toner.</param>
    public static (double R, double G, double B) Linear(double level, double tone = 0)
    {
        var turned = tone * Units.Curve.Smooth(ToneFrom, ToneFull, level);
        var hue = (Between(Hues, level) - ToneHue * turned) * Math.PI / 180;
        var chroma = Between(Chromas, level) * (1 + ToneChroma * turned);
        return FromLab(Lightness(level), chroma * Math.Cos(hue), chroma * Math.Sin(hue));
    }

    /// <summary>The colour of natural hair as #rrggbb.</summary>
    public static string Hex(double level) => HexOf(Linear(level));

    /// <summary>Linear sRGB as #rrggbb.</summary>
    /// <param name="light">Red, green and blue, 0..1 each.</param>
    public static string HexOf((double R, double G, double B) light) =>
        $"#{Encode(light.R):x2}{Encode(light.G):x2}{Encode(light.B):x2}";

    /// <summary>CIE L*, chroma and hue of white hair between others. Model assumption.</summary>
    private const double WhiteLightness = 72,
        WhiteChroma = 4,
        WhiteHue = 85;

    /// <summary>Linear sRGB of white hair between others, in even light.</summary>
    public static (double R, double G, double B) WhiteHair { get; } =
        FromLab(
            WhiteLightness,
            WhiteChroma * Math.Cos(WhiteHue * Math.PI / 180),
            WhiteChroma * Math.Sin(WhiteHue * Math.PI / 180)
        );

    /// <summary>
    /// How light and how coloured a white strand looks where next to nothing else of its lock is white: it stands for
    /// several hairs. Model assumption.
    /// </summary>
    private const double AmongDarkLightness = 30,
        AmongDarkChroma = 8,
        LeastWhite = 0.25;

    /// <summary>Linear sRGB of a strand that grew white, by how much of its lock did, in even light.</summary>
    /// <param name="share">Share of white in its lock, 0..1.</param>
    public static (double R, double G, double B) WhiteAmong(double share)
    {
        var white = LeastWhite + (1 - LeastWhite) * Math.Clamp(share, 0, 1);
        var chroma = AmongDarkChroma + (WhiteChroma - AmongDarkChroma) * white;
        return FromLab(
            AmongDarkLightness + (WhiteLightness - AmongDarkLightness) * white,
            chroma * Math.Cos(WhiteHue * Math.PI / 180),
            chroma * Math.Sin(WhiteHue * Math.PI / 180)
        );
    }

    /// <summary>
    /// Table of linear light of natural hair, 0..65535 for red, green and blue, by level byte and shade:
    /// 256 × 128 × 3.
    /// </summary>
    /// <param name="tone">−1 cool .. 0 untoned .. 1 warm.</param>
    public static ushort[] Table(double tone = 0) => Shaded(l => Linear(Units.Level.FromByte((byte)l), tone));

    /// <summary>
    /// How light each shade makes red, green and blue, factors on linear light, 128 each: a code is the square root of
    /// shade, so that dark shades keep their steps; shadows get warmer.
    /// </summary>
    public static (double[] Red, double[] Green, double[] Blue) ShadeCurves { get; } = Curves();

    /// <summary>How light beyond white bends down: light / (1 + knee × light). Model assumption.</summary>
    public const double Knee = 0.12;

    /// <summary>Linear light, 0..65535, of 256 colours under every shade: 256 × 128 × 3.</summary>
    /// <param name="of">Linear sRGB by number.</param>
    internal static ushort[] Shaded(Func<int, (double R, double G, double B)> of)
    {
        var (red, green, blue) = ShadeCurves;
        var table = new ushort[256 * Shades * 3];
        for (var l = 0; l < 256; l++)
        {
            var (r, g, b) = of(l);
            for (var s = 0; s < Shades; s++)
            {
                var i = (l * Shades + s) * 3;
                table[i] = Word(r * red[s]);
                table[i + 1] = Word(g * green[s]);
                table[i + 2] = Word(b * blue[s]);
            }
        }

        return table;
    }

    private static (double[] Red, double[] Green, double[] Blue) Curves()
    {
        double[] Curve(double power) =>
            Enumerable
                .Range(0, Shades)
                .Select(s => s / (Shades - 1.0))
                .Select(code => Exposure * Math.Pow(code * code * BrightestShade, power))
                .ToArray();
        return (Curve(0.9), Curve(1), Curve(1.1));
    }

    /// <summary>8-bit sRGB of a linear value 0..1.</summary>
    public static byte Encode(double linear)
    {
        var v = Math.Clamp(linear, 0, 1);
        var c = v <= 0.0031308 ? v * 12.92 : 1.055 * Math.Pow(v, 1 / 2.4) - 0.055;
        return (byte)Math.Round(c * 255);
    }

    /// <summary>Linear light, 0..1, of an 8-bit sRGB value.</summary>
    public static double Decode(byte srgb)
    {
        var c = srgb / 255.0;
        return c <= 0.04045 ? c / 12.92 : Math.Pow((c + 0.055) / 1.055, 2.4);
    }

    /// <summary>CIE L* of linear sRGB.</summary>
    public static double LightnessOf(double r, double g, double b)
    {
        var y = 0.2126 * r + 0.7152 * g + 0.0722 * b;
        return y <= 216.0 / 24389 ? y * 24389 / 27 : 116 * Math.Cbrt(y) - 16;
    }

    private static ushort Word(double light) =>
        (ushort)Math.Clamp(Math.Round(light / (1 + Knee * light) * 65535), 0, 65535);

    private static double Between(double[] table, double level)
    {
        var x = Math.Clamp(level, 1, 10) - 1;
        var i = Math.Min((int)x, 8);
        return table[i] + (table[i + 1] - table[i]) * (x - i);
    }

    private static (double R, double G, double B) FromLab(double l, double a, double b)
    {
        static double Cube(double t) => t > 6.0 / 29 ? t * t * t : 3 * 36.0 / 841 * (t - 4.0 / 29);
        var fy = (l + 16) / 116;
        var x = 0.95047 * Cube(fy + a / 500);
        var y = Cube(fy);
        var z = 1.08883 * Cube(fy - b / 200);
        return (
            3.2404542 * x - 1.5371385 * y - 0.4985314 * z,
            -0.9692660 * x + 1.8760108 * y + 0.0415560 * z,
            0.0556434 * x - 0.2040259 * y + 1.0572252 * z
        );
    }
}
