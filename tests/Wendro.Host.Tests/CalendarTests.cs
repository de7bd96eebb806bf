using Ical.Net;
using Wendro.Formats;

namespace Wendro.Host.Tests;

/// <summary>Visits read back by a reader that knows nothing of them.</summary>
public sealed class CalendarTests
{
    [Fact]
    public async Task Visits_are_appointments_with_who_and_when()
    {
        using var server = new Server();
        var http = server.CreateClient();
        await http.NewVisitAsync("Ödön, of the \"quay\"; north");
        await http.NewVisitAsync("Berit");
        var answer = await http.GetAsync(new Uri("/api/visits.ics", UriKind.Relative));
        Assert.Equal("text/calendar", answer.Content.Headers.ContentType!.MediaType);
        var text = await answer.Content.ReadAsStringAsync();
        Assert.DoesNotContain("natural", text, StringComparison.OrdinalIgnoreCase);
        var events = Calendar.Load(text)!.Events;
        Assert.Equal(
            ["Berit", "Ödön, of the \"quay\"; north"],
            events.Select(e => e.Summary!).Order(StringComparer.Ordinal)
        );
        Each.Of(
            events.ToArray(),
            e =>
            {
                Assert.Equal(server.Clock.GetUtcNow().UtcDateTime, e.Start!.AsUtc, TimeSpan.FromSeconds(1));
                Assert.Equal(180, (e.End!.AsUtc - e.Start.AsUtc).TotalMinutes);
            }
        );
        Assert.Equal(2, events.Select(e => e.Uid).Distinct().Count());
    }

    [Fact]
    public void Times_are_told_in_the_studios_zone_and_stay_right_when_clocks_are_put_back()
    {
        var zone = TimeZoneInfo.FindSystemTimeZoneById("Europe/Lisbon");
        // The same hour of the clock before and after the last Sunday of October.
        var before = new DateTimeOffset(2031, 10, 24, 10, 0, 0, TimeSpan.FromHours(1));
        var after = new DateTimeOffset(2031, 10, 28, 10, 0, 0, TimeSpan.Zero);
        var text = VisitCalendar.Write(
            [new(Guid.NewGuid(), "Ada", before, 90), new(Guid.NewGuid(), "Ada", after, 90)],
            zone,
            before
        );
        Assert.Contains("BEGIN:VTIMEZONE", text, StringComparison.Ordinal);
        Assert.Contains("DTSTART;TZID=Europe/Lisbon:20311024T100000", text, StringComparison.Ordinal);
        Assert.Contains("DTSTART;TZID=Europe/Lisbon:20311028T100000", text, StringComparison.Ordinal);
        var starts = Calendar.Load(text)!.Events.Select(e => e.Start!.AsUtc).Order().ToArray();
        Assert.Equal([before.UtcDateTime, after.UtcDateTime], starts);
    }

    /// <summary>The very file that the page's tests read with a reader of another family.</summary>
    [Fact]
    public void The_file_that_another_reader_reads_is_what_is_written()
    {
        var zone = TimeZoneInfo.FindSystemTimeZoneById("Europe/Lisbon");
        var now = new DateTimeOffset(2031, 10, 1, 8, 0, 0, TimeSpan.Zero);
        var text = VisitCalendar.Write(
            [
                new(Guid.Parse("0199a000-0000-7000-8000-000000000001"), "Ödön, of the \"quay\"; north", At(24, 1), 90),
                new(Guid.Parse("0199a000-0000-7000-8000-000000000002"), new string('x', 100), At(28, 0), 180),
            ],
            zone,
            now
        );
        var file = Path.Combine(AppContext.BaseDirectory, "Fixtures", "visits.ics");
        Assert.Equal(File.ReadAllText(file).ReplaceLineEndings("\n"), text.ReplaceLineEndings("\n"));

        static DateTimeOffset At(int day, int offset) => new(2031, 10, day, 10, 0, 0, TimeSpan.FromHours(offset));
    }
}
