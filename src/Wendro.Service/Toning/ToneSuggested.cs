using Wendro.Colour;
using Wendro.Lift;
using Wendro.Mix;
using Wendro.Units;

namespace Wendro.Toning;

/// <summary>A bowl from the shelf for an area, and how near it comes.</summary>
/// <param name="Bowl">The bowl.</param>
/// <param name="Minutes">How long.</param>
/// <param name="DeltaE">How far it lies from what is wanted, OKLab × 100.</param>
/// <param name="Hex">The colour it makes, #rrggbb.</param>
/// <param name="Words">What is in it, and how near it comes.</param>
public sealed record ToneOffer(ToneBowl Bowl, Minutes Minutes, double DeltaE, string Hex, Sentence Words);

/// <summary>Bowls from the shelf that bring an area nearest to what is wanted.</summary>
public static class ToneSuggested
{
    /// <summary>How many are told beside the nearest.</summary>
    private const int Others = 3;

    /// <summary>
    /// A little longer or shorter is tried with the nearest bowl: so much at most, minutes. Model assumption.
    /// </summary>
    private const int MinutesAside = 5;

    /// <summary>Nearer by less than this a stay is left as it was, OKLab × 100.</summary>
    private const double WorthAMinute = 0.3;

    /// <summary>The nearest, then what else comes near; none where the shelf has no gloss.</summary>
    /// <param name="forecast">The area as it is now.</param>
    /// <param name="shelf">What the studio owns: of its shades only sheer ones are taken, which cost least.</param>
    /// <param name="minutesAside">How much longer or shorter is tried, minutes at most.</param>
    public static IReadOnlyList<ToneOffer> Of(
        AreaForecast forecast,
        IEnumerable<Product> shelf,
        int minutesAside = MinutesAside
    )
    {
        ArgumentNullException.ThrowIfNull(forecast);
        ArgumentNullException.ThrowIfNull(shelf);
        var glosses = shelf
            .OfType<ShadeProduct>()
            .Where(p => p.Base == ShadeBase.AcidGloss)
            // Of two products alike the milder one is offered.
            .OrderBy(p => p.DeveloperVolume.Value)
            .DistinctBy(p => (p.Depth, p.Reflect))
            .Take(TonerSuggestion.MostOnShelf)
            .ToArray();
        if (glosses.Length == 0)
        {
            return [];
        }

        var area = forecast.Area;
        ToneCase Case(double minutes) =>
            new(
                forecast.RawLevel,
                null,
                glosses[0].Depth,
                glosses[0].Reflect,
                forecast.Porosity,
                area.Dryness,
                minutes,
                forecast.Lifted
            );
        return TonerSuggestion
            .Of(
                Case(area.Minutes),
                forecast.WantedColour,
                glosses.Select(g => new TonerShade(g.Depth, g.Reflect)).ToArray(),
                others: Others
            )
            .Select(s => Told(s, glosses, Case, forecast.WantedColour, area.Minutes, minutesAside))
            .ToArray();
    }

    private static ToneOffer Told(
        SuggestedToner of,
        ShadeProduct[] glosses,
        Func<double, ToneCase> hair,
        Oklch wanted,
        double planned,
        int aside
    )
    {
        var products = of
            .Shades.Select(s => glosses.First(g => g.Depth == s.Depth && g.Reflect == s.Reflect))
            .ToArray();
        var bowl = new ToneBowl(
            new(of.Shades.Zip(products, (s, p) => new Shade(p.Name, p.Depth, p.Reflect, s.Parts)).ToArray()),
            ColourBase.Gloss,
            products.MinBy(p => p.DeveloperVolume.Value)!.DeveloperVolume,
            products[0].DeveloperParts
        );
        var stays = Enumerable
            .Range(-aside, 2 * aside + 1)
            .Select(by => Math.Clamp(Math.Round(planned) + by, ToneArea.LeastMinutes, ToneArea.MostMinutes))
            .Distinct()
            .Select(m => (Minutes: m, Toned: Toner.Of(hair(m), of.Shades)))
            .Select(m => (m.Minutes, m.Toned, Off: m.Toned.Colour.DeltaE(wanted)))
            .ToArray();
        var same = stays.MinBy(m => Math.Abs(m.Minutes - planned));
        var best = stays.MinBy(m => (m.Off, Math.Abs(m.Minutes - planned)));
        var taken = same.Off - best.Off >= WorthAMinute ? best : same;
        return new(
            bowl,
            new(taken.Minutes),
            taken.Off,
            taken.Toned.Hex,
            $"{Parts(bowl.Shades)}, {taken.Minutes:0} min: {Oklch.Seen(taken.Off)} ({taken.Off:0.0})"
        );
    }

    /// <summary>Shades in words: "9 pearl 2 : 9 violet 1".</summary>
    /// <param name="mix">The shades.</param>
    public static string Parts(ShadeMix mix)
    {
        ArgumentNullException.ThrowIfNull(mix);
        string Of(Shade s) => $"{s.Depth.Value:0.#} {s.Reflect.ToString().ToLowerInvariant()}";
        return mix.Shades.Count == 1
            ? Of(mix.Shades[0])
            : string.Join(" : ", mix.Shades.Select(s => FormattableString.Invariant($"{Of(s)} {s.Parts:0.##}")));
    }
}
