using System.Diagnostics;
using System.Net;
using System.Net.Http.Json;
using System.Net.Sockets;
using System.Text.Json.Nodes;
using OpenQA.Selenium;
using OpenQA.Selenium.Chrome;
using OpenQA.Selenium.Interactions;
using OpenQA.Selenium.Support.UI;

namespace Wendro.Fixtures;

/// <summary>
/// The real server with demo data in a folder of its own, and a real browser with a fresh profile. The tests of a
/// class share one, each
/// with clients of its own.
/// </summary>
public sealed class App : IDisposable
{
    /// <summary>The checkout.</summary>
    public static string Root { get; } = FindRoot();
    private readonly string folder = Directory.CreateTempSubdirectory("wendro-browser-").FullName;
    private readonly System.Collections.Concurrent.ConcurrentQueue<string> said = new();
    private readonly string? cache;

    /// <summary>How soon what is waited for is looked for again.</summary>
    private static readonly TimeSpan LookAgain = TimeSpan.FromMilliseconds(50);

    /// <summary>The visits of the day the first test began on, by client: midnight passes for tests, too.</summary>
    private readonly Dictionary<string, string> visits = [];

    private int owner;
    private int kept;
    private Process? server;

    public App()
        : this(Path.Combine(Root, ".wendro", "test-cache")) { }

    /// <param name="cache">Where drawn hair is put away: one folder for all tests; null beside the data.</param>
    internal App(string? cache)
    {
        this.cache = cache;
        Port = FreePort();
        try
        {
            StartServer();
            Browser = StartBrowser();
        }
        catch
        {
            // Nobody disposes of what was never made.
            EndServer();
            throw;
        }

        AppDomain.CurrentDomain.FirstChanceException += OnFailure;
    }

    /// <summary>A test begins: the page as it is opened for the first time, nothing said yet.</summary>
    public void Begin()
    {
        owner = Environment.CurrentManagedThreadId;
        kept = 0;
        said.Clear();
        ReadDay();
        Size(1280, 800);
        Browser.Navigate().GoToUrl("about:blank");
        Browser.ExecuteCdpCommand(
            "Storage.clearDataForOrigin",
            new Dictionary<string, object?> { ["origin"] = Address, ["storageTypes"] = "all" }
        );
        _ = ConsoleErrors;
    }

    /// <summary>
    /// The visit of a client, one begun with usual hair if nobody is called so: without the day, whose heads take
    /// their time.
    /// </summary>
    public string VisitOf(string client)
    {
        lock (visits)
        {
            if (!visits.TryGetValue(client, out var visit))
            {
                ReadDay();
            }

            if (visit is null && !visits.TryGetValue(client, out visit))
            {
                using var http = new HttpClient { BaseAddress = new Uri(Address) };
                using var made = http.PostAsJsonAsync(new Uri("/api/clients", UriKind.Relative), new { name = client })
                    .GetAwaiter()
                    .GetResult();
                made.EnsureSuccessStatusCode();
                visit = visits[client] = (string)
                    made.Content.ReadFromJsonAsync<JsonNode>().GetAwaiter().GetResult()!["visitId"]!;
            }

            return visit;
        }
    }

    private void ReadDay()
    {
        using var http = new HttpClient { BaseAddress = new Uri(Address) };
        var day = http.GetFromJsonAsync<JsonArray>(new Uri("/api/day", UriKind.Relative)).GetAwaiter().GetResult()!;
        foreach (var visit in day)
        {
            visits.TryAdd((string)visit!["client"]!, (string)visit["visitId"]!);
        }
    }

    /// <summary>Opens the visit of a client at a stage.</summary>
    public void Visit(string client, string stage) =>
        Browser.Navigate().GoToUrl($"{Address}/visits/{VisitOf(client)}/{stage}");

    /// <summary>
    /// A test that fails leaves its picture, the page's console and the server's last lines under .wendro/failed,
    /// and says so. What an assertion
    /// throws is heard here before the test is given up.
    /// </summary>
    private void OnFailure(object? sender, System.Runtime.ExceptionServices.FirstChanceExceptionEventArgs e)
    {
        var failed =
            e.Exception is WebDriverTimeoutException
            || e.Exception.GetType().Namespace?.StartsWith("Xunit.Sdk", StringComparison.Ordinal) == true;
        if (!failed || Environment.CurrentManagedThreadId != owner || Interlocked.Exchange(ref kept, 1) == 1)
        {
            return;
        }

        var at = Directory.CreateDirectory(Path.Combine(Root, ".wendro", "failed")).FullName;
        var name = Path.Combine(at, $"{DateTime.Now:yyyyMMdd-HHmmss}-{Port}");
        try
        {
            Browser.GetScreenshot().SaveAsFile($"{name}.png");
            File.WriteAllLines(
                $"{name}.txt",
                [Browser.Url, e.Exception.Message, "", "Console:", .. ConsoleErrors, "", "Server:", .. said]
            );
        }
        catch (WebDriverException)
        {
            // The browser itself is gone: there is no picture to keep.
        }

        Console.Error.WriteLine($"{name}.png and .txt show what was there. The server said last:");
        foreach (var line in said.TakeLast(20))
        {
            Console.Error.WriteLine($"  {line}");
        }
    }

