using CsCheck;
using Wendro.Colour;
using Wendro.Hair;
using Wendro.Lift;
using Wendro.Paint;
using Wendro.Units;

namespace Wendro.Tests.Lift;

/// <summary>
/// What proportions, a second lightener and an additive do to the work; and what of a formula can be taken.
/// </summary>
public sealed class MixingTests
{
    private static readonly LightenerFigures Clay = LiftTables.Of(Lightener.Clay),
        Powder = LiftTables.Of(Lightener.Powder);

    private static readonly Gen<LightenerFigures> AnyFigures =
        from rated in Gen.Double[1, 10]
        from drying in Gen.Double[2, 200]
        from working in Gen.Double[4, 100]
        from flags in Gen.Int[0, 7]
        from limit in Gen.Double[5, 120]
        from window in Gen.Double[1, 120]
        select new LightenerFigures(
            rated,
            drying,
            working,
            (flags & 1) > 0,
            (flags & 2) > 0,
            (flags & 4) > 0,
            limit,
            window
        );

    private static double Gain(Formula formula, double minutes = 40) =>
        new Lifting(
            new LiftCase(
                new Level(4),
                Diameter.Medium,
                Porosity.Normal,
                false,
                formula.Light!.Lightener,
                formula.Volume,
                Covering.Film,
                formula.LowHeat,
                Figures: formula.Light!.OwnFigures(),
                Mixture: Mixing.SpeedOf(formula)
            )
        ).Gain(minutes);

    [Fact]
    public void At_one_to_one_and_a_half_all_is_as_tabled()
    {
        Assert.Equal(1, Mixing.SpeedOf(Formula.Usual), 1e-12);
        Assert.Equal(0, Mixing.RunsThrough(Formula.Usual));
        Assert.Null(Formula.Usual.Light!.OwnFigures());
        Assert.Equal("holds a soft peak", Mixing.Words(1.5));
    }

    [Fact]
    public void More_developer_is_looser_weaker_and_bleeds_more() =>
        Gen.Select(Gen.Double[0.1, 10], Gen.Double[0.1, 10])
            .Sample(
                (a, b) =>
                {
                    var (thick, thin) = (Math.Min(a, b), Math.Max(a, b));
                    Formula Of(double d) => Formula.Usual with { DeveloperParts = d };
                    Assert.True(Mixing.Strength(thick) >= Mixing.Strength(thin));
                    Assert.True(Mixing.RunsThrough(Of(thick)) <= Mixing.RunsThrough(Of(thin)));
                    Assert.InRange(Mixing.RunsThrough(Of(thin)), 0, 0.06);
                    Assert.True(Gain(Of(thick)) >= Gain(Of(thin)) - 1e-12);
                    int Looseness(double d) =>
                        Mixing.ConsistencyOf(d) switch
                        {
                            Consistency.Stiff => 0,
                            Consistency.Right => 1,
                            _ => 2,
                        };
                    Assert.True(Looseness(thick) <= Looseness(thin));
                }
            );

    [Theory]
    [InlineData(0.5, Consistency.Stiff, "very stiff")]
    [InlineData(1, Consistency.Right, "firm")]
    [InlineData(1.5, Consistency.Right, "soft peak")]
    [InlineData(2, Consistency.Right, "loose")]
    [InlineData(3, Consistency.Runny, "runny")]
    public void How_it_holds_is_said(double developer, Consistency holds, string words)
    {
        Assert.Equal(holds, Mixing.ConsistencyOf(developer));
        Assert.Contains(words, Mixing.Words(developer));
    }

    [Theory]
    [InlineData(1, Consistency.Stiff, "stiff")]
    [InlineData(1.5, Consistency.Right, "firm")]
    [InlineData(2, Consistency.Right, "soft peak")]
    [InlineData(3, Consistency.Right, "loose")]
    [InlineData(3.5, Consistency.Runny, "runny")]
    public void Clay_holds_its_peak_at_twice_its_weight_of_developer(double developer, Consistency holds, string words)
    {
        var peak = Mixing.PeakOf(Lightener.Clay);
        Assert.Equal(holds, Mixing.ConsistencyOf(developer, peak));
        Assert.Contains(words, Mixing.Words(developer, peak));
        Assert.Equal(2, Formula.Usual.DeveloperPerPart);
        Assert.Equal(1, Mixing.Strength(peak, peak), 1e-12);
    }

