using Wendro.Fall;
using Wendro.Hair;
using Wendro.Head;
using Wendro.Paint;
using Wendro.Section;

namespace Wendro.Blend;

/// <summary>Which strand lies where among the panels. Sectioning changes it; what is seen does not know it.</summary>
public sealed class StrandMap
{
    private StrandMap(int strands)
    {
        Panel = new short[strands];
        U = new float[strands];
        W = new float[strands];
        Zone = new byte[strands];
    }

    /// <summary>Panel number of each strand, −1 where it is left out.</summary>
    public short[] Panel { get; }

    /// <summary>Across its panel, 0..1.</summary>
    public float[] U { get; }

    /// <summary>Through its section, 0..1.</summary>
    public float[] W { get; }

    /// <summary>Zone of each strand, as a number.</summary>
    public byte[] Zone { get; }

    private short[]? piece;
    private float[]? deep;

    /// <summary>The piece of an earlier visit that a strand grows in, by number; −1 for none.</summary>
    public int PieceOf(int strand) => piece?[strand] ?? -1;

    /// <summary>How deep in its piece a strand lies, 0..1; null where what was reached of it is strewn.</summary>
    public double? DepthOf(int strand) => deep?[strand] is >= 0 and var d ? d : null;

    /// <summary>Strands of each panel.</summary>
    public IReadOnlyList<int[]> StrandsOf { get; private set; } = [];

    /// <summary>Clips zones up, and of one zone the rows above one, so that what lies beneath is seen.</summary>
    /// <param name="zones">Zones clipped up whole.</param>
    /// <param name="open">A panel whose row lies open: what grows above it is clipped up; null for none.</param>
    /// <param name="panels">The panels as they are numbered here.</param>
    public PinnedUp PinnedUp(IReadOnlySet<Zone> zones, PanelKey? open, IReadOnlyList<PlannedPanel> panels)
    {
        ArgumentNullException.ThrowIfNull(zones);
        ArgumentNullException.ThrowIfNull(panels);
        var over = open is { } row ? zones.Concat(ZoneFacts.Over(row.Zone)).ToHashSet() : zones;
        var clip = new byte[Zone.Length];
        for (var i = 0; i < clip.Length; i++)
        {
            var zone = (Zone)Zone[i];
            var above =
                open is { } at && zone == at.Zone && Panel[i] is >= 0 and var p && panels[p].Panel.Key.Row > at.Row;
            clip[i] = over.Contains(zone) || above ? (byte)(Zone[i] + 1) : (byte)0;
        }

        return new(clip);
    }

    /// <summary>Finds every strand's place.</summary>
    /// <param name="strands">The strands.</param>
    /// <param name="zones">The zones by part.</param>
    /// <param name="cut">Each zone's panels and the number of its first among all; zones left whole are absent.</param>
    /// <param name="panels">How many panels there are.</param>
    /// <param name="pieces">What earlier visits left; null where nobody kept it.</param>
    public static StrandMap Of(
        Strands strands,
        Zones zones,
        IReadOnlyDictionary<Zone, (ZonePanels Panels, int First)> cut,
        int panels,
        Pieces? pieces = null
    )
    {
        ArgumentNullException.ThrowIfNull(strands);
        ArgumentNullException.ThrowIfNull(zones);
        ArgumentNullException.ThrowIfNull(cut);
        var map = new StrandMap(strands.Count)
        {
            piece = pieces is null ? null : new short[strands.Count],
            deep = pieces is null ? null : new float[strands.Count],
        };
        Parallel.For(
            0,
            8,
            chunk =>
            {
                for (var i = chunk * strands.Count / 8; i < (chunk + 1) * strands.Count / 8; i++)
                {
                    map.Locate(i, strands.Scalp[i], zones, cut);
                    if (map.piece is { } piece)
                    {
                        piece[i] = (short)pieces!.NumberAt(strands.Scalp[i].Map);
                        map.deep![i] =
                            piece[i] < 0 ? -1 : (float)(pieces.All[piece[i]].DepthOf(strands.Scalp[i].Map) ?? -1);
                    }
                }
            }
        );

        var counts = new int[panels];
        foreach (var p in map.Panel.Where(p => p >= 0))
        {
            counts[p]++;
        }

        var lists = counts.Select(c => new int[c]).ToArray();
        Array.Clear(counts);
        for (var i = 0; i < map.Panel.Length; i++)
        {
            if (map.Panel[i] is >= 0 and var p)
            {
                lists[p][counts[p]++] = i;
            }
        }

        map.StrandsOf = lists;
        return map;
    }

    /// <summary>Where the strands of one zone lie when it is cut one way; all others lie nowhere.</summary>
    /// <param name="strands">The strands.</param>
    /// <param name="zone">The zone.</param>
    /// <param name="inZone">Its strands.</param>
    /// <param name="panels">Its panels, numbered from 0.</param>
    /// <param name="all">The map of the whole head: the same strands lie in the same pieces.</param>
    public static StrandMap OfZone(Strands strands, Zone zone, int[] inZone, ZonePanels panels, StrandMap all)
    {
        ArgumentNullException.ThrowIfNull(strands);
        ArgumentNullException.ThrowIfNull(inZone);
        ArgumentNullException.ThrowIfNull(panels);
        ArgumentNullException.ThrowIfNull(all);
        var map = new StrandMap(strands.Count) { piece = all.piece, deep = all.deep };
        Array.Fill(map.Panel, (short)-1);
        var lists = panels.Panels.Select(_ => new List<int>()).ToArray();
        foreach (var i in inZone)
        {
            map.Zone[i] = (byte)zone;
            if (panels.At(strands.Scalp[i]) is { } at)
            {
                (map.Panel[i], map.U[i], map.W[i]) = ((short)at.Panel, (float)at.U, (float)at.W);
                lists[at.Panel].Add(i);
            }
        }

        map.StrandsOf = lists.Select(l => l.ToArray()).ToArray();
        return map;
    }

    private void Locate(
        int i,
        in ScalpPoint p,
        Zones zones,
        IReadOnlyDictionary<Zone, (ZonePanels Panels, int First)> cut
    )
    {
        var zone = zones.At(p);
        Zone[i] = (byte)zone;
        Panel[i] = -1;
        if (cut.TryGetValue(zone, out var of) && of.Panels.At(p) is { } at)
        {
            Panel[i] = (short)(of.First + at.Panel);
            U[i] = (float)at.U;
            W[i] = (float)at.W;
        }
    }
}
