using Wendro.Blend;
using Wendro.Head;
using Wendro.Lift;
using Wendro.Mix;
using Wendro.Paint;
using Wendro.Section;
using Wendro.Timing;
using Wendro.Units;

namespace Wendro.Tests.Mix;

/// <summary>The bench minute by minute: areas laid, waits waited, rests in which bowls age.</summary>
public sealed class BenchClockTests
{
    private static readonly PanelKey Key = new(Zone.Crown, 0, 0);

    private static BenchClock Bench(double window = 30, double most = 100, double least = 0) =>
        new(_ => new BowlLimits(window, least, most), 3);

    private static AreaWork Area(double grams, double minutes) => new(new(0, FormulaId.B, grams / 2.2, grams), minutes);

    private static PanelWork Panel(double minutes, params double[] grams) =>
        new(Key, minutes, [.. grams.Select(g => new PanelGrams(Key, FormulaId.A, g / 2, g))]);

    [Theory]
    [InlineData(80, 10, 1)]
    [InlineData(100, 30, 1)]
    [InlineData(100.1, 10, 2)]
    [InlineData(250, 10, 3)]
    [InlineData(80, 31, 2)]
    [InlineData(250, 100, 4)]
    [InlineData(0, 0, 1)]
    public void An_area_takes_as_many_bowls_as_its_grams_or_its_minutes_ask(double grams, double minutes, int bowls)
    {
        var bench = Bench();
        bench.Lay(Area(grams, minutes));
        var line = bench.Timeline();
        Assert.Equal(bowls, line.Bowls.Count);
        Each.Of(
            line.Bowls.Select((b, i) => (Bowl: b, Number: i)),
            b =>
            {
                Assert.Equal((FormulaId.B, b.Number + 1), (b.Bowl.Formula, b.Bowl.Ordinal));
                Assert.Equal(grams / bowls, b.Bowl.TakenGrams, 1e-9);
                var begun = b.Number * (3 + minutes / bowls);
                Assert.Equal(begun, b.Bowl.MixAt, 1e-9);
                Assert.Equal(begun + 3, b.Bowl.ReadyAt, 1e-9);
                Assert.Equal(begun + 3 + minutes / bowls, b.Bowl.PaintedUntil, 1e-9);
                Assert.Empty(b.Bowl.Panels);
            }
        );
        Assert.Equal(bowls * 3 + minutes, bench.Minute, 1e-9);
    }

    [Fact]
    public void A_wait_is_on_the_clock_and_a_rest_ages_bowls_alone()
    {
        var bench = Bench();
        bench.Wait(5);
        bench.Wait(-2);
        bench.Rest(4);
        bench.Rest(-3);
        Assert.Equal(5, bench.Minute);
        bench.Paint(Panel(2, 10));
        var line = bench.Timeline();
        var bowl = Assert.Single(line.Bowls);
        Assert.Equal((9.0, 12.0, 14.0, 42.0), (bowl.MixAt, bowl.ReadyAt, bowl.PaintedUntil, bowl.LivesUntil));
        Assert.Equal(new PanelTurn(Key, 8, 10), Assert.Single(line.Turns));
        Assert.Equal(10, line.Minutes);
        Assert.Equal(10, bench.Minute);
    }

    [Fact]
    public void A_rest_can_outlive_a_bowl()
    {
        var bench = Bench();
        bench.Paint(Panel(10, 10));
        bench.Rest(18);
        bench.Paint(Panel(2, 10));
        Assert.Single(bench.Timeline().Bowls);
        bench.Rest(1);
        bench.Paint(Panel(2, 10));
        Assert.Equal(2, bench.Timeline().Bowls.Count);
    }

    [Fact]
    public void A_bowl_serves_to_its_last_gram_and_its_last_minute()
    {
        var bench = Bench(window: 10, most: 20);
        bench.Paint(Panel(4, 10));
        bench.Paint(Panel(6, 10));
        Assert.Single(bench.Timeline().Bowls);
        bench.Paint(Panel(4, 10));
        bench.Paint(Panel(1, 10.1));
        Assert.Equal([2, 1, 1], bench.Timeline().Bowls.Select(b => b.Panels.Count));
    }

    [Fact]
    public void Two_coats_of_one_formula_on_a_panel_are_taken_together()
    {
        var bench = Bench(least: 40);
        bench.Paint(Panel(4, 10, 15));
        var bowl = Assert.Single(bench.Timeline().Bowls);
        Assert.Equal((40.0, 15.0, 25.0), (bowl.Grams, bowl.ExtraGrams, bowl.TakenGrams));
        Assert.Equal([Key], bowl.Panels);
    }

    [Fact]
    public void A_weighed_bowl_serves_a_little_more_than_it_holds()
    {
        BenchClock Weighed(double grams) =>
            new(
                _ => new BowlLimits(60, 0, 1000),
                3,
                new Dictionary<(FormulaId, int), double> { [(FormulaId.A, 1)] = grams }
            );
        int Bowls(double grams, double takes)
        {
            var bench = Weighed(grams);
            bench.Paint(Panel(1, takes));
            bench.Paint(Panel(1, 0.001));
            return bench.Timeline().Bowls.Count;
        }

        // A gram, or two parts in a hundred.
        Assert.Equal([1, 2], new[] { 20.9, 21.1 }.Select(t => Bowls(20, t)));
        Assert.Equal([1, 2], new[] { 101.9, 102.1 }.Select(t => Bowls(100, t)));
        var one = Weighed(20);
        one.Paint(Panel(1, 15));
        Assert.Equal((20.0, 5.0), (one.Timeline().Bowls[0].Grams, one.Timeline().Bowls[0].ExtraGrams));
    }

    [Fact]
    public void The_work_ends_with_its_last_panel_or_its_last_step()
    {
        PanelTurn[] turns = [new(Key, 0, 10)];
        StepTurn[] steps = [new(0, 0, 10, 40, 50), new(1, 50, 62, 70, 75)];
        Assert.Equal(0, new Timeline([], [], []).Minutes);
        Assert.Equal(10, new Timeline([], turns, []).Minutes);
        Assert.Equal(62, new Timeline([], turns, steps).Minutes);
        Assert.Equal(62, new Timeline([], [], steps).Minutes);
        Assert.Equal(10, new Timeline([], turns, [steps[0] with { LaidAt = 8 }]).Minutes);
    }

    [Fact]
    public void An_area_of_roots_takes_more_on_a_gram_than_lengths_do()
    {
        AreaGrams Of(double? to) =>
            Amounts.OfArea(new AreaCoat(new Area(ToCm: to), Formula.Usual, Exposure.Lasting(20), 1), 10, 0.15);
        Assert.Equal(10 * 2.2 * 1.15, Of(3).Grams, 1e-9);
        Assert.Equal(10 * 0.4 * 1.15, Of(null).Grams, 1e-9);
    }
}
