namespace Wendro.Paint;

/// <summary>The painted shapes by name: what is sent, stored and chosen from.</summary>
public enum ShapeKind
{
    V,
    W,
    U,
    Slant,
    Spined,
    Sawtooth,
    Staggered,
    Full,
    Centre,
    Fold,
    Scrunch,
    Tip,
    Reverse,
    Melt,
}

/// <summary>
/// How the paint lies across a panel: its upper edge, or the strokes it is laid in. Each shape has only the measures it
/// is made of.
/// </summary>
public abstract partial record Shape
{
    /// <summary>Lowest point of an upper edge below its highest, at most, cm.</summary>
    public const double MostDropCm = 40;

    private protected Shape() { }

    /// <summary>Which it is.</summary>
    public abstract ShapeKind Kind { get; }

    /// <summary>How much lower the lowest point of the upper edge lies, cm; 0 where it is straight.</summary>
    public virtual double DropCm
    {
        get => 0;
        init { }
    }

    /// <summary>Where across the panel its middle lies, 0.1..0.9.</summary>
    public virtual double MiddleU
    {
        get => 0.5;
        init { }
    }

    /// <summary>How many strokes, teeth, spines or passes, by its own name; 1 where it has none.</summary>
    public virtual int Count => 1;

    /// <summary>Most of them on any shape; a shape's own sensible range stands beside its count.</summary>
    public const int MostCount = 9;

    /// <summary>The same with another count, 1..9; one that counts nothing stays as it is.</summary>
    public virtual Shape Counting(int count) => this;

    /// <summary>How its strokes are laid; null where it has none.</summary>
    public virtual Stroke? Stroked
    {
        get => null;
        init { }
    }

    /// <summary>
    /// How much lower a peak or spine in the middle begins than the corners, cm; 0 where it has none.
    /// </summary>
    public virtual double PeakCm
    {
        get => 0;
        init { }
    }

    /// <summary>Distance of its upper edge below the start, cm, at u = 0..1 across the panel.</summary>
    /// <param name="u">Across the panel.</param>
    /// <param name="salt">What chance is hashed from.</param>
    internal virtual double Below(double u, int salt) => 0;

    /// <summary>Whether its upper edge alone says where paint lies.</summary>
    internal virtual bool IsEdge => false;

    /// <summary>Coverage along one strand, 0..1, the lower end of a band aside.</summary>
    /// <param name="on">The panel it is painted on.</param>
    /// <param name="u">Across the panel, 0..1.</param>
    /// <param name="s">Distance from the scalp, cm.</param>
    /// <param name="strandCm">Length of the strand, cm.</param>
    internal virtual double Along(PaintedPanel on, double u, double s, double strandCm)
    {
        var edge = on.UpperEdge(u);
        return Units.Curve.Smooth(edge, edge + on.Paint.BlurCm, s);
    }

    /// <summary>A shape as it is usually begun.</summary>
    /// <param name="kind">Which.</param>
    /// <param name="dropCm">Its drop where it has one, cm.</param>
    public static Shape Usual(ShapeKind kind, double dropCm = UsualDropCm) =>
        kind switch
        {
            ShapeKind.V => new V(dropCm),
            ShapeKind.W => new W(dropCm),
            ShapeKind.U => new U(dropCm),
            ShapeKind.Slant => new Slant(dropCm),
            ShapeKind.Spined => new Spined(dropCm),
            ShapeKind.Sawtooth => new Sawtooth(dropCm),
            ShapeKind.Staggered => new Staggered(dropCm) { Stroked = new(0.35, Math.Max(dropCm + 4, 10)) },
            ShapeKind.Full => new Full(),
            ShapeKind.Centre => new Centre(),
            ShapeKind.Fold => new Fold(),
            ShapeKind.Scrunch => new Scrunch(),
            ShapeKind.Tip => new Tip(),
            ShapeKind.Reverse => new Reverse(),
            ShapeKind.Melt => new Melt(),
        };

    private const double UsualDropCm = 5;
}

/// <summary>How a stroke is laid.</summary>
/// <param name="Width">Width where it begins: share of the room it has, 0.05..1.</param>
/// <param name="MergeCm">How far below the start strokes have met to solid, cm, 0..60: where the panel is held. 0: they
/// never meet.</param>
public sealed record Stroke(double Width, double MergeCm = 0);
