using System.Collections.Immutable;
using System.Text.Json.Serialization;
using Wendro.Blend;
using Wendro.Fall;
using Wendro.Hair;
using Wendro.Head;
using Wendro.Lift;
using Wendro.Paint;
using Wendro.Section;
using Wendro.Units;

namespace Wendro.Plans;

/// <summary>What is planned for one zone.</summary>
/// <param name="Sections">How it is cut.</param>
/// <param name="Excluded">Why it is not touched; null when it is.</param>
/// <param name="Usual">Paint of panels that were given none of their own by a new cut; null leaves them
/// natural.</param>
/// <param name="Paint">Paint by panel.</param>
/// <param name="ExcludedBy">Who left it out, where it is.</param>
public sealed record ZonePlan(
    Sections Sections,
    string? Excluded,
    PanelPaint? Usual,
    ImmutableSortedDictionary<PanelKey, PanelPaint> Paint,
    LeftOutBy ExcludedBy = LeftOutBy.Hand
)
{
    /// <summary>A zone nobody has planned yet.</summary>
    public static ZonePlan Fresh(Zone zone, HouseRules rules) =>
        new(rules.SectionsOf(zone), null, null, ImmutableSortedDictionary<PanelKey, PanelPaint>.Empty);

    /// <summary>The same, touched again.</summary>
    internal ZonePlan TakenIn() => this with { Excluded = null, ExcludedBy = LeftOutBy.Hand };

    /// <summary>Paint of a panel; null while it is left natural or the zone is not touched.</summary>
    public PanelPaint? Of(PanelKey key) => Excluded is null && Paint.TryGetValue(key, out var paint) ? paint : null;
}

/// <summary>A finding set aside.</summary>
/// <param name="Finding">Its id.</param>
/// <param name="At">How much it mattered then; when it matters more it is heard again.</param>
/// <param name="Reason">Why.</param>
public sealed record Dismissed(string Finding, Severity At, string Reason);

