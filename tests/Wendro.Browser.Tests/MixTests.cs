using System.Globalization;
using System.Net.Http.Json;
using System.Text;
using System.Text.Json.Nodes;
using OpenQA.Selenium;

namespace Wendro.Browser.Tests;

/// <summary>Mixing with the simulated scale; the shelf's table; the desk's line.</summary>
public sealed class MixTests(App app) : IClassFixture<App>
{
    private const string Figures =
        """{"ratedLevels":7,"dryingMinutes":40,"workingMinutes":26,"scalpSafe":false,"excludesHeat":true,"windowMinutes":""";
    private static readonly string[] Done = ["Lantern clay", "Ebb 30 vol", "Ebb 20 vol"];

    [Fact]
    public void Three_bowls_of_two_formulas_are_weighed_with_an_over_pour_rescued_and_the_plug_pulled()
    {
        app.Begin();
        using var http = new HttpClient { BaseAddress = new Uri(app.Address) };
        var visit = Plan(http);
        var mix = Mix(http, visit);
        Assert.Equal(["A", "A", "B"], mix["bowls"]!.AsArray().Select(b => (string)b!["formula"]!).Order());
        var planned = (double)mix["grams"]!;

        app.Browser.Navigate().GoToUrl($"{app.Address}/visits/{visit}/mix");
        app.Click("gloves", By.XPath("//label[contains(., 'Pairs of gloves')]"));
        app.Until(
            "one thing less",
            _ => Mix(http, visit)["tray"]!.AsArray().Any(t => (bool)t!["isThere"]!) ? "yes" : null
        );

        // The first bowl: too much clay, restored.
        Begin(app, 1);
        Pour(app, Target(http, visit, 0, 0) + 5);
        app.Find(
            "too much",
            By.XPath("//*[@role='alert'][contains(., 'too much Lantern clay') and contains(., 'the shelf has enough')]")
        );
        Close(app);
        app.Button("Restore the ratio").Click();
        // What is to go of the developer grows: poured before the page knows, it would be too little.
        app.Until(
            "it is not too much any more",
            d => d.FindElements(By.XPath("//*[@role='alert'][contains(., 'too much')]")).Count == 0 ? d : null
        );
        Finish(app, 1);

        // The second: the plug is pulled while clay is in the bowl and not kept yet; what was typed meanwhile counts.
        Begin(app, 2);
        Pour(app, Target(http, visit, 1, 0) / 2);
        app.Until("half of it", d => Shown(d) > Target(http, visit, 1, 0) * 0.45 ? "yes" : null);
        Hand(app, "Pull the plug");
        app.Find("lost", By.XPath("//*[@role='alert'][contains(., 'Scale lost')]"));
        Hand(app, "Plug it in");
        app.Until("it is still there", d => Shown(d) > Target(http, visit, 1, 0) * 0.45 ? "yes" : null);
        Hand(app, "Pour what is to go");
        app.Until("clay is in", _ => Poured(http, visit, 1, 0) > 0 ? "yes" : null);
        Hand(app, "Pull the plug");
        Close(app);
        var weight = app.Find("a weight to type", By.CssSelector("input[aria-label^='Weight of developer']"));
        weight.SendKeys(Math.Round(Target(http, visit, 1, 1), 1).ToString(CultureInfo.InvariantCulture));
        app.Button("Take this weight").Click();
        app.Find("mixed", By.XPath("//*[@role='status'][contains(., 'Bowl 2 is mixed')]"));
        Hand(app, "Plug it in");

        Begin(app, 3);
        Finish(app, 3);

        // Nothing is lost by looking again, and masses balance.
        app.Browser.Navigate().Refresh();
        app.Until(
            "all three are mixed",
            d => d.FindElements(By.XPath("//div[@aria-label='Bowls']//button[contains(., '✓')]")).Count == 3 ? d : null
        );
        var after = Mix(http, visit);
        foreach (var bowl in after["bowls"]!.AsArray())
        {
            Each.Of(
                bowl!["steps"]!.AsArray(),
                s =>
                    Assert.Equal(
                        (double)s!["targetGrams"]!,
                        (double)s["pouredGrams"]!,
                        (double)s["toleranceGrams"]! + 0.01
                    )
            );
            Assert.Equal(1.5, (double)bowl["begun"]!["ratioNow"]!, 0.1);
        }

        var weighed = after["bowls"]!.AsArray().Sum(b => b!["steps"]!.AsArray().Sum(s => (double)s!["pouredGrams"]!));
        Assert.InRange(weighed, planned - 2, planned + (5 * 2.5) + 2);
        Assert.DoesNotContain(after["findings"]!.AsArray(), f => (string)f!["kind"]! == "unevenRecipe");
        Assert.Equal(
            Done.Order(),
            after["bowls"]!
                .AsArray()
                .SelectMany(b => b!["steps"]!.AsArray().Select(s => (string)s!["ingredient"]!["product"]!))
                .Distinct()
                .Order()
        );
        app.Click("the card", By.XPath("//a[contains(., 'recipe card')]"));
        app.Until(
            "labels for three bowls",
            d => d.FindElements(By.CssSelector("[aria-label='Labels'] [role='listitem']")).Count == 3 ? d : null
        );
        Assert.Empty(app.ConsoleErrors);
    }