    public int Port { get; }

    /// <summary>How long the server took to answer after it was started.</summary>
    public TimeSpan StartedAfter { get; private set; }

    /// <summary>Memory the server's process holds, MB.</summary>
    public double ServerMegabytes
    {
        get
        {
            server!.Refresh();
            return server.WorkingSet64 / 1048576.0;
        }
    }

    public string Address => $"http://127.0.0.1:{Port}";

    public ChromeDriver Browser { get; }

    /// <summary>Whatever the browser's console called an error.</summary>
    public IReadOnlyList<string> ConsoleErrors =>
        Browser
            .Manage()
            .Logs.GetLog(LogType.Browser)
            .Where(l => l.Level == LogLevel.Severe)
            .Select(l => l.Message)
            .ToArray();

    /// <summary>Waits until something is so; fails with what was waited for and what the page says instead.</summary>
    public T Until<T>(string what, Func<IWebDriver, T?> condition, int seconds = 120)
    {
        var wait = new WebDriverWait(Browser, TimeSpan.FromSeconds(seconds))
        {
            Message = what,
            PollingInterval = LookAgain,
        };
        wait.IgnoreExceptionTypes(
            typeof(NoSuchElementException),
            typeof(StaleElementReferenceException),
            typeof(ElementClickInterceptedException)
        );
        try
        {
            return wait.Until(condition)!;
        }
        catch (WebDriverTimeoutException e)
        {
            throw new WebDriverTimeoutException($"{e.Message}\nThe page says: {Says()}", e);
        }
    }

    private string Says() =>
        Browser.ExecuteScript("return location.pathname + ' | ' + document.body.innerText.replace(/\\s+/g, ' ')")
            as string
        ?? "nothing";

    public IWebElement Find(string what, By by) =>
        Until(what, d => d.FindElements(by).FirstOrDefault(e => e.Displayed));

    /// <summary>A button by its label or its text.</summary>
    public IWebElement Button(string name) =>
        Until(
            $"button {name}",
            d =>
                d.FindElements(By.XPath($"//button[@aria-label='{name}' or normalize-space(.)='{name}']"))
                    .FirstOrDefault(b => b.Displayed && IsOnTop(b))
        );

    /// <summary>Whether nothing lies over an element: what is opening or closing may, for a moment.</summary>
    private bool IsOnTop(IWebElement element) =>
        (bool)
            Browser.ExecuteScript(
                "const e = arguments[0]; e.scrollIntoView({ block: 'nearest' }); const r = e.getBoundingClientRect(); "
                    + "const t = document.elementFromPoint(r.x + r.width / 2, r.y + r.height / 2); return !!t && (e.contains(t) || t.contains(e));",
                element
            )!;

    /// <summary>Gives the picked panels a shape.</summary>
    public void Shape(string name)
    {
        Click("the shapes", By.CssSelector("button[aria-label^='Shape:']"));
        Click(name, By.XPath($"//div[@aria-label='Shape']//button[@role='radio'][normalize-space(.)='{name}']"));
    }

    public IWebElement Named(string role, string name) =>
        Find($"{role} {name}", By.CssSelector($"[role='{role}'][aria-label='{name}']"));

    public void Click(string what, By by) =>
        Until(
            what,
            d =>
            {
                var element = d.FindElements(by).FirstOrDefault(e => e.Displayed);
                if (element is null)
                {
                    return (object?)null;
                }

                element.Click();
                return element;
            }
        );

    /// <summary>Touches a panel of a map by how its label begins: the middle of its box may lie on another.</summary>
    public void OnMap(string label) =>
        Browser.ExecuteScript(
            "arguments[0].dispatchEvent(new MouseEvent('click', { bubbles: true }))",
            Find(label, By.CssSelector($"[role='button'][aria-label^='{label}']"))
        );

    public Actions Pointer() => new(Browser);

    /// <summary>A file of this name to send to the page or take from it, in a folder that goes with the data.</summary>
    public string Beside(string name) =>
        Path.Combine(Directory.CreateDirectory(Path.Combine(folder, "files")).FullName, name);

    private string ClockFile => Path.Combine(folder, "clock");

    /// <summary>Sets the studio's clock on by so many minutes in all, whatever the machine's shows.</summary>
    public void SetClock(double minutes)
    {
        // Written whole or not at all: the server may look at any moment.
        var beside = ClockFile + ".new";
        File.WriteAllText(beside, minutes.ToString(System.Globalization.CultureInfo.InvariantCulture));
        File.Move(beside, ClockFile, overwrite: true);
    }

    /// <summary>Ends the server as a power cut would and starts it again on the same data.</summary>
    public void KillAndRestart()
    {
        Kill();
        StartServer();
    }

    /// <summary>Ends the server as a power cut would.</summary>
    public void Kill()
    {
        server!.Kill(entireProcessTree: true);
        server.WaitForExit();
        server.Dispose();
    }

