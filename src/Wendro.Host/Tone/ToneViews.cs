using Wendro.Colour;
using Wendro.Host.Work;
using Wendro.Mix;
using Wendro.Plans;
using Wendro.Section;
using Wendro.Toning;
using Wendro.Units;

namespace Wendro.Host.Tone;

/// <summary>An area at toning.</summary>
/// <param name="Area">What was chosen.</param>
/// <param name="Where">Which stretch, in words.</param>
/// <param name="Panels">The panels it takes.</param>
/// <param name="Shades">What is in its bowl, in words.</param>
/// <param name="HairGrams">Hair it reaches, g.</param>
/// <param name="Grams">Mixed product, waste in it, g.</param>
/// <param name="Ingredients">What is weighed.</param>
/// <param name="Missing">A developer that nothing at hand makes, in words; null where all is there.</param>
/// <param name="InBowl">Its bowl on the scale: where each weight stands.</param>
/// <param name="Forecast">What becomes of it; none where it takes no hair.</param>
/// <param name="Seen">How its distance from what is wanted is seen, in words.</param>
/// <param name="OnAtMinute">When it is on, minutes from the first touch.</param>
/// <param name="OnAt">When its toner was put on; null while it isn't.</param>
/// <param name="OffAt">When it was rinsed; null while it isn't.</param>
/// <param name="DueAt">When it is to be rinsed; null while none is on.</param>
/// <param name="Looks">What it looked like when it was last wiped.</param>
internal sealed record ToneAreaView(
    ToneArea Area,
    Sentence Where,
    IReadOnlyList<PanelKey> Panels,
    string Shades,
    double HairGrams,
    double Grams,
    IReadOnlyList<Ingredient> Ingredients,
    string? Missing,
    BowlView InBowl,
    IReadOnlyList<AreaForecast> Forecast,
    string Seen,
    double OnAtMinute,
    DateTimeOffset? OnAt,
    DateTimeOffset? OffAt,
    DateTimeOffset? DueAt,
    WipeResult? Looks
);

/// <summary>A way of toning of the studio's own.</summary>
internal sealed record OwnToner(Guid Id, string Name, TonePlan Plan);

/// <summary>The toning as it stands.</summary>
/// <param name="Facts">How many facts there are.</param>
/// <param name="Now">The server's time.</param>
/// <param name="Verdict">What it comes to, in a sentence.</param>
/// <param name="Besides">What it does besides: to grey, to copper, of face against lengths.</param>
/// <param name="Plan">How the head is toned.</param>
/// <param name="Areas">The areas in the order they are put on.</param>
/// <param name="Minutes">Minutes from the first touch until all is rinsed.</param>
/// <param name="Findings">What to mind, worst first.</param>
/// <param name="Starts">Ways to begin; none where something is chosen.</param>
/// <param name="Ours">Ways of the studio's own to begin; none where something is chosen.</param>
/// <param name="More">Areas that can be added; none where nothing is chosen, or no more fit.</param>
/// <param name="Shelf">Shades the studio owns, each as a bowl of its own.</param>
/// <param name="IsRead">Whether what came out was read: else it is the forecast that is toned.</param>
/// <param name="IsDone">Whether every area was put on and rinsed.</param>
/// <param name="LastFact">The number of the last fact that stands; null where it is a pour, taken back at its
/// bowl.</param>
/// <param name="Settling">When a weight on the scale stands.</param>
/// <param name="LengthCm">Length of the strand that is shown, cm.</param>
/// <param name="RawStrand">Its colours from the scalp to the ends before any toner, #rrggbb.</param>
/// <param name="TonedStrand">The same, toned.</param>
internal sealed record ToneView(
    int Facts,
    DateTimeOffset Now,
    Sentence Verdict,
    IReadOnlyList<Sentence> Besides,
    TonePlan Plan,
    IReadOnlyList<ToneAreaView> Areas,
    double Minutes,
    IReadOnlyList<ToneFinding> Findings,
    IReadOnlyList<ToneStart> Starts,
    IReadOnlyList<OwnToner> Ours,
    IReadOnlyList<ToneArea> More,
    IReadOnlyList<ToneBowl> Shelf,
    bool IsRead,
    bool IsDone,
    int? LastFact,
    Settling Settling,
    double LengthCm,
    IReadOnlyList<string> RawStrand,
    IReadOnlyList<string> TonedStrand
)
{
    public static ToneView Of(ToneContext at, DateTimeOffset now)
    {
        var plan = at.Toning.Plan;
        var forecasts = plan.Areas.Select(a => AreaForecast.Of(at.Hair, a)).ToArray();
        var hair = plan.Areas.Select(at.Hair.HairOf).ToArray();
        var clock = ToneClock.Of(plan.Areas.Select((a, i) => (a, ToneClock.LayMinutes(hair[i].ScalpCm2))).ToArray());
        var areas = plan
            .Areas.Select((a, i) => AreaOf(at, a, i + 1, forecasts[i], hair[i].HairGrams, clock.Slots[i].OnAt))
            .ToArray();
        var told = forecasts.OfType<AreaForecast>().ToArray();
        var (length, raw, toned) = at.Hair.Strand(plan);
        return new(
            at.Facts.Count,
            now,
            ToneVerdict.Of(told),
            ToneSideEffects.Of(told, at.Review.Planned.Hair.GreyShare),
            plan,
            areas,
            clock.RinseAt,
            ToneFindings.Of(plan, told, clock, at.Shelf),
            plan.Areas.Count == 0 ? ToneStart.Of(at.Hair, at.Shelf) : [],
            plan.Areas.Count == 0 ? at.Ours.Select(t => new OwnToner(t.Id, t.Name, t.Plan)).ToArray() : [],
            ToneStart.More(plan, at.Hair, at.Shelf),
            at.Shelf.OfType<ShadeProduct>().Select(ToneBowl.Of).ToArray(),
            at.Review.Review.Readings.Count > 0,
            at.Toning.IsDone,
            at.Toning.Last is { Fact: not BowlWeighed } last ? last.Number : null,
            Settling.Usual,
            length,
            raw,
            toned
        );
    }

    private static ToneAreaView AreaOf(
        ToneContext at,
        ToneArea area,
        int number,
        AreaForecast? forecast,
        double hairGrams,
        double onAtMinute
    )
    {
        var stand = at.Toning.StandOf(area.Id);
        var recipe = at.RecipeOf(area, hairGrams);
        var hand = at.Toning.BowlOf(area.Id, recipe);
        var rescue = hand.Rescue(at.Bench.BowlGrams) is { } adds ? new Rescuing(adds, 0, []) : null;
        return new(
            area,
            area.Along.Words,
            at.Hair.PanelsOf(area),
            ToneSuggested.Parts(area.Bowl.Shades),
            hairGrams,
            at.GramsOf(hairGrams),
            recipe.Ingredients,
            recipe.Missing,
            BowlView.OfToner(number, recipe, hand, at.Facts.Count, rescue, area.Bowl.DeveloperParts),
            forecast is null ? [] : [forecast],
            forecast is null ? string.Empty : Oklch.Seen(forecast.DeltaE),
            onAtMinute,
            stand.OnAt,
            stand.OffAt,
            stand.IsOn ? stand.OnAt!.Value.AddMinutes(area.Minutes) : null,
            stand.Looks
        );
    }
}
