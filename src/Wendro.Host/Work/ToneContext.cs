using Wendro.Blend;
using Wendro.Mix;
using Wendro.Store;
using Wendro.Toning;
using Wendro.Units;

namespace Wendro.Host.Work;

/// <summary>A toning at work: the hair as it came out, how it is toned, what happened.</summary>
/// <param name="Review">What came out.</param>
/// <param name="Hair">The hair as it came out, to be toned.</param>
/// <param name="Facts">What was chosen and happened.</param>
/// <param name="Toning">The toning as it stands.</param>
/// <param name="Shelf">What the studio owns.</param>
/// <param name="Ours">Ways of toning of the studio's own.</param>
/// <param name="Bench">How it is mixed in this studio.</param>
internal sealed record ToneContext(
    ReviewContext Review,
    TonedHair Hair,
    IReadOnlyList<RecordedFact<ToneFact>> Facts,
    ToningInHand Toning,
    IReadOnlyList<Product> Shelf,
    IReadOnlyList<OwnTonerRow> Ours,
    BenchRules Bench
)
{
    /// <summary>What goes into an area's bowl.</summary>
    /// <param name="area">The area.</param>
    /// <param name="hairGrams">Hair it reaches, g.</param>
    public Recipe RecipeOf(ToneArea area, double hairGrams)
    {
        ArgumentNullException.ThrowIfNull(area);
        return Recipe.Of(area.Bowl.For(area.Minutes), GramsOf(hairGrams), Shelf.OfType<DeveloperProduct>().ToArray());
    }

    /// <summary>All strands some weeks after the visit, to be drawn: toned as it was, then grown out.</summary>
    /// <param name="weeks">Weeks, 0 or more.</param>
    public StrandSamples HairIn(double weeks)
    {
        var toned = Hair.Toned(Toning.Plan, a => Toning.StandOf(a.Id).WasOnMinutes ?? 0);
        var (planned, on) = (Review.Planned, Review.Planned.Reached.On);
        return planned.Reached.Draw(
            weeks <= 0 ? toned : Regrowth.Grown(toned, on.Looks.OnHead.Lengths, on.Map.Zone, on.Hair, weeks)
        );
    }

    /// <summary>Mixed product that so much hair takes, waste in it, g.</summary>
    public double GramsOf(double hairGrams) => hairGrams * Amounts.LengthsCoat * (1 + Bench.Waste);
}

/// <summary>Brings what came out, the shelf and what was chosen together.</summary>
internal sealed class ToneContexts(ReviewContexts reviews, Tonings tonings, ProductShelf shelf, Studio studio)
{
    /// <summary>The toning of a visit as it stands.</summary>
    public async Task<ToneContext> OfAsync(VisitContext at, CancellationToken cancellationToken)
    {
        var review = await reviews.OfAsync(at, cancellationToken);
        var facts = await tonings.FactsOfAsync(at.Visit.Id, cancellationToken);
        var products = (await shelf.AllAsync(cancellationToken)).Select(p => p.Product).ToArray();
        var rules = (await studio.RulesAsync(cancellationToken)).Rules;
        return new(
            review,
            new(review.Planned, review.CameOut),
            facts,
            ToningInHand.Of(facts),
            products,
            await studio.TonersAsync(cancellationToken),
            rules.Bench ?? BenchRules.Usual
        );
    }
}
