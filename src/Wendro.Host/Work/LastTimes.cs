using Wendro.Consult;
using Wendro.Hair;
using Wendro.Plans;
using Wendro.Record;
using Wendro.Store;

namespace Wendro.Host.Work;

/// <summary>A client's last visit, and what it left.</summary>
/// <param name="At">The visit.</param>
/// <param name="Review">What came out.</param>
/// <param name="Left">Her hair as it left it.</param>
internal sealed record LastTime(VisitContext At, ReviewContext Review, HairProfile Left)
{
    /// <summary>Weeks from there to an instant.</summary>
    public double WeeksTo(DateTimeOffset then) => Math.Max(0, (then - At.Visit.StartsAt).TotalDays / 7);

    /// <summary>Her hair at an instant.</summary>
    /// <param name="then">When.</param>
    /// <param name="trimmedCm">What was cut off the hem meanwhile, cm.</param>
    public HairProfile HairAt(DateTimeOffset then, double trimmedCm) => RegrownHair.Of(Left, WeeksTo(then), trimmedCm);

    /// <summary>What is known before anybody asks.</summary>
    public Consultation Known => At.Visit.Consultation.ForNextVisit();

    /// <summary>The plan the next visit begins with.</summary>
    public Plan NextPlan => Wendro.Record.NextPlan.Of(Review.Planned.Plan);
}

/// <summary>Finds what a client's last visit left.</summary>
internal sealed class LastTimes(Visits visits, OpenPlans plans, ReviewContexts reviews)
{
    /// <summary>The visit of a client that came last before an instant; null for none.</summary>
    public async Task<LastTime?> BeforeAsync(Guid client, DateTimeOffset before, CancellationToken cancellationToken)
    {
        if (
            await visits.LastBeforeAsync(client, before, cancellationToken) is not { } id
            || await plans.OpenAsync(id, cancellationToken) is not { } at
        )
        {
            return null;
        }

        var review = await reviews.OfAsync(at, cancellationToken);
        // A visit nobody was painted at leaves the hair as it was read.
        var worked = review.IsServed && Painted(review);
        return new(at, review, worked ? ResultingHair.Of(review.Planned, review.CameOut) : at.Visit.Hair);
    }

    private static bool Painted(ReviewContext review) =>
        review.Service.Finished.Count > 0 || review.Service.Panels.Values.Any(p => p.PaintedAt is not null);
}
