using Wendro.Core.Units;

namespace Wendro.Core.Paint;

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

    /// <summary>
    /// How much wider a stroke is at the ends than where it begins, where it meets no other. Model assumption.
    /// </summary>
    public const double StrokeWidens = 1.6;

    /// <summary>Share of the shell's hair left out of one scrunching pass. Model assumption.</summary>
    public const double MissedInAPass = 0.6;

    private const double PatchCm = 2.5;
    private const int PatchesAcross = 3;
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
            _ => 0,
        };

    /// <summary>
    /// How far teasing lets the upper edge stray downwards from strand to strand, cm. Model assumption.
    /// </summary>
    public double TeasedCm =>
        Paint.Teasing switch
        {
            Teasing.Light => 1.5,
            Teasing.Strong => 3,
            _ => 0,
        };

    /// <summary>
    /// How deep a stroke goes against what was meant, by how firmly the brush is pressed. Model assumption.
    /// </summary>
    public double PressedFactor =>
        Paint.Pressure switch
        {
            Pressure.Light => 0.8,
            Pressure.Firm => 1.25,
            _ => 1,
        };

    /// <summary>Whether teasing holds a strand back.</summary>
    public bool Holds(int strand) => HeldBack > 0 && Hash.Unit(strand, TeasedSalt) < HeldBack;

    /// <summary>How much lower a strand's edge lies for being teased, cm.</summary>
    public double TeasedBelow(int strand) => TeasedCm == 0 ? 0 : TeasedCm * Hash.Unit(strand, TeasedSalt + 1);

    /// <summary>
    /// Distance from the scalp at which paint begins, cm, at u = 0..1 across the panel: the edge of its body, strokes
    /// aside.
    /// </summary>
    public double UpperEdge(double u) =>
        Paint.Shape == Shape.Centre
            ? StartCm + Paint.SlopeCm * u
            : StartCm + Wendro.Core.Paint.UpperEdge.Below(Paint, u, Salt);

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

    /// <summary>Coverage along one strand, 0..1.</summary>
    /// <param name="u">Across the panel, 0..1.</param>
    /// <param name="s">Distance from the scalp, cm.</param>
    /// <param name="strandCm">Length of the strand, cm.</param>
    /// <param name="below">How much lower this strand's edge lies, cm.</param>
    public double CoverageAlong(double u, double s, double strandCm, double below)
    {
        s -= below;
        var paint = Paint;
        var covered = paint.Shape switch
        {
            Shape.Staggered => Lines(u, s),
            Shape.Centre => Stroke(u, s, paint.CentreU, UpperEdge(u), StrokeWidth(1)),
            Shape.Spined => Math.Max(Curve.Smooth(UpperEdge(u), UpperEdge(u) + paint.BlurCm, s), Spines(u, s)),
            Shape.Scrunch => Patches(u, s, strandCm),
            Shape.Tip => Curve.Smooth(0, paint.BlurCm, s - (strandCm - LengthCm) - UpperEdge(u)),
            Shape.Reverse => s < UpperEdge(u) ? 0 : 1,
            _ => Curve.Smooth(UpperEdge(u), UpperEdge(u) + paint.BlurCm, s),
        };
        if (covered > 0 && paint.BandCm is { } band)
        {
            // It ends straight across, whatever its upper edge.
            var end = StartCm + band;
            covered *= 1 - Curve.Smooth(Math.Max(StartCm, end - Math.Max(paint.BlurCm, 0.5)), end, s);
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

    private double StrokeWidth(int strokes) => Paint.StrokeShare / strokes;

    /// <summary>One stroke: soft at its sides, finer where it begins; solid below where strokes meet.</summary>
    private double Stroke(double u, double s, double centre, double from, double width, double room = 1)
    {
        if (s <= from)
        {
            return 0;
        }

        var meets = Paint.MergeCm > 0 ? Math.Max(StartCm + Paint.MergeCm, from + 0.5) : double.PositiveInfinity;
        var along = double.IsPositiveInfinity(meets)
            ? Math.Clamp((s - from) / Math.Max(LengthCm - from, 1), 0, 1) * (StrokeWidens - 1)
            : Math.Clamp((s - from) / (meets - from), 0, 1);
        var half = double.IsPositiveInfinity(meets)
            ? width * (1 + along) / 2
            : (width + (room * 1.15 - width) * along) / 2;
        var soft = Math.Min(half, 0.12 * room);
        return Curve.Smooth(from, from + Paint.BlurCm, s)
            * (1 - Curve.Smooth(half - soft, half + soft, Math.Abs(u - centre)));
    }

    private double Lines(double u, double s)
    {
        var most = 0.0;
        var room = 1.0 / Paint.Strokes;
        var near = (int)(Math.Clamp(u, 0, 0.9999) * Paint.Strokes);
        for (var i = Math.Max(0, near - 1); i <= Math.Min(Paint.Strokes - 1, near + 1); i++)
        {
            var from = StartCm + Paint.SlopeCm * u + (i % 2 == 0 ? 0 : Paint.DropCm);
            most = Math.Max(most, Stroke(u, s, (i + 0.5) * room, from, StrokeWidth(Paint.Strokes), room));
        }

        return most;
    }

    private double Spines(double u, double s)
    {
        var most = 0.0;
        for (var i = 0; i < Paint.Strokes; i++)
        {
            var centre = Paint.CentreU + (i - (Paint.Strokes - 1) / 2.0) * 0.22;
            most = Math.Max(most, Stroke(u, s, centre, StartCm + Paint.SlopeCm * u + Paint.CentreCm, StrokeWidth(1)));
        }

        return most;
    }

    /// <summary>
    /// Patches of the shell that the hands have reached: noise cut off higher with every pass, lower towards the
    /// ends.
    /// </summary>
    private double Patches(double u, double s, double strandCm)
    {
        var from = UpperEdge(u);
        if (s <= from)
        {
            return 0;
        }

        var reached = 1 - Math.Pow(MissedInAPass, Paint.Strokes);
        var ends = 0.25 * Math.Clamp((s - from) / Math.Max(strandCm - from, 1), 0, 1);
        var share = Math.Min(1, reached + ends);
        var noise = Noise(u * PatchesAcross, s / PatchCm);
        return Curve.Smooth(from, from + Paint.BlurCm, s) * Curve.Smooth(-0.08, 0.08, share - noise);
    }

    /// <summary>Smooth chance 0..1, spread about evenly.</summary>
    private double Noise(double x, double y)
    {
        var (x0, y0) = ((int)Math.Floor(x), (int)Math.Floor(y));
        var (fx, fy) = (Curve.Smooth(0, 1, x - x0), Curve.Smooth(0, 1, y - y0));
        double At(int i, int j) => Hash.Unit(Salt + i * 131, 500 + j);
        var top = At(x0, y0) + (At(x0 + 1, y0) - At(x0, y0)) * fx;
        var low = At(x0, y0 + 1) + (At(x0 + 1, y0 + 1) - At(x0, y0 + 1)) * fx;

        // Between corners the mean gathers round a half: stretched back so that a share of places lies below that
        // share.
        return Math.Clamp(0.5 + (top + (low - top) * fy - 0.5) * 1.35, 0, 1);
    }
}
