using Wendro.Colour;
using Wendro.Units;

namespace Wendro.Photographs;

/// <summary>Linear light of a patch of a photograph, 0..1 each: its usual pixel, neither shine nor shadow.</summary>
public readonly record struct PatchLight(double R, double G, double B)
{
    /// <summary>Darkest light that can be told from none: an 8-bit camera's last step.</summary>
    internal const double Least = 0.0008;

    /// <summary>
    /// The usual light of some pixels: the brightest, which shine, and the darkest, which lie in shadow, are left away.
    /// </summary>
    /// <param name="srgb">Red, green and blue by turns, 8 bits each, of at least one pixel.</param>
    public static PatchLight Of(ReadOnlySpan<byte> srgb)
    {
        if (srgb.Length < 3)
        {
            throw new ArgumentException("A patch has at least one pixel.", nameof(srgb));
        }

        var pixels = new (double R, double G, double B)[srgb.Length / 3];
        for (var i = 0; i < pixels.Length; i++)
        {
            pixels[i] = (
                LevelColours.Decode(srgb[i * 3]),
                LevelColours.Decode(srgb[i * 3 + 1]),
                LevelColours.Decode(srgb[i * 3 + 2])
            );
        }

        Array.Sort(pixels, (a, b) => Light(a).CompareTo(Light(b)));
        var (from, to) = ((int)(ShadowShare * pixels.Length), (int)Math.Ceiling((1 - ShineShare) * pixels.Length));
        var kept = pixels[from..Math.Max(from + 1, to)];
        return new(kept.Average(p => p.R), kept.Average(p => p.G), kept.Average(p => p.B));
    }

    /// <summary>Whether one of its channels is burnt out, so that its colour can't be told.</summary>
    public bool IsBurnt => Math.Max(R, Math.Max(G, B)) > 0.985;

    /// <summary>Whether it is too dark for its colour to be told.</summary>
    public bool IsDark => Math.Max(R, Math.Max(G, B)) < 0.004;

    /// <summary>Share of a patch's pixels that count as shine, and as shadow. Model assumption.</summary>
    private const double ShineShare = 0.3,
        ShadowShare = 0.25;

    private static double Light((double R, double G, double B) p) => 0.2126 * p.R + 0.7152 * p.G + 0.0722 * p.B;
}

/// <summary>What else in a photograph tells of its light.</summary>
public enum Reference
{
    /// <summary>Nothing.</summary>
    None,

    /// <summary>Something neutral, of unknown lightness: the surround, a towel, a wall.</summary>
    Neutral,

    /// <summary>A grey card of 18 %.</summary>
    GreyCard,
}

/// <summary>A level read from a photograph.</summary>
/// <param name="Level">The level that is likeliest, in the mean.</param>
/// <param name="Spread">Its standard deviation, levels.</param>
/// <param name="From">Nine in ten are above it.</param>
/// <param name="To">Nine in ten are below it.</param>
public sealed record PhotoLevel(double Level, double Spread, double From, double To);

/// <summary>
/// Reads the level of lifted, untoned hair from a patch of a photograph: every level, in every shade and, where nothing
/// neutral is in the picture, in every light, is held against what the camera saw. Model assumption throughout.
/// </summary>
public static class PhotoReading
{
    /// <summary>How much a grey card reflects.</summary>
    public const double CardReflects = 0.18;

    /// <summary>Least spread: hair is not one colour. Levels.</summary>
    public const double LeastSpread = 0.15;

    /// <summary>
    /// How far the ratios of red and blue to green lie from hair's own, natural logarithms, where the light is known:
    /// camera, cloth nearby, hair itself.
    /// </summary>
    private const double RatioSpread = 0.09;

    /// <summary>
    /// How light a patch of hair is against the same hair in even light: usually less, for it lies in shade. Natural
    /// logarithm, and its spread.
    /// </summary>
    private const double UsualShade = -0.55,
        ShadeSpread = 0.5;

    /// <summary>The same where the exposure is unknown.</summary>
    private const double UnknownShadeSpread = 1.2;

    /// <summary>
    /// How much warmer or cooler than daylight a room's light is, as a spread of the logarithm of red to green; blue
    /// goes the other way, further; and how far a light is green or magenta besides.
    /// </summary>
    private const double LightSpread = 0.16,
        BlueAgainstRed = -1.5,
        GreenSpread = 0.05;

    /// <summary>Shade turns hair warmer: so much of its logarithm.</summary>
    private const double ShadeWarms = 0.1;

    private const double LevelStep = 0.05,
        ShadeFrom = -3,
        ShadeTo = 1.2,
        ShadeStep = 0.1;

    private const int Lights = 21;

