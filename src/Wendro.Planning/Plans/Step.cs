using Wendro.Paint;
using Wendro.Units;

namespace Wendro.Plans;

/// <summary>What a step of a visit is for.</summary>
public enum StepKind
{
    Base,
    Lighten,
    Deposit,
    Gloss,
    Treat,
}

/// <summary>One process of a visit: what is laid where, how long, whether it is rinsed before the next.</summary>
/// <param name="Kind">What it is for.</param>
/// <param name="Area">Over which area; null for what is painted on panels.</param>
/// <param name="Formula">What is laid over the area; on panels, whose paint it is: null for all that no other step
/// takes.</param>
/// <param name="Minutes">How long a treatment stays; null for what has a formula, whose minutes count.</param>
/// <param name="EarliestMinutes">When it is looked at first and may be done; null where nobody said.</param>
/// <param name="LatestMinutes">When it must be done; null where nobody said.</param>
/// <param name="Rinse">Whether it is rinsed, washed, dried and read before the next step.</param>
/// <param name="Damp">Whether lightener goes on hair that is damp or just rinsed: it works diluted.</param>
public sealed record Step(
    StepKind Kind,
    Area? Area = null,
    FormulaId? Formula = null,
    [property: Within(Step.LeastMinutes, Step.MostMinutes, "min")] double? Minutes = null,
    [property: Within(Step.LeastMinutes, Step.MostMinutes, "min")] double? EarliestMinutes = null,
    [property: Within(Step.LeastMinutes, Step.MostMinutes, "min")] double? LatestMinutes = null,
    bool Rinse = true,
    bool Damp = false
)
{
    /// <summary>Shortest and longest a step works, minutes.</summary>
    public const double LeastMinutes = 1,
        MostMinutes = 120;

    /// <summary>Most steps of one visit.</summary>
    public const int Most = 8;

    /// <summary>The one step of most visits: what is painted on panels.</summary>
    public static Step Usual { get; } = new(StepKind.Lighten);

    /// <summary>Whether it is the step that takes all panels' paint which no other step takes.</summary>
    public bool IsMain => Area is null && Formula is null && Kind != StepKind.Treat;

    /// <summary>Whether it lays what is painted on panels.</summary>
    public bool IsPainted => Area is null && Kind != StepKind.Treat;

    /// <summary>In plain words: "root base", "gloss, all lengths".</summary>
    public string Words =>
        Kind switch
        {
            StepKind.Base => "base",
            StepKind.Lighten => "lighten",
            StepKind.Deposit => "deposit",
            StepKind.Gloss => "gloss",
            StepKind.Treat => "treatment",
        } + (Area is { } area ? $", {area.Words}" : string.Empty);
}
