using SkiaSharp;
using Wendro.Core.Fall;

namespace Wendro.Formats;

/// <summary>A picture of a head as PNG.</summary>
public static class PictureFile
{
    /// <summary>Writes a picture, scaled down to a width.</summary>
    /// <param name="rgb">520 × 640 × 3 bytes.</param>
    /// <param name="width">Width wanted, pixels, 16..520.</param>
    public static byte[] Png(byte[] rgb, int width = View.Width) => Png([rgb], width);

    /// <summary>Writes a picture drawn at twice the size.</summary>
    /// <param name="rgb">1040 × 1280 × 3 bytes.</param>
    public static byte[] Twice(byte[] rgb)
    {
        ArgumentNullException.ThrowIfNull(rgb);
        const int width = View.Width * 2;
        const int height = View.Height * 2;
        using var bitmap = new SKBitmap(width, height, SKColorType.Rgba8888, SKAlphaType.Opaque);
        var pixels = new byte[width * height * 4];
        for (var i = 0; i < width * height; i++)
        {
            rgb.AsSpan(i * 3, 3).CopyTo(pixels.AsSpan(i * 4));
            pixels[i * 4 + 3] = 255;
        }

        System.Runtime.InteropServices.Marshal.Copy(pixels, 0, bitmap.GetPixels(), pixels.Length);
        using var whole = bitmap.Encode(SKEncodedImageFormat.Png, 100);
        return whole.ToArray();
    }

    /// <summary>Writes pictures side by side, each scaled down to a width.</summary>
    /// <param name="pictures">520 × 640 × 3 bytes each.</param>
    /// <param name="width">Width wanted of each, pixels, 16..520.</param>
    public static byte[] Png(IReadOnlyList<byte[]> pictures, int width)
    {
        ArgumentNullException.ThrowIfNull(pictures);
        var across = View.Width * pictures.Count;
        using var bitmap = new SKBitmap(across, View.Height, SKColorType.Rgba8888, SKAlphaType.Opaque);
        var pixels = new byte[across * View.Height * 4];
        for (var n = 0; n < pictures.Count; n++)
        {
            for (var i = 0; i < View.Width * View.Height; i++)
            {
                var o = (i / View.Width * across + n * View.Width + i % View.Width) * 4;
                pictures[n].AsSpan(i * 3, 3).CopyTo(pixels.AsSpan(o));
                pixels[o + 3] = 255;
            }
        }

        System.Runtime.InteropServices.Marshal.Copy(pixels, 0, bitmap.GetPixels(), pixels.Length);
        if (width >= View.Width)
        {
            using var whole = bitmap.Encode(SKEncodedImageFormat.Png, 100);
            return whole.ToArray();
        }

        using var small = bitmap.Resize(
            new SKSizeI(width * pictures.Count, width * View.Height / View.Width),
            new SKSamplingOptions(SKFilterMode.Linear, SKMipmapMode.Linear)
        );
        using var data = small.Encode(SKEncodedImageFormat.Png, 100);
        return data.ToArray();
    }
}
