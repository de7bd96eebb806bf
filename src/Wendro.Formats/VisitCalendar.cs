using Ical.Net;
using Ical.Net.CalendarComponents;
using Ical.Net.DataTypes;
using Ical.Net.Serialization;

namespace Wendro.Formats;

/// <summary>A visit as an appointment.</summary>
/// <param name="Id">The visit.</param>
/// <param name="Client">Whose.</param>
/// <param name="StartsAt">When it starts.</param>
/// <param name="Minutes">How long she can stay, minutes.</param>
public sealed record Appointment(Guid Id, string Client, DateTimeOffset StartsAt, double Minutes);

/// <summary>Visits as iCalendar (RFC 5545): who and when, nothing of hair or health.</summary>
public static class VisitCalendar
{
    /// <summary>The media type.</summary>
    public const string MediaType = "text/calendar";

    /// <summary>
    /// A zone's rules are told from here on at the latest: of what is to come the rules are as they are.
    /// </summary>
    private static readonly DateTime Settled = new(2020, 1, 1, 0, 0, 0, DateTimeKind.Utc);

    /// <summary>Writes appointments.</summary>
    /// <param name="appointments">The appointments.</param>
    /// <param name="zone">The studio's time zone: times are told in it, with its rules.</param>
    /// <param name="now">When this is written.</param>
    public static string Write(IReadOnlyList<Appointment> appointments, TimeZoneInfo zone, DateTimeOffset now)
    {
        ArgumentNullException.ThrowIfNull(appointments);
        ArgumentNullException.ThrowIfNull(zone);
        var name = zone.HasIanaId ? zone.Id : "UTC";
        var isUniversal = zone.BaseUtcOffset == TimeSpan.Zero && !zone.SupportsDaylightSavingTime;
        var calendar = new Calendar { ProductId = "-//Wendro//Visits//EN", Method = "PUBLISH" };
        if (!isUniversal && appointments.Count > 0)
        {
            var first = appointments.Min(a => a.StartsAt).UtcDateTime;
            calendar.AddTimeZone(
                VTimeZone.FromDateTimeZone(name, first < Settled ? first : Settled, includeHistoricalData: false)
            );
        }

        CalDateTime At(DateTimeOffset at) =>
            isUniversal
                ? new(at.UtcDateTime)
                : new(
                    DateTime.SpecifyKind(TimeZoneInfo.ConvertTime(at, zone).DateTime, DateTimeKind.Unspecified),
                    name
                );
        foreach (var a in appointments)
        {
            calendar.Events.Add(
                new CalendarEvent
                {
                    Uid = $"{a.Id:D}@wendro",
                    Summary = a.Client,
                    Start = At(a.StartsAt),
                    End = At(a.StartsAt.AddMinutes(a.Minutes)),
                    DtStamp = new(now.UtcDateTime),
                    Class = "PRIVATE",
                }
            );
        }

        return new CalendarSerializer().SerializeToString(calendar)
            ?? throw new InvalidOperationException("The calendar could not be written.");
    }
}
