using Wendro.Core.Fall;
using Wendro.Core.Head;
using Wendro.Core.Paint;

namespace Wendro.Core.Blend;

/// <summary>What one panel adds to a measure or takes from it.</summary>
/// <param name="Panel">Which.</param>
/// <param name="Zone">Its zone.</param>
/// <param name="Effect">How much of the measure it accounts for: share of the light seen, or levels above or below the rest.</param>
public sealed record Share(PanelKey Panel, Zone Zone, double Effect);

/// <summary>One measure against what she wants.</summary>
/// <param name="Measure">ends, light, face, softness, balance or regrowth.</param>
/// <param name="Met">Whether it is what she wants.</param>
/// <param name="Thank">Panels that help it most.</param>
/// <param name="Blame">Panels that hurt it most.</param>
public sealed record CardLine(string Measure, bool Met, IReadOnlyList<Share> Thank, IReadOnlyList<Share> Blame);

/// <summary>The measures in one glance, with which panels to thank or blame.</summary>
public static class BlendCard
{
    private const int Most = 4;

    /// <summary>The card of a planned head.</summary>
    /// <param name="panels">All panels.</param>
    /// <param name="map">Which strand lies where.</param>
    /// <param name="down">What is seen worn down.</param>
    /// <param name="levels">Unmixed level bytes.</param>
    /// <param name="head">How it was judged.</param>
    /// <param name="weeksBetween">How many weeks between her visits.</param>
    public static IReadOnlyList<CardLine> Of(
        IReadOnlyList<PlannedPanel> panels, StrandMap map, SeenWeights down, byte[] levels, Judged head, double weeksBetween)
    {
        ArgumentNullException.ThrowIfNull(panels);
        ArgumentNullException.ThrowIfNull(map);
        ArgumentNullException.ThrowIfNull(down);
        ArgumentNullException.ThrowIfNull(levels);
        ArgumentNullException.ThrowIfNull(head);
        var sums = panels.Select((p, i) => PanelSums.Of(p, map.StrandsOf[i], map, down, levels, head)).ToArray();
        var (m, wish) = (head.Measures, head.Wish);
        var light = (double)Math.Max(1, sums.Sum(s => s.Light));
        var mean = sums.Sum(s => s.Levels) / Math.Max(1, sums.Sum(s => s.Samples));

        // Where there is too little, thanks go to what brings it; where there is too much, the same panels are to blame.
        var tooLight = m.LightShare > wish.LightShareHigh;
        var bright = Pick(sums, s => s.Light / light, s => s.Light > 0);
        var bare = Pick(sums, s => -s.SeenShare, s => s.Light == 0 && s.SeenShare > 0.002);
        var ends = Pick(sums, s => s.EndsMean - wish.EndsLevel, s => s.EndsSamples > 30);
        var weak = Pick(sums, s => -Math.Abs(s.EndsMean - wish.EndsLevel), s => s.EndsSamples > 30 && Math.Abs(s.EndsMean - wish.EndsLevel) > 0.3);
        var frame = sums.Where(s => ZoneFacts.IsFaceFrame(s.Key.Zone)).ToArray();
        var rest = sums.Where(s => !ZoneFacts.IsFaceFrame(s.Key.Zone)).ToArray();
        var steep = m.SteepestZone is { } zone ? sums.Where(s => s.Key.Zone == zone && s.Painted).ToArray() : [];
        return
        [
            new("ends", m.EndsLevel is { } e && Math.Abs(e - wish.EndsLevel) <= 0.5, ends, weak),
            new(
                "light",
                m.LightShare >= wish.LightShareLow && !tooLight,
                tooLight ? bare : bright,
                tooLight ? bright : m.LightShare < wish.LightShareLow ? bare : []),
            new(
                "face",
                m.FaceFrameLift >= wish.FaceFrameLift - 0.05,
                Pick(frame, s => s.Mean - mean, s => s.Mean > mean && s.FrontSamples > 0),
                [.. Pick(frame, s => s.Mean - mean, s => s.Mean <= mean && s.FrontSamples > 0, -1), .. m.FaceFrameLift < wish.FaceFrameLift ? Pick(rest, s => s.FrontLight / light, s => s.FrontLight > 0).Take(2) : []]),
            new("softness", m.RootSoftness <= wish.RootSoftness, Pick(sums, s => s.Blur, s => s.Painted && !steep.Contains(s)), Pick(steep, s => -s.Blur, _ => m.RootSoftness > wish.RootSoftness)),
            new(
                "balance",
                Math.Abs(m.Balance) <= head.Limits.SideLevels,
                [],
                Math.Abs(m.Balance) <= head.Limits.SideLevels ? [] : Pick(sums.Where(s => s.IsLeft == m.Balance > 0).ToArray(), s => s.Light / light, s => s.Light > 0)),
            new("regrowth", m.RegrowthWeeks >= weeksBetween - head.Limits.RegrowthWeeks, [], m.RegrowthWeeks >= weeksBetween - head.Limits.RegrowthWeeks ? [] : Pick(steep, s => -s.Blur, _ => true)),
        ];
    }

    private static Share[] Pick(IReadOnlyList<PanelSums> sums, Func<PanelSums, double> by, Func<PanelSums, bool> which, int sign = 1) => sums
        .Where(which)
        .OrderByDescending(s => sign * by(s)).ThenBy(s => s.Key.ToString(), StringComparer.Ordinal)
        .Take(Most)
        .Select(s => new Share(s.Key, s.Key.Zone, by(s)))
        .ToArray();

    /// <summary>What is seen of one panel.</summary>
    private sealed record PanelSums(
        PanelKey Key, bool IsLeft, bool Painted, double Blur, double SeenShare, long Samples, double Levels, long Light, long FrontSamples, long FrontLight, long EndsSamples, double EndsLevels)
    {
        public double Mean => Samples == 0 ? 0 : Levels / Samples;

        public double EndsMean => EndsSamples == 0 ? 0 : EndsLevels / EndsSamples;

        public static PanelSums Of(PlannedPanel panel, int[] strands, StrandMap map, SeenWeights down, byte[] levels, Judged head)
        {
            var lightest = Units.Level.ToByte(head.Natural(panel.Panel.Key.Zone) + Tally.LightAbove);
            long samples = 0, light = 0, front = 0, frontLight = 0, ends = 0;
            double sum = 0, endsSum = 0;
            foreach (var i in strands)
            {
                for (var c = down.Start[i]; c < down.Start[i + 1]; c++)
                {
                    var level = levels[i * Places.Count + down.Place[c]];
                    int n = down.All[c];
                    samples += n;
                    sum += n * Units.Level.FromByte(level);
                    front += down.Front[c];
                    if (level >= lightest)
                    {
                        light += n;
                        frontLight += down.Front[c];
                        if (Places.Share(down.Place[c]) >= Tally.EndsFrom)
                        {
                            ends += n;
                            endsSum += n * Units.Level.FromByte(level);
                        }
                    }
                }
            }

            return new(
                panel.Panel.Key, panel.Panel.Centre.Map.X > 0, panel.Coats.Count > 0, panel.Painted?.Paint.BlurCm ?? 0,
                samples / (double)Math.Max(1, head.Down.Samples), samples, sum, light, front, frontLight, ends, endsSum);
        }
    }
}
