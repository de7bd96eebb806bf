using System.Globalization;
using System.Text.Json.Nodes;
using OpenQA.Selenium;

namespace Wendro.Browser.Tests;

/// <summary>A service lived through at the chair, the studio's clock set on from moment to moment.</summary>
public sealed class ApplyTests(App app) : IClassFixture<App>
{
    private const string Client = "Petronel Askvane";
    private double minute;
    private DateTime tapped;

    [Fact]
    public void A_whole_service_of_two_steps_is_lived_through_with_a_reload_a_kill_and_a_mis_tap()
    {
        app.Begin();
        var visit = app.VisitOf(Client);
        Plan(visit);
        app.Visit(Client, "apply");

        // The ways through the visit stand side by side before it begins: the plan's own is told with its waves.
        var planned = app.Find(
            "the plan's way",
            By.XPath("//section[@aria-label='Ways through this visit']//article[@aria-label='As planned']")
        );
        Assert.Matches(@"\d+ min in the chair · \d+ waves? · \d+ bowls?", planned.Text);
        app.Button("Client in the chair").Click();
        app.Until(
            "no way is taken once she sits",
            d => d.FindElements(By.CssSelector("[aria-label='Ways through this visit']")).Count == 0 ? "yes" : null
        );
        Press("Part is set");
        Press("Combed");
        Press("Bowl 1 is mixed");
        Pass(3);

        // Painted with a foot pedal, with the space bar and by hand.
        var count = Counted().Of;
        Tap(Keys.PageDown, 1);
        Pass(1.5);
        Tap(Keys.Space, 2);
        Pass(1.5);
        Tap(Keys.Enter, 3);

        // A second press within a second is asked about, and "no" paints nothing. On a busy machine the second comes too
        // late to be one: then it is a panel, and is undone.
        Body().SendKeys(Keys.Space);
        var no = By.XPath("//button[normalize-space(.)='No, once']");
        var asked = app.Until(
            "it is asked, or counted",
            d =>
                d.FindElements(no).Count > 0 ? "asked"
                : Counted().Done == 4 ? "counted"
                : null
        );
        app.Click(asked, asked == "asked" ? no : By.XPath("//button[starts-with(@aria-label, 'Undo: ')]"));
        app.Until("three", _ => Counted().Done == 3 ? "yes" : null);

        // A mis-tap is undone.
        Pass(1.2);
        Tap(Keys.Space, 4);
        app.Click("undo", By.XPath("//button[starts-with(@aria-label, 'Undo: ')]"));
        app.Until("three again", _ => Counted().Done == 3 ? "yes" : null);

        // A reload, and a power cut: every clock shows what it showed.
        var look = Due("Look");
        app.Browser.Navigate().Refresh();
        Near(look, Due("Look"));
        app.KillAndRestart();
        app.Browser.Navigate().Refresh();
        Near(look, Due("Look"));
        Assert.Equal(3, Counted().Done);

        // The bowl is tipped over: what is still to be painted is mixed anew.
        app.Button("Bowl 1 is gone").Click();
        app.Until("another is asked for", _ => Title() == "Mix bowl 1" ? "yes" : null);
        Pass(2);
        Press("Bowl 1 is mixed");

        // One more than planned, as the one beside it is.
        app.OnMap("lower back, row 1, panel 2: not painted");
        app.Button("Paint it too, as the one beside it").Click();
        app.Until("it is next", _ => Title() == "Lower back, row 1, panel 2" ? "yes" : null);
        count++;
        Assert.Equal((3, count), Counted());
        Pass(1.5);
        Tap(Keys.Space, 4);

        // Film over what is on, while it works.
        app.OnMap("lower back, row 1, panel 2: on");
        app.Button("Cover… ▾").Click();
        app.Click("film", By.XPath("//li[@role='menuitem'][normalize-space(.)='Film over this one']"));
        app.Find("it is told", By.CssSelector("button[aria-label='Undo: film over lower back, row 1, panel 2']"));

        // What is on is rinsed before the rest is painted: the first wave.
        Pass(30);
        Press("Begin the rinse");
        Pass(7);
        Press("Wave rinsed");
        app.Until("painting goes on", _ => Title().StartsWith("Nape", StringComparison.Ordinal) ? "yes" : null);

        // A second client is seated at the other chair: the day tells both, each with its own.
        SeatAnother();
        app.Browser.Navigate().GoToUrl(app.Address);
        foreach (var who in new[] { Client, Other })
        {
            app.Find($"{who} in the chair", By.XPath($"//li[contains(., '{who}')][contains(., 'In the chair')]"));
        }

        app.Visit(Client, "apply");
        Assert.Equal((4, count), Counted());

        // The assistant comes late: the rest takes half as long.
        var before = Seconds();
        app.Button("Second pair of hands").Click();
        app.Click("paints", By.XPath("//li[@role='menuitem'][normalize-space(.)='paints a side']"));
        app.Until("twice as quick", _ => Seconds() < before * 0.7 ? "yes" : null);

        // Forgotten taps: painted up to the last panel.
        while (Counted().Done < count)
        {
            Pass(2);
            var title = app.Find("what is next", By.CssSelector("section[aria-label='Next'] h2")).Text;
            if (title.StartsWith("Mix bowl", StringComparison.Ordinal))
            {
                Body().SendKeys(Keys.Space);
                app.Until("mixed", _ => Title() != title ? "yes" : null);
                continue;
            }

            Tap(Keys.Space, Counted().Done + 1);
        }

        // Two looks: what they show moves the rinse.
        Pass(9);
        var first = Rinse(visit);
        LookAt("6.5");
        Pass(6);
        LookAt("8.5");
        app.Until("the looks moved the rinse", _ => Math.Abs((Rinse(visit) - first).TotalMinutes) > 0.5 ? "yes" : null);

        // It burns: nothing else is said until all is rinsed.
        app.Button("▲ burning: stop").Click();
        app.Find("what to do", By.XPath("//*[@role='alert'][contains(., 'Rinse it off now')]"));
        Press("Rinsing all now");
        Pass(10);
        Press("Wave rinsed");
        Press("Washed and read");

        // The second step: its bowl, all of it over, its own clock, rinsed, read.
        app.Click("its bowl", By.XPath("//button[starts-with(., 'Bowl ')][contains(., 'is mixed')]"));
        Press("All of it is on");
        Pass(15);
        Press("Begin the rinse");
        Pass(5);
        Press("Wave rinsed");
        Press("Washed and read");
        app.Until(
            "Apply is done",
            d =>
                d.FindElements(
                        By.XPath("//nav[@aria-label='Stages of the visit']//a[contains(., 'Apply')][contains(., '✓')]")
                    )
                    .FirstOrDefault()
        );
        // While the server was away the browser said so; nothing else went wrong.
        Assert.All(app.ConsoleErrors.Append("net::ERR"), e => Assert.Contains("net::ERR", e, StringComparison.Ordinal));
    }

