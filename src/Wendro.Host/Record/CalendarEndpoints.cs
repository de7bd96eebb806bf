using System.Text;
using Wendro.Formats;
using Wendro.Store;

namespace Wendro.Host.Record;

/// <summary>Visits for any calendar.</summary>
internal static class CalendarEndpoints
{
    public static void MapCalendar(this IEndpointRouteBuilder app) =>
        app.MapGet(
                "/api/visits.ics",
                async (Visits visits, TimeProvider clock, CancellationToken cancellationToken) =>
                {
                    var all = await visits.BetweenAsync(
                        DateTimeOffset.MinValue,
                        DateTimeOffset.MaxValue,
                        cancellationToken
                    );
                    var written = VisitCalendar.Write(
                        all.Select(v => new Appointment(v.Id, v.Client, v.StartsAt, v.Consultation.MinutesToday))
                            .ToArray(),
                        clock.LocalTimeZone,
                        clock.GetUtcNow()
                    );
                    return Results.Text(written, VisitCalendar.MediaType, Encoding.UTF8);
                }
            )
            .WithTags("Record")
            .Produces<string>(contentType: VisitCalendar.MediaType)
            .WithName("GetVisitCalendar")
            .WithSummary("All visits as iCalendar in the studio's time zone: who and when, nothing of hair or health");
}
