using Wendro.Blend;
using Wendro.Head;
using Wendro.Paint;
using Wendro.Plans;
using Wendro.Section;

namespace Wendro.Apply;

/// <summary>
/// What stands between the last panel of a rinse and the next thing hands can do: sheets that come out, teased hair
/// that is worked free. Model assumption.
/// </summary>
public sealed class CoverRemoval
{
    /// <summary>A foil out of the hair, seconds a sheet. Model assumption.</summary>
    public const double FoilSeconds = 10;

    /// <summary>A row of film off at once, seconds; a part of it takes its part of them. Model assumption.</summary>
    public const double FilmRowSeconds = 10;

    /// <summary>Teasing worked free, minutes where a whole head is teased. Model assumption.</summary>
    public const double TeasedHeadMinutes = 12.5;

    private readonly Dictionary<PanelKey, double> minutes;

    private CoverRemoval(Dictionary<PanelKey, double> minutes) => this.minutes = minutes;

    /// <summary>What freeing the panels of a head takes.</summary>
    /// <param name="head">The head as planned.</param>
    public static CoverRemoval Of(PlannedHead head)
    {
        ArgumentNullException.ThrowIfNull(head);
        var all = head.Panels.Sum(p => p.Panel.AreaCm2);
        var rows = head
            .Panels.Where(p => IsUnder(p, Covering.Film))
            .GroupBy(RowOf)
            .ToDictionary(r => r.Key, r => r.Count());
        double Seconds(PlannedPanel p) =>
            (IsUnder(p, Covering.Foil) ? FoilSeconds : 0)
            + (IsUnder(p, Covering.Film) ? FilmRowSeconds / rows[RowOf(p)] : 0)
            + (IsTeased(p) ? TeasedHeadMinutes * 60 * p.Panel.AreaCm2 / all : 0);
        return new(head.Panels.ToDictionary(p => p.Panel.Key, p => Seconds(p) / 60));
    }

    /// <summary>Minutes that freeing a panel takes.</summary>
    /// <param name="panel">A panel of the head.</param>
    public double Minutes(PanelKey panel) => minutes[panel];

    /// <summary>Minutes that freeing some panels takes.</summary>
    /// <param name="rinse">Panels of the head.</param>
    public double Minutes(IEnumerable<PanelKey> rinse) => rinse.Sum(Minutes);

    private static (Zone Zone, int Row) RowOf(PlannedPanel panel) => (panel.Panel.Key.Zone, panel.Panel.Key.Row);

    private static bool IsUnder(PlannedPanel panel, Covering covering) =>
        panel.Coats.Any(c => c.Painted.Paint.Covering == covering);

    private static bool IsTeased(PlannedPanel panel) => panel.Coats.Any(c => c.Painted.Paint.Teasing != Teasing.None);
}
