using Wendro.Blend;
using Wendro.Colour;
using Wendro.Hair;
using Wendro.Head;
using Wendro.Lift;
using Wendro.Mix;
using Wendro.Paint;
using Wendro.Plans;
using Wendro.Section;
using Wendro.Units;

namespace Wendro.Tests.Mix;

/// <summary>What is said of bowls, clock and shelf, figure by figure; and what a shelf starts from.</summary>
public sealed class MixWordsTests
{
    private static readonly PanelKey One = new(Zone.UpperBack, 0, 0);
    private static readonly PanelKey Two = new(Zone.Nape, 0, 1);

    private static MixCase Case(Formula formula, PanelPaint paint, params PlanEdit[] edits)
    {
        var head = Given.Bare.Apply([new PaintZone(Zone.UpperBack, paint), new SetFormula(formula), .. edits]);
        return new(
            head.Panels,
            [.. head.Plan.Formulas],
            FindingLimits.Usual,
            [],
            new Dictionary<string, double>(),
            [],
            []
        );
    }

    private static Finding Only(MixCase mix, FindingKind kind) =>
        Assert.Single(MixFindings.Of(mix, HairProfile.Usual), f => f.Kind == kind);

    [Fact]
    public void Of_bowls_that_expire_the_worst_is_told()
    {
        Batch Bowl(int ordinal, double until, PanelKey key) =>
            new(FormulaId.A, ordinal, 20, 0, 1, 4, until, 29, [key], 20);
        var finding = Only(
            Case(Given.Clay, Given.Soft) with
            {
                Batches = [Bowl(1, 31, One), Bowl(2, 34, Two), Bowl(3, 29, One), Bowl(4, 28, Two)],
            },
            MixFault.BowlOutlives
        );
        Assert.Contains("ends after 25 min", finding.Text.ToString());
        Assert.Contains("in use for 30 min", finding.Text.ToString());
        Assert.Equal(5, Assert.Single(finding.Evidence).Value);
        Assert.Equal([One, Two], finding.Panels);
        Assert.Equal([Zone.UpperBack, Zone.Nape], finding.Zones);
        Assert.Equal("A", finding.Of);
        Assert.DoesNotContain(
            MixFindings.Of(Case(Given.Clay, Given.Soft) with { Batches = [Bowl(1, 29, One)] }, HairProfile.Usual),
            f => f.Kind == MixFault.BowlOutlives
        );
    }

    [Theory]
    [InlineData(60, 20, null)]
    [InlineData(62.9, 20, null)]
    [InlineData(57.1, 20, null)]
    [InlineData(63.1, 20, Severity.Caution)]
    [InlineData(68.9, 20, Severity.Caution)]
    [InlineData(69.1, 20, Severity.Alarm)]
    [InlineData(60, 21, null)]
    [InlineData(60, 18.9, Severity.Caution)]
    [InlineData(60, 23, Severity.Caution)]
    [InlineData(60, 23.1, Severity.Alarm)]
    public void A_bowl_that_came_out_otherwise_counts_from_a_twentieth_or_a_volume(
        double developer,
        double volume,
        Severity? severity
    )
    {
        var meant = Formula.Usual with { Volume = new(20), DeveloperParts = 1.5 };
        var poured = meant with { Volume = new(volume) };
        var bowl = BowlInHand.Of(
            Recipe.Of(poured, 40 + developer, []) with
            {
                Ingredients =
                [
                    new(Role.Lightener, "clay", null, 40),
                    new(Role.Developer, "developer", null, developer, volume),
                ],
            },
            [new Poured(0, 40, Weighed.Scale), new Poured(1, developer, Weighed.Scale)]
        );
        var found = MixFindings
            .Of(Case(meant, Given.Soft) with { Weighed = [new("bowl 1", meant, bowl, [One])] }, HairProfile.Usual)
            .Where(f => f.Kind == MixFault.UnevenRecipe)
            .ToArray();
        Assert.Equal(severity, found.SingleOrDefault()?.Severity);
        if (severity is not null)
        {
            Assert.StartsWith("Bowl 1 came out", found[0].Text.ToString());
            Assert.EndsWith(".", found[0].Text.ToString());
            Assert.DoesNotContain("It holds", found[0].Text.ToString());
            Assert.Equal(developer / 60 - 1, found[0].Evidence[0].Value, 1e-9);
            Assert.Equal(volume - 20, found[0].Evidence[1].Value, 1e-9);
            Assert.Equal([One], found[0].Panels);
        }
    }

