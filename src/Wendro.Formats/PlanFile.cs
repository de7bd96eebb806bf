using System.Text.Json;
using System.Text.Json.Nodes;
using Wendro.Hair;
using Wendro.Head;
using Wendro.Plans;
using Wendro.Units;

namespace Wendro.Formats;

/// <summary>Something a file can't be taken for; nothing was changed.</summary>
public sealed class FileRefusedException(string message) : Exception(message);

/// <summary>A plan as a file of its own: format, version, the hair it was made for, the plan.</summary>
/// <param name="Format">Always wendro-plan.</param>
/// <param name="Version">Which version it is written in, 1 to <see cref="Newest"/>.</param>
/// <param name="Hair">The hair it was planned on.</param>
/// <param name="Plan">The plan.</param>
public sealed record PlanFile(string Format, int Version, HairProfile Hair, Plan Plan)
{
    /// <summary>What the format is called.</summary>
    public const string Name = "wendro-plan";

    /// <summary>The newest version read and written.</summary>
    public static int Newest => Documents.NewestOf(typeof(PlanFile));

    /// <summary>Writes a plan.</summary>
    public static byte[] Write(HairProfile hair, Plan plan) =>
        JsonSerializer.SerializeToUtf8Bytes(new PlanFile(Name, Newest, hair, plan), WendroJson.Strict);

    /// <summary>Reads a plan; its values are checked when its edits are applied.</summary>
    /// <exception cref="FileRefusedException">Not such a file, newer than this program, or with fields it doesn't
    /// know.</exception>
    public static PlanFile Read(ReadOnlySpan<byte> utf8) => FileReading.Read<PlanFile>(utf8, Name);
}

/// <summary>A client with one visit and its plan, as demo data is kept.</summary>
/// <param name="Format">Always wendro-visit.</param>
/// <param name="Version">Which version it is written in, 1 to <see cref="Newest"/>.</param>
/// <param name="Client">Her name.</param>
/// <param name="About">A line about her life and hair.</param>
/// <param name="StartsAt">Time of day the visit starts, HH:mm; the day is the one the file is loaded on.</param>
/// <param name="Hair">Her hair.</param>
/// <param name="Plan">The plan.</param>
/// <param name="PatchTestDaysAgo">How many days before the file is loaded her patch test was put on, and stayed
/// clear; null for none.</param>
public sealed record VisitFile(
    string Format,
    int Version,
    string Client,
    string About,
    string StartsAt,
    HairProfile Hair,
    Plan Plan,
    int? PatchTestDaysAgo = null
)
{
    /// <summary>What the format is called.</summary>
    public const string Name = "wendro-visit";

    /// <summary>The newest version read and written.</summary>
    public static int Newest => Documents.NewestOf(typeof(VisitFile));

    /// <summary>Writes a visit.</summary>
    public byte[] Write() => JsonSerializer.SerializeToUtf8Bytes(this, WendroJson.Strict);

    /// <summary>Reads a visit.</summary>
    /// <exception cref="FileRefusedException">Not such a file, newer than this program, or with fields it doesn't
    /// know.</exception>
    public static VisitFile Read(ReadOnlySpan<byte> utf8) => FileReading.Read<VisitFile>(utf8, Name);
}

/// <summary>Reading of files that say what they are.</summary>
internal static class FileReading
{
    public static T Read<T>(ReadOnlySpan<byte> utf8, string name)
    {
        try
        {
            var reader = new Utf8JsonReader(utf8);
            if (
                JsonNode.Parse(ref reader) is not JsonObject root
                || root["format"] is not JsonValue format
                || !format.TryGetValue(out string? said)
                || said != name
            )
            {
                throw new FileRefusedException($"This is not a {name} file: it does not say so in \"format\".");
            }

            if (root["version"] is not JsonValue version || !version.TryGetValue(out int number) || number < 1)
            {
                throw new FileRefusedException("The file does not say its version.");
            }

            Documents.BringUpToDate(typeof(T), root, number);
            return root.Deserialize<T>(WendroJson.Strict) ?? throw new FileRefusedException("The file is empty.");
        }
        catch (NewerDocumentException newer)
        {
            throw new FileRefusedException(newer.Message);
        }
        catch (JsonException problem)
        {
            throw new FileRefusedException(
                $"The file can't be read at {problem.Path ?? "its start"}: {problem.Message}"
            );
        }
    }
}

/// <summary>
/// Turns a plan read from a file into edits, so that it comes in by the same door as everything else.
/// </summary>
public static class PlanEdits
{
    /// <summary>Makes the plan on a head.</summary>
    /// <param name="plan">The plan as read.</param>
    /// <param name="cutting">The head.</param>
    /// <param name="problems">What can't be taken, by field; then the plan returned is incomplete and must not be
    /// kept.</param>
    public static Plan Make(Plan plan, Cutting cutting, out IReadOnlyList<Problem> problems)
    {
        ArgumentNullException.ThrowIfNull(plan);
        var made = Plan.Fresh(plan.Seed) with { Formulas = [], LowerFilm = plan.LowerFilm };
        var found = new List<Problem>();
        void Take(PlanEdit edit)
        {
            var applied = made.Apply(edit, cutting);
            found.AddRange(applied.Problems.Select(p => p with { Field = $"plan: {Name(edit)}.{p.Field}" }));
            made = applied.Plan;
        }

        foreach (var edit in PlanAsEdits.Of(plan))
        {
            Take(edit);
        }

        foreach (var edit in PlanAsEdits.LeftOf(plan, z => made.Zones[z].Paint.Keys).ToArray())
        {
            Take(edit);
        }

        problems = found;
        return made;
    }

    private static string Name(PlanEdit edit)
    {
        var name = edit.GetType().Name;
        return char.ToLowerInvariant(name[0]) + name[1..];
    }
}
