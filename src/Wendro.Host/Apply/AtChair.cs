using Wendro.Apply;
using Wendro.Host.Work;

namespace Wendro.Host.Apply;

/// <summary>A service at a glance: who is in the chair, and what is due next.</summary>
/// <param name="SeatedAt">Since when.</param>
/// <param name="Painted">Panels painted.</param>
/// <param name="Waiting">Panels that wait.</param>
/// <param name="DueAt">When something is due next; null where nothing is.</param>
/// <param name="Due">What, in a few words.</param>
/// <param name="DoneAt">When the step is forecast to be done.</param>
internal sealed record AtChair(
    DateTimeOffset SeatedAt,
    int Painted,
    int Waiting,
    DateTimeOffset? DueAt,
    string? Due,
    DateTimeOffset? DoneAt
)
{
    /// <summary>A service under way; null where none was begun or all is done.</summary>
    public static AtChair? Of(ServiceContext at, DateTimeOffset now)
    {
        if (at.Service is not { SeatedAt: { } seated, IsDone: false })
        {
            return null;
        }

        var clock = ServiceClock.Of(at.Mix, at.Service, now);
        var due = ServiceDues.Of(clock);
        return new(
            seated,
            at.Service.Order.Count(p => at.Service.StandOf(p).PaintedAt is not null),
            at.Service.Waiting.Count(),
            due.Count > 0 ? due[0].At : null,
            due.Count > 0 ? due[0].Title : null,
            clock.DoneAt
        );
    }
}
