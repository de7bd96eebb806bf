using Microsoft.EntityFrameworkCore;
using Wendro.Mix;
using Wendro.Toning;
using Wendro.Units;

namespace Wendro.Store;

/// <summary>How heads are toned, and what happened while they were.</summary>
public sealed class Tonings(DbContextOptions<StudioContext> options, TimeProvider clock)
    : FactLog<ToneFact, ToneFactRow>(options, clock)
{
    /// <summary>
    /// Adds a fact, and takes what was poured off the shelf, both or neither. Said twice it counts once.
    /// </summary>
    /// <param name="visit">At which visit.</param>
    /// <param name="after">How many facts had been seen when it was said.</param>
    /// <param name="saidAs">Given by who said it.</param>
    /// <param name="fact">What was chosen, or happened.</param>
    /// <param name="recipeOf">What is to go into an area's bowl; null where there is no such area.</param>
    /// <param name="cancellationToken">Cancels.</param>
    public Task<FactTold<ToneFact>> AddAsync(
        Guid visit,
        int after,
        Guid saidAs,
        ToneFact fact,
        Func<int, Recipe?> recipeOf,
        CancellationToken cancellationToken
    )
    {
        ArgumentNullException.ThrowIfNull(recipeOf);
        var weighed = fact as BowlWeighed;
        var recipe = weighed is null ? null : recipeOf(weighed.Area);
        return AddAsync(
            visit,
            after,
            saidAs,
            fact,
            f => f.Concerns,
            facts =>
            {
                var toning = ToningInHand.Of(facts);
                var problems = toning.Against(fact);
                return problems.Count > 0 || weighed is null || recipe is null
                    ? problems
                    : toning
                        .BowlOf(weighed.Area, recipe)
                        .Against(weighed.What)
                        .Select(p => p with { Field = $"fact.what.{p.Field}" })
                        .ToArray();
            },
            cancellationToken,
            with: weighed is null || recipe is null ? null : PourAsync
        );

        async Task PourAsync(StudioContext db, IReadOnlyList<RecordedFact<ToneFact>> facts)
        {
            var toning = ToningInHand.Of(facts);
            var before = toning.BowlOf(weighed.Area, recipe);
            var then = toning.After(weighed).BowlOf(weighed.Area, recipe);
            for (var i = 0; i < recipe.Ingredients.Count; i++)
            {
                var grams = then.Steps[i].PouredGrams - before.Steps[i].PouredGrams;
                if (grams != 0 && recipe.Ingredients[i].Product is { } product)
                {
                    await ProductShelf.PourAsync(db, product, grams, cancellationToken);
                }
            }
        }
    }
}
