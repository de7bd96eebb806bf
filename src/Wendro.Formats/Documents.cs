using System.IO.Compression;
using System.Text.Json;
using System.Text.Json.Nodes;
using Wendro.Apply;
using Wendro.Consult;
using Wendro.Hair;
using Wendro.Lift;
using Wendro.Mix;
using Wendro.Plans;
using Wendro.Record;
using Wendro.Review;
using Wendro.Toning;

namespace Wendro.Formats;

/// <summary>A document was written by a newer program; nothing was changed.</summary>
public sealed class NewerDocumentException(string what, int version, int newest)
    : Exception(
        $"This {what} was written by a newer Wendro (version {version}; this one reads up to {newest}). Update "
            + $"Wendro; nothing was changed."
    );

/// <summary>Takes a document one version further.</summary>
/// <param name="document">As it was written.</param>
public delegate void Upgrade(JsonObject document);

/// <summary>
/// Documents as they are stored: JSON that carries its version. What an older program wrote is brought up to date in
/// one chain, one step a version;
/// what a newer one wrote is refused. Plans are compressed: a studio keeps one for every edit.
/// </summary>
public static class Documents
{
    private const string Version = "documentVersion";

    /// <summary>First byte of a compressed document; JSON never begins with it.</summary>
    private const byte Packed = 1;

    /// <summary>Where a document that is a list of its own keeps it.</summary>
    private const string List = "list";

    /// <summary>
    /// The chain: for each kind of document the steps from version 1 on, in order. Its newest version is one more
    /// than it has steps. A step never
    /// changes once it was released; every version ever stored has a fixture that a test reads for ever.
    /// </summary>
    private static readonly Dictionary<Type, (string Words, Upgrade[] Steps)> Chain = new()
    {
        [typeof(HairProfile)] = ("hair profile", [OldPieces, LeftBehind]),
        [typeof(Consultation)] = ("consultation", [AskedAgain]),
        [typeof(OwnLift)] = ("note of how hair lifts", []),
        [typeof(Plan)] = ("plan", [Steps, HowRinsed]),
        [typeof(PlanEdit)] = ("edit", [Steps, HowRinsed]),
        [typeof(IReadOnlyList<PlanEdit>)] = ("pattern", [Steps, HowRinsed]),
        [typeof(Formula)] = ("formula", [Reflects]),
        [typeof(Recipe)] = ("recipe", []),
        [typeof(BowlEvent)] = ("weighing", [Adjusting]),
        [typeof(ServiceFact)] = ("fact of a service", []),
        [typeof(ReviewFact)] = ("fact of a review", [Photographed, Marked]),
        [typeof(ToneFact)] = ("fact of a toning", [OnTheScale]),
        [typeof(RecordFact)] = ("fact of what is kept", []),
        [typeof(VisitSum)] = ("sum of a visit", [Promised]),
        [typeof(TonePlan)] = ("way of toning", []),
        [typeof(Product)] = ("product", []),
        [typeof(HouseRules)] = ("set of house rules", [HowRinsed, AtOnce]),
        [typeof(PlanFile)] = ("plan file", [Steps, LeftBehind, HowRinsed]),
        [typeof(VisitFile)] = ("visit file", [Steps, LeftBehind, HowRinsed]),
    };

    // What version 1 had not, and means as it stands: an older program must say it can't read it, not lose it.

    /// <summary>Version 2: a plan has steps, paint can melt, colours have a reflect and a base.</summary>
    private static void Steps(JsonObject document) { }

    /// <summary>Version 2: old pieces are marked on the map.</summary>
    private static void OldPieces(JsonObject document) { }

    /// <summary>Version 3: hair is told in the pieces that earlier visits left.</summary>
    private static void LeftBehind(JsonObject document) { }

    /// <summary>The next version: whether panels are rinsed in rinses or once is planned.</summary>
    private static void HowRinsed(JsonObject document) { }

    /// <summary>Version 3: how many hands and basins there are.</summary>
    private static void AtOnce(JsonObject document) { }

