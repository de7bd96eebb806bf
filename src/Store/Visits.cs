using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore;
using Wendro.Core.Consult;
using Wendro.Core.Hair;
using Wendro.Core.Plans;

namespace Wendro.Store;

/// <summary>A plan as it stands: the revision, where it is in its history, and the plan.</summary>
public sealed record StoredPlan(History History, Plan Plan);

/// <summary>A visit with what is needed to work on it.</summary>
public sealed record StoredVisit(
    Guid Id,
    Guid ClientId,
    string Client,
    string About,
    DateTimeOffset StartsAt,
    HairProfile Hair,
    Consultation Consultation,
    int ConsultVersion
);

/// <summary>Somebody else's revision came first; nothing was written.</summary>
public sealed class StaleRevisionException(int current) : Exception($"The plan is at revision {current}.")
{
    /// <summary>The revision the plan is at.</summary>
    public int Current { get; } = current;
}

/// <summary>Clients, visits and the revisions of their plans.</summary>
public sealed class Visits(DbContextOptions<StudioContext> options, TimeProvider clock)
{
    /// <summary>Brings the data file up to date, making it if need be.</summary>
    public void Migrate()
    {
        using var db = new StudioContext(options);
        db.Database.Migrate();
    }

    /// <summary>Whether nobody is in the data file yet.</summary>
    public bool IsEmpty()
    {
        using var db = new StudioContext(options);
        return !db.Clients.Any();
    }

    /// <summary>All clients by name.</summary>
    public async Task<IReadOnlyList<ClientRow>> ClientsAsync(CancellationToken stop)
    {
        await using var db = new StudioContext(options);
        return await db.Clients.AsNoTracking().OrderBy(c => c.Name).ToListAsync(stop);
    }

    /// <summary>Visits that start within a span of time, in time order.</summary>
    public async Task<IReadOnlyList<StoredVisit>> BetweenAsync(
        DateTimeOffset from,
        DateTimeOffset to,
        CancellationToken stop
    )
    {
        await using var db = new StudioContext(options);
        var rows = await db
            .Visits.AsNoTracking()
            .Include(v => v.Client)
            .Where(v => v.StartsAt >= from && v.StartsAt < to)
            .OrderBy(v => v.StartsAt)
            .ToListAsync(stop);
        return rows.Select(Stored).ToArray();
    }

    /// <summary>A visit; null if there is none.</summary>
    public async Task<StoredVisit?> FindAsync(Guid visit, CancellationToken stop)
    {
        await using var db = new StudioContext(options);
        var row = await db.Visits.AsNoTracking().Include(v => v.Client).SingleOrDefaultAsync(v => v.Id == visit, stop);
        return row is null ? null : Stored(row);
    }

    /// <summary>A new client with her first visit and a plan not begun, all at once.</summary>
    public async Task<StoredVisit> AddClientAsync(
        string name,
        string about,
        DateTimeOffset startsAt,
        HairProfile hair,
        Plan plan,
        CancellationToken stop
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
        await db.SaveChangesAsync(stop);
        return Stored(visit);
    }

    /// <summary>Another visit of a client; null if there is no such client.</summary>
    public async Task<StoredVisit?> AddVisitAsync(
        Guid client,
        DateTimeOffset startsAt,
        HairProfile hair,
        Plan plan,
        CancellationToken stop
    )
    {
        await using var db = new StudioContext(options);
        var row = await db.Clients.SingleOrDefaultAsync(c => c.Id == client, stop);
        if (row is null)
        {
            return null;
        }

        var visit = AddVisit(db, row, startsAt, hair, plan);
        await db.SaveChangesAsync(stop);
        return Stored(visit);
    }

    /// <summary>Changes what was read off her hair at a visit, whatever was read before; false if there is no such visit.</summary>
    public async Task<bool> SetHairAsync(Guid visit, HairProfile hair, CancellationToken stop)
    {
        await using var db = new StudioContext(options);
        return await db
                .Visits.Where(v => v.Id == visit)
                .ExecuteUpdateAsync(
                    s => s.SetProperty(v => v.Hair, hair).SetProperty(v => v.ConsultVersion, v => v.ConsultVersion + 1),
                    stop
                ) == 1;
    }

