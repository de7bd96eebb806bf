using Wendro.Lift;
using Wendro.Units;

namespace Wendro.Mix;

/// <summary>What a small step thicker or looser takes.</summary>
/// <param name="Ingredient">What to add, from 0.</param>
/// <param name="Grams">How much, g.</param>
/// <param name="Ratio">Parts of developer to one of lightener then.</param>
/// <param name="Holds">How it holds then, in words.</param>
public sealed record Adjusting(int Ingredient, double Grams, double Ratio, string Holds);

/// <summary>Where the weighing of one ingredient stands.</summary>
public enum StepState
{
    Waiting,
    Short,
    Met,
    Over,
}

/// <summary>One ingredient while it is weighed.</summary>
/// <param name="Ingredient">What.</param>
/// <param name="TargetGrams">How much is to be in the bowl, g: raised when a ratio is restored.</param>
/// <param name="PouredGrams">How much is in it, g.</param>
/// <param name="State">Where it stands.</param>
public sealed record BowlStep(Ingredient Ingredient, double TargetGrams, double PouredGrams, StepState State)
{
    /// <summary>What is still to be poured, g; 0 where nothing is.</summary>
    public double ToGo => Math.Max(0, TargetGrams - PouredGrams);

    /// <summary>A weight this much off counts as met, g.</summary>
    public double ToleranceGrams => BenchRules.Tolerance(TargetGrams);
}

/// <summary>What would restore the ratio after too much went in.</summary>
/// <param name="Adds">What to add of each ingredient, g, in their order.</param>
/// <param name="ProductGrams">Lightener and developer together then, g.</param>
/// <param name="TotalGrams">All that is in the bowl then, g.</param>
/// <param name="Fits">Whether the bowl holds it.</param>
/// <param name="RatioIfKept">Parts of developer to one of lightener if it stays as it is and the rest is poured as
/// meant.</param>
public sealed record BowlRescue(
    IReadOnlyList<double> Adds,
    double ProductGrams,
    double TotalGrams,
    bool Fits,
    double RatioIfKept
);

/// <summary>A bowl being weighed: its recipe, and all that happened to it.</summary>
public sealed class BowlInHand
{
    private BowlInHand(Recipe recipe, IReadOnlyList<BowlStep> steps, double? tare, bool kept, double raised)
    {
        Recipe = recipe;
        Steps = steps;
        TareGrams = tare;
        IsKept = kept;
        Raised = raised;
    }

    /// <summary>What was meant.</summary>
    public Recipe Recipe { get; }

    /// <summary>Where each ingredient stands.</summary>
    public IReadOnlyList<BowlStep> Steps { get; }

    /// <summary>What the scale showed with the empty bowl, g; null while it was not put on.</summary>
    public double? TareGrams { get; }

    /// <summary>Whether a ratio that is off was kept.</summary>
    public bool IsKept { get; }

    /// <summary>By what factor the bowl grew to restore its ratio, 1 or more.</summary>
    public double Raised { get; }

    /// <summary>All that is in it, g.</summary>
    public double PouredGrams => Steps.Sum(s => s.PouredGrams);

    /// <summary>Lightener, or colour, in it, g.</summary>
    public double LightenerGrams =>
        Steps.Where(s => s.Ingredient.Role is Role.Lightener or Role.Colour).Sum(s => s.PouredGrams);

    /// <summary>Developer in it, g.</summary>
    public double DeveloperGrams => Steps.Where(s => s.Ingredient.Role == Role.Developer).Sum(s => s.PouredGrams);

    /// <summary>Lightener and developer in it, g.</summary>
    public double ProductGrams => LightenerGrams + DeveloperGrams;

    /// <summary>What the scale should show before the next pour, g; null where no bowl was put on.</summary>
    public double? GrossGrams => TareGrams + PouredGrams;

    /// <summary>
    /// The ingredient to pour next, from 0; null where all is in, or too much of one waits for a word.
    /// </summary>
    public int? Next => IsOver ? null : First(s => s.State is StepState.Waiting or StepState.Short);

    /// <summary>The ingredient of which too much went in, from 0; null for none that waits for a word.</summary>
    public int? Over => First(s => s.State == StepState.Over);

    /// <summary>Whether all of it is in.</summary>
    public bool IsDone => Next is null && Over is null;

    private bool IsOver => Over is not null;

