using Wendro.Paint;
using Wendro.Units;

namespace Wendro.Lift;

/// <summary>A change that would reach a level not reached now.</summary>
/// <param name="Kind">covering, volume, lightener, coat, heat or visits.</param>
/// <param name="Words">What to change, in plain words.</param>
/// <param name="Minutes">Minutes it would take; null for several visits.</param>
/// <param name="Change">The change as figures; for several visits that of the first.</param>
public sealed record Remedy(string Kind, string Words, double? Minutes, LiftChange? Change = null);

/// <summary>What a remedy changes; null stays as it is.</summary>
/// <param name="Lightener">Another lightener.</param>
/// <param name="Volume">Another developer, volume.</param>
/// <param name="Covering">Another covering.</param>
/// <param name="LowHeat">Heat added.</param>
/// <param name="Minutes">So many minutes.</param>
public sealed record LiftChange(
    Lightener? Lightener = null,
    double? Volume = null,
    Covering? Covering = null,
    bool? LowHeat = null,
    double? Minutes = null
);

/// <summary>How long a level takes, or why it is never reached and what would help.</summary>
/// <param name="Reachable">Whether it is reached at all.</param>
/// <param name="Minutes">When; null if never.</param>
/// <param name="WithinLimit">Whether that lies within the leaflet's usual limit.</param>
/// <param name="Because">The reason, in plain words with figures.</param>
/// <param name="Remedies">What would reach it, mildest first; at least one when it is not reached.</param>
public sealed record TimeToLevel(
    bool Reachable,
    double? Minutes,
    bool WithinLimit,
    string Because,
    IReadOnlyList<Remedy> Remedies
);

/// <summary>The backwards question: how long to a level, and what to change when it is never reached.</summary>
public static class Remedies
{
    /// <summary>Answers for one case and target.</summary>
    public static TimeToLevel TimeTo(LiftCase of, Level target)
    {
        ArgumentNullException.ThrowIfNull(of);
        var lifting = new Lifting(of);
        var minutes = lifting.MinutesTo(target);
        if (minutes is { } found)
        {
            var limit = of.FiguresOf().LimitMinutes;
            var within = found <= limit;
            var because =
                found == 0 ? $"Level {target} is already there."
                : within ? $"Level {target} after {found:0} min."
                : $"Level {target} takes {found:0} min; "
                    + $"{(of.Figures is null ? "leaflets usually end" : "its leaflet ends")} at {limit:0} min.";
            return new(true, found, within, because, within ? [] : Find(of, target));
        }

        var most = of.From.Value + lifting.MostGain;
        var why = lifting.DriesBefore(target)
            ? $"It dries first: the film stops near level {most:0.0}."
            : $"Out of reach: {of.Volume} lifts {lifting.Cap:0.0} levels at most, to "
                + $"{of.From.Value + lifting.Cap:0.0}.";
        return new(false, null, false, why, Find(of, target));
    }

    private static readonly double[] Strengths = [10, 20, 30, 40];

    private static List<Remedy> Find(LiftCase of, Level target)
    {
        var offer = Offer.On(of);
        var found = new List<(Remedy Remedy, double Harshness)>();
        void Try(string kind, string words, LiftCase changed)
        {
            if (
                offer.Allows(Way.Of(changed))
                && new Lifting(changed).MinutesTo(target) is { } m
                && m <= changed.FiguresOf().LimitMinutes
            )
            {
                found.Add(
                    (
                        new Remedy(kind, $"{words}: level {target} after {m:0} min.", m, Between(of, changed, m)),
                        Way.Of(changed).Harshness
                    )
                );
            }
        }

        if (of.Coverage < 1)
        {
            Try("coat", "Lay the full coat", of with { Coverage = 1 });
        }

        foreach (var covering in Enum.GetValues<Covering>().Where(c => c > of.Covering))
        {
            Try("covering", $"Cover with {Words(covering)}", of with { Covering = covering });
        }

        foreach (var volume in Strengths.Where(v => v > of.Volume.Value))
        {
            Try("volume", $"Developer {volume:0} vol", of with { Volume = new Volume(volume) });
        }

        foreach (var lightener in Enum.GetValues<Lightener>().Where(l => l != of.Lightener))
        {
            Try("lightener", $"Use {Words(lightener)}", of with { Lightener = lightener, Figures = null });
        }

        if (!of.LowHeat)
        {
            Try("heat", "Low heat, if the leaflet allows it", of with { LowHeat = true });
        }

        if (found.Count == 0)
        {
            foreach (var other in Others(of))
            {
                Try(
                    "covering",
                    $"Mix {Words(other.Lightener)} with {other.Volume}, {Words(other.Covering)}, all together",
                    other
                );
            }
        }

        return found.Count > 0 ? [.. found.OrderBy(f => f.Harshness).Select(f => f.Remedy)] : [OverVisits(of, offer)];
    }

    /// <summary>Everything of it changed at once.</summary>
    private static IEnumerable<LiftCase> Others(LiftCase of) =>
        from lightener in Enum.GetValues<Lightener>()
        from covering in Enum.GetValues<Covering>()
        from volume in Strengths
        select of with
        {
            Lightener = lightener,
            Figures = lightener == of.Lightener ? of.Figures : null,
            Covering = covering,
            Volume = new Volume(volume),
            Coverage = 1,
        };

    private static Remedy OverVisits(LiftCase of, Offer offer)
    {
        var best = Others(of)
            .Where(o => offer.Allows(Way.Of(o)))
            .Select(o => new Lifting(o))
            .MaxBy(o => o.Gain(o.Case.FiguresOf().LimitMinutes))!;
        return new Remedy(
            "visits",
            $"Go lighter over several visits, weeks apart: {Words(best.Case.Lightener)}, {best.Case.Volume}, "
                + $"{Words(best.Case.Covering)} today reaches about "
                + $"{of.From.Value + best.Gain(best.Case.FiguresOf().LimitMinutes):0.0}.",
            null,
            Between(of, best.Case, best.Case.FiguresOf().LimitMinutes)
        );
    }

    private static LiftChange Between(LiftCase of, LiftCase changed, double minutes) =>
        new(
            changed.Lightener == of.Lightener ? null : changed.Lightener,
            changed.Volume == of.Volume ? null : changed.Volume.Value,
            changed.Covering == of.Covering ? null : changed.Covering,
            changed.LowHeat == of.LowHeat ? null : changed.LowHeat,
            minutes
        );

    /// <summary>A covering in plain words.</summary>
    public static string Words(Covering covering) =>
        covering switch
        {
            Covering.Open => "open air",
            Covering.Mesh => "mesh",
            Covering.Film => "film",
            Covering.Foil => "foil",
        };

    /// <summary>A lightener in plain words.</summary>
    public static string Words(Lightener lightener) =>
        lightener switch
        {
            Lightener.Clay => "clay",
            Lightener.Powder => "powder",
            Lightener.Cream => "cream",
            Lightener.Half => "half clay, half powder",
        };
}
