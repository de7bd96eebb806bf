using Wendro.Core.Hair;
using Wendro.Core.Units;

namespace Wendro.Core.Blend;

/// <summary>
/// One panel hung flat as it will look: level bytes of the painted side, rows from scalp to ends, columns from u = 0 to 1,
/// and how deep the product goes through the section at each row.
/// </summary>
/// <param name="Columns">Columns across.</param>
/// <param name="Rows">Rows from scalp to ends.</param>
/// <param name="Levels">Level bytes, row by row.</param>
/// <param name="Depth">Share of the section reached at each row, 0..1.</param>
public sealed record Strip(int Columns, int Rows, byte[] Levels, IReadOnlyList<double> Depth)
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
        var depth = new double[Down];
        var states = HairState.Of(hair.In(panel.Panel.Key.Zone));
        var liftings = states.Select(state => panel.LiftingOf(hair, state)).ToArray();
        for (var r = 0; r < Down; r++)
        {
            var share = (r + 0.5) / Down;
            var band = StrandHistory.At(hair.Bands, share * panel.Panel.LengthCm);
            depth[r] = panel.Painted?.ShareReached(share) ?? 0;
            for (var c = 0; c < Across; c++)
            {
                // Old stripes stand side by side here as they do on the head.
                var state = band is { } b && HairState.IsTreated(c * StrandsAColumn, hair.Bands[b].Share) ? b + 1 : 0;
                var coverage = depth[r] <= 0 ? 0 : panel.Painted!.CoverageAlong((c + 0.5) / Across, share * panel.Panel.LengthCm);
                var gain = liftings[state]?.GainAtCoverage(moment.MinutesOf(panel.Formula!), coverage) ?? 0;
                levels[r * Across + c] = Level.ToByte(states[state].Level + gain);
            }
        }

        return new Strip(Across, Down, levels, depth);
    }
}
