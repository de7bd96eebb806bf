using CsCheck;
using Wendro.Care;
using Wendro.Hair;
using Wendro.Lift;
using Wendro.Paint;
using Wendro.Units;

namespace Wendro.Tests.Lift;

public sealed class RemediesTests
{
    [Fact]
    public void Unreachable_always_says_why_and_what_would_help() =>
        Gen.Select(Given.AnyLift, Gen.Double[1, 10])
            .Sample(
                (of, target) =>
                {
                    var answer = Remedies.TimeTo(of, new Level(target));
                    Assert.NotEmpty(answer.Because);
                    Assert.Equal(answer.Minutes is not null, answer.Reachable);
                    if (!answer.Reachable)
                    {
                        Assert.NotEmpty(answer.Remedies);
                        Assert.False(answer.WithinLimit);
                    }

                    Assert.All(
                        answer.Remedies,
                        r => Assert.True(r.Minutes is null or <= LiftTables.LeafletLimitMinutes)
                    );
                }
            );

    [Fact]
    public void A_remedys_minutes_and_levels_are_those_of_what_it_changes_to_with_a_products_own_figures() =>
        Gen.Select(Given.AnyLift, OwnFigures, Gen.Double[1, 10])
            .Sample(
                (usual, figures, target) =>
                {
                    var of = usual with { Figures = figures };
                    foreach (var remedy in Remedies.TimeTo(of, new Level(target)).Remedies)
                    {
                        if (remedy.Change is not { Minutes: { } minutes } change)
                        {
                            continue;
                        }

                        // What one product's leaflet says holds for that product only.
                        var changed = new Lifting(
                            of with
                            {
                                Lightener = change.Lightener ?? of.Lightener,
                                Figures = change.Lightener is null ? figures : null,
                                Volume = change.Volume is { } volume ? new Volume(volume) : of.Volume,
                                Covering = change.Covering ?? of.Covering,
                                LowHeat = change.LowHeat ?? of.LowHeat,
                                Coverage = 1,
                            }
                        );
                        Assert.True(minutes <= changed.Case.FiguresOf().LimitMinutes + 1e-9, remedy.Words);
                        var reached = of.From.Value + changed.Gain(minutes);
                        if (remedy.Minutes is null)
                        {
                            Assert.Contains($"reaches about {reached:0.0}.", remedy.Words, StringComparison.Ordinal);
                        }
                        else
                        {
                            Assert.True(reached >= target - 1e-6, remedy.Words);
                        }
                    }
                }
            );

    private static Gen<LightenerFigures> OwnFigures =>
        from rated in Gen.Double[1, 10]
        from drying in Gen.Double[2, 200]
        from limit in Gen.Double[5, 120]
        from heat in Gen.Bool
        select new LightenerFigures(rated, drying, 40, false, heat, LimitMinutes: limit);

    [Fact]
    public void Already_there_takes_no_time()
    {
        var of = new LiftCase(
            new Level(8),
            Diameter.Fine,
            Porosity.High,
            false,
            Lightener.Clay,
            new Volume(20),
            Covering.Open
        );
        Assert.Equal(
            (true, 0.0, true),
            (
                Remedies.TimeTo(of, new Level(7)).Reachable,
                Remedies.TimeTo(of, new Level(7)).Minutes,
                Remedies.TimeTo(of, new Level(7)).WithinLimit
            )
        );
    }

    [Fact]
    public void Powder_that_dries_is_told_to_be_covered()
    {
        var of = new LiftCase(
            new Level(5),
            Diameter.Medium,
            Porosity.Normal,
            false,
            Lightener.Powder,
            new Volume(20),
            Covering.Open
        );
        var answer = Remedies.TimeTo(of, new Level(8));
        Assert.StartsWith("It dries first", answer.Because, StringComparison.Ordinal);
        Assert.Contains(answer.Remedies, r => r.Kind == "covering");
    }

    [Theory]
    [InlineData(1.4, "deep red-brown")]
    [InlineData(6.5, "yellow-orange")]
    [InlineData(10, "palest yellow")]
    public void Undertone_is_that_of_the_nearest_level(double level, string name) =>
        Assert.Equal(name, Undertone.At(level));

    [Fact]
    public void Cautions_name_heat_on_clay_strong_developer_and_the_leaflet()
    {
        var of = new LiftCase(
            new Level(3),
            Diameter.Medium,
            Porosity.Normal,
            true,
            Lightener.Clay,
            new Volume(40),
            Covering.Open,
            LowHeat: true
        );
        var said = string.Join(" ", Cautions.For(of, 60));
        Assert.Contains("exclude heat", said, StringComparison.Ordinal);
        Assert.Contains("over 20 vol", said, StringComparison.Ordinal);
        Assert.Contains("leaflet's time", said, StringComparison.Ordinal);
        Assert.Contains("strand test", said, StringComparison.Ordinal);
        Assert.EndsWith(Cautions.LeafletFirst, said, StringComparison.Ordinal);
    }

    private static LiftCase Level(double from, double volume, Lightener lightener = Lightener.Clay) =>
        new(new(from), Diameter.Medium, Porosity.Normal, false, lightener, new Volume(volume), Covering.Open);

