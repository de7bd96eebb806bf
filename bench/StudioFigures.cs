using System.Diagnostics;
using System.Globalization;
using System.Net.Http.Json;
using System.Text.Json.Nodes;
using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore;
using Wendro.Consult;
using Wendro.Fixtures;
using Wendro.Hair;
using Wendro.Plans;
using Wendro.Record;
using Wendro.Store;
using Wendro.Units;

namespace Wendro.Bench;

/// <summary>A studio of 2,000 clients over ten years, made up, and how quick the delivered server is on it.</summary>
internal static class StudioFigures
{
    private const int Clients = 2000,
        VisitsEach = 10,
        Years = 10,
        Today = 8;

    private static readonly string[] First = ["Ada", "Benita", "Corin", "Dagny", "Edda", "Fenja", "Gesine", "Hedda"];
    private static readonly string[] Last = ["Ahlsen", "Brook", "Cordes", "Dunmore", "Eskild", "Fjord", "Gantry"];

    public static void Print()
    {
        if (Environment.GetEnvironmentVariable("WENDRO_APP") is not { Length: > 0 } app)
        {
            Console.WriteLine("Run it by ./wendro bench studio: it needs the server as it is delivered.");
            return;
        }

        var folder = Directory.CreateTempSubdirectory("wendro-studio-").FullName;
        try
        {
            var watch = Stopwatch.StartNew();
            MakeUp(Path.Combine(folder, "wendro.db"));
            var size = new FileInfo(Path.Combine(folder, "wendro.db")).Length / 1e6;
            Stopwatches.Say(
                $"made up: {Clients} clients, {Clients * VisitsEach} visits",
                $"{watch.Elapsed.TotalSeconds:0} s, {size:0} MB"
            );
            Measure(app, folder);
        }
        finally
        {
            SqliteConnection.ClearAllPools();
            Directory.Delete(folder, recursive: true);
        }
    }

    private static void MakeUp(string file)
    {
        var options = StudioContext.OptionsFor(file);
        var visits = new Visits(options, TimeProvider.System);
        visits.Migrate();
        var midnight = new DateTimeOffset(DateTime.Today);
        var first = visits
            .AddClientAsync("The first", "", midnight.AddHours(9), HairProfile.Usual, Plan.Fresh(), default)
            .GetAwaiter()
            .GetResult();
        for (var c = 1; c < Clients; c += 100)
        {
            using var db = new StudioContext(options);
            for (var i = c; i < Math.Min(Clients, c + 100); i++)
            {
                var client = new ClientRow
                {
                    Id = Guid.CreateVersion7(),
                    Name = $"{First[i % First.Length]} {Last[i / First.Length % Last.Length]}-{i}",
                    About = i % 3 == 0 ? "Swims every morning." : "Ties it back at work.",
                    CreatedAt = midnight,
                };
                db.Clients.Add(client);
                for (var v = 0; v < VisitsEach; v++)
                {
                    var days = -(int)(Years * 365.25 * Hash.Unit(i * VisitsEach + v, 1)) - 1;
                    var at = i < Today && v == 0 ? midnight.AddHours(9 + i) : midnight.AddDays(days).AddHours(10);
                    db.Visits.Add(
                        new VisitRow
                        {
                            Id = Guid.CreateVersion7(),
                            ClientId = client.Id,
                            StartsAt = at,
                            Hair = HairProfile.Usual,
                            Consultation = Consultation.Fresh with { Adult = true },
                            Sum = new(
                                150 + 60 * Hash.Unit(i, v),
                                new Dictionary<string, double> { ["Clay"] = 60, ["Developer 20"] = 90 },
                                12,
                                0.3 * Hash.Unit(i, v + 20),
                                60,
                                "As planned in 8 zones."
                            ),
                        }
                    );
                }
            }

            db.SaveChanges();
        }

        // One plan for all: what it holds makes no difference to finding it.
        using var all = new StudioContext(options);
        all.Database.ExecuteSqlRaw(
            """
            INSERT INTO PlanRevisions (VisitId, Number, Shows, Before, Undone, Plan, What, Edit, Label, At)
            SELECT v.Id, r.Number, r.Shows, r.Before, r.Undone, r.Plan, r.What, r.Edit, r.Label, r.At
            FROM Visits v, PlanRevisions r WHERE r.VisitId = {0} AND v.Id <> {0}
            """,
            first.Id.ToString().ToUpperInvariant()
        );
    }

    private static void Measure(string app, string folder)
    {
        var port = App.FreePort();
        var watch = Stopwatch.StartNew();
        var start = new ProcessStartInfo("dotnet")
        {
            WorkingDirectory = app,
            RedirectStandardOutput = true,
            RedirectStandardError = true,
            ArgumentList = { Path.Combine(app, "Wendro.Host.dll"), "--data", folder, "--port", $"{port}" },
        };
        App.AsDelivered(start);
        using var server = Process.Start(start)!;
        try
        {
            server.BeginOutputReadLine();
            server.BeginErrorReadLine();
            using var http = new HttpClient { BaseAddress = new Uri($"http://127.0.0.1:{port}") };
            JsonNode Get(string path) =>
                http.GetFromJsonAsync<JsonNode>(new Uri(path, UriKind.Relative)).GetAwaiter().GetResult()!;
            JsonNode? day = null;
            while (day is null && watch.Elapsed.TotalSeconds < 60)
            {
                try
                {
                    day = Get("/api/day");
                }
                catch (HttpRequestException)
                {
                    Thread.Sleep(20);
                }
            }

            var started = watch.Elapsed.TotalSeconds;
            Stopwatches.Judge(
                () => Stopwatches.Say("start → the day answered", $"{started:0.00} s", "≤ 3 s"),
                started > 3,
                "the runtime and the first day's query"
            );
            var client = (string)day![0]!["clientId"]!;
            void Say(string what, string path, double goal) =>
                Stopwatches.Say(
                    what,
                    Stopwatches.Of(20, () => Get(path)),
                    goal,
                    "the rows are read and written as JSON"
                );
            Say($"the day ({day.AsArray().Count} visits)", "/api/day", 150);
            Say("finding: one letter", "/api/find?words=a", 100);
            Say("finding: a name", "/api/find?words=dagny%20cor", 100);
            Say("finding: those who came last", "/api/find", 100);
            Say("a client's page", $"/api/clients/{client}", 100);
            var from = new DateTimeOffset(DateTime.Today).AddDays(-400).UtcDateTime;
            string At(double days) => from.AddDays(days).ToString("O", CultureInfo.InvariantCulture);
            Say("the calendar, a week", $"/api/calendar?from={At(0)}&to={At(7)}", 100);
            Say("the year in figures", "/api/year", 500);
            server.Refresh();
            Stopwatches.Say("memory of the server", $"{server.WorkingSet64 / 1e6:0} MB", "≤ 300 MB");
        }
        finally
        {
            server.Kill();
            server.WaitForExit();
        }
    }
}
