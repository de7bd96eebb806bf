using Wendro.Colour;
using Wendro.Hair;
using Wendro.Lift;
using Wendro.Paint;
using Wendro.Units;

namespace Wendro.Tests.Lift;

/// <summary>The lift's tables and what is worked out from them, each figure written out here once more.</summary>
public sealed class AsTabledTests
{
    private static LiftCase Case(
        double from,
        Lightener lightener = Lightener.Powder,
        double volume = 30,
        Covering covering = Covering.Open
    ) => new(new Level(from), Diameter.Medium, Porosity.Normal, false, lightener, new Volume(volume), covering);

    [Theory]
    [InlineData(Lightener.Clay, 6.5, 40, 26, false, true, false, true)]
    [InlineData(Lightener.Powder, 8, 14, 16, false, false, true, false)]
    [InlineData(Lightener.Cream, 7, 28, 20, true, false, false, false)]
    [InlineData(Lightener.Half, 7, 28, 21, false, true, false, true)]
    public void Lighteners_are_what_they_are(
        Lightener lightener,
        double rated,
        double drying,
        double working,
        bool scalp,
        bool noHeat,
        bool swells,
        bool noFoil
    )
    {
        var of = LiftTables.Of(lightener);
        Assert.Equal((rated, drying, working), (of.RatedLevels, of.DryingMinutes, of.WorkingMinutes));
        Assert.Equal((scalp, noHeat, swells, noFoil), (of.ScalpSafe, of.ExcludesHeat, of.Swells, of.ExcludesFoil));
        var formula = Formula.Lightening(FormulaId.A, lightener, 20, 30);
        Assert.Equal(swells, formula.Swells);
        Assert.Equal(of.WindowMinutes, formula.WindowMinutes);
        Assert.False(Formula.Colouring(FormulaId.B, 6, 10, 20).Swells);
        Assert.Equal(LiftTables.BowlWindowMinutes, Formula.Colouring(FormulaId.B, 6, 10, 20).WindowMinutes);
    }

    [Theory]
    [InlineData(Covering.Open, 0.7, 34)]
    [InlineData(Covering.Mesh, 1.8, 35)]
    [InlineData(Covering.Film, 2.7, 36)]
    [InlineData(Covering.Foil, 5.4, 38)]
    public void Low_heat_warms_and_dries(Covering covering, double drying, double degrees)
    {
        var (stays, warm) = LiftTables.Under(covering, lowHeat: true);
        Assert.Equal(drying, stays, 1e-12);
        Assert.Equal(degrees, warm, 1e-12);
    }

    [Fact]
    public void Cap_and_speed_are_products_of_what_is_tabled()
    {
        // Level 3, 30 vol: .85 of three quarters of eight levels.
        Assert.Equal(8 * 0.75 * 0.85, new Lifting(Case(3)).Cap, 1e-9);
        Assert.Equal(8 * 0.75 * 0.85 - 1, new Lifting(Case(3) with { Coloured = true }).Cap, 1e-9);
        Assert.Equal(2, new Lifting(Case(8)).Cap, 1e-9);
        Assert.Equal(
            1.0 * 1.2 * 0.85 * 0.6 * 1.15 * 0.5,
            new Lifting(
                Case(3) with
                {
                    Diameter = Diameter.Fine,
                    Porosity = Porosity.Low,
                    Coloured = true,
                    Hairline = true,
                    Coverage = 0.5,
                }
            ).Speed,
            1e-9
        );
        Assert.Equal(
            1.15 * 0.8 * 1.2,
            new Lifting(Case(3, volume: 40) with { Diameter = Diameter.Coarse, Porosity = Porosity.High }).Speed,
            1e-9
        );
    }

    [Fact]
    public void A_weak_lift_has_finished_when_it_begins()
    {
        // A film that reaches nearly nothing gains under two hundredths a minute from the first.
        var weak = new Lifting(Case(5, volume: 20) with { Coverage = 0.01 });
        Assert.Equal(0, weak.FinishedAtMinutes(), 1e-9);
        var strong = new Lifting(Case(5, Lightener.Clay));
        Assert.True(strong.FinishedAtMinutes() > 20);
        Assert.Equal(
            0.02,
            (strong.Gain(strong.FinishedAtMinutes() + 0.001) - strong.Gain(strong.FinishedAtMinutes() - 0.001)) / 0.002,
            1e-4
        );
    }

