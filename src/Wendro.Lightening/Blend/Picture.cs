using System.Runtime.CompilerServices;
using Wendro.Colour;
using Wendro.Fall;

namespace Wendro.Blend;

/// <summary>The picture of a head: what is seen, coloured by looking up the level each sample shows.</summary>
public static class Picture
{
    private static readonly byte[] Srgb = Enumerable
        .Range(0, 4096)
        .Select(i => LevelColours.Encode(i / 4095.0))
        .ToArray();
    private static readonly float[] Red = Floats(LevelColours.ShadeCurves.Red),
        Green = Floats(LevelColours.ShadeCurves.Green),
        Blue = Floats(LevelColours.ShadeCurves.Blue);
    private static readonly ushort[] Linear = Enumerable.Range(0, 256).Select(ToLinear).ToArray();

    /// <summary>Share of a full white highlight added, linear light. Model assumption.</summary>
    public const double ShineGain = 0.26;

    /// <summary>RGB of every pixel, 520 × 640 × 3 bytes, rows from the top.</summary>
    /// <param name="seen">What is seen.</param>
    /// <param name="hair">What every strand is at 64 places: what is drawn.</param>
    /// <param name="palette">What colours levels and tints have; raw where none is said.</param>
    public static byte[] Colour(Seen seen, StrandSamples hair, Palette? palette = null)
    {
        ArgumentNullException.ThrowIfNull(seen);
        ArgumentNullException.ThrowIfNull(hair);
        var colours = palette ?? Palette.Raw;
        var tints = new ushort[]?[256];
        var rgb = new byte[View.Width * View.Height * 3];
        var s = 0;
        for (var i = 0; i < seen.Counts.Length; i++)
        {
            int n = seen.Counts[i];
            if (n == 0)
            {
                rgb[i * 3] = rgb[i * 3 + 1] = rgb[i * 3 + 2] = seen.Grey[i];
                continue;
            }

            int r = 0,
                g = 0,
                b = 0;
            for (var k = 0; k < n; k++, s++)
            {
                var place = seen.Strand[s] * Places.Count + seen.Place[s];
                var tint = hair.Tints[place];
                var even = tints[tint] ??= colours.Even(new(tint));
                var at = hair.Levels[place] * 3;
                var shade = seen.Shade[s] >> 1;
                var shine = (int)(seen.Shine[s] * (ShineGain * 65535 / 255));
                r += Lit(even[at] * Red[shade]) + shine;
                g += Lit(even[at + 1] * Green[shade]) + shine;
                b += Lit(even[at + 2] * Blue[shade]) + shine;
            }

            if (n < View.Across)
            {
                int grey = Linear[seen.Grey[i]];
                r += grey;
                g += grey;
                b += grey;
            }

            rgb[i * 3] = Srgb[Math.Min(r / View.Across, 65535) >> 4];
            rgb[i * 3 + 1] = Srgb[Math.Min(g / View.Across, 65535) >> 4];
            rgb[i * 3 + 2] = Srgb[Math.Min(b / View.Across, 65535) >> 4];
        }

        return rgb;
    }

    /// <summary>RGB of a picture twice as wide and high, drawn anew at that size: 1040 × 1280 × 3 bytes.</summary>
    /// <param name="looks">The hair.</param>
    /// <param name="wear">How it is worn.</param>
    /// <param name="angle">Degrees round the head.</param>
    /// <param name="tilt">Degrees above eye height.</param>
    /// <param name="hair">What every strand is: what is drawn.</param>
    /// <param name="palette">What colours levels and tints have; raw where none is said.</param>
    public static byte[] Twice(
        HairViews looks,
        Wear wear,
        int angle,
        int tilt,
        StrandSamples hair,
        Palette? palette = null
    )
    {
        ArgumentNullException.ThrowIfNull(looks);
        const int times = 2;
        var rgb = new byte[View.Width * View.Height * 3 * times * times];
        for (var quarter = 0; quarter < times * times; quarter++)
        {
            var (x, y) = (quarter % times, quarter / times);
            var closer = new Magnification(
                2,
                (byte)(Magnification.Places / 4 * (1 + 2 * x)),
                (byte)(Magnification.Places / 4 * (1 + 2 * y))
            );
            var part = Colour(looks.Seen(wear, angle, tilt, closer), hair, palette);
            for (var row = 0; row < View.Height; row++)
            {
                part.AsSpan(row * View.Width * 3, View.Width * 3)
                    .CopyTo(rgb.AsSpan((((y * View.Height + row) * times + x) * View.Width) * 3));
            }
        }

        return rgb;
    }

    /// <summary>Light under its shade, 0..65535: what is brighter than white bends down.</summary>
    [MethodImpl(MethodImplOptions.AggressiveInlining)]
    private static int Lit(float light) =>
        (int)MathF.Min(light / (1 + (float)(LevelColours.Knee / 65535) * light) + 0.5f, 65535);

    private static float[] Floats(double[] curve) => curve.Select(c => (float)c).ToArray();

    private static ushort ToLinear(int srgb) => (ushort)Math.Round(65535 * LevelColours.Decode((byte)srgb));
}
