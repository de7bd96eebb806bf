using Wendro.Fall;
using Wendro.Hair;
using Wendro.Head;
using Wendro.Lift;
using Wendro.Paint;
using Wendro.Units;

namespace Wendro.Blend;

/// <summary>
/// The level and tint of every strand at its 64 places, as bytes, at one moment. Unmixed: what measures count.
/// </summary>
public static class StrandLevels
{
    /// <summary>
    /// How far one strand's upper edge strays from its panel's, cm either way: no brush draws a ruler's edge. Model
    /// assumption.
    /// </summary>
    public const double StrayCm = 0.4;

    /// <summary>
    /// How far paint strays between hairs at its depth, share of the section either way. Model assumption.
    /// </summary>
    public const double StrayDepth = 0.04;

    /// <summary>How much further paint strays where the panel is held slack. Model assumption.</summary>
    public const double SlackStrays = 2.5;

    /// <summary>How much further a runny mixture strays. Model assumption.</summary>
    public const double RunnyStrays = 1.8;

    private const int N = Places.Count;

    /// <summary>All strands.</summary>
    /// <param name="hair">Her hair.</param>
    /// <param name="map">Which strand lies where.</param>
    /// <param name="panels">What is laid, panel by panel.</param>
    /// <param name="lengths">Length of every strand, cm.</param>
    /// <param name="moment">When they are looked at.</param>
    /// <param name="areas">What is laid over whole areas, in the order it is; null for nothing.</param>
    public static StrandSamples All(
        HairProfile hair,
        StrandMap map,
        IReadOnlyList<PlannedPanel> panels,
        float[] lengths,
        Moment moment,
        IReadOnlyList<AreaCoat>? areas = null
    )
    {
        ArgumentNullException.ThrowIfNull(hair);
        ArgumentNullException.ThrowIfNull(map);
        ArgumentNullException.ThrowIfNull(panels);
        ArgumentNullException.ThrowIfNull(lengths);
        var all = Before(hair, map, lengths);
        Parallel.For(
            0,
            panels.Count,
            p =>
            {
                if (panels[p].Layers.Count > 0)
                {
                    OfPanel(hair, map, panels[p], map.StrandsOf[p], lengths, moment, all);
                }
            }
        );
        if (areas is { Count: > 0 })
        {
            Parallel.ForEach(ZoneFacts.All, zone => OfLeftOut(hair, map, zone, areas, lengths, moment, all));
        }

        return all;
    }

    /// <summary>
    /// All strands before any product: natural by zone, or what was done before, band by band.
    /// </summary>
    public static StrandSamples Before(HairProfile hair, StrandMap map, float[] lengths)
    {
        ArgumentNullException.ThrowIfNull(hair);
        ArgumentNullException.ThrowIfNull(map);
        ArgumentNullException.ThrowIfNull(lengths);
        var all = StrandSamples.For(lengths.Length);
        if (hair.Bands.Count == 0 && hair.Pieces is null && hair.ByZone is null && hair.GreyShare <= 0)
        {
            Array.Fill(all.Levels, Level.ToByte(hair.NaturalLevel));
            return all;
        }

        var pasts = ZoneFacts.All.Select(z => new PriorTreatment(hair, z, map)).ToArray();
        for (var i = 0; i < lengths.Length; i++)
        {
            pasts[map.Zone[i]].Write(i, lengths[i], all);
        }

        return all;
    }

    /// <summary>Writes one panel's strands into all.</summary>
    public static void OfPanel(
        HairProfile hair,
        StrandMap map,
        PlannedPanel panel,
        int[] strands,
        float[] lengths,
        Moment moment,
        StrandSamples into
    )
    {
        ArgumentNullException.ThrowIfNull(hair);
        ArgumentNullException.ThrowIfNull(map);
        ArgumentNullException.ThrowIfNull(panel);
        ArgumentNullException.ThrowIfNull(strands);
        ArgumentNullException.ThrowIfNull(lengths);
        ArgumentNullException.ThrowIfNull(into);
        var past = new PriorTreatment(hair, panel.Panel.Key.Zone, map, strands);
        var layers = panel.Layers;
        if (layers.Count == 0)
        {
            foreach (var i in strands)
            {
                past.Write(i, lengths[i], into);
            }

            return;
        }

        // What the products do is tabled for every state these strands are in: lifting starts from what is there.
        var products = past.States.Select(state => ProductEffects.Of(panel, hair, state, moment)).ToArray();
        if (layers.Count > 1 || layers[0].Coat is not { } only)
        {
            foreach (var i in strands)
            {
                Several(layers, i, map.U[i], map.W[i], lengths[i], past, products, into);
            }

            return;
        }

        var tables = products.Select(p => new Table(p)).ToArray();
        foreach (var i in strands)
        {
            Strand(only, i, map.U[i], map.W[i], lengths[i], past, tables, into);
        }
    }

