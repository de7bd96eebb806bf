using Wendro.Apply;
using Wendro.Blend;
using Wendro.Consult;
using Wendro.Hair;
using Wendro.Plans;
using Wendro.Review;
using Wendro.Section;
using Wendro.Toning;

namespace Wendro.Record;

/// <summary>A stage of a visit, in the order of the work.</summary>
public enum Stage
{
    Consult,
    Section,
    Paint,
    Mix,
    Apply,
    Review,
    Tone,
    Record,
}

/// <summary>
/// Which stages of a visit have had their own work done: what a colourist would tick off, not where somebody has
/// been.
/// </summary>
public static class StagesDone
{
    /// <summary>The stages done, in order.</summary>
    /// <param name="consultation">What was asked and answered.</param>
    /// <param name="hair">Her hair.</param>
    /// <param name="mix">The plan and its bowls.</param>
    /// <param name="service">What happened at the chair; null where nothing did.</param>
    /// <param name="review">What was read and decided; null while nothing was.</param>
    /// <param name="toning">How she is toned, and what happened; null while nothing was chosen.</param>
    /// <param name="kept">What was said when it was put away; null while nothing was.</param>
    /// <param name="rules">What a plan not begun looks like in this studio.</param>
    /// <param name="now">The time now.</param>
    public static IReadOnlyList<Stage> Of(
        Consultation consultation,
        HairProfile hair,
        PlannedMix mix,
        ServiceInHand? service,
        ReviewInHand? review,
        ToningInHand? toning,
        RecordInHand? kept,
        HouseRules rules,
        DateTimeOffset now
    )
    {
        ArgumentNullException.ThrowIfNull(mix);
        ArgumentNullException.ThrowIfNull(rules);
        return Enum.GetValues<Stage>()
            .Where(s =>
                s switch
                {
                    Stage.Consult => IsAsked(consultation, hair, now),
                    Stage.Section => IsDivided(mix.Head.Plan, rules),
                    Stage.Paint => IsPainted(mix.Head),
                    Stage.Mix => IsMixed(mix),
                    // Apply: every step is rinsed, washed and read.
                    Stage.Apply => service?.IsDone == true,
                    // Review: something was read, and what now is decided.
                    Stage.Review => review?.IsDone == true,
                    // Tone: every area chosen was put on and rinsed.
                    Stage.Tone => toning?.IsDone == true,
                    // Keep: the record is put away.
                    Stage.Record => kept?.IsDone == true,
                }
            )
            .ToArray();
    }

    /// <summary>
    /// Consult: every safety question is answered and none stops; a caution was cleared or overridden with a reason.
    /// A strand test is only needed
    /// where it is a caution: on hair that was treated or is uncertain.
    /// </summary>
    private static bool IsAsked(Consultation consultation, HairProfile hair, DateTimeOffset now) =>
        Safety
            .Of(consultation, hair, now)
            .All(p =>
                p.Standing switch
                {
                    SafetyStatus.Clear => true,
                    SafetyStatus.Caution => p.Reason is not null,
                    SafetyStatus.Ask => p.Question == "strand",
                    SafetyStatus.Stop => false,
                }
            );

    /// <summary>
    /// Section: the head is divided otherwise than a plan not begun: cut, left out, framed, ordered or parted.
    /// </summary>
    private static bool IsDivided(Plan plan, HouseRules rules)
    {
        var fresh = Plan.Fresh(plan.Seed, rules);
        return plan.Part != fresh.Part
            || plan.Frame != fresh.Frame
            || plan.Order is not null
            || !plan.Regions.SequenceEqual(fresh.Regions)
            || plan.Zones.Any(z => z.Value.Excluded is not null || z.Value.Sections != fresh.Zones[z.Key].Sections);
    }

    /// <summary>Paint: something is painted, and the second look has no alarm left that was not set aside.</summary>
    private static bool IsPainted(PlannedHead head) =>
        head.Panels.Any(p => p.Coats.Count > 0) && head.Findings.All(f => f.Severity != Severity.Alarm);

    /// <summary>Mix: every bowl that the plan needs is weighed.</summary>
    private static bool IsMixed(PlannedMix mix) =>
        mix.Bowls.Count > 0 && mix.Bowls.All(b => b.Begun is { InHand.IsDone: true });
}
