using System.Net.Http.Json;
using System.Text.Json;
using System.Text.Json.Nodes;
using Microsoft.AspNetCore.Hosting;
using Microsoft.AspNetCore.Mvc.Testing;
using Microsoft.AspNetCore.TestHost;
using Microsoft.Extensions.DependencyInjection;
using Microsoft.Extensions.Time.Testing;

namespace Wendro.Host.Tests;

/// <summary>The real pipeline on a real SQLite file in a folder of its own, with a clock that tests set.</summary>
public sealed class Server : WebApplicationFactory<Program>
{
    private readonly string folder;
    private readonly bool owns;

    public Server()
        : this(Directory.CreateTempSubdirectory("wendro-host-").FullName, owns: true) { }

    private Server(string folder, bool owns) => (this.folder, this.owns) = (folder, owns);

    /// <summary>A server on a copy of a data file.</summary>
    public static Server On(string file)
    {
        var server = new Server();
        File.Copy(file, server.DataFile);
        return server;
    }

    /// <summary>Another server on the same data: what it knows it has read from the file.</summary>
    public Server Again() => new(folder, owns: false);

    public FakeTimeProvider Clock { get; } = new(new DateTimeOffset(2031, 5, 6, 9, 30, 0, TimeSpan.Zero));

    /// <summary>Where drawn hair is put away, for all servers of these tests.</summary>
    private static string CacheFolder { get; } = Path.Combine(AppContext.BaseDirectory, "cache");

    /// <summary>The server as a program of its own, as it was built: it is killed and started by tests.</summary>
    public static string Program { get; } =
        Path.Combine(
            App.Root,
            "src",
            "Wendro.Host",
            "bin",
            "Release",
            "net10.0",
            System.Runtime.InteropServices.RuntimeInformation.RuntimeIdentifier,
            "Wendro.Host.dll"
        );

    /// <summary>Where everything is kept.</summary>
    public string Data => folder;

    public string DataFile => Path.Combine(folder, "wendro.db");

    protected override void ConfigureWebHost(IWebHostBuilder builder)
    {
        builder.UseSetting("data", folder);
        builder.UseSetting("idle", "true");
        // What hair looks like is drawn once for all tests.
        builder.UseSetting("cache", CacheFolder);
        builder.ConfigureTestServices(services => services.AddSingleton<TimeProvider>(Clock));
    }

    protected override void Dispose(bool disposing)
    {
        base.Dispose(disposing);
        if (disposing && owns && Directory.Exists(folder))
        {
            Microsoft.Data.Sqlite.SqliteConnection.ClearAllPools();
            Directory.Delete(folder, true);
        }
    }
}

/// <summary>Small words for speaking to the API.</summary>
internal static class Speaking
{
    public static async Task<JsonNode> ReadAsync(this HttpClient http, string path)
    {
        var answer = await http.GetAsync(new Uri(path, UriKind.Relative));
        Assert.True(
            answer.IsSuccessStatusCode,
            $"{path}: {answer.StatusCode} {await answer.Content.ReadAsStringAsync()}"
        );
        return (await answer.Content.ReadFromJsonAsync<JsonNode>())!;
    }

    public static async Task<(int Status, JsonNode? Body)> PostAsync(
        this HttpClient http,
        string path,
        string json,
        string type = "application/json"
    )
    {
        using var content = new StringContent(json, System.Text.Encoding.UTF8, type);
        var answer = await http.PostAsync(new Uri(path, UriKind.Relative), content);
        var text = await answer.Content.ReadAsStringAsync();
        return ((int)answer.StatusCode, text.Length == 0 ? null : JsonNode.Parse(text));
    }

    /// <summary>Tells hair and answers anew, changed from what stands.</summary>
    public static async Task<(int Status, JsonNode? Body)> PutConsultAsync(
        this HttpClient http,
        string visit,
        Action<JsonNode> change
    )
    {
        var view = await http.ReadAsync($"/api/visits/{visit}/consult");
        var body = new JsonObject
        {
            ["baseVersion"] = view["version"]!.DeepClone(),
            ["hair"] = view["hair"]!.DeepClone(),
            ["consultation"] = view["consultation"]!.DeepClone(),
        };
        change(body);
        using var content = new StringContent(body.ToJsonString(), System.Text.Encoding.UTF8, "application/json");
        var answer = await http.PutAsync(new Uri($"/api/visits/{visit}/consult", UriKind.Relative), content);
        return ((int)answer.StatusCode, JsonNode.Parse(await answer.Content.ReadAsStringAsync()));
    }

    public static async Task<string> NewVisitAsync(this HttpClient http, string name = "Ines of the test")
    {
        var (status, made) = await http.PostAsync("/api/clients", JsonSerializer.Serialize(new { name }));
        Assert.Equal(201, status);
        return (string)made!["visitId"]!;
    }

    public static Task<(int Status, JsonNode? Body)> EditAsync(
        this HttpClient http,
        string visit,
        int baseRevision,
        string edit
    ) => http.PostAsync($"/api/visits/{visit}/plan/edits", $"{{\"baseRevision\":{baseRevision},\"edit\":{edit}}}");
}
