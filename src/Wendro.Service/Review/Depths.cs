using Wendro.Blend;
using Wendro.Fall;
using Wendro.Head;
using Wendro.Plans;
using Wendro.Units;

namespace Wendro.Review;

/// <summary>The level a colourist would read in a zone: that of the pieces that were painted, not of what lies
/// between.</summary>
public sealed class Depths
{
    /// <summary>
    /// Among painted strands the reading is taken where so many are darker: the light of a piece, not its edge. Model
    /// assumption.
    /// </summary>
    private const double ReadAt = 0.7;

    /// <summary>How many strands of a zone are read at most: more change nothing that is seen.</summary>
    private const int MostStrands = 260;

    private readonly Dictionary<Zone, int[]> strands = [];
    private readonly PlannedHead head;
    private readonly Lazy<byte[]> before;

    /// <summary>Reads heads that are cut and painted like one.</summary>
    /// <param name="head">The head.</param>
    public Depths(PlannedHead head)
    {
        ArgumentNullException.ThrowIfNull(head);
        this.head = head;
        before = new(() => StrandLevels.Before(head.Hair, head.Map, head.Looks.OnHead.Lengths).Levels);
        var map = head.Map;
        foreach (var zone in Enumerable.Range(0, map.Zone.Length).GroupBy(i => (Zone)map.Zone[i]))
        {
            var painted = zone.Where(i => IsPainted(i)).ToArray();
            var read = painted.Length > 0 ? painted : zone.ToArray();
            var every = Math.Max(1, read.Length / MostStrands);
            strands[zone.Key] = read.Where((_, n) => n % every == 0).ToArray();
        }
    }

    /// <summary>Zones with hair.</summary>
    public IEnumerable<Zone> Zones => strands.Keys.Order();

    /// <summary>Mean length of the hair read in a zone, cm.</summary>
    public double LengthOf(Zone zone) => strands[zone].Average(i => head.Looks.OnHead.Lengths[i]);

    /// <summary>Where along the hair a depth is read, shares of its length.</summary>
    public static (double From, double To) Stretch(Depth depth) =>
        depth switch
        {
            Depth.Root => (0.03, 0.12),
            Depth.Middle => (0.42, 0.6),
            Depth.Ends => (0.86, 0.98),
        };

    /// <summary>The middle of it.</summary>
    public static double Middle(Depth depth)
    {
        var (from, to) = Stretch(depth);
        return (from + to) / 2;
    }

    /// <summary>Level bytes before anything was done to the hair, strands × 64.</summary>
    internal byte[] Before => before.Value;

    /// <summary>The level a zone had at a depth before anything was done to it.</summary>
    public double Natural(Zone zone, Depth depth) => At(Before, zone, depth);

    /// <summary>The level planned in a zone at a depth.</summary>
    public double Planned(Zone zone, Depth depth) => At(head.Levels, zone, depth);

    /// <summary>The level read in a zone at a depth.</summary>
    /// <param name="levels">Level bytes, strands × 64.</param>
    /// <param name="zone">Where.</param>
    /// <param name="depth">Where along the hair.</param>
    public double At(byte[] levels, Zone zone, Depth depth)
    {
        var (from, to) = Stretch(depth);
        return Between(levels, zone, from, to);
    }

    /// <summary>Levels from the scalp to the ends, at so many places.</summary>
    public IReadOnlyList<double> Along(byte[] levels, Zone zone, int places) =>
        Enumerable
            .Range(0, places)
            .Select(k => Between(levels, zone, k / (double)places, (k + 1) / (double)places))
            .ToArray();

    private double Between(byte[] levels, Zone zone, double from, double to)
    {
        ArgumentNullException.ThrowIfNull(levels);
        var (first, last) = (PlaceAt(from), Math.Max(PlaceAt(from), PlaceAt(to) - 1));
        var read = strands[zone];
        var each = new double[read.Length];
        for (var n = 0; n < read.Length; n++)
        {
            var sum = 0.0;
            for (var k = first; k <= last; k++)
            {
                sum += Level.FromByte(levels[read[n] * Places.Count + k]);
            }

            each[n] = sum / (last - first + 1);
        }

        Array.Sort(each);
        return each[(int)(ReadAt * (each.Length - 1))];
    }

    /// <summary>The first place at or beyond a share of the length.</summary>
    private static int PlaceAt(double share)
    {
        var place = 0;
        while (place < Places.Count - 1 && Places.Share(place) < share)
        {
            place++;
        }

        return place;
    }

    private bool IsPainted(int strand) =>
        head.Map.Panel[strand] is >= 0 and var p && head.Panels[p].Coats.Any(c => !c.Formula.IsDeposit);
}
