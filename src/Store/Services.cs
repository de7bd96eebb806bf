using System.Data;
using Microsoft.EntityFrameworkCore;
using Wendro.Core.Apply;
using Wendro.Core.Units;

namespace Wendro.Store;

/// <summary>A service as it was kept.</summary>
/// <param name="Revision">The plan's revision it goes by.</param>
/// <param name="Facts">All that happened, in order.</param>
public sealed record StoredService(int Revision, IReadOnlyList<KeptFact> Facts);

/// <summary>What came of a fact.</summary>
/// <param name="Problems">What can't happen now, by field; none where it was kept.</param>
/// <param name="Clash">A fact about the same thing that had not been seen; null where there is none.</param>
public sealed record FactTold(IReadOnlyList<Problem> Problems, KeptFact? Clash)
{
    /// <summary>It was kept, or was kept before.</summary>
    public static FactTold Kept { get; } = new([], null);
}

/// <summary>
/// What happens at the chair: rows, only ever added, each with its moment by the server's clock. Two hands that say
/// things of different panels never stand in each other's way.
/// </summary>
public sealed class Services(DbContextOptions<StudioContext> options, TimeProvider clock)
{
    /// <summary>The service of a visit; null where none was begun.</summary>
    public async Task<StoredService?> OfAsync(Guid visit, CancellationToken stop)
    {
        await using var db = new StudioContext(options);
        return await ReadAsync(db, visit, stop);
    }

    /// <summary>
    /// Adds a fact; the first begins the service and pins the plan's revision. A fact said twice counts once.
    /// </summary>
    /// <param name="visit">At which visit.</param>
    /// <param name="revision">The plan's revision a service begins with.</param>
    /// <param name="after">How many facts had been seen when it was said.</param>
    /// <param name="saidAs">Given by who said it.</param>
    /// <param name="fact">What happened.</param>
    /// <param name="against">What can't happen after some facts, by field.</param>
    /// <param name="stop">Cancels.</param>
    public async Task<FactTold> AddAsync(
        Guid visit,
        int revision,
        int after,
        Guid saidAs,
        ServiceFact fact,
        Func<IReadOnlyList<KeptFact>, IReadOnlyList<Problem>> against,
        CancellationToken stop
    )
    {
        ArgumentNullException.ThrowIfNull(fact);
        ArgumentNullException.ThrowIfNull(against);
        await using var db = new StudioContext(options);
        // The data file has one writer: whoever comes second waits here, and then sees what the first said.
        await using var transaction = await db.Database.BeginTransactionAsync(IsolationLevel.Serializable, stop);
        if (await db.ServiceFacts.AnyAsync(f => f.VisitId == visit && f.SaidAs == saidAs, stop))
        {
            return FactTold.Kept;
        }

        var facts = (await ReadAsync(db, visit, stop))?.Facts ?? [];
        if (
            fact.Concerns.Length > 0
            && facts.LastOrDefault(f => f.Number > after && f.Fact.Concerns == fact.Concerns) is { } clash
        )
        {
            return new([], clash);
        }

        if (against(facts) is { Count: > 0 } problems)
        {
            return new(problems, null);
        }

        // A clock that was set back does not put what happens now before what happened.
        var now = clock.GetUtcNow();
        var at = facts.Count > 0 && facts[^1].At > now ? facts[^1].At : now;
        if (facts.Count == 0)
        {
            db.Services.Add(
                new()
                {
                    VisitId = visit,
                    Revision = revision,
                    At = at,
                }
            );
        }

        db.ServiceFacts.Add(
            new()
            {
                VisitId = visit,
                Number = facts.Count + 1,
                SaidAs = saidAs,
                Fact = fact,
                At = at,
            }
        );
        await db.SaveChangesAsync(stop);
        await transaction.CommitAsync(stop);
        return FactTold.Kept;
    }

    private static async Task<StoredService?> ReadAsync(StudioContext db, Guid visit, CancellationToken stop)
    {
        if (await db.Services.AsNoTracking().SingleOrDefaultAsync(s => s.VisitId == visit, stop) is not { } row)
        {
            return null;
        }

        var facts = await db
            .ServiceFacts.AsNoTracking()
            .Where(f => f.VisitId == visit)
            .OrderBy(f => f.Number)
            .ToListAsync(stop);
        var kept = facts.Select(f => new KeptFact(f.Number, f.At, f.Fact)).ToArray();
        var taken = kept.Select(k => k.Fact).OfType<PlanTaken>().LastOrDefault();
        return new(taken?.Revision ?? row.Revision, kept);
    }
}
