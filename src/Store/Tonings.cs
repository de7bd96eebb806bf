using Microsoft.EntityFrameworkCore;
using Wendro.Core.Toning;

namespace Wendro.Store;

/// <summary>How heads are toned, and what happened while they were.</summary>
public sealed class Tonings(DbContextOptions<StudioContext> options, TimeProvider clock)
    : FactLog<ToneFact, ToneFactRow>(options, clock)
{
    /// <summary>Adds a fact. Said twice it counts once.</summary>
    /// <param name="visit">At which visit.</param>
    /// <param name="after">How many facts had been seen when it was said.</param>
    /// <param name="saidAs">Given by who said it.</param>
    /// <param name="fact">What was chosen, or happened.</param>
    /// <param name="stop">Cancels.</param>
    public Task<FactTold<ToneFact>> AddAsync(
        Guid visit,
        int after,
        Guid saidAs,
        ToneFact fact,
        CancellationToken stop
    ) => AddAsync(visit, after, saidAs, fact, f => f.Concerns, facts => ToningInHand.Of(facts).Against(fact), stop);
}
