using System.Numerics;
using Wendro.Hair;
using Wendro.Head;
using Wendro.Units;

namespace Wendro.Fall;

/// <summary>Hair on a head, cut and ready to be worn one way or another.</summary>
public sealed class HairOnHead
{
    /// <summary>Strands drawn and measured by default.</summary>
    public const int UsualStrands = 14_000;

    private readonly HeadForm head;
    private readonly HairProfile hair;
    private readonly PartLine part;
    private readonly Texture texture;
    private readonly Lazy<LengthMap> lengthMap;

    /// <summary>Middle lines are large and soon made again: they are kept only while nobody needs the room.</summary>
    private readonly WeakReference<Hanging> hanging = new(null!);

    /// <summary>Sows, lets fall and cuts the hair.</summary>
    /// <param name="head">The head.</param>
    /// <param name="hair">The client's hair.</param>
    /// <param name="part">Her part.</param>
    /// <param name="strands">How many strands stand for all of it, 100..60,000.</param>
    public HairOnHead(HeadForm head, HairProfile hair, PartLine part, int strands = UsualStrands)
        : this(head, hair, part, Sow(head, hair, part, strands), null) { }

    /// <param name="head">The head.</param>
    /// <param name="hair">The client's hair.</param>
    /// <param name="part">Her part.</param>
    /// <param name="sown">Its strands.</param>
    /// <param name="lengths">Their lengths, cm, where they were cut before; null to cut them now.</param>
    public HairOnHead(HeadForm head, HairProfile hair, PartLine part, Strands sown, float[]? lengths)
    {
        ArgumentNullException.ThrowIfNull(head);
        ArgumentNullException.ThrowIfNull(hair);
        this.head = head;
        this.hair = hair;
        this.part = part;
        texture = Texture.Of(hair.Curl);
        Strands = sown;
        Lengths = lengths ?? new float[sown.Count];
        if (lengths is null)
        {
            hanging.SetTarget(Fall(Lengths));
        }

        lengthMap = new(() => new LengthMap(Strands, Lengths, part.IsCentral && hair.Marks.Count == 0));
    }

    /// <summary>Sows the strands of a head of hair: they depend on its part and texture alone.</summary>
    public static Strands Sow(HeadForm head, HairProfile hair, PartLine part, int strands)
    {
        ArgumentNullException.ThrowIfNull(hair);
        return Strands.Sow(head, part, strands, Texture.Of(hair.Curl).Locks);
    }

    /// <summary>Middle lines as they hang down, 32 points a strand, and how far each lies straight, cm.</summary>
    private sealed record Hanging(Vector3[] Loose, float[] Lies);

    private Hanging Fall(float[] lengths)
    {
        var fell = new Hanging(new Vector3[Strands.Count * Places.Points], new float[Strands.Count]);
        new Haircut(head, hair, part, Strands, texture).Run(fell.Loose, lengths, fell.Lies);
        return fell;
    }

    private Hanging AsItHangs()
    {
        if (hanging.TryGetTarget(out var fell))
        {
            return fell;
        }

        fell = Fall(new float[Strands.Count]);
        hanging.SetTarget(fell);
        return fell;
    }

    /// <summary>The strands.</summary>
    public Strands Strands { get; }

    /// <summary>Length of every strand, cm.</summary>
    public float[] Lengths { get; }

    /// <summary>
    /// Height the lowest hair hangs at, cm: crown to the level of the skull's centre is 10.2 cm over the head. Model
    /// assumption.
    /// </summary>
    public static float HemHeight(Cut cut)
    {
        ArgumentNullException.ThrowIfNull(cut);
        const float nape = -7.6f;
        return cut.EvenCm is { } even ? nape - (float)even : (float)(2.6 + 10.2 - cut.HemCm);
    }

    /// <summary>How far hair stands off the top of the head, cm: tight curls stand up, other hair lies.</summary>
    public static float StandsUpCm(HairProfile hair)
    {
        ArgumentNullException.ThrowIfNull(hair);
        var texture = Texture.Of(hair.Curl);
        return texture.Upright ? MathF.Min((float)hair.Cut.LongestCm * texture.CentreLine, 14) : 0;
    }

