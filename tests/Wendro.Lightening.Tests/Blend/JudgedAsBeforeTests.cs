using System.Runtime.Intrinsics.X86;
using Wendro.Blend;
using Wendro.Plans;
using Wendro.Units;

namespace Wendro.Tests.Blend;

/// <summary>A plan opened again is judged as it was: what was said of it stands in the client's record.</summary>
public sealed class JudgedAsBeforeTests
{
    /// <summary>
    /// How hair falls rounds alike on machines with wide vectors. On others a strand here and there ends beside another
    /// one: nearly the same is said there, and other neighbours are thanked.
    /// </summary>
    private static bool RoundsAlike => Avx2.IsSupported;

    /// <summary>Fewer than other heads of tests have: there are many heads, each judged for every mistake tried.</summary>
    private const int Strands = 1_200;

    /// <summary>Places along a strand.</summary>
    private const int Places = 64;

    private static readonly Goal Wanted = new(LightShareHigh: 0.4) { EndsLevel = new(8.2) };

    private static IEnumerable<(string What, double[] Figures)> Judged()
    {
        foreach (var kind in Flaws.Kinds)
        {
            var head = Flaws.Head(kind, Strands).Head;
            foreach (var (what, figures) in Measured(head).Concat(Found(head)).Concat(Seen(head)))
            {
                yield return ($"{kind}, {what}", figures);
            }
        }
    }

    private static IEnumerable<(string What, double[] Figures)> Measured(PlannedHead head)
    {
        var m = head.Measures;
        yield return (
            $"measures, steepest {m.SteepestZone}",
            [
                m.EndsLevel ?? double.NaN,
                m.LightShare,
                m.FaceFrameLift,
                m.RootSoftness,
                m.SteepestAtCm,
                m.Balance,
                m.MeanLevel,
                m.Gradient,
                m.RibbonContrast,
                m.RegrowthWeeks,
                m.SeenShares.Max(),
                head.HardlySeen.Count(h => h),
            ]
        );
        foreach (var line in head.Card(weeksBetween: 12))
        {
            yield return ($"{line.Measure}{(line.Met ? " met" : "")}", [line.Value ?? double.NaN, line.Low, line.High]);
            yield return (
                $"{line.Measure}, thanks to {string.Join(' ', line.Thank)} not to {string.Join(' ', line.Blame)}",
                []
            );
        }
    }

    private static IEnumerable<(string What, double[] Figures)> Found(PlannedHead head) =>
        head
            .Findings.Concat(head.HiddenWork() is { } hidden ? [hidden] : [])
            .Select(f =>
                (
                    $"{f.Severity} {f.Id} in {string.Join(' ', f.Zones)} worn {f.Wear}, {f.Better} is better",
                    f.Evidence.Select(e => e.Value)
                        .Append(f.Panels.Count)
                        .Append(f.Along?.FromCm ?? double.NaN)
                        .Append(f.Along?.ToCm ?? double.NaN)
                        .ToArray()
                )
            );

    /// <summary>
    /// Mean of what is drawn in each third from the scalp down, and the lightest, in level bytes, moment by moment.
    /// </summary>
    private static IEnumerable<(string What, double[] Figures)> Seen(PlannedHead head)
    {
        yield return ("drawn", Levels(head.Drawn.Levels));
        yield return ("drawn at 20 min", Levels(head.DrawnAt(Moment.At(new Minutes(20))).Levels));
        yield return ("drawn 8 weeks later", Levels(head.DrawnAt(Moment.Later(8)).Levels));
        yield return ("drawn as wished", Levels(head.DrawnToGoal(Wanted).Levels));
        var strip = Strip.Of(
            head.Panels.FirstOrDefault(p => p.Coats.Count > 0) ?? head.Panels[0],
            head.Hair,
            Moment.Rinsed
        );
        yield return (
            "strip",
            [.. Rows(strip.Levels), .. Rows(strip.Section), .. strip.Depth.Where((_, i) => i % 16 == 0)]
        );
        yield return (
            "tints",
            head.Drawn.Tints.GroupBy(t => t).OrderBy(g => g.Key).Select(g => (double)g.Count()).ToArray()
        );
    }

    /// <summary>Strands, each from the scalp to its end.</summary>
    private static double[] Levels(byte[] levels) => Thirds(levels, i => i % Places * 3 / Places);

    /// <summary>Rows from the scalp to the end, one below the other.</summary>
    private static double[] Rows(byte[] levels) => Thirds(levels, i => i * 3 / levels.Length);

    private static double[] Thirds(byte[] levels, Func<int, int> third)
    {
        var sums = new long[3];
        for (var i = 0; i < levels.Length; i++)
        {
            sums[third(i)] += levels[i];
        }

        return [.. sums.Select(s => 3.0 * s / levels.Length), levels.Max()];
    }

    [Fact]
    public void What_was_said_of_a_plan_once_is_said_of_it_for_ever() =>
        AsBefore.Holds(
            "Blend/judged.csv",
            Judged(),
            within: RoundsAlike ? 2e-3 : 0.7,
            share: RoundsAlike ? 0 : 0.1,
            names: RoundsAlike
        );
}
