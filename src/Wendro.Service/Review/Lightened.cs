using Wendro.Apply;
using Wendro.Blend;
using Wendro.Hair;
using Wendro.Head;
using Wendro.Lift;
using Wendro.Plans;
using Wendro.Units;

namespace Wendro.Review;

/// <summary>The usual lightened coat of a zone, and what is known of it.</summary>
internal sealed record Lightened(
    Zone Zone,
    Coat Coat,
    Lifting Planned,
    Lifting Really,
    double PlannedMinutes,
    ActualMinutes? Worked,
    IReadOnlyList<(double Minutes, double Level)> Looks
)
{
    public double Alike => Worked?.Alike ?? PlannedMinutes;

    /// <summary>What a lift gains by the minutes it worked, against what was planned.</summary>
    public double RatioOf(Lifting lifting) => lifting.Gain(Alike) / Math.Max(0.01, Planned.Gain(PlannedMinutes));

    /// <summary>Its lift with another case.</summary>
    public Lifting With(Func<LiftCase, LiftCase> change) => new(change(Really.Case));

    /// <summary>Panels of a zone that are lightened, in order.</summary>
    public static IReadOnlyList<PlannedPanel> PanelsIn(PlannedHead planned, Zone zone) =>
        planned.Panels.Where(p => p.Panel.Key.Zone == zone && p.Coats.Any(c => c.Formula.Light is not null)).ToArray();

    /// <summary>The zone's coat in the middle of its order; null where nothing there is lightened.</summary>
    /// <param name="planned">The head as planned.</param>
    /// <param name="service">What happened at the chair.</param>
    /// <param name="zone">The zone.</param>
    /// <param name="weighed">The mixtures as weighed; null as planned.</param>
    public static Lightened? In(
        PlannedHead planned,
        ServiceInHand service,
        Zone zone,
        ActualApplication? weighed = null
    )
    {
        var panels = PanelsIn(planned, zone);
        if (panels.Count == 0)
        {
            return null;
        }

        var panel = panels[panels.Count / 2];
        var at = panel.Coats.ToList().FindIndex(c => c.Formula.Light is not null);
        var coat = panel.Coats[at];
        var state = HairState.Of(planned.Hair.In(zone))[0];
        var real = (weighed ?? planned.Laid).Coat(panel.Panel.Key, at, coat.Painted, coat.Formula) with
        {
            Step = coat.Step,
            Damp = coat.Damp,
        };
        var worked = panels
            .Select(p => ActualForecast.Of(service, planned, p, p.Coats.First(c => c.Formula.Light is not null)))
            .OfType<ActualMinutes>()
            .ToArray();
        return new(
            zone,
            coat,
            coat.LiftingOf(planned.Hair, zone, state)!,
            real.LiftingOf(planned.Hair, zone, state)!,
            coat.Formula.Minutes.Value,
            worked.Length == 0 ? null : new(worked.Average(w => w.Minutes), worked.Average(w => w.Alike)),
            service
                .Looks.Where(l => l.Look.Panel.Zone == zone && l.Step == coat.Step && l.Stood.PaintedAt is not null)
                .Select(l => ((l.At - l.Stood.PaintedAt!.Value).TotalMinutes, l.Look.Level.Value))
                .Where(l => l.TotalMinutes is > 0 and < Minutes.Longest)
                .ToArray()
        );
    }
}
