using Wendro.Units;

namespace Wendro.Mix;

/// <summary>So much of one developer.</summary>
/// <param name="Volume">Its strength.</param>
/// <param name="Grams">How much, g.</param>
public sealed record DeveloperPart(Volume Volume, double Grams);

/// <summary>A developer in between: two strengths by mass, for peroxide adds up by mass.</summary>
public static class Developer
{
    /// <summary>
    /// Parts of what is available that make the wanted strength; null where it lies outside of what is available.
    /// </summary>
    /// <param name="wanted">Strength wanted.</param>
    /// <param name="grams">How much of it, g, above 0.</param>
    /// <param name="available">Strengths at hand.</param>
    public static IReadOnlyList<DeveloperPart>? Blend(Volume wanted, double grams, IReadOnlyList<Volume> available)
    {
        ArgumentNullException.ThrowIfNull(available);
        if (available.Any(v => v == wanted))
        {
            return [new(wanted, grams)];
        }

        // The nearest on either side: a slip of the scale then matters least.
        var weaker = available.Where(v => v.Value < wanted.Value).Select(v => (Volume?)v).MaxBy(v => v!.Value.Value);
        var stronger = available.Where(v => v.Value > wanted.Value).Select(v => (Volume?)v).MinBy(v => v!.Value.Value);
        if (weaker is not { } low || stronger is not { } high)
        {
            return null;
        }

        var share = (wanted.Value - low.Value) / (high.Value - low.Value);
        return [new(low, grams * (1 - share)), new(high, grams * share)];
    }

    /// <summary>Strength of parts put together, volume; 0 where there is nothing.</summary>
    public static double VolumeOf(IReadOnlyList<DeveloperPart> parts)
    {
        ArgumentNullException.ThrowIfNull(parts);
        var grams = parts.Sum(p => p.Grams);
        return grams <= 0 ? 0 : parts.Sum(p => p.Volume.Value * p.Grams) / grams;
    }
}
