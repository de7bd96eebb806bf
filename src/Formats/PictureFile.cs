using SkiaSharp;
using Wendro.Core.Fall;

namespace Wendro.Formats;

/// <summary>A picture of a head as PNG.</summary>
public static class PictureFile
{
    /// <summary>Writes a picture, scaled down to a width.</summary>
    /// <param name="rgb">520 × 640 × 3 bytes.</param>
    /// <param name="width">Width wanted, pixels, 16..520.</param>
    public static byte[] Png(byte[] rgb, int width = View.Width)
    {
        ArgumentNullException.ThrowIfNull(rgb);
        using var bitmap = new SKBitmap(View.Width, View.Height, SKColorType.Rgba8888, SKAlphaType.Opaque);
        var pixels = new byte[View.Width * View.Height * 4];
        for (var i = 0; i < View.Width * View.Height; i++)
        {
            pixels[i * 4] = rgb[i * 3];
            pixels[i * 4 + 1] = rgb[i * 3 + 1];
            pixels[i * 4 + 2] = rgb[i * 3 + 2];
            pixels[i * 4 + 3] = 255;
        }

        System.Runtime.InteropServices.Marshal.Copy(pixels, 0, bitmap.GetPixels(), pixels.Length);
        if (width >= View.Width)
        {
            using var whole = bitmap.Encode(SKEncodedImageFormat.Png, 100);
            return whole.ToArray();
        }

        using var small = bitmap.Resize(
            new SKSizeI(width, width * View.Height / View.Width), new SKSamplingOptions(SKFilterMode.Linear, SKMipmapMode.Linear));
        using var data = small.Encode(SKEncodedImageFormat.Png, 100);
        return data.ToArray();
    }
}
