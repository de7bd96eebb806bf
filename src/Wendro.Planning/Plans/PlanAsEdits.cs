using Wendro.Head;
using Wendro.Paint;
using Wendro.Section;

namespace Wendro.Plans;

/// <summary>
/// A plan as the edits that make it from a fresh one: files come in by them, and a studio keeps its own patterns as
/// them.
/// </summary>
public static class PlanAsEdits
{
    /// <summary>Everything but what is left natural or out.</summary>
    public static IEnumerable<PlanEdit> Of(Plan plan)
    {
        ArgumentNullException.ThrowIfNull(plan);
        foreach (var formula in plan.Formulas)
        {
            yield return new SetFormula(formula);
        }

        foreach (var step in StepsOf(plan))
        {
            yield return step;
        }

        yield return new SetGoal(plan.Goal);
        yield return new SetWears(plan.Wears);
        yield return new SetStyling(plan.Styled);
        yield return new SetFrame(plan.Frame);
        if (plan.Limits is { } limits)
        {
            yield return new SetLimits(limits);
        }

        foreach (var aside in plan.SetAside)
        {
            yield return aside is null
                ? new Dismiss(string.Empty, default, string.Empty)
                : new Dismiss(aside.Finding, aside.At, aside.Reason);
        }

        if (plan.Order is { } order)
        {
            yield return new SetOrder(order);
        }

        if (plan.Rinse != default)
        {
            yield return new SetRinse(plan.Rinse);
        }

        foreach (var region in plan.Regions)
        {
            // A file can hold nothing where a region should be: that is refused as any other value is.
            yield return region is null
                ? new LeaveOut(default, double.NaN, string.Empty)
                : new LeaveOut(region.Region, region.SizeCm, region.Reason, region.By);
        }

        if (plan.Part != PartLine.Central)
        {
            yield return new MovePart(plan.Part.FrontCm, plan.Part.BackCm, plan.Part.ZigzagMm);
        }

        foreach (var (zone, planned) in plan.Zones)
        {
            yield return CutZone.As(zone, planned.Sections);
        }

        foreach (var (zone, planned) in plan.Zones)
        {
            if (planned.Usual is not null)
            {
                yield return new PaintZone(zone, planned.Usual);
            }

            foreach (var alike in planned.Paint.GroupBy(p => p.Value).Where(a => a.Key != planned.Usual))
            {
                yield return new PaintPanels(alike.Select(p => p.Key).ToArray(), alike.Key);
            }
        }
    }

    /// <summary>Its steps, each put where it belongs about the one that is always there.</summary>
    private static IEnumerable<PlanEdit> StepsOf(Plan plan)
    {
        var steps = plan.StepsOf();
        var main = steps.ToList().FindIndex(s => s?.IsMain == true);
        for (var i = 0; i < steps.Count; i++)
        {
            if (i != main)
            {
                yield return new AddStep(steps[i], i);
            }
            else if (steps[i] != Step.Usual)
            {
                yield return new SetStep(i, steps[i]);
            }
        }
    }

    /// <summary>
    /// What is left natural although its zone has a usual paint, and what is left out: the edits that come last.
    /// </summary>
    /// <param name="plan">The plan.</param>
    /// <param name="painted">Panels of a zone that the edits so far have painted.</param>
    public static IEnumerable<PlanEdit> LeftOf(Plan plan, Func<Zone, IEnumerable<PanelKey>> painted)
    {
        ArgumentNullException.ThrowIfNull(plan);
        ArgumentNullException.ThrowIfNull(painted);
        foreach (var (zone, planned) in plan.Zones)
        {
            var bare = painted(zone).Except(planned.Paint.Keys).ToArray();
            if (bare.Length > 0)
            {
                yield return new ClearPanels(bare);
            }

            if (planned.Excluded is { } reason)
            {
                yield return new ExcludeZone(zone, reason, planned.ExcludedBy);
            }
        }
    }
}