    private const string Other = "Bergith Lanmoore";

    private void SeatAnother()
    {
        using var http = new HttpClient { BaseAddress = new Uri(app.Address) };
        using var seated = new StringContent(
            $$$"""{"after":0,"id":"{{{Guid.NewGuid()}}}","fact":{"kind":"seated"}}""",
            System.Text.Encoding.UTF8,
            "application/json"
        );
        var at = new Uri($"/api/visits/{app.VisitOf(Other)}/apply/facts", UriKind.Relative);
        var answer = http.PostAsync(at, seated).Result;
        Assert.True(answer.IsSuccessStatusCode, answer.Content.ReadAsStringAsync().Result);
    }

    /// <summary>The nape and a gloss: a plan that is soon painted.</summary>
    private void Plan(string visit)
    {
        using var http = new HttpClient { BaseAddress = new Uri(app.Address) };
        var revision = (int)
            JsonNode.Parse(http.GetStringAsync(new Uri($"/api/visits/{visit}/plan", UriKind.Relative)).Result)![
                "revision"
            ]!;
        using var edit = new StringContent(
            $$$"""
            {"baseRevision":{{{revision}}},"edit":{"kind":"together","edits":[{"kind":"setReach","reach":"full"},
            {{{string.Join(",", Zones.Select(z => $$"""{"kind":"clearZone","zone":"{{z}}"}"""))}}},
            {"kind":"cutZone","zone":"nape","parting":"horizontal","thicknessMm":24,"widthCm":5,"leaveOutMm":8,"bricklay":false},
            {"kind":"paintZone","zone":"nape","paint":{"shape":"v","startCm":6,"dropCm":5,"blurCm":4}},
            {"kind":"setFormula","formula":{"id":"B","lightener":"clay","volume":10,"minutes":15,"depositLevel":8}},
            {"kind":"addStep","step":{"kind":"gloss","area":{},"formula":"B"}}]}}
            """,
            System.Text.Encoding.UTF8,
            "application/json"
        );
        var answer = http.PostAsync(new Uri($"/api/visits/{visit}/plan/edits", UriKind.Relative), edit).Result;
        Assert.True(answer.IsSuccessStatusCode, answer.Content.ReadAsStringAsync().Result);
    }

