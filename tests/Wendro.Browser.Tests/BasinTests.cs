using System.Globalization;
using System.Text.Json.Nodes;
using OpenQA.Selenium;
using OpenQA.Selenium.Interactions;

namespace Wendro.Browser.Tests;

/// <summary>
/// The second half of a visit: rinsed, read, one zone from a photograph, explained, lifted again, read anew, toned.
/// </summary>
public sealed class BasinTests(App app) : IClassFixture<App>
{
    private const string Client = "Wiltrud Esperdam";
    private double minute;

    [Fact]
    public void A_head_is_read_lifted_again_where_it_is_short_read_anew_and_toned_in_three_areas()
    {
        app.Begin();
        var visit = app.VisitOf(Client);
        app.Post(
            $"visits/{visit}/plan/edits",
            """
            {"baseRevision":1,"edit":{"kind":"together","edits":[
            {"kind":"cutZone","zone":"lowerBack","parting":"horizontal","thicknessMm":26,"widthCm":8,"leaveOutMm":8,"bricklay":false},
            {"kind":"paintZone","zone":"lowerBack","paint":{"shape":"v","startCm":3,"dropCm":2,"blurCm":4}}]}}
            """
        );
        foreach (
            var fact in new[]
            {
                """{"kind":"seated"}""",
                """{"kind":"prepared","what":"partSet"}""",
                """{"kind":"prepared","what":"combed"}""",
                """{"kind":"mixed","formula":"A","ordinal":1}""",
            }
        )
        {
            app.Say(visit, "apply", fact);
        }

        Serve(visit, painted: 0);

        // Read: the ends from a photograph, by the grey card beside the hair.
        var planned = Planned(visit, 2);
        app.Visit(Client, "review");
        Tap("dry");
        app.Button("Go on").Click();
        app.OnMap("Lower back: not read");
        Tap("ends");
        var photograph = app.Beside("photograph.png");
        TestPicture.Write(photograph, Colour(visit, planned - 1));
        app.Button("From a photograph…").Click();
        // What chooses a file is hidden behind its button.
        app.Until(
                "the file",
                d => d.FindElements(By.CssSelector("input[type='file'][aria-label='Photograph file']")).FirstOrDefault()
            )
            .SendKeys(photograph);
        PointAt("Tap what is neutral", 0.85);
        PointAt("Tap the hair", 0.3);
        var keep = app.Find("what was read", By.XPath("//button[starts-with(., 'Keep ')]"));
        var read = double.Parse(keep.Text.Split(' ')[1], CultureInfo.InvariantCulture);
        Assert.InRange(read, planned - 1.8, planned - 0.5);
        keep.Click();
        app.Find("it counts, with its range", By.XPath("//p[contains(., 'Read ') and contains(., 'Give or take')]"));
        app.Find("why", By.CssSelector("section[aria-label='Why it came out so'] dl"));

        // What is wrong is marked at its place, and what is to be remembered is said.
        app.Click("marking", By.XPath("//summary[starts-with(., 'Mark')]"));
        app.Button("● spot").Click();
        app.OnMap("Lower back");
        app.Find("marked", By.XPath("//summary[starts-with(., 'Marked places: ')]"));
        app.Find("a spot", By.XPath("//li[contains(., 'Spot, lower back')]"));
        app.Find("its words", By.CssSelector("input[aria-label='To remember next time']"))
            .SendKeys("Film when it is windy." + Keys.Enter);
        app.Find(
            "remembered",
            By.XPath("//section[@aria-label='Next time']//li[contains(., 'Film when it is windy.')]")
        );
        app.Find("card beside card", By.XPath("//tr[starts-with(., 'Ends')][@data-met]"));

        // Lifted again: the next step of this visit.
        app.Button("springs back").Click();
        var lift = By.XPath("//section[@aria-label='What now']//button[starts-with(., 'Lift ')]");
        app.Until("it may be", d => d.FindElement(lift).Enabled ? d : null);
        app.Click("lift again", lift);
        app.Button("Plan it as the next step").Click();
        app.Find("planned", By.XPath("//p[@role='status'][contains(., 'It is planned')]"));
        app.Click("mix it", By.LinkText("mix it"));
        app.Find(
            "its formula",
            By.XPath("//h2[.='Formulas']/ancestor::section//*[starts-with(normalize-space(.), 'B')]")
        );
        app.Visit(Client, "apply");
        app.Button("Bowl 2 is mixed").Click();
        app.Until(
            "a panel is next",
            d =>
                d.FindElements(By.XPath("//section[@aria-label='Next']//h2[contains(., 'Lower back')]"))
                    .FirstOrDefault()
        );
        app.Button("Painted").Click();
        app.Until(
            "the first is painted",
            d => d.FindElements(By.XPath("//section[@aria-label='Next']//span[contains(., '1 of ')]")).FirstOrDefault()
        );
        Serve(visit, painted: 1);

        // Read anew: what was read before it tells no longer.
        app.Visit(Client, "review");
        app.Find("nothing yet", By.XPath("//h2[.='Nothing is read yet.']"));
        app.OnMap("Lower back: not read");
        Tap("ends");
        app.Named("radio", $"Level {Halves(Planned(visit, 2))}").Click();
        app.Find("as planned", By.XPath("//h2[starts-with(., 'As planned in the one zone')]"));
        // What was read is said again with its undertone.
        app.Named("combobox", "Undertone").Click();
        app.Click("orange", By.XPath("//*[@title='undertone: orange']"));
        app.Find("with its undertone", By.XPath("//p[contains(., ', orange, counted ')]"));
        app.Find("what it asks of a toner", By.XPath("//section[@aria-label='What now'][contains(., 'shows orange')]"));
        app.Click("tone", By.XPath("//section[@aria-label='What now']//button[starts-with(., 'Tone as it is')]"));
        app.Find("decided", By.XPath("//button[@aria-pressed='true'][contains(., 'Tone as it is')]"));

        // Toned in three areas.
        app.Visit(Client, "tone");
        app.Button("Middle and ends").Click();
        app.Button("Add an area…").Click();
        app.Click("depth", By.XPath("//li[@role='menuitem'][normalize-space(.)='Depth beside the pieces']"));
        foreach (var area in new[] { "Middle", "Ends", "Depth beside the pieces" })
        {
            Press($"//button[starts-with(., 'Put on {area}')]");
            app.Find("on", By.XPath($"//*[@role='group'][@aria-label='{area}'][contains(., 'on ')]"));
        }

        app.SetClock(minute += 12);
        foreach (var area in new[] { "Middle", "Ends", "Depth beside the pieces" })
        {
            Press($"//*[@role='group'][@aria-label='{area}']//button[.='Rinsed']");
        }

        app.Find("all rinsed", By.XPath("//*[@role='status'][contains(., 'All is rinsed')]"));
        foreach (var stage in new[] { "Apply", "Review", "Tone" })
        {
            app.Find(
                $"{stage} is done",
                By.XPath($"//nav[@aria-label='Stages of the visit']//a[contains(., '{stage}')][contains(., '✓')]")
            );
        }

        Each.Of(app.ConsoleErrors.Append("none").ToArray(), e => Assert.Equal("none", e));
    }

