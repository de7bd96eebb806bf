using Wendro.Core.Hair;
using Wendro.Core.Head;
using Wendro.Core.Units;

namespace Wendro.Core.Consult;

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

        Problem.Range(found, "cut.hemCm", hair.Cut.HemCm, 16, 75, "cm");
        Problem.Range(found, "cut.layersCm", hair.Cut.LayersCm, 0, 30, "cm");
        Problem.Range(found, "cut.faceLayersCm", hair.Cut.FaceLayersCm, 0, 30, "cm");
        Problem.Range(found, "greyShare", hair.GreyShare, 0, 1, string.Empty);
        if (hair.Cut.FringeCm is { } fringe)
        {
            Problem.Range(found, "cut.fringeCm", fringe, 4, 20, "cm");
        }

        if (hair.Cut.EvenCm is { } even)
        {
            Problem.Range(found, "cut.evenCm", even, 3, 60, "cm");
        }

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
        if (hair.Own is { } own)
        {
            Problem.Range(found, "own.speed", own.Speed, 0.1, 10, string.Empty);
            Problem.Range(found, "own.capLevels", own.CapLevels, -5, 5, "levels");
            Problem.Range(found, "own.speedSpread", own.SpeedSpread, 0, 2, string.Empty);
            Problem.Range(found, "own.capSpread", own.CapSpread, 0, 5, "levels");
            Problem.Range(found, "own.together", own.Together, -1, 1, string.Empty);
        }

        return found;
    }

    /// <summary>What can't be so about the answers; fields as in their record.</summary>
    /// <param name="consultation">The answers.</param>
    /// <param name="now">The time now: nothing was tested tomorrow.</param>
    public static IReadOnlyList<Problem> Of(Consultation consultation, DateTimeOffset now)
    {
        ArgumentNullException.ThrowIfNull(consultation);
        var found = new List<Problem>();
        Nothing(found, "overrides", consultation.GonePast);
        Nothing(found, "strand.readings", consultation.Strand?.Readings ?? []);
        if (found.Count > 0)
        {
            return found;
        }

        if (consultation.Patch is { } patch && patch.At > now)
        {
            found.Add(new("patch.at", "In the future: a test is noted once it was put on."));
        }

        Problem.Range(found, "minutesToday", consultation.MinutesToday, 30, 600, "min");
        Problem.Range(found, "weeksBetween", consultation.WeeksBetween, 2, 52, "weeks");
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
            Problem.Range(found, $"marked[{i}].x", marks[i].X, -20, 20, "cm");
            Problem.Range(found, $"marked[{i}].y", marks[i].Y, -22, 16, "cm");
            Problem.Range(found, $"marked[{i}].radiusCm", marks[i].RadiusCm, Mark.LeastCm, Mark.MostCm, "cm");
            if (!Enum.IsDefined(marks[i].Kind))
            {
                found.Add(new($"marked[{i}].kind", "swirl, breakage, babyHair or undercut."));
            }
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

            Problem.Range(found, $"{field}.greyShare", there.GreyShare ?? 0, 0, 1, string.Empty);
        }
    }
}
