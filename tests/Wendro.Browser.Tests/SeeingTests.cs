using OpenQA.Selenium;

namespace Wendro.Browser.Tests;

/// <summary>Where one looks from: closer, turned a little, from below, pinned up; and what is shown to the client.</summary>
public sealed class SeeingTests(App app) : IClassFixture<App>
{
    private static readonly By TheHead = By.CssSelector("canvas[aria-label^='The head']");

    private string Drawn(string? otherThan = null) =>
        app.Until(
            "the head drawn",
            d =>
            {
                var head = d.FindElement(TheHead);
                var pixels =
                    head.GetAttribute("data-drawn") is null || head.GetAttribute("aria-busy") != "false"
                        ? null
                        : (string)
                            ((IJavaScriptExecutor)d).ExecuteScript(
                                "const c = arguments[0], b = c.getContext('2d').getImageData(0, 0, c.width, c.height).data;"
                                    + "let h = 0; for (let i = 0; i < b.length; i += 41) h = (h * 31 + b[i]) >>> 0; return String(h);",
                                head
                            )!;
                return pixels == otherThan ? null : pixels;
            }
        );

    [Fact]
    public void The_head_is_looked_at_closely_from_below_and_with_hair_pinned_up()
    {
        app.Begin();
        app.Visit("Ottoline Fjeldra", "paint");
        var whole = Drawn();
        app.Button("Closer").Click();
        var near = Drawn(whole);
        app.Find("the head", TheHead).SendKeys("+");
        var nearer = Drawn(near);
        app.Find("the head", TheHead).SendKeys(Keys.ArrowUp);
        var up = Drawn(nearer);

        // The panel under the finger is still found.
        app.Pointer().MoveToElement(app.Find("the head", TheHead), 40, -30).Click().Perform();
        app.Until(
            "a panel picked",
            d =>
                d.FindElements(By.CssSelector("[role='button'][aria-pressed='true'][aria-label*='level']")).Count > 0
                || d.PageSource.Contains("row ")
                    ? "yes"
                    : null
        );
        app.Button("Further away").Click();
        app.Button("Further away").Click();
        Assert.NotEqual(up, Drawn(up));
        app.Button("From above").Click();
        app.Button("From below").Click();
        app.Until(
            "below",
            d => d.FindElement(TheHead).GetAttribute("aria-label")!.Contains("from below") ? "yes" : null
        );
        app.Button("From eye height").Click();
        app.Find("the head", TheHead).SendKeys(Keys.ArrowLeft);
        app.Until(
            "fifteen degrees",
            d => d.FindElement(TheHead).GetAttribute("aria-label")!.Contains("between front and") ? "yes" : null
        );
        var hangs = Drawn();
        app.Button("Pin up").Click();
        app.Click("open back", By.XPath("//li[normalize-space(.)='Back lies open']"));
        Drawn(hangs);
        app.Button("Pinned up: back lies open");
        Assert.Empty(app.ConsoleErrors);
    }

    [Fact]
    public void The_client_is_shown_her_head_and_nothing_else()
    {
        app.Begin();
        app.Visit("Maelis Thornby", "paint");
        Drawn();
        app.Click("show", By.CssSelector("a[aria-label='Show the client']"));
        string Words() => app.Find("the caption", By.CssSelector("figcaption")).Text;
        app.Until("her head", d => d.FindElements(By.CssSelector("img[alt*='as it is']")).Count > 0 ? "yes" : null);
        var seen = new List<string> { Words() };
        for (var i = 0; i < 5; i++)
        {
            var before = Words();
            app.Button("The next picture").Click();
            app.Until("the next", _ => Words() != before ? "yes" : null);
            seen.Add(Words());
        }

        Assert.Equal(6, seen.Distinct().Count());
        Assert.Contains("As wanted", seen);
        app.Until(
            "it is drawn",
            d =>
                d.FindElements(By.CssSelector("img[aria-busy='false']")).FirstOrDefault()?.GetAttribute("naturalWidth")
                == "1040"
                    ? "yes"
                    : null
        );
        var all = app.Find("all of it", By.TagName("main")).Text;
        Assert.DoesNotContain("patch", all, StringComparison.OrdinalIgnoreCase);
        Assert.DoesNotContain("Maelis", all, StringComparison.Ordinal);
        app.Button("Close").Click();
        Drawn();
        Assert.Empty(app.ConsoleErrors);
    }
}
