using OpenQA.Selenium;

namespace Wendro.Browser.Tests;

/// <summary>What came out is toned: areas chosen, forecast, mended, put on, watched and rinsed.</summary>
public sealed class ToneTests(App app) : IClassFixture<App>
{
    private const string Client = "Maelis Thornby";

    [Fact]
    public void A_head_is_toned_in_areas_watched_to_the_minute_and_all_is_there_after_a_power_cut()
    {
        app.Begin();
        app.Visit(Client, "tone");
        app.Find("nothing yet", By.XPath("//h2[.='Nothing is chosen yet.']"));
        app.Button("Lengths, then the face alone").Click();
        Areas("Ends", "Face");
        app.Find("raw, toned, wanted", By.XPath("//section[@aria-label='Ends'][contains(., 'of the warmth taken')]"));
        app.Find("said honestly", By.XPath("//p[contains(., 'Nothing was read at the review')]"));
        app.Find("the wipe", By.CssSelector("[role='slider'][aria-label='Between raw and toned']"));

        // The nearest from the shelf is taken; another minute is kept at once.
        var offer = app.Find("an offer", By.CssSelector("section[aria-label='Nearest from your shelf'] button"));
        Assert.Equal("13", WrittenOver(offer.Click, "Minutes", "99"));
        app.Find("too long", By.XPath("//label[contains(., 'Minutes')]//*[@role='alert'][.='1 to 60 min, not 99']"));
        Set("Minutes", "6");
        app.Find("six minutes", By.XPath("//button[starts-with(., 'Face')][contains(., ', 6 min')]"));

        // Weighed like any bowl, and the whole way kept as ours.
        app.Button("Weigh…").Click();
        app.Find("on the scale", By.XPath("//*[@role='dialog'][contains(., 'Weigh Face')][contains(., 'Bowl, tare')]"));
        app.Click("closed", By.CssSelector("[role='dialog'] button[aria-label='Close']"));
        app.Button("Keep as ours…").Click();
        app.Find("its name", By.CssSelector("input[aria-label='Called, as ours']")).SendKeys("Lengths and face");
        app.Button("Keep").Click();
        app.Find("kept", By.XPath("//*[@role='status'][contains(., 'Kept as Lengths and face')]"));

        // A fourth area, renamed, then left away.
        app.Button("Add an area…").Click();
        app.Click("root", By.XPath("//li[@role='menuitem'][normalize-space(.)='Root']"));
        Areas("Ends", "Face", "Root");
        app.Button("Remove").Click();
        Areas("Ends", "Face");

        // Put on one after another; what is on can't be changed but for its minutes.
        Press("//button[starts-with(., 'Put on Ends')]");
        app.Find("working", By.XPath("//*[@role='group'][@aria-label='Ends'][contains(., 'on ')]"));
        Press("//button[starts-with(., 'Put on Face')]");
        Press("//button[.='Undo last']");
        app.Find("the face is not on", By.XPath("//button[starts-with(., 'Put on Face')]"));
        app.Click("ends", By.XPath("//ol/li/button[starts-with(., 'Ends')]"));
        app.Find("only its minutes", By.CssSelector("[role='group'][aria-label='Settings of Ends']"));
        Assert.Empty(app.Browser.FindElements(By.CssSelector("[aria-label='Settings of Ends'] [aria-label='Shades']")));

        app.KillAndRestart();
        app.Browser.Navigate().Refresh();
        app.Find("ends still on", By.XPath("//*[@role='group'][@aria-label='Ends'][contains(., 'on ')]"));
        Press("//*[@aria-label='Ends']//button[.='there']");
        app.Find("noted", By.XPath("//*[@aria-label='Ends']//button[@aria-pressed='true'][.='there']"));
        foreach (var area in new[] { "Face" })
        {
            Press($"//button[starts-with(., 'Put on {area}')]");
            app.Find("on", By.XPath($"//*[@role='group'][@aria-label='{area}'][contains(., 'on ')]"));
        }

        foreach (var area in new[] { "Ends", "Face" })
        {
            Press($"//*[@role='group'][@aria-label='{area}']//button[.='Rinsed']");
            app.Until(
                $"{area} is off",
                d => d.FindElements(By.XPath($"//*[@role='group'][@aria-label='{area}']")).Count == 0 ? d : null
            );
        }

        app.Find("all rinsed", By.XPath("//*[@role='status'][contains(., 'All is rinsed. Treatment next')]"));
        app.Find(
            "Tone is done",
            By.XPath("//nav[@aria-label='Stages of the visit']//a[contains(., 'Tone')][contains(., '✓')]")
        );
        Each.Of(
            app.ConsoleErrors.Append("net::ERR").ToArray(),
            e => Assert.Contains("net::ERR", e, StringComparison.Ordinal)
        );
    }

    private void Areas(params string[] names) =>
        app.Until(
            $"the areas {string.Join(", ", names)}",
            d =>
                d.FindElements(By.XPath("//ol[@aria-label='Areas in the order they are put on']/li/button/b"))
                    .Select(b => b.Text.Split(" · ")[0])
                    .SequenceEqual(names)
                    ? d
                    : null
        );

    /// <summary>Presses a button once what was said before it is kept.</summary>
    private void Press(string path) =>
        app.Until($"{path} may be pressed", d => d.FindElements(By.XPath(path)).FirstOrDefault(b => b.Enabled)).Click();

    /// <summary>Types over a field that changes at the last moment: it is chosen whole as soon as it does.</summary>
    private string? WrittenOver(Action changes, string name, string value)
    {
        app.Browser.ExecuteScript(
            """
            const held = new Promise((go) => { window.goOn = go; });
            for (const way of ["text", "json"]) {
                const read = Response.prototype[way];
                Response.prototype[way] = async function () { await held; return read.call(this); };
            }
            """
        );
        changes();
        var field = app.Named("spinbutton", name);
        field.SendKeys(Keys.Control + "a");
        var became = (string?)
            app.Browser.ExecuteAsyncScript(
                """
                const [field, done] = arguments;
                const was = field.value;
                const turns = new MessageChannel();
                turns.port1.onmessage = () => field.value === was ? turns.port2.postMessage(0)
                    : done(field.value.slice(field.selectionStart, field.selectionEnd));
                turns.port2.postMessage(0);
                window.goOn();
                """,
                field
            );
        field.SendKeys(value + Keys.Tab);
        return became;
    }

    private void Set(string name, string value)
    {
        var field = app.Named("spinbutton", name);
        field.SendKeys(Keys.Control + "a");
        field.SendKeys(value + Keys.Tab);
    }
}
