using CsCheck;
using Wendro.Colour;
using Wendro.Lift;
using Wendro.Mix;
using Wendro.Toning;
using Wendro.Units;

namespace Wendro.Tests.Toning;

/// <summary>A toning is what was chosen and what happened, nothing else.</summary>
public sealed class ToningInHandTests
{
    private static ToneArea Area(int id, double minutes = 10, string name = "Ends") =>
        new(
            id,
            name,
            new(0.6, null, true),
            new(new([new("Gloss", new(8), Reflect.Beige, 1)]), ColourBase.Gloss, new(5), 1),
            new(minutes)
        );

    private static RecordedFact<ToneFact>[] Kept(params (double Minute, ToneFact Fact)[] facts) =>
        facts
            .Select((f, i) => new RecordedFact<ToneFact>(i + 1, Apply.ChairDay.Start.AddMinutes(f.Minute), f.Fact))
            .ToArray();

    private static ToningInHand Of(params (double Minute, ToneFact Fact)[] facts) => ToningInHand.Of(Kept(facts));

    private static readonly TonePlanned Two = new(new([Area(1), Area(2, 8, "Face")]));

    [Fact]
    public void An_area_is_on_from_its_moment_until_it_is_rinsed_and_then_all_is_done()
    {
        var on = Of((0, Two), (1, new PutOn(1)), (4, new PutOn(2)), (9, new WipedClean(1, WipeResult.NotYet)));
        Assert.True(on.StandOf(1).IsOn && on.StandOf(2).IsOn);
        Assert.Equal(WipeResult.NotYet, on.StandOf(1).Looks);
        Assert.Null(on.StandOf(1).WasOnMinutes);
        Assert.False(on.IsDone);
        var off = Of((0, Two), (1, new PutOn(1)), (4, new PutOn(2)), (11.5, new TakenOff(1)), (12, new TakenOff(2)));
        Assert.Equal(10.5, off.StandOf(1).WasOnMinutes);
        Assert.True(off.IsDone);
        Assert.False(new ToningInHand().IsDone);
    }

    [Fact]
    public void A_bowl_is_weighed_as_any_and_anew_once_another_is_chosen()
    {
        var recipe = new Recipe([new(Role.Colour, "gloss", "Gloss", 6), new(Role.Developer, "developer", "Mild", 6)]);
        static BowlWeighed Pour(int area, int ingredient, double grams) =>
            new(area, new Poured(ingredient, grams, Weighed.Typed));
        var over = Of((0, Two), (1, Pour(1, 0, 9)));
        Assert.Equal(0, over.BowlOf(1, recipe).Over);
        Assert.Null(over.BowlOf(2, recipe).Over);
        var restored = Of((0, Two), (1, Pour(1, 0, 9)), (2, new BowlWeighed(1, new Restored())), (3, Pour(1, 1, 9)));
        Assert.True(restored.BowlOf(1, recipe).IsDone);
        Assert.Equal(18, restored.BowlOf(1, recipe).PouredGrams, 1e-9);
        // Its minutes may change; another bowl begins empty.
        Assert.True(Of((0, Two), (1, Pour(1, 0, 6)), (2, Two)).BowlOf(1, recipe).PouredGrams > 0);
        var other = Area(1) with { Bowl = Area(1).Bowl with { DeveloperParts = 2 } };
        Assert.Equal(
            0,
            Of((0, Two), (1, Pour(1, 0, 6)), (2, new TonePlanned(new([other])))).BowlOf(1, recipe).PouredGrams
        );
        // What is on isn't weighed, and a pour is taken back at its bowl.
        Assert.NotEmpty(Of((0, Two), (1, new PutOn(1))).Against(Pour(1, 0, 6)));
        Assert.NotEmpty(Of((0, Two)).Against(Pour(3, 0, 6)));
        Assert.NotEmpty(Of((0, Two), (1, Pour(1, 0, 6))).Against(new ToneUnsaid(2)));
    }

