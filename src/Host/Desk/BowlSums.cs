using Wendro.Core.Hair;
using Wendro.Core.Lift;
using Wendro.Core.Mix;
using Wendro.Core.Timing;
using Wendro.Core.Tone;
using Wendro.Core.Units;
using Wendro.Host.Frame;

namespace Wendro.Host.Desk;

/// <summary>How much of which developers makes one in between?</summary>
/// <param name="WantedVolume">Strength wanted, 5..40 vol.</param>
/// <param name="Grams">How much of it, g, above 0.</param>
/// <param name="Available">Strengths at hand, 5..40 vol.</param>
internal sealed record DeveloperQuestion(double WantedVolume, double Grams, IReadOnlyList<double> Available);

/// <summary>So much of one developer.</summary>
internal sealed record DeveloperPartView(double Volume, double Grams);

/// <summary>The parts, and the strength they make.</summary>
internal sealed record DeveloperAnswer(IReadOnlyList<DeveloperPartView> Parts, double Volume);

/// <summary>How much lightener and developer make so many grams?</summary>
internal sealed record BatchQuestion(double Grams, double LightenerParts, double DeveloperParts);

/// <summary>Too much of one part was poured: what restores the ratio?</summary>
/// <param name="LightenerParts">Parts of lightener, above 0.</param>
/// <param name="DeveloperParts">Parts of developer, above 0.</param>
/// <param name="LightenerGrams">Lightener in the bowl, g, above 0.</param>
/// <param name="DeveloperGrams">Developer in the bowl, g, above 0.</param>
/// <param name="BowlGrams">What the bowl holds in all, g; null where nobody minds.</param>
internal sealed record RescueQuestion(
    double LightenerParts, double DeveloperParts, double LightenerGrams, double DeveloperGrams, double? BowlGrams = null);

/// <summary>What comes of a toner?</summary>
/// <param name="Level">The hair's level, 1..10.</param>
/// <param name="Depth">The toner's, 1..10.</param>
/// <param name="Reflect">Its reflect.</param>
/// <param name="Porosity">How readily the hair takes it up.</param>
/// <param name="Dryness">How wet the hair is.</param>
/// <param name="Minutes">How long it stays, 0..600.</param>
/// <param name="Undertone">The undertone the hair shows, in a word; that of its level where it is left out.</param>
internal sealed record ToneQuestion(
    double Level, double Depth, Reflect Reflect, Porosity Porosity, Dryness Dryness, double Minutes, string? Undertone = null);

/// <summary>Share of the undertone's chroma taken away, what is left in a word, the colour.</summary>
internal sealed record ToneAnswer(double Neutralised, string Remaining, string Hex, double Lightness, double Chroma, double Hue);

/// <summary>When may what be rinsed?</summary>
internal sealed record RinseQuestion(IReadOnlyList<RinseWindow> Windows);

/// <summary>The fewest moments that meet every window.</summary>
internal sealed record RinseAnswer(IReadOnlyList<double> Waves);

/// <summary>The desk's sums about bowls, toners and rinsing.</summary>
internal static class BowlSums
{
    private const int MostWindows = 20_000;

