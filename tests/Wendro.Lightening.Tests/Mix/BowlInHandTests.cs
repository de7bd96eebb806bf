using CsCheck;
using Wendro.Colour;
using Wendro.Lift;
using Wendro.Mix;

namespace Wendro.Tests.Mix;

/// <summary>Recipes and their weighing: masses balance, ratios come back, nothing is forgotten.</summary>
public sealed class BowlInHandTests
{
    private static readonly DeveloperProduct[] Developers = new double[] { 10, 20, 40 }
        .Select(v => new DeveloperProduct($"Dev {v}", new(), new(v)))
        .ToArray();

    private static readonly Gen<Formula> AnyFormula =
        from volume in Gen.Double[5, 40]
        from parts in Gen.Double[0.5, 3]
        from second in Gen.Double[0.05, 0.95]
        from kind in Gen.Int[0, 3]
        from dose in Gen.Double[0.02, 0.2]
        select Formula.Usual with
        {
            Volume = new(volume),
            DeveloperParts = parts,
            Mixture =
                kind == 3
                    ? new DepositMixture(
                        new(6),
                        new ShadeMix([
                            new("Five", new(5), Reflect.Natural, 1),
                            new("Seven", new(7), Reflect.Ash, second),
                        ])
                    )
                    : new LightenerMixture(
                        Lightener.Clay,
                        Second: kind is 1 or 2 ? new SecondLightener(Lightener.Powder, second, "Powder P") : null,
                        Additive: kind is 2 ? new Additive(dose, 0.05) : null
                    ),
        };

    [Fact]
    public void A_recipe_has_its_mass_its_ratio_its_strength_and_its_shares() =>
        Gen.Select(AnyFormula, Gen.Double[5, 400])
            .Sample(
                (formula, grams) =>
                {
                    var recipe = Recipe.Of(formula, grams, Developers);
                    double Of(Role role) => recipe.Ingredients.Where(i => i.Role == role).Sum(i => i.Grams);
                    var lightener = Of(Role.Lightener) + Of(Role.Colour);
                    Assert.Equal(grams, recipe.ProductGrams, 1e-6);
                    Assert.Equal(formula.DeveloperPerPart, Of(Role.Developer) / lightener, 1e-6);
                    Assert.Equal((formula.Light?.Additive?.GramsPerGram ?? 0) * lightener, Of(Role.Additive), 1e-6);
                    Assert.Equal(recipe.ProductGrams + Of(Role.Additive), recipe.TotalGrams, 1e-9);
                    var parts = recipe.Ingredients.Where(i => i.Role == Role.Developer).ToArray();
                    Assert.Equal(formula.Volume < 10, recipe.Missing is not null);
                    Assert.Equal(
                        formula.Volume,
                        parts.Sum(p => p.Grams * p.Volume!.Value) / parts.Sum(p => p.Grams),
                        1e-6
                    );
                    if (formula.Light?.Second is { } two)
                    {
                        Assert.Equal(
                            two.Share,
                            recipe.Ingredients.Single(i => i.Product == "Powder P").Grams / lightener,
                            1e-6
                        );
                    }

                    var least = Recipe.LeastGrams(formula, 0.5, Developers);
                    var small = Recipe.Of(formula, least, Developers, 0.5);
                    Assert.Equal(0.5, small.Ingredients.Where(i => i.Role != Role.Additive).Min(i => i.Grams), 1e-6);
                    Each.Of(small.Ingredients, i => Assert.True(i.Grams >= 0.5 - 1e-6));
                }
            );

    [Fact]
    public void Weighed_step_by_step_it_comes_out_as_it_was_meant() =>
        Gen.Select(AnyFormula, Gen.Double[20, 300], Gen.Double[0, 1].Array[40])
            .Sample(
                (formula, grams, slips) =>
                {
                    var bowl = Weigh(Recipe.Of(formula, grams, Developers), [new Tared(210)], slips);
                    Assert.True(bowl.IsDone);
                    Each.Of(bowl.Steps, s => Assert.Equal(s.TargetGrams, s.PouredGrams, s.ToleranceGrams + 1e-6));
                    Assert.Equal(210 + bowl.PouredGrams, bowl.GrossGrams!.Value, 1e-6);
                    Assert.Equal(
                        bowl.PouredGrams,
                        bowl.ProductGrams
                            + bowl.Steps.Where(s => s.Ingredient.Role == Role.Additive).Sum(s => s.PouredGrams),
                        1e-6
                    );
                    Assert.Equal(
                        formula.DeveloperPerPart,
                        bowl.AsWeighed(formula).DeveloperPerPart,
                        0.2 * formula.DeveloperPerPart
                    );
                }
            );

