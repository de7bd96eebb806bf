using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore;
using Wendro.Plans;

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

/// <summary>Somebody else's revision came first; nothing was written.</summary>
public sealed class StaleRevisionException(int current) : Exception($"The plan is at revision {current}.")
{
    /// <summary>The revision the plan is at.</summary>
    public int Current { get; } = current;
}

/// <summary>
/// The revisions of visits' plans. Only ever added; undo and redo add one that shows an earlier plan.
/// </summary>
public sealed class Revisions(DbContextOptions<StudioContext> options, TimeProvider clock)
{
    /// <summary>The plan of a visit as it stands.</summary>
    public async Task<StoredPlan?> PlanAsync(Guid visit, CancellationToken cancellationToken)
    {
        await using var db = new StudioContext(options);
        var newest = await db
            .Revisions.AsNoTracking()
            .Where(r => r.VisitId == visit)
            .OrderByDescending(r => r.Number)
            .FirstOrDefaultAsync(cancellationToken);
        if (newest is null)
        {
            return null;
        }

        var shown = newest.Plan is null ? await AtAsync(db, visit, newest.Shows, cancellationToken) : newest;
        return await WithLabelsAsync(db, visit, HistoryOf(newest), shown, cancellationToken);
    }

    /// <summary>The plan of a visit as it stood at a revision; null if there was none.</summary>
    public async Task<Plan?> PlanAtAsync(Guid visit, int revision, CancellationToken cancellationToken)
    {
        await using var db = new StudioContext(options);
        var row = await db
            .Revisions.AsNoTracking()
            .SingleOrDefaultAsync(r => r.VisitId == visit && r.Number == revision, cancellationToken);
        return row is null ? null : row.Plan ?? (await AtAsync(db, visit, row.Shows, cancellationToken)).Plan;
    }

    /// <summary>The revisions of a visit's plan, the first first.</summary>
    public async Task<IReadOnlyList<StoredRevision>> HistoryAsync(Guid visit, CancellationToken cancellationToken)
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
            .ToListAsync(cancellationToken);
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
    /// <param name="cancellationToken">Ends it early, with nothing forgotten.</param>
    /// <returns>How many were forgotten.</returns>
    public async Task<int> ThinAsync(Guid visit, IReadOnlySet<int> pinned, CancellationToken cancellationToken)
    {
        await using var db = new StudioContext(options);
        await using var together = await db.Database.BeginTransactionAsync(cancellationToken);
        var rows = await db
            .Revisions.AsNoTracking()
            .Where(r => r.VisitId == visit)
            .OrderBy(r => r.Number)
            .ToListAsync(cancellationToken);
        var kept = History.Kept(rows.Select(HistoryOf).ToArray(), pinned);
        foreach (var row in rows.Where(r => kept.Contains(r.Number)))
        {
            await db
                .Revisions.Where(r => r.VisitId == visit && r.Number == row.Number)
                .ExecuteUpdateAsync(
                    s => s.SetProperty(r => r.Before, (int?)null).SetProperty(r => r.Undone, ""),
                    cancellationToken
                );
        }

        var forgotten = await db
            .Revisions.Where(r => r.VisitId == visit && !kept.Contains(r.Number))
            .ExecuteDeleteAsync(cancellationToken);
        await together.CommitAsync(cancellationToken);
        return forgotten;
    }

    /// <summary>Appends an edited plan.</summary>
    /// <exception cref="StaleRevisionException">The plan is no longer at the revision it was edited from.</exception>
    public Task<StoredPlan> AppendAsync(
        Guid visit,
        StoredPlan from,
        Plan plan,
        PlanEdit edit,
        CancellationToken cancellationToken
    )
    {
        ArgumentNullException.ThrowIfNull(edit);
        return AppendAsync(visit, from.History.Edited(), plan, plan, "edit", edit, cancellationToken);
    }