    [Fact]
    public void What_begins_near_the_scalp_is_told_by_its_strength_or_its_leaflet()
    {
        var strong = Only(
            Case(Given.Clay with { Volume = new(40) }, Given.Soft with { StartCm = 0.2 }),
            MixFault.StrengthOverScalp
        );
        Assert.Equal("Too strong for the scalp", strong.Title);
        var weak = Only(
            Case(Given.Clay with { Volume = new(20) }, Given.Soft with { StartCm = 0.2 }),
            MixFault.StrengthOverScalp
        );
        Assert.Equal("Not made for the scalp", weak.Title);

        // The nearest is told, and only what is near is pointed at.
        var mixed = Case(
            Given.Clay,
            Given.Soft with
            {
                StartCm = 0.8,
            },
            new PaintPanels([One], Given.Soft with { StartCm = 0.1 })
        );
        var near = mixed
            .CoatsOf(Given.Clay)
            .Where(c => c.Coat.Painted.StartCm < FindingLimits.Usual.ScalpCm)
            .Select(c => c.Coat.Painted.StartCm)
            .ToArray();
        var finding = Only(mixed, MixFault.StrengthOverScalp);
        Assert.Contains($"begins {near.Min():0.0} cm from the scalp", finding.Text.ToString());
        Assert.Equal(near.Length, finding.Panels.Count);
        Assert.DoesNotContain(
            MixFindings.Of(
                Case(Given.Clay, Given.Soft with { StartCm = 3, Shape = new Shape.Full() }),
                HairProfile.Usual
            ),
            f => f.Kind == MixFault.StrengthOverScalp
        );
    }

    [Fact]
    public void Heat_and_time_are_held_against_the_leaflet_where_there_is_one()
    {
        var told = Given.Clay.Lightened(l => l with { Figures = LiftTables.Of(Lightener.Clay) });
        string TextOf(Formula formula, FindingKind kind) => Only(Case(formula, Given.Soft), kind).Text.ToString();
        Assert.Contains("many leaflets", TextOf(Given.Clay with { LowHeat = true }, MixFault.HeatAgainstLeaflet));
        Assert.Contains("its leaflet excludes", TextOf(told with { LowHeat = true }, MixFault.HeatAgainstLeaflet));
        Assert.Contains("most leaflets end", TextOf(Given.Clay with { Minutes = new(60) }, MixFault.PastLeaflet));
        Assert.Contains("its leaflet ends", TextOf(told with { Minutes = new(60) }, MixFault.PastLeaflet));
        Assert.DoesNotContain(
            MixFindings.Of(
                Case(Given.Clay with { Minutes = new(Given.Clay.LimitMinutes!.Value) }, Given.Soft),
                HairProfile.Usual
            ),
            f => f.Kind == MixFault.PastLeaflet
        );
    }

    [Fact]
    public void Findings_keep_safe_where_somebody_could_be_hurt()
    {
        Assert.True(MixFault.HeatAgainstLeaflet.KeepsSafe);
        Assert.True(MixFault.PastLeaflet.KeepsSafe);
        Assert.False(MixFault.RunsLow.KeepsSafe);
    }

