using OpenQA.Selenium;

namespace Wendro.Browser.Tests;

/// <summary>What is kept goes out and comes in by the page.</summary>
public sealed class KeepTests(App app) : IClassFixture<App>
{
    [Fact]
    public void An_archive_is_saved_looked_through_and_taken_in()
    {
        app.Begin();
        _ = app.VisitOf("Aurel of the archive");
        app.Browser.Navigate().GoToUrl($"{app.Address}/data");
        var save = app.Find("save", By.LinkText("Save the archive"));
        var archive = Bytes(save.GetAttribute("href")!);
        var file = app.Beside("archive.zip");
        File.WriteAllBytes(file, archive);

        // Answers about health go out only after a question.
        app.Button("With answers about health…").Click();
        app.Find("asked", By.XPath("//*[@role='dialog'][contains(., 'private')]//a[.='Save with them']"));
        app.Button("Not now").Click();

        Choose(file);
        app.Find("nothing would change", By.XPath("//p[.='Nothing would change.']"));
        Choose(Other());
        app.Find("refused", By.XPath("//p[@role='alert'][contains(., 'Nothing was taken')]"));

        // Another studio's client comes in by it.
        using (var zip = System.IO.Compression.ZipFile.Open(file, System.IO.Compression.ZipArchiveMode.Update))
        {
            var clients = zip.GetEntry("clients.json")!;
            string text;
            using (var reader = new StreamReader(clients.Open()))
            {
                text = reader.ReadToEnd();
            }

            clients.Delete();
            using var writer = new StreamWriter(zip.CreateEntry("clients.json").Open());
            writer.Write(
                text.TrimEnd()[..^1]
                    + $$""",{"id":"{{Guid.NewGuid()}}","name":"Solvei from elsewhere","about":"","createdAt":"2026-01-02T10:00:00+00:00"}]"""
            );
        }

        Choose(file);
        app.Find("what comes", By.XPath("//li[contains(., 'client Solvei from elsewhere: new')]"));
        Assert.DoesNotContain(Clients(), c => c == "Solvei from elsewhere");
        app.Button("Take it in").Click();
        app.Find("taken", By.XPath("//h3[contains(., 'is taken in')]"));
        Assert.Contains(Clients(), c => c == "Solvei from elsewhere");

        // Deleted again: only once the name is typed.
        var whom = app.Named("combobox", "Whom");
        whom.Click();
        whom.SendKeys("Solvei" + Keys.Enter);
        app.Button("Delete with everything…").Click();
        Assert.False(app.Find("delete", By.XPath("//*[@role='dialog']//button[.='Delete']")).Enabled);
        app.Find("the name", By.CssSelector("input[aria-label='The name']")).SendKeys("Solvei from elsewhere");
        app.Button("Delete").Click();
        app.Find("deleted", By.XPath("//p[@role='status'][contains(., 'Solvei from elsewhere is deleted')]"));
        Assert.DoesNotContain(Clients(), c => c == "Solvei from elsewhere");
    }

    [Fact]
    public void A_backup_is_saved_and_put_back_once_it_is_asked()
    {
        app.Begin();
        _ = app.VisitOf("Backed up by the page");
        app.Browser.Navigate().GoToUrl($"{app.Address}/data");
        var backup = Bytes(app.Find("save", By.LinkText("Save a backup")).GetAttribute("href")!);
        var file = app.Beside("backup.zip");
        File.WriteAllBytes(file, backup);
        _ = app.VisitOf("Came after it");
        Choose(file, "Backup file");
        app.Button("Not now").Click();
        Assert.Contains(Clients(), c => c == "Came after it");
        Choose(file, "Backup file");
        app.Button("Restore").Click();
        app.Find("restored", By.XPath("//p[@role='status'][starts-with(., 'Restored:')]"));
        Assert.DoesNotContain(Clients(), c => c == "Came after it");
        Assert.Contains(Clients(), c => c == "Backed up by the page");
        Choose(Other(), "Backup file");
        app.Button("Restore").Click();
        app.Find("refused", By.XPath("//p[@role='alert'][contains(., 'Nothing was changed')]"));
    }

