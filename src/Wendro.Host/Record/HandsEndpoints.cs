using Wendro.Apply;
using Wendro.Host.Pipeline;
using Wendro.Host.Work;
using Wendro.Plans;
using Wendro.Record;
using Wendro.Store;

namespace Wendro.Host.Record;

/// <summary>A visit by when hands are at it.</summary>
/// <param name="VisitId">Which.</param>
/// <param name="StartsAt">When it starts, or when the client sat down.</param>
/// <param name="Minutes">In the chair: as planned, as booked while nothing is planned, as it was once it is put
/// away.</param>
/// <param name="Chair">Which chair it takes so, from 1.</param>
/// <param name="Hands">When hands are needed, minutes after the start.</param>
internal sealed record VisitHands(
    Guid VisitId,
    DateTimeOffset StartsAt,
    double Minutes,
    int Chair,
    IReadOnlyList<HandSpan> Hands
);

/// <summary>A stretch of time with so many pairs of hands and basins.</summary>
/// <param name="Visits">The visits in time order.</param>
/// <param name="Clashes">Where more need hands or a basin at once than there are.</param>
/// <param name="Later">By how much later visits that find too few would have to start.</param>
/// <param name="Floor">How many there are: as asked, else as the house has it.</param>
internal sealed record HandsView(
    IReadOnlyList<VisitHands> Visits,
    IReadOnlyList<StaffingConflict> Clashes,
    IReadOnlyList<LaterStart> Later,
    SalonCapacity Floor
);

/// <summary>A day by chairs and hands.</summary>
internal static class HandsEndpoints
{
    private const double MostDays = 1.5;

    public static void MapHands(this IEndpointRouteBuilder app)
    {
        app.MapGet(
                "/api/calendar/hands",
                async (
                    DateTimeOffset? from,
                    DateTimeOffset? to,
                    int? pairs,
                    int? basins,
                    Register register,
                    Studio studio,
                    OpenPlans plans,
                    MixContexts mixes,
                    Services services,
                    CancellationToken cancellationToken
                ) =>
                {
                    var house = (await studio.RulesAsync(cancellationToken)).Rules.FloorOf();
                    var floor = new SalonCapacity(pairs ?? house.Pairs, basins ?? house.Basins);
                    if (floor.Problems() is { Count: > 0 } problems)
                    {
                        throw new BadInputException(problems);
                    }

                    var visits = new List<VisitHands>();
                    foreach (
                        var visit in await YearEndpoints.BookedAsync(register, from, to, MostDays, cancellationToken)
                    )
                    {
                        visits.Add(await OfAsync(visit, plans, mixes, services, cancellationToken));
                    }

                    var chairs = ChairAllocation.Of(visits.Select(v => (v.StartsAt, v.Minutes)).ToArray());
                    visits = visits.Select((v, i) => v with { Chair = chairs[i] }).ToList();
                    var day = DayStaffing.Of(
                        visits.Select(v => new StaffedVisit(v.VisitId, v.StartsAt, v.Hands)),
                        floor
                    );
                    return Results.Ok(new HandsView(visits, day.Clashes, day.Later, floor));
                }
            )
            .WithTags("Record")
            .Produces<HandsView>()
            .ProducesValidationProblem()
            .WithName("GetHands")
            .WithSummary(
                "When hands and basins are needed at visits to come, where there are too few, and what would help"
            );
    }

    private static async Task<VisitHands> OfAsync(
        RegisteredVisit visit,
        OpenPlans plans,
        MixContexts mixes,
        Services services,
        CancellationToken cancellationToken
    )
    {
        if (visit.Sum is not null || await plans.OpenAsync(visit.Id, cancellationToken) is not { } at)
        {
            return new(visit.Id, visit.StartsAt, visit.Sum?.ChairMinutes ?? visit.Minutes, 1, []);
        }

        var clock = (await mixes.OfAsync(at, cancellationToken)).Visit;
        var seated = (await services.OfAsync(visit.Id, cancellationToken))
            ?.Facts.FirstOrDefault(f => f.Fact is Seated)
            ?.At;
        return new(
            visit.Id,
            seated ?? visit.StartsAt,
            clock.Minutes > 0 ? clock.Minutes : visit.Minutes,
            1,
            VisitStaffing.Of(clock)
        );
    }
}
