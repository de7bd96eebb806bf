using System.Net.Http.Json;
using System.Text;
using System.Text.Json.Nodes;

namespace Wendro.Browser.Tests;

/// <summary>Asks the server beside the page: for what a test needs and does not look at.</summary>
internal static class Asking
{
    public static JsonNode Get(this App app, string at)
    {
        using var http = new HttpClient { BaseAddress = new Uri(app.Address) };
        return http.GetFromJsonAsync<JsonNode>(new Uri($"/api/{at}", UriKind.Relative)).GetAwaiter().GetResult()!;
    }

    /// <summary>Says a fact at a stage of a visit.</summary>
    public static JsonNode Say(this App app, string visit, string stage, string fact)
    {
        var after = (int)app.Get($"visits/{visit}/{stage}")["facts"]!;
        return app.Post(
            $"visits/{visit}/{stage}/facts",
            $$"""{"after":{{after}},"id":"{{Guid.NewGuid()}}","fact":{{fact}} }"""
        );
    }

    public static JsonNode Post(this App app, string at, string json)
    {
        using var http = new HttpClient { BaseAddress = new Uri(app.Address) };
        using var body = new StringContent(json, Encoding.UTF8, "application/json");
        using var answer = http.PostAsync(new Uri($"/api/{at}", UriKind.Relative), body).GetAwaiter().GetResult();
        var said = answer.Content.ReadAsStringAsync().GetAwaiter().GetResult();
        Assert.True(answer.IsSuccessStatusCode, $"{json}: {said}");
        return JsonNode.Parse(said)!;
    }
}
