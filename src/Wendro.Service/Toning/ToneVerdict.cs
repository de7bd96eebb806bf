using Wendro.Colour;
using Wendro.Units;

namespace Wendro.Toning;

/// <summary>What a toning comes to, in a sentence.</summary>
public static class ToneVerdict
{
    /// <summary>In a sentence: the tone it ends in, and what is away from what is wanted.</summary>
    /// <param name="areas">What becomes of each area that takes hair.</param>
    public static Sentence Of(IReadOnlyList<AreaForecast> areas)
    {
        ArgumentNullException.ThrowIfNull(areas);
        if (areas.Count == 0)
        {
            return "Nothing is chosen yet.";
        }

        var lightest = areas.MaxBy(a => a.Level)!;
        var tone = Sentence.Capital(lightest.Remaining);
        var away = areas.Where(a => a.DeltaE > Oklch.HardlySeen).OrderByDescending(a => a.DeltaE).ToArray();
        return away.Length == 0
            ? $"{tone} {lightest.Level:0.0}, as wanted."
            : $"{tone} {lightest.Level:0.0}. {Sentence.Capital(string.Join("; ", away.GroupBy(How).Select(Told)))}.";
    }

    private static string Told(IGrouping<string, AreaForecast> alike)
    {
        var names = alike.Select(a => a.Area.Name).ToArray();
        var all = names.Length == 1 ? names[0] : $"{string.Join(", ", names[..^1])} and {names[^1]}";
        return $"{all} {alike.Key} than wanted";
    }

    /// <summary>
    /// How an area is away from what is wanted: by its tone, or, where that is most of it, by its light.
    /// </summary>
    private static string How(AreaForecast of)
    {
        var darker = of.WantedColour.Lightness - of.Colour.Lightness;
        var warmer = of.Colour.Along(of.WantedColour.Hue) - of.WantedColour.Chroma;
        return Math.Abs(darker) > LightCounts * Math.Abs(warmer) ? (darker > 0 ? "darker" : "lighter")
            : warmer > 0 ? "warmer"
            : "cooler";
    }

    /// <summary>Lightness is named before tone from so many times its difference on. Model assumption.</summary>
    private const double LightCounts = 2;
}
