using System.Collections.Immutable;
using Wendro.Mix;
using Wendro.Units;

namespace Wendro.Toning;

/// <summary>How an area stands.</summary>
/// <param name="OnAt">When its toner was put on; null while it isn't.</param>
/// <param name="OffAt">When it was rinsed; null while it isn't.</param>
/// <param name="Looked">When it was last wiped and looked at; null while it wasn't.</param>
/// <param name="Looks">What it looked like then.</param>
public sealed record ToneAreaState(
    DateTimeOffset? OnAt = null,
    DateTimeOffset? OffAt = null,
    DateTimeOffset? Looked = null,
    WipeResult? Looks = null
)
{
    /// <summary>Whether toner works there.</summary>
    public bool IsOn => OnAt is not null && OffAt is null;

    /// <summary>How long it was on, minutes; null while that isn't over.</summary>
    public double? WasOnMinutes => OffAt is { } off && OnAt is { } on ? (off - on).TotalMinutes : null;
}

/// <summary>A toning as it stands. Pure: the same facts always give the same.</summary>
public sealed record ToningInHand
{
    /// <summary>How the head is to be toned.</summary>
    public TonePlan Plan { get; private init; } = TonePlan.Nothing;

    /// <summary>Areas of which something happened.</summary>
    public ImmutableDictionary<int, ToneAreaState> Stands { get; private init; } =
        ImmutableDictionary<int, ToneAreaState>.Empty;

    /// <summary>What happened to areas' bowls on the scale, in order; none once another bowl is chosen.</summary>
    public ImmutableDictionary<int, ImmutableList<BowlEvent>> Weighed { get; private init; } =
        ImmutableDictionary<int, ImmutableList<BowlEvent>>.Empty;

    /// <summary>The last fact that stands; null for none.</summary>
    public RecordedFact<ToneFact>? Last { get; private init; }

    /// <summary>Whether its own work is done: every area was put on and rinsed.</summary>
    public bool IsDone => Plan.Areas.Count > 0 && Plan.Areas.All(a => StandOf(a.Id).OffAt is not null);

    /// <summary>An area's bowl on the scale.</summary>
    /// <param name="area">The area's number.</param>
    /// <param name="recipe">What is to go into it.</param>
    public BowlInHand BowlOf(int area, Recipe recipe) => BowlInHand.Of(recipe, Weighed.GetValueOrDefault(area) ?? []);

    /// <summary>The same after something more happened to a bowl.</summary>
    public ToningInHand After(BowlWeighed weighed)
    {
        ArgumentNullException.ThrowIfNull(weighed);
        return this with
        {
            Weighed = Weighed.SetItem(weighed.Area, (Weighed.GetValueOrDefault(weighed.Area) ?? []).Add(weighed.What)),
        };
    }

    /// <summary>How an area stands.</summary>
    public ToneAreaState StandOf(int area) => Stands.GetValueOrDefault(area) ?? new();

    /// <summary>The toning after all that was chosen and happened.</summary>
    public static ToningInHand Of(IReadOnlyList<RecordedFact<ToneFact>> facts)
    {
        ArgumentNullException.ThrowIfNull(facts);
        var back = facts.Select(f => f.Fact).OfType<ToneUnsaid>().Select(u => u.Number).ToHashSet();
        return facts
            .Where(f => f.Fact is not ToneUnsaid && !back.Contains(f.Number))
            .Aggregate(new ToningInHand(), (toning, f) => toning.With(f) with { Last = f });
    }

    /// <summary>What can't be said now, by field; nothing where it can.</summary>
    /// <param name="fact">What is said.</param>
    public IReadOnlyList<Problem> Against(ToneFact fact) =>
        fact switch
        {
            TonePlanned p when ToneChecks.Of(p.Plan) is { Count: > 0 } problems => problems
                .Select(x => x with { Field = $"fact.plan.{x.Field}" })
                .ToArray(),
            TonePlanned p when Stands.Keys.FirstOrDefault(id => IsOtherThan(p.Plan, id)) is var id and > 0 =>
            [
                new("fact.plan", $"{Plan.AreaOf(id)!.Name} is on: what it is and where stays as it is."),
            ],
            PutOn p when Plan.AreaOf(p.Area) is null => [NoArea],
            BowlWeighed w when Plan.AreaOf(w.Area) is null => [NoArea],
            BowlWeighed w when StandOf(w.Area).OnAt is not null => [new("fact.area", "It is on already.")],
            PutOn p when StandOf(p.Area).OnAt is not null => [new("fact.area", "It is on already.")],
            WipedClean w when !StandOf(w.Area).IsOn => [new("fact.area", "No toner is on there.")],
            WipedClean w when !Enum.IsDefined(w.Looks) => [new("fact.looks", "One of notYet, there, tooFar.")],
            TakenOff t when !StandOf(t.Area).IsOn => [new("fact.area", "No toner is on there.")],
            ToneUnsaid when Last is { Fact: BowlWeighed } =>
            [
                new("fact.number", "What was poured is taken back at the bowl."),
            ],
            ToneUnsaid u when Last is null || u.Number != Last.Number =>
            [
                new("fact.number", "Only the last thing said can be taken back."),
            ],
            _ => [],
        };

    private static readonly Problem NoArea = new("fact.area", "There is no such area.");

    /// <summary>
    /// Whether an area on which toner went would be another by a new plan: only its minutes may still change.
    /// </summary>
    private bool IsOtherThan(TonePlan plan, int id) =>
        Plan.AreaOf(id) is { } was
        && (plan.AreaOf(id) is not { } now || (now with { Minutes = was.Minutes, Wanted = was.Wanted }) != was);

    private ToningInHand With(RecordedFact<ToneFact> kept) =>
        kept.Fact switch
        {
            // Another bowl than the one that stands on the scale is weighed anew.
            TonePlanned p => this with
            {
                Plan = p.Plan,
                Weighed = Weighed
                    .Where(w => Plan.AreaOf(w.Key)?.Bowl is { } was && p.Plan.AreaOf(w.Key)?.Bowl == was)
                    .ToImmutableDictionary(),
            },
            BowlWeighed w => After(w),
            PutOn p => Now(p.Area, new(kept.At)),
            WipedClean w => Now(w.Area, StandOf(w.Area) with { Looked = kept.At, Looks = w.Looks }),
            TakenOff t => Now(t.Area, StandOf(t.Area) with { OffAt = kept.At }),
            _ => this,
        };

    private ToningInHand Now(int area, ToneAreaState stand) => this with { Stands = Stands.SetItem(area, stand) };
}
