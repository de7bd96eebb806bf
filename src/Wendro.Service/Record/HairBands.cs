using Wendro.Blend;
using Wendro.Colour;
using Wendro.Fall;
using Wendro.Hair;
using Wendro.Head;
using Wendro.Plans;
using Wendro.Units;

namespace Wendro.Record;

/// <summary>Strands as they came out, told in bands from the scalp to the ends.</summary>
internal static class HairBands
{
    /// <summary>How finely strands are told.</summary>
    /// <param name="Level">Within a band levels differ by no more, levels.</param>
    /// <param name="Share">Within a band the share of strands that were reached differs by no more, 0..1.</param>
    /// <param name="Few">A smaller share of strands than this is not told, 0..1.</param>
    /// <param name="Most">Most bands.</param>
    public readonly record struct Grain(double Level, double Share, double Few, int Most);

    /// <summary>A piece, and a whole head, whose few light strands are still old light. Model assumption.</summary>
    public static readonly Grain OfAPiece = new(0.25, 0.15, 0.08, Piece.MostBands),
        OfAHead = new(0.75, 0.25, 0.005, 6);

    /// <summary>Steps in which a piece is read along its hair, cm.</summary>
    private const double StepCm = 0.5;

    /// <summary>Lifted so far, hair takes up more, levels. Model assumption.</summary>
    private const double PorousFrom = 3;

    private readonly record struct Sample(BandState State, double Level, double Share, Porosity? Porosity);

    /// <summary>The bands.</summary>
    /// <param name="head">The head.</param>
    /// <param name="left">Its strands, unmixed.</param>
    /// <param name="strands">Which are told.</param>
    /// <param name="between">Bands of the hair round them.</param>
    /// <param name="grain">How finely.</param>
    public static IReadOnlyList<Band> Of(
        PlannedHead head,
        StrandSamples left,
        int[] strands,
        IReadOnlyList<Band> between,
        Grain grain
    )
    {
        var lengths = head.Looks.OnHead.Lengths;
        var longest = strands.Length == 0 ? 0 : strands.Max(i => lengths[i]);
        var steps = Math.Max(1, (int)Math.Ceiling(longest / StepCm));
        var samples = Enumerable
            .Range(0, steps)
            .Select(n => At(head, left, strands, between, (n + 0.5) * StepCm, grain.Few))
            .TakeWhile(s => s is not null)
            .Select(s => s!.Value)
            .ToArray();
        return Banded(samples, grain, Math.Min(head.Hair.Cut.LongestCm, samples.Length * StepCm));
    }

    /// <summary>What most tells of some strands at a distance from the scalp; null where none is so long.</summary>
    private static Sample? At(
        PlannedHead head,
        StrandSamples left,
        int[] strands,
        IReadOnlyList<Band> between,
        double s,
        double few
    )
    {
        var told = StrandHistory.At(between, s) is { } n ? between[n] : null;
        var (all, light, dark) = (0, (Count: 0, Sum: 0.0), (Count: 0, Sum: 0.0));
        var was = 0.0;
        foreach (var i in strands)
        {
            var length = head.Looks.OnHead.Lengths[i];
            if (length < s)
            {
                continue;
            }

            var place = (int)MathF.Round(Places.NumberOf((float)(s / length)) * (Places.Count - 1));
            var at = i * Places.Count + Math.Clamp(place, 0, Places.Count - 1);
            var level = Level.FromByte(left.Levels[at]);
            var usual = told?.Level.Value ?? head.Hair.In((Zone)head.Map.Zone[i]).NaturalLevel.Value;
            all++;
            was += usual;
            if (level >= usual + ResultingHair.Counts)
            {
                light = (light.Count + 1, light.Sum + level);
            }
            else if (level <= usual - ResultingHair.Counts || new Tint(left.Tints[at]).Meaning.Reflect is not null)
            {
                dark = (dark.Count + 1, dark.Sum + level);
            }
        }

        if (all == 0)
        {
            return null;
        }

        var usually = was / all;
        return light.Count >= few * all ? Worked(BandState.Lightened, light)
            : dark.Count >= few * all ? Worked(BandState.Coloured, dark)
            : told is null ? new(BandState.Natural, usually, 1, null)
            : new(told.State, told.Level, told.Share, told.Porosity);

        Sample Worked(BandState state, (int Count, double Sum) of)
        {
            var level = of.Sum / of.Count;
            Porosity? porosity =
                state == BandState.Lightened && level - usually >= PorousFrom ? Porosity.High : told?.Porosity;
            return new(state, level, (double)of.Count / all, porosity);
        }
    }

    /// <summary>Samples that are alike, joined to bands; as many as may be told: the likest neighbours first.</summary>
    private static IReadOnlyList<Band> Banded(IReadOnlyList<Sample> samples, Grain grain, double longest)
    {
        var bands = new List<(Sample Of, int Steps)>();
        foreach (var sample in samples)
        {
            if (bands.Count > 0 && IsAlike(bands[^1].Of, sample))
            {
                bands[^1] = (Mean(bands[^1], (sample, 1)), bands[^1].Steps + 1);
            }
            else
            {
                bands.Add((sample, 1));
            }
        }

        while (bands.Count > grain.Most)
        {
            var n = Enumerable.Range(1, bands.Count - 1).MinBy(n => Apart(bands[n - 1].Of, bands[n].Of));
            bands[n - 1] = (Mean(bands[n - 1], bands[n]), bands[n - 1].Steps + bands[n].Steps);
            bands.RemoveAt(n);
        }

        var (told, at) = (new List<Band>(), 0);
        foreach (var (of, steps) in bands)
        {
            var to = Math.Min(longest, (at + steps) * StepCm);
            told.Add(
                new(
                    Math.Round(at * StepCm, 1),
                    Math.Round(to, 1),
                    of.State,
                    Level.Clamp(Math.Round(of.Level, 1)),
                    Math.Clamp(Math.Round(of.Share, 2), 0.01, 1),
                    of.Porosity
                )
            );
            at += steps;
        }

        return StrandHistory.Cut(told, longest);

        bool IsAlike(Sample a, Sample b) =>
            a.State == b.State
            && Math.Abs(a.Level - b.Level) <= grain.Level
            && Math.Abs(a.Share - b.Share) <= grain.Share;

        static double Apart(Sample a, Sample b) =>
            (a.State == b.State ? 0 : 10) + Math.Abs(a.Level - b.Level) + 2 * Math.Abs(a.Share - b.Share);

        static Sample Mean((Sample Of, int Steps) a, (Sample Of, int Steps) b)
        {
            var whole = a.Steps + b.Steps;
            var longer = a.Steps >= b.Steps ? a.Of : b.Of;
            return longer with
            {
                Level = (a.Of.Level * a.Steps + b.Of.Level * b.Steps) / whole,
                Share = (a.Of.Share * a.Steps + b.Of.Share * b.Steps) / whole,
            };
        }
    }
}
