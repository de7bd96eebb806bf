using CsCheck;
using Wendro.Core.Care;
using Wendro.Core.Hair;
using Wendro.Core.Lift;
using Wendro.Core.Paint;
using Wendro.Core.Units;

namespace Wendro.Core.Tests.Lift;

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
}
