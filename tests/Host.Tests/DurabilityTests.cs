using System.Diagnostics;
using System.Net;
using System.Net.Sockets;
using System.Text.Json.Nodes;
using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore;
using Wendro.Core.Apply;
using Wendro.Store;

namespace Wendro.Host.Tests;

public sealed class DurabilityTests
{
    [Fact]
    public async Task A_statement_left_open_by_what_was_called_off_costs_no_answer_when_the_connection_is_closed()
    {
        using var server = new Server();
        var http = server.CreateClient();
        var visit = await http.NewVisitAsync();
        var open = new List<SQLitePCL.sqlite3_stmt>();
        for (var i = 0; i < 4; i++)
        {
            open.Add(await LeftOpenAsync(server.DataFile));
        }

        // Whoever opens a connection next takes back what others let go of: none of them gets their error.
        for (var i = 0; i < 6; i++)
        {
            GC.Collect();
            GC.WaitForPendingFinalizers();
            using var answer = await http.GetAsync(new Uri($"/api/visits/{visit}/plan", UriKind.Relative));
            Assert.True(answer.IsSuccessStatusCode, await answer.Content.ReadAsStringAsync());
        }

        GC.KeepAlive(open);
    }

    [System.Runtime.CompilerServices.MethodImpl(System.Runtime.CompilerServices.MethodImplOptions.NoInlining)]
    private static async Task<SQLitePCL.sqlite3_stmt> LeftOpenAsync(string file)
    {
        var db = new StudioContext(StudioContext.OptionsFor(file));
        await db.Database.OpenConnectionAsync();
        var connection = (SqliteConnection)db.Database.GetDbConnection();
        Assert.Equal(0, SQLitePCL.raw.sqlite3_prepare_v2(connection.Handle, "SELECT Id FROM Visits", out var open));
        Assert.Equal(SQLitePCL.raw.SQLITE_ROW, SQLitePCL.raw.sqlite3_step(open));
        await db.DisposeAsync();
        Assert.Equal(System.Data.ConnectionState.Closed, connection.State);
        return open;
    }

    [Fact]
    public async Task Connections_write_ahead_and_wait_for_the_disk()
    {
        using var server = new Server();
        await server.CreateClient().NewVisitAsync();
        await using var db = new StudioContext(StudioContext.OptionsFor(server.DataFile));
        await db.Database.OpenConnectionAsync();
        Assert.Equal("wal", await PragmaAsync(db, "PRAGMA journal_mode"));
        Assert.Equal("2", await PragmaAsync(db, "PRAGMA synchronous"));
    }

    [Fact]
    public async Task A_kill_right_after_an_acknowledged_edit_loses_nothing()
    {
        var folder = Directory.CreateTempSubdirectory("wendro-kill-").FullName;
        try
        {
            string visit;
            using (var first = Start(folder, out var http))
            {
                visit = await http.NewVisitAsync("Killed");
                for (var revision = 1; revision <= 5; revision++)
                {
                    var (status, _) = await http.EditAsync(
                        visit,
                        revision,
                        $$$"""{"kind":"paintZone","zone":"crown","paint":{"shape":"full","startCm":{{{revision}}}}}"""
                    );
                    Assert.Equal(200, status);
                }

                first.Kill(entireProcessTree: true);
                await first.WaitForExitAsync();
            }

            using var second = Start(folder, out var again);
            var plan = await again.ReadAsync($"/api/visits/{visit}/plan");
            Assert.Equal(6, (int)plan["revision"]!);
            Assert.Equal(5, (double)plan["plan"]!["zones"]!["crown"]!["usual"]!["startCm"]!);
            second.Kill(entireProcessTree: true);
            await second.WaitForExitAsync();
        }
        finally
        {
            Directory.Delete(folder, true);
        }
    }

