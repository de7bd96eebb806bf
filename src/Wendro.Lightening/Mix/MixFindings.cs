using Wendro.Blend;
using Wendro.Fall;
using Wendro.Lift;
using Wendro.Paint;
using Wendro.Section;
using Wendro.Units;

namespace Wendro.Mix;

/// <summary>A bowl that was weighed, and what was meant.</summary>
/// <param name="Words">Which bowl: "bowl 2".</param>
/// <param name="Meant">The formula as the plan has it now.</param>
/// <param name="Bowl">What is in it.</param>
/// <param name="Panels">The panels it serves.</param>
public sealed record WeighedBowl(string Words, Formula Meant, BowlInHand Bowl, IReadOnlyList<PanelKey> Panels);

/// <summary>What a second pair of eyes looks at before anything is mixed.</summary>
/// <param name="Panels">All panels.</param>
/// <param name="Formulas">The plan's formulas.</param>
/// <param name="Limits">What counts as wrong.</param>
/// <param name="Batches">The bowls.</param>
/// <param name="Needed">What is still to be weighed of each product, g.</param>
/// <param name="Shelf">What the studio owns.</param>
/// <param name="Weighed">Bowls that were weighed.</param>
public sealed record MixCase(
    IReadOnlyList<PlannedPanel> Panels,
    IReadOnlyList<Formula> Formulas,
    FindingLimits Limits,
    IReadOnlyList<Batch> Batches,
    IReadOnlyDictionary<string, double> Needed,
    IReadOnlyList<Product> Shelf,
    IReadOnlyList<WeighedBowl> Weighed
)
{
    /// <summary>Coats of a formula with their panels.</summary>
    public IEnumerable<(PlannedPanel Panel, Coat Coat)> CoatsOf(Formula formula) =>
        Panels.SelectMany(p => p.Coats.Where(c => c.Formula.Id == formula.Id).Select(c => (p, c)));

    /// <summary>Formulas that anything is painted with.</summary>
    public IReadOnlyList<Formula> Used { get; } =
        Formulas.Where(f => Panels.Any(p => p.Coats.Any(c => c.Formula.Id == f.Id))).ToArray();
}

/// <summary>What is wrong with the bowls, worst first: one rule each.</summary>
public static class MixFindings
{
    /// <summary>A ratio off by more than this is not what was planned, share. Model assumption.</summary>
    public const double UnevenShare = 0.05;

    /// <summary>A developer off by more than this is not what was planned, volume. Model assumption.</summary>
    public const double UnevenVolume = 1;

    /// <summary>Lift an additive takes from which it is worth a word, levels. Model assumption.</summary>
    public const double AdditiveTakes = 0.1;

    private static readonly Func<MixCase, IEnumerable<Finding>>[] Rules =
    [
        BowlOutlives,
        UnevenRecipe,
        RunnyForDepth,
        StrengthOverScalp,
        HeatAgainstLeaflet,
        PastLeaflet,
        NoSuchDeveloper,
        MixStock.NotEnough,
        MixStock.RunsLow,
    ];

    /// <summary>All findings; what an additive takes needs her hair and is asked by itself.</summary>
    public static IReadOnlyList<Finding> Of(MixCase mix, Hair.HairProfile hair)
    {
        ArgumentNullException.ThrowIfNull(mix);
        return Rules
            .SelectMany(rule => rule(mix))
            .Concat(AdditiveLowersLift(mix, hair))
            .OrderBy(f => f.Severity)
            .ThenBy(f => f.Kind.Order)
            .ToArray();
    }

    private static IEnumerable<Finding> BowlOutlives(MixCase mix)
    {
        foreach (var bowls in mix.Batches.Where(b => b.Outlived).GroupBy(b => b.Formula))
        {
            var worst = bowls.MaxBy(b => b.PaintedUntil - b.LivesUntil)!;
            var keys = bowls.SelectMany(b => b.Panels).Distinct().ToArray();
            yield return About(
                MixFault.BowlOutlives,
                Severity.Alarm,
                "A bowl expires before it is used",
                $"A bowl of {bowls.Key} ends after {worst.LivesUntil - worst.ReadyAt:0.#} min; one panel alone "
                    + $"keeps it in use for {worst.PaintedUntil - worst.ReadyAt:0.#} min.",
                "A bowl's time counts from when it is mixed; bowls are split between panels, not within one. Cut "
                    + "the panel narrower or shorter, or take what lives longer.",
                keys,
                bowls.Key.ToString(),
                new Figure("past its time", worst.PaintedUntil - worst.LivesUntil, "min")
            );
        }
    }