    [Fact]
    public void A_table_is_looked_at_before_it_is_taken_in_and_a_bad_one_changes_nothing()
    {
        app.Begin();
        app.Browser.Navigate().GoToUrl($"{app.Address}/shelf");
        app.Find("the shelf", By.XPath("//button[contains(., 'Lantern clay')]"));
        var file = app.Beside("more.csv");
        File.WriteAllText(file, "kind,name,volume\ndeveloper,Ebb 15 vol,15\ndeveloper,Ebb 60 vol,60\n");
        app.Browser.FindElement(By.CssSelector("input[aria-label='CSV file']")).SendKeys(file);
        app.Find("row and column", By.XPath("//li[contains(., 'row 3, volume')]"));
        app.Button("Leave").Click();
        File.WriteAllText(file, "kind,name,unit,onHand,volume\ndeveloper,Ebb 15 vol,millilitre,500,15\n");
        app.Until(
            "the sheet is away",
            d => d.FindElements(By.CssSelector(".ant-modal")).All(m => !m.Displayed) ? d : null
        );
        app.Browser.FindElement(By.CssSelector("input[aria-label='CSV file']")).SendKeys(file);
        app.Find("what is new", By.XPath("//p[contains(., '1 new:') and contains(., 'Ebb 15 vol')]"));
        app.Button("Import it").Click();
        app.Click("the new one", By.XPath("//button[contains(., 'Ebb 15 vol')]"));
        var name = app.Find("its name", By.CssSelector("input[aria-label='Name']"));
        name.SendKeys(Keys.Control + "a");
        name.SendKeys("Lantern clay");
        app.Button("Keep").Click();
        app.Find("a word beside it", By.XPath("//*[@role='alert'][contains(., 'already')]"));
        Assert.DoesNotContain(app.ConsoleErrors, e => !e.Contains("400", StringComparison.Ordinal));
    }

