using Wendro.Core.Units;

namespace Wendro.Core.Paint;

/// <summary>How far below its start a shape's upper edge lies, across the panel.</summary>
internal static class UpperEdge
{
    /// <summary>Share of a sawtooth's drop by which its peaks differ. Model assumption.</summary>
    private const double ToothSpread = 0.55;

    /// <summary>Distance below the start, cm, at u = 0..1.</summary>
    /// <param name="paint">The paint.</param>
    /// <param name="u">Across the panel.</param>
    /// <param name="salt">What the teeth's heights are hashed from.</param>
    public static double Below(PanelPaint paint, double u, int salt) =>
        paint.SlopeCm * u
        + paint.Shape switch
        {
            Shape.V or Shape.Spined => paint.DropCm * (1 - Math.Abs(FromMiddle(paint, u))),
            Shape.U => paint.DropCm * (1 - Math.Pow(Math.Abs(FromMiddle(paint, u)), 3)),
            Shape.W => Peaks(paint, Math.Abs(FromMiddle(paint, u))),
            Shape.Slant => paint.DropCm * (paint.Flip ? 1 - u : u),
            Shape.Sawtooth => Teeth(paint, u, salt),
            _ => 0,
        };

    /// <summary>−1 at the front edge, 0 at the middle wherever that lies, 1 at the back edge.</summary>
    private static double FromMiddle(PanelPaint paint, double u) =>
        u <= paint.CentreU ? u / paint.CentreU - 1 : (u - paint.CentreU) / (1 - paint.CentreU);

    private static double Peaks(PanelPaint paint, double aside)
    {
        var middle = Math.Min(paint.CentreCm, paint.DropCm);
        return aside < 0.5 ? middle + (paint.DropCm - middle) * aside * 2 : paint.DropCm * (1 - aside) * 2;
    }

    private static double Teeth(PanelPaint paint, double u, int salt)
    {
        var at = Math.Clamp(u, 0, 0.9999) * paint.Strokes;
        var tooth = (int)at;
        var peak = paint.DropCm * ToothSpread * Hash.Unit(salt, 300 + tooth);
        return peak + (paint.DropCm - peak) * Math.Abs(2 * (at - tooth) - 1);
    }
}
