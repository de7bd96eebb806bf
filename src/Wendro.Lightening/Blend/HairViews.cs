using System.Collections.Concurrent;
using System.Security.Cryptography;
using System.Text.Json;
using Wendro.Fall;
using Wendro.Hair;
using Wendro.Head;

namespace Wendro.Blend;

/// <summary>
/// One head of hair with one part, looked at from all sides in every wear: everything that no paint changes, made
/// when first asked for. What an edit needs (strands, lengths, how much is seen of them) is held; fallen hair and
/// views are kept elsewhere, and put away for another day.
/// </summary>
public sealed class HairViews
{
    private readonly ViewCache kept;
    private readonly int count;
    private readonly Lazy<HairOnHead> onHead;
    private readonly Lazy<int[]> hairline;
    private readonly Lazy<string> key;
    private readonly ConcurrentDictionary<Wear, Lazy<SeenWeights>> weights = new();

    /// <param name="head">The head.</param>
    /// <param name="hair">The hair.</param>
    /// <param name="part">The part.</param>
    /// <param name="kept">Where fallen hair and drawn views are kept.</param>
    /// <param name="strands">How many strands stand for all of it.</param>
    public HairViews(
        HeadForm head,
        HairProfile hair,
        PartLine part,
        ViewCache kept,
        int strands = HairOnHead.UsualStrands
    )
    {
        Head = head;
        Hair = hair;
        Part = part;
        this.kept = kept;
        count = strands;
        key = new(KeyOf);
        onHead = new(Sown);
        hairline = new(() =>
            Enumerable
                .Range(0, OnHead.Strands.Count)
                .Where(i => OnHead.Strands.Scalp[i].FromHairlineCm < TiedHairline.DeepCm)
                .ToArray()
        );
    }

    /// <summary>The head.</summary>
    public HeadForm Head { get; }

    /// <summary>The hair.</summary>
    public HairProfile Hair { get; }

    /// <summary>The part.</summary>
    public PartLine Part { get; }

    /// <summary>The hair, sown and cut.</summary>
    public HairOnHead OnHead => onHead.Value;

    /// <summary>Strands rooted at the hairline, all round.</summary>
    public IReadOnlyList<int> HairlineStrands => hairline.Value;

    /// <summary>
    /// Room it takes, bytes, as far as it is made; the strands are counted with every head that shares them.
    /// </summary>
    public long Bytes => count * BytesAStrand + weights.Values.Where(w => w.IsValueCreated).Sum(w => w.Value.Bytes);

    private const long BytesAStrand = 110;

    /// <summary>The hair as worn.</summary>
    /// <param name="wear">How.</param>
    /// <param name="pinned">What is clipped up meanwhile; null for nothing.</param>
    public FallenHair Worn(Wear wear, PinnedUp? pinned = null) =>
        kept.Fallen.GetOrMake((this, wear, pinned?.Key), () => OnHead.Worn(wear, pinned));

    /// <summary>What is seen of it from an angle round the head and a tilt above eye height, degrees.</summary>
    /// <param name="wear">How it is worn.</param>
    /// <param name="angle">Degrees round the head.</param>
    /// <param name="tilt">Degrees above eye height.</param>
    /// <param name="closer">How much closer, and where.</param>
    /// <param name="pinned">What is clipped up meanwhile; null for nothing.</param>
    public Seen Seen(
        Wear wear,
        int angle,
        int tilt = View.UsualTilt,
        Magnification closer = default,
        PinnedUp? pinned = null
    )
    {
        var view = View.Of(angle, HairOnHead.HemHeight(Hair.Cut), tilt, HairOnHead.StandsUpCm(Hair), closer);
        return kept.Seen.GetOrMake(
            (this, wear, view.Angle, tilt, closer, pinned?.Key),
            () =>
                FoundOrMade(
                    $"seen {wear} {view.Angle} {tilt} {closer.Steps} {closer.Across} {closer.Down} {pinned?.Key}",
                    bytes => Fall.Seen.Unpack(bytes, view, wear),
                    () => Fall.Seen.Of(Worn(wear, pinned), view),
                    seen => seen.Pack()
                )
        );
    }

    /// <summary>How much of every place of every strand is seen from front, both sides and back.</summary>
    public SeenWeights Weights(Wear wear) =>
        weights
            .GetOrAdd(
                wear,
                w =>
                    new(() =>
                        FoundOrMade(
                            $"weights {w}",
                            bytes => SeenWeights.Unpack(bytes, OnHead.Lengths),
                            () => SeenWeights.Of(View.Measured.Select(a => Seen(w, a)).ToArray(), OnHead.Lengths),
                            made => made.Pack()
                        )
                    )
            )
            .Value;

    private HairOnHead Sown()
    {
        var sown = kept.Sown.GetOrMake((Part, Hair.Curl, count), () => HairOnHead.Sow(Head, Hair, Part, count));
        var name = $"{key.Value} lengths";
        var lengths =
            kept.Away?.Find(name) is { } bytes
            && new BlobPacking.Reader(bytes).Next<float>() is var found
            && found.Length == count
                ? found
                : null;
        var made = new HairOnHead(Head, Hair, Part, sown, lengths);
        if (lengths is null)
        {
            kept.Away?.Put(name, new BlobPacking().Add<float>(made.Lengths).Bytes);
        }

        return made;
    }

    /// <summary>What was put away, or what is made now and put away.</summary>
    private T FoundOrMade<T>(string what, Func<byte[], T?> read, Func<T> make, Func<T, byte[]> pack)
        where T : class
    {
        if (kept.Away is not { } away)
        {
            return make();
        }

        var name = $"{key.Value} {what}";
        if (away.Find(name) is { } bytes && read(bytes) is { } found)
        {
            return found;
        }

        var made = make();
        away.Put(name, pack(made));
        return made;
    }

    /// <summary>What everything here depends on, in a few letters.</summary>
    private string KeyOf() =>
        Convert.ToHexStringLower(
            SHA256.HashData(
                JsonSerializer.SerializeToUtf8Bytes(
                    new
                    {
                        Hair,
                        Part,
                        count,
                    }
                )
            )
        )[..32];
}
