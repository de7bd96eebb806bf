using Wendro.Blend;
using Wendro.Colour;
using Wendro.Head;
using Wendro.Lift;
using Wendro.Paint;
using Wendro.Units;

namespace Wendro.Plans;

/// <summary>Changes that may mend colour that isn't light.</summary>
public static partial class FixesToTry
{
    /// <summary>How long warmth is put back for before the colour itself, minutes. Model assumption.</summary>
    private const double RepigmentMinutes = 15;

    /// <summary>The missing warmth put back first, as a step of its own where the colour goes.</summary>
    private static IEnumerable<(Sentence Label, PlanEdit Edit)> Repigment(Finding finding, PlannedHead head)
    {
        var plan = head.Plan;
        if (
            FormulaId.Parse(finding.Of) is not { } id
            || plan.FormulaOf(id)?.Deposit is not { } colour
            || FormulaId.All.Except(plan.Formulas.Select(f => f.Id)).Select(f => (FormulaId?)f).FirstOrDefault()
                is not { } free
        )
        {
            yield break;
        }

        var steps = plan.StepsOf();
        var number = Enumerable
            .Range(0, steps.Count)
            .Where(i => steps[i].Area is not null && steps[i].Formula == id)
            .DefaultIfEmpty(plan.StepOf(id))
            .First();
        var area =
            steps[number].Area
            ?? new Area(
                finding.Zones.ToArray(),
                Math.Max(0, Math.Floor((finding.Along?.FromCm ?? 0) - Area.UsualEdgeCm))
            );
        var warm = Formula
            .Colouring(free, Math.Min(Level.Lightest, colour.Level + 1), 10, RepigmentMinutes)
            .Coloured(d => d with { Reflect = WarmthOf(colour.Level) });
        yield return (
            $"Put the warmth back first: {warm.Words}, {RepigmentMinutes:0} min",
            new Together([new SetFormula(warm), new AddStep(new Step(StepKind.Deposit, area, free), number)])
        );
    }

    /// <summary>The warmth hair of a level has of itself.</summary>
    private static Reflect WarmthOf(double level) =>
        level >= 7 ? Reflect.Gold
        : level >= 5 ? Reflect.Copper
        : Reflect.Red;

    private static IEnumerable<(Sentence Label, PlanEdit Edit)> WeakerRoot(Finding finding, PlannedHead head)
    {
        if (FormulaId.Parse(finding.Of) is { } id && head.Plan.FormulaOf(id) is { } formula)
        {
            const double weak = 10;
            yield return ($"{id}: {weak:0} vol", new SetFormula(formula with { Volume = new(weak) }));
        }
    }
}
