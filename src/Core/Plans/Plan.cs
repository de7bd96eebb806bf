using System.Collections.Immutable;
using Wendro.Core.Blend;
using Wendro.Core.Fall;
using Wendro.Core.Head;
using Wendro.Core.Lift;
using Wendro.Core.Paint;

namespace Wendro.Core.Plans;

/// <summary>What is planned for one zone.</summary>
/// <param name="Sections">How it is cut.</param>
/// <param name="Excluded">Why it is not touched; null when it is.</param>
/// <param name="Usual">Paint of panels that were given none of their own by a new cut; null leaves them natural.</param>
/// <param name="Paint">Paint by panel, keyed zone/row/column.</param>
public sealed record ZonePlan(
    Sections Sections, string? Excluded, PanelPaint? Usual, ImmutableSortedDictionary<string, PanelPaint> Paint)
{
    /// <summary>A zone nobody has planned yet.</summary>
    public static ZonePlan Fresh(Zone zone) => new(
        ZoneFacts.IsFaceFrame(zone) ? Sections.UsualFaceFrame : Sections.Usual,
        null,
        null,
        ImmutableSortedDictionary.Create<string, PanelPaint>(StringComparer.Ordinal));

    /// <summary>Paint of a panel; null while it is left natural or the zone is not touched.</summary>
    public PanelPaint? Of(PanelKey key) => Excluded is null && Paint.TryGetValue(key.ToString(), out var paint) ? paint : null;
}

/// <summary>The plan of one visit: one immutable document, changed only by <see cref="PlanEdit"/>.</summary>
/// <param name="Seed">What hashed spreads start from.</param>
/// <param name="Part">Her part.</param>
/// <param name="Wears">The wears she uses; down always.</param>
/// <param name="Wish">What she wants.</param>
/// <param name="Formulas">What is mixed.</param>
/// <param name="Zones">Sections and paint by zone; every zone is there.</param>
public sealed record Plan(
    int Seed,
    PartLine Part,
    ImmutableArray<Wear> Wears,
    Wish Wish,
    ImmutableArray<Formula> Formulas,
    ImmutableSortedDictionary<Zone, ZonePlan> Zones)
{
    /// <summary>A plan nobody has begun: all zones cut as usual, nothing painted.</summary>
    public static Plan Fresh(int seed = 1) => new(
        seed,
        PartLine.Central,
        [Wear.Down, Wear.TiedHigh],
        new Wish(),
        [Formula.Usual],
        ZoneFacts.All.ToImmutableSortedDictionary(z => z, ZonePlan.Fresh));

    /// <summary>A formula by its letter; null if there is none.</summary>
    public Formula? FormulaOf(string id) => Formulas.FirstOrDefault(f => f.Id == id);

    /// <summary>The same with one zone changed.</summary>
    internal Plan With(Zone zone, Func<ZonePlan, ZonePlan> change) => this with { Zones = Zones.SetItem(zone, change(Zones[zone])) };
}