    /// <summary>Paints what waits, rinses every wave when it is due, washes and reads.</summary>
    private void Serve(string visit, int painted)
    {
        var view = app.Get($"visits/{visit}/apply");
        foreach (var panel in view["waiting"]!.AsArray().Select(p => (string)p!).ToArray())
        {
            app.SetClock(minute += 0.7);
            view = app.Say(visit, "apply", $$"""{"kind":"painted","panel":"{{panel}}"}""");
            painted++;
        }

        Assert.True(painted > 0);
        while (view["waves"]!.AsArray() is { Count: > 0 } rinses)
        {
            var wait = ((DateTimeOffset)rinses[0]!["startsAt"]! - (DateTimeOffset)view["now"]!).TotalMinutes;
            app.SetClock(minute += Math.Max(0, wait));
            var panels = rinses[0]!["panels"]!.ToJsonString();
            app.Say(visit, "apply", $$"""{"kind":"waveBegun","panels":{{panels}}}""");
            app.SetClock(minute += 9);
            view = app.Say(visit, "apply", """{"kind":"waveEnded"}""");
        }

        app.SetClock(minute += 15);
        app.Say(visit, "apply", """{"kind":"washed"}""");
    }

    private double Planned(string visit, int depth) =>
        (double)
            app.Get($"visits/{visit}/review")["zones"]!.AsArray().Single(z => (string)z!["zone"]! == "lowerBack")![
                "depths"
            ]![depth]!["planned"]!;

    private string Colour(string visit, double level) =>
        (string)
            app.Get($"visits/{visit}/review")["colours"]!.AsArray().MinBy(c => Math.Abs((double)c!["level"]! - level))![
                "hex"
            ]!;

    private static string Halves(double level) =>
        (Math.Round(level * 2, MidpointRounding.AwayFromZero) / 2).ToString("0.#", CultureInfo.InvariantCulture);

    private void Tap(string words) =>
        app.Click(words, By.XPath($"//button[@role='radio'][starts-with(normalize-space(.), '{words}')]"));

    /// <summary>Presses a button once what was said before it is kept.</summary>
    private void Press(string path) =>
        app.Until($"{path} may be pressed", d => d.FindElements(By.XPath(path)).FirstOrDefault(b => b.Enabled)).Click();

    /// <summary>Touches the photograph at a height.</summary>
    private void PointAt(string asked, double height)
    {
        var picture = app.Find(asked, By.CssSelector($"button[aria-label='{asked}']"));
        app.Until("the picture is there", _ => picture.Size.Height > 60 ? "yes" : null);
        new Actions(app.Browser)
            .MoveToElement(picture, 0, (int)((height - 0.5) * picture.Size.Height))
            .Click()
            .Perform();
    }
}
