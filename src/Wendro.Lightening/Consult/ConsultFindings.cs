using Wendro.Blend;
using Wendro.Fall;
using Wendro.Hair;

namespace Wendro.Consult;

/// <summary>
/// What the consultation has to say of a planned blend: tests that are missing, and when she comes again.
/// </summary>
public static class ConsultFindings
{
    /// <summary>All of them.</summary>
    /// <param name="consultation">What was answered.</param>
    /// <param name="hair">Her hair.</param>
    /// <param name="measures">How the plan will look.</param>
    /// <param name="limits">What counts as wrong.</param>
    /// <param name="now">The time now.</param>
    public static IEnumerable<Finding> Of(
        Consultation consultation,
        HairProfile hair,
        Measures measures,
        FindingLimits limits,
        DateTimeOffset now
    )
    {
        ArgumentNullException.ThrowIfNull(consultation);
        ArgumentNullException.ThrowIfNull(measures);
        ArgumentNullException.ThrowIfNull(limits);
        var missing = Safety
            .Of(consultation, hair, now)
            .Where(p =>
                (p.Question == "strand" || IsPatch(p))
                && p.Standing is SafetyStatus.Stop or SafetyStatus.Caution
                && p.Reason is null
            )
            .ToArray();
        if (missing.Length > 0)
        {
            yield return new Finding(
                ConsultFault.TestsMissing,
                missing.Any(p => p.Standing == SafetyStatus.Stop || IsPatch(p)) ? Severity.Alarm : Severity.Caution,
                "Tests missing",
                string.Join(" ", missing.Select(p => $"{p.Title}: {p.Answer}. {p.Words}")),
                $"Patch test at least {Safety.PatchHours:0} hours old and clear; a strand test on hair that was "
                    + $"treated or is uncertain. Answered in Consult.",
                [],
                [],
                Wear.Down,
                [new("missing", missing.Length, "tests")]
            );
        }

        var early = consultation.WeeksBetween - measures.RegrowthWeeks;
        if (early > limits.RegrowthWeeks)
        {
            yield return new Finding(
                ConsultFault.RegrowthShows,
                early > 4 ? Severity.Caution : Severity.Note,
                "Regrowth shows before the next visit",
                $"What grows begins to show after about {measures.RegrowthWeeks:0} weeks; visits are every "
                    + $"{consultation.WeeksBetween:0}.",
                $"The steepest rise of any zone, at its blend or at the scalp: an edge is noticed once it has "
                    + $"moved as far as {Regrowth.Levels} levels take to rise there. A softer root shows later.",
                measures.SteepestZone is { } zone ? [zone] : [],
                [],
                Wear.Down,
                [new("early by", early, "weeks"), new("shows after", measures.RegrowthWeeks, "weeks")],
                new Stretch(0, Math.Max(1, measures.SteepestAtCm))
            );
        }
    }

    /// <summary>The lightener's patch test, or one of a colour: "patch", "patch 2" …</summary>
    private static bool IsPatch(SafetyPoint point) => point.Question.StartsWith("patch", StringComparison.Ordinal);
}
