using Wendro.Core.Hair;
using Wendro.Core.Head;
using Wendro.Core.Lift;
using Wendro.Core.Paint;
using Wendro.Core.Plans;
using Wendro.Core.Section;
using Wendro.Core.Tone;
using Wendro.Core.Units;

namespace Wendro.Core.Patterns;

/// <summary>
/// A pattern being drawn on a head. Sizes are given for a medium head of straight hair and fitted: thinner where hair
/// is dense or lies
/// heavier beside the part, thicker where it curls; heights as shares of the length. Every step is applied as it is
/// drawn, so that
/// panels can be named.
/// </summary>
public sealed partial class Sketch
{
    /// <summary>Share of a section that open-air paint reaches at most in a pattern. Model assumption.</summary>
    private const double DryBeneath = 0.85;

    private readonly Cutting cutting;
    private readonly List<PatternStep> steps = [];
    private readonly Schools schools;
    private Plan plan;

    internal Sketch(Plan plan, Cutting cutting, HouseRules house)
    {
        ArgumentNullException.ThrowIfNull(plan);
        ArgumentNullException.ThrowIfNull(cutting);
        ArgumentNullException.ThrowIfNull(house);
        this.plan = plan;
        this.cutting = cutting;
        Hair = cutting.Hair;
        schools = house.SchoolsOf();

        // What an earlier pattern left out comes in again, and its sections and mixture give way to the house's; what
        // a hand left out stays out.
        var clean = plan
            .Regions.Where(r => r.By == LeftOutBy.Pattern)
            .Select(r => (PlanEdit)new TakeIn(r.Region))
            .Concat(
                ZoneFacts
                    .All.Where(z => plan.Zones[z] is { Excluded: not null, ExcludedBy: LeftOutBy.Pattern })
                    .Select(z => new IncludeZone(z))
            )
            .Concat(
                ZoneFacts
                    .All.Where(z => plan.Zones[z].Paint.Count > 0 || plan.Zones[z].Usual is not null)
                    .Select(z => new ClearZone(z))
            )
            .Concat(
                ZoneFacts
                    .All.Where(z => plan.Zones[z].Sections != house.SectionsOf(z))
                    .Select(z => CutZone.As(z, house.SectionsOf(z)))
            )
            .Concat(
                plan.StepsOf()
                    .Select((step, number) => (step, number))
                    .Where(s => !s.step.IsMain)
                    .Reverse()
                    .Select(s => (PlanEdit)new RemoveStep(s.number))
            )
            .Append(new SetReach(Reach.Full))
            .Concat(Divided(Section.Frame.EarToEar))
            .Append(new SetFormula(MixForWish.Of(house.Formula, Hair, plan.Wish.EndsLevel, Covering.Open)))
            .ToArray();
        Step("Start from a clean head.", clean);
    }

    /// <summary>Her hair.</summary>
    public HairProfile Hair { get; }

    /// <summary>Zones of the back below the crown.</summary>
    public static IReadOnlyList<Zone> Back { get; } = [Zone.Nape, Zone.LowerBack, Zone.UpperBack];

    /// <summary>Crown, tops and sides.</summary>
    public static IReadOnlyList<Zone> Upper { get; } =
    [Zone.Crown, Zone.SideLeft, Zone.SideRight, Zone.TopLeft, Zone.TopRight];

    /// <summary>Fringe and face frame.</summary>
    public static IReadOnlyList<Zone> Hairline { get; } = ZoneFacts.All.Where(ZoneFacts.IsHairline).ToArray();

    /// <summary>The face frame.</summary>
    public static IReadOnlyList<Zone> Face { get; } = ZoneFacts.All.Where(ZoneFacts.IsFaceFrame).ToArray();

    /// <summary>The steps so far.</summary>
    public IReadOnlyList<PatternStep> Steps => steps;

    /// <summary>The plan as far as it is drawn.</summary>
    public Plan Now => plan;

    /// <summary>Side of the part with more hair; null where the part is about the middle.</summary>
    public Side? HeavierSide => Heavier.SideOf(plan.Part);

    /// <summary>Adds a step and takes it.</summary>
    public Sketch Step(string why, params IReadOnlyList<PlanEdit> edits)
    {
        foreach (var edit in edits)
        {
            var applied = plan.Apply(edit, cutting);
            plan = applied.Succeeded
                ? applied.Plan
                : throw new InvalidOperationException(
                    $"A pattern made an edit that can't be taken: {applied.Problems[0].Field}: "
                        + $"{applied.Problems[0].Message}"
                );
        }

        steps.Add(new PatternStep(why, edits));
        return this;
    }

    /// <summary>Divides the head.</summary>
    public Sketch Frame(Frame frame, string why) => Step(why, Divided(frame).ToArray());

