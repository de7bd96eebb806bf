using Wendro.Core.Head;
using Wendro.Core.Units;

namespace Wendro.Core.Paint;

/// <summary>How the upper edge of the paint runs across a panel.</summary>
public enum Shape
{
    /// <summary>High at both edges, low in the middle: depth stays in the centre.</summary>
    V,

    /// <summary>High towards the face, low on the other side.</summary>
    Slant,

    /// <summary>Straight across.</summary>
    Full,
}

/// <summary>Which side of the held section is painted: the surface (towards part or crown) or the underside.</summary>
public enum Face { Surface, Underside, Both }

/// <summary>What lies over the paint while it works.</summary>
public enum Covering { Open, Mesh, Film, Foil }

/// <summary>How one panel is painted.</summary>
/// <param name="Shape">Upper edge.</param>
/// <param name="StartCm">How far from the scalp the paint begins at the highest point of its upper edge, cm, 0..75.</param>
/// <param name="DropCm">How much lower the lowest point of the upper edge lies, cm, 0..40; nothing for a full shape.</param>
/// <param name="BlurCm">Length over which the paint fades in, cm, 0..12.</param>
/// <param name="MidsMm">How deep it goes through the section at mid-length, mm, 0..40.</param>
/// <param name="EndsMm">How deep at the ends, mm, 0..40.</param>
/// <param name="Face">Side painted.</param>
/// <param name="Covering">What covers it.</param>
/// <param name="Formula">Which formula of the plan.</param>
/// <param name="SpreadCm">Heights vary from panel to panel by up to this much either way, cm, 0..6: neighbours alternate, how far is hashed from the plan's seed and the panel's key.</param>
/// <param name="Flip">A slant runs the other way: high on the side away from her face.</param>
/// <param name="StartShare">Instead of <paramref name="StartCm"/>: the start as a share of the panel's mean length, 0..1.</param>
public sealed record PanelPaint(
    Shape Shape = Shape.V,
    double StartCm = 7,
    double DropCm = 7,
    double BlurCm = 5,
    double MidsMm = 6,
    double EndsMm = 8,
    Face Face = Face.Surface,
    Covering Covering = Covering.Open,
    string Formula = "A",
    double SpreadCm = 0,
    bool Flip = false,
    double? StartShare = null)
{
    /// <summary>Where the paint begins on a given panel, spread and share resolved; cm from the scalp.</summary>
    /// <param name="key">Which panel.</param>
    /// <param name="lengthCm">Its mean length, cm.</param>
    /// <param name="seed">The plan's seed.</param>
    public double StartOn(PanelKey key, double lengthCm, int seed)
    {
        var start = StartShare is { } share ? share * lengthCm : StartCm;
        if (SpreadCm <= 0)
        {
            return start;
        }

        // Neighbours go opposite ways, at least 0.55 of the spread each, so that no two stand at one height.
        // Both sides of the head take the same heights.
        var zone = seed * 31 + Math.Min((int)key.Zone, (int)ZoneFacts.Other(key.Zone));
        var flip = Hash.Unit(zone, key.Row) < 0.5f ? 1 : 0;
        var sign = ((key.Column + flip) & 1) == 0 ? 1 : -1;
        var far = 0.55 + 0.45 * Hash.Unit(zone, 1000 + key.Row * 64 + key.Column);
        return Math.Max(0, start + sign * far * SpreadCm);
    }
}

/// <summary>What paint does to a panel's hair: where it lies along the strand and how deep through the section.</summary>
/// <param name="Paint">How it is painted.</param>
/// <param name="StartCm">Where the paint begins, cm, spread and share resolved.</param>
/// <param name="ThicknessMm">Thickness of the section, mm.</param>
public sealed record PaintedPanel(PanelPaint Paint, double StartCm, double ThicknessMm)
{
    /// <summary>Softness of the edge between hair that is reached and hair that is not, as a share of the section. Model assumption.</summary>
    public const double DepthEdge = 0.05;

    /// <summary>Paint on a panel.</summary>
    public static PaintedPanel On(Panel panel, PanelPaint paint, int seed)
    {
        ArgumentNullException.ThrowIfNull(panel);
        ArgumentNullException.ThrowIfNull(paint);
        return new(paint, paint.StartOn(panel.Key, panel.LengthCm, seed), panel.ThicknessMm);
    }

    /// <summary>Distance from the scalp at which paint begins, cm, at u = 0..1 across the panel.</summary>
    public double UpperEdge(double u) => Paint.Shape switch
    {
        Shape.V => StartCm + Paint.DropCm * (1 - Math.Abs(2 * u - 1)),
        Shape.Slant => StartCm + Paint.DropCm * (Paint.Flip ? 1 - u : u),
        _ => StartCm,
    };

    /// <summary>Share of the section's thickness that is reached, 0..1, at a share 0..1 of the strand's length: the mids' value up to half, then linear to the ends'.</summary>
    public double Depth(double share)
    {
        var t = Math.Clamp((share - 0.5) * 2, 0, 1);
        return Math.Min(1, (Paint.MidsMm + (Paint.EndsMm - Paint.MidsMm) * t) / ThicknessMm);
    }

    /// <summary>Coverage along the strand alone, 0..1: nothing at the upper edge, all of it a blur further down.</summary>
    public double CoverageAlong(double u, double s)
    {
        var edge = UpperEdge(u);
        return Curve.Smooth(edge, edge + Paint.BlurCm, s);
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
