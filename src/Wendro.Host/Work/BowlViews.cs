using Wendro.Apply;
using Wendro.Mix;
using Wendro.Plans;
using Wendro.Section;
using Wendro.Store;
using Wendro.Units;

namespace Wendro.Host.Work;

/// <summary>One ingredient and where its weighing stands.</summary>
internal sealed record StepView(
    Ingredient Ingredient,
    double TargetGrams,
    double PouredGrams,
    double ToGoGrams,
    double ToleranceGrams,
    StepState State
)
{
    public static StepView Of(BowlStep s) =>
        new(s.Ingredient, s.TargetGrams, s.PouredGrams, s.ToGo, s.ToleranceGrams, s.State);
}

/// <summary>A bowl that was begun.</summary>
/// <param name="Id">Its id.</param>
/// <param name="Events">How much has happened to it: said with what happens next.</param>
/// <param name="TareGrams">What the scale showed with the empty bowl, g.</param>
/// <param name="GrossGrams">What the scale should show now, g.</param>
/// <param name="Next">The ingredient to pour next, from 0; null for none.</param>
/// <param name="Over">The ingredient of which there is too much, from 0; null for none.</param>
/// <param name="IsDone">Whether all is in.</param>
/// <param name="IsKept">Whether a ratio that is off was kept.</param>
/// <param name="RatioNow">Parts of developer to one of lightener as it is; null while one is missing.</param>
/// <param name="Rescue">What restores it, where too much was poured.</param>
/// <param name="Thicker">What makes a mixed bowl a step thicker; null while it is not mixed.</param>
/// <param name="Looser">What makes it a step looser; null while it is not mixed.</param>
internal sealed record BegunView(
    Guid Id,
    int Events,
    double? TareGrams,
    double? GrossGrams,
    int? Next,
    int? Over,
    bool IsDone,
    bool IsKept,
    double? RatioNow,
    Rescuing? Rescue,
    Adjusting? Thicker,
    Adjusting? Looser
)
{
    public static BegunView Of(Guid id, int events, BowlInHand hand, Rescuing? rescue, double peak) =>
        new(
            id,
            events,
            hand.TareGrams,
            hand.GrossGrams,
            hand.Next,
            hand.Over,
            hand.IsDone,
            hand.IsKept,
            hand.LightenerGrams > 0 && hand.DeveloperGrams > 0 ? hand.DeveloperGrams / hand.LightenerGrams : null,
            rescue,
            hand.Thicker(peak),
            hand.Looser(peak)
        );
}

/// <summary>One bowl on the clock.</summary>
internal sealed record BowlView(
    int Number,
    FormulaId Formula,
    int Ordinal,
    double Grams,
    double ExtraGrams,
    double TakenGrams,
    double TotalGrams,
    double MixAtMinute,
    double ReadyAtMinute,
    double PaintedUntilMinute,
    double LivesUntilMinute,
    bool Outlived,
    IReadOnlyList<PanelKey> Panels,
    IReadOnlyList<StepView> Steps,
    string? Missing,
    BegunView? Begun
)
{
    public static BowlView Of(PlannedBowl bowl, VisitOnClock visit, IReadOnlyList<StoredBowl> stored)
    {
        var (b, clock, mix) = (bowl.Batch, visit.On(bowl), visit.Mix);
        var row = stored.FirstOrDefault(s => s.Formula == b.Formula && s.Ordinal == b.Ordinal);
        var hand = row?.InHand;
        var steps = (hand ?? BowlInHand.Of(bowl.Recipe, [])).Steps;
        return new(
            bowl.Number,
            b.Formula,
            b.Ordinal,
            b.Grams,
            b.ExtraGrams,
            b.TakenGrams,
            steps.Sum(s => s.TargetGrams),
            clock.MixAt,
            clock.ReadyAt,
            clock.PaintedUntil,
            clock.LivesUntil,
            b.Outlived,
            b.Panels,
            steps.Select(StepView.Of).ToArray(),
            bowl.Recipe.Missing,
            row is null || hand is null
                ? null
                : BegunView.Of(
                    row.Id,
                    row.Events.Count,
                    hand,
                    mix.Rescue(bowl),
                    mix.Head.Plan.FormulaOf(b.Formula)!.PeakParts
                )
        );
    }

    /// <summary>A toner's bowl: weighed like any, and used at once.</summary>
    /// <param name="number">Its number, from 1.</param>
    /// <param name="recipe">What is to go into it.</param>
    /// <param name="hand">Where it stands.</param>
    /// <param name="events">How much has happened to it.</param>
    /// <param name="rescue">What restores it, where too much was poured.</param>
    /// <param name="peak">Parts of developer at which it holds.</param>
    public static BowlView OfToner(
        int number,
        Recipe recipe,
        BowlInHand hand,
        int events,
        Rescuing? rescue,
        double peak
    ) =>
        new(
            number,
            FormulaId.A,
            number,
            recipe.TotalGrams,
            0,
            recipe.TotalGrams,
            hand.Steps.Sum(s => s.TargetGrams),
            0,
            0,
            0,
            0,
            false,
            [],
            hand.Steps.Select(StepView.Of).ToArray(),
            recipe.Missing,
            BegunView.Of(Guid.Empty, events, hand, rescue, peak)
        );
}
