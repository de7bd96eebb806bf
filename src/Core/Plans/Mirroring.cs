using System.Collections.Immutable;
using Wendro.Core.Head;
using Wendro.Core.Paint;

namespace Wendro.Core.Plans;

/// <summary>Copies one side of the head to the other: sections and paint; u keeps its meaning, from the face backwards.</summary>
internal static class Mirroring
{
    public static (Plan Plan, IReadOnlyList<string> Lost) From(Plan plan, Side from, Cutting cutting)
    {
        var lost = new List<string>();
        var after = plan;
        foreach (var zone in ZoneFacts.All)
        {
            if (ZoneFacts.IsAcross(zone))
            {
                after = after.With(zone, z => z with { Paint = Across(plan, zone, from, cutting) });
            }
            else if (ZoneFacts.IsLeft(zone) == (from == Side.Left))
            {
                var other = ZoneFacts.Other(zone);
                var panels = cutting.Cut(plan.Part, other, plan.Zones[zone].Sections).Panels.Select(p => p.Key).ToHashSet();
                var paint = ImmutableSortedDictionary.CreateBuilder<string, PanelPaint>(StringComparer.Ordinal);
                foreach (var (name, given) in plan.Zones[zone].Paint)
                {
                    var key = PanelKey.Parse(name)!.Value with { Zone = other };
                    if (panels.Contains(key))
                    {
                        paint[key.ToString()] = given;
                    }
                    else
                    {
                        lost.Add(name);
                    }
                }

                after = after.With(other, _ => plan.Zones[zone] with { Paint = paint.ToImmutable() });
            }
        }

        return (after, lost);
    }

    /// <summary>A zone across the middle: each row is turned round, the panel in the middle stays.</summary>
    private static ImmutableSortedDictionary<string, PanelPaint> Across(Plan plan, Zone zone, Side from, Cutting cutting)
    {
        var planned = plan.Zones[zone];
        var result = planned.Paint.ToBuilder();
        foreach (var row in cutting.Cut(plan.Part, zone, planned.Sections).Panels.GroupBy(p => p.Key.Row))
        {
            var columns = row.OrderBy(p => p.Key.Column).ToArray();
            for (var c = 0; c < columns.Length / 2; c++)
            {
                // Column 0 is on her left.
                var (source, target) = from == Side.Left ? (columns[c], columns[^(c + 1)]) : (columns[^(c + 1)], columns[c]);
                if (planned.Paint.TryGetValue(source.Key.ToString(), out var paint))
                {
                    result[target.Key.ToString()] = paint with
                    {
                        Flip = paint.Shape == Shape.Slant ? !paint.Flip : paint.Flip,
                        StartCm = paint.StartOn(source.Key, source.LengthCm, plan.Seed),
                        StartShare = null,
                        SpreadCm = 0,
                    };
                }
                else
                {
                    result.Remove(target.Key.ToString());
                }
            }
        }

        return result.ToImmutable();
    }
}
