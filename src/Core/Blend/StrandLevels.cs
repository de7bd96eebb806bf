using Wendro.Core.Fall;
using Wendro.Core.Hair;
using Wendro.Core.Head;
using Wendro.Core.Lift;
using Wendro.Core.Paint;
using Wendro.Core.Section;
using Wendro.Core.Tone;
using Wendro.Core.Units;

namespace Wendro.Core.Blend;

/// <summary>
/// The level of every strand at its 64 places, as bytes, at one moment. Unmixed: what measures count.
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

    /// <summary>
    /// Share of a strand's drawn level taken from its lock, for a strand stands for several hairs. Drawing only.
    /// Model assumption.
    /// </summary>
    public const double LockShare = 0.45;

    private const int WhiteSalt = 61;
    private const int N = Places.Count;

    /// <summary>Levels of all strands.</summary>
    public static byte[] All(
        HairProfile hair,
        StrandMap map,
        IReadOnlyList<PlannedPanel> panels,
        float[] lengths,
        Moment moment
    )
    {
        ArgumentNullException.ThrowIfNull(hair);
        ArgumentNullException.ThrowIfNull(map);
        ArgumentNullException.ThrowIfNull(panels);
        var levels = Before(hair, map, lengths);
        Parallel.For(
            0,
            panels.Count,
            p =>
            {
                if (panels[p].Coats.Count > 0)
                {
                    OfPanel(hair, map, panels[p], map.StrandsOf[p], lengths, moment, levels);
                }
            }
        );
        return levels;
    }

    /// <summary>
    /// Levels of all strands before any product: natural by zone, or what was done before, band by band.
    /// </summary>
    public static byte[] Before(HairProfile hair, StrandMap map, float[] lengths)
    {
        ArgumentNullException.ThrowIfNull(hair);
        ArgumentNullException.ThrowIfNull(map);
        ArgumentNullException.ThrowIfNull(lengths);
        var levels = new byte[lengths.Length * N];
        if (hair.Bands.Count == 0 && hair.ByZone is null)
        {
            Array.Fill(levels, Level.ToByte(hair.NaturalLevel));
            return levels;
        }

        var pasts = ZoneFacts.All.Select(z => new Past(hair.In(z))).ToArray();
        for (var i = 0; i < lengths.Length; i++)
        {
            pasts[map.Zone[i]].Write(i, lengths[i], levels.AsSpan(i * N, N));
        }

        return levels;
    }

    /// <summary>Writes the levels of one panel's strands into the levels of all.</summary>
    public static void OfPanel(
        HairProfile hair,
        StrandMap map,
        PlannedPanel panel,
        int[] strands,
        float[] lengths,
        Moment moment,
        byte[] into
    )
    {
        ArgumentNullException.ThrowIfNull(hair);
        ArgumentNullException.ThrowIfNull(map);
        ArgumentNullException.ThrowIfNull(panel);
        ArgumentNullException.ThrowIfNull(strands);
        ArgumentNullException.ThrowIfNull(lengths);
        var past = new Past(hair.In(panel.Panel.Key.Zone));
        if (panel.Coats.Count == 0)
        {
            foreach (var i in strands)
            {
                past.Write(i, lengths[i], into.AsSpan(i * N, N));
            }

            return;
        }

        // What the products do is tabled for every state the hair is in: lifting starts from what is there.
        var products = past.States.Select(state => Products.Of(panel, hair, state, moment)).ToArray();
        if (panel.Coats.Count > 1)
        {
            foreach (var i in strands)
            {
                Several(panel.Coats, i, map.U[i], map.W[i], lengths[i], past, products, into.AsSpan(i * N, N));
            }

            return;
        }

        var tables = products.Select(TableOf).ToArray();
        foreach (var i in strands)
        {
            Strand(panel.Coats[0], i, map.U[i], map.W[i], lengths[i], past, tables, into.AsSpan(i * N, N));
        }
    }

    /// <summary>
    /// The levels a picture is drawn with: each strand mixed with the mean of its lock at the same place.
    /// </summary>
    /// <param name="strands">Strands and locks.</param>
    /// <param name="levels">Unmixed levels.</param>
    /// <param name="locks">Which locks to write; null for all.</param>
    /// <param name="white">Which strands are white, place by place; null where none is.</param>
    /// <param name="into">Where to.</param>
    public static void Draw(
        Strands strands,
        byte[] levels,
        IReadOnlyCollection<int>? locks,
        bool[]?[]? white,
        byte[] into
    )
    {
        ArgumentNullException.ThrowIfNull(strands);
        ArgumentNullException.ThrowIfNull(levels);
        ArgumentNullException.ThrowIfNull(into);
        if (locks is null)
        {
            Parallel.For(0, strands.LockCount, l => DrawLock(strands, levels, l, white, into));
            return;
        }

        foreach (var l in locks)
        {
            DrawLock(strands, levels, l, white, into);
        }
    }

    private static void DrawLock(Strands strands, byte[] levels, int l, bool[]?[]? white, byte[] into)
    {
        var (from, to) = (strands.LockStart[l], strands.LockStart[l + 1]);
        Span<int> sum = stackalloc int[N];
        sum.Clear();
        for (var i = from; i < to; i++)
        {
            for (var k = 0; k < N; k++)
            {
                sum[k] += levels[i * N + k];
            }
        }

        Span<int> share = stackalloc int[N];
        for (var k = 0; k < N; k++)
        {
            share[k] = (int)(256 * LockShare * (0.3 + 0.7 * Places.Share(k)));
            sum[k] /= to - from;
        }

        for (var i = from; i < to; i++)
        {
            for (var k = 0; k < N; k++)
            {
                into[i * N + k] = (byte)((levels[i * N + k] * (256 - share[k]) + sum[k] * share[k] + 128) >> 8);
            }

            Whiten(into.AsSpan(i * N, N), white?[i]);
        }
    }

    /// <summary>
    /// Which strands are white, and at which of their places no colour covers it; null where she has no grey.
    /// </summary>
    public static bool[]?[]? White(HairProfile hair, StrandMap map, float[] lengths)
    {
        ArgumentNullException.ThrowIfNull(hair);
        ArgumentNullException.ThrowIfNull(map);
        ArgumentNullException.ThrowIfNull(lengths);
        var shares = ZoneFacts.All.Select(z => (float)hair.In(z).GreyShare).ToArray();
        return shares.All(s => s <= 0)
            ? null
            : map
                .Zone.Select(
                    (z, i) =>
                        Hash.Unit(i, WhiteSalt) < shares[z]
                            ? Enumerable
                                .Range(0, N)
                                .Select(k =>
                                    StrandHistory.At(hair.Bands, Places.Share(k) * lengths[i]) is not { } b
                                    || hair.Bands[b].State != BandState.Coloured
                                )
                                .ToArray()
                            : null
                )
                .ToArray();
    }

    /// <summary>
    /// White hair has no level: it is drawn white from the place on where no colour covers it. Measures leave it as
    /// the hair it grows between.
    /// </summary>
    private static void Whiten(Span<byte> strand, bool[]? places)
    {
        for (var k = 0; k < N; k++)
        {
            strand[k] = places?[k] == true ? LevelColours.White : Math.Min(strand[k], (byte)(LevelColours.White - 1));
        }
    }

    /// <summary>Level bytes by the coverage of a single product.</summary>
    private static byte[] TableOf(Products products)
    {
        var table = new byte[256];
        Span<double> coverage = stackalloc double[1];
        for (var c = 0; c < table.Length; c++)
        {
            coverage[0] = c / 255.0;
            table[c] = Level.ToByte(products.Level(coverage));
        }

        return table;
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
        Past past,
        byte[][] tables,
        Span<byte> into
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
        for (var k = 0; k < N; k++)
        {
            var share = Places.Share(k);
            var along = plain
                ? Curve.Smooth(edge, edge + painted.Paint.BlurCm, share * length)
                : painted.CoverageAlong(u, share * length, length, below);
            var coverage = along <= 0 ? 0 : along * painted.CoverageThrough(across, share);
            into[k] = tables[past.StateOf(i, share * length)][(int)(coverage * steps + 0.5)];
        }
    }

    private static void Several(
        IReadOnlyList<Coat> coats,
        int i,
        float u,
        float w,
        float length,
        Past past,
        Products[] products,
        Span<byte> into
    )
    {
        Span<double> coverages = stackalloc double[coats.Count];
        Span<double> below = stackalloc double[coats.Count];
        Span<double> across = stackalloc double[coats.Count];
        for (var c = 0; c < coats.Count; c++)
        {
            var (along, through) = StrayOf(coats[c], i);
            (below[c], across[c]) = (along, Math.Clamp(w + through, 0, 1));
        }

        for (var k = 0; k < N; k++)
        {
            var share = Places.Share(k);
            for (var c = 0; c < coats.Count; c++)
            {
                var painted = coats[c].Painted;
                var along = painted.Holds(i) ? 0 : painted.CoverageAlong(u, share * length, length, below[c]);
                coverages[c] = along <= 0 ? 0 : coats[c].Thickness * along * painted.CoverageThrough(across[c], share);
            }

            into[k] = Level.ToByte(products[past.StateOf(i, share * length)].Level(coverages));
        }
    }

    /// <summary>What was done before, strand by strand.</summary>
    private sealed class Past(HairProfile hair)
    {
        private readonly IReadOnlyList<Band> bands = hair.Bands;

        public HairState[] States { get; } = HairState.Of(hair);

        /// <summary>Which state a strand is in at a distance from the scalp.</summary>
        public int StateOf(int strand, double s) =>
            StrandHistory.At(bands, s) is { } band && HairState.IsTreated(strand, bands[band].Share) ? band + 1 : 0;

        public void Write(int strand, double length, Span<byte> into)
        {
            for (var k = 0; k < N; k++)
            {
                into[k] = Level.ToByte(States[StateOf(strand, Places.Share(k) * length)].Level);
            }
        }
    }
}