    /// <summary>Where a bowl stands after all that happened to it.</summary>
    public static BowlInHand Of(Recipe recipe, IReadOnlyList<BowlEvent> events)
    {
        ArgumentNullException.ThrowIfNull(recipe);
        ArgumentNullException.ThrowIfNull(events);
        var standing = new List<BowlEvent>();
        foreach (var e in events)
        {
            if (e is not TakenBack)
            {
                standing.Add(e);
            }
            else if (standing.FindLastIndex(s => s is not Tared) is >= 0 and var last)
            {
                standing.RemoveAt(last);
            }
        }

        var poured = new double[recipe.Ingredients.Count];
        var kept = new double[recipe.Ingredients.Count];
        var (tare, raised) = ((double?)null, 1.0);
        foreach (var e in standing)
        {
            switch (e)
            {
                case Tared t:
                    tare = t.GrossGrams;
                    break;
                case Poured p:
                    poured[p.Ingredient] += p.Grams;
                    break;
                case Restored:
                    raised = Math.Max(
                        raised,
                        Proportions.Restore(recipe.Ingredients.Select(i => i.Grams).ToArray(), poured).GramsAPart
                    );
                    break;
                case Adjusted a:
                    poured[a.Ingredient] += a.Grams;
                    kept[a.Ingredient] = poured[a.Ingredient];
                    break;
                case KeptAsIs:
                    poured.CopyTo(kept, 0);
                    break;
            }
        }

        var steps = recipe
            .Ingredients.Select(
                (ingredient, i) =>
                {
                    var target = ingredient.Grams * raised;
                    var tolerance = BenchRules.Tolerance(target);
                    var state =
                        poured[i] > Math.Max(target, kept[i]) + tolerance + 1e-9 ? StepState.Over
                        : poured[i] >= target - tolerance - 1e-9 ? StepState.Met
                        : poured[i] > 0 ? StepState.Short
                        : StepState.Waiting;
                    return new BowlStep(ingredient, target, poured[i], state);
                }
            )
            .ToArray();
        return new(recipe, steps, tare, kept.Any(k => k > 0), raised);
    }

    /// <summary>What can't happen to this bowl now, by field; nothing where it can.</summary>
    public IReadOnlyList<Problem> Against(BowlEvent next)
    {
        switch (next)
        {
            case Tared { GrossGrams: var gross } when !(gross is >= 0 and <= 10_000):
                return [new("grossGrams", "Between 0 and 10,000 g.")];
            case Tared when PouredGrams > 0:
                return [new("kind", "Something is in the bowl already: take it back first.")];
            case Poured p when p.Ingredient < 0 || p.Ingredient >= Steps.Count:
                return [new("ingredient", $"Between 0 and {Steps.Count - 1}.")];
            case Poured { Grams: var grams } when !(grams is > 0 and <= 5_000):
                return [new("grams", "Above 0, up to 5,000 g.")];
            case Poured { How: var how } when !Enum.IsDefined(how):
                return [new("how", "One of scale, typed.")];
            case Poured p when IsOver && p.Ingredient != Over:
                return [new("kind", "Too much of one thing is in the bowl: restore the ratio, or keep it as it is.")];
            case Adjusted a when a.Ingredient < 0 || a.Ingredient >= Steps.Count:
                return [new("ingredient", $"Between 0 and {Steps.Count - 1}.")];
            case Adjusted { Grams: var grams } when !(grams is > 0 and <= 500):
                return [new("grams", "Above 0, up to 500 g.")];
            case Adjusted { How: var how } when !Enum.IsDefined(how):
                return [new("how", "One of scale, typed.")];
            case Adjusted when !IsDone:
                return [new("kind", "Weigh all of it first: then it can be thickened or loosened.")];
            case Restored or KeptAsIs when !IsOver:
                return [new("kind", "There is not too much of anything.")];
            case TakenBack when PouredGrams <= 0:
                return [new("kind", "There is nothing to take back.")];
            default:
                return [];
        }
    }

    /// <summary>What would restore the ratio; null where nothing is over.</summary>
    /// <param name="holdsGrams">What the bowl holds in all, g.</param>
    public BowlRescue? Rescue(double holdsGrams)
    {
        if (!IsOver)
        {
            return null;
        }

        var (factor, adds) = Proportions.Restore(
            Steps.Select(s => s.Ingredient.Grams).ToArray(),
            Steps.Select(s => s.PouredGrams).ToArray()
        );
        var total = Recipe.TotalGrams * factor;
        return new(
            adds,
            Recipe.ProductGrams * factor,
            total,
            total <= holdsGrams + 1e-9,
            Meant(Role.Developer) / (Meant(Role.Lightener) + Meant(Role.Colour))
        );
    }

