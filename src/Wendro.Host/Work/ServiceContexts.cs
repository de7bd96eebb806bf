using Wendro.Apply;
using Wendro.Plans;
using Wendro.Review;
using Wendro.Store;
using Wendro.Units;

namespace Wendro.Host.Work;

/// <summary>A visit at the chair: the pinned plan with its bowls, and what happened.</summary>
/// <param name="Work">The visit with the plan as it is now.</param>
/// <param name="Mixed">The plan the service goes by, with its bowls; the plan as it is while none was begun.</param>
/// <param name="Stored">What was kept; null while no service was begun.</param>
/// <param name="Service">The service as it stands.</param>
/// <param name="Revision">The revision it goes by.</param>
/// <param name="Review">What was seen and said at the review.</param>
/// <param name="Again">What is lifted again, and from what.</param>
internal sealed record ServiceContext(
    VisitContext Work,
    MixContext Mixed,
    StoredService? Stored,
    ServiceInHand Service,
    int Revision,
    IReadOnlyList<RecordedFact<ReviewFact>> Review,
    LiftedAgain Again
)
{
    /// <summary>Its bowls, mixed for the rinses that come between.</summary>
    public PlannedMix Mix => Mixed.Mix;

    /// <summary>All that happened, in order.</summary>
    public IReadOnlyList<RecordedFact<ServiceFact>> Facts => Stored?.Facts ?? [];
}

/// <summary>Brings the pinned plan and what happened at the chair together.</summary>
internal sealed class ServiceContexts(
    Services services,
    Reviews reviews,
    MixContexts mixes,
    OpenPlans plans,
    HeadCache heads
)
{
    /// <summary>The service of a visit as it stands.</summary>
    public async Task<ServiceContext> OfAsync(VisitContext at, CancellationToken cancellationToken)
    {
        var stored = await services.OfAsync(at.Visit.Id, cancellationToken);
        var revision = stored?.Revision ?? at.Stored.History.Revision;
        var head =
            revision == at.Stored.History.Revision
                ? at.Head
                : await plans.AtRevisionAsync(at, revision, cancellationToken) ?? at.Head;
        var facts = stored?.Facts ?? [];
        if (ServiceInHand.AddedBy(facts) is { Count: > 0 } added)
        {
            // They belong to this service, not to the plan: that stays as it was agreed.
            head = heads.Make(at.Visit.Hair, AddedPanels.Into(head, added, heads.CuttingFor(at.Visit.Hair)), head);
        }

        var mix = await mixes.OfAsync(at with { Head = head }, cancellationToken);
        var service = ServiceInHand.Of(ServiceClock.StepsOf(mix.Planned), facts);
        var review = await reviews.FactsOfAsync(at.Visit.Id, cancellationToken);
        var again = LiftedAgain.Of(head, service, review);
        var laid = again.On(head, head.Laid);
        if (!ReferenceEquals(laid, head.Laid))
        {
            // What is lifted again begins with the hair as it was read, and not as the first step was planned.
            head = heads.Make(at.Visit.Hair, head.Plan, head, laid);
            mix = await mixes.OfAsync(at with { Head = head }, cancellationToken);
        }

        return new(at, mix, stored, service, revision, review, again);
    }
}
