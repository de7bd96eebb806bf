using CsCheck;
using Wendro.Blend;
using Wendro.Head;
using Wendro.Lift;
using Wendro.Mix;
using Wendro.Paint;
using Wendro.Plans;
using Wendro.Section;

namespace Wendro.Tests.Mix;

/// <summary>
/// Every finding of the mix: a plan that has it, words with figures, a fix after which it is gone; and the rest of a
/// planned mix.
/// </summary>
public sealed class MixFindingsTests
{
    private static readonly Product[] Shelf =
    [
        .. GenericProducts
            .All.Select(p =>
                p is LightenerProduct { Type: Lightener.Clay } ? p with { Stock = new(StockUnit.Gram, 0.1, 500, 100) }
                : p is DeveloperProduct { Volume.Value: 5 } ? p with { Name = "Too weak" }
                : p
            )
            .Where(p => p.Name != "Too weak"),
    ];

    private static readonly Dictionary<FindingKind, (PlanEdit[] Edits, Product[] Shelf)> Flaws = new()
    {
        [MixFault.BowlOutlives] = (
            [
                CutZone.As(Zone.UpperBack, Sections.Usual with { WidthCm = 10 }),
                Painted(Given.Soft),
                new SetFormula(
                    Given.Clay.Lightened(l =>
                        l with
                        {
                            Figures = LiftTables.Of(Lightener.Clay) with { WindowMinutes = 1 },
                        }
                    )
                ),
            ],
            Shelf
        ),
        [MixFault.RunnyForDepth] = (
            [
                Painted(Given.Soft with { MidsMm = 21, EndsMm = 21 }),
                new SetFormula(Given.Clay with { DeveloperParts = 3, Consistency = Consistency.Runny }),
            ],
            Shelf
        ),
        [MixFault.StrengthOverScalp] = (
            [Painted(Given.Soft with { StartCm = 0.2 }), new SetFormula(Given.Clay with { Volume = new(40) })],
            Shelf
        ),
        [MixFault.HeatAgainstLeaflet] = (
            [Painted(Given.Soft), new SetFormula(Given.Clay with { LowHeat = true })],
            Shelf
        ),
        [MixFault.PastLeaflet] = ([Painted(Given.Soft), new SetFormula(Given.Clay with { Minutes = new(60) })], Shelf),
        [MixFault.FirstOver] = ([Painted(Given.Soft), new SetFormula(Given.Clay with { Minutes = new(2) })], Shelf),
        [MixFault.AdditiveLowersLift] = (
            [
                Painted(Given.Soft),
                new SetFormula(Given.Clay.Lightened(l => l with { Additive = new Additive(0.1, 0.1) })),
            ],
            Shelf
        ),
        [MixFault.NoSuchDeveloper] = (
            [Painted(Given.Soft), new SetFormula(Given.Clay with { Volume = new(5) })],
            Shelf
        ),
        [MixFault.NotEnoughStock] = (
            [Painted(Given.Soft), new SetFormula(Given.Clay)],
            [.. Shelf.Select(p => p is LightenerProduct ? p with { Stock = new(StockUnit.Gram, 0.1, 2) } : p)]
        ),
        [MixFault.RunsLow] = (
            [Painted(Given.Soft), new SetFormula(Given.Clay)],
            [.. Shelf.Select(p => p is LightenerProduct ? p with { Stock = new(StockUnit.Gram, 0.1, 100, 99) } : p)]
        ),
    };

    public static IReadOnlyList<FindingKind> Kinds => MixFault.All;

    public static TheoryData<FindingKind> Planned => [.. Kinds.Except([MixFault.UnevenRecipe])];

    private static PaintZone Painted(PanelPaint paint) => new(Zone.UpperBack, paint);

    private static PlannedMix Mixed(PlanEdit[] edits, Product[] shelf, params BegunBowl[] begun)
    {
        var plan = Plan.Fresh();
        foreach (var edit in edits)
        {
            var applied = plan.Apply(edit, Given.Cutting);
            Assert.Empty(applied.Problems);
            plan = applied.Plan;
        }

        return PlannedMix.Of(PlannedHead.Of(Given.Usual, Given.Cutting, plan), BenchRules.Usual, shelf, begun);
    }

