using Wendro.Head;
using Wendro.Lift;
using Wendro.Paint;
using Wendro.Plans;
using Wendro.Units;
using static Wendro.Tests.Plans.TwoProducts;

namespace Wendro.Tests.Plans;

/// <summary>What is done when: steps put, moved, changed and taken, each with what its kind needs.</summary>
public sealed class EditsOfStepsTests
{
    [Fact]
    public void Steps_are_put_moved_changed_and_taken_where_it_was_said()
    {
        var colour = Plan.Fresh().Edited(new SetFormula(Formula.Colouring(FormulaId.B, 6, 10, 20)));
        var gloss = new Step(StepKind.Gloss, new Area(), FormulaId.B);
        var treat = new Step(StepKind.Treat, Minutes: 10);
        Step[] Of(params PlanEdit[] edits) => [.. colour.Edited(edits).StepsOf()];
        Assert.Equal([Step.Usual, gloss], Of(new AddStep(gloss)));
        Assert.Equal([gloss, Step.Usual], Of(new AddStep(gloss, 0)));
        Assert.Equal([Step.Usual, gloss], Of(new AddStep(gloss, 1)));
        PlanEdit[] three = [new AddStep(gloss), new AddStep(treat)];
        Assert.Equal([Step.Usual, gloss, treat], Of(three));
        Assert.Equal([gloss, treat, Step.Usual], Of([.. three, new MoveStep(0, 2)]));
        Assert.Equal([treat, Step.Usual, gloss], Of([.. three, new MoveStep(2, 0)]));
        Assert.Equal([Step.Usual, treat], Of([.. three, new RemoveStep(1)]));
        var longer = treat with { Minutes = 15 };
        Assert.Equal([Step.Usual, gloss, longer], Of([.. three, new SetStep(2, longer)]));
        Assert.Null(colour.Edited(new AddStep(treat), new RemoveStep(1)).Steps);

        Refused(colour, new AddStep(gloss, 2), "at");
        Refused(colour, new AddStep(gloss, -1), "at");
        Refused(colour, new MoveStep(0, 1), "to");
        Refused(colour, new MoveStep(-1, 0), "number");
        Refused(colour, new RemoveStep(0), "number");
        Refused(colour, new RemoveStep(1), "number");
        Refused(colour, new SetStep(1, longer), "number");
        Refused(colour, new SetStep(0, longer), "step");
        Refused(colour, new SetStep(0, Step.Usual with { LatestMinutes = 1 }), "step.latestMinutes");
    }

    public static TheoryData<Step, string?> Steps =>
        new()
        {
            { new Step(StepKind.Treat, Minutes: 10), null },
            { new Step(StepKind.Treat), "step.minutes" },
            { new Step(StepKind.Treat, Formula: FormulaId.B, Minutes: 10), "step.formula" },
            { new Step(StepKind.Treat, Minutes: 0.5), "step.minutes" },
            { new Step(StepKind.Treat, Minutes: 10, EarliestMinutes: 10, LatestMinutes: 10), null },
            { new Step(StepKind.Treat, Minutes: 10, EarliestMinutes: 11), "step.earliestMinutes" },
            { new Step(StepKind.Treat, Minutes: 10, LatestMinutes: 9), "step.latestMinutes" },
            { new Step(StepKind.Gloss, new Area(), FormulaId.B), null },
            { new Step(StepKind.Gloss, new Area(), FormulaId.B, 10), "step.minutes" },
            { new Step(StepKind.Gloss, new Area(), FormulaId.C), "step.formula" },
            { new Step(StepKind.Gloss, new Area(), FormulaId.A), "step.formula" },
            { new Step(StepKind.Gloss, new Area()), "step.formula" },
            { new Step(StepKind.Gloss, new Area(FromCm: 4, ToCm: 4), FormulaId.B), "step.area.toCm" },
            { new Step(StepKind.Gloss, new Area(FromCm: 4, ToCm: 4.1), FormulaId.B), null },
            { new Step(StepKind.Gloss, new Area([]), FormulaId.B), "step.area.zones" },
            { new Step(StepKind.Gloss, new Area([(Zone)99]), FormulaId.B), "step.area.zones" },
            { new Step(StepKind.Gloss, new Area(Covering: (Covering)9), FormulaId.B), "step.area.covering" },
            { new Step((StepKind)9, new Area(), FormulaId.B), "step.kind" },
            { new Step(StepKind.Deposit, Formula: FormulaId.B), null },
        };

    [Theory]
    [MemberData(nameof(Steps))]
    public void A_step_has_what_its_kind_needs_and_nothing_else(Step step, string? field)
    {
        var plan = Plan.Fresh().Edited(new SetFormula(Formula.Colouring(FormulaId.B, 6, 10, 20)));
        var found = plan.Apply(new AddStep(step), Given.Cutting).Problems.Select(p => p.Field).Distinct();
        Assert.Equal(field is null ? [] : [field], found);
    }

    [Fact]
    public void Eight_steps_are_the_most()
    {
        var treat = new Step(StepKind.Treat, Minutes: 10);
        var full = Plan.Fresh().Edited(Enumerable.Repeat(new AddStep(treat), Step.Most - 1).ToArray<PlanEdit>());
        Assert.Equal(8, full.StepsOf().Count);
        Refused(full, new AddStep(treat), "step");
    }

    [Fact]
    public void A_step_that_lays_a_formula_minds_what_becomes_of_it()
    {
        var glossed = Plan.Fresh()
            .Edited(
                new SetFormula(Formula.Colouring(FormulaId.B, 6, 10, 20)),
                new AddStep(new Step(StepKind.Gloss, new Area(), FormulaId.B, LatestMinutes: 25))
            );
        var problems = glossed.Apply(new SetFormula(Formula.Colouring(FormulaId.B, 6, 10, 30)), Given.Cutting).Problems;
        Assert.StartsWith(
            "The gloss, all lengths lays it. ",
            Assert.Single(problems).Message,
            StringComparison.Ordinal
        );
        Assert.Equal("formula.latestMinutes", problems[0].Field);
        glossed.Edited(new SetFormula(Formula.Colouring(FormulaId.B, 6, 10, 25)));
        Refused(glossed, new SetFormula(null!), "formula");
    }
}