    [Fact]
    public void Half_clay_half_powder_holds_its_peak_between_the_two()
    {
        var (clay, powder) = (Mixing.PeakOf(Lightener.Clay), Mixing.PeakOf(Lightener.Powder));
        Assert.NotEqual(clay, powder);
        Assert.Equal(powder, Mixing.PeakOf(Lightener.Cream));
        Assert.Equal((clay + powder) / 2, Mixing.PeakOf(Lightener.Half), 1e-12);
    }

    [Fact]
    public void The_usual_formula_is_clay_with_30_volume_for_40_minutes()
    {
        var usual = Formula.Usual;
        Assert.Equal((FormulaId.A, Lightener.Clay), (usual.Id, usual.Light!.Lightener));
        Assert.Equal((30.0, 40.0), (usual.Volume.Value, usual.Minutes.Value));
    }

    [Fact]
    public void Where_only_the_ratio_changed_how_it_holds_follows_and_where_it_was_said_it_stays()
    {
        var runny = Formula.Usual with { DeveloperParts = 3.5 };
        Assert.Equal(Consistency.Runny, runny.After(Formula.Usual).Consistency);
        Assert.Equal(Consistency.Right, runny.After(null).Consistency);
        Assert.Equal(Consistency.Right, runny.After(runny with { Volume = new(20) }).Consistency);
        Assert.Equal(
            Consistency.Stiff,
            (runny with { Consistency = Consistency.Stiff }).After(Formula.Usual).Consistency
        );
    }

    [Fact]
    public void Two_lighteners_lie_between_and_what_either_forbids_is_forbidden() =>
        Gen.Select(AnyFigures, AnyFigures, Gen.Double[0, 1])
            .Sample(
                (a, b, share) =>
                {
                    var both = a.With(b, share, holds: false);
                    void Between(double x, double y, double of) =>
                        Assert.InRange(of, Math.Min(x, y) - 1e-9, Math.Max(x, y) + 1e-9);
                    Between(a.RatedLevels, b.RatedLevels, both.RatedLevels);
                    Between(a.DryingMinutes, b.DryingMinutes, both.DryingMinutes);
                    Between(a.WorkingMinutes, b.WorkingMinutes, both.WorkingMinutes);
                    Assert.Equal(a.ScalpSafe && b.ScalpSafe, both.ScalpSafe);
                    Assert.Equal(a.ExcludesHeat || b.ExcludesHeat, both.ExcludesHeat);
                    Assert.Equal(a.Swells || b.Swells, both.Swells);
                    Assert.Equal(Math.Min(a.LimitMinutes, b.LimitMinutes), both.LimitMinutes);
                    Assert.Equal(Math.Min(a.WindowMinutes, b.WindowMinutes), both.WindowMinutes);
                    Assert.Equal(a.RatedLevels, a.With(b, 0, false).RatedLevels, 1e-12);
                }
            );

    [Fact]
    public void Clay_and_powder_half_and_half_are_the_tabled_half()
    {
        var (half, mixed) = (LiftTables.Of(Lightener.Half), Clay.With(Powder, 0.5, holds: true));
        Assert.Equal(
            (half.RatedLevels, half.DryingMinutes, half.WorkingMinutes),
            (mixed.RatedLevels, mixed.DryingMinutes, mixed.WorkingMinutes)
        );
        var formula = Formula.Usual.Lightened(l => l with { Second = new SecondLightener(Lightener.Powder, 0.5) }) with
        {
            DeveloperParts = 1.75,
        };
        Assert.Equal(1.75, formula.PeakParts);
        Assert.Equal(Gain(Formula.Lightening(FormulaId.A, Lightener.Half, 30, 40)), Gain(formula), 1e-9);
        Assert.Equal("50 % clay, 50 % powder, 30 vol", formula.Words);
    }

