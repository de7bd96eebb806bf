using Wendro.Paint;
using Wendro.Section;

namespace Wendro.Timing;

/// <summary>How long painting takes at the chair. Model assumption, to be corrected by the log.</summary>
public static class PaintingTime
{
    /// <summary>Parting and combing a panel, seconds.</summary>
    public const double PartingSeconds = 20;

    /// <summary>Painting a centimetre of a panel four centimetres wide, seconds.</summary>
    public const double SecondsPerCm = 1.1;

    /// <summary>What a full head usually takes, minutes: 45 to 60. Trade.</summary>
    public const double FullHeadMinutes = 50;

    /// <summary>One scrunching pass against painting the same hair once, share of the time.</summary>
    private const double PassTakes = 0.5;

    private const double UsualWidthCm = 4;

    /// <summary>Teasing a panel, seconds.</summary>
    public const double TeasingSeconds = 25;

    /// <summary>
    /// Seconds one painted panel takes: it is parted once, and painted, covered and teased for each product.
    /// </summary>
    /// <param name="panel">The panel.</param>
    /// <param name="coats">Its products in order; none for nothing to do.</param>
    public static double Seconds(Panel panel, params IReadOnlyList<PaintedPanel> coats)
    {
        ArgumentNullException.ThrowIfNull(panel);
        ArgumentNullException.ThrowIfNull(coats);
        return coats.Count == 0 ? 0 : PartingSeconds + coats.Sum(c => Laying(panel, c));
    }

    /// <summary>
    /// Parting and laying a root, and working a product through wet lengths, seconds a cm² of scalp: some 20 and 6
    /// minutes for a whole head. Model assumption.
    /// </summary>
    public const double RootSecondsPerCm2 = 1.8,
        LengthsSecondsPerCm2 = 0.55;

    /// <summary>Minutes that laying a product over an area takes.</summary>
    /// <param name="area">The area.</param>
    /// <param name="scalpCm2">Scalp of the hair it reaches, cm².</param>
    public static double MinutesOf(Area area, double scalpCm2)
    {
        ArgumentNullException.ThrowIfNull(area);
        return scalpCm2 * (area.ToCm is null ? LengthsSecondsPerCm2 : RootSecondsPerCm2) / 60;
    }

    /// <summary>
    /// Between two steps: until the rinse is done, and washing, drying to damp and reading, minutes. Model assumption.
    /// </summary>
    public const double RinsingMinutes = 4,
        WashingMinutes = 6,
        DryingMinutes = 8,
        ReadingMinutes = 5;

    /// <summary>Minutes between the end of the rinse and the next step.</summary>
    public const double AfterRinsing = WashingMinutes + DryingMinutes + ReadingMinutes;

    /// <summary>Minutes between what has worked and the next step.</summary>
    public const double BetweenSteps = RinsingMinutes + AfterRinsing;

    /// <summary>Minutes that working a treatment through takes.</summary>
    public const double TreatingMinutes = 3;

    private static double Laying(Panel panel, PaintedPanel painted)
    {
        var covering = painted.Paint.Covering switch
        {
            Covering.Film => 6.0,
            Covering.Foil => 18.0,
            Covering.Open or Covering.Mesh => 0.0,
        };
        var passes = painted.Paint.Shape is Shape.Scrunch scrunch ? scrunch.Passes * PassTakes : 1;
        var length = Math.Max(Math.Min(panel.LengthCm, painted.EndsAtCm) - painted.StartCm, 0);
        return SecondsPerCm * passes * length * panel.WidthCm / UsualWidthCm
            + covering
            + (painted.Paint.Teasing == Teasing.None ? 0 : TeasingSeconds);
    }
}