    [Theory]
    [MemberData(nameof(Planned))]
    public void A_plan_has_it_and_what_is_offered_mends_it(FindingKind kind)
    {
        var (edits, shelf) = Flaws[kind];
        var mix = Mixed(edits, shelf);
        var finding = Assert.Single(mix.Findings(), f => f.Kind == kind);
        Assert.Matches(@"\d", finding.Text.ToString());
        Assert.NotEmpty(finding.Why.ToString());
        Assert.NotEmpty(finding.Evidence);
        var fix = MixFixes.For(finding, mix);
        Assert.Equal(
            new[]
            {
                MixFault.BowlOutlives,
                MixFault.NotEnoughStock,
                MixFault.RunsLow,
                MixFault.AdditiveLowersLift,
                MixFault.FirstOver,
            }.Contains(kind),
            fix is null
        );
        if (fix is not null)
        {
            Assert.DoesNotContain(Mixed([.. edits, fix.Edit], shelf).Findings(), f => f.Kind == kind);
        }
    }

    [Fact]
    public void What_is_over_before_the_last_is_painted_is_cut_coarser_as_near_to_the_plan_as_that_goes()
    {
        Assert.Null(CoarserCut.For(Mixed([Painted(Given.Soft), new SetFormula(Given.Clay)], Shelf), Given.Cutting));
        var edits = new PlanEdit[]
        {
            CutZone.As(Zone.UpperBack, new Sections(Parting.Horizontal, 8, 2, 3, true)),
            Painted(Given.Soft),
            new SetFormula(Given.Clay with { Minutes = new(15) }),
        };
        var mix = Mixed(edits, Shelf);
        Assert.Contains(mix.Findings(), f => f.Kind == MixFault.FirstOver);
        var cut = CoarserCut.For(mix, Given.Cutting)!;
        Assert.True(cut.Mends);
        Assert.True(cut.Panels.After < cut.Panels.Before && cut.LastAtMinute.After < cut.LastAtMinute.Before);
        Assert.DoesNotContain(Mixed([.. edits, cut.Edit], Shelf).Findings(), f => f.Kind == MixFault.FirstOver);

        // Of all coarser cuts that mend it, none looks nearer.
        var was = mix.Head.Measures.ZoneLevels;
        double Apart(PlannedMix other) => was.Keys.Average(z => Math.Abs(other.Head.Measures.ZoneLevels[z] - was[z]));
        var mending = FixesToTry
            .Coarser(mix.Head)
            .Select(w => Mixed([.. edits, w.Edit], Shelf))
            .Where(m => m.Findings().All(f => f.Kind != MixFault.FirstOver))
            .ToArray();
        Assert.NotEmpty(mending);
        Assert.Equal(mending.Min(Apart), cut.LevelsApart, 6);
    }

    [Fact]
    public void A_sound_plan_has_none() =>
        Assert.Empty(Mixed([Painted(Given.Soft), new SetFormula(Given.Clay)], Shelf).Findings());

    [Fact]
    public void Heat_that_its_leaflet_allows_and_that_was_confirmed_is_not_held_against_it()
    {
        Assert.Empty(
            Mixed(
                    [Painted(Given.Soft), new SetFormula(Given.Clay with { LowHeat = true, HeatConfirmed = true })],
                    Shelf
                )
                .Findings()
        );
        var allows = Given.Clay.Lightened(l =>
            l with
            {
                Figures = LiftTables.Of(Lightener.Clay) with { ExcludesHeat = false },
            }
        ) with
        {
            LowHeat = true,
        };
        Assert.Empty(Mixed([Painted(Given.Soft), new SetFormula(allows)], Shelf).Findings());
    }

    [Fact]
    public void Safety_is_not_set_aside_and_the_rest_can_be()
    {
        foreach (var kind in new[] { MixFault.HeatAgainstLeaflet, MixFault.PastLeaflet, MixFault.RunnyForDepth })
        {
            var (edits, shelf) = Flaws[kind];
            var finding = Mixed(edits, shelf).Findings().Single(f => f.Kind == kind);
            var set = Plan.Fresh()
                .Apply(new Together([.. edits, new Dismiss(finding.Id, finding.Severity, "so be it")]), Given.Cutting);
            Assert.Equal(kind == MixFault.RunnyForDepth, set.Succeeded);
        }
    }

