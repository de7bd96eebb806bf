using System.Text.Json.Serialization;
using Wendro.Apply;
using Wendro.Blend;
using Wendro.Host.Work;
using Wendro.Lift;
using Wendro.Mix;
using Wendro.Paint;
using Wendro.Plans;
using Wendro.Section;
using Wendro.Store;
using Wendro.Units;

namespace Wendro.Host.Mix;

/// <summary>One formula, what it takes, what its ratio does.</summary>
/// <param name="Formula">The formula.</param>
/// <param name="Words">What it is, in plain words.</param>
/// <param name="Holds">How the mixture holds, in words.</param>
/// <param name="Strength">Factor on the speed by the ratio: 1 at 1 : 1.5.</param>
/// <param name="RunsFurther">Share of the section that the ratio makes it go further through, 0..0.06.</param>
/// <param name="WindowMinutes">How long a bowl of it lives, minutes.</param>
/// <param name="LimitMinutes">Longest its leaflet allows, minutes; null for a deposit.</param>
/// <param name="IsOpen">Whether any of its panels stays open.</param>
/// <param name="Panels">Panels it is painted on.</param>
/// <param name="HairGrams">Hair it reaches, g.</param>
/// <param name="Grams">Lightener and developer together, waste in it, g.</param>
/// <param name="Cost">What its bowls cost; null where no price is noted.</param>
/// <param name="ShelfDiffers">Whether the shelf says otherwise of its products than the plan was forecast with.</param>
internal sealed record FormulaView(
    Formula Formula,
    string Words,
    string Holds,
    double Strength,
    double RunsFurther,
    double WindowMinutes,
    double? LimitMinutes,
    bool IsOpen,
    IReadOnlyList<PanelKey> Panels,
    double HairGrams,
    double Grams,
    double? Cost,
    bool ShelfDiffers
)
{
    public static FormulaView Of(FormulaAmount a, PlannedMix mix)
    {
        var f = a.Formula;
        return new(
            f,
            f.Words,
            Mixing.Words(f.DeveloperPerPart, f.PeakParts),
            Mixing.Strength(f.DeveloperPerPart, f.PeakParts),
            Mixing.RunsThrough(f),
            f.WindowMinutes,
            f.LimitMinutes,
            mix.Head.Panels.Any(p =>
                p.Coats.Any(c => c.Formula.Id == f.Id && c.Painted.Paint.Covering == Covering.Open)
            ),
            a.Panels,
            a.HairGrams,
            a.Grams,
            a.Cost,
            Differs(f.Light?.Product, f.Light?.Figures, mix.Shelf)
                || Differs(f.Light?.Second?.Product, f.Light?.Second?.Figures, mix.Shelf)
        );
    }

    private static bool Differs(string? product, LightenerFigures? figures, IReadOnlyList<Product> shelf) =>
        shelf.OfType<LightenerProduct>().FirstOrDefault(p => p.Name == product) is { } on && on.Figures() != figures;
}

/// <summary>A finding of the mix, with what mends it.</summary>
internal sealed record MixFindingView(
    string Id,
    string? About,
    FindingKind Kind,
    Severity Severity,
    string Title,
    Sentence Text,
    Sentence Why,
    IReadOnlyList<PanelKey> Panels,
    bool CanDismiss,
    MixFix? Fix,
    string? SetAside
)
{
    public static MixFindingView Of(Finding f, PlannedMix mix) =>
        new(
            f.Id,
            f.Of,
            f.Kind,
            f.Severity,
            f.Title,
            f.Text,
            f.Why,
            f.Panels,
            !f.Kind.KeepsSafe,
            MixFixes.For(f, mix),
            mix.Head.IsSetAside(f) ? mix.Head.Plan.SetAside.First(d => d.Finding == f.Id).Reason : null
        );
}

/// <summary>A thing on the tray.</summary>
internal sealed record TrayView(string Id, string Words, int Count, string Why, bool IsThere);

/// <summary>What the head is forecast to be with the bowls as they were weighed, against what was planned.</summary>
/// <param name="EndsLevelPlanned">Mean level of her ends as planned.</param>
/// <param name="EndsLevel">The same as weighed.</param>
/// <param name="MeanLevelPlanned">Mean level of what is seen as planned.</param>
/// <param name="MeanLevel">The same as weighed.</param>
internal sealed record WeighedForecast(
    double? EndsLevelPlanned,
    double? EndsLevel,
    double MeanLevelPlanned,
    double MeanLevel
);

/// <summary>A lightener to choose, with what a formula of it is forecast with.</summary>
/// <param name="Name">What it is called.</param>
/// <param name="Lightener">What it is made of.</param>
/// <param name="Figures">What its leaflet and the studio say.</param>
/// <param name="Ratios">Usual parts of developer to one of it.</param>
/// <param name="ScoopGrams">What its scoop holds, g.</param>
internal sealed record LightenerOffer(
    string Name,
    Lightener Lightener,
    LightenerFigures Figures,
    IReadOnlyList<double> Ratios,
    double? ScoopGrams
);

/// <summary>An additive to choose, dosed as its leaflet says.</summary>
internal sealed record AdditiveOffer(string Name, Additive Covered, Additive OpenAir);