    [Fact]
    public void The_desk_understands_a_line_says_how_it_read_it_and_shows_ounces_where_they_are_wanted()
    {
        app.Begin();
        app.Browser.Navigate().GoToUrl($"{app.Address}/desk");
        var line = app.Find("the line", By.CssSelector("input[aria-label='Type a sum']"));
        line.SendKeys("25 vol 60 g from 20 40");
        app.Find(
            "the sum",
            By.XPath(
                "//*[@aria-label='Answer'][contains(., '45.0 g of 20 vol + 15.0 g of 40 vol') and contains(., 'Read as') and contains(., 'Why')]"
            )
        );
        line.SendKeys(Keys.Control + "a");
        line.SendKeys("nonsense");
        app.Find("a word", By.XPath("//*[@aria-label='Answer'][contains(., 'means nothing here')]"));
        app.Until(
            "every sum has its answer",
            d =>
                d.FindElements(By.CssSelector("[aria-label='Sums'] [role='status'] > p:first-child:not([role])")).Count
                == 12
                    ? d
                    : null
        );
        app.Click("US units", By.XPath("//label[contains(., 'oz · in')]"));
        var regrowth = app.Find("regrowth in inches", By.CssSelector("input[aria-label='Regrowth']"));
        regrowth.SendKeys(Keys.Control + "a");
        regrowth.SendKeys("2" + Keys.Tab);
        app.Find(
            "two inches in months",
            By.XPath("//section[@aria-label='Regrowth and months'][contains(., '4.1 months')]")
        );
        app.Click("metric units", By.XPath("//label[contains(., 'g · cm')]"));
        app.Until(
            "exactly so many centimetres",
            d =>
                d.FindElement(By.CssSelector("input[aria-label='Regrowth']")).GetAttribute("value") is "5.08" ? d : null
        );
        app.Click("US units", By.XPath("//label[contains(., 'oz · in')]"));
        app.Until(
            "two inches again",
            d =>
                d.FindElement(By.CssSelector("input[aria-label='Regrowth']")).GetAttribute("value")!.StartsWith('2')
                    ? d
                    : null
        );
        app.Find("in ounces", By.XPath("//section[@aria-label='Batch'][contains(., '1.27 oz lightener')]"));
        Assert.DoesNotContain(app.ConsoleErrors, e => !e.Contains("400", StringComparison.Ordinal));
    }

    /// <summary>
    /// A client whose upper back takes two bowls of one formula, and whose face frame takes one of another.
    /// </summary>
    private static string Plan(HttpClient http)
    {
        var visit = (string)Send(http, "/api/clients", """{"name":"Henrike Vael"}""")["visitId"]!;
        static string Formula(string id, int volume, int window) =>
            $$$"""{"kind":"setFormula","formula":{"id":"{{{id}}}","lightener":"clay","volume":{{{volume}}},"minutes":40,"product":"Lantern clay","figures":{{{Figures}}}{{{window}}}} } }""";
        static string Paint(string zone, string formula) =>
            $$$"""{"kind":"paintZone","zone":"{{{zone}}}","paint":{"shape":"v","startCm":3,"dropCm":4,"formula":"{{{formula}}}"} }""";
        string[] edits =
        [
            """{"kind":"cutZone","zone":"upperBack","parting":"horizontal","thicknessMm":20,"widthCm":8,"leaveOutMm":4,"bricklay":true}""",
            Formula("A", 30, 8),
            Formula("B", 20, 60),
            Paint("upperBack", "A"),
            Paint("faceFrameLeft", "B"),
            Paint("faceFrameRight", "B"),
        ];
        Send(
            http,
            $"/api/visits/{visit}/plan/edits",
            $$"""{"baseRevision":1,"edit":{"kind":"together","edits":[{{string.Join(',', edits)}}]} }"""
        );
        return visit;
    }

    private static JsonNode Send(HttpClient http, string path, string json)
    {
        using var content = new StringContent(json, Encoding.UTF8, "application/json");
        var answer = http.PostAsync(new Uri(path, UriKind.Relative), content).GetAwaiter().GetResult();
        var text = answer.Content.ReadAsStringAsync().GetAwaiter().GetResult();
        Assert.True(answer.IsSuccessStatusCode, text);
        return JsonNode.Parse(text)!;
    }

    private static JsonNode Mix(HttpClient http, string visit) =>
        http.GetFromJsonAsync<JsonNode>(new Uri($"/api/visits/{visit}/mix", UriKind.Relative))
            .GetAwaiter()
            .GetResult()!;

    private static double Target(HttpClient http, string visit, int bowl, int step) =>
        (double)Mix(http, visit)["bowls"]![bowl]!["steps"]![step]!["targetGrams"]!;

    private static double Poured(HttpClient http, string visit, int bowl, int step) =>
        (double)Mix(http, visit)["bowls"]![bowl]!["steps"]![step]!["pouredGrams"]!;