    [Fact]
    public void An_additive_slows_and_never_speeds() =>
        Gen.Select(Gen.Double[0, 0.1], Gen.Double[5, 60])
            .Sample(
                (slows, minutes) =>
                {
                    var guarded = Formula.Usual.Lightened(l => l with { Additive = new Additive(0.05, slows) });
                    Assert.True(Gain(guarded, minutes) <= Gain(Formula.Usual, minutes) + 1e-12);
                    Assert.Equal(1 - slows, Mixing.SpeedOf(guarded), 1e-12);
                }
            );

    [Fact]
    public void What_the_shelf_says_of_a_product_is_what_it_lifts_with()
    {
        static Formula Of(LightenerFigures figures) => Formula.Usual.Lightened(l => l with { Figures = figures });
        Assert.True(Gain(Of(Clay with { RatedLevels = 5 })) < Gain(Formula.Usual));
        Assert.True(Gain(Of(Clay with { WorkingMinutes = 60 })) < Gain(Formula.Usual));
        Assert.Equal(35, Of(Clay with { LimitMinutes = 35 }).LimitMinutes);
        Assert.Null(Formula.Colouring(FormulaId.A, 5, 30, 40).LimitMinutes);
    }

    [Fact]
    public void What_stays_off_the_scalp_is_known()
    {
        Assert.True(Formula.Usual.KeepsOffScalp);
        var mild = Formula.Lightening(FormulaId.A, Lightener.Cream, 20, 40);
        Assert.False(mild.KeepsOffScalp);
        Assert.True((mild with { Volume = new(25) }).KeepsOffScalp);
        Assert.False(Formula.Colouring(FormulaId.B, 5, 10, 20).KeepsOffScalp);
        Assert.True(Formula.Colouring(FormulaId.B, 5, 30, 20).KeepsOffScalp);
    }

    [Fact]
    public void Shades_make_the_level_of_their_mean()
    {
        var mix = new ShadeMix([new("Five", new(5), Reflect.Natural, 1), new("Eight", new(8), Reflect.Pearl, 2)]);
        Assert.Equal(7, mix.Level, 1e-12);
        Assert.Equal(1 / 3.0, mix.ShareOf(mix.Shades[0]), 1e-12);
        Assert.Equal(7, Formula.Colouring(FormulaId.A, 4, 10, 20, mix).Told().Deposit!.Level.Value);
        Assert.Equal(mix, new ShadeMix([.. mix.Shades]));
        Assert.NotEqual(mix, new ShadeMix([.. mix.Shades.Reverse()]));
    }

    [Theory]
    [InlineData("minutes")]
    [InlineData("lightenerParts")]
    [InlineData("developerParts")]
    [InlineData("second.share")]
    [InlineData("additive.slows")]
    [InlineData("shades")]
    [InlineData("figures.windowMinutes")]
    [InlineData("lightener")]
    public void A_value_that_can_not_be_is_named(string field)
    {
        var wrong = field switch
        {
            "minutes" => Formula.Usual with { Minutes = new(0) },
            "lightenerParts" => Formula.Usual with { Parts = 0 },
            "developerParts" => Formula.Usual with { DeveloperParts = -1 },
            "second.share" => Formula.Usual.Lightened(l => l with { Second = new(Lightener.Powder, 1) }),
            "additive.slows" => Formula.Usual.Lightened(l => l with { Additive = new(0.1, 0.2) }),
            "shades" => Formula.Colouring(FormulaId.A, 5, 10, 20, new([])),
            "figures.windowMinutes" => Formula.Usual.Lightened(l =>
                l with
                {
                    Figures = Clay with { WindowMinutes = 0 },
                }
            ),
            _ => Formula.Usual.Lightened(_ => new((Lightener)9)),
        };
        Assert.Equal(field, Assert.Single(FormulaChecks.Of(wrong)).Field);
        Assert.Empty(FormulaChecks.Of(Formula.Usual));
    }
}
