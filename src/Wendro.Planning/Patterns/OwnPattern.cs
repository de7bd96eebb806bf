using Wendro.Paint;
using Wendro.Plans;
using Wendro.Section;

namespace Wendro.Patterns;

/// <summary>
/// A studio's own pattern: a plan's division, sections and paint, without what belongs to the client it was made for.
/// </summary>
public static class OwnPattern
{
    /// <summary>
    /// The edits a plan is kept as: heights as shares of the length, so that they fit shorter and longer hair.
    /// </summary>
    /// <param name="plan">The plan.</param>
    /// <param name="cutting">The head it was made on.</param>
    public static IReadOnlyList<PlanEdit> From(Plan plan, Cutting cutting)
    {
        ArgumentNullException.ThrowIfNull(plan);
        ArgumentNullException.ThrowIfNull(cutting);
        var longest = cutting.Hair.Cut.LongestCm;
        PanelPaint Shared(PanelPaint p) => p with { StartShare = p.StartShare ?? Math.Min(1, p.StartCm / longest) };
        var edits = PlanAsEdits
            .Of(plan)
            .Where(e => e is not (SetGoal or SetWears or SetStyling or MovePart))
            .Select(e =>
                e switch
                {
                    PaintZone z => z with { Paint = Shared(z.Paint) },
                    PaintPanels p => p with { Paint = Shared(p.Paint) },
                    LeaveOut r => r with { By = LeftOutBy.Pattern },
                    _ => e,
                }
            );
        var left = PlanAsEdits
            .LeftOf(plan, z => plan.Zones[z].Usual is null ? [] : cutting.Cut(plan, z).Panels.Select(p => p.Key))
            .Select(e => e is ExcludeZone { By: LeftOutBy.Hand } x ? x with { By = LeftOutBy.Pattern } : e);
        return edits.Concat(left).ToArray();
    }

    /// <summary>The steps that lay it on another head: panels that head does not have are passed over.</summary>
    /// <param name="why">What it is for.</param>
    /// <param name="edits">What it was kept as.</param>
    /// <param name="plan">The plan as it is; its paint gives way.</param>
    /// <param name="cutting">The head and hair it is planned on.</param>
    /// <param name="house">How the studio usually works.</param>
    public static IReadOnlyList<PatternStep> StepsFor(
        string why,
        IReadOnlyList<PlanEdit> edits,
        Plan plan,
        Cutting cutting,
        HouseRules house
    )
    {
        ArgumentNullException.ThrowIfNull(edits);
        ArgumentNullException.ThrowIfNull(cutting);
        var sketch = new Sketch(plan, cutting, house);
        var fitting = new List<PlanEdit>();
        var now = sketch.Now;
        foreach (var edit in edits)
        {
            var fits = edit switch
            {
                PaintPanels paint => paint with { Panels = paint.Panels.Where(Has).ToArray() },
                ClearPanels clear => clear with { Panels = clear.Panels.Where(Has).ToArray() },
                _ => edit,
            };
            if (
                fits is not (PaintPanels { Panels.Count: 0 } or ClearPanels { Panels.Count: 0 })
                && now.Apply(fits, cutting) is { Succeeded: true } applied
            )
            {
                fitting.Add(fits);
                now = applied.Plan;
            }
        }

        return sketch.Step(why, fitting).Steps;

        bool Has(PanelKey panel) =>
            now.Zones[panel.Zone].Excluded is null && cutting.Cut(now, panel.Zone).Panels.Any(p => p.Key == panel);
    }
}
