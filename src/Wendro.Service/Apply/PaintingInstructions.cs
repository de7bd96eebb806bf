using Wendro.Lift;
using Wendro.Paint;
using Wendro.Units;

namespace Wendro.Apply;

/// <summary>How a panel is held and in which order its strokes go, in a line. Trade.</summary>
public static class PaintingInstructions
{
    /// <summary>The line for a coat of paint.</summary>
    /// <param name="paint">The coat.</param>
    /// <param name="lengthCm">Length of the panel's hair, cm.</param>
    public static string Words(PanelPaint paint, double lengthCm)
    {
        ArgumentNullException.ThrowIfNull(paint);
        return $"{Hold(paint, lengthCm)} {Strokes(paint.Shape.Kind)}{Close(paint)}";
    }

    private static string Hold(PanelPaint paint, double lengthCm) =>
        paint.Shape.Kind switch
        {
            ShapeKind.Fold => "Comb the hairline back and hold it where it folds.",
            ShapeKind.Scrunch => "Let it hang, expanded and dry.",
            _ when lengthCm > LongCm => "Hold mid-panel, 60° off the head, on a board.",
            _ => "Hold mid-panel, 60° off the head.",
        };

    /// <summary>From here on a board carries the panel, cm. Model assumption.</summary>
    private const double LongCm = 40;

    private static string Strokes(ShapeKind shape) =>
        shape switch
        {
            ShapeKind.V or ShapeKind.W or ShapeKind.U => "Start mid-length, then the edges, then sweep up.",
            ShapeKind.Slant => "Start mid-length, then the high side, then sweep up.",
            ShapeKind.Spined => "Start mid-length, then the edges, then the fine line in the middle.",
            ShapeKind.Sawtooth => "Start mid-length, then each peak, none as high as its neighbour.",
            ShapeKind.Staggered => "Fine lines first, high and low by turns, then fill where they meet.",
            ShapeKind.Full => "Straight across, then feather the upper edge.",
            ShapeKind.Centre => "One stroke down the middle.",
            ShapeKind.Fold => "One band over the fold, quickly.",
            ShapeKind.Scrunch => "Press it on from outside, palms flat, then the ends.",
            ShapeKind.Tip => "Ends only, upwards.",
            ShapeKind.Reverse => "From the root, full, then feather downwards.",
            ShapeKind.Melt => "From the top colour down, each seam blurred with clean hands.",
        };

    private static string Close(PanelPaint paint) =>
        paint.Covering switch
        {
            Covering.Film => " Film on.",
            Covering.Foil => " Fold the foil, press nothing.",
            Covering.Mesh => " Mesh under and over.",
            Covering.Open => string.Empty,
        };
}
