using System.Collections.Immutable;
using Wendro.Head;
using Wendro.Paint;
using Wendro.Section;

namespace Wendro.Plans;

/// <summary>
/// After a new cut or a moved part: each panel takes the paint of the old panel that overlaps it most on the scalp;
/// what overlaps none takes the zone's usual paint. Old paint that found no panel is named.
/// </summary>
internal static class PaintHandover
{
    private const double StepCm = 0.3;

    public static (Plan Plan, IReadOnlyList<PanelKey> Lost) To(Plan before, Plan after, Cutting cutting)
    {
        var changed = ZoneFacts.All.Where(z => before.CutOf(z) != after.CutOf(z)).ToHashSet();
        if (changed.All(z => after.Zones[z].Usual is null) && before.Zones.Values.All(z => z.Paint.Count == 0))
        {
            // Nothing is painted: there is nothing to hand over.
            return (after, []);
        }

        var (oldCut, newCut) = (cutting.Cut(before), cutting.Cut(after));
        var donors = Overlaps(before, after, oldCut, newCut, changed, cutting.Head);
        var used = new HashSet<PanelKey>();
        var plan = after;
        foreach (var zone in changed)
        {
            var paint = ImmutableSortedDictionary.CreateBuilder<PanelKey, PanelPaint>();
            foreach (var panel in newCut[zone].Panels)
            {
                var given = after.Zones[zone].Usual;
                if (donors.TryGetValue(panel.Key, out var from))
                {
                    given = before.Zones[from.Zone].Paint.GetValueOrDefault(from);
                    used.Add(from);
                }

                if (given is not null)
                {
                    paint[panel.Key] = given;
                }
            }

            plan = plan.With(zone, z => z with { Paint = paint.ToImmutable() });
        }

        var lost = changed.SelectMany(z => before.Zones[z].Paint.Keys).Where(k => !used.Contains(k)).ToArray();
        return (plan, lost);
    }

    private static Dictionary<PanelKey, PanelKey> Overlaps(
        Plan before,
        Plan after,
        IReadOnlyDictionary<Zone, ZonePanels> oldCut,
        IReadOnlyDictionary<Zone, ZonePanels> newCut,
        HashSet<Zone> changed,
        HeadForm head
    )
    {
        var counts = new Dictionary<(PanelKey New, PanelKey Old), int>();
        var (oldZones, newZones) = (head.ZonesFor(before.Part), head.ZonesFor(after.Part));
        foreach (var p in head.Chart.Places(StepCm).Where(p => p.FromHairlineCm >= 0))
        {
            var zone = newZones.At(p);
            var old = oldZones.At(p);
            if (changed.Contains(zone) && newCut[zone].At(p) is { } now && oldCut[old].At(p) is { } then)
            {
                var pair = (newCut[zone].Panels[now.Panel].Key, oldCut[old].Panels[then.Panel].Key);
                counts[pair] = counts.GetValueOrDefault(pair) + 1;
            }
        }

        return counts
            .GroupBy(c => c.Key.New)
            .ToDictionary(g => g.Key, g => g.OrderByDescending(c => c.Value).ThenBy(c => c.Key.Old).First().Key.Old);
    }
}
