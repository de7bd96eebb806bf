using Wendro.Consult;
using Wendro.Hair;

namespace Wendro.Tests.Consult;

public sealed class SafetyTests
{
    private static readonly DateTimeOffset Now = new(2031, 5, 6, 9, 0, 0, TimeSpan.Zero);
    private static readonly Consultation AllWell = new(
        new PatchTest(Now.AddDays(-3), PatchResult.Clear),
        false,
        Scalp.Calm,
        Salts.None,
        true
    );

    private static SafetyPoint Point(string question, Consultation of, HairProfile? hair = null) =>
        Safety.Of(of, hair ?? HairProfile.Usual, Now).Single(p => p.Question == question);

    [Fact]
    public void When_all_is_well_nothing_stops_and_only_the_strand_test_is_asked_for()
    {
        var points = Safety.Of(AllWell, HairProfile.Usual, Now);
        Assert.Equal("strand", Assert.Single(points, p => p.Standing != SafetyStatus.Clear).Question);
        Assert.Empty(Safety.Stops(AllWell, HairProfile.Usual, Now));
    }

    [Theory]
    [InlineData(47.9, PatchResult.Clear, SafetyStatus.Caution)]
    [InlineData(48.0, PatchResult.Clear, SafetyStatus.Clear)]
    [InlineData(60.0, PatchResult.Waiting, SafetyStatus.Caution)]
    [InlineData(1.0, PatchResult.Reacted, SafetyStatus.Stop)]
    [InlineData(900.0, PatchResult.Reacted, SafetyStatus.Stop)]
    [InlineData(5000.0, PatchResult.Clear, SafetyStatus.Caution)]
    public void A_patch_test_says_something_after_48_hours(double hours, PatchResult result, SafetyStatus standing) =>
        Assert.Equal(standing, Point("patch", AllWell with { Patch = new(Now.AddHours(-hours), result) }).Standing);

    [Fact]
    public void Salts_broken_scalp_reaction_breakage_and_children_stop()
    {
        Assert.Equal(SafetyStatus.Stop, Point("salts", AllWell with { Salts = Salts.Yes }).Standing);
        Assert.Equal(SafetyStatus.Stop, Point("scalp", AllWell with { Scalp = Scalp.Broken }).Standing);
        Assert.Equal(SafetyStatus.Stop, Point("scalp", AllWell with { Scalp = Scalp.Irritated }).Standing);
        Assert.Equal(SafetyStatus.Stop, Point("reacted", AllWell with { Reacted = true }).Standing);
        Assert.Equal(
            SafetyStatus.Stop,
            Point("condition", AllWell, HairProfile.Usual with { Condition = Condition.Breaking }).Standing
        );
        Assert.Equal(SafetyStatus.Stop, Point("age", AllWell with { Adult = false }).Standing);
    }

    [Fact]
    public void A_stop_is_not_gone_past_and_a_caution_is_with_its_reason_kept()
    {
        var salts = AllWell with { Salts = Salts.Yes, Overrides = [new("salts", "She insists", Now)] };
        Assert.Null(Point("salts", salts).Reason);
        Assert.NotEmpty(Safety.Stops(salts, HairProfile.Usual, Now));
        var patch = AllWell with
        {
            Patch = null,
            Overrides = [new("patch", "Third visit, same product, cleared in March", Now)],
        };
        Assert.Equal("Third visit, same product, cleared in March", Point("patch", patch).Reason);
        Assert.Equal(SafetyStatus.Caution, Point("patch", patch).Standing);
    }

    [Fact]
    public void Treated_hair_without_a_strand_test_is_a_caution()
    {
        var treated = HairProfile.Usual with { History = [new(0, 34, BandState.Coloured, new(5))] };
        Assert.Equal(SafetyStatus.Caution, Point("strand", AllWell, treated).Standing);
        Assert.Equal(SafetyStatus.Ask, Point("strand", AllWell).Standing);
    }

    [Fact]
    public void Nothing_asked_is_asked_for_not_stopped()
    {
        var points = Safety.Of(Consultation.Fresh, HairProfile.Usual, Now);
        Assert.DoesNotContain(points, p => p.Standing == SafetyStatus.Stop);
        Each.Of(points.Where(p => p.Standing != SafetyStatus.Clear), p => Assert.NotEmpty(p.Words));
        Assert.Equal(points.OrderBy(p => p.Standing), points);
    }

    [Fact]
    public void At_home_has_its_own_words() =>
        Assert.Contains("kit leaflet", Point("age", AllWell with { AtHome = true }).Words, StringComparison.Ordinal);

    [Fact]
    public void Each_product_has_a_patch_test_of_its_own_with_its_lot()
    {
        var colours = AllWell with
        {
            Patch = new(Now.AddDays(-3), PatchResult.Clear, "Lantern clay", "LC-118"),
            Patches =
            [
                new(Now.AddHours(-20), PatchResult.Waiting, "Keel demi 6 ash", "KD6"),
                new(Now.AddDays(-4), PatchResult.Reacted, "Pilot gloss 8 pearl"),
            ],
        };
        Assert.Equal("Patch test, Lantern clay", Point("patch", colours).Title);
        Assert.EndsWith("lot LC-118", Point("patch", colours).Answer, StringComparison.Ordinal);
        Assert.Equal(SafetyStatus.Caution, Point("patch 2", colours).Standing);
        var reacted = Point("patch 3", colours);
        Assert.Equal(SafetyStatus.Stop, reacted.Standing);
        Assert.Contains("none of Pilot gloss 8 pearl", reacted.Words, StringComparison.Ordinal);
        Assert.Contains("emergency", reacted.Words, StringComparison.Ordinal);
        Assert.Contains(
            "medical advice",
            Point("reacted", AllWell with { Reacted = true }).Words,
            StringComparison.Ordinal
        );
    }

    [Fact]
    public void Patch_tests_of_tomorrow_and_names_too_long_are_refused_at_their_field()
    {
        var problems = ConsultChecks.Of(
            AllWell with
            {
                Patches = [new(Now.AddDays(1), PatchResult.Waiting, new string('x', 61), new string('y', 41))],
            },
            Now
        );
        Assert.Equal(["patches[0].at", "patches[0].product", "patches[0].lot"], problems.Select(p => p.Field));
    }
}
