using Wendro.Head;
using Wendro.Section;
using Wendro.Units;

namespace Wendro.Paint;

/// <summary>Which side of the held section is painted: the surface (towards part or crown) or the underside.</summary>
public enum Face
{
    Surface,
    Underside,
    Both,
}

/// <summary>What lies over the paint while it works.</summary>
public enum Covering
{
    Open,
    Mesh,
    Film,
    Foil,
}

/// <summary>How firmly the brush is pressed.</summary>
public enum Pressure
{
    Normal,
    Light,
    Firm,
}

/// <summary>How the panel is held.</summary>
public enum Tension
{
    Taut,
    Slack,
}

/// <summary>How much is teased back before painting.</summary>
public enum Teasing
{
    None,
    Light,
    Strong,
}

/// <summary>
/// What a panel lies on while it works: a sheet beneath keeps skin and the hair below clean and changes no lift.
/// </summary>
public enum LiesOn
{
    Nothing,
    Film,
    Board,
}

/// <summary>How one panel is painted with one product.</summary>
/// <param name="Shape">Upper edge or strokes.</param>
/// <param name="StartCm">How far from the scalp the paint begins at its highest point, cm, 0..75; for tips, how far
/// from the scalp on a strand of the panel's mean length.</param>
/// <param name="BlurCm">Length over which the paint fades in, cm, 0..12; for reverse, over which it fades out.</param>
/// <param name="MidsMm">How deep it goes through the section at mid-length, mm, 0..40.</param>
/// <param name="EndsMm">How deep at the ends, mm, 0..40.</param>
/// <param name="Face">Side painted.</param>
/// <param name="Covering">What covers it.</param>
/// <param name="SpreadCm">Heights vary from panel to panel by up to this much either way, cm, 0..6: neighbours
/// alternate, how far is hashed from the plan's seed and the panel's key.</param>
/// <param name="StartShare">Instead of <paramref name="StartCm"/>: the start as a share of the panel's mean length,
/// 0..1.</param>
/// <param name="SlopeCm">How much lower the back corner begins than the front one, cm, −20..20.</param>
/// <param name="BandCm">How far below the start the paint ends, cm, 0.5..75; null goes to the ends.</param>
/// <param name="Pressure">How firmly the brush is pressed.</param>
/// <param name="Tension">How the panel is held.</param>
/// <param name="Teasing">How much is teased back first.</param>
/// <param name="Next">A product laid after this one on the same panel; null for none.</param>
/// <param name="LiesOn">What lies beneath it, apart from what covers it.</param>
public sealed record PanelPaint(
    Shape Shape,
    [property: Within(0, PanelPaint.MostStartCm, "cm")] double StartCm = 7,
    [property: Within(0, 12, "cm")] double BlurCm = 5,
    [property: Within(0, 40, "mm")] double MidsMm = 6,
    [property: Within(0, 40, "mm")] double EndsMm = 8,
    Face Face = Face.Surface,
    Covering Covering = Covering.Open,
    [property: Within(0, 6, "cm")] double SpreadCm = 0,
    [property: Within(0, 1, "of the length")] double? StartShare = null,
    [property: Within(-20, 20, "cm")] double SlopeCm = 0,
    [property: Within(0.5, 75, "cm")] double? BandCm = null,
    Pressure Pressure = Pressure.Normal,
    Tension Tension = Tension.Taut,
    Teasing Teasing = Teasing.None,
    PanelPaint? Next = null,
    LiesOn LiesOn = LiesOn.Nothing
)
{
    /// <summary>A V as it is usually begun.</summary>
    public static PanelPaint Usual { get; } = new(new Shape.V());

    /// <summary>Which formula of the plan.</summary>
    public FormulaId Formula { get; init; } = FormulaId.A;

    /// <summary>Most products on one panel.</summary>
    public const int MostCoats = 3;

    /// <summary>Furthest from the scalp that paint begins, cm.</summary>
    public const double MostStartCm = 75;

    /// <summary>
    /// This product and those laid after it, in order (a method: a record writes out its properties).
    /// </summary>
    public IReadOnlyList<PanelPaint> Coats()
    {
        var coats = new List<PanelPaint>(1);
        for (var coat = this; coat is not null; coat = coat.Next)
        {
            coats.Add(coat);
        }

        return coats;
    }

    /// <summary>Coats laid in order, as one paint; null where there are none.</summary>
    public static PanelPaint? Of(IReadOnlyList<PanelPaint> coats)
    {
        ArgumentNullException.ThrowIfNull(coats);
        PanelPaint? after = null;
        for (var i = coats.Count - 1; i >= 0; i--)
        {
            after = coats[i] with { Next = after };
        }

        return after;
    }

    /// <summary>The same with one of its coats changed.</summary>
    /// <param name="coat">Which, from 0.</param>
    /// <param name="change">The change.</param>
    public PanelPaint With(int coat, Func<PanelPaint, PanelPaint> change)
    {
        ArgumentNullException.ThrowIfNull(change);
        return coat == 0 ? change(this) : this with { Next = Next?.With(coat - 1, change) };
    }

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
        var zone = SaltOf(key, seed);
        var flip = Hash.Unit(zone, key.Row) < 0.5f ? 1 : 0;
        var sign = ((key.Column + flip) & 1) == 0 ? 1 : -1;
        var far = 0.55 + 0.45 * Hash.Unit(zone, 1000 + key.Row * 64 + key.Column);
        return Math.Max(0, start + sign * far * SpreadCm);
    }

    /// <summary>The same started further from the scalp, or nearer where that is negative; the spread stays.</summary>
    /// <param name="byCm">How much, cm.</param>
    /// <param name="lengthCm">Mean length of the panel, which a share of the length resolves against, cm.</param>
    public PanelPaint Lowered(double byCm, double lengthCm) =>
        this with
        {
            StartCm = Math.Clamp((StartShare is { } share ? share * lengthCm : StartCm) + byCm, 0, MostStartCm),
            StartShare = null,
        };

    /// <summary>The same started at a height of its own: no share, no spread.</summary>
    /// <param name="startCm">Where, cm from the scalp.</param>
    public PanelPaint StartingAt(double startCm) =>
        this with
        {
            StartCm = Math.Clamp(startCm, 0, MostStartCm),
            StartShare = null,
            SpreadCm = 0,
        };

    /// <summary>
    /// The same in another shape: what that shape is made of gets sensible values, what both have stays.
    /// </summary>
    public PanelPaint In(ShapeKind kind)
    {
        var shape = Shape.DropCm > 0 ? Shape.Usual(kind, Shape.DropCm) : Shape.Usual(kind);
        var next = this with { Shape = shape with { MiddleU = Shape.MiddleU, PeakCm = Shape.PeakCm } };
        return kind switch
        {
            ShapeKind.Fold => next with { BandCm = BandCm ?? FoldBandCm, BlurCm = Math.Min(BlurCm, ShortBlurCm) },
            ShapeKind.Reverse => next with
            {
                BandCm = BandCm ?? RootBandCm,
                StartCm = 0,
                StartShare = null,
                SpreadCm = 0,
            },
            ShapeKind.Tip => next with { BlurCm = Math.Min(BlurCm, ShortBlurCm) },
            _ => next,
        };
    }

    /// <summary>How far a band over a fold usually reaches, cm.</summary>
    private const double FoldBandCm = 8;

    /// <summary>How far a root stretch usually reaches, cm.</summary>
    private const double RootBandCm = 12;

    /// <summary>Longest fading in of what is short itself, cm.</summary>
    private const double ShortBlurCm = 3;

    /// <summary>
    /// What chance on a panel is hashed from: the plan's seed and the zone, the same on both sides of the head.
    /// </summary>
    internal static int SaltOf(PanelKey key, int seed) =>
        seed * 31 + Math.Min((int)key.Zone, (int)ZoneFacts.Other(key.Zone));
}
