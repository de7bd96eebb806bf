using System.Collections.Concurrent;
using Wendro.Core.Fall;
using Wendro.Core.Hair;
using Wendro.Core.Head;

namespace Wendro.Core.Blend;

/// <summary>
/// One head of hair with one part, looked at from all sides in every wear: everything that no paint changes, made
/// when first asked for.
/// </summary>
public sealed class HairLooks
{
    private readonly KeptViews kept;
    private readonly Lazy<HairOnHead> onHead;
    private readonly Lazy<int[]> hairline;
    private readonly ConcurrentDictionary<Wear, Lazy<SeenWeights>> weights = new();

    /// <param name="head">The head.</param>
    /// <param name="hair">The hair.</param>
    /// <param name="part">The part.</param>
    /// <param name="kept">Where fallen hair and drawn views are kept.</param>
    /// <param name="strands">How many strands stand for all of it.</param>
    public HairLooks(
        HeadForm head,
        HairProfile hair,
        PartLine part,
        KeptViews kept,
        int strands = HairOnHead.UsualStrands
    )
    {
        Head = head;
        Hair = hair;
        Part = part;
        this.kept = kept;
        onHead = new(() => new HairOnHead(head, hair, part, strands));
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

    /// <summary>The hair as worn.</summary>
    public FallenHair Worn(Wear wear) => kept.Fallen.GetOrMake((this, wear), () => OnHead.Worn(wear));

    /// <summary>What is seen of it from an angle round the head and a tilt above eye height, degrees.</summary>
    public Seen Seen(Wear wear, int angle, int tilt = View.UsualTilt)
    {
        var view = View.Of(angle, HairOnHead.HemHeight(Hair.Cut), tilt, HairOnHead.StandsUpCm(Hair));
        return kept.Seen.GetOrMake((this, wear, view.Angle, tilt), () => Fall.Seen.Of(Worn(wear), view));
    }

    /// <summary>How much of every place of every strand is seen from front, both sides and back.</summary>
    public SeenWeights Weights(Wear wear) =>
        weights
            .GetOrAdd(
                wear,
                w => new(() => SeenWeights.Of(View.Measured.Select(a => Seen(w, a)).ToArray(), OnHead.Lengths))
            )
            .Value;
}
