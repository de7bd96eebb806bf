using Wendro.Blend;
using Wendro.Care;
using Wendro.Consult;
using Wendro.Hair;
using Wendro.Units;

namespace Wendro.Tests.Consult;

/// <summary>How a verdict is said to the artist and to the client, and the sum it shows.</summary>
public sealed class VerdictWordsTests
{
    private static readonly DateTimeOffset Now = new(2031, 5, 6, 9, 0, 0, TimeSpan.Zero);
    private static readonly OwnLift AsTabled = new(1, 0, 0.05, 0.1, 0);
    private static readonly HairProfile Six = HairProfile.Usual with { NaturalLevel = new(6) };

    private static Verdict Of(HairProfile hair, double ends, Consultation? consultation = null) =>
        Verdict.Of(hair, new Goal { EndsLevel = new(ends) }, consultation ?? new(MinutesToday: 300), 50, Now);

    private static HairProfile With(BandState state, double level, double? warmth = null) =>
        Six with
        {
            History = [new(0, 4, BandState.Natural, new(6)), new(4, 34, state, new(level), Warmth: warmth)],
        };

    private static string Ground(Verdict verdict, string what) => verdict.Grounds.Single(g => g.What == what).Value;

    [Theory]
    [InlineData(BandState.Natural, "Natural 5.0 lifts to ", false)]
    [InlineData(BandState.Coloured, "Old colour at 5.0 lifts to ", true)]
    [InlineData(BandState.Lightened, "Lightened ends at 5.0 lifts to ", false)]
    public void The_text_begins_with_what_the_ends_are(BandState state, string begins, bool heldBack)
    {
        var verdict = Of(With(state, 5), 6.5);
        Assert.StartsWith(begins, verdict.Text, StringComparison.Ordinal);
        Assert.Equal(heldBack, verdict.Text.Contains("Old colour holds it back", StringComparison.Ordinal));
        Assert.Equal(
            state switch
            {
                BandState.Natural => "level 5.0",
                BandState.Coloured => "level 5.0, coloured",
                _ => "level 5.0, lightened",
            },
            Ground(verdict, "Ends today")
        );
        Assert.StartsWith(
            state == BandState.Natural
                ? "what the product lifts"
                : $"{Wendro.Lift.LiftTables.LevelsAVisit:0} levels: hair was treated",
            Ground(verdict, "Most a visit"),
            StringComparison.Ordinal
        );
    }

    [Fact]
    public void Untested_hair_is_promised_less_and_both_are_told_so()
    {
        var untested = Of(Six, 8);
        var first = untested.Visits[0];
        Assert.True(first.Promised < first.Level.Level - 0.3);
        Assert.Contains(
            $" Promise {first.Promised:0.0}: a strand test makes the band narrower.",
            untested.Text,
            StringComparison.Ordinal
        );
        Assert.StartsWith(
            $"Today I can promise level {first.Promised:0.#}, from level 6; most likely it reaches 8. A strand test",
            untested.WordsForTheClient,
            StringComparison.Ordinal
        );
        Assert.StartsWith("the lower edge of the band", Ground(untested, "Promised"), StringComparison.Ordinal);

        var tested = Of(Six with { Own = AsTabled }, 8);
        Assert.DoesNotContain("Promise", tested.Text, StringComparison.Ordinal);
        Assert.StartsWith(
            "Today your hair can go from level 6 to about level 8, give or take ",
            tested.WordsForTheClient,
            StringComparison.Ordinal
        );
        Assert.Equal("what the strand test shows", Ground(tested, "Promised"));
        Assert.Contains(first.Undertone, untested.WordsForTheClient, StringComparison.Ordinal);
    }

    [Fact]
    public void Today_is_only_said_where_it_is_reached_in_one_visit_and_in_time()
    {
        var inTime = Of(Six with { Own = AsTabled }, 8);
        Assert.True(inTime.Today);
        Assert.Equal("Level 8 today.", inTime.Title);
        Assert.DoesNotContain("min; there are", inTime.Text, StringComparison.Ordinal);

        // What it needs is painting, the leaflet's longest and an hour around: exactly that much time is enough.
        var exact = Of(Six with { Own = AsTabled }, 8, new(MinutesToday: inTime.MinutesNeeded));
        Assert.Equal(50 + Wendro.Lift.LiftTables.LeafletLimitMinutes + 60, inTime.MinutesNeeded);
        Assert.True(exact.Today);
        var late = Of(Six with { Own = AsTabled }, 8, new(MinutesToday: inTime.MinutesNeeded - 1));
        Assert.False(late.Today);
        Assert.Equal("Level 8 in one visit, not in today's time.", late.Title);
        Assert.EndsWith(
            $" It needs {late.MinutesNeeded:0} min; there are {late.MinutesNeeded - 1:0}.",
            late.Text,
            StringComparison.Ordinal
        );
        Assert.Equal(
            $"Level {Of(Six, 8).Visits[0].Promised:0.#} in one visit, likely 8; not in today's time.",
            Of(Six, 8, new(MinutesToday: 100)).Title
        );
    }

