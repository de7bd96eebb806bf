using System.Text.Json.Serialization;
using Wendro.Apply;
using Wendro.Blend;
using Wendro.Colour;
using Wendro.Head;
using Wendro.Host.Paint;
using Wendro.Host.Work;
using Wendro.Lift;
using Wendro.Paint;
using Wendro.Plans;
using Wendro.Section;
using Wendro.Units;

namespace Wendro.Host.Apply;

/// <summary>A panel on the clock. Moments are instants; nothing is told as seconds that are left.</summary>
/// <param name="Panel">Which.</param>
/// <param name="State">waits, later, on, inWave, rinsed or left.</param>
/// <param name="BegunAt">When it is, or was, begun.</param>
/// <param name="PaintedAt">When it is, or was, painted.</param>
/// <param name="IsSpread">Whether that moment was spread between two taps.</param>
/// <param name="FromAt">Soonest it may be rinsed.</param>
/// <param name="ToAt">Latest it must be.</param>
/// <param name="EndsBy">What ends it: level, leaflet, dries or planned.</param>
/// <param name="Reaches">The level it reaches.</param>
/// <param name="Target">The level that was planned.</param>
/// <param name="RinsedAt">When it was rinsed.</param>
/// <param name="Covering">What is over it, or is planned to be.</param>
internal sealed record ClockPanel(
    PanelKey Panel,
    string State,
    DateTimeOffset? BegunAt,
    DateTimeOffset? PaintedAt,
    bool IsSpread,
    DateTimeOffset? FromAt,
    DateTimeOffset? ToAt,
    EndsBy? EndsBy,
    double? Reaches,
    double? Target,
    DateTimeOffset? RinsedAt,
    Covering Covering
);

/// <summary>The next panel, as it is painted.</summary>
/// <param name="Panel">The panel with its strip.</param>
/// <param name="Title">Where, in large words.</param>
/// <param name="Line">Shape, heights, side, cover and bowl in a line.</param>
/// <param name="How">How it is held, and the order of strokes.</param>
/// <param name="Then">What comes after it; null for nothing.</param>
/// <param name="Seconds">What it takes at the artist's pace, s.</param>
/// <param name="Bowl">The bowl it is painted from, by its number; null for none.</param>
internal sealed record NextPanel(
    PanelView Panel,
    string Title,
    Sentence Line,
    string How,
    string? Then,
    double Seconds,
    int? Bowl
);

/// <summary>A bowl at the chair.</summary>
/// <param name="Number">Which, from 1.</param>
/// <param name="Formula">Of which formula.</param>
/// <param name="Ordinal">Which bowl of it, from 1.</param>
/// <param name="Grams">What goes in when it is mixed now, g.</param>
/// <param name="LeftGrams">What its panels still to be painted take, g.</param>
/// <param name="MixedAt">When it was mixed; null while it was not.</param>
/// <param name="LivesUntil">When it ends.</param>
/// <param name="NeededAt">When its first panel that waits is begun; null where none waits.</param>
internal sealed record ChairBowl(
    int Number,
    FormulaId Formula,
    int Ordinal,
    double Grams,
    double LeftGrams,
    DateTimeOffset? MixedAt,
    DateTimeOffset? LivesUntil,
    DateTimeOffset? NeededAt
);

/// <summary>What a look told.</summary>
internal sealed record LookView(
    PanelKey Panel,
    double Level,
    bool Even,
    Working State,
    double Minutes,
    double Expected,
    double Speed,
    string Why
);

/// <summary>A lifted level as it looks wiped and moist, and dry: what a look is judged against.</summary>
/// <param name="Level">The level.</param>
/// <param name="Moist">Its colour while moist, as hex.</param>
/// <param name="Dry">Its colour dry.</param>
internal sealed record LookColour(double Level, string Moist, string Dry)
{
    /// <summary>What moist hair keeps of its light. Model assumption: nearly half a level darker.</summary>
    private const double MoistKeeps = 0.78;

    /// <summary>Levels 2 to 10 by halves.</summary>
    public static IReadOnlyList<LookColour> All { get; } =
        Enumerable
            .Range(4, 17)
            .Select(h => h / 2.0)
            .Select(level => new LookColour(level, Hex(level, MoistKeeps), Hex(level, 1)))
            .ToArray();

    private static string Hex(double level, double keeps)
    {
        var (r, g, b) = LevelColours.Lifted(level);
        return LevelColours.HexOf((r * keeps, g * keeps, b * keeps));
    }
}

