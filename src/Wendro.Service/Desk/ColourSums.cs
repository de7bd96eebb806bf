using Wendro.Colour;
using Wendro.Lift;
using Wendro.Units;

namespace Wendro.Desk;

/// <summary>Sums of colour.</summary>
public static partial class DeskSums
{
    /// <summary>What comes of a toner.</summary>
    public static DeskResult<ToneAnswer> Of(ToneQuestion q)
    {
        ArgumentNullException.ThrowIfNull(q);
        var problems = WithinAttribute.Outside(q).ToList();
        var undertone = UndertoneOf(q.Undertone, problems);
        IReadOnlyList<TonerShade> shades = q.Shades ?? [];
        if (q.Shades is null)
        {
            if (q.Depth is null)
            {
                problems.Add(new("depth", "The toner's level, or its shades."));
            }

            if (q.Reflect is null)
            {
                problems.Add(new("reflect", "The toner's reflect, or its shades."));
            }

            shades = [new(q.Depth ?? Level.Lightest, q.Reflect ?? Reflect.Natural)];
        }
        else
        {
            problems.AddRange(ShadesOutside(q.Shades));
        }

        if (problems.Count > 0)
        {
            return problems;
        }

        var hair = new ToneCase(
            q.Level,
            undertone,
            shades[0].Depth,
            shades[0].Reflect,
            q.Porosity,
            q.Dryness,
            q.Minutes
        );
        var toned = Toner.Of(hair, shades);
        var parts = shades.Sum(s => s.Parts);
        var dose = shades.Sum(s => Toner.Dose(s.Depth) * Toner.OnHair(q.Level, s.Depth) * s.Parts / parts);
        return new ToneAnswer(
            toned.Neutralised,
            toned.Remaining,
            toned.Hex,
            toned.Colour.Lightness,
            toned.Colour.Chroma,
            toned.Colour.Hue,
            toned.Level,
            toned.Before,
            (
                toned.Neutralised >= 0
                    ? $"It takes {toned.Neutralised:P0} of the undertone away; what is left is {toned.Remaining}. "
                    : $"It adds {-toned.Neutralised:P0} to the undertone; it is {toned.Remaining} then. "
            )
                + $"R = R₀ · 10^(−dose · uptake · a): dose {dose:0.00}, uptake "
                + $"{Toner.Uptake(q.Minutes, q.Porosity, q.Dryness):0.00}."
        );
    }

    /// <summary>Which shades in which parts bring hair nearest to a wanted colour.</summary>
    public static DeskResult<SuggestAnswer> Of(SuggestQuestion q)
    {
        ArgumentNullException.ThrowIfNull(q);
        var problems = WithinAttribute.Outside(q).ToList();
        var undertone = UndertoneOf(q.Undertone, problems);
        problems.AddRange(WithinAttribute.Outside(q.Wanted).Select(p => p with { Field = $"wanted.{p.Field}" }));
        if (q.Shades.Count is 0 or > TonerSuggestion.MostOnShelf)
        {
            problems.Add(new("shades", $"Between 1 and {TonerSuggestion.MostOnShelf}."));
        }

        problems.AddRange(
            q.Shades.SelectMany(
                (s, i) => WithinAttribute.Outside(s).Select(p => p with { Field = $"shades[{i}].{p.Field}" })
            )
        );
        if (problems.Count > 0)
        {
            return problems;
        }

        var hair = new ToneCase(q.Level, undertone, Level.Lightest, Reflect.Natural, q.Porosity, q.Dryness, q.Minutes);
        var found = TonerSuggestion.Of(
            hair,
            new(q.Wanted.Lightness, q.Wanted.Chroma, q.Wanted.Hue),
            q.Shades.Select(s => new TonerShade(s.Depth, s.Reflect)).ToArray(),
            q.Most
        );
        var best = found[0];
        return new SuggestAnswer(
            best.Shades,
            best.DeltaE,
            best.Toned.Hex,
            found.Skip(1).Select(f => new SuggestedBowl(f.Shades, f.DeltaE, f.Toned.Hex)).ToArray(),
            $"Nearest of every set of up to {q.Most} shades in whole parts, {TonerSuggestion.MostParts} in all: "
                + $"{best.DeltaE:0.0} away, "
                + $"{Oklch.Seen(best.DeltaE)}."
        );
    }

    private static double? UndertoneOf(string? word, List<Problem> problems)
    {
        var undertone = word is null ? null : Undertone.LevelOf(word);
        if (word is not null && undertone is null)
        {
            problems.Add(new("undertone", $"One of {string.Join(", ", Undertone.All)}."));
        }

        return undertone;
    }

    private static IEnumerable<Problem> ShadesOutside(IReadOnlyList<TonerShade> shades)
    {
        if (shades.Count is 0 or > MostInBowl)
        {
            yield return new("shades", $"Between 1 and {MostInBowl}.");
        }

        for (var i = 0; i < shades.Count; i++)
        {
            if (!(shades[i].Depth >= Level.Darkest && shades[i].Depth <= Level.Lightest))
            {
                yield return new($"shades[{i}].depth", $"Between {Level.Darkest} and {Level.Lightest}.");
            }

            if (!(shades[i].Parts > 0 && shades[i].Parts <= MostPartsTold))
            {
                yield return new($"shades[{i}].parts", $"Above 0, at most {MostPartsTold}.");
            }

            if (!Enum.IsDefined(shades[i].Reflect))
            {
                yield return new($"shades[{i}].reflect", "There is no such reflect.");
            }
        }
    }

    /// <summary>More shades in one bowl nobody mixes; more parts nobody weighs.</summary>
    private const int MostInBowl = 8,
        MostPartsTold = 1000;
}
