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

    /// <summary>Hangs a panel at a moment.</summary>
    public static Strip Of(PlannedPanel panel, HairProfile hair, Moment moment)
    {
        ArgumentNullException.ThrowIfNull(panel);
        ArgumentNullException.ThrowIfNull(hair);
        var levels = new byte[Across * Down];
        var depth = new double[Down];
        Array.Fill(levels, Level.ToByte(hair.NaturalLevel));
        if (panel.Painted is { } painted && panel.LiftingOf(hair) is { } lifting)
        {
            var minutes = moment.MinutesOf(panel.Formula!);
            for (var r = 0; r < Down; r++)
            {
                var share = (r + 0.5) / Down;
                depth[r] = painted.ShareReached(share);
                for (var c = 0; c < Across; c++)
                {
                    var coverage = depth[r] <= 0 ? 0 : painted.CoverageAlong((c + 0.5) / Across, share * panel.Panel.LengthCm);
                    levels[r * Across + c] = Level.ToByte(hair.NaturalLevel + lifting.GainAtCoverage(minutes, coverage));
                }
            }
        }

        return new Strip(Across, Down, levels, depth);
    }
}
