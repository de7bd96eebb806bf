using System.Globalization;
using System.Text.Json;
using System.Text.Json.Nodes;

namespace Wendro.Formats;

/// <summary>A fact as a row.</summary>
/// <param name="Stage">At which stage it was said: apply, review, tone or keep.</param>
/// <param name="Number">Its number there, from 1.</param>
/// <param name="At">When, UTC.</param>
/// <param name="Fact">The fact.</param>
public sealed record FactRowOut(string Stage, int Number, DateTimeOffset At, object Fact);

/// <summary>What happened at a visit as CSV: UTF-8, commas, one header.</summary>
public static class FactsFile
{
    /// <summary>The media type.</summary>
    public const string MediaType = "text/csv";

    /// <summary>Facts: stage, number, at, kind, details (the rest of the fact as JSON).</summary>
    public static string Facts(IEnumerable<FactRowOut> facts)
    {
        ArgumentNullException.ThrowIfNull(facts);
        return CsvTable.Written(
            ["stage", "number", "at", "kind", "details"],
            facts.Select(f =>
            {
                var json = JsonSerializer
                    .SerializeToNode(f.Fact, f.Fact.GetType().BaseType!, WendroJson.Options)!
                    .AsObject();
                var kind = (string?)json["kind"];
                json.Remove("kind");
                return new[]
                {
                    f.Stage,
                    f.Number.ToString(CultureInfo.InvariantCulture),
                    f.At.UtcDateTime.ToString("O", CultureInfo.InvariantCulture),
                    kind ?? string.Empty,
                    json.Count == 0 ? string.Empty : json.ToJsonString(WendroJson.Options),
                };
            })
        );
    }
}
