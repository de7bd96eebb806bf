using Wendro.Core.Fall;
using Wendro.Core.Hair;
using Wendro.Core.Head;
using Wendro.Core.Units;

namespace Wendro.Core.Blend;

/// <summary>
/// What is seen of a painted head in one wear, counted in whole samples and level bytes, so that taking a strand out
/// and putting
/// it back leaves the very same numbers.
/// </summary>
public sealed class Tally
{
    /// <summary>
    /// Seen hair this much above natural counts as light, levels. Source: the trade's eye; model assumption.
    /// </summary>
    public const double LightAbove = 1.5;

    /// <summary>Ends are the last part of a strand from this share of its length on. Model assumption.</summary>
    public const double EndsFrom = 0.75;

    private const int Zones = 12;
    private const int RiseScale = 4096;
    private static readonly int EndsPlace = Enumerable.Range(0, Places.Count).First(k => Places.Share(k) >= EndsFrom);
    private const int RootBins = (int)(1 / SeenWeights.BinCm);
    private static readonly int LowerPlace = Enumerable.Range(0, Places.Count).First(k => Places.Share(k) >= 0.5);
    private readonly SeenWeights weights;
    private readonly StrandMap map;
    private readonly bool[] left;
    private readonly byte[] lightFrom;
    private readonly long[] zone = new long[Zones * 2];
    private readonly long[] zoneFront = new long[Zones * 2];
    private readonly long[] side = new long[4];
    private readonly long[] light = new long[4];
    private readonly long[] along = new long[Zones * SeenWeights.Bins * 2];

    // By zone, of its lower half: samples, levels, their squares, light samples. By zone, of its first centimetre:
    // samples, levels.
    private readonly long[] low = new long[Zones * 4];
    private readonly long[] root = new long[Zones * 2];
    private readonly long[] zoneLight = new long[Zones];

    private Tally(SeenWeights weights, StrandMap map, bool[] left, HairProfile hair)
    {
        this.weights = weights;
        this.map = map;
        this.left = left;
        lightFrom = ZoneFacts.All.Select(z => Level.ToByte(hair.In(z).NaturalLevel + LightAbove)).ToArray();
    }

    private Tally(Tally of)
    {
        (weights, map, left, lightFrom) = (of.weights, of.map, of.left, of.lightFrom);
        (zone, zoneFront, side, light, along) = (
            (long[])of.zone.Clone(),
            (long[])of.zoneFront.Clone(),
            (long[])of.side.Clone(),
            (long[])of.light.Clone(),
            (long[])of.along.Clone()
        );
        (low, root, zoneLight) = ((long[])of.low.Clone(), (long[])of.root.Clone(), (long[])of.zoneLight.Clone());
    }

    /// <summary>Samples of hair seen in all.</summary>
    public long Samples => light[0];

    /// <summary>Counts everything seen.</summary>
    /// <param name="weights">What is seen.</param>
    /// <param name="map">Which strand lies where.</param>
    /// <param name="strands">The strands.</param>
    /// <param name="levels">Unmixed levels.</param>
    /// <param name="hair">Her hair: what is light depends on its natural level, zone by zone.</param>
    public static Tally Of(SeenWeights weights, StrandMap map, Strands strands, byte[] levels, HairProfile hair)
    {
        ArgumentNullException.ThrowIfNull(map);
        ArgumentNullException.ThrowIfNull(hair);
        ArgumentNullException.ThrowIfNull(strands);
        ArgumentNullException.ThrowIfNull(levels);
        var tally = new Tally(weights, map, SidesOf(strands), hair);
        for (var i = 0; i < strands.Count; i++)
        {
            tally.Count(i, levels, 1);
        }

        return tally;
    }

    /// <summary>Counts some of the strands only.</summary>
    public static Tally Of(
        SeenWeights weights,
        StrandMap map,
        Strands strands,
        byte[] levels,
        HairProfile hair,
        IEnumerable<int> some
    )
    {
        ArgumentNullException.ThrowIfNull(strands);
        ArgumentNullException.ThrowIfNull(some);
        var tally = new Tally(weights, map, SidesOf(strands), hair);
        foreach (var i in some)
        {
            tally.Count(i, levels, 1);
        }

        return tally;
    }

