using Wendro.Colour;
using Wendro.Hair;
using Wendro.Lift;
using Wendro.Paint;
using Wendro.Timing;
using Wendro.Units;

namespace Wendro.Desk;

/// <summary>How a typed line was read, and what it comes to; or what can't be read of it.</summary>
/// <param name="Sum">Which sum.</param>
/// <param name="ReadAs">How it was read, in words.</param>
/// <param name="Result">What it comes to, in a line.</param>
/// <param name="Why">How that came about.</param>
/// <param name="Question">The question.</param>
/// <param name="Answer">The answer.</param>
/// <param name="Problems">What can't be read; then there is no answer.</param>
public sealed record ShortRead(
    string Sum,
    Sentence ReadAs,
    Sentence Result,
    Sentence Why,
    object? Question,
    object? Answer,
    IReadOnlyList<Problem> Problems
);

/// <summary>
/// Understands a short line as it is typed at the chair. What a line does not say of the hair is taken as medium,
/// normal, uncoloured, in open air;
/// how it was read is said every time. Total: any text gets an answer or a word.
/// </summary>
public static class ShortEntry
{
    /// <summary>Longest line, characters.</summary>
    public const int Longest = 2000;

    /// <summary>Lines that show what can be typed.</summary>
    public static IReadOnlyList<string> Examples { get; } =
    [
        "25 vol 60 g from 20 40",
        "1:2 90 g",
        "1:1.5 40 g 70 g bowl 250",
        "3%",
        "90 g",
        "3 cm",
        "5 to 8 clay 30 vol film",
        "5 clay 30 vol 35 min",
        "8 pearl on 9 20 min",
        "10-20 15-30 40-50",
        "4 to 9 visits",
    ];

    /// <summary>Reads a line.</summary>
    public static ShortRead Read(string? text)
    {
        if (string.IsNullOrWhiteSpace(text))
        {
            return No($"Type a sum, such as {Examples[0]}.");
        }

        if (text.Length > Longest)
        {
            return No($"At most {Longest} characters.");
        }

        var words = new ShortWords(text);
        if (words.Stranger is { } stranger)
        {
            return No($"\"{stranger}\" means nothing here. Such lines do: {string.Join(" · ", Examples)}.");
        }

        return Rinse(words)
            ?? Ratio(words)
            ?? Tone(words)
            ?? Visits(words)
            ?? Lift(words)
            ?? DeveloperBlend(words)
            ?? Strength(words)
            ?? Regrowth(words)
            ?? Ounces(words)
            ?? No($"I can't make a sum of that. Such lines work: {string.Join(" · ", Examples)}.");
    }

