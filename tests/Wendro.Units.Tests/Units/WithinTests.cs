using CsCheck;
using Wendro.Blend;
using Wendro.Plans;
using Wendro.Units;

namespace Wendro.Tests.Units;

/// <summary>
/// Bounds stand with the number they bound; small types refuse what they can't be and compare as numbers do.
/// </summary>
public sealed class WithinTests
{
    private sealed record Some(
        [property: Within(1, 5, "cm")] double Cm,
        [property: Within(0, 3)] int Count = 0,
        [property: Within(-1, 1, "levels")] double? Perhaps = null,
        double Free = 1e9
    );

    [Fact]
    public void What_lies_outside_is_named_in_the_order_it_is_told_and_nothing_else() =>
        Gen.Select(Gen.Double[-10, 10], Gen.Int[-5, 5], Gen.Double[-3, 3], Gen.Bool)
            .Sample(
                (cm, count, perhaps, has) =>
                {
                    var wrong = new List<string>();
                    if (cm is < 1 or > 5)
                    {
                        wrong.Add("cm");
                    }

                    if (count is < 0 or > 3)
                    {
                        wrong.Add("count");
                    }

                    if (has && Math.Abs(perhaps) > 1)
                    {
                        wrong.Add("perhaps");
                    }

                    var of = new Some(cm, count, has ? perhaps : null);
                    Assert.Equal(wrong, WithinAttribute.Outside(of).Select(p => p.Field));
                }
            );

    [Theory]
    [InlineData(1, true)]
    [InlineData(5, true)]
    [InlineData(0.999, false)]
    [InlineData(5.001, false)]
    [InlineData(double.NaN, false)]
    [InlineData(double.PositiveInfinity, false)]
    public void Bounds_themselves_are_within_and_no_number_is_not(double cm, bool within) =>
        Assert.Equal(within, !WithinAttribute.Outside(new Some(cm)).Any());

    [Fact]
    public void Within_something_else_the_field_is_told_with_its_way() =>
        Assert.Equal("cut.cm", Assert.Single(WithinAttribute.Outside(new Some(9), "cut")).Field);

    [Fact]
    public void The_word_says_what_would_do() =>
        Assert.Equal("Between 1 and 5 cm.", Assert.Single(WithinAttribute.Outside(new Some(9))).Message);

    [Fact]
    public void Every_limit_and_house_rule_is_held_to_its_bounds()
    {
        Assert.Empty(FindingLimits.Usual.Problems());
        Assert.Equal("lineSoftness", Assert.Single((FindingLimits.Usual with { LineSoftness = 6 }).Problems()).Field);
        Assert.Equal(
            "regrowthWeeks",
            Assert.Single((FindingLimits.Usual with { RegrowthWeeks = -1 }).Problems()).Field
        );
        Assert.Equal("widthCm", Assert.Single((HouseRules.Usual with { WidthCm = 0 }).Problems()).Field);
        Assert.Empty((HouseRules.Usual with { BabyHairCm = 0 }).Problems());
        Assert.Equal("faceFrameLift", Assert.Single(new Goal(FaceFrameLift: 5.1).Problems()).Field);
    }

    [Fact]
    public void Letters_name_formulas_in_their_order_and_nothing_else_does()
    {
        Assert.Equal("ABCDEFGH", string.Concat(FormulaId.All));
        Assert.Equal(FormulaId.All, FormulaId.All.Reverse().Order());
        Assert.True(FormulaId.A < FormulaId.B && FormulaId.E > FormulaId.D);
        Assert.True(FormulaId.A <= FormulaId.A && FormulaId.C >= FormulaId.C && !(FormulaId.B <= FormulaId.A));
        Assert.Equal(FormulaId.A, default);
        Assert.Equal(FormulaId.D, FormulaId.Parse("D"));
        Assert.All(new[] { null, "", "I", "a", "AB" }, text => Assert.Null(FormulaId.Parse(text)));
        Assert.Throws<ArgumentOutOfRangeException>(() => new FormulaId('I'));
        Assert.Throws<ArgumentOutOfRangeException>(() => new FormulaId('@'));
    }

    [Fact]
    public void Levels_volumes_and_minutes_compare_reckon_and_are_written_as_numbers() =>
        Gen.Select(Gen.Double[5, 10], Gen.Double[5, 10])
            .Sample(
                (a, b) =>
                {
                    Assert.Equal(a.CompareTo(b), new Level(a).CompareTo(new Level(b)));
                    Assert.Equal(a.CompareTo(b), new Volume(a).CompareTo(new Volume(b)));
                    Assert.Equal(a.CompareTo(b), new Minutes(a).CompareTo(new Minutes(b)));
                    Assert.Equal(a < b, new Volume(a) < new Volume(b));
                    Assert.Equal(a > b, new Volume(a) > new Volume(b));
                    Assert.Equal(a <= b, new Volume(a) <= new Volume(b));
                    Assert.Equal(a >= b, new Volume(a) >= new Volume(b));
                    Assert.Equal(a < b, new Minutes(a) < new Minutes(b));
                    Assert.Equal(a > b, new Minutes(a) > new Minutes(b));
                    Assert.Equal(a <= b, new Minutes(a) <= new Minutes(b));
                    Assert.Equal(a >= b, new Minutes(a) >= new Minutes(b));
                    Assert.Equal(a + b, new Level(a) + new Minutes(b), 1e-12);
                    Assert.Equal($"{a:0.00}", $"{new Level(a):0.00}");
                    Assert.Equal($"{a:0.#}", $"{new Volume(a):0.#}");
                    Assert.Equal($"{a:0} min", $"{new Minutes(a):0} min");
                }
            );

    [Fact]
    public void Without_a_format_each_says_its_unit()
    {
        Assert.Equal("7.5", new Level(7.5).ToString());
        Assert.Equal("20 vol", $"{new Volume(20)}");
        Assert.Equal("35 min", $"{new Minutes(35)}");
    }
}
