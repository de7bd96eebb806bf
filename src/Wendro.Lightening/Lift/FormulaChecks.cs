using Wendro.Units;

namespace Wendro.Lift;

/// <summary>Checks the values of a formula. Total: any value gets a word, none an exception.</summary>
public static class FormulaChecks
{
    private const int LongestName = 60;
    private const double LeastMinutes = 1;
    private const double MostMinutes = 120;
    private const double LeastParts = 0.1;
    private const double MostParts = 10;

    /// <summary>What can't be taken, by field; nothing where all can.</summary>
    public static IReadOnlyList<Problem> Of(Formula formula)
    {
        ArgumentNullException.ThrowIfNull(formula);
        var found = new List<Problem>();
        Problem.Range(found, "minutes", formula.Minutes, LeastMinutes, MostMinutes, "min");
        Problem.Known(found, "consistency", formula.Consistency);
        Problem.Range(found, "lightenerParts", formula.Parts, LeastParts, MostParts, "parts");
        Problem.Range(found, "developerParts", formula.DeveloperParts, LeastParts, MostParts, "parts");
        switch (formula.Mixture)
        {
            case LightenerMixture light:
                Light(found, light);
                break;
            case DepositMixture deposit:
                Problem.Known(found, "base", deposit.Base);
                Problem.Known(found, "reflect", deposit.Reflect);
                Shades(found, deposit);
                break;
        }

        return found;
    }

    private static void Light(List<Problem> found, LightenerMixture light)
    {
        Problem.Known(found, "lightener", light.Lightener);
        Named(found, light.Product, "product");
        Figures(found, light.Figures, "figures");
        if (light.Second is { } second)
        {
            Problem.Known(found, "second.lightener", second.Lightener);
            found.AddRange(WithinAttribute.Outside(second, "second"));
            Named(found, second.Product, "second.product");
            Figures(found, second.Figures, "second.figures");
        }

        if (light.Additive is { } additive)
        {
            found.AddRange(WithinAttribute.Outside(additive, "additive"));
            Named(found, additive.Product, "additive.product");
        }
    }

    private static void Shades(List<Problem> found, DepositMixture deposit)
    {
        if (deposit.Shades is not { } mix)
        {
            return;
        }

        if (mix.Shades.Count is 0 or > ShadeMix.Most)
        {
            found.Add(new("shades", $"One to {ShadeMix.Most} shades."));
        }

        for (var i = 0; i < mix.Shades.Count; i++)
        {
            var field = $"shades.shades[{i}]";
            if (mix.Shades[i] is not { } shade)
            {
                found.Add(new(field, "A shade is needed."));
                continue;
            }

            Named(found, shade.Name, $"{field}.name");
            Problem.Known(found, $"{field}.reflect", shade.Reflect);
            found.AddRange(WithinAttribute.Outside(shade, field));
        }
    }

    private static void Named(List<Problem> found, string? product, string field)
    {
        if (product is not null)
        {
            Problem.Text(found, field, product, LongestName);
        }
    }

    private static void Figures(List<Problem> found, LightenerFigures? figures, string field) =>
        found.AddRange((figures?.Problems() ?? []).Select(p => p with { Field = $"{field}.{p.Field}" }));
}
