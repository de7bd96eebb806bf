using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore;
using Wendro.Consult;
using Wendro.Hair;
using Wendro.Plans;
using Wendro.Record;

namespace Wendro.Store;

/// <summary>The data file was written by a newer program; nothing was changed.</summary>
public sealed class NewerDataException(string migration)
    : Exception($"This data was last used by a newer Wendro ({migration}). Update Wendro; nothing was changed.");

/// <summary>A visit with what is needed to work on it.</summary>
public sealed record StoredVisit(
    Guid Id,
    Guid ClientId,
    string Client,
    string About,
    DateTimeOffset StartsAt,
    HairProfile Hair,
    Consultation Consultation,
    int ConsultVersion,
    VisitSum? Sum
);

/// <summary>Clients and their visits, and what was asked and read at them.</summary>
public sealed class Visits(DbContextOptions<StudioContext> options, TimeProvider clock)
{
    /// <summary>Brings the data file up to date, making it if need be.</summary>
    /// <param name="keep">Called before a file that holds something is changed.</param>
    /// <exception cref="NewerDataException">A newer program wrote it.</exception>
    public void Migrate(Action? keep = null)
    {
        using var db = new StudioContext(options);
        if (db.Database.GetAppliedMigrations().Except(db.Database.GetMigrations()).LastOrDefault() is { } newer)
        {
            throw new NewerDataException(newer);
        }

        if (keep is not null && db.Database.GetAppliedMigrations().Any() && db.Database.GetPendingMigrations().Any())
        {
            keep();
        }

        db.Database.Migrate();
    }

    /// <summary>Whether nobody is in the data file yet.</summary>
    public bool IsEmpty()
    {
        using var db = new StudioContext(options);
        return !db.Clients.Any();
    }

    /// <summary>All clients by name.</summary>
    public async Task<IReadOnlyList<ClientRow>> ClientsAsync(CancellationToken cancellationToken)
    {
        await using var db = new StudioContext(options);
        return await db.Clients.AsNoTracking().OrderBy(c => c.Name).ToListAsync(cancellationToken);
    }

    /// <summary>Visits that start within a span of time, in time order.</summary>
    public async Task<IReadOnlyList<StoredVisit>> BetweenAsync(
        DateTimeOffset from,
        DateTimeOffset to,
        CancellationToken cancellationToken
    )
    {
        await using var db = new StudioContext(options);
        var rows = await db
            .Visits.AsNoTracking()
            .Include(v => v.Client)
            .Where(v => v.StartsAt >= from && v.StartsAt < to)
            .OrderBy(v => v.StartsAt)
            .ToListAsync(cancellationToken);
        return rows.Select(Stored).ToArray();
    }

    /// <summary>A visit; null if there is none.</summary>
    public async Task<StoredVisit?> FindAsync(Guid visit, CancellationToken cancellationToken)
    {
        await using var db = new StudioContext(options);
        var row = await db
            .Visits.AsNoTracking()
            .Include(v => v.Client)
            .SingleOrDefaultAsync(v => v.Id == visit, cancellationToken);
        return row is null ? null : Stored(row);
    }

    /// <summary>The visit of a client that comes next after an instant; null for none.</summary>
    public async Task<(Guid Id, DateTimeOffset StartsAt)?> NextAfterAsync(
        Guid client,
        DateTimeOffset after,
        CancellationToken cancellationToken
    )
    {
        await using var db = new StudioContext(options);
        var next = await db
            .Visits.Where(v => v.ClientId == client && v.StartsAt > after)
            .OrderBy(v => v.StartsAt)
            .Select(v => new { v.Id, v.StartsAt })
            .FirstOrDefaultAsync(cancellationToken);
        return next is null ? null : (next.Id, next.StartsAt);
    }

    /// <summary>The visit of a client that came last before an instant; null for none.</summary>
    public async Task<Guid?> LastBeforeAsync(Guid client, DateTimeOffset before, CancellationToken cancellationToken)
    {
        await using var db = new StudioContext(options);
        return await db
            .Visits.Where(v => v.ClientId == client && v.StartsAt < before)
            .OrderByDescending(v => v.StartsAt)
            .Select(v => (Guid?)v.Id)
            .FirstOrDefaultAsync(cancellationToken);
    }

