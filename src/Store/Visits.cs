using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore;
using Wendro.Core.Consult;
using Wendro.Core.Hair;
using Wendro.Core.Plans;

namespace Wendro.Store;

/// <summary>A plan as it stands: the revision, where it is in its history, and the plan.</summary>
/// <param name="History">Where it is in its history.</param>
/// <param name="Plan">The plan.</param>
/// <param name="Undoes">What undo would take back, in words; null where there is nothing, or it is not known.</param>
/// <param name="Redoes">What redo would bring back, in words; null where there is nothing, or it is not known.</param>
public sealed record StoredPlan(History History, Plan Plan, string? Undoes = null, string? Redoes = null);

/// <summary>One revision in the history of a plan.</summary>
/// <param name="Number">Its number.</param>
/// <param name="How">How it came about: edit, undo, redo, import or new.</param>
/// <param name="Label">What was done, in words; null where that was not kept yet.</param>
/// <param name="At">When.</param>
public sealed record StoredRevision(int Number, string How, string? Label, DateTimeOffset At);

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
        if (db.Database.GetAppliedMigrations().Except(db.Database.GetMigrations()).LastOrDefault() is { } newer)
        {
            throw new NewerDataException(newer);
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

    /// <summary>
    /// Changes what was read off her hair at a visit, whatever was read before; false if there is no such visit.
    /// </summary>
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
        if (newest is null)
        {
            return null;
        }

        var shown = newest.Plan is null ? await AtAsync(db, visit, newest.Shows, stop) : newest;
        return await WithLabelsAsync(db, visit, HistoryOf(newest), shown, stop);
    }

    /// <summary>The plan of a visit as it stood at a revision; null if there was none.</summary>
    public async Task<Plan?> PlanAtAsync(Guid visit, int revision, CancellationToken stop)
    {
        await using var db = new StudioContext(options);
        var row = await db
            .Revisions.AsNoTracking()
            .SingleOrDefaultAsync(r => r.VisitId == visit && r.Number == revision, stop);
        return row is null ? null : row.Plan ?? (await AtAsync(db, visit, row.Shows, stop)).Plan;
    }

    /// <summary>The revisions of a visit's plan, the first first.</summary>
    public async Task<IReadOnlyList<StoredRevision>> HistoryAsync(Guid visit, CancellationToken stop)
    {
        await using var db = new StudioContext(options);
        var rows = await db
            .Revisions.Where(r => r.VisitId == visit)
            .OrderBy(r => r.Number)
            .Select(r => new
            {
                r.Number,
                r.What,
                r.Label,
                r.At,
            })
            .ToListAsync(stop);
        // Before labels were kept, an edit's whole JSON stood where now a word does.
        return rows.Select(r => new StoredRevision(r.Number, r.What is ['{', ..] ? "edit" : r.What, r.Label, r.At))
            .ToArray();
    }

    /// <summary>
    /// Forgets the revisions of a visit that is done, but for the first, the last, and those that facts pin: what is
    /// kept can still be read; there
    /// is nothing left to undo.
    /// </summary>
    /// <param name="visit">The visit.</param>
    /// <param name="pinned">Revisions that something which happened refers to.</param>
    /// <param name="stop">Ends it early, with nothing forgotten.</param>
    /// <returns>How many were forgotten.</returns>
    public async Task<int> ThinAsync(Guid visit, IReadOnlyCollection<int> pinned, CancellationToken stop)
    {
        await using var db = new StudioContext(options);
        await using var together = await db.Database.BeginTransactionAsync(stop);
        var rows = await db
            .Revisions.AsNoTracking()
            .Where(r => r.VisitId == visit)
            .OrderBy(r => r.Number)
            .ToListAsync(stop);
        var kept = History.Kept(rows.Select(HistoryOf).ToArray(), pinned);
        foreach (var row in rows.Where(r => kept.Contains(r.Number)))
        {
            await db
                .Revisions.Where(r => r.VisitId == visit && r.Number == row.Number)
                .ExecuteUpdateAsync(s => s.SetProperty(r => r.Before, (int?)null).SetProperty(r => r.Undone, ""), stop);
        }

        var forgotten = await db
            .Revisions.Where(r => r.VisitId == visit && !kept.Contains(r.Number))
            .ExecuteDeleteAsync(stop);
        await together.CommitAsync(stop);
        return forgotten;
    }

    /// <summary>Appends an edited plan.</summary>
    /// <exception cref="StaleRevisionException">The plan is no longer at the revision it was edited from.</exception>
    public Task<StoredPlan> AppendAsync(Guid visit, StoredPlan from, Plan plan, PlanEdit edit, CancellationToken stop)
    {
        ArgumentNullException.ThrowIfNull(edit);
        return AppendAsync(visit, from.History.Edited(), plan, plan, "edit", edit, stop);
    }

    /// <summary>Appends a plan that came in from a file.</summary>
    /// <exception cref="StaleRevisionException">The plan is no longer at the revision it was to follow.</exception>
    public Task<StoredPlan> TakeAsync(Guid visit, StoredPlan from, Plan plan, CancellationToken stop) =>
        AppendAsync(visit, from.History.Edited(), plan, plan, "import", null, stop);

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

        var shown = await AtAsync(db, visit, next.Shows, stop);
        check(shown.Plan!);
        await AppendAsync(visit, next, shown.Plan!, null, what, null, stop);
        return await WithLabelsAsync(db, visit, next, shown, stop);
    }

    private async Task<StoredPlan> AppendAsync(
        Guid visit,
        History next,
        Plan shown,
        Plan? own,
        string what,
        PlanEdit? edit,
        CancellationToken stop
    )
    {
        await using var db = new StudioContext(options);
        db.Revisions.Add(Row(visit, next, own, what, edit));
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

        return new StoredPlan(next, shown, edit?.Label().ToString());
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

    private RevisionRow Row(Guid visit, History history, Plan? plan, string what, PlanEdit? edit = null) =>
        new()
        {
            VisitId = visit,
            Number = history.Revision,
            Shows = history.Shows,
            Before = history.Before,
            Undone = string.Join(',', history.Undone),
            Plan = plan,
            What = what,
            Edit = edit,
            Label = edit?.Label().ToString(),
            At = clock.GetUtcNow(),
        };

    private static Task<RevisionRow> AtAsync(StudioContext db, Guid visit, int number, CancellationToken stop) =>
        db.Revisions.AsNoTracking().SingleAsync(r => r.VisitId == visit && r.Number == number, stop);

    /// <summary>A plan with what undo and redo would do, in words.</summary>
    private static async Task<StoredPlan> WithLabelsAsync(
        StudioContext db,
        Guid visit,
        History history,
        RevisionRow shown,
        CancellationToken stop
    )
    {
        var redo = history.CanRedo ? history.Undone[^1] : 0;
        var redoes = history.CanRedo
            ? await db
                .Revisions.Where(r => r.VisitId == visit && r.Number == redo)
                .Select(r => r.Label)
                .SingleOrDefaultAsync(stop)
            : null;
        return new StoredPlan(history, shown.Plan!, history.CanUndo ? shown.Label : null, redoes);
    }

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
