using Wendro.Core.Units;

namespace Wendro.Core.Lift;

/// <summary>Checks the values of a formula. Total: any value gets a word, none an exception.</summary>
public static class FormulaChecks
{
    private const int LongestName = 60;

    /// <summary>What can't be taken, by field; nothing where all can.</summary>
    public static IReadOnlyList<Problem> Of(Formula formula)
    {
        ArgumentNullException.ThrowIfNull(formula);
        var found = new List<Problem>();
        if (formula.Id is not ("A" or "B" or "C" or "D" or "E"))
        {
            found.Add(new("id", "A formula is called A, B, C, D or E."));
        }

        Problem.Known(found, "lightener", formula.Lightener);
        Problem.Range(found, "volume", formula.Volume, Volume.Weakest, Volume.Strongest, "vol");
        Problem.Range(found, "minutes", formula.Minutes, 1, 120, "min");
        Problem.Range(found, "depositLevel", formula.DepositLevel ?? 1, Level.Darkest, Level.Lightest, string.Empty);
        Problem.Known(found, "consistency", formula.Consistency);
        Problem.Range(found, "lightenerParts", formula.LightenerParts, 0.1, 10, "parts");
        Problem.Range(found, "developerParts", formula.DeveloperParts, 0.1, 10, "parts");
        Named(found, formula.Product, "product");
        Figures(found, formula.Figures, "figures");
        if (formula.Second is { } second)
        {
            Problem.Known(found, "second.lightener", second.Lightener);
            Problem.Range(found, "second.share", second.Share, 0.05, 0.95, "of the lightener");
            Named(found, second.Product, "second.product");
            Figures(found, second.Figures, "second.figures");
        }

        if (formula.Additive is { } additive)
        {
            Problem.Range(found, "additive.gramsPerGram", additive.GramsPerGram, 0.001, 1, "g per g of lightener");
            Problem.Range(found, "additive.slows", additive.Slows, 0, 0.1, "of the speed");
            Named(found, additive.Product, "additive.product");
        }

        Shades(found, formula);
        return found;
    }

    private static void Shades(List<Problem> found, Formula formula)
    {
        if (formula.Shades is not { } mix)
        {
            return;
        }

        if (!formula.IsDeposit)
        {
            found.Add(new("shades", "Shades belong to a deposit: give it a level."));
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
            Problem.Range(found, $"{field}.depth", shade.Depth, Level.Darkest, Level.Lightest, string.Empty);
            Problem.Known(found, $"{field}.reflect", shade.Reflect);
            Problem.Range(found, $"{field}.parts", shade.Parts, 0.01, 100, "parts");
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
