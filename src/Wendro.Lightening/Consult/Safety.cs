using Wendro.Hair;

namespace Wendro.Consult;

/// <summary>How a safety question stands. A stop stops; a caution can be gone past with a reason.</summary>
public enum SafetyStatus
{
    Stop,
    Caution,
    Ask,
    Clear,
}

/// <summary>One safety question and how it stands.</summary>
/// <param name="Question">patch, reacted, scalp, salts, strand, condition or age.</param>
/// <param name="Standing">How it stands.</param>
/// <param name="Title">The question, short.</param>
/// <param name="Answer">The answer, short.</param>
/// <param name="Words">What to do about it; empty when clear.</param>
/// <param name="Reason">The reason it was gone past with; null when it was not.</param>
public sealed record SafetyPoint(
    string Question,
    SafetyStatus Standing,
    string Title,
    string Answer,
    string Words,
    string? Reason = null
);

/// <summary>
/// The usual questions before anything is mixed. They defer to leaflet, local rules and licensed practice.
/// </summary>
public static class Safety
{
    /// <summary>A patch test says something after this long, hours. Trade.</summary>
    public const double PatchHours = 48;

    /// <summary>
    /// A clear patch test is done again after this long, days. Model assumption: products and people change.
    /// </summary>
    public const double PatchDays = 180;

    /// <summary>How every question stands, worst first.</summary>
    /// <param name="consultation">What was answered.</param>
    /// <param name="hair">Her hair.</param>
    /// <param name="now">The time now.</param>
    public static IReadOnlyList<SafetyPoint> Of(Consultation consultation, HairProfile hair, DateTimeOffset now)
    {
        ArgumentNullException.ThrowIfNull(consultation);
        ArgumentNullException.ThrowIfNull(hair);
        SafetyPoint[] points =
        [
            Patch(consultation.Patch, "patch", now),
            .. consultation.OfColours.Select((p, i) => Patch(p, $"patch {i + 2}", now)),
            Reacted(consultation.Reacted),
            ScalpToday(consultation.Scalp),
            SaltsInIt(consultation.Salts),
            Shape(hair.Condition),
            Age(consultation.Adult, consultation.AtHome),
            Strand(consultation, hair),
        ];
        return points
            .Select(p =>
                consultation.AskAgain && p.Standing == SafetyStatus.Ask && AskedAgain.Contains(p.Question)
                    ? LeftOut(p)
                    : p
            )
            .Select(p =>
                p.Standing == SafetyStatus.Caution
                && consultation.GonePast.LastOrDefault(o => o.Question == p.Question) is { } past
                    ? p with
                    {
                        Reason = past.Reason,
                    }
                    : p
            )
            .OrderBy(p => p.Standing)
            .ToArray();
    }

    /// <summary>The stops that stand: nothing is painted while there is one.</summary>
    public static IReadOnlyList<SafetyPoint> Stops(Consultation consultation, HairProfile hair, DateTimeOffset now) =>
        Of(consultation, hair, now).Where(p => p.Standing == SafetyStatus.Stop).ToArray();

    /// <summary>
    /// Questions about health that stop while they were left out of what came in and not asked again.
    /// </summary>
    private static readonly string[] AskedAgain = ["reacted", "scalp", "salts"];

    private static SafetyPoint LeftOut(SafetyPoint point) =>
        point with
        {
            Standing = SafetyStatus.Stop,
            Answer = "left out",
            Words = "This came without the answers about health. Ask again before anything is mixed.",
        };

    /// <summary>What to do about any reaction.</summary>
    private const string IfItSpreads =
        "Product off, seek medical advice; if the face swells or breathing is hard, call the emergency number.";

    private static string Named(PatchTest patch) =>
        patch.Product is { } product
            ? patch.Lot is { } lot
                ? $"{product}, lot {lot}"
                : product
            : "this product";

    private static string Lot(PatchTest patch) => patch.Lot is { } lot ? $", lot {lot}" : string.Empty;

    private static SafetyPoint Patch(PatchTest? patch, string question, DateTimeOffset now)
    {
        var title = patch?.Product is { } product ? $"Patch test, {product}" : "Patch test";
        if (patch is null)
        {
            return new(
                question,
                SafetyStatus.Caution,
                title,
                "none",
                $"Do one, {PatchHours:0} hours before the visit."
            );
        }

        var hours = (now - patch.At).TotalHours;
        var ago = hours < PatchHours ? $"{Math.Max(hours, 0):0} hours ago" : $"{hours / 24:0} days ago";
        return patch.Result switch
        {
            PatchResult.Reacted => new(
                question,
                SafetyStatus.Stop,
                title,
                "reacted",
                $"The client reacted: none of {Named(patch)} today. {IfItSpreads}"
            ),
            _ when hours < PatchHours => new(
                question,
                SafetyStatus.Caution,
                title,
                ago,
                $"Too early to tell: {PatchHours:0} hours are needed."
            ),
            PatchResult.Waiting => new(
                question,
                SafetyStatus.Caution,
                title,
                $"{ago}, not read",
                "Look at it and note what came."
            ),
            _ when hours > PatchDays * 24 => new(
                question,
                SafetyStatus.Caution,
                title,
                $"{ago}, clear{Lot(patch)}",
                "Long ago: do it again."
            ),
            _ => new(question, SafetyStatus.Clear, title, $"{ago}, clear{Lot(patch)}", string.Empty),
        };
    }

