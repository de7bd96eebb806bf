using Wendro.Blend;
using Wendro.Lift;
using Wendro.Mix;
using Wendro.Paint;
using Wendro.Section;
using Wendro.Timing;
using Wendro.Units;

namespace Wendro.Plans;

/// <summary>A bowl that was begun: which, what was meant, what happened.</summary>
/// <param name="Meant">The formula it was mixed for, as it was then.</param>
/// <param name="Ordinal">Which bowl of that formula, from 1.</param>
/// <param name="InHand">Where it stands.</param>
public sealed record BegunBowl(Formula Meant, int Ordinal, BowlInHand InHand);

/// <summary>One bowl of the plan: when, what goes in, and how far it is.</summary>
/// <param name="Number">From 1, in the order they are mixed.</param>
/// <param name="Batch">When, for which panels.</param>
/// <param name="Recipe">What goes in.</param>
/// <param name="Begun">What happened to it; null while nothing did.</param>
public sealed record PlannedBowl(int Number, Batch Batch, Recipe Recipe, BegunBowl? Begun)
{
    /// <summary>What it is called.</summary>
    public string Words => $"bowl {Number}";
}

/// <summary>What one formula of the plan takes.</summary>
/// <param name="Formula">Which.</param>
/// <param name="Panels">Panels it is painted on.</param>
/// <param name="HairGrams">Hair it reaches, g.</param>
/// <param name="Grams">Lightener and developer together, waste in it, g.</param>
/// <param name="Cost">What its bowls cost; null where no price is noted.</param>
public sealed record FormulaAmount(
    Formula Formula,
    IReadOnlyList<PanelKey> Panels,
    double HairGrams,
    double Grams,
    double? Cost
);

/// <summary>A planned head as bowls: what it takes of what, when each is mixed, what is wrong with that.</summary>
public sealed class PlannedMix
{
    private readonly IReadOnlyList<BegunBowl> begun;

    private PlannedMix(
        PlannedHead head,
        BenchRules bench,
        IReadOnlyList<Product> shelf,
        IReadOnlyList<PanelGrams> takes,
        IReadOnlyList<AreaGrams> areas,
        Timeline timeline,
        IReadOnlyList<PlannedBowl> bowls,
        IReadOnlyList<BegunBowl> begun,
        IReadOnlyDictionary<(PanelKey Panel, int Step), double> rests
    )
    {
        Head = head;
        Bench = bench;
        Shelf = shelf;
        Takes = takes;
        AreaTakes = areas;
        Timeline = timeline;
        Bowls = bowls;
        this.begun = begun;
        Rests = rests;
    }

    /// <summary>The head.</summary>
    public PlannedHead Head { get; }

    /// <summary>How the studio mixes.</summary>
    public BenchRules Bench { get; }

    /// <summary>What it owns.</summary>
    public IReadOnlyList<Product> Shelf { get; }

    /// <summary>What every panel takes of every formula, in working order.</summary>
    public IReadOnlyList<PanelGrams> Takes { get; }

    /// <summary>What is laid over whole areas takes, in order.</summary>
    public IReadOnlyList<AreaGrams> AreaTakes { get; }

    /// <summary>Bowls and panels on one time axis.</summary>
    public Timeline Timeline { get; }

    /// <summary>The bowls in the order they are mixed.</summary>
    public IReadOnlyList<PlannedBowl> Bowls { get; }

    /// <summary>Bowls that were begun and that the plan, as it is now, no longer needs.</summary>
    public IReadOnlyList<BegunBowl> Left => begun.Except(Bowls.Select(b => b.Begun).OfType<BegunBowl>()).ToArray();

    /// <summary>
    /// Minutes that hands are at something else before a panel of a step, at a rinse: bowls are mixed so that none is
    /// painted from after that too late. Empty while nobody said.
    /// </summary>
    public IReadOnlyDictionary<(PanelKey Panel, int Step), double> Rests { get; }

    /// <summary>All of it, g.</summary>
    public double Grams => Takes.Sum(t => t.Grams) + AreaTakes.Sum(t => t.Grams);

    /// <summary>Makes the bowls of a planned head.</summary>
    /// <param name="head">The head.</param>
    /// <param name="bench">How the studio mixes.</param>
    /// <param name="shelf">What it owns.</param>
    /// <param name="begun">Bowls begun already.</param>
    public static PlannedMix Of(
        PlannedHead head,
        BenchRules bench,
        IReadOnlyList<Product> shelf,
        IReadOnlyList<BegunBowl> begun
    ) => Of(head, bench, shelf, begun, NoRests);