    [Fact]
    public void Why_is_told_with_its_figures()
    {
        Assert.Equal("Level 5.0 is already there.", Remedies.TimeTo(Level(5, 20), new Level(5)).Because);
        var soon = Remedies.TimeTo(Level(5, 30), new Level(7));
        Assert.Equal(($"Level 7.0 after {soon.Minutes:0} min.", true), (soon.Because, soon.WithinLimit));
        Assert.Empty(soon.Remedies);

        // By the tables leaflets usually end; a product's own says when its does.
        var slow = Level(5, 20) with
        {
            Coverage = 0.75,
        };
        var late = Remedies.TimeTo(slow, new Level(7));
        Assert.True(late.Minutes > 50 && !late.WithinLimit);
        Assert.Equal($"Level 7.0 takes {late.Minutes:0} min; leaflets usually end at 50 min.", late.Because);
        Assert.NotEmpty(late.Remedies);
        var own = LiftTables.Of(Lightener.Clay) with { LimitMinutes = 10 };
        var ends = Remedies.TimeTo(Level(5, 30) with { Figures = own }, new Level(7));
        Assert.Equal($"Level 7.0 takes {ends.Minutes:0} min; its leaflet ends at 10 min.", ends.Because);

        // Out of reach by strength, or dried before.
        Assert.Equal(
            "Out of reach: 20 vol lifts 3.6 levels at most, to 8.6.",
            Remedies.TimeTo(Level(5, 20), new Level(9)).Because
        );
        var dries = Level(5, 20, Lightener.Powder);
        Assert.Equal(
            $"It dries first: the film stops near level {5 + new Lifting(dries).MostGain:0.0}.",
            Remedies.TimeTo(dries, new Level(8)).Because
        );
    }

    [Fact]
    public void What_is_tried_is_one_change_each_and_told_as_it_is_not_as_it_was()
    {
        var thin = Level(5, 20) with { Coverage = 0.7 };
        var remedies = Remedies.TimeTo(thin, new Level(7.2)).Remedies;
        Assert.Contains(remedies, r => r.Kind == "coat");
        Assert.DoesNotContain(Remedies.TimeTo(Level(5, 20), new Level(9)).Remedies, r => r.Kind == "coat");
        Each.Of(
            remedies,
            r =>
            {
                var change = r.Change!;
                Assert.Equal(r.Minutes, change.Minutes);
                Assert.NotEqual(20, change.Volume);
                Assert.NotEqual(Covering.Open, change.Covering);
                Assert.NotEqual(Lightener.Clay, change.Lightener);
                Assert.NotEqual(false, change.LowHeat);
                var changes = new object?[] { change.Lightener, change.Volume, change.Covering, change.LowHeat };
                Assert.Equal(r.Kind == "coat" ? 0 : 1, changes.Count(c => c is not null));
            }
        );
        // Each change of one thing that reaches within its limit and may be offered is there, and no other.
        IEnumerable<LiftCase> ones =
        [
            .. new double[] { 30, 40 }.Select(v => thin with { Volume = new(v) }),
            .. Enum.GetValues<Covering>().Where(c => c != Covering.Open).Select(c => thin with { Covering = c }),
            .. Enum.GetValues<Lightener>().Where(l => l != Lightener.Clay).Select(l => thin with { Lightener = l }),
            thin with
            {
                LowHeat = true,
            },
            thin with
            {
                Coverage = 1,
            },
        ];
        Assert.Equal(
            ones.Where(o => Offer.On(o).Allows(Way.Of(o)))
                .Select(o => new Lifting(o).MinutesTo(new Level(7.2)))
                .Where(m => m <= 50)
                .Order(),
            remedies.Select(r => r.Minutes).Order()
        );
        Assert.True(remedies.Count > 3);
        // Clay excludes heat; cream does not.
        Assert.DoesNotContain(remedies, r => r.Kind == "heat");
        var cream = Level(5, 20, Lightener.Cream) with { Covering = Covering.Film, Coverage = 0.6 };
        var warm = Remedies.TimeTo(cream, new Level(8)).Remedies;
        Assert.True(Assert.Single(warm, r => r.Kind == "heat").Change!.LowHeat);
    }

    [Fact]
    public void Where_one_change_is_not_enough_all_together_or_several_visits_are()
    {
        var far = Remedies.TimeTo(Level(2, 10), new Level(7));
        Each.Of(far.Remedies, r => Assert.Contains("all together", r.Words, StringComparison.Ordinal));
        // What never comes in one visit begins with the way that goes furthest today.
        var never = Assert.Single(Remedies.TimeTo(Level(1, 10), new Level(10)).Remedies);
        Assert.Equal("visits", never.Kind);
        var today = Level(1, 10) with
        {
            Lightener = never.Change!.Lightener ?? Lightener.Clay,
            Volume = new(never.Change.Volume ?? 10),
            Covering = never.Change.Covering ?? Covering.Open,
        };
        foreach (var volume in new double[] { 10, 20, 30, 40 })
        {
            foreach (var covering in Enum.GetValues<Covering>())
            {
                foreach (var lightener in Enum.GetValues<Lightener>())
                {
                    var other = Level(1, volume, lightener) with { Covering = covering };
                    Assert.True(
                        !Offer.On(other).Allows(Way.Of(other))
                            || new Lifting(other).Gain(50) <= new Lifting(today).Gain(50) + 1e-9
                    );
                }
            }
        }
    }
}
