using System.Collections.Immutable;
using Wendro.Head;
using Wendro.Paint;
using Wendro.Section;

namespace Wendro.Plans;

/// <summary>
/// Copies one side of the head to the other: sections and paint; u keeps its meaning, from the face backwards.
/// </summary>
public static class Mirroring
{
    public static (Plan Plan, IReadOnlyList<PanelKey> Lost) From(Plan plan, Side from, Cutting cutting)
    {
        var lost = new List<PanelKey>();
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
                var panels = cutting.Cut(plan.CutOf(zone) with { Zone = other }).Panels.Select(p => p.Key).ToHashSet();
                var paint = ImmutableSortedDictionary.CreateBuilder<PanelKey, PanelPaint>();
                foreach (var (mine, given) in plan.Zones[zone].Paint)
                {
                    var key = mine with { Zone = other };
                    if (panels.Contains(key))
                    {
                        paint[key] = given;
                    }
                    else
                    {
                        lost.Add(mine);
                    }
                }

                after = after.With(other, _ => plan.Zones[zone] with { Paint = paint.ToImmutable() });
            }
        }

        return (after, lost);
    }

    /// <summary>
    /// Paint by panel as it would lie on the other side of the head: for who wears the other part now. What finds no
    /// panel there is left away.
    /// </summary>
    /// <param name="plan">The plan it is taken from.</param>
    /// <param name="cutting">The head it is laid on.</param>
    /// <param name="on">The plan that head is cut by.</param>
    public static IReadOnlyDictionary<PanelKey, PanelPaint> Over(Plan plan, Cutting cutting, Plan on)
    {
        var made = new Dictionary<PanelKey, PanelPaint>();
        foreach (var (zone, planned) in plan.Zones.Where(z => z.Value.Excluded is null))
        {
            var cut = cutting.Cut(on, ZoneFacts.Other(zone));
            var there = cut.Panels.Select(p => p.Key).ToHashSet();
            foreach (var (key, paint) in planned.Paint)
            {
                var over = ZoneFacts.IsAcross(zone) ? cut.Opposite(key) : key with { Zone = ZoneFacts.Other(zone) };
                if (there.Contains(over))
                {
                    made[over] =
                        ZoneFacts.IsAcross(zone) && cut.RunsAcross && paint.Shape is Shape.Slant slant
                            ? paint with
                            {
                                Shape = slant with { Flip = !slant.Flip },
                            }
                            : paint;
                }
            }
        }

        return made;
    }

    /// <summary>A zone across the middle: each row is turned round, the panel in the middle stays.</summary>
    private static ImmutableSortedDictionary<PanelKey, PanelPaint> Across(
        Plan plan,
        Zone zone,
        Side from,
        Cutting cutting
    )
    {
        var planned = plan.Zones[zone];
        var result = planned.Paint.ToBuilder();
        var cut = cutting.Cut(plan, zone);
        foreach (var source in cut.Panels)
        {
            var target = cut.Opposite(source.Key);
            if (
                target == source.Key
                || source.Centre.Map.X > 0 != (from == Side.Left)
                || !cut.Panels.Any(p => p.Key == target)
            )
            {
                continue;
            }

            if (planned.Paint.TryGetValue(source.Key, out var paint))
            {
                result[target] = paint with
                {
                    Shape =
                        paint.Shape is Shape.Slant slant && cut.RunsAcross
                            ? slant with
                            {
                                Flip = !slant.Flip,
                            }
                            : paint.Shape,
                    StartCm = paint.StartOn(source.Key, source.LengthCm, plan.Seed),
                    StartShare = null,
                    SpreadCm = 0,
                };
            }
            else
            {
                result.Remove(target);
            }
        }

        return result.ToImmutable();
    }
}
