using Wendro.Blend;
using Wendro.Fall;
using Wendro.Section;

namespace Wendro.Mix;

/// <summary>What is wrong with the order of things on the clock.</summary>
public static class ClockFindings
{
    /// <summary>
    /// A minute's difference nobody keeps: from so many on it is told, minutes. Model assumption.
    /// </summary>
    private const double Tells = 2;

    /// <summary>
    /// Panels painted first that are done before the last one of their step is painted, with no rinse between.
    /// </summary>
    /// <param name="timeline">Bowls and panels on one time axis.</param>
    /// <param name="minutesOf">How long what is laid in a turn is left on, minutes.</param>
    public static IEnumerable<Finding> FirstOverBeforeLast(Timeline timeline, Func<PanelTurn, double> minutesOf)
    {
        ArgumentNullException.ThrowIfNull(timeline);
        ArgumentNullException.ThrowIfNull(minutesOf);
        foreach (var step in timeline.Turns.GroupBy(t => t.Step))
        {
            var last = step.Max(t => t.To);
            var over = step.Select(t => (t.Panel, Done: t.To + minutesOf(t)))
                .Where(t => t.Done < last - Tells)
                .OrderBy(t => t.Done)
                .ToArray();
            if (over.Length == 0)
            {
                continue;
            }

            var first = over[0];
            yield return new Finding(
                MixFault.FirstOver,
                Severity.Note,
                "First over before last",
                $"The first panels are done at minute {first.Done:0}, the last is painted at minute {last:0}: rinse "
                    + $"{over.Length} of them meanwhile, or cut coarser.",
                "When each panel is painted and how long its product is left on, against when the last panel of the "
                    + "same step is painted.",
                over.Select(o => o.Panel.Zone).Distinct().ToArray(),
                over.Select(o => o.Panel).ToArray(),
                Wear.Down,
                [new("minutes too early", last - first.Done, "min"), new("panels", over.Length, "panels")],
                Of: step.Key == 0 ? null : $"{step.Key + 1}"
            );
        }
    }
}