    /// <summary>
    /// Length of the hair rooted about a place of the scalp, cm: the mean over a square centimetre or so.
    /// </summary>
    public double LengthAt(ScalpPoint place) => lengthMap.Value.At(place.Map);

    /// <summary>The hair worn one way.</summary>
    /// <param name="wear">How.</param>
    /// <param name="pinned">What is clipped up meanwhile; null for nothing.</param>
    public FallenHair Worn(Wear wear, PinnedUp? pinned = null)
    {
        var (loose, lies) = AsItHangs();
        switch (wear)
        {
            case Wear.Down:
                return Finish(wear, part, Gathered(loose, lies, Strands.Side), lies, null, pinned);
            case Wear.OtherPart:
                var over = part.MovedOver();
                var sides = Strands.SidesOf(over);
                return Parted(wear, over, sides, false, pinned);
            case Wear.SweptBack:
                var halves = Strands.Scalp.Select(p => (sbyte)(p.Map.X >= 0 ? 1 : -1)).ToArray();
                return Parted(wear, part, halves, true, pinned);
            case Wear.Wet:
                return Parted(wear, part, Strands.Side, false, pinned, texture.Wet());
            case Wear.Tucked:
                var march = new StrandSimulator(head, Strands, part, Strands.Side, hair, texture);
                var (tucked, along) = new Tucked(head, Strands, hair, texture).Run(march, loose, lies, Lengths);
                return Finish(wear, part, Gathered(tucked, along, Strands.Side), along, null, pinned);
            default:
                var hanging = wear == Wear.HalfUp ? Gathered(loose, lies, Strands.Side) : loose;
                var (points, combed, knot) = new Tied(head, Strands, hair, Tie.Of(wear), texture).Run(
                    hanging,
                    lies,
                    Lengths
                );
                return Finish(wear, part, points, combed, knot, pinned);
        }
    }

    /// <summary>One strand in two hundred is a flyaway: short, thin, outside its lock.</summary>
    internal static bool IsFlyaway(int strand) => Hash.Unit(strand, 13) < 0.005f;

    private Vector3[] Gathered(Vector3[] middle, float[] straight, sbyte[] sides, Texture? hangsAs = null) =>
        Gather.Locks(
            Strands,
            middle,
            Lengths.Select((l, i) => Curls.MiddleLength(l, straight[i], hangsAs ?? texture)).ToArray(),
            sides,
            head,
            hangsAs ?? texture
        );

    private FallenHair Finish(
        Wear wear,
        PartLine worn,
        Vector3[] middle,
        float[] straight,
        TieKnot? knot,
        PinnedUp? pinned,
        Texture? hangsAs = null
    )
    {
        var hanging = hangsAs ?? texture;
        var points = Curls.Lay(Strands, middle, straight, Lengths, head, hanging);
        pinned?.Lay(Strands, head, Lengths, hanging, points);
        return new(Strands, wear, points, hanging, Lengths, head, worn, knot);
    }

    /// <summary>Hair parted or combed another way, as long as it was cut.</summary>
    private FallenHair Parted(
        Wear wear,
        PartLine worn,
        sbyte[] sides,
        bool sweptBack,
        PinnedUp? pinned,
        Texture? hangsAs = null
    )
    {
        var hanging = hangsAs ?? texture;
        var straight = new float[Strands.Count];
        var march = new StrandSimulator(head, Strands, worn, sides, hair, hanging, sweptBack);
        var into = new Vector3[Strands.Count * Places.Points];
        Parallel.For(
            0,
            16,
            chunk =>
            {
                Span<Vector3> path = stackalloc Vector3[StrandSimulator.Most];
                for (var i = chunk * Strands.Count / 16; i < (chunk + 1) * Strands.Count / 16; i++)
                {
                    var count = march.Run(i, Lengths[i], float.MinValue, path, out _);
                    straight[i] = Curls.LiesStraight(path[..count], hanging);
                    var middle = Curls.MiddleLength(Lengths[i], straight[i], hanging);
                    Resample.Even(path[..count], middle, into.AsSpan(i * Places.Points, Places.Points));
                }
            }
        );
        return Finish(wear, worn, Gathered(into, straight, sides, hanging), straight, null, pinned, hanging);
    }
}
