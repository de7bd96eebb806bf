using Wendro.Apply;
using Wendro.Blend;
using Wendro.Plans;
using Wendro.Review;
using Wendro.Store;
using Wendro.Units;

namespace Wendro.Host.Work;

/// <summary>A review at work: what was planned, what happened, what was read.</summary>
/// <param name="Planned">The head the service went by.</param>
/// <param name="Happened">The same with the minutes and mixtures that really were.</param>
/// <param name="IsServed">Whether a service was begun.</param>
/// <param name="Again">What is lifted again, and from what.</param>
/// <param name="Service">What happened at the chair.</param>
/// <param name="Weighed">The mixtures as weighed.</param>
/// <param name="Depths">How it is read.</param>
/// <param name="CameOut">The strands as they came out, unmixed.</param>
/// <param name="Facts">What was seen and said.</param>
/// <param name="Review">The review as it stands.</param>
/// <param name="WeeksBetween">How many weeks between her visits.</param>
internal sealed record ReviewContext(
    PlannedHead Planned,
    PlannedHead Happened,
    bool IsServed,
    LiftedAgain Again,
    ServiceInHand Service,
    ActualApplication Weighed,
    Depths Depths,
    StrandSamples CameOut,
    IReadOnlyList<RecordedFact<ReviewFact>> Facts,
    ReviewInHand Review,
    double WeeksBetween
)
{
    /// <summary>What was read against what was planned.</summary>
    public Differences Found => Differences.Of(Planned, Depths, Review.Readings.Values);
}

/// <summary>Brings the service, the mixtures and what was read together.</summary>
internal sealed class ReviewContexts(ServiceContexts services, HeadCache heads)
{
    /// <summary>The review of a visit as it stands.</summary>
    public async Task<ReviewContext> OfAsync(VisitContext at, CancellationToken cancellationToken)
    {
        var chair = await services.OfAsync(at, cancellationToken);
        var planned = chair.Mix.Head;
        var weighed = chair.Mix.AsWeighed();
        var laid = chair.Again.On(planned, ActualForecast.On(planned, chair.Service, weighed));
        var happened = ReferenceEquals(laid, planned.Laid)
            ? planned
            : heads.Make(at.Visit.Hair, planned.Plan, planned, laid);
        var facts = chair.Review;
        var review = ReviewInHand.Of(facts).Since(chair.Again.At);
        var depths = new Depths(planned);
        var cameOut = Wendro.Review.ActualResult.Of(happened, depths, review.Readings.Values.ToArray());
        return new(
            planned,
            happened,
            chair.Stored is not null,
            chair.Again,
            chair.Service,
            weighed,
            depths,
            cameOut,
            facts,
            review,
            at.Visit.Consultation.WeeksBetween
        );
    }
}
