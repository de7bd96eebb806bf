using System.Globalization;
using OpenQA.Selenium;
using OpenQA.Selenium.Interactions;

namespace Wendro.Browser.Tests;

/// <summary>The whole of Section and Paint without a pointer.</summary>
public sealed class KeyboardTests(App app) : IClassFixture<App>
{
    [Fact]
    public void A_panel_is_picked_painted_mended_and_undone_with_keys_alone()
    {
        app.Begin();
        app.Browser.Navigate().GoToUrl(app.Address);
        app.Find("the day", By.XPath("//a[contains(., 'Perrin Askew')]"));
        TabTo(app, "Perrin Askew");
        Press(app, Keys.Enter);
        app.Until(
            "the head drawn",
            d =>
                d.FindElements(By.CssSelector("canvas[aria-label^='The head'][aria-busy='false'][data-drawn]"))
                    .FirstOrDefault()
        );

        // Turn her.
        TabTo(app, "The head");
        Press(app, Keys.ArrowRight);
        app.Until("her turned", _ => Focused(app).Contains("towards", StringComparison.Ordinal) ? "yes" : null);

        // Walk over the map: one stop for all panels, arrows within it.
        TabTo(app, ", row ");
        var first = Focused(app);
        Press(app, Keys.ArrowRight);
        app.Until(
            "another panel",
            _ => Focused(app) != first && Focused(app).Contains(", row ", StringComparison.Ordinal) ? "yes" : null
        );

        // Natural, then V, by its own keys.
        TabTo(app, "Shape:");
        Press(app, Keys.Enter);
        app.Until(
            "a shape to choose",
            d => d.FindElements(By.CssSelector("[aria-label='Shape'] [role='radio']:focus")).FirstOrDefault()
        );
        TabTo(app, "Full");
        Press(app, Keys.Enter);
        Saved(app);
        TabTo(app, "Start");
        var before = Start(app);
        Press(app, Keys.ArrowDown);
        app.Until("the start lower", _ => Start(app) > before ? "yes" : null);
        Saved(app);

        // The first finding is mended and undone.
        app.Until(
            "the fixes",
            d =>
                d.FindElements(By.CssSelector("[aria-label='Second look'] [aria-busy='false'] .ant-btn-primary")).Count
                > 0
                    ? d
                    : null
        );
        TabTo(app, "Show");
        var findings = Findings(app);
        Press(app, Keys.Tab);
        Press(app, Keys.Enter);
        app.Until("the fix tried out", _ => Focused(app) == "Keep" ? "yes" : null);
        Press(app, Keys.Enter);
        app.Until("something to change", _ => Findings(app) != findings ? "yes" : null);
        Saved(app);
        Press(app, Keys.Control + "z");
        app.Until("all as it was", _ => Findings(app) == findings ? "yes" : null);
        Assert.Empty(app.ConsoleErrors);
    }

    [Fact]
    public void A_new_client_is_consulted_and_divided_with_keys_alone()
    {
        app.Begin();
        app.Browser.Navigate().GoToUrl(app.Address);
        app.Find("the day", By.XPath("//a[contains(., 'Perrin Askew')]"));
        TabTo(app, "New client");
        Press(app, Keys.Enter);
        app.Until("the name", _ => Focused(app) == "Name" ? "yes" : null);
        Press(app, "Runa of the keys" + Keys.Enter);

        // Her hair: level by typing, curl by its picture.
        app.Find("the verdict", By.CssSelector("[aria-label='Verdict']"));
        TabTo(app, "Natural level");
        Press(app, Keys.Control + "a");
        Press(app, "4" + Keys.Tab);
        Answered(app);
        TabTo(app, "curly");
        Press(app, Keys.Enter);
        app.Until(
            "curly",
            d =>
                d.FindElements(By.CssSelector("[role='radio'][aria-label='curly'][aria-checked='true']"))
                    .FirstOrDefault()
        );
        Answered(app);

        // What she wants, and the line across her head.
        TabTo(app, "Ends");
        Press(app, Keys.ArrowRight);
        app.Until(
            "level 8.5",
            d =>
                d.FindElements(By.CssSelector("[role='slider'][aria-label='Ends'][aria-valuenow='8.5']"))
                    .FirstOrDefault()
        );
        TabTo(app, "Between As it is");
        Press(app, Keys.ArrowLeft);

        // On to Section; a pattern is laid, the part moved, a zone worked later.
        TabTo(app, "Section");
        Press(app, Keys.Enter);
        app.Find("working order", By.CssSelector("ol[aria-label='Working order'] li"));
        TabTo(app, "Part at the hairline");
        Press(app, Keys.ArrowUp);
        app.Until(
            "the part moved",
            d =>
                d.FindElements(
                        By.CssSelector("[role='slider'][aria-label='Part at the hairline'][aria-valuenow='0.5']")
                    )
                    .FirstOrDefault()
        );
        Saved(app);
        TabTo(app, "Nape later");
        Press(app, Keys.Enter);
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
        TabTo(app, "Start from a pattern");
        Press(app, Keys.Enter);
        app.Until(
            "the patterns",
            d => d.FindElements(By.CssSelector("[aria-label='Patterns'] > li")).Count == 21 ? d : null
        );
        TabTo(app, "Use pattern Sun on the curls");
        Press(app, Keys.Enter);
        app.Until(
            "three tiers",
            d =>
                d.FindElements(
                        By.XPath(
                            "//*[@aria-label='Working order']//*[contains(@class, 'select')][contains(., 'three tiers')]"
                        )
                    )
                    .FirstOrDefault()
        );
        Saved(app);
        Assert.Empty(app.ConsoleErrors);
    }

    private static void Answered(App app) =>
        app.Until(
            "the answers kept",
            d => d.FindElement(By.CssSelector("[role='status'][aria-label='Consultation']")).Text == "saved" ? d : null
        );

    private static void TabTo(App app, string what)
    {
        for (var k = 0; k < 200; k++)
        {
            if (Focused(app).Contains(what, StringComparison.Ordinal))
            {
                return;
            }

            Press(app, Keys.Tab);
        }

        Assert.Fail($"{what} can't be reached with the Tab key.");
    }

    private static string Focused(App app) =>
        (string)
            app.Browser.ExecuteScript(
                "const e = document.activeElement; return (e?.getAttribute('aria-label') || (e === document.body ? '' : e?.textContent) || '').trim();"
            )!;

    private static void Press(App app, string keys)
    {
        var actions = new Actions(app.Browser);
        if (keys.Length > 1 && keys.StartsWith(Keys.Control, StringComparison.Ordinal))
        {
            actions.KeyDown(Keys.Control).SendKeys(keys[1..]).KeyUp(Keys.Control).Perform();
        }
        else
        {
            actions.SendKeys(keys).Perform();
        }
    }

    private static string Findings(App app) =>
        string.Join('|', app.Browser.FindElements(By.CssSelector("article")).Select(a => a.GetAttribute("aria-label")));

    private static double Start(App app) =>
        double.Parse(
            app.Browser.FindElement(By.CssSelector("[role='slider'][aria-label^='Start']"))
                .GetAttribute("aria-valuenow")!,
            CultureInfo.InvariantCulture
        );

    private static void Saved(App app) =>
        app.Until("saved", d => d.FindElement(By.CssSelector("[role='status']")).Text == "saved" ? d : null);
}
