using Microsoft.EntityFrameworkCore;
using Wendro.Core.Hair;

namespace Wendro.Store;

/// <summary>What each visit taught of how a client's hair lifts: the next one's forecast begins there.</summary>
public sealed class Learnt(DbContextOptions<StudioContext> options)
{
    /// <summary>What visits of a client before an instant taught; null where none did.</summary>
    public async Task<OwnLift?> BeforeAsync(Guid client, DateTimeOffset before, CancellationToken stop)
    {
        await using var db = new StudioContext(options);
        return await BeforeAsync(db, client, before, stop);
    }

    /// <summary>
    /// Keeps what a visit taught. Visits after it that have taught nothing themselves are forecast by it from now on.
    /// </summary>
    /// <param name="visit">The visit.</param>
    /// <param name="taught">What it taught; null for nothing.</param>
    /// <param name="stop">Calls it off.</param>
    public async Task TeachAsync(Guid visit, OwnLift? taught, CancellationToken stop)
    {
        await using var db = new StudioContext(options);
        var row = await db.Visits.SingleOrDefaultAsync(v => v.Id == visit, stop);
        if (row is null || row.Taught == taught)
        {
            return;
        }

        row.Taught = taught;
        var known = taught?.Later() ?? await BeforeAsync(db, row.ClientId, row.StartsAt, stop);
        var later = await db
            .Visits.Where(v => v.ClientId == row.ClientId && v.StartsAt > row.StartsAt)
            .OrderBy(v => v.StartsAt)
            .ToListAsync(stop);
        foreach (var next in later.TakeWhile(v => v.Taught is null))
        {
            next.Hair = next.Hair with { Own = OwnOf(next, known) };
        }

        await db.SaveChangesAsync(stop);
    }

    private static OwnLift? OwnOf(VisitRow visit, OwnLift? known) =>
        visit.Consultation.Strand is { } test ? test.OwnOf(visit.Hair, known) : known;

    private static async Task<OwnLift?> BeforeAsync(
        StudioContext db,
        Guid client,
        DateTimeOffset before,
        CancellationToken stop
    )
    {
        var taught = await db
            .Visits.AsNoTracking()
            .Where(v => v.ClientId == client && v.StartsAt < before && v.Taught != null)
            .OrderByDescending(v => v.StartsAt)
            .FirstOrDefaultAsync(stop);
        return taught?.Taught?.Later();
    }
}
