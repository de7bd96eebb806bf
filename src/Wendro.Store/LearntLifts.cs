using Microsoft.EntityFrameworkCore;
using Wendro.Hair;

namespace Wendro.Store;

/// <summary>What each visit taught of how a client's hair lifts: the next one's forecast begins there.</summary>
public sealed class LearntLifts(DbContextOptions<StudioContext> options)
{
    /// <summary>What visits of a client before an instant taught; null where none did.</summary>
    public async Task<OwnLift?> BeforeAsync(Guid client, DateTimeOffset before, CancellationToken cancellationToken)
    {
        await using var db = new StudioContext(options);
        return await BeforeAsync(db, client, before, cancellationToken);
    }

    /// <summary>
    /// Keeps what a visit taught. Visits after it that have taught nothing themselves are forecast by it from now on.
    /// </summary>
    /// <param name="visit">The visit.</param>
    /// <param name="taught">What it taught; null for nothing.</param>
    /// <param name="cancellationToken">Calls it off.</param>
    public async Task TeachAsync(Guid visit, OwnLift? taught, CancellationToken cancellationToken)
    {
        await using var db = new StudioContext(options);
        var row = await db.Visits.SingleOrDefaultAsync(v => v.Id == visit, cancellationToken);
        if (row is null || row.Taught == taught)
        {
            return;
        }

        row.Taught = taught;
        var known = taught?.Later() ?? await BeforeAsync(db, row.ClientId, row.StartsAt, cancellationToken);
        var later = await db
            .Visits.Where(v => v.ClientId == row.ClientId && v.StartsAt > row.StartsAt)
            .OrderBy(v => v.StartsAt)
            .ToListAsync(cancellationToken);
        foreach (var next in later.TakeWhile(v => v.Taught is null))
        {
            next.Hair = next.Hair with { Own = OwnOf(next, known) };
        }

        await db.SaveChangesAsync(cancellationToken);
    }

    private static OwnLift? OwnOf(VisitRow visit, OwnLift? known) =>
        visit.Consultation.Strand is { } test ? test.OwnOf(visit.Hair, known) : known;

    private static async Task<OwnLift?> BeforeAsync(
        StudioContext db,
        Guid client,
        DateTimeOffset before,
        CancellationToken cancellationToken
    )
    {
        var taught = await db
            .Visits.AsNoTracking()
            .Where(v => v.ClientId == client && v.StartsAt < before && v.Taught != null)
            .OrderByDescending(v => v.StartsAt)
            .FirstOrDefaultAsync(cancellationToken);
        return taught?.Taught?.Later();
    }
}