    /// <summary>Samples and level bytes: all, from the front, left, right.</summary>
    public (
        (long Samples, long Levels) All,
        (long Samples, long Levels) Front,
        (long Samples, long Levels) Left,
        (long Samples, long Levels) Right
    ) Sums =>
        ((Sum(zone, 0), Sum(zone, 1)), (Sum(zoneFront, 0), Sum(zoneFront, 1)), (side[0], side[1]), (side[2], side[3]));

    /// <summary>Light samples; at the ends, light samples and their level bytes.</summary>
    public (long Light, long EndsSamples, long EndsLevels) LightSums => (light[1], light[2], light[3]);

    private static long Sum(long[] pairs, int at)
    {
        long sum = 0;
        for (var i = at; i < pairs.Length; i += 2)
        {
            sum += pairs[i];
        }

        return sum;
    }

    private static bool[] SidesOf(Strands strands) => strands.Scalp.Select(p => p.Map.X > 0).ToArray();

    /// <summary>The same after some strands changed their levels.</summary>
    public Tally After(IEnumerable<int[]> changed, byte[] before, byte[] after)
    {
        ArgumentNullException.ThrowIfNull(changed);
        ArgumentNullException.ThrowIfNull(before);
        ArgumentNullException.ThrowIfNull(after);
        var next = new Tally(this);
        foreach (var strands in changed)
        {
            foreach (var i in strands)
            {
                next.Count(i, before, -1);
                next.Count(i, after, 1);
            }
        }

        return next;
    }

    /// <summary>Share of the seen hair that is light, 0..1.</summary>
    public double LightShare => light[0] == 0 ? 0 : (double)light[1] / light[0];

    /// <summary>The same of some zones alone.</summary>
    public double LightShareOf(Func<Zone, bool> which)
    {
        ArgumentNullException.ThrowIfNull(which);
        var (some, of) = (0L, 0L);
        foreach (var z in ZoneFacts.All.Where(which))
        {
            some += zoneLight[(int)z];
            of += zone[(int)z * 2];
        }

        return of == 0 ? 0 : (double)some / of;
    }

    /// <summary>Mean level of the light hair seen at the ends; null where there is none.</summary>
    public double? EndsLevel => light[2] < 40 ? null : Mean(light[3], light[2]);

    /// <summary>Mean seen level left and right of the middle of the head.</summary>
    public (double Left, double Right) Sides => (Mean(side[1], side[0]), Mean(side[3], side[2]));

    /// <summary>Mean seen level of some zones over all four views; null where none of their hair is seen.</summary>
    public double? LevelOf(Func<Zone, bool> which) => Over(zone, which);

    /// <summary>The same from the front alone.</summary>
    public double? LevelFromFront(Func<Zone, bool> which) => Over(zoneFront, which);

    /// <summary>
    /// Steepest rise of a zone's level along the hair, levels a cm, and how far from the scalp: at every half
    /// centimetre the mean rise of
    /// the strands seen there, read over one centimetre. Taking each strand's own rise keeps it from mattering which
    /// strands are seen where.
    /// </summary>
    /// <param name="of">The zone.</param>
    /// <param name="sampled">How many strands each counted one stands for.</param>
    public (double Slope, double AtCm) Softness(Zone of, int sampled = 1)
    {
        // Places hardly seen, where few strands speak for the zone, say nothing.
        var from = (int)of * SeenWeights.Bins * 2;
        var least = Math.Max(150 / sampled, zone[(int)of * 2] / 100);
        var steepest = 0.0;
        var at = 0.0;
        for (var b = 0; b + 1 < SeenWeights.Bins; b++)
        {
            var i = from + b * 2;
            var samples = along[i] + along[i + 2];
            if (samples < least)
            {
                continue;
            }

            var rise = Math.Abs((along[i + 1] + along[i + 3]) * (9.0 / 255) / RiseScale / samples);
            if (rise > steepest)
            {
                steepest = rise;
                at = (b + 1) * SeenWeights.BinCm;
            }
        }

        return (steepest, at);
    }

