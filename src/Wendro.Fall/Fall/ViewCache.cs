using Wendro.Units;

namespace Wendro.Fall;

/// <summary>Where fallen hair and drawn views are kept, for all heads together.</summary>
/// <param name="Sown">Strands by part and texture: heads parted alike share them.</param>
/// <param name="Fallen">Hair as worn.</param>
/// <param name="Seen">Views.</param>
/// <param name="Away">Where they are put away for another day; null for nowhere.</param>
public sealed record ViewCache(
    LruCache<object, Strands> Sown,
    LruCache<object, FallenHair> Fallen,
    LruCache<object, Seen> Seen,
    IBlobCache? Away = null
)
{
    private const int SownAtOnce = 6;

    /// <summary>Room for a number of heads as worn and of views.</summary>
    public static ViewCache For(int fallen, int views) => new(new(SownAtOnce), new(fallen), new(views));

    /// <summary>Room in bytes for heads as worn and for views.</summary>
    /// <param name="fallen">Bytes of fallen hair.</param>
    /// <param name="views">Bytes of views.</param>
    /// <param name="away">Where they are put away for another day.</param>
    public static ViewCache Within(long fallen, long views, IBlobCache? away) =>
        new(new(SownAtOnce), new(fallen, h => h.Bytes), new(views, s => s.Bytes), away);
}
