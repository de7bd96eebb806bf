using Wendro.Host.Pipeline;
using Wendro.Record;
using Wendro.Store;
using Wendro.Units;

namespace Wendro.Host.Record;

/// <summary>A visit in the calendar.</summary>
/// <param name="VisitId">Which.</param>
/// <param name="ClientId">Whose.</param>
/// <param name="Client">Her name.</param>
/// <param name="StartsAt">When it starts.</param>
/// <param name="Minutes">How long it is booked, or took in the chair where it was put away, minutes.</param>
/// <param name="Chair">Which chair it takes, from 1: one that is free then.</param>
/// <param name="IsPutAway">Whether it is over and put away.</param>
internal sealed record CalendarVisit(
    Guid VisitId,
    Guid ClientId,
    string Client,
    DateTimeOffset StartsAt,
    double Minutes,
    int Chair,
    bool IsPutAway
);

/// <summary>The years in figures.</summary>
/// <param name="Months">Month by month.</param>
/// <param name="Order">What is to be ordered, and why.</param>
internal sealed record YearView(IReadOnlyList<MonthSum> Months, IReadOnlyList<ToOrder> Order);

/// <summary>The calendar, and the year in figures.</summary>
internal static class YearEndpoints
{
    private const double MostDays = 100;

    public static void MapYear(this IEndpointRouteBuilder app)
    {
        var year = app.MapGroup("/api").WithTags("Record");

        year.MapGet(
                "/calendar",
                async (
                    DateTimeOffset? from,
                    DateTimeOffset? to,
                    Register register,
                    CancellationToken cancellationToken
                ) => Results.Ok(Seated(await BookedAsync(register, from, to, MostDays, cancellationToken)))
            )
            .Produces<IReadOnlyList<CalendarVisit>>()
            .ProducesValidationProblem()
            .WithName("GetCalendar")
            .WithSummary("Visits between two moments, each in a chair that is free then");

        year.MapGet(
                "/year",
                async (
                    Register register,
                    ProductShelf shelf,
                    TimeProvider clock,
                    CancellationToken cancellationToken
                ) =>
                {
                    var now = clock.GetLocalNow();
                    var months = await register
                        .SumsAsync(DateTimeOffset.MinValue, cancellationToken)
                        .AggregateBy(
                            v => MonthTally.Number(TimeZoneInfo.ConvertTime(v.At, clock.LocalTimeZone).DateTime),
                            default(MonthTally),
                            (month, v) => month.And(v.Sum)
                        )
                        .ToArrayAsync(cancellationToken);
                    var lately = await register
                        .SumsAsync(now.AddDays(-7 * ToOrder.CountedWeeks), cancellationToken)
                        .SelectMany(v => v.Sum.Grams)
                        .AggregateBy(g => g.Key, 0.0, (grams, g) => grams + g.Value)
                        .ToDictionaryAsync(cancellationToken: cancellationToken);
                    var counted = (await shelf.AllAsync(cancellationToken))
                        .Where(p => p.Product.Stock.OnHand is not null)
                        .ToDictionary(p => p.Product.Name, p => p.Product.Stock.OnHand!.Value);
                    return Results.Ok(new YearView(MonthSum.InOrder(months), ToOrder.Of(counted, lately)));
                }
            )
            .Produces<YearView>()
            .WithName("GetYear")
            .WithSummary("Hours, grams, cost and forecast error by month, and what is to be ordered with why");
    }

    /// <summary>Visits between two moments that a request names.</summary>
    /// <exception cref="BadInputException">They are not two moments in order, or too far apart.</exception>
    public static Task<IReadOnlyList<RegisteredVisit>> BookedAsync(
        Register register,
        DateTimeOffset? from,
        DateTimeOffset? to,
        double mostDays,
        CancellationToken cancellationToken
    ) =>
        from is not { } first || to is not { } last || last <= first
            ? throw new BadInputException([new("to", "After from: two moments in time.")])
        : (last - first).TotalDays > mostDays
            ? throw new BadInputException([new("to", $"At most {mostDays:0.#} days after from.")])
        : register.BetweenAsync(first, last, cancellationToken);

    /// <summary>Each visit in the first chair that is free when it starts.</summary>
    private static CalendarVisit[] Seated(IReadOnlyList<RegisteredVisit> visits)
    {
        var minutes = visits.Select(v => v.Sum?.ChairMinutes ?? v.Minutes).ToArray();
        var chairs = ChairAllocation.Of(visits.Zip(minutes, (v, m) => (v.StartsAt, m)).ToArray());
        return visits
            .Select(
                (v, i) =>
                    new CalendarVisit(v.Id, v.ClientId, v.Client, v.StartsAt, minutes[i], chairs[i], v.Sum is not null)
            )
            .ToArray();
    }
}
