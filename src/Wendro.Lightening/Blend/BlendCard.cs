using Wendro.Fall;
using Wendro.Head;
using Wendro.Paint;
using Wendro.Section;

namespace Wendro.Blend;

/// <summary>What the card holds against what she wants.</summary>
public enum CardMeasure
{
    Ends,
    Light,
    Face,
    Softness,
    Balance,
    Regrowth,
}

/// <summary>One measure against what she wants.</summary>
/// <param name="Measure">Which.</param>
/// <param name="Value">What comes out; null where there is nothing to measure.</param>
/// <param name="Low">Least that she wants.</param>
/// <param name="High">Most that she wants.</param>
/// <param name="Thank">Panels that help it most.</param>
/// <param name="Blame">Panels that hurt it most.</param>
public sealed record CardLine(
    CardMeasure Measure,
    double? Value,
    double Low,
    double High,
    IReadOnlyList<PanelKey> Thank,
    IReadOnlyList<PanelKey> Blame
)
{
    /// <summary>Whether it is what she wants.</summary>
    public bool Met => Value is { } value && value >= Low && value <= High;
}

/// <summary>The measures in one glance, with which panels to thank or blame.</summary>
public static class BlendCard
{
    /// <summary>How far from the wanted level ends may be, levels. Model assumption.</summary>
    public const double EndsWithin = 0.3;

    /// <summary>A face frame this much above the rest is bright enough for anybody, levels.</summary>
    private const double MostFace = 6;

    private const int Most = 4;
    private const int FewSamples = 30;

    /// <summary>The card of a planned head.</summary>
    /// <param name="panels">All panels.</param>
    /// <param name="map">Which strand lies where.</param>
    /// <param name="down">What is seen worn down.</param>
    /// <param name="levels">Unmixed level bytes.</param>
    /// <param name="head">How it was judged.</param>
    /// <param name="weeksBetween">How many weeks between her visits.</param>
    public static IReadOnlyList<CardLine> Of(
        IReadOnlyList<PlannedPanel> panels,
        StrandMap map,
        SeenWeights down,
        byte[] levels,
        FindingContext head,
        double weeksBetween
    )
    {
        ArgumentNullException.ThrowIfNull(panels);
        ArgumentNullException.ThrowIfNull(map);
        ArgumentNullException.ThrowIfNull(down);
        ArgumentNullException.ThrowIfNull(levels);
        ArgumentNullException.ThrowIfNull(head);
        var sums = panels.Select((p, i) => PanelSums.Of(p, map.StrandsOf[i], map, down, levels, head)).ToArray();
        var (m, goal) = (head.Measures, head.Goal);
        var mean = sums.Sum(s => s.Levels) / Math.Max(1, sums.Sum(s => s.Samples));

        var lines = new CardLine[]
        {
            new(CardMeasure.Ends, m.EndsLevel, goal.EndsLevel - EndsWithin, goal.EndsLevel + EndsWithin, [], []),
            new(CardMeasure.Light, m.LightShare, goal.LightShareLow, goal.LightShareHigh, [], []),
            new(
                CardMeasure.Face,
                m.FaceFrameLift,
                goal.FaceFrameLift - BrightnessFindings.FaceFrameSlack,
                MostFace,
                [],
                []
            ),
            new(CardMeasure.Softness, m.RootSoftness, 0, goal.RootSoftness, [], []),
            new(CardMeasure.Balance, m.Balance, -head.Limits.SideLevels, head.Limits.SideLevels, [], []),
            new(
                CardMeasure.Regrowth,
                m.RegrowthWeeks,
                weeksBetween - head.Limits.RegrowthWeeks,
                Regrowth.MostWeeks,
                [],
                []
            ),
        };
        return lines
            .Select(l =>
                l with
                {
                    Thank = Thanks(l, sums, m, goal, mean),
                    Blame = l.Met ? [] : Blames(l, sums, m, goal, mean),
                }
            )
            .ToArray();
    }