    /// <summary>
    /// Of the lower half of a zone's hair that is seen: how far levels differ (standard deviation), and what share is
    /// light; null where too little is seen.
    /// </summary>
    public (double Contrast, double LightShare)? Ribbons(Zone of)
    {
        var i = (int)of * 4;
        if (low[i] < 200)
        {
            return null;
        }

        var mean = (double)low[i + 1] / low[i];
        return (
            Math.Sqrt(Math.Max(0, (double)low[i + 2] / low[i] - mean * mean)) * (9.0 / 255),
            (double)low[i + 3] / low[i]
        );
    }

    /// <summary>
    /// Mean seen level of a zone's first centimetre from the scalp; null where too little of it is seen.
    /// </summary>
    public double? RootLevel(Zone of) => root[(int)of * 2] < 60 ? null : Mean(root[(int)of * 2 + 1], root[(int)of * 2]);

    /// <summary>Mean seen level of the lower half less that of the first centimetre, whole head, levels.</summary>
    public double Gradient
    {
        get
        {
            long Sum(long[] of, int step, int at) => Enumerable.Range(0, Zones).Sum(z => of[z * step + at]);
            return Mean(Sum(low, 4, 1), Sum(low, 4, 0)) - Mean(Sum(root, 2, 1), Sum(root, 2, 0));
        }
    }

    private static double Mean(long levels, long samples) => samples == 0 ? 0 : 1 + levels * (9.0 / 255) / samples;

    private static double? Over(long[] sums, Func<Zone, bool> which)
    {
        long samples = 0,
            levels = 0;
        foreach (var z in ZoneFacts.All)
        {
            if (which(z))
            {
                samples += sums[(int)z * 2];
                levels += sums[(int)z * 2 + 1];
            }
        }

        return samples == 0 ? null : Mean(levels, samples);
    }

    private void Count(int i, byte[] levels, int sign)
    {
        var z = map.Zone[i] * 2;
        var lightest = lightFrom[map.Zone[i]];
        var bins = map.Zone[i] * SeenWeights.Bins;
        var s = left[i] ? 0 : 2;
        var perLength = RiseScale / weights.Lengths[i];
        for (var c = weights.Start[i]; c < weights.Start[i + 1]; c++)
        {
            int level = levels[i * Places.Count + weights.Place[c]];
            var n = weights.All[c] * sign;
            var front = weights.Front[c] * sign;
            zone[z] += n;
            zone[z + 1] += n * level;
            zoneFront[z] += front;
            zoneFront[z + 1] += front * level;
            side[s] += n;
            side[s + 1] += n * level;
            var b = (bins + weights.Bin[c]) * 2;
            along[b] += n;
            along[b + 1] += (long)n * RiseAt(levels, i, weights.Place[c], perLength);
            light[0] += n;
            if (weights.Bin[c] < RootBins)
            {
                root[z] += n;
                root[z + 1] += n * level;
            }

            if (weights.Place[c] >= LowerPlace)
            {
                var l = z * 2;
                low[l] += n;
                low[l + 1] += n * level;
                low[l + 2] += (long)n * level * level;
                low[l + 3] += level >= lightest ? n : 0;
            }

            if (level >= lightest)
            {
                light[1] += n;
                zoneLight[map.Zone[i]] += n;
                if (weights.Place[c] >= EndsPlace)
                {
                    light[2] += n;
                    light[3] += n * level;
                }
            }
        }
    }

    /// <summary>Rise of a strand's level at a place, level bytes a cm, scaled to a whole number.</summary>
    private static int RiseAt(byte[] levels, int i, int place, float perLength)
    {
        var k0 = Math.Max(place - 1, 0);
        var k1 = Math.Max(place, 1);
        var rise = levels[i * Places.Count + k1] - levels[i * Places.Count + k0];
        return rise == 0 ? 0 : (int)(rise * (perLength / (Places.Share(k1) - Places.Share(k0))));
    }
}
