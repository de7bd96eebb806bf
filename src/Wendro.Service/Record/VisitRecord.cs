using Wendro.Apply;
using Wendro.Lift;
using Wendro.Mix;
using Wendro.Paint;
using Wendro.Plans;
using Wendro.Review;
using Wendro.Section;
using Wendro.Toning;
using Wendro.Units;

namespace Wendro.Record;

/// <summary>Something that was weighed into a bowl.</summary>
/// <param name="Words">What it is.</param>
/// <param name="Grams">How much was poured, g.</param>
/// <param name="Meant">How much was to be, g.</param>
/// <param name="Lot">The lot it was poured from; null where the shelf knew none.</param>
public sealed record RecordPour(string Words, double Grams, double Meant, string? Lot);

/// <summary>A bowl that was mixed.</summary>
/// <param name="Name">Formula and which bowl of it: "A, bowl 1", or the toner's area.</param>
/// <param name="Words">What it is.</param>
/// <param name="At">When it was mixed; null where nobody said.</param>
/// <param name="Pours">What went in.</param>
public sealed record RecordBowl(string Name, string Words, DateTimeOffset? At, IReadOnlyList<RecordPour> Pours)
{
    /// <summary>All of it, g.</summary>
    public double Grams => Pours.Sum(p => p.Grams);
}

/// <summary>A step as it was done.</summary>
/// <param name="Words">What it was.</param>
/// <param name="Panels">How many panels were painted.</param>
/// <param name="From">When the first was painted; null where none was.</param>
/// <param name="To">When the last was rinsed; null where none was.</param>
/// <param name="Shortest">Shortest any was on, minutes; null while none was rinsed.</param>
/// <param name="Longest">Longest any was on, minutes.</param>
public sealed record RecordStep(
    string Words,
    int Panels,
    DateTimeOffset? From,
    DateTimeOffset? To,
    double? Shortest,
    double? Longest
);

/// <summary>A look.</summary>
/// <param name="Panel">Where.</param>
/// <param name="At">When.</param>
/// <param name="Minute">Minutes after it was painted; null where that is not known.</param>
/// <param name="Level">What was seen.</param>
public sealed record RecordLook(PanelKey Panel, DateTimeOffset At, double? Minute, double Level);

/// <summary>A reading of what came out.</summary>
/// <param name="Where">Zone and depth in words.</param>
/// <param name="Planned">Level planned.</param>
/// <param name="CameOut">Level read.</param>
/// <param name="Undertone">The warm pigment seen; null where it is the level's own.</param>
public sealed record RecordReading(string Where, double Planned, double CameOut, string? Undertone);

/// <summary>An area that was toned.</summary>
/// <param name="Name">What it is called.</param>
/// <param name="Shades">With what.</param>
/// <param name="Where">Which stretch.</param>
/// <param name="Minutes">How long it was on; null where it was not rinsed.</param>
/// <param name="Planned">How long it was to be on.</param>
public sealed record RecordTone(string Name, string Shades, Sentence Where, double? Minutes, double Planned);