    [Fact]
    public void What_an_additive_takes_is_the_lift_without_it_less_the_lift_with_it()
    {
        var bonded = Given.Clay.Lightened(l => l with { Additive = new Additive(0.1, 0.1) });
        var mix = Case(bonded, Given.Soft);
        var finding = Only(mix, MixFault.AdditiveLowersLift);
        var hair = HairProfile.Usual;
        var most = mix.CoatsOf(bonded)
            .Max(c =>
            {
                var state = HairState.Of(hair.In(c.Panel.Panel.Key.Zone))[0];
                double Gain(Formula f) =>
                    (c.Coat with { Formula = f })
                        .LiftingOf(hair, c.Panel.Panel.Key.Zone, state)!
                        .Gain(c.Coat.Works.For.Value);
                return Gain(Given.Clay) - Gain(bonded);
            });
        Assert.Equal(most, Assert.Single(finding.Evidence).Value, 1e-9);
        Assert.InRange(most, 0.1, 1);
        Assert.Contains($"{40 / 0.9:0} min give", finding.Text.ToString());
    }

    [Fact]
    public void What_is_wrong_comes_worst_first()
    {
        var bad = Given.Clay with
        {
            Volume = new(40),
            Minutes = new(60),
            DeveloperParts = 4,
            Consistency = Consistency.Runny,
        };
        var found = MixFindings.Of(
            Case(
                bad.Lightened(l => l with { Additive = new Additive(0.1, 0.1) }),
                Given.Soft with
                {
                    StartCm = 0.2,
                    MidsMm = 30,
                    EndsMm = 30,
                }
            ),
            HairProfile.Usual
        );
        Assert.Equal(
            [MixFault.StrengthOverScalp, MixFault.PastLeaflet, MixFault.RunnyForDepth, MixFault.AdditiveLowersLift],
            found.Select(f => f.Kind)
        );
    }

    [Fact]
    public void A_loose_mixture_is_told_where_it_lies_deep_over_other_hair()
    {
        var loose = Given.Clay with { DeveloperParts = 4, Consistency = Consistency.Runny };
        var mix = Case(loose, Given.Soft with { MidsMm = 30, EndsMm = 30 });
        var finding = Only(mix, MixFault.RunnyForDepth);
        var deep = mix.CoatsOf(loose).Select(c => BleedFindings.Through(c.Coat, c.Panel.Panel)).ToArray();
        Assert.Equal(deep.Max(), Assert.Single(finding.Evidence).Value, 1e-9);
        Assert.Equal(deep.Count(d => d >= FindingLimits.Usual.BleedShare), finding.Panels.Count);
        Assert.DoesNotContain(
            MixFindings.Of(
                Case(loose, Given.Soft with { MidsMm = 30, EndsMm = 30, Covering = Covering.Foil }),
                HairProfile.Usual
            ),
            f => f.Kind == MixFault.RunnyForDepth
        );
        // Held together by hand, a loose ratio alone still runs.
        Assert.Single(
            MixFindings.Of(
                Case(Given.Clay with { DeveloperParts = 4 }, Given.Soft with { MidsMm = 30, EndsMm = 30 }),
                HairProfile.Usual
            ),
            f => f.Kind == MixFault.RunnyForDepth
        );
    }

    [Fact]
    public void Panels_over_before_the_last_are_told_by_step()
    {
        PanelTurn Turn(int column, double from, int step) => new(new(Zone.Crown, 0, column), from, from + 2, step);
        PanelTurn[] turns = [Turn(0, 0, 0), Turn(1, 2, 0), Turn(2, 18, 0), Turn(3, 0, 1), Turn(4, 13.5, 1)];
        var found = ClockFindings.FirstOverBeforeLast(new([], turns, []), t => t.Panel.Column == 0 ? 15 : 10).ToArray();
        Assert.Equal([null, "2"], found.Select(f => f.Of));
        // Last of the first step is done at 20: the first over at 17, the second at 14.
        Assert.Equal([1, 0], found[0].Panels.Select(p => p.Column));
        Assert.Equal([6.0, 2.0], found[0].Evidence.Select(e => e.Value));
        Assert.Contains("at minute 14, the last is painted at minute 20", found[0].Text.ToString());
        Assert.Equal([3.5, 1.0], found[1].Evidence.Select(e => e.Value));
        Assert.Empty(ClockFindings.FirstOverBeforeLast(new([], [Turn(0, 0, 0), Turn(1, 12, 0)], []), _ => 10));
    }

