using Wendro.Colour;
using Wendro.Lift;
using Wendro.Mix;
using Wendro.Units;

namespace Wendro.Tests.Mix;

/// <summary>Weighing by example: what is refused, when a weight is met, what the hair gets from what was poured.</summary>
public sealed class WeighingRulesTests
{
    private static readonly Formula Plain = Formula.Usual with { Volume = new(20), DeveloperParts = 1.5 };

    private static readonly Formula Bonded = Plain.Lightened(l => l with { Additive = new Additive(0.05, 0.04) });

    private static BowlInHand Bowl(Formula formula, params double[] poured) =>
        BowlInHand.Of(
            Recipe.Of(formula, 100, []),
            [.. poured.Select((g, i) => new Poured(i, g, Weighed.Scale)).Where(p => p.Grams > 0)]
        );

    [Fact]
    public void What_can_happen_to_an_empty_bowl()
    {
        var bowl = Bowl(Plain);
        bool Takes(BowlEvent e) => bowl.Against(e).Count == 0;
        Assert.Equal(
            [true, true, false, false, false],
            new[] { 0, 10_000, -0.1, 10_000.1, double.NaN }.Select(g => Takes(new Tared(g)))
        );
        Assert.Equal(
            [true, true, false, false],
            new[] { 0.1, 5_000, 0, 5_000.1 }.Select(g => Takes(new Poured(0, g, Weighed.Typed)))
        );
        Assert.True(Takes(new Poured(1, 5, Weighed.Scale)));
        Assert.Equal("ingredient", Assert.Single(bowl.Against(new Poured(2, 5, Weighed.Scale))).Field);
        Assert.Equal("how", Assert.Single(bowl.Against(new Poured(0, 5, (Weighed)9))).Field);
        Assert.False(Takes(new Restored()));
        Assert.False(Takes(new KeptAsIs()));
        Assert.False(Takes(new TakenBack()));
    }

    [Fact]
    public void What_can_happen_to_one_that_is_mixed()
    {
        var bowl = Bowl(Plain, 40, 60);
        bool Takes(BowlEvent e) => bowl.Against(e).Count == 0;
        Assert.Equal(
            [true, true, false, false],
            new[] { 0.1, 500, 0, 500.1 }.Select(g => Takes(new Adjusted(0, g, Weighed.Typed)))
        );
        Assert.Equal([true, false, false], new[] { 1, 2, -1 }.Select(i => Takes(new Adjusted(i, 5, Weighed.Typed))));
        Assert.Equal("how", Assert.Single(bowl.Against(new Adjusted(0, 5, (Weighed)9))).Field);
        Assert.Equal("kind", Assert.Single(bowl.Against(new Tared(200))).Field);
        Assert.True(Takes(new TakenBack()));
    }

    [Fact]
    public void Too_much_waits_for_a_word()
    {
        var bowl = Bowl(Plain, 44);
        Assert.Empty(bowl.Against(new Restored()));
        Assert.Empty(bowl.Against(new KeptAsIs()));
        Assert.NotEmpty(bowl.Against(new Poured(1, 5, Weighed.Scale)));
    }

    [Theory]
    [InlineData(0, StepState.Waiting)]
    [InlineData(0.1, StepState.Short)]
    [InlineData(39.49, StepState.Short)]
    [InlineData(39.5, StepState.Met)]
    [InlineData(40.5, StepState.Met)]
    [InlineData(40.51, StepState.Over)]
    public void Half_a_gram_either_way_is_met(double grams, StepState state)
    {
        var step = Bowl(Plain, grams).Steps[0];
        Assert.Equal((state, 0.5), (step.State, step.ToleranceGrams));
        Assert.Equal(Math.Max(0, 40 - grams), step.ToGo, 1e-9);
    }

    [Theory]
    [InlineData(5, 0.2)]
    [InlineData(10, 0.2)]
    [InlineData(15, 0.3)]
    [InlineData(25, 0.5)]
    [InlineData(300, 0.5)]
    public void Two_parts_in_a_hundred_are_met_no_finer_than_the_scale(double target, double within) =>
        Assert.Equal(within, BenchRules.Tolerance(target), 1e-9);

    [Fact]
    public void A_rescue_says_how_large_the_bowl_becomes_and_what_keeping_it_means()
    {
        var over = Bowl(Bonded, 44);
        var rescue = over.Rescue(112.2)!;
        Assert.Equal([0, 66, 2.2], rescue.Adds.Select(a => Math.Round(a, 6)));
        Assert.Equal((110, 112.2), (Math.Round(rescue.ProductGrams, 6), Math.Round(rescue.TotalGrams, 6)));
        Assert.True(rescue.Fits);
        Assert.False(over.Rescue(112.1)!.Fits);
        Assert.Equal(60 / 44.0, rescue.RatioIfKept, 1e-9);
        var colour = BowlInHand.Of(
            Recipe.Of(Formula.Colouring(FormulaId.A, 6, 10, 20), 100, []),
            [new Poured(0, 50, Weighed.Scale)]
        );
        Assert.Equal(60 / 50.0, colour.Rescue(200)!.RatioIfKept, 1e-9);
        Assert.Null(Bowl(Plain, 40).Rescue(200));
    }