    /// <summary>The same work with its bowls mixed for hands that rest meanwhile.</summary>
    /// <param name="rests">Minutes hands are at something else before a panel of a step.</param>
    public PlannedMix Resting(IReadOnlyDictionary<(PanelKey Panel, int Step), double> rests) =>
        Of(Head, Bench, Shelf, begun, rests);

    /// <summary>The same work as if hands never rested.</summary>
    public PlannedMix WithoutRests() => Rests.Count == 0 ? this : Resting(NoRests);

    private static readonly Dictionary<(PanelKey Panel, int Step), double> NoRests = [];

    private static PlannedMix Of(
        PlannedHead head,
        BenchRules bench,
        IReadOnlyList<Product> shelf,
        IReadOnlyList<BegunBowl> begun,
        IReadOnlyDictionary<(PanelKey Panel, int Step), double> rests
    )
    {
        ArgumentNullException.ThrowIfNull(head);
        ArgumentNullException.ThrowIfNull(bench);
        ArgumentNullException.ThrowIfNull(shelf);
        ArgumentNullException.ThrowIfNull(begun);
        var work = new StepsWork(head, bench.Waste);
        var developers = shelf.OfType<DeveloperProduct>().ToArray();
        var formulas = head.Plan.Formulas.ToDictionary(f => f.Id);
        var done = begun
            .Where(b => b.InHand.IsDone)
            .ToDictionary(b => (b.Meant.Id, b.Ordinal), b => b.InHand.ProductGrams);
        var timeline = work.On(
            new BenchClock(id => LimitsOf(formulas[id], bench, developers), bench.MixingMinutes, done),
            rests
        );
        var bowls = timeline
            .Bowls.Select(
                (batch, i) =>
                {
                    var mine = begun.FirstOrDefault(b => b.Meant.Id == batch.Formula && b.Ordinal == batch.Ordinal);
                    return new PlannedBowl(
                        i + 1,
                        batch,
                        mine?.InHand.Recipe
                            ?? Recipe.Of(formulas[batch.Formula], batch.Grams, developers, bench.LeastGrams),
                        mine
                    );
                }
            )
            .ToArray();
        return new(head, bench, shelf, work.Takes, work.Areas, timeline, bowls, begun, rests);
    }

    /// <summary>Developers on the shelf, volume, weakest first.</summary>
    public IReadOnlyList<double> VolumesOwned =>
        Shelf.OfType<DeveloperProduct>().Select(d => d.Volume.Value).Distinct().Order().ToArray();

    /// <summary>The plan with a change, mixed anew as if nothing were begun; null where it can't be taken.</summary>
    /// <param name="edit">The change.</param>
    /// <param name="cutting">Cuts zones into panels.</param>
    public PlannedMix? After(PlanEdit edit, Cutting cutting)
    {
        ArgumentNullException.ThrowIfNull(edit);
        var applied = Head.Plan.Apply(edit, cutting);
        return applied.Succeeded ? Of(Head.After(applied.Plan, Head.Looks, cutting), Bench, Shelf, []) : null;
    }

    /// <summary>What each formula takes, those that nothing is painted with left away.</summary>
    public IReadOnlyList<FormulaAmount> Formulas() =>
        Head
            .Plan.Formulas.Select(f =>
                (
                    Formula: f,
                    Takes: Takes.Where(t => t.Formula == f.Id).ToArray(),
                    Areas: AreaTakes.Where(t => t.Formula == f.Id).ToArray()
                )
            )
            .Where(f => f.Takes.Length + f.Areas.Length > 0)
            .Select(f => new FormulaAmount(
                f.Formula,
                f.Takes.Select(t => t.Panel).Distinct().ToArray(),
                f.Takes.Sum(t => t.HairGrams) + f.Areas.Sum(t => t.HairGrams),
                f.Takes.Sum(t => t.Grams) + f.Areas.Sum(t => t.Grams),
                MixStock.Cost(
                    MixStock.Needed(
                        Bowls.Where(b => b.Batch.Formula == f.Formula.Id).SelectMany(b => b.Recipe.Ingredients)
                    ),
                    Shelf
                )
            ))
            .ToArray();

    /// <summary>
    /// What is wrong with the bowls, worst first; what was set aside is left away until it matters more.
    /// </summary>
    public IReadOnlyList<Finding> Findings() => AllFindings().Where(f => !Head.IsSetAside(f)).ToArray();

    /// <summary>What is wrong with the bowls, and what was set aside with it.</summary>
    public IReadOnlyList<Finding> AllFindings()
    {
        var open = Bowls.Where(b => b.Begun?.InHand.IsDone != true).SelectMany(Remaining);
        var byClock = ClockFindings.FirstOverBeforeLast(
            Timeline,
            turn => Head.PanelOf(turn.Panel)!.Coats.Where(c => c.Step == turn.Step).Max(c => (double)c.Formula.Minutes)
        );
        var byBowl = MixFindings.Of(
            new MixCase(
                Head.Panels,
                Head.Plan.Formulas,
                Head.Plan.LimitsOf(),
                Bowls.Select(b => b.Batch).ToArray(),
                MixStock.Needed(open),
                Shelf,
                Weighed()
            ),
            Head.Hair
        );
        return [.. byBowl, .. byClock];
    }