/// <summary>The plan of one visit: one immutable document, changed only by <see cref="PlanEdit"/>.</summary>
/// <param name="Seed">What hashed spreads start from.</param>
/// <param name="Part">Her part.</param>
/// <param name="Wears">The wears she uses; down always.</param>
/// <param name="Goal">What she wants.</param>
/// <param name="Formulas">What is mixed.</param>
/// <param name="Zones">Sections and paint by zone; every zone is there.</param>
/// <param name="Frame">What the head is divided by.</param>
/// <param name="LeftOut">Regions left out across zones; null or empty for none.</param>
/// <param name="Order">Zones in the order they are worked; null as the frame has it.</param>
/// <param name="LowerFilm">Whether lower layers are covered with film unless something else is said: a house
/// rule.</param>
/// <param name="Styled">How she wears its texture: the hair is seen as styled.</param>
/// <param name="Limits">What counts as wrong: house rules; null as usual.</param>
/// <param name="Dismissed">Findings set aside; null or empty for none.</param>
/// <param name="Steps">Processes of the visit in order; null where there is one: what is painted on panels.</param>
/// <param name="Rinse">How panels are rinsed.</param>
public sealed record Plan(
    int Seed,
    PartLine Part,
    ImmutableArray<Wear> Wears,
    [property: JsonPropertyName("wish")] Goal Goal,
    ImmutableArray<Formula> Formulas,
    ImmutableSortedDictionary<Zone, ZonePlan> Zones,
    Frame Frame = Frame.EarToEar,
    IReadOnlyList<LeftOut>? LeftOut = null,
    IReadOnlyList<Zone>? Order = null,
    bool LowerFilm = false,
    Styling Styled = Styling.Own,
    FindingLimits? Limits = null,
    IReadOnlyList<Dismissed>? Dismissed = null,
    IReadOnlyList<Step>? Steps = null,
    Rinsing Rinse = Rinsing.InRinses
)
{
    /// <summary>A plan nobody has begun: all zones cut as the house usually does, nothing painted.</summary>
    public static Plan Fresh(int seed = 1, HouseRules? rules = null)
    {
        var house = rules ?? HouseRules.Usual;
        return new(
            seed,
            PartLine.Central,
            [Wear.Down, Wear.TiedHigh],
            new Goal(),
            [house.Formula],
            ZoneFacts.All.ToImmutableSortedDictionary(z => z, z => ZonePlan.Fresh(z, house)),
            house.Frame,
            house.BabyHairCm > 0 ? [new LeftOut(Region.BabyHair, house.BabyHairCm, "house rule")] : null,
            Order: house.SchoolsOf().OrderFor(house.Frame),
            LowerFilm: house.LowerFilm,
            Limits: house.SchoolsOf().TopBrightest
                ? (house.Limits ?? FindingLimits.Usual) with
                {
                    CrownCm = FindingLimits.CrownAnywhereCm,
                }
                : house.Limits,
            Rinse: house.SchoolsOf().RinsedOnce ? Rinsing.Once : Rinsing.InRinses
        );
    }

    /// <summary>Her hair as it is seen: styled straight or waved, or as it grows.</summary>
    public HairProfile AsWorn(HairProfile hair)
    {
        ArgumentNullException.ThrowIfNull(hair);
        return Styled switch
        {
            Styling.Straight => hair with { Curl = Curl.Straight },
            Styling.Waved => hair with { Curl = Curl.Wavy },
            _ => hair,
        };
    }

    /// <summary>Findings set aside.</summary>
    public IReadOnlyList<Dismissed> SetAside => Dismissed ?? [];

    /// <summary>What counts as wrong (a method: a record writes out its properties).</summary>
    public FindingLimits LimitsOf() => Limits ?? FindingLimits.Usual;

    /// <summary>Regions left out.</summary>
    public IReadOnlyList<LeftOut> Regions => LeftOut ?? [];

    /// <summary>Zones in the order they are worked.</summary>
    public IReadOnlyList<Zone> Working => Order ?? Frames.OrderOf(Frame);

    /// <summary>
    /// How much of the head is worked: by what a reach leaves out, whatever a hand leaves out besides; null where that
    /// is no reach there is (a method: a record writes out its properties).
    /// </summary>
    public Reach? ReachOf()
    {
        var left = Zones.Where(z => z.Value.Excluded is not null).Select(z => z.Key).ToHashSet();
        var byReach = left.Where(z => Zones[z].ExcludedBy == LeftOutBy.Reach).ToArray();
        return Enum.GetValues<Reach>()
            .Select(r => (Reach?)r)
            .FirstOrDefault(r =>
                byReach.All(z => !Frames.Has(r!.Value, z))
                && ZoneFacts.All.All(z => Frames.Has(r!.Value, z) || left.Contains(z))
                && (r == Reach.Full || byReach.Length > 0)
            );
    }

    /// <summary>How a zone is cut.</summary>
    public ZoneCut CutOf(Zone zone) =>
        new(
            // Which row is worked first changes no cut.
            Part,
            zone,
            Zones[zone].Sections with
            {
                Order = RowOrder.LowFirst,
            },
            Frame == Frame.Quadrants,
            Regions
        );

    /// <summary>Whether another plan cuts and leaves out the same panels.</summary>
    public bool IsCutLike(Plan other)
    {
        ArgumentNullException.ThrowIfNull(other);
        return ZoneFacts.All.All(z =>
            Zones[z].Excluded is null == other.Zones[z].Excluded is null && CutOf(z) == other.CutOf(z)
        );
    }

    /// <summary>A formula by its id; null if there is none.</summary>
    public Formula? FormulaOf(FormulaId id) => Formulas.FirstOrDefault(f => f.Id == id);

    /// <summary>
    /// What lightens where nothing else is said: the first formula that does; the first at all where all are deposits
    /// (a method: a record writes out its properties).
    /// </summary>
    public Formula FirstLight() => Formulas.FirstOrDefault(f => !f.IsDeposit) ?? Formulas[0];

    /// <summary>The same with a formula added, or put in the place of the one with its letter.</summary>
    internal Plan With(Formula formula) =>
        this with
        {
            Formulas = [.. Formulas.Where(f => f.Id != formula.Id).Append(formula).OrderBy(f => f.Id)],
        };

    /// <summary>The same with one zone changed.</summary>
    internal Plan With(Zone zone, Func<ZonePlan, ZonePlan> change) =>
        this with
        {
            Zones = Zones.SetItem(zone, change(Zones[zone])),
        };
}
