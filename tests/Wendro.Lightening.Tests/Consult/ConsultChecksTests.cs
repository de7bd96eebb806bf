using Wendro.Consult;
using Wendro.Hair;
using Wendro.Head;
using Wendro.Lift;
using Wendro.Paint;

namespace Wendro.Tests.Consult;

public sealed class ConsultChecksTests
{
    private static readonly DateTimeOffset Now = new(2031, 5, 6, 9, 0, 0, TimeSpan.Zero);

    public static TheoryData<Consultation, string> Wrong =>
        new()
        {
            { new(Patch: new(Now.AddMinutes(1), PatchResult.Waiting)), "patch.at" },
            { new(MinutesToday: 10), "minutesToday" },
            { new(MinutesToday: double.NaN), "minutesToday" },
            { new(WeeksBetween: 100), "weeksBetween" },
            {
                new(Strand: new(Lightener.Clay, new(30), Covering.Open, [new(new(10), new(5)), new(new(0), new(5))])),
                "strand.readings[1].minutes"
            },
            { new(Overrides: [new("patch", "  ", Now)]), "overrides[0].reason" },
            { new(Words: new string('x', 5_000)), "words" },
        };

    [Theory]
    [MemberData(nameof(Wrong))]
    public void A_wrong_answer_is_named_by_its_field(Consultation consultation, string field) =>
        Assert.Equal(field, Assert.Single(ConsultChecks.Of(consultation, Now)).Field);

    private static readonly Wendro.Paint.Covering Air = Wendro.Paint.Covering.Open;

    public static TheoryData<Consultation, string[]> Lists =>
        new()
        {
            { new(Overrides: [null!, new("patch", "", Now), null!]), ["overrides[0]", "overrides[2]"] },
            { new(Patches: [null!]), ["patches[0]"] },
            { new(Strand: new(Lightener.Clay, new(30), Air, [null!])), ["strand.readings[0]"] },
            { new(Patches: [.. Enumerable.Repeat(new PatchTest(Now, PatchResult.Clear), 6)]), [] },
            { new(Patches: [.. Enumerable.Repeat(new PatchTest(Now, PatchResult.Clear), 7)]), ["patches"] },
            { new(Patch: new(Now, PatchResult.Clear, new string('x', 60), new string('y', 40))), [] },
            {
                new(Patch: new(Now, PatchResult.Clear, new string('x', 61), new string('y', 41))),
                ["patch.product", "patch.lot"]
            },
            { new(Strand: new(Lightener.Clay, new(30), Air, Readings(40))), [] },
            { new(Strand: new(Lightener.Clay, new(30), Air, Readings(41))), ["strand.readings"] },
            { new(Overrides: [new("patch", new string('x', 300), Now)]), [] },
            { new(Overrides: [new("patch", new string('x', 301), Now)]), ["overrides[0].reason"] },
            { new(Words: new string('x', 4_000)), [] },
            { new(Words: new string('x', 4_001)), ["words"] },
        };

    private static Reading[] Readings(int count) => [.. Enumerable.Repeat(new Reading(new(10), new(6)), count)];

    [Theory]
    [MemberData(nameof(Lists))]
    public void Lists_and_texts_are_taken_up_to_their_length(Consultation consultation, string[] fields) =>
        Assert.Equal(fields, ConsultChecks.Of(consultation, Now).Select(p => p.Field));

    private static Mark At(double radius, MarkKind kind = MarkKind.Cowlick) => new(kind, 0, 0, radius);

    public static TheoryData<HairProfile, string[]> Hairs =>
        new()
        {
            { HairProfile.Usual with { History = [null!] }, ["history[0]"] },
            { HairProfile.Usual with { Marked = [At(2), null!] }, ["marked[1]"] },
            { HairProfile.Usual with { Marked = [.. Enumerable.Repeat(At(2), 24)] }, [] },
            { HairProfile.Usual with { Marked = [.. Enumerable.Repeat(At(2), 25)] }, ["marked"] },
            { HairProfile.Usual with { Marked = [At(2), At(13)] }, ["marked[1].radiusCm"] },
            { HairProfile.Usual with { Marked = [At(2), At(2, (MarkKind)99)] }, ["marked[1].kind"] },
            { HairProfile.Usual with { Own = new(20, 0, 0.1, 0.1, 0) }, ["own.speed"] },
            { HairProfile.Usual with { History = Bands(12) }, [] },
            { HairProfile.Usual with { History = Bands(13) }, ["history"] },
            { Differs(Zone.Nape, new(GreyShare: 2)), ["byZone.nape.greyShare"] },
            { Differs(Zone.Nape, null!), ["byZone.nape"] },
            { Differs((Zone)99, new()), ["byZone.99"] },
            { Differs(Zone.SideLeft, new(GreyShare: 0.4)), [] },
        };

    private static HairProfile Differs(Zone zone, ZoneHair there) =>
        HairProfile.Usual with
        {
            ByZone = new Dictionary<Zone, ZoneHair> { [zone] = there },
        };

    private static Band[] Bands(int count) =>
        [.. Enumerable.Range(0, count).Select(i => new Band(i * 2, i * 2 + 2, BandState.Natural, new(5)))];

    [Theory]
    [MemberData(nameof(Hairs))]
    public void Hair_that_cant_be_is_named_by_its_field(HairProfile hair, string[] fields) =>
        Assert.Equal(fields, ConsultChecks.Of(hair).Select(p => p.Field));

    [Fact]
    public void Nothing_asked_and_everything_usual_are_taken()
    {
        Assert.Empty(ConsultChecks.Of(Consultation.Fresh, Now));
        Assert.Empty(ConsultChecks.Of(HairProfile.Usual));
    }

    [Theory]
    [InlineData(3, 0, "cut.hemCm")]
    [InlineData(34, 1.5, "greyShare")]
    public void Wrong_hair_is_named_by_its_field(double hem, double grey, string field) =>
        Assert.Equal(
            field,
            Assert.Single(ConsultChecks.Of(HairProfile.Usual with { Cut = new(hem), GreyShare = grey })).Field
        );

    [Fact]
    public void Bands_are_named_by_place() =>
        Assert.Contains(
            ConsultChecks.Of(
                HairProfile.Usual with
                {
                    History = [new(0, 3, BandState.Natural, new(5)), new(5, 34, BandState.Coloured, new(5))],
                }
            ),
            p => p.Field == "history[1].fromCm"
        );
}
