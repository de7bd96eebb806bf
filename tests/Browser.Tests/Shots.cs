using OpenQA.Selenium;

namespace Wendro.Browser.Tests;

/// <summary>Takes the pictures of docs/screenshots where WENDRO_SHOTS names the folder; otherwise sees that each view opens.</summary>
public sealed class Shots
{
    [Fact]
    public void Every_main_view_opens_and_has_its_picture_taken()
    {
        using var app = new App();
        app.Browser.Navigate().GoToUrl(app.Address);
        app.Until("all pictures and glances", d =>
            d.FindElements(By.CssSelector("img")).Count == 14
            && (bool)((IJavaScriptExecutor)d).ExecuteScript("return [...document.images].every(i => i.complete && i.naturalWidth > 0)")!
            && d.FindElements(By.XPath("//*[contains(., 'Looking at the plan')]")).Count == 0
            && d.FindElements(By.XPath("//*[contains(text(), 'panels painted') or contains(., 'panels painted')]")).Count > 0
            ? d : null, seconds: 120);
        Take(app, "day");

        Open(app, "Maelis Thornby");
        Take(app, "paint");
        app.Button("Tied high").Click();
        Drawn(app, "tied high");
        Take(app, "paint-tied");

        app.Button("Compare with… ▾").Click();
        app.Click("in 12 weeks", By.XPath("//li[normalize-space(.)='in 12 weeks']"));
        app.Button("Side by side").Click();
        app.Until("two heads", d => d.FindElements(By.CssSelector("canvas[aria-label^='Her head']")).Count == 2 ? d : null);
        Take(app, "compare");
        app.Button("End comparing").Click();
        app.Button("As hair ▾").Click();
        app.Click("level map", By.XPath("//li[normalize-space(.)='Level map']"));
        app.Button("Paint pass, panel by panel").Click();
        app.Find("the pass", By.CssSelector("[aria-label='Paint pass']"));
        Take(app, "paint-pass");

        Open(app, "Ottoline Fjeldra");
        app.Button("From look to placement…").Click();
        app.Button("Search").Click();
        app.Until("three proposals", d => d.FindElements(By.CssSelector("[aria-label='From look to placement'] article")).Count == 3 ? d : null, seconds: 90);
        app.Click("compare", By.XPath("(//section[@aria-label='From look to placement']//button[.='Compare'])[1]"));
        app.Find("the line between", By.CssSelector(".wipe-line"));
        Take(app, "placements");

        Open(app, "Perrin Askew");
        app.Until("fixes", d => d.FindElements(By.CssSelector("[aria-label='Second look'] .findings[aria-busy='false'] article")).Count > 2 ? d : null, seconds: 60);
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
        app.Find("the line between", By.CssSelector("[role='slider'][aria-label='Between As it is and As she wants it']"));
        Take(app, "consult-grey");

        Open(app, "Tindra Okelunde");
        app.Click("Section", By.XPath("//nav//a[contains(., 'Section')]"));
        app.Find("zone settings", By.CssSelector("[aria-label='Zone settings']"));
        Take(app, "section");
        app.Button("Start from a pattern").Click();
        app.Until("the patterns", d => d.FindElements(By.CssSelector("[aria-label='Patterns'] > li")).Count == 21 ? d : null);
        Take(app, "patterns");
        Assert.Empty(app.ConsoleErrors);
    }

    private static void Open(App app, string client)
    {
        app.Browser.Navigate().GoToUrl(app.Address);
        app.Click(client, By.XPath($"//a[contains(., '{client}')]"));
        Drawn(app, "worn down");
    }

    private static void Drawn(App app, string wear) => app.Until($"head drawn {wear}", d =>
    {
        var head = d.FindElements(By.CssSelector("canvas[aria-label^='Her head']")).FirstOrDefault();
        return head is not null && head.GetAttribute("data-drawn") is not null && head.GetAttribute("aria-busy") == "false"
            && head.GetAttribute("aria-label")!.Contains(wear, StringComparison.Ordinal) ? head : null;
    });

    private static void Take(App app, string name)
    {
        // The glow that shows a panel fades by itself; a picture waits until the head has stopped changing.
        var last = string.Empty;
        app.Until("a quiet page", d =>
        {
            var now = ((ITakesScreenshot)d).GetScreenshot().AsBase64EncodedString;
            var quiet = now == last;
            last = now;
            return quiet ? d : null;
        });
        if (Environment.GetEnvironmentVariable("WENDRO_SHOTS") is { Length: > 0 } folder)
        {
            File.WriteAllBytes(Path.Combine(folder, $"{name}.png"), Convert.FromBase64String(last));
        }
    }
}
