using Wendro.Hair;
using Wendro.Paint;
using Wendro.Section;
using Wendro.Units;

namespace Wendro.Blend;

/// <summary>
/// One panel hung flat as it will look: level bytes of the painted side, rows from scalp to ends, columns from u = 0
/// to 1,
/// and the section cut through: how deep each product goes, what stays dry.
/// </summary>
/// <param name="Columns">Columns across.</param>
/// <param name="Rows">Rows from scalp to ends.</param>
/// <param name="Levels">Level bytes, row by row.</param>
/// <param name="Depth">Share of the section reached by any product at each row, 0..1.</param>
/// <param name="Layers">Layers the section is cut into, from its surface to its underside.</param>
/// <param name="Section">Level bytes of the layers where the paint is thickest, row by row: what stays dry keeps its
/// level.</param>
/// <param name="Tints">Tint bytes of the painted side, row by row.</param>
/// <param name="SectionTints">Tint bytes of the layers, row by row.</param>
public sealed record Strip(
    int Columns,
    int Rows,
    byte[] Levels,
    IReadOnlyList<double> Depth,
    int Layers,
    byte[] Section,
    byte[] Tints,
    byte[] SectionTints
)
{
    private const int Deep = 20;
    private const int Across = 32;
    private const int Down = 96;
    private const int StrandsAColumn = 5;

    /// <summary>Hangs a panel at a moment.</summary>
    public static Strip Of(PlannedPanel panel, HairProfile hair, Moment moment)
    {
        ArgumentNullException.ThrowIfNull(panel);
        ArgumentNullException.ThrowIfNull(hair);
        var levels = new byte[Across * Down];
        var section = new byte[Down * Deep];
        var (tints, sectionTints) = (new byte[levels.Length], new byte[section.Length]);
        var depth = new double[Down];
        var here = panel.HairOf(hair);
        var states = HairState.Of(here);
        var products = states.Select(state => ProductEffects.Of(panel, hair, state, moment)).ToArray();
        var length = panel.Panel.LengthCm;
        var layers = panel.Layers;
        Span<double> coverages = stackalloc double[layers.Count];
        Span<double> most = stackalloc double[layers.Count];
        for (var r = 0; r < Down; r++)
        {
            var share = (r + 0.5) / Down;
            var band = StrandHistory.At(here.Bands, share * length);
            most.Clear();
            for (var c = 0; c < Across; c++)
            {
                // Old stripes stand side by side here as they do on the head.
                var state = band is { } b && HairState.IsTreated(c * StrandsAColumn, here.Bands[b].Share) ? b + 1 : 0;
                for (var k = 0; k < layers.Count; k++)
                {
                    var reached = layers[k].Coat?.Painted.ShareReached(share) ?? 1;
                    coverages[k] =
                        reached <= 0 ? 0
                        : layers[k].Coat is { } coat
                            ? coat.Thickness * coat.Painted.CoverageAlong((c + 0.5) / Across, share * length)
                        : layers[k].Area!.CoverageAlong(share * length, length);
                    most[k] = Math.Max(most[k], coverages[k]);
                    depth[r] = coverages[k] > 0.05 ? Math.Max(depth[r], reached) : depth[r];
                }

                var became = products[state].At(coverages);
                levels[r * Across + c] = Level.ToByte(became.Level);
                tints[r * Across + c] = became.TintOf(white: false).Index;
            }

            var usual = products[band is { } all && here.Bands[all].Share >= 0.5 ? all + 1 : 0];
            for (var d = 0; d < Deep; d++)
            {
                for (var k = 0; k < layers.Count; k++)
                {
                    coverages[k] = most[k] * (layers[k].Coat?.Painted.CoverageThrough((d + 0.5) / Deep, share) ?? 1);
                }

                var inside = usual.At(coverages);
                section[r * Deep + d] = Level.ToByte(inside.Level);
                sectionTints[r * Deep + d] = inside.TintOf(white: false).Index;
            }
        }

        return new Strip(Across, Down, levels, depth, Deep, section, tints, sectionTints);
    }
}
