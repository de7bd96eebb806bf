using Wendro.Colour;
using Wendro.Hair;
using Wendro.Head;
using Wendro.Lift;
using Wendro.Paint;
using Wendro.Plans;
using Wendro.Section;
using Wendro.Units;

namespace Wendro.Patterns;

/// <summary>
/// A pattern being drawn on a head. Sizes are given for a medium head of straight hair and fitted: thinner where hair
/// is dense or lies
/// heavier beside the part, thicker where it curls; heights as shares of the length. Every step is applied as it is
/// drawn, so that
/// panels can be named.
/// </summary>
public sealed partial class Sketch
{
    private readonly Cutting cutting;
    private readonly List<PatternStep> steps = [];
    private readonly TechniquePreferences schools;
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
            .Select(r => (PlanEdit)new IncludeRegion(r.Region))
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
            .Append(new SetFormula(MixForGoal.Of(house.Formula, Hair, plan.Goal.EndsLevel, Covering.Open)))
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
    /// Mixes a formula that aims at the goal: no weaker than named, stronger only where the level needs it and may be
    /// offered on her hair, and as long as it takes within the leaflet's time.
    /// </summary>
    /// <param name="id">Its letter.</param>
    /// <param name="lightener">What lightens.</param>
    /// <param name="volume">Developer to begin with, volume.</param>
    /// <param name="why">One sentence.</param>
    /// <param name="under">What covers it.</param>
    /// <param name="below">How far below the goal it aims, levels.</param>
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
                MixForGoal.Of(
                    Formula.Lightening(id, lightener, volume, LiftTables.LeafletLimitMinutes),
                    Hair,
                    Level.Clamp(plan.Goal.EndsLevel - below),
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
