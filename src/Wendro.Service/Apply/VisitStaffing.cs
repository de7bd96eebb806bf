using Wendro.Timing;

namespace Wendro.Apply;

/// <summary>What hands do at a visit.</summary>
public enum HandWork
{
    Mix,
    Paint,
    Rinse,
    Wash,

    /// <summary>Drying to damp and reading what came.</summary>
    Read,
}

/// <summary>A stretch of a visit in which hands are at it, minutes after its start.</summary>
/// <param name="Does">What they do.</param>
/// <param name="From">When they begin.</param>
/// <param name="To">When they are free again.</param>
public sealed record HandSpan(HandWork Does, double From, double To);

/// <summary>When a visit needs hands: in between lightener works by itself, somebody else can be seen to.</summary>
public static class VisitStaffing
{
    /// <summary>A pause so short that nothing else is begun in it, minutes. Model assumption.</summary>
    private const double Pause = 2;

    /// <summary>The stretches in time order; none overlaps another.</summary>
    /// <param name="visit">The visit on the clock.</param>
    public static IReadOnlyList<HandSpan> Of(VisitOnClock visit)
    {
        ArgumentNullException.ThrowIfNull(visit);
        var spans = visit
            .Mix.Bowls.Select(visit.On)
            .Select(b => new HandSpan(HandWork.Mix, b.MixAt, b.ReadyAt))
            .Concat(visit.Steps.SelectMany(Of))
            .Where(s => s.To > s.From)
            .OrderBy(s => s.From)
            .ToArray();
        var joined = new List<HandSpan>();
        foreach (var span in spans)
        {
            if (joined.Count == 0)
            {
                joined.Add(span with { From = Math.Max(0, span.From) });
                continue;
            }

            var last = joined[^1];
            if (last.Does == span.Does && span.From - last.To <= Pause)
            {
                joined[^1] = last with { To = Math.Max(last.To, span.To) };
            }
            else if (span.To > last.To)
            {
                joined.Add(span with { From = Math.Max(last.To, span.From) });
            }
        }

        return joined;
    }

    private static IEnumerable<HandSpan> Of(StepOfVisit step) =>
        step
            .Panels.Select(p => new HandSpan(HandWork.Paint, p.BegunAt, p.PaintedAt))
            .Concat(step.Rinses.Select(w => new HandSpan(HandWork.Rinse, w.StartsAt, w.FreedAt)))
            .Concat(step.Area is { } area ? [new HandSpan(HandWork.Paint, step.From, area.LaidAt)] : [])
            .Concat(step.WashingAt is { } washing ? Washed(step, washing) : []);

    /// <summary>
    /// What lies over an area is rinsed last, where no rinse of panels took it along; then washed and read.
    /// </summary>
    private static IEnumerable<HandSpan> Washed(StepOfVisit step, double washing)
    {
        var freed = step.Rinses.Select(w => w.FreedAt).Append(washing - PaintingTime.RinsingMinutes).Max();
        var washed = washing + PaintingTime.WashingMinutes;
        return
        [
            new(HandWork.Rinse, freed, washing),
            new(HandWork.Wash, washing, washed),
            new(HandWork.Read, washed, step.DoneAt),
        ];
    }
}
