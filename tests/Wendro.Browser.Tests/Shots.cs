using OpenQA.Selenium;

namespace Wendro.Browser.Tests;

/// <summary>
/// Takes the pictures of docs/screenshots where WENDRO_SHOTS names the folder; otherwise sees that each view opens.
/// </summary>
public sealed class Shots
{
    [Fact]
    public void Every_main_view_opens_and_has_its_picture_taken()
    {
        using var app = new App();
        app.Browser.Navigate().GoToUrl(app.Address);
        app.Until(
            "all pictures and glances",
            d =>
                d.FindElements(By.CssSelector("img")).Count == 14
                && (bool)
                    ((IJavaScriptExecutor)d).ExecuteScript(
                        "return [...document.images].every(i => i.complete && i.naturalWidth > 0)"
                    )!
                && d.FindElements(By.XPath("//*[contains(., 'Looking at the plan')]")).Count == 0
                && d.FindElements(
                    By.XPath("//*[contains(text(), 'panels painted') or contains(., 'panels painted')]")
                ).Count > 0
                    ? d
                    : null,
            seconds: 120
        );
        Take(app, "day");

        Open(app, "Maelis Thornby");
        Take(app, "paint");
        app.Button("Tied high").Click();
        Drawn(app, "tied high");

        app.Button("Compare with… ▾").Click();
        app.Click("in 12 weeks", By.XPath("//li[normalize-space(.)='in 12 weeks']"));
        app.Button("Side by side").Click();
        app.Until(
            "two heads",
            d => d.FindElements(By.CssSelector("canvas[aria-label^='The head']")).Count == 2 ? d : null
        );
        app.Button("End comparing").Click();
        app.Button("Toned ▾").Click();
        app.Click("level map", By.XPath("//li[normalize-space(.)='Level map']"));
        app.Button("Paint pass, panel by panel").Click();
        app.Find("the pass", By.CssSelector("[aria-label='Paint pass']"));

        Open(app, "Ottoline Fjeldra");
        app.Button("From look to placement…").Click();
        app.Button("Search").Click();
        app.Until(
            "three proposals",
            d => d.FindElements(By.CssSelector("[aria-label='From look to placement'] article")).Count == 3 ? d : null,
            seconds: 90
        );
        app.Click("compare", By.XPath("(//section[@aria-label='From look to placement']//button[.='Compare'])[1]"));
        app.Find("the line between", By.CssSelector("[role='slider'][aria-label^='Between']"));
        Take(app, "placements");

        Open(app, "Perrin Askew");
        app.Until(
            "fixes",
            d =>
                d.FindElements(By.CssSelector("[aria-label='Second look'] [aria-busy='false'] article")).Count > 2
                    ? d
                    : null,
            seconds: 60
        );
        app.Click("first finding's Show", By.XPath("//article//button[normalize-space(.)='Show']"));
        Drawn(app, "worn down");
        Take(app, "second-look");

        Open(app, "Maelis Thornby");
        app.Click("Consult", By.XPath("//nav//a[contains(., 'Consult')]"));
        app.Find("the verdict", By.CssSelector("[aria-label='Verdict']"));
        Take(app, "consult");

        Open(app, "Zuriel Hallomay");
        Take(app, "paint-curls");
        Open(app, "Bergith Lanmoore");
        app.Click("Consult", By.XPath("//nav//a[contains(., 'Consult')]"));
        app.Find("the line between", By.CssSelector("[role='slider'][aria-label='Between As it is and As wanted']"));
        Take(app, "consult-grey");

        Open(app, "Tindra Okelunde");
        app.Click("Section", By.XPath("//nav//a[contains(., 'Section')]"));
        app.Find("zone settings", By.CssSelector("[aria-label='Zone settings']"));
        Take(app, "section");
        app.Button("Start from a pattern").Click();
        app.Until(
            "the patterns",
            d => d.FindElements(By.CssSelector("[aria-label='Patterns'] > li")).Count == 21 ? d : null
        );
        Take(app, "patterns");

        Open(app, "Ottoline Fjeldra");
        app.Button("Compare with… ▾").Click();
        app.Click("before toner", By.XPath("//li[@role='menuitem'][normalize-space(.)='before toner']"));
        app.Button("Side by side").Click();
        app.Until("two heads", d => d.FindElements(By.CssSelector("canvas[data-drawn]")).Count == 2 ? d : null);
        Take(app, "raw-toned");
        app.Button("End comparing").Click();
        app.Click("show", By.CssSelector("a[aria-label='Show the client']"));
        app.Button("The next picture").Click();
        app.Until(
            "as wanted",
            d => d.FindElements(By.CssSelector("img[alt*='as wanted'][aria-busy='false']")).Count > 0 ? d : null
        );
        Take(app, "show");
        app.Button("Close").Click();
        foreach (var step in new[] { "Root base, then rinse", "Gloss over all" })
        {
            app.Button("Add a step…").Click();
            app.Click(step, By.XPath($"//li[@role='menuitem'][normalize-space(.)='{step}']"));
        }

        app.Until(
            "three steps",
            d => d.FindElements(By.CssSelector("ol[aria-label='Steps of the visit'] li")).Count == 3 ? d : null
        );
        Drawn(app, "worn down");
        Take(app, "steps");

        Open(app, "Maelis Thornby");
        app.Click("Mix", By.XPath("//nav//a[contains(., 'Mix')]"));
        app.Click("bowl 1", By.XPath("//div[@aria-label='Bowls']//button[normalize-space(.)='1']"));
        app.Button("Begin bowl 1").Click();
        Pour(app, 212, "Bowl, tare");
        Pour(app, Target(app, 0), "Lantern clay");
        var developer = Target(app, 1);
        Hand(app, developer * 0.85);
        app.Until(
            "most of it",
            d =>
                d.FindElement(By.CssSelector("[role='meter'][aria-label='Poured']")).GetAttribute("aria-valuenow")
                    is { } now
                && double.Parse(now, System.Globalization.CultureInfo.InvariantCulture) > developer * 0.84
                    ? d
                    : null
        );
        Take(app, "mix");
        Hand(app, developer * 0.4);
        app.Find("too much", By.XPath("//*[@role='alert'][contains(., 'too much')]"));

        AtTheChair(app);
        Take(app, "apply");
        AtTheBasin(app);
        Take(app, "review");
        app.Visit("Maelis Thornby", "tone");
        app.Button("Lengths, then the face alone").Click();
        app.Find("toned", By.XPath("//section[contains(., 'of the warmth taken')]"));
        Drawn(app, "worn down");
        Take(app, "tone");
        app.Visit("Maelis Thornby", "record");
        app.Find("what was done", By.XPath("//dt[.='Came out']"));
        Drawn(app, "worn down");
        Take(app, "record");

        app.Browser.Navigate().GoToUrl($"{app.Address}/shelf");
        app.Find("the shelf", By.XPath("//button[contains(., 'Lantern clay')]"));
        Take(app, "shelf");
        app.Browser.Navigate().GoToUrl($"{app.Address}/desk");
        app.Find("the line", By.CssSelector("input[aria-label='Type a sum']")).SendKeys("25 vol 60 g from 20 40");
        app.Find("the sum", By.XPath("//*[@aria-label='Answer'][contains(., '45.0 g of 20 vol')]"));
        app.Until(
            "every sum has its answer",
            d =>
                d.FindElements(By.CssSelector("[aria-label='Sums'] [role='status'] > p:first-child:not([role])")).Count
                == 12
                    ? d
                    : null
        );
        Take(app, "desk");
        Assert.Empty(app.ConsoleErrors);
    }