    private static IEnumerable<Finding> UnevenRecipe(MixCase mix)
    {
        foreach (var weighed in mix.Weighed.Where(w => w.Bowl.IsDone))
        {
            var came = weighed.Bowl.AsWeighed(weighed.Meant);
            var off = came.DeveloperPerPart / weighed.Meant.DeveloperPerPart - 1;
            var volume = came.Volume - weighed.Meant.Volume;
            var other =
                weighed.Bowl.Recipe.Ingredients[0].Product is { } was
                && weighed.Meant.Light?.Product is { } product
                && was != product
                    ? was
                    : null;
            if (Math.Abs(off) <= UnevenShare && Math.Abs(volume) <= UnevenVolume && other is null)
            {
                continue;
            }

            yield return About(
                MixFault.UnevenRecipe,
                Math.Abs(off) > 3 * UnevenShare || Math.Abs(volume) > 3 * UnevenVolume
                    ? Severity.Alarm
                    : Severity.Caution,
                "Not the recipe that was planned",
                $"{Sentence.Capital(weighed.Words)} came out 1 : {came.DeveloperPerPart:0.00} with "
                    + $"{came.Volume.Value:0.#} vol instead of 1 : {weighed.Meant.DeveloperPerPart:0.00} with "
                    + $"{weighed.Meant.Volume.Value:0.#} vol: "
                    + Mixing.Words(came.DeveloperPerPart, came.PeakParts)
                    + (other is null ? "." : $". It holds {other}; the plan says {weighed.Meant.Light?.Product}."),
                $"Weights as they were kept. Off by more than {UnevenShare:P0} in ratio or {UnevenVolume:0} vol.",
                weighed.Panels,
                weighed.Words,
                new Figure("ratio off by", off, "share"),
                new Figure("developer off by", volume, "vol")
            );
        }
    }

    private static IEnumerable<Finding> RunnyForDepth(MixCase mix)
    {
        foreach (var formula in mix.Used.Where(f => !f.IsDeposit))
        {
            var loose = (formula.Consistency == Consistency.Runny ? 1 : 0) + Mixing.RunsThrough(formula);
            var deep = mix.CoatsOf(formula)
                .Where(c =>
                    BleedFindings.LiesOverOthers(c.Coat)
                    && BleedFindings.Through(c.Coat, c.Panel.Panel) >= mix.Limits.BleedShare
                )
                .ToArray();
            if (loose <= 0 || deep.Length == 0)
            {
                continue;
            }

            var most = deep.Max(c => BleedFindings.Through(c.Coat, c.Panel.Panel));
            yield return About(
                MixFault.RunnyForDepth,
                Severity.Caution,
                $"{formula.Id} is too loose for how deep it goes",
                $"1 : {formula.DeveloperPerPart:0.##} is "
                    + $"{Mixing.Words(formula.DeveloperPerPart, formula.PeakParts)}; on "
                    + $"{Findings.Panels(deep.Length).ToLowerInvariant()} in open air it goes "
                    + $"{BleedFindings.HowFar(most)} the section.",
                $"Deepest stroke by thickness, and what a loose mixture adds; {mix.Limits.BleedShare:P0} and "
                    + $"more may come through.",
                deep.Select(c => c.Panel.Panel.Key).ToArray(),
                formula.Id.ToString(),
                new Figure("reaches", most, "share")
            );
        }
    }

    private static IEnumerable<Finding> StrengthOverScalp(MixCase mix)
    {
        foreach (var formula in mix.Used.Where(f => f.KeepsOffScalp))
        {
            var near = mix.CoatsOf(formula).Where(c => c.Coat.Painted.StartCm < mix.Limits.ScalpCm).ToArray();
            if (near.Length == 0)
            {
                continue;
            }

            var strong = formula.Volume > LiftTables.ScalpVolume;
            yield return About(
                MixFault.StrengthOverScalp,
                Severity.Alarm,
                strong ? "Too strong for the scalp" : "Not made for the scalp",
                $"{formula.Id} ({formula.Words}) begins "
                    + $"{Quantity.Cm(near.Min(c => c.Coat.Painted.StartCm), "0.0")} from the scalp on "
                    + $"{Findings.Panels(near.Length).ToLowerInvariant()}.",
                $"Over {LiftTables.ScalpVolume:0} vol, and whatever its leaflet does not allow there, stays "
                    + $"{Quantity.Cm(mix.Limits.ScalpCm, "0.0")} off the scalp. The leaflet rules.",
                near.Select(c => c.Panel.Panel.Key).ToArray(),
                formula.Id.ToString(),
                new Figure("developer", formula.Volume, "vol")
            );
        }
    }