    private static PanelKey[] Thanks(CardLine line, PanelSums[] sums, Measures m, Goal goal, double mean) =>
        line.Measure switch
        {
            CardMeasure.Ends => Pick(
                sums,
                s => -Math.Abs(s.EndsMean - goal.EndsLevel),
                s => s.EndsSamples > FewSamples && Math.Abs(s.EndsMean - goal.EndsLevel) <= EndsWithin
            ),

            // Where there is too little light, thanks go to what brings it; where there is too much, to what has none.
            CardMeasure.Light => line.Value > line.High ? Dark(sums) : Bright(sums),
            CardMeasure.Face => Pick(Frame(sums), s => s.Mean - mean, s => s.FrontSamples > 0 && s.Mean > mean),
            CardMeasure.Softness => Pick(sums, s => s.Blur, s => s.Painted && s.Key.Zone != m.SteepestZone),
            CardMeasure.Balance or CardMeasure.Regrowth => [],
        };

    private static PanelKey[] Blames(CardLine line, PanelSums[] sums, Measures m, Goal goal, double mean) =>
        line.Measure switch
        {
            CardMeasure.Ends => Pick(
                sums,
                s => Math.Abs(s.EndsMean - goal.EndsLevel),
                s => s.EndsSamples > FewSamples && Math.Abs(s.EndsMean - goal.EndsLevel) > EndsWithin
            ),
            CardMeasure.Light => line.Value > line.High ? Bright(sums) : Dark(sums),
            CardMeasure.Face =>
            [
                .. Pick(Frame(sums), s => mean - s.Mean, s => s.FrontSamples > 0 && s.Mean <= mean),
                .. Pick(sums, s => s.FrontLight, s => !ZoneFacts.IsFaceFrame(s.Key.Zone) && s.FrontLight > 0).Take(2),
            ],
            CardMeasure.Balance => Pick(sums, s => s.Light, s => s.Light > 0 && s.IsLeft == m.Balance > 0),
            CardMeasure.Softness or CardMeasure.Regrowth => Pick(
                sums,
                s => -s.Blur,
                s => s.Painted && s.Key.Zone == m.SteepestZone
            ),
        };

    private static IEnumerable<PanelSums> Frame(PanelSums[] sums) => sums.Where(s => ZoneFacts.IsFaceFrame(s.Key.Zone));

    private static PanelKey[] Bright(PanelSums[] sums) => Pick(sums, s => s.Light, s => s.Light > 0);

    private static PanelKey[] Dark(PanelSums[] sums) =>
        Pick(sums, s => s.SeenShare, s => s.Light == 0 && s.SeenShare > 0.002);

    private static PanelKey[] Pick(
        IEnumerable<PanelSums> sums,
        Func<PanelSums, double> by,
        Func<PanelSums, bool> which
    ) => sums.Where(which).OrderByDescending(by).ThenBy(s => s.Key).Take(Most).Select(s => s.Key).ToArray();

    /// <summary>What is seen of one panel.</summary>
    private sealed record PanelSums(
        PanelKey Key,
        bool IsLeft,
        bool Painted,
        double Blur,
        double SeenShare,
        long Samples,
        double Levels,
        long Light,
        long FrontSamples,
        long FrontLight,
        long EndsSamples,
        double EndsLevels
    )
    {
        public double Mean => Samples == 0 ? 0 : Levels / Samples;

        public double EndsMean => EndsSamples == 0 ? 0 : EndsLevels / EndsSamples;

        public static PanelSums Of(
            PlannedPanel panel,
            int[] strands,
            StrandMap map,
            SeenWeights down,
            byte[] levels,
            FindingContext head
        )
        {
            var lightest = Units.Level.ToByte(head.Natural(panel.Panel.Key.Zone) + Tally.LightAbove);
            long samples = 0,
                light = 0,
                front = 0,
                frontLight = 0,
                ends = 0;
            double sum = 0,
                endsSum = 0;
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
                panel.Panel.Key,
                panel.Panel.Centre.Map.X > 0,
                panel.Coats.Count > 0,
                panel.Painted?.Paint.BlurCm ?? 0,
                samples / (double)Math.Max(1, head.Down.Samples),
                samples,
                sum,
                light,
                front,
                frontLight,
                ends,
                endsSum
            );
        }
    }
}
