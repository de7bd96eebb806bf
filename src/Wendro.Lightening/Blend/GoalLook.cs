using Wendro.Colour;
using Wendro.Fall;
using Wendro.Hair;
using Wendro.Head;
using Wendro.Units;

namespace Wendro.Blend;

/// <summary>
/// The head as she wants it, before anything is planned: locks lightened at random until the wished share of what is
/// seen is light,
/// as high, as soft and as bright at the face as she said. A picture to agree on, not a forecast. Model assumption
/// throughout.
/// </summary>
public static class GoalLook
{
    private const int N = Places.Count;
    private const int LockSalt = 70;
    private const int HeightSalt = 71;
    private const int Steps = 9;

    /// <summary>
    /// How much of the wished lift at the face is added there; the rest comes from its starting higher.
    /// </summary>
    private const double FaceShare = 0.7;

    /// <summary>Hair this low on the head lies underneath.</summary>
    private const float Under = 0.3f;

    /// <summary>All strands, unmixed; what is lighter than before is lifted.</summary>
    /// <param name="hair">Her hair as it is.</param>
    /// <param name="map">Which zone each strand grows in.</param>
    /// <param name="strands">The strands.</param>
    /// <param name="weights">What is seen of them, worn down.</param>
    /// <param name="goal">What she wants.</param>
    public static StrandSamples Of(HairProfile hair, StrandMap map, Strands strands, SeenWeights weights, Goal goal)
    {
        ArgumentNullException.ThrowIfNull(hair);
        ArgumentNullException.ThrowIfNull(map);
        ArgumentNullException.ThrowIfNull(strands);
        ArgumentNullException.ThrowIfNull(weights);
        ArgumentNullException.ThrowIfNull(goal);
        var before = StrandLevels.Before(hair, map, weights.Lengths);
        var bright = before.Copy();
        for (var i = 0; i < strands.Count; i++)
        {
            Brighten(hair, (Zone)map.Zone[i], strands.Lock[i], weights.Lengths[i], goal, bright, i);
        }

        var light = new int[strands.Count];
        for (var i = 0; i < light.Length; i++)
        {
            light[i] = Seen(hair, map, weights, bright.Levels, i);
        }

        var share = ShareOf(map, strands, weights, light, goal);
        for (var i = 0; i < strands.Count; i++)
        {
            if (!IsLight(map, strands, i, share, goal))
            {
                bright.CopyStrand(before, i);
            }
        }

        return bright;
    }

    /// <summary>
    /// The share of locks at which as much of what is seen is light as she wants: found by halving, since more locks
    /// are never less light.
    /// </summary>
    private static float ShareOf(StrandMap map, Strands strands, SeenWeights weights, int[] light, Goal goal)
    {
        var all = Enumerable.Range(0, strands.Count).Sum(i => (long)weights.OfStrand(i));
        var wanted = (goal.LightShareLow + goal.LightShareHigh) / 2 * all;
        var (low, high) = (0f, 1f);
        for (var k = 0; k < Steps; k++)
        {
            var share = (low + high) / 2;
            long seen = 0;
            for (var i = 0; i < light.Length; i++)
            {
                seen += light[i] > 0 && IsLight(map, strands, i, share, goal) ? light[i] : 0;
            }

            (low, high) = seen < wanted ? (share, high) : (low, share);
        }

        return high;
    }

    private static bool IsLight(StrandMap map, Strands strands, int i, float share, Goal goal)
    {
        var zone = (Zone)map.Zone[i];
        if (ZoneFacts.IsFaceFrame(zone) && goal.FaceFrameLift > 0)
        {
            // The brighter the face is to be against the rest, the more of it is light.
            share = Math.Max(share, (float)Math.Min(1, 0.5 + goal.FaceFrameLift / 2));
        }
        else if (!goal.Underneath && (zone is Zone.Nape or Zone.LowerBack || strands.Above[i] < Under))
        {
            return false;
        }

        return Hash.Unit(strands.Lock[i], LockSalt) < share;
    }

    private static void Brighten(
        HairProfile hair,
        Zone zone,
        int l,
        float length,
        Goal goal,
        StrandSamples into,
        int strand
    )
    {
        var natural = hair.In(zone).NaturalLevel;
        var face = ZoneFacts.IsFaceFrame(zone);
        var lift = face ? goal.FaceFrameLift * FaceShare : 0;
        var from = face ? Math.Min(2, 0.1 * length) : (0.06 + 0.4 * Hash.Unit(l, HeightSalt)) * length;
        var blur = Math.Max(1, (goal.MidsOf() - natural) / goal.RootSoftness);
        for (var k = 0; k < N; k++)
        {
            var share = Places.Share(k);
            var target = goal.MidsOf() + (goal.EndsLevel - goal.MidsOf()) * Curve.Smooth(0.45, 0.85, share) + lift;
            var at = strand * N + k;
            var was = Level.FromByte(into.Levels[at]);
            var now = was + (target - was) * Curve.Smooth(from, from + blur, share * length);

            // Nothing in this picture is darkened: what is lighter already stays.
            var level = Math.Clamp(Math.Max(was, now), Level.Darkest, Level.Lightest);
            into.Levels[at] = Level.ToByte(level);
            var old = new Tint(into.Tints[at]).Meaning;
            if (level > was && !old.White)
            {
                into.Tints[at] = Tint.Lifted(Math.Max(old.Lifted, (level - was) / ProductEffects.LiftedFrom)).Index;
            }
        }
    }

    /// <summary>How much of a strand is seen light.</summary>
    private static int Seen(HairProfile hair, StrandMap map, SeenWeights weights, byte[] levels, int i)
    {
        var from = Level.ToByte(hair.In((Zone)map.Zone[i]).NaturalLevel + Tally.LightAbove);
        var sum = 0;
        for (var c = weights.Start[i]; c < weights.Start[i + 1]; c++)
        {
            sum += levels[i * N + weights.Place[c]] >= from ? weights.All[c] : 0;
        }

        return sum;
    }
}