    /// <summary>Divides the head, worked in the order the studio works in.</summary>
    private IEnumerable<PlanEdit> Divided(Frame frame)
    {
        yield return new SetFrame(frame);
        if (schools.OrderFor(frame) is { } order)
        {
            yield return new SetOrder(order);
        }
    }

    /// <summary>Leaves a region out.</summary>
    public Sketch Without(Region region, double sizeCm, string why) =>
        plan.Regions.Any(r => r.Region == region)
            ? this
            : Step(why, new LeaveOut(region, sizeCm, why, LeftOutBy.Pattern));

    /// <summary>Leaves zones out.</summary>
    public Sketch Without(IEnumerable<Zone> zones, string why)
    {
        var edits = zones.Where(IsIn).Select(z => (PlanEdit)new ExcludeZone(z, why, LeftOutBy.Pattern)).ToArray();
        return edits.Length == 0 ? this : Step(why, edits);
    }

    /// <summary>Cuts zones, sizes fitted to her hair.</summary>
    public Sketch Cut(IEnumerable<Zone> zones, Sections sections, string why) =>
        Step(why, zones.Select(z => (PlanEdit)Cut(z, sections)).ToArray());

    /// <summary>
    /// Mixes a formula that aims at the wish: no weaker than named, stronger only where the level needs it and may be
    /// offered on her hair, and as long as it takes within the leaflet's time.
    /// </summary>
    /// <param name="id">Its letter.</param>
    /// <param name="lightener">What lightens.</param>
    /// <param name="volume">Developer to begin with, volume.</param>
    /// <param name="why">One sentence.</param>
    /// <param name="under">What covers it.</param>
    /// <param name="below">How far below the wish it aims, levels.</param>
    /// <param name="weaker">Whether it is meant to be the weaker of two, and never gets stronger than named.</param>
    public Sketch Mix(
        FormulaId id,
        Lightener lightener,
        double volume,
        string why,
        Covering under = Covering.Open,
        double below = 0,
        bool weaker = false
    ) =>
        Step(
            why,
            new SetFormula(
                MixForWish.Of(
                    Formula.Lightening(id, lightener, volume, LiftTables.LeafletLimitMinutes),
                    Hair,
                    Level.Clamp(plan.Wish.EndsLevel - below),
                    under,
                    weaker ? volume : Volume.Strongest
                )
            )
        );

    /// <summary>Mixes a deposit.</summary>
    public Sketch Colour(FormulaId id, double level, double volume, double minutes, string why) =>
        Step(why, new SetFormula(Formula.Colouring(id, Math.Round(Math.Clamp(level, 1, 10), 1), volume, minutes)));

    /// <summary>Level of her ends: what a deposit is chosen against.</summary>
    public double EndsLevel => Hair.Bands.Count > 0 ? Hair.Bands[^1].Level : Hair.NaturalLevel;

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
        var free = deposit || paint.Covering != Covering.Open || paint.Face != Wendro.Core.Paint.Face.Surface;
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
        return paint with { BlurCm = Math.Min(12, paint.BlurCm + FaceBlurCm) };
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
                    Face = Wendro.Core.Paint.Face.Both,
                },
                "The nape from near the root and from beneath: tied back, that is what shows."
            )
            : this;

    /// <summary>Whether undersides are painted on her: where she ties it back, if the studio ever does.</summary>
    public bool PaintsBeneath => schools.PaintsBeneath(plan.Wears);

    /// <summary>How much longer the blur is at the hairline, cm. Model assumption.</summary>
    private const double FaceBlurCm = 3;

    /// <summary>Whether a zone is worked.</summary>
    public bool IsIn(Zone zone) => plan.Zones[zone].Excluded is null;

    private CutZone Cut(Zone zone, Sections s)
    {
        var dense = Hair.In(zone).Density switch
        {
            Density.High => 0.85,
            Density.Low => 1.15,
            Density.Medium => 1,
        };
        var curled = Hair.Curl switch
        {
            Curl.Curly => 1.25,
            Curl.Coily => 1.4,
            Curl.Straight or Curl.Wavy => 1,
        };
        var heavy =
            HeavierSide is { } side && !ZoneFacts.IsAcross(zone) && ZoneFacts.IsLeft(zone) == (side == Side.Left)
                ? Heavier.Thinner
                : 1;
        return CutZone.As(
            zone,
            s with
            {
                Order = ZoneFacts.IsFaceFrame(zone) ? schools.HairlineRows : s.Order,
                ThicknessMm = Math.Clamp(
                    Math.Round(s.ThicknessMm * dense * curled * heavy),
                    Sections.ThinnestMm,
                    Sections.ThickestMm
                ),
                WidthCm = Math.Clamp(Math.Round(s.WidthCm * curled * 2) / 2, Sections.NarrowestCm, Sections.WidestCm),
            }
        );
    }
}
