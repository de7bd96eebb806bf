using SkiaSharp;
using Wendro.Photographs;
using Wendro.Units;

namespace Wendro.Formats;

/// <summary>A photograph as it is kept.</summary>
/// <param name="Jpeg">JPEG without any metadata.</param>
/// <param name="Width">Pixels across.</param>
/// <param name="Height">Pixels down.</param>
public sealed record KeptPhotograph(byte[] Jpeg, int Width, int Height);

/// <summary>A round patch of a photograph.</summary>
/// <param name="X">Its middle from the left, share of the width, 0..1.</param>
/// <param name="Y">From the top, share of the height, 0..1.</param>
/// <param name="Radius">Its radius, share of the shorter side, 0.002..0.25.</param>
public sealed record PhotoSpot(
    [property: Within(0, 1, "of the width")] double X,
    [property: Within(0, 1, "of the height")] double Y,
    [property: Within(0.002, 0.25, "of the shorter side")] double Radius = PhotoSpot.UsualRadius
)
{
    /// <summary>A finger's touch.</summary>
    public const double UsualRadius = 0.02;
}

/// <summary>
/// Photographs as they come from a camera: JPEG or PNG, looked at by content and not by name. They are turned as their
/// own orientation says and written anew, so that where, when and by what they were taken is gone.
/// </summary>
public static class PhotographFile
{
    /// <summary>Longest side that is kept, pixels.</summary>
    public const int LongestSide = 2400;

    /// <summary>Most pixels that are read: more is no photograph of hair but a way to fill the memory.</summary>
    public const long MostPixels = 80_000_000;

    private const int Quality = 90;

    /// <summary>Reads one.</summary>
    /// <param name="bytes">The file.</param>
    /// <exception cref="FileRefusedException">It is no JPEG or PNG, is broken, or too large.</exception>
    public static KeptPhotograph Read(byte[] bytes)
    {
        ArgumentNullException.ThrowIfNull(bytes);
        using var data = SKData.CreateCopy(bytes);
        using var codec = SKCodec.Create(data);
        if (codec is null || codec.EncodedFormat is not (SKEncodedImageFormat.Jpeg or SKEncodedImageFormat.Png))
        {
            throw new FileRefusedException("This is neither a JPEG nor a PNG picture.");
        }

        if ((long)codec.Info.Width * codec.Info.Height > MostPixels)
        {
            throw new FileRefusedException($"It has more than {MostPixels / 1_000_000} million pixels.");
        }

        var info = new SKImageInfo(codec.Info.Width, codec.Info.Height, SKColorType.Rgba8888, SKAlphaType.Premul, SRgb);
        using var raw = new SKBitmap(info);
        if (codec.GetPixels(info, raw.GetPixels()) is not SKCodecResult.Success)
        {
            throw new FileRefusedException("The picture is broken or cut off.");
        }

        using var upright = Upright(raw, codec.EncodedOrigin);
        using var image = SKImage.FromBitmap(upright);
        using var jpeg = image.Encode(SKEncodedImageFormat.Jpeg, Quality);
        return new(jpeg.ToArray(), upright.Width, upright.Height);
    }

    /// <summary>The light of a patch.</summary>
    /// <param name="jpeg">A photograph that is kept.</param>
    /// <param name="spot">Where.</param>
    public static PatchLight Patch(byte[] jpeg, PhotoSpot spot)
    {
        ArgumentNullException.ThrowIfNull(spot);
        using var bitmap = SKBitmap.Decode(jpeg);
        var radius = Math.Max(1, spot.Radius * Math.Min(bitmap.Width, bitmap.Height));
        var (x, y) = (spot.X * (bitmap.Width - 1), spot.Y * (bitmap.Height - 1));
        var pixels = new List<byte>();
        for (var row = (int)Math.Ceiling(y - radius); row <= y + radius; row++)
        {
            for (var column = (int)Math.Ceiling(x - radius); column <= x + radius; column++)
            {
                if (
                    row >= 0
                    && column >= 0
                    && row < bitmap.Height
                    && column < bitmap.Width
                    && (row - y) * (row - y) + (column - x) * (column - x) <= radius * radius
                )
                {
                    var pixel = bitmap.GetPixel(column, row);
                    pixels.AddRange([pixel.Red, pixel.Green, pixel.Blue]);
                }
            }
        }

        return PatchLight.Of(pixels.ToArray());
    }

    private static readonly SKColorSpace SRgb = SKColorSpace.CreateSrgb();

    /// <summary>Turned and mirrored as the camera was held, on white, no larger than is kept.</summary>
    private static SKBitmap Upright(SKBitmap raw, SKEncodedOrigin origin)
    {
        var lies =
            origin
            is SKEncodedOrigin.LeftTop
                or SKEncodedOrigin.RightTop
                or SKEncodedOrigin.RightBottom
                or SKEncodedOrigin.LeftBottom;
        var (width, height) = lies ? (raw.Height, raw.Width) : (raw.Width, raw.Height);
        var scale = Math.Min(1f, (float)LongestSide / Math.Max(width, height));
        var upright = new SKBitmap(
            new SKImageInfo(
                Math.Max(1, (int)Math.Round(width * scale)),
                Math.Max(1, (int)Math.Round(height * scale)),
                SKColorType.Rgba8888,
                SKAlphaType.Opaque,
                SRgb
            )
        );
        using var canvas = new SKCanvas(upright);
        canvas.Clear(SKColors.White);
        canvas.Scale((float)upright.Width / width, (float)upright.Height / height);
        canvas.Concat(Turned(origin, raw.Width, raw.Height));
        using var image = SKImage.FromBitmap(raw);
        canvas.DrawImage(image, 0, 0, new SKSamplingOptions(SKFilterMode.Linear, SKMipmapMode.Linear));
        return upright;
    }

    /// <summary>From the picture as it lies in the file to the picture as it was seen.</summary>
    private static SKMatrix Turned(SKEncodedOrigin origin, float width, float height) =>
        origin switch
        {
            SKEncodedOrigin.TopRight => new(-1, 0, width, 0, 1, 0, 0, 0, 1),
            SKEncodedOrigin.BottomRight => new(-1, 0, width, 0, -1, height, 0, 0, 1),
            SKEncodedOrigin.BottomLeft => new(1, 0, 0, 0, -1, height, 0, 0, 1),
            SKEncodedOrigin.LeftTop => new(0, 1, 0, 1, 0, 0, 0, 0, 1),
            SKEncodedOrigin.RightTop => new(0, -1, height, 1, 0, 0, 0, 0, 1),
            SKEncodedOrigin.RightBottom => new(0, -1, height, -1, 0, width, 0, 0, 1),
            SKEncodedOrigin.LeftBottom => new(0, 1, 0, -1, 0, width, 0, 0, 1),
            _ => SKMatrix.Identity,
        };
}
