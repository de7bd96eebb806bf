using System.Collections.Concurrent;
using Wendro.Formats;
using Wendro.Host.Pipeline;
using Wendro.Paint;
using Wendro.Plans;
using Wendro.Section;
using Wendro.Store;

namespace Wendro.Host.Work;

/// <summary>What a change of a plan came to.</summary>
/// <param name="Before">As it was.</param>
/// <param name="After">As it is.</param>
/// <param name="Lost">Panels whose paint found no place.</param>
internal sealed record Changed(VisitContext Before, VisitContext After, IReadOnlyList<PanelKey> Lost);

/// <summary>
/// Where plans are worked on: reads them onto their heads, and lets every change in by the one door. Of two changes
/// from one revision the store
/// takes the first and refuses the second: nobody waits for anybody.
/// </summary>
internal sealed class OpenPlans(Visits visits, Revisions revisions, HeadCache heads, TimeProvider clock)
{
    private readonly ConcurrentDictionary<Guid, long> newestPreview = new();

    /// <summary>The plan as it stands; null if there is no such visit.</summary>
    public async Task<VisitContext?> OpenAsync(Guid visit, CancellationToken cancellationToken)
    {
        var atHand = heads.AtHand;
        if (
            await visits.FindAsync(visit, cancellationToken) is not { } found
            || await revisions.PlanAsync(visit, cancellationToken) is not { } stored
        )
        {
            return null;
        }

        return new VisitContext(
            found,
            stored,
            heads.Planned(
                atHand,
                visit,
                found.Hair,
                new(stored.History.Revision, stored.History.Shows, stored.Plan),
                null
            ),
            clock.GetLocalNow(),
            atHand
        );
    }

    /// <summary>The head as it was planned at an earlier revision; null if there was none.</summary>
    public async Task<PlannedHead?> AtRevisionAsync(
        VisitContext at,
        int revision,
        CancellationToken cancellationToken
    ) =>
        await revisions.PlanAtAsync(at.Visit.Id, revision, cancellationToken) is { } plan
            ? heads.Make(at.Visit.Hair, plan, at.Head)
            : null;

    /// <summary>Applies an edit and stores it.</summary>
    /// <exception cref="BadInputException">Values that can't be taken.</exception>
    /// <exception cref="StaleRevisionException">The plan is no longer at the base revision.</exception>
    /// <exception cref="StoppedException">A safety stop stands and hair would get more product.</exception>
    public async Task<Changed> EditAsync(
        VisitContext at,
        int baseRevision,
        PlanEdit edit,
        CancellationToken cancellationToken
    )
    {
        NotStale(at, baseRevision);
        var applied = Apply(at, edit);
        NotStopped(at, applied.Plan);
        return Next(
            at,
            await revisions.AppendAsync(at.Visit.Id, at.Stored, applied.Plan, edit, cancellationToken),
            applied.Lost
        );
    }

    /// <summary>Takes a plan read from a file, as one revision.</summary>
    /// <inheritdoc cref="EditAsync" path="/exception"/>
    public async Task<Changed> TakeAsync(
        VisitContext at,
        int baseRevision,
        Plan plan,
        CancellationToken cancellationToken
    )
    {
        NotStale(at, baseRevision);
        var made = PlanEdits.Make(plan, heads.CuttingFor(at.Visit.Hair), out var problems);
        if (problems.Count > 0)
        {
            throw new BadInputException(problems);
        }

        NotStopped(at, made);
        return Next(at, await revisions.TakeAsync(at.Visit.Id, at.Stored, made, cancellationToken), []);
    }

    /// <summary>Takes the last edit back; the same plan and revision if there is none.</summary>
    /// <exception cref="StaleRevisionException">The plan is no longer at the base revision.</exception>
    /// <exception cref="StoppedException">A safety stop stands and it would bring product back.</exception>
    public async Task<Changed> UndoAsync(VisitContext at, int baseRevision, CancellationToken cancellationToken)
    {
        NotStale(at, baseRevision);
        return Next(
            at,
            await revisions.UndoAsync(at.Visit.Id, at.Stored, plan => NotStopped(at, plan), cancellationToken)
                ?? at.Stored,
            []
        );
    }

    /// <summary>Brings back what was undone last; the same plan and revision if there is nothing.</summary>
    /// <inheritdoc cref="UndoAsync" path="/exception"/>
    public async Task<Changed> RedoAsync(VisitContext at, int baseRevision, CancellationToken cancellationToken)
    {
        NotStale(at, baseRevision);
        return Next(
            at,
            await revisions.RedoAsync(at.Visit.Id, at.Stored, plan => NotStopped(at, plan), cancellationToken)
                ?? at.Stored,
            []
        );
    }

    /// <summary>What an edit would do; stores nothing. Null where a newer preview has come in meanwhile.</summary>
    public PlannedHead? Preview(VisitContext at, int baseRevision, PlanEdit edit, long sequence)
    {
        var newest = newestPreview.AddOrUpdate(at.Visit.Id, sequence, (_, last) => Math.Max(last, sequence));
        NotStale(at, baseRevision);
        return newest > sequence ? null : heads.Make(at.Visit.Hair, Apply(at, edit).Plan, at.Head);
    }

    private static void NotStale(VisitContext at, int baseRevision)
    {
        if (at.Stored.History.Revision != baseRevision)
        {
            throw new StaleRevisionException(at.Stored.History.Revision);
        }
    }

    /// <summary>Refuses a plan by which hair gets more product while a safety stop stands.</summary>
    private void NotStopped(VisitContext at, Plan next)
    {
        if (
            VisitSafety.Stops(at) is { Count: > 0 } stops
            && SafetyStopCheck.LaysMore(at.Stored.Plan, next, heads.CuttingFor(at.Visit.Hair))
        )
        {
            throw new StoppedException(stops);
        }
    }

    private Applied Apply(VisitContext at, PlanEdit edit)
    {
        var applied = at.Stored.Plan.Apply(edit, heads.CuttingFor(at.Visit.Hair));
        return applied.Succeeded
            ? applied
            : throw new BadInputException(applied.Problems.Select(p => p with { Field = $"edit.{p.Field}" }).ToArray());
    }

    private Changed Next(VisitContext at, StoredPlan stored, IReadOnlyList<PanelKey> lost)
    {
        newestPreview.TryRemove(at.Visit.Id, out _);
        var head = heads.Planned(
            at.AtHand,
            at.Visit.Id,
            at.Visit.Hair,
            new(stored.History.Revision, stored.History.Shows, stored.Plan),
            at.Head
        );
        return new(at, at with { Stored = stored, Head = head }, lost);
    }
}
