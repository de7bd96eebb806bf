using OpenQA.Selenium;

namespace Wendro.Browser.Tests;

/// <summary>A visit of more than one process: planned, looked at step by step, mixed, undone.</summary>
public sealed class StepsTests(App app) : IClassFixture<App>
{
    private const string Client = "Petronel Askvane";

    [Fact]
    public void A_base_and_a_gloss_about_the_light_are_planned_mixed_and_undone()
    {
        app.Begin();
        app.Visit(Client, "paint");
        app.Find("the head", By.CssSelector("canvas[data-drawn]"));
        Assert.Empty(Steps());

        // One tap each; the visit of one process showed none of it.
        Add("Root base, then rinse");
        app.Until("base and light", _ => Steps() is ["1 Base", "2 Lighten"] ? "yes" : null);
        app.Until("seen where it came", _ => IsInSight("ol[aria-label='Steps of the visit']") ? "yes" : null);
        Add("Gloss over all");
        app.Until("gloss last", _ => Steps() is ["1 Base", "2 Lighten", "3 Gloss"] ? "yes" : null);

        // Each step is looked at when it is done.
        foreach (var step in new[] { "Base", "Lighten", "Rinsed" })
        {
            app.Button(step).Click();
            app.Until(step, d => d.FindElement(By.XPath($"//button[.='{step}'][@aria-pressed='true']")));
        }

        // What can't be is refused and not shown as if it stood. The base reaches lower.
        OpenStep(0);
        app.Named("spinbutton", "Look from").SendKeys("100" + Keys.Tab);
        app.Find("refused", By.XPath("//*[contains(text(), 'Not after its 25 minutes.')]"));
        app.Until(
            "nothing stands there",
            _ => app.Named("spinbutton", "Look from").GetDomProperty("value") == "" ? "yes" : null
        );
        var to = app.Find("where it ends", By.CssSelector("[role='spinbutton'][aria-label='To']"));
        to.SendKeys(Keys.Control + "a");
        to.SendKeys("6" + Keys.Tab);
        Reaches("root to 6 cm");
        app.Browser.FindElement(By.TagName("body")).SendKeys(Keys.Escape);

        // What is painted on panels can be held to a time, too.
        OpenStep(1);
        app.Find("its time", By.CssSelector("[aria-label^='Step 2 '] [role='spinbutton'][aria-label='Done by']"))
            .SendKeys("60" + Keys.Tab);
        Reaches("done by 60 min");
        app.Browser.FindElement(By.TagName("body")).SendKeys(Keys.Escape);

        // Three formulas, three steps on the clock, the gloss after two rinses.
        app.Visit(Client, "mix");
        app.Find(
            "the base among the formulas",
            By.XPath("//article[starts-with(@aria-label, 'Formula')][contains(., 'base, root to 6 cm')]")
        );
        var clock = app.Find("steps on the clock", By.CssSelector("ol[aria-label='Steps on the clock']"));
        Assert.Equal(3, clock.FindElements(By.TagName("li")).Count);
        Assert.Equal(2, app.Browser.FindElements(By.XPath("//*[name()='text'][.='rinse, dry, read']")).Count);

        // All of it is undone: reach, gloss, base.
        app.Visit(Client, "paint");
        app.Until("three steps", _ => Steps().Length == 3 ? "yes" : null);
        app.Button("Undo").Click();
        app.Until(
            "held to no time",
            d =>
                d.FindElements(By.XPath("//ol[@aria-label='Steps of the visit'][contains(., 'done by')]")).Count == 0
                    ? d
                    : null
        );
        app.Button("Undo").Click();
        Reaches("root to 4 cm");
        foreach (var left in new[] { 2, 0 })
        {
            app.Button("Undo").Click();
            app.Until($"{left} steps", _ => Steps().Length == left ? "yes" : null);
        }

        Assert.DoesNotContain(app.ConsoleErrors, e => !e.Contains("400", StringComparison.Ordinal));
    }

    [Fact]
    public void A_visit_that_begins_with_a_base_is_begun_at_the_chair_and_the_base_is_timed()
    {
        app.Begin();
        app.Visit("Tindra Okelunde", "paint");
        app.Find("the head", By.CssSelector("canvas[data-drawn]"));
        Add("Root base, then rinse");
        app.Until("base and light", _ => Steps() is ["1 Base", "2 Lighten"] ? "yes" : null);
        app.Visit("Tindra Okelunde", "apply");
        app.Find("what comes first", By.XPath("//p[contains(., '2 steps, first base, root to 4 cm')]"));
        foreach (
            var tap in new[] { "Client in the chair", "Part is set", "Combed", "Bowl 1 is mixed", "All of it is on" }
        )
        {
            app.Until(tap, _ => app.Button(tap) is { Enabled: true } b ? b : null).Click();
        }

        app.Find("its timer", By.CssSelector("[role='timer'][aria-label='Rinse: base, root to 4 cm in']"));
        app.Find("when it is rinsed", By.XPath("//h2[starts-with(., 'Rinse at ')]"));
        foreach (var tap in new[] { "Begin the rinse", "Wave rinsed", "Washed and read" })
        {
            app.Until(tap, _ => app.Button(tap) is { Enabled: true } b ? b : null).Click();
        }

        app.Find("the light is next", By.XPath("//p[contains(., '✓ base, root to 4 cm')][contains(., '▸ lighten')]"));
        Assert.Empty(app.ConsoleErrors);
    }

    [Fact]
    public void What_is_advised_is_laid_by_one_tap_and_undone_by_one()
    {
        app.Begin();
        app.Visit("Maelis Thornby", "consult");
        app.Button("Start from Quiet in the dark").Click();
        app.Find("its zones", By.CssSelector("[aria-label='Zone settings']"));
        Assert.EndsWith("/section", app.Browser.Url, StringComparison.Ordinal);
        app.Until("it can be undone", _ => app.Button("Undo").Enabled ? "yes" : null);
        app.Button("Undo").Click();
        app.Until("all as before", _ => app.Button("Undo").Enabled ? null : "yes");
        Assert.Empty(app.ConsoleErrors);
    }

    private void Reaches(string words) =>
        app.Until(
            words,
            d =>
                d.FindElements(By.XPath($"//ol[@aria-label='Steps of the visit']//*[contains(., '{words}')]"))
                    .FirstOrDefault()
        );

    private string[] Steps() =>
        app
            .Browser.FindElements(By.CssSelector("ol[aria-label='Steps of the visit'] button b"))
            .Select(b => b.Text)
            .ToArray();

    private void OpenStep(int number) =>
        app.Until(
            "the step's sheet",
            d =>
            {
                if (
                    d.FindElements(By.CssSelector($"[role='group'][aria-label^='Step {number + 1} ']"))
                        .FirstOrDefault() is
                    { } sheet
                )
                {
                    return sheet;
                }

                d.FindElements(By.CssSelector("ol[aria-label='Steps of the visit'] button"))[number].Click();
                return null;
            }
        );

    /// <summary>Whether its first corner lies open, not scrolled away.</summary>
    private bool IsInSight(string selector) =>
        (bool)
            app.Browser.ExecuteScript(
                """
                const found = document.querySelector(arguments[0]);
                const { left, top } = found.getBoundingClientRect();
                return found.contains(document.elementFromPoint(left + 8, top + 8));
                """,
                selector
            )!;

    private void Add(string words)
    {
        app.Button("Add a step…").Click();
        app.Click(words, By.XPath($"//li[@role='menuitem'][normalize-space(.)='{words}']"));
    }
}
