using System.Numerics;
using Wendro.Hair;
using Wendro.Head;
using Wendro.Units;

namespace Wendro.Fall;

/// <summary>
/// Cuts the hair where it falls: to a hem with its layers, or to one length all over; shorter where it is clipped,
/// new or broken.
/// Lengths are those of hair pulled straight. Model assumption.
/// </summary>
internal sealed class Haircut(HeadForm head, HairProfile hair, PartLine part, Strands strands, Texture texture)
{
    private const float Longest = 90;
    private const float EarlyBy = 0.15f;
    private const float HairlineHeight = 7.4f;
    private const float ClippedCm = 0.7f;

    /// <summary>
    /// Tight curls stand out as far as they are long: cut to a hem they are round above this height, cm, or the
    /// forehead's would stand out over the face as a peak.
    /// </summary>
    private const float RoundAboveY = 3;
    private const float BabyHairCm = 3.5f;
    private const float BabyBandCm = 1.2f;
    private readonly Mark[] shorter = hair.Marks.Where(m => m.TellsInFalling && m.Kind != MarkKind.Cowlick).ToArray();

    /// <summary>Cuts all strands.</summary>
    /// <param name="middle">Where the strands' middle lines go, 32 points each.</param>
    /// <param name="lengths">Where their lengths go, cm.</param>
    /// <param name="lies">Where it goes how far each lies straight before its texture begins, cm.</param>
    public void Run(Vector3[] middle, float[] lengths, float[] lies)
    {
        var straight = new StrandSimulator(
            head,
            strands,
            part,
            strands.Side,
            hair,
            texture.Upright ? Texture.Of(Curl.Wavy) : texture
        );
        var upright = texture.Upright ? new StrandSimulator(head, strands, part, strands.Side, hair, texture) : null;
        var hem = HairOnHead.HemHeight(hair.Cut);
        Parallel.For(
            0,
            16,
            chunk =>
            {
                Span<Vector3> path = stackalloc Vector3[StrandSimulator.Most];
                for (var i = chunk * strands.Count / 16; i < (chunk + 1) * strands.Count / 16; i++)
                {
                    var ragged = 0.45f * Hash.Signed(strands.Lock[i], 7) + 0.3f * Hash.Signed(i, 8);
                    var (longest, end) = To(i, hem, ragged);
                    var count = straight.Comb(i, longest, end, path, out var length, out var carried);

                    // Ends are not a ruler's edge, and a few hairs are always on their way.
                    var share = Hash.Unit(i, 9) < texture.EndsEarly ? 1 - EarlyBy * Hash.Unit(i, 10) : 1;
                    if (HairOnHead.IsFlyaway(i))
                    {
                        share = 0.3f + 0.4f * Hash.Unit(i, 12);
                    }

                    lengths[i] = Shorter(i, MathF.Max(length, 1.5f) * share);
                    lies[i] = Curls.LiesStraight(path[..count], texture);
                    var line = Curls.MiddleLength(lengths[i], lies[i], texture);
                    if (upright is not null)
                    {
                        count = upright.Run(i, line, float.MinValue, path, out _);
                    }
                    else if (carried is { } shoulder)
                    {
                        // Cut combed down, worn over the shoulder: it lies there as long as it was cut.
                        count = straight.Wear(i, shoulder, line, path);
                    }

                    Resample.Even(path[..count], line, middle.AsSpan(i * Places.Points, Places.Points));
                }
            }
        );
    }

    /// <summary>Length and height at which a strand ends.</summary>
    private (float Longest, float End) To(int i, float hem, float ragged)
    {
        var cut = hair.Cut;
        if (Fringe.Has(cut, strands.Scalp[i]))
        {
            // Cut level across the forehead, wherever it is rooted.
            return (Longest, HairlineHeight - (float)cut.FringeCm! + ragged);
        }

        if (cut.EvenCm is { } even)
        {
            return ((float)even + ragged, float.MinValue);
        }

        var end =
            hem
            + ragged
            + (float)cut.LayersCm * strands.Above[i]
            + (float)cut.FaceLayersCm * Curve.Smooth(0f, 5.5f, strands.Scalp[i].Position.Z);
        return (texture.Upright ? RoundAboveY - hem + ragged : Longest, end);
    }

    private float Shorter(int i, float length)
    {
        foreach (var mark in shorter)
        {
            if (mark.Outside(strands.Scalp[i]) > 0)
            {
                continue;
            }

            length = mark.Kind switch
            {
                MarkKind.Undercut => ClippedCm,
                MarkKind.BabyHair when strands.Scalp[i].FromHairlineCm < BabyBandCm => MathF.Min(
                    length,
                    BabyHairCm * (0.6f + 0.8f * Hash.Unit(i, 14))
                ),
                MarkKind.Breakage when Hash.Unit(i, 15) < 0.45f => length * (0.25f + 0.4f * Hash.Unit(i, 16)),
                MarkKind.BabyHair or MarkKind.Breakage or MarkKind.Cowlick or MarkKind.OldLight or MarkKind.OldDark =>
                    length,
            };
        }

        return length;
    }
}