    private static readonly (double Level, double Red, double Green, double Blue)[] Lifted = Enumerable
        .Range(0, (int)Math.Round((Level.Lightest - Level.Darkest) / LevelStep) + 1)
        .Select(i => Level.Darkest + i * LevelStep)
        .Select(level => (level, LevelColours.Lifted(level)))
        .Select(l =>
            (l.level, Math.Log(l.Item2.R), Math.Log(l.Item2.G), Math.Log(Math.Max(PatchLight.Least, l.Item2.B)))
        )
        .ToArray();

    /// <summary>Reads a level.</summary>
    /// <param name="hair">The patch of hair.</param>
    /// <param name="reference">What else tells of the light.</param>
    /// <param name="neutral">Its patch; nothing where there is none.</param>
    public static PhotoLevel Of(PatchLight hair, Reference reference, PatchLight neutral = default)
    {
        var (r, g, b) = Balanced(hair, reference, neutral);
        var shadeSpread = reference == Reference.GreyCard ? ShadeSpread : UnknownShadeSpread;
        // What is hardly there is hardly told: one step of an 8-bit camera more or less.
        var dim = PatchLight.Least / Math.Max(PatchLight.Least, Math.Min(hair.B, hair.R));
        var spread = double.Hypot(RatioSpread, dim);
        var likely = new double[Lifted.Length];
        foreach (var (light, weight) in LightsOf(reference))
        {
            for (var i = 0; i < Lifted.Length; i++)
            {
                var (_, red, green, blue) = Lifted[i];
                for (var shade = ShadeFrom; shade <= ShadeTo; shade += ShadeStep)
                {
                    var offRed = r - g - (red - green) + ShadeWarms * shade - light;
                    var offBlue = b - g - (blue - green) - ShadeWarms * shade - BlueAgainstRed * light;
                    var offShade = (shade - UsualShade) / shadeSpread;
                    var offGreen = (g - green - shade) / RatioSpread;
                    var tint = reference == Reference.None ? GreenSpread : 0;
                    likely[i] +=
                        weight
                        * Math.Exp(
                            -0.5
                                * (
                                    offRed * offRed / (spread * spread + tint * tint)
                                    + offBlue * offBlue / (spread * spread + tint * tint)
                                    + offShade * offShade
                                    + offGreen * offGreen
                                )
                        );
                }
            }
        }

        return Told(likely);
    }

    /// <summary>The hair's light in even daylight, natural logarithms, as far as the reference tells.</summary>
    private static (double R, double G, double B) Balanced(PatchLight hair, Reference reference, PatchLight neutral)
    {
        static double Log(double light) => Math.Log(Math.Max(PatchLight.Least, light));
        var (r, g, b) = (Log(hair.R), Log(hair.G), Log(hair.B));
        if (reference == Reference.None)
        {
            return (r, g, b);
        }

        var (byR, byG, byB) = (Log(neutral.R), Log(neutral.G), Log(neutral.B));
        // A grey card tells how bright the light is, too; else only its colour is taken away.
        var bright = reference == Reference.GreyCard ? Math.Log(CardReflects) : byG;
        return (r - byR + bright, g - byG + bright, b - byB + bright);
    }

    private static IEnumerable<(double Light, double Weight)> LightsOf(Reference reference)
    {
        if (reference != Reference.None)
        {
            return [(0, 1)];
        }

        return Enumerable
            .Range(0, Lights)
            .Select(i => 3.0 * (2.0 * i / (Lights - 1) - 1))
            .Select(z => (z * LightSpread, Math.Exp(-0.5 * z * z)));
    }

    private static PhotoLevel Told(double[] likely)
    {
        var all = likely.Sum();
        if (!(all > 0))
        {
            // Nothing there is looks like it: any level is as likely as another.
            Array.Fill(likely, 1);
            all = likely.Length;
        }

        var mean = likely.Select((p, i) => p * Lifted[i].Level).Sum() / all;
        var variance = likely.Select((p, i) => p * Math.Pow(Lifted[i].Level - mean, 2)).Sum() / all;
        var spread = double.Hypot(Math.Sqrt(variance), LeastSpread);
        double At(double share)
        {
            var sum = 0.0;
            for (var i = 0; i < likely.Length; i++)
            {
                sum += likely[i] / all;
                if (sum >= share)
                {
                    return Lifted[i].Level;
                }
            }

            return Level.Lightest;
        }

        return new(
            mean,
            spread,
            Math.Min(At(0.1), Math.Max(Level.Darkest, mean - Tenth * LeastSpread)),
            Math.Max(At(0.9), Math.Min(Level.Lightest, mean + Tenth * LeastSpread))
        );
    }

    /// <summary>Standard deviations within which eight in ten lie.</summary>
    private const double Tenth = 1.2816;
}