    [Fact]
    public void A_mixed_bowl_is_thickened_or_loosened_in_small_steps_and_the_true_ratio_counts() =>
        Gen.Select(AnyFormula, Gen.Double[40, 300], Gen.Double[0, 1].Array[40], Gen.Bool)
            .Sample(
                (formula, grams, slips, thicker) =>
                {
                    var recipe = Recipe.Of(formula, grams, Developers);
                    var begun = BowlInHand.Of(recipe, [new Tared(210)]);
                    Assert.Null(begun.Looser(1.5));
                    Assert.Single(begun.Against(new Adjusted(0, 1, Weighed.Typed)));

                    var poured = recipe
                        .Ingredients.Select((i, n) => (BowlEvent)new Poured(n, i.Grams, Weighed.Scale))
                        .Prepend(new Tared(210))
                        .ToList();
                    var bowl = BowlInHand.Of(recipe, poured);
                    var before = bowl.DeveloperGrams / bowl.LightenerGrams;
                    if ((thicker ? bowl.Thicker(1.5) : bowl.Looser(1.5)) is not { } by)
                    {
                        Assert.True(thicker && before <= 0.2 + 1e-9);
                        return;
                    }

                    var step = new Adjusted(by.Ingredient, by.Grams, Weighed.Typed);
                    Assert.Empty(bowl.Against(step));
                    var after = BowlInHand.Of(recipe, [.. poured, step]);
                    Assert.True(after.IsDone);
                    Assert.Equal(before + (thicker ? -0.1 : 0.1), after.AsWeighed(formula).DeveloperPerPart, 1e-6);
                    Assert.Equal(by.Ratio, after.DeveloperGrams / after.LightenerGrams, 1e-9);

                    // What was said last can be taken back.
                    var back = BowlInHand.Of(recipe, [.. poured, step, new TakenBack()]);
                    Assert.Equal(bowl.PouredGrams, back.PouredGrams, 1e-9);
                }
            );

    [Fact]
    public void Too_much_of_anything_is_restored_to_the_ratio_by_adding_alone() =>
        Gen.Select(AnyFormula, Gen.Double[20, 200], Gen.Int[0, 5], Gen.Double[1.05, 3], Gen.Double[0, 1].Array[40])
            .Sample(
                (formula, grams, which, times, slips) =>
                {
                    var recipe = Recipe.Of(formula, grams, Developers);
                    var at = which % recipe.Ingredients.Count;
                    var events = new List<BowlEvent> { new Tared(180) };
                    for (var i = 0; i < at; i++)
                    {
                        events.Add(new Poured(i, recipe.Ingredients[i].Grams, Weighed.Scale));
                    }

                    events.Add(
                        new Poured(
                            at,
                            Math.Max(recipe.Ingredients[at].Grams * times, recipe.Ingredients[at].Grams + 0.6),
                            Weighed.Scale
                        )
                    );
                    var over = BowlInHand.Of(recipe, events);
                    Assert.Equal(at, over.Over);
                    Assert.Null(over.Next);
                    Assert.NotEmpty(over.Against(new Poured((at + 1) % recipe.Ingredients.Count, 1, Weighed.Scale)));
                    Assert.Empty(over.Against(new Poured(at, 1, Weighed.Scale)));
                    var rescue = over.Rescue(250)!;
                    Assert.Equal(over.PouredGrams + rescue.Adds.Sum(), rescue.TotalGrams, 1e-6);
                    Assert.True(Math.Abs(rescue.TotalGrams - 250) < 1e-6 || rescue.Fits == rescue.TotalGrams < 250);
                    Each.Of(rescue.Adds, a => Assert.True(a >= 0));

                    var exact = events
                        .Append(new Restored())
                        .Concat(
                            rescue
                                .Adds.Select((g, i) => (BowlEvent)new Poured(i, g, Weighed.Scale))
                                .Where(p => ((Poured)p).Grams > 0)
                        )
                        .ToArray();
                    var restored = BowlInHand.Of(recipe, exact);
                    Assert.True(restored.IsDone);
                    Assert.Equal(rescue.TotalGrams, restored.PouredGrams, 0.05);
                    Assert.Equal(
                        formula.DeveloperPerPart,
                        restored.AsWeighed(formula).DeveloperPerPart,
                        1e-6 * formula.DeveloperPerPart + 1e-6
                    );
                    Assert.Equal(formula.Volume, restored.AsWeighed(formula).Volume, 1e-4);
                    Assert.True(Weigh(recipe, [.. events, new Restored()], slips).IsDone);
                }
            );

