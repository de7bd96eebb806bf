using Wendro.Core.Consult;
using Wendro.Core.Hair;
using Wendro.Core.Lift;
using Wendro.Core.Paint;

namespace Wendro.Core.Tests.Consult;

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
