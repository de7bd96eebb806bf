using Wendro.Hair;
using Wendro.Lift;
using Wendro.Paint;
using Wendro.Units;

namespace Wendro.Consult;

/// <summary>What one visit can reach.</summary>
/// <param name="Number">1 today, 2 the next …</param>
/// <param name="From">Level it starts from.</param>
/// <param name="Level">Level expected, with its band.</param>
/// <param name="Undertone">Warmth laid bare there.</param>
/// <param name="Words">With what: lightener, developer, covering, minutes.</param>
/// <param name="With">The same as figures.</param>
/// <param name="WeeksAfter">Weeks after the visit before; 0 today.</param>
/// <param name="Sum">The sum behind the level, to be checked by hand.</param>
/// <param name="Promised">What may be promised of it: without a strand test the lower edge of the band, and no more
/// levels than a visit is good for.</param>
public sealed record VisitAhead(
    int Number,
    double From,
    Forecast Level,
    string Undertone,
    string Words,
    LighteningSetup With,
    double WeeksAfter,
    string Sum,
    double Promised
);

/// <summary>What a visit lightens with.</summary>
/// <param name="Lightener">Lightener.</param>
/// <param name="Volume">Developer, volume.</param>
/// <param name="Covering">What covers it.</param>
/// <param name="Minutes">Minutes.</param>
public sealed record LighteningSetup(Lightener Lightener, double Volume, Covering Covering, double Minutes)
{
    /// <summary>In plain words.</summary>
    public override string ToString() =>
        $"{Remedies.Words(Lightener)}, {Volume:0} vol, {Remedies.Words(Covering)}, {Minutes:0} min";
}

/// <summary>The visits that a level takes, each with the mildest way that may be offered on the hair.</summary>
public static class VisitsAhead
{
    /// <summary>What is thought of: clay in the air and under film, powder in foil, at the usual strengths.</summary>
    private static readonly (Lightener Lightener, double Volume, Covering Covering)[] Choices =
    [
        .. from covering in new[] { Covering.Open, Covering.Film, Covering.Foil }
        from volume in new[] { 20.0, 30, 40 }
        let lightener = covering == Covering.Foil ? Lightener.Powder : Lightener.Clay
        orderby new Way(LiftTables.Of(lightener), new(volume), covering).Harshness
        select (lightener, volume, covering),
    ];

    /// <summary>The hair that decides: what its ends are today.</summary>
    internal static HairState Ends(HairProfile hair) =>
        HairState.Of(hair)[hair.Bands.Count > 0 && hair.Bands[^1].Share >= 0.5 ? ^1 : 0];

    internal static bool IsCompromised(HairProfile hair, HairState ends) =>
        ends.Coloured || ends.Lightened || hair.Condition != Condition.Sound;

    /// <summary>
    /// The visits her ends take to a level, each with the mildest choice that does; none where they are there
    /// already.
    /// </summary>
    /// <param name="hair">Her hair.</param>
    /// <param name="target">Level wanted.</param>
    /// <param name="weeks">Weeks between visits.</param>
    public static IReadOnlyList<VisitAhead> To(HairProfile hair, Level target, double weeks)
    {
        ArgumentNullException.ThrowIfNull(hair);
        var ends = Ends(hair);
        var compromised = IsCompromised(hair, ends);
        var offer = Offer.On(hair);
        var visits = new List<VisitAhead>();
        var from = ends.Level;
        for (var n = 1; n <= Verdict.MostVisits && from < target.Value - (n == 1 ? 0 : Verdict.Tolerance); n++)
        {
            var most = compromised ? Math.Min(target.Value, from + LiftTables.LevelsAVisit) : target.Value;
            var best = Best(hair, offer, ends with { Level = from }, Math.Max(most, from));
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
                    n == 1 ? 0 : Math.Max(weeks, Verdict.LeastWeeks),
                    best.Sum,
                    offer.Promised(from, best.Forecast, best.With.Covering)
                )
            );
            from = best.Forecast.Level;
        }

        return visits;
    }

    /// <summary>
    /// The mildest choice that reaches a level within the leaflet's time; else the one that comes nearest.
    /// </summary>
    private static (Forecast Forecast, LighteningSetup With, string Sum) Best(
        HairProfile hair,
        Offer offer,
        HairState state,
        double level
    )
    {
        (Forecast, LighteningSetup, string)? nearest = null;
        foreach (var (lightener, volume, covering) in Choices)
        {
            var of = CaseOf(hair, state, lightener, volume, covering);
            if (!offer.Allows(Way.Of(of)))
            {
                continue;
            }

            // No further than is promised of one visit: what lies beyond is for the next.
            var most = Math.Min(level, state.Level + offer.LevelsPromised(covering));
            var minutes =
                new Lifting(of).MinutesTo(Units.Level.Clamp(most)) is { } m && m <= LiftTables.LeafletLimitMinutes
                    ? Math.Ceiling(Math.Max(m, 5))
                    : LiftTables.LeafletLimitMinutes;
            var forecast = Forecast.Of(of, minutes);
            var found = (
                forecast,
                new LighteningSetup(lightener, volume, covering, minutes),
                new Lifting(of).Sum(minutes)
            );
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
}
