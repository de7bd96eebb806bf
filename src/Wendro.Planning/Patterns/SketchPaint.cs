using Wendro.Colour;
using Wendro.Hair;
using Wendro.Head;
using Wendro.Lift;
using Wendro.Paint;
using Wendro.Plans;
using Wendro.Section;
using Wendro.Units;

namespace Wendro.Patterns;

/// <summary>What a pattern paints.</summary>
public sealed partial class Sketch
{
    /// <summary>Share of a section that open-air paint reaches at most in a pattern. Model assumption.</summary>
    private const double DryBeneath = 0.85;

    /// <summary>Paints all panels of zones.</summary>
    public Sketch Paint(IEnumerable<Zone> zones, PanelPaint paint, string why)
    {
        var edits = zones
            .Where(IsIn)
            .SelectMany(z =>
                InSections(cutting.Cut(plan, z).Panels, paint)
                    .OrderByDescending(g => g.Keys.Length)
                    .Select((g, i) => i == 0 ? (PlanEdit)new PaintZone(z, g.Paint) : new PaintPanels(g.Keys, g.Paint))
            )
            .ToArray();
        return edits.Length == 0 ? this : Step(why, edits);
    }

    /// <summary>Paints those panels of zones that are picked by row and column.</summary>
    public Sketch Paint(IEnumerable<Zone> zones, Func<PanelKey, bool> pick, PanelPaint paint, string why) =>
        Lay(zones, pick, paint, (keys, p) => new PaintPanels(keys, p), why);

    /// <summary>Lays one more product on those panels of zones that are picked.</summary>
    public Sketch Then(IEnumerable<Zone> zones, Func<PanelKey, bool> pick, PanelPaint paint, string why) =>
        Lay(zones, k => pick(k) && plan.Zones[k.Zone].Of(k) is not null, paint, (keys, p) => new AddCoat(keys, p), why);

    private Sketch Lay(
        IEnumerable<Zone> zones,
        Func<PanelKey, bool> pick,
        PanelPaint paint,
        Func<PanelKey[], PanelPaint, PlanEdit> edit,
        string why
    )
    {
        var edits = zones
            .Where(IsIn)
            .SelectMany(z => InSections(cutting.Cut(plan, z).Panels.Where(p => pick(p.Key)), paint))
            .Select(g => edit(g.Keys, g.Paint))
            .ToArray();
        return edits.Length == 0 ? this : Step(why, edits);
    }

    /// <summary>
    /// In open air paint stops short of the section's other side, so that what lies beneath stays dry: thin rows at a
    /// zone's edge take less.
    /// At the hairline, and for a deposit, it may go through. On short layers lightener starts no nearer the scalp
    /// than the studio's limit.
    /// </summary>
    private IEnumerable<(PanelKey[] Keys, PanelPaint Paint)> InSections(IEnumerable<Panel> panels, PanelPaint paint)
    {
        var deposit = plan.FormulaOf(paint.Formula)!.IsDeposit;
        var free = deposit || paint.Covering != Covering.Open || paint.Face != Wendro.Paint.Face.Surface;
        return panels
            .GroupBy(p =>
            {
                var laid = deposit ? paint : schools.Laid(p.Key.Zone, paint);
                var most =
                    free || ZoneFacts.IsHairline(p.Key.Zone)
                        ? double.PositiveInfinity
                        : Math.Floor(p.ThicknessMm * DryBeneath * 2) / 2;
                var off = deposit ? paint : OffScalp(laid, p.LengthCm);
                return off with
                {
                    MidsMm = Math.Min(off.MidsMm, most),
                    EndsMm = Math.Min(off.EndsMm, most),
                    LiesOn =
                        ZoneFacts.IsFaceFrame(p.Key.Zone) && off.Covering != Covering.Foil ? LiesOn.Film : off.LiesOn,
                };
            })
            .Select(g => (g.Select(p => p.Key).ToArray(), g.Key));
    }

    private PanelPaint OffScalp(PanelPaint paint, double lengthCm)
    {
        var nearest = plan.LimitsOf().ScalpCm;
        if (paint.StartShare is not { } share || (share * lengthCm) - paint.SpreadCm >= nearest)
        {
            return paint;
        }

        var start = Math.Max(nearest, share * lengthCm);
        return paint with
        {
            StartShare = null,
            StartCm = Math.Ceiling(start * 2) / 2,
            SpreadCm = Math.Min(paint.SpreadCm, Math.Floor((start - nearest) * 2) / 2),
        };
    }

    /// <summary>Ends all light paint where her hair is light already; nothing where none is.</summary>
    public Sketch OnRegrowth(string why) => OldLight.Of(Hair) is null ? this : Step(why, new TouchUpRegrowth());

    /// <summary>
    /// Paint whose height, drop and blur are shares of her length; softer where hair is straight and every edge
    /// shows.
    /// </summary>
    /// <param name="shape">Upper edge.</param>
    /// <param name="start">Where it begins, share of the length.</param>
    /// <param name="drop">How much lower its lowest point lies, share of the length.</param>
    /// <param name="midsMm">Depth at the mids.</param>
    /// <param name="endsMm">Depth at the ends.</param>
    public PanelPaint From(ShapeKind shape, double start, double drop, double midsMm, double endsMm)
    {
        var length = Hair.Cut.LongestCm;
        var blur = Math.Clamp(length * 0.15, 1.5, 7) + (Hair.Curl == Curl.Straight ? 1.5 : 0);
        return new PanelPaint(
            Shape.Usual(shape, Math.Min(Shape.MostDropCm, drop * length)),
            StartShare: start,
            StartCm: start * length,
            BlurCm: blur,
            MidsMm: midsMm,
            EndsMm: endsMm,
            SpreadCm: Math.Min(Math.Clamp(length * 0.04, 0.5, 2), start * length * 0.5)
        );
    }

    /// <summary>
    /// Paint at the hairline: through its fine sections, begun near the scalp and blurred longer than elsewhere, so
    /// that
    /// it is the brightest and no edge shows.
    /// </summary>
    /// <param name="shape">Upper edge.</param>
    /// <param name="start">Where it begins, share of the length.</param>
    public PanelPaint AtFace(ShapeKind shape, double start)
    {
        var paint = From(shape, start, 0, 11, 12);
        return paint with { BlurCm = Math.Clamp(paint.BlurCm + FaceBlurCm, FaceBlurLeastCm, FaceBlurMostCm) };
    }

    /// <summary>
    /// Where she ties her hair back, the nape begins nearer the scalp: tied, only its first centimetres show.
    /// </summary>
    public Sketch NapeForTails() =>
        PaintsBeneath && IsIn(Zone.Nape)
            ? Paint(
                [Zone.Nape],
                From(ShapeKind.V, 0.07, 0.06, 10, 9) with
                {
                    StartShare = null,
                    StartCm = 1.2,
                    SpreadCm = 0.5,
                    BlurCm = 3.5,
                    Face = Wendro.Paint.Face.Both,
                },
                "The nape from near the root and from beneath: tied back, that is what shows."
            )
            : this;

    /// <summary>Whether undersides are painted on her: where she ties it back, if the studio ever does.</summary>
    public bool PaintsBeneath => schools.PaintsBeneath(plan.Wears);

    /// <summary>
    /// How much longer the blur is at the hairline, and its least and most there, cm. Model assumption.
    /// </summary>
    private const double FaceBlurCm = 1,
        FaceBlurLeastCm = 7.5,
        FaceBlurMostCm = 12;
}
