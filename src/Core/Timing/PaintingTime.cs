using Wendro.Core.Paint;

namespace Wendro.Core.Timing;

/// <summary>How long painting takes at the chair. Model assumption, to be corrected by the log.</summary>
public static class PaintingTime
{
    /// <summary>Parting and combing a panel, seconds.</summary>
    public const double PartingSeconds = 20;

    /// <summary>Painting a centimetre of a panel four centimetres wide, seconds.</summary>
    public const double SecondsPerCm = 1.1;

    /// <summary>What a full head usually takes, minutes: 45 to 60. Trade.</summary>
    public const double FullHeadMinutes = 50;

    private const double UsualWidthCm = 4;

    /// <summary>Seconds one painted panel takes.</summary>
    /// <param name="panel">The panel.</param>
    /// <param name="painted">Its paint.</param>
    public static double Seconds(Panel panel, PaintedPanel painted)
    {
        ArgumentNullException.ThrowIfNull(panel);
        ArgumentNullException.ThrowIfNull(painted);
        var covering = painted.Paint.Covering switch { Covering.Film => 6.0, Covering.Foil => 18.0, _ => 0.0 };
        return PartingSeconds + SecondsPerCm * Math.Max(panel.LengthCm - painted.StartCm, 0) * panel.WidthCm / UsualWidthCm + covering;
    }
}
