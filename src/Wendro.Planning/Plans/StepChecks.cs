using Wendro.Head;
using Wendro.Units;

namespace Wendro.Plans;

/// <summary>Checks the steps of a visit. Total: any value gets a word, none an exception.</summary>
internal static class StepChecks
{
    /// <summary>What of one step can't be taken, by field.</summary>
    public static IEnumerable<Problem> Of(Step? step, Plan plan)
    {
        if (step is null)
        {
            return [new("", "A step is needed.")];
        }

        var found = new List<Problem>();
        Problem.Known(found, "kind", step.Kind);
        found.AddRange(WithinAttribute.Outside(step, string.Empty));
        Times(found, step, plan);
        if (step.Area is { } area)
        {
            Problem.Known(found, "area.covering", area.Covering);
            found.AddRange(WithinAttribute.Outside(area, "area"));
            if (area.ToCm is { } to && !(to > area.FromCm))
            {
                found.Add(new("area.toCm", "Further down than where it begins."));
            }

            if (area.Zones is { } zones && (zones.Count == 0 || zones.Any(z => !ZoneFacts.All.Contains(z))))
            {
                found.Add(new("area.zones", "At least one zone of the head; none said means all that are worked."));
            }
        }

        What(found, step, plan);
        return found;
    }

    /// <summary>What of all steps together can't be.</summary>
    public static IEnumerable<Problem> Of(IReadOnlyList<Step> steps)
    {
        if (steps.Count > Step.Most)
        {
            yield return new("step", $"At most {Step.Most} steps in one visit.");
        }

        if (steps.Count(s => s.IsMain) != 1)
        {
            yield return new("step", "One step lays what is painted on the panels, and only one.");
        }

        var painted = steps.Where(s => s is { IsPainted: true, Formula: not null }).Select(s => s.Formula).ToArray();
        if (painted.Distinct().Count() < painted.Length)
        {
            yield return new("step.formula", "Another step lays that formula on panels already.");
        }
    }

    private static void Times(List<Problem> found, Step step, Plan plan)
    {
        var minutes = step.MinutesOf(plan);
        if (step.EarliestMinutes > minutes)
        {
            found.Add(new("earliestMinutes", $"Not after its {minutes:0} minutes."));
        }

        if (step.LatestMinutes < minutes)
        {
            found.Add(new("latestMinutes", $"Not before its {minutes:0} minutes."));
        }
    }

    private static void What(List<Problem> found, Step step, Plan plan)
    {
        if (step.Kind == StepKind.Treat)
        {
            if (step.Formula is not null)
            {
                found.Add(new("formula", "A treatment has no formula: say its minutes."));
            }

            if (step.Minutes is null)
            {
                found.Add(new("minutes", "Say how long the treatment stays."));
            }

            return;
        }

        if (step.Minutes is not null)
        {
            found.Add(new("minutes", "Its formula says how long."));
        }

        if (step.Formula is { } id && plan.FormulaOf(id) is null)
        {
            found.Add(
                new(
                    "formula",
                    $"There is no such formula. The plan has {string.Join(", ", plan.Formulas.Select(f => f.Id))}."
                )
            );
        }
        else if (step.Area is not null && (step.Formula is not { } laid || !plan.FormulaOf(laid)!.IsDeposit))
        {
            found.Add(new("formula", "An area takes a colour: lightener is painted on panels."));
        }
    }
}
