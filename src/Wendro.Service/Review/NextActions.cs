using Wendro.Blend;
using Wendro.Hair;
using Wendro.Head;
using Wendro.Lift;
using Wendro.Plans;
using Wendro.Section;
using Wendro.Units;

namespace Wendro.Review;

/// <summary>One thing that can be done now.</summary>
/// <param name="What">What.</param>
/// <param name="Words">In a few words.</param>
/// <param name="Why">Why, or why not.</param>
/// <param name="IsAdvised">Whether it is what the readings advise.</param>
/// <param name="IsAllowed">Whether it may be done today.</param>
/// <param name="Panels">The panels it concerns.</param>
/// <param name="Minutes">How long it takes, minutes; null where it takes none.</param>
public sealed record Choice(
    Decision What,
    Sentence Words,
    Sentence Why,
    bool IsAdvised,
    bool IsAllowed,
    IReadOnlyList<PanelKey> Panels,
    double? Minutes
);

/// <summary>What can be done about what came out: tone, correct first, or another day.</summary>
public static class NextActions
{
    /// <summary>
    /// A toner made for a level carries hair that is so much darker, levels: a toner goes on hair at its own depth or
    /// up to one level lighter. Trade, with room for an eye's error.
    /// </summary>
    public const double TonerCarries = 0.5;

    /// <summary>More than this short is not caught up in one more application today, levels. Trade.</summary>
    public const double CaughtUpToday = 1.5;

    /// <summary>The choices; none while nothing is read.</summary>
    /// <param name="planned">The head as planned.</param>
    /// <param name="found">What was read against it.</param>
    /// <param name="stretch">What a wet strand did; null while none was stretched.</param>
    /// <param name="damp">Whether the hair is damp or wet: lightener works diluted on it.</param>
    public static IReadOnlyList<Choice> Of(
        PlannedHead planned,
        Differences found,
        StretchTest? stretch,
        bool damp = false
    )
    {
        ArgumentNullException.ThrowIfNull(planned);
        ArgumentNullException.ThrowIfNull(found);
        if (found.Read.Count == 0)
        {
            return [];
        }

        var shorts = found.Worst.Where(d => d.Levels < -TonerCarries).ToArray();
        var least = found.Read.MinBy(d => d.Levels)!;
        var panels = shorts.SelectMany(s => Lightened.PanelsIn(planned, s.Zone)).Select(p => p.Panel.Key).ToArray();
        var minutes = shorts.Select(s => MinutesMore(planned, s, damp)).ToArray();
        var sound = stretch == StretchTest.SpringsBack;
        var reachable = minutes.All(m => m is not null);
        var caught = shorts.Length > 0 && shorts.All(s => s.Levels >= -CaughtUpToday) && reachable;
        var advised =
            stretch == StretchTest.Breaks ? Decision.AnotherDay
            : shorts.Length == 0 ? Decision.Tone
            : caught && stretch is null or StretchTest.SpringsBack ? Decision.CorrectFirst
            : Decision.AnotherDay;
        advised = shorts.Length > 0 && !caught ? Decision.AnotherDay : advised;
        var choices = new List<Choice>
        {
            new(
                Decision.Tone,
                "Tone as it is",
                stretch == StretchTest.Breaks
                    ? "Hair breaks: only what cares for it, and a toner as mild as there is."
                    : (Sentence)(
                        $"The darkest read is {ZoneFacts.Words(least.Zone)}, {least.CameOut:0.0} where "
                        + $"{least.Planned:0.0} was planned: a toner for the planned level "
                        + $"{(shorts.Length == 0 ? "carries it" : "does little there")}.{Warmer(found)}"
                    ),
                advised == Decision.Tone,
                true,
                [],
                null
            ),
        };
        if (shorts.Length > 0)
        {
            choices.Add(
                new(
                    Decision.CorrectFirst,
                    reachable
                        ? (Sentence)$"Lift {panels.Length} panels again, look from {minutes.Min():0} min on"
                        : $"Lift {panels.Length} panels again",
                    stretch switch
                    {
                        null => "Stretch a wet strand first: only hair that springs back is lifted again today.",
                        StretchTest.StaysLong => "A wet strand stays long when it is stretched: not today.",
                        StretchTest.Breaks => "A wet strand breaks: no more lightening.",
                        _ when !reachable =>
                            $"{Sentence.Capital(Mixture(planned, shorts))} does not reach it in the leaflet's time.",
                        _ => $"{Zones(shorts)}; hair springs back. From as it is now, {Mixture(planned, shorts)}, "
                            + "covered.",
                    },
                    advised == Decision.CorrectFirst,
                    sound && reachable,
                    panels,
                    minutes.Max()
                )
            );
        }

        choices.Add(
            new(
                Decision.AnotherDay,
                "Stop here today",
                stretch == StretchTest.Breaks
                    ? "Breakage stops the work: treat it, and lift no more."
                    : "Lifted on another day, in eight weeks or more, with care in between.",
                advised == Decision.AnotherDay,
                true,
                [],
                null
            )
        );
        return choices;
    }

