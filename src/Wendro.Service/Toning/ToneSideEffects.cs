using Wendro.Colour;
using Wendro.Head;
using Wendro.Units;

namespace Wendro.Toning;

/// <summary>What a toning does besides its areas' tones: to grey, to copper, of face against lengths.</summary>
public static class ToneSideEffects
{
    /// <summary>From this share on grey is looked for. Model assumption.</summary>
    private const double GreyFrom = 0.05;

    /// <summary>Grey and light nearer than this blend, OKLab × 100. Model assumption.</summary>
    private const double Blends = 14;

    /// <summary>Up to this level warmth is copper; a fifth of it taken calms it. Model assumption.</summary>
    private const double CopperTo = 6.5,
        Calmed = 0.2;

    /// <summary>So much cooler, OKLCH chroma, one area is cool against another. Model assumption.</summary>
    private const double CoolAgainst = 0.015;

    /// <summary>In sentences; none where there is nothing to tell.</summary>
    /// <param name="areas">What becomes of each area that takes hair.</param>
    /// <param name="greyShare">Share of white hairs, 0..1.</param>
    public static IReadOnlyList<Sentence> Of(IReadOnlyList<AreaForecast> areas, double greyShare)
    {
        ArgumentNullException.ThrowIfNull(areas);
        return [.. Grey(areas, greyShare), .. Copper(areas), .. Face(areas)];
    }

    private static IEnumerable<Sentence> Grey(IReadOnlyList<AreaForecast> areas, double share)
    {
        if (share < GreyFrom || areas.Count == 0)
        {
            yield break;
        }

        var (r, g, b) = LevelColours.WhiteHair;
        var white = Oklch.Of(r, g, b);
        var lightest = areas.MaxBy(a => a.Level)!;
        var apart = white.DeltaE(lightest.Colour);
        yield return apart <= Blends
            ? $"Grey blends into {lightest.Area.Name}: {apart:0} apart."
            : $"Grey stands out beside {lightest.Area.Name}: {apart:0} apart, {Blends:0} and less blends.";
    }

    private static IEnumerable<Sentence> Copper(IReadOnlyList<AreaForecast> areas) =>
        areas
            .Where(a => a.RawLevel <= CopperTo && a.Lifted >= AreaForecast.CountsAsPiece && a.Neutralised >= Calmed)
            .Select(a => (Sentence)$"Copper calmed in {a.Area.Name}: {a.Neutralised:P0} of it taken.");

    private static IEnumerable<Sentence> Face(IReadOnlyList<AreaForecast> areas)
    {
        var face = areas.LastOrDefault(IsFace);
        var lengths = areas.Where(a => !IsFace(a)).MaxBy(a => a.Level);
        if (face is null || lengths is null)
        {
            yield break;
        }

        var hue = lengths.Colour.Hue;
        var cooler = lengths.Colour.Chroma - face.Colour.Along(hue);
        if (Math.Abs(cooler) >= CoolAgainst)
        {
            yield return cooler > 0
                ? $"Cool face against warm {lengths.Area.Name}."
                : (Sentence)$"Warm face against cool {lengths.Area.Name}.";
        }
    }

    private static bool IsFace(AreaForecast of) =>
        of.Area.Zones is { Count: > 0 } zones && zones.All(z => ZoneFacts.IsHairline(z));
}
