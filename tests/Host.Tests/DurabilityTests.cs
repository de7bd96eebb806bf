using System.Diagnostics;
using System.Net;
using System.Net.Sockets;
using System.Text.Json.Nodes;
using Microsoft.EntityFrameworkCore;
using Wendro.Store;

namespace Wendro.Host.Tests;

public sealed class DurabilityTests
{
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