    [Theory]
    [InlineData(0.6, "very stiff: it drags and stays exactly where it is put")]
    [InlineData(0.75, "stiff: it catches instead of gliding")]
    [InlineData(1.2, "firm: it holds its shape")]
    [InlineData(1.21, "holds a soft peak")]
    [InlineData(1.755, "holds a soft peak")]
    [InlineData(1.76, "loose: it spreads a little by itself")]
    [InlineData(2.25, "loose: it spreads a little by itself")]
    [InlineData(2.26, "runny: it spreads and bleeds")]
    public void How_a_mixture_holds_is_told(double parts, string words) => Assert.Equal(words, Mixing.Words(parts));

    [Fact]
    public void Looser_lightener_runs_further_and_colour_does_not()
    {
        Formula With(double parts, double developer) =>
            Formula.Lightening(FormulaId.A, Lightener.Powder, 20, 30) with
            {
                Parts = parts,
                DeveloperParts = developer,
            };
        // Half a part more than at its peak, told as one to two and as two to four.
        Assert.Equal(0.03, Mixing.RunsThrough(With(1, 2)), 1e-12);
        Assert.Equal(0.03, Mixing.RunsThrough(With(2, 4)), 1e-12);
        Assert.Equal(0, Mixing.RunsThrough(With(1, 1)));
        Assert.Equal(0.06, Mixing.RunsThrough(With(1, 6)), 1e-12);
        Assert.Equal(0, Mixing.RunsThrough(Formula.Colouring(FormulaId.B, 6, 10, 20) with { DeveloperParts = 6 }));
    }

    [Fact]
    public void Shades_bring_warmth_from_three_tenths_on()
    {
        static ShadeMix Of(params (Reflect Reflect, double Parts)[] shades) =>
            new([.. shades.Select((s, i) => new Shade($"{i}", new Level(7), s.Reflect, s.Parts))]);
        Each.Of(
            Enum.GetValues<Reflect>(),
            r => Assert.Equal(r is Reflect.Gold or Reflect.Copper or Reflect.Red, ShadeMix.IsWarm(r))
        );
        Assert.True(Of((Reflect.Gold, 3), (Reflect.Natural, 7)).BringsWarmth());
        Assert.False(Of((Reflect.Gold, 2.9), (Reflect.Natural, 7.1)).BringsWarmth());
        Assert.True(Of((Reflect.Gold, 1.5), (Reflect.Copper, 1.5), (Reflect.Natural, 7)).BringsWarmth());
        Assert.Equal("deposit level 7 gold", new DepositMixture(new(7), Reflect: Reflect.Gold).Words);
        Assert.Equal("deposit level 7", new DepositMixture(new(7)).Words);
        Assert.Equal("deposit level 7", new DepositMixture(new(7), Of((Reflect.Gold, 1)), Reflect: Reflect.Gold).Words);
    }

    [Fact]
    public void Clay_excludes_foil_whatever_is_said_of_a_product()
    {
        var said = LiftTables.Of(Lightener.Powder);
        Assert.True(new LightenerMixture(Lightener.Clay, Figures: said).FiguresOf().ExcludesFoil);
        Assert.False(new LightenerMixture(Lightener.Powder, Figures: said).FiguresOf().ExcludesFoil);
        Assert.True(
            new LightenerMixture(Lightener.Powder, Figures: said with { ExcludesFoil = true }).FiguresOf().ExcludesFoil
        );
        Assert.True(new LightenerMixture(Lightener.Powder, Second: new(Lightener.Clay, 0.2)).FiguresOf().ExcludesFoil);
    }

    [Fact]
    public void What_a_clients_own_hair_does_is_taken_as_it_was_read()
    {
        var tabled = new Lifting(Case(5, volume: 20));
        var quick = new Lifting(Case(5, volume: 20) with { Own = new OwnLift(1.5, 0.4, 0, 0, 0) });

        Assert.Equal(8 * 0.55, tabled.Cap, 9);
        Assert.Equal(8 * 0.55 + 0.4, quick.Cap, 9);
        Assert.Equal(1.5 * tabled.Speed, quick.Speed, 9);
        var dark = Case(3, volume: 20) with { Own = new OwnLift(1, -0.6, 0, 0, 0) };
        Assert.Equal(8 * 0.55 * 0.85 - 0.6, new Lifting(dark).Cap, 9);
    }

    [Fact]
    public void A_band_is_told_by_half_its_width() => Assert.Equal(0.75, new Forecast(6, 6.5, 7.5).HalfWidth, 9);

    [Fact]
    public void An_undertone_is_named_by_its_level_and_what_is_none_has_no_level()
    {
        Assert.Null(Undertone.LevelOf("teal"));
        Assert.Equal(
            [2.0, 2, 3, 4, 5, 6, 7, 8, 9, 10],
            Enumerable.Range(1, 10).Select(l => Undertone.LevelOf(Undertone.At(l)))
        );
    }
}
