using System.Text.Json.Serialization;
using Wendro.Blend;
using Wendro.Care;
using Wendro.Hair;
using Wendro.Lift;
using Wendro.Paint;
using Wendro.Units;

namespace Wendro.Consult;

/// <summary>Something the verdict rests on, with its figure.</summary>
/// <param name="What">What.</param>
/// <param name="Value">Its value, as shown.</param>
/// <param name="Kind">read, trade or model.</param>
public sealed record VerdictReason(string What, string Value, string Kind);

/// <summary>Whether what she wants can be done, and how.</summary>
/// <param name="Today">Whether it can be reached today.</param>
/// <param name="Title">The verdict in a line.</param>
/// <param name="Text">The reason, with figures.</param>
/// <param name="Visits">What every visit reaches; none while a stop stands or the goal is out of reach.</param>
/// <param name="MinutesNeeded">Chair time of a visit, minutes.</param>
/// <param name="Advised">The technique advised, and why.</param>
/// <param name="RuledOut">Techniques ruled out, each with why.</param>
/// <param name="Grounds">Inputs, formula and assumptions, to be checked by hand.</param>
/// <param name="WordsForTheClient">Plain words for the client.</param>
public sealed record Verdict(
    bool Today,
    string Title,
    string Text,
    IReadOnlyList<VisitAhead> Visits,
    double MinutesNeeded,
    Advice Advised,
    IReadOnlyList<Advice> RuledOut,
    IReadOnlyList<VerdictReason> Grounds,
    [property: JsonPropertyName("wordsForHer")] string WordsForTheClient
)
{
    /// <summary>Most visits that are promised. Model assumption.</summary>
    public const int MostVisits = 5;

    /// <summary>Hair rests at least this long between lightening visits, weeks. Trade.</summary>
    public const double LeastWeeks = 6;

    /// <summary>Half of what she will not tell from the wished level: ±0.3. Trade.</summary>
    public const double Tolerance = 0.3;

    /// <summary>
    /// Chair time beside painting and processing: consultation, rinse, tone, dry, minutes. Model assumption.
    /// </summary>
    public const double AroundMinutes = 60;

    /// <summary>Judges a goal on a head of hair.</summary>
    /// <param name="hair">Her hair, the strand test's figures in it.</param>
    /// <param name="goal">What she wants.</param>
    /// <param name="consultation">What was answered.</param>
    /// <param name="paintingMinutes">Minutes of painting: the plan's, or what a full head usually takes.</param>
    /// <param name="now">The time now.</param>
    public static Verdict Of(
        HairProfile hair,
        Goal goal,
        Consultation consultation,
        double paintingMinutes,
        DateTimeOffset now
    )
    {
        ArgumentNullException.ThrowIfNull(hair);
        ArgumentNullException.ThrowIfNull(goal);
        ArgumentNullException.ThrowIfNull(consultation);
        var stops = Safety.Stops(consultation, hair, now);
        var ends = VisitsAhead.Ends(hair);
        var compromised = VisitsAhead.IsCompromised(hair, ends);
        var target = Units.Level.Clamp(goal.EndsLevel);
        var visits = VisitsAhead.To(hair, target, consultation.WeeksBetween);
        var reached = visits.Count > 0 && visits[^1].Level.Level >= target.Value - Tolerance;
        var needed = paintingMinutes + Longest(visits) + AroundMinutes;
        var (advised, ruledOut) = Advice.For(hair, goal, ends, visits, consultation, needed);
        var grounds = VerdictWords.GroundsOf(
            hair,
            ends,
            target,
            visits,
            compromised,
            paintingMinutes,
            needed,
            consultation
        );
        if (stops.Count > 0)
        {
            return new(
                false,
                "Not today.",
                $"{stops[0].Title}: {stops[0].Answer}. {stops[0].Words}",
                [],
                needed,
                advised,
                ruledOut,
                grounds,
                VerdictWords.ForHerStopped(stops[0])
            );
        }

        var late = needed > consultation.MinutesToday;
        var (title, text) = VerdictWords.Said(hair, ends, target, visits, reached, needed, late, consultation);
        var today = reached && visits.Count == 1 && !late;
        return new(
            today,
            title,
            text,
            visits,
            needed,
            advised,
            ruledOut,
            grounds,
            consultation.Words ?? VerdictWords.ForHer(hair, target, visits, reached, consultation)
        );
    }

    private static double Longest(IReadOnlyList<VisitAhead> visits) =>
        visits.Count == 0 ? 0 : LiftTables.LeafletLimitMinutes;
}
