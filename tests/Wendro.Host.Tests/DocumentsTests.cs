using System.Text.Json;
using System.Text.Json.Nodes;
using Microsoft.Data.Sqlite;
using Wendro.Apply;
using Wendro.Consult;
using Wendro.Formats;
using Wendro.Hair;
using Wendro.Lift;
using Wendro.Mix;
using Wendro.Paint;
using Wendro.Plans;
using Wendro.Record;
using Wendro.Review;
using Wendro.Toning;

namespace Wendro.Host.Tests;

/// <summary>What was ever stored is read for ever; what a newer program stored is refused and left as it is.</summary>
public sealed class DocumentsTests
{
    private static readonly string Fixtures = Path.Combine(AppContext.BaseDirectory, "Fixtures");

    /// <summary>Which fixture is which kind of document.</summary>
    private static readonly Dictionary<string, Type> KindOf = new()
    {
        ["hair"] = typeof(HairProfile),
        ["consultation"] = typeof(Consultation),
        ["plan"] = typeof(Plan),
        ["edit"] = typeof(PlanEdit),
        ["pattern"] = typeof(IReadOnlyList<PlanEdit>),
        ["formula"] = typeof(Formula),
        ["recipe"] = typeof(Recipe),
        ["weighing"] = typeof(BowlEvent),
        ["fact"] = typeof(ServiceFact),
        ["review"] = typeof(ReviewFact),
        ["toning"] = typeof(ToneFact),
        ["keeping"] = typeof(RecordFact),
        ["sum"] = typeof(VisitSum),
        ["toner"] = typeof(TonePlan),
        ["learnt"] = typeof(OwnLift),
        ["product"] = typeof(Product),
        ["rules"] = typeof(HouseRules),
    };

    /// <summary>Files of their own, and how they are read.</summary>
    private static readonly Dictionary<string, (Type Kind, Func<byte[], object> Read)> FileOf = new()
    {
        ["planFile"] = (typeof(PlanFile), utf8 => PlanFile.Read(utf8)),
        ["visitFile"] = (typeof(VisitFile), utf8 => VisitFile.Read(utf8)),
    };

    [Theory]
    [InlineData("planFile")]
    [InlineData("visitFile")]
    public void Every_version_of_a_file_is_read_and_a_newer_one_refused(string name)
    {
        var (kind, read) = FileOf[name];
        for (var version = 1; version <= Documents.NewestOf(kind); version++)
        {
            Assert.NotNull(read(File.ReadAllBytes(Path.Combine(Fixtures, $"v{version}", $"{name}.json"))));
        }

        var newer = JsonNode.Parse(File.ReadAllText(Path.Combine(Fixtures, "v1", $"{name}.json")))!;
        newer["version"] = Documents.NewestOf(kind) + 1;
        var refused = Assert.Throws<FileRefusedException>(() =>
            read(System.Text.Encoding.UTF8.GetBytes(newer.ToJsonString()))
        );
        Assert.Contains("newer Wendro", refused.Message, StringComparison.Ordinal);
    }

    public static TheoryData<string, int> Kept
    {
        get
        {
            var data = new TheoryData<string, int>();
            foreach (var (name, kind) in KindOf)
            {
                for (var version = 1; version <= Documents.NewestOf(kind); version++)
                {
                    data.Add(name, version);
                }
            }

            return data;
        }
    }

    [Fact]
    public void Every_kind_that_is_stored_has_fixtures() =>
        Assert.Equal(
            Documents.Kinds.OrderBy(k => k.Name),
            KindOf.Values.Concat(FileOf.Values.Select(f => f.Kind)).OrderBy(k => k.Name)
        );

    [Theory]
    [MemberData(nameof(Kept))]
    public void Every_version_ever_stored_is_read(string name, int version)
    {
        var stored = File.ReadAllText(Path.Combine(Fixtures, $"v{version}", $"{name}.json"));
        var read = Read(KindOf[name], stored);
        Assert.NotNull(read);

        // All of it was understood: written again, nothing that was there is missing.
        var again = JsonNode.Parse(Write(KindOf[name], read))!;
        var before = JsonNode.Parse(stored)!;
        if (version == Documents.NewestOf(KindOf[name]))
        {
            Holds(before is JsonArray ? again["list"]! : again, before, name);
        }

        Assert.Equal(Documents.NewestOf(KindOf[name]), (int)again["documentVersion"]!);
        Assert.Equal(
            again.ToJsonString(),
            JsonNode.Parse(Write(KindOf[name], Read(KindOf[name], again.ToJsonString())))!.ToJsonString()
        );
    }

