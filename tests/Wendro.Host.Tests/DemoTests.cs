using System.Diagnostics;
using System.Text.Json.Nodes;
using Microsoft.AspNetCore.Hosting;
using Microsoft.AspNetCore.Mvc.Testing;

namespace Wendro.Host.Tests;

/// <summary>The demo studio, loaded as it is when somebody tries Wendro.</summary>
public sealed class DemoTests : IDisposable
{
    private readonly Server server = new();
    private readonly WebApplicationFactory<Program> demo;

    public DemoTests() => demo = WithDemo(Path.Combine(FormatsTests.Root(), "demo"));

    public void Dispose()
    {
        demo.Dispose();
        server.Dispose();
    }

    [Fact]
    public async Task Seven_clients_come_today_with_five_kinds_of_hair_and_one_plan_is_flawed_on_purpose()
    {
        var http = demo.CreateClient();
        var day = (await http.ReadAsync("/api/day")).AsArray();
        Assert.Equal(7, day.Count);
        Assert.Equal(
            day.Select(v => (DateTimeOffset)v!["startsAt"]!).Order(),
            day.Select(v => (DateTimeOffset)v!["startsAt"]!)
        );
        Assert.Equal(4, day.Select(v => (string)v!["hair"]!["curl"]!).Distinct().Count());
        Assert.Contains(
            day,
            v => (string)v!["hair"]!["diameter"]! == "fine" && (double)v["hair"]!["cut"]!["hemCm"]! < 25
        );
        Assert.Contains(day, v => v!["hair"]!["history"]?.AsArray().Any(b => (double)b!["share"]! < 1) == true);
        Assert.Contains(day, v => (double)v!["hair"]!["greyShare"]! > 0.3);
        Assert.Contains(day, v => v!["hair"]!["marked"]?.AsArray().Any(m => (string)m!["kind"]! == "undercut") == true);
        Each.Of(day, v => Assert.True((int)v!["painted"]! > 20));
        var flawed = await http.ReadAsync($"/api/visits/{Visit(day, "Perrin Askew")}/plan");
        Assert.True(Alarms(flawed["findings"]!.AsArray()) > 0);
        var sound = await http.ReadAsync($"/api/visits/{Visit(day, "Maelis Thornby")}/plan");
        Assert.Equal(0, Alarms(sound["findings"]!.AsArray()));

        // A patch test of some days ago is noted where the file says so.
        Assert.DoesNotContain(
            (await http.ReadAsync($"/api/visits/{Visit(day, "Maelis Thornby")}/glance"))["missing"]!.AsArray(),
            m => ((string)m!).Contains("Patch", StringComparison.Ordinal)
        );
        Assert.Contains(
            (await http.ReadAsync($"/api/visits/{Visit(day, "Perrin Askew")}/glance"))["missing"]!.AsArray(),
            m => ((string)m!).Contains("Patch", StringComparison.Ordinal)
        );
    }

    [Fact]
    public async Task No_demo_bowl_is_painted_from_after_its_end()
    {
        var http = demo.CreateClient();
        foreach (var visit in (await http.ReadAsync("/api/day")).AsArray())
        {
            var mix = await http.ReadAsync($"/api/visits/{(string)visit!["visitId"]!}/mix");
            Each.Of(
                mix["bowls"]!.AsArray(),
                b => Assert.True((double)b!["paintedUntilMinute"]! <= (double)b["livesUntilMinute"]! + 1e-6, $"{b}")
            );
        }
    }

    private static string Visit(JsonArray day, string client) =>
        (string)day.Single(v => (string)v!["client"]! == client)!["visitId"]!;

    [Fact]
    public async Task The_flawed_plan_is_mended_by_the_fixes_offered()
    {
        var http = demo.CreateClient();
        var visit = Visit((await http.ReadAsync("/api/day")).AsArray(), "Perrin Askew");
        var revision = (int)(await http.ReadAsync($"/api/visits/{visit}/plan"))["revision"]!;
        async Task<JsonArray> FindingsAsync() =>
            new([
                .. (await http.ReadAsync($"/api/visits/{visit}/plan/findings"))
                    .AsArray()
                    .Where(f => (string)f!["kind"]! != "testsMissing")
                    .Select(f => f!.DeepClone()),
            ]);
        var findings = await FindingsAsync();
        for (var turns = 0; turns < 30 && Mending(findings) is { } fix; turns++)
        {
            var (status, change) = await http.EditAsync(visit, revision, fix.ToJsonString());
            Assert.Equal(200, status);
            var after = await FindingsAsync();
            Assert.True(Alarms(after) <= Alarms(findings));
            (findings, revision) = (after, (int)change!["revision"]!);
        }

        Assert.Equal(0, Alarms(findings));
    }

    [Fact]
    public async Task Demo_data_is_never_added_to_what_is_there()
    {
        using (var own = WithDemo(null))
        {
            await own.CreateClient().NewVisitAsync("Her own client");
        }

        var clients = (await demo.CreateClient().ReadAsync("/api/clients")).AsArray();
        Assert.Equal("Her own client", (string)Assert.Single(clients)!["name"]!);
    }

    [Theory]
    [InlineData("""{"format":"wendro-visit","version":9}""", "version 9")]
    [InlineData("no json at all", "can't be read")]
    public async Task A_demo_file_that_cannot_be_taken_ends_the_start_with_a_word(string content, string word)
    {
        var folder = Directory.CreateTempSubdirectory("wendro-demo-").FullName;
        try
        {
            await File.WriteAllTextAsync(Path.Combine(folder, "broken.json"), content);
            var start = new ProcessStartInfo("dotnet") { RedirectStandardError = true, RedirectStandardOutput = true };
            foreach (
                var argument in new[]
                {
                    Server.Program,
                    "--data",
                    Path.Combine(folder, "data"),
                    "--urls",
                    "http://127.0.0.1:0",
                    "--demo",
                    folder,
                }
            )
            {
                start.ArgumentList.Add(argument);
            }

            using var server = Process.Start(start)!;
            var said = await server.StandardError.ReadToEndAsync();
            await server.WaitForExitAsync();
            Assert.Equal(1, server.ExitCode);
            Assert.Contains(word, said, StringComparison.Ordinal);
            Assert.Contains("broken.json", said, StringComparison.Ordinal);
        }
        finally
        {
            Directory.Delete(folder, true);
        }
    }

    private static int Alarms(JsonArray findings) => findings.Count(f => (string)f!["severity"]! == "alarm");

    private static JsonNode? Mending(JsonArray findings) =>
        findings
            .Where(f => (string)f!["severity"]! == "alarm")
            .Select(f => f!["fix"])
            .FirstOrDefault(f => f is not null)
            ?["edit"];

    private WebApplicationFactory<Program> WithDemo(string? folder) =>
        server.WithWebHostBuilder(host =>
        {
            if (folder is not null)
            {
                host.UseSetting("demo", folder);
            }
        });
}
