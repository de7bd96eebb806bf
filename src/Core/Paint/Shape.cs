namespace Wendro.Core.Paint;

/// <summary>How the paint lies across a panel: its upper edge, or the strokes it is laid in.</summary>
public enum Shape
{
    /// <summary>High at both edges, low in the middle: depth stays in the centre.</summary>
    V,

    /// <summary>High at both edges and in the centre: more brightness on wide panels.</summary>
    W,

    /// <summary>As V, rounder and more rooted.</summary>
    U,

    /// <summary>High towards the face, low on the other side.</summary>
    Slant,

    /// <summary>A V with fine strokes down its middle, for wide panels that would stay too dark there.</summary>
    Spined,

    /// <summary>Several peaks of unequal height.</summary>
    Sawtooth,

    /// <summary>Fine lines, high and low by turns, widening downwards till they meet where the panel is held.</summary>
    Staggered,

    /// <summary>Straight across.</summary>
    Full,

    /// <summary>One stroke down the middle.</summary>
    Centre,

    /// <summary>A band over the fold that hair makes when it is held back from the hairline.</summary>
    Fold,

    /// <summary>Patches on the outer shell, denser with every pass.</summary>
    Scrunch,

    /// <summary>Ends only: measured from each strand's own end.</summary>
    Tip,

    /// <summary>Full at the root, feathered out downwards: for deposit.</summary>
    Reverse,
}

/// <summary>What a shape is made of: which of its measures mean anything.</summary>
public static class Shapes
{
    /// <summary>Whether its upper edge is lower somewhere than at its highest point.</summary>
    private static bool HasDrop(Shape shape) =>
        shape is Shape.V or Shape.W or Shape.U or Shape.Slant or Shape.Spined or Shape.Sawtooth or Shape.Staggered;

    /// <summary>
    /// Paint in another shape: what that shape is made of gets sensible values, what both have stays.
    /// </summary>
    public static PanelPaint In(PanelPaint paint, Shape shape)
    {
        ArgumentNullException.ThrowIfNull(paint);
        var next = paint with { Shape = shape };
        if (HasDrop(shape) && paint.DropCm == 0)
        {
            next = next with { DropCm = 5 };
        }

        return shape switch
        {
            Shape.Spined => next with { Strokes = 1, StrokeShare = 0.15 },
            Shape.Sawtooth => next with { Strokes = 4 },
            Shape.Staggered => next with { Strokes = 5, StrokeShare = 0.35, MergeCm = Math.Max(next.DropCm + 4, 10) },
            Shape.Centre => next with { StrokeShare = 0.3, MergeCm = 0 },
            Shape.Scrunch => next with { Strokes = 2 },
            Shape.Fold => next with { BandCm = paint.BandCm ?? 8, BlurCm = Math.Min(paint.BlurCm, 3) },
            Shape.Reverse => next with { BandCm = paint.BandCm ?? 12, StartCm = 0, StartShare = null, SpreadCm = 0 },
            Shape.Tip => next with { BlurCm = Math.Min(paint.BlurCm, 3) },
            _ => next,
        };
    }
}
