using Wendro.Fall;
using Wendro.Hair;
using Wendro.Head;
using Wendro.Units;

namespace Wendro.Blend;

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
    private const double LevelsPerByte = 9.0 / 255;

    // Fewer samples than these say nothing: of light ends, of a half centimetre, of a lower half, of a root.
    private const int FewAtEnds = 40;
    private const int FewAlong = 150;
    private const int FewBelow = 200;
    private const int FewAtRoot = 60;
    private static readonly int EndsPlace = Enumerable.Range(0, Places.Count).First(k => Places.Share(k) >= EndsFrom);
    private const int RootBins = (int)(1 / SeenWeights.BinCm);
    private static readonly int LowerPlace = Enumerable.Range(0, Places.Count).First(k => Places.Share(k) >= 0.5);
    private readonly SeenWeights weights;
    private readonly StrandMap map;
    private readonly bool[] left;
    private readonly byte[] lightFrom;
    private readonly OfZone[] zones = new OfZone[Zones];

    /// <summary>By zone and half centimetre along the hair: samples and how their levels rise there.</summary>
    private readonly Seen[] along = new Seen[Zones * SeenWeights.Bins];
    private Seen leftSide;
    private Seen rightSide;
    private Seen lightEnds;
    private long samples;
    private long lightSamples;

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
        (zones, along) = ((OfZone[])of.zones.Clone(), (Seen[])of.along.Clone());
        (leftSide, rightSide, lightEnds) = (of.leftSide, of.rightSide, of.lightEnds);
        (samples, lightSamples) = (of.samples, of.lightSamples);
    }

    /// <summary>Samples that are seen and the sum of what they show: level bytes, or their rise.</summary>
    private struct Seen
    {
        public long Samples;
        public long Sum;

        /// <summary>Mean level; natural black where nothing is seen.</summary>
        public readonly double Level => Mean(Sum, Samples);

        public void Add(long samples, long sum)
        {
            Samples += samples;
            Sum += sum;
        }
    }

    /// <summary>What is seen of one zone.</summary>
    private struct OfZone
    {
        public Seen All;
        public Seen Front;

        /// <summary>Its first centimetre from the scalp.</summary>
        public Seen Root;

        /// <summary>Its lower half, the squares of its level bytes, and how much of it is light.</summary>
        public Seen Lower;
        public long LowerSquares;
        public long LowerLight;
        public long Light;
    }

    /// <summary>Samples of hair seen in all.</summary>
    public long Samples => samples;

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
    ) Sums => (Pair(Over(_ => true, z => z.All)), Pair(Over(_ => true, z => z.Front)), Pair(leftSide), Pair(rightSide));

    /// <summary>Light samples; at the ends, light samples and their level bytes.</summary>
    public (long Light, long EndsSamples, long EndsLevels) LightSums =>
        (lightSamples, lightEnds.Samples, lightEnds.Sum);

    private static (long Samples, long Levels) Pair(Seen seen) => (seen.Samples, seen.Sum);

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
    public double LightShare => samples == 0 ? 0 : (double)lightSamples / samples;

    /// <summary>The same of some zones alone.</summary>
    public double LightShareOf(Func<Zone, bool> which)
    {
        ArgumentNullException.ThrowIfNull(which);
        var (some, of) = (0L, 0L);
        foreach (var z in ZoneFacts.All.Where(which))
        {
            some += zones[(int)z].Light;
            of += zones[(int)z].All.Samples;
        }

        return of == 0 ? 0 : (double)some / of;
    }

    /// <summary>Mean level of the light hair seen at the ends; null where there is none.</summary>
    public double? EndsLevel => lightEnds.Samples < FewAtEnds ? null : lightEnds.Level;

    /// <summary>Mean seen level left and right of the middle of the head.</summary>
    public (double Left, double Right) Sides => (leftSide.Level, rightSide.Level);

    /// <summary>Mean seen level of some zones over all four views; null where none of their hair is seen.</summary>
    public double? LevelOf(Func<Zone, bool> which) => LevelOf(Over(which, z => z.All));

    /// <summary>The same from the front alone.</summary>
    public double? LevelFromFront(Func<Zone, bool> which) => LevelOf(Over(which, z => z.Front));

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
        var from = (int)of * SeenWeights.Bins;
        var least = Math.Max(FewAlong / sampled, zones[(int)of].All.Samples / 100);
        var steepest = 0.0;
        var at = 0.0;
        for (var b = 0; b + 1 < SeenWeights.Bins; b++)
        {
            var (here, next) = (along[from + b], along[from + b + 1]);
            var there = here.Samples + next.Samples;
            if (there < least)
            {
                continue;
            }

            var rise = Math.Abs((here.Sum + next.Sum) * LevelsPerByte / RiseScale / there);
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
        ref readonly var zone = ref zones[(int)of];
        var seen = zone.Lower.Samples;
        if (seen < FewBelow)
        {
            return null;
        }

        var mean = (double)zone.Lower.Sum / seen;
        return (
            Math.Sqrt(Math.Max(0, (double)zone.LowerSquares / seen - mean * mean)) * LevelsPerByte,
            (double)zone.LowerLight / seen
        );
    }

    /// <summary>
    /// Mean seen level of a zone's first centimetre from the scalp; null where too little of it is seen.
    /// </summary>
    public double? RootLevel(Zone of) => zones[(int)of].Root is { Samples: >= FewAtRoot } root ? root.Level : null;

    /// <summary>Mean seen level of the lower half less that of the first centimetre, whole head, levels.</summary>
    public double Gradient => Over(_ => true, z => z.Lower).Level - Over(_ => true, z => z.Root).Level;

    private static double Mean(long levels, long samples) => samples == 0 ? 0 : 1 + levels * LevelsPerByte / samples;

    private static double? LevelOf(Seen seen) => seen.Samples == 0 ? null : seen.Level;

    private Seen Over(Func<Zone, bool> which, Func<OfZone, Seen> of)
    {
        var all = default(Seen);
        foreach (var z in ZoneFacts.All.Where(which))
        {
            var seen = of(zones[(int)z]);
            all.Add(seen.Samples, seen.Sum);
        }

        return all;
    }

    private void Count(int i, byte[] levels, int sign)
    {
        ref var zone = ref zones[map.Zone[i]];
        var lightest = lightFrom[map.Zone[i]];
        var bins = map.Zone[i] * SeenWeights.Bins;
        ref var side = ref (left[i] ? ref leftSide : ref rightSide);
        var perLength = RiseScale / weights.Lengths[i];
        for (var c = weights.Start[i]; c < weights.Start[i + 1]; c++)
        {
            int level = levels[i * Places.Count + weights.Place[c]];
            var n = weights.All[c] * sign;
            var front = weights.Front[c] * sign;
            zone.All.Add(n, n * level);
            zone.Front.Add(front, front * level);
            side.Add(n, n * level);
            along[bins + weights.Bin[c]].Add(n, (long)n * RiseAt(levels, i, weights.Place[c], perLength));
            samples += n;
            if (weights.Bin[c] < RootBins)
            {
                zone.Root.Add(n, n * level);
            }

            if (weights.Place[c] >= LowerPlace)
            {
                zone.Lower.Add(n, n * level);
                zone.LowerSquares += (long)n * level * level;
                zone.LowerLight += level >= lightest ? n : 0;
            }

            if (level >= lightest)
            {
                lightSamples += n;
                zone.Light += n;
                if (weights.Place[c] >= EndsPlace)
                {
                    lightEnds.Add(n, n * level);
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
