using Wendro.Core.Head;
using Wendro.Core.Paint;
using Wendro.Core.Plans;

namespace Wendro.Core.Patterns;

/// <summary>A studio's own pattern: a plan's division, sections and paint, without what belongs to the client it was made for.</summary>
public static class OwnPattern
{
    /// <summary>The edits a plan is kept as: heights as shares of the length, so that they fit shorter and longer hair.</summary>
    /// <param name="plan">The plan.</param>
    /// <param name="longestCm">Length of the hair it was made on, cm.</param>
    public static IReadOnlyList<PlanEdit> From(Plan plan, double longestCm)
    {
        ArgumentNullException.ThrowIfNull(plan);
        var edits = new List<PlanEdit>(plan.Formulas.Select(f => new SetFormula(f))) { new SetFrame(plan.Frame) };
        edits.AddRange(plan.Order is { } order ? [new SetOrder(order)] : []);
        edits.AddRange(plan.Regions.Select(r => new LeaveOut(r.Region, r.SizeCm, r.Reason)));
        foreach (var (zone, planned) in plan.Zones)
        {
            var s = planned.Sections;
            edits.Add(new CutZone(zone, s.Parting, s.ThicknessMm, s.WidthCm, s.LeaveOutMm, s.Bricklay, s.Woven, s.Order));
            PanelPaint Shared(PanelPaint p) => p with { StartShare = p.StartShare ?? Math.Min(1, p.StartCm / longestCm) };
            edits.AddRange(planned.Usual is { } usual && planned.Paint.Count > 0 ? [new PaintZone(zone, Shared(usual))] : []);
            edits.AddRange(planned.Paint.GroupBy(p => p.Value).Where(g => planned.Usual != g.Key)
                .Select(g => new PaintPanels(g.Select(p => p.Key).ToArray(), Shared(g.Key))));
            edits.AddRange(planned.Excluded is { } reason ? [new ExcludeZone(zone, reason)] : []);
        }

        return edits;
    }

    /// <summary>The steps that lay it on another head: panels that head does not have are passed over.</summary>
    public static IReadOnlyList<PatternStep> StepsFor(string why, IReadOnlyList<PlanEdit> edits, Plan plan, Cutting cutting)
    {
        ArgumentNullException.ThrowIfNull(edits);
        ArgumentNullException.ThrowIfNull(cutting);
        var sketch = new Sketch(plan, cutting);
        var fitting = new List<PlanEdit>();
        var now = sketch.Now;
        foreach (var edit in edits)
        {
            var fits = edit is PaintPanels paint ? paint with { Panels = paint.Panels.Where(k => Has(now, k, cutting)).ToArray() } : edit;
            if (fits is not PaintPanels { Panels.Count: 0 } && now.Apply(fits, cutting) is { Succeeded: true } applied)
            {
                fitting.Add(fits);
                now = applied.Plan;
            }
        }

        return sketch.Step(why, fitting).Steps;
    }

    private static bool Has(Plan plan, string key, Cutting cutting) =>
        PanelKey.Parse(key) is { } panel && plan.Zones[panel.Zone].Excluded is null && cutting.Cut(plan, panel.Zone).Panels.Any(p => p.Key == panel);
}
