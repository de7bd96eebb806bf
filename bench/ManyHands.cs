using System.Diagnostics;
using System.Net.Http.Json;
using System.Text.Json.Nodes;
using Wendro.Fixtures;

namespace Wendro.Bench;

/// <summary>Several visits edited at once, one edit every half second each: how long an edit takes.</summary>
internal static class ManyHands
{
    private const int Visits = 8;
    private static readonly TimeSpan Every = TimeSpan.FromSeconds(0.5);
    private static readonly TimeSpan For = TimeSpan.FromSeconds(10);

    public static void Print(App app)
    {
        using var http = new HttpClient { BaseAddress = new Uri(app.Address), Timeout = TimeSpan.FromMinutes(2) };
        var visits = VisitsAsync(http).Result;
        foreach (var at in new[] { 1, 4, Visits })
        {
            var begun = Stopwatch.StartNew();
            var took = Task.WhenAll(visits.Take(at).Select((v, i) => EditAsync(http, v, Every * i / at, begun)))
                .Result.SelectMany(t => t)
                .Order()
                .ToArray();
            var (middle, high) = (took[took.Length / 2], took[(int)(took.Length * 0.95)]);
            Stopwatches.Judge(
                () =>
                    Stopwatches.Say(
                        $"{at} {(at == 1 ? "visit" : "visits")} edited at once, an edit: p50, p95",
                        $"{middle:0}, {high:0} ms",
                        at == Visits ? "p95 ≤ 150 ms" : string.Empty
                    ),
                at == Visits && high > 150,
                $"{at / Every.TotalSeconds:0} edits a second share {Environment.ProcessorCount} cores with the browser; "
                    + "nobody waits for another's head, but all of them for a core"
            );
        }
    }

    private static async Task<IReadOnlyList<string>> VisitsAsync(HttpClient http)
    {
        var day = (await http.GetFromJsonAsync<JsonArray>("/api/day"))!;
        var visits = day.Select(v => (string)v!["visitId"]!).ToList();
        while (visits.Count < Visits)
        {
            var made = await http.PostAsJsonAsync("/api/clients", new { name = $"Hand {visits.Count}" });
            visits.Add((string)(await made.Content.ReadFromJsonAsync<JsonNode>())!["visitId"]!);
        }

        return visits;
    }

    private static async Task<List<double>> EditAsync(HttpClient http, string visit, TimeSpan later, Stopwatch since)
    {
        var plan = (await http.GetFromJsonAsync<JsonNode>($"/api/visits/{visit}/plan"))!;
        var revision = (int)plan["revision"]!;
        var panel = (string)plan["panels"]!.AsArray()[0]!["key"]!;
        var took = new List<double>();
        await Task.Delay(later);
        for (var n = 0; since.Elapsed < For; n++)
        {
            var watch = Stopwatch.StartNew();
            using var answer = await http.PostAsJsonAsync(
                $"/api/visits/{visit}/plan/edits",
                new
                {
                    baseRevision = revision,
                    edit = new
                    {
                        kind = "paintPanels",
                        panels = new[] { panel },
                        paint = new { shape = "v", startCm = 6 + n % 7 },
                    },
                }
            );
            var body = await answer.Content.ReadFromJsonAsync<JsonNode>();
            took.Add(watch.Elapsed.TotalMilliseconds);
            revision = (int)body!["revision"]!;
            await Task.Delay(Every > watch.Elapsed ? Every - watch.Elapsed : TimeSpan.Zero);
        }

        return took;
    }
}