    [Fact]
    public void The_shelf_is_counted_against_all_bowls()
    {
        Product Of(string name, double hand, double? low) =>
            new DeveloperProduct(name, new(StockUnit.Gram, 0.1, hand, low), new(20));
        IReadOnlyList<Finding> Found(double hand, double? low, double needed) =>
            MixFindings.Of(
                Case(Given.Clay, Given.Soft) with
                {
                    Shelf = [Of("Dev", hand, low), new DeveloperProduct("Other", new(), new(30))],
                    Needed = new Dictionary<string, double> { ["Dev"] = needed },
                },
                HairProfile.Usual
            );
        Assert.Empty(Found(50, 10, 30));
        Assert.Empty(Found(50, null, 50));
        var missing = Assert.Single(Found(50, null, 80));
        Assert.Equal((MixFault.NotEnoughStock, 30.0), (missing.Kind, Assert.Single(missing.Evidence).Value));
        Assert.Equal("Dev", missing.Of);
        var low = Assert.Single(Found(50, 20, 30));
        Assert.Equal((MixFault.RunsLow, 20.0), (low.Kind, Assert.Single(low.Evidence).Value));
        Assert.Equal(0, Assert.Single(Assert.Single(Found(50, 0, 50)).Evidence).Value);
        Assert.Equal(
            new Dictionary<string, double> { ["A"] = 30, ["B"] = 5 },
            MixStock.Needed([
                new(Role.Lightener, "a", "A", 10),
                new(Role.Lightener, "a", "A", 20),
                new(Role.Additive, "b", "B", 5),
                new(Role.Developer, "c", null, 7),
            ])
        );
        Product[] priced = [Of("A", 0, null), Of("B", 0, null)];
        Assert.Equal(3.5, MixStock.Cost(new Dictionary<string, double> { ["A"] = 30, ["B"] = 5 }, priced)!.Value, 1e-9);
    }

    [Fact]
    public void A_shelf_starts_from_what_the_trade_usually_has()
    {
        Assert.Equal([5, 10, 20, 30, 40], GenericProducts.All.OfType<DeveloperProduct>().Select(d => d.Volume.Value));
        Assert.Equal(
            [(2.0, (double?)20, false), (1.5, 20, false), (1.5, null, false)],
            GenericProducts.All.OfType<LightenerProduct>().Select(l => (l.Ratios[0], l.ScoopGrams, l.ScalpSafe))
        );
        Each.Of(
            GenericProducts.All.OfType<LightenerProduct>(),
            l => Assert.Equal(!LiftTables.Of(l.Type).ExcludesHeat, l.HeatAllowed)
        );
    }

    [Fact]
    public void What_is_noted_at_its_limits_is_taken_and_past_them_named()
    {
        var clay = (LightenerProduct)GenericProducts.All[0];
        var stock = new Stock(StockUnit.Gram, 0.1, 100, 20, "L1");
        Assert.Empty(ProductChecks.Of(clay with { Name = new string('x', 60) }));
        Assert.Empty(ProductChecks.Of(clay with { Ratios = [0.1, 10, 1, 1, 1, 1] }));
        Assert.Empty(ProductChecks.Of(clay with { Stock = stock with { Lot = new string('x', 40) } }));
        string[] Wrong(Product product) => [.. ProductChecks.Of(product).Select(p => p.Field)];
        Assert.Equal(["ratios"], Wrong(clay with { Ratios = [1, 1, 1, 1, 1, 1, 1] }));
        Assert.Equal(["ratios"], Wrong(clay with { Ratios = [10.1] }));
        Assert.Equal(["stock.lot"], Wrong(clay with { Stock = stock with { Lot = "a\tb" } }));
        var shade = new ShadeProduct("S", stock, new(5), Reflect.Ash, ShadeBase.Demi, 1, new(10), new(20));
        Assert.Empty(ProductChecks.Of(shade));
        Assert.Equal(["reflect"], Wrong(shade with { Reflect = (Reflect)99 }));
        Assert.Equal(["base"], Wrong(shade with { Base = (ShadeBase)9 }));
        Assert.Equal(["covering"], Wrong(new CoveringProduct("C", stock, (Covering)9, 30)));
    }
}
