using Wendro.Blend;
using Wendro.Consult;
using Wendro.Hair;
using Wendro.Head;

namespace Wendro.Tests.Consult;

/// <summary>What the consultation has to say of a plan: tests missing, and regrowth before the next visit.</summary>
public sealed class ConsultFindingsTests
{
    private static readonly DateTimeOffset Now = new(2031, 5, 6, 9, 0, 0, TimeSpan.Zero);
    private static readonly PatchTest Clear = new(Now.AddDays(-3), PatchResult.Clear);
    private static readonly HairProfile Treated = HairProfile.Usual with
    {
        History = [new(0, 34, BandState.Coloured, new(5))],
    };

    private static Measures Shows(double weeks, Zone? steepest = Zone.Nape) =>
        new(8, 0.3, 1, 0.5, steepest, 0.4, 0, new Dictionary<Zone, double>(), 7, 2, 1, weeks, []);

    private static Finding[] Of(Consultation consultation, HairProfile? hair = null, double shows = 40) =>
        ConsultFindings.Of(consultation, hair ?? HairProfile.Usual, Shows(shows), new FindingLimits(), Now).ToArray();

    [Fact]
    public void A_clear_patch_and_certain_hair_miss_nothing() => Assert.Empty(Of(new(Clear)));

    [Fact]
    public void No_patch_test_is_an_alarm_that_says_what_to_do()
    {
        var found = Assert.Single(Of(new()));
        Assert.Equal(ConsultFault.TestsMissing, found.Kind);
        Assert.Equal(Severity.Alarm, found.Severity);
        Assert.Equal("Patch test: none. Do one, 48 hours before the visit.", $"{found.Text}");
        Assert.Equal(1, Assert.Single(found.Evidence).Value);
    }

    [Fact]
    public void A_strand_test_missing_on_treated_hair_is_a_caution_and_both_missing_an_alarm()
    {
        Assert.Equal(Severity.Caution, Assert.Single(Of(new(Clear), Treated)).Severity);
        var both = Assert.Single(Of(new(), Treated));
        Assert.Equal(Severity.Alarm, both.Severity);
        Assert.Equal(2, Assert.Single(both.Evidence).Value);
    }

    [Fact]
    public void A_colours_patch_test_that_nobody_read_is_missing_too()
    {
        var found = Assert.Single(
            Of(new(Clear, Patches: [new(Now.AddHours(-20), PatchResult.Waiting, "Keel demi 6 ash")]))
        );
        Assert.Equal(Severity.Alarm, found.Severity);
        Assert.StartsWith("Patch test, Keel demi 6 ash: 20 hours ago.", $"{found.Text}", StringComparison.Ordinal);
    }

    [Fact]
    public void Gone_past_with_a_reason_is_not_said_again_but_a_reaction_always_is()
    {
        Assert.Empty(Of(new(Overrides: [new("patch", "Cleared in March", Now)])));
        Assert.Equal(
            Severity.Alarm,
            Assert
                .Single(
                    Of(
                        new(
                            new(Now.AddDays(-3), PatchResult.Reacted),
                            Overrides: [new("patch", "The client insists", Now)]
                        )
                    )
                )
                .Severity
        );
    }

    [Fact]
    public void Other_questions_are_not_tests() =>
        Assert.Empty(Of(new(Clear, Salts: Salts.None), HairProfile.Usual with { Condition = Condition.Sound }));

    [Theory]
    [InlineData(8, 7, null)]
    [InlineData(8, 6.9, Severity.Note)]
    [InlineData(8, 4, Severity.Note)]
    [InlineData(8, 3.9, Severity.Caution)]
    public void Regrowth_that_shows_more_than_a_week_before_the_visit_is_said(
        double between,
        double shows,
        Severity? severity
    ) => Assert.Equal(severity, Of(new(Clear, WeeksBetween: between), shows: shows).SingleOrDefault()?.Severity);

    [Fact]
    public void Regrowth_says_by_how_much_and_points_at_the_steepest_zone()
    {
        var found = Assert.Single(Of(new(Clear, WeeksBetween: 12), shows: 5));
        Assert.Equal(ConsultFault.RegrowthShows, found.Kind);
        Assert.Equal([7.0, 5.0], found.Evidence.Select(q => q.Value));
        Assert.Equal([Zone.Nape], found.Zones);
        Assert.Equal(new Stretch(0, 1), found.Along);
        Assert.Empty(
            Assert
                .Single(ConsultFindings.Of(new(Clear, WeeksBetween: 12), HairProfile.Usual, Shows(5, null), new(), Now))
                .Zones
        );
    }
}
