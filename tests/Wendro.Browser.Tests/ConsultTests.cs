using OpenQA.Selenium;

namespace Wendro.Browser.Tests;

/// <summary>The consultation through the real page.</summary>
public sealed class ConsultTests(App app) : IClassFixture<App>
{
    [Fact]
    public void A_strand_is_told_a_reading_noted_a_stop_stops_and_all_is_there_again()
    {
        app.Begin();
        app.Visit("Ottoline Fjeldra", "consult");
        app.Find("a verdict", By.CssSelector("[aria-label='Verdict']"));

        // Her ends are old colour: the verdict changes, the strand shows two bands.
        app.Button("Band 1, 0–54 cm").Click();
        app.Button("Split in two").Click();
        app.Click("the second band", By.CssSelector("button[aria-label='Band 2, 27–54 cm']"));
        app.Click("coloured", By.XPath("//*[@aria-label='What was done']//label[contains(., 'coloured')]"));
        app.Until(
            "the old colour in the reasons",
            d =>
                d.FindElements(By.XPath("//*[@aria-label='Can it be done']//p[contains(., 'Old colour')]"))
                    .FirstOrDefault()
        );
        Saved(app);
        app.Browser.FindElement(By.TagName("body")).SendKeys(Keys.Escape);

        // The boundary is moved with keys.
        app.Named("slider", "Boundary 1").SendKeys(Keys.ArrowUp);
        app.Until(
            "the boundary higher",
            d =>
                d.FindElements(By.CssSelector("[role='slider'][aria-label='Boundary 1'][aria-valuenow='26.5']"))
                    .FirstOrDefault()
        );
        Saved(app);

        // A reading bends the curve.
        var forecast = Forecast(app);
        app.Button("Add a reading").Click();
        app.Button("Note it").Click();
        app.Until("another forecast", _ => Forecast(app) != forecast ? "yes" : null);
        Saved(app);

        // Henna: not today, and nothing can be painted.
        app.Button("Metallic salts, henna not asked").Click();
        app.Click("yes", By.XPath("//*[@aria-label='Metallic salts or henna']//label[contains(., 'yes')]"));
        app.Until("not today", _ => Verdict(app) == "Not today." ? "yes" : null);
        Saved(app);
        app.Click("Paint", By.XPath("//nav//a[contains(., 'Paint')]"));
        app.Until(
            "the stop beside the plan",
            d =>
                d.FindElements(By.CssSelector("[aria-label='Care']"))
                    .FirstOrDefault(c => c.Text.Contains("Stop.", StringComparison.Ordinal))
        );
        app.Shape("Full");
        app.Until(
            "the refusal",
            d =>
                d.FindElements(By.CssSelector(".ant-message"))
                    .FirstOrDefault(m => m.Text.Contains("henna", StringComparison.Ordinal))
        );

        // All of it is there after a power cut.
        app.KillAndRestart();
        app.Click("Consult", By.XPath("//nav//a[contains(., 'Consult')]"));
        app.Browser.Navigate().Refresh();
        app.Until("not today", _ => Verdict(app) == "Not today." ? "yes" : null);
        app.Find("the bands", By.CssSelector("button[aria-label='Band 2, 26.5–54 cm']"));

        // The browser itself notes the refused edit, and what it asked while the power was off; nothing else went wrong.
        var errors = app.ConsoleErrors;
        Assert.Contains(errors, e => e.Contains("409", StringComparison.Ordinal));
        Each.Of(errors, e => Assert.Matches("409|net::ERR", e));
    }

    [Fact]
    public void Marks_zones_and_the_goal_move_her_head()
    {
        app.Begin();
        app.Visit("Maelis Thornby", "consult");
        app.Find("the line between", By.CssSelector("[role='slider'][aria-label='Between As it is and As wanted']"));
        long Pixels() =>
            (long)
                app.Browser.ExecuteScript(
                    "const c = document.querySelector(\"canvas[aria-label^='The head']\"); let s = 0; for (const v of c.getContext('2d').getImageData(0, 0, c.width, c.height).data) s += v; return s;"
                )!;

        // The line is moved with keys: more of the wish, lighter.
        var half = Pixels();
        for (var k = 0; k < 6; k++)
        {
            app.Named("slider", "Between As it is and As wanted").SendKeys(Keys.ArrowLeft);
        }

        app.Until("more of the wish", _ => Pixels() > half ? "yes" : null);

        // Less light wanted: darker.
        var light = Pixels();
        for (var k = 0; k < 4; k++)
        {
            app.Named("slider", "Ends").SendKeys(Keys.ArrowLeft);
        }

        app.Until("a darker look", _ => Pixels() < light ? "yes" : null);

        // A swirl is marked with keys, and moved by its numbers.
        app.Button("+ mark a place").Click();
        app.Find("swirl", By.XPath("//*[@aria-label='What to mark']//button[contains(., 'swirl')]"))
            .SendKeys(Keys.Enter);
        app.Find("its reach", By.CssSelector("[role='slider'][aria-label='Reach of swirl 1']"));
        Saved(app);
        app.Click("elsewhere", By.XPath("//h2[.='Can it be done']"));

        // The nape is darker than the rest.
        app.Click("differs by zone", By.XPath("//button[normalize-space(.)='nowhere']"));
        var level = app.Find("natural level there", By.CssSelector("input[aria-label='Natural level there']"));
        level.SendKeys("2" + Keys.Tab);
        app.Until(
            "the nape named",
            d => d.FindElements(By.XPath("//button[normalize-space(.)='nape']")).FirstOrDefault()
        );
        Saved(app);
        app.Click("elsewhere", By.XPath("//h2[.='Can it be done']"));

        // She came before: the strand grows.
        app.Click("grown since", By.XPath("//button[normalize-space(.)='Grown since…']"));
        app.Button("Let it grow").Click();
        Saved(app);
        Assert.Empty(app.ConsoleErrors);
    }

    private static string Verdict(App app) => app.Find("the verdict", By.CssSelector("[aria-label='Verdict']")).Text;

    private static string Forecast(App app) =>
        app.Find("the curve", By.CssSelector("svg[aria-label^='Forecast']")).GetAttribute("aria-label")!;

    private static void Saved(App app) =>
        app.Until(
            "saved",
            d => d.FindElement(By.CssSelector("[role='status'][aria-label='Consultation']")).Text == "saved" ? d : null
        );
}
