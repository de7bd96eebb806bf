using System.Diagnostics;
using System.Globalization;
using OpenQA.Selenium;
using Wendro.Fixtures;

namespace Wendro.Bench;

/// <summary>Figures through the real server and the real page.</summary>
internal static class PageFigures
{
    private const string Measure = """
        const done = arguments[0];
        const head = document.querySelector("canvas[aria-label^='The head']");
        const slider = document.querySelector("[role='slider'][aria-label^='Start']");
        const times = [];
        let started = 0;
        const next = () => {
          if (times.length === 30) { watcher.disconnect(); done(times); return; }
          started = performance.now();
          slider.dispatchEvent(new KeyboardEvent("keydown", { key: times.length % 2 ? "ArrowUp" : "ArrowDown", bubbles: true }));
        };
        const status = document.querySelector("[role='status']");
        const watcher = new MutationObserver(() => {
          if (!started) return;
          times.push(performance.now() - started);
          started = 0;
          const wait = () => status.textContent === "saved" ? setTimeout(next, 30) : setTimeout(wait, 5);
          wait();
        });
        watcher.observe(head, { attributes: true, attributeFilter: ["data-drawn"] });
        next();
        """;

    public static void Print()
    {
        if (!File.Exists("/usr/bin/chromium") || !File.Exists("/usr/bin/chromedriver"))
        {
            Console.WriteLine("Figures of the page need Chromium: ./wendro test installs it.");
            return;
        }

        using var app = new App(cache: null);
        var started = app.StartedAfter.TotalSeconds;
        Stopwatches.Judge(
            () => Stopwatches.Say("server started, demo loaded, answering (cold)", $"{started:0.0} s", "≤ 3 s"),
            started > 3,
            "the runtime, the data file made and the demo read and planned once; later starts are quicker"
        );
        var watch = Stopwatch.StartNew();
        app.Browser.Navigate().GoToUrl(app.Address);
        app.Find("the day", By.XPath("//a[contains(., 'Maelis Thornby')]"));
        Stopwatches.Say("first page after that", $"{watch.Elapsed.TotalSeconds:0.0} s");
        watch.Restart();
        app.Click("a visit", By.XPath("//a[contains(., 'Maelis Thornby')]"));
        Drawn(app);
        Stopwatches.Say("visit opened, head drawn", $"{watch.Elapsed.TotalSeconds:0.0} s");

        app.Browser.Manage().Timeouts().AsynchronousJavaScript = TimeSpan.FromSeconds(120);
        Stopwatches.Say("edit → picture in the browser, visit just opened", Edits(app));

        app.Browser.Navigate().GoToUrl(app.Address);
        app.Find("the day", By.XPath("//a[contains(., 'Maelis Thornby')]"));
        foreach (var client in app.Browser.FindElements(By.CssSelector("a.visit strong")).Select(s => s.Text).ToArray())
        {
            app.Browser.Navigate().GoToUrl(app.Address);
            app.Click(client, By.XPath($"//a[contains(., '{client}')]"));
            Drawn(app);
            for (var turn = 0; turn < 24; turn++)
            {
                app.Button("Turn right").Click();
                Drawn(app);
            }
        }

        var megabytes = app.ServerMegabytes;
        Stopwatches.Judge(
            () => Stopwatches.Say("memory of the server, every head turned once", $"{megabytes:0} MB", "≤ 300 MB"),
            megabytes > 300,
            "about 95 MB are the runtime's and its libraries' code, mapped from files and shared, 44 MB mapped twice by "
                + "the runtime; the rest is heads at work and the last drawn views"
        );
        app.Browser.Navigate().GoToUrl(app.Address);
        app.Click("a visit", By.XPath("//a[contains(., 'Maelis Thornby')]"));
        Drawn(app);
        AtRest(app);
        Stopwatches.Say(
            "edit → picture changed in the browser",
            Edits(app),
            50,
            "the server stores the revision (a synchronous write) and tells the changed strands, the page colours them"
        );
        ManyHands.Print(app);
        Stopwatches.Say("memory of the server after that", $"{app.ServerMegabytes:0} MB");
        Warm(app);
    }

    /// <summary>Until the page has asked for nothing for a while.</summary>
    private static void AtRest(App app) =>
        app.Until(
            "the page at rest",
            d =>
                (bool)
                    app.Browser.ExecuteScript(
                        "performance.setResourceTimingBufferSize(1e5);"
                            + "const ends = performance.getEntriesByType('resource').map((e) => e.responseEnd);"
                            + "return performance.now() - Math.max(...ends) > 1500;"
                    )!
                    ? d
                    : null
        );

    /// <summary>Edits of the panel at work, one after another, each until the picture shows it.</summary>
    private static Stopwatches.Times Edits(App app)
    {
        var times = ((IEnumerable<object>)app.Browser.ExecuteAsyncScript(Measure)!)
            .Select(t => Convert.ToDouble(t, CultureInfo.InvariantCulture))
            .Order()
            .ToArray();
        return new(times[times.Length / 2], times[0], times[^1]);
    }

    /// <summary>A restart on the same data: the page and a head that was seen before.</summary>
    private static void Warm(App app)
    {
        app.KillAndRestart();
        app.Browser.Navigate().GoToUrl(app.Address);
        app.Find("the day", By.XPath("//a[contains(., 'Maelis Thornby')]"));
        using var http = new HttpClient { BaseAddress = new Uri(app.Address) };
        foreach (var of in new[] { "plan", "seen?wear=down&angle=30" })
        {
            var visit = app.VisitOf("Maelis Thornby");
            var watch = Stopwatch.StartNew();
            _ = http.GetByteArrayAsync($"/api/visits/{visit}/{of}").Result;
            var took = watch.Elapsed.TotalMilliseconds;
            Stopwatches.Judge(
                () => Stopwatches.Say($"restarted, a visit seen before: {of}", $"{took:0} ms", "≤ 150 ms together"),
                took > 150,
                "views are kept, but strands are sown and cut and panels cut anew, while the server does the same for the "
                    + "day's other heads"
            );
        }
    }

    private static void Drawn(App app) =>
        app.Until(
            "the head drawn",
            d =>
            {
                var head = d.FindElements(By.CssSelector("canvas[aria-label^='The head']")).FirstOrDefault();
                return head?.GetAttribute("data-drawn") is not null && head.GetAttribute("aria-busy") == "false"
                    ? head
                    : null;
            }
        );
}
