using Microsoft.EntityFrameworkCore;
using Wendro.Review;
using Wendro.Units;

namespace Wendro.Store;

/// <summary>What was seen and said at reviews. Of two readings of one place the later counts; both are kept.</summary>
public sealed class Reviews(DbContextOptions<StudioContext> options, TimeProvider clock)
    : FactLog<ReviewFact, ReviewFactRow>(options, clock)
{
    /// <summary>Adds a fact. Said twice it counts once.</summary>
    /// <param name="visit">At which visit.</param>
    /// <param name="saidAs">Given by who said it.</param>
    /// <param name="fact">What was seen or said.</param>
    /// <param name="cancellationToken">Cancels.</param>
    /// <returns>What can't be said now, by field; none where it was kept.</returns>
    public async Task<IReadOnlyList<Problem>> AddAsync(
        Guid visit,
        Guid saidAs,
        ReviewFact fact,
        CancellationToken cancellationToken
    ) =>
        (
            await AddAsync(
                visit,
                0,
                saidAs,
                fact,
                _ => string.Empty,
                facts => ReviewInHand.Of(facts).Against(fact, facts),
                cancellationToken
            )
        ).Problems;

    /// <summary>Adds facts that came together, all of them or none.</summary>
    /// <param name="visit">At which visit.</param>
    /// <param name="facts">What was seen or said.</param>
    /// <param name="cancellationToken">Cancels.</param>
    /// <returns>What can't be said now, by field; none where all was kept.</returns>
    public Task<IReadOnlyList<Problem>> AddTogetherAsync(
        Guid visit,
        IReadOnlyList<ReviewFact> facts,
        CancellationToken cancellationToken
    ) =>
        AddTogetherAsync(visit, facts, (fact, known) => ReviewInHand.Of(known).Against(fact, known), cancellationToken);
}
