using System.Data;
using Microsoft.EntityFrameworkCore;
using Wendro.Units;

namespace Wendro.Store;

/// <summary>What came of a fact.</summary>
/// <typeparam name="TFact">What kind of fact.</typeparam>
/// <param name="Problems">What can't happen now, by field; none where it was kept.</param>
/// <param name="Clash">A fact about the same thing that had not been seen; null where there is none.</param>
public sealed record FactTold<TFact>(IReadOnlyList<Problem> Problems, RecordedFact<TFact>? Clash)
{
    /// <summary>It was kept, or was kept before.</summary>
    public FactTold()
        : this([], null) { }
}

/// <summary>
/// What happens at visits, or is seen and said: rows, only ever added, in order, each with its moment by the server's
/// clock and a name given by who said it. Two hands that say things of different places never stand in each other's
/// way.
/// </summary>
/// <typeparam name="TFact">What kind of fact.</typeparam>
/// <typeparam name="TRow">The row it is kept in.</typeparam>
public abstract class FactLog<TFact, TRow>(DbContextOptions<StudioContext> options, TimeProvider clock)
    where TRow : FactRow<TFact>, new()
{
    /// <summary>Where it is kept.</summary>
    protected DbContextOptions<StudioContext> Options { get; } = options;

    /// <summary>What was kept of a visit, in order.</summary>
    public async Task<IReadOnlyList<RecordedFact<TFact>>> FactsOfAsync(Guid visit, CancellationToken cancellationToken)
    {
        await using var db = new StudioContext(Options);
        return await ReadAsync(db, visit, cancellationToken);
    }

    /// <summary>Adds a fact. Said twice it counts once.</summary>
    /// <param name="visit">At which visit.</param>
    /// <param name="after">How many facts had been seen when it was said.</param>
    /// <param name="saidAs">Given by who said it.</param>
    /// <param name="fact">What happened.</param>
    /// <param name="concerns">What a fact is about: of two about one thing the second is asked again; empty for
    /// what never clashes.</param>
    /// <param name="against">What can't happen after some facts, by field.</param>
    /// <param name="cancellationToken">Cancels.</param>
    /// <param name="first">What else is kept with the first fact.</param>
    /// <param name="with">What else is changed with this one, both or neither; null for nothing.</param>
    protected async Task<FactTold<TFact>> AddAsync(
        Guid visit,
        int after,
        Guid saidAs,
        TFact fact,
        Func<TFact, string> concerns,
        Func<IReadOnlyList<RecordedFact<TFact>>, IReadOnlyList<Problem>> against,
        CancellationToken cancellationToken,
        Action<StudioContext, DateTimeOffset>? first = null,
        Func<StudioContext, IReadOnlyList<RecordedFact<TFact>>, Task>? with = null
    )
    {
        ArgumentNullException.ThrowIfNull(fact);
        ArgumentNullException.ThrowIfNull(concerns);
        ArgumentNullException.ThrowIfNull(against);
        await using var db = new StudioContext(Options);
        // The data file has one writer: whoever comes second waits here, and then sees what the first said.
        await using var transaction = await db.Database.BeginTransactionAsync(
            IsolationLevel.Serializable,
            cancellationToken
        );
        if (await db.Set<TRow>().AnyAsync(f => f.VisitId == visit && f.SaidAs == saidAs, cancellationToken))
        {
            return new();
        }

        var facts = await ReadAsync(db, visit, cancellationToken);
        var about = concerns(fact);
        if (about.Length > 0 && facts.LastOrDefault(f => f.Number > after && concerns(f.Fact) == about) is { } clash)
        {
            return new([], clash);
        }

        if (against(facts) is { Count: > 0 } problems)
        {
            return new(problems, null);
        }

        var at = Now(facts);
        if (facts.Count == 0)
        {
            first?.Invoke(db, at);
        }

        if (with is not null)
        {
            await with(db, facts);
        }

        db.Set<TRow>()
            .Add(
                new()
                {
                    VisitId = visit,
                    Number = facts.Count + 1,
                    SaidAs = saidAs,
                    Fact = fact,
                    At = at,
                }
            );
        await db.SaveChangesAsync(cancellationToken);
        await transaction.CommitAsync(cancellationToken);
        return new();
    }

    /// <summary>Adds facts that came together, all of them or none.</summary>
    /// <param name="visit">At which visit.</param>
    /// <param name="facts">What was said.</param>
    /// <param name="against">What can't happen after some facts, by field.</param>
    /// <param name="cancellationToken">Cancels.</param>
    /// <returns>What can't be said, by field; none where all was kept.</returns>
    protected async Task<IReadOnlyList<Problem>> AddTogetherAsync(
        Guid visit,
        IReadOnlyList<TFact> facts,
        Func<TFact, IReadOnlyList<RecordedFact<TFact>>, IReadOnlyList<Problem>> against,
        CancellationToken cancellationToken
    )
    {
        ArgumentNullException.ThrowIfNull(facts);
        ArgumentNullException.ThrowIfNull(against);
        await using var db = new StudioContext(Options);
        await using var transaction = await db.Database.BeginTransactionAsync(
            IsolationLevel.Serializable,
            cancellationToken
        );
        var known = await ReadAsync(db, visit, cancellationToken);
        if (facts.Select(f => against(f, known)).FirstOrDefault(p => p.Count > 0) is { } problems)
        {
            return problems;
        }

        var at = Now(known);
        db.Set<TRow>()
            .AddRange(
                facts.Select(
                    (f, i) =>
                        new TRow
                        {
                            VisitId = visit,
                            Number = known.Count + 1 + i,
                            SaidAs = Guid.NewGuid(),
                            Fact = f,
                            At = at,
                        }
                )
            );
        await db.SaveChangesAsync(cancellationToken);
        await transaction.CommitAsync(cancellationToken);
        return [];
    }

    /// <summary>A clock that was set back does not put what happens now before what happened.</summary>
    private DateTimeOffset Now(IReadOnlyList<RecordedFact<TFact>> facts)
    {
        var now = clock.GetUtcNow();
        return facts.Count > 0 && facts[^1].At > now ? facts[^1].At : now;
    }

    private static async Task<IReadOnlyList<RecordedFact<TFact>>> ReadAsync(
        StudioContext db,
        Guid visit,
        CancellationToken cancellationToken
    ) =>
        await db.Set<TRow>()
            .AsNoTracking()
            .Where(f => f.VisitId == visit)
            .OrderBy(f => f.Number)
            .Select(f => new RecordedFact<TFact>(f.Number, f.At, f.Fact))
            .ToListAsync(cancellationToken);
}
