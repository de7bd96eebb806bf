using OpenQA.Selenium;
using OpenQA.Selenium.Interactions;

namespace Wendro.Browser.Tests;

/// <summary>
/// Painting a whole head: several panels, several products, whole-head moves, the pass with keys, comparing, setting
/// aside, proposals.
/// </summary>
public sealed class PaintTests(App app) : IClassFixture<App>
{
    private static readonly By Painted = By.CssSelector(
        "[aria-label='Crown map'] [role='button'][aria-label*=', level']"
    );

    [Fact]
    public void Several_panels_take_one_change_and_one_undo()
    {
        app.Begin();
        Open(app, "Ottoline Fjeldra");
        app.Button("Zone").Click();
        app.Find("many picked", By.XPath("//div[@aria-label='Pick panels']//button[contains(., 'picked')]"));
        app.Shape("Lines");
        Saved(app);
        app.Find("lines are counted", By.CssSelector("input[aria-label='Lines']"));
        Assert.NotNull(app.Named("slider", "Held at, strokes meet"));
        app.Button("Another product").Click();
        app.Until(
            "two products",
            d =>
                d.FindElements(
                    By.CssSelector("[aria-label='Products in the order they are laid'] button[aria-pressed]")
                ).Count == 2
                    ? d
                    : null
        );
        Saved(app);
        app.Button("Move earlier").Click();
        Saved(app);
        app.Button("Remove").Click();
        app.Until(
            "one product",
            d =>
                d.FindElements(By.CssSelector("[aria-label='Products in the order they are laid']")).Count == 0
                    ? d
                    : null
        );
        Saved(app);

        // A height typed digit by digit is one edit; one outside the limits is said and changes nothing.
        Height(app, "12.5");
        Saved(app);
        Height(app, "99");
        app.Find("too far down", By.XPath("//*[@role='alert'][.='0 to 75 cm, not 99']"));
        for (var step = 0; step < 5; step++)
        {
            app.Button("Undo").Click();
            Saved(app);
        }

        app.Until(
            "nothing left to undo",
            d => d.FindElement(By.CssSelector("button[aria-label='Undo']")).Enabled ? null : d
        );
        app.Button("Whole-head moves…").Click();
        app.Click("taper", By.XPath("//li[contains(., 'Taper front to back')]"));
        app.Button("Do it").Click();
        Saved(app);
        app.Until(
            "something to undo",
            d => d.FindElement(By.CssSelector("button[aria-label='Undo']")).Enabled ? d : null
        );
        app.Button("Undo").Click();
        app.Until(
            "nothing left to undo",
            d => d.FindElement(By.CssSelector("button[aria-label='Undo']")).Enabled ? null : d
        );
        Assert.Empty(app.ConsoleErrors);
    }

    [Fact]
    public void A_whole_head_is_painted_from_a_pattern_and_a_pass_with_keys()
    {
        app.Begin();
        app.Visit("Henrike Vael", "paint");
        Drawn(app);
        app.Button("Paint pass, panel by panel").Click();
        var pass = app.Find("the pass", By.CssSelector("[aria-label='Paint pass']"));
        app.Until("the first panel", d => d.FindElements(By.XPath("//h2[starts-with(., 'Panel ')]")).FirstOrDefault());
        new Actions(app.Browser).SendKeys("1").Perform();
        app.Until("a V", d => d.FindElements(Painted).Count == 1 ? d : null);
        Saved(app);
        var at = Position(app);
        for (var n = 1; n <= 4; n++)
        {
            new Actions(app.Browser).SendKeys(Keys.Enter).Perform();
            app.Until("the next panel", _ => Position(app) == at + n ? "yes" : null);
            new Actions(app.Browser).SendKeys(n == 3 ? "s" : Keys.Enter).Perform();
            n++;
            app.Until("and the next", _ => Position(app) == at + n ? "yes" : null);
            Saved(app);
        }

        Assert.InRange(app.Browser.FindElements(Painted).Count, 2, 4);
        new Actions(app.Browser).SendKeys(Keys.Backspace).Perform();
        app.Until("back", _ => Position(app) == at + 3 ? "yes" : null);
        new Actions(app.Browser).SendKeys(Keys.Escape).Perform();
        app.Until(
            "the pass to end",
            d => d.FindElements(By.CssSelector("[aria-label='Paint pass']")).Count == 0 ? d : null
        );
        Assert.NotNull(pass);
        Assert.Empty(app.ConsoleErrors);
    }

