using System.Globalization;
using OpenQA.Selenium;
using OpenQA.Selenium.Interactions;

namespace Wendro.Browser.Tests;

/// <summary>Dividing a head through the real page.</summary>
public sealed class SectionTests(App app) : IClassFixture<App>
{
    [Fact]
    public void A_pattern_is_laid_sizes_dragged_a_region_left_out_the_order_changed_and_all_taken_back()
    {
        app.Begin();
        Open(app, "Maelis Thornby");
        var panels = Panels(app);

        // A pattern, in one step.
        app.Button("Start from a pattern").Click();
        app.Until(
            "the patterns",
            d => d.FindElements(By.CssSelector("[aria-label='Patterns'] > li")).Count == 21 ? d : null
        );
        app.Button("Use pattern Broken lines").Click();
        app.Until(
            "quadrants",
            d =>
                d.FindElements(By.XPath("//*[@aria-label='Left out']//li[contains(., 'veil at the part')]"))
                    .FirstOrDefault()
        );
        Saved(app);
        Assert.NotEqual(panels, Panels(app));
        // The working order is asked for anew, and comes when it does.
        app.Until(
            "the nape left out",
            d =>
                d.FindElements(
                        By.XPath(
                            "//ol[@aria-label='Working order']//li[contains(., 'Nape') and contains(., 'left out')]"
                        )
                    )
                    .FirstOrDefault()
        );

        // Undo brings all of it back at once.
        app.Button("Undo").Click();
        app.Until("the old panels", _ => Panels(app) == panels ? "yes" : null);
        Saved(app);

        // Thickness by its handle on the map: dragged, thicker makes fewer panels, thinner more; by key, one millimetre.
        var thick = Value(app, "Thickness on the map");
        new Actions(app.Browser)
            .MoveToElement(app.Named("slider", "Thickness on the map"))
            .ClickAndHold()
            .MoveByOffset(8, -4)
            .MoveByOffset(8, -4)
            .Release()
            .Perform();
        app.Until("another thickness", _ => Value(app, "Thickness on the map") != thick ? "yes" : null);
        var thicker = Value(app, "Thickness on the map") > thick;
        app.Until("fewer panels, or more", _ => (thicker ? Panels(app) < panels : Panels(app) > panels) ? "yes" : null);
        Saved(app);
        thick = Value(app, "Thickness on the map");
        app.Named("slider", "Thickness on the map").SendKeys(Keys.ArrowDown);
        app.Until("a millimetre less", _ => Value(app, "Thickness on the map") == thick - 1 ? "yes" : null);
        Saved(app);

        // The part by key: her right gets heavier, and is offered more.
        app.Named("slider", "Part at the hairline").SendKeys(Keys.ArrowUp + Keys.ArrowUp);
        app.Until("the part moved", _ => Value(app, "Part at the hairline") >= 0.5 ? "yes" : null);
        Saved(app);
        for (var part = Value(app, "Part at the hairline"); part < 2; part = Value(app, "Part at the hairline"))
        {
            app.Named("slider", "Part at the hairline").SendKeys(Keys.ArrowUp);
            app.Until("the part further", _ => Value(app, "Part at the hairline") > part ? "yes" : null);
            Saved(app);
        }

        app.Button("More pieces right").Click();
        app.Until(
            "no more to offer",
            d => d.FindElements(By.XPath("//button[normalize-space(.)='More pieces right']")).Count == 0 ? d : null
        );
        Saved(app);

        // A region left out with its reason, and taken in again.
        app.Button("Leave a region out…").Click();
        app.Find("why", By.CssSelector("input[aria-label='Why the region is left out']"))
            .SendKeys("falls over everything");
        app.Button("Leave it out").Click();
        app.Until(
            "the veil",
            d =>
                d.FindElements(By.XPath("//*[@aria-label='Left out']//li[contains(., 'falls over everything')]"))
                    .FirstOrDefault()
        );
        Saved(app);

        // The order of work.
        app.Click("the nape later", By.CssSelector("button[aria-label='Nape later']"));
        app.Until(
            "the nape second",
            d =>
                d.FindElements(By.CssSelector("ol[aria-label='Working order'] li"))
                    .ElementAtOrDefault(1)
                    ?.Text.Contains("Nape", StringComparison.Ordinal) == true
                    ? d
                    : null
        );
        Saved(app);

        // All of it is there after a power cut.
        app.KillAndRestart();
        app.Browser.Navigate().Refresh();
        app.Until(
            "the nape second",
            d =>
                d.FindElements(By.CssSelector("ol[aria-label='Working order'] li"))
                    .ElementAtOrDefault(1)
                    ?.Text.Contains("Nape", StringComparison.Ordinal) == true
                    ? d
                    : null
        );
        app.Find("the veil", By.XPath("//*[@aria-label='Left out']//li[contains(., 'falls over everything')]"));
        Assert.Empty(app.ConsoleErrors);
    }