    /// <summary>Changes hair and answers together; null if there is no such visit.</summary>
    /// <exception cref="StaleRevisionException">They are no longer at the version they were changed from.</exception>
    public async Task<StoredVisit?> SetConsultAsync(
        Guid visit,
        int baseVersion,
        HairProfile hair,
        Consultation consultation,
        CancellationToken stop
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
                stop
            );
        return await FindAsync(visit, stop) is not { } found ? null
            : changed == 1 ? found
            : throw new StaleRevisionException(found.ConsultVersion);
    }

    /// <summary>The plan of a visit as it stands.</summary>
    public async Task<StoredPlan?> PlanAsync(Guid visit, CancellationToken stop)
    {
        await using var db = new StudioContext(options);
        var newest = await db
            .Revisions.AsNoTracking()
            .Where(r => r.VisitId == visit)
            .OrderByDescending(r => r.Number)
            .FirstOrDefaultAsync(stop);
        return newest is null ? null : new StoredPlan(HistoryOf(newest), await ShownAsync(db, newest, stop));
    }

    /// <summary>The plan of a visit as it stood at a revision; null if there was none.</summary>
    public async Task<Plan?> PlanAtAsync(Guid visit, int revision, CancellationToken stop)
    {
        await using var db = new StudioContext(options);
        var row = await db
            .Revisions.AsNoTracking()
            .SingleOrDefaultAsync(r => r.VisitId == visit && r.Number == revision, stop);
        return row is null ? null : await ShownAsync(db, row, stop);
    }

    /// <summary>Appends an edited plan.</summary>
    /// <exception cref="StaleRevisionException">The plan is no longer at the revision it was edited from.</exception>
    public Task<StoredPlan> AppendAsync(Guid visit, StoredPlan from, Plan plan, string what, CancellationToken stop) =>
        AppendAsync(visit, from.History.Edited(), plan, plan, what, stop);

    /// <summary>Appends what undo shows; null if there is nothing to undo.</summary>
    /// <exception cref="StaleRevisionException">The plan is no longer at that revision.</exception>
    public Task<StoredPlan?> UndoAsync(Guid visit, StoredPlan from, Action<Plan> check, CancellationToken stop) =>
        StepAsync(visit, of => from.History.Undo(of), "undo", check, stop);

    /// <summary>Appends what redo shows; null if there is nothing to redo.</summary>
    /// <exception cref="StaleRevisionException">The plan is no longer at that revision.</exception>
    public Task<StoredPlan?> RedoAsync(Guid visit, StoredPlan from, Action<Plan> check, CancellationToken stop) =>
        StepAsync(visit, of => from.History.Redo(of), "redo", check, stop);

    private async Task<StoredPlan?> StepAsync(
        Guid visit,
        Func<Func<int, History>, History?> step,
        string what,
        Action<Plan> check,
        CancellationToken stop
    )
    {
        await using var db = new StudioContext(options);
        History Of(int number) =>
            HistoryOf(db.Revisions.AsNoTracking().Single(r => r.VisitId == visit && r.Number == number));
        if (step(Of) is not { } next)
        {
            return null;
        }

        var shown = await db
            .Revisions.AsNoTracking()
            .SingleAsync(r => r.VisitId == visit && r.Number == next.Shows, stop);
        check(shown.Plan!);
        return await AppendAsync(visit, next, shown.Plan!, null, what, stop);
    }

    private async Task<StoredPlan> AppendAsync(
        Guid visit,
        History next,
        Plan shown,
        Plan? own,
        string what,
        CancellationToken stop
    )
    {
        await using var db = new StudioContext(options);
        db.Revisions.Add(Row(visit, next, own, what));
        try
        {
            await db.SaveChangesAsync(stop);
        }
        catch (DbUpdateException problem) when (problem.InnerException is SqliteException { SqliteErrorCode: 19 })
        {
            throw new StaleRevisionException(
                await db.Revisions.Where(r => r.VisitId == visit).MaxAsync(r => r.Number, stop)
            );
        }

        return new StoredPlan(next, shown);
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
        db.Revisions.Add(Row(visit.Id, History.First, plan, "new"));
        return visit;
    }

    private RevisionRow Row(Guid visit, History history, Plan? plan, string what) =>
        new()
        {
            VisitId = visit,
            Number = history.Revision,
            Shows = history.Shows,
            Before = history.Before,
            Undone = string.Join(',', history.Undone),
            Plan = plan,
            What = what,
            At = clock.GetUtcNow(),
        };

    private static async Task<Plan> ShownAsync(StudioContext db, RevisionRow row, CancellationToken stop) =>
        row.Plan
        ?? (
            await db.Revisions.AsNoTracking().SingleAsync(r => r.VisitId == row.VisitId && r.Number == row.Shows, stop)
        ).Plan!;

    private static History HistoryOf(RevisionRow row) =>
        new(
            row.Number,
            row.Shows,
            row.Before,
            [.. row.Undone.Split(',', StringSplitOptions.RemoveEmptyEntries).Select(int.Parse)]
        );

    private static StoredVisit Stored(VisitRow v) =>
        new(v.Id, v.ClientId, v.Client.Name, v.Client.About, v.StartsAt, v.Hair, v.Consultation, v.ConsultVersion);
}