    private static IEnumerable<Finding> HeatAgainstLeaflet(MixCase mix)
    {
        foreach (
            var formula in mix.Used.Where(f =>
                f.LowHeat && f.Light?.FiguresOf().ExcludesHeat == true && !f.HeatConfirmed
            )
        )
        {
            yield return About(
                MixFault.HeatAgainstLeaflet,
                Severity.Alarm,
                "Heat against the leaflet",
                $"{formula.Id} ({formula.Words}) is planned with low heat; "
                    + (
                        formula.Light?.Figures is null
                            ? "many leaflets of such products exclude it."
                            : "its leaflet excludes it."
                    ),
                "Heat speeds the lift and dries the film. Never against the leaflet: read it, then confirm that "
                    + "it allows heat, or use none.",
                mix.CoatsOf(formula).Select(c => c.Panel.Panel.Key).ToArray(),
                formula.Id.ToString(),
                new Figure("warmer by", LiftTables.LowHeatDegrees, "°C")
            );
        }
    }

    private static IEnumerable<Finding> PastLeaflet(MixCase mix)
    {
        foreach (var formula in mix.Used.Where(f => f.Minutes > f.LimitMinutes))
        {
            var limit = formula.LimitMinutes;
            yield return About(
                MixFault.PastLeaflet,
                Severity.Alarm,
                "Longer than the leaflet allows",
                $"{formula.Id} ({formula.Words}) is rinsed after {formula.Minutes.Value:0} min; "
                    + (formula.Light?.Figures is null ? "most leaflets end" : "its leaflet ends")
                    + $" at {limit:0} min.",
                "Never past the leaflet's time.",
                mix.CoatsOf(formula).Select(c => c.Panel.Panel.Key).ToArray(),
                formula.Id.ToString(),
                new Figure("minutes", formula.Minutes, "min")
            );
        }
    }

    private static IEnumerable<Finding> NoSuchDeveloper(MixCase mix)
    {
        var developers = mix.Shelf.OfType<DeveloperProduct>().ToArray();
        foreach (var formula in mix.Used)
        {
            if (Recipe.Of(formula, 100, developers).Missing is { } missing)
            {
                yield return About(
                    MixFault.NoSuchDeveloper,
                    Severity.Caution,
                    "Nothing at hand makes this developer",
                    missing,
                    "A developer in between is blended from a weaker and a stronger one, by mass.",
                    [],
                    formula.Id.ToString(),
                    new Figure("wanted", formula.Volume, "vol")
                );
            }
        }
    }

    private static IEnumerable<Finding> AdditiveLowersLift(MixCase mix, Hair.HairProfile hair)
    {
        foreach (var formula in mix.Used)
        {
            if (formula.Light?.Additive is not { Slows: > 0 } additive)
            {
                continue;
            }

            var lost = mix.CoatsOf(formula).Select(c => (c.Panel, Lost: Lost(c.Panel, c.Coat, hair))).ToArray();
            var most = lost.Max(l => l.Lost);
            if (most >= AdditiveTakes)
            {
                yield return About(
                    MixFault.AdditiveLowersLift,
                    Severity.Note,
                    "The additive takes some lift",
                    $"{additive.Product ?? "The bond additive"} slows {formula.Id} by "
                        + $"{additive.Slows:P0}: up to {most:0.0} level less after {formula.Minutes.Value:0} "
                        + $"min. The forecast has it in it; {formula.Minutes.Value / (1 - additive.Slows):0} min give "
                        + "it back, within the leaflet's time.",
                    "Lift with and without it, same minutes. Dose and leaflet say how much it slows; less is "
                        + "used in open air.",
                    lost.Where(l => l.Lost >= AdditiveTakes).Select(l => l.Panel.Panel.Key).ToArray(),
                    formula.Id.ToString(),
                    new Figure("less", most, "level")
                );
            }
        }
    }

    private static double Lost(PlannedPanel panel, Coat coat, Hair.HairProfile hair)
    {
        var zone = panel.Panel.Key.Zone;
        var state = Hair.HairState.Of(hair.In(zone))[0];
        double Gain(Formula f) => (coat with { Formula = f }).LiftingOf(hair, zone, state)!.Gain(coat.Works.For.Value);
        return Gain(coat.Formula.Lightened(l => l with { Additive = null })) - Gain(coat.Formula);
    }

    internal static Finding About(
        FindingKind kind,
        Severity severity,
        string title,
        Sentence text,
        Sentence why,
        IReadOnlyList<PanelKey> panels,
        string of,
        params Figure[] evidence
    ) =>
        new(
            kind,
            severity,
            title,
            text,
            why,
            panels.Select(p => p.Zone).Distinct().ToArray(),
            panels,
            Wear.Down,
            evidence,
            Of: of
        );
}