    /// <summary>Seen so much warmer than its level is, a place is toned by its undertone, levels. Trade.</summary>
    private const double WarmerBy = 0.75;

    /// <summary>Where the undertone seen is that of a darker level: a toner goes by the undertone.</summary>
    private static string Warmer(Differences found) =>
        found
            .Read.Select(d => (Of: d, Level: d.Undertone is { } seen ? Undertone.LevelOf(seen) : null))
            .Where(d => d.Level is { } at && d.Of.CameOut - at >= WarmerBy)
            .OrderBy(d => d.Level)
            .Select(d =>
                FormattableString.Invariant(
                    $" {Sentence.Capital(ZoneFacts.Words(d.Of.Zone))} shows {d.Of.Undertone}: a toner no lighter than "
                ) + FormattableString.Invariant($"{d.Level:0} carries it.")
            )
            .FirstOrDefault(string.Empty);

    private static string Zones(PlaceDifference[] shorts) =>
        Sentence.Capital(string.Join(", ", shorts.Select(s => ZoneFacts.Words(s.Zone))));

    /// <summary>
    /// The mixture that is laid again, covered: the same, no stronger than may be offered on the hair.
    /// </summary>
    internal static Formula Again(PlannedHead planned, Formula first) =>
        Offer.On(planned.Hair).Within(first, Paint.Covering.Film);

    /// <summary>How much milder that is, in words: " with 20 vol"; nothing where it is the same.</summary>
    internal static string Milder(PlannedHead planned, IEnumerable<PlannedPanel> panels) =>
        panels
            .Select(p => Milder(p.Light!.Formula, Again(planned, p.Light.Formula)))
            .FirstOrDefault(words => words.Length > 0, string.Empty);

    private static string Milder(Formula first, Formula again) =>
        (first.Volume == again.Volume, first.LowHeat == again.LowHeat) switch
        {
            (true, true) => string.Empty,
            (true, false) => " without heat",
            (false, true) => FormattableString.Invariant($" with {again.Volume.Value:0.#} vol"),
            (false, false) => FormattableString.Invariant($" with {again.Volume.Value:0.#} vol, without heat"),
        };

    private static string Mixture(PlannedHead planned, PlaceDifference[] shorts) =>
        $"the same mixture{Milder(planned, shorts.SelectMany(s => Lightened.PanelsIn(planned, s.Zone)))}";

    /// <summary>
    /// Minutes from the level it has now to the planned one with the mixture laid again under film; null where the
    /// leaflet's time is too short.
    /// </summary>
    private static double? MinutesMore(PlannedHead planned, PlaceDifference d, bool damp)
    {
        var panels = Lightened.PanelsIn(planned, d.Zone);
        if (panels.Count == 0)
        {
            return null;
        }

        var coat = panels[0].Coats.First(c => c.Formula.Light is not null);
        var state = HairState.Of(planned.Hair.In(d.Zone))[0];
        var first = coat.LiftingOf(planned.Hair, d.Zone, state)!;
        // The piece that is read is seldom one that all of the coat reaches; what reached it then does so again.
        var reached =
            first.ExposureFor(d.Planned - state.Level) is { } exposure && exposure > 0
                ? Math.Min(1, exposure / first.Exposure(coat.Formula.Minutes))
                : 1;
        // It goes on from where it is, as a step does that follows another.
        var again = new Lifting(
            (coat with { Formula = Again(planned, coat.Formula), Damp = damp })
                .LiftingOf(planned.Hair, d.Zone, state)!
                .Case with
            {
                From = Level.Clamp(d.CameOut),
                Covering = Paint.Covering.Film,
                Coverage = reached,
            }
        );
        return
            again.MinutesTo(Level.Clamp(d.Planned)) is { } minutes
            && minutes <= (coat.Formula.LimitMinutes ?? MostMinutes)
            ? minutes
            : null;
    }

    /// <summary>No longer where no leaflet says otherwise, minutes. Trade.</summary>
    private const double MostMinutes = 50;
}
