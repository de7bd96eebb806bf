namespace Wendro.Fall;

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

    /// <summary>Room it takes, bytes.</summary>
    public long Bytes => Counts.LongLength * 2 + Strand.LongLength * 5;

    /// <summary>What is seen, without where from, as bytes to put away.</summary>
    public byte[] Pack() =>
        new BlobPacking()
            .Add<byte>(Counts)
            .Add<byte>(Grey)
            .Add<ushort>(Strand)
            .Add<byte>(Place)
            .Add<byte>(Shade)
            .Add<byte>(Shine)
            .Bytes;

    /// <summary>What was put away; null where it is not whole.</summary>
    public static Seen? Unpack(byte[] bytes, View view, Wear wear)
    {
        var read = new BlobPacking.Reader(bytes);
        var seen = new Seen(
            view,
            wear,
            read.Next<byte>(),
            read.Next<byte>(),
            read.Next<ushort>(),
            read.Next<byte>(),
            read.Next<byte>(),
            read.Next<byte>()
        );
        return read.IsWhole && seen.Counts.Length == View.Width * View.Height && seen.Grey.Length == seen.Counts.Length
            ? seen
            : null;
    }

    /// <summary>Looks at fallen hair from one side.</summary>
    /// <param name="hair">The hair as worn.</param>
    /// <param name="view">From where.</param>
    public static Seen Of(FallenHair hair, View view)
    {
        ArgumentNullException.ThrowIfNull(hair);
        var canvas = CanvasPool.Take();
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
            return SeenPacker.From(canvas, depth, hair, view);
        }
        finally
        {
            CanvasPool.GiveBack(canvas);
        }
    }
}

/// <summary>
/// Pictures being drawn are large; a few are kept for the next, while nobody else needs the room.
/// </summary>
internal static class CanvasPool
{
    private static readonly System.Collections.Concurrent.ConcurrentBag<WeakReference<Canvas>> Free = [];

    public static Canvas Take()
    {
        while (Free.TryTake(out var kept))
        {
            if (kept.TryGetTarget(out var canvas))
            {
                return canvas;
            }
        }

        return new Canvas();
    }

    public static void GiveBack(Canvas canvas)
    {
        if (Free.Count < 2)
        {
            Free.Add(new(canvas));
        }
    }
}