    [Fact]
    public void House_rules_are_set_and_a_studios_own_pattern_is_kept()
    {
        app.Begin();
        app.Browser.Navigate().GoToUrl(app.Address);
        app.Until(
                    "the house rules ready",
                    d =>
                        d.FindElements(By.XPath("//button[normalize-space(.)='House rules']"))
                            .FirstOrDefault(b => b.Enabled)
                )!
            .Click();
        app.Click("below the ridge", By.XPath("//*[@aria-label='House rules']//summary[. = 'Below the ridge']"));
        var thickness = app.Find(
            "thickness below the ridge",
            By.CssSelector("[aria-label='House rules'] input[aria-label='Thickness below']")
        );
        thickness.SendKeys(Keys.Control + "a");
        thickness.SendKeys("8" + Keys.Tab);
        app.Button("Keep").Click();
        app.Until(
            "kept",
            d =>
                d.FindElements(By.CssSelector(".ant-message"))
                    .FirstOrDefault(m => m.Text.Contains("Kept", StringComparison.Ordinal))
        );

        app.Button("New client").Click();
        app.Find("her name", By.CssSelector("input[aria-label='Name']")).SendKeys("Sunniva Quay");
        app.Button("Begin").Click();
        app.Click("Section", By.XPath("//nav//a[contains(., 'Section')]"));
        app.Until(
            "the house's thickness",
            d =>
                d.FindElements(By.CssSelector("input[aria-label='Section thickness']"))
                    .FirstOrDefault()
                    ?.GetAttribute("value") == "8"
                    ? d
                    : null
        );

        app.Button("Keep as a pattern…").Click();
        app.Find("its name", By.CssSelector("input[aria-label='Name of the pattern']")).SendKeys("Ours");
        app.Find("what for", By.CssSelector("input[aria-label='What it is for']")).SendKeys("thin all over");
        app.Button("Keep").Click();
        app.Until(
            "kept",
            d =>
                d.FindElements(By.CssSelector(".ant-message"))
                    .FirstOrDefault(m => m.Text.Contains("Ours is kept", StringComparison.Ordinal))
        );
        Open(app, "Maelis Thornby");
        app.Button("Start from a pattern").Click();
        app.Until(
            "ours first",
            d =>
                d.FindElements(By.CssSelector("[aria-label='Patterns'] > li"))
                    .FirstOrDefault()
                    ?.Text.Contains("Ours", StringComparison.Ordinal) == true
                    ? d
                    : null
        );
        app.Button("Forget Ours").Click();
        app.Until(
            "ours is gone",
            d => d.FindElements(By.CssSelector("[aria-label='Patterns'] > li")).Count == 21 ? d : null
        );
        Assert.Empty(app.ConsoleErrors);
    }

    private static void Open(App app, string client)
    {
        app.Visit(client, "section");
        app.Find("working order", By.CssSelector("ol[aria-label='Working order'] li"));
    }

    private static int Panels(App app) =>
        app.Browser.FindElements(By.CssSelector("[aria-label='Crown map'] path[role='button']")).Count;

    private static double Value(App app, string handle) =>
        double.Parse(app.Named("slider", handle).GetAttribute("aria-valuenow") ?? "-99", CultureInfo.InvariantCulture);

    private static void Saved(App app) =>
        app.Until("saved", d => d.FindElement(By.CssSelector("[role='status']")).Text == "saved" ? d : null);
}