    [Fact]
    public void Compressed_and_plain_read_alike_and_compressed_is_small()
    {
        var plain = File.ReadAllText(Path.Combine(Fixtures, "v1", "plan.json"));
        var plan = Documents.Read<Plan>(plain);
        var packed = Documents.WriteCompressed(plan);
        Assert.Equal(Documents.Write(plan), Documents.Write(Documents.ReadCompressed<Plan>(packed)));
        Assert.Equal(
            Documents.Write(plan),
            Documents.Write(Documents.ReadCompressed<Plan>(System.Text.Encoding.UTF8.GetBytes(plain)))
        );
        Assert.True(packed.Length < plain.Length / 4, $"{packed.Length} of {plain.Length}");
    }

    [Theory]
    [MemberData(nameof(Kept))]
    public void A_document_of_a_newer_program_is_refused_with_a_word(string name, int version)
    {
        var stored = JsonNode.Parse(File.ReadAllText(Path.Combine(Fixtures, $"v{version}", $"{name}.json")))!;
        var newer = stored as JsonObject ?? new JsonObject { ["list"] = stored };
        newer["documentVersion"] = Documents.NewestOf(KindOf[name]) + 1;
        var refused = Assert.IsType<NewerDocumentException>(
            Xunit.Record.Exception(() => Read(KindOf[name], newer.ToJsonString()))
        );
        Assert.Contains("newer Wendro", refused.Message, StringComparison.Ordinal);
        Assert.Contains("nothing was changed", refused.Message, StringComparison.Ordinal);
    }

    [Fact]
    public async Task A_folder_of_an_older_program_opens_and_is_worked_on()
    {
        var expected = JsonNode.Parse(await File.ReadAllTextAsync(Path.Combine(Fixtures, "v1", "expected.json")))!;
        var visit = (string)expected["visit"]!;
        using var server = Server.On(Path.Combine(Fixtures, "v1", "studio.sqlite"));
        var http = server.CreateClient();
        var plan = await http.ReadAsync($"/api/visits/{visit}/plan");
        Assert.Equal((int)expected["revision"]!, (int)plan["revision"]!);
        Holds(plan["plan"]!, expected["plan"]!, "plan");
        Holds(plan["hair"]!, expected["hair"]!, "hair");

        // Undo goes back through what the older program stored, and what is stored now lies beside it.
        var (_, redone) = await http.PostAsync(
            $"/api/visits/{visit}/plan/redo",
            $$"""{"baseRevision":{{plan["revision"]}}}"""
        );
        var (status, edited) = await http.EditAsync(
            visit,
            (int)redone!["revision"]!,
            """{"kind":"raiseFaceFrame","byCm":1}"""
        );
        Assert.Equal(200, status);
        Assert.Equal("Raised the face frame 1 cm", (string)edited!["undoes"]!);
        var (_, undone) = await http.PostAsync(
            $"/api/visits/{visit}/plan/undo",
            $$"""{"baseRevision":{{edited["revision"]}}}"""
        );
        Assert.Equal("Raised the face frame 1 cm", (string)undone!["redoes"]!);
        var history = (await http.ReadAsync($"/api/visits/{visit}/plan/history")).AsArray();
        Assert.Equal((int)undone["revision"]!, history.Count);
        Each.Of(history, r => Assert.Contains((string)r!["how"]!, new[] { "edit", "undo", "redo", "new" }));

        // So do the bowl, the studio's own pattern and its rules.
        var mix = await http.ReadAsync($"/api/visits/{visit}/mix");
        Assert.Equal(30, (double)mix["bowls"]![0]!["steps"]![0]!["pouredGrams"]!);
        Assert.Contains(
            (await http.ReadAsync($"/api/visits/{visit}/patterns")).AsArray(),
            p => (string)p!["name"]! == "Ours"
        );
        Assert.Equal(14, (double)(await http.ReadAsync("/api/house-rules"))["rules"]!["thicknessMm"]!);
    }

    [Fact]
    public async Task What_a_newer_program_stored_is_said_and_left_as_it_is()
    {
        using var server = new Server();
        var http = server.CreateClient();
        var visit = await http.NewVisitAsync();
        void Run(string sql)
        {
            using var db = new SqliteConnection($"Data Source={server.DataFile}");
            db.Open();
            using var command = db.CreateCommand();
            command.CommandText = sql;
            command.ExecuteNonQuery();
        }

        Run("""UPDATE Visits SET Hair = json_set(Hair, '$.documentVersion', 99)""");
        var (status, problem) = await http.EditAsync(visit, 1, """{"kind":"paintZone","zone":"crown","paint":{}}""");
        Assert.Equal(409, status);
        Assert.Contains("newer Wendro", (string)problem!["title"]!, StringComparison.Ordinal);
        Run("""UPDATE Visits SET Hair = json_set(Hair, '$.documentVersion', 1)""");
        Assert.Equal(1, (int)(await http.ReadAsync($"/api/visits/{visit}/plan"))["revision"]!);

        // A data file with changes this program does not know is not opened at all.
        Run("INSERT INTO __EFMigrationsHistory VALUES ('29990101000000_Later', '99')");
        using var again = server.Again();
        var answer = await again.CreateClient().GetAsync(new Uri("/api/day", UriKind.Relative));
        Assert.Equal(503, (int)answer.StatusCode);
        Assert.Contains("newer Wendro", await answer.Content.ReadAsStringAsync(), StringComparison.Ordinal);
    }

