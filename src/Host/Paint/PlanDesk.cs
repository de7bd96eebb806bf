using System.Collections.Concurrent;
using System.Text.Json;
using Wendro.Core.Plans;
using Wendro.Formats;
using Wendro.Host.Consult;
using Wendro.Host.Frame;
using Wendro.Store;

namespace Wendro.Host.Paint;

/// <summary>A plan at work: the visit, what is stored, the plan on its head, and when it was looked at.</summary>
internal sealed record AtWork(StoredVisit Visit, StoredPlan Stored, PlannedHead Head, DateTimeOffset Now);

/// <summary>A safety stop stands: nothing is painted. Nothing was changed.</summary>
internal sealed class StoppedException(IReadOnlyList<string> stops) : Exception(stops[0])
{
    /// <summary>The stops, in words.</summary>
    public IReadOnlyList<string> Stops { get; } = stops;
}

/// <summary>
/// Where plans are worked on: reads them onto their heads, and lets every change in by the one door, one at a time for each visit.
/// </summary>
internal sealed class PlanDesk(Visits visits, Heads heads, TimeProvider clock)
{
    private readonly ConcurrentDictionary<Guid, SemaphoreSlim> turns = new();
    private readonly ConcurrentDictionary<Guid, long> newestPreview = new();

    /// <summary>The plan as it stands; null if there is no such visit.</summary>
    public async Task<AtWork?> OpenAsync(Guid visit, CancellationToken stop)
    {
        if (
            await visits.FindAsync(visit, stop) is not { } found
            || await visits.PlanAsync(visit, stop) is not { } stored
        )
        {
            return null;
        }

        return new AtWork(
            found,
            stored,
            heads.Planned(visit, found.Hair, new(stored.History.Shows, stored.Plan), null),
            clock.GetLocalNow()
        );
    }

    /// <summary>The head as it was planned at an earlier revision; null if there was none.</summary>
    public async Task<PlannedHead?> AtRevisionAsync(AtWork at, int revision, CancellationToken stop) =>
        await visits.PlanAtAsync(at.Visit.Id, revision, stop) is { } plan
            ? heads.Make(at.Visit.Hair, plan, at.Head)
            : null;

    /// <summary>Applies an edit and stores it.</summary>
    /// <exception cref="BadInputException">Values that can't be taken.</exception>
    /// <exception cref="StaleRevisionException">The plan is no longer at the base revision.</exception>
    /// <exception cref="StoppedException">A safety stop stands and hair would get more product.</exception>
    public Task<(AtWork Before, AtWork After, IReadOnlyList<string> Lost)?> EditAsync(
        Guid visit,
        int baseRevision,
        PlanEdit edit,
        CancellationToken stop
    ) =>
        ChangeAsync(
            visit,
            baseRevision,
            async at =>
            {
                var applied = Apply(at, edit);
                NotStopped(at)(applied.Plan);
                var what = JsonSerializer.Serialize(edit, WendroJson.Options);
                return (await visits.AppendAsync(visit, at.Stored, applied.Plan, what, stop), applied.Lost);
            },
            stop
        );

    /// <summary>Takes a plan read from a file, as one revision.</summary>
    public Task<(AtWork Before, AtWork After, IReadOnlyList<string> Lost)?> TakeAsync(
        Guid visit,
        int baseRevision,
        Plan plan,
        CancellationToken stop
    ) =>
        ChangeAsync(
            visit,
            baseRevision,
            async at =>
            {
                var made = PlanEdits.Make(plan, heads.CuttingFor(at.Visit.Hair), out var problems);
                if (problems.Count == 0)
                {
                    NotStopped(at)(made);
                }

                return problems.Count > 0
                    ? throw new BadInputException(problems)
                    : (await visits.AppendAsync(visit, at.Stored, made, "import", stop), []);
            },
            stop
        );

    /// <summary>Takes the last edit back; the same plan and revision if there is none.</summary>
    /// <exception cref="StoppedException">A safety stop stands and it would bring paint back.</exception>
    public Task<(AtWork Before, AtWork After, IReadOnlyList<string> Lost)?> UndoAsync(
        Guid visit,
        int baseRevision,
        CancellationToken stop
    ) =>
        ChangeAsync(
            visit,
            baseRevision,
            async at => (await visits.UndoAsync(visit, at.Stored, NotStopped(at), stop) ?? at.Stored, []),
            stop
        );

    /// <summary>Brings back what was undone last; the same plan and revision if there is nothing.</summary>
    public Task<(AtWork Before, AtWork After, IReadOnlyList<string> Lost)?> RedoAsync(
        Guid visit,
        int baseRevision,
        CancellationToken stop
    ) =>
        ChangeAsync(
            visit,
            baseRevision,
            async at => (await visits.RedoAsync(visit, at.Stored, NotStopped(at), stop) ?? at.Stored, []),
            stop
        );

    /// <summary>What an edit would do; stores nothing. Null head where a newer preview has come in meanwhile.</summary>
    public async Task<(AtWork Before, PlannedHead? After)?> PreviewAsync(
        Guid visit,
        int baseRevision,
        PlanEdit edit,
        long sequence,
        CancellationToken stop
    )
    {
        newestPreview.AddOrUpdate(visit, sequence, (_, newest) => Math.Max(newest, sequence));
        if (await OpenAsync(visit, stop) is not { } at)
        {
            return null;
        }

        if (at.Stored.History.Revision != baseRevision)
        {
            throw new StaleRevisionException(at.Stored.History.Revision);
        }

        if (newestPreview.TryGetValue(visit, out var last) && last > sequence)
        {
            return (at, null);
        }

        return (at, heads.Make(at.Visit.Hair, Apply(at, edit).Plan, at.Head));
    }

    /// <summary>Refuses a plan that brings product back while a safety stop stands.</summary>
    private Action<Plan> NotStopped(AtWork at) =>
        next =>
        {
            if (
                ConsultWords.Stops(at) is { Count: > 0 } stops
                && Stopped.LaysMore(at.Stored.Plan, next, heads.CuttingFor(at.Visit.Hair))
            )
            {
                throw new StoppedException(stops);
            }
        };

    private Applied Apply(AtWork at, PlanEdit edit)
    {
        var applied = at.Stored.Plan.Apply(edit, heads.CuttingFor(at.Visit.Hair));
        return applied.Succeeded
            ? applied
            : throw new BadInputException(applied.Problems.Select(p => p with { Field = $"edit.{p.Field}" }).ToArray());
    }

    private async Task<(AtWork Before, AtWork After, IReadOnlyList<string> Lost)?> ChangeAsync(
        Guid visit,
        int baseRevision,
        Func<AtWork, Task<(StoredPlan Stored, IReadOnlyList<string> Lost)>> change,
        CancellationToken stop
    )
    {
        var turn = turns.GetOrAdd(visit, _ => new SemaphoreSlim(1));
        await turn.WaitAsync(stop);
        try
        {
            if (await OpenAsync(visit, stop) is not { } at)
            {
                return null;
            }

            if (at.Stored.History.Revision != baseRevision)
            {
                throw new StaleRevisionException(at.Stored.History.Revision);
            }

            var (stored, lost) = await change(at);
            newestPreview.TryRemove(visit, out _);
            var head = heads.Planned(visit, at.Visit.Hair, new(stored.History.Shows, stored.Plan), at.Head);
            return (at, at with { Stored = stored, Head = head }, lost);
        }
        finally
        {
            turn.Release();
        }
    }
}
