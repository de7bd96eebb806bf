using Wendro.Care;
using Wendro.Hair;
using Wendro.Lift;
using Wendro.Units;

namespace Wendro.Consult;

/// <summary>How a verdict is said: its line, its reasons with their figures, the words for the client.</summary>
internal static class VerdictWords
{
    /// <summary>A promise that is this much under what is expected is said apart, levels.</summary>
    private const double PlainlyLess = 0.05;

    internal static (string Title, string Text) Said(
        HairProfile hair,
        HairState ends,
        Level target,
        IReadOnlyList<VisitAhead> visits,
        bool reached,
        double needed,
        bool late,
        Consultation consultation
    )
    {
        if (visits.Count == 0)
        {
            return ends.Level >= target.Value
                ? (
                    $"Level {target.Value:0.#} is there already.",
                    $"The ends are at {ends.Level:0.0}: nothing needs lifting there. Tone, or place light elsewhere."
                )
                : (
                    $"Level {target.Value:0.#} can't be reached.",
                    $"From {ends.Level:0.0} nothing here lifts further within the leaflet's time."
                );
        }

        var first = visits[0];
        var text =
            $"{(ends.Coloured ? "Old colour at" : ends.Lightened ? "Lightened ends at" : "Natural")} "
            + $"{first.From:0.0} lifts to {first.Level.Level:0.0} ± {first.Level.HalfWidth:0.0} with {first.Words}.";
        if (first.Promised < first.Level.Level - PlainlyLess)
        {
            text += $" Promise {first.Promised:0.0}: a strand test makes the band narrower.";
        }

        if (ends.Coloured)
        {
            text += " Old colour holds it back by one level.";
        }

        if (visits.Count > 1)
        {
            text += $" The next visit, {visits[1].WeeksAfter:0} weeks later, reaches {visits[1].Level.Level:0.0}.";
        }

        if (late)
        {
            text += $" It needs {needed:0} min; there are {consultation.MinutesToday:0}.";
        }

        var promised = $"{first.Promised:0.#}";
        var less = first.Promised < Math.Min(target.Value, first.Level.Level) - Verdict.Tolerance;
        var title = (reached, visits.Count, late) switch
        {
            (true, 1, false) when less => $"Level {promised} today, likely {target.Value:0.#}.",
            (true, 1, true) when less =>
                $"Level {promised} in one visit, likely {target.Value:0.#}; not in today's time.",
            (true, var n, _) when less => $"Level {promised} today, likely {first.Level.Level:0.#}. "
                + $"Level {target.Value:0.#} in {Number(n)} visits.",
            (true, 1, false) => $"Level {target.Value:0.#} today.",
            (true, 1, true) => $"Level {target.Value:0.#} in one visit, not in today's time.",
            (true, var n, _) => $"Level {first.Level.Level:0.#} today. Level {target.Value:0.#} in {Number(n)} visits.",
            _ => $"Level {visits[^1].Level.Level:0.#} at most, in {Number(visits.Count)} "
                + $"{(visits.Count == 1 ? "visit" : "visits")}.",
        };
        return (title, text);
    }

