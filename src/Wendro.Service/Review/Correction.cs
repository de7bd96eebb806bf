using Wendro.Lift;
using Wendro.Paint;
using Wendro.Plans;
using Wendro.Units;

namespace Wendro.Review;

/// <summary>What is short is lifted again today: a new step of the visit, as one edit of its plan.</summary>
public static class Correction
{
    /// <summary>
    /// The edit: the same mixture under film, no stronger than may be offered, on the panels that are short, for as
    /// long as it takes from what was read; null where it can't be planned.
    /// </summary>
    /// <param name="planned">The head as planned.</param>
    /// <param name="choice">What is to be lifted again.</param>
    /// <param name="stepsDone">How many steps of the visit are done: it is the next.</param>
    /// <param name="damp">Whether the hair is damp or wet: lightener works diluted on it.</param>
    public static PlanEdit? Of(PlannedHead planned, Choice choice, int stepsDone, bool damp)
    {
        ArgumentNullException.ThrowIfNull(planned);
        ArgumentNullException.ThrowIfNull(choice);
        var plan = planned.Plan;
        if (
            choice is not { What: Decision.CorrectFirst, IsAllowed: true, Minutes: { } minutes }
            || FreeId(plan) is not { } id
        )
        {
            return null;
        }

        var panels = choice.Panels.Select(k => planned.PanelOf(k)!).ToArray();
        var light = panels.Select(p => p.Coats.First(c => c.Formula.Light is not null)).ToArray();
        var usual = light.GroupBy(c => c.Formula).MaxBy(g => g.Count())!.Key;
        var edits = new List<PlanEdit>
        {
            new SetFormula(NextActions.Again(planned, usual) with { Id = id, Minutes = new(Math.Ceiling(minutes)) }),
            new AddStep(new(StepKind.Lighten, Formula: id, Damp: damp), Math.Min(stepsDone, plan.StepsOf().Count)),
        };
        // What is painted alike is painted in one.
        edits.AddRange(
            panels
                .Zip(light, (p, c) => (p.Panel.Key, c.Painted.Paint))
                .GroupBy(p => p.Paint with { Formula = id, Covering = Covering.Film, Next = null })
                .Select(g => new AddCoat(g.Select(p => p.Key).ToArray(), g.Key))
        );
        return edits.Count > Together.Most ? null : new Together(edits);
    }

    private static FormulaId? FreeId(Plan plan) =>
        Enumerable
            .Range(FormulaId.First, FormulaId.Last - FormulaId.First + 1)
            .Select(letter => new FormulaId((char)letter))
            .Where(id => plan.FormulaOf(id) is null)
            .Select(id => (FormulaId?)id)
            .FirstOrDefault();
}
