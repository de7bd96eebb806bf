using Wendro.Fall;
using Wendro.Hair;
using Wendro.Head;
using Wendro.Section;

namespace Wendro.Blend;

/// <summary>
/// The levels of a whole head, whatever led to them: strands, what is drawn, what is seen, how it measures. A plan's
/// levels and those that came out are read by the same code. Immutable; counted when first asked for, for a picture
/// alone needs none of it.
/// </summary>
public sealed class HeadLevels
{
    /// <summary>
    /// Below this share of what it would show if all hair showed alike, a panel is hardly seen. Model assumption.
    /// </summary>
    public const double HardlyShare = 0.2;

    private readonly Lazy<Tally> down;
    private readonly Lazy<Tally?> tied;
    private readonly Lazy<IReadOnlyList<double>> shares;
    private readonly Lazy<IReadOnlyList<bool>> hidden;
    private readonly Lazy<Measures> measures;
    private readonly Lazy<TiedHairline?> hairline;

    private HeadLevels(
        HeadContext on,
        StrandSamples hair,
        StrandSamples? drawn,
        (Lazy<Tally> Down, Lazy<Tally?> Tied)? counted,
        HeadLevels? before
    )
    {
        On = on;
        Hair = hair;
        Drawn = drawn ?? Draw(hair);
        down = counted?.Down ?? new(() => Count(Wear.Down));
        tied = counted?.Tied ?? new(() => on.TiedAs is { } how ? Count(how) : null);
        shares = before?.shares ?? new(() => SharesOf(Wear.Down));
        hidden = before?.hidden ?? new(HardlySeenAnywhere);
        hairline = new(() =>
            Tied is { } counted ? Blend.TiedHairline.Of(on, on.Looks.Weights(on.TiedAs!.Value), counted, Bytes) : null
        );
        measures = new(() => Measures.Of(Down, on.Hair, shares.Value));
    }

    /// <summary>The head they are on.</summary>
    public HeadContext On { get; }

    /// <summary>All strands, unmixed.</summary>
    public StrandSamples Hair { get; }

    /// <summary>Level bytes, strands × 64, unmixed: what measures count.</summary>
    public byte[] Bytes => Hair.Levels;

    /// <summary>All strands, their levels mixed within locks: what a picture is drawn with.</summary>
    public StrandSamples Drawn { get; }

    /// <summary>Room these levels take, bytes, without the head they are on.</summary>
    public long OwnBytes => Bytes.LongLength * (On.HasWhite ? 4 : 3);

    /// <summary>What is seen worn down.</summary>
    public Tally Down => down.Value;

    /// <summary>What is seen tied back; null if the client never ties it.</summary>
    public Tally? Tied => tied.Value;

    /// <summary>What the hairline shows tied back; null if the client never ties it.</summary>
    public TiedHairline? TiedHairline => hairline.Value;

    /// <summary>The measures.</summary>
    public Measures Measures => measures.Value;

    /// <summary>
    /// Whether a panel shows less than <see cref="HardlyShare"/> of what its share of all hair would, in every wear
    /// the client uses.
    /// </summary>
    public IReadOnlyList<bool> HardlySeen => hidden.Value;

    /// <summary>The levels of a head.</summary>
    /// <param name="on">The head.</param>
    /// <param name="hair">All strands, unmixed.</param>
    public static HeadLevels Of(HeadContext on, StrandSamples hair)
    {
        ArgumentNullException.ThrowIfNull(on);
        ArgumentNullException.ThrowIfNull(hair);
        return new(on, hair, null, null, null);
    }

    /// <summary>
    /// The same after some panels' strands changed: what was counted is carried on, what was not is counted anew when
    /// asked for.
    /// </summary>
    /// <param name="panels">Numbers of the panels that changed.</param>
    /// <param name="hair">All strands after it.</param>
    public HeadLevels After(IReadOnlyList<int> panels, StrandSamples hair)
    {
        ArgumentNullException.ThrowIfNull(panels);
        ArgumentNullException.ThrowIfNull(hair);
        var strands = panels.Select(p => On.Map.StrandsOf[p]).ToArray();
        var locks = LocksOf(strands);
        var drawn = new StrandSamples(
            (byte[])Drawn.Levels.Clone(),
            On.HasWhite ? (byte[])Drawn.Tints.Clone() : hair.Tints
        );
        LockDrawing.Draw(On.Looks.OnHead.Strands, hair.Levels, locks, drawn.Levels);
        if (On.HasWhite)
        {
            LockDrawing.MixWhites(On.Looks.OnHead.Strands, hair.Tints, locks, drawn.Tints);
        }

        if (!down.IsValueCreated || !tied.IsValueCreated)
        {
            return new(On, hair, drawn, null, this);
        }

        var (seenDown, seenTied) = (Down.After(strands, Bytes, hair.Levels), Tied?.After(strands, Bytes, hair.Levels));
        return new(On, hair, drawn, (new(seenDown), new(seenTied)), this);
    }

