using Wendro.Lift;
using Wendro.Paint;
using Wendro.Units;

namespace Wendro.Mix;

/// <summary>Checks what is noted of a product. Total: any value gets a word.</summary>
public static class ProductChecks
{
    /// <summary>Longest name, characters.</summary>
    public const int LongestName = 60;

    /// <summary>What can't be taken, by field; nothing where all can.</summary>
    public static IReadOnlyList<Problem> Of(Product product)
    {
        ArgumentNullException.ThrowIfNull(product);
        var found = new List<Problem>();
        if (
            string.IsNullOrWhiteSpace(product.Name)
            || product.Name.Length > LongestName
            || product.Name != product.Name.Trim()
            || product.Name.Any(char.IsControl)
        )
        {
            found.Add(new("name", $"Between 1 and {LongestName} characters, without spaces at its ends."));
        }

        Stock(found, product.Stock);
        found.AddRange(WithinAttribute.Outside(product));
        switch (product)
        {
            case LightenerProduct p:
                Lightener(found, p);
                break;
            case ShadeProduct p:
                Problem.Known(found, "reflect", p.Reflect);
                Problem.Known(found, "base", p.Base);
                Problem.Range(found, "minutes", p.Minutes, 1, 120, "min");
                break;
            case AdditiveProduct p:
                Said(found, "slows", p.Slows, 0, 0.1, "of the speed");
                break;
            case CoveringProduct p:
                Problem.Known(found, "covering", p.Covering);
                if (p.Covering == Covering.Open)
                {
                    found.Add(new("covering", "One of mesh, film, foil."));
                }

                break;
        }

        return found;
    }

    private static void Lightener(List<Problem> found, LightenerProduct p)
    {
        Problem.Known(found, "type", p.Type);
        Said(found, "ratedLevels", p.RatedLevels, 1, 10, "levels");
        Said(found, "dryingMinutes", p.DryingMinutes, 2, 200, "min");
        Said(found, "workingMinutes", p.WorkingMinutes, 4, 100, "min");
        Said(found, "limitMinutes", p.LimitMinutes, 5, 120, "min");
        Said(found, "windowMinutes", p.WindowMinutes, 1, 120, "min");
        if (p.Ratios is null || p.Ratios.Count is 0 or > 6)
        {
            found.Add(new("ratios", "One to six usual ratios."));
        }
        else if (p.Ratios.Any(r => !(r is >= 0.1 and <= 10)))
        {
            found.Add(new("ratios", "Parts of developer to one of lightener, between 0.1 and 10."));
        }
    }

    private static void Stock(List<Problem> found, Stock? stock)
    {
        if (stock is null)
        {
            found.Add(new("stock", "This is needed."));
            return;
        }

        Problem.Known(found, "stock.unit", stock.Unit);
        found.AddRange(WithinAttribute.Outside(stock, "stock"));
        if (stock.Lot is { } lot && (lot.Length > 40 || lot.Any(char.IsControl)))
        {
            found.Add(new("stock.lot", "At most 40 characters."));
        }
    }

    private static void Said(List<Problem> found, string field, Sourced? said, double low, double high, string unit)
    {
        if (said is null)
        {
            found.Add(new(field, "This is needed."));
            return;
        }

        Problem.Range(found, field, said.Value, low, high, unit);
        Problem.Known(found, field, said.Source);
    }
}