    /// <summary>What must lie ready.</summary>
    public IReadOnlyList<TrayItem> Tray() =>
        Mix.Tray.Of(Head.Panels, Head.Hair, Bowls.Select(b => b.Batch).ToArray(), Frames.PiecesOf(Head.Plan.Frame));

    /// <summary>What lies otherwise on the hair for how it was weighed: panels take what is in their bowl.</summary>
    public ActualApplication AsWeighed()
    {
        var laid = ActualApplication.Planned;
        foreach (var bowl in Bowls.Where(b => b.Begun is { InHand.IsDone: true }))
        {
            var came = bowl.Begun!.InHand.AsWeighed(bowl.Begun.Meant);
            foreach (var key in bowl.Batch.Panels)
            {
                var coats = Head.PanelOf(key)!.Coats;
                for (var c = 0; c < coats.Count; c++)
                {
                    if (coats[c].Formula.Id == bowl.Batch.Formula)
                    {
                        laid = laid.With(key, c, new CoatOverride(came));
                    }
                }
            }
        }

        return laid;
    }

    /// <summary>When each coat is laid, as bowls and panels follow one another.</summary>
    public ActualApplication AsTimed() =>
        Timeline.Turns.Aggregate(
            ActualApplication.Planned,
            (laid, turn) =>
                Head.PanelOf(turn.Panel)!
                    .Coats.Select(
                        (c, i) =>
                            (Coat: i, c.Step, Works: new Exposure(new(Math.Min(turn.To, Minutes.Longest)), c.Works.For))
                    )
                    .Where(c => c.Step == turn.Step)
                    .Aggregate(laid, (l, c) => l.With(turn.Panel, c.Coat, new CoatOverride(Works: c.Works)))
        );

    /// <summary>
    /// What restores a bowl of which too much was poured, and whether bowl, plan and shelf can take it; null where
    /// nothing is over.
    /// </summary>
    public Rescuing? Rescue(PlannedBowl bowl)
    {
        ArgumentNullException.ThrowIfNull(bowl);
        if (bowl.Begun?.InHand is not { } hand || hand.Rescue(Bench.BowlGrams) is not { } rescue)
        {
            return null;
        }

        var formula = bowl.Batch.Formula;
        var wanted =
            bowl.Batch.TakenGrams
            + Bowls
                .Where(b => b.Batch.Formula == formula && b.Batch.Ordinal > bowl.Batch.Ordinal)
                .Sum(b => b.Batch.TakenGrams);
        var missing = hand
            .Steps.Select((s, i) => (s.Ingredient.Product, Add: rescue.Adds[i]))
            .Where(a => a.Product is not null && Shelf.FirstOrDefault(p => p.Name == a.Product)?.Stock.OnHand < a.Add)
            .Select(a => a.Product!)
            .ToArray();
        return new(rescue, Math.Max(0, rescue.ProductGrams - wanted), missing);
    }

    private static BowlLimits LimitsOf(Formula formula, BenchRules bench, IReadOnlyList<DeveloperProduct> developers)
    {
        var whole = Recipe.Of(formula, 1, developers).TotalGrams;
        return new(
            formula.WindowMinutes,
            Recipe.LeastGrams(formula, bench.LeastGrams, developers),
            bench.BowlGrams / whole
        );
    }

    private IReadOnlyList<WeighedBowl> Weighed() =>
        Bowls
            .Where(b => b.Begun is not null)
            .Select(b => new WeighedBowl(
                b.Words,
                Head.Plan.FormulaOf(b.Batch.Formula)!,
                b.Begun!.InHand,
                b.Batch.Panels
            ))
            .ToArray();

    private static IEnumerable<Ingredient> Remaining(PlannedBowl bowl) =>
        bowl.Begun is { } begun
            ? begun.InHand.Steps.Select(s => s.Ingredient with { Grams = s.ToGo })
            : bowl.Recipe.Ingredients;
}

/// <summary>What restores an over-poured bowl, and whether all can take it.</summary>
/// <param name="Rescue">What to add, and what that makes.</param>
/// <param name="TooMuchGrams">More than all panels still to be painted with it take, g; 0 where the plan can take
/// it.</param>
/// <param name="Missing">Products of which too little is on the shelf.</param>
public sealed record Rescuing(BowlRescue Rescue, double TooMuchGrams, IReadOnlyList<string> Missing);
