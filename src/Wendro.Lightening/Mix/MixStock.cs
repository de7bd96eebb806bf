using Wendro.Blend;
using Wendro.Units;

namespace Wendro.Mix;

/// <summary>Whether there is enough on the shelf, and what it costs.</summary>
public static class MixStock
{
    /// <summary>
    /// What bowls still to be weighed take of each product, g; where no product is named, by nothing.
    /// </summary>
    public static IReadOnlyDictionary<string, double> Needed(IEnumerable<Ingredient> ingredients)
    {
        ArgumentNullException.ThrowIfNull(ingredients);
        return ingredients
            .Where(i => i.Product is not null)
            .GroupBy(i => i.Product!)
            .ToDictionary(g => g.Key, g => g.Sum(i => i.Grams));
    }

    /// <summary>What so much of each product costs; null where no price is noted of any of it.</summary>
    public static double? Cost(IReadOnlyDictionary<string, double> grams, IEnumerable<Product> shelf)
    {
        ArgumentNullException.ThrowIfNull(grams);
        var priced = shelf.Where(p => p.Stock.Price is not null && grams.ContainsKey(p.Name)).ToArray();
        return priced.Length == 0 ? null : priced.Sum(p => p.Stock.Price!.Value * grams[p.Name]);
    }

    internal static IEnumerable<Finding> NotEnough(MixCase mix)
    {
        foreach (var (product, needed) in Counted(mix).Where(p => p.Needed > p.Product.Stock.OnHand))
        {
            yield return MixFindings.About(
                MixFault.NotEnoughStock,
                Severity.Alarm,
                $"Not enough {product.Name}",
                $"{Quantity.Grams(needed, "0.0")} are needed and "
                    + $"{Quantity.Grams(product.Stock.OnHand!.Value, "0.0")} are there.",
                "Bowls still to be weighed, waste in them, against what the shelf counts; a millilitre of "
                    + "developer weighs a gram.",
                [],
                product.Name,
                new Figure("missing", needed - product.Stock.OnHand!.Value, "g")
            );
        }
    }

    internal static IEnumerable<Finding> RunsLow(MixCase mix)
    {
        foreach (var (product, needed) in Counted(mix))
        {
            var left = product.Stock.OnHand!.Value - needed;
            if (left >= 0 && product.Stock.LowAt is { } mark && left <= mark)
            {
                yield return MixFindings.About(
                    MixFault.RunsLow,
                    Severity.Note,
                    $"{product.Name} runs low",
                    $"After this visit {Quantity.Grams(left, "0")} are left; its mark is {Quantity.Grams(mark, "0")}.",
                    "What the shelf counts less what is still to be weighed.",
                    [],
                    product.Name,
                    new Figure("left", left, "g")
                );
            }
        }
    }

    private static IEnumerable<(Product Product, double Needed)> Counted(MixCase mix) =>
        mix
            .Shelf.Where(p => p.Stock.OnHand is not null && mix.Needed.ContainsKey(p.Name))
            .Select(p => (p, mix.Needed[p.Name]));
}
