using Wendro.Paint;
using Wendro.Units;

namespace Wendro.Formats;

/// <summary>
/// How a panel is painted as it is sent and stored: the measures of all shapes side by side. What a shape is not made
/// of is left away when it is read.
/// </summary>
/// <param name="Shape">Upper edge or strokes.</param>
/// <param name="StartCm">Where it begins, cm from the scalp.</param>
/// <param name="DropCm">How much lower its lowest point lies, cm.</param>
/// <param name="BlurCm">Length over which it fades in, cm.</param>
/// <param name="MidsMm">Depth at mid-length, mm.</param>
/// <param name="EndsMm">Depth at the ends, mm.</param>
/// <param name="Face">Side painted.</param>
/// <param name="Covering">What covers it.</param>
/// <param name="SpreadCm">How far heights vary from panel to panel, cm.</param>
/// <param name="Flip">A slant the other way.</param>
/// <param name="StartShare">Instead of a start in cm, a share of the length.</param>
/// <param name="SlopeCm">How much lower the back corner begins, cm.</param>
/// <param name="CentreU">Where across the panel the middle lies.</param>
/// <param name="CentreCm">How much lower a middle peak or spine begins, cm.</param>
/// <param name="Strokes">Lines, teeth, spines or passes.</param>
/// <param name="StrokeShare">Width of a stroke where it begins, share of its room.</param>
/// <param name="MergeCm">How far below the start strokes have met, cm.</param>
/// <param name="BandCm">How far below the start it ends, cm; null goes to the ends.</param>
/// <param name="Pressure">How firmly the brush is pressed.</param>
/// <param name="Tension">How the panel is held.</param>
/// <param name="Teasing">How much is teased back first.</param>
/// <param name="Next">A product laid after this one.</param>
/// <param name="LiesOn">What lies beneath it.</param>
public sealed record PaintAsSent(
    ShapeKind Shape = ShapeKind.V,
    double StartCm = 7,
    [property: Within(0, Wendro.Paint.Shape.MostDropCm, "cm")] double DropCm = 7,
    double BlurCm = 5,
    double MidsMm = 6,
    double EndsMm = 8,
    Face Face = Face.Surface,
    Covering Covering = Covering.Open,
    double SpreadCm = 0,
    bool Flip = false,
    double? StartShare = null,
    double SlopeCm = 0,
    [property: Within(0.1, 0.9, "across the panel")] double CentreU = 0.5,
    [property: Within(0, Wendro.Paint.Shape.MostDropCm, "cm")] double CentreCm = 0,
    [property: Within(1, Wendro.Paint.Shape.MostCount)] int Strokes = 1,
    [property: Within(0.05, 1, "of its room")] double StrokeShare = 0.3,
    [property: Within(0, 60, "cm")] double MergeCm = 0,
    double? BandCm = null,
    Pressure Pressure = Pressure.Normal,
    Tension Tension = Tension.Taut,
    Teasing Teasing = Teasing.None,
    PaintAsSent? Next = null,
    LiesOn LiesOn = LiesOn.Nothing
)
{
    /// <summary>Which formula of the plan.</summary>
    public FormulaId Formula { get; init; } = FormulaId.A;

    /// <summary>Paint as it is sent.</summary>
    public static PaintAsSent Of(PanelPaint paint)
    {
        ArgumentNullException.ThrowIfNull(paint);
        var shape = paint.Shape;
        return new(
            shape.Kind,
            paint.StartCm,
            shape.DropCm,
            paint.BlurCm,
            paint.MidsMm,
            paint.EndsMm,
            paint.Face,
            paint.Covering,
            paint.SpreadCm,
            shape is Wendro.Paint.Shape.Slant { Flip: true },
            paint.StartShare,
            paint.SlopeCm,
            shape.MiddleU,
            shape.PeakCm,
            shape.Count,
            shape.Stroked?.Width ?? 0.3,
            shape.Stroked?.MergeCm ?? 0,
            paint.BandCm,
            paint.Pressure,
            paint.Tension,
            paint.Teasing,
            paint.Next is null ? null : Of(paint.Next),
            paint.LiesOn
        )
        {
            Formula = paint.Formula,
        };
    }

    /// <summary>The paint it says.</summary>
    public PanelPaint ToPaint() =>
        new(
            ToShape(),
            StartCm,
            BlurCm,
            MidsMm,
            EndsMm,
            Face,
            Covering,
            SpreadCm,
            StartShare,
            SlopeCm,
            BandCm,
            Pressure,
            Tension,
            Teasing,
            Next?.ToPaint(),
            LiesOn
        )
        {
            Formula = Formula,
        };

    /// <summary>
    /// The same as it comes from outside: a measure that can't be is refused even where its shape is not made of it.
    /// What
    /// is stored is read as it stands.
    /// </summary>
    /// <exception cref="UnreadableException">One of the measures can't be.</exception>
    public PanelPaint Received()
    {
        var field = string.Empty;
        for (var coat = this; coat is not null; (coat, field) = (coat.Next, $"{field}.next"))
        {
            if (WithinAttribute.Outside(coat).FirstOrDefault() is { } wrong)
            {
                throw new UnreadableException(wrong.Message, $"{field}.{wrong.Field}");
            }
        }

        return ToPaint();
    }

    private Shape ToShape()
    {
        var usual = Wendro.Paint.Shape.Usual(Shape, DropCm).Counting(Strokes);
        var shape = usual with
        {
            MiddleU = CentreU,
            PeakCm = CentreCm,
            Stroked = usual.Stroked is null ? null : new(StrokeShare, MergeCm),
        };
        return shape is Wendro.Paint.Shape.Slant slant ? slant with { Flip = Flip } : shape;
    }
}