/// <summary>One step of the visit.</summary>
internal sealed record ChairStep(string Words, bool IsNow, bool IsDone);

/// <summary>The service as it stands, and the plan against the clock.</summary>
/// <param name="Revision">The plan's revision it goes by.</param>
/// <param name="NewerRevision">The plan's newest revision where that is another one; null where it is the same.</param>
/// <param name="Facts">How many facts there are: said with the next one.</param>
/// <param name="Now">The server's clock.</param>
/// <param name="Help">What a second pair of hands does; null where there is none.</param>
/// <param name="GoesOn">Whether the next step begins over what still works.</param>
/// <param name="ClockWasSetBack">Whether the server's clock shows less than when the last fact was kept.</param>
internal sealed record ApplyView(
    int Revision,
    int? NewerRevision,
    int Facts,
    DateTimeOffset Now,
    bool ClockWasSetBack,
    DateTimeOffset? SeatedAt,
    IReadOnlyList<Preparation> Ready,
    IReadOnlyList<ChairStep> Steps,
    bool IsDone,
    bool GoesOn,
    bool AreaWaits,
    bool AreaIsOn,
    DateTimeOffset? AreaFromAt,
    NextPanel? Next,
    IReadOnlyList<PanelKey> Waiting,
    IReadOnlyList<ClockPanel> Panels,
    double SecondsEach,
    double PlannedSecondsEach,
    double AheadMinutes,
    Help? Help,
    [property: JsonPropertyName("waves")] IReadOnlyList<RinseAhead> Rinses,
    [property: JsonPropertyName("wave")] RinseInHand? Rinse,
    [property: JsonPropertyName("waveEndsAt")] DateTimeOffset? RinseEndsAt,
    [property: JsonPropertyName("wavesDone")] int RinsesDone,
    bool IsInTime,
    bool IsProven,
    DateTimeOffset? DoneAt,
    IReadOnlyList<Due> Due,
    IReadOnlyList<ChairBowl> Bowls,
    IReadOnlyList<LookView> Looks,
    Comfort? Comfort,
    DateTimeOffset? PausedAt,
    DateTimeOffset? HeatSince,
    int? LastFact,
    string? LastWords,
    IReadOnlyList<LookColour> LookColours,
    IReadOnlyList<string> Stops,
    IReadOnlyList<string> Cautions
)
{
    public static ApplyView Of(ServiceContext at, DateTimeOffset now)
    {
        var service = at.Service;
        var clock = ServiceClock.Of(at.Mix, service, now);
        var waiting = service.Waiting.ToArray();
        var inRinse = service.Rinse?.Panels.ToHashSet() ?? [];
        var onClock = clock.OnClock.ToDictionary(p => p.Panel);
        var steps = at.Mix.Head.Plan.StepsOf();
        return new(
            at.Revision,
            at.Work.Stored.History.Revision == at.Revision ? null : at.Work.Stored.History.Revision,
            at.Facts.Count,
            now,
            at.Facts.Count > 0 && at.Facts[^1].At > now.AddSeconds(2),
            service.SeatedAt,
            service.Ready.Order().ToArray(),
            steps.Count < 2
                ? []
                : steps.Select((s, i) => new ChairStep(s.Words, i == service.Step, i < service.Step)).ToArray(),
            service.IsDone,
            service.GoesOn,
            service.AreaWaits,
            service.AreaIsOn,
            clock.AreasOn.Max(a => (DateTimeOffset?)a.DoneAt),
            service.Next is { } next
                ? NextOf(at, clock, next, waiting.Skip(1).FirstOrDefault(), waiting.Length > 1)
                : null,
            waiting,
            service
                .Order.Select(p =>
                {
                    var stand = service.StandOf(p);
                    var on = onClock.GetValueOrDefault(p);
                    return new ClockPanel(
                        p,
                        stand.IsLeft ? "left"
                            : stand.RinsedAt is not null ? "rinsed"
                            : inRinse.Contains(p) ? "inWave"
                            : stand.PaintedAt is not null ? "on"
                            : "waits",
                        on?.BegunAt,
                        on?.PaintedAt,
                        stand.IsSpread,
                        on?.FromAt,
                        on?.ToAt,
                        on?.Window?.By,
                        on?.Window?.Reaches,
                        on?.Window?.Target,
                        stand.RinsedAt,
                        stand.Covering ?? clock.CoveringOf(p)
                    );
                })
                .ToArray(),
            waiting.Length == 0 ? 0 : waiting.Average(clock.SecondsOf),
            waiting.Length == 0 ? 0 : waiting.Average(clock.SecondsOf) / clock.Pace * service.Pairs,
            clock.AheadMinutes,
            service.Help,
            clock.Rinses,
            service.Rinse,
            clock.RinseEndsAt,
            service.RinsesDone,
            clock.IsInTime,
            clock.IsProven,
            clock.DoneAt,
            service.SeatedAt is null ? [] : ServiceDues.Of(clock),
            at.Mix.Bowls.Where(b => b.Batch.Panels.Any(p => onClock.ContainsKey(p)) || b.Batch.Panels.Count == 0)
                .Select(b => Bowl(b, clock))
                .ToArray(),
            clock.Told.Select(LookOf).ToArray(),
            service.Felt?.How,
            service.PausedAt,
            service.HeatSince,
            service.Last?.Number,
            service.Last is { } last ? ServiceWords.Of(last.Fact) : null,
            LookColour.All,
            VisitSafety.Stops(at.Work),
            PlanCautions.Of(at.Mix.Head)
        );
    }

    private static LookView LookOf(DevelopmentCheck t)
    {
        return new(
            t.Look.Panel,
            t.Look.Level,
            t.Look.Even,
            t.Look.State,
            t.Minutes,
            t.Expected,
            t.Own.Speed,
            ServiceWords.Of(t)
        );
    }

    private static NextPanel NextOf(ServiceContext at, ServiceClock clock, PanelKey key, PanelKey then, bool hasThen)
    {
        var head = at.Mix.Head;
        var index = head.Panels.ToList().FindIndex(p => p.Panel.Key == key);
        var planned = head.Panels[index];
        var coats = planned.Coats.Where(c => c.Step == clock.Service.Step).ToArray();
        var paint = coats[0].Painted;
        var bowl = clock.BowlOf(key);
        var (from, to) = (Quantity.Cm(Highest(paint), "0"), Quantity.Cm(Lowest(paint), "0"));
        Sentence line =
            $"{Spoken(paint.Paint.Shape.Kind)} · {from} to {to} · {Spoken(paint.Paint.Face)} · "
            + $"{Spoken(paint.Paint.Covering)}{(bowl is null ? string.Empty : $" · {bowl.Words}")}";
        return new(
            PanelView.Of(head, planned, index) with
            {
                Strip = Strip.Of(planned, head.Hair, Moment.Rinsed),
            },
            Sentence.Capital(key.Words),
            line,
            PaintingInstructions.Words(paint.Paint, planned.Panel.LengthCm),
            hasThen ? then.Words : null,
            clock.SecondsOf(key),
            bowl?.Number
        );
    }

    private static double Highest(PaintedPanel paint) => Edge(paint).Min();

    private static double Lowest(PaintedPanel paint) => Edge(paint).Max();

    private static IEnumerable<double> Edge(PaintedPanel paint) =>
        Enumerable
            .Range(0, EdgeSteps + 1)
            .Select(i => Math.Clamp(paint.UpperEdge((double)i / EdgeSteps), 0, paint.LengthCm));

    private const int EdgeSteps = 40;

    private static string Spoken<T>(T value)
        where T : struct, Enum =>
        value switch
        {
            ShapeKind.V => "V",
            ShapeKind.W => "W",
            ShapeKind.U => "U",
            ShapeKind.Spined => "V with a line",
            Covering.Open => "open",
            _ => value.ToString().ToLowerInvariant(),
        };

    private static ChairBowl Bowl(PlannedBowl b, ServiceClock clock)
    {
        var waiting = clock.OnClock.Where(p => !p.IsPainted && clock.BowlOf(p.Panel)?.Number == b.Number).ToArray();
        var mixed = clock.MixedAt(b);
        return new(
            b.Number,
            b.Batch.Formula,
            b.Batch.Ordinal,
            clock.ToMixGrams(b),
            clock.LeftGrams(b),
            mixed,
            mixed?.AddMinutes(b.Batch.LivesUntil - b.Batch.ReadyAt),
            waiting.Length > 0 ? waiting[0].BegunAt
                : clock.BowlForArea?.Number == b.Number ? clock.Now
                : null
        );
    }
}
