using Wendro.Colour;
using Wendro.Lift;
using Wendro.Mix;
using Wendro.Timing;
using Wendro.Units;

namespace Wendro.Desk;

/// <summary>The sums about bowls and rinsing.</summary>
public static partial class DeskSums
{
    private const int MostWindows = 20_000;

    /// <summary>A developer in between two at hand.</summary>
    public static DeskResult<DeveloperAnswer> Of(DeveloperQuestion q)
    {
        ArgumentNullException.ThrowIfNull(q);
        var problems = WithinAttribute.Outside(q).ToList();
        Above(problems, "grams", q.Grams, "g");
        for (var i = 0; i < q.Available.Count; i++)
        {
            if (!Volume.IsValid(q.Available[i]))
            {
                problems.Add(Volume.Bounds.Of($"available[{i}]"));
            }
        }

        if (problems.Count > 0)
        {
            return problems;
        }

        if (
            Developer.Blend(new Volume(q.WantedVolume), q.Grams, q.Available.Select(v => new Volume(v)).ToArray())
            is not { } parts
        )
        {
            problems.Add(
                new(
                    "wantedVolume",
                    q.Available.Count == 0
                        ? "Name the developers at hand."
                        : $"Outside of what is at hand, {q.Available.Min():0.#} to {q.Available.Max():0.#} vol: "
                            + $"no blend of these makes it."
                )
            );
            return problems;
        }

        var sum = Sentence.Join(
            " + ",
            parts.Select(p => (Sentence)$"{Quantity.Grams(p.Grams, "0.##")} · {p.Volume.Value:0.#}")
        );
        return new DeveloperAnswer(
            parts.Select(p => new DeveloperPour(p.Volume.Value, p.Grams)).ToArray(),
            Developer.VolumeOf(parts),
            parts.Count == 1
                ? "It is at hand as it is."
                : (Sentence)
                    $"Peroxide adds up by mass: {sum} = {Quantity.Grams(q.Grams, "0.##")} · {q.WantedVolume:0.#}."
        );
    }

    /// <summary>Lightener and developer for so many grams.</summary>
    public static DeskResult<BatchAnswer> Of(BatchQuestion q)
    {
        ArgumentNullException.ThrowIfNull(q);
        var problems = new List<Problem>();
        Above(problems, "grams", q.Grams, "g");
        Parts(problems, q.LightenerParts, q.DeveloperParts);
        if (problems.Count > 0)
        {
            return problems;
        }

        var bowl = new Ratio(q.LightenerParts, q.DeveloperParts).Of(q.Grams);
        return new BatchAnswer(
            bowl.LightenerGrams,
            bowl.DeveloperGrams,
            $"{Quantity.Grams(q.Grams, "0.##")} in {q.LightenerParts + q.DeveloperParts:0.##} parts, "
                + $"{Quantity.Grams(q.Grams / (q.LightenerParts + q.DeveloperParts), "0.##")} each. Mixed: "
                + $"{Mixing.Words(q.DeveloperParts / q.LightenerParts)}."
        );
    }

    /// <summary>
    /// What a scoop of developer holds, g: developers weigh about a gram a millilitre. Model assumption: a usual
    /// scoop.
    /// </summary>
    public const double DeveloperScoopGrams = 30;

    /// <summary>Scoops as grams and back; by volume turned into by weight.</summary>
    public static DeskResult<ScoopsAnswer> Of(ScoopsQuestion q)
    {
        ArgumentNullException.ThrowIfNull(q);
        var problems = new List<Problem>();
        Above(problems, "gramsPerScoop", q.GramsPerScoop, "g");
        Above(problems, "scoops", q.Scoops ?? 1, "scoops");
        Above(problems, "grams", q.Grams ?? 1, "g");
        Above(problems, "developerParts", q.DeveloperParts ?? 1, "parts");
        if (q.Scoops is null == q.Grams is null)
        {
            problems.Add(new("scoops", "Either scoops or grams."));
        }

        if (problems.Count > 0)
        {
            return problems;
        }

        var scoops = q.Scoops ?? q.Grams!.Value / q.GramsPerScoop;
        var grams = scoops * q.GramsPerScoop;
        var developer = q.DeveloperParts * scoops * DeveloperScoopGrams;
        Sentence byVolume = developer is { } d
            ? (Sentence)
                $" One to {q.DeveloperParts:0.##} by volume is 1 : {d / grams:0.##} by weight: fluffy powder weighs "
                + $"less than developer."
            : string.Empty;
        return new ScoopsAnswer(
            scoops,
            grams,
            developer,
            developer / grams,
            $"{scoops:0.##} level scoops of {Quantity.Grams(q.GramsPerScoop, "0.##")} each.{byVolume}"
        );
    }

    /// <summary>What restores the ratio after too much was poured.</summary>
    public static DeskResult<RescueAnswer> Of(RescueQuestion q)
    {
        ArgumentNullException.ThrowIfNull(q);
        var problems = new List<Problem>();
        Parts(problems, q.LightenerParts, q.DeveloperParts);
        Above(problems, "lightenerGrams", q.LightenerGrams, "g");
        Above(problems, "developerGrams", q.DeveloperGrams, "g");
        Above(problems, "bowlGrams", q.BowlGrams ?? 1, "g");
        if (problems.Count > 0)
        {
            return problems;
        }

        var rescue = new Ratio(q.LightenerParts, q.DeveloperParts).Restore(
            new Bowl(q.LightenerGrams, q.DeveloperGrams),
            q.BowlGrams
        );
        return new RescueAnswer(
            rescue.AddLightenerGrams,
            rescue.AddDeveloperGrams,
            rescue.TotalGrams,
            rescue.Fits,
            rescue.RatioNow,
            $"As it is 1 : {rescue.RatioNow:0.00}; wanted 1 : {q.DeveloperParts / q.LightenerParts:0.00}. "
                + $"Nothing is taken out, so the part that is short is filled up."
        );
    }

    /// <summary>The fewest rinse rinses that meet every window.</summary>
    public static DeskResult<RinseAnswer> Of(RinseQuestion q)
    {
        ArgumentNullException.ThrowIfNull(q);
        var problems = new List<Problem>();
        if (q.Windows.Count > MostWindows)
        {
            problems.Add(new("windows", $"At most {MostWindows} at once."));
            return problems;
        }

        for (var i = 0; i < q.Windows.Count; i++)
        {
            var window = q.Windows[i];
            Minute(problems, $"windows[{i}].from", window.From);
            Minute(problems, $"windows[{i}].to", window.To);
            if (window.To < window.From)
            {
                problems.Add(new($"windows[{i}].to", "A window ends no sooner than it begins."));
            }
        }

        if (problems.Count > 0)
        {
            return problems;
        }

        var rinses = RinseRounds.Fewest(q.Windows);
        return new RinseAnswer(
            rinses,
            $"{q.Windows.Count} windows by their ends: each wave waits for the first end that none has met yet. "
                + $"No fewer do."
        );
    }

    private static void Parts(List<Problem> problems, double lightener, double developer)
    {
        Above(problems, "lightenerParts", lightener, "parts");
        Above(problems, "developerParts", developer, "parts");
    }

    private static void Above(List<Problem> problems, string field, double value, string unit)
    {
        if (!(value > 0) || !double.IsFinite(value))
        {
            problems.Add(new(field, $"Above 0 {unit}."));
        }
    }

    private static void Minute(List<Problem> problems, string field, double value)
    {
        if (!(value >= 0) || !double.IsFinite(value))
        {
            problems.Add(new(field, "A minute from 0 up."));
        }
    }
}
