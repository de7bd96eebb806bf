using System.Text.Json.Nodes;
using OpenQA.Selenium;

namespace Wendro.Browser.Tests;

/// <summary>
/// Every screen and every sheet that opens, checked by machine for WCAG 2.2 A and AA: nothing serious is left, and
/// nothing scrolls sideways.
/// </summary>
public sealed class AccessibilityTests(App app) : IClassFixture<App>
{
    private static readonly string Axe = File.ReadAllText(
        Path.Combine(App.Root, "src", "web", "node_modules", "axe-core", "axe.min.js")
    );

    /// <summary>
    /// Screens by address, what shows that they are there, and the buttons that open something on them.
    /// </summary>
    private static readonly (string At, By Ready, string[] Opens)[] Screens =
    [
        ("", By.XPath("//ol[@class]//a"), ["New client", "House rules"]),
        ("desk", By.CssSelector("[aria-label='Sums'] [role='status'] > p:first-child:not([role])"), []),
        ("shelf", By.XPath("//button[contains(., 'Lantern clay')]"), ["Lantern clay"]),
        ("data", By.XPath("//h2[.='The whole studio']"), ["With answers about health…"]),
        ("year", By.XPath("//ol[@aria-label='Week']//a"), []),
        ("year?by=day", By.XPath("//section[@aria-label='Day by chair']//span[contains(., 'between')]"), []),
        ("clients", By.XPath("//ol[@aria-label='Visits']//img"), []),
        (
            "consult",
            By.CssSelector("canvas[aria-label^='The head'][aria-busy='false'][data-drawn]"),
            ["+ how it is worn"]
        ),
        ("section", By.CssSelector("canvas[aria-label^='The head'][aria-busy='false'][data-drawn]"), []),
        (
            "paint",
            By.CssSelector("canvas[aria-label^='The head'][aria-busy='false'][data-drawn]"),
            ["Whole-head moves…", "From look to placement…"]
        ),
        ("mix", By.XPath("//h2[.='Formulas']"), ["Change…"]),
        ("apply", By.XPath("//button[.='Client in the chair']"), []),
        ("review", By.CssSelector("canvas[aria-label^='The head'][aria-busy='false'][data-drawn]"), []),
        ("tone", By.CssSelector("canvas[aria-label^='The head'][aria-busy='false'][data-drawn]"), []),
        ("record", By.CssSelector("canvas[aria-label^='The head'][aria-busy='false'][data-drawn]"), []),
    ];

    [Theory]
    [InlineData(1280, 800)]
    [InlineData(1024, 768)]
    public void Nothing_serious_is_left_on_any_screen_or_open_sheet(int width, int height)
    {
        app.Begin();
        app.Size(width, height);
        var visit = app.VisitOf("Maelis Thornby");
        Tone(app, visit);
        var found = new List<string>();
        foreach (var (at, ready, opens) in Screens)
        {
            var address = at switch
            {
                "" or "desk" or "shelf" or "data" or "year" or "year?by=day" => at,
                "clients" => $"clients/{ClientOf(app, visit)}",
                "record" => $"visits/{visit}/record",
                _ => $"visits/{visit}/{at}",
            };
            app.Browser.Navigate().GoToUrl($"{app.Address}/{address}");
            app.Find($"{at} is there", ready);
            found.AddRange(Violations(app, at));
            foreach (var tab in app.Browser.FindElements(By.CssSelector("[role='tab'][aria-selected='false']")))
            {
                var name = tab.Text;
                tab.Click();
                found.AddRange(Violations(app, $"{at}, tab {name}"));
            }

            foreach (var open in opens)
            {
                app.Browser.Navigate().GoToUrl($"{app.Address}/{address}");
                app.Find($"{at} is there again", ready);
                Open(app, open);
                found.AddRange(Violations(app, $"{at}, {open}"));
            }
        }

        Assert.True(found.Count == 0, string.Join(Environment.NewLine, found.Distinct()));
    }

