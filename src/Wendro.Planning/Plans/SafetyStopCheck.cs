using Wendro.Blend;
using Wendro.Head;
using Wendro.Lift;
using Wendro.Paint;
using Wendro.Section;

namespace Wendro.Plans;

/// <summary>
/// What a safety stop stops: hair that would get product which it lacks, another one, or more. What would be painted
/// before and after is compared,
/// whatever led from one to the other; taking product away stays free.
/// </summary>
public static class SafetyStopCheck
{
    /// <summary>
    /// Distance of the places on the scalp that are compared where panels are cut anew, cm. Model assumption.
    /// </summary>
    private const double StepCm = 0.3;

    /// <summary>Places across a panel, through it, and cm along it, that are compared. Model assumption.</summary>
    private const int Across = 17,
        Through = 9;

    /// <summary>Less than half of the narrowest band, so that none lies between two places.</summary>
    private const double AlongCm = 0.2;

    /// <summary>Coverage told from none, 0..1. Model assumption.</summary>
    private const double Least = 1e-3;

    /// <summary>Whether hair gets more product by one plan than by another.</summary>
    /// <param name="from">The plan as it is.</param>
    /// <param name="to">The plan as it would be.</param>
    /// <param name="cutting">The head they are planned on.</param>
    public static bool LaysMore(Plan from, Plan to, Cutting cutting)
    {
        ArgumentNullException.ThrowIfNull(from);
        ArgumentNullException.ThrowIfNull(to);
        ArgumentNullException.ThrowIfNull(cutting);
        var painted = to
            .Zones.Where(z => z.Value.Excluded is null && z.Value.Paint.Count > 0)
            .Select(z => z.Key)
            .ToArray();
        var alike = painted.Where(z => from.CutOf(z) == to.CutOf(z)).ToArray();
        return alike.Any(z => InPanels(from, to, cutting.Cut(to, z)))
            || (alike.Length < painted.Length && OnScalp(from, to, painted.Except(alike).ToHashSet(), cutting))
            || OverAreas(from, to);
    }

    /// <summary>
    /// Whether anything lies over an area that no same product, as strong, lay over all of before. What is no longer
    /// rinsed before the next step works longer.
    /// </summary>
    private static bool OverAreas(Plan from, Plan to)
    {
        var before = from.AreasOf();
        return to.AreasOf()
            .Any(now =>
                !before.Any(was =>
                    Lying.ProductOf(was.Formula) == Lying.ProductOf(now.Formula)
                    && was.Area.Covers(now.Area)
                    && !StrengthOf(was, from).IsBelow(StrengthOf(now, to))
                )
            );
    }

    private static Strength StrengthOf(AreaCoat area, Plan plan)
    {
        const double untilTheNext = 60;
        var kept = plan.StepsOf()[area.Step].Rinse ? 0 : untilTheNext;
        return new(area.Formula.Minutes + kept, area.Formula.LowHeat, area.Area.Covering);
    }

    /// <summary>A zone cut as before: panel by panel.</summary>
    private static bool InPanels(Plan from, Plan to, ZonePanels cut) =>
        cut.Panels.Any(panel => More(Lying.On(panel, from), Lying.On(panel, to)));

    /// <summary>
    /// Zones cut otherwise: place by place, what lay there against what would. Two panels painted alike are told
    /// apart by nothing.
    /// </summary>
    private static bool OnScalp(Plan from, Plan to, HashSet<Zone> zones, Cutting cutting)
    {
        var (before, after) = (cutting.Cut(from), cutting.Cut(to));
        var (were, are) = (cutting.Head.ZonesFor(from.Part), cutting.Head.ZonesFor(to.Part));
        var seen = new HashSet<(PanelKey? Was, PanelKey Is)>();

        bool MoreAt(in ScalpPoint p)
        {
            if (
                p.FromHairlineCm < 0
                || are.At(p) is var zone && !zones.Contains(zone)
                || after[zone].At(p) is not { } now
            )
            {
                return false;
            }

            var cut = before[were.At(p)];
            var (was, becomes) = (cut.At(p) is { } then ? cut.Panels[then.Panel] : null, after[zone].Panels[now.Panel]);
            return seen.Add((was?.Key, becomes.Key))
                && !(was is not null && Lying.Alike(from, was.Key, to, becomes.Key))
                && More(was is null ? [] : Lying.On(was, from), Lying.On(becomes, to));
        }

        return zones.SelectMany(z => after[z].Panels).Any(p => MoreAt(p.Centre))
            || cutting.Head.Chart.Places(StepCm).Any(p => MoreAt(p));
    }

