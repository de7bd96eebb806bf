using Wendro.Core.Blend;
using Wendro.Core.Care;
using Wendro.Core.Hair;
using Wendro.Core.Lift;
using Wendro.Core.Paint;
using Wendro.Core.Units;

namespace Wendro.Core.Consult;

/// <summary>What one visit can reach.</summary>
/// <param name="Number">1 today, 2 the next …</param>
/// <param name="From">Level it starts from.</param>
/// <param name="Level">Level expected, with its band.</param>
/// <param name="Undertone">Warmth laid bare there.</param>
/// <param name="Words">With what: lightener, developer, covering, minutes.</param>
/// <param name="With">The same as figures.</param>
/// <param name="WeeksAfter">Weeks after the visit before; 0 today.</param>
/// <param name="Sum">The sum behind the level, to be checked by hand.</param>
public sealed record VisitAhead(
    int Number,
    double From,
    Forecast Level,
    string Undertone,
    string Words,
    Setting With,
    double WeeksAfter,
    string Sum
);

/// <summary>What a visit lightens with.</summary>
/// <param name="Lightener">Lightener.</param>
/// <param name="Volume">Developer, volume.</param>
/// <param name="Covering">What covers it.</param>
/// <param name="Minutes">Minutes.</param>
public sealed record Setting(Lightener Lightener, double Volume, Covering Covering, double Minutes)
{
    /// <summary>In plain words.</summary>
    public override string ToString() =>
        $"{Remedies.Words(Lightener)}, {Volume:0} vol, {Remedies.Words(Covering)}, {Minutes:0} min";
}

/// <summary>Something the verdict rests on, with its figure.</summary>
/// <param name="What">What.</param>
/// <param name="Value">Its value, as shown.</param>
/// <param name="Kind">read, trade or model.</param>
public sealed record Ground(string What, string Value, string Kind);