    /// <summary>Something is put on the simulated scale; waits until its step says so.</summary>
    private static void Pour(App app, double grams, string step)
    {
        Hand(app, grams);
        app.Find(
            step,
            By.XPath(
                $"//ol[starts-with(@aria-label, 'Steps of bowl')]/li[contains(., '{step}') and .//*[@aria-label='done']]"
            )
        );
    }

    private static void Hand(App app, double grams)
    {
        using var http = new HttpClient { BaseAddress = new Uri(app.Address) };
        using var content = new StringContent(
            FormattableString.Invariant($$"""{"does":"pour","grams":{{Math.Round(grams, 1)}},"seconds":1}"""),
            System.Text.Encoding.UTF8,
            "application/json"
        );
        Assert.True(
            http.PostAsync(new Uri("/api/stand-ins/scale", UriKind.Relative), content)
                .GetAwaiter()
                .GetResult()
                .IsSuccessStatusCode
        );
    }

    /// <summary>What a step of the first bowl wants, g.</summary>
    private static double Target(App app, int step)
    {
        var text = app
            .Browser.FindElements(By.XPath("//ol[starts-with(@aria-label, 'Steps of bowl')]/li/span[last()]"))[step + 1]
            .Text;
        return double.Parse(text.Split(" of ")[1].Split(' ')[0], System.Globalization.CultureInfo.InvariantCulture);
    }