    /// <summary>Writes what lies between the panels of a zone, where areas reach it.</summary>
    private static void OfLeftOut(
        HairProfile hair,
        StrandMap map,
        Zone zone,
        IReadOnlyList<AreaCoat> areas,
        float[] lengths,
        Moment moment,
        StrandSamples into
    )
    {
        var layers = areas.Where(a => a.Reaches(zone)).Select(Layer.Of).ToArray();
        if (layers.Length == 0)
        {
            return;
        }

        var left = Enumerable.Range(0, lengths.Length).Where(i => map.Zone[i] == (byte)zone && map.Panel[i] < 0);
        var strands = left.ToArray();
        var past = new PriorTreatment(hair, zone, map, strands);
        var products = past.States.Select(s => ProductEffects.Of(layers, hair, zone, s, moment)).ToArray();
        foreach (var i in strands)
        {
            Several(layers, i, 0.5f, 0.5f, lengths[i], past, products, into);
        }
    }

    /// <summary>How far a coat strays on one strand: along, and through the section.</summary>
    private static (double Along, double Through) StrayOf(Coat coat, int i)
    {
        // Slack hair gives under the brush; what runs does not stay where it was put.
        var wild =
            (coat.Painted.Paint.Tension == Tension.Slack ? SlackStrays : 1)
            * (coat.Formula.Consistency == Consistency.Runny ? RunnyStrays : 1);
        return (
            StrayCm * wild * Hash.Signed(i, 50) + coat.Painted.TeasedBelow(i),
            StrayDepth * wild * Hash.Signed(i, 51)
        );
    }

    private static void Strand(
        Coat coat,
        int i,
        float u,
        float w,
        float length,
        PriorTreatment past,
        Table[] tables,
        StrandSamples into
    )
    {
        var painted = coat.Painted;
        if (painted.Holds(i))
        {
            past.Write(i, length, into);
            return;
        }

        var (below, stray) = StrayOf(coat, i);
        var across = Math.Clamp(w + stray, 0, 1);
        var steps = 255 * coat.Thickness;
        var plain = painted.Paint is { BandCm: null, Shape.IsEdge: true };
        var edge = painted.UpperEdge(u) + below;
        var white = past.IsWhite(i);
        var was = past.Of(i);
        var levels = into.Levels.AsSpan(i * N, N);
        var tints = into.Tints.AsSpan(i * N, N);
        for (var k = 0; k < N; k++)
        {
            var share = Places.Share(k);
            var along = plain
                ? Curve.Smooth(edge, edge + painted.Paint.BlurCm, share * length)
                : painted.CoverageAlong(u, share * length, length, below);
            var coverage = along <= 0 ? 0 : along * painted.CoverageThrough(across, share);
            var state = was.StateAt(share * length);
            var (table, at) = (tables[state], (int)(coverage * steps + 0.5));
            levels[k] = table.Levels[at];
            tints[k] = (white && past.ShowsWhite(state) ? table.Whites : table.Tints)[at];
        }
    }

    private static void Several(
        IReadOnlyList<Layer> layers,
        int i,
        float u,
        float w,
        float length,
        PriorTreatment past,
        ProductEffects[] products,
        StrandSamples into
    )
    {
        Span<double> coverages = stackalloc double[layers.Count];
        Span<double> below = stackalloc double[layers.Count];
        Span<double> across = stackalloc double[layers.Count];
        for (var c = 0; c < layers.Count; c++)
        {
            var (along, through) = layers[c].Coat is { } coat ? StrayOf(coat, i) : (StrayCm * Hash.Signed(i, 50), 0);
            (below[c], across[c]) = (along, Math.Clamp(w + through, 0, 1));
        }

        var white = past.IsWhite(i);
        var was = past.Of(i);
        for (var k = 0; k < N; k++)
        {
            var share = Places.Share(k);
            for (var c = 0; c < layers.Count; c++)
            {
                coverages[c] = layers[c].Coat is { } coat
                    ? OfCoat(coat, i, u, across[c], share, length, below[c])
                    : layers[c].Area!.CoverageAlong(share * length, length, below[c]);
            }

            var state = was.StateAt(share * length);
            var became = products[state].At(coverages);
            into.Levels[i * N + k] = Level.ToByte(became.Level);
            into.Tints[i * N + k] = became.TintOf(white && past.ShowsWhite(state)).Index;
        }
    }

    private static double OfCoat(Coat coat, int i, float u, double across, double share, float length, double below)
    {
        var painted = coat.Painted;
        var along = painted.Holds(i) ? 0 : painted.CoverageAlong(u, share * length, length, below);
        return along <= 0 ? 0 : coat.Thickness * along * painted.CoverageThrough(across, share);
    }

    /// <summary>Level and tint bytes by the coverage of a single product.</summary>
    private sealed class Table
    {
        public Table(ProductEffects products)
        {
            Span<double> coverage = stackalloc double[1];
            for (var c = 0; c < 256; c++)
            {
                coverage[0] = c / 255.0;
                var became = products.At(coverage);
                Levels[c] = Level.ToByte(became.Level);
                Tints[c] = became.TintOf(white: false).Index;
                Whites[c] = became.TintOf(white: true).Index;
            }
        }

        public byte[] Levels { get; } = new byte[256];

        public byte[] Tints { get; } = new byte[256];

        public byte[] Whites { get; } = new byte[256];
    }
}