    /// <summary>A step thicker or looser, parts of developer to one. Model assumption: what a hand can tell.</summary>
    public const double StepParts = 0.1;

    /// <summary>What makes it a step thicker; null while it is not mixed, or where nothing does.</summary>
    /// <param name="peak">Parts of developer at which it holds a soft peak.</param>
    public Adjusting? Thicker(double peak) =>
        IsDone && LightenerGrams > 0 && DeveloperGrams / LightenerGrams - StepParts is > StepParts and var ratio
            ? Towards(Role.Lightener, ratio, DeveloperGrams / ratio - LightenerGrams, peak)
            : null;

    /// <summary>What makes it a step looser; null while it is not mixed.</summary>
    /// <param name="peak">Parts of developer at which it holds a soft peak.</param>
    public Adjusting? Looser(double peak) =>
        IsDone && LightenerGrams > 0 && DeveloperGrams / LightenerGrams + StepParts is var ratio
            ? Towards(Role.Developer, ratio, LightenerGrams * ratio - DeveloperGrams, peak)
            : null;

    private Adjusting? Towards(Role role, double ratio, double grams, double peak) =>
        First(s => s.Ingredient.Role == role || (role == Role.Lightener && s.Ingredient.Role == Role.Colour)) is { } at
            ? new(at, grams, ratio, Mixing.Words(ratio, peak))
            : null;

    private double Meant(Role role) =>
        Steps.Where(s => s.Ingredient.Role == role).Sum(s => Math.Max(s.PouredGrams, s.TargetGrams));

    /// <summary>The formula as it came out of this bowl: what the hair will get.</summary>
    /// <param name="formula">As it was meant.</param>
    public Formula AsWeighed(Formula formula)
    {
        ArgumentNullException.ThrowIfNull(formula);
        if (LightenerGrams <= 0 || DeveloperGrams <= 0)
        {
            return formula;
        }

        var developers = Steps
            .Where(s => s.Ingredient.Volume is not null && s.PouredGrams > 0)
            .Select(s => new DeveloperPart(new Volume(s.Ingredient.Volume!.Value), s.PouredGrams))
            .ToArray();
        var lighteners = Steps.Where(s => s.Ingredient.Role is Role.Lightener or Role.Colour).ToArray();
        var ratio = DeveloperGrams / LightenerGrams;
        var meant = formula.DeveloperPerPart;
        var weighed = formula with
        {
            Parts = 1,
            DeveloperParts = ratio,
            Volume = Units.Volume.Clamp(Developer.VolumeOf(developers)),
            Mixture = formula.Mixture switch
            {
                LightenerMixture light => AsWeighed(light, lighteners),
                DepositMixture deposit => AsWeighed(deposit, lighteners),
                _ => throw new ArgumentOutOfRangeException(nameof(formula)),
            },
            Consistency =
                Mixing.ConsistencyOf(ratio, formula.PeakParts) == Mixing.ConsistencyOf(meant, formula.PeakParts)
                    ? formula.Consistency
                    : Mixing.ConsistencyOf(ratio, formula.PeakParts),
        };
        return weighed.Told();
    }

    private LightenerMixture AsWeighed(LightenerMixture light, BowlStep[] lighteners)
    {
        var dose = Steps.FirstOrDefault(s => s.Ingredient.Role == Role.Additive)?.PouredGrams / LightenerGrams;
        return light with
        {
            Second =
                light.Second is { } second && lighteners.Length == 2
                    ? second with
                    {
                        Share = lighteners[1].PouredGrams / LightenerGrams,
                    }
                    : light.Second,
            Additive = (light.Additive, dose) switch
            {
                ({ } meant, { } given) when given > 0 => meant with
                {
                    GramsPerGram = given,
                    Slows = Math.Min(Additive.SlowsMost, meant.Slows * given / meant.GramsPerGram),
                },
                ({ }, { }) => null,
                _ => light.Additive,
            },
        };
    }

    private static DepositMixture AsWeighed(DepositMixture deposit, BowlStep[] colours) =>
        deposit with
        {
            Shades = deposit.Shades is { } mix
                ? new(
                    mix.Shades.Select((s, i) => s with { Parts = colours[i].PouredGrams })
                        .Where(s => s.Parts > 0)
                        .ToArray()
                )
                : null,
        };

    private int? First(Func<BowlStep, bool> holds)
    {
        for (var i = 0; i < Steps.Count; i++)
        {
            if (holds(Steps[i]))
            {
                return i;
            }
        }

        return null;
    }
}