    [Fact]
    public async Task A_visit_that_is_done_keeps_its_first_last_and_pinned_revisions()
    {
        using var server = new Server();
        var http = server.CreateClient();
        var visit = await http.NewVisitAsync();
        for (var i = 1; i <= 8; i++)
        {
            await http.EditAsync(visit, i, $$"""{"kind":"setWish","wish":{"endsLevel":{{6 + i * 0.25}} } }""");
        }

        await http.PostAsync($"/api/visits/{visit}/plan/undo", """{"baseRevision":9}""");
        var shown = await http.ReadAsync($"/api/visits/{visit}/plan/file");
        var revisions = server.Services.GetService(typeof(Wendro.Store.Revisions)) as Wendro.Store.Revisions;
        Assert.Equal(10 - 4, await revisions!.ThinAsync(Guid.Parse(visit), new HashSet<int> { 4 }, default));
        var history = await revisions.HistoryAsync(Guid.Parse(visit), default);
        Assert.Equal([1, 4, 8, 10], history.Select(h => h.Number));
        Assert.Equal(shown.ToJsonString(), (await http.ReadAsync($"/api/visits/{visit}/plan/file")).ToJsonString());
        var plan = await http.ReadAsync($"/api/visits/{visit}/plan");
        Assert.False((bool)plan["canUndo"]! || (bool)plan["canRedo"]!);
        Assert.Equal(6.75, (await revisions.PlanAtAsync(Guid.Parse(visit), 4, default))!.Goal.EndsLevel);

        // It can still be worked on.
        Assert.Equal(200, (await http.EditAsync(visit, 10, """{"kind":"setReach","reach":"half"}""")).Status);
        Assert.Equal(200, (await http.PostAsync($"/api/visits/{visit}/plan/undo", """{"baseRevision":11}""")).Status);
    }

    private static object? Read(Type kind, string json)
    {
        try
        {
            return typeof(Documents)
                .GetMethod(nameof(Documents.Read), [typeof(string)])!
                .MakeGenericMethod(kind)
                .Invoke(null, [json]);
        }
        catch (System.Reflection.TargetInvocationException problem)
        {
            throw problem.InnerException!;
        }
    }

    private static string Write(Type kind, object? document) =>
        (string)typeof(Documents).GetMethod(nameof(Documents.Write))!.MakeGenericMethod(kind).Invoke(null, [document])!;

    /// <summary>
    /// Whether a measure of paint means anything for its shape: what no shape of its kind is made of was stored
    /// once, and
    /// is left away.
    /// </summary>
    private static bool Means(JsonObject members, string name)
    {
        if (members["shape"] is not { } shape || !members.ContainsKey("blurCm"))
        {
            return true;
        }

        var kind = Enum.Parse<ShapeKind>((string)shape!, ignoreCase: true);
        var made = Shape.Usual(kind, 5);
        return name switch
        {
            "dropCm" => made.DropCm > 0,
            "flip" => made is Shape.Slant,
            "centreU" => (made with { MiddleU = 0.3 }).MiddleU < 0.4,
            "centreCm" => (made with { PeakCm = 1 }).PeakCm > 0,
            "strokes" => made.Counting(7).Count == 7,
            "strokeShare" or "mergeCm" => made.Stroked is not null,
            _ => true,
        };
    }

    /// <summary>Whether all that one says is said by the other.</summary>
    private static void Holds(JsonNode whole, JsonNode part, string path)
    {
        switch (part)
        {
            case JsonObject members:
                foreach (var (name, value) in members.Where(m => m.Value is not null && Means(members, m.Key)))
                {
                    var there = whole[name];
                    Assert.True(there is not null, $"{path}.{name} is missing");
                    Holds(there, value!, $"{path}.{name}");
                }

                break;
            case JsonArray items:
                Assert.Equal(items.Count, whole.AsArray().Count);
                for (var i = 0; i < items.Count; i++)
                {
                    Holds(whole[i]!, items[i]!, $"{path}[{i}]");
                }

                break;
            default:
                if (part.GetValueKind() == JsonValueKind.Number)
                {
                    Assert.Equal((double)part, (double)whole, 1e-9);
                }
                else
                {
                    Assert.Equal(part.ToJsonString(), whole.ToJsonString());
                }

                break;
        }
    }
}
