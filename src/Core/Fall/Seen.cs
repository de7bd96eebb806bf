namespace Wendro.Core.Fall;

/// <summary>
/// What the eye sees of the hair in one wear from one side: for every pixel up to two samples, each a strand, a place
/// along it and its shade.
/// Depends on hair, wear and view only, never on paint: paint changes the level looked up here.
/// </summary>
/// <param name="View">From where.</param>
/// <param name="Wear">How the hair is worn.</param>
/// <param name="Counts">Hair samples in each pixel, 0..2; rows from the top, 520 × 640.</param>
/// <param name="Grey">Light of what is not hair in each pixel, 0..255: bust or surround.</param>
/// <param name="Strand">Strand of each sample, pixel by pixel.</param>
/// <param name="Place">Place along it, 0..63.</param>
/// <param name="Shade">Square-root coded shade, 0..255.</param>
/// <param name="Shine">White highlight, 0..255.</param>
public sealed record Seen(
    View View,
    Wear Wear,
    byte[] Counts,
    byte[] Grey,
    ushort[] Strand,
    byte[] Place,
    byte[] Shade,
    byte[] Shine
)
{
    /// <summary>Grey of the surround, sRGB: what hair colour is judged against.</summary>
    public const byte Surround = 0xE6;

    /// <summary>Looks at fallen hair from one side.</summary>
    /// <param name="hair">The hair as worn.</param>
    /// <param name="view">From where.</param>
    public static Seen Of(FallenHair hair, View view)
    {
        ArgumentNullException.ThrowIfNull(hair);
        var canvas = CanvasShelf.Take();
        try
        {
            canvas.Clear();
            canvas.Draw(Bust.WithoutEars, Bust.WithoutEars.Lit(view, hair.Density), view);
            if (WearFacts.ShowsEars(hair.Wear))
            {
                canvas.Draw(Bust.Ears, Bust.Ears.Lit(view, hair.Density), view);
            }

            HairRaster.Draw(canvas, hair, view);
            var depth = new ScreenDepth(canvas);
            return Compact.From(canvas, depth, hair, view);
        }
        finally
        {
            CanvasShelf.GiveBack(canvas);
        }
    }
}

/// <summary>Pictures being drawn are large; a few are kept for the next.</summary>
internal static class CanvasShelf
{
    private static readonly System.Collections.Concurrent.ConcurrentBag<Canvas> Free = [];

    public static Canvas Take() => Free.TryTake(out var canvas) ? canvas : new Canvas();

    public static void GiveBack(Canvas canvas)
    {
        if (Free.Count < 2)
        {
            Free.Add(canvas);
        }
    }
}