    private static SafetyPoint Reacted(bool? reacted) =>
        reacted switch
        {
            true => new(
                "reacted",
                SafetyStatus.Stop,
                "Earlier reaction",
                "yes",
                $"An allergy or reaction is a stop. A doctor decides, not the studio. {IfItSpreads}"
            ),
            false => new("reacted", SafetyStatus.Clear, "Earlier reaction", "none", string.Empty),
            null => new(
                "reacted",
                SafetyStatus.Ask,
                "Earlier reaction",
                "not asked",
                "Ask about any reaction to colour or lightener."
            ),
        };

    private static SafetyPoint ScalpToday(Scalp? scalp) =>
        scalp switch
        {
            Consult.Scalp.Broken => new(
                "scalp",
                SafetyStatus.Stop,
                "Scalp",
                "broken or scratched",
                "No lightener on broken or freshly scratched scalp. Another day."
            ),
            Consult.Scalp.Irritated => new(
                "scalp",
                SafetyStatus.Stop,
                "Scalp",
                "irritated",
                "No lightener while the scalp is irritated. Another day."
            ),
            Consult.Scalp.Calm => new("scalp", SafetyStatus.Clear, "Scalp", "calm", string.Empty),
            null => new("scalp", SafetyStatus.Ask, "Scalp", "not looked at", "Part the hair and look."),
        };

    private static SafetyPoint SaltsInIt(Salts? salts) =>
        salts switch
        {
            Consult.Salts.Yes => new(
                "salts",
                SafetyStatus.Stop,
                "Metallic salts, henna",
                "in the hair",
                "It can heat up and break the hair: no lightener on it."
            ),
            Consult.Salts.NotSure => new(
                "salts",
                SafetyStatus.Caution,
                "Metallic salts, henna",
                "not sure",
                "Test a strand in the product before anything else."
            ),
            Consult.Salts.None => new("salts", SafetyStatus.Clear, "Metallic salts, henna", "none", string.Empty),
            null => new(
                "salts",
                SafetyStatus.Ask,
                "Metallic salts, henna",
                "not asked",
                "Ask for henna, restorers and home colour."
            ),
        };

    private static SafetyPoint Shape(Condition condition) =>
        condition switch
        {
            Condition.Breaking => new(
                "condition",
                SafetyStatus.Stop,
                "Breakage",
                "breaking",
                "Breaking hair is treated, not lightened."
            ),
            Condition.Dry => new(
                "condition",
                SafetyStatus.Caution,
                "Breakage",
                "dry and rough",
                "Weaker developer, shorter time, a strand test first."
            ),
            Condition.Sound => new("condition", SafetyStatus.Clear, "Breakage", "none", string.Empty),
        };

    private static SafetyPoint Age(bool? adult, bool atHome) =>
        (adult, atHome) switch
        {
            (false, _) => new(
                "age",
                SafetyStatus.Stop,
                "18 or over",
                "no",
                "Not for children. Under age, lightening waits, whoever asks for it."
            ),
            (true, true) => new(
                "age",
                SafetyStatus.Caution,
                "At home",
                "yes",
                "At home: kit leaflet in hand, gloves, open window, water at hand, somebody to help; stop at the "
                    + "first burning."
            ),
            (true, false) => new("age", SafetyStatus.Clear, "18 or over", "yes", string.Empty),
            _ => new("age", SafetyStatus.Ask, "18 or over", "not asked", "Ask for the client's age."),
        };

    private static SafetyPoint Strand(Consultation consultation, HairProfile hair)
    {
        var readings = consultation.Strand?.Readings.Count ?? 0;
        var unsure =
            hair.Coloured
            || hair.Bands.Any(b => b.State != BandState.Natural)
            || consultation.Salts == Consult.Salts.NotSure
            || hair.Condition != Condition.Sound;
        return (readings, unsure) switch
        {
            (> 0, _) => new(
                "strand",
                SafetyStatus.Clear,
                "Strand test",
                readings == 1 ? "one reading" : $"{readings} readings",
                string.Empty
            ),
            (_, true) => new(
                "strand",
                SafetyStatus.Caution,
                "Strand test",
                "none",
                "Treated or uncertain hair: test a strand first."
            ),
            _ => new(
                "strand",
                SafetyStatus.Ask,
                "Strand test",
                "none",
                "One reading makes every forecast here more certain."
            ),
        };
    }
}