    /// <summary>Draws other hair of the same head: each strand's level mixed with its lock's.</summary>
    /// <param name="hair">All strands, unmixed.</param>
    public StrandSamples Draw(StrandSamples hair)
    {
        ArgumentNullException.ThrowIfNull(hair);
        var levels = new byte[hair.Levels.Length];
        LockDrawing.Draw(On.Looks.OnHead.Strands, hair.Levels, null, levels);
        if (!On.HasWhite)
        {
            return new(levels, hair.Tints);
        }

        var tints = new byte[hair.Tints.Length];
        LockDrawing.MixWhites(On.Looks.OnHead.Strands, hair.Tints, null, tints);
        return new(levels, tints);
    }

    private Tally Count(Wear wear) => Tally.Of(On.Looks.Weights(wear), On.Map, On.Looks.OnHead.Strands, Bytes, On.Hair);

    /// <summary>The locks some strands belong to.</summary>
    private HashSet<int> LocksOf(int[][] strands)
    {
        var locks = new HashSet<int>();
        foreach (var i in strands.SelectMany(s => s))
        {
            locks.Add(On.Looks.OnHead.Strands.Lock[i]);
        }

        return locks;
    }

    private bool[] HardlySeenAnywhere()
    {
        var hardly = new bool[On.Map.StrandsOf.Count];
        Array.Fill(hardly, true);
        foreach (var seen in On.Wears.Select(SharesOf))
        {
            for (var p = 0; p < hardly.Length; p++)
            {
                hardly[p] &= seen[p] < HardlyShare * On.Map.StrandsOf[p].Length / On.Map.Panel.Length;
            }
        }

        return hardly;
    }

    /// <summary>Share of the seen hair that each panel makes up in a wear, 0..1.</summary>
    private double[] SharesOf(Wear wear)
    {
        var weights = On.Looks.Weights(wear);
        var (map, seen) = (On.Map, new double[On.Map.StrandsOf.Count]);
        long all = 0;
        for (var i = 0; i < map.Panel.Length; i++)
        {
            var of = weights.OfStrand(i);
            all += of;
            if (map.Panel[i] >= 0)
            {
                seen[map.Panel[i]] += of;
            }
        }

        return seen.Select(s => s / Math.Max(all, 1)).ToArray();
    }
}

/// <summary>A head that levels are read on.</summary>
/// <param name="Looks">Its hair as it falls and is seen.</param>
/// <param name="Hair">Her hair: what is light depends on its natural level.</param>
/// <param name="Map">Which strand lies where.</param>
/// <param name="Wears">The wears she uses.</param>
public sealed record HeadContext(HairViews Looks, HairProfile Hair, StrandMap Map, IReadOnlyList<Wear> Wears)
{
    private Tally? asSheIs;

    /// <summary>Whether any of her hair grows white.</summary>
    public bool HasWhite { get; } = ZoneFacts.All.Any(z => Hair.In(z).GreyShare > 0);

    /// <summary>
    /// What is seen of her hair worn down before anything is done to it (a method: counted when first asked for).
    /// </summary>
    public Tally AsSheIs() =>
        LazyInitializer.EnsureInitialized(
            ref asSheIs,
            () =>
                Tally.Of(
                    Looks.Weights(Wear.Down),
                    Map,
                    Looks.OnHead.Strands,
                    StrandLevels.Before(Hair, Map, Looks.OnHead.Lengths).Levels,
                    Hair
                )
        );

    /// <summary>How she ties her hair back: high if she ever does; null if never.</summary>
    public Wear? TiedAs => TiedIn(Wears);

    /// <summary>How hair is tied back by somebody who uses these wears: high if ever; null if never.</summary>
    public static Wear? TiedIn(IReadOnlyList<Wear> wears)
    {
        ArgumentNullException.ThrowIfNull(wears);
        return wears.Contains(Wear.TiedHigh) ? Wear.TiedHigh
            : wears.Contains(Wear.TiedLow) ? Wear.TiedLow
            : null;
    }
}
