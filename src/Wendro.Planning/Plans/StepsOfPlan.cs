using Wendro.Blend;
using Wendro.Head;
using Wendro.Timing;
using Wendro.Units;

namespace Wendro.Plans;

/// <summary>The steps of a plan: which there are, and what each lays.</summary>
public static class StepsOfPlan
{
    /// <summary>Its steps in order; one where nobody said.</summary>
    public static IReadOnlyList<Step> StepsOf(this Plan plan)
    {
        ArgumentNullException.ThrowIfNull(plan);
        return plan.Steps is { Count: > 0 } steps ? steps : [Step.Usual];
    }

    /// <summary>In which step a formula painted on panels is laid, from 0.</summary>
    public static int StepOf(this Plan plan, FormulaId formula)
    {
        var steps = plan.StepsOf();
        var (own, main) = (-1, 0);
        for (var i = 0; i < steps.Count; i++)
        {
            own = steps[i].IsPainted && steps[i].Formula == formula ? i : own;
            main = steps[i].IsMain ? i : main;
        }

        return own >= 0 ? own : main;
    }

    /// <summary>
    /// What is laid over whole areas, in the order it is; an area without zones reaches all that are worked.
    /// </summary>
    public static IReadOnlyList<AreaCoat> AreasOf(this Plan plan)
    {
        var worked = ZoneFacts.All.Where(z => plan.Zones[z].Excluded is null).ToArray();
        return plan.StepsOf()
            .Select((step, number) => (step, number))
            .Where(s => s.step is { Area: not null, Formula: not null })
            .Select(s =>
            {
                var formula = plan.FormulaOf(s.step.Formula!.Value)!;
                var area = s.step.Area!.Zones is null ? s.step.Area with { Zones = worked } : s.step.Area;
                return new AreaCoat(area, formula, Exposure.Lasting(formula.Minutes), s.number);
            })
            .ToArray();
    }

    /// <summary>How long a step works, minutes: the longest of what it lays.</summary>
    public static double MinutesOf(this Step step, Plan plan)
    {
        ArgumentNullException.ThrowIfNull(step);
        ArgumentNullException.ThrowIfNull(plan);
        if (step.Minutes is { } own)
        {
            return own;
        }

        if (step.Formula is { } formula)
        {
            return plan.FormulaOf(formula) is { } laid ? laid.Minutes.Value : 0;
        }

        var others = plan.StepsOf().Where(s => s.Formula is not null).Select(s => s.Formula).ToHashSet();
        return plan
            .Formulas.Where(f => !others.Contains(f.Id))
            .Select(f => (double)f.Minutes)
            .DefaultIfEmpty(plan.Formulas[0].Minutes)
            .Max();
    }

    /// <summary>The same plan with other steps; one usual step alone is none to speak of.</summary>
    internal static Plan With(this Plan plan, IReadOnlyList<Step> steps) =>
        plan with
        {
            Steps = steps is [var only] && only == Step.Usual ? null : steps,
        };
}