    [Fact]
    public void A_bowl_that_came_out_otherwise_is_said_and_the_head_is_forecast_with_it()
    {
        PlanEdit[] edits = [Painted(Given.Soft), new SetFormula(Given.Clay)];
        var mix = Mixed(edits, Shelf);
        var recipe = mix.Bowls[0].Recipe;
        BegunBowl Begun(double developer) =>
            new(
                Given.Clay,
                1,
                BowlInHand.Of(
                    recipe,
                    [
                        new Tared(200),
                        new Poured(0, recipe.Ingredients[0].Grams, Weighed.Scale),
                        new Poured(1, recipe.Ingredients[1].Grams * developer, Weighed.Scale),
                        .. developer > 1 ? [new KeptAsIs()] : Array.Empty<BowlEvent>(),
                    ]
                )
            );

        Assert.Empty(Mixed(edits, Shelf, Begun(1)).Findings());
        var off = Mixed(edits, Shelf, Begun(2));
        var finding = Assert.Single(off.Findings(), f => f.Kind == MixFault.UnevenRecipe);
        Assert.Contains("1 : 4.00", finding.Text.ToString());
        Assert.Equal(off.Bowls[0].Batch.Panels, finding.Panels);

        var after = Mixed([Painted(Given.Soft), new SetFormula(Given.Clay with { Volume = new(20) })], Shelf, Begun(1));
        Assert.Contains(
            "instead of 1 : 2.00 with 20 vol",
            Assert.Single(after.Findings(), f => f.Kind == MixFault.UnevenRecipe).Text.ToString()
        );
        var swapped = Mixed(
            [Painted(Given.Soft), new SetFormula(Given.Clay.Lightened(l => l with { Product = "Cream lightener" }))],
            Shelf,
            Begun(1)
        );
        Assert.Contains(
            "It holds Clay lightener",
            Assert.Single(swapped.Findings(), f => f.Kind == MixFault.UnevenRecipe).Text.ToString()
        );

        var weaker = PlannedHead.Of(Given.Usual, Given.Cutting, off.Head.Plan, off.AsWeighed());
        Assert.True(weaker.Measures.MeanLevel < mix.Head.Measures.MeanLevel);
        Assert.Equal(
            mix.Head.Levels,
            PlannedHead.Of(Given.Usual, Given.Cutting, mix.Head.Plan, Mixed(edits, Shelf, Begun(1)).AsWeighed()).Levels
        );
    }

    [Fact]
    public void Grams_are_hair_reached_by_coat_and_waste_once()
    {
        var mix = Mixed(
            [
                Painted(Given.Soft),
                new PaintZone(Zone.Nape, Given.Soft with { Covering = Covering.Foil }),
                new SetFormula(Given.Clay),
            ],
            Shelf
        );
        var wasteless = PlannedMix.Of(mix.Head, BenchRules.Usual with { Waste = 0 }, Shelf, []);
        Assert.Equal(wasteless.Grams * 1.15, mix.Grams, 1e-6);
        Each.Of(
            mix.Takes,
            t => Assert.Equal(t.HairGrams * (t.Panel.Zone == Zone.Nape ? 1.9 : 2.2) * 1.15, t.Grams, 1e-9)
        );
        Assert.Equal(mix.Grams, mix.Bowls.Sum(b => b.Batch.Grams - b.Batch.ExtraGrams), 0.001);
        Assert.Equal(mix.Grams, mix.Formulas().Sum(f => f.Grams), 1e-6);
        var all = mix
            .Bowls.SelectMany(b => b.Recipe.Ingredients)
            .Where(i => i.Product == Given.Clay.Light!.Product)
            .Sum(i => i.Grams);
        Assert.Equal(all * 0.1, mix.Formulas()[0].Cost!.Value, 1e-6);
        Assert.Equal(all, mix.Bowls.Sum(b => b.Batch.Grams) / (1 + Given.Clay.DeveloperPerPart), 1e-6);
    }

