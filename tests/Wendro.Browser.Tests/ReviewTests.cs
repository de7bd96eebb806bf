using OpenQA.Selenium;

namespace Wendro.Browser.Tests;

/// <summary>What came out is read at the basin, held against the plan, explained and decided.</summary>
public sealed class ReviewTests(App app) : IClassFixture<App>
{
    private const string Client = "Maelis Thornby";

    [Fact]
    public void A_head_is_walked_round_read_wet_explained_and_decided_and_all_is_there_after_a_power_cut()
    {
        app.Begin();
        app.Visit(Client, "review");
        app.Find("nothing yet", By.XPath("//h2[.='Nothing is read yet.']"));
        app.Find("what is asked first", By.XPath("//p[contains(., 'Say first how wet it is')]"));

        // The walk, ticked as it is done.
        app.Button("part from above").Click();
        app.Find("ticked", By.XPath("//button[@aria-pressed='true'][contains(., 'part from above')]"));
        app.Find("one of eight", By.XPath("//p[contains(., '1 of 8')]"));

        // Wet reads darker, and that is counted.
        Tap("wet");
        app.Button("Go on").Click();
        app.OnMap("Lower back: not read");
        Tap("ends");
        Level("5.5");
        app.Find("counted", By.XPath("//p[contains(., 'Read 5.5, counted 5.9')]"));
        app.Find("the verdict", By.XPath("//h2[starts-with(., 'As planned but for one: lower back')]"));

        // Why, in shares of what is likely.
        var causes = app.Find("causes", By.CssSelector("section[aria-label='Why it came out so'] dl")).Text;
        Assert.Contains("%", causes, StringComparison.Ordinal);

        // A second zone, as planned; patchy.
        app.OnMap("Upper back: not read");
        Tap("patchy");
        Level("6.5");
        app.Find("not even", By.XPath("//h2[contains(., 'Not even: upper back')]"));

        // Only hair that springs back may be lifted again.
        var again = By.XPath("//section[@aria-label='What now']//button[starts-with(., 'Lift ')]");
        Assert.False(app.Find("lift again", again).Enabled);
        app.Button("springs back").Click();
        app.Until("it may be", d => d.FindElement(again).Enabled ? d : null);
        app.Click("tone", By.XPath("//section[@aria-label='What now']//button[starts-with(., 'Tone as it is')]"));
        app.Find("decided", By.XPath("//button[@aria-pressed='true'][contains(., 'Tone as it is')]"));
        app.Until(
            "Review is done",
            d =>
                d.FindElements(
                        By.XPath("//nav[@aria-label='Stages of the visit']//a[contains(., 'Review')][contains(., '✓')]")
                    )
                    .FirstOrDefault()
        );

        // The head is wiped between planned and came out.
        app.Find("the wipe", By.CssSelector("[role='slider'][aria-label='Between planned and came out']"));

        app.KillAndRestart();
        app.Browser.Navigate().Refresh();
        app.Find("the verdict again", By.XPath("//h2[starts-with(., 'As planned but for one: lower back')]"));
        app.Find("decided still", By.XPath("//button[@aria-pressed='true'][contains(., 'Tone as it is')]"));
        Each.Of(
            app.ConsoleErrors.Append("net::ERR").ToArray(),
            e => Assert.Contains("net::ERR", e, StringComparison.Ordinal)
        );
    }

    [Fact]
    public void Readings_written_down_elsewhere_are_looked_at_before_they_are_taken_in()
    {
        app.Begin();
        app.Visit("Odalys Renn", "review");
        Tap("dry");
        app.Button("Go on").Click();
        var file = app.Beside("readings.csv");
        File.WriteAllText(file, "zone,depth,read\nnape,ends,6\nnape,tips,6\n");
        Send(file);
        app.Find("row and column", By.XPath("//li[contains(., 'row 3, depth')]"));
        app.Button("Leave").Click();
        app.Until(
            "the sheet is away",
            d => d.FindElements(By.CssSelector(".ant-modal")).All(m => !m.Displayed) ? d : null
        );
        File.WriteAllText(file, "zone,depth,read\nnape,ends,6\nlowerBack,ends,6.5\n");
        Send(file);
        app.Find("what is new", By.XPath("//li[.='Lower back, ends: 6.5']"));
        app.Button("Import it").Click();
        app.OnMap("Lower back: ");
        app.Find("counted", By.XPath("//p[contains(., 'Read 6.5, counted 6.5')]"));
        Assert.DoesNotContain(app.ConsoleErrors, e => !e.Contains("400", StringComparison.Ordinal));
    }

    private void Send(string file) =>
        app.Browser.FindElement(By.CssSelector("input[aria-label='CSV file']")).SendKeys(file);

    private void Tap(string words) =>
        app.Click(words, By.XPath($"//button[@role='radio'][starts-with(normalize-space(.), '{words}')]"));

    private void Level(string level)
    {
        app.Named("radio", $"Level {level}").Click();
        app.Until(
            $"level {level} is read",
            d =>
                d.FindElements(By.CssSelector($"[role='radio'][aria-label='Level {level}'][aria-checked='true']"))
                    .FirstOrDefault()
        );
    }
}