    /// <summary>Version 2: a colour has a reflect and a base.</summary>
    private static void Reflects(JsonObject document) { }

    /// <summary>Version 2: a mixed bowl is thickened or loosened.</summary>
    private static void Adjusting(JsonObject document) { }

    /// <summary>Version 2: a level is read from a photograph.</summary>
    private static void Photographed(JsonObject document) { }

    /// <summary>Version 3: places are marked, lessons kept, an undertone is read.</summary>
    private static void Marked(JsonObject document) { }

    /// <summary>Version 2: a toner's bowl is weighed.</summary>
    private static void OnTheScale(JsonObject document) { }

    /// <summary>Version 2: answers about health were left out, and are asked again.</summary>
    private static void AskedAgain(JsonObject document) { }

    /// <summary>Version 2: what was promised is kept as it was said.</summary>
    private static void Promised(JsonObject document) { }

    /// <summary>Kinds of documents that are stored.</summary>
    public static IEnumerable<Type> Kinds => Chain.Keys;

    /// <summary>The newest version of a kind of document.</summary>
    public static int NewestOf(Type kind) => Chain[kind].Steps.Length + 1;

    /// <summary>A document as JSON with its version.</summary>
    public static string Write<T>(T document)
    {
        var node = JsonSerializer.SerializeToNode(document, WendroJson.Options);
        var whole = node as JsonObject ?? new JsonObject { [List] = node };
        whole[Version] = NewestOf(typeof(T));
        return whole.ToJsonString(WendroJson.Options);
    }

    /// <summary>Reads a document of any version up to the newest.</summary>
    /// <exception cref="NewerDocumentException">A newer program wrote it.</exception>
    public static T Read<T>(string json) => Read<T>(JsonNode.Parse(json));

    /// <summary>A document as compressed JSON with its version.</summary>
    public static byte[] WriteCompressed<T>(T document)
    {
        using var memory = new MemoryStream();
        memory.WriteByte(Packed);
        using (var packed = new BrotliStream(memory, CompressionLevel.Optimal))
        {
            packed.Write(System.Text.Encoding.UTF8.GetBytes(Write(document)));
        }

        return memory.ToArray();
    }

    /// <summary>Reads a compressed document, or one that was stored before documents were compressed.</summary>
    /// <exception cref="NewerDocumentException">A newer program wrote it.</exception>
    public static T ReadCompressed<T>(byte[] stored)
    {
        ArgumentNullException.ThrowIfNull(stored);
        if (stored is not [Packed, ..])
        {
            return Read<T>(JsonNode.Parse(stored));
        }

        using var packed = new BrotliStream(new MemoryStream(stored, 1, stored.Length - 1), CompressionMode.Decompress);
        return Read<T>(JsonNode.Parse(packed));
    }

    /// <summary>Brings a document up to date, in place, from the version that it or its file says it has.</summary>
    /// <param name="kind">Which kind.</param>
    /// <param name="document">The document.</param>
    /// <param name="version">Its version.</param>
    /// <exception cref="NewerDocumentException">A newer program wrote it.</exception>
    public static void BringUpToDate(Type kind, JsonObject document, int version)
    {
        var (words, steps) = Chain[kind];
        if (version > steps.Length + 1)
        {
            throw new NewerDocumentException(words, version, steps.Length + 1);
        }

        foreach (var step in steps.Skip(version - 1))
        {
            step(document);
        }
    }

    private static T Read<T>(JsonNode? node)
    {
        // Lists were stored bare before documents had versions, and so was every object: that is version 1.
        var whole = node as JsonObject ?? new JsonObject { [List] = node };
        var version = whole[Version]?.GetValue<int>() ?? 1;
        whole.Remove(Version);
        BringUpToDate(typeof(T), whole, version);
        var document = whole.ContainsKey(List) ? whole[List] : whole;
        return document.Deserialize<T>(WendroJson.Options)!;
    }
}
