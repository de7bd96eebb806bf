using Wendro.Core.Hair;
using Wendro.Core.Paint;
using Wendro.Core.Units;

namespace Wendro.Core.Blend;

/// <summary>How deep one product goes through a section, row by row from scalp to ends.</summary>
/// <param name="Face">The side it is laid on.</param>
/// <param name="Depth">Share of the section it reaches from that side, 0..1; nothing where none of it lies.</param>
/// <param name="Levels">Level byte it brings the hair to, where it is thickest.</param>
public sealed record StripCoat(Face Face, IReadOnlyList<double> Depth, byte[] Levels);

/// <summary>
/// One panel hung flat as it will look: level bytes of the painted side, rows from scalp to ends, columns from u = 0 to 1,
/// and the section cut through: how deep each product goes, what stays dry.
/// </summary>
/// <param name="Columns">Columns across.</param>
/// <param name="Rows">Rows from scalp to ends.</param>
/// <param name="Levels">Level bytes, row by row.</param>
/// <param name="Depth">Share of the section reached by any product at each row, 0..1.</param>
/// <param name="Bare">Level byte of what stays dry, at each row.</param>
/// <param name="Coats">Each product in the section.</param>
public sealed record Strip(
    int Columns, int Rows, byte[] Levels, IReadOnlyList<double> Depth, byte[] Bare, IReadOnlyList<StripCoat> Coats)
{
    private const int Across = 32;
    private const int Down = 96;
    private const int StrandsAColumn = 5;

    /// <summary>Hangs a panel at a moment.</summary>
    public static Strip Of(PlannedPanel panel, HairProfile hair, Moment moment)
    {
        ArgumentNullException.ThrowIfNull(panel);
        ArgumentNullException.ThrowIfNull(hair);
        var levels = new byte[Across * Down];
        var bare = new byte[Down];
        var depth = new double[Down];
        var coats = panel.Coats.Select(c => new StripCoat(c.Painted.Paint.Face, new double[Down], new byte[Down])).ToArray();
        var states = HairState.Of(hair.In(panel.Panel.Key.Zone));
        var products = states.Select(state => Products.Of(panel, hair, state, moment)).ToArray();
        var length = panel.Panel.LengthCm;
        Span<double> coverages = stackalloc double[PanelPaint.MostCoats];
        Span<double> alone = stackalloc double[PanelPaint.MostCoats];
        for (var r = 0; r < Down; r++)
        {
            var share = (r + 0.5) / Down;
            var band = StrandHistory.At(hair.Bands, share * length);
            var usual = products[band is { } all && hair.Bands[all].Share >= 0.5 ? all + 1 : 0];
            alone.Clear();
            bare[r] = Level.ToByte(usual.Level(alone));
            for (var k = 0; k < coats.Length; k++)
            {
                coats[k].Levels[r] = bare[r];
            }

            for (var c = 0; c < Across; c++)
            {
                // Old stripes stand side by side here as they do on the head.
                var state = band is { } b && HairState.IsTreated(c * StrandsAColumn, hair.Bands[b].Share) ? b + 1 : 0;
                for (var k = 0; k < coats.Length; k++)
                {
                    var painted = panel.Coats[k].Painted;
                    var reached = painted.ShareReached(share);
                    coverages[k] = reached <= 0 ? 0 : panel.Coats[k].Thickness * painted.CoverageAlong((c + 0.5) / Across, share * length);
                    if (coverages[k] > 0.05)
                    {
                        ((double[])coats[k].Depth)[r] = painted.Depth(share);
                        depth[r] = Math.Max(depth[r], reached);
                        alone.Clear();
                        alone[k] = coverages[k];
                        var level = Level.ToByte(usual.Level(alone));
                        if (Math.Abs(level - bare[r]) > Math.Abs(coats[k].Levels[r] - bare[r]))
                        {
                            coats[k].Levels[r] = level;
                        }
                    }
                }

                levels[r * Across + c] = Level.ToByte(products[state].Level(coverages));
            }
        }

        return new Strip(Across, Down, levels, depth, bare, coats);
    }
}