    [Fact]
    public void Photographs_have_their_places_and_stand_beside_last_times()
    {
        app.Begin();
        const string client = "Photographed at the end";
        app.Visit(client, "keep");
        var first = app.VisitOf(client);
        var file = app.Beside("photograph.png");
        TestPicture.Write(file, "#a87c4f");
        app.Find("an empty place", Place("Add a photograph: Toned, back"));
        Choose(file, "Photograph to keep: Toned, back");
        app.Click("it, large", Place("Look at: Toned, back"));
        app.Find("it alone", By.XPath("//*[@role='dialog'][.//img[@alt='Toned, back'][@src]][not(.//figcaption)]"));
        app.Click("agreed to be shown", By.XPath("//*[@role='dialog']//button[@role='switch']"));
        app.Until("that is kept", _ => (bool)app.Get($"visits/{first}/photographs")[0]!["mayBeShown"]!);

        var at = DateTimeOffset.Parse(
            (string)app.Get($"visits/{first}/record")["startsAt"]!,
            System.Globalization.CultureInfo.InvariantCulture
        );
        var id = (string)app.Get($"visits/{first}/record")["clientId"]!;
        var next = app.Post($"clients/{id}/visits", $$"""{"startsAt":"{{at.AddDays(56):O}}"}""");
        app.Browser.Navigate().GoToUrl($"{app.Address}/visits/{(string)next["visitId"]!}/record");
        TestPicture.Write(file, "#b98d60");
        app.Find("an empty place", Place("Add a photograph: Toned, back"));
        Choose(file, "Photograph to keep: Toned, back");
        app.Click("it, large", Place("Look at: Toned, back"));
        app.Find(
            "last time's beside it",
            By.XPath("//*[@role='dialog'][.//figcaption[.='This time']]//img[@alt='Toned, back, last time']")
        );
        app.Click("delete", By.XPath("//*[@role='dialog']//button[contains(., 'Delete photograph')]"));
        app.Button("Leave it").Click();
        Assert.NotEmpty(app.Get($"visits/{(string)next["visitId"]!}/photographs").AsArray());
        app.Click("delete", By.XPath("//*[@role='dialog']//button[contains(., 'Delete photograph')]"));
        app.Button("Delete it").Click();
        app.Find("an empty place again", Place("Add a photograph: Toned, back"));

        static By Place(string name) => By.XPath($"//button[@aria-label='{name}']");
    }

    [Fact]
    public void The_day_shows_its_chairs_and_where_hands_are_too_few()
    {
        app.Begin();
        // On a day of their own: today's visits take hands and basins of others by the hour the test is run at.
        var tomorrow = DateTime.Today.AddDays(1).AddHours(10);
        foreach (var client in new[] { "Painted at once", "Painted beside" })
        {
            var booked = app.Post(
                "clients",
                $$"""{"name":"{{client}}","startsAt":"{{new DateTimeOffset(tomorrow):O}}"}"""
            );
            app.Post(
                $"visits/{(string)booked["visitId"]!}/plan/edits",
                """
                {"baseRevision":1,"edit":{"kind":"paintZone","zone":"lowerBack",
                 "paint":{"shape":"v","startCm":8,"dropCm":6,"blurCm":4}}}
                """
            );
        }

        app.Browser.Navigate().GoToUrl($"{app.Address}/year");
        app.Click("the day", By.XPath("//label[contains(@class, 'item')][.='Day']"));
        app.Click("tomorrow", By.XPath("//button[contains(., 'Day after')]"));
        app.Find("in its chair", By.XPath("//ol[starts-with(@aria-label, 'Chair')]//a[contains(., 'Painted beside')]"));
        app.Find(
            "too few hands",
            By.XPath(
                "//ul[@aria-label='Too few hands or basins']/li[contains(., 'Painted at once')][contains(., 'need hands')]"
            )
        );
        app.Find("what would help", By.XPath("//ul[@aria-label='Too few hands or basins']/li[contains(., 'started')]"));
        // With hands for both they still want the one basin at once.
        app.Click("two pairs", By.XPath("//*[@aria-label='Pairs of hands']//label[contains(@class, 'item')][.='2']"));
        app.Find(
            "too few basins",
            By.XPath("//ul/li[contains(., 'Painted at once and Painted beside')][contains(., 'need a basin')]")
        );
        app.Click("the day after", By.XPath("//button[contains(., 'Day after')]"));
        app.Find("nobody", By.XPath("//p[contains(., 'Nobody is booked')]"));
        app.Click("the day before", By.XPath("//button[contains(., 'Day before')]"));
        app.Click("the week", By.XPath("//label[contains(@class, 'item')][.='Week']"));
        app.Find("in its week", By.XPath("//ol[@aria-label='Week']//a[contains(., 'Painted beside')]"));
    }

    private static byte[] Bytes(string address)
    {
        using var http = new HttpClient();
        return http.GetByteArrayAsync(new Uri(address)).GetAwaiter().GetResult();
    }

    private string[] Clients() =>
        System
            .Text.Json.Nodes.JsonNode.Parse(Bytes($"{app.Address}/api/clients"))!
            .AsArray()
            .Select(c => (string)c!["name"]!)
            .ToArray();

    private void Choose(string file, string what = "Archive file") =>
        app.Until(
                "the file",
                d => d.FindElements(By.CssSelector($"input[type='file'][aria-label='{what}']")).FirstOrDefault()
            )
            .SendKeys(file);

    private string Other()
    {
        var other = app.Beside("other.zip");
        File.WriteAllText(other, "no archive");
        return other;
    }
}