    [Fact]
    public void Hair_reached_is_what_is_painted_of_it()
    {
        var panel = Given.Bare.Panels.First(p => p.Panel.Key.Zone == Zone.UpperBack).Panel;
        double Reached(PanelPaint paint) => Amounts.HairReached(panel, PaintedPanel.On(panel, paint, 1));
        var all = new PanelPaint(new Shape.Full(), 0, 0, 40, 40);
        Assert.Equal(panel.HairGrams, Reached(all), 1e-6);
        Assert.Equal(panel.HairGrams / 2, Reached(all with { StartShare = 0.5 }), 0.02 * panel.HairGrams);
        Assert.Equal(
            panel.HairGrams / 3,
            Reached(all with { MidsMm = panel.ThicknessMm / 3, EndsMm = panel.ThicknessMm / 3 }),
            0.01 * panel.HairGrams
        );
        Assert.True(Reached(all with { Teasing = Teasing.Strong }) < 0.8 * panel.HairGrams);
        Assert.Equal(0, Reached(all with { StartCm = 75 }));
    }

    /// <summary>Straight across it is the band's width less half of what it fades over.</summary>
    [Fact]
    public void Of_a_narrow_band_as_much_hair_is_reached_wherever_it_lies() =>
        Gen.Select(Gen.Double[0, 15], Gen.Double[0.5, 4], Gen.Double[20, 60])
            .Sample(
                (startCm, bandCm, lengthCm) =>
                {
                    var panel = Given.PanelOf(8, lengthCm);
                    var paint = new PanelPaint(new Shape.Full(), startCm, 0, 8, 8, BandCm: bandCm, SpreadCm: 0);
                    Assert.Equal(
                        panel.HairGrams * (bandCm - 0.25) / lengthCm,
                        Amounts.HairReached(panel, PaintedPanel.On(panel, paint, 1)),
                        0.02 * panel.HairGrams * bandCm / lengthCm
                    );
                }
            );

    [Fact]
    public void A_full_head_takes_about_what_such_work_takes()
    {
        var mix = Mixed(
            [
                .. ZoneFacts.All.Select(z => new PaintZone(
                    z,
                    Given.Soft with
                    {
                        StartShare = 0.3,
                        Shape = new Shape.V(6),
                    }
                )),
                new SetFormula(Given.Clay),
            ],
            Shelf
        );
        var usual = Amounts.Usual(mix.Head.Panels);
        Assert.InRange(mix.Grams, usual.FromGrams * 0.7, usual.ToGrams * 1.2);
        Assert.InRange(usual.FromGrams, 50, 75);
        Assert.Contains("g of hair", usual.Why.ToString());
        // A full service of 60 to 140 g, by how much hair is held.
        Assert.Equal(140.0 / 60, usual.ToGrams / usual.FromGrams, 1e-9);
        Assert.Equal(60 * mix.Head.Panels.Sum(p => p.Panel.HairGrams) / 122, usual.FromGrams, 1e-9);
    }

    [Fact]
    public void The_tray_follows_from_the_plan()
    {
        string[] Ids(params PlanEdit[] edits) => [.. Mixed(edits, Shelf).Tray().Select(t => t.Id)];
        Assert.Empty(Mixed([], Shelf).Tray());
        var open = Ids(Painted(Given.Soft));
        Assert.Contains("board", open);
        Assert.DoesNotContain("barrier", open);
        Assert.DoesNotContain("teasing", open);
        Assert.Contains("barrier", Ids(new PaintZone(Zone.FaceFrameLeft, Given.Soft)));
        var foiled = Mixed([Painted(Given.Soft with { Covering = Covering.Foil, Teasing = Teasing.Light })], Shelf);
        Assert.Contains(foiled.Tray(), t => t.Id == "teasing");
        Assert.DoesNotContain(foiled.Tray(), t => t.Id == "board");
        var sheets = foiled.Tray().Where(t => t.Id.StartsWith("foil", StringComparison.Ordinal)).Sum(t => t.Count);
        Assert.True(sheets >= foiled.Head.Panels.Count(p => p.Coats.Count > 0));
    }
}
