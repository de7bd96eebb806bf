using Wendro.Units;

namespace Wendro.Record;

/// <summary>What was said at putting a visit away, as it stands. Pure: the same facts always give the same.</summary>
public sealed record RecordInHand
{
    /// <summary>How long the steps of a plan can still be undone once its visit was put away. Our own choice.</summary>
    public static readonly TimeSpan SettlesAfter = TimeSpan.FromDays(30);

    /// <summary>The sentence the artist added; null for none.</summary>
    public string? Words { get; private init; }

    /// <summary>How it was styled; null where nobody said.</summary>
    public string? Styled { get; private init; }

    /// <summary>After-care in own words; null as written.</summary>
    public string? Care { get; private init; }

    /// <summary>When after-care was given; null while it wasn't.</summary>
    public DateTimeOffset? CareGivenAt { get; private init; }

    /// <summary>When the visit was put away; null while it wasn't.</summary>
    public DateTimeOffset? PutAwayAt { get; private init; }

    /// <summary>Whether its own work is done: the record is put away.</summary>
    public bool IsDone => PutAwayAt is not null;

    /// <summary>Whether it was put away so long ago that nobody goes back a step in its plan.</summary>
    /// <param name="now">When that is asked.</param>
    /// <param name="changedAt">When the plan was changed last: somebody may be at work on it again.</param>
    public bool HasSettled(DateTimeOffset now, DateTimeOffset changedAt) =>
        PutAwayAt is { } at && now - (changedAt > at ? changedAt : at) >= SettlesAfter;

    /// <summary>All that was said, as it stands.</summary>
    public static RecordInHand Of(IReadOnlyList<RecordedFact<RecordFact>> facts)
    {
        ArgumentNullException.ThrowIfNull(facts);
        return facts.Aggregate(
            new RecordInHand(),
            (kept, f) =>
                f.Fact switch
                {
                    WordsSaid w => kept with { Words = Said(w.Words) },
                    StyledSaid s => kept with { Styled = Said(s.Words) },
                    CareWorded c => kept with { Care = Said(c.Words) },
                    CareGiven g => kept with { CareGivenAt = g.Is ? f.At : null },
                    VisitClosed p => kept with { PutAwayAt = p.Is ? f.At : null },
                    _ => kept,
                }
        );
    }

    /// <summary>What can't be said, by field; nothing where it can.</summary>
    public static IReadOnlyList<Problem> Against(RecordFact fact) =>
        fact switch
        {
            WordsSaid { Words.Length: > RecordFact.Longest } or StyledSaid { Words.Length: > RecordFact.Longest } =>
            [
                new("fact.words", $"Up to {RecordFact.Longest} letters."),
            ],
            WordsSaid { Words: null } or StyledSaid { Words: null } => [new("fact.words", "Words, or none: \"\".")],
            CareWorded { Words.Length: > RecordFact.LongestCare } =>
            [
                new("fact.words", $"Up to {RecordFact.LongestCare} letters."),
            ],
            _ => [],
        };

    private static string? Said(string? words) => string.IsNullOrWhiteSpace(words) ? null : words.Trim();
}
