using System.Diagnostics;
using System.Globalization;
using Wendro.Fixtures;

namespace Wendro.Bench;

/// <summary>Medians of repeated runs, warmed up first, and how they are printed.</summary>
internal static class Stopwatches
{
    /// <summary>Median, fastest and slowest of some runs, ms.</summary>
    public readonly record struct Times(double Median, double Fastest, double Slowest)
    {
        public override string ToString() =>
            string.Create(CultureInfo.InvariantCulture, $"{Median, 9:0.00} ms   ({Fastest:0.00}–{Slowest:0.00})");
    }

    public static Times Of(int runs, Action action, int warm = 2)
    {
        for (var i = 0; i < warm; i++)
        {
            action();
        }

        var times = new double[runs];
        for (var i = 0; i < runs; i++)
        {
            var watch = Stopwatch.StartNew();
            action();
            times[i] = watch.Elapsed.TotalMilliseconds;
        }

        Array.Sort(times);
        return new(times[runs / 2], times[0], times[^1]);
    }

    public static void Say(string what, Times times, string goal = "") =>
        Console.WriteLine($"{what, -58} {times}{(goal.Length > 0 ? $"   goal {goal}" : string.Empty)}");

    public static void Say(string what, string value, string goal = "") =>
        Console.WriteLine($"{what, -58} {value, 12}{(goal.Length > 0 ? $"   goal {goal}" : string.Empty)}");

    /// <summary>The same against a goal in ms; where it is missed, why.</summary>
    public static void Say(string what, Times times, double goalMs, string why) =>
        Judge(() => Say(what, times, $"≤ {goalMs:0} ms"), times.Median > goalMs, why);

    /// <summary>Says a figure, and below it why it misses its goal where it does.</summary>
    public static void Judge(Action say, bool missed, string why)
    {
        say();
        if (missed)
        {
            Console.WriteLine($"    over: {why}");
        }
    }
}
