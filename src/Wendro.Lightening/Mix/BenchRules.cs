using Wendro.Units;

namespace Wendro.Mix;

/// <summary>How the studio mixes: what it wastes, holds, and can weigh.</summary>
/// <param name="Waste">What stays in bowls and on brushes, share of what lies on the hair, 0..0.5. Model
/// assumption.</param>
/// <param name="LeastGrams">Least of one thing the scale weighs well, g, 0.1..5. Trade.</param>
/// <param name="BowlGrams">What a bowl holds in all, g, 20..1000. Trade.</param>
/// <param name="MixingMinutes">What mixing a bowl takes, minutes, 0..10. Model assumption.</param>
public sealed record BenchRules(
    [property: Within(0, 0.5, "of what lies on the hair")] double Waste = 0.15,
    [property: Within(0.1, 5, "g")] double LeastGrams = 0.5,
    [property: Within(20, 1000, "g")] double BowlGrams = 250,
    [property: Within(0, 10, "min")] double MixingMinutes = 3
)
{
    /// <summary>As it usually is.</summary>
    public static BenchRules Usual { get; } = new();

    /// <summary>
    /// A weight this much off still counts as met, g: two parts in a hundred, no finer than two readings of the scale
    /// can tell apart, no coarser than half a gram. Model assumption.
    /// </summary>
    /// <param name="targetGrams">What is to be weighed, g.</param>
    public static double Tolerance(double targetGrams) => Math.Clamp(0.02 * targetGrams, 0.2, 0.5);

    /// <summary>What can't be taken, by field.</summary>
    public IReadOnlyList<Problem> Problems()
    {
        return WithinAttribute.Outside(this).ToArray();
    }
}