    /// <summary>Grams the great number shows.</summary>
    private static double Shown(IWebDriver d) =>
        d.FindElements(By.CssSelector("[role='meter'][aria-label='Poured']"))
            .FirstOrDefault()
            ?.GetAttribute("aria-valuenow")
            is { } text
            ? double.Parse(text, CultureInfo.InvariantCulture)
            : 0;

    /// <summary>Grams the scale itself shows.</summary>
    private static double Gross(App app)
    {
        using var http = new HttpClient { BaseAddress = new Uri(app.Address) };
        var reading = http.GetFromJsonAsync<JsonNode>(new Uri("/api/scale", UriKind.Relative))
            .GetAwaiter()
            .GetResult()!;
        return (double?)reading["grossGrams"] ?? 0;
    }

    private static void Begin(App app, int bowl)
    {
        Hand(app, "Take all off");
        app.Until("nothing stands on the scale", _ => Gross(app) < 5 ? "yes" : null);
        Close(app);
        app.Click(
            $"bowl {bowl}",
            By.XPath(
                $"//div[@aria-label='Bowls']//button[normalize-space(.)='{bowl}' or normalize-space(.)='Bowl {bowl}']"
            )
        );
        app.Button($"Begin bowl {bowl}").Click();
        app.Find("the bowl is waited for", By.XPath("//*[@role='status'][contains(., 'Put the empty bowl on')]"));
        Hand(app, "Put a bowl on");
        app.Find(
            "its tare is taken",
            By.XPath("//ol[starts-with(@aria-label, 'Steps of bowl')]/li[1][contains(., '21')]")
        );
    }

    private static void Pour(App app, double grams)
    {
        Hand(app, null);
        var input = app.Find("grams to pour", By.CssSelector("input[aria-label='Grams to pour']"));
        input.SendKeys(Keys.Control + "a");
        input.SendKeys(Math.Round(grams, 1).ToString(CultureInfo.InvariantCulture));
        app.Button("Pour this much").Click();
    }

    /// <summary>Pours what is to go of each until all is in.</summary>
    private static void Finish(App app, int bowl)
    {
        var mixed = By.XPath($"//*[@role='status'][contains(., 'Bowl {bowl} is mixed')]");
        while (app.Browser.FindElements(mixed).Count == 0)
        {
            var at = Now(app);
            Hand(app, "Pour what is to go");
            app.Until(
                "the next thing",
                _ => app.Browser.FindElements(mixed).Count > 0 || Now(app) != at ? "yes" : null
            );
        }
    }

    private static string Now(App app) =>
        app.Browser.FindElements(By.CssSelector("li[aria-current='step'] > span")).Select(e => e.Text).FirstOrDefault()
        ?? string.Empty;

    /// <summary>Does something at the simulated scale, whose hands are opened where they are not.</summary>
    private static void Hand(App app, string? does)
    {
        var hands = By.CssSelector("[role='group'][aria-label='Simulated scale']");
        if (!app.Browser.FindElements(hands).Any(h => h.Displayed))
        {
            if (app.Browser.FindElements(By.XPath("//button[normalize-space(.)='Simulated scale…']")).Count == 0)
            {
                app.Click("a bowl", By.XPath("//div[@aria-label='Bowls']//button[2]"));
            }

            app.Button("Simulated scale…").Click();
            app.Find("its hands", hands);
        }

        if (does is not null)
        {
            app.Until(
                $"{does} can be done",
                d => d.FindElement(By.XPath($"//button[normalize-space(.)='{does}']")).Enabled ? d : null
            );
            app.Button(does).Click();
        }
    }

    private static void Close(App app)
    {
        app.Click("aside", By.XPath("//h2[.='Issues']"));
        app.Until(
            "the hands are away",
            d =>
                d.FindElements(By.CssSelector("[role='group'][aria-label='Simulated scale']")).All(h => !h.Displayed)
                    ? d
                    : null
        );
    }
}