    /// <summary>
    /// Whether a product lies where it did not, thicker than it did, or works longer, warmer or under a tighter
    /// cover.
    /// </summary>
    private static bool More(IReadOnlyList<Lying> before, IReadOnlyList<Lying> after)
    {
        if (before.SequenceEqual(after))
        {
            return false;
        }

        foreach (var product in after.Select(l => l.Product).Distinct())
        {
            var (was, becomes) = (
                before.Where(l => l.Product == product).ToArray(),
                after.Where(l => l.Product == product).ToArray()
            );
            if (
                Thicker(was, becomes)
                || becomes.Any(now =>
                    was.Length > 0 && was.All(then => then.Strength.IsBelow(now.Strength)) && Thicker([], [now])
                )
            )
            {
                return true;
            }
        }

        return false;
    }

    private static bool Thicker(Lying[] was, Lying[] becomes)
    {
        var length = becomes.Max(l => l.Painted.LengthCm);
        for (var i = 0; i < Across; i++)
        {
            var u = i / (Across - 1.0);
            for (var s = 0.0; s <= length; s += AlongCm)
            {
                for (var j = 0; j < Through; j++)
                {
                    var w = j / (Through - 1.0);
                    if (becomes.Sum(l => l.At(u, s, w)) > was.Sum(l => l.At(u, s, w)) + Least)
                    {
                        return true;
                    }
                }
            }
        }

        return false;
    }

    /// <summary>How strongly a product works beside its amount: minutes, heat, cover. More of any is more.</summary>
    private readonly record struct Strength(double Minutes, bool Heat, Covering Covering, bool Damp = false)
    {
        public bool IsBelow(Strength other) =>
            Minutes < other.Minutes || (!Heat && other.Heat) || Covering < other.Covering || (Damp && !other.Damp);
    }

    /// <summary>One product as it lies on a panel.</summary>
    private sealed record Lying(PaintedPanel Painted, Formula Product, Strength Strength)
    {
        public static IReadOnlyList<Lying> On(Panel panel, Plan plan) =>
            plan.Zones[panel.Key.Zone].Of(panel.Key) is { } paint
                ? paint
                    .Coats()
                    .Select(coat =>
                    {
                        var formula = plan.FormulaOf(coat.Formula)!;
                        return new Lying(
                            PaintedPanel.On(panel, coat, plan.Seed),
                            ProductOf(formula),
                            new(
                                formula.Minutes,
                                formula.LowHeat,
                                coat.Covering,
                                plan.StepsOf()[plan.StepOf(formula.Id)].Damp
                            )
                        );
                    })
                    .ToArray()
                : [];

        public static bool Alike(Plan from, PanelKey was, Plan to, PanelKey becomes) =>
            from.Zones[was.Zone].Of(was) is { } before
            && to.Zones[becomes.Zone].Of(becomes) is { } after
            && before == after
            && after.Coats().All(c => from.FormulaOf(c.Formula) == to.FormulaOf(c.Formula));

        /// <summary>Product at a place of the panel, 0..1.</summary>
        public double At(double u, double s, double w) =>
            (1 - Painted.HeldBack) * Painted.CoverageAlong(u, s) * Painted.CoverageThrough(w, s / Painted.LengthCm);

        public static Formula ProductOf(Formula formula) =>
            formula with
            {
                Id = default,
                Minutes = default,
                LowHeat = false,
                HeatConfirmed = false,
            };
    }
}