    internal static IReadOnlyList<VerdictReason> GroundsOf(
        HairProfile hair,
        HairState ends,
        Level target,
        IReadOnlyList<VisitAhead> visits,
        bool compromised,
        double painting,
        double needed,
        Consultation consultation
    )
    {
        var own = hair.Own ?? OwnLift.Unread;
        return
        [
            new(
                "Ends today",
                $"level {ends.Level:0.0}"
                    + (
                        ends.Coloured ? ", coloured"
                        : ends.Lightened ? ", lightened"
                        : string.Empty
                    ),
                "read"
            ),
            new("Wanted at the ends", $"level {target.Value:0.#}", "read"),
            new("Lift", "L₀ + cap · (1 − e^(−X·k/τ)), X = Q·τd·(1 − e^(−t/τd))", "model"),
            .. visits.Select(v => new VerdictReason(
                $"Visit {v.Number}{(v.WeeksAfter > 0 ? $", {v.WeeksAfter:0} weeks later" : string.Empty)}",
                $"{v.From:0.0} → {v.Level.Level:0.0} ± {v.Level.HalfWidth:0.0}, {v.Undertone}; {v.Words}. {v.Sum}",
                "model"
            )),
            new(
                "Own speed",
                $"{own.Speed:0.00} × the table's (spread {own.SpeedSpread:0.00} in logarithms)",
                hair.Own is null ? "model" : "read"
            ),
            new(
                "Own cap",
                $"{own.CapLevels:+0.0;−0.0;0.0} levels (spread {own.CapSpread:0.0})",
                hair.Own is null ? "model" : "read"
            ),
            new("Bands", $"hold the truth {Forecast.Covers * 10:0} times of ten", "model"),
            new("Longest processing", $"{LiftTables.LeafletLimitMinutes:0} min, the leaflet rules", "trade"),
            new(
                "Most a visit",
                compromised
                    ? $"{LiftTables.LevelsAVisit:0} levels: hair was treated or is dry"
                    : "what the product lifts: sound natural hair",
                "trade"
            ),
            new("Between visits", $"{Math.Max(consultation.WeeksBetween, Verdict.LeastWeeks):0} weeks", "trade"),
            new(
                "Promised",
                hair.Own is null
                    ? "the lower edge of the band, 4 levels open and 5 covered at most: no strand was tested"
                    : "what the strand test shows",
                "trade"
            ),
            new("Near enough", $"± {Verdict.Tolerance:0.0} level", "trade"),
            new(
                "Chair time",
                $"{painting:0} painting + {LiftTables.LeafletLimitMinutes:0} processing at most + "
                    + $"{Verdict.AroundMinutes:0} around = {needed:0} min",
                "model"
            ),
        ];
    }

    internal static string ForHer(
        HairProfile hair,
        Level target,
        IReadOnlyList<VisitAhead> visits,
        bool reached,
        Consultation consultation
    )
    {
        if (visits.Count == 0)
        {
            return "Your ends are already as light as you wished. We can change the tone, or place light "
                + "somewhere else.";
        }

        var first = visits[0];
        var words =
            (
                first.Promised < first.Level.Level - PlainlyLess
                    ? $"Today I can promise level {first.Promised:0.#}, from level {first.From:0.#}; most likely it "
                        + $"reaches {first.Level.Level:0.#}. A strand test would tell us more. "
                    : $"Today your hair can go from level {first.From:0.#} to about level "
                        + $"{first.Level.Level:0.#}, give or take {first.Level.HalfWidth:0.#}. "
            ) + $"Before toning it will look {first.Undertone}; the toner takes that warmth down.";
        if (hair.Bands.Count > 0 && hair.Bands[^1].Warmth is > 0.3)
        {
            words += " Your ends are warmer than usual, so the toner has more to take there.";
        }

        if (visits.Count > 1)
        {
            var level = reached
                ? $"level {target.Value:0.#}"
                : $"level {visits[^1].Level.Level:0.#}, the lightest that is safe,";
            words +=
                $" For {level} please plan {Number(visits.Count)} visits, "
                + $"{visits[1].WeeksAfter:0} weeks apart, so that your hair stays strong.";
        }
        else if (!reached)
        {
            words += $" Level {target.Value:0.#} is more than your hair can safely give.";
        }

        return words
            + $" How it turns out can differ a little; we look every ten minutes. "
            + $"{(consultation.AtHome ? "Follow the kit's leaflet. " : string.Empty)}{Cautions.LeafletFirst}";
    }

    internal static string ForHerStopped(SafetyPoint stop) =>
        $"We will not lighten your hair today. {stop.Words} We look at it together again when that is settled.";

    private static string Number(int n) =>
        n switch
        {
            1 => "one",
            2 => "two",
            3 => "three",
            4 => "four",
            _ => "five",
        };
}
