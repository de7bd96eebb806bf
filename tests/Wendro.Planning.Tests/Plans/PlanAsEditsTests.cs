using CsCheck;
using Wendro.Blend;
using Wendro.Head;
using Wendro.Lift;
using Wendro.Paint;
using Wendro.Plans;
using Wendro.Section;
using Wendro.Units;

namespace Wendro.Tests.Plans;

/// <summary>A plan written as edits and made again by the one door is the same plan.</summary>
public sealed class PlanAsEditsTests
{
    [Fact]
    public void Every_plan_comes_back_whole() =>
        Gen.Select(Given.AnyPaint, Given.AnyPaint, Given.AnyZone, Given.AnyZone, Gen.Int[0, 99])
            .Sample(
                (first, second, zone, other, seed) =>
                {
                    var plan = Given.Bare.Plan with { Seed = seed };
                    PlanEdit[] edits =
                    [
                        new SetFormula(
                            Formula.Colouring(FormulaId.B, 4, 10, 25) with
                            {
                                Consistency = Consistency.Stiff,
                            }
                        ),
                        new PaintZone(zone, first with { Next = second with { Formula = FormulaId.B } }),
                        new ClearPanels([PanelKey.Of($"{Name(zone)}/0/0")]),
                        new PaintZone(other, second),
                        new SetLimits(FindingLimits.Usual with { StripeRun = 4, PartCm = 2.5 }),
                        new Dismiss("WeakSide", Severity.Caution, "she parts it there"),
                        new LeaveOut(Region.BabyHair, 0.4, "new hair"),
                        new SetGoal(new Goal(Tone: 0.2) { EndsLevel = new(8.5) }),
                        new MovePart(1, 0.5),
                        new AddStep(new Step(StepKind.Base, new Area(ToCm: 4), FormulaId.B), 0),
                        new AddStep(new Step(StepKind.Treat, Minutes: 10)),
                        new SetStep(1, Step.Usual with { LatestMinutes = 50 }),
                        new SetRinse(seed % 2 == 0 ? Rinsing.Once : Rinsing.InRinses),
                    ];
                    foreach (var edit in edits)
                    {
                        var applied = plan.Apply(edit, Given.Cutting);
                        plan = applied.Succeeded ? applied.Plan : plan;
                    }

                    // The part is moved before anything is painted: as a file comes in.
                    var again = Plan.Fresh(seed);
                    foreach (var edit in PlanAsEdits.Of(plan))
                    {
                        var applied = again.Apply(edit, Given.Cutting);
                        Assert.True(applied.Succeeded, string.Join("; ", applied.Problems));
                        again = applied.Plan;
                    }

                    foreach (var edit in PlanAsEdits.LeftOf(plan, z => again.Zones[z].Paint.Keys).ToArray())
                    {
                        again = again.Apply(edit, Given.Cutting).Plan;
                    }

                    Assert.Equal(plan.Formulas.ToArray(), again.Formulas.ToArray());
                    Assert.Equal(plan.SetAside, again.SetAside);
                    Assert.Equal((plan.Limits, plan.Goal, plan.Part), (again.Limits, again.Goal, again.Part));
                    Assert.Equal(plan.Regions, again.Regions);
                    Assert.Equal(3, plan.Steps!.Count);
                    Assert.Equal(plan.Steps, again.Steps);
                    Each.Of(
                        ZoneFacts.All,
                        z => Assert.True(plan.Zones[z].Paint.SequenceEqual(again.Zones[z].Paint), $"{z}")
                    );
                },
                iter: 20
            );

    private static string Name(Zone zone) => char.ToLowerInvariant(zone.ToString()[0]) + zone.ToString()[1..];
}