    [Fact]
    public void Kept_is_only_what_was_kept()
    {
        Assert.False(Bowl(Plain, 40, 60).IsKept);
        Assert.True(
            BowlInHand.Of(Recipe.Of(Plain, 100, []), [new Poured(0, 44, Weighed.Scale), new KeptAsIs()]).IsKept
        );
    }

    [Fact]
    public void A_step_thicker_takes_lightener_and_a_step_looser_developer()
    {
        var bowl = Bowl(Plain, 40, 60);
        var thicker = bowl.Thicker(2)!;
        Assert.Equal((0, 1.4), (thicker.Ingredient, Math.Round(thicker.Ratio, 9)));
        Assert.Equal(60 / 1.4 - 40, thicker.Grams, 1e-9);
        Assert.Contains("firm", thicker.Holds);
        var looser = bowl.Looser(1)!;
        Assert.Equal((1, 4.0), (looser.Ingredient, Math.Round(looser.Grams, 9)));
        Assert.Contains("runny", looser.Holds);

        // Nothing is thickened before it is mixed, and a paste is thick enough.
        Assert.Null(Bowl(Plain, 40).Thicker(2));
        Assert.Null(Bowl(Plain, 40).Looser(2));
        Assert.Null(Bowl(Plain with { DeveloperParts = 0.2 }, 100 / 1.2, 20 / 1.2).Thicker(2));
        Assert.NotNull(Bowl(Plain with { DeveloperParts = 0.25 }, 80, 20).Thicker(2));

        // A colour is thickened by colour, of the first of its shades.
        var colour = BowlInHand.Of(
            Recipe.Of(Formula.Colouring(FormulaId.A, 6, 10, 20), 100, []),
            [new Poured(0, 40, Weighed.Scale), new Poured(1, 60, Weighed.Scale)]
        );
        Assert.Equal(0, colour.Thicker(1.5)!.Ingredient);
    }

    [Fact]
    public void Half_a_bowl_is_no_recipe()
    {
        Assert.Same(Plain, Bowl(Plain).AsWeighed(Plain));
        Assert.Same(Plain, Bowl(Plain, 40).AsWeighed(Plain));
        Assert.Same(Plain, Bowl(Plain, 0, 60).AsWeighed(Plain));
        Assert.Equal(2, Bowl(Plain, 30, 60).AsWeighed(Plain).DeveloperParts);
    }

    [Theory]
    [InlineData(2, 0.05, 0.04)]
    [InlineData(1, 0.025, 0.02)]
    [InlineData(8, 0.2, 0.1)]
    public void Of_an_additive_the_hair_gets_the_dose_that_was_poured(double grams, double dose, double slows)
    {
        var additive = Bowl(Bonded, 40, 60, grams).AsWeighed(Bonded).Light!.Additive!;
        Assert.Equal((dose, slows), (Math.Round(additive.GramsPerGram, 9), Math.Round(additive.Slows, 9)));
    }

    [Fact]
    public void An_additive_that_was_left_out_does_not_slow_and_one_never_meant_stays_none()
    {
        Assert.Null(Bowl(Bonded, 40, 60).AsWeighed(Bonded).Light!.Additive);
        Assert.Null(Bowl(Plain, 40, 60).AsWeighed(Plain).Light!.Additive);
    }

    [Fact]
    public void Two_lighteners_and_two_developers_count_by_what_was_poured_of_each()
    {
        var two = Plain.Lightened(l => l with { Second = new SecondLightener(Lightener.Powder, 0.25) }) with
        {
            Volume = new(25),
        };
        DeveloperProduct[] shelf = [new("Weak", new(), new(20)), new("Strong", new(), new(30))];
        var recipe = Recipe.Of(two, 100, shelf);
        Assert.Equal([30, 10, 30, 30], recipe.Ingredients.Select(i => Math.Round(i.Grams, 9)));
        Assert.Equal([null, null, "Weak", "Strong"], recipe.Ingredients.Select(i => i.Product));
        var came = BowlInHand
            .Of(
                recipe,
                [
                    new Poured(0, 30, Weighed.Scale),
                    new Poured(1, 20, Weighed.Scale),
                    new Poured(2, 30, Weighed.Scale),
                    new Poured(3, 45, Weighed.Scale),
                ]
            )
            .AsWeighed(two);
        Assert.Equal(0.4, came.Light!.Second!.Share, 1e-9);
        Assert.Equal(26, came.Volume, 1e-9);
        Assert.Equal(1.5, came.DeveloperPerPart, 1e-9);

        // The generic half and half weighs two parts, but plans one lightener.
        var half = Plain with
        {
            Mixture = new LightenerMixture(Lightener.Half),
        };
        Assert.Null(Bowl(half, 20, 20, 60).AsWeighed(half).Light!.Second);
    }

