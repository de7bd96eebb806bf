using Wendro.Apply;
using Wendro.Blend;
using Wendro.Hair;
using Wendro.Lift;
using Wendro.Plans;
using Wendro.Units;

namespace Wendro.Review;

/// <summary>What came out tells how the client's hair lifts: her speed and cap, fitted as a strand test is.</summary>
public static class LiftCalibration
{
    /// <summary>Below this planned lift a reading tells nothing of speed, levels. Model assumption.</summary>
    private const double ToldFrom = 1;

    /// <summary>Fewer zones tell nothing of all the hair. Model assumption.</summary>
    private const int FewestZones = 3;

    /// <summary>
    /// How her hair lifts by the looks, the readings and what was known before; null where no reading tells of it.
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
        var told = new List<(double Share, LiftCase Case, IReadOnlyList<Reading> Readings)>();
        foreach (var zone in readings.Where(r => r.Depth != Depth.Root).GroupBy(r => r.Zone))
        {
            if (Lightened.In(planned, service, zone.Key) is not { } coat)
            {
                continue;
            }

            // One zone is one witness, however many of its depths were read.
            var shares = zone.Select(r =>
                {
                    var natural = depths.Natural(r.Zone, r.Depth);
                    return (Lift: depths.Planned(r.Zone, r.Depth) - natural, Read: r.Level - natural);
                })
                .Where(s => s.Lift >= ToldFrom)
                .Select(s => s.Read / s.Lift)
                .ToArray();
            if (shares.Length > 0 && coat.Alike is > 0 and <= 120)
            {
                var of = coat.Planned.Case;
                var level = of.From.Value + coat.Planned.Gain(coat.PlannedMinutes) * Math.Max(0, shares.Average());
                var looks = coat.Looks.Select(l => new Reading(new(l.Minutes), Level.Clamp(l.Level)));
                told.Add((shares.Average(), of, [.. looks, new(new(coat.Alike), Level.Clamp(level))]));
            }
        }

        if (told.Count < FewestZones)
        {
            return null;
        }

        // What is so in one zone only has a cause there: the zone in the middle tells of the hair.
        var (_, middle, seen) = told.OrderBy(t => t.Share).ElementAt(told.Count / 2);
        return StrandTest.Fit(seen.Select(r => (middle with { Own = null }, r)).ToArray(), middle.Own);
    }
}
