using Microsoft.EntityFrameworkCore;
using Wendro.Record;
using Wendro.Units;

namespace Wendro.Store;

/// <summary>What was said when visits were put away. Of two things said of one matter the later counts.</summary>
public sealed class RecordFacts(DbContextOptions<StudioContext> options, TimeProvider clock)
    : FactLog<RecordFact, KeepFactRow>(options, clock)
{
    /// <summary>Adds a fact. Said twice it counts once.</summary>
    /// <param name="visit">At which visit.</param>
    /// <param name="saidAs">Given by who said it.</param>
    /// <param name="fact">What was said.</param>
    /// <param name="sum">The visit in a few figures, where it is put away; null where it is taken out again.</param>
    /// <param name="cancellationToken">Cancels.</param>
    /// <returns>What can't be said, by field; none where it was kept.</returns>
    public async Task<IReadOnlyList<Problem>> AddAsync(
        Guid visit,
        Guid saidAs,
        RecordFact fact,
        VisitSum? sum,
        CancellationToken cancellationToken
    )
    {
        var told = await AddAsync(
            visit,
            0,
            saidAs,
            fact,
            _ => string.Empty,
            _ => RecordInHand.Against(fact),
            cancellationToken,
            with: fact is VisitClosed ? SumAsync : null
        );
        return told.Problems;

        async Task SumAsync(StudioContext db, IReadOnlyList<RecordedFact<RecordFact>> facts) =>
            (await db.Visits.SingleAsync(v => v.Id == visit, cancellationToken)).Sum = sum;
    }
}
