using Wendro.Blend;
using Wendro.Mix;
using Wendro.Section;
using Wendro.Timing;

namespace Wendro.Plans;

/// <summary>
/// The work of a planned head step by step: which panels in which order, which areas, the waits between.
/// </summary>
internal sealed class StepsWork
{
    private readonly Plan plan;
    private readonly PanelWork[][] painted;
    private readonly AreaWork?[] laid;

    /// <param name="head">The head.</param>
    /// <param name="waste">What stays in bowls and on brushes, share of what lies on the hair.</param>
    public StepsWork(PlannedHead head, double waste)
    {
        plan = head.Plan;
        var steps = plan.StepsOf();
        var panels = head.Panels.ToDictionary(p => p.Panel.Key);
        painted = steps
            .Select(
                (_, number) =>
                    head
                        .Working.Select(k => panels[k])
                        .Select(p => p with { Coats = p.Coats.Where(c => c.Step == number).ToArray() })
                        .Where(p => p.Coats.Count > 0)
                        .Select(p => new PanelWork(
                            p.Panel.Key,
                            PlannedHead.MinutesOf(p),
                            Amounts.Of(p, waste).ToArray(),
                            number
                        ))
                        .ToArray()
            )
            .ToArray();
        laid = steps
            .Select(
                (_, number) =>
                {
                    if (head.Areas.FirstOrDefault(a => a.Step == number) is not { } area)
                    {
                        return null;
                    }

                    var (grams, scalp) = head.HairOf(area);
                    return new AreaWork(Amounts.OfArea(area, grams, waste), PaintingTime.MinutesOf(area.Area, scalp));
                }
            )
            .ToArray();
    }

    /// <summary>What every panel takes of every formula, in the order it is painted.</summary>
    public IReadOnlyList<PanelGrams> Takes => painted.SelectMany(s => s).SelectMany(w => w.Takes).ToArray();

    /// <summary>What areas take.</summary>
    public IReadOnlyList<AreaGrams> Areas => laid.OfType<AreaWork>().Select(w => w.Taken).ToArray();

    /// <summary>Works all of it on a clock.</summary>
    /// <param name="clock">The clock.</param>
    /// <param name="rests">Minutes hands are at something else before a panel of a step.</param>
    public Timeline On(BenchClock clock, IReadOnlyDictionary<(PanelKey Panel, int Step), double> rests)
    {
        var steps = plan.StepsOf();
        for (var number = 0; number < steps.Count; number++)
        {
            var (step, from) = (steps[number], clock.Minute);
            foreach (var panel in painted[number])
            {
                clock.Rest(rests.GetValueOrDefault((panel.Panel, number)));
                clock.Paint(panel);
            }

            if (laid[number] is { } area)
            {
                clock.Lay(area);
            }
            else if (step.Kind == StepKind.Treat)
            {
                clock.Wait(PaintingTime.TreatingMinutes);
            }

            var laidAt = clock.Minute;
            var nothing = laidAt <= from;
            var doneAt = nothing || !step.Rinse ? laidAt : laidAt + step.MinutesOf(plan);
            var nextAt = nothing || !step.Rinse ? doneAt : doneAt + PaintingTime.BetweenSteps;
            clock.Note(new(number, from, laidAt, doneAt, nextAt));
            clock.Wait(nextAt - laidAt);
        }

        return clock.Timeline();
    }
}
