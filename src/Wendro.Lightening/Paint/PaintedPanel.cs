using Wendro.Section;
using Wendro.Units;

namespace Wendro.Paint;

/// <summary>
/// What one product does on a panel's hair: where it lies along the strand and how deep through the section.
/// </summary>
/// <param name="Paint">How it is painted.</param>
/// <param name="StartCm">Where the paint begins, cm, spread and share resolved.</param>
/// <param name="ThicknessMm">Thickness of the section, mm.</param>
/// <param name="LengthCm">Mean length of the panel's hair, cm.</param>
/// <param name="Salt">What chance is hashed from.</param>
public sealed record PaintedPanel(PanelPaint Paint, double StartCm, double ThicknessMm, double LengthCm, int Salt)
{
    /// <summary>
    /// Softness of the edge between hair that is reached and hair that is not, as a share of the section. Model
    /// assumption.
    /// </summary>
    public const double DepthEdge = 0.05;

    private const int TeasedSalt = 71;

    /// <summary>One product on a panel.</summary>
    public static PaintedPanel On(Panel panel, PanelPaint paint, int seed)
    {
        ArgumentNullException.ThrowIfNull(panel);
        ArgumentNullException.ThrowIfNull(paint);
        var key = panel.Key;
        return new(
            paint,
            paint.StartOn(key, panel.LengthCm, seed),
            panel.ThicknessMm,
            panel.LengthCm,
            PanelPaint.SaltOf(key, seed) * 977 + key.Row * 64 + key.Column
        );
    }

    /// <summary>Where the paint ends, cm from the scalp; infinite where it goes to the ends.</summary>
    public double EndsAtCm => Paint.BandCm is { } band ? StartCm + band : double.PositiveInfinity;

    /// <summary>Share of strands that teasing holds back from the brush. Model assumption.</summary>
    public double HeldBack =>
        Paint.Teasing switch
        {
            Teasing.Light => 0.12,
            Teasing.Strong => 0.25,
            Teasing.None => 0,
        };

    /// <summary>
    /// How far teasing lets the upper edge stray downwards from strand to strand, cm. Model assumption.
    /// </summary>
    public double TeasedCm =>
        Paint.Teasing switch
        {
            Teasing.Light => 1.5,
            Teasing.Strong => 3,
            Teasing.None => 0,
        };

    /// <summary>
    /// How deep a stroke goes against what was meant, by how firmly the brush is pressed. Model assumption.
    /// </summary>
    public double PressedFactor =>
        Paint.Pressure switch
        {
            Pressure.Light => 0.8,
            Pressure.Firm => 1.25,
            Pressure.Normal => 1,
        };

    /// <summary>Whether teasing holds a strand back.</summary>
    public bool Holds(int strand) => HeldBack > 0 && Hash.Unit(strand, TeasedSalt) < HeldBack;

    /// <summary>How much lower a strand's edge lies for being teased, cm.</summary>
    public double TeasedBelow(int strand) => TeasedCm == 0 ? 0 : TeasedCm * Hash.Unit(strand, TeasedSalt + 1);

    /// <summary>
    /// Distance from the scalp at which paint begins, cm, at u = 0..1 across the panel: the edge of its body, strokes
    /// aside.
    /// </summary>
    public double UpperEdge(double u) => StartCm + Paint.SlopeCm * u + Paint.Shape.Below(u, Salt);

    /// <summary>
    /// Share of the section's thickness that is reached, 0..1, at a share 0..1 of the strand's length: the mids'
    /// value up to half, then linear to the ends'.
    /// </summary>
    public double Depth(double share)
    {
        var t = Math.Clamp((share - 0.5) * 2, 0, 1);
        return Math.Min(1, PressedFactor * (Paint.MidsMm + (Paint.EndsMm - Paint.MidsMm) * t) / ThicknessMm);
    }

    /// <summary>
    /// Coverage along a strand of the panel's mean length, 0..1: nothing at the upper edge, all of it a blur further
    /// down.
    /// </summary>
    public double CoverageAlong(double u, double s) => CoverageAlong(u, s, LengthCm, 0);

    /// <summary>
    /// Lower end of a band, share of it over which it fades at most: below it the hair is light already, or folded
    /// away. Model assumption.
    /// </summary>
    private const double BandEnds = 0.25;

    /// <summary>Coverage along one strand, 0..1.</summary>
    /// <param name="u">Across the panel, 0..1.</param>
    /// <param name="s">Distance from the scalp, cm.</param>
    /// <param name="strandCm">Length of the strand, cm.</param>
    /// <param name="below">How much lower this strand's edge lies, cm.</param>
    public double CoverageAlong(double u, double s, double strandCm, double below)
    {
        s -= below;
        var covered = Paint.Shape.Along(this, u, s, strandCm);
        if (covered > 0 && Paint.BandCm is { } band)
        {
            // It ends straight across, whatever its upper edge.
            var end = StartCm + band;
            var fades = Paint.Shape is Shape.Reverse or Shape.Melt
                ? Paint.BlurCm
                : Math.Min(Paint.BlurCm, band * BandEnds);
            covered *= 1 - Curve.Smooth(Math.Max(StartCm, end - Math.Max(fades, 0.5)), end, s);
        }

        return covered;
    }

    /// <summary>Coverage through the section, 0..1, at w = 0 (surface) .. 1 (underside).</summary>
    public double CoverageThrough(double w, double share)
    {
        var depth = Depth(share);
        if (depth >= 1)
        {
            return 1;
        }

        if (depth <= 0)
        {
            return 0;
        }

        var surface = Paint.Face == Face.Underside ? 0 : Reached(depth - w);
        var underside = Paint.Face == Face.Surface ? 0 : Reached(depth - (1 - w));
        return Math.Max(surface, underside);
    }

    /// <summary>Share of the section reached, 0..1, whichever side it is painted from.</summary>
    public double ShareReached(double share) => Paint.Face == Face.Both ? Math.Min(1, 2 * Depth(share)) : Depth(share);

    private static double Reached(double within) => Curve.Smooth(-DepthEdge, DepthEdge, within);
}
