using SkiaSharp;
using Wendro.Fall;

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
        using var bitmap = SideBySide([rgb], View.Width * 2, View.Height * 2);
        return Encoded(bitmap);
    }

    /// <summary>Writes pictures side by side, each scaled down to a width.</summary>
    /// <param name="pictures">520 × 640 × 3 bytes each.</param>
    /// <param name="width">Width wanted of each, pixels, 16..520.</param>
    public static byte[] Png(IReadOnlyList<byte[]> pictures, int width)
    {
        ArgumentNullException.ThrowIfNull(pictures);
        using var bitmap = SideBySide(pictures, View.Width, View.Height);
        if (width >= View.Width)
        {
            return Encoded(bitmap);
        }

        using var small = bitmap.Resize(
            new SKSizeI(width * pictures.Count, width * View.Height / View.Width),
            new SKSamplingOptions(SKFilterMode.Linear, SKMipmapMode.Linear)
        );
        return Encoded(small);
    }

    private static SKBitmap SideBySide(IReadOnlyList<byte[]> pictures, int width, int height)
    {
        var across = width * pictures.Count;
        var pixels = new byte[across * height * 4];
        for (var n = 0; n < pictures.Count; n++)
        {
            for (var i = 0; i < width * height; i++)
            {
                var o = (i / width * across + n * width + i % width) * 4;
                pictures[n].AsSpan(i * 3, 3).CopyTo(pixels.AsSpan(o));
                pixels[o + 3] = 255;
            }
        }

        var bitmap = new SKBitmap(across, height, SKColorType.Rgba8888, SKAlphaType.Opaque);
        System.Runtime.InteropServices.Marshal.Copy(pixels, 0, bitmap.GetPixels(), pixels.Length);
        return bitmap;
    }

    private static byte[] Encoded(SKBitmap bitmap)
    {
        using var data = bitmap.Encode(SKEncodedImageFormat.Png, 100);
        return data.ToArray();
    }
}
