using System.Collections.Immutable;
using Wendro.Head;
using Wendro.Lift;
using Wendro.Section;
using Wendro.Units;

namespace Wendro.Review;

/// <summary>A reading as it counts.</summary>
/// <param name="Zone">Where on the head.</param>
/// <param name="Depth">Where along the hair.</param>
/// <param name="Seen">Level as it looked.</param>
/// <param name="Level">Level it is, dry.</param>
/// <param name="Evenness">How even.</param>
/// <param name="At">When it was read.</param>
/// <param name="Spread">How far it may lie from the truth, standard deviation, levels; null for an eye's.</param>
/// <param name="Undertone">The warm pigment seen; null where it is the level's own.</param>
public sealed record ZoneReading(
    Zone Zone,
    Depth Depth,
    double Seen,
    double Level,
    Evenness Evenness,
    DateTimeOffset At,
    double? Spread = null,
    string? Undertone = null
);

/// <summary>A review as it stands. Pure: the same facts always give the same review.</summary>
public sealed record ReviewInHand
{
    /// <summary>How much darker wet and towel-damp hair reads, levels. Model assumption.</summary>
    public const double WetReadsDarker = 0.4,
        DampReadsDarker = 0.2;

    /// <summary>How the hair is; null while nobody said.</summary>
    public StateSaid? State { get; private init; }

    /// <summary>Places looked at.</summary>
    public ImmutableHashSet<Place> Seen { get; private init; } = [];

    /// <summary>The last reading of each zone and depth.</summary>
    public ImmutableDictionary<(Zone Zone, Depth Depth), ZoneReading> Readings { get; private init; } =
        ImmutableDictionary<(Zone, Depth), ZoneReading>.Empty;

    /// <summary>Places marked by hand, and what is wrong there.</summary>
    public ImmutableHashSet<(PanelKey Panel, Blemish What)> Marked { get; private init; } = [];

    /// <summary>Changes kept for the next visit.</summary>
    public ImmutableHashSet<(CauseKind Cause, Zone? Zone)> Lessons { get; private init; } = [];

    /// <summary>What is to be remembered then, in one's own words, in the order said.</summary>
    public ImmutableList<(int Fact, string Words)> Notes { get; private init; } = [];

    /// <summary>What a wet strand did; null while none was stretched.</summary>
    public StretchTest? Stretch { get; private init; }

    /// <summary>What was decided; null while nothing is.</summary>
    public Decision? Decision { get; private init; }

    /// <summary>The last fact that stands; null for none.</summary>
    public RecordedFact<ReviewFact>? Last { get; private init; }

    /// <summary>Whether its own work is done: something was read and what now is decided.</summary>
    public bool IsDone => Readings.Count > 0 && Decision is not null;

    /// <summary>The review after all that was seen and said.</summary>
    public static ReviewInHand Of(IReadOnlyList<RecordedFact<ReviewFact>> facts)
    {
        ArgumentNullException.ThrowIfNull(facts);
        var back = facts.Select(f => f.Fact).OfType<Unsaid>().Select(u => u.Number).ToHashSet();
        return facts
            .Where(f => f.Fact is not Unsaid && !back.Contains(f.Number))
            .Aggregate(new ReviewInHand(), (review, f) => review.With(f) with { Last = f });
    }

    /// <summary>
    /// The same with what was read of a zone before it was lifted again left away: that tells of hair that was.
    /// </summary>
    /// <param name="liftedAgain">When a zone was lifted again last; null where it wasn't.</param>
    public ReviewInHand Since(Func<Zone, DateTimeOffset?> liftedAgain)
    {
        ArgumentNullException.ThrowIfNull(liftedAgain);
        return this with
        {
            Readings = Readings
                .Where(r => liftedAgain(r.Key.Zone) is not { } at || r.Value.At > at)
                .ToImmutableDictionary(),
        };
    }

    /// <summary>How much darker hair reads while it is so wet, levels.</summary>
    public static double ReadsDarker(Wetness wetness) =>
        wetness switch
        {
            Wetness.Wet => WetReadsDarker,
            Wetness.Damp => DampReadsDarker,
            Wetness.Dry => 0,
        };

    /// <summary>What can't be said now, by field; nothing where it can.</summary>
    /// <param name="fact">What is said.</param>
    /// <param name="facts">What was said before.</param>
    public IReadOnlyList<Problem> Against(ReviewFact fact, IReadOnlyList<RecordedFact<ReviewFact>> facts)
    {
        ArgumentNullException.ThrowIfNull(facts);
        return fact switch
        {
            LevelRead when State is null => [new("fact", "Say first whether it is wet, damp or dry, and the light.")],
            LevelRead r when WithinAttribute.Outside(r, "fact").ToArray() is { Length: > 0 } outside => outside,
            LevelRead r when !Enum.IsDefined(r.Zone) => [new("fact.zone", "There is no such zone.")],
            LevelRead { Undertone: { } seen } when Undertone.LevelOf(seen) is null =>
            [
                new("fact.undertone", $"One of: {string.Join(", ", Undertone.All)}."),
            ],
            LessonSaid n when string.IsNullOrWhiteSpace(n.Words) || n.Words.Length > LessonSaid.Longest =>
            [
                new("fact.words", $"Between 1 and {LessonSaid.Longest} letters."),
            ],
            Decided { What: Review.Decision.CorrectFirst } when Stretch != StretchTest.SpringsBack =>
            [
                new("fact.what", "Stretch a wet strand first: only hair that springs back is lifted again today."),
            ],
            Unsaid u when facts.All(f => f.Number != u.Number) => [new("fact.number", "There is no such fact.")],
            Unsaid u when facts.Any(f => f.Fact is Unsaid b && b.Number == u.Number) =>
            [
                new("fact.number", "It was taken back already."),
            ],
            Unsaid u when facts[u.Number - 1].Fact is Unsaid => [new("fact.number", "This can't be taken back.")],
            _ => [],
        };
    }

    private ReviewInHand With(RecordedFact<ReviewFact> kept) =>
        kept.Fact switch
        {
            StateSaid s => this with { State = s },
            Walked { Seen: true } w => this with { Seen = Seen.Add(w.Place) },
            Walked w => this with { Seen = Seen.Remove(w.Place) },
            LevelRead r => this with
            {
                Readings = Readings.SetItem(
                    (r.Zone, r.Depth),
                    new(
                        r.Zone,
                        r.Depth,
                        r.Level.Value,
                        Level.Clamp(r.Level.Value + ReadsDarker(State?.Wetness ?? Wetness.Dry)).Value,
                        r.Evenness,
                        kept.At,
                        r.Spread,
                        r.Undertone
                    )
                ),
            },
            PlaceMarked { Is: true } p => this with { Marked = Marked.Add((p.Panel, p.What)) },
            PlaceMarked p => this with { Marked = Marked.Remove((p.Panel, p.What)) },
            LessonKept { Keeps: true } l => this with { Lessons = Lessons.Add((l.Cause, l.Zone)) },
            LessonKept l => this with { Lessons = Lessons.Remove((l.Cause, l.Zone)) },
            LessonSaid n => this with { Notes = Notes.Add((kept.Number, n.Words.Trim())) },
            Stretched s => this with
            {
                Stretch = s.How,
                // What does not spring back is not lifted again today, whatever was meant.
                Decision =
                    s.How != StretchTest.SpringsBack && Decision == Review.Decision.CorrectFirst ? null : Decision,
            },
            Decided d => this with { Decision = d.What },
            _ => this,
        };
}