    /// <summary>Appends a plan that came in from a file.</summary>
    /// <exception cref="StaleRevisionException">The plan is no longer at the revision it was to follow.</exception>
    public Task<StoredPlan> TakeAsync(Guid visit, StoredPlan from, Plan plan, CancellationToken cancellationToken) =>
        AppendAsync(visit, from.History.Edited(), plan, plan, "import", null, cancellationToken);

    /// <summary>Appends what undo shows; null if there is nothing to undo.</summary>
    /// <exception cref="StaleRevisionException">The plan is no longer at that revision.</exception>
    public Task<StoredPlan?> UndoAsync(
        Guid visit,
        StoredPlan from,
        Action<Plan> check,
        CancellationToken cancellationToken
    ) => StepAsync(visit, of => from.History.Undo(of), "undo", check, cancellationToken);

    /// <summary>Appends what redo shows; null if there is nothing to redo.</summary>
    /// <exception cref="StaleRevisionException">The plan is no longer at that revision.</exception>
    public Task<StoredPlan?> RedoAsync(
        Guid visit,
        StoredPlan from,
        Action<Plan> check,
        CancellationToken cancellationToken
    ) => StepAsync(visit, of => from.History.Redo(of), "redo", check, cancellationToken);

    private async Task<StoredPlan?> StepAsync(
        Guid visit,
        Func<Func<int, History>, History?> step,
        string what,
        Action<Plan> check,
        CancellationToken cancellationToken
    )
    {
        await using var db = new StudioContext(options);
        History Of(int number) =>
            HistoryOf(db.Revisions.AsNoTracking().Single(r => r.VisitId == visit && r.Number == number));
        if (step(Of) is not { } next)
        {
            return null;
        }

        var shown = await AtAsync(db, visit, next.Shows, cancellationToken);
        check(shown.Plan!);
        await AppendAsync(visit, next, shown.Plan!, null, what, null, cancellationToken);
        return await WithLabelsAsync(db, visit, next, shown, cancellationToken);
    }

    private async Task<StoredPlan> AppendAsync(
        Guid visit,
        History next,
        Plan shown,
        Plan? own,
        string what,
        PlanEdit? edit,
        CancellationToken cancellationToken
    )
    {
        await using var db = new StudioContext(options);
        db.Revisions.Add(Row(visit, next, own, what, edit, clock.GetUtcNow()));
        try
        {
            await db.SaveChangesAsync(cancellationToken);
        }
        catch (DbUpdateException problem) when (problem.InnerException is SqliteException { SqliteErrorCode: 19 })
        {
            throw new StaleRevisionException(
                await db.Revisions.Where(r => r.VisitId == visit).MaxAsync(r => r.Number, cancellationToken)
            );
        }

        return new StoredPlan(next, shown, edit?.Label().ToString());
    }

    /// <summary>The first revision of a plan not begun.</summary>
    internal static RevisionRow First(Guid visit, Plan plan, DateTimeOffset at) =>
        Row(visit, History.First, plan, "new", null, at);

    private static RevisionRow Row(
        Guid visit,
        History history,
        Plan? plan,
        string what,
        PlanEdit? edit,
        DateTimeOffset at
    ) =>
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
            At = at,
        };

    private static Task<RevisionRow> AtAsync(
        StudioContext db,
        Guid visit,
        int number,
        CancellationToken cancellationToken
    ) => db.Revisions.AsNoTracking().SingleAsync(r => r.VisitId == visit && r.Number == number, cancellationToken);

    /// <summary>A plan with what undo and redo would do, in words.</summary>
    private static async Task<StoredPlan> WithLabelsAsync(
        StudioContext db,
        Guid visit,
        History history,
        RevisionRow shown,
        CancellationToken cancellationToken
    )
    {
        var redo = history.CanRedo ? history.Undone[^1] : 0;
        var redoes = history.CanRedo
            ? await db
                .Revisions.Where(r => r.VisitId == visit && r.Number == redo)
                .Select(r => r.Label)
                .SingleOrDefaultAsync(cancellationToken)
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
}
