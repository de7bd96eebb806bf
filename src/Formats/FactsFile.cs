using System.Globalization;
using System.Text.Json;
using System.Text.Json.Nodes;
using CsvHelper;
using CsvHelper.Configuration;
using Wendro.Core.Review;

namespace Wendro.Formats;

/// <summary>A fact as a row.</summary>
/// <param name="Stage">At which stage it was said: apply, review, tone or keep.</param>
/// <param name="Number">Its number there, from 1.</param>
/// <param name="At">When, UTC.</param>
/// <param name="Fact">The fact.</param>
public sealed record FactRowOut(string Stage, int Number, DateTimeOffset At, object Fact);

/// <summary>What happened at a visit, and what was read, as CSV: UTF-8, commas, one header.</summary>
public static class FactsFile
{
    /// <summary>The media type.</summary>
    public const string MediaType = "text/csv";

    private static readonly CsvConfiguration Writing = new(CultureInfo.InvariantCulture)
    {
        NewLine = "\r\n",
        InjectionOptions = InjectionOptions.Escape,
    };

    /// <summary>Facts: stage, number, at, kind, details (the rest of the fact as JSON).</summary>
    public static string Facts(IEnumerable<FactRowOut> facts)
    {
        ArgumentNullException.ThrowIfNull(facts);
        return Written(
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

    /// <summary>Readings: where, planned, read, undertone.</summary>
    public static string Readings(IEnumerable<PlaceDifference> readings)
    {
        ArgumentNullException.ThrowIfNull(readings);
        return Written(
            ["zone", "depth", "planned", "read", "evenness", "undertone"],
            readings.Select(r =>
                new[]
                {
                    Name(r.Zone),
                    Name(r.Depth),
                    r.Planned.ToString(CultureInfo.InvariantCulture),
                    r.CameOut.ToString(CultureInfo.InvariantCulture),
                    Name(r.Evenness),
                    r.Undertone ?? string.Empty,
                }
            )
        );
    }

    private static string Name<T>(T value)
        where T : struct, Enum => JsonNamingPolicy.CamelCase.ConvertName(value.ToString());

    private static string Written(string[] header, IEnumerable<string[]> rows)
    {
        using var text = new StringWriter(CultureInfo.InvariantCulture);
        using (var csv = new CsvWriter(text, Writing))
        {
            foreach (var row in rows.Prepend(header))
            {
                foreach (var cell in row)
                {
                    csv.WriteField(cell);
                }

                csv.NextRecord();
            }
        }

        return text.ToString();
    }
}
