using Wendro.Hair;
using Wendro.Head;
using Wendro.Units;

namespace Wendro.Consult;

/// <summary>Checks what was read and answered: by field, nothing is taken half.</summary>
public static class ConsultChecks
{
    private const int LongestReason = 300;
    private const int LongestWords = 4000;
    private const int MostReadings = 40;
    private const int MostBands = 12;
    private const int MostMarks = 24;

    /// <summary>What can't be so about a head of hair; fields as in its record.</summary>
    public static IReadOnlyList<Problem> Of(HairProfile hair)
    {
        ArgumentNullException.ThrowIfNull(hair);
        var found = new List<Problem>();
        Nothing(found, "history", hair.Bands);
        Nothing(found, "marked", hair.Marks);
        if (found.Count > 0)
        {
            return found;
        }

        found.AddRange(WithinAttribute.Outside(hair));
        found.AddRange(WithinAttribute.Outside(hair.Cut, "cut"));
        Marks(found, hair.Marks);
        ByZone(found, hair.ByZone ?? new Dictionary<Zone, ZoneHair>());
        if (hair.Bands.Count > MostBands)
        {
            found.Add(new("history", $"At most {MostBands} bands."));
        }

        found.AddRange(
            StrandHistory
                .Problems(hair.Bands, hair.Cut.LongestCm)
                .Select(p => new Problem($"history[{p.Band}].{p.Field}", p.Words))
        );
        if (hair.Pieces is { } pieces)
        {
            found.AddRange(PieceChecks.Of(pieces, hair.Cut.LongestCm));
        }

        if (hair.Own is { } own)
        {
            found.AddRange(WithinAttribute.Outside(own, "own"));
        }

        return found;
    }

    private const int MostPatches = 6;
    private const int LongestProduct = 60,
        LongestLot = 40;

    private static void Patch(List<Problem> found, string field, PatchTest patch, DateTimeOffset now)
    {
        if (patch.At > now)
        {
            found.Add(new($"{field}.at", "In the future: a test is noted once it was put on."));
        }

        if (patch.Product?.Length > LongestProduct)
        {
            found.Add(new($"{field}.product", $"Up to {LongestProduct} letters."));
        }

        if (patch.Lot?.Length > LongestLot)
        {
            found.Add(new($"{field}.lot", $"Up to {LongestLot} letters."));
        }
    }

    /// <summary>What can't be so about the answers; fields as in their record.</summary>
    /// <param name="consultation">The answers.</param>
    /// <param name="now">The time now: nothing was tested tomorrow.</param>
    public static IReadOnlyList<Problem> Of(Consultation consultation, DateTimeOffset now)
    {
        ArgumentNullException.ThrowIfNull(consultation);
        var found = new List<Problem>();
        Nothing(found, "overrides", consultation.GonePast);
        Nothing(found, "patches", consultation.OfColours);
        Nothing(found, "strand.readings", consultation.Strand?.Readings ?? []);
        if (found.Count > 0)
        {
            return found;
        }

        if (consultation.Patch is { } first)
        {
            Patch(found, "patch", first, now);
        }

        if (consultation.OfColours.Count > MostPatches)
        {
            found.Add(new("patches", $"At most {MostPatches} patch tests of colours."));
        }

        for (var i = 0; i < consultation.OfColours.Count; i++)
        {
            Patch(found, $"patches[{i}]", consultation.OfColours[i], now);
        }

        found.AddRange(WithinAttribute.Outside(consultation));
        if (consultation.Strand is { } strand)
        {
            if (strand.Readings.Count > MostReadings)
            {
                found.Add(new("strand.readings", $"At most {MostReadings} readings."));
            }

            for (var i = 0; i < strand.Readings.Count; i++)
            {
                Problem.Range(found, $"strand.readings[{i}].minutes", strand.Readings[i].Minutes, 0.5, 120, "min");
            }
        }

        for (var i = 0; i < consultation.GonePast.Count; i++)
        {
            if (
                string.IsNullOrWhiteSpace(consultation.GonePast[i].Reason)
                || consultation.GonePast[i].Reason.Length > LongestReason
            )
            {
                found.Add(new($"overrides[{i}].reason", $"Say why, in up to {LongestReason} letters."));
            }
        }

        if (consultation.Words?.Length > LongestWords)
        {
            found.Add(new("words", $"Up to {LongestWords} letters."));
        }

        return found;
    }

    /// <summary>A list from outside can hold nothing where something should be.</summary>
    private static void Nothing<T>(List<Problem> found, string field, IReadOnlyList<T> list)
        where T : class
    {
        for (var i = 0; i < list.Count; i++)
        {
            if (list[i] is null)
            {
                found.Add(new($"{field}[{i}]", "There is nothing here."));
            }
        }
    }

    private static void Marks(List<Problem> found, IReadOnlyList<Mark> marks)
    {
        if (marks.Count > MostMarks)
        {
            found.Add(new("marked", $"At most {MostMarks} marks."));
        }

        for (var i = 0; i < marks.Count; i++)
        {
            found.AddRange(WithinAttribute.Outside(marks[i], $"marked[{i}]"));
            Problem.Known(found, $"marked[{i}].kind", marks[i].Kind);
        }
    }

    private static void ByZone(List<Problem> found, IReadOnlyDictionary<Zone, ZoneHair> zones)
    {
        foreach (var (zone, there) in zones)
        {
            var field = $"byZone.{char.ToLowerInvariant(zone.ToString()[0])}{zone.ToString()[1..]}";
            if (!Enum.IsDefined(zone) || there is null)
            {
                found.Add(new(field, "A zone of the head and what differs there."));
                continue;
            }

            found.AddRange(WithinAttribute.Outside(there, field));
        }
    }
}
