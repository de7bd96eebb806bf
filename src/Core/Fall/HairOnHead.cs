using System.Numerics;
using Wendro.Core.Hair;
using Wendro.Core.Head;
using Wendro.Core.Units;

namespace Wendro.Core.Fall;

/// <summary>Hair on a head, cut and ready to be worn one way or another.</summary>
public sealed class HairOnHead
{
    /// <summary>Strands drawn and measured by default.</summary>
    public const int UsualStrands = 14_000;

    /// <summary>Locks straight hair gathers in. Model assumption.</summary>
    public const int UsualLocks = 340;

    private readonly HeadForm head;
    private readonly HairProfile hair;
    private readonly PartLine part;
    private readonly Vector3[] loose;
    private readonly Lazy<LengthMap> lengthMap;

    /// <summary>Sows, lets fall and cuts the hair.</summary>
    /// <param name="head">The head.</param>
    /// <param name="hair">The client's hair.</param>
    /// <param name="part">Her part.</param>
    /// <param name="strands">How many strands stand for all of it, 100..60,000.</param>
    public HairOnHead(HeadForm head, HairProfile hair, PartLine part, int strands = UsualStrands)
    {
        ArgumentNullException.ThrowIfNull(head);
        ArgumentNullException.ThrowIfNull(hair);
        this.head = head;
        this.hair = hair;
        this.part = part;
        Strands = Strands.Sow(head, part, strands, UsualLocks);
        loose = new Vector3[strands * Places.Points];
        Lengths = new float[strands];
        Cut();
        lengthMap = new(() => new LengthMap(Strands, Lengths, part.IsCentral));
    }

    /// <summary>The strands.</summary>
    public Strands Strands { get; }

    /// <summary>Length of every strand, cm.</summary>
    public float[] Lengths { get; }

    /// <summary>Height the hem hangs at, cm: crown to the level of the skull's centre is 10.2 cm over the head. Model assumption.</summary>
    public static float HemHeight(Cut cut)
    {
        ArgumentNullException.ThrowIfNull(cut);
        return (float)(2.6 + 10.2 - cut.HemCm);
    }

    /// <summary>Length of the hair rooted about a place of the scalp, cm: the mean over a square centimetre or so.</summary>
    public double LengthAt(ScalpPoint place) => lengthMap.Value.At(place.Map);

    /// <summary>The hair worn one way.</summary>
    public FallenHair Worn(Wear wear)
    {
        var hanging = wear is Wear.Down or Wear.HalfUp ? Gather.Locks(Strands, loose, Lengths, head, Texture.Of(hair.Curl)) : loose;
        if (wear == Wear.Down)
        {
            return Finish(wear, hanging, null);
        }

        var (points, knot) = new Tied(head, Strands, hair, Tie.Of(wear)).Run(hanging, Lengths);
        return Finish(wear, points, knot);
    }

    private FallenHair Finish(Wear wear, Vector3[] points, TieKnot? knot) =>
        new(Strands, wear, points, Lengths, HairDensity.Of(points, Lengths, Strands.Count), head, part, knot);

    private void Cut()
    {
        var march = new March(head, Strands, part, hair);
        var hem = HemHeight(hair.Cut);
        Parallel.For(0, 16, chunk =>
        {
            Span<Vector3> path = stackalloc Vector3[March.Most];
            for (var i = chunk * Strands.Count / 16; i < (chunk + 1) * Strands.Count / 16; i++)
            {
                var l = Strands.Lock[i];
                var root = Strands.Scalp[i].Position;
                var end = hem + 0.45f * Hash.Signed(l, 7) + 0.3f * Hash.Signed(i, 8)
                    + (float)hair.Cut.LayersCm * Strands.Above[i]
                    + (float)hair.Cut.FaceLayersCm * Curve.Smooth(0f, 5.5f, root.Z);
                var longest = 90f;
                var count = march.Run(i, longest, end, path, out var length);
                length = MathF.Max(length, 1.5f);

                // Ends are not a ruler's edge, and a few hairs are always on their way.
                var shorter = Hash.Unit(i, 9) < 0.2f ? 1 - 0.22f * Hash.Unit(i, 10) : 1;
                if (IsFlyaway(i))
                {
                    shorter = 0.3f + 0.4f * Hash.Unit(i, 12);
                }

                Lengths[i] = length * shorter;
                Resample.Even(path[..count], Lengths[i], loose.AsSpan(i * Places.Points, Places.Points));
            }
        });
    }

    /// <summary>One strand in two hundred is a flyaway: short, thin, outside its lock.</summary>
    internal static bool IsFlyaway(int strand) => Hash.Unit(strand, 13) < 0.005f;
}
