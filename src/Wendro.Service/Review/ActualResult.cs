using Wendro.Blend;
using Wendro.Colour;
using Wendro.Fall;
using Wendro.Head;
using Wendro.Plans;
using Wendro.Units;

namespace Wendro.Review;

/// <summary>
/// The head as it came out: what was read, laid over the plan's pattern. Between readings along the hair it is a
/// straight line; a zone nobody read stays as the model has it, and is told apart.
/// </summary>
public static class ActualResult
{
    /// <summary>Below this planned lift a reading moves painted hair by levels, above it by share of its lift. Model
    /// assumption.</summary>
    private const double HardlyLifted = 0.7;

    /// <summary>Levels from which on lifted hair has its own colour. Model assumption, as everywhere.</summary>
    private const double FullyLifted = 1.5;

    private readonly record struct Shift(double At, double Gain, double Add);

    /// <summary>The strands as they came out.</summary>
    /// <param name="head">The head as planned, or as it happened.</param>
    /// <param name="depths">How it is read.</param>
    /// <param name="readings">What was read.</param>
    public static StrandSamples Of(PlannedHead head, Depths depths, IReadOnlyCollection<ZoneReading> readings)
    {
        ArgumentNullException.ThrowIfNull(head);
        ArgumentNullException.ThrowIfNull(depths);
        ArgumentNullException.ThrowIfNull(readings);
        if (readings.Count == 0)
        {
            return head.Reached.Hair;
        }

        var hair = head.Reached.Hair.Copy();
        var shifts = readings
            .GroupBy(r => r.Zone)
            .Where(z => depths.Zones.Contains(z.Key))
            .ToDictionary(z => z.Key, z => ShiftsOf(head, depths, z.Key, z.ToArray()));
        for (var i = 0; i < head.Map.Zone.Length; i++)
        {
            if (shifts.TryGetValue((Zone)head.Map.Zone[i], out var zone))
            {
                Move(head, hair, depths.Before, i, zone);
            }
        }

        return hair;
    }

    private static Shift[] ShiftsOf(PlannedHead head, Depths depths, Zone zone, IReadOnlyList<ZoneReading> readings)
    {
        var read = readings
            .Select(r =>
            {
                var natural = depths.Natural(zone, r.Depth);
                var planned = depths.At(head.Levels, zone, r.Depth);
                return planned - natural >= HardlyLifted
                    ? new Shift(Depths.Middle(r.Depth), Math.Max(0, r.Level - natural) / (planned - natural), 0)
                    : new Shift(Depths.Middle(r.Depth), 1, r.Level - planned);
            })
            .OrderBy(s => s.At)
            .ToArray();
        // A depth nobody read lifts as those that were; what was added elsewhere is not added there.
        var gains = read.Where(s => s.Add == 0).Select(s => s.Gain).DefaultIfEmpty(1).ToArray();
        var usual = gains.Average();
        return Enum.GetValues<Depth>()
            .Select(d => Depths.Middle(d))
            .Select(at => read.Where(s => s.At == at).DefaultIfEmpty(new(at, usual, 0)).First())
            .ToArray();
    }

    private static void Move(PlannedHead head, StrandSamples hair, byte[] before, int strand, Shift[] shifts)
    {
        var painted = head.Map.Panel[strand] is >= 0 and var p && head.Panels[p].Coats.Count > 0;
        for (var k = 0; k < Places.Count; k++)
        {
            var at = strand * Places.Count + k;
            var (was, is0) = (Level.FromByte(before[at]), Level.FromByte(hair.Levels[at]));
            var (gain, add) = Between(shifts, Places.Share(k));
            var level = Level.Clamp(was + (is0 - was) * gain + (painted ? add : 0)).Value;
            hair.Levels[at] = Level.ToByte(level);
            var tint = new Tint(hair.Tints[at]).Meaning;
            if (tint is { White: false, Reflect: null })
            {
                hair.Tints[at] = Tint.Lifted(tint.Lifted + (level - is0) / FullyLifted).Index;
            }
        }
    }

    private static (double Gain, double Add) Between(Shift[] shifts, double at)
    {
        if (at <= shifts[0].At)
        {
            return (shifts[0].Gain, shifts[0].Add);
        }

        for (var i = 1; i < shifts.Length; i++)
        {
            if (at <= shifts[i].At)
            {
                var t = (at - shifts[i - 1].At) / (shifts[i].At - shifts[i - 1].At);
                return (
                    shifts[i - 1].Gain + (shifts[i].Gain - shifts[i - 1].Gain) * t,
                    shifts[i - 1].Add + (shifts[i].Add - shifts[i - 1].Add) * t
                );
            }
        }

        return (shifts[^1].Gain, shifts[^1].Add);
    }
}
