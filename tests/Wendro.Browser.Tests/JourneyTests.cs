using System.Globalization;
using OpenQA.Selenium;
using OpenQA.Selenium.Interactions;

namespace Wendro.Browser.Tests;

/// <summary>What a colourist does, through the real page: by role and label.</summary>
public sealed class JourneyTests(App app) : IClassFixture<App>
{
    private static readonly By Panels = By.CssSelector("[aria-label='Crown map'] [role='button']");

    [Fact]
    public void Opens_the_demo_changes_a_panel_mends_what_is_wrong_and_finds_it_all_there_again()
    {
        app.Begin();
        app.Browser.Navigate().GoToUrl(app.Address);
        app.Click("the flawed plan", By.XPath("//a[contains(., 'Perrin Askew')]"));
        Drawn(app);

        // Pick a panel on the map.
        var panel = PickOnMap(app, "left side");
        app.Until(
            "its strip",
            d => d.FindElements(By.CssSelector($"canvas[aria-label='Strip of {panel}']")).FirstOrDefault()
        );
        var findings = Findings(app);
        Assert.Contains("Front is not brighter", findings);

        // Change its shape: natural first, then full.
        app.Button("Natural").Click();
        app.Until(
            "the panel to be natural",
            d => d.FindElements(By.CssSelector($"[role='button'][aria-label='{panel}, natural']")).FirstOrDefault()
        );
        app.Shape("Full");
        app.Until(
            "the panel to be painted again",
            d => d.FindElements(By.CssSelector($"[role='button'][aria-label^='{panel}, level']")).FirstOrDefault()
        );

        // Drag its start on the strip: the edit is stored once, when the hand lets go.
        Saved(app);
        var level = Level(app, panel);
        var before = Value(app, "Start");
        var drawn = Draws(app);
        var handle = app.Named("slider", "Start");
        new Actions(app.Browser)
            .MoveToElement(handle)
            .ClickAndHold()
            .MoveByOffset(0, 40)
            .MoveByOffset(0, 40)
            .Release()
            .Perform();
        app.Until("the start to move down", _ => Value(app, "Start") > before + 1 ? "yes" : null);
        app.Until("the head to be drawn again", _ => Draws(app) > drawn ? "yes" : null);
        Saved(app);
        Assert.NotEqual(level, Level(app, panel));

        // Keys do the same.
        var dragged = Value(app, "Start");
        app.Named("slider", "Start").SendKeys(Keys.ArrowDown);
        app.Until(
            "the start to move by half a centimetre",
            _ => Math.Abs(Value(app, "Start") - dragged - 0.5) < 0.06 ? "yes" : null
        );

        // Try the fix out, keep it, undo it, redo it.
        Saved(app);
        app.Click(
            "the fix",
            By.XPath(
                "//article[@aria-label='Front is not brighter']//button[contains(., 'Paint') or contains(., 'Raise')]"
            )
        );
        app.Find(
            "its effect",
            By.XPath("//article[@aria-label='Front is not brighter']//*[@role='status'][contains(., '→')]")
        );
        app.Button("Keep").Click();
        app.Until("the finding to be gone", _ => !Findings(app).Contains("Front is not brighter") ? "yes" : null);
        Saved(app);
        new Actions(app.Browser).KeyDown(Keys.Control).SendKeys("z").KeyUp(Keys.Control).Perform();
        app.Until("the finding to be back", _ => Findings(app).Contains("Front is not brighter") ? "yes" : null);
        Saved(app);
        app.Button("Redo").Click();
        app.Until("the finding to be gone again", _ => !Findings(app).Contains("Front is not brighter") ? "yes" : null);
        Saved(app);
        var measure = app.Find("light share", By.CssSelector("output[aria-label='Light share']")).Text;
        var start = Value(app, "Start");

        // A power cut, a restart, a reload; nothing is being asked for at that moment.
        app.Until(
            "the second look to be done",
            d =>
                d.FindElements(By.CssSelector("[aria-label='Second look'] [aria-busy='false']")).Count > 0
                && d.FindElements(By.CssSelector("[aria-label='Second look'] button[aria-label*=': show what']")).Count
                    > 0
                    ? d
                    : null
        );
        app.KillAndRestart();
        app.Browser.Navigate().Refresh();
        Drawn(app);
        Assert.Equal(panel, PickOnMap(app, "left side"));
        app.Until("the same start", _ => Math.Abs(Value(app, "Start") - start) < 0.01 ? "yes" : null);
        Assert.Equal(measure, app.Find("light share", By.CssSelector("output[aria-label='Light share']")).Text);
        Assert.DoesNotContain("Front is not brighter", Findings(app));
        Assert.Empty(app.ConsoleErrors);
    }