    [Fact]
    public void She_is_seen_weeks_later_beside_today_in_other_colours_and_saved_as_a_picture()
    {
        app.Begin();
        Open(app, "Maelis Thornby");
        var rinsed = Sum(app);
        app.Button("+12 wk").Click();
        app.Until("grown out, darker", _ => Sum(app) < rinsed ? "yes" : null);
        app.Button("Rinsed").Click();
        app.Until("as rinsed", _ => Sum(app) == rinsed ? "yes" : null);
        app.Button("Compare with… ▾").Click();
        app.Click("before", By.XPath("//li[normalize-space(.)='before']"));
        var line = app.Find("the line", By.CssSelector("[role='slider'][aria-label^='Between']"));
        var half = Sum(app);
        line.SendKeys(Keys.ArrowLeft + Keys.ArrowLeft + Keys.ArrowLeft);
        app.Until("more of before", _ => Sum(app) < half ? "yes" : null);
        app.Button("Side by side").Click();
        app.Until(
            "two heads",
            d => d.FindElements(By.CssSelector("canvas[aria-label^='The head']")).Count == 2 ? d : null
        );
        app.Button("End comparing").Click();
        foreach (var mode in new[] { "Level map", "Panels", "Seen share", "Lift to come" })
        {
            app.Click("colours", By.CssSelector("button[aria-label^='Colours:']"));
            app.Click(mode, By.XPath($"//li[normalize-space(.)='{mode}']"));
            app.Find("its legend", By.CssSelector($"ul[aria-label='Colours: {mode}']"));
        }

        var folder = Directory.CreateDirectory(app.Beside("saved")).FullName;
        app.Browser.ExecuteCdpCommand(
            "Page.setDownloadBehavior",
            new() { ["behavior"] = "allow", ["downloadPath"] = folder }
        );
        app.Button("Save picture").Click();
        app.Click("plain", By.XPath("//li[normalize-space(.)='Picture']"));
        var saved = app.Until("the picture", _ => Directory.GetFiles(folder, "*.png").FirstOrDefault());
        app.Until("all of it", _ => new FileInfo(saved).Length > 10_000 ? "yes" : null);
        Assert.Equal([0x89, (byte)'P', (byte)'N', (byte)'G'], File.ReadAllBytes(saved)[..4]);

        // And the strip of the panel at work, as a drawing.
        app.Click("the strip", By.CssSelector("a[aria-label='Save strip as drawing']"));
        var strip = app.Until("the drawing", _ => Directory.GetFiles(folder, "strip *.svg").FirstOrDefault());
        app.Until(
            "all of it",
            _ => File.ReadAllText(strip).TrimEnd().EndsWith("</svg>", StringComparison.Ordinal) ? "yes" : null
        );
        Assert.Contains("<svg", File.ReadAllText(strip), StringComparison.Ordinal);
        Assert.Empty(app.ConsoleErrors);
    }

    [Fact]
    public void A_finding_is_set_aside_with_a_reason_and_a_placement_is_searched_compared_and_taken()
    {
        app.Begin();
        Open(app, "Perrin Askew");
        app.Until(
            "the fixes",
            d =>
                d.FindElements(By.CssSelector("[aria-label='Second look'] [aria-busy='false'] article")).Count > 1
                    ? d
                    : null
        );
        var title = app
            .Browser.FindElements(By.XPath("//article[.//button[.='Set aside']]"))[0]
            .GetAttribute("aria-label")!;
        app.Click("set aside", By.XPath($"//article[@aria-label='{title}']//button[.='Set aside']"));
        app.Find("the reason", By.CssSelector("input[aria-label='Reason']")).SendKeys("she likes it so" + Keys.Enter);
        app.Until(
            "it to be quiet",
            d => d.FindElements(By.XPath($"//article[@aria-label='{title}']")).Count == 0 ? d : null
        );
        app.Click("what is set aside", By.XPath("//summary[contains(., 'set aside')]"));
        Assert.Contains(
            "she likes it so",
            app.Find("with its reason", By.CssSelector("[aria-label='Second look'] details")).Text,
            StringComparison.Ordinal
        );
        app.Button("Restore").Click();
        app.Until(
            "it to be heard",
            d => d.FindElements(By.XPath($"//article[@aria-label='{title}']")).Count > 0 ? d : null
        );
        Saved(app);

        app.Button("From look to placement…").Click();
        app.Button("Search").Click();
        app.Find("how far it is", By.XPath("//button[.='Stop, keep the best']"));
        app.Until(
            "three proposals",
            d => d.FindElements(By.CssSelector("[aria-label='From look to placement'] article")).Count == 3 ? d : null
        );
        app.Click("compare", By.XPath("(//section[@aria-label='From look to placement']//button[.='Compare'])[1]"));
        app.Find("the line", By.CssSelector("[role='slider'][aria-label^='Between']"));
        var before = app.Browser.FindElements(Painted).Count;
        app.Click("take it", By.XPath("(//section[@aria-label='From look to placement']//button[.='Take it'])[1]"));
        app.Until(
            "another plan",
            d =>
                d.FindElements(Painted).Count != before
                && d.FindElements(By.CssSelector("[aria-label='Second look']")).Count == 1
                    ? d
                    : null
        );
        Saved(app);
        app.Button("Undo").Click();
        app.Until("the plan as it was", d => d.FindElements(Painted).Count == before ? d : null);
        Assert.Empty(app.ConsoleErrors);
    }