    [Fact]
    public void Kept_as_it_is_the_rest_is_poured_as_meant_and_the_hair_gets_what_is_in_the_bowl()
    {
        var recipe = Recipe.Of(Formula.Usual with { Volume = new(20), DeveloperParts = 1.5 }, 100, Developers);
        Assert.Equal(
            60 / 44.0,
            BowlInHand.Of(recipe, [new Poured(0, 44, Weighed.Typed)]).Rescue(250)!.RatioIfKept,
            1e-9
        );
        var bowl = Weigh(recipe, [new Tared(200), new Poured(0, 44, Weighed.Typed), new KeptAsIs()], new double[40]);
        Assert.True(bowl.IsDone && bowl.IsKept);
        Assert.Equal(44, bowl.LightenerGrams);
        Assert.Equal(60, bowl.DeveloperGrams, 0.5);
        var came = bowl.AsWeighed(Formula.Usual);
        Assert.Equal(60 / 44.0, came.DeveloperPerPart, 0.02);
        Assert.Equal(20, came.Volume, 1e-9);

        // Once kept, a second slip is heard again.
        var twice = BowlInHand.Of(
            recipe,
            [new Poured(0, 44, Weighed.Typed), new KeptAsIs(), new Poured(1, 90, Weighed.Typed)]
        );
        Assert.Equal(1, twice.Over);
    }

    [Fact]
    public void What_was_said_last_can_be_taken_back()
    {
        var recipe = Recipe.Of(Formula.Usual, 100, []);
        var bowl = BowlInHand.Of(
            recipe,
            [new Tared(200), new Poured(0, 60, Weighed.Scale), new Restored(), new TakenBack(), new TakenBack()]
        );
        Assert.Equal((0, 1.0, 0), (bowl.PouredGrams, bowl.Raised, bowl.Next!.Value));
        Assert.Equal(200, bowl.TareGrams);
        Assert.NotEmpty(bowl.Against(new TakenBack()));
    }

    [Theory]
    [InlineData(-1, 5)]
    [InlineData(2, 5)]
    [InlineData(0, 0)]
    [InlineData(0, -3)]
    [InlineData(0, double.NaN)]
    public void What_can_not_be_poured_is_refused(int ingredient, double grams) =>
        Assert.NotEmpty(
            BowlInHand.Of(Recipe.Of(Formula.Usual, 100, []), []).Against(new Poured(ingredient, grams, Weighed.Typed))
        );

    [Fact]
    public void A_developer_beyond_the_shelf_is_said_and_the_bowl_still_balances()
    {
        var recipe = Recipe.Of(Formula.Usual with { Volume = new(5) }, 100, Developers);
        Assert.Contains("10 to 40 vol", recipe.Missing);
        Assert.Equal(100, recipe.TotalGrams, 1e-9);
        Assert.Equal(
            [40, 45, 15],
            Recipe
                .Of(Formula.Usual with { Volume = new(25), DeveloperParts = 1.5 }, 100, Developers)
                .Ingredients.Select(i => Math.Round(i.Grams, 6))
        );
    }

    /// <summary>Pours what is next until all is in, off by less than the tolerance.</summary>
    private static BowlInHand Weigh(Recipe recipe, IReadOnlyList<BowlEvent> begun, double[] slips)
    {
        var events = begun.ToList();
        var bowl = BowlInHand.Of(recipe, events);
        for (var i = 0; bowl.Next is { } next && i < slips.Length; i++)
        {
            var step = bowl.Steps[next];
            var poured = new Poured(next, step.ToGo - (slips[i] - 0.5) * step.ToleranceGrams, Weighed.Scale);
            Assert.Empty(bowl.Against(poured));
            events.Add(poured);
            bowl = BowlInHand.Of(recipe, events);
        }

        return bowl;
    }
}