    [Fact]
    public void What_can_not_be_is_refused_with_a_word()
    {
        var planned = Of((0, Two));
        Assert.NotEmpty(planned.Against(new PutOn(3)));
        Assert.NotEmpty(planned.Against(new TakenOff(1)));
        Assert.NotEmpty(planned.Against(new WipedClean(1, WipeResult.There)));
        Assert.Empty(planned.Against(new PutOn(1)));
        var on = Of((0, Two), (1, new PutOn(1)));
        Assert.NotEmpty(on.Against(new PutOn(1)));
        // On, it stays what and where it is; how long, and all else, may still change.
        Assert.NotEmpty(on.Against(new TonePlanned(new([Area(2)]))));
        Assert.NotEmpty(on.Against(new TonePlanned(new([Area(1, 10, "Tips"), Area(2, 8, "Face")]))));
        Assert.Empty(on.Against(new TonePlanned(new([Area(1, 14)]))));
        // Only the last thing said is taken back.
        Assert.NotEmpty(on.Against(new ToneUnsaid(1)));
        Assert.Empty(on.Against(new ToneUnsaid(2)));
        var back = Of((0, Two), (1, new PutOn(1)), (2, new ToneUnsaid(2)));
        Assert.Null(back.StandOf(1).OnAt);
        Assert.Equal(1, back.Last!.Number);
    }

    public static TheoryData<string, TonePlan> Impossible =>
        new()
        {
            { "areas", new([Area(1), Area(1)]) },
            { "areas[0].id", new([Area(0)]) },
            { "areas[0].name", new([Area(1, 10, "")]) },
            { "areas[0].minutes", new([Area(1, 0.2)]) },
            { "areas[0].along.to", new([Area(1) with { Along = new(0.6, 0.5, true) }]) },
            { "areas[0].along.from", new([Area(1) with { Along = new(1.5, null, true) }]) },
            { "areas[0].along.edgeCm", new([Area(1) with { Along = new(0, null, false, 40) }]) },
            { "areas[0].zones", new([Area(1) with { Zones = [] }]) },
            { "areas[0].wanted.tone", new([Area(1) with { Wanted = new(3) }]) },
            { "areas[0].bowl.volume", new([Area(1) with { Bowl = Area(1).Bowl with { Volume = new(30) } }]) },
            { "areas[0].bowl.shades", new([Area(1) with { Bowl = Area(1).Bowl with { Shades = new([]) } }]) },
            { "areas[0].bowl.developerParts", new([Area(1) with { Bowl = Area(1).Bowl with { DeveloperParts = 0 } }]) },
            { "areas", new(Enumerable.Range(1, TonePlan.Most + 1).Select(i => Area(i)).ToArray()) },
        };

    [Theory]
    [MemberData(nameof(Impossible))]
    public void Every_wrong_value_is_named_by_its_field(string field, TonePlan plan) =>
        Assert.Contains(ToneChecks.Of(plan), p => p.Field == field);

    private static readonly Gen<ToneFact> GenFact = Gen.OneOf<ToneFact>(
        Gen.Int[1, 3]
            .Select(n => (ToneFact)new TonePlanned(new(Enumerable.Range(1, n).Select(i => Area(i)).ToArray()))),
        Gen.Int[1, 3].Select(a => (ToneFact)new PutOn(a)),
        Gen.Int[1, 3].Select(a => (ToneFact)new TakenOff(a)),
        Gen.Int[1, 3].Select(a => (ToneFact)new WipedClean(a, WipeResult.There)),
        Gen.Int[1, 12].Select(n => (ToneFact)new ToneUnsaid(n))
    );

    [Fact]
    public void Whatever_is_said_nothing_is_rinsed_that_is_not_on_and_taking_back_all_leads_to_nothing() =>
        GenFact
            .Array[0, 14]
            .Sample(said =>
            {
                var kept = new List<RecordedFact<ToneFact>>();
                foreach (var fact in said)
                {
                    if (ToningInHand.Of(kept).Against(fact).Count == 0)
                    {
                        kept.Add(new(kept.Count + 1, Apply.ChairDay.Start.AddMinutes(kept.Count), fact));
                    }
                }

                var toning = ToningInHand.Of(kept);
                foreach (var stand in toning.Stands.Values)
                {
                    Assert.True(stand.OnAt is not null);
                    Assert.True(stand.OffAt is null || stand.OffAt >= stand.OnAt);
                }

                while (ToningInHand.Of(kept).Last is { } last)
                {
                    kept.Add(new(kept.Count + 1, Apply.ChairDay.Start.AddHours(1), new ToneUnsaid(last.Number)));
                }

                Assert.Equal(TonePlan.Nothing, ToningInHand.Of(kept).Plan);
                Assert.Empty(ToningInHand.Of(kept).Stands);
            });
}
