using Wendro.Fixtures;
using Wendro.Scheduling;
using Wendro.Units;

namespace Wendro.Bench;

/// <summary>How long the schedule of a chair takes, and how often it is proven.</summary>
internal static class ScheduleFigures
{
    public static void Print()
    {
        Console.WriteLine();
        Console.WriteLine("The chair's schedule            median    slowest   proven   fits   end over bound, mean");
        Row("a whole head: 12 groups, 120 panels", 1, _ => WholeHead);
        foreach (var (groups, panels) in new[] { (3, 4), (5, 6), (8, 8), (12, 10), (12, 16) })
        {
            Row(
                $"60 made up: {groups} groups, about {groups * panels} panels",
                60,
                seed => MadeUp(seed, groups, panels)
            );
        }
    }

    /// <summary>A whole head as it is painted: from the nape with 20 vol to the face with 30, by turns left and right.</summary>
    public static ScheduleProblem WholeHead { get; } =
        new([
            Of("nape", 8, 0.6, 38, 52),
            Of("lower back, left", 10, 0.55, 36, 50),
            Of("lower back, right", 10, 0.55, 36, 50, "nape"),
            Of("upper back, left", 12, 0.55, 34, 50),
            Of("upper back, right", 12, 0.55, 34, 50),
            Of("crown, left", 10, 0.5, 32, 48),
            Of("crown, right", 10, 0.5, 32, 48),
            Of("side, left", 12, 0.45, 28, 44),
            Of("side, right", 12, 0.45, 28, 44),
            Of("top", 10, 0.5, 28, 44),
            Of("face frame, left", 7, 0.5, 20, 32, "side, left"),
            Of("face frame, right", 7, 0.5, 20, 32, "side, right"),
        ]);

    private static PanelGroup Of(string id, int panels, double each, double from, double to, params string[] after) =>
        new(id, Enumerable.Repeat(new ScheduledPanel(each, from, to), panels).ToArray(), after);

    private static ScheduleProblem MadeUp(int seed, int groups, int panels)
    {
        double Any(int what, double low, double high) => low + (high - low) * Hash.Unit(seed, what);
        return new(
            Enumerable
                .Range(0, groups)
                .Select(i =>
                {
                    var from = Math.Round(Any(i * 10 + 2, 15, 42));
                    return Of(
                        $"{(char)('a' + i)}",
                        (int)Any(i * 10, panels * 0.5, panels * 1.5),
                        Math.Round(Any(i * 10 + 1, 0.35, 0.9), 2),
                        from,
                        from + Math.Round(Any(i * 10 + 3, 6, 24))
                    );
                })
                .ToArray()
        );
    }

    private static void Row(string what, int cases, Func<int, ScheduleProblem> of)
    {
        var times = new List<double>();
        var (proven, fits, over) = (0, 0, 0.0);
        for (var seed = 0; seed < cases; seed++)
        {
            var problem = of(seed);
            var found = SchedulePlanner.Of(problem);
            times.Add(Stopwatches.Of(cases == 1 ? 9 : 1, () => found = SchedulePlanner.Of(problem), 1).Median);
            proven += found.Proven ? 1 : 0;
            fits += found.Feasible ? 1 : 0;
            over += found.EndsAt is { } end ? end / found.LowerBound - 1 : 0;
        }

        times.Sort();
        Console.WriteLine(
            $"  {what, -46} {times[cases / 2], 7:0.0} ms {times[^1], 7:0.0} ms {proven, 5}/{cases} {fits, 3}/{cases} "
                + $"{over / Math.Max(1, fits) * 100, 6:0.0} %"
        );
    }
}