    [Fact]
    public async Task Facts_told_while_the_server_is_killed_again_and_again_are_each_there_once()
    {
        var folder = Directory.CreateTempSubdirectory("wendro-kills-").FullName;
        try
        {
            var visit = string.Empty;
            var panel = string.Empty;
            var acknowledged = new List<string>();
            for (var life = 0; life < Lives; life++)
            {
                using var server = Start(folder, out var http);
                if (life == 0)
                {
                    visit = await http.NewVisitAsync("Killed at the chair");
                    var (painted, _) = await http.EditAsync(
                        visit,
                        1,
                        """{"kind":"paintZone","zone":"nape","paint":{"shape":"full","startCm":5}}"""
                    );
                    Assert.Equal(200, painted);
                    await TellAsync(http, visit, Guid.NewGuid(), """{"kind":"seated"}""");
                    panel = (string)(await http.ReadAsync($"/api/visits/{visit}/apply"))["waiting"]![0]!;
                }

                // The server dies while facts are on their way; what was not acknowledged is said again, under its name.
                var ids = Enumerable.Range(0, 12).Select(_ => Guid.NewGuid()).ToArray();
                var telling = ids.Select(
                        async (id, i) =>
                        {
                            var note = $"{life}-{i}";
                            var told = await TellAsync(http, visit, id, Spot(panel, note));
                            lock (acknowledged)
                            {
                                acknowledged.AddRange(told ? [note] : []);
                            }

                            return (id, note, told);
                        }
                    )
                    .ToArray();
                await Task.WhenAny(telling);
                server.Kill(entireProcessTree: true);
                await server.WaitForExitAsync();
                var lost = (await Task.WhenAll(telling)).Where(t => !t.told).ToArray();
                using var next = Start(folder, out var again);
                foreach (var (id, note, _) in lost)
                {
                    Assert.True(await TellAsync(again, visit, id, Spot(panel, note)));
                    acknowledged.Add(note);
                }

                next.Kill(entireProcessTree: true);
                await next.WaitForExitAsync();
            }

            await using var db = new StudioContext(StudioContext.OptionsFor(Path.Combine(folder, "wendro.db")));
            var facts = await db.ServiceFacts.OrderBy(f => f.Number).ToListAsync();
            Assert.Equal(Enumerable.Range(1, facts.Count), facts.Select(f => f.Number));
            Assert.Equal(acknowledged.Order(), facts.Select(f => f.Fact).OfType<Marked>().Select(m => m.Note!).Order());
        }
        finally
        {
            Microsoft.Data.Sqlite.SqliteConnection.ClearAllPools();
            Directory.Delete(folder, true);
        }
    }

    /// <summary>Lives of the server, each killed twice: few in every run, more where they are asked for.</summary>
    private static readonly int Lives =
        int.TryParse(Environment.GetEnvironmentVariable("WENDRO_LIVES"), out var lives) && lives > 0 ? lives : 4;

    private static string Spot(string panel, string note) =>
        $$"""{"kind":"marked","panel":"{{panel}}","what":"spot","note":"{{note}}"}""";

    /// <summary>Tells a fact; whether it was acknowledged.</summary>
    private static async Task<bool> TellAsync(HttpClient http, string visit, Guid id, string fact)
    {
        try
        {
            var (status, _) = await http.PostAsync(
                $"/api/visits/{visit}/apply/facts",
                $$"""{"after":0,"id":"{{id}}","fact":{{fact}}}"""
            );
            return status == 200;
        }
        catch (HttpRequestException)
        {
            return false;
        }
    }

    private static async Task<string> PragmaAsync(StudioContext db, string pragma)
    {
        await using var command = db.Database.GetDbConnection().CreateCommand();
        command.CommandText = pragma;
        return Convert.ToString(await command.ExecuteScalarAsync(), System.Globalization.CultureInfo.InvariantCulture)!;
    }

    /// <summary>The server as a process of its own.</summary>
    private static Process Start(string folder, out HttpClient http)
    {
        using var listener = new TcpListener(IPAddress.Loopback, 0);
        listener.Start();
        var port = ((IPEndPoint)listener.LocalEndpoint).Port;
        listener.Stop();
        var start = new ProcessStartInfo("dotnet") { RedirectStandardOutput = true, RedirectStandardError = true };
        foreach (
            var argument in new[]
            {
                typeof(Program).Assembly.Location,
                "--data",
                folder,
                "--port",
                $"{port}",
                "--idle",
                "true",
            }
        )
        {
            start.ArgumentList.Add(argument);
        }

        start.Environment["ASPNETCORE_ENVIRONMENT"] = "Production";
        var server = Process.Start(start)!;
        server.OutputDataReceived += (_, _) => { };
        server.ErrorDataReceived += (_, _) => { };
        server.BeginOutputReadLine();
        server.BeginErrorReadLine();
        http = new HttpClient { BaseAddress = new Uri($"http://127.0.0.1:{port}") };
        var patience = Stopwatch.StartNew();
        while (true)
        {
            try
            {
                http.GetStringAsync(new Uri("/api/health", UriKind.Relative)).GetAwaiter().GetResult();
                return server;
            }
            catch (HttpRequestException) when (patience.Elapsed < TimeSpan.FromSeconds(60) && !server.HasExited)
            {
                Thread.Yield();
            }
        }
    }
}