/// <summary>What was done at a visit and what came of it: written by the facts alone.</summary>
/// <param name="SeatedAt">When she sat down; null where nobody said.</param>
/// <param name="DoneAt">When the last of it was rinsed; null where nothing was.</param>
/// <param name="ChairMinutes">Minutes between; null where either is not known.</param>
/// <param name="Steps">Steps in order.</param>
/// <param name="Bowls">Bowls as weighed, toners' with them.</param>
/// <param name="Looks">Looks in order.</param>
/// <param name="Readings">What was read.</param>
/// <param name="Outcome">What came out, in a sentence.</param>
/// <param name="Toned">Areas toned.</param>
/// <param name="Hands">Who worked: "one pair of hands", "a second painted".</param>
/// <param name="Happened">What went wrong at the chair, in words.</param>
/// <param name="Cost">Cost of what was poured, the studio's money; null where no price is noted.</param>
/// <param name="Promised">What was said to her before, in the words used.</param>
/// <param name="ToChange">What to do otherwise next time.</param>
public sealed record VisitRecord(
    DateTimeOffset? SeatedAt,
    DateTimeOffset? DoneAt,
    double? ChairMinutes,
    IReadOnlyList<RecordStep> Steps,
    IReadOnlyList<RecordBowl> Bowls,
    IReadOnlyList<RecordLook> Looks,
    IReadOnlyList<RecordReading> Readings,
    Sentence Outcome,
    IReadOnlyList<RecordTone> Toned,
    string Hands,
    IReadOnlyList<string> Happened,
    double? Cost,
    string Promised,
    IReadOnlyList<Sentence> ToChange
)
{
    /// <summary>Steps as they were done at the chair.</summary>
    /// <param name="plan">The plan it went by.</param>
    /// <param name="service">What happened.</param>
    public static IReadOnlyList<RecordStep> StepsOf(Plan plan, ServiceInHand service)
    {
        ArgumentNullException.ThrowIfNull(plan);
        ArgumentNullException.ThrowIfNull(service);
        var steps = plan.StepsOf();
        return Enumerable
            .Range(0, steps.Count)
            .Select(n =>
            {
                var stands = service
                    .Finished.Where(f => f.Key.Step == n)
                    .Select(f => f.Value)
                    .Concat(service.Panels.Values.Where(s => s.Step == n))
                    .Where(s => s.PaintedAt is not null)
                    .Distinct()
                    .ToArray();
                var on = stands
                    .Where(s => s.RinsedAt is not null)
                    .Select(s => (s.RinsedAt!.Value - s.PaintedAt!.Value).TotalMinutes)
                    .ToArray();
                return new RecordStep(
                    steps[n].Words,
                    stands.Length,
                    stands.Min(s => s.PaintedAt),
                    stands.Max(s => s.RinsedAt),
                    on.Length == 0 ? null : on.Min(),
                    on.Length == 0 ? null : on.Max()
                );
            })
            .Where(s => s.Panels > 0)
            .ToArray();
    }

    /// <summary>Looks at the chair.</summary>
    public static IReadOnlyList<RecordLook> LooksOf(ServiceInHand service)
    {
        ArgumentNullException.ThrowIfNull(service);
        return service
            .Looks.Select(l => new RecordLook(
                l.Look.Panel,
                l.At,
                (l.At - l.Stood.PaintedAt)?.TotalMinutes,
                l.Look.Level
            ))
            .ToArray();
    }

    /// <summary>A bowl as it was weighed; what was not poured is left away.</summary>
    /// <param name="name">What it is called.</param>
    /// <param name="words">What it is.</param>
    /// <param name="at">When it was mixed.</param>
    /// <param name="bowl">Where it stands.</param>
    /// <param name="lots">Lots by product.</param>
    public static RecordBowl BowlOf(
        string name,
        string words,
        DateTimeOffset? at,
        BowlInHand bowl,
        IReadOnlyDictionary<string, string> lots
    )
    {
        ArgumentNullException.ThrowIfNull(bowl);
        ArgumentNullException.ThrowIfNull(lots);
        return new(
            name,
            words,
            at,
            bowl.Steps.Where(s => s.PouredGrams > 0)
                .Select(s => new RecordPour(
                    s.Ingredient.Product ?? s.Ingredient.Words,
                    s.PouredGrams,
                    s.TargetGrams,
                    s.Ingredient.Product is { } product ? lots.GetValueOrDefault(product) : null
                ))
                .ToArray()
        );
    }

    /// <summary>Who worked, and where two painted.</summary>
    /// <param name="facts">What happened.</param>
    /// <param name="service">The service as it stands by that.</param>
    public static string HandsOf(IReadOnlyList<RecordedFact<ServiceFact>> facts, ServiceInHand service)
    {
        ArgumentNullException.ThrowIfNull(facts);
        ArgumentNullException.ThrowIfNull(service);
        var does = ServiceInHand
            .Standing(facts)
            .Select(f => f.Fact)
            .OfType<AssistantChanged>()
            .Where(h => h.Pairs == 2)
            .Select(h => h.Does)
            .Distinct()
            .Order()
            .Select(h =>
                h switch
                {
                    Help.Paints => "painted a side",
                    Help.Mixes => "mixed",
                    Help.Rinses => "rinsed",
                }
            )
            .ToArray();
        var words = does.Length == 0 ? "One pair of hands." : $"A second pair of hands {string.Join(", ", does)}.";
        var together = service
            .Panels.Where(p => p.Value is { Pairs: 2, PaintedAt: not null })
            .OrderBy(p => p.Value.PaintedAt)
            .Select(p => p.Key.Zone)
            .Distinct()
            .Select(z => Head.ZoneFacts.Words(z))
            .ToArray();
        return together.Length == 0 ? words : $"{words} Painted while there were two: {string.Join(", ", together)}.";
    }

    /// <summary>What was read against what was planned.</summary>
    public static IReadOnlyList<RecordReading> ReadingsOf(Differences found)
    {
        ArgumentNullException.ThrowIfNull(found);
        return found
            .Read.OrderBy(d => d.Zone)
            .ThenBy(d => d.Depth)
            .Select(d => new RecordReading(
                $"{Head.ZoneFacts.Words(d.Zone)}, {d.Depth.ToString().ToLowerInvariant()}",
                d.Planned,
                d.CameOut,
                d.Undertone
            ))
            .ToArray();
    }

    /// <summary>Areas that were toned.</summary>
    public static IReadOnlyList<RecordTone> TonedOf(ToningInHand toning)
    {
        ArgumentNullException.ThrowIfNull(toning);
        return toning
            .Plan.Areas.Where(a => toning.StandOf(a.Id).OnAt is not null)
            .Select(a => new RecordTone(
                a.Name,
                ToneSuggested.Parts(a.Bowl.Shades),
                a.Along.Words,
                toning.StandOf(a.Id).WasOnMinutes,
                a.Minutes
            ))
            .ToArray();
    }

    /// <summary>What went wrong at the chair.</summary>
    public static IReadOnlyList<string> HappenedAt(ServiceInHand service)
    {
        ArgumentNullException.ThrowIfNull(service);
        return service
            .Marks.Select(m =>
                $"{m.Mark.Panel.Words}: {Words(m.Mark.What)}" + (m.Mark.Note is { } note ? $", {note}" : string.Empty)
            )
            .ToArray();
    }

    private static string Words(Trouble what) =>
        what switch
        {
            Trouble.CameThrough => "product came through",
            Trouble.TurnedOver => "it turned over",
            Trouble.Spot => "a spot fell",
        };

    /// <summary>What was poured, by product, g.</summary>
    public static IReadOnlyDictionary<string, double> PouredOf(IEnumerable<RecordBowl> bowls)
    {
        ArgumentNullException.ThrowIfNull(bowls);
        return bowls.SelectMany(b => b.Pours).GroupBy(p => p.Words).ToDictionary(p => p.Key, p => p.Sum(x => x.Grams));
    }
}
