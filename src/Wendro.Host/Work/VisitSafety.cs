using Wendro.Consult;
using Wendro.Plans;

namespace Wendro.Host.Work;

/// <summary>What a consultation means for the stages after it: stops stop painting, cautions stay in sight.</summary>
internal static class VisitSafety
{
    public static IReadOnlyList<string> Stops(VisitContext at) =>
        Safety.Stops(at.Visit.Consultation, at.Visit.Hair, at.Now).Select(Words).ToArray();

    public static IReadOnlyList<string> Cautions(VisitContext at) =>
        Safety
            .Of(at.Visit.Consultation, at.Visit.Hair, at.Now)
            .Where(p =>
                p.Standing == SafetyStatus.Caution && p.Reason is null && at.Head.Panels.Any(x => x.Painted is not null)
            )
            .Select(Words)
            .Concat(PlanCautions.Of(at.Head))
            .ToArray();

    /// <summary>What the day's list says is missing: stops, and the tests.</summary>
    public static IEnumerable<string> Missing(VisitContext at) =>
        Safety
            .Of(at.Visit.Consultation, at.Visit.Hair, at.Now)
            .Where(p =>
                p.Standing == SafetyStatus.Stop
                || (p.Question == "patch" && p.Standing == SafetyStatus.Caution && p.Reason is null)
            )
            .Select(p => p.Standing == SafetyStatus.Stop ? $"Stop. {p.Title}: {p.Answer}" : $"{p.Title}: {p.Answer}");

    private static string Words(SafetyPoint point) => $"{point.Title}: {point.Answer}. {point.Words}";
}
