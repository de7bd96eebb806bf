using System.Data;
using Microsoft.EntityFrameworkCore;
using Wendro.Core.Review;
using Wendro.Core.Units;

namespace Wendro.Store;

/// <summary>
/// What was seen and said at reviews: rows, only ever added, each with its moment by the server's clock. Of two
/// readings of one place the later counts; both are kept.
/// </summary>
public sealed class Reviews(DbContextOptions<StudioContext> options, TimeProvider clock)
{
    /// <summary>What was kept of a visit's review, in order.</summary>
    public async Task<IReadOnlyList<KeptReview>> OfAsync(Guid visit, CancellationToken stop)
    {
        await using var db = new StudioContext(options);
        return await ReadAsync(db, visit, stop);
    }

    /// <summary>Adds a fact. Said twice it counts once.</summary>
    /// <param name="visit">At which visit.</param>
    /// <param name="saidAs">Given by who said it.</param>
    /// <param name="fact">What was seen or said.</param>
    /// <param name="stop">Cancels.</param>
    /// <returns>What can't be said now, by field; none where it was kept.</returns>
    public async Task<IReadOnlyList<Problem>> AddAsync(Guid visit, Guid saidAs, ReviewFact fact, CancellationToken stop)
    {
        ArgumentNullException.ThrowIfNull(fact);
        await using var db = new StudioContext(options);
        // The data file has one writer: whoever comes second waits here, and then sees what the first said.
        await using var transaction = await db.Database.BeginTransactionAsync(IsolationLevel.Serializable, stop);
        if (await db.ReviewFacts.AnyAsync(f => f.VisitId == visit && f.SaidAs == saidAs, stop))
        {
            return [];
        }

        var facts = await ReadAsync(db, visit, stop);
        if (ReviewInHand.Of(facts).Against(fact, facts) is { Count: > 0 } problems)
        {
            return problems;
        }

        // A clock that was set back does not put what is said now before what was said.
        var now = clock.GetUtcNow();
        db.ReviewFacts.Add(
            new()
            {
                VisitId = visit,
                Number = facts.Count + 1,
                SaidAs = saidAs,
                Fact = fact,
                At = facts.Count > 0 && facts[^1].At > now ? facts[^1].At : now,
            }
        );
        await db.SaveChangesAsync(stop);
        await transaction.CommitAsync(stop);
        return [];
    }

    private static async Task<IReadOnlyList<KeptReview>> ReadAsync(
        StudioContext db,
        Guid visit,
        CancellationToken stop
    ) =>
        await db
            .ReviewFacts.AsNoTracking()
            .Where(f => f.VisitId == visit)
            .OrderBy(f => f.Number)
            .Select(f => new KeptReview(f.Number, f.At, f.Fact))
            .ToListAsync(stop);
}