    private static readonly string[] Zones =
    [
        "nape",
        "lowerBack",
        "upperBack",
        "crown",
        "sideLeft",
        "sideRight",
        "topLeft",
        "topRight",
        "fringeLeft",
        "fringeRight",
        "faceFrameLeft",
        "faceFrameRight",
    ];

    private IWebElement Body() => app.Browser.FindElement(By.TagName("body"));

    /// <summary>Minutes go by in the studio; a second goes by for the page, which asks about quicker presses.</summary>
    private void Pass(double minutes)
    {
        minute += minutes;
        app.SetClock(minute);
        if (app.Browser.FindElements(By.CssSelector("section[aria-label='Clock'] svg")).Count == 0)
        {
            // Where no panel is on the clock there is nothing to read it from.
            return;
        }

        app.Until(
            "the page shows the new time",
            // It shows whole minutes; what went by here is longer than one.
            _ => Shown() is { } now && (Studio() - now).TotalSeconds is > -2 and < 62 ? "yes" : null
        );
    }

    private DateTimeOffset Studio() => DateTimeOffset.Now.AddMinutes(minute);

    private DateTimeOffset? Shown()
    {
        var pill = app
            .Browser.FindElements(By.CssSelector("section[aria-label='Clock'] svg text"))
            .LastOrDefault()
            ?.Text;
        return pill is { Length: 5 } && TimeOnly.TryParse(pill, CultureInfo.InvariantCulture, out var at)
            ? new DateTimeOffset(Studio().Date + at.ToTimeSpan(), Studio().Offset)
            : null;
    }

    private string Title() => app.Find("what is next", By.CssSelector("section[aria-label='Next'] h2")).Text;

    private (int Done, int Of) Counted()
    {
        var words = app.Until(
            "how many are painted",
            d =>
                d.FindElements(By.XPath("//section[@aria-label='Next']//span[contains(., ' of ')]"))
                    .FirstOrDefault()
                    ?.Text
        );
        var numbers = words.Split(" of ");
        return (
            int.Parse(numbers[0], CultureInfo.InvariantCulture),
            int.Parse(numbers[1], CultureInfo.InvariantCulture)
        );
    }

    private void Press(string name)
    {
        app.Button(name).Click();
        app.Until(
            $"{name} is said",
            d => d.FindElements(By.XPath($"//button[.='{name}']")).Count == 0 || name == "Painted" ? "yes" : null
        );
    }

    private void Tap(string key, int painted)
    {
        app.Until(
            "the target is in hand",
            _ => app.Browser.SwitchTo().ActiveElement().Text == "Painted" ? "yes" : null
        );
        // A quicker press would be asked about.
        app.Until(
            "a second since the last press",
            _ => DateTime.UtcNow - tapped > TimeSpan.FromSeconds(1.2) ? "yes" : null
        );
        app.Browser.SwitchTo().ActiveElement().SendKeys(key);
        tapped = DateTime.UtcNow;
        app.Until($"{painted} painted", _ => Counted().Done == painted ? "yes" : null);
    }

    private double Due(string what)
    {
        var text = app.Until(
            $"{what} is due",
            d => d.FindElements(By.CssSelector($"[role='timer'][aria-label^='{what}']")).FirstOrDefault()?.Text
        );
        var parts = text.Split(':').Select(p => double.Parse(p, CultureInfo.InvariantCulture)).ToArray();
        return parts[^2] * 60 + parts[^1];
    }

    /// <summary>A clock went on while the server was away and came back: never backwards, by no more than that took.</summary>
    private static void Near(double before, double after) => Assert.InRange(before - after, -1, 90);

    private double Seconds()
    {
        var hand = app.Find("seconds a panel", By.XPath("//dt[.='Hand']/following-sibling::dd")).Text;
        return double.Parse(hand.Split(' ')[0], CultureInfo.InvariantCulture);
    }

    private DateTimeOffset Rinse(string visit)
    {
        using var http = new HttpClient { BaseAddress = new Uri(app.Address) };
        var view = JsonNode.Parse(http.GetStringAsync(new Uri($"/api/visits/{visit}/apply", UriKind.Relative)).Result)!;
        return (DateTimeOffset)view["waves"]![0]!["startsAt"]!;
    }

    private void LookAt(string level)
    {
        app.Button("Look now").Click();
        app.Named("radio", $"Level {level}").Click();
        app.Button($"Level {level}: keep").Click();
        app.Find("what it told", By.XPath($"//summary[contains(., 'level {level}')]"));
    }
}
