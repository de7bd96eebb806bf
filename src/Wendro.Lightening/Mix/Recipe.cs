using Wendro.Lift;
using Wendro.Units;

namespace Wendro.Mix;

/// <summary>What a thing in a bowl is there for.</summary>
public enum Role
{
    Lightener,
    Colour,
    Developer,
    Additive,
}

/// <summary>One thing to weigh.</summary>
/// <param name="Role">What it is there for.</param>
/// <param name="Words">What it is called while it is weighed.</param>
/// <param name="Product">Which product of the shelf, by name; null where none is named.</param>
/// <param name="Grams">How much, g.</param>
/// <param name="Volume">A developer's strength; null otherwise.</param>
/// <param name="Note">What is worth knowing while it is weighed; null for nothing.</param>
public sealed record Ingredient(
    Role Role,
    string Words,
    string? Product,
    double Grams,
    double? Volume = null,
    string? Note = null
)
{
    /// <summary>A weight this much off still counts as met, g.</summary>
    public double ToleranceGrams => BenchRules.Tolerance(Grams);
}

/// <summary>What goes into a bowl, in the order it is weighed.</summary>
/// <param name="Ingredients">The things.</param>
/// <param name="Missing">A developer that nothing at hand makes, in words; null where all is there.</param>
public sealed record Recipe(IReadOnlyList<Ingredient> Ingredients, string? Missing = null)
{
    /// <summary>Lightener or colour and developer together, g.</summary>
    public double ProductGrams => Ingredients.Where(i => i.Role != Role.Additive).Sum(i => i.Grams);

    /// <summary>All of it, g.</summary>
    public double TotalGrams => Ingredients.Sum(i => i.Grams);

    /// <summary>A formula's recipe.</summary>
    /// <param name="formula">The formula.</param>
    /// <param name="grams">Lightener and developer together, g.</param>
    /// <param name="developers">Developers at hand; where there are none, one of the wanted strength is taken to
    /// be.</param>
    /// <param name="leastGrams">Least of an additive that can be weighed, g: less of it becomes so much.</param>
    public static Recipe Of(
        Formula formula,
        double grams,
        IReadOnlyList<DeveloperProduct> developers,
        double leastGrams = 0
    )
    {
        ArgumentNullException.ThrowIfNull(formula);
        ArgumentNullException.ThrowIfNull(developers);
        var bowl = new Ratio(formula.Parts, formula.DeveloperParts).Of(grams);
        var (parts, missing) = Developers(formula.Volume, bowl.DeveloperGrams, developers);
        List<Ingredient> all = [.. Mixed(formula.Mixture, bowl.LightenerGrams), .. parts];
        if (formula.Light?.Additive is { } additive)
        {
            var dose = bowl.LightenerGrams * additive.GramsPerGram;
            all.Add(
                new(
                    Role.Additive,
                    additive.Product ?? "bond additive",
                    additive.Product,
                    Math.Max(leastGrams, dose),
                    null,
                    dose < leastGrams
                        ? $"{dose:0.00} g would do; {leastGrams:0.0} g is the least the scale weighs well"
                        : null
                )
            );
        }

        return new(all, missing);
    }

    /// <summary>
    /// Least grams of lightener and developer with which the least of these can be weighed, g; an additive is not
    /// worth a larger bowl.
    /// </summary>
    /// <param name="formula">The formula.</param>
    /// <param name="least">Least of one thing the scale weighs well, g.</param>
    /// <param name="developers">Developers at hand.</param>
    public static double LeastGrams(Formula formula, double least, IReadOnlyList<DeveloperProduct> developers)
    {
        const double some = 100;
        return some
            * least
            / Of(formula, some, developers).Ingredients.Where(i => i.Role != Role.Additive).Min(i => i.Grams);
    }

    private static IEnumerable<Ingredient> Mixed(Mixture mixture, double grams) =>
        mixture switch
        {
            LightenerMixture light => Lightening(light, grams),
            DepositMixture deposit => Colouring(deposit, grams),
            _ => throw new ArgumentOutOfRangeException(nameof(mixture)),
        };

    private static IEnumerable<Ingredient> Colouring(DepositMixture deposit, double grams) =>
        deposit.Shades is { } mix
            ? mix.Shades.Select(s => new Ingredient(Role.Colour, s.Name, s.Name, grams * mix.ShareOf(s)))
            : [new(Role.Colour, $"colour, level {deposit.Level.Value:0.#}", null, grams)];

    private static IEnumerable<Ingredient> Lightening(LightenerMixture light, double grams)
    {
        var first = new Ingredient(
            Role.Lightener,
            light.Product ?? Remedies.Words(light.Lightener),
            light.Product,
            grams * (1 - (light.Second?.Share ?? 0))
        );
        return light.Second is { } second
                ?
                [
                    first,
                    new(
                        Role.Lightener,
                        second.Product ?? Remedies.Words(second.Lightener),
                        second.Product,
                        grams * second.Share
                    ),
                ]
            : light.Lightener == Lightener.Half && light.Product is null
                ?
                [
                    first with
                    {
                        Words = Remedies.Words(Lightener.Clay),
                        Grams = grams / 2,
                    },
                    first with
                    {
                        Words = Remedies.Words(Lightener.Powder),
                        Grams = grams / 2,
                    },
                ]
            : [first];
    }

    private static (IEnumerable<Ingredient> Parts, string? Missing) Developers(
        Volume wanted,
        double grams,
        IReadOnlyList<DeveloperProduct> at
    )
    {
        Ingredient One(Volume v, double g) =>
            new(Role.Developer, $"developer {v.Value:0.#} vol", at.FirstOrDefault(d => d.Volume == v)?.Name, g, v);
        if (at.Count == 0)
        {
            return ([One(wanted, grams)], null);
        }

        var blend = Developer.Blend(wanted, grams, at.Select(d => d.Volume).Distinct().ToArray());
        return blend is null
            ? (
                [One(wanted, grams)],
                $"Developer {wanted.Value:0.#} vol lies outside of what is on the shelf, "
                    + $"{at.Min(d => d.Volume.Value):0.#} to {at.Max(d => d.Volume.Value):0.#} vol."
            )
            : (blend.Select(p => One(p.Volume, p.Grams)), null);
    }
}