/// <summary>What the shelf has to mix with.</summary>
internal sealed record Offers(
    IReadOnlyList<LightenerOffer> Lighteners,
    IReadOnlyList<AdditiveOffer> Additives,
    IReadOnlyList<Shade> Shades
)
{
    public static Offers Of(IReadOnlyList<Product> shelf) =>
        new(
            shelf
                .OfType<LightenerProduct>()
                .Select(p => new LightenerOffer(p.Name, p.Type, p.Figures(), p.Ratios, p.ScoopGrams))
                .ToArray(),
            shelf
                .OfType<AdditiveProduct>()
                .Select(p => new AdditiveOffer(p.Name, p.In(openAir: false), p.In(openAir: true)))
                .ToArray(),
            shelf.OfType<ShadeProduct>().Select(p => new Shade(p.Name, p.Depth, p.Reflect, 1)).ToArray()
        );
}

/// <summary>A plan as bowls.</summary>
/// <param name="Client">Her name.</param>
/// <param name="StartsAt">When the visit starts.</param>
/// <param name="Revision">The plan's revision.</param>
/// <param name="Formulas">Formulas that anything is painted with.</param>
/// <param name="HairGrams">Hair they reach, g.</param>
/// <param name="Grams">All of them, waste in it, g.</param>
/// <param name="Usual">What such work usually takes.</param>
/// <param name="Cost">What it costs; null where no price is noted.</param>
/// <param name="Bowls">The bowls on the clock.</param>
/// <param name="Unneeded">Bowls that were begun and the plan no longer needs, in words.</param>
/// <param name="Findings">What is wrong, worst first; what was set aside comes last.</param>
/// <param name="Cautions">Words of care.</param>
/// <param name="Tray">What must lie ready.</param>
/// <param name="Forecast">Where a bowl came out otherwise: what that does; null where none did.</param>
/// <param name="Offers">What the shelf has to mix with.</param>
/// <param name="Steps">The steps of the visit on the clock; one for most visits.</param>
/// <param name="Rinses">When what is rinsed.</param>
/// <param name="ChairMinutes">Minutes in the chair, from the first bowl to the last reading.</param>
internal sealed record MixView(
    string Client,
    DateTimeOffset StartsAt,
    int Revision,
    IReadOnlyList<FormulaView> Formulas,
    double HairGrams,
    double Grams,
    UsualAmount Usual,
    double? Cost,
    IReadOnlyList<BowlView> Bowls,
    IReadOnlyList<string> Unneeded,
    IReadOnlyList<MixFindingView> Findings,
    IReadOnlyList<string> Cautions,
    IReadOnlyList<TrayView> Tray,
    WeighedForecast? Forecast,
    Offers Offers,
    Settling Settling,
    IReadOnlyList<VisitStepView> Steps,
    [property: JsonPropertyName("waves")] IReadOnlyList<RinseOnClock> Rinses,
    double ChairMinutes
)
{
    /// <summary>What is told of a mix.</summary>
    public static MixView Of(MixContext at, HeadCache heads)
    {
        var mix = at.Mix;
        var visit = at.Visit;
        var formulas = mix.Formulas();
        var findings = visit.AllFindings();
        return new(
            at.Work.Visit.Client,
            at.Work.Visit.StartsAt,
            at.Work.Stored.History.Revision,
            formulas.Select(f => FormulaView.Of(f, mix)).ToArray(),
            formulas.Sum(f => f.HairGrams),
            mix.Grams,
            Amounts.Usual(mix.Head.Panels),
            formulas.Any(f => f.Cost is not null) ? formulas.Sum(f => f.Cost ?? 0) : null,
            mix.Bowls.Select(b => BowlView.Of(b, visit, at.Bowls)).ToArray(),
            mix.Left.Select(b => $"{b.Meant.Id}, bowl {b.Ordinal}: {b.InHand.PouredGrams:0.#} g").ToArray(),
            findings.OrderBy(f => mix.Head.IsSetAside(f)).Select(f => MixFindingView.Of(f, mix)).ToArray(),
            PlanCautions.Of(mix.Head),
            mix.Tray().Select(t => new TrayView(t.Id, t.Words, t.Count, t.Why, at.Ticked.Contains(t.Id))).ToArray(),
            findings.Any(f => f.Kind == MixFault.UnevenRecipe) ? Weighed(at, heads) : null,
            Offers.Of(mix.Shelf),
            Settling.Usual,
            VisitStepView.Of(visit),
            visit.Rinses.Select(w => new RinseOnClock(w.StartsAt, w.EndsAt, w.Panels.Count)).ToArray(),
            visit.Minutes
        );
    }

    private static WeighedForecast Weighed(MixContext at, HeadCache heads)
    {
        var planned = at.Mix.Head.Measures;
        var weighed = heads.Make(at.Work.Visit.Hair, at.Mix.Head.Plan, at.Mix.Head, at.Mix.AsWeighed()).Measures;
        return new(planned.EndsLevel, weighed.EndsLevel, planned.MeanLevel, weighed.MeanLevel);
    }
}
