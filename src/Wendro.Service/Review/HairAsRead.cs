using Wendro.Blend;
using Wendro.Hair;
using Wendro.Head;
using Wendro.Plans;
using Wendro.Timing;
using Wendro.Units;

namespace Wendro.Review;

/// <summary>
/// The hair as it was read, as what a later step begins with: what lightened it counts as if it had worked just as long
/// as brings what was read. It lies over the plan and changes nothing in it.
/// </summary>
public static class HairAsRead
{
    /// <summary>Below this planned lift a reading tells nothing of how a coat worked, levels. Model
    /// assumption.</summary>
    private const double TellsFrom = 0.7;

    /// <summary>The step of a plan that lifts again what an earlier one lifted, from 0; null where none does.</summary>
    public static int? AgainIn(PlannedHead head)
    {
        ArgumentNullException.ThrowIfNull(head);
        var steps = head
            .Panels.Select(p =>
                p.Coats.Where(c => !c.Formula.IsDeposit).Select(c => c.Step).Distinct().Order().ToArray()
            )
            .Where(s => s.Length > 1)
            .Select(s => s[1])
            .ToArray();
        return steps.Length == 0 ? null : steps.Min();
    }

    /// <summary>
    /// How much of what an earlier step was to lift came out, by zone; zones nothing tells of are not there.
    /// </summary>
    /// <param name="head">The head as planned.</param>
    /// <param name="depths">How it is read.</param>
    /// <param name="step">The step that goes on from it, from 0.</param>
    /// <param name="readings">What was read before that step.</param>
    public static IReadOnlyDictionary<Zone, double> SharesOf(
        PlannedHead head,
        Depths depths,
        int step,
        IReadOnlyCollection<ZoneReading> readings
    )
    {
        ArgumentNullException.ThrowIfNull(head);
        ArgumentNullException.ThrowIfNull(depths);
        ArgumentNullException.ThrowIfNull(readings);
        var levels = StrandLevels
            .All(head.Hair, head.Map, head.Panels, head.Looks.OnHead.Lengths, Moment.After(step - 1), head.Areas)
            .Levels;
        return readings
            .Where(r => depths.Zones.Contains(r.Zone))
            .Select(r =>
                (r.Zone, r.Level, Natural: depths.Natural(r.Zone, r.Depth), To: depths.At(levels, r.Zone, r.Depth))
            )
            .Where(r => r.To - r.Natural >= TellsFrom)
            .GroupBy(r => r.Zone, r => Math.Max(0, r.Level - r.Natural) / (r.To - r.Natural))
            .ToDictionary(z => z.Key, z => z.Average());
    }

    /// <summary>
    /// All coats before a step as they were read, on panels it lifts again; zones nothing tells of stay as they are.
    /// </summary>
    /// <param name="head">The head.</param>
    /// <param name="laid">What is known of its coats.</param>
    /// <param name="step">The step that goes on from it, from 0.</param>
    /// <param name="shares">How much of what was planned came out, by zone.</param>
    public static ActualApplication On(
        PlannedHead head,
        ActualApplication laid,
        int step,
        IReadOnlyDictionary<Zone, double> shares
    )
    {
        ArgumentNullException.ThrowIfNull(head);
        ArgumentNullException.ThrowIfNull(laid);
        ArgumentNullException.ThrowIfNull(shares);
        foreach (var (zone, share) in shares)
        {
            // What is lifted once stays as it was planned: it is held against that.
            foreach (var panel in Lightened.PanelsIn(head, zone).Where(p => IsLiftedIn(p, step)))
            {
                var at = panel.Coats.ToList().FindLastIndex(c => c.Step < step && !c.Formula.IsDeposit);
                if (at >= 0)
                {
                    var works = Exposure.Lasting(MinutesFor(panel.Coats[at], head, zone, share));
                    laid = laid.With(panel.Panel.Key, at, new(Works: works));
                }
            }
        }

        return laid;
    }

    private static bool IsLiftedIn(PlannedPanel panel, int step) =>
        panel.Coats.Any(c => c.Step >= step && !c.Formula.IsDeposit);

    private static double MinutesFor(Coat coat, PlannedHead head, Zone zone, double share)
    {
        var lifting = coat.LiftingOf(head.Hair, zone, HairState.Of(head.Hair.In(zone))[0])!;
        var wanted = Level.Clamp(lifting.Case.From.Value + share * lifting.Gain(coat.Formula.Minutes));
        // What no time brings is as far as it goes.
        return lifting.MinutesTo(wanted) ?? Minutes.Longest;
    }
}