    /// <summary>A new client with her first visit and a plan not begun, all at once.</summary>
    public async Task<StoredVisit> AddClientAsync(
        string name,
        string about,
        DateTimeOffset startsAt,
        HairProfile hair,
        Plan plan,
        CancellationToken cancellationToken
    )
    {
        await using var db = new StudioContext(options);
        var client = new ClientRow
        {
            Id = Guid.CreateVersion7(),
            Name = name,
            About = about,
            CreatedAt = clock.GetUtcNow(),
        };
        db.Clients.Add(client);
        var visit = AddVisit(db, client, startsAt, hair, plan);
        await db.SaveChangesAsync(cancellationToken);
        return Stored(visit);
    }

    /// <summary>
    /// Another visit of a client, with what is known before anybody asks; null if there is no such client.
    /// </summary>
    public async Task<StoredVisit?> AddVisitAsync(
        Guid client,
        DateTimeOffset startsAt,
        HairProfile hair,
        Plan plan,
        CancellationToken cancellationToken,
        Consultation? known = null
    )
    {
        await using var db = new StudioContext(options);
        var row = await db.Clients.SingleOrDefaultAsync(c => c.Id == client, cancellationToken);
        if (row is null)
        {
            return null;
        }

        var visit = AddVisit(db, row, startsAt, hair, plan);
        visit.Consultation = known ?? visit.Consultation;
        await db.SaveChangesAsync(cancellationToken);
        return Stored(visit);
    }

    /// <summary>
    /// Changes what was read off her hair at a visit, whatever was read before; false if there is no such visit.
    /// </summary>
    public async Task<bool> SetHairAsync(Guid visit, HairProfile hair, CancellationToken cancellationToken)
    {
        await using var db = new StudioContext(options);
        return await db
                .Visits.Where(v => v.Id == visit)
                .ExecuteUpdateAsync(
                    s => s.SetProperty(v => v.Hair, hair).SetProperty(v => v.ConsultVersion, v => v.ConsultVersion + 1),
                    cancellationToken
                ) == 1;
    }

    /// <summary>Changes hair and answers together; null if there is no such visit.</summary>
    /// <exception cref="StaleRevisionException">They are no longer at the version they were changed from.</exception>
    public async Task<StoredVisit?> SetConsultAsync(
        Guid visit,
        int baseVersion,
        HairProfile hair,
        Consultation consultation,
        CancellationToken cancellationToken
    )
    {
        await using var db = new StudioContext(options);
        var changed = await db
            .Visits.Where(v => v.Id == visit && v.ConsultVersion == baseVersion)
            .ExecuteUpdateAsync(
                s =>
                    s.SetProperty(v => v.Hair, hair)
                        .SetProperty(v => v.Consultation, consultation)
                        .SetProperty(v => v.ConsultVersion, baseVersion + 1),
                cancellationToken
            );
        return await FindAsync(visit, cancellationToken) is not { } found ? null
            : changed == 1 ? found
            : throw new StaleRevisionException(found.ConsultVersion);
    }

    private VisitRow AddVisit(StudioContext db, ClientRow client, DateTimeOffset startsAt, HairProfile hair, Plan plan)
    {
        var visit = new VisitRow
        {
            Id = Guid.CreateVersion7(),
            ClientId = client.Id,
            Client = client,
            StartsAt = startsAt,
            Hair = hair,
        };
        db.Visits.Add(visit);
        db.Revisions.Add(Revisions.First(visit.Id, plan, clock.GetUtcNow()));
        return visit;
    }

    private static StoredVisit Stored(VisitRow v) =>
        new(
            v.Id,
            v.ClientId,
            v.Client.Name,
            v.Client.About,
            v.StartsAt,
            v.Hair,
            v.Consultation,
            v.ConsultVersion,
            v.Sum
        );
}
