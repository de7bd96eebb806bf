using CsCheck;
using Wendro.Desk;
using Wendro.Hair;
using Wendro.Lift;
using Wendro.Units;

namespace Wendro.Tests.Desk;

/// <summary>Short lines as they are typed at the chair, and the sums that are asked both ways.</summary>
public sealed class ShortEntryTests
{
    [Theory]
    [InlineData("25 vol 60 g from 20 40", "developer", "45.0 g of 20 vol + 15.0 g of 40 vol")]
    [InlineData("25vol 60g from 20 vol and 40 vol", "developer", "45.0 g of 20 vol + 15.0 g of 40 vol")]
    [InlineData("7.5% 60 g from 6% 12%", "developer", "45.0 g of 20 vol + 15.0 g of 40 vol")]
    [InlineData("1:2 90 g", "batch", "30.0 g lightener + 60.0 g developer")]
    [InlineData("1 : 1,5  100 g", "batch", "40.0 g lightener + 60.0 g developer")]
    [InlineData("1:1.5 40 g 70 g", "rescue", "add 6.7 g lightener: 116.7 g in all")]
    [InlineData("1:1.5 40 g 50 g bowl 95", "rescue", "add 10.0 g developer: 100.0 g in all, more than the bowl holds")]
    [InlineData("3% ", "strength", "10 vol = 3 %")]
    [InlineData("20 vol", "strength", "20 vol = 6 %")]
    [InlineData("90 g", "mass", "90.0 g = 3.17 oz")]
    [InlineData("2 oz", "mass", "56.7 g = 2.00 oz")]
    [InlineData("2.5 cm", "regrowth", "2.5 cm (1.0 in) = 2.0 months")]
    [InlineData("4 months", "regrowth", "5.0 cm (2.0 in) = 4.0 months")]
    [InlineData("10-20 15-30 40-50", "rinse", "2 waves: minute 20, 50")]
    public void A_line_is_read_and_answered(string line, string sum, string result)
    {
        var read = ShortEntry.Read(line);
        Assert.Empty(read.Problems);
        Assert.Equal((sum, result), (read.Sum, read.Result.ToString()));
        Assert.NotEmpty(read.ReadAs.ToString());
        Assert.NotEmpty(read.Why.ToString());
    }

    [Fact]
    public void What_it_does_not_say_of_the_hair_is_said_back()
    {
        var time = ShortEntry.Read("5 to 8 30 vol film");
        Assert.Equal("time", time.Sum);
        Assert.Contains("clay, 30 vol, film, medium hair", time.ReadAs.ToString());
        var asked = new TimeQuestion(
            5,
            Diameter.Medium,
            Porosity.Normal,
            Lightener.Clay,
            30,
            Wendro.Paint.Covering.Film,
            8
        );
        Assert.Equal(DeskSums.Of(asked).Answer!.Minutes, ((TimeAnswer)time.Answer!).Minutes);
        var lift = ShortEntry.Read("fine coloured 5 powder 20 vol foil 35 min");
        Assert.Equal(
            new LiftQuestion(
                5,
                Diameter.Fine,
                Porosity.Normal,
                Lightener.Powder,
                20,
                Wendro.Paint.Covering.Foil,
                35,
                Coloured: true
            ),
            lift.Question
        );
        Assert.Equal("tone", ShortEntry.Read("8 pearl on 9 20 min").Sum);
        Assert.Equal("visits", ShortEntry.Read("3 to 9 visits coloured").Sum);
    }

    [Theory]
    [InlineData("")]
    [InlineData("   ")]
    [InlineData("hello")]
    [InlineData("25 vol 60 g from")]
    [InlineData("50 vol 60 g from 20 40")]
    [InlineData("15 vol 60 g from 20 40")]
    [InlineData("1:0 90 g")]
    [InlineData("1:2")]
    [InlineData("1:2 0 g")]
    [InlineData("1:2 90 g 50 g 20 g")]
    [InlineData("30-20")]
    [InlineData("pearl")]
    [InlineData("-5 g")]
    [InlineData("5 clay")]
    [InlineData("5 to 12 clay")]
    [InlineData("1e9 g")]
    public void What_makes_no_sum_gets_a_word(string line)
    {
        var read = ShortEntry.Read(line);
        Assert.Null(read.Answer);
        Assert.Equal("text", Assert.Single(read.Problems).Field);
    }

    [Fact]
    public void Every_example_works() => Each.Of(ShortEntry.Examples, e => Assert.Empty(ShortEntry.Read(e).Problems));

    [Fact]
    public void Any_text_gets_an_answer_or_a_word() =>
        Gen.OneOf(
                Gen.String,
                Gen.OneOfConst(
                        "25 vol",
                        "60 g",
                        "1:2",
                        "from",
                        "to",
                        "clay",
                        "10-20",
                        "3%",
                        "pearl",
                        "on",
                        "oz",
                        "bowl",
                        "9",
                        "visits",
                        "\u0000",
                        "1:1.5"
                    )
                    .List[0, 8]
                    .Select(l => string.Join(' ', l))
            )
            .Sample(text =>
            {
                var read = ShortEntry.Read(text);
                Assert.Equal(read.Answer is null, read.Problems.Count > 0);
            });

    [Fact]
    public void Units_come_back_exactly() =>
        Gen.Double[0.001, 3000]
            .Sample(x =>
            {
                Assert.Equal(
                    x,
                    DeskSums
                        .Of(new MassQuestion(Ounces: DeskSums.Of(new MassQuestion(x)).Answer!.Ounces))
                        .Answer!.Grams,
                    1e-9 * x
                );
                Assert.Equal(x, Customary.OuncesOf(Customary.GramsOf(x)), 1e-12 * x);
                var volume = Math.Min(x, 100);
                Assert.Equal(
                    volume,
                    DeskSums
                        .Of(new StrengthQuestion(Percent: DeskSums.Of(new StrengthQuestion(volume)).Answer!.Percent))
                        .Answer!.Volume,
                    1e-9
                );
                var cm = Math.Min(x, 200);
                Assert.Equal(
                    cm,
                    DeskSums
                        .Of(new RegrowthQuestion(Months: DeskSums.Of(new RegrowthQuestion(cm)).Answer!.Months))
                        .Answer!.Cm,
                    1e-9
                );
            });

    [Fact]
    public void One_of_two_has_to_be_given()
    {
        Assert.NotEmpty(DeskSums.Of(new MassQuestion()).Problems);
        Assert.NotEmpty(DeskSums.Of(new MassQuestion(1, 1)).Problems);
        Assert.NotEmpty(DeskSums.Of(new StrengthQuestion(Volume: double.NaN)).Problems);
        Assert.NotEmpty(DeskSums.Of(new RegrowthQuestion(Cm: -1)).Problems);
    }

    [Fact]
    public void Treated_hair_takes_more_visits_than_sound_hair_and_each_goes_on_from_the_last()
    {
        VisitsAnswer Of(double from, double to, bool coloured) =>
            DeskSums.Of(new VisitsQuestion(from, to, Diameter.Medium, Porosity.Normal, coloured)).Answer!;
        Assert.Empty(Of(8, 6, false).Visits);
        Assert.True(Of(8, 6, false).Reached);
        var sound = Of(3, 8, false).Visits;
        var treated = Of(3, 8, true).Visits;
        Assert.True(treated.Count >= sound.Count && treated.Count >= 2);
        Each.Of(treated.Zip(treated.Skip(1)), v => Assert.Equal(v.First.Level, v.Second.From));
        Each.Of(treated, v => Assert.True(v.Level - v.From <= LiftTables.LevelsAVisit + 0.1));
    }
}