    private static string ClientOf(App app, string visit)
    {
        using var http = new HttpClient { BaseAddress = new Uri(app.Address) };
        var keep = http.GetStringAsync(new Uri($"/api/visits/{visit}/record", UriKind.Relative))
            .GetAwaiter()
            .GetResult();
        return (string)JsonNode.Parse(keep)!["clientId"]!;
    }

    /// <summary>Something is toned, so that its screen has all it can have.</summary>
    private static void Tone(App app, string visit)
    {
        using var http = new HttpClient { BaseAddress = new Uri(app.Address) };
        var at = $"/api/visits/{visit}/tone";
        var tone = JsonNode.Parse(http.GetStringAsync(new Uri(at, UriKind.Relative)).GetAwaiter().GetResult())!;
        if (tone["starts"]!.AsArray() is not { Count: > 0 } starts)
        {
            return;
        }

        using var body = new StringContent(
            $$$"""
            {"after":0,"id":"{{{Guid.NewGuid()}}}","fact":{"kind":"planned","plan":{{{starts[0]![
                "plan"
            ]!.ToJsonString()}}}}}
            """,
            System.Text.Encoding.UTF8,
            "application/json"
        );
        using var said = http.PostAsync(new Uri($"{at}/facts", UriKind.Relative), body).GetAwaiter().GetResult();
        Assert.True(said.IsSuccessStatusCode);
    }

    /// <summary>Opens something, on whichever tab of a tablet its button is.</summary>
    private static void Open(App app, string button)
    {
        var by = By.XPath($"//button[starts-with(normalize-space(.), '{button}')]");
        foreach (var tab in app.Browser.FindElements(By.CssSelector("[role='tab']")))
        {
            if (app.Browser.FindElements(by).Any(b => b.Displayed))
            {
                break;
            }

            tab.Click();
        }

        app.Click(button, by);
        app.Until(
            $"{button} is open and still",
            d =>
                d.FindElements(
                        By.CssSelector(
                            ".ant-modal, .ant-popover, .ant-drawer, .ant-dropdown, [aria-label='From look to placement'], [role='group'][aria-label^='Formula ']"
                        )
                    )
                    .Any(o => o.Displayed)
                && (bool)
                    app.Browser.ExecuteScript(
                        "return document.getAnimations().every((a) => a.playState !== 'running')"
                    )!
                    ? d
                    : null
        );
    }

    /// <summary>What scrolls sideways, on a machine whose scroll bars take room: nothing may.</summary>
    private static IEnumerable<string> Sideways(App app, string where) =>
        (
            (IEnumerable<object>)
                app.Browser.ExecuteScript(
                    """
                    return [...document.querySelectorAll("*")]
                      .filter((e) => e.clientWidth > 0 && e.scrollWidth > e.clientWidth
                        && ["auto", "scroll"].includes(getComputedStyle(e).overflowX))
                      .map((e) => `${e.tagName} ${e.getAttribute("aria-label") ?? ""} by ${e.scrollWidth - e.clientWidth} px`);
                    """
                )!
        ).Select(wide => $"{where}: scrolls sideways: {wide}");

    private static IEnumerable<string> Violations(App app, string where)
    {
        if (!(bool)app.Browser.ExecuteScript("return !!window.axe")!)
        {
            app.Browser.ExecuteScript(Axe);
        }

        var json = (string)
            app.Browser.ExecuteAsyncScript(
                """
                const done = arguments[arguments.length - 1];
                axe.run(document, { resultTypes: ['violations'], runOnly: ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'] })
                  .then((r) => done(JSON.stringify(r.violations)), (e) => done(JSON.stringify([{ id: 'axe', impact: 'critical', help: String(e), nodes: [] }])));
                """
            )!;
        return JsonNode
            .Parse(json)!
            .AsArray()
            .Where(v => (string?)v!["impact"] is "serious" or "critical")
            .SelectMany(v =>
                v!["nodes"]!.AsArray().DefaultIfEmpty().Select(n => $"{where}: {v["id"]}: {v["help"]}: {n?["html"]}")
            )
            .Concat(Sideways(app, where))
            .ToArray();
    }
}