    private static void Open(App app, string client)
    {
        app.Visit(client, "paint");
        Drawn(app, "worn down");
    }

    /// <summary>A service with six panels painted.</summary>
    private static void AtTheChair(App app)
    {
        app.Visit("Bergith Lanmoore", "apply");
        foreach (var tap in new[] { "Client in the chair", "Part is set", "Combed", "Bowl 1 is mixed" })
        {
            app.Button(tap).Click();
            app.Until(
                $"{tap} is said",
                d => d.FindElements(By.XPath($"//button[.='{tap}']")).Count == 0 ? "yes" : null
            );
        }

        for (var painted = 1; painted <= 6; painted++)
        {
            // A second press within a second would be asked about.
            app.SetClock(painted * 0.6);
            app.Button("Painted").Click();
            var pressed = DateTime.UtcNow;
            app.Until(
                $"{painted} painted",
                d => d.FindElements(By.XPath($"//span[starts-with(., '{painted} of ')]")).FirstOrDefault()
            );
            app.Until(
                "a second has gone by",
                _ => DateTime.UtcNow - pressed > TimeSpan.FromSeconds(1.2) ? "yes" : null
            );
        }

        Drawn(app, "worn down");
    }

    /// <summary>A head read wet: as planned but for two zones.</summary>
    private static void AtTheBasin(App app)
    {
        using var http = new HttpClient { BaseAddress = new Uri(app.Address) };
        var at = new Uri($"/api/visits/{app.VisitOf("Maelis Thornby")}/review/facts", UriKind.Relative);
        foreach (
            var fact in new[]
            {
                """{"kind":"state","wetness":"wet","washed":true,"light":"studio"}""",
                """{"kind":"walked","place":"part"}""",
                """{"kind":"walked","place":"hairline"}""",
                """{"kind":"read","zone":"upperBack","depth":"ends","level":6.5}""",
                """{"kind":"read","zone":"faceFrameLeft","depth":"ends","level":7.2}""",
                """{"kind":"read","zone":"lowerBack","depth":"ends","level":5.3}""",
                """{"kind":"read","zone":"lowerBack","depth":"middle","level":3.3}""",
            }
        )
        {
            using var body = new StringContent(
                $$$"""{"id":"{{{Guid.NewGuid()}}}","fact":{{{fact}}}}""",
                System.Text.Encoding.UTF8,
                "application/json"
            );
            Assert.True(http.PostAsync(at, body).GetAwaiter().GetResult().IsSuccessStatusCode, fact);
        }

        app.Visit("Maelis Thornby", "review");
        app.Find("the verdict", By.XPath("//h2[starts-with(., 'As planned but for')]"));
        app.OnMap("Lower back: ");
        Drawn(app, "worn down");
    }

    private static void Drawn(App app, string wear) =>
        app.Until(
            $"head drawn {wear}",
            d =>
            {
                var head = d.FindElements(By.CssSelector("canvas[aria-label^='The head']")).FirstOrDefault();
                return
                    head is not null
                    && head.GetAttribute("data-drawn") is not null
                    && head.GetAttribute("aria-busy") == "false"
                    && head.GetAttribute("aria-label")!.Contains(wear, StringComparison.Ordinal)
                    ? head
                    : null;
            }
        );

    private static void Take(App app, string name)
    {
        // The glow that shows a panel fades by itself; a picture waits until the head has stopped changing. A clock on
        // the page goes on meanwhile.
        var last = string.Empty;
        app.Until(
            "a quiet head",
            d =>
            {
                var heads = d.FindElements(By.CssSelector("canvas[aria-label^='The head']"));
                var now = string.Join(
                    '/',
                    heads.Select(h => ((ITakesScreenshot)h).GetScreenshot().AsBase64EncodedString)
                );
                var quiet = heads.Count == 0 || now == last;
                last = now;
                return quiet ? d : null;
            }
        );
        if (Environment.GetEnvironmentVariable("WENDRO_SHOTS") is { Length: > 0 } folder)
        {
            File.WriteAllBytes(
                Path.Combine(folder, $"{name}.png"),
                ((ITakesScreenshot)app.Browser).GetScreenshot().AsByteArray
            );
        }
    }
}