    [Fact]
    public void It_holds_as_was_said_until_its_ratio_makes_it_hold_otherwise()
    {
        var stiff = Plain with { Consistency = Consistency.Stiff };
        Assert.Equal(Consistency.Stiff, Bowl(stiff, 40, 60).AsWeighed(stiff).Consistency);
        Assert.Equal(Consistency.Stiff, Bowl(stiff, 40, 64).AsWeighed(stiff).Consistency);
        Assert.Equal(Consistency.Runny, Bowl(stiff, 20, 70).AsWeighed(stiff).Consistency);
        Assert.Equal(Consistency.Stiff, Bowl(Plain, 60, 40).AsWeighed(Plain).Consistency);
    }

    [Fact]
    public void A_shade_of_which_nothing_was_poured_is_not_in_it()
    {
        var deposit = Formula.Colouring(
            FormulaId.A,
            6,
            10,
            20,
            new ShadeMix([new("Five", new(5), Reflect.Natural, 1), new("Seven", new(7), Reflect.Ash, 1)])
        );
        var recipe = Recipe.Of(deposit, 100, []);
        var came = BowlInHand
            .Of(recipe, [new Poured(1, 20, Weighed.Scale), new Poured(2, 60, Weighed.Scale)])
            .AsWeighed(deposit);
        Assert.Equal(["Seven"], came.Deposit!.Shades!.Shades.Select(s => s.Name));
        Assert.Equal(7, came.Deposit.Level, 1e-9);
        var both = BowlInHand
            .Of(
                recipe,
                [new Poured(0, 30, Weighed.Scale), new Poured(1, 10, Weighed.Scale), new Poured(2, 60, Weighed.Scale)]
            )
            .AsWeighed(deposit);
        Assert.Equal(5.5, both.Deposit!.Level, 1e-9);
    }

    [Fact]
    public void A_recipe_names_what_is_taken_from_the_shelf_and_what_is_not()
    {
        var named = Plain.Lightened(l =>
            l with
            {
                Product = "Clay C",
                Second = new(Lightener.Powder, 0.5, "Powder P"),
                Additive = new(0.01, 0.01, "Bond B"),
            }
        );
        var recipe = Recipe.Of(named, 10, [], 0.5);
        Assert.Equal(["Clay C", "Powder P", "developer 20 vol", "Bond B"], recipe.Ingredients.Select(i => i.Words));
        var dose = recipe.Ingredients[^1];
        Assert.Equal(0.5, dose.Grams);
        Assert.Contains("0.04 g would do", dose.Note);
        Assert.Null(Recipe.Of(named, 1000, [], 0.5).Ingredients[^1].Note);
        Assert.Equal(4, Recipe.Of(named, 1000, [], 0.5).Ingredients[^1].Grams, 1e-9);
        Assert.Null(Recipe.Of(named, 125, [], 0.5).Ingredients[^1].Note);

        var half = Recipe.Of(Plain with { Mixture = new LightenerMixture(Lightener.Half) }, 100, []);
        Assert.Equal([20, 20, 60], half.Ingredients.Select(i => Math.Round(i.Grams, 9)));
        Assert.NotEqual(half.Ingredients[0].Words, half.Ingredients[1].Words);
        var own = Recipe.Of(Plain with { Mixture = new LightenerMixture(Lightener.Half, "Half H") }, 100, []);
        Assert.Equal([40, 60], own.Ingredients.Select(i => Math.Round(i.Grams, 9)));
        Assert.Equal("bond additive", Recipe.Of(Bonded, 100, []).Ingredients[^1].Words);
    }

    [Fact]
    public void A_developer_in_between_is_blended_from_the_nearest_on_either_side()
    {
        Volume[] at = [new(40), new(5), new(10), new(30)];
        var blend = Developer.Blend(new(20), 100, at)!;
        Assert.Equal([(10.0, 50.0), (30.0, 50.0)], blend.Select(p => (p.Volume.Value, Math.Round(p.Grams, 9))));
        Assert.Equal(new DeveloperPart(new(30), 80), Assert.Single(Developer.Blend(new(30), 80, at)!));
        Assert.Null(Developer.Blend(new(5), 100, [new(10), new(30)]));
        Assert.Null(Developer.Blend(new(40), 100, [new(10), new(30)]));
        Assert.Equal(0, Developer.VolumeOf([]));
    }

    [Fact]
    public void A_ratio_is_restored_within_what_the_bowl_holds()
    {
        var ratio = new Ratio(1, 2);
        var rescue = ratio.Restore(new Bowl(40, 60), 120)!;
        Assert.Equal((0, 20), (rescue.AddLightenerGrams, rescue.AddDeveloperGrams));
        Assert.Equal((120, true), (rescue.TotalGrams, rescue.Fits));
        Assert.False(ratio.Restore(new Bowl(40, 60), 119.9).Fits);
        var other = ratio.Restore(new Bowl(30, 90), null);
        Assert.Equal((15.0, 0.0, 135.0), (other.AddLightenerGrams, other.AddDeveloperGrams, other.TotalGrams));
    }
}