    [Fact]
    public void That_the_server_is_away_is_told_once_and_work_goes_on_when_it_is_back()
    {
        app.Begin();
        Open(app, "Sigrun Lathe");
        app.Shape("V");
        app.Until("a V", d => d.FindElements(Painted).Count == 1 ? d : null);
        Saved(app);
        app.Kill();
        app.Button("Undo").Click();
        var away = By.XPath("//*[@role='alert'][contains(., 'The server does not answer')]");
        app.Find("told", away);
        app.Button("Undo").Click();
        app.Until("told once", d => d.FindElements(away).Count == 1 ? d : null);
        app.StartServer();
        app.Until("gone again", d => d.FindElements(away).Count == 0 ? d : null);

        // What was not saved was not done; what is asked now is.
        Assert.Single(app.Browser.FindElements(Painted));
        app.Button("Undo").Click();
        app.Until("undone", d => d.FindElements(Painted).Count == 0 ? d : null);

        // Refused, or cut off where it was on its way when the server went: never an answer that says it went wrong.
        Assert.All(app.ConsoleErrors, e => Assert.Contains("net::ERR_", e, StringComparison.Ordinal));
    }

    [Fact]
    public void What_is_drawn_at_once_is_what_is_drawn_when_loaded_anew()
    {
        app.Begin();
        Open(app, "Bergith Lanmoore");
        // A bent panel's middle lies outside it: it is pressed itself.
        app.Browser.ExecuteScript(
            "arguments[0].dispatchEvent(new MouseEvent('click', { bubbles: true }))",
            app.Find("a panel at the face", By.CssSelector("[aria-label^='face frame left, row 2, panel 1']"))
        );
        var handle = By.CssSelector("[role='slider'][aria-label^='Start']");
        var before = Settled(app);
        foreach (var key in new[] { Keys.ArrowUp, Keys.ArrowUp, Keys.ArrowDown, Keys.ArrowUp, Keys.ArrowUp })
        {
            app.Find("the start of the panel", handle).SendKeys(key);
        }

        app.Until(
            "something to undo",
            d => d.FindElement(By.CssSelector("button[aria-label='Undo']")).Enabled ? d : null
        );
        Saved(app);
        app.Button("Undo").Click();
        Saved(app);
        app.Button("Redo").Click();
        Saved(app);

        // A handle taken and let go where it was: what was tried is drawn, and taken back.
        new Actions(app.Browser)
            .ClickAndHold(app.Find("the start of the panel", handle))
            .MoveByOffset(0, -20)
            .MoveByOffset(0, -20)
            .MoveByOffset(0, 40)
            .Release()
            .Perform();
        Saved(app);
        var drawn = Settled(app);
        Assert.NotEqual(before, drawn);
        app.Browser.Navigate().Refresh();
        Drawn(app);
        Assert.Equal(drawn, Settled(app));
        Assert.Empty(app.ConsoleErrors);
    }

    /// <summary>The picture once nothing glows and nothing is on its way any more.</summary>
    private static long Settled(App app)
    {
        long last = -1;
        var alike = 0;
        app.Until(
            "the picture at rest",
            d =>
            {
                var now = Sum(app);
                alike = now == last ? alike + 1 : 0;
                last = now;
                return alike >= 4 ? d : null;
            }
        );
        return last;
    }

    private static void Height(App app, string typed)
    {
        var field = app.Named("spinbutton", "Height, cm from the scalp");
        field.SendKeys(Keys.Control + "a");
        field.SendKeys(typed + Keys.Tab);
    }

    private static void Open(App app, string client)
    {
        app.Visit(client, "paint");
        Drawn(app);
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

    private static void Saved(App app) =>
        app.Until("saved", d => d.FindElement(By.CssSelector("header [role='status']")).Text == "saved" ? d : null);

    private static int Position(App app) =>
        int.Parse(
            app.Browser.FindElement(By.XPath("//h2[starts-with(., 'Panel ')]")).Text.Split(' ')[1],
            System.Globalization.CultureInfo.InvariantCulture
        );

    private static long Sum(App app) =>
        (long)
            app.Browser.ExecuteScript(
                "const c = document.querySelector(\"canvas[aria-label^='The head']\"); let s = 0; for (const v of c.getContext('2d').getImageData(0, 0, c.width, c.height).data) s += v; return s;"
            )!;
}
