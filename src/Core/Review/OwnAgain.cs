using Wendro.Core.Apply;
using Wendro.Core.Blend;
using Wendro.Core.Hair;
using Wendro.Core.Lift;
using Wendro.Core.Plans;
using Wendro.Core.Units;

namespace Wendro.Core.Review;

/// <summary>What came out tells how the client's hair lifts: her speed and cap, fitted as a strand test is.</summary>
public static class OwnAgain
{
    /// <summary>Below this planned lift a reading tells nothing of speed, levels. Model assumption.</summary>
    private const double ToldFrom = 1;

    /// <summary>Fewer zones tell nothing of all the hair. Model assumption.</summary>
    private const int FewestZones = 3;

    /// <summary>
    /// How her hair lifts by the readings and what was known before; null where no reading tells of it.
    /// </summary>
    /// <param name="planned">The head as planned.</param>
    /// <param name="service">What happened at the chair.</param>
    /// <param name="depths">How it is read.</param>
    /// <param name="readings">What was read.</param>
    public static OwnLift? Of(
        PlannedHead planned,
        ServiceInHand service,
        Depths depths,
        IReadOnlyCollection<ZoneReading> readings
    )
    {
        ArgumentNullException.ThrowIfNull(planned);
        ArgumentNullException.ThrowIfNull(service);
        ArgumentNullException.ThrowIfNull(depths);
        ArgumentNullException.ThrowIfNull(readings);
        var before = StrandLevels.Before(planned.Hair, planned.Map, planned.Looks.OnHead.Lengths).Levels;
        var told = new List<(double Share, LiftCase Case, Reading Reading)>();
        foreach (var zone in readings.Where(r => r.Depth != Depth.Root).GroupBy(r => r.Zone))
        {
            if (Case(planned, service, zone.Key) is not var (lifting, minutes))
            {
                continue;
            }

            // One zone is one witness, however many of its depths were read.
            var shares = zone.Select(r =>
                {
                    var natural = depths.At(before, r.Zone, r.Depth);
                    return (Lift: depths.At(planned.Levels, r.Zone, r.Depth) - natural, Read: r.Level - natural);
                })
                .Where(s => s.Lift >= ToldFrom)
                .Select(s => s.Read / s.Lift)
                .ToArray();
            if (shares.Length > 0 && minutes.Alike is > 0 and <= 120)
            {
                var level = lifting.Case.From.Value + lifting.Gain(minutes.Planned) * Math.Max(0, shares.Average());
                told.Add(
                    (shares.Average(), lifting.Case with { Own = null }, new(new(minutes.Alike), Level.Clamp(level)))
                );
            }
        }

        if (told.Count < FewestZones)
        {
            return null;
        }

        // What is so in one zone only has a cause there: the zone in the middle tells of the hair.
        var (_, of, reading) = told.OrderBy(t => t.Share).ElementAt(told.Count / 2);
        return StrandTest.Fit([.. Known(of, planned.Hair), (of, reading)]);
    }

    /// <summary>What her profile knows counts as two readings do.</summary>
    private static IEnumerable<(LiftCase Case, Reading Reading)> Known(LiftCase of, HairProfile hair) =>
        hair.Own is not { } own || own == OwnLift.Unread
            ? []
            : new[] { 15.0, 40 }.Select(m =>
                (of, new Reading(new(m), new Lifting(of with { Own = own }).After(new(m))))
            );

    private static (Lifting Lifting, (double Planned, double Alike) Minutes)? Case(
        PlannedHead planned,
        ServiceInHand service,
        Head.Zone zone
    )
    {
        var panels = planned
            .Panels.Where(p => p.Panel.Key.Zone == zone && p.Coats.Any(c => c.Formula.Light is not null))
            .ToArray();
        if (panels.Length == 0)
        {
            return null;
        }

        var panel = panels[panels.Length / 2];
        var coat = panel.Coats.First(c => c.Formula.Light is not null);
        var worked = panels
            .Select(p => AsHappened.Of(service, planned, p, p.Coats.First(c => c.Formula.Light is not null)))
            .OfType<Worked>()
            .ToArray();
        var minutes = coat.Formula.Minutes.Value;
        return (
            coat.LiftingOf(planned.Hair, zone, HairState.Of(planned.Hair.In(zone))[0])!,
            (minutes, worked.Length == 0 ? minutes : worked.Average(w => w.Alike))
        );
    }
}
