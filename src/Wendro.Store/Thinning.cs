using Microsoft.EntityFrameworkCore;
using Wendro.Record;

namespace Wendro.Store;

/// <summary>
/// Lets go of the steps by which plans came about whose visits were put away long since. What happened goes by the
/// plans that stay: the first, the last, and those a service was worked by.
/// </summary>
public sealed class Thinning(
    DbContextOptions<StudioContext> options,
    Revisions revisions,
    RecordFacts keepings,
    Services services,
    TimeProvider clock
)
{
    /// <summary>Does so for every visit that has settled.</summary>
    /// <param name="cancellationToken">Ends it early; a visit is thinned whole or not at all.</param>
    /// <returns>How many revisions were let go.</returns>
    public async Task<int> RunAsync(CancellationToken cancellationToken)
    {
        var gone = 0;
        foreach (var (visit, changedAt) in await WithStepsAsync(cancellationToken))
        {
            var kept = RecordInHand.Of(await keepings.FactsOfAsync(visit, cancellationToken));
            if (kept.HasSettled(clock.GetUtcNow(), changedAt))
            {
                gone += await revisions.ThinAsync(
                    visit,
                    await services.PinnedAsync(visit, cancellationToken),
                    cancellationToken
                );
            }
        }

        return gone;
    }

    /// <summary>
    /// Visits of which something was said at putting them away, whose plans still have steps, and when they were
    /// changed last.
    /// </summary>
    private async Task<IReadOnlyList<(Guid Visit, DateTimeOffset ChangedAt)>> WithStepsAsync(
        CancellationToken cancellationToken
    )
    {
        await using var db = new StudioContext(options);
        var rows = await db
            .Revisions.Where(r => db.KeepFacts.Any(f => f.VisitId == r.VisitId))
            .Where(r => !db.Revisions.Any(later => later.VisitId == r.VisitId && later.Number > r.Number))
            .Where(r => db.Revisions.Any(s => s.VisitId == r.VisitId && (s.Before != null || s.Undone != "")))
            .Select(r => new { r.VisitId, r.At })
            .ToListAsync(cancellationToken);
        return rows.Select(r => (r.VisitId, r.At)).ToArray();
    }
}