    public static void MapDeskMix(this IEndpointRouteBuilder app)
    {
        var desk = app.MapGroup("/api/desk").WithTags("Desk");

        Sum<DeveloperQuestion, DeveloperAnswer>(desk, "/developer", "A developer in between two at hand", q =>
        {
            var problems = new List<Problem>();
            Strength(problems, "wantedVolume", q.WantedVolume);
            Above(problems, "grams", q.Grams, "g");
            for (var i = 0; i < q.Available.Count; i++)
            {
                Strength(problems, $"available[{i}]", q.Available[i]);
            }

            Refuse(problems);
            var parts = Developer.Blend(new Volume(q.WantedVolume), q.Grams, q.Available.Select(v => new Volume(v)).ToArray());
            if (parts is null)
            {
                throw new BadInputException([new("wantedVolume", q.Available.Count == 0
                    ? "Name the developers at hand."
                    : $"Outside of what is at hand, {q.Available.Min():0.#} to {q.Available.Max():0.#} vol: no blend of these makes it.")]);
            }

            return new(parts.Select(p => new DeveloperPartView(p.Volume.Value, p.Grams)).ToArray(), Developer.VolumeOf(parts));
        });

        Sum<BatchQuestion, Bowl>(desk, "/batch", "Lightener and developer for so many grams", q =>
        {
            var problems = new List<Problem>();
            Above(problems, "grams", q.Grams, "g");
            Above(problems, "lightenerParts", q.LightenerParts, "parts");
            Above(problems, "developerParts", q.DeveloperParts, "parts");
            Refuse(problems);
            return new Ratio(q.LightenerParts, q.DeveloperParts).Of(q.Grams);
        });

        Sum<RescueQuestion, Rescue>(desk, "/rescue", "What restores the ratio after too much was poured", q =>
        {
            var problems = new List<Problem>();
            Above(problems, "lightenerParts", q.LightenerParts, "parts");
            Above(problems, "developerParts", q.DeveloperParts, "parts");
            Above(problems, "lightenerGrams", q.LightenerGrams, "g");
            Above(problems, "developerGrams", q.DeveloperGrams, "g");
            Above(problems, "bowlGrams", q.BowlGrams ?? 1, "g");
            Refuse(problems);
            return new Ratio(q.LightenerParts, q.DeveloperParts).Restore(new Bowl(q.LightenerGrams, q.DeveloperGrams), q.BowlGrams);
        });

        Sum<ToneQuestion, ToneAnswer>(desk, "/tone", "What comes of a toner", q =>
        {
            var problems = new List<Problem>();
            Problem.Range(problems, "level", q.Level, Level.Darkest, Level.Lightest, string.Empty);
            Problem.Range(problems, "depth", q.Depth, Level.Darkest, Level.Lightest, string.Empty);
            Problem.Range(problems, "minutes", q.Minutes, 0, 600, "min");
            var undertone = q.Undertone is null ? null : Undertone.LevelOf(q.Undertone);
            if (q.Undertone is not null && undertone is null)
            {
                problems.Add(new("undertone", $"One of {string.Join(", ", Undertone.All)}."));
            }

            Refuse(problems);
            var toned = Toner.Of(new ToneCase(q.Level, undertone, q.Depth, q.Reflect, q.Porosity, q.Dryness, q.Minutes));
            return new(toned.Neutralised, toned.Remaining, toned.Hex, toned.Colour.Lightness, toned.Colour.Chroma, toned.Colour.Hue);
        });

        Sum<RinseQuestion, RinseAnswer>(desk, "/rinse", "The fewest rinse waves that meet every window", q =>
        {
            var problems = new List<Problem>();
            if (q.Windows.Count > MostWindows)
            {
                problems.Add(new("windows", $"At most {MostWindows} at once."));
                Refuse(problems);
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

            Refuse(problems);
            return new(RinseWaves.Fewest(q.Windows));
        });
    }

    private static void Sum<TQuestion, TAnswer>(RouteGroupBuilder desk, string path, string summary, Func<TQuestion, TAnswer> answer)
        where TQuestion : notnull => desk.MapPost(path, async (HttpRequest request) => Results.Ok(answer(await Body.ReadAsync<TQuestion>(request))))
        .Accepts<TQuestion>("application/json").Produces<TAnswer>().ProducesValidationProblem()
        .WithName($"PostDesk{char.ToUpperInvariant(path[1])}{path[2..]}").WithSummary(summary);

    private static void Strength(List<Problem> problems, string field, double value) =>
        Problem.Range(problems, field, value, Volume.Weakest, Volume.Strongest, "vol");

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

    private static void Refuse(List<Problem> problems)
    {
        if (problems.Count > 0)
        {
            throw new BadInputException(problems);
        }
    }
}
