using Wendro.Blend;
using Wendro.Fall;
using Wendro.Hair;
using Wendro.Head;
using Wendro.Paint;
using Wendro.Placement;
using Wendro.Plans;
using Wendro.Section;
using Wendro.Units;

namespace Wendro.Record;

/// <summary>
/// The next visit's plan from the last one's: only what has grown, what was missed and what stayed dark, on the fewest
/// panels that bring the goal back.
/// </summary>
/// <param name="Edits">The one edit that paints them; none where the goal still stands.</param>
/// <param name="Panels">The panels it paints, those that bring most first.</param>
/// <param name="OfPanels">How many panels would have to be painted to touch up all of it.</param>
/// <param name="IsMirrored">Whether it is the other way round than last time: the part lies on the other side
/// now.</param>
/// <param name="Now">How the hair looks as it has grown.</param>
/// <param name="After">How it looks with these panels.</param>
/// <param name="AfterAll">How it looks with all of them.</param>
/// <param name="Minutes">Painting minutes.</param>
/// <param name="IsMet">Whether the goal is met with them; else they come as near to it as any of them would.</param>
public sealed record RefreshPlan(
    IReadOnlyList<PlanEdit> Edits,
    IReadOnlyList<PanelKey> Panels,
    int OfPanels,
    bool IsMirrored,
    Outcome Now,
    Outcome After,
    Outcome AfterAll,
    double Minutes,
    bool IsMet
)
{
    /// <summary>What is nearer to its goal than this is as near as all of it. Model assumption.</summary>
    private const double AsNear = 0.02;

    /// <summary>Less than this has not grown, cm. Model assumption.</summary>
    private const double Hardly = 0.5;

    /// <summary>A piece this much darker than its goal stayed dark, levels. Model assumption.</summary>
    private const double StayedDark = 1;

    /// <summary>A part this far from the middle is on a side, cm.</summary>
    private const double OnASide = 1.5;

    /// <summary>The plan that brings the goal back.</summary>
    /// <param name="now">Her head now, with the next visit's plan as it stands: panels painted already stay.</param>
    /// <param name="last">The last visit's plan, as it was served.</param>
    /// <param name="cutting">Cuts zones of her hair now.</param>
    public static RefreshPlan Of(PlannedHead now, Plan last, Cutting cutting)
    {
        ArgumentNullException.ThrowIfNull(now);
        ArgumentNullException.ThrowIfNull(last);
        ArgumentNullException.ThrowIfNull(cutting);
        var mirrored = now.Plan.Part.FrontCm * last.Part.FrontCm < -OnASide * OnASide;
        var was = mirrored ? Mirroring.Over(last, cutting, now.Plan) : Painted(last);
        var asked = new Dictionary<PanelKey, PanelPaint>();
        foreach (var panel in now.Panels.Where(p => p.Coats.Count == 0))
        {
            if (was.TryGetValue(panel.Panel.Key, out var paint) && Needs(panel, now, last, paint) is { } needed)
            {
                asked[panel.Panel.Key] = needed;
            }
        }

        return new Choosing(now, last, cutting, asked).Choose(mirrored);
    }

    private static Dictionary<PanelKey, PanelPaint> Painted(Plan plan) =>
        plan
            .Zones.Values.Where(z => z.Excluded is null)
            .SelectMany(z => z.Paint)
            .ToDictionary(p => p.Key, p => p.Value);

    /// <summary>What a panel needs to be as it was meant; null where it needs nothing.</summary>
    private static PanelPaint? Needs(PlannedPanel panel, PlannedHead now, Plan last, PanelPaint paint)
    {
        var here = panel.HairOf(now.Hair);
        var coats = paint
            .Coats()
            .Select(c =>
                last.FormulaOf(c.Formula) is not { } formula ? null
                : OldIn(here, formula.IsDeposit) is not { } old ? c
                : Grown(c, old, panel.Panel, now.Plan) ?? (IsDark(old, formula, here, now.Plan.Goal) ? c : null)
            )
            .OfType<PanelPaint>()
            .ToArray();
        return coats.Length == 0 ? null : PanelPaint.Of(coats);
    }

    private static Band? OldIn(HairProfile here, bool deposit) =>
        here.Bands.FirstOrDefault(b => b.State == (deposit ? BandState.Coloured : BandState.Lightened));

    /// <summary>
    /// The paint between where it began and where its old work begins now; null where that is nothing.
    /// </summary>
    private static PanelPaint? Grown(PanelPaint coat, Band old, Panel panel, Plan plan)
    {
        var start = coat.StartOn(panel.Key, panel.LengthCm, plan.Seed);
        var gap = old.FromCm - start;
        return gap < Hardly
            ? null
            : coat with
            {
                Shape = coat.Shape with { DropCm = Math.Min(coat.Shape.DropCm, gap / 2) },
                BlurCm = Math.Min(coat.BlurCm, gap),
                BandCm = gap + plan.LimitsOf().OverlapCm,
            };
    }

    /// <summary>Hair that is sound and stayed darker than wished may be lifted again.</summary>
    private static bool IsDark(Band old, Lift.Formula formula, HairProfile here, Goal goal) =>
        !formula.IsDeposit
        && here.Condition == Condition.Sound
        && (old.Porosity ?? here.Porosity) != Porosity.High
        && here.Bands[^1].Level < goal.EndsLevel - StayedDark;

    /// <summary>Chooses the fewest panels among those that need something.</summary>
    private sealed class Choosing(
        PlannedHead now,
        Plan last,
        Cutting cutting,
        IReadOnlyDictionary<PanelKey, PanelPaint> asked
    )
    {
        private readonly PlanEdit[] formulas = last
            .Formulas.Where(f => asked.Values.Any(p => p.Coats().Any(c => c.Formula == f.Id)))
            .Where(f => now.Plan.FormulaOf(f.Id) != f)
            .Select(f => (PlanEdit)new SetFormula(f))
            .ToArray();

        public RefreshPlan Choose(bool mirrored)
        {
            var bare = Proposal.OutcomeOf(now);
            if (asked.Count == 0)
            {
                return new([], [], 0, mirrored, bare, bare, bare, 0, Aim.Beyond(bare, now.Plan.Goal) <= AsNear);
            }

            var all = Head(asked.Keys);
            var (whole, goal) = (Proposal.OutcomeOf(all), now.Plan.Goal);
            var among = Zones(all);
            var target = Aim.Beyond(Proposal.OutcomeOf(Head(among)), goal) + AsNear;
            bool IsBack(IEnumerable<PanelKey> keys) => Aim.Beyond(Proposal.OutcomeOf(Head(keys)), goal) <= target;

            var ranked = Ranked(all).Where(among.Contains).ToArray();
            // As many of the strongest as bring it back, then each is left away that was not needed.
            var (few, enough) = (0, ranked.Length);
            if (Aim.Beyond(bare, goal) <= target)
            {
                enough = 0;
            }

            while (enough - few > 1)
            {
                var middle = (few + enough) / 2;
                (few, enough) = IsBack(ranked.Take(middle)) ? (few, middle) : (middle, enough);
            }

            var chosen = ranked.Take(enough).ToList();
            foreach (var key in ranked.Take(enough).Reverse().ToArray())
            {
                if (IsBack(chosen.Where(k => k != key)))
                {
                    chosen.Remove(key);
                }
            }

            var after = Head(chosen);
            return new(
                chosen.Count == 0 ? [] : [EditOf(chosen)],
                chosen,
                asked.Count,
                mirrored,
                bare,
                Proposal.OutcomeOf(after),
                whole,
                after.Minutes - now.Minutes,
                Aim.Beyond(Proposal.OutcomeOf(after), goal) <= AsNear
            );
        }

        /// <summary>
        /// The panels of those zones that come nearest to the goal: from none and from all, one zone more or fewer at a
        /// time while that brings it nearer.
        /// </summary>
        private HashSet<PanelKey> Zones(PlannedHead all)
        {
            var zones = asked.Keys.Select(k => k.Zone).Distinct().Order().ToArray();
            double Beyond(IReadOnlySet<Zone> of) =>
                of.Count == zones.Length
                    ? Aim.Beyond(Proposal.OutcomeOf(all), now.Plan.Goal)
                    : Aim.Beyond(Proposal.OutcomeOf(Head(KeysIn(of))), now.Plan.Goal);
            (HashSet<Zone> Of, double Beyond) Climbed(HashSet<Zone> from)
            {
                var best = (Of: from, Beyond: Beyond(from));
                while (true)
                {
                    var next = zones
                        .Select(z =>
                        {
                            var other = best.Of.ToHashSet();
                            other.SymmetricExceptWith([z]);
                            return (Of: other, Beyond: Beyond(other));
                        })
                        .MinBy(o => (o.Beyond, o.Of.Count));
                    if (next.Beyond >= best.Beyond - AsNear)
                    {
                        return best;
                    }

                    best = next;
                }
            }

            // Of two as near the one that paints less.
            var (none, every) = (Climbed([]), Climbed([.. zones]));
            return [.. KeysIn(every.Beyond < none.Beyond - AsNear ? every.Of : none.Of)];
        }

        private IEnumerable<PanelKey> KeysIn(IReadOnlySet<Zone> zones) => asked.Keys.Where(k => zones.Contains(k.Zone));

        private PlannedHead Head(IEnumerable<PanelKey> keys)
        {
            var plan = formulas.Aggregate(now.Plan, (p, f) => p.Apply(f, cutting).Plan);
            plan = keys.Aggregate(plan, (p, key) => Panelwise.Each(p, [key], _ => asked[key]));
            return now.After(plan, now.Looks, cutting);
        }

        private Together EditOf(IReadOnlyList<PanelKey> keys) =>
            new([
                .. formulas,
                .. keys.GroupBy(k => asked[k]).Select(g => (PlanEdit)new PaintPanels(g.Order().ToArray(), g.Key)),
            ]);

        /// <summary>The panels, those that change most of what is seen first.</summary>
        private PanelKey[] Ranked(PlannedHead all)
        {
            var weights = now.Looks.Weights(Wear.Down);
            return all
                .Panels.Select((p, n) => (p.Panel.Key, n))
                .Where(p => asked.ContainsKey(p.Key))
                .Select(p => (p.Key, Seen: all.Map.StrandsOf[p.n].Sum(i => weights.OfStrand(i) * Changed(all, i))))
                .OrderByDescending(p => p.Seen)
                .ThenBy(p => p.Key)
                .Select(p => p.Key)
                .ToArray();
        }

        private double Changed(PlannedHead all, int strand)
        {
            var sum = 0.0;
            for (var k = strand * Places.Count; k < (strand + 1) * Places.Count; k++)
            {
                sum += Math.Abs(all.Levels[k] - now.Levels[k]);
            }

            return sum;
        }
    }
}