    [Fact]
    public void Several_visits_are_said_with_weeks_and_how_many()
    {
        var coloured = With(BandState.Coloured, 4) with { Own = AsTabled };
        var verdict = Of(coloured, 9, new(MinutesToday: 400, WeeksBetween: 9));
        Assert.True(verdict.Visits.Count is > 1 and <= 5);
        var number = new[] { "", "one", "two", "three", "four", "five" }[verdict.Visits.Count];
        Assert.Contains($" in {number} visits.", verdict.Title, StringComparison.Ordinal);
        Assert.Contains(
            $" The next visit, 9 weeks later, reaches {verdict.Visits[1].Level.Level:0.0}.",
            verdict.Text,
            StringComparison.Ordinal
        );
        Assert.Contains(
            $"please plan {number} visits, 9 weeks apart",
            verdict.WordsForTheClient,
            StringComparison.Ordinal
        );
        Assert.False(verdict.Today);
        Assert.Contains(verdict.Grounds, g => g.What == "Visit 1");
        Assert.Contains(verdict.Grounds, g => g.What == "Visit 2, 9 weeks later");

        // Hair rests six weeks, however often she comes.
        Assert.Equal(6, Of(coloured, 9, new(WeeksBetween: 3)).Visits[1].WeeksAfter);
        Assert.Equal("6 weeks", Ground(Of(coloured, 9, new(WeeksBetween: 3)), "Between visits"));
    }

    [Fact]
    public void What_is_out_of_reach_is_said_with_the_lightest_that_is_safe()
    {
        var slow = Six with { NaturalLevel = new(2), Diameter = Diameter.Coarse, Own = new(0.4, -4, 0.05, 0.1, 0) };
        var verdict = Of(slow, 10);
        var most = verdict.Visits[^1].Level.Level;
        Assert.InRange(most, 2, 10 - Verdict.Tolerance);
        Assert.StartsWith($"Level {most:0.#} at most, in ", verdict.Title, StringComparison.Ordinal);
        Assert.EndsWith(verdict.Visits.Count == 1 ? "visit." : "visits.", verdict.Title, StringComparison.Ordinal);
        Assert.Contains(
            verdict.Visits.Count > 1
                ? $"level {most:0.#}, the lightest that is safe,"
                : "Level 10 is more than your hair can safely give.",
            verdict.WordsForTheClient,
            StringComparison.Ordinal
        );
    }

    [Fact]
    public void Where_nothing_needs_lifting_or_nothing_lifts_there_is_no_visit()
    {
        var there = Of(Six with { NaturalLevel = new(9) }, 8);
        Assert.Empty(there.Visits);
        Assert.Equal("Level 8 is there already.", there.Title);
        Assert.StartsWith("The ends are at 9.0", there.Text, StringComparison.Ordinal);
        Assert.StartsWith("Your ends are already", there.WordsForTheClient, StringComparison.Ordinal);
        Assert.Equal(110, there.MinutesNeeded);
        Assert.Equal("Level 9 is there already.", Of(Six with { NaturalLevel = new(9) }, 9).Title);

        var stuck = Of(Six with { NaturalLevel = new(9.9), Own = new(0.1, -5, 0.05, 0.1, 0) }, 10);
        Assert.Empty(stuck.Visits);
        Assert.Equal("Level 10 can't be reached.", stuck.Title);
    }

    [Fact]
    public void Warm_ends_the_kit_and_the_leaflet_are_told_to_the_client()
    {
        const string Warmer = "Your ends are warmer than usual";
        Assert.Contains(Warmer, Of(With(BandState.Lightened, 6, 0.31), 8).WordsForTheClient, StringComparison.Ordinal);
        Assert.DoesNotContain(
            Warmer,
            Of(With(BandState.Lightened, 6, 0.3), 8).WordsForTheClient,
            StringComparison.Ordinal
        );
        Assert.DoesNotContain(Warmer, Of(Six, 8).WordsForTheClient, StringComparison.Ordinal);
        const string Kit = "Follow the kit's leaflet. ";
        Assert.Contains(Kit, Of(Six, 8, new(AtHome: true)).WordsForTheClient, StringComparison.Ordinal);
        var words = Of(Six, 8).WordsForTheClient;
        Assert.DoesNotContain(Kit, words, StringComparison.Ordinal);
        Assert.EndsWith(Cautions.LeafletFirst, words, StringComparison.Ordinal);
    }

    [Fact]
    public void Own_figures_are_read_where_a_strand_was_tested_and_assumed_where_not()
    {
        Assert.Equal("read", Of(Six with { Own = AsTabled }, 8).Grounds.Single(g => g.What == "Own speed").Kind);
        Assert.Equal("read", Of(Six with { Own = AsTabled }, 8).Grounds.Single(g => g.What == "Own cap").Kind);
        Assert.Equal("model", Of(Six, 8).Grounds.Single(g => g.What == "Own speed").Kind);
        Assert.Equal("model", Of(Six, 8).Grounds.Single(g => g.What == "Own cap").Kind);
        Assert.Equal("hold the truth 8 times of ten", Ground(Of(Six, 8), "Bands"));
    }

    [Fact]
    public void A_stop_is_said_to_the_client_in_plain_words()
    {
        var verdict = Of(Six, 8, new(Scalp: Scalp.Irritated));
        Assert.Equal("Scalp: irritated. No lightener while the scalp is irritated. Another day.", verdict.Text);
        Assert.Equal(
            "We will not lighten your hair today. No lightener while the scalp is irritated. Another day. "
                + "We look at it together again when that is settled.",
            verdict.WordsForTheClient
        );
    }
}