    private void Say(string? line)
    {
        if (line is not null)
        {
            said.Enqueue(line);
        }
    }

    public void Dispose()
    {
        AppDomain.CurrentDomain.FirstChanceException -= OnFailure;
        Browser.Quit();
        Browser.Dispose();
        EndServer();
    }

    private void EndServer()
    {
        if (server is { HasExited: false })
        {
            Kill();
        }

        Directory.Delete(folder, true);
    }

    private static string FindRoot()
    {
        var at = new DirectoryInfo(AppContext.BaseDirectory);
        while (at is not null && !File.Exists(Path.Combine(at.FullName, "Wendro.slnx")))
        {
            at = at.Parent;
        }

        return at?.FullName ?? throw new InvalidOperationException("The checkout was not found.");
    }

    public static int FreePort()
    {
        using var listener = new TcpListener(IPAddress.Loopback, 0);
        listener.Start();
        return ((IPEndPoint)listener.LocalEndpoint).Port;
    }

    /// <summary>Gives a server the surroundings that ./wendro gives it.</summary>
    public static void AsDelivered(ProcessStartInfo start)
    {
        start.Environment["ASPNETCORE_ENVIRONMENT"] = "Production";
        foreach (var line in File.ReadLines(Path.Combine(Root, ".config", "server.env")))
        {
            if (line.Split('=', 2) is [var name, var value] && !line.StartsWith('#'))
            {
                start.Environment[name] = value;
            }
        }
    }

    /// <summary>Starts the server on the data there is.</summary>
    public void StartServer()
    {
        // The server as it is delivered, compiled ahead: ./wendro lays it there.
        var host = Environment.GetEnvironmentVariable("WENDRO_APP") is { Length: > 0 } app
            ? app
            : Path.Combine(Root, ".wendro", "app");
        var start = new ProcessStartInfo("dotnet")
        {
            WorkingDirectory = host,
            RedirectStandardOutput = true,
            RedirectStandardError = true,
        };
        foreach (
            var argument in new[]
            {
                Path.Combine(host, "Wendro.Host.dll"),
                "--data",
                Path.Combine(folder, "data"),
                "--port",
                $"{Port}",
                "--demo",
                Path.Combine(Root, "demo"),
                "--clock",
                ClockFile,
            }
        )
        {
            start.ArgumentList.Add(argument);
        }

        foreach (var argument in cache is null ? [] : new[] { "--cache", cache })
        {
            start.ArgumentList.Add(argument);
        }

        AsDelivered(start);
        var patience = Stopwatch.StartNew();
        server = Process.Start(start) ?? throw new InvalidOperationException("The server did not start.");
        server.OutputDataReceived += (_, line) => Say(line.Data);
        server.ErrorDataReceived += (_, line) => Say(line.Data);
        server.BeginOutputReadLine();
        server.BeginErrorReadLine();
        using var http = new HttpClient { BaseAddress = new Uri(Address), Timeout = TimeSpan.FromSeconds(2) };
        while (true)
        {
            try
            {
                if (
                    http.GetAsync(new Uri("/api/health", UriKind.Relative)).GetAwaiter().GetResult().IsSuccessStatusCode
                )
                {
                    StartedAfter = patience.Elapsed;
                    return;
                }
            }
            catch (Exception e)
                when (e is HttpRequestException or TaskCanceledException
                    && patience.Elapsed < TimeSpan.FromSeconds(180)
                    && !server.HasExited
                )
            {
                // Looked at often, but not without a pause: on two cores that would keep the server from starting.
                server.WaitForExit(milliseconds: 5);
            }
        }
    }

    /// <summary>Makes the page so large, pixels.</summary>
    public void Size(int width, int height) => Size(Browser, width, height);

    private static void Size(ChromeDriver driver, int width, int height) =>
        driver.ExecuteCdpCommand(
            "Emulation.setDeviceMetricsOverride",
            new Dictionary<string, object?>
            {
                ["width"] = width,
                ["height"] = height,
                ["deviceScaleFactor"] = 1,
                ["mobile"] = false,
            }
        );

    private ChromeDriver StartBrowser()
    {
        var options = new ChromeOptions { BinaryLocation = "/usr/bin/chromium" };
        options.AddArguments(
            "--headless",
            "--no-sandbox",
            "--disable-gpu",
            "--disable-quic",
            "--no-first-run",
            "--disable-background-networking",
            "--disable-component-update",
            "--disable-sync",
            "--hide-scrollbars",
            "--force-device-scale-factor=1",
            "--window-size=1280,800",
            "--lang=en-GB",
            $"--user-data-dir={Path.Combine(folder, "profile")}"
        );
        options.SetLoggingPreference(LogType.Browser, LogLevel.All);
        var service = ChromeDriverService.CreateDefaultService("/usr/bin", "chromedriver");
        service.SuppressInitialDiagnosticInformation = true;
        var driver = new ChromeDriver(service, options, TimeSpan.FromSeconds(120));
        Size(driver, 1280, 800);
        return driver;
    }
}
