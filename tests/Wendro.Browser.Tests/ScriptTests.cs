using System.Diagnostics;

namespace Wendro.Browser.Tests;

/// <summary>The one script, as somebody at a terminal uses it.</summary>
public sealed class ScriptTests : IDisposable
{
    private readonly string folder = Directory.CreateTempSubdirectory("wendro-script-").FullName;

    public void Dispose() => Directory.Delete(folder, true);

    [Theory]
    [InlineData("paint", 2, "./wendro demo")]
    [InlineData("demo --port", 1, "--port needs a number")]
    [InlineData("demo --port eighty", 1, "--port needs a number")]
    [InlineData("demo --port 70000", 1, "--port needs a number")]
    [InlineData("start --data", 1, "--data needs a folder")]
    [InlineData("demo --loud", 1, "what is --loud?")]
    [InlineData("help", 0, "./wendro test")]
    public async Task What_it_cannot_do_it_says(string arguments, int code, string word)
    {
        var (exit, said) = await RunAsync(arguments.Split(' '));
        Assert.Equal(code, exit);
        Assert.Contains(word, said, StringComparison.Ordinal);
    }

    [Theory]
    [InlineData("dotnet", "the .NET SDK 10 is missing")]
    [InlineData("node", "Node is missing")]
    public async Task What_is_missing_is_named(string missing, string word)
    {
        var bin = Directory.CreateDirectory(Path.Combine(folder, "bin")).FullName;
        foreach (
            var tool in new[] { "bash", "env", "dirname", "dotnet", "node", "npm", "cut", "mkdir" }.Where(t =>
                t != missing
            )
        )
        {
            var at = Environment
                .GetEnvironmentVariable("PATH")!
                .Split(':')
                .Select(p => Path.Combine(p, tool))
                .FirstOrDefault(File.Exists);
            if (at is not null)
            {
                File.CreateSymbolicLink(Path.Combine(bin, tool), at);
            }
        }

        var (exit, said) = await RunAsync(["build"], start => start.Environment["PATH"] = bin);
        Assert.Equal(1, exit);
        Assert.Contains(word, said, StringComparison.Ordinal);
    }

    [Fact]
    public async Task A_demo_never_goes_into_a_studios_own_data()
    {
        await File.WriteAllTextAsync(Path.Combine(folder, "wendro.db"), "somebody's");
        foreach (var more in new string[][] { [], ["--fresh"] })
        {
            var (exit, said) = await RunAsync(["demo", "--data", folder, .. more]);
            Assert.Equal(1, exit);
            Assert.Contains("studio's own data", said, StringComparison.Ordinal);
            Assert.Equal("somebody's", await File.ReadAllTextAsync(Path.Combine(folder, "wendro.db")));
        }
    }

    [Fact]
    public async Task A_demo_says_its_address_serves_the_page_and_ends_on_an_interrupt()
    {
        var port = App.FreePort();
        var data = Path.Combine(folder, "data");
        using var demo = Process.Start(StartOf(["demo", "--port", $"{port}", "--data", data]))!;
        demo.OutputDataReceived += (_, _) => { };
        demo.BeginOutputReadLine();
        var said = string.Empty;
        while (!said.Contains($"http://127.0.0.1:{port}", StringComparison.Ordinal))
        {
            said +=
                await demo.StandardError.ReadLineAsync() ?? throw new InvalidOperationException($"It ended: {said}");
        }

        Assert.Contains(data, said, StringComparison.Ordinal);
        var rest = demo.StandardError.ReadToEndAsync();
        using var http = new HttpClient { BaseAddress = new Uri($"http://127.0.0.1:{port}") };
        var page = await AnsweredAsync(http, "/");
        Assert.Contains("<title>Wendro</title>", page, StringComparison.Ordinal);
        Assert.Contains("Maelis Thornby", await AnsweredAsync(http, "/api/day"), StringComparison.Ordinal);
        Assert.True(File.Exists(Path.Combine(data, "wendro.db")));

        // What Ctrl-C sends; the script has become the server, so that it is the server that gets it.
        using var interrupt = Process.Start("kill", ["-INT", $"{demo.Id}"])!;
        await interrupt.WaitForExitAsync();
        await demo.WaitForExitAsync().WaitAsync(TimeSpan.FromSeconds(30));
        Assert.Equal(0, demo.ExitCode);
        Assert.Empty(await rest);
    }

    private static async Task<string> AnsweredAsync(HttpClient http, string path)
    {
        var patience = Stopwatch.StartNew();
        while (true)
        {
            try
            {
                return await http.GetStringAsync(new Uri(path, UriKind.Relative));
            }
            catch (HttpRequestException) when (patience.Elapsed < TimeSpan.FromSeconds(60))
            {
                using var pause = new PeriodicTimer(TimeSpan.FromMilliseconds(20));
                await pause.WaitForNextTickAsync();
            }
        }
    }

    private static ProcessStartInfo StartOf(string[] arguments)
    {
        var start = new ProcessStartInfo("/bin/bash")
        {
            RedirectStandardError = true,
            RedirectStandardOutput = true,
            WorkingDirectory = Path.GetTempPath(),
        };
        start.ArgumentList.Add(Path.Combine(App.Root, "wendro"));
        foreach (var argument in arguments)
        {
            start.ArgumentList.Add(argument);
        }

        // What this test run set for itself is not what somebody at a terminal has.
        start.Environment.Remove("WENDRO_DATA");
        return start;
    }

    private static async Task<(int Exit, string Said)> RunAsync(
        string[] arguments,
        Action<ProcessStartInfo>? change = null
    )
    {
        var start = StartOf(arguments);
        change?.Invoke(start);
        using var script = Process.Start(start)!;
        var (said, also) = (script.StandardError.ReadToEndAsync(), script.StandardOutput.ReadToEndAsync());
        await script.WaitForExitAsync();
        return (script.ExitCode, await said + await also);
    }
}
