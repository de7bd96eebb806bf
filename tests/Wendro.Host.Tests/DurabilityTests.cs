using System.Diagnostics;
using System.Net;
using System.Net.Sockets;
using System.Text.Json.Nodes;
using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore;
using Wendro.Apply;
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

    [Fact]
    public async Task A_restore_that_is_killed_leaves_the_old_or_the_new_and_never_between()
    {
        var folder = Directory.CreateTempSubdirectory("wendro-restores-").FullName;
        try
        {
            var data = Path.Combine(folder, "data");
            var backup = Path.Combine(folder, "backup.zip");
            using (var server = Start(data, out var http))
            {
                for (var i = 0; i < 5; i++)
                {
                    await http.NewVisitAsync($"Old {i}");
                }

                // Saved while it runs; then gone on with.
                Assert.Equal(0, await RunAsync(data, "--backup", backup));
                await http.NewVisitAsync("New");
                await StopAsync(server);
            }

            SqliteConnection.ClearAllPools();
            string[] old = [.. Enumerable.Range(0, 5).Select(i => $"Old {i}")];
            var whole = Stopwatch.StartNew();
            Assert.Equal(old, await RestoredAsync(data, folder, backup, null));
            var takes = whole.Elapsed;
            var found = new List<int>();
            for (var kill = 0; kill < Kills; kill++)
            {
                // Most of it is the program's start: killed ever later in the second half.
                var names = await RestoredAsync(data, folder, backup, takes * (0.4 + 0.6 * kill / Kills));
                Assert.True(names.SequenceEqual(old) || names.SequenceEqual(["New", .. old]), string.Join(", ", names));
                found.Add(names.Length);
            }

            Assert.NotEmpty(found);
        }
        finally
        {
            SqliteConnection.ClearAllPools();
            Directory.Delete(folder, true);
        }
    }

    [Fact]
    public async Task A_server_at_work_restores_by_itself_and_shows_what_was_restored_at_once()
    {
        var folder = Directory.CreateTempSubdirectory("wendro-served-").FullName;
        try
        {
            var backup = Path.Combine(folder, "backup.zip");
            using var server = Start(folder, out var http);
            var visit = await http.NewVisitAsync("Served");
            var plan = (await http.ReadAsync($"/api/visits/{visit}/plan")).ToJsonString();
            Assert.Equal(0, await RunAsync(folder, "--backup", backup));
            await http.EditAsync(visit, 1, """{"kind":"excludeZone","zone":"nape","reason":"undercut"}""");
            Assert.Equal(0, await RunAsync(folder, "--restore", backup));
            Assert.Equal(plan, (await http.ReadAsync($"/api/visits/{visit}/plan")).ToJsonString());
            // What is no backup is refused with a word, and what is not there, too.
            await File.WriteAllTextAsync(Path.Combine(folder, "other.zip"), "none");
            Assert.Equal(1, await RunAsync(folder, "--restore", Path.Combine(folder, "other.zip")));
            Assert.Equal(1, await RunAsync(folder, "--restore", Path.Combine(folder, "nothing.zip")));
            Assert.Equal(plan, (await http.ReadAsync($"/api/visits/{visit}/plan")).ToJsonString());
            await StopAsync(server);
        }
        finally
        {
            SqliteConnection.ClearAllPools();
            Directory.Delete(folder, true);
        }
    }

    /// <summary>Restores of one test that are killed: few in every run, more where they are asked for.</summary>
    private static readonly int Kills =
        int.TryParse(Environment.GetEnvironmentVariable("WENDRO_LIVES"), out var kills) && kills > 0 ? kills : 5;

    /// <summary>Who is in a copy of the data after a restore that was killed after a while, or ended; by name.</summary>
    private static async Task<string[]> RestoredAsync(string data, string folder, string backup, TimeSpan? kill)
    {
        var copy = Directory.CreateDirectory(Path.Combine(folder, Guid.NewGuid().ToString("N"))).FullName;
        // The server was killed: what was written last lies beside the file still.
        foreach (var file in Directory.GetFiles(data, "wendro.db*"))
        {
            File.Copy(file, Path.Combine(copy, Path.GetFileName(file)));
        }

        using var restore = Process.Start(StartOf(copy, "--restore", backup))!;
        if (kill is { } after)
        {
            using var patience = new CancellationTokenSource(after);
            try
            {
                await restore.WaitForExitAsync(patience.Token);
            }
            catch (OperationCanceledException)
            {
                restore.Kill(entireProcessTree: true);
            }
        }

        await restore.WaitForExitAsync();
        await using var db = new StudioContext(StudioContext.OptionsFor(Path.Combine(copy, "wendro.db")));
        await db.Database.OpenConnectionAsync();
        Assert.Equal("ok", await PragmaAsync(db, "PRAGMA integrity_check"));
        return await db.Clients.Select(c => c.Name).OrderBy(n => n).ToArrayAsync();
    }

    private static async Task<int> RunAsync(string folder, string what, string file)
    {
        using var run = Process.Start(StartOf(folder, what, file))!;
        await run.WaitForExitAsync();
        return run.ExitCode;
    }

    private static async Task StopAsync(Process server)
    {
        server.Kill(entireProcessTree: true);
        await server.WaitForExitAsync();
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
        var start = StartOf(folder, "--port", $"{port}", "--idle", "true");
        (start.RedirectStandardOutput, start.RedirectStandardError) = (true, true);
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
                // Not without a pause: what looks all the time keeps the server from starting.
                server.WaitForExit(milliseconds: 5);
            }
        }
    }

    private static ProcessStartInfo StartOf(string folder, params string[] arguments)
    {
        var start = new ProcessStartInfo("dotnet");
        foreach (var argument in new[] { Server.Program, "--data", folder }.Concat(arguments))
        {
            start.ArgumentList.Add(argument);
        }

        start.Environment["ASPNETCORE_ENVIRONMENT"] = "Production";
        return start;
    }
}