    private static ShortRead? Rinse(ShortWords w) =>
        w.Ranges.Count > 0 && w.AreOnly(TokenKind.Range, TokenKind.Rinse)
            ? Told(
                "rinse",
                $"rinse waves for {w.Ranges.Count} windows",
                new RinseQuestion(w.Ranges.Select(r => new RinseWindow(r.From, r.To)).ToArray()),
                DeskSums.Of,
                a =>
                    $"{a.Rinses.Count} {(a.Rinses.Count == 1 ? "wave" : "waves")}: minute "
                    + $"{string.Join(", ", a.Rinses.Select(m => $"{m:0.##}"))}",
                a => a.Why
            )
            : null;

    private static ShortRead? Ratio(ShortWords w)
    {
        if (w.Ratio is not { } ratio)
        {
            return null;
        }

        var grams = w.Grams;
        if (grams.Count == 1 && w.AreOnly(TokenKind.Ratio, TokenKind.Mass))
        {
            return Told(
                "batch",
                $"{Quantity.Grams(grams[0], "0.##")} mixed at {ratio.From:0.##} : {ratio.To:0.##}",
                new BatchQuestion(grams[0], ratio.From, ratio.To),
                DeskSums.Of,
                a =>
                    $"{Quantity.Grams(a.LightenerGrams, "0.0")} lightener + "
                    + $"{Quantity.Grams(a.DeveloperGrams, "0.0")} developer",
                a => a.Why
            );
        }

        if (grams.Count == 2)
        {
            var holds = w.After(TokenKind.Bowl);
            Sentence room = holds is { } b ? (Sentence)$", it holds {Quantity.Grams(b, "0.##")}" : string.Empty;
            return Told(
                "rescue",
                $"{Quantity.Grams(grams[0], "0.##")} lightener and {Quantity.Grams(grams[1], "0.##")} developer "
                    + $"in the bowl, wanted {ratio.From:0.##} : "
                    + $"{ratio.To:0.##}{room}",
                new RescueQuestion(ratio.From, ratio.To, grams[0], grams[1], holds),
                DeskSums.Of,
                a =>
                    $"{ToAdd(a)}: {Quantity.Grams(a.TotalGrams, "0.0")} in all"
                    + $"{(a.Fits ? string.Empty : ", more than the bowl holds")}",
                a => a.Why
            );
        }

        return No("A ratio wants grams: 1:2 90 g for a batch, 1:1.5 40 g 70 g for what is in the bowl.");
    }

    private static ShortRead? Tone(ShortWords w)
    {
        if (w.Word<Reflect>() is not { } reflect)
        {
            return null;
        }

        var plain = w.Plain;
        return plain.Count != 2
            ? No("A toner wants its depth and the hair's level: 8 pearl on 9 20 min.")
            : Told(
                "tone",
                $"toner level {plain[0]:0.#} {Name(reflect)} on level {plain[1]:0.#}, {w.Minutes ?? 20:0.#} min, "
                    + $"{Name(w.Word<Dryness>() ?? Dryness.Damp)}",
                new ToneQuestion(
                    plain[1],
                    w.Word<Porosity>() ?? Porosity.Normal,
                    w.Word<Dryness>() ?? Dryness.Damp,
                    w.Minutes ?? 20,
                    plain[0],
                    reflect
                ),
                DeskSums.Of,
                a => $"{a.Neutralised:P0} of the warmth neutralised, left: {a.Remaining} ({a.Hex})",
                a => a.Why
            );
    }

    private static ShortRead? Visits(ShortWords w) =>
        w.Has(TokenKind.Visits)
            ? w.Plain is [var from, var to]
                ? Told(
                    "visits",
                    $"visits from level {from:0.#} to {to:0.#}, {Name(Thick(w))} hair",
                    new VisitsQuestion(
                        from,
                        to,
                        Thick(w),
                        w.Word<Porosity>() ?? Porosity.Normal,
                        w.Has(TokenKind.Coloured)
                    ),
                    DeskSums.Of,
                    a =>
                        a.Visits.Count == 0
                            ? "none: it is there, or out of reach"
                            : (a.Reached ? string.Empty : "not reached: ")
                                + string.Join(", then ", a.Visits.Select(v => $"{v.Level:0.0} ± {v.HalfWidth:0.0}")),
                    a => a.Why
                )
                : No("Visits want two levels: 4 to 9 visits.")
            : null;

    private static ShortRead? Lift(ShortWords w)
    {
        var lightener = w.Word<Lightener>();
        var covering = w.Word<Covering>();
        if (lightener is null && covering is null && !(w.Plain.Count == 2 && w.Has(TokenKind.To)))
        {
            return null;
        }

        var with = lightener ?? Lightener.Clay;
        var under = covering ?? Covering.Open;
        var volume = w.Volumes.Count > 0 ? w.Volumes[0] : 30;
        var said =
            $"{Remedies.Words(with)}, {volume:0.#} vol, {Remedies.Words(under)}, {Name(Thick(w))} "
            + "hair"
            + (w.Has(TokenKind.Coloured) ? ", coloured" : string.Empty)
            + (w.Has(TokenKind.Heat) ? ", low heat" : string.Empty);
        var porosity = w.Word<Porosity>() ?? Porosity.Normal;
        return w.Plain switch
        {
            [var from, var to] => Told(
                "time",
                $"minutes from level {from:0.#} to {to:0.#}: {said}",
                new TimeQuestion(
                    from,
                    Thick(w),
                    porosity,
                    with,
                    volume,
                    under,
                    to,
                    w.Has(TokenKind.Coloured),
                    w.Has(TokenKind.Heat)
                ),
                DeskSums.Of,
                a => a.Because,
                a => a.Why
            ),
            [var from] when w.Minutes is { } minutes => Told(
                "lift",
                $"level {from:0.#} after {minutes:0.#} min: {said}",
                new LiftQuestion(
                    from,
                    Thick(w),
                    porosity,
                    with,
                    volume,
                    under,
                    minutes,
                    w.Has(TokenKind.Coloured),
                    w.Has(TokenKind.Heat)
                ),
                DeskSums.Of,
                a => $"level {a.Level:0.0}, {a.Undertone}; dry after {a.DriesAtMinutes:0} min",
                a => a.Why
            ),
            _ => No("A lightener wants a level and minutes, or two levels: 5 clay 30 vol 35 min, 5 to 8 clay 30 vol."),
        };
    }

    private static ShortRead? DeveloperBlend(ShortWords w)
    {
        if (w.Has(TokenKind.From) && w.Volumes.Count > 0)
        {
            var at = w.Volumes.Skip(1).Concat(w.Plain).ToArray();
            return w.Grams is [var grams] && at.Length > 0
                ? Told(
                    "developer",
                    $"{Quantity.Grams(grams, "0.##")} developer {w.Volumes[0]:0.#} vol from "
                        + $"{string.Join(" and ", at.Select(v => $"{v:0.#}"))} vol",
                    new DeveloperQuestion(w.Volumes[0], grams, at),
                    DeskSums.Of,
                    a =>
                        Sentence.Join(
                            " + ",
                            a.Parts.Select(p => (Sentence)$"{Quantity.Grams(p.Grams, "0.0")} of {p.Volume:0.#} vol")
                        ),
                    a => a.Why
                )
                : No("A developer wants its grams and what is at hand: 25 vol 60 g from 20 40.");
        }

        return null;
    }

    private static ShortRead? Strength(ShortWords w) =>
        w.Volumes.Count == 1 && w.Count == 1
            ? Told(
                "strength",
                w.IsPercent ? $"{w.Volumes[0] * 0.3:0.##} % as volume" : $"{w.Volumes[0]:0.##} vol in per cent",
                w.IsPercent
                    ? new StrengthQuestion(Percent: Math.Round(w.Volumes[0] * 0.3, 9))
                    : new StrengthQuestion(w.Volumes[0]),
                DeskSums.Of,
                a => $"{a.Volume:0.##} vol = {a.Percent:0.##} %",
                a => a.Why
            )
            : null;

    private static ShortRead? Regrowth(ShortWords w)
    {
        if (w.Count != 1)
        {
            return null;
        }

        ShortRead Grown(Sentence said, RegrowthQuestion q) =>
            Told(
                "regrowth",
                said,
                q,
                DeskSums.Of,
                a => $"{a.Cm:0.0} cm ({Customary.InchesOf(a.Cm):0.0} in) = {a.Months:0.0} months",
                a => a.Why
            );
        return w.Centimetres is { } cm ? Grown($"{Quantity.Cm(cm, "0.##")} of regrowth in months", new(Cm: cm))
            : w.Months is { } months ? Grown($"regrowth of {months:0.##} months", new(Months: months))
            : null;
    }

    private static ShortRead? Ounces(ShortWords w) =>
        w.Grams is [var grams] && w.Count == 1
            ? Told(
                "mass",
                w.IsOunces
                    ? (Sentence)$"{Customary.OuncesOf(grams):0.###} oz in grams"
                    : (Sentence)$"{grams:0.##} g in ounces",
                w.IsOunces
                    ? new MassQuestion(Ounces: Math.Round(Customary.OuncesOf(grams), 9))
                    : new MassQuestion(grams),
                DeskSums.Of,
                a => $"{a.Grams:0.0} g = {a.Ounces:0.00} oz",
                a => a.Why
            )
            : null;

    private static Diameter Thick(ShortWords w) => w.Word<Diameter>() ?? Diameter.Medium;

    private static string Name<T>(T value)
        where T : struct, Enum => value.ToString().ToLowerInvariant();

    private static ShortRead Told<TQuestion, TAnswer>(
        string sum,
        Sentence readAs,
        TQuestion question,
        Func<TQuestion, DeskResult<TAnswer>> answer,
        Func<TAnswer, Sentence> result,
        Func<TAnswer, Sentence> why
    )
        where TQuestion : notnull
        where TAnswer : class
    {
        var found = answer(question);
        return found.Answer is { } a
            ? new(sum, readAs, result(a), why(a), question, a, [])
            : No(string.Join(" ", found.Problems.Select(p => $"{p.Field}: {p.Message}")));
    }

    private static Sentence ToAdd(RescueAnswer a) =>
        a.AddDeveloperGrams > 0 ? (Sentence)$"add {Quantity.Grams(a.AddDeveloperGrams, "0.0")} developer"
        : a.AddLightenerGrams > 0 ? (Sentence)$"add {Quantity.Grams(a.AddLightenerGrams, "0.0")} lightener"
        : "nothing to add";

    private static ShortRead No(string message) =>
        new(string.Empty, string.Empty, string.Empty, string.Empty, null, null, [new("text", message)]);
}
