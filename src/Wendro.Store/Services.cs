using System.Globalization;
using Microsoft.EntityFrameworkCore;
using Wendro.Apply;
using Wendro.Units;

namespace Wendro.Store;

/// <summary>A service as it was kept.</summary>
/// <param name="Revision">The plan's revision it goes by.</param>
/// <param name="Facts">All that happened, in order.</param>
public sealed record StoredService(int Revision, IReadOnlyList<RecordedFact<ServiceFact>> Facts);

/// <summary>What happens at the chair. The first fact begins the service and pins the plan's revision.</summary>
public sealed class Services(DbContextOptions<StudioContext> options, TimeProvider clock)
    : FactLog<ServiceFact, ServiceFactRow>(options, clock)
{
    /// <summary>The service of a visit; null where none was begun.</summary>
    public async Task<StoredService?> OfAsync(Guid visit, CancellationToken cancellationToken)
    {
        await using var db = new StudioContext(Options);
        if (
            await db.Services.AsNoTracking().SingleOrDefaultAsync(s => s.VisitId == visit, cancellationToken)
            is not { } row
        )
        {
            return null;
        }

        var kept = await FactsOfAsync(visit, cancellationToken);
        var taken = kept.Select(k => k.Fact).OfType<PlanTaken>().LastOrDefault();
        return new(taken?.Revision ?? row.Revision, kept);
    }

    /// <summary>The visits whose service was begun since an instant.</summary>
    public async Task<IReadOnlyList<Guid>> BegunSinceAsync(DateTimeOffset since, CancellationToken cancellationToken)
    {
        await using var db = new StudioContext(Options);
        // Moments are text in this table: the database cuts by the day, whatever an offset adds; the rest is done here.
        var day = since.UtcDateTime.AddDays(-1).ToString("yyyy-MM-dd", CultureInfo.InvariantCulture);
        var begun = await db
            .Services.FromSql($"SELECT * FROM Services WHERE At >= {day}")
            .AsNoTracking()
            .ToListAsync(cancellationToken);
        return begun.Where(s => s.At >= since).Select(s => s.VisitId).ToArray();
    }

    /// <summary>The revisions of a visit's plan that what happened at the chair went by.</summary>
    public async Task<IReadOnlySet<int>> PinnedAsync(Guid visit, CancellationToken cancellationToken)
    {
        await using var db = new StudioContext(Options);
        var begunWith = await db
            .Services.Where(s => s.VisitId == visit)
            .Select(s => s.Revision)
            .ToListAsync(cancellationToken);
        var taken = (await FactsOfAsync(visit, cancellationToken)).Select(k => k.Fact).OfType<PlanTaken>();
        return begunWith.Concat(taken.Select(t => t.Revision)).ToHashSet();
    }

    /// <summary>Adds a fact. Said twice it counts once.</summary>
    /// <param name="visit">At which visit.</param>
    /// <param name="revision">The plan's revision a service begins with.</param>
    /// <param name="after">How many facts had been seen when it was said.</param>
    /// <param name="saidAs">Given by who said it.</param>
    /// <param name="fact">What happened.</param>
    /// <param name="against">What can't happen after some facts, by field.</param>
    /// <param name="cancellationToken">Cancels.</param>
    public Task<FactTold<ServiceFact>> AddAsync(
        Guid visit,
        int revision,
        int after,
        Guid saidAs,
        ServiceFact fact,
        Func<IReadOnlyList<RecordedFact<ServiceFact>>, IReadOnlyList<Problem>> against,
        CancellationToken cancellationToken
    ) =>
        AddAsync(
            visit,
            after,
            saidAs,
            fact,
            f => f.Concerns,
            against,
            cancellationToken,
            (db, at) =>
                db.Services.Add(
                    new()
                    {
                        VisitId = visit,
                        Revision = revision,
                        At = at,
                    }
                )
        );
}