/// <summary>Whether what she wants can be done, and how.</summary>
/// <param name="Today">Whether it can be reached today.</param>
/// <param name="Title">The verdict in a line.</param>
/// <param name="Text">The reason, with figures.</param>
/// <param name="Visits">What every visit reaches; none while a stop stands or the wish is out of reach.</param>
/// <param name="MinutesNeeded">Chair time of a visit, minutes.</param>
/// <param name="Advised">The technique advised, and why.</param>
/// <param name="RuledOut">Techniques ruled out, each with why.</param>
/// <param name="Grounds">Inputs, formula and assumptions, to be checked by hand.</param>
/// <param name="WordsForHer">Plain words for the client.</param>
public sealed record Verdict(
    bool Today,
    string Title,
    string Text,
    IReadOnlyList<VisitAhead> Visits,
    double MinutesNeeded,
    Advice Advised,
    IReadOnlyList<Advice> RuledOut,
    IReadOnlyList<Ground> Grounds,
    string WordsForHer
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

    private static readonly (Lightener Lightener, double Volume, Covering Covering)[] Choices =
    [
        .. from covering in new[] { Covering.Open, Covering.Film, Covering.Foil }
        from volume in new[] { 20.0, 30, 40 }
        from lightener in covering == Covering.Foil ? new[] { Lightener.Powder } : [Lightener.Clay]
        select (lightener, volume, covering),
    ];

    /// <summary>Judges a wish on a head of hair.</summary>
    /// <param name="hair">Her hair, the strand test's figures in it.</param>
    /// <param name="wish">What she wants.</param>
    /// <param name="consultation">What was answered.</param>
    /// <param name="paintingMinutes">Minutes of painting: the plan's, or what a full head usually takes.</param>
    /// <param name="now">The time now.</param>
    public static Verdict Of(
        HairProfile hair,
        Wish wish,
        Consultation consultation,
        double paintingMinutes,
        DateTimeOffset now
    )
    {
        ArgumentNullException.ThrowIfNull(hair);
        ArgumentNullException.ThrowIfNull(wish);
        ArgumentNullException.ThrowIfNull(consultation);
        var stops = Safety.Stops(consultation, hair, now);
        var ends = Ends(hair);
        var compromised = IsCompromised(hair, ends);
        var target = Units.Level.Clamp(wish.EndsLevel);
        var visits = VisitsTo(hair, target, consultation.WeeksBetween);
        var reached = visits.Count > 0 && visits[^1].Level.Level >= target.Value - Tolerance;
        var needed = paintingMinutes + Longest(visits) + AroundMinutes;
        var (advised, ruledOut) = Advice.For(hair, wish, ends, visits, consultation, needed);
        var grounds = GroundsOf(hair, ends, target, visits, compromised, paintingMinutes, needed, consultation);
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
                ForHerStopped(stops[0])
            );
        }

        var late = needed > consultation.MinutesToday;
        var (title, text) = Said(hair, ends, target, visits, reached, needed, late, consultation);
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
            consultation.Words ?? ForHer(hair, target, visits, reached, consultation)
        );
    }

    /// <summary>The hair that decides: what its ends are today.</summary>
    private static HairState Ends(HairProfile hair) =>
        HairState.Of(hair)[hair.Bands.Count > 0 && hair.Bands[^1].Share >= 0.5 ? ^1 : 0];

    private static bool IsCompromised(HairProfile hair, HairState ends) =>
        ends.Coloured || ends.Lightened || hair.Condition != Condition.Sound;

    /// <summary>
    /// The visits her ends take to a level, each with the mildest choice that does; none where they are there
    /// already.
    /// </summary>
    /// <param name="hair">Her hair.</param>
    /// <param name="target">Level wanted.</param>
    /// <param name="weeks">Weeks between visits.</param>
    public static IReadOnlyList<VisitAhead> VisitsTo(HairProfile hair, Level target, double weeks)
    {
        ArgumentNullException.ThrowIfNull(hair);
        var ends = Ends(hair);
        var compromised = IsCompromised(hair, ends);
        var visits = new List<VisitAhead>();
        var from = ends.Level;
        for (var n = 1; n <= MostVisits && from < target.Value - (n == 1 ? 0 : Tolerance); n++)
        {
            var most = compromised ? Math.Min(target.Value, from + LiftTables.LevelsAVisit) : target.Value;
            var best = Best(hair, ends with { Level = from }, Math.Max(most, from));
            if (best.Forecast.Level - from < 0.2)
            {
                break;
            }

            visits.Add(
                new VisitAhead(
                    n,
                    from,
                    best.Forecast,
                    Undertone.At(best.Forecast.Level),
                    best.With.ToString(),
                    best.With,
                    n == 1 ? 0 : Math.Max(weeks, LeastWeeks),
                    best.Sum
                )
            );
            from = best.Forecast.Level;
        }

        return visits;
    }

    /// <summary>
    /// The mildest choice that reaches a level within the leaflet's time; else the one that comes nearest.
    /// </summary>
    private static (Forecast Forecast, Setting With, string Sum) Best(HairProfile hair, HairState state, double level)
    {
        (Forecast, Setting, string)? nearest = null;
        foreach (var (lightener, volume, covering) in Choices)
        {
            var of = CaseOf(hair, state, lightener, volume, covering);
            var minutes =
                new Lifting(of).MinutesTo(Units.Level.Clamp(level)) is { } m && m <= LiftTables.LeafletLimitMinutes
                    ? Math.Ceiling(Math.Max(m, 5))
                    : LiftTables.LeafletLimitMinutes;
            var forecast = Forecast.Of(of, minutes);
            var found = (forecast, new Setting(lightener, volume, covering, minutes), new Lifting(of).Sum(minutes));
            if (forecast.Level >= level - 0.05)
            {
                return found;
            }

            nearest = nearest is null || forecast.Level > nearest.Value.Item1.Level ? found : nearest;
        }

        return nearest!.Value;
    }

    private static LiftCase CaseOf(
        HairProfile hair,
        HairState state,
        Lightener lightener,
        double volume,
        Covering covering
    ) =>
        new(
            Units.Level.Clamp(state.Level),
            hair.Diameter,
            state.Porosity,
            state.Coloured,
            lightener,
            new Volume(volume),
            covering,
            Own: hair.Own
        );

    private static double Longest(IReadOnlyList<VisitAhead> visits) =>
        visits.Count == 0 ? 0 : LiftTables.LeafletLimitMinutes;

    private static (string Title, string Text) Said(
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

        var title = (reached, visits.Count, late) switch
        {
            (true, 1, false) => $"Level {target.Value:0.#} today.",
            (true, 1, true) => $"Level {target.Value:0.#} in one visit, not in today's time.",
            (true, var n, _) => $"Level {first.Level.Level:0.#} today. Level {target.Value:0.#} in {Number(n)} visits.",
            _ => $"Level {visits[^1].Level.Level:0.#} at most, in {Number(visits.Count)} "
                + $"{(visits.Count == 1 ? "visit" : "visits")}.",
        };
        return (title, text);
    }

    private static IReadOnlyList<Ground> GroundsOf(
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
            .. visits.Select(v => new Ground(
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
            new("Between visits", $"{Math.Max(consultation.WeeksBetween, LeastWeeks):0} weeks", "trade"),
            new("Near enough", $"± {Tolerance:0.0} level", "trade"),
            new(
                "Chair time",
                $"{painting:0} painting + {LiftTables.LeafletLimitMinutes:0} processing at most + "
                    + $"{AroundMinutes:0} around = {needed:0} min",
                "model"
            ),
        ];
    }

    private static string ForHer(
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
            $"Today your hair can go from level {first.From:0.#} to about level {first.Level.Level:0.#}, give or "
            + $"take {first.Level.HalfWidth:0.#}. "
            + $"Before toning it will look {first.Undertone}; the toner takes that warmth down.";
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

    private static string ForHerStopped(SafetyPoint stop) =>
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