    [Fact]
    public void A_new_client_is_sectioned_painted_turned_and_tied()
    {
        app.Begin();
        app.Browser.Navigate().GoToUrl(app.Address);
        app.Button("New client").Click();
        app.Find("her name", By.CssSelector("input[aria-label='Name']")).SendKeys("Wilhelmina Oake");
        app.Button("Begin").Click();
        Drawn(app);
        Assert.Contains("/consult", app.Browser.Url, StringComparison.Ordinal);
        app.Click("Section", By.XPath("//nav//a[contains(., 'Section')]"));
        app.Find("zone settings", By.CssSelector("[aria-label='Zone settings']"));

        // Cut the zone the panel lies in: thinner sections, more panels.
        var panels = app.Browser.FindElements(Panels).Count;
        var thickness = app.Find("section thickness", By.CssSelector("input[aria-label='Section thickness']"));
        thickness.SendKeys(Keys.Control + "a");
        thickness.SendKeys("7" + Keys.Tab);
        app.Until("more panels", d => d.FindElements(Panels).Count > panels ? d : null);

        app.Click("Paint", By.XPath("//nav//a[contains(., 'Paint')]"));
        Assert.Contains(
            "Nothing is painted yet",
            app.Find("second look", By.CssSelector("[aria-label='Second look']")).Text,
            StringComparison.Ordinal
        );
        var panel = PickOnMap(app, "upper back, row 1");
        app.Shape("V");
        app.Until(
            "a painted panel",
            d => d.FindElements(By.CssSelector($"[role='button'][aria-label^='{panel}, level']")).FirstOrDefault()
        );
        Saved(app);
        app.Click("zone like this", By.XPath("//button[contains(., 'Zone like this')]"));
        app.Until("the front to be told", _ => Findings(app).Contains("Front is not brighter") ? "yes" : null);
        Saved(app);

        // Turn her with the arrow keys, tie her hair, look at her before.
        var head = app.Find("head", By.CssSelector("canvas[aria-label^='The head']"));
        head.SendKeys(Keys.ArrowRight);
        app.Until("her turned", _ => Head(app).Contains("towards left side", StringComparison.Ordinal) ? "yes" : null);
        app.Button("Tied high").Click();
        app.Until("her tied", _ => Head(app).Contains("tied high", StringComparison.Ordinal) ? "yes" : null);
        app.Button("Down").Click();
        Drawn(app);
        var rinsed = Pixels(app);
        app.Button("Before").Click();
        app.Until("another picture", _ => Pixels(app) != rinsed ? "yes" : null);

        // Tapping hair on the head picks the panel under the finger.
        app.Button("Rinsed").Click();
        var strip = app.Find("strip", By.CssSelector("canvas[aria-label^='Strip of']")).GetAttribute("aria-label");
        // Hair left out between sections belongs to no panel: the finger moves on until it finds one.
        var down = -140;
        app.Until(
            "another panel",
            d =>
            {
                new Actions(app.Browser).MoveToElement(head, 70, down += 12).Click().Perform();
                return
                    d.FindElement(By.CssSelector("canvas[aria-label^='Strip of']")).GetAttribute("aria-label") != strip
                    ? d
                    : null;
            }
        );
        Assert.Contains(
            "leaflet",
            app.Find("care", By.CssSelector("[aria-label='Care']")).Text,
            StringComparison.Ordinal
        );
        Assert.Empty(app.ConsoleErrors);
    }

    /// <summary>
    /// Clicks the first panel of a zone whose middle is its own: a section bends, and the middle of its box may be
    /// its neighbour's.
    /// </summary>
    private static string PickOnMap(App app, string zone) =>
        app.Until(
            $"a panel of the {zone}",
            d =>
            {
                foreach (var panel in d.FindElements(By.CssSelector($"[role='button'][aria-label^='{zone}']")))
                {
                    try
                    {
                        panel.Click();
                        var label = panel.GetAttribute("aria-label")!;
                        return label[..label.LastIndexOf(',')];
                    }
                    catch (ElementClickInterceptedException)
                    {
                        // Its neighbour lies there; the next one is tried.
                    }
                }

                return null;
            }
        );

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

    private static string Head(App app) =>
        app.Browser.FindElement(By.CssSelector("canvas[aria-label^='The head']")).GetAttribute("aria-label")!;

    private static int Draws(App app) =>
        int.Parse(
            app.Browser.FindElement(By.CssSelector("canvas[aria-label^='The head']")).GetAttribute("data-drawn") ?? "0",
            CultureInfo.InvariantCulture
        );

    private static long Pixels(App app) =>
        (long)
            app.Browser.ExecuteScript(
                "const c = document.querySelector(\"canvas[aria-label^='The head']\"); let s = 0; for (const v of c.getContext('2d').getImageData(0, 0, c.width, c.height).data) s += v; return s;"
            )!;

    private static void Saved(App app) =>
        app.Until("saved", d => d.FindElement(By.CssSelector("[role='status']")).Text == "saved" ? d : null);

    private static IReadOnlyList<string> Findings(App app) =>
        app
            .Browser.FindElements(By.CssSelector("article"))
            .Select(a => a.GetAttribute("aria-label") ?? string.Empty)
            .ToArray();

    private static string Level(App app, string panel) =>
        app.Browser.FindElement(By.CssSelector($"[role='button'][aria-label^='{panel}']")).GetAttribute("aria-label")!
        + app.Browser.FindElement(By.CssSelector("[aria-label='Panel settings']")).Text;

    private static double Value(App app, string handle)
    {
        var slider = app
            .Browser.FindElements(By.CssSelector($"[role='slider'][aria-label^='{handle}']"))
            .FirstOrDefault();
        return double.Parse(slider?.GetAttribute("aria-valuenow") ?? "-1", CultureInfo.InvariantCulture);
    }
}
