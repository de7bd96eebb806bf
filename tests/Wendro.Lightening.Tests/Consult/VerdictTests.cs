using CsCheck;
using Wendro.Blend;
using Wendro.Care;
using Wendro.Consult;
using Wendro.Hair;
using Wendro.Lift;

namespace Wendro.Tests.Consult;

public sealed class VerdictTests
{
    private static readonly DateTimeOffset Now = new(2031, 5, 6, 9, 0, 0, TimeSpan.Zero);

    private static Verdict Of(HairProfile hair, double ends, Consultation? consultation = null) =>
        Verdict.Of(hair, new Goal { EndsLevel = new(ends) }, consultation ?? Consultation.Fresh, 50, Now);

    [Fact]
    public void Sound_natural_hair_reaches_a_modest_goal_today()
    {
        var untested = Of(HairProfile.Usual with { NaturalLevel = new(6) }, 8);
        Assert.True(untested.Today);
        var today = Assert.Single(untested.Visits);
        Assert.InRange(today.Level.Level, 7.7, 8.4);

        // Untested, the lower edge is promised; a test of a strand that lifts as tabled promises what it shows.
        Assert.Equal(today.Level.Low, today.Promised, 1e-9);
        Assert.Equal($"Level {today.Promised:0.#} today, likely 8.", untested.Title);
        var tested = Of(HairProfile.Usual with { NaturalLevel = new(6), Own = new(1, 0, 0.05, 0.1, 0) }, 8);
        Assert.Equal("Level 8 today.", tested.Title);
    }

    [Fact]
    public void Coloured_ends_far_from_the_goal_take_several_visits_each_further()
    {
        var hair = HairProfile.Usual with
        {
            NaturalLevel = new(3),
            History = [new(0, 4, BandState.Natural, new(3)), new(4, 34, BandState.Coloured, new(3))],
        };
        var verdict = Of(hair, 9);
        Assert.False(verdict.Today);
        Assert.True(verdict.Visits.Count > 1);
        Assert.All(
            verdict.Visits.Zip(verdict.Visits.Skip(1)),
            p => Assert.Equal(p.First.Level.Level, p.Second.From, 1e-9)
        );
        Assert.All(verdict.Visits, v => Assert.True(v.Level.Level - v.From <= LiftTables.LevelsAVisit + 0.1));
        Assert.All(verdict.Visits.Skip(1), v => Assert.True(v.WeeksAfter >= Verdict.LeastWeeks));
    }

    [Fact]
    public void Already_there_needs_no_visit() =>
        Assert.Contains(
            "already",
            Of(HairProfile.Usual with { NaturalLevel = new(9) }, 8).Title,
            StringComparison.Ordinal
        );

    [Fact]
    public void A_stop_comes_before_everything()
    {
        var verdict = Of(HairProfile.Usual, 8, new Consultation(Salts: Salts.Yes));
        Assert.Equal("Not today.", verdict.Title);
        Assert.Empty(verdict.Visits);
        Assert.DoesNotContain("level", verdict.WordsForTheClient, StringComparison.OrdinalIgnoreCase);
    }

    [Fact]
    public void Too_little_time_is_said_and_the_hairline_advised()
    {
        var verdict = Of(HairProfile.Usual with { NaturalLevel = new(6) }, 8, new Consultation(MinutesToday: 60));
        Assert.False(verdict.Today);
        Assert.Contains("there are 60", verdict.Text, StringComparison.Ordinal);
        Assert.Equal("Express hairline", verdict.Advised.Technique);
    }

    [Fact]
    public void The_strand_test_narrows_the_band_that_is_promised()
    {
        double Width(HairProfile hair)
        {
            var level = Of(hair, 8).Visits[0].Level;
            return level.High - level.Low;
        }

        var hair = HairProfile.Usual with { NaturalLevel = new(4) };
        var test = new StrandTest(
            Lightener.Clay,
            new(30),
            Wendro.Paint.Covering.Film,
            [new(new(10), new(5)), new(new(20), new(5.9)), new(new(35), new(6.9))]
        );
        Assert.True(Width(hair with { Own = test.OwnOf(hair) }) < Width(hair));
    }

    [Theory]
    [InlineData(Curl.Curly, "Scrunched surface light")]
    [InlineData(Curl.Straight, "Freehand in open air")]
    public void Curls_are_scrunched_straight_hair_is_painted_freehand(Curl curl, string technique)
    {
        var verdict = Of(HairProfile.Usual with { NaturalLevel = new(6), Curl = curl }, 7.5);
        Assert.Equal(technique, verdict.Advised.Technique);
        Assert.All(verdict.RuledOut, r => Assert.NotEmpty(r.Why));

        // Advice names patterns there are.
        Assert.NotEmpty(verdict.Advised.Patterns);
        Assert.All(verdict.Advised.Patterns, p => Assert.NotNull(Wendro.Patterns.StartingPatterns.Of(p)));
    }

    [Fact]
    public void Worn_straight_and_very_soft_teased_foil_is_the_soft_choice()
    {
        var soft = Verdict.Of(
            HairProfile.Usual with
            {
                NaturalLevel = new(6),
            },
            new Goal(RootSoftness: 0.4) { EndsLevel = new(7.5) },
            new Consultation(),
            60,
            Now
        );
        Assert.Equal("Teased and foiled", soft.Advised.Technique);
        Assert.Contains("high-low-foil", soft.Advised.Patterns);
    }

    [Fact]
    public void Old_stripes_ask_for_a_correction_first() =>
        Assert.StartsWith(
            "Correction",
            Of(
                HairProfile.Usual with
                {
                    History = [new(0, 6, BandState.Natural, new(5)), new(6, 34, BandState.Lightened, new(9), 0.3)],
                },
                8
            ).Advised.Technique,
            StringComparison.Ordinal
        );

    [Fact]
    public void Whatever_is_asked_there_is_a_verdict_with_grounds_and_words() =>
        Gen.Select(Gen.Double[1, 10], Gen.Double[1, 10], Gen.Enum<Condition>(), Gen.Enum<Curl>(), Gen.Double[30, 600])
            .Sample(
                (natural, goal, condition, curl, minutes) =>
                {
                    var verdict = Of(
                        HairProfile.Usual with
                        {
                            NaturalLevel = new(natural),
                            Condition = condition,
                            Curl = curl,
                        },
                        goal,
                        new Consultation(MinutesToday: minutes)
                    );
                    Assert.NotEmpty(verdict.Title);
                    Assert.True(verdict.Grounds.Count > 5);
                    Assert.All(verdict.Visits, v => Assert.True(v.Level.Level > v.From && v.Level.High <= 10));
                    Assert.True(verdict.Visits.Count <= Verdict.MostVisits);
                    Assert.True(
                        condition == Condition.Breaking
                            || verdict.Visits.Count == 0
                            || verdict.WordsForTheClient.EndsWith(Cautions.LeafletFirst, StringComparison.Ordinal)
                    );
                }
            );

    [Fact]
    public void Words_she_edited_stay_hers() =>
        Assert.Equal(
            "Come in May.",
            Of(HairProfile.Usual, 7, new Consultation(Words: "Come in May.")).WordsForTheClient
        );
}
