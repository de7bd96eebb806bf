using Wendro.Core.Blend;
using Wendro.Core.Paint;
using Wendro.Core.Plans;

namespace Wendro.Core.Apply;

/// <summary>
/// What stands between the last panel of a wave and the next thing hands can do: sheets that come out, teased hair
/// that is worked free. Model assumption.
/// </summary>
public static class Freeing
{
    /// <summary>A foil out of the hair, seconds a sheet. Model assumption.</summary>
    public const double FoilSeconds = 10;

    /// <summary>A row of film off at once, seconds. Model assumption.</summary>
    public const double FilmRowSeconds = 10;

    /// <summary>Teasing worked free, minutes where a whole head is teased. Model assumption.</summary>
    public const double TeasedHeadMinutes = 12.5;

    /// <summary>Minutes that freeing some panels takes.</summary>
    /// <param name="wave">The panels of the wave.</param>
    /// <param name="head">The head they are on.</param>
    public static double Minutes(IReadOnlyList<PlannedPanel> wave, PlannedHead head)
    {
        ArgumentNullException.ThrowIfNull(wave);
        ArgumentNullException.ThrowIfNull(head);
        bool Under(PlannedPanel p, Covering covering) => p.Coats.Any(c => c.Painted.Paint.Covering == covering);
        var foils = wave.Count(p => Under(p, Covering.Foil));
        var rows = wave.Where(p => Under(p, Covering.Film))
            .Select(p => (p.Panel.Key.Zone, p.Panel.Key.Row))
            .Distinct()
            .Count();
        var teased = wave.Where(IsTeased).Sum(p => p.Panel.AreaCm2);
        var all = head.Panels.Sum(p => p.Panel.AreaCm2);
        return (foils * FoilSeconds + rows * FilmRowSeconds) / 60 + (all > 0 ? TeasedHeadMinutes * teased / all : 0);
    }

    private static bool IsTeased(PlannedPanel panel) => panel.Coats.Any(c => c.Painted.Paint.Teasing != Teasing.None);
}
