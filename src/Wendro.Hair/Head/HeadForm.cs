using System.Collections.Concurrent;

namespace Wendro.Head;

/// <summary>
/// The head everything is planned on: its form, its scalp as a chart, and its zones by part. Made once.
/// </summary>
public sealed class HeadForm
{
    private readonly ConcurrentDictionary<PartLine, Zones> zones = new();

    // Only hair that falls needs it: sections are cut without.
    private readonly Lazy<FormGrid> grid = new(() => new FormGrid());

    private HeadForm()
    {
        Chart = new ScalpChart();
    }

    /// <summary>The usual head: about 15.5 cm wide and 19.5 cm deep with its hair-bearing scalp.</summary>
    public static HeadForm Usual { get; } = new();

    /// <summary>The form, baked.</summary>
    public FormGrid Grid => grid.Value;

    /// <summary>The scalp unrolled.</summary>
    public ScalpChart Chart { get; }

    /// <summary>Hair-bearing scalp, cm².</summary>
    public double ScalpCm2 => ScalpChart.AreaOf(Chart.Outline);

    /// <summary>The zones for a part.</summary>
    public Zones ZonesFor(PartLine part)
    {
        if (zones.Count > 64)
        {
            zones.Clear();
        }

        return zones.GetOrAdd(part, p => new Zones(Chart, p));
    }
}
